import { polylinePath } from '../geometry/path.ts';
import { notNegative, whole } from '../options.ts';
import { placeSized, type PinOptions } from './place.ts';
import { ringPoints } from './polygon.ts';
import type { ShapeKind } from './kind.ts';

/** A star with one tip straight up. Its box is that of the circle through its tips. */
export interface StarOptions extends PinOptions {
  /** How far its tips are from the middle. */
  radius: number;
  /** How far the notches between them are; half the radius unless told otherwise. */
  innerRadius?: number;
  /** Five unless told otherwise. */
  tips?: number;
}

export const star: ShapeKind<StarOptions> = {
  name: 'star',
  keys: ['at', 'anchor', 'radius', 'innerRadius', 'tips'],
  example: '{ at: [100, 80], radius: 40, tips: 5 }',
  outline(options, call, around) {
    const radius = notNegative(call, 'radius', options.radius);
    const inner =
      options.innerRadius === undefined ? radius / 2 : notNegative(call, 'innerRadius', options.innerRadius);
    const tips = options.tips === undefined ? 5 : whole(call, 'tips', options.tips, 2);
    const { x, y, pin } = placeSized(call, options, 2 * radius, 2 * radius, around);
    return { path: polylinePath(ringPoints(x, y, [radius, inner], tips * 2, around), true), inside: true, pin };
  },
};
