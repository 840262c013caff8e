import { fail } from '../error.ts';
import type { Surroundings } from './kind.ts';
import { missing, oneOf, pair, lengths, point, within, type Pair, type Point } from '../options.ts';

const anchorFractions = {
  center: [0.5, 0.5],
  top: [0.5, 0],
  bottom: [0.5, 1],
  left: [0, 0.5],
  right: [1, 0.5],
  'top-left': [0, 0],
  'top-right': [1, 0],
  'bottom-left': [0, 1],
  'bottom-right': [1, 1],
} as const satisfies Record<string, Pair>;
const anchorNames = Object.keys(anchorFractions) as (keyof typeof anchorFractions)[];

/** Which point of a shape's box sits on the pin: by name, or as fractions of the box's width and height. */
export type Anchor = keyof typeof anchorFractions | Pair;

/** The anchor as fractions of the box, from its least x and y; the middle where none is given. */
export function readAnchor(call: string, anchor: unknown, { up }: Pick<Surroundings, 'up'>): Pair {
  const [x, y] = readFractions(call, anchor);
  return up ? [x, 1 - y] : [x, y];
}

/** The anchor as fractions from the left and from the top. */
function readFractions(call: string, anchor: unknown): Pair {
  if (anchor === undefined || anchor === 'center') return anchorFractions.center;
  if (Array.isArray(anchor)) {
    const [x, y] = pair(call, 'anchor', anchor);
    return [within(call, 'anchor x', x, 0, 1), within(call, 'anchor y', y, 0, 1)];
  }
  return anchorFractions[oneOf(call, 'anchor', anchor, anchorNames)];
}

/** A box on the canvas: its middle, its size, and the point of it that is pinned. */
export interface Place {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  readonly pin: Pair;
}

/** Options of a shape that is pinned by its box. */
export interface PinOptions {
  /** The pin: where the anchor's point of the shape's box goes. */
  at: Point;
  /** Which point of the box sits on the pin: the middle, unless told otherwise. */
  anchor?: Anchor;
}

/** Options of a box given by its pin and size, or by two opposite corners. */
export interface BoxOptions extends Partial<PinOptions> {
  /** Width and height; one number for a square. */
  size?: number | Pair;
  /** One corner of the box, with `to` the opposite one. */
  from?: Point;
  to?: Point;
}

export const boxKeys = ['at', 'anchor', 'size', 'from', 'to'] as const;

/** Where a shape of a known size stands. */
export function placeSized(
  call: string,
  options: Partial<PinOptions>,
  width: number,
  height: number,
  around: Surroundings,
): Place {
  const pin = point(call, 'at', options.at);
  if (options.anchor === undefined) return { x: pin[0], y: pin[1], width, height, pin };
  const [ax, ay] = readAnchor(call, options.anchor, around);
  return { x: pin[0] + (0.5 - ax) * width, y: pin[1] + (0.5 - ay) * height, width, height, pin };
}

/** Where a shape stands that is given by `at` and a size, or by `from` and `to`. */
export function placeBox(call: string, options: BoxOptions, size: Pair | undefined, around: Surroundings): Place {
  if (options.from === undefined && options.to === undefined) {
    if (size === undefined) missing(call, 'size', 'a number or [width, height]; or give two corners, from and to');
    return placeSized(call, options, size[0], size[1], around);
  }
  for (const key of ['at', 'size'] as const)
    if (options[key] !== undefined)
      fail({ call, option: key, problem: 'cannot go with from and to', expected: 'give at and size, or two corners' });
  const [x0, y0] = point(call, 'from', options.from);
  const [x1, y1] = point(call, 'to', options.to);
  const width = Math.abs(x1 - x0);
  const height = Math.abs(y1 - y0);
  const [ax, ay] = readAnchor(call, options.anchor, around);
  return {
    x: (x0 + x1) / 2,
    y: (y0 + y1) / 2,
    width,
    height,
    pin: [Math.min(x0, x1) + ax * width, Math.min(y0, y1) + ay * height],
  };
}

/** The size option as a pair, or undefined where it was left out. */
export function readSize(call: string, size: BoxOptions['size']): Pair | undefined {
  return size === undefined ? undefined : lengths(call, 'size', size);
}
