import { distances, longest, symbols } from './alphabets.ts';
import { writeBlock } from './block.ts';
import { reach, window } from './room.ts';
import { addByte, addRepeat, areFull, forgetTokens } from './tokens.ts';

/*
 * Finds what bytes repeat (LZ77): the longest of the pixel before, the row above, and the place where the same four
 * bytes last were. A place further back has to give two bytes more, as it takes more bits to tell.
 */

/** So long a repeat is taken without a look at the next place. */
const goodOfPixel = 64;
const goodOfRow = 32;
/** Within so short a repeat places are remembered, so that what looks alike later is found there. */
const mostRemembered = 16;

/** Where four bytes last were, by their hash: their place in all of the picture, counted on from one beyond reach. */
const placeBits = 15;
const places = heap.alloc(4 << placeBits);
let done: u32 = 0;

/** Forgets all bytes before. */
export function beginTokens(): void {
  done = 2 * reach;
  memory.fill(places, 0, 4 << placeBits);
  symbols.forget();
  distances.forget();
  forgetTokens();
}

/** Makes tokens of so many bytes, and blocks of tokens wherever there are enough. */
export function findRepeats(from: usize, count: i32, perPixel: i32, perRow: i32): void {
  const end = from + count;
  const before = done - <u32>from;
  const firstWithPixel = window + perPixel;
  const firstWithRow = perRow > reach ? usize.MAX_VALUE : window + perRow;
  let at = from;
  while (at + 4 <= end) {
    const four = load<u32>(at);
    const place = placeOf(four);
    const now = before + <u32>at;
    const away = now - load<u32>(place);
    store<u32>(place, now);
    // Asked all at once, and only then decided: most bytes repeat none of the three, and are guessed so by the processor.
    const likePixel = at >= firstWithPixel && sameThree(at - perPixel, four);
    const likeRow = at >= firstWithRow && sameThree(at - perRow, four);
    const likePlace = i32(away <= <u32>reach) & i32(load<u32>(select<usize>(at - away, window, away <= <u32>reach)) === four);
    if (!(i32(likePixel) | i32(likeRow) | likePlace)) {
      addByte(four & 255);
      at++;
    } else {
      const most = min(longest, <i32>(end - at));
      let length = 0;
      let back: u32 = perPixel;
      if (likePixel) length = alike(at, at - perPixel, most);
      if (likeRow && length < goodOfPixel) {
        const other = alike(at, at - perRow, most);
        if (other > length + 1) {
          length = other;
          back = perRow;
        }
      }
      if (likePlace && length < goodOfRow) {
        const other = alike(at, at - away, most);
        if (other > length + 1) {
          length = other;
          back = away;
        }
      }
      addRepeat(length, back);
      const next = at + length;
      if (length <= mostRemembered) for (at++; at < next; at++) store<u32>(placeOf(load<u32>(at)), before + <u32>at);
      at = next;
    }
    if (areFull()) writeBlock(false);
  }
  for (; at < end; at++) {
    addByte(load<u8>(at));
    if (areFull()) writeBlock(false);
  }
  done += count;
}

/** Whether the three bytes at a place are the lower three of a word. */
@inline
function sameThree(at: usize, four: u32): bool {
  return ((load<u32>(at) ^ four) & 0xffffff) === 0;
}

/** Where the last place of four bytes is kept (Fibonacci hashing: the golden ratio spreads them). */
@inline
function placeOf(four: u32): usize {
  return places + (((four * 0x9e3779b1) >> (32 - placeBits)) << 2);
}

/** How many bytes from one place and from another are the same, at most so many. */
@inline
function alike(one: usize, other: usize, most: i32): i32 {
  for (let length = 0; length < most; length += 16) {
    const differ = ~i8x16.bitmask(i8x16.eq(v128.load(one + length), v128.load(other + length))) & 0xffff;
    if (differ !== 0) return min(length + ctz(differ), most);
  }
  return most;
}
