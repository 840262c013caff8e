import { ellipsePath } from '../geometry/path.ts';
import { notNegative } from '../options.ts';
import { placeSized, type PinOptions } from './place.ts';
import type { ShapeKind } from './kind.ts';

/** A round mark, in the fill. */
export interface PointOptions extends PinOptions {
  /** Its diameter; 4 unless told otherwise. */
  size?: number;
}

export const point: ShapeKind<PointOptions> = {
  name: 'point',
  keys: ['at', 'anchor', 'size'],
  example: '{ at: [100, 80] }',
  outline(options, call, around) {
    const size = options.size === undefined ? 4 : notNegative(call, 'size', options.size);
    const { x, y, pin } = placeSized(call, options, size, size, around);
    return { path: ellipsePath(x, y, size / 2, size / 2), inside: true, pin };
  },
};
