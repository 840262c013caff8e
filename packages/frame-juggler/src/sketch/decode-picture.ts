import { convertIndexedToRgb, decode as decodePng } from 'fast-png';
import jpeg from 'jpeg-js';
import { Picture } from '../paint/picture.ts';

/*
 * The picture packages, and all that is asked of them. Pages decode PNG and JPEG with them too, so that a picture has
 * the same pixels everywhere. This file is only loaded once a sketch has a picture; the build packs it together with
 * the packages.
 */

/** A PNG or JPEG file as a picture, or undefined where it is neither. Throws an Error that says what is wrong with it. */
export function decodePicture(bytes: Uint8Array): Picture | undefined {
  if (startsWith(bytes, 0x89, 0x50, 0x4e, 0x47)) return explained('PNG', () => fromPng(bytes));
  if (startsWith(bytes, 0xff, 0xd8, 0xff)) return explained('JPEG', () => fromJpeg(bytes));
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

function fromJpeg(bytes: Uint8Array): Picture {
  const { width, height, data } = jpeg.decode(bytes, { useTArray: true, formatAsRGBA: true, maxMemoryUsageInMB: 2048 });
  return new Picture(width, height, data);
}

/** Any PNG as eight bits of red, green, blue and alpha. */
function fromPng(bytes: Uint8Array): Picture {
  const image = decodePng(bytes, { checkCrc: true });
  const { width, height } = image;
  const indexed = image.palette !== undefined;
  const data = indexed ? convertIndexedToRgb(image) : image.data;
  const channels = indexed ? data.length / (width * height) : image.channels;
  const most = indexed ? 255 : 2 ** image.depth - 1;
  const result = new Uint8Array(width * height * 4);
  const gray = channels < 3;
  for (let i = 0; i < width * height; i++) {
    const pixel = Array.from(data.slice(i * channels, (i + 1) * channels));
    const colors = gray ? [pixel[0], pixel[0], pixel[0]] : pixel.slice(0, 3);
    const alpha = channels % 2 === 0 ? pixel[channels - 1] : isKey(image.transparency, pixel) ? 0 : most;
    for (const [channel, value] of [...colors, alpha].entries())
      result[i * 4 + channel] = Math.round((value / most) * 255);
  }
  return new Picture(width, height, result);
}

/** Whether a pixel has the one color that a file without alpha may declare transparent. */
function isKey(transparency: ArrayLike<number> | undefined, pixel: readonly number[]): boolean {
  return transparency !== undefined && pixel.every((value, channel) => value === transparency[channel]);
}
