import { points } from '../schema/point.ts';
import { type Options, schemaOf } from '../schema/schema.ts';
import type { ShapeKind } from './kind.ts';
import { anchorTable, type AnchorOptions } from './place.ts';

const table = {
  /** Its corners: exactly three. */
  points: points(3),
};
/** The area between three points. */
export interface TriangleOptions extends Options<typeof table>, AnchorOptions {}

export const triangle: ShapeKind<TriangleOptions> = {
  name: 'triangle',
  options: schemaOf({ ...table, ...anchorTable }, '{ points: [[20, 80], [60, 20], [100, 80]] }'),
  outline(given, path) {
    path.polyline(given.points, true);
    return { inside: true };
  },
};
