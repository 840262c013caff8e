import { degrees, length, oneOf } from '../schema/kind.ts';
import { bothOf, lengths } from '../schema/point.ts';
import { type Form, optional, type Options, schemaOf } from '../schema/schema.ts';
import type { ShapeKind } from './kind.ts';
import { anchorTable, pinTable, placeSized, type PinOptions } from './place.ts';

const table = {
  /** Where it begins, in degrees: 0 along +x, clockwise. */
  start: degrees,
  /** Where it ends, in degrees; if less than `start`, it runs the other way. */
  end: degrees,
  /** Joins its ends: straight (`chord`), or through the middle (`sector`); open by default. */
  close: optional(oneOf('chord', 'sector')),
};
const sizeTable = {
  /** From its middle to its edge, in units. */
  radius: length,
  /** Half the width and half the height of its ellipse, in units. */
  radii: lengths,
};
type SizeTable = typeof sizeTable;
interface SpanOptions extends Options<typeof table> {}
/** A part of an ellipse's edge, from one angle to another. */
export type ArcOptions = PinOptions & SpanOptions & (Form<SizeTable, 'radius'> | Form<SizeTable, 'radii'>);

export const arc: ShapeKind<ArcOptions> = {
  name: 'arc',
  options: schemaOf(
    { ...pinTable, ...anchorTable, ...sizeTable, ...table },
    '{ at: [100, 80], radius: 40, start: 0, end: 180 }',
    [['radius'], ['radii']],
  ),
  outline(given, path, _call, surroundings) {
    const [rx, ry] = bothOf(given.radius ?? given.radii!);
    const sweep = Math.max(-360, Math.min(360, given.end - given.start));
    const { x, y, pin } = placeSized(given, 2 * rx, 2 * ry, surroundings);
    // A whole turn has no ends to lead to the middle.
    const sector = given.close === 'sector' && Math.abs(sweep) < 360;
    if (sector) path.move(x, y);
    path.arc(x, y, rx, ry, given.start, sweep);
    if (given.close === undefined) return { inside: false, pin };
    if (sector) path.line(x, y);
    path.close();
    return { inside: true, pin };
  },
};
