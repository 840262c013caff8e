import { callWatch } from '../call-watch.ts';
import { atan2 } from '../maths/arc.ts';
import { sinCos } from '../maths/degrees.ts';
import { degrees, finite } from '../schema/kind.ts';
import { point, xOf, yOf, type Place, type Point } from '../schema/point.ts';
import { optional, type Options, schemaOf } from '../schema/schema.ts';

/** Converts radians to degrees, which everything here takes. @throws SketchError where the value is not a finite number */
export function fromRadians(radians: number): number {
  return (finite.read('fromRadians', 'radians', radians) * 180) / Math.PI;
}

/**
 * Converts turns to degrees, which everything here takes: 0.25 is a quarter turn, 90 degrees. Throws a SketchError where the
 * value is not a finite number.
 */
export function fromTurns(turns: number): number {
  return finite.read('fromTurns', 'turns', turns) * 360;
}

const polarTable = {
  /** In degrees: 0 along +x, clockwise on screen. */
  angle: degrees,
  /** How far it is, in units. */
  distance: finite,
  /** The point that it is seen from; by default the origin, so that what is given is a step that way. */
  from: optional(point),
};
/** Where a point lies, seen from another. */
export interface PolarOptions extends Options<typeof polarTable> {}
const polarOptions = schemaOf(polarTable, '{ angle: 30, distance: 100 }');

/**
 * The point at an angle and a distance from another, by its polar coordinates. They have names, as some write the angle
 * first and some the distance. Exact at multiples of 90 degrees.
 * @throws SketchError where a number is not finite
 */
export function polar(options: PolarOptions): Place {
  polarOptions.check('polar', options);
  callWatch.onCall?.('polar', [options]);
  const { angle, distance, from = [0, 0] } = options;
  const { sin, cos } = sinCos(angle);
  return { x: xOf(from) + distance * cos, y: yOf(from) + distance * sin };
}

/**
 * The angle at which one point is seen from another, in degrees above -180 and up to 180: 0 along +x, clockwise on screen. A
 * point seen from itself lies at 0.
 * @throws SketchError where one of them is not a point
 */
export function heading(from: Point, to: Point): number {
  point.read('heading', 'from', from);
  point.read('heading', 'to', to);
  // A difference of -0 would turn straight back into -180.
  return (atan2(yOf(to) - yOf(from) + 0, xOf(to) - xOf(from) + 0) * 180) / Math.PI;
}
