import { close, cubic, move, type Path } from '../geometry/path.ts';
import { flag, points, within, type Pair, type Point } from '../options.ts';
import type { ShapeKind } from './kind.ts';

/** A smooth curve through all points in turn. */
export interface CurveOptions {
  points: readonly Point[];
  /** Leads back to the first point, smoothly too, and can be filled. */
  closed?: boolean;
  /** From 0 (round) to 1 (straight lines); 0 unless told otherwise. */
  tension?: number;
}

export const curve: ShapeKind<CurveOptions> = {
  name: 'curve',
  keys: ['points', 'closed', 'tension', 'anchor'],
  example: '{ points: [[20, 20], [60, 70], [100, 20]] }',
  outline(options, call) {
    const closed = options.closed !== undefined && flag(call, 'closed', options.closed);
    const tension = options.tension === undefined ? 0 : within(call, 'tension', options.tension, 0, 1);
    const through = points(call, 'points', options.points, closed ? 3 : 2);
    return { path: curvePath(through, closed, tension), inside: closed };
  },
};

/**
 * A cardinal spline as Bézier curves: at each point the curve runs as its two neighbours lie, its controls
 * (1 - tension) / 6 of their distance away.
 */
function curvePath(points: readonly Pair[], closed: boolean, tension: number): Path {
  const count = points.length;
  const at = (index: number): Pair =>
    points[closed ? (index + count) % count : Math.max(0, Math.min(count - 1, index))];
  const reach = (1 - tension) / 6;
  const path: number[] = [move, ...points[0]];
  for (let i = 0; i < (closed ? count : count - 1); i++) {
    const [before, from, to, after] = [at(i - 1), at(i), at(i + 1), at(i + 2)];
    path.push(
      cubic,
      from[0] + (to[0] - before[0]) * reach,
      from[1] + (to[1] - before[1]) * reach,
      to[0] - (after[0] - from[0]) * reach,
      to[1] - (after[1] - from[1]) * reach,
      ...to,
    );
  }
  if (closed) path.push(close);
  return path;
}
