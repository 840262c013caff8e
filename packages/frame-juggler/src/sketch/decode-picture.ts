import { convertIndexedToRgb, decode as decodePng } from 'fast-png';
import jpeg from 'jpeg-js';
import { Picture } from '../paint/picture.ts';

/*
 * The picture packages, and all that is asked of them. Pages decode PNG and JPEG with them too, so that a picture has
 * the same pixels everywhere. This file is only loaded once a sketch has a picture; the build packs it together with
 * the packages.
 */

/** The longest side of a picture, and its most pixels. */
const max = { side: 32_767, pixels: 2 ** 27 };

/** So much memory may be filled by what a file only claims to be, in bytes. */
const harmless = 256e6;

/** A PNG or JPEG file as a picture, or undefined where it is neither. Throws an Error that says what is wrong with it. */
export async function decodePicture(bytes: Uint8Array): Promise<Picture | undefined> {
  if (startsWith(bytes, 0x89, 0x50, 0x4e, 0x47)) {
    await checkPng(bytes);
    return explained('PNG', () => fromPng(bytes));
  }
  if (startsWith(bytes, 0xff, 0xd8, 0xff)) {
    checkJpeg(bytes);
    return explained('JPEG', () => fromJpeg(bytes));
  }
  return undefined;
}

function startsWith(bytes: Uint8Array, ...magic: number[]): boolean {
  return magic.every((byte, index) => bytes[index] === byte);
}

function explained(kind: string, decode: () => Picture): Picture {
  try {
    return decode();
  } catch (cause) {
    throw new Error(`the ${kind} is broken: ${cause instanceof Error ? cause.message : String(cause)}`, { cause });
  }
}

/** Refuses absurdly large pictures by the size in their header, before anything is unpacked. */
function checkSize(width: number, height: number): void {
  if (width === 0 || height === 0) throw new Error(`it has no pixels: it is ${width} × ${height}`);
  if (Math.max(width, height) > max.side || width * height > max.pixels)
    throw new Error(
      `it is too large, ${width} × ${height} pixels: expected at most ${max.side} a side, and ${max.pixels / 2 ** 20} million`,
    );
}

/** Looks at a PNG's head, and at how much its pixels are when unpacked: a small file can be made to fill any memory. */
async function checkPng(bytes: Uint8Array): Promise<void> {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.length);
  if (bytes.length < 33) throw new Error('the PNG is broken: it ends in its head');
  const [width, height, depth, type] = [view.getUint32(16), view.getUint32(20), bytes[24], bytes[25]];
  checkSize(width, height);
  const channels = { 0: 1, 2: 3, 3: 1, 4: 2, 6: 4 }[type] ?? 4;
  // A row more for each of the seven passes of an interlaced one.
  const expected = (Math.ceil((width * channels * depth) / 8) + 1) * (height + 7) + 64 * 1024;
  const parts: Uint8Array[] = [];
  for (let at = 8; at + 12 <= bytes.length; at += view.getUint32(at) + 12) {
    const isPixels = view.getUint32(at + 4) === 0x49444154; // IDAT
    if (isPixels) parts.push(bytes.subarray(at + 8, Math.min(bytes.length, at + 8 + view.getUint32(at))));
  }
  const packed = parts.reduce((sum, part) => sum + part.length, 0);
  // Nothing is unpacked to more than 1032 times its size, so that most need not be looked at.
  if (packed * 1032 > Math.max(expected, harmless) && (await unpackedLength(parts, expected)) > expected)
    throw new Error(`the PNG is broken: it holds more pixels than the ${width} × ${height} that its head tells`);
}

/** How long deflated bytes are when unpacked; counted no further than a little over `enough`. */
async function unpackedLength(parts: readonly Uint8Array[], enough: number): Promise<number> {
  const reader = new Blob([...parts] as Uint8Array<ArrayBuffer>[])
    .stream()
    .pipeThrough(new DecompressionStream('deflate'))
    .getReader();
  let length = 0;
  try {
    for (let chunk = await reader.read(); !chunk.done && length <= enough; chunk = await reader.read())
      length += chunk.value.length;
  } catch {
    // A broken file is reported by the decoder.
  }
  await reader.cancel().catch(() => undefined);
  return length;
}

/** Looks at a JPEG's frame header (ITU T.81, B.2.2). */
function checkJpeg(bytes: Uint8Array): void {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.length);
  for (let at = 2; at + 9 < bytes.length && bytes[at] === 0xff; at += 2 + view.getUint16(at + 2)) {
    const marker = bytes[at + 1];
    const isFrame = marker >= 0xc0 && marker <= 0xcf && ![0xc4, 0xc8, 0xcc].includes(marker);
    if (isFrame) return checkSize(view.getUint16(at + 7), view.getUint16(at + 5));
  }
}

function fromJpeg(bytes: Uint8Array): Picture {
  const { width, height, data } = jpeg.decode(bytes, {
    useTArray: true,
    formatAsRGBA: true,
    maxResolutionInMP: max.pixels / 1e6,
    maxMemoryUsageInMB: 4096,
  });
  return new Picture(width, height, data);
}

/** Any PNG as eight bits of red, green, blue and alpha. */
function fromPng(bytes: Uint8Array): Picture {
  const image = decodePng(bytes, { checkCrc: true });
  const { width, height, transparency } = image;
  const indexed = image.palette !== undefined;
  const data = indexed ? convertIndexedToRgb(image) : image.data;
  const channels = indexed ? data.length / (width * height) : image.channels;
  const most = indexed ? 255 : (1 << image.depth) - 1;
  if (most === 255 && channels === 4 && data instanceof Uint8Array) return new Picture(width, height, data);
  const result = new Uint8Array(width * height * 4);
  if (most === 255 && channels === 3 && transparency === undefined) {
    // Most pictures: several times as fast as the way for all of them.
    for (let from = 0, to = 0; to < result.length; from += 3, to += 4) {
      result[to] = data[from];
      result[to + 1] = data[from + 1];
      result[to + 2] = data[from + 2];
      result[to + 3] = 255;
    }
    return new Picture(width, height, result);
  }
  const toByte = (value: number): number => (most === 255 ? value : Math.round((value / most) * 255));
  const [green, blue] = channels < 3 ? [0, 0] : [1, 2];
  const hasAlpha = channels % 2 === 0;
  for (let from = 0, to = 0; to < result.length; from += channels, to += 4) {
    result[to] = toByte(data[from]);
    result[to + 1] = toByte(data[from + green]);
    result[to + 2] = toByte(data[from + blue]);
    // A file without alpha may declare one color transparent.
    if (hasAlpha) result[to + 3] = toByte(data[from + channels - 1]);
    else if (transparency === undefined) result[to + 3] = 255;
    else result[to + 3] = isKey(transparency, data, from, channels) ? 0 : 255;
  }
  return new Picture(width, height, result);
}

function isKey(key: ArrayLike<number>, data: ArrayLike<number>, from: number, channels: number): boolean {
  for (let channel = 0; channel < channels; channel++) if (data[from + channel] !== key[channel]) return false;
  return true;
}
