import { sinCos } from '../maths/degrees.ts';
import { determinant, multiply, type Matrix } from './matrix.ts';

/**
 * Which way a plane that leans faces: its third axis, as far as it is seen straight on. With the affine transform that
 * the plane makes on the screen this is all that a further lean asks for: how deep the axes run is never seen.
 */
export type Lean = readonly [x: number, y: number];

/** A plane's place in space, and what of it is seen straight on. */
export interface Plane {
  readonly matrix: Matrix;
  readonly lean: Lean | undefined;
}

/** A plane after a transform within it. */
export function transformPlane({ matrix, lean }: Plane, by: Matrix): Plane {
  if (lean === undefined) return { matrix: multiply(matrix, by), lean };
  const factor = thickness(by);
  return { matrix: multiply(matrix, by), lean: [lean[0] * factor, lean[1] * factor] };
}

/**
 * A plane leaned out of the screen about its own x axis and then its y axis, in degrees, and seen straight on: the
 * rotations Rx · Ry in space, of which what comes towards the eye is left out.
 */
export function tiltPlane({ matrix, lean }: Plane, aboutX: number, aboutY: number): Plane {
  const [a, b, c, d, e, f] = matrix;
  const [nx, ny] = lean ?? [0, 0];
  const { sin: sx, cos: cx } = sinCos(aboutX);
  const { sin: sy, cos: cy } = sinCos(aboutY);
  const along = (u: number, v: number, w: number): Lean => [a * u + c * v + nx * w, b * u + d * v + ny * w];
  return {
    matrix: [...along(cy, sx * sy, -cx * sy), ...along(0, cx, sx), e, f],
    lean: along(sy, -sx * cy, cx * cy),
  };
}

/** How far a transform of the plane takes the third axis with it: as far as it takes the other two on average. */
function thickness(matrix: Matrix): number {
  return Math.sqrt(Math.abs(determinant(matrix)));
}
