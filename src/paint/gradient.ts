import type { Box } from '../geometry/box.ts';
import type { Matrix } from '../geometry/matrix.ts';
import { checkKeys, finite, notNegative, oneOf, OptionNames, point, type Pair, type Point } from '../options.ts';
import { readStops, type PackedColor, type Stop } from './color.ts';

/** Where a gradient's points are: in the units in force where the shape is drawn, or in fractions of the shape's box. */
export type GradientUnits = 'user' | 'box';
/** What lies beyond a gradient's ends: their colours, the gradient again, or the gradient to and fro (SVG's names). */
export type Spread = 'pad' | 'repeat' | 'reflect';

interface GradientBase {
  readonly stops: readonly { readonly offset: number; readonly color: PackedColor }[];
  readonly units: GradientUnits;
  readonly spread: Spread;
}

/** Colours along a line from `from` to `to`. */
export interface LinearGradient extends GradientBase {
  readonly type: 'linear';
  readonly from: Pair;
  readonly to: Pair;
}

/** Colours from a focus out to a circle. */
export interface RadialGradient extends GradientBase {
  readonly type: 'radial';
  readonly at: Pair;
  readonly radius: number;
  /** Where the first colour is; inside the circle. */
  readonly focus: Pair;
}

/** Colours round a point. */
export interface ConicGradient extends GradientBase {
  readonly type: 'conic';
  readonly at: Pair;
  /** Where it begins and ends, in degrees. */
  readonly start: number;
}

/** A gradient, as plain data. Colours are mixed as the canvas standard says: in sRGB, not premultiplied. */
export type Gradient = LinearGradient | RadialGradient | ConicGradient;

interface CommonOptions {
  /** Colours spread evenly, or `[offset, colour]` pairs. */
  stops: readonly Stop[];
  /** `user` unless told otherwise. */
  units?: GradientUnits;
}
interface SpreadOptions {
  /** `pad` unless told otherwise. */
  spread?: Spread;
}

const common = ['stops', 'units'] as const;
const linearKeys = new OptionNames([...common, 'spread', 'from', 'to']);
const radialKeys = new OptionNames([...common, 'spread', 'at', 'radius', 'focus']);
const conicKeys = new OptionNames([...common, 'at', 'start']);

/** A gradient along a line. */
export function linearGradient(options: CommonOptions & SpreadOptions & { from: Point; to: Point }): LinearGradient {
  const call = 'linearGradient';
  checkKeys(call, options, linearKeys);
  return made({
    type: 'linear',
    from: point(call, 'from', options.from),
    to: point(call, 'to', options.to),
    ...readCommon(call, options),
  });
}

/** A gradient from the middle of a circle, or from a focus inside it, out to its edge. */
export function radialGradient(
  options: CommonOptions & SpreadOptions & { at: Point; radius: number; focus?: Point },
): RadialGradient {
  const call = 'radialGradient';
  checkKeys(call, options, radialKeys);
  const at = point(call, 'at', options.at);
  const radius = notNegative(call, 'radius', options.radius);
  const focus = options.focus === undefined ? at : inside(point(call, 'focus', options.focus), at, radius);
  return made({ type: 'radial', at, radius, focus, ...readCommon(call, options) });
}

/** A gradient round a point, clockwise from `start` (degrees, 0 along +x). */
export function conicGradient(options: CommonOptions & { at: Point; start?: number }): ConicGradient {
  const call = 'conicGradient';
  checkKeys(call, options, conicKeys);
  const start = options.start === undefined ? 0 : finite(call, 'start', options.start);
  return made({ type: 'conic', at: point(call, 'at', options.at), start, ...readCommon(call, options) });
}

const gradients = new WeakSet<object>();

function made<T extends Gradient>(gradient: T): T {
  gradients.add(gradient);
  return gradient;
}

/** Whether a value came from one of the makers above. */
export function isGradient(value: unknown): value is Gradient {
  return typeof value === 'object' && value !== null && gradients.has(value);
}

function readCommon(call: string, options: CommonOptions & SpreadOptions): GradientBase {
  const { stops, units = 'user', spread = 'pad' } = options;
  return {
    stops: readStops(call, stops).map(({ offset, color }) => ({ offset, color: color.packed })),
    units: oneOf(call, 'units', units, ['user', 'box']),
    spread: oneOf(call, 'spread', spread, ['pad', 'repeat', 'reflect']),
  };
}

/** A focus on or beyond the edge is drawn just inside it, as SVG 2 has it. */
function inside(focus: Pair, at: Pair, radius: number): Pair {
  const [dx, dy] = [focus[0] - at[0], focus[1] - at[1]];
  const distance = Math.hypot(dx, dy);
  const most = radius * 0.999;
  return distance <= most ? focus : [at[0] + (dx / distance) * most, at[1] + (dy / distance) * most];
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
