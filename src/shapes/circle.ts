import { ellipsePath } from '../geometry/path.ts';
import { fail } from '../error.ts';
import { missing, notNegative } from '../options.ts';
import { placeSized, type PinOptions } from './place.ts';
import type { ShapeKind } from './kind.ts';

/** A circle: where it is pinned, and its radius or its diameter. */
export interface CircleOptions extends PinOptions {
  radius?: number;
  diameter?: number;
}

export const circle: ShapeKind<CircleOptions> = {
  name: 'circle',
  keys: ['at', 'anchor', 'radius', 'diameter'],
  example: '{ at: [100, 80], radius: 40 }',
  outline(options, call, around) {
    const radius = readRadius(options, call);
    const { x, y, pin } = placeSized(call, options, 2 * radius, 2 * radius, around);
    return { path: ellipsePath(x, y, radius, radius), inside: true, pin };
  },
};

function readRadius({ radius, diameter }: CircleOptions, call: string): number {
  if (diameter === undefined) {
    if (radius === undefined) missing(call, 'radius', 'a number, 0 or more; or give the diameter');
    return notNegative(call, 'radius', radius);
  }
  if (radius !== undefined)
    fail({
      call,
      option: 'diameter',
      value: diameter,
      problem: 'is given beside a radius',
      expected: 'give one of them',
    });
  return notNegative(call, 'diameter', diameter) / 2;
}
