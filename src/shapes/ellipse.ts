import { ellipsePath } from '../geometry/path.ts';
import { fail } from '../error.ts';
import { lengths, type Pair } from '../options.ts';
import { boxKeys, placeBox, readSize, type BoxOptions } from './place.ts';
import type { ShapeKind } from './kind.ts';

/** An ellipse: pinned, with its size or its radii; or between two opposite corners of its box. */
export interface EllipseOptions extends BoxOptions {
  /** Half the width and half the height; one number for a circle. */
  radii?: number | Pair;
}

export const ellipse: ShapeKind<EllipseOptions> = {
  name: 'ellipse',
  keys: [...boxKeys, 'radii'],
  example: '{ at: [100, 80], size: [60, 40] }',
  outline(options, call, around) {
    const { x, y, width, height, pin } = placeBox(call, options, readDiameters(options, call), around);
    return { path: ellipsePath(x, y, width / 2, height / 2), inside: true, pin };
  },
};

function readDiameters({ size, radii, from }: EllipseOptions, call: string): Pair | undefined {
  if (radii === undefined) return readSize(call, size);
  if (size !== undefined || from !== undefined)
    fail({
      call,
      option: 'radii',
      value: radii,
      problem: `is given beside ${size ? 'a size' : 'corners'}`,
      expected: 'give one of them',
    });
  const [rx, ry] = lengths(call, 'radii', radii);
  return [2 * rx, 2 * ry];
}
