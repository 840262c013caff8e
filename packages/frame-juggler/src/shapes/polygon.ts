import { sinCos } from '../maths/degrees.ts';
import { length, whole } from '../schema/kind.ts';
import { points, type Pair } from '../schema/point.ts';
import { type Form, schemaOf } from '../schema/schema.ts';
import type { ShapeKind, Surroundings } from './kind.ts';
import { anchorTable, type AnchorOptions, pinTable, placeSized } from './place.ts';

const table = {
  /** Its corners, in turn; with less than three it has no inside. */
  points: points(),
  ...pinTable,
  /** From its middle to its corners, in units, if it is regular. */
  radius: length,
  /** How many sides it has, if it is regular; one corner points straight up. */
  sides: whole(3),
};
type PolygonTable = typeof table;
/** An area between points, or a regular polygon in a circle about `at`. */
export type PolygonOptions = (Form<PolygonTable, 'points'> | Form<PolygonTable, 'at' | 'radius' | 'sides'>) &
  AnchorOptions;

export const polygon: ShapeKind<PolygonOptions> = {
  name: 'polygon',
  options: schemaOf(
    { ...table, ...anchorTable },
    '{ points: [[20, 80], [60, 20], [100, 80]] }',
    [['points'], ['at', 'radius', 'sides']],
    '; group({ translate }, …) moves points',
  ),
  outline(given, path, _call, surroundings) {
    if (given.points !== undefined) {
      path.polyline(given.points, true);
      return { inside: true };
    }
    const { x, y, pin } = placeSized(given, 2 * given.radius, 2 * given.radius, surroundings);
    path.polyline(ringPoints(x, y, [given.radius], given.sides, surroundings), true);
    return { inside: true, pin };
  },
};

/** Points evenly spread about a middle, from straight up on; their distances are the radii in turn. */
export function ringPoints(
  x: number,
  y: number,
  radii: readonly number[],
  count: number,
  surroundings: Surroundings,
): Pair[] {
  const top = surroundings.up ? 90 : -90;
  return Array.from({ length: count }, (_, index) => {
    const { sin, cos } = sinCos((360 * index) / count + top);
    const radius = radii[index % radii.length];
    return [x + radius * cos, y + radius * sin];
  });
}
