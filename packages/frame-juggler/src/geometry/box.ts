import type { Matrix } from './matrix.ts';

/** An upright box by its least and greatest coordinates. An empty box has `left` beyond `right`. */
export interface Box {
  /** The smallest x. */
  readonly left: number;
  /** The smallest y. */
  readonly top: number;
  /** The largest x. */
  readonly right: number;
  /** The largest y. */
  readonly bottom: number;
}

/** A box, and how large it is. */
export interface Bounds extends Box {
  /** From left to right; 0 of an empty one. */
  readonly width: number;
  /** From top to bottom; 0 of an empty one. */
  readonly height: number;
}

/** A box as it is told to whoever measures. */
export function boundsIn({ left, top, right, bottom }: Box): Bounds {
  return { left, top, right, bottom, width: Math.max(0, right - left), height: Math.max(0, bottom - top) };
}

/** The box with `by` more on every side. */
export function padBox(box: Box, by: number): Box {
  return { left: box.left - by, top: box.top - by, right: box.right + by, bottom: box.bottom + by };
}

/** The smallest upright box about a box under a transform. */
export function boxUnder(box: Box, [a, b, c, d, e, f]: Matrix): Box {
  const { left, top, right, bottom } = box;
  if (left > right) return box;
  return {
    left: Math.min(a * left, a * right) + Math.min(c * top, c * bottom) + e,
    top: Math.min(b * left, b * right) + Math.min(d * top, d * bottom) + f,
    right: Math.max(a * left, a * right) + Math.max(c * top, c * bottom) + e,
    bottom: Math.max(b * left, b * right) + Math.max(d * top, d * bottom) + f,
  };
}

/** What two boxes share; empty where they share nothing. */
export function intersectBoxes(one: Box, other: Box): Box {
  return {
    left: Math.max(one.left, other.left),
    top: Math.max(one.top, other.top),
    right: Math.min(one.right, other.right),
    bottom: Math.min(one.bottom, other.bottom),
  };
}
