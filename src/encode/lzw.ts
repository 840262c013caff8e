/** Codes have at most this many bits, so a table holds 4096 of them. */
const mostBits = 12;
const mostCodes = 1 << mostBits;
/** The table of strings, by hashing: a prime well above the number of codes, so that few of them meet. */
const slots = 8191;

const keys = new Int32Array(slots);
const codes = new Int16Array(slots);

/**
 * Packs colour indices as GIF does (LZW with codes that grow, in sub-blocks of 255 bytes), the minimum code size first
 * and an empty block last.
 * @param bits how many bits an index has, 2 to 8
 */
export function packLzw(indices: Uint8Array, bits: number): Uint8Array {
  let out = new Uint8Array(Math.max(1024, indices.length >> 1));
  let length = 0;
  const clearCode = 1 << bits;
  const endCode = clearCode + 1;
  let codeBits = bits + 1;
  let next = endCode + 1;
  let pending = 0;
  let pendingBits = 0;
  let block = 1; // where the sub-block at hand keeps its length
  out[length++] = bits;
  length++;

  const emit = (code: number): void => {
    pending |= code << pendingBits;
    pendingBits += codeBits;
    while (pendingBits >= 8) {
      if (length + 2 > out.length) {
        const grown = new Uint8Array(out.length * 2);
        grown.set(out);
        out = grown;
      }
      out[length++] = pending & 255;
      pending >>>= 8;
      pendingBits -= 8;
      if (length - block === 256) {
        out[block] = 255;
        block = length++;
      }
    }
  };

  keys.fill(-1);
  emit(clearCode);
  let prefix = indices[0];
  for (let i = 1; i < indices.length; i++) {
    const index = indices[i];
    const key = (prefix << 8) | index;
    let slot = ((index << 5) ^ prefix) % slots;
    while (keys[slot] !== -1 && keys[slot] !== key) slot = slot === 0 ? slots - 1 : slot - 1;
    if (keys[slot] === key) {
      prefix = codes[slot];
      continue;
    }
    emit(prefix);
    if (next === mostCodes) {
      emit(clearCode);
      keys.fill(-1);
      next = endCode + 1;
      codeBits = bits + 1;
    } else {
      // The reader learns a code one step later than it is made, so it grows its codes just here as well.
      if (next === 1 << codeBits) codeBits++;
      keys[slot] = key;
      codes[slot] = next++;
    }
    prefix = index;
  }
  emit(prefix);
  emit(endCode);
  if (pendingBits > 0) {
    // The rest of the bits: seven zeros push them out.
    codeBits = 8 - pendingBits;
    emit(0);
  }
  out[block] = length - block - 1;
  const end = out[block] === 0 ? block + 1 : length + 1;
  const result = new Uint8Array(end);
  result.set(out.subarray(0, Math.min(length, end)));
  result[end - 1] = 0;
  return result;
}
