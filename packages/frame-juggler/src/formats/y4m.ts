/*
 * YUV4MPEG2: video as plain pictures, for every encoder to take. Colors go by ITU-R BT.709 with the narrow range of
 * television, 16 to 235.
 */

import { wordsOf } from './changes.ts';

/** How finely color is kept beside brightness: for each pixel, or for each four. */
export type Chroma = '444' | '420';

/** The first line of a file. */
export function y4mHead(width: number, height: number, frameRate: number, chroma: Chroma): Uint8Array {
  const [rate, per] = rational(frameRate);
  const kind = chroma === '444' ? 'C444' : 'C420jpeg';
  return new TextEncoder().encode(
    `YUV4MPEG2 W${width} H${height} F${rate}:${per} Ip A1:1 ${kind} XCOLORRANGE=LIMITED\n`,
  );
}

/* Brightness is 0.2126 r + 0.7152 g + 0.0722 b; a color's differences to it are brought to -0.5 to 0.5. */
const [redPart, greenPart, bluePart] = [0.2126, 0.7152, 0.0722];
const brightRange = 219 / 255;
const [blueRange, redRange] = [224 / 255 / 1.8556, 224 / 255 / 1.5748];

/** A side of a video that keeps color for pairs of pixels. */
export function evenSide(side: number): number {
  return side + (side % 2);
}

/** A picture of even sides: where one is odd, its last column or row stands there twice. */
export function toEvenSides(rgba: Uint8Array, width: number, height: number): Uint8Array {
  const [wide, high] = [evenSide(width), evenSide(height)];
  if (wide === width && high === height) return rgba;
  const words = wordsOf(rgba);
  const even = new Uint32Array(wide * high);
  for (let y = 0; y < high; y++) {
    const row = Math.min(y, height - 1) * width;
    even.set(words.subarray(row, row + width), y * wide);
    even[(y + 1) * wide - 1] = words[row + width - 1];
  }
  return new Uint8Array(even.buffer);
}

/** One picture with the line before it. What is transparent is laid on white. */
export function y4mFrame(rgba: Uint8Array, width: number, height: number, chroma: Chroma): Uint8Array {
  const step = chroma === '420' ? 2 : 1;
  const [cw, ch] = [Math.ceil(width / step), Math.ceil(height / step)];
  const head = new TextEncoder().encode('FRAME\n');
  const result = new Uint8Array(head.length + width * height + 2 * cw * ch);
  result.set(head);
  const luma = result.subarray(head.length, head.length + width * height);
  const blue = result.subarray(head.length + width * height, head.length + width * height + cw * ch);
  const red = result.subarray(result.length - cw * ch);
  const words = wordsOf(rgba);
  for (let cy = 0, to = 0; cy < ch; cy++) {
    const bottom = Math.min(height, cy * step + step);
    for (let left = 0; left < width; left += step, to++) {
      const right = Math.min(width, left + step);
      let reds = 0;
      let blues = 0;
      let brights = 0;
      for (let y = cy * step; y < bottom; y++)
        for (let at = y * width + left; at < y * width + right; at++) {
          const word = words[at];
          const alpha = word >>> 24;
          let r = word & 255;
          let g = (word >>> 8) & 255;
          let b = (word >>> 16) & 255;
          if (alpha !== 255) {
            r = (r * alpha) / 255 + 255 - alpha;
            g = (g * alpha) / 255 + 255 - alpha;
            b = (b * alpha) / 255 + 255 - alpha;
          }
          const bright = redPart * r + greenPart * g + bluePart * b;
          luma[at] = 16.5 + bright * brightRange;
          reds += r;
          blues += b;
          brights += bright;
        }
      const count = (bottom - cy * step) * (right - left);
      blue[to] = 128.5 + ((blues - brights) * blueRange) / count;
      red[to] = 128.5 + ((reds - brights) * redRange) / count;
    }
  }
  return result;
}

/** A frame rate as a fraction: whole ones over 1, those of television over 1001. */
export function rational(frameRate: number): [number, number] {
  if (Number.isInteger(frameRate)) return [frameRate, 1];
  const ntsc = Math.round(frameRate * 1.001);
  if (Math.abs((ntsc * 1000) / 1001 - frameRate) < 0.005) return [ntsc * 1000, 1001];
  const rate = Math.round(frameRate * 1000);
  const divisor = (a: number, b: number): number => (b === 0 ? a : divisor(b, a % b));
  const common = divisor(rate, 1000);
  return [rate / common, 1000 / common];
}
