import { fail } from '../error.ts';
import { polylinePath } from '../geometry/path.ts';
import { points, type Point } from '../options.ts';
import type { ShapeKind } from './kind.ts';

/** The area between three points. */
export interface TriangleOptions {
  points: readonly [Point, Point, Point];
}

export const triangle: ShapeKind<TriangleOptions> = {
  name: 'triangle',
  keys: ['points', 'anchor'],
  example: '{ points: [[20, 80], [60, 20], [100, 80]] }',
  outline(options, call) {
    const corners = points(call, 'points', options.points, 3);
    if (corners.length > 3)
      fail({
        call,
        option: 'points',
        problem: `has ${corners.length} points`,
        expected: 'expected exactly three; polygon takes more',
      });
    return { path: polylinePath(corners, true), inside: true };
  },
};
