import type { Box } from '../geometry/box.ts';
import type { Matrix } from '../geometry/matrix.ts';
import { degrees, length, oneOf } from '../schema/kind.ts';
import { pairOf, point, type Pair } from '../schema/point.ts';
import { optional, type Options, schemaOf } from '../schema/schema.ts';
import { readPacked, readStops, stops, type PackedColor, type Stop } from './color.ts';
import { hypot } from '../maths/power.ts';

/** Where a gradient's points are: in the units in force where the shape is drawn, or in fractions of the shape's box. */
export type GradientUnits = 'user' | 'box';
/** What lies beyond a gradient's ends: their colors, the gradient again, or the gradient to and fro (SVG's names). */
export type Spread = 'pad' | 'repeat' | 'reflect';

interface GradientBase {
  /** Its colors, by rising offsets from 0 to 1. */
  readonly stops: readonly { readonly offset: number; readonly color: PackedColor }[];
  /** What its points are measured in. */
  readonly units: GradientUnits;
  /** What lies beyond its ends. */
  readonly spread: Spread;
}

/** Colors along a line from `from` to `to`. */
export interface LinearGradient extends GradientBase {
  /** Which paint it is. */
  readonly type: 'linear';
  /** Where the first color is, in its units. */
  readonly from: Pair;
  /** Where the last color is, in its units. */
  readonly to: Pair;
}

/** Colors from a focus out to a circle. */
export interface RadialGradient extends GradientBase {
  /** Which paint it is. */
  readonly type: 'radial';
  /** The middle of the circle that has the last color, in its units. */
  readonly at: Pair;
  /** The radius of that circle, in its units. */
  readonly radius: number;
  /** Where the first color is; inside the circle. */
  readonly focus: Pair;
}

/** Colors round a point. */
export interface ConicGradient extends GradientBase {
  /** Which paint it is. */
  readonly type: 'conic';
  /** The point that the colors go round, in its units. */
  readonly at: Pair;
  /** Where it begins and ends, in degrees. */
  readonly start: number;
}

/** A gradient, as plain data. Colors are mixed as the canvas standard says: in sRGB, not premultiplied. */
export type Gradient = LinearGradient | RadialGradient | ConicGradient;

const gradientTable = {
  /** Colors spread evenly, or `[offset, color]` pairs with offsets from 0 to 1, rising. */
  stops,
  /** The units of its points: `user`, the current ones where the shape is drawn, or `box`, fractions of the shape's box. */
  units: optional(oneOf('user', 'box'), 'user'),
};
const spreadTable = {
  /** What continues beyond its ends: their colors (`pad`), or the gradient again, repeated or back and forth. */
  spread: optional(oneOf('pad', 'repeat', 'reflect'), 'pad'),
};
const linearTable = {
  /** Where the first color is. */
  from: point,
  /** Where the last color is. */
  to: point,
};
const radialTable = {
  /** The middle of the circle. */
  at: point,
  /** From the middle to the last color, in units. */
  radius: length,
  /** Where the first color is, inside the circle; by default its middle. */
  focus: optional(point),
};
const conicTable = {
  /** The point that the colors go round. */
  at: point,
  /** Where they begin and end, in degrees, 0 along +x. */
  start: optional(degrees, 0),
};

/** A gradient along a line. */
export interface LinearGradientOptions extends Options<
  typeof gradientTable & typeof spreadTable & typeof linearTable
> {}
/** A gradient from a focus to a circle. */
export interface RadialGradientOptions extends Options<
  typeof gradientTable & typeof spreadTable & typeof radialTable
> {}
/** A gradient around a point. */
export interface ConicGradientOptions extends Options<typeof gradientTable & typeof conicTable> {}

const linearOptions = schemaOf(
  { ...linearTable, ...gradientTable, ...spreadTable },
  "{ from: [0, 0], to: [100, 0], stops: ['navy', 'white'] }",
);
const radialOptions = schemaOf(
  { ...radialTable, ...gradientTable, ...spreadTable },
  "{ at: [50, 50], radius: 40, stops: ['white', 'navy'] }",
);
const conicOptions = schemaOf(
  { ...conicTable, ...gradientTable },
  "{ at: [50, 50], stops: ['navy', 'white', 'navy'] }",
);

/** A gradient along a line. @throws SketchError where an option is unknown or not valid */
export function linearGradient(options: LinearGradientOptions): LinearGradient {
  const call = 'linearGradient';
  const { from, to, stops, units, spread } = linearOptions.read(call, options);
  return register({ type: 'linear', from: pairOf(from), to: pairOf(to), units, spread, stops: packStops(call, stops) });
}

/**
 * A gradient from the middle of a circle, or from a focus inside it, out to its edge.
 * @throws SketchError where an option is unknown or not valid
 */
export function radialGradient(options: RadialGradientOptions): RadialGradient {
  const call = 'radialGradient';
  const { at: middle, radius, focus: given, stops, units, spread } = radialOptions.read(call, options);
  const at = pairOf(middle);
  const focus = given === undefined ? at : insideCircle(pairOf(given), at, radius);
  return register({ type: 'radial', at, radius, focus, units, spread, stops: packStops(call, stops) });
}

/**
 * A gradient around a point, clockwise from `start` (degrees, 0 along +x).
 * @throws SketchError where an option is unknown or not valid
 */
export function conicGradient(options: ConicGradientOptions): ConicGradient {
  const call = 'conicGradient';
  const { at, start, stops, units } = conicOptions.read(call, options);
  return register({ type: 'conic', at: pairOf(at), start, units, spread: 'pad', stops: packStops(call, stops) });
}

const gradients = new WeakSet<object>();

function register<T extends Gradient>(gradient: T): T {
  gradients.add(gradient);
  return gradient;
}

/** Whether a value came from one of the makers above. */
export function isGradient(value: unknown): value is Gradient {
  return typeof value === 'object' && value !== null && gradients.has(value);
}

/** A gradient as it paints: where its ends are one, it is all of the last color, as SVG 2 has it. */
export function paintOf(gradient: Gradient): Gradient | PackedColor {
  const { type, stops } = gradient;
  const hasLength =
    type === 'conic' ||
    (type === 'radial'
      ? gradient.radius > 0
      : gradient.from[0] !== gradient.to[0] || gradient.from[1] !== gradient.to[1]);
  return hasLength ? gradient : stops[stops.length - 1].color;
}

function packStops(call: string, given: readonly Stop[]): GradientBase['stops'] {
  return readStops(call, given, readPacked);
}

/** A focus on or beyond the edge is drawn just inside it, as SVG 2 has it. */
function insideCircle(focus: Pair, at: Pair, radius: number): Pair {
  const [dx, dy] = [focus[0] - at[0], focus[1] - at[1]];
  const distance = hypot(dx, dy);
  const max = radius * 0.999;
  if (distance <= max) return focus;
  const edge: Pair = [at[0] + (dx / distance) * max, at[1] + (dy / distance) * max];
  // If the distance is too large for a number, the edge cannot be found.
  return edge.every(Number.isFinite) ? edge : at;
}

/** From fractions of a box to the units of the box; a side of no length counts as 1. */
export function boxUnits({ left, top, right, bottom }: Box): Matrix {
  return [right - left || 1, 0, 0, bottom - top || 1, left, top];
}

/** An offset brought between 0 and 1 as the spread says; `pad` leaves it as it is. */
export function spreadOffset(offset: number, spread: Spread): number {
  if (spread === 'pad') return offset;
  if (spread === 'repeat') return offset - Math.floor(offset);
  const twice = offset / 2 - Math.floor(offset / 2);
  return twice <= 0.5 ? twice * 2 : 2 - twice * 2;
}
