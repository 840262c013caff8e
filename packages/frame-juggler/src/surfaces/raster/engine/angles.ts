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
 * The directions of four points in turns from +x towards +y, 0 to 1, in 32-bit floats: the arc tangent of Abramowitz and
 * Stegun, 4.4.49, right to 2e-8 radians but for their roundings.
 */
export function turns4(x: v128, y: v128): v128 {
  const across = f32x4.abs(y);
  const along = f32x4.abs(x);
  const isSteep = f32x4.gt(across, along);
  const longer = v128.bitselect(across, along, isSteep);
  const ratio = f32x4.div(v128.bitselect(along, across, isSteep), longer);
  const square = f32x4.mul(ratio, ratio);
  // In pairs: a chain of nine terms would wait for each.
  const fourth = f32x4.mul(square, square);
  const eighthPower = f32x4.mul(fourth, fourth);
  const low = sum4(pair4(square, 1, -0.3333314528), fourth, pair4(square, 0.1999355085, -0.1420889944));
  const high = sum4(pair4(square, 0.1065626393, -0.07528964), fourth, pair4(square, 0.0429096138, -0.0161657367));
  const most = sum4(high, eighthPower, f32x4.splat(0.0028662257));
  const sum = sum4(low, eighthPower, most);
  const eighth = f32x4.mul(f32x4.mul(sum, ratio), f32x4.splat(<f32>(0.5 / Math.PI)));
  const quarter = v128.bitselect(f32x4.sub(f32x4.splat(0.25), eighth), eighth, isSteep);
  const zero = f32x4.splat(0);
  const half = v128.bitselect(f32x4.sub(f32x4.splat(0.5), quarter), quarter, f32x4.lt(x, zero));
  const whole = v128.bitselect(f32x4.sub(f32x4.splat(1), half), half, f32x4.lt(y, zero));
  // The point itself has no direction, nor has one at infinity.
  return v128.and(whole, f32x4.eq(ratio, ratio));
}

/** a + b · x */
@inline
function pair4(x: v128, a: f32, b: f32): v128 {
  return sum4(f32x4.splat(a), x, f32x4.splat(b));
}

/** a + x · b */
@inline
function sum4(a: v128, x: v128, b: v128): v128 {
  return f32x4.add(a, f32x4.mul(x, b));
}
