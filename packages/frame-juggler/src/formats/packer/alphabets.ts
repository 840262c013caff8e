import { putBits } from './bits.ts';
import { PrefixCode } from './prefix-code.ts';

/* The three alphabets of RFC 1951 (3.2.5 to 3.2.7): bytes, the end and lengths; distances; and lengths of codes. */

/** Ends a block. */
export const endOfBlock: i32 = 256;
const firstLength: i32 = 257;
/** A repeat has 3 to 258 bytes. */
const shortest: i32 = 3;
export const longest: i32 = 258;

export const symbols = new PrefixCode(286, 15);
export const distances = new PrefixCode(30, 15);
export const codeLengths = new PrefixCode(19, 7);

/** The codes that need not be told. */
export const fixedSymbols = new PrefixCode(288, 15);
export const fixedDistances = new PrefixCode(30, 15);
fixedSymbols.fix(0, 144, 8);
fixedSymbols.fix(144, 256, 9);
fixedSymbols.fix(256, 280, 7);
fixedSymbols.fix(280, 288, 8);
fixedSymbols.number();
fixedDistances.fix(0, 30, 5);
fixedDistances.number();

/** The symbol of each length, and of each symbol the shortest length and the bits that tell the rest of it. */
const symbolOfLength = heap.alloc(longest + 1);
const shortestOf = memory.data<u16>([
  3, 4, 5, 6, 7, 8, 9, 10, 11, 13, 15, 17, 19, 23, 27, 31, 35, 43, 51, 59, 67, 83, 99, 115, 131, 163, 195, 227, 258,
]);
const restBits = memory.data<u8>([0, 0, 0, 0, 0, 0, 0, 0, 1, 1, 1, 1, 2, 2, 2, 2, 3, 3, 3, 3, 4, 4, 4, 4, 5, 5, 5, 5, 0]);
for (let symbol = 0, length = shortest; length <= longest; length++) {
  if (symbol < 28 && length === load<u16>(shortestOf + 2 * (symbol + 1))) symbol++;
  store<u8>(symbolOfLength + length, <u8>symbol);
}

/** Counts a repeat of a length, from so far back less one. */
@inline
export function countRepeat(length: i32, distance: u32): void {
  symbols.count(firstLength + load<u8>(symbolOfLength + length));
  distances.count(symbolOfDistance(distance));
}

/** Writes a repeat in one code or the other. */
@inline
export function putRepeat(length: i32, distance: u32, symbolCode: PrefixCode, distanceCode: PrefixCode): void {
  const symbol = <i32>load<u8>(symbolOfLength + length);
  symbolCode.put(firstLength + symbol);
  putBits(length - load<u16>(shortestOf + 2 * symbol), load<u8>(restBits + symbol));
  const place = symbolOfDistance(distance);
  distanceCode.put(place);
  if (place < 4) return;
  const bits = (place >> 1) - 1;
  putBits(distance & ((1 << bits) - 1), bits);
}

/** From 4 on, two symbols for each power of two. */
@inline
function symbolOfDistance(distance: u32): i32 {
  if (distance < 4) return <i32>distance;
  const high = 31 - clz(distance);
  return (high << 1) + <i32>((distance >> (high - 1)) & 1);
}
