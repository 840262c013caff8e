/*
 * YUV4MPEG2: uncompressed video, which every encoder reads. The raster engine makes the pictures (engine/video.ts).
 */

/** The resolution of color compared with brightness: one value per pixel, or one per four. */
export type Chroma = '444' | '420';

/** The first line of a file. */
export function y4mHead(width: number, height: number, frameRate: number, chroma: Chroma): Uint8Array {
  const [rate, per] = rational(frameRate);
  const kind = chroma === '444' ? 'C444' : 'C420jpeg';
  return new TextEncoder().encode(
    `YUV4MPEG2 W${width} H${height} F${rate}:${per} Ip A1:1 ${kind} XCOLORRANGE=LIMITED\n`,
  );
}

/** Rounds a side up to an even number, as video needs that keeps color for pairs of pixels. */
export function evenSide(side: number): number {
  return side + (side % 2);
}

const frameLine = new TextEncoder().encode('FRAME\n');

/**
 * One picture with its header line.
 * @param planes brightness, blue and red, as a raster surface gives them
 * @param into where it goes if it has that room; `new` is memory that threads can share, undefined such as they cannot
 */
export function y4mFrame(planes: Uint8Array, into?: Uint8Array | 'new'): Uint8Array {
  const length = frameLine.length + planes.length;
  const result = roomFor(length, into);
  result.set(frameLine);
  result.set(planes, frameLine.length);
  return result;
}

function roomFor(length: number, into: Uint8Array | 'new' | undefined): Uint8Array {
  if (into === undefined) return new Uint8Array(length);
  return typeof into === 'object' && into.length === length ? into : new Uint8Array(new SharedArrayBuffer(length));
}

/** A frame rate as a fraction: whole rates over 1, rates of television over 1001. */
export function rational(frameRate: number): [number, number] {
  if (Number.isInteger(frameRate)) return [frameRate, 1];
  const ntsc = Math.round(frameRate * 1.001);
  if (Math.abs((ntsc * 1000) / 1001 - frameRate) < 0.005) return [ntsc * 1000, 1001];
  const rate = Math.round(frameRate * 1000);
  const divisor = (a: number, b: number): number => (b === 0 ? a : divisor(b, a % b));
  const common = divisor(rate, 1000);
  return [rate / common, 1000 / common];
}
