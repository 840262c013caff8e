import { cosineWithin, sineWithin } from './within.ts';

/** Sine and cosine of an angle in degrees, exact at multiples of 90. */
export function sinCos(degrees: number): { sin: number; cos: number } {
  // Remainders are exact, so that far turns are as good as the first.
  const angle = degrees % 360;
  const quarters = Math.round(angle / 90);
  const rest = ((angle - quarters * 90) * Math.PI) / 180;
  const sin = sineWithin(rest, 0);
  const cos = cosineWithin(rest, 0);
  // Adding 0 leaves no −0.
  if (quarters & 1) return quarters & 2 ? { sin: 0 - cos, cos: sin + 0 } : { sin: cos, cos: 0 - sin };
  return quarters & 2 ? { sin: 0 - sin, cos: 0 - cos } : { sin: sin + 0, cos };
}
