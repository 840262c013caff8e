import { putBits } from './bits.ts';

/*
 * A prefix code (RFC 1951, 3.2): symbols that come often have few bits. Lengths are Huffman's, found from the symbols in
 * order of how often they come and a queue of the pairs that were made; where one is longer than is allowed, others are
 * lengthened until the code is complete again.
 */

/** No alphabet of the format has more symbols. */
const mostSymbols = 288;
const longestCode = 15;

/** Symbols in order of how often they come: that, and the symbol in the lower bits. */
const order = heap.alloc(4 * mostSymbols);
const symbolBits = 9;
/** The tree's nodes, leaves first: how often what is below comes, and which node is above. */
const weights = heap.alloc(4 * 2 * mostSymbols);
const parents = heap.alloc(4 * 2 * mostSymbols);
/** How many symbols have a code of each length, and the first code of each. */
const perLength = heap.alloc(4 * (mostSymbols + 1));
const firstCodes = heap.alloc(4 * (longestCode + 1));

@final
export class PrefixCode {
  private counts: usize;
  private lengths: usize;
  private codes: usize;

  /** @param limit how many bits a code may have */
  constructor(
    private size: i32,
    private limit: i32,
  ) {
    this.counts = heap.alloc(4 * size);
    this.lengths = heap.alloc(size);
    this.codes = heap.alloc(2 * size);
    this.forget();
  }

  /** Forgets how often each symbol came. */
  forget(): void {
    memory.fill(this.counts, 0, 4 * this.size);
  }

  /** Counts a symbol that will be put. */
  @inline
  count(symbol: i32): void {
    const at = this.counts + (<usize>symbol << 2);
    store<u32>(at, load<u32>(at) + 1);
  }

  @inline
  put(symbol: i32): void {
    putBits(load<u16>(this.codes + (<usize>symbol << 1)), load<u8>(this.lengths + symbol));
  }

  @inline
  lengthOf(symbol: i32): i32 {
    return load<u8>(this.lengths + symbol);
  }

  /** The number of symbols up to the last that has a code, and at least so many. */
  used(least: i32): i32 {
    let count = this.size;
    while (count > least && this.lengthOf(count - 1) === 0) count--;
    return count;
  }

  /** How many bits the symbols take that have been counted, in the codes of another. */
  bitsWith(code: PrefixCode): u32 {
    let bits: u32 = 0;
    for (let symbol = 0; symbol < this.size; symbol++) bits += load<u32>(this.counts + 4 * symbol) * code.lengthOf(symbol);
    return bits;
  }

  /** Gives symbols from one to another codes of a length, for a code that is not made of counts. */
  fix(from: i32, to: i32, length: i32): void {
    memory.fill(this.lengths + from, <u8>length, to - from);
  }

  /** Makes the code of what has been counted. Two symbols have one at least: of fewer a code is not complete. */
  make(): void {
    for (let symbol = 0; this.countOrder() < 2; symbol++) if (load<u32>(this.counts + 4 * symbol) === 0) this.count(symbol);
    const symbols = this.countOrder();
    sort(symbols);
    countLengths(symbols, this.limit);
    memory.fill(this.lengths, 0, this.size);
    let at = order;
    for (let length = this.limit; length > 0; length--)
      for (let left = load<u32>(perLength + 4 * length); left > 0; left--, at += 4)
        store<u8>(this.lengths + (load<u32>(at) & ((1 << symbolBits) - 1)), <u8>length);
    this.number();
  }

  /** Gives the codes of each length numbers that follow on each other (RFC 1951, 3.2.2). */
  number(): void {
    memory.fill(perLength, 0, 4 * (longestCode + 1));
    for (let symbol = 0; symbol < this.size; symbol++) {
      const at = perLength + 4 * this.lengthOf(symbol);
      store<u32>(at, load<u32>(at) + 1);
    }
    let code: u32 = 0;
    for (let length = 1; length <= longestCode; length++) {
      store<u32>(firstCodes + 4 * length, code);
      code = (code + load<u32>(perLength + 4 * length)) << 1;
    }
    for (let symbol = 0; symbol < this.size; symbol++) {
      const length = this.lengthOf(symbol);
      if (length === 0) continue;
      const next = load<u32>(firstCodes + 4 * length);
      store<u32>(firstCodes + 4 * length, next + 1);
      store<u16>(this.codes + 2 * symbol, reversed(next, length));
    }
  }

  /** Lists the symbols that come, and returns their number. */
  private countOrder(): i32 {
    let symbols = 0;
    for (let symbol = 0; symbol < this.size; symbol++) {
      const count = load<u32>(this.counts + 4 * symbol);
      if (count > 0) store<u32>(order + 4 * symbols++, (count << symbolBits) | symbol);
    }
    return symbols;
  }
}

/** Sorts the symbols by how often they come (Shell's sort). */
function sort(symbols: i32): void {
  for (let gap = 121; gap > 0; gap /= 3) {
    for (let i = gap; i < symbols; i++) {
      const key = load<u32>(order + 4 * i);
      let j = i;
      for (; j >= gap && load<u32>(order + 4 * (j - gap)) > key; j -= gap)
        store<u32>(order + 4 * j, load<u32>(order + 4 * (j - gap)));
      store<u32>(order + 4 * j, key);
    }
  }
}

/** Finds out how many symbols have a code of each length. */
function countLengths(symbols: i32, limit: i32): void {
  for (let i = 0; i < symbols; i++) store<u32>(weights + 4 * i, load<u32>(order + 4 * i) >> symbolBits);
  let leaf = 0;
  let pair = symbols;
  for (let next = symbols; next < 2 * symbols - 1; next++) {
    let weight: u32 = 0;
    for (let child = 0; child < 2; child++) {
      // The lightest that has no node above it is the next leaf or the next pair: both come in order.
      const isLeaf = leaf < symbols && (pair >= next || load<u32>(weights + 4 * leaf) <= load<u32>(weights + 4 * pair));
      const node = isLeaf ? leaf++ : pair++;
      weight += load<u32>(weights + 4 * node);
      store<u32>(parents + 4 * node, next);
    }
    store<u32>(weights + 4 * next, weight);
  }
  // From the root down, each node lies one deeper than that above it; weights are no longer needed.
  const depths = weights;
  memory.fill(perLength, 0, 4 * (longestCode + 1));
  store<u32>(depths + 4 * (2 * symbols - 2), 0);
  for (let node = 2 * symbols - 3; node >= 0; node--) {
    const depth = load<u32>(depths + 4 * load<u32>(parents + 4 * node)) + 1;
    store<u32>(depths + 4 * node, depth);
    if (node >= symbols) continue;
    const at = perLength + 4 * min(depth, limit);
    store<u32>(at, load<u32>(at) + 1);
  }
  complete(limit);
}

/** Lengthens codes until all of them have room: one of the length before the limit makes room for two. */
function complete(limit: i32): void {
  let taken: u32 = 0;
  for (let length = 1; length <= limit; length++) taken += load<u32>(perLength + 4 * length) << (limit - length);
  for (; taken > <u32>1 << limit; taken--) {
    let length = limit - 1;
    while (load<u32>(perLength + 4 * length) === 0) length--;
    add(limit, -1);
    add(length, -1);
    add(length + 1, 2);
  }
}

@inline
function add(length: i32, count: i32): void {
  const at = perLength + 4 * length;
  store<i32>(at, load<i32>(at) + count);
}

/** Codes are written from their highest bit on, all else from the lowest. */
function reversed(code: u32, length: i32): u16 {
  code = ((code & 0x5555) << 1) | ((code >> 1) & 0x5555);
  code = ((code & 0x3333) << 2) | ((code >> 2) & 0x3333);
  code = ((code & 0x0f0f) << 4) | ((code >> 4) & 0x0f0f);
  code = ((code & 0x00ff) << 8) | (code >> 8);
  return <u16>(code >> (16 - length));
}
