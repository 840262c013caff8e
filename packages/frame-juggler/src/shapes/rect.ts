import type { PathWriter } from '../geometry/path-writer.ts';
import { kindOf, length } from '../schema/kind.ts';
import { optional, type Options, schemaOf } from '../schema/schema.ts';
import type { ShapeKind } from './kind.ts';
import { anchorTable, boxForms, boxRemark, boxTable, placeBox, type BoxOptions, type Placed } from './place.ts';

type Corners = readonly [number, number, number, number];

const table = {
  /** The radius of its corners, in units; or four of them, from the top left, clockwise. */
  corners: optional(
    kindOf<number | Corners>(
      'a radius, or four from the top left, clockwise, 0 or more',
      (value) => length.allows(value) || (Array.isArray(value) && value.length === 4 && value.every(length.allows)),
      (value) => (Array.isArray(value) ? 'is not a list of four radii' : 'is not a radius'),
    ),
  ),
};
interface CornerOptions extends Options<typeof table> {}
/** A rectangle: its place and size, or two opposite corners. */
export type RectOptions = BoxOptions & CornerOptions;

export const rect: ShapeKind<RectOptions> = {
  name: 'rect',
  options: schemaOf(
    { ...boxTable, ...anchorTable, ...table },
    '{ at: [100, 80], size: [60, 40] }',
    boxForms,
    boxRemark,
  ),
  outline(given, path, _call, surroundings) {
    const placed = placeBox(given, surroundings);
    const { x, y, width, height, pin } = placed;
    if (given.corners === undefined) path.rect(x - width / 2, y - height / 2, width, height);
    else addRounded(path, placed, cornersFrom(given.corners, surroundings.up));
    return { inside: true, pin };
  },
};

/** The radii from the corner of least x and y on: where y grows upwards, that is the bottom left. */
function cornersFrom(given: number | Corners, up: boolean): Corners {
  const [a, b, c, d] = typeof given === 'number' ? [given, given, given, given] : given;
  return up ? [d, c, b, a] : [a, b, c, d];
}

/** Corners that do not fit their sides shrink together, by CSS's rule (Backgrounds and Borders 3, 5.5). */
function addRounded(path: PathWriter, { x, y, width, height }: Placed, corners: Corners): void {
  const [a, b, c, d] = corners;
  const sides = [
    [width, a + b],
    [height, b + c],
    [width, c + d],
    [height, d + a],
  ];
  const fit = Math.min(1, ...sides.map(([side, sum]) => (sum > side ? side / sum : 1)));
  const left = x - width / 2;
  const top = y - height / 2;
  const right = x + width / 2;
  const bottom = y + height / 2;
  const begin = path.length;
  const corner = (
    cornerX: number,
    cornerY: number,
    full: number,
    inwardX: number,
    inwardY: number,
    start: number,
  ): void => {
    const radius = full * fit;
    if (radius > 0) path.arc(cornerX + inwardX * radius, cornerY + inwardY * radius, radius, radius, start, 90);
    else if (path.length === begin) path.move(cornerX, cornerY);
    else path.line(cornerX, cornerY);
  };
  corner(left, top, a, 1, 1, 180);
  corner(right, top, b, -1, 1, 270);
  corner(right, bottom, c, -1, -1, 0);
  corner(left, bottom, d, 1, -1, 90);
  path.close();
}
