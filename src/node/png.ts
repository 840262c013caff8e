import { crc32, deflateSync } from 'node:zlib';
import type { Picture } from '../paint/picture.ts';

/*
 * PNG (Portable Network Graphics, third edition), eight bits a channel. Node's own zlib does the packing: around that,
 * the format is four chunks, and encoders in plain JavaScript take thirty times as long.
 */

/** What a picture file tells of where it came from, so that it can be had again. */
export interface Provenance {
  readonly title: string;
  readonly frame: number;
  readonly seed: number;
}

const signature = Uint8Array.of(0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a);
const colorTypes = { rgb: 2, rgba: 6 } as const;

/** A picture as a PNG file: without an alpha channel where every pixel is opaque. The same picture, the same bytes. */
export function encodePng(picture: Picture, from?: Provenance): Uint8Array {
  const { width, height, data } = picture;
  const opaque = isOpaque(data);
  const header = Buffer.alloc(13);
  header.writeUInt32BE(width, 0);
  header.writeUInt32BE(height, 4);
  header[8] = 8;
  header[9] = opaque ? colorTypes.rgb : colorTypes.rgba;
  return Buffer.concat([
    signature,
    chunk('IHDR', header),
    ...(from === undefined ? [] : provenanceChunks(from)),
    chunk('IDAT', deflateSync(rows(picture, opaque ? 3 : 4), { level: 6 })),
    chunk('IEND', new Uint8Array(0)),
  ]);
}

function chunk(type: string, data: Uint8Array): Uint8Array {
  const result = Buffer.alloc(data.length + 12);
  result.writeUInt32BE(data.length, 0);
  result.write(type, 4, 'latin1');
  result.set(data, 8);
  result.writeUInt32BE(crc32(result.subarray(4, data.length + 8)), data.length + 8);
  return result;
}

/** International text chunks, as a title may be in any script. */
function provenanceChunks({ title, frame, seed }: Provenance): Uint8Array[] {
  const texts = { Title: title, Software: 'Frame Juggler', Frame: String(frame), Seed: String(seed) };
  // Keyword, then: not compressed, no language, no translated keyword, the text.
  return Object.entries(texts).map(([keyword, text]) => chunk('iTXt', Buffer.from(`${keyword}\0\0\0\0\0${text}`)));
}

/** Rows of pixels, each behind a 0: no filter. Flat colours pack best so. */
function rows({ width, height, data }: Picture, channels: 3 | 4): Uint8Array {
  const stride = width * channels + 1;
  const result = new Uint8Array(stride * height);
  for (let y = 0; y < height; y++) {
    const from = y * width * 4;
    let to = y * stride + 1;
    if (channels === 4) result.set(data.subarray(from, from + width * 4), to);
    else
      for (let at = from; at < from + width * 4; at += 4) {
        result[to++] = data[at];
        result[to++] = data[at + 1];
        result[to++] = data[at + 2];
      }
  }
  return result;
}

function isOpaque(data: Uint8Array): boolean {
  for (let at = 3; at < data.length; at += 4) if (data[at] !== 255) return false;
  return true;
}
