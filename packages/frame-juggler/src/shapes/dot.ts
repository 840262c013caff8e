import { length } from '../schema/kind.ts';
import { optional, type Options, schemaOf } from '../schema/schema.ts';
import type { ShapeKind } from './kind.ts';
import { anchorTable, pinTable, placeSized, type PinOptions } from './place.ts';

const table = {
  /** Its diameter, in units. */
  size: optional(length, 4),
};
/** A round mark in the fill color. */
export interface DotOptions extends PinOptions, Options<typeof table> {}

const options = schemaOf({ ...pinTable, ...anchorTable, ...table }, '{ at: [100, 80] }');

export const dot: ShapeKind<DotOptions> = {
  name: 'dot',
  options,
  outline(given, path, _call, surroundings) {
    const size = given.size ?? options.initialOf('size');
    const { x, y, pin } = placeSized(given, size, size, surroundings);
    path.ellipse(x, y, size / 2, size / 2);
    return { inside: true, pin };
  },
};
