import { bothOf, lengths, type Pair } from '../schema/point.ts';
import { type Form, schemaOf } from '../schema/schema.ts';
import type { ShapeKind } from './kind.ts';
import { anchorTable, type AnchorOptions, boxForms, boxRemark, boxTable, placeBox } from './place.ts';

const table = {
  ...boxTable,
  /** Half its width and half its height, in units; one number for a circle. */
  radii: lengths,
};
type EllipseTable = typeof table;
/** An ellipse: its place, and its size or radii; or two opposite corners of its box. */
export type EllipseOptions = (
  Form<EllipseTable, 'at' | 'size'> | Form<EllipseTable, 'at' | 'radii'> | Form<EllipseTable, 'from' | 'to'>
) &
  AnchorOptions;

export const ellipse: ShapeKind<EllipseOptions> = {
  name: 'ellipse',
  options: schemaOf(
    { ...table, ...anchorTable },
    '{ at: [100, 80], size: [60, 40] }',
    [...boxForms, ['at', 'radii']],
    boxRemark,
  ),
  outline(given, path, _call, surroundings) {
    const radii = given.radii === undefined ? undefined : bothOf(given.radii);
    const size: Pair | undefined = radii && [2 * radii[0], 2 * radii[1]];
    const { x, y, width, height, pin } = placeBox(given, surroundings, size);
    path.ellipse(x, y, width / 2, height / 2);
    return { inside: true, pin };
  },
};
