import type { Polylines } from './polyline.ts';
import type { FillRule } from './fill-rule.ts';

/**
 * Whether a point lies inside outlines, each subpath taken as closed: by how often they wind about it, counted where
 * they cross the level line to its right.
 */
export function isInside(lines: Polylines, rule: FillRule, x: number, y: number): boolean {
  const { points } = lines;
  let winding = 0;
  for (let subpath = 0; subpath < lines.subpaths; subpath++) {
    const first = lines.starts[subpath];
    const end = lines.end(subpath);
    let [x0, y0] = [points[end * 2 - 2], points[end * 2 - 1]];
    for (let i = first; i < end; i++) {
      const [x1, y1] = [points[i * 2], points[i * 2 + 1]];
      if (y0 <= y !== y1 <= y && x0 + ((y - y0) * (x1 - x0)) / (y1 - y0) > x) winding += y1 > y0 ? 1 : -1;
      [x0, y0] = [x1, y1];
    }
  }
  return rule === 'evenodd' ? winding % 2 !== 0 : winding !== 0;
}
