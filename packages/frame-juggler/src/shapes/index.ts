import { arc } from './arc.ts';
import { circle } from './circle.ts';
import { dot } from './dot.ts';
import { ellipse } from './ellipse.ts';
import { line } from './line.ts';
import { path } from './path.ts';
import { polygon } from './polygon.ts';
import { polyline } from './polyline.ts';
import { rect } from './rect.ts';
import { spline } from './spline.ts';
import { star } from './star.ts';
import { triangle } from './triangle.ts';

export type { ArcOptions } from './arc.ts';
export type { CircleOptions } from './circle.ts';
export type { DotOptions } from './dot.ts';
export type { EllipseOptions } from './ellipse.ts';
export type { LineOptions } from './line.ts';
export type { PathOptions } from './path.ts';
export type { PolygonOptions } from './polygon.ts';
export type { PolylineOptions } from './polyline.ts';
export type { RectOptions } from './rect.ts';
export type { SplineOptions } from './spline.ts';
export type { StarOptions } from './star.ts';
export type { TriangleOptions } from './triangle.ts';

/** Every shape of the library that is an outline, by the name of its call: the calls of a canvas come of this. */
export const shapes = {
  /** Draws a round mark, 4 units wide by default. */
  dot,
  /** Draws a straight line. */
  line,
  /** Draws straight lines through `points`; `closed` leads back to the first. */
  polyline,
  /** Draws an area between `points`, or a regular polygon with a number of `sides` and a `radius` around `at`. */
  polygon,
  /** Draws the area between exactly three `points`. */
  triangle,
  /** Draws a star: `at`, `radius`, and optionally `innerRadius` and `tips`. */
  star,
  /** Draws a rectangle: `at` and `size`, or the corners `from` and `to`. */
  rect,
  /** Draws a circle: `at`, and `radius` or `diameter`. */
  circle,
  /** Draws an ellipse: `at` and `size` or `radii`, or the corners `from` and `to`. */
  ellipse,
  /** Draws part of an ellipse's edge, from the angle `start` to `end`; `close` makes it an area. */
  arc,
  /** Draws a smooth line through `points`; `closed` leads back to the first. */
  spline,
  /** Draws any outline: SVG path `data`, or what `build` draws. */
  path,
};
