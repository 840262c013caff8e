import { arc, close, line, move, rectPath, type Path } from '../geometry/path.ts';
import { fail } from '../error.ts';
import { notNegative } from '../options.ts';
import { boxKeys, placeBox, readSize, type BoxOptions, type Place } from './place.ts';
import type { ShapeKind } from './kind.ts';

/** A rectangle: pinned, with its size; or between two opposite corners. */
export interface RectOptions extends BoxOptions {
  /** The radius of its corners, or four of them from the top left, clockwise. */
  corners?: number | readonly [number, number, number, number];
}

export const rect: ShapeKind<RectOptions> = {
  name: 'rect',
  keys: [...boxKeys, 'corners'],
  example: '{ at: [100, 80], size: [60, 40] }',
  outline(options, call, around) {
    const place = placeBox(call, options, readSize(call, options.size), around);
    const { x, y, width, height, pin } = place;
    const path =
      options.corners === undefined
        ? rectPath(x - width / 2, y - height / 2, width, height)
        : roundedPath(place, readCorners(call, options.corners, around.up));
    return { path, inside: true, pin };
  },
};

type Corners = readonly [number, number, number, number];

/** The radii from the corner of least x and y on: where y grows upwards, that is the bottom left. */
function readCorners(call: string, corners: unknown, up: boolean): Corners {
  if (typeof corners === 'number') {
    const radius = notNegative(call, 'corners', corners);
    return [radius, radius, radius, radius];
  }
  if (!Array.isArray(corners) || corners.length !== 4)
    return fail({
      call,
      option: 'corners',
      value: corners,
      problem: 'is not right',
      expected: 'expected a radius, or four from the top left, clockwise',
    });
  const [a, b, c, d] = corners.map((radius, index) => notNegative(call, `corners[${index}]`, radius));
  return up ? [d, c, b, a] : [a, b, c, d];
}

/** Corners that do not fit their sides shrink together, by CSS's rule (Backgrounds and Borders 3, 5.5). */
function roundedPath({ x, y, width, height }: Place, corners: Corners): Path {
  const [a, b, c, d] = corners;
  const fit = Math.min(
    1,
    ...[
      [width, a + b],
      [height, b + c],
      [width, c + d],
      [height, d + a],
    ].map(([side, sum]) => (sum > side ? side / sum : 1)),
  );
  const left = x - width / 2;
  const top = y - height / 2;
  const right = x + width / 2;
  const bottom = y + height / 2;
  const path: number[] = [];
  const corner = (
    cornerX: number,
    cornerY: number,
    full: number,
    inwardX: number,
    inwardY: number,
    start: number,
  ): void => {
    const radius = full * fit;
    if (radius > 0)
      path.push(arc, cornerX + inwardX * radius, cornerY + inwardY * radius, radius, radius, 0, start, 90);
    else path.push(path.length === 0 ? move : line, cornerX, cornerY);
  };
  corner(left, top, a, 1, 1, 180);
  corner(right, top, b, -1, 1, 270);
  corner(right, bottom, c, -1, -1, 0);
  corner(left, bottom, d, 1, -1, 90);
  path.push(close);
  return path;
}
