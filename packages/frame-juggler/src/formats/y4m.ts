/*
 * YUV4MPEG2: video as plain pictures, for every encoder to take. Colors go by ITU-R BT.709 with the narrow range of
 * television, 16 to 235.
 */

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

/** One picture with the line before it. What is transparent is laid on white. */
export function y4mFrame(rgba: Uint8Array, width: number, height: number, chroma: Chroma): Uint8Array {
  const halved = chroma === '420';
  const [cw, ch] = halved ? [(width + 1) >> 1, (height + 1) >> 1] : [width, height];
  const head = new TextEncoder().encode('FRAME\n');
  const result = new Uint8Array(head.length + width * height + 2 * cw * ch);
  result.set(head);
  const luma = result.subarray(head.length, head.length + width * height);
  const blue = result.subarray(head.length + width * height, head.length + width * height + cw * ch);
  const red = result.subarray(result.length - cw * ch);
  for (let cy = 0; cy < ch; cy++)
    for (let cx = 0; cx < cw; cx++) {
      let [u, v, count] = [0, 0, 0];
      for (let y = halved ? cy * 2 : cy; y < height && y < (halved ? cy * 2 + 2 : cy + 1); y++)
        for (let x = halved ? cx * 2 : cx; x < width && x < (halved ? cx * 2 + 2 : cx + 1); x++) {
          const at = (y * width + x) * 4;
          const white = 255 - rgba[at + 3];
          const part = rgba[at + 3] / 255;
          const r = rgba[at] * part + white;
          const g = rgba[at + 1] * part + white;
          const b = rgba[at + 2] * part + white;
          const bright = 0.2126 * r + 0.7152 * g + 0.0722 * b;
          luma[y * width + x] = 16 + (bright * 219) / 255 + 0.5;
          u += (b - bright) / 1.8556;
          v += (r - bright) / 1.5748;
          count++;
        }
      blue[cy * cw + cx] = 128 + ((u / count) * 224) / 255 + 0.5;
      red[cy * cw + cx] = 128 + ((v / count) * 224) / 255 + 0.5;
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
