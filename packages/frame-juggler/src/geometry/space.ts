import { sinCos } from './angle.ts';
import { determinant, multiply, type Matrix } from './matrix.ts';

type Vector = readonly [x: number, y: number, z: number];

/**
 * How a flat plane lies in space, beside the affine transform that it makes on the screen: how deep its two axes run,
 * and which way it faces. It is kept from the first lean on, so that leans add up as turns in space do.
 */
export interface Lean {
  /** The z of the plane's x axis and of its y axis. */
  readonly depth: readonly [number, number];
  /** The plane's third axis. */
  readonly normal: Vector;
}

/** A plane's place in space, and what of it is seen straight on. */
export interface Plane {
  readonly matrix: Matrix;
  readonly lean: Lean | undefined;
}

/** A plane after a transform within it. */
export function transformPlane({ matrix, lean }: Plane, by: Matrix): Plane {
  const [a, b, c, d] = by;
  return {
    matrix: multiply(matrix, by),
    lean: lean && {
      depth: [lean.depth[0] * a + lean.depth[1] * b, lean.depth[0] * c + lean.depth[1] * d],
      normal: scaled(lean.normal, thickness(by)),
    },
  };
}

/**
 * A plane leaned out of the screen about its own x axis and then its y axis, in degrees, and seen straight on: the
 * rotations Rx · Ry in space, of which what comes towards the eye is left out.
 */
export function tiltPlane({ matrix, lean }: Plane, aboutX: number, aboutY: number): Plane {
  const { depth, normal } = lean ?? { depth: [0, 0], normal: [0, 0, thickness(matrix)] };
  const x: Vector = [matrix[0], matrix[1], depth[0]];
  const y: Vector = [matrix[2], matrix[3], depth[1]];
  const { sin: sx, cos: cx } = sinCos(aboutX);
  const { sin: sy, cos: cy } = sinCos(aboutY);
  const along = ([u, v, w]: Vector): Vector => [
    x[0] * u + y[0] * v + normal[0] * w,
    x[1] * u + y[1] * v + normal[1] * w,
    x[2] * u + y[2] * v + normal[2] * w,
  ];
  const newX = along([cy, sx * sy, -cx * sy]);
  const newY = along([0, cx, sx]);
  return {
    matrix: [newX[0], newX[1], newY[0], newY[1], matrix[4], matrix[5]],
    lean: { depth: [newX[2], newY[2]], normal: along([sy, -sx * cy, cx * cy]) },
  };
}

/** How far a transform of the plane takes the third axis with it: as far as it takes the other two on average. */
function thickness(matrix: Matrix): number {
  return Math.sqrt(Math.abs(determinant(matrix)));
}

function scaled([x, y, z]: Vector, factor: number): Vector {
  return [x * factor, y * factor, z * factor];
}
