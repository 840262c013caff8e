import { fail } from '../error.ts';
import { identity, multiply, scaling, translation, type Matrix } from '../geometry/matrix.ts';
import { finite } from '../options.ts';

/** A sketch's own units: the box `[x, y, width, height]` of them that the canvas shows. */
export type ViewBox = readonly [x: number, y: number, width: number, height: number];

/** Which way y grows. */
export type YAxis = 'down' | 'up';

export interface ViewOptions {
  readonly viewBox?: ViewBox | undefined;
  /** SVG's rule for a box of another shape than the canvas: `xMidYMid meet`, `xMinYMax slice`, `none`. */
  readonly preserveAspectRatio?: string | undefined;
  readonly yAxis?: YAxis | undefined;
}

/** How a sketch's units lie on the canvas. */
export interface View {
  /** From the sketch's units to pixels of density 1. */
  readonly matrix: Matrix;
  /** The canvas in the sketch's units: its least x and y, and its size. */
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
  readonly up: boolean;
}

const alignments = { Min: 0, Mid: 0.5, Max: 1 } as const;
const ratioPattern = /^(?:none|x(Min|Mid|Max)Y(Min|Mid|Max)(?:\s+(meet|slice))?)$/;

/** The view of a canvas of a size in pixels. Throws a SketchError where the options cannot be meant. */
export function makeView(call: string, width: number, height: number, options: ViewOptions): View {
  const { viewBox, preserveAspectRatio = 'xMidYMid meet', yAxis } = options;
  const up = yAxis === 'up';
  const [x, y, w, h] = viewBox === undefined ? [0, 0, width, height] : readViewBox(call, viewBox);
  let matrix = viewBox === undefined ? identity : fit(call, [x, y, w, h], width, height, preserveAspectRatio);
  // Upwards: the same box, its bottom at the least y.
  if (up) matrix = multiply(matrix, [1, 0, 0, -1, 0, 2 * y + h]);
  return { matrix, left: x, top: y, width: w, height: h, up };
}

function readViewBox(call: string, viewBox: unknown): ViewBox {
  if (!Array.isArray(viewBox) || viewBox.length !== 4)
    return fail({
      call,
      option: 'viewBox',
      value: viewBox,
      problem: 'is not right',
      expected: 'expected [x, y, width, height]',
    });
  const [x, y, width, height] = viewBox.map((value, index) => finite(call, `viewBox[${index}]`, value));
  if (width <= 0 || height <= 0)
    fail({
      call,
      option: 'viewBox',
      value: viewBox,
      problem: 'has no area',
      expected: 'expected a width and a height above 0',
    });
  return [x, y, width, height];
}

/** SVG 2, 8.2: the equivalent transform of a view box. */
function fit(call: string, [x, y, w, h]: ViewBox, width: number, height: number, ratio: string): Matrix {
  const found = ratioPattern.exec(ratio);
  if (!found)
    return fail({
      call,
      option: 'preserveAspectRatio',
      value: ratio,
      problem: 'is not known',
      expected: 'expected none, or like xMidYMid meet',
    });
  let [sx, sy] = [width / w, height / h];
  if (ratio === 'none') return multiply(scaling(sx, sy), translation(-x, -y));
  sx = sy = found[3] === 'slice' ? Math.max(sx, sy) : Math.min(sx, sy);
  const alignX = alignments[found[1] as keyof typeof alignments];
  const alignY = alignments[found[2] as keyof typeof alignments];
  return multiply(
    translation((width - w * sx) * alignX, (height - h * sy) * alignY),
    multiply(scaling(sx, sy), translation(-x, -y)),
  );
}
