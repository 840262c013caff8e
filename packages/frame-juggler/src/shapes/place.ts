import { Kind } from '../schema/kind.ts';
import { bothOf, lengths, pairOf, point, xOf, yOf, type OneOrTwo, type Pair, type Point } from '../schema/point.ts';
import { optional, type Form, type Options } from '../schema/schema.ts';
import { suggest } from '../suggest.ts';
import type { Surroundings } from './kind.ts';

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

type AnchorName = keyof typeof anchorFractions;

/** Which point of a shape's box sits on the pin: by name, or as fractions of the box's width and height. */
export type Anchor = AnchorName | Pair;

const isFraction = (value: unknown): boolean => typeof value === 'number' && value >= 0 && value <= 1;

/** An anchor's kind, with more names than boxes have where they are given. */
/* @__NO_SIDE_EFFECTS__ */
export function anchorKind<More extends string = never>(...more: readonly More[]): Kind<Anchor | More> {
  const names = [...Object.keys(anchorFractions), ...more];
  const known = new Set<unknown>(names);
  const isPair = (value: unknown): boolean =>
    Array.isArray(value) && value.length === 2 && isFraction(value[0]) && isFraction(value[1]);
  return new Kind(
    `an anchor: ${names.join(', ')}, or [x, y] from 0 to 1`,
    (value) => known.has(value) || isPair(value),
    (value) =>
      typeof value === 'string'
        ? { problem: 'is not known', expected: suggest(value, names) }
        : { problem: 'is not an anchor', expected: 'expected a name, or [x, y] from 0 to 1' },
  );
}

const anchor = anchorKind();

export const anchorTable = {
  /** The point of its box that goes to `at`, and that its `rotate` and `scale` leave in place: a name, or fractions of its width and height. */
  anchor: optional(anchor, 'center'),
};
/** Which point of a shape goes to its place. */
export interface AnchorOptions extends Options<typeof anchorTable> {}

/** The anchor as fractions of the box, from its least x and y; the middle where none is given. */
export function anchorFraction(given: Anchor | undefined, { up }: Pick<Surroundings, 'up'>): Pair {
  const [x, y] =
    given === undefined ? anchorFractions.center : typeof given === 'string' ? anchorFractions[given] : given;
  return up ? [x, 1 - y] : [x, y];
}

export const pinTable = {
  /** Where it goes: its middle, or the point of its box that `anchor` names. */
  at: point,
};
/** Options of a shape that is placed by its box. */
export interface PinOptions extends Options<typeof pinTable>, AnchorOptions {}

export const boxTable = {
  ...pinTable,
  /** Its width and height, in units; one number for a square. */
  size: lengths,
  /** One corner of its box, with `to` the opposite one. */
  from: point,
  /** The corner of its box opposite to `from`. */
  to: point,
};
type BoxTable = typeof boxTable;
/** Which sets of names tell a box. */
export const boxForms = [
  ['at', 'size'],
  ['from', 'to'],
] as const;
/** For those who mix them: a corner and a size. */
export const boxRemark = " (at is the middle, or with anchor: 'top-left' that corner)";
/** Options of a box given by its place and size, or by two opposite corners. */
export type BoxOptions = (Form<BoxTable, 'at' | 'size'> | Form<BoxTable, 'from' | 'to'>) & AnchorOptions;

/** A box on the canvas: its middle, its size, and the point of it that is pinned. */
export interface Placed {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  readonly pin: Pair;
}

/** Where a shape of a known size stands. */
export function placeSized(
  options: { at: Point; anchor?: Anchor },
  width: number,
  height: number,
  surroundings: Surroundings,
): Placed {
  const pin = pairOf(options.at);
  if (options.anchor === undefined) return { x: pin[0], y: pin[1], width, height, pin };
  const [ax, ay] = anchorFraction(options.anchor, surroundings);
  return { x: pin[0] + (0.5 - ax) * width, y: pin[1] + (0.5 - ay) * height, width, height, pin };
}

/** What tells a box, checked: one of its forms is there. */
interface BoxGiven {
  at?: Point;
  anchor?: Anchor;
  /** Its width and height, in units, or one number for both. */
  size?: OneOrTwo;
  from?: Point;
  to?: Point;
}

/**
 * Where a shape stands that is given by `at` and a size, or by `from` and `to`.
 * @param otherwise its size, where `size` does not tell
 */
export function placeBox(
  { at, anchor, size, from, to }: BoxGiven,
  surroundings: Surroundings,
  otherwise?: Pair,
): Placed {
  if (from === undefined || to === undefined) {
    const [width, height] = size === undefined ? otherwise! : bothOf(size);
    return placeSized(anchor === undefined ? { at: at! } : { at: at!, anchor }, width, height, surroundings);
  }
  const [x0, y0, x1, y1] = [xOf(from), yOf(from), xOf(to), yOf(to)];
  const width = Math.abs(x1 - x0);
  const height = Math.abs(y1 - y0);
  const [ax, ay] = anchorFraction(anchor, surroundings);
  return {
    x: (x0 + x1) / 2,
    y: (y0 + y1) / 2,
    width,
    height,
    pin: [Math.min(x0, x1) + ax * width, Math.min(y0, y1) + ay * height],
  };
}
