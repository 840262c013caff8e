import { one, right } from './cells.ts';
import { paintCovered } from './spans.ts';

/* The cells of a row, four at a time: summed from the left, told as coverage, and painted. */

/** Coverages of adjacent pixels, a byte each; this many at most. */
export const maxCoverages: i32 = 128;
export const coverages = memory.data(128 + 16);

/** Four cells, each with all before it. */
@inline
export function summed(at: usize, before: v128): v128 {
  const none = i64x2.splat(0);
  let sum = v128.load(at);
  sum = i32x4.add(sum, v128.shuffle<i32>(none, sum, 0, 4, 5, 6));
  sum = i32x4.add(sum, v128.shuffle<i32>(none, sum, 0, 1, 4, 5));
  return i32x4.add(sum, before);
}

/** The last of four sums, four times. */
@inline
export function last(sums: v128): v128 {
  return v128.shuffle<i32>(sums, sums, 3, 3, 3, 3);
}

/** Winding times area as coverages from 0 to 255: four bytes of a word, the first one lowest. */
@inline
export function asCoverages(sums: v128, evenOdd: bool): u32 {
  let area = i32x4.abs(sums);
  if (evenOdd) {
    area = v128.and(area, i32x4.splat(2 * one - 1));
    area = i32x4.min_s(area, i32x4.sub(i32x4.splat(2 * one), area));
  } else area = i32x4.min_s(area, i32x4.splat(one));
  const words = i32x4.shr_u(i32x4.add(i32x4.mul(area, i32x4.splat(255)), i32x4.splat(one >> 1)), 20);
  const halves = i16x8.narrow_i32x4_s(words, words);
  return i32x4.extract_lane(i8x16.narrow_i16x8_u(halves, halves), 0);
}

/** Four coverages from 0 to 1 as bytes of a word: the lowest bits of their sums with a number that leaves no room for more. */
@inline
export function bytesOf(covered: v128): u32 {
  const words = f32x4.add(f32x4.mul(covered, f32x4.splat(255)), f32x4.splat(8388608));
  return i32x4.extract_lane(v128.shuffle<i8>(words, words, 0, 4, 8, 12, 0, 4, 8, 12, 0, 4, 8, 12, 0, 4, 8, 12), 0);
}

/** Paints adjacent pixels by their coverages, as far as they lie on the canvas: edges spill to the right of it. */
export function paintCoverages(from: i32, y: i32, to: i32): void {
  const count = min(to, right) - from;
  if (count <= 0) return;
  if (to > right) store<u32>(coverages + count, 0);
  paintCovered(from, y, count, coverages);
}
