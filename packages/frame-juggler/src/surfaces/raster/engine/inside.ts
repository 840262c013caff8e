import { Lines } from './lines.ts';

/**
 * Whether a point lies inside outlines, each subpath taken as closed: by how often they wind about it, counted where
 * they cross the level line to its right.
 */
export function isInside(lines: Lines, evenOdd: bool, x: f64, y: f64): bool {
  let winding = 0;
  for (let subpath = 0; subpath < lines.subpaths; subpath++) {
    const end = lines.end(subpath);
    let x0 = lines.x(end - 1);
    let y0 = lines.y(end - 1);
    for (let i = lines.start(subpath); i < end; i++) {
      const x1 = lines.x(i);
      const y1 = lines.y(i);
      if (y0 <= y !== y1 <= y && x0 + ((y - y0) * (x1 - x0)) / (y1 - y0) > x) winding += y1 > y0 ? 1 : -1;
      x0 = x1;
      y0 = y1;
    }
  }
  return evenOdd ? (winding & 1) !== 0 : winding !== 0;
}
