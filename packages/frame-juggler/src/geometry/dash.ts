import type { Polylines } from './polyline.ts';
import { hypot } from '../maths/power.ts';

/** An outline that a pattern would cut into more pieces than this stays whole: they are finer than any pixel. */
const maxDashes = 100_000;

/**
 * Cuts flattened outlines into dashes, as SVG's `stroke-dasharray` says: `pattern` holds the lengths of dashes and
 * gaps in turn, `offset` is how far into the pattern each subpath begins. Dashes come out as open subpaths; on a
 * closed subpath the last dash runs on into the first where both touch the start. A pattern of nothing but zeros
 * leaves the outline whole.
 */
export function dash(lines: Polylines, pattern: readonly number[], offset: number, out: Polylines): void {
  // An odd list is used twice, so that dash and gap change places.
  const lengths = pattern.length % 2 === 0 ? pattern : [...pattern, ...pattern];
  const period = lengths.reduce((sum, length) => sum + length, 0);
  const start = ((offset % period) + period) % period;
  for (let subpath = 0; subpath < lines.subpaths; subpath++) {
    const pieces = (subpathLength(lines, subpath) / period) * lengths.length;
    if (pieces < maxDashes) dashSubpath(lines, subpath, lengths, start, out);
    else copySubpath(lines, subpath, out);
  }
}

function dashSubpath(
  lines: Polylines,
  subpath: number,
  lengths: readonly number[],
  offset: number,
  out: Polylines,
): void {
  const { points } = lines;
  const first = lines.starts[subpath];
  const corners = lines.end(subpath) - first;
  const closed = lines.closed[subpath] === 1;
  const segments = closed ? corners : corners - 1;

  let index = 0;
  let used = offset;
  while (used > lengths[index] || (used === lengths[index] && used > 0)) {
    used -= lengths[index];
    index = (index + 1) % lengths.length;
  }
  let remaining = lengths[index] - used;
  let on = index % 2 === 0;

  // On a closed subpath the dash at the start is kept back: it may turn out to be the end of the last one.
  let head: number[] | undefined = closed && on ? [] : undefined;
  let inHead = head !== undefined;
  const add = (x: number, y: number, begins: boolean): void => {
    if (inHead) head?.push(x, y);
    else if (begins) out.begin(x, y);
    else out.add(x, y);
  };

  if (on) add(points[first * 2], points[first * 2 + 1], true);
  for (let segment = 0; segment < segments; segment++) {
    const from = (first + segment) * 2;
    const to = (first + ((segment + 1) % corners)) * 2;
    const dx = points[to] - points[from];
    const dy = points[to + 1] - points[from + 1];
    const length = hypot(dx, dy);
    let along = 0;
    while (length - along > remaining) {
      along += remaining;
      add(points[from] + (dx * along) / length, points[from + 1] + (dy * along) / length, !on);
      if (on) inHead = false;
      on = !on;
      index = (index + 1) % lengths.length;
      remaining = lengths[index];
    }
    remaining -= length - along;
    if (on) add(points[to], points[to + 1], false);
  }

  if (head === undefined) return;
  const whole = inHead;
  inHead = false;
  if (whole) head = head.slice(0, -2);
  for (let i = on && !whole ? 2 : 0; i < head.length; i += 2) add(head[i], head[i + 1], i === 0);
  if (whole) out.close();
}

function subpathLength(lines: Polylines, subpath: number): number {
  const { points } = lines;
  const first = lines.starts[subpath];
  const end = lines.end(subpath);
  let sum = 0;
  for (let i = first + 1; i < end; i++)
    sum += hypot(points[i * 2] - points[i * 2 - 2], points[i * 2 + 1] - points[i * 2 - 1]);
  return sum;
}

function copySubpath(lines: Polylines, subpath: number, out: Polylines): void {
  const first = lines.starts[subpath];
  out.begin(lines.points[first * 2], lines.points[first * 2 + 1]);
  for (let i = first + 1; i < lines.end(subpath); i++) out.add(lines.points[i * 2], lines.points[i * 2 + 1]);
  if (lines.closed[subpath] === 1) out.close();
}
