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
