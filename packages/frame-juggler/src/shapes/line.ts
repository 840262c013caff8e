import { point, xOf, yOf } from '../schema/point.ts';
import { type Options, schemaOf } from '../schema/schema.ts';
import type { ShapeKind } from './kind.ts';
import { anchorTable, type AnchorOptions } from './place.ts';

const table = {
  /** Where it begins. */
  from: point,
  /** Where it ends. */
  to: point,
};
/** A straight line between two points. */
export interface LineOptions extends Options<typeof table>, AnchorOptions {}

export const line: ShapeKind<LineOptions> = {
  name: 'line',
  options: schemaOf({ ...table, ...anchorTable }, '{ from: [20, 20], to: [100, 80] }'),
  outline({ from, to }, path) {
    path.move(xOf(from), yOf(from));
    path.line(xOf(to), yOf(to));
    return { inside: false };
  },
};
