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

/** Every shape of the library that is an outline, by the name of its call. */
export const shapes = { dot, line, polyline, polygon, triangle, star, rect, circle, ellipse, arc, spline, path };
