import { codeLengths, distances, endOfBlock, fixedDistances, fixedSymbols, putRepeat, symbols } from './alphabets.ts';
import { endBits, putBits, settle } from './bits.ts';
import { PrefixCode } from './prefix-code.ts';
import { isRepeat, lengthOf, distanceOf, tokensEnd, forgetTokens, tokens } from './tokens.ts';

/*
 * Tokens as a block of RFC 1951 (3.2.3 to 3.2.7): in codes of its own, which it begins with, or in the fixed ones where
 * those take fewer bits.
 */

/** In which order the lengths of the codes of lengths are told (RFC 1951, 3.2.7). */
const lengthOrder = memory.data<u8>([16, 17, 18, 0, 8, 7, 9, 6, 10, 5, 11, 4, 12, 3, 13, 2, 14, 1, 15]);
/** Lengths that are told as runs: the length before again, or none, a few or many times. */
const again = 16;
const fewNone = 17;
const manyNone = 18;

/** What the head says of the lengths: a symbol, and how often in the higher bits. */
const said = heap.alloc(4 * (286 + 30));
let saidCount = 0;

/** Writes the tokens, and forgets them. */
export function writeBlock(isLast: bool): void {
  symbols.count(endOfBlock);
  symbols.make();
  distances.make();
  const symbolCount = symbols.used(257);
  const distanceCount = distances.used(1);
  sayLengths(symbolCount, distanceCount);
  codeLengths.make();
  let orderCount = 19;
  while (codeLengths.lengthOf(load<u8>(lengthOrder + orderCount - 1)) === 0) orderCount--;

  const headBits: u32 = <u32>(14 + 3 * orderCount) + codeLengths.bitsWith(codeLengths) + restOfSaid();
  const own = headBits + symbols.bitsWith(symbols) + distances.bitsWith(distances);
  const fixed = symbols.bitsWith(fixedSymbols) + distances.bitsWith(fixedDistances);
  putBits(isLast ? 1 : 0, 1);
  if (fixed <= own) {
    putBits(1, 2);
    putTokens(fixedSymbols, fixedDistances);
  } else {
    putBits(2, 2);
    putBits(symbolCount - 257, 5);
    putBits(distanceCount - 1, 5);
    putBits(orderCount - 4, 4);
    settle();
    for (let i = 0; i < orderCount; i++) {
      putBits(codeLengths.lengthOf(load<u8>(lengthOrder + i)), 3);
      settle();
    }
    putSaid();
    putTokens(symbols, distances);
  }
  if (isLast) endBits();
  symbols.forget();
  distances.forget();
  codeLengths.forget();
  forgetTokens();
}

function putTokens(symbolCode: PrefixCode, distanceCode: PrefixCode): void {
  for (let at = tokens; at < tokensEnd; at += 4) {
    const token = load<u32>(at);
    if (isRepeat(token)) putRepeat(lengthOf(token), distanceOf(token), symbolCode, distanceCode);
    else symbolCode.put(token);
    settle();
  }
  symbolCode.put(endOfBlock);
  settle();
}

/** Says which lengths the codes of both alphabets have, runs in short. */
function sayLengths(symbolCount: i32, distanceCount: i32): void {
  const all = symbolCount + distanceCount;
  saidCount = 0;
  for (let from = 0, end = 0; from < all; from = end) {
    const length = lengthAt(from, symbolCount);
    end = from + 1;
    while (end < all && lengthAt(end, symbolCount) === length) end++;
    let left = end - from;
    if (length !== 0) {
      say(length, 0);
      left--;
    }
    while (left >= 3) {
      const count = min(left, length === 0 ? 138 : 6);
      if (length !== 0) say(again, count - 3);
      else if (count < 11) say(fewNone, count - 3);
      else say(manyNone, count - 11);
      left -= count;
    }
    for (; left > 0; left--) say(length, 0);
  }
}

@inline
function lengthAt(place: i32, symbolCount: i32): i32 {
  return place < symbolCount ? symbols.lengthOf(place) : distances.lengthOf(place - symbolCount);
}

function say(symbol: i32, rest: i32): void {
  codeLengths.count(symbol);
  store<u32>(said + 4 * saidCount++, symbol | (rest << 8));
}

@inline
function restBits(symbol: i32): i32 {
  return symbol < again ? 0 : symbol === again ? 2 : symbol === fewNone ? 3 : 7;
}

function restOfSaid(): u32 {
  let bits: u32 = 0;
  for (let i = 0; i < saidCount; i++) bits += restBits(load<u8>(said + 4 * i));
  return bits;
}

function putSaid(): void {
  for (let i = 0; i < saidCount; i++) {
    const symbol = <i32>load<u8>(said + 4 * i);
    codeLengths.put(symbol);
    putBits(load<u32>(said + 4 * i) >> 8, restBits(symbol));
    settle();
  }
}
