import { finite } from '../schema/kind.ts';

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
