import { fail } from '../error.ts';
import type { PathWriter } from '../geometry/path-writer.ts';
import { toggle } from '../schema/kind.ts';
import { bothOf, lengths, point, xOf, yOf, type Pair } from '../schema/point.ts';
import { optional, type Options, schemaOf } from '../schema/schema.ts';
import type { Surroundings } from './kind.ts';

const table = {
  /** One corner of it; by default where the canvas has its least x and y. */
  from: optional(point),
  /** The corner opposite to `from`; by default the canvas's other end. */
  to: optional(point),
  /** From one line to the next, in units; by default a suitable round number. */
  spacing: optional(lengths),
  /** Whether its axes are numbered. */
  numbers: optional(toggle, true),
};
/** A ruled grid in the current transform, to see where you are. */
export interface GridOptions extends Options<typeof table> {}
export const gridOptions = schemaOf(table, '{ spacing: 50 }');

/** What of a grid is not numbered. */
export interface GridLayout {
  readonly columns: readonly number[];
  readonly rows: readonly number[];
  /** From one line to the next, across and down. */
  readonly steps: Pair;
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
}

const call = 'grid';
const maxLines = 1000;

/** Where the lines of a grid lie, between two corners or over a canvas. */
export function layOutGrid(options: GridOptions, canvas: Omit<Surroundings, 'up'>): GridLayout {
  const [x0, y0] = options.from === undefined ? [canvas.left, canvas.top] : [xOf(options.from), yOf(options.from)];
  const [x1, y1] =
    options.to === undefined
      ? [canvas.left + canvas.width, canvas.top + canvas.height]
      : [xOf(options.to), yOf(options.to)];
  const [left, top, right, bottom] = [Math.min(x0, x1), Math.min(y0, y1), Math.max(x0, x1), Math.max(y0, y1)];
  const suiting = roundStep(Math.max(right - left, bottom - top) / 12);
  const [stepX, stepY] = bothOf(options.spacing ?? suiting);
  return {
    columns: multiples(left, right, stepX),
    rows: multiples(top, bottom, stepY),
    steps: [stepX, stepY],
    left,
    top,
    right,
    bottom,
  };
}

/** Writes a grid's lines: those through 0, which are its axes, or the others. */
export function addGridLines(
  { columns, rows, left, top, right, bottom }: GridLayout,
  axes: boolean,
  path: PathWriter,
): void {
  const ruled = (x0: number, y0: number, x1: number, y1: number): void => {
    path.move(x0, y0);
    path.line(x1, y1);
  };
  for (const x of columns) if ((x === 0) === axes) ruled(x, top, x, bottom);
  for (const y of rows) if ((y === 0) === axes) ruled(left, y, right, y);
}

/** A number on an axis of a grid, and the point of its box that is next to the axis. */
export interface GridNumber {
  readonly at: Pair;
  readonly anchor: `${'top-' | 'bottom-' | ''}${'left' | 'right'}`;
  readonly text: string;
}

/** The room that a number of a grid takes: of each digit, beside them, and from the line below to the one above. */
const numberRoom = { digit: 6, gap: 4, height: 18 };

/**
 * The numbers of a grid: along its axes, or along its sides where it does not hold those. They stand below the x axis
 * and to the right of the y axis, or on the other side where that would be outside; near its ends within it where there
 * is room, so that a grid over the canvas shows all of them whole. Where lines are close, some have none.
 * @param pixel the length of a pixel in the grid's units
 */
export function gridNumbers(layout: GridLayout, up: boolean, pixel: number): GridNumber[] {
  const { columns, rows, steps, left, top, right, bottom } = layout;
  const [highest, lowest] = up ? [bottom, top] : [top, bottom];
  const axisY = Math.min(bottom, Math.max(top, 0));
  const axisX = Math.min(right, Math.max(left, 0));
  const widthOf = (x: number): number => (shortNumber(x).length * numberRoom.digit + numberRoom.gap) * pixel;
  const columnNumber = (x: number): GridNumber => {
    const side = x + widthOf(x) > right && steps[0] > 2 * widthOf(x) ? 'right' : 'left';
    return { at: [x, axisY], anchor: `${axisY === lowest ? 'bottom' : 'top'}-${side}`, text: shortNumber(x) };
  };
  const height = numberRoom.height * pixel;
  const rowNumber = (y: number): GridNumber => {
    const isAt = (end: number): boolean => Math.abs(y - end) < height / 4;
    const end = isAt(lowest) ? 'bottom-' : isAt(highest) ? 'top-' : '';
    return { at: [axisX, y], anchor: `${end}${axisX === right ? 'right' : 'left'}`, text: shortNumber(y) };
  };
  return [
    ...farApart(columns, steps[0], Math.max(...columns.map(widthOf))).map(columnNumber),
    // Where the axes meet, one number is enough.
    ...farApart(rows, steps[1], height).filter((y) => y !== axisY).map(rowNumber), // prettier-ignore
  ];
}

/** Those of the lines, a step from each other, that are at least so far apart: each, every second, fifth, tenth. */
function farApart(lines: readonly number[], step: number, least: number): readonly number[] {
  const every = roundStep(Math.max(1, least / step));
  return lines.filter((line) => Math.round(line / step) % every === 0);
}

/** 1, 2 or 5 times a power of ten, at least `length`. */
function roundStep(length: number): number {
  // Read off its digits, as no logarithm is exact in every engine.
  const [, exponent] = (length || 1).toExponential().split('e');
  const power = Number(`1e${exponent}`);
  return power * ([1, 2, 5, 10].find((factor) => factor * power >= length) ?? 10);
}

function multiples(from: number, to: number, step: number): number[] {
  if (!((to - from) / step <= maxLines))
    fail({
      call,
      option: 'spacing',
      value: step,
      problem: `gives more than ${maxLines} lines`,
      expected: 'expected a wider one',
    });
  // 0.3 / 0.1 is a little less than 3, and 3 * 0.1 a little more than 0.3: the lines at the ends are neither lost nor moved.
  const first = Math.ceil(from / step - 1e-9);
  const count = Math.floor(to / step + 1e-9) - first + 1;
  return Array.from({ length: Math.max(0, count) }, (_, i) => Math.min(to, Math.max(from, (first + i) * step)));
}

function shortNumber(value: number): string {
  return String(Number(value.toPrecision(6)));
}
