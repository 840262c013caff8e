import { line, move, type Path } from '../geometry/path.ts';
import { fail } from '../error.ts';
import { flag, lengths, point, type Pair, type Point } from '../options.ts';

/** A ruled grid in the transform in force, for finding one's way. */
export interface GridOptions {
  /** Its corners; those of the canvas unless told otherwise. */
  from?: Point;
  to?: Point;
  /** From one line to the next; a round number that suits unless told otherwise. */
  spacing?: number | Pair;
  /** Whether the axes are numbered; true unless told otherwise. */
  labels?: boolean;
}

export const gridKeys = ['from', 'to', 'spacing', 'labels'] as const;

/** A grid in parts, for the canvas to draw. */
export interface GridParts {
  readonly lines: Path;
  /** The lines through 0, where the grid holds them. */
  readonly axes: Path;
  readonly numbers: readonly { readonly at: Pair; readonly axis: 'x' | 'y'; readonly text: string }[];
}

const mostLines = 1000;

/** Lays a grid out between two corners of a canvas. */
export function layOutGrid(options: GridOptions, width: number, height: number): GridParts {
  const call = 'grid';
  const [x0, y0] = options.from === undefined ? [0, 0] : point(call, 'from', options.from);
  const [x1, y1] = options.to === undefined ? [width, height] : point(call, 'to', options.to);
  const [left, top, right, bottom] = [Math.min(x0, x1), Math.min(y0, y1), Math.max(x0, x1), Math.max(y0, y1)];
  const suits = roundStep(Math.max(right - left, bottom - top) / 12);
  const [stepX, stepY] = options.spacing === undefined ? [suits, suits] : lengths(call, 'spacing', options.spacing);
  const columns = multiples(left, right, stepX);
  const rows = multiples(top, bottom, stepY);
  const across = (y: number): number[] => [move, left, y, line, right, y];
  const down = (x: number): number[] => [move, x, top, line, x, bottom];
  const labels = options.labels === undefined || flag(call, 'labels', options.labels);
  const inside = (value: number, lo: number, hi: number): number => Math.min(hi, Math.max(lo, value));
  const axisY = inside(0, top, bottom);
  const axisX = inside(0, left, right);
  return {
    lines: [...columns.filter((x) => x !== 0).flatMap(down), ...rows.filter((y) => y !== 0).flatMap(across)],
    axes: [...columns.filter((x) => x === 0).flatMap(down), ...rows.filter((y) => y === 0).flatMap(across)],
    numbers: !labels
      ? []
      : [
          ...columns.map((x) => ({ at: [x, axisY] as const, axis: 'x' as const, text: shortNumber(x) })),
          ...rows
            .filter((y) => y !== 0)
            .map((y) => ({ at: [axisX, y] as const, axis: 'y' as const, text: shortNumber(y) })),
        ],
  };
}

/** 1, 2 or 5 times a power of ten, at least `length`. */
function roundStep(length: number): number {
  const power = 10 ** Math.floor(Math.log10(length || 1));
  return power * ([1, 2, 5, 10].find((factor) => factor * power >= length) ?? 10);
}

function multiples(from: number, to: number, step: number): number[] {
  if (!((to - from) / step <= mostLines))
    fail({
      call: 'grid',
      option: 'spacing',
      value: step,
      problem: `gives more than ${mostLines} lines`,
      expected: 'expected a wider one',
    });
  const first = Math.ceil(from / step);
  const count = Math.floor(to / step) - first + 1;
  return Array.from({ length: Math.max(0, count) }, (_, i) => (first + i) * step);
}

function shortNumber(value: number): string {
  return String(Number(value.toPrecision(6)));
}
