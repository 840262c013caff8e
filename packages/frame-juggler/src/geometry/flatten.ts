import { arc, close, commandLength, line, move, quad, type Path } from './path.ts';
import { largestScale, type Matrix } from './matrix.ts';
import { sinCos } from '../maths/degrees.ts';
import type { Box } from './box.ts';
import type { Polylines } from './polyline.ts';
import { acos } from '../maths/arc.ts';
import { hypot } from '../maths/power.ts';

/**
 * A path as straight lines under a transform, none of them further than `tolerance` from the true curve (both in the
 * units that `matrix` leads to). Curves that stay outside `visible` are not refined, so that a circle a thousand
 * times the canvas costs no more than its visible part; what lies outside keeps its side of the canvas.
 */
export function flatten(
  path: Path,
  matrix: Matrix,
  tolerance: number,
  visible: Box,
  out: Polylines,
  from = 0,
  to = path.length,
): void {
  const [a, b, c, d, e, f] = matrix;
  // The current point and the subpath's start, transformed.
  let x = 0;
  let y = 0;
  let startX = 0;
  let startY = 0;
  let open = false;

  for (let i = from; i < to; i += commandLength[path[i]]) {
    const command = path[i];
    if (command === close) {
      if (open) out.close();
      open = false;
      x = startX;
      y = startY;
      continue;
    }
    if (command === arc) {
      const arcMatrix = ellipseMatrix(path, i, matrix);
      const start = path[i + 6];
      const { sin, cos } = sinCos(start);
      const px = arcMatrix[0] * cos + arcMatrix[2] * sin + arcMatrix[4];
      const py = arcMatrix[1] * cos + arcMatrix[3] * sin + arcMatrix[5];
      if (open) out.add(px, py);
      else {
        out.begin(px, py);
        open = true;
        startX = px;
        startY = py;
      }
      flattenArc(arcMatrix, start, path[i + 7], tolerance, visible, out);
      x = out.points[out.count * 2 - 2];
      y = out.points[out.count * 2 - 1];
      continue;
    }
    const last = i + commandLength[command] - 2;
    const ex = a * path[last] + c * path[last + 1] + e;
    const ey = b * path[last] + d * path[last + 1] + f;
    if (command === move) {
      out.begin(ex, ey);
      open = true;
      startX = ex;
      startY = ey;
    } else {
      if (!open) {
        // After a close, drawing goes on from the subpath's start.
        out.begin(x, y);
        open = true;
        startX = x;
        startY = y;
      }
      if (command === line) out.add(ex, ey);
      else {
        const ax = a * path[i + 1] + c * path[i + 2] + e;
        const ay = b * path[i + 1] + d * path[i + 2] + f;
        if (command === quad) {
          // A quadratic curve is the cubic with its controls two thirds of the way to the quadratic's.
          const third = 1 / 3;
          flattenCubic(
            x, y,
            x + 2 * third * (ax - x), y + 2 * third * (ay - y),
            ex + 2 * third * (ax - ex), ey + 2 * third * (ay - ey),
            ex, ey, tolerance, visible, out, 0,
          ); // prettier-ignore
        } else {
          const bx = a * path[i + 3] + c * path[i + 4] + e;
          const by = b * path[i + 3] + d * path[i + 4] + f;
          flattenCubic(x, y, ax, ay, bx, by, ex, ey, tolerance, visible, out, 0);
        }
      }
    }
    x = ex;
    y = ey;
  }
}

/** The transform from the unit circle to the ellipse of the arc command at `i`. */
function ellipseMatrix(path: Path, i: number, [a, b, c, d, e, f]: Matrix): Matrix {
  const cx = path[i + 1];
  const cy = path[i + 2];
  const rx = path[i + 3];
  const ry = path[i + 4];
  const { sin, cos } = sinCos(path[i + 5]);
  return [
    (a * cos + c * sin) * rx,
    (b * cos + d * sin) * rx,
    (c * cos - a * sin) * ry,
    (d * cos - b * sin) * ry,
    a * cx + c * cy + e,
    b * cx + d * cy + f,
  ];
}

/** Beyond so many points curves are left coarse: a stroke wider than the canvas makes all of its line matter. */
const maxPoints = 100_000;
/** A curve that needs more chords than this is halved first, so that the half out of sight can be left coarse. */
const maxChords = 64;
/** Arcs are looked at in pieces of at most an eighth of a turn: a chord of those keeps its side of the canvas. */
const arcPiece = 45;

function flattenArc(m: Matrix, start: number, sweep: number, tolerance: number, visible: Box, out: Polylines): void {
  const radius = largestScale(m);
  if (!Number.isFinite(radius)) return;
  const pieces = Math.max(1, Math.ceil(Math.abs(sweep) / arcPiece));
  // A chord over an angle of 2·α lies r·(1 - cos α) from its arc.
  const half = radius > tolerance ? acos(1 - tolerance / radius) : Math.PI / 2;
  const step = Math.max(half * 2 * (180 / Math.PI), 1e-6);
  for (let piece = 0; piece < pieces; piece++)
    arcPart(m, start + (sweep * piece) / pieces, sweep / pieces, step, radius, visible, out);
}

/** A part of an arc: one chord where it is fine enough or out of sight, a few where a few will do, else in halves. */
function arcPart(
  m: Matrix,
  start: number,
  sweep: number,
  step: number,
  radius: number,
  visible: Box,
  out: Polylines,
): void {
  const count = Math.ceil(Math.abs(sweep) / step);
  if (count <= 1 || out.count > maxPoints || !partInSight(m, start, sweep, radius, visible))
    return chords(m, start, sweep, 1, out);
  if (count <= maxChords) return chords(m, start, sweep, count, out);
  arcPart(m, start, sweep / 2, step, radius, visible, out);
  arcPart(m, start + sweep / 2, sweep / 2, step, radius, visible, out);
}

function chords(m: Matrix, start: number, sweep: number, count: number, out: Polylines): void {
  for (let i = 1; i <= count; i++) {
    const { sin, cos } = sinCos(start + (sweep * i) / count);
    out.add(m[0] * cos + m[2] * sin + m[4], m[1] * cos + m[3] * sin + m[5]);
  }
}

/** Whether a part of an arc can reach the visible box: the part lies within its half chord's reach of its middle. */
function partInSight(m: Matrix, start: number, sweep: number, radius: number, visible: Box): boolean {
  const { sin, cos } = sinCos(start + sweep / 2);
  const x = m[0] * cos + m[2] * sin + m[4];
  const y = m[1] * cos + m[3] * sin + m[5];
  const reach = radius * Math.abs(sweep / 2) * (Math.PI / 180);
  return (
    x + reach >= visible.left && x - reach <= visible.right && y + reach >= visible.top && y - reach <= visible.bottom
  );
}

/** No visible curve is cut finer than this many times over. */
const deepest = 16;

/**
 * A cubic Bézier curve as chords. Wang's bound gives the number of equal steps at which no chord is further than the
 * tolerance from the curve: n = √(6/8 · max|second difference| / tolerance).
 */
function flattenCubic(
  x0: number,
  y0: number,
  x1: number,
  y1: number,
  x2: number,
  y2: number,
  x3: number,
  y3: number,
  tolerance: number,
  visible: Box,
  out: Polylines,
  depth: number,
): void {
  // prettier-ignore
  const ddx = Math.max(Math.abs(x0 - 2 * x1 + x2), Math.abs(x1 - 2 * x2 + x3));
  const ddy = Math.max(Math.abs(y0 - 2 * y1 + y2), Math.abs(y1 - 2 * y2 + y3));
  const steps = Math.ceil(Math.sqrt((0.75 * hypot(ddx, ddy)) / tolerance));
  if (!(steps > 1) || !Number.isFinite(steps) || out.count > maxPoints) return out.add(x3, y3);
  if (steps > maxChords && depth < deepest) {
    const outside =
      Math.max(x0, x1, x2, x3) < visible.left ||
      Math.min(x0, x1, x2, x3) > visible.right ||
      Math.max(y0, y1, y2, y3) < visible.top ||
      Math.min(y0, y1, y2, y3) > visible.bottom;
    if (outside) return out.add(x3, y3);
    // De Casteljau's halving.
    const [ax, ay] = [(x0 + x1) / 2, (y0 + y1) / 2];
    const [bx, by] = [(x1 + x2) / 2, (y1 + y2) / 2];
    const [cx, cy] = [(x2 + x3) / 2, (y2 + y3) / 2];
    const [abx, aby] = [(ax + bx) / 2, (ay + by) / 2];
    const [bcx, bcy] = [(bx + cx) / 2, (by + cy) / 2];
    const [mx, my] = [(abx + bcx) / 2, (aby + bcy) / 2];
    flattenCubic(x0, y0, ax, ay, abx, aby, mx, my, tolerance, visible, out, depth + 1);
    flattenCubic(mx, my, bcx, bcy, cx, cy, x3, y3, tolerance, visible, out, depth + 1);
    return;
  }
  const count = Math.min(steps, maxChords);
  for (let i = 1; i < count; i++) {
    const t = i / count;
    const u = 1 - t;
    const w0 = u * u * u;
    const w1 = 3 * u * u * t;
    const w2 = 3 * u * t * t;
    const w3 = t * t * t;
    out.add(w0 * x0 + w1 * x1 + w2 * x2 + w3 * x3, w0 * y0 + w1 * y1 + w2 * y2 + w3 * y3);
  }
  out.add(x3, y3);
}
