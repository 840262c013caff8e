import { fail } from '../error.ts';
import { aboutPoint, identity, multiply, rotation, scaling, type Matrix } from '../geometry/matrix.ts';
import { pathBox } from '../geometry/path.ts';
import type { PathWriter } from '../geometry/path-writer.ts';
import { degrees, finite, name } from '../schema/kind.ts';
import { bothOf, factors, type Pair } from '../schema/point.ts';
import { optional, Schema, type Options, type Table } from '../schema/schema.ts';
import type { Outline, ShapeKind, Surroundings } from '../shapes/kind.ts';
import { anchorFraction, type Anchor } from '../shapes/place.ts';
import { styleTable, type StyleOptions } from './style.ts';

const ownTable = {
  /** Turns it about `at`, or about its `anchor` where it has no `at`, in degrees, clockwise. */
  rotate: optional(degrees),
  /** Scales it about the same point: one factor, or one for each axis. */
  scale: optional(factors),
  /** A name, for `explain`, for `pointer.over` and for people. */
  label: optional(name),
  /** Raises it above what is painted later; a negative layer lowers it. */
  layer: optional(finite),
};
export const shapeTable = { ...styleTable, ...ownTable };
/** What every shape takes besides its own options. */
export interface ShapeOptions extends StyleOptions, Options<typeof ownTable> {}

const schemas = new WeakMap<Schema<Table>, Schema<Table>>();

/** The options of a kind of shape with those that every shape takes. */
export function withShapeOptions(own: Schema<Table>): Schema<Table> {
  let schema = schemas.get(own);
  if (schema === undefined) schemas.set(own, (schema = own.with(shapeTable)));
  return schema;
}

/** A shape's own rotate and scale, about its pin; undefined where it has neither. @param path where its outline stands */
export function ownTransform(
  { rotate, scale, anchor }: ShapeOptions & { anchor?: Anchor },
  { pin }: Outline,
  path: PathWriter,
  start: number,
  surroundings: Surroundings,
): Matrix | undefined {
  if (rotate === undefined && scale === undefined) return undefined;
  // An outline of no points has no box, and no pin in it to turn about. That of a text, which has a pin, comes later.
  if (pin === undefined && path.length === start) return undefined;
  let own = rotate === undefined ? identity : rotation(rotate);
  if (scale !== undefined) own = multiply(own, scaling(...bothOf(scale)));
  return aboutPoint(own, ...(pin ?? boxPin(anchor, path, start, surroundings)));
}

/** The pin of an outline that has none of its own: its anchor's point of its box. */
function boxPin(anchor: Anchor | undefined, path: PathWriter, start: number, surroundings: Surroundings): Pair {
  const { left, top, right, bottom } = pathBox(path.numbers, identity, start, path.length);
  const [ax, ay] = anchorFraction(anchor, surroundings);
  return [left + ax * (right - left), top + ay * (bottom - top)];
}

/** Reads an argument that must be a kind of shape of the sketch's own. */
export function readOwnShape(value: unknown, isOwn: (value: unknown) => boolean): ShapeKind<never> {
  if (isOwn(value)) return value as ShapeKind<never>;
  return fail({
    call: 'shape',
    option: 'kind',
    value,
    problem: 'is not a kind of shape',
    expected: `expected what defineShape gives${typeof value === 'string' ? '; each of the others is a call by its name: canvas.circle({ … })' : ''}`,
  });
}
