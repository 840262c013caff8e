import { sinCos } from '../maths/degrees.ts';

/**
 * An affine transform `[a, b, c, d, e, f]` in the order of SVG's `matrix()` and the canvas standard:
 * x' = a·x + c·y + e and y' = b·x + d·y + f.
 */
export type Matrix = readonly [a: number, b: number, c: number, d: number, e: number, f: number];

export const identity: Matrix = [1, 0, 0, 1, 0, 0];

/** The transform that applies `inner` first and `outer` to what it gives. */
export function multiply(outer: Matrix, inner: Matrix): Matrix {
  const [a, b, c, d, e, f] = outer;
  const [a2, b2, c2, d2, e2, f2] = inner;
  return [a * a2 + c * b2, b * a2 + d * b2, a * c2 + c * d2, b * c2 + d * d2, a * e2 + c * f2 + e, b * e2 + d * f2 + f];
}

export function translation(x: number, y: number): Matrix {
  return [1, 0, 0, 1, x, y];
}

/** A turn from +x towards +y, in degrees; multiples of 90 are exact. */
export function rotation(degrees: number): Matrix {
  const { sin, cos } = sinCos(degrees);
  return [cos, sin, -sin, cos, 0, 0];
}

export function scaling(x: number, y: number): Matrix {
  return [x, 0, 0, y, 0, 0];
}

/** A skew by two angles in degrees, as CSS `skew(ax, ay)`: x' = x + y·tan ax and y' = y + x·tan ay. */
export function skewing(ax: number, ay: number): Matrix {
  return [1, tangent(ay), tangent(ax), 1, 0, 0];
}

/** `m` with the point `(x, y)` as its origin, so that the point stays where it is. */
export function aboutPoint(m: Matrix, x: number, y: number): Matrix {
  return multiply(multiply(translation(x, y), m), translation(-x, -y));
}

/** How much `m` multiplies areas; negative where it mirrors, 0 where it squashes the plane. */
export function determinant(m: Matrix): number {
  return m[0] * m[3] - m[1] * m[2];
}

/** The transform that undoes `m`, or undefined where none does (something is squashed flat, or not finite). */
export function inverse(m: Matrix): Matrix | undefined {
  const [a, b, c, d, e, f] = m;
  const det = determinant(m);
  if (det === 0 || !Number.isFinite(det)) return undefined;
  const result: Matrix = [d / det, -b / det, -c / det, a / det, (c * f - d * e) / det, (b * e - a * f) / det];
  return result.every(Number.isFinite) ? result : undefined;
}

/** Where `m` takes the point `(x, y)`. */
export function apply(m: Matrix, x: number, y: number): [number, number] {
  return [m[0] * x + m[2] * y + m[4], m[1] * x + m[3] * y + m[5]];
}

/**
 * The most that `m` stretches any length: its larger singular value,
 * from σ² = (S + √(S² − 4·det²)) / 2 with S the sum of the squares of a, b, c and d.
 */
export function largestScale(m: Matrix): number {
  const [a, b, c, d] = m;
  const sum = a * a + b * b + c * c + d * d;
  const det = determinant(m);
  return Math.sqrt((sum + Math.sqrt(Math.max(0, sum * sum - 4 * det * det))) / 2);
}

/** Exact at odd multiples of 45 too. */
function tangent(degrees: number): number {
  const eighth = (degrees - 45) / 90;
  if (Number.isInteger(eighth)) return eighth % 2 === 0 ? 1 : -1;
  const { sin, cos } = sinCos(degrees);
  return sin / cos;
}
