import { points } from '../schema/point.ts';
import { type Options, schemaOf } from '../schema/schema.ts';
import type { ShapeKind } from './kind.ts';
import { anchorTable } from './place.ts';

const table = {
  /** Its corners: exactly three. */
  points: points(3, 3),
};
/** The area between three points. */
export type TriangleOptions = Options<typeof table & typeof anchorTable>;

export const triangle: ShapeKind<TriangleOptions> = {
  name: 'triangle',
  options: schemaOf({ ...table, ...anchorTable }, '{ points: [[20, 80], [60, 20], [100, 80]] }'),
  outline(given, path) {
    path.polyline(given.points, true);
    return { inside: true };
  },
};
