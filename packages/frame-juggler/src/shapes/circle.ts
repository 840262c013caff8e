import { length } from '../schema/kind.ts';
import { type Form, schemaOf } from '../schema/schema.ts';
import type { ShapeKind } from './kind.ts';
import { anchorTable, pinTable, placeSized, type PinOptions } from './place.ts';

const table = {
  /** From its middle to its edge, in units. */
  radius: length,
  /** From edge to edge, in units. */
  diameter: length,
};
type CircleTable = typeof table;
/** A circle: its place, and its radius or diameter. */
export type CircleOptions = PinOptions & (Form<CircleTable, 'radius'> | Form<CircleTable, 'diameter'>);

export const circle: ShapeKind<CircleOptions> = {
  name: 'circle',
  options: schemaOf({ ...pinTable, ...anchorTable, ...table }, '{ at: [100, 80], radius: 40 }', [
    ['radius'],
    ['diameter'],
  ]),
  outline(given, path, _call, surroundings) {
    const radius = given.radius ?? given.diameter! / 2;
    const { x, y, pin } = placeSized(given, 2 * radius, 2 * radius, surroundings);
    path.ellipse(x, y, radius, radius);
    return { inside: true, pin };
  },
};
