/** Codes have at most this many bits, so a table holds 4096 of them. */
const mostBits = 12;
const mostCodes = 1 << mostBits;

/** For each code and each index that may follow it, the code of both together; 0 where there is none yet. */
const longer = new Int16Array(mostCodes << 8);
/** The places of `longer` that are in use, so that it is emptied by them alone. */
const used = new Int32Array(mostCodes);

/**
 * Packs colour indices as GIF does (LZW with codes that grow, in sub-blocks of 255 bytes), the minimum code size first
 * and an empty block last.
 * @param bits how many bits an index has, 2 to 8
 */
export function packLzw(indices: Uint8Array, bits: number): Uint8Array {
  const clearCode = 1 << bits;
  const endCode = clearCode + 1;
  const codes = new BitWriter(indices.length);
  let codeBits = bits + 1;
  let next = endCode + 1;
  let inUse = 0;
  codes.write(clearCode, codeBits);
  let prefix = indices[0];
  for (let i = 1; i < indices.length; i++) {
    const place = (prefix << 8) | indices[i];
    const code = longer[place];
    if (code !== 0) {
      prefix = code;
      continue;
    }
    codes.write(prefix, codeBits);
    prefix = indices[i];
    if (next < mostCodes) {
      // The reader learns a code one step later than it is made, so it grows its codes just here as well.
      if (next === 1 << codeBits) codeBits++;
      used[inUse++] = place;
      longer[place] = next++;
      continue;
    }
    codes.write(clearCode, codeBits);
    while (inUse > 0) longer[used[--inUse]] = 0;
    next = endCode + 1;
    codeBits = bits + 1;
  }
  codes.write(prefix, codeBits);
  // The reader has learnt one code more by now, and may have grown for it.
  if (next === 1 << codeBits && codeBits < mostBits) codeBits++;
  codes.write(endCode, codeBits);
  while (inUse > 0) longer[used[--inUse]] = 0;
  return inBlocks(codes.end(), bits);
}

/** Puts codes of changing lengths together, lowest bits first. */
class BitWriter {
  private bytes: Uint8Array;
  private length = 0;
  private pending = 0;
  private count = 0;

  constructor(likely: number) {
    this.bytes = new Uint8Array(Math.max(64, likely >> 2));
  }

  write(code: number, bits: number): void {
    this.pending |= code << this.count;
    this.count += bits;
    if (this.length + 4 > this.bytes.length) {
      const grown = new Uint8Array(this.bytes.length * 2);
      grown.set(this.bytes);
      this.bytes = grown;
    }
    while (this.count >= 8) {
      this.bytes[this.length++] = this.pending & 255;
      this.pending >>>= 8;
      this.count -= 8;
    }
  }

  end(): Uint8Array {
    if (this.count > 0) this.write(0, 8 - this.count);
    return this.bytes.subarray(0, this.length);
  }
}

function inBlocks(bytes: Uint8Array, bits: number): Uint8Array {
  const result = new Uint8Array(1 + bytes.length + Math.ceil(bytes.length / 255) + 1);
  result[0] = bits;
  let to = 1;
  for (let at = 0; at < bytes.length; at += 255) {
    const block = bytes.subarray(at, at + 255);
    result[to] = block.length;
    result.set(block, to + 1);
    to += block.length + 1;
  }
  return result;
}
