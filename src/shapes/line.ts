import { line as lineTo, move } from '../geometry/path.ts';
import { point, type Point } from '../options.ts';
import type { ShapeKind } from './kind.ts';

/** A straight line between two points. */
export interface LineOptions {
  from: Point;
  to: Point;
}

export const line: ShapeKind<LineOptions> = {
  name: 'line',
  keys: ['from', 'to', 'anchor'],
  example: '{ from: [20, 20], to: [100, 80] }',
  outline(options, call) {
    const [x0, y0] = point(call, 'from', options.from);
    const [x1, y1] = point(call, 'to', options.to);
    return { path: [move, x0, y0, lineTo, x1, y1], inside: false };
  },
};
