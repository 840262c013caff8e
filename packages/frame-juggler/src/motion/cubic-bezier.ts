import type { Easing } from './easing-families.ts';

/**
 * The easing of CSS Easing 2, 2.2: a Bézier curve from (0, 0) to (1, 1), with x1 and x2 from 0 to 1, read as its height y
 * above x. The place on the curve is found by Newton's steps, and by halving where those lead out of what is left.
 */
export function cubicBezier(x1: number, y1: number, x2: number, y2: number): Easing {
  const along = polynomial(x1, x2);
  const above = polynomial(y1, y2);
  return (progress) => {
    if (progress <= 0) return 0;
    if (progress >= 1) return 1;
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

/** One coordinate of the curve, by the part `t` of the way: from 0 past two control points to 1. */
function polynomial(p1: number, p2: number): { at: (t: number) => number; slope: (t: number) => number } {
  const c = 3 * p1;
  const b = 3 * (p2 - p1) - c;
  const a = 1 - c - b;
  return { at: (t) => ((a * t + b) * t + c) * t, slope: (t) => (3 * a * t + 2 * b) * t + c };
}
