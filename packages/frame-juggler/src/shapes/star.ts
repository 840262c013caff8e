import { length, whole } from '../schema/kind.ts';
import { optional, type Options, schemaOf } from '../schema/schema.ts';
import type { ShapeKind } from './kind.ts';
import { anchorTable, pinTable, placeSized, type PinOptions } from './place.ts';
import { ringPoints } from './polygon.ts';

const table = {
  /** From its middle to its tips, in units. */
  radius: length,
  /** From its middle to the notches between its tips, in units; half the radius by default. */
  innerRadius: optional(length),
  /** How many tips it has; one points straight up. */
  tips: optional(whole(2), 5),
};
/** A star. Its box is that of the circle through its tips. */
export interface StarOptions extends PinOptions, Options<typeof table> {}

const options = schemaOf({ ...pinTable, ...anchorTable, ...table }, '{ at: [100, 80], radius: 40, tips: 5 }');

export const star: ShapeKind<StarOptions> = {
  name: 'star',
  options,
  outline(given, path, _call, surroundings) {
    const { radius, innerRadius = radius / 2, tips = options.initialOf('tips') } = given;
    const { x, y, pin } = placeSized(given, 2 * radius, 2 * radius, surroundings);
    path.polyline(ringPoints(x, y, [radius, innerRadius], tips * 2, surroundings), true);
    return { inside: true, pin };
  },
};
