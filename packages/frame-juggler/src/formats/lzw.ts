/** Codes have at most this many bits, so a table holds 4096 of them. */
const maxBits = 12;
const maxCodes = 1 << maxBits;

/** A hash table from a code and the index after it to the code for both: small enough to stay in a cache. */
const slots = 1 << 14;
const keys = new Int32Array(slots);
const codes = new Int16Array(slots);

/**
 * Codes for runs of the most common index, by their length: `chain[3]` stands for three of it. A long run is then
 * packed code by code instead of index by index.
 */
const chain = new Int16Array(maxCodes);
/** The number of repeats of the most common index in a code; 0 for codes that contain others. */
const links = new Int16Array(maxCodes);

/**
 * Packs color indices as GIF does (LZW with codes that grow, in sub-blocks of 255 bytes), the minimum code size first
 * and an empty block last.
 * @param bits how many bits an index has, 2 to 8
 * @param commonest the index that has the longest runs
 */
export function packLzw(indices: Uint8Array, bits: number, commonest: number): Uint8Array {
  const clearCode = 1 << bits;
  const endCode = clearCode + 1;
  // At most one code per index, a clear code after every few thousand, and one at the end.
  const out = new BitWriter(indices.length + (indices.length >> 11) + 4);
  let codeBits = bits + 1;
  let next = endCode + 1;
  keys.fill(-1);
  let longest = 1;
  chain[1] = commonest;
  links[commonest] = 1;
  out.write(clearCode, codeBits);
  const runs = new RunFinder(indices, commonest);
  let runEnd = 0;
  let prefix = indices[0];
  for (let i = 1; i < indices.length; i++) {
    const known = longest - links[prefix];
    if (indices[i] === commonest && known > 1 && known < longest) {
      if (i >= runEnd) runEnd = runs.endFrom(i);
      // The longest part of the run that has a code.
      const end = Math.min(i + known, runEnd);
      prefix = chain[links[prefix] + end - i];
      i = end - 1;
      continue;
    }
    const key = (prefix << 8) | indices[i];
    let slot = (Math.imul(key, 0x9e3779b1) >>> 18) & (slots - 1);
    while (keys[slot] !== key && keys[slot] !== -1) slot = (slot + 1) & (slots - 1);
    if (keys[slot] === key) {
      prefix = codes[slot];
      continue;
    }
    out.write(prefix, codeBits);
    const last = prefix;
    prefix = indices[i];
    if (next < maxCodes) {
      // A decoder learns each code one step later than the encoder, so its codes grow at this point as well.
      if (next === 1 << codeBits) codeBits++;
      keys[slot] = key;
      if (prefix === commonest && links[last] > 0) {
        links[next] = ++longest;
        chain[longest] = next;
      }
      codes[slot] = next++;
      continue;
    }
    out.write(clearCode, codeBits);
    keys.fill(-1);
    links.fill(0, endCode);
    longest = 1;
    next = endCode + 1;
    codeBits = bits + 1;
  }
  out.write(prefix, codeBits);
  // By now the decoder has learned one more code, and its codes may have grown.
  if (next === 1 << codeBits && codeBits < maxBits) codeBits++;
  out.write(endCode, codeBits);
  links.fill(0);
  return inBlocks(out.end(), bits);
}

/** Finds the ends of runs of one index, comparing four indices at a time. */
class RunFinder {
  private readonly fours: Int32Array;
  private readonly four: number;

  constructor(
    private readonly indices: Uint8Array,
    private readonly index: number,
  ) {
    const aligned = indices.byteOffset % 4 === 0;
    this.fours = aligned ? new Int32Array(indices.buffer, indices.byteOffset, indices.length >> 2) : new Int32Array(0);
    this.four = Math.imul(index, 0x01010101);
  }

  /** The place after the run that contains `at`. */
  endFrom(at: number): number {
    const { indices, index, fours, four } = this;
    let end = at;
    while ((end & 3) !== 0 && indices[end] === index) end++;
    if ((end & 3) === 0) {
      let place = end >> 2;
      while (place < fours.length && fours[place] === four) place++;
      end = place << 2;
    }
    while (indices[end] === index) end++;
    return end;
  }
}

/** Writes codes of varying length, lowest bits first, into memory that is reused. */
class BitWriter {
  private static memory = new Uint8Array(1 << 16);
  private readonly bytes: Uint8Array;
  private length = 0;
  private pending = 0;
  private count = 0;

  /** @param most the maximum number of codes */
  constructor(most: number) {
    // A code has at most 12 bits, and whole bytes are written before the next code.
    const room = Math.ceil(most * 1.5) + 8;
    if (BitWriter.memory.length < room) BitWriter.memory = new Uint8Array(room);
    this.bytes = BitWriter.memory;
  }

  write(code: number, bits: number): void {
    let pending = this.pending | (code << this.count);
    let count = this.count + bits;
    while (count >= 8) {
      this.bytes[this.length++] = pending;
      pending >>>= 8;
      count -= 8;
    }
    this.pending = pending;
    this.count = count;
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
