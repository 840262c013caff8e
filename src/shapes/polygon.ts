import { polylinePath } from '../geometry/path.ts';
import { sinCos } from '../geometry/angle.ts';
import { fail } from '../error.ts';
import { missing, notNegative, points, whole, type Pair, type Point } from '../options.ts';
import { placeSized, type PinOptions } from './place.ts';
import type { Outline, ShapeKind } from './kind.ts';

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
  outline(options, call) {
    if (options.points === undefined) return regular(options, call);
    for (const key of regularKeys)
      if (options[key] !== undefined)
        fail({ call, option: key, problem: 'cannot go with points', expected: 'give points, or at, radius and sides' });
    return { path: polylinePath(points(call, 'points', options.points, 3), true), inside: true };
  },
};

function regular(options: PolygonOptions, call: string): Outline {
  if (regularKeys.every((key) => options[key] === undefined))
    missing(call, 'points', 'a list of points, or at, radius and sides for a regular polygon');
  const radius = notNegative(call, 'radius', options.radius);
  const sides = whole(call, 'sides', options.sides, 3);
  const { x, y, pin } = placeSized(call, options, 2 * radius, 2 * radius);
  return { path: polylinePath(ringPoints(x, y, radius, sides), true), inside: true, pin };
}

/** Points evenly spread on a circle, clockwise from straight up. */
export function ringPoints(x: number, y: number, radius: number, count: number): Pair[] {
  return Array.from({ length: count }, (_, index) => {
    const { sin, cos } = sinCos((360 * index) / count - 90);
    return [x + radius * cos, y + radius * sin];
  });
}
