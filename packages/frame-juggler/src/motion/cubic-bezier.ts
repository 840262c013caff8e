import type { Easing } from './easing-families.ts';

/**
 * The easing of CSS Easing 2, 2.2: a Bézier curve from (0, 0) to (1, 1), with x1 and x2 from 0 to 1, read as its height y
 * above x. The place on the curve is found by Newton's steps, and by halving where those lead out of what is left.
 * Before 0 and beyond 1 it goes on straight, as it leads there.
 */
export function cubicBezier(x1: number, y1: number, x2: number, y2: number): Easing {
  const along = polynomial(x1, x2);
  const above = polynomial(y1, y2);
  return (progress) => {
    if (progress <= 0) return progress === 0 ? 0 : progress * slopeAtEnd(x1, y1, x2, y2);
    if (progress >= 1) return progress === 1 ? 1 : 1 + (progress - 1) * slopeAtEnd(1 - x2, 1 - y2, 1 - x1, 1 - y1);
    let [low, high, t] = [0, 1, progress];
    for (let step = 0; step < 60; step++) {
      const error = along.at(t) - progress;
      if (Math.abs(error) < 1e-14) break;
      if (error > 0) high = t;
      else low = t;
      const next = t - error / along.slope(t);
      t = next > low && next < high ? next : (low + high) / 2;
    }
    return above.at(t);
  };
}

/** How a curve leads at its beginning: towards its first control point, or the second where that is no other point. */
function slopeAtEnd(x1: number, y1: number, x2: number, y2: number): number {
  if (x1 > 0) return y1 / x1;
  if (y1 === 0 && x2 > 0) return y2 / x2;
  return y1 === 0 && y2 === 0 ? 1 : 0;
}

/** One coordinate of the curve, by the part `t` of the way: from 0 past two control points to 1. */
function polynomial(p1: number, p2: number): { at: (t: number) => number; slope: (t: number) => number } {
  const c = 3 * p1;
  const b = 3 * (p2 - p1) - c;
  const a = 1 - c - b;
  return { at: (t) => ((a * t + b) * t + c) * t, slope: (t) => (3 * a * t + 2 * b) * t + c };
}
