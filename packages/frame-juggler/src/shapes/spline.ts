import type { PathWriter } from '../geometry/path-writer.ts';
import { fraction, toggle } from '../schema/kind.ts';
import { pairOf, points, type Pair, type Point } from '../schema/point.ts';
import { optional, type Options, schemaOf } from '../schema/schema.ts';
import type { ShapeKind } from './kind.ts';
import { anchorTable, type AnchorOptions } from './place.ts';

const table = {
  /** The points it goes through, in order; with less than two it draws nothing. */
  points: points(),
  /** Leads back to the first point, smoothly too, and can be filled. */
  closed: optional(toggle, false),
  /** From 0 (round) to 1 (straight lines). */
  tension: optional(fraction, 0),
};
/** A smooth line through all points in turn. */
export interface SplineOptions extends Options<typeof table>, AnchorOptions {}

export const spline: ShapeKind<SplineOptions> = {
  name: 'spline',
  options: schemaOf({ ...table, ...anchorTable }, '{ points: [[20, 20], [60, 70], [100, 20]] }'),
  outline({ points: through, closed = false, tension = 0 }, path) {
    addSpline(path, through, closed, tension);
    return { inside: closed };
  },
};

/**
 * A cardinal spline as Bézier curves: at each point the curve runs as its two neighbors lie, its controls
 * (1 - tension) / 6 of their distance away.
 */
function addSpline(path: PathWriter, points: readonly Point[], closed: boolean, tension: number): void {
  const count = points.length;
  if (count < 2) return;
  const at = (index: number): Pair =>
    pairOf(points[closed ? (index + count) % count : Math.max(0, Math.min(count - 1, index))]);
  const reach = (1 - tension) / 6;
  path.move(...at(0));
  for (let i = 0; i < (closed ? count : count - 1); i++) {
    const [before, from, to, after] = [at(i - 1), at(i), at(i + 1), at(i + 2)];
    path.cubic(
      from[0] + (to[0] - before[0]) * reach,
      from[1] + (to[1] - before[1]) * reach,
      to[0] - (after[0] - from[0]) * reach,
      to[1] - (after[1] - from[1]) * reach,
      ...to,
    );
  }
  if (closed) path.close();
}
