import { toggle } from '../schema/kind.ts';
import { points } from '../schema/point.ts';
import { optional, type Options, schemaOf } from '../schema/schema.ts';
import type { ShapeKind } from './kind.ts';
import { anchorTable, type AnchorOptions } from './place.ts';

const table = {
  /** The points it goes through, in order; with less than two it draws nothing. */
  points: points(),
  /** Leads back to the first point. */
  closed: optional(toggle, false),
};
/** Straight lines through all points in turn. They are never filled. */
export interface PolylineOptions extends Options<typeof table>, AnchorOptions {}

export const polyline: ShapeKind<PolylineOptions> = {
  name: 'polyline',
  options: schemaOf({ ...table, ...anchorTable }, '{ points: [[20, 20], [60, 70], [100, 20]] }'),
  outline(given, path) {
    path.polyline(given.points, given.closed === true);
    return { inside: false };
  },
};
