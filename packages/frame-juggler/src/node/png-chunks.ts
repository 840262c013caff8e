import { crc32 } from 'node:zlib';

/* The container of PNG: a signature, then chunks, each with its length, its type and a sum. */

/** What every PNG file begins with. */
export const pngSignature = Uint8Array.of(0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a);
/** A chunk as it stands in a file. */
export function pngChunk(type: string, data: Uint8Array): Uint8Array {
  const result = Buffer.alloc(data.length + 12);
  result.writeUInt32BE(data.length, 0);
  result.write(type, 4, 'latin1');
  result.set(data, 8);
  result.writeUInt32BE(crc32(result.subarray(4, data.length + 8)), data.length + 8);
  return result;
}

/** The chunks of a PNG file: their types and what they hold. */
export function* pngChunks(bytes: Uint8Array): Generator<{ readonly type: string; readonly data: Buffer }> {
  const png = Buffer.from(bytes.buffer, bytes.byteOffset, bytes.length);
  for (let at = 8; at + 12 <= png.length; at += png.readUInt32BE(at) + 12)
    yield { type: png.toString('latin1', at + 4, at + 8), data: png.subarray(at + 8, at + 8 + png.readUInt32BE(at)) };
}

/** Whether a PNG file is all there and undamaged: its chunks have the sums that they tell, up to its end. */
export function isWholePng(bytes: Uint8Array): boolean {
  const png = Buffer.from(bytes.buffer, bytes.byteOffset, bytes.length);
  if (!png.subarray(0, 8).equals(pngSignature)) return false;
  for (let at = 8; at + 12 <= png.length;) {
    const end = at + 12 + png.readUInt32BE(at);
    if (end > png.length || crc32(png.subarray(at + 4, end - 4)) !== png.readUInt32BE(end - 4)) return false;
    if (png.toString('latin1', at + 4, at + 8) === 'IEND') return end === png.length;
    at = end;
  }
  return false;
}
