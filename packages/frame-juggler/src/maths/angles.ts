import { callWatch, type WatchedCall } from '../call-watch.ts';
import * as arc from './arc.ts';
import * as sine from './sine.ts';

/* The functions of angles as sketches call them: whoever watches a sketch hears of each call. */

function told(call: WatchedCall, given: number, result: number): number {
  callWatch.onCall?.(call, [given], result);
  return result;
}

/** The sine of an angle in radians. */
export function sin(x: number): number {
  return told('maths.sin', x, sine.sin(x));
}

/** The cosine of an angle in radians. */
export function cos(x: number): number {
  return told('maths.cos', x, sine.cos(x));
}

/** The tangent of an angle in radians. */
export function tan(x: number): number {
  return told('maths.tan', x, sine.tan(x));
}

/** The angle whose sine is `x`, in radians from −π/2 to π/2. */
export function asin(x: number): number {
  return told('maths.asin', x, arc.asin(x));
}

/** The angle whose cosine is `x`, in radians from 0 to π. */
export function acos(x: number): number {
  return told('maths.acos', x, arc.acos(x));
}

/** The angle whose tangent is `x`, in radians from −π/2 to π/2. */
export function atan(x: number): number {
  return told('maths.atan', x, arc.atan(x));
}

/** The direction of the point (`x`, `y`) from the origin, in radians from −π to π: 0 along +x, π/2 along +y. */
export function atan2(y: number, x: number): number {
  return told('maths.atan2', y, arc.atan2(y, x));
}
