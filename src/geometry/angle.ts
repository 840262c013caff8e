import { finite } from '../options.ts';

/** Radians as the degrees that everything here takes. Throws a SketchError where the value is not a finite number. */
export function radians(value: number): number {
  return (finite('radians', 'value', value) * 180) / Math.PI;
}

/**
 * Turns as the degrees that everything here takes: 0.25 is a quarter turn, 90 degrees. Throws a SketchError where the
 * value is not a finite number.
 */
export function turns(value: number): number {
  return finite('turns', 'value', value) * 360;
}

const quarterSines = [0, 1, 0, -1];

/** Sine and cosine of an angle in degrees, exact at multiples of 90. */
export function sinCos(degrees: number): { sin: number; cos: number } {
  const quarter = degrees / 90;
  if (Number.isInteger(quarter)) {
    const index = ((quarter % 4) + 4) % 4;
    return { sin: quarterSines[index], cos: quarterSines[(index + 1) % 4] };
  }
  const angle = (degrees * Math.PI) / 180;
  return { sin: Math.sin(angle), cos: Math.cos(angle) };
}
