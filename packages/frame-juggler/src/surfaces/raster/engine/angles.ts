import { acos } from '../../../maths/arc.ts';
import { cosineWithin, sineWithin } from '../../../maths/within.ts';

/** What `turn` has found last. */
export let sine: f64 = 0;
export let cosine: f64 = 1;

/** Finds sine and cosine of an angle in degrees, exact at multiples of 90. */
export function turn(degrees: f64): void {
  // Remainders are exact, so that far turns are as good as the first.
  const angle = degrees % 360;
  const quarters = Math.floor(angle / 90 + 0.5);
  const rest = ((angle - quarters * 90) * Math.PI) / 180;
  const s = sineWithin(rest, 0);
  const c = cosineWithin(rest, 0);
  const quarter = (<i32>quarters) & 3;
  // Adding 0 leaves no −0.
  sine = quarter === 0 ? s + 0 : quarter === 1 ? c : quarter === 2 ? 0 - s : 0 - c;
  cosine = quarter === 0 ? c : quarter === 1 ? 0 - s : quarter === 2 ? 0 - c : s + 0;
}

/** Degrees between two points of an arc whose chord lies `tolerance` from it: a chord over 2·α lies r·(1 - cos α) off. */
export function chordStep(radius: f64, tolerance: f64): f64 {
  return radius > tolerance ? acos(1 - tolerance / radius) * (360 / Math.PI) : 180;
}

/**
 * The directions of two points in turns from +x towards +y, 0 to 1: the arc tangent of Abramowitz and Stegun, 4.4.49, right
 * to 2e-8 radians.
 */
export function turns2(x: v128, y: v128): v128 {
  const across = f64x2.abs(y);
  const along = f64x2.abs(x);
  const isSteep = f64x2.gt(across, along);
  const longer = v128.bitselect(across, along, isSteep);
  const ratio = f64x2.div(v128.bitselect(along, across, isSteep), longer);
  const square = f64x2.mul(ratio, ratio);
  let sum = f64x2.splat(0.0028662257);
  sum = step2(sum, square, -0.0161657367);
  sum = step2(sum, square, 0.0429096138);
  sum = step2(sum, square, -0.07528964);
  sum = step2(sum, square, 0.1065626393);
  sum = step2(sum, square, -0.1420889944);
  sum = step2(sum, square, 0.1999355085);
  sum = step2(sum, square, -0.3333314528);
  sum = step2(sum, square, 1);
  const eighth = f64x2.div(f64x2.mul(sum, ratio), f64x2.splat(2 * Math.PI));
  const quarter = v128.bitselect(f64x2.sub(f64x2.splat(0.25), eighth), eighth, isSteep);
  const zero = f64x2.splat(0);
  const half = v128.bitselect(f64x2.sub(f64x2.splat(0.5), quarter), quarter, f64x2.lt(x, zero));
  const whole = v128.bitselect(f64x2.sub(f64x2.splat(1), half), half, f64x2.lt(y, zero));
  // The point itself has no direction.
  return v128.and(whole, f64x2.ne(longer, zero));
}

@inline
function step2(sum: v128, square: v128, next: f64): v128 {
  return f64x2.add(f64x2.mul(sum, square), f64x2.splat(next));
}
