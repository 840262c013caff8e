import { wordsOf, type PixelRect } from '../formats/changes.ts';
import { packRows, type RowForm } from '../formats/pack-rows.ts';
import type { PackedRows, Rendering } from '../surfaces/raster/engine-surface.ts';
import { pngChunk, pngSignature } from './png-chunks.ts';
import type { Provenance } from './provenance.ts';
import { givenPicture } from '../paint/given-picture.ts';

/*
 * PNG (Portable Network Graphics, third edition), eight or sixteen bits a channel: rows as formats/pack-rows.ts packs
 * them, and four chunks around that.
 */

/** Colors are those of sRGB, to be shown as they are perceived. */
const srgbIntent = Uint8Array.of(0);
const colorTypes = { rgb: 2, rgba: 6 } as const;

/** A picture; whether all of it is opaque is found out where it is not given. */
type Pixels = Omit<Rendering, 'opaque'> & Partial<Pick<Rendering, 'opaque'>>;

/** A picture as a PNG file: without an alpha channel where every pixel is opaque. The same picture, the same bytes. */
export function encodePng(picture: Pixels, from: Provenance = {}): Uint8Array {
  givenPicture.read('encodePng', 'picture', picture);
  const { width, height, opaque = isOpaque(picture.data) } = picture;
  return packPng({ width, height, bits: 8, opaque, rows: [pngRows(picture, wholeOf(picture), opaque)] }, from);
}

/** A picture whose rows are packed already as a PNG file. */
export function packPng(packed: PackedRows, from: Provenance = {}): Uint8Array {
  return Buffer.concat([...pngHead(packed, from), pngChunk('IDAT', packRows(packed.rows, rowForm(packed))), pngEnd()]);
}

/** How the bytes of such a picture's rows lie. */
export function rowForm({ width, bits, opaque }: Pick<PackedRows, 'width' | 'bits' | 'opaque'>): RowForm {
  const perPixel = ((opaque ? 3 : 4) * bits) / 8;
  return { perPixel, perRow: 1 + width * perPixel };
}

/** The pieces that a PNG file begins with, up to its pixels. */
export function pngHead({ width, height, bits, opaque }: Omit<PackedRows, 'rows'>, from: Provenance): Uint8Array[] {
  const header = Buffer.alloc(13);
  header.writeUInt32BE(width, 0);
  header.writeUInt32BE(height, 4);
  header[8] = bits;
  header[9] = opaque ? colorTypes.rgb : colorTypes.rgba;
  return [pngSignature, pngChunk('IHDR', header), pngChunk('sRGB', srgbIntent), ...provenanceChunks(from)];
}

export function pngEnd(): Uint8Array {
  return pngChunk('IEND', new Uint8Array(0));
}

export function wholeOf({ width, height }: Pick<Pixels, 'width' | 'height'>): PixelRect {
  return { x: 0, y: 0, width, height };
}

/** International text chunks, as a title may be in any script. */
function provenanceChunks(from: Provenance): Uint8Array[] {
  // Keyword, then: not compressed, no language, no translated keyword, the text.
  return Object.entries(from).map(([keyword, text]) => pngChunk('iTXt', Buffer.from(`${keyword}\0\0\0\0\0${text}`)));
}

/** The pixels of a rectangle as PNG packs them: each row behind a 0, no filter. Flat colors pack best so. */
export function pngRows({ width, data }: Pixels, rect: PixelRect, opaque: boolean): Uint8Array {
  const length = rect.width * (opaque ? 3 : 4);
  const into = new Uint8Array((length + 1) * rect.height);
  const words = wordsOf(data);
  const packed = new Uint32Array(Math.ceil(rect.width / 4) * 3);
  const packedBytes = new Uint8Array(packed.buffer);
  for (let row = 0; row < rect.height; row++) {
    const from = (rect.y + row) * width + rect.x;
    const to = row * (length + 1) + 1;
    if (!opaque) into.set(data.subarray(from * 4, (from + rect.width) * 4), to);
    else {
      packThreeBytes(words, from, rect.width, packed);
      into.set(packedBytes.subarray(0, length), to);
    }
  }
  return into;
}

/** Leaves alpha out: four words of four bytes become three. What lies behind the last pixel is not used. */
function packThreeBytes(words: Uint32Array, from: number, count: number, out: Uint32Array): void {
  let to = 0;
  for (let at = from; at < from + count; at += 4) {
    const second = words[at + 1];
    const third = words[at + 2];
    out[to++] = (words[at] & 0xffffff) | (second << 24);
    out[to++] = ((second >>> 8) & 0xffff) | (third << 16);
    out[to++] = ((third >>> 16) & 0xff) | (words[at + 3] << 8);
  }
}

export function isOpaque(data: Uint8Array): boolean {
  const words = wordsOf(data);
  let all = -1;
  let at = 0;
  // Four at a time take less than half as long.
  for (; at + 4 <= words.length; at += 4) all &= words[at] & words[at + 1] & words[at + 2] & words[at + 3];
  for (; at < words.length; at++) all &= words[at];
  return all >>> 24 === 255;
}
