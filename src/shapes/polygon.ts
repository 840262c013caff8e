import { polylinePath } from '../geometry/path.ts';
import { sinCos } from '../geometry/angle.ts';
import { fail } from '../error.ts';
import { missing, notNegative, points, whole, type Pair, type Point } from '../options.ts';
import { placeSized, type PinOptions } from './place.ts';
import type { Outline, ShapeKind, Surroundings } from './kind.ts';

/** An area between points; or a regular one, with a corner straight up, in a circle of a radius about its pin. */
export interface PolygonOptions extends Partial<PinOptions> {
  points?: readonly Point[];
  radius?: number;
  sides?: number;
}

const regularKeys = ['at', 'radius', 'sides'] as const;

export const polygon: ShapeKind<PolygonOptions> = {
  name: 'polygon',
  keys: ['points', 'at', 'anchor', 'radius', 'sides'],
  example: '{ points: [[20, 80], [60, 20], [100, 80]] }',
  outline(options, call, around) {
    if (options.points === undefined) return regular(options, call, around);
    for (const key of regularKeys)
      if (options[key] !== undefined)
        fail({ call, option: key, problem: 'cannot go with points', expected: 'give points, or at, radius and sides' });
    return { path: polylinePath(points(call, 'points', options.points, 3), true), inside: true };
  },
};

function regular(options: PolygonOptions, call: string, around: Surroundings): Outline {
  if (regularKeys.every((key) => options[key] === undefined))
    missing(call, 'points', 'a list of points, or at, radius and sides for a regular polygon');
  const radius = notNegative(call, 'radius', options.radius);
  const sides = whole(call, 'sides', options.sides, 3);
  const { x, y, pin } = placeSized(call, options, 2 * radius, 2 * radius, around);
  return { path: polylinePath(ringPoints(x, y, [radius], sides, around), true), inside: true, pin };
}

/** Points evenly spread about a middle, from straight up on; their distances are the radii in turn. */
export function ringPoints(
  x: number,
  y: number,
  radii: readonly number[],
  count: number,
  around: Surroundings,
): Pair[] {
  const top = around.up ? 90 : -90;
  return Array.from({ length: count }, (_, index) => {
    const { sin, cos } = sinCos((360 * index) / count + top);
    const radius = radii[index % radii.length];
    return [x + radius * cos, y + radius * sin];
  });
}
