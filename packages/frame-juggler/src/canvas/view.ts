import { identity, multiply, scaling, translation, type Matrix } from '../geometry/matrix.ts';
import { kindOf, oneOf, type ValueOf } from '../schema/kind.ts';
import { optional, type Options } from '../schema/schema.ts';
import type { Surroundings } from '../shapes/kind.ts';

/** A sketch's own units: the box `[x, y, width, height]` of them that the canvas shows. */
export type ViewBox = readonly [x: number, y: number, width: number, height: number];

const yAxis = oneOf('down', 'up');
/** Which way y grows. */
export type YAxis = ValueOf<typeof yAxis>;

const alignments = { Min: 0, Mid: 0.5, Max: 1 } as const;
const ratioPattern = /^(?:none|x(Min|Mid|Max)Y(Min|Mid|Max)(?:\s+(meet|slice))?)$/;

const isViewBox = (value: unknown): boolean =>
  Array.isArray(value) && value.length === 4 && value.every(Number.isFinite);

export const viewTable = {
  /** Units of the sketch's own: the box of them that the canvas shows, `[x, y, width, height]`. */
  viewBox: optional(
    kindOf<ViewBox>(
      '[x, y, width, height], its width and height above 0',
      (value) => isViewBox(value) && (value as ViewBox)[2] > 0 && (value as ViewBox)[3] > 0,
      (value) => (isViewBox(value) ? 'has no area' : 'is not a box of four finite numbers'),
    ),
  ),
  /** SVG's rule for a view box whose shape differs from the canvas's. */
  preserveAspectRatio: optional(
    kindOf<string>(
      'none, or like xMidYMid meet',
      (value) => typeof value === 'string' && ratioPattern.test(value),
      'is not known',
    ),
    'xMidYMid meet',
  ),
  /** Which way y grows. With y up, angles still turn from +x towards +y, which is then counterclockwise. */
  yAxis: optional(yAxis, 'down'),
};
/** The sketch's own units. */
export interface ViewOptions extends Options<typeof viewTable> {}

/** How a sketch's units are placed on the canvas, and the canvas in them. */
export interface View extends Surroundings {
  /** From the sketch's units to pixels of density 1. */
  readonly matrix: Matrix;
}

/** The view of a canvas of a size in pixels, by options that were checked. */
export function makeView(width: number, height: number, options: ViewOptions): View {
  const { viewBox, preserveAspectRatio = 'xMidYMid meet', yAxis: axis } = options;
  const up = axis === 'up';
  const [x, y, w, h] = viewBox ?? [0, 0, width, height];
  let matrix = viewBox === undefined ? identity : fit([x, y, w, h], width, height, preserveAspectRatio);
  // Upwards: the same box, its bottom at the least y.
  if (up) matrix = multiply(matrix, [1, 0, 0, -1, 0, 2 * y + h]);
  return { matrix, left: x, top: y, width: w, height: h, up };
}

/** SVG 2, 8.2: the equivalent transform of a view box. */
function fit([x, y, w, h]: ViewBox, width: number, height: number, ratio: string): Matrix {
  let [sx, sy] = [width / w, height / h];
  if (ratio === 'none') return multiply(scaling(sx, sy), translation(-x, -y));
  const found = ratioPattern.exec(ratio)!;
  sx = sy = found[3] === 'slice' ? Math.max(sx, sy) : Math.min(sx, sy);
  const alignX = alignments[found[1] as keyof typeof alignments];
  const alignY = alignments[found[2] as keyof typeof alignments];
  return multiply(
    translation((width - w * sx) * alignX, (height - h * sy) * alignY),
    multiply(scaling(sx, sy), translation(-x, -y)),
  );
}
