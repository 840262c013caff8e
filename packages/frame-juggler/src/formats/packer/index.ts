import { addToSum, beginSum, sum } from './sum.ts';
import { beginBits, written } from './bits.ts';
import { beginTokens, findRepeats } from './repeats.ts';
import { writeBlock } from './block.ts';
import { mostAtOnce, reach, whereOutputLies, window } from './room.ts';

/*
 * The rows of a picture packed as zlib data (RFC 1950, RFC 1951), in WebAssembly. zlib looks for repeats anywhere, along
 * a list of places; a drawing repeats the pixel before and the row above, so these two are looked at first, and of all
 * other places one. A picture goes through these files:
 *
 *   repeats → block → prefix-code, bits, and sum beside them
 *
 * The bytes come in parts, as they are never all needed at once: only what lies within reach of the next part is kept.
 */

export { mostAtOnce, sum };

/** How many bytes there are from before the part at hand. */
let kept: i32 = 0;

/** Begins another picture. */
export function begin(): void {
  kept = 0;
  beginSum();
  beginTokens();
  beginBits();
}

/** Where the next part of the bytes is to be put. */
export function input(): usize {
  return window + kept;
}

/** Where that which `pack` returns is found. */
export function output(): usize {
  return whereOutputLies;
}

/**
 * Packs so many bytes at the input.
 * @param perPixel how many bytes a pixel has
 * @param perRow how many bytes a row has
 * @returns how many bytes there are at the output
 */
export function pack(count: i32, perPixel: i32, perRow: i32): i32 {
  addToSum(window + kept, count);
  findRepeats(window + kept, count, perPixel, perRow);
  const end = window + kept + count;
  kept = min(kept + count, reach);
  memory.copy(window, end - kept, kept);
  return written();
}

/** Ends the picture; returns how many bytes there are at the output. */
export function finish(): i32 {
  writeBlock(true);
  return written();
}
