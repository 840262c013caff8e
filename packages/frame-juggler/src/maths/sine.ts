/*
 * Sine and cosine by the method of fdlibm (FDLIBM-LICENSE.txt; k_sin.c, k_cos.c, e_rem_pio2.c): the angle is brought
 * within an eighth of a turn, where a polynomial is right to less than one unit in the last place.
 */
import { cosineWithin, sineWithin } from './within.ts';
import { remainderOfFar, type Reduced } from './far-angle.ts';

/** π/2 in parts of 33 bits, so that a product with fewer than 2 ^ 20 quarters is exact; the last is what follows them. */
const half1 = 1.57079632673412561417;
const half2 = 6.0771005063039659766e-11;
const half3 = 2.0222662487111664558e-21;
const half3Tail = 8.47842766036889956997e-32;

function reduce(x: number): Reduced {
  const quarters = Math.round(x / (Math.PI / 2));
  if (quarters === 0) return { quarters, rest: x, tail: 0 };
  if (Math.abs(quarters) >= 1 << 20) return remainderOfFar(x);
  const first = x - quarters * half1;
  const second = first - quarters * half2;
  const lost2 = first - second - quarters * half2;
  const third = second - quarters * half3;
  const lost3 = second - third - quarters * half3;
  const small = lost2 + lost3 - quarters * half3Tail;
  const rest = third + small;
  return { quarters, rest, tail: third - rest + small };
}

/** The sine of an angle in radians. */
export function sin(x: number): number {
  return sineOf(reduce(x), 0);
}

/** The cosine of an angle in radians. */
export function cos(x: number): number {
  return sineOf(reduce(x), 1);
}

/** The tangent of an angle in radians. */
export function tan(x: number): number {
  const reduced = reduce(x);
  return sineOf(reduced, 0) / sineOf(reduced, 1);
}

/** The sine, so many quarter turns on. */
function sineOf({ quarters, rest, tail }: Reduced, further: number): number {
  const quarter = (quarters + further) & 3;
  const value = quarter & 1 ? cosineWithin(rest, tail) : sineWithin(rest, tail);
  return quarter & 2 ? -value : value;
}
