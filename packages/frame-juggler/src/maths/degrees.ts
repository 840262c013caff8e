import { cosineWithin, sineWithin } from './sine.ts';

/** Sine and cosine of an angle in degrees, exact at multiples of 90. */
export function sinCos(degrees: number): { sin: number; cos: number } {
  // Remainders are exact, so that far turns are as good as the first.
  const angle = degrees % 360;
  const quarters = Math.round(angle / 90);
  const rest = ((angle - quarters * 90) * Math.PI) / 180;
  const sin = sineWithin(rest);
  const cos = cosineWithin(rest);
  // Adding 0 leaves no −0.
  if (quarters & 1) return quarters & 2 ? { sin: 0 - cos, cos: sin + 0 } : { sin: cos, cos: 0 - sin };
  return quarters & 2 ? { sin: 0 - sin, cos: 0 - cos } : { sin: sin + 0, cos };
}

/**
 * The direction of a point in turns from +x towards +y, 0 to 1: the arc tangent of Abramowitz and Stegun, 4.4.49, right
 * to 2e-8 radians. What engines have of their own may differ from one to the next in its last digits.
 */
export function turnOf(x: number, y: number): number {
  const [across, along] = [Math.abs(y), Math.abs(x)];
  if (across === 0 && along === 0) return 0;
  const steep = across > along;
  const ratio = steep ? along / across : across / along;
  const square = ratio * ratio;
  let sum = 0.0028662257;
  sum = sum * square - 0.0161657367;
  sum = sum * square + 0.0429096138;
  sum = sum * square - 0.07528964;
  sum = sum * square + 0.1065626393;
  sum = sum * square - 0.1420889944;
  sum = sum * square + 0.1999355085;
  sum = sum * square - 0.3333314528;
  const eighth = ((sum * square + 1) * ratio) / (2 * Math.PI);
  const quarter = steep ? 0.25 - eighth : eighth;
  const half = x < 0 ? 0.5 - quarter : quarter;
  return y < 0 ? 1 - half : half;
}
