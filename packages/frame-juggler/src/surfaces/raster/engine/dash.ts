import { Lines } from './lines.ts';

/** An outline that a pattern would cut into more pieces than this stays whole: they are finer than any pixel. */
const maxDashes: f64 = 100_000;

/** The lengths of dashes and gaps in turn; an odd list is gone through twice, so that dash and gap change places. */
let pattern: usize = 0;
let given: i32 = 0;
let lengths: i32 = 0;

@inline
function lengthAt(index: i32): f64 {
  return load<f64>(pattern + (index < given ? index : index - given) * 8);
}

/* The direction of a line at the place that was asked for last. */
let atX: f64 = 0;
let atY: f64 = 0;

/** On a closed subpath the dash at the start is kept back: it may turn out to be the end of the last one. */
const head = new Lines();

/**
 * Cuts outlines into dashes, as SVG's `stroke-dasharray` says: `offset` is how far into the pattern each subpath begins.
 * Dashes come out as open subpaths; on a closed subpath the last dash runs on into the first where both touch the
 * start. A pattern of nothing but zeros leaves the outline whole.
 */
export function dash(lines: Lines, list: usize, count: i32, offset: f64, out: Lines): void {
  pattern = list;
  given = count;
  lengths = count & 1 ? count * 2 : count;
  let period: f64 = 0;
  for (let i = 0; i < lengths; i++) period += lengthAt(i);
  const start = ((offset % period) + period) % period;
  for (let subpath = 0; subpath < lines.subpaths; subpath++) {
    const pieces = (lengthOf(lines, subpath) / period) * lengths;
    if (pieces < maxDashes) dashSubpath(lines, subpath, start, out);
    else copySubpath(lines, subpath, out);
  }
}

function dashSubpath(lines: Lines, subpath: i32, offset: f64, out: Lines): void {
  const first = lines.start(subpath);
  const corners = lines.end(subpath) - first;
  const closed = lines.isClosed(subpath);
  const segments = closed ? corners : corners - 1;

  let index = 0;
  let used = offset;
  while (used > lengthAt(index) || (used === lengthAt(index) && used > 0)) {
    used -= lengthAt(index);
    index = (index + 1) % lengths;
  }
  let remaining = lengthAt(index) - used;
  let on = (index & 1) === 0;

  const keepsHead = closed && on;
  let inHead = keepsHead;
  let headX: f64 = 0;
  let headY: f64 = 0;
  head.clear();
  if (on) put(inHead, true, lines.x(first), lines.y(first), out);
  if (on && !inHead) copyDirection(lines, subpath, out, 0);
  let curve = 0;
  while (curve < lines.curves && lines.curveEnd(curve) <= first) curve++;
  direct(lines, curve, first, 0);
  const firstX = atX;
  const firstY = atY;
  for (let segment = 0; segment < segments; segment++) {
    const from = first + segment;
    const to = first + ((segment + 1) % corners);
    const x = lines.x(from);
    const y = lines.y(from);
    const dx = lines.x(to) - x;
    const dy = lines.y(to) - y;
    const length = Math.sqrt(dx * dx + dy * dy);
    let along: f64 = 0;
    while (length - along > remaining) {
      along += remaining;
      put(inHead, !on, x + (dx * along) / length, y + (dy * along) / length, out);
      while (curve < lines.curves && lines.curveEnd(curve) <= from) curve++;
      direct(lines, curve, from, along / length);
      if (!on) out.setOut(atX, atY);
      else if (!inHead) out.arrive(atX, atY);
      else {
        headX = atX;
        headY = atY;
      }
      if (on) inHead = false;
      on = !on;
      index = (index + 1) % lengths;
      remaining = lengthAt(index);
    }
    remaining -= length - along;
    if (on) put(inHead, false, lines.x(to), lines.y(to), out);
  }

  if (on && !closed) copyDirection(lines, subpath, out, 16);
  if (!keepsHead) return;
  // The last point of a head that never ended is the first again.
  const end = inHead ? head.count - 1 : head.count;
  const runsOn = on && !inHead;
  for (let i = runsOn ? 1 : 0; i < end; i++) put(false, i === 0, head.x(i), head.y(i), out);
  if (!runsOn && end > 0) out.setOut(firstX, firstY);
  if (inHead) out.close();
  else if (end > 0) out.arrive(headX, headY);
}

/**
 * Finds the direction of a line at a part of the segment behind a point: 0, 0 where the segment tells it, else that of
 * the curve that it is a chord of. Along a chord a curve turns evenly.
 * @param curve the first curve that ends behind the point
 */
function direct(lines: Lines, curve: i32, from: i32, part: f64): void {
  atX = 0;
  atY = 0;
  if (curve >= lines.curves || from < lines.curveStart(curve)) return;
  const startsInside = from > lines.curveStart(curve);
  const endsInside = from + 1 < lines.curveEnd(curve);
  if (!startsInside && !endsInside) return;
  const x = lines.x(from + 1) - lines.x(from);
  const y = lines.y(from + 1) - lines.y(from);
  const square = x * x + y * y;
  let ax: f64 = 0;
  let ay: f64 = 0;
  if (startsInside) {
    tangent(lines, from);
    ax = atX;
    ay = atY;
  }
  if (endsInside) tangent(lines, from + 1);
  // At the end of a curve the chord lies evenly between its directions: one is the other's reflection in it.
  if (!startsInside) {
    const along = (2 * (atX * x + atY * y)) / square;
    ax = along * x - atX;
    ay = along * y - atY;
  } else if (!endsInside) {
    const along = (2 * (ax * x + ay * y)) / square;
    atX = along * x - ax;
    atY = along * y - ay;
  }
  atX = ax + (atX - ax) * part;
  atY = ay + (atY - ay) * part;
}

/** The direction of a curve at one of its points between the ends: that of the circle through it and its neighbors. */
function tangent(lines: Lines, point: i32): void {
  const x = lines.x(point);
  const y = lines.y(point);
  const ux = x - lines.x(point - 1);
  const uy = y - lines.y(point - 1);
  const vx = lines.x(point + 1) - x;
  const vy = lines.y(point + 1) - y;
  const u = ux * ux + uy * uy;
  const v = vx * vx + vy * vy;
  const dx = ux * v + vx * u;
  const dy = uy * v + vy * u;
  const length = Math.sqrt(dx * dx + dy * dy);
  atX = dx / length;
  atY = dy / length;
}

/** Copies the direction in which a subpath sets out, or, 16 bytes on, arrives. */
function copyDirection(lines: Lines, subpath: i32, out: Lines, which: usize): void {
  const at = lines.directionsOf(subpath) + which;
  if (which === 0) out.setOut(load<f64>(at), load<f64>(at, 8));
  else out.arrive(load<f64>(at), load<f64>(at, 8));
}

function put(inHead: bool, begins: bool, x: f64, y: f64, out: Lines): void {
  if (inHead) head.add(x, y);
  else if (begins) out.begin(x, y);
  else out.add(x, y);
}

function lengthOf(lines: Lines, subpath: i32): f64 {
  let sum: f64 = 0;
  for (let i = lines.start(subpath) + 1; i < lines.end(subpath); i++) {
    const dx = lines.x(i) - lines.x(i - 1);
    const dy = lines.y(i) - lines.y(i - 1);
    sum += Math.sqrt(dx * dx + dy * dy);
  }
  return sum;
}

function copySubpath(lines: Lines, subpath: i32, out: Lines): void {
  const first = lines.start(subpath);
  out.begin(lines.x(first), lines.y(first));
  for (let i = first + 1; i < lines.end(subpath); i++) out.add(lines.x(i), lines.y(i));
  copyDirection(lines, subpath, out, 0);
  copyDirection(lines, subpath, out, 16);
  if (lines.isClosed(subpath)) out.close();
}
