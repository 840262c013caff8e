import { polylinePath } from '../geometry/path.ts';
import { flag, points, type Point } from '../options.ts';
import type { ShapeKind } from './kind.ts';

/** Straight lines through all points in turn; `closed` leads back to the first. It is never filled. */
export interface PolylineOptions {
  points: readonly Point[];
  closed?: boolean;
}

export const polyline: ShapeKind<PolylineOptions> = {
  name: 'polyline',
  keys: ['points', 'closed', 'anchor'],
  example: '{ points: [[20, 20], [60, 70], [100, 20]] }',
  outline(options, call) {
    const closed = options.closed !== undefined && flag(call, 'closed', options.closed);
    return { path: polylinePath(points(call, 'points', options.points, 2), closed), inside: false };
  },
};
