import { chordStep, cosine, sine, turn } from './angles.ts';
import { endRow, firstRow, height } from './layer.ts';
import { Lines } from './lines.ts';

/*
 * Paths as straight lines under a transform, none of them further than a tolerance from the true curve (in the units
 * that the transform leads to). Curves that stay out of sight are not refined, so that a circle a thousand times the
 * canvas costs no more than its visible part; what lies outside keeps its side of the canvas.
 */

/* The commands of a path: see geometry/path.ts, whose numbers these are. */
const move: i32 = 0;
const line: i32 = 1;
const quad: i32 = 2;
const cubic: i32 = 3;
export const arc: i32 = 4;
/** Bytes to each command and its arguments. */
const commandBytes = memory.data<i32>([24, 24, 40, 56, 64, 8]);

/** With more points than this, curves stay coarse. It happens if a stroke is so wide that all of its line can be seen. */
const maxPoints: i32 = 100_000;
/** A curve that needs more chords than this is halved first, so that the half out of sight can be left coarse. */
const maxChords: i32 = 64;
/** Arcs are looked at in pieces of at most an eighth of a turn: a chord of those keeps its side of the canvas. */
const arcPiece: f64 = 45;
/** No visible curve is cut finer than this many times over. */
const deepest: i32 = 16;

/** What can be seen, in the units that the transform leads to. */
let left: f64 = 0;
let top: f64 = 0;
let right: f64 = 0;
let bottom: f64 = 0;
let tolerance: f64 = 0;
/** How far a pen reaches from the lines: what it draws of an arc is to be near the true curve there, too. */
let penReach: f64 = 0;
let mostPoints: i32 = 0;
let out: Lines = changetype<Lines>(0);
/** Whether the subpath has gone nowhere yet, so that what comes next tells the direction in which it sets out. */
let isFresh = true;

/** Tells what part of the outlines to come can be seen. */
export function look(seenLeft: f64, seenTop: f64, seenRight: f64, seenBottom: f64): void {
  left = seenLeft;
  top = seenTop;
  right = seenRight;
  bottom = seenBottom;
}

/** Whether a path lies above or below all rows that are drawn; not asked where those are all there are. */
export function missesRows(path: usize, end: usize, a: f64, b: f64, c: f64, d: f64, e: f64, f: f64): bool {
  if (firstRow === 0 && endRow === height) return false;
  let least = Infinity;
  let most = -Infinity;
  while (path < end) {
    const command = <i32>load<f64>(path);
    const next = path + load<i32>(commandBytes + (command << 2));
    if (command === arc) {
      const reach = max(load<f64>(path, 24), load<f64>(path, 32)) * (Math.abs(b) + Math.abs(d));
      const middle = b * load<f64>(path, 8) + d * load<f64>(path, 16) + f;
      least = min(least, middle - reach);
      most = max(most, middle + reach);
    } else
      for (let at = path + 8; at < next; at += 16) {
        const y = b * load<f64>(at) + d * load<f64>(at, 8) + f;
        least = min(least, y);
        most = max(most, y);
      }
    path = next;
  }
  return least > <f64>endRow || most < <f64>firstRow;
}

/**
 * Adds the path between two addresses to `lines`, under the transform `a b c d e f`.
 * @param half half the width of the pen that is led along them, 0 for none
 */
export function flatten(
  path: usize,
  end: usize,
  a: f64,
  b: f64,
  c: f64,
  d: f64,
  e: f64,
  f: f64,
  within: f64,
  half: f64,
  lines: Lines,
): void {
  tolerance = within;
  penReach = half;
  out = lines;
  mostPoints = lines.count + maxPoints;
  // The current point and the subpath's start, transformed.
  let x: f64 = 0;
  let y: f64 = 0;
  let startX: f64 = 0;
  let startY: f64 = 0;
  let open = false;
  while (path < end) {
    const command = <i32>load<f64>(path);
    const at = path;
    path += load<i32>(commandBytes + (command << 2));
    if (command === arc) {
      const turned = load<f64>(at, 40);
      if (turned === 0) {
        sine = 0;
        cosine = 1;
      } else turn(turned);
      const rx = load<f64>(at, 24);
      const ry = load<f64>(at, 32);
      const ma = (a * cosine + c * sine) * rx;
      const mb = (b * cosine + d * sine) * rx;
      const mc = (c * cosine - a * sine) * ry;
      const md = (d * cosine - b * sine) * ry;
      const cx = load<f64>(at, 8);
      const cy = load<f64>(at, 16);
      const me = a * cx + c * cy + e;
      const mf = b * cx + d * cy + f;
      const start = load<f64>(at, 48);
      const sweep = load<f64>(at, 56);
      turn(start);
      const px = ma * cosine + mc * sine + me;
      const py = mb * cosine + md * sine + mf;
      const setsOutX = (mc * cosine - ma * sine) * sweep;
      const setsOutY = (md * cosine - mb * sine) * sweep;
      const begins = !open;
      if (open) {
        // Along a line, unless the arc begins where the pen is.
        if (Math.abs(px - x) + Math.abs(py - y) > tolerance * 1e-6) wentStraight();
        out.add(px, py);
      } else {
        out.begin(px, py);
        open = true;
        isFresh = true;
        startX = px;
        startY = py;
      }
      const first = out.count - 1;
      flattenArc(ma, mb, mc, md, me, mf, start, sweep, begins);
      if (out.keepsCurves && sweep !== 0) {
        turn(start + sweep);
        wentAlong(first, setsOutX, setsOutY, (mc * cosine - ma * sine) * sweep, (md * cosine - mb * sine) * sweep);
      }
      x = out.x(out.count - 1);
      y = out.y(out.count - 1);
      continue;
    }
    if (command > cubic) {
      if (open) out.close();
      open = false;
      x = startX;
      y = startY;
      continue;
    }
    const lastX = load<f64>(path - 16);
    const lastY = load<f64>(path - 8);
    const ex = a * lastX + c * lastY + e;
    const ey = b * lastX + d * lastY + f;
    if (command === move) {
      // Where nothing follows it, there is nothing to draw: no cap either, as SVG has it.
      open = path < end && <i32>load<f64>(path) !== move;
      if (open) out.begin(ex, ey);
      isFresh = true;
      startX = ex;
      startY = ey;
    } else {
      if (!open) {
        // After a close, drawing goes on from the subpath's start.
        out.begin(x, y);
        open = true;
        isFresh = true;
        startX = x;
        startY = y;
      }
      if (command === line) {
        if (ex !== x || ey !== y) wentStraight();
        out.add(ex, ey);
      } else {
        const first = out.count - 1;
        const ax = a * load<f64>(at, 8) + c * load<f64>(at, 16) + e;
        const ay = b * load<f64>(at, 8) + d * load<f64>(at, 16) + f;
        if (command === quad) {
          // A quadratic curve is the cubic with its controls two thirds of the way to the quadratic's.
          const part: f64 = 2.0 / 3.0;
          flattenCubic(x, y, x + part * (ax - x), y + part * (ay - y), ex + part * (ax - ex), ey + part * (ay - ey), ex, ey, 0);
          if (out.keepsCurves) wentAlongCubic(first, x, y, ax, ay, ax, ay, ex, ey);
        } else {
          const bx = a * load<f64>(at, 24) + c * load<f64>(at, 32) + e;
          const by = b * load<f64>(at, 24) + d * load<f64>(at, 32) + f;
          flattenCubic(x, y, ax, ay, bx, by, ex, ey, 0);
          if (out.keepsCurves) wentAlongCubic(first, x, y, ax, ay, bx, by, ex, ey);
        }
      }
    }
    x = ex;
    y = ey;
  }
}

/** Notes that the subpath has gone along a line, whose direction its points tell. */
function wentStraight(): void {
  isFresh = false;
  if (out.keepsCurves) out.arrive(0, 0);
}

/** Notes that the subpath has gone along a curve, from a point on, in which direction it set out and arrived. */
function wentAlong(first: i32, dx: f64, dy: f64, ex: f64, ey: f64): void {
  if (isFresh) out.setOut(dx, dy);
  isFresh = false;
  out.arrive(ex, ey);
  out.addCurve(first);
}

/** The same of a cubic curve: from an end of it the way leads to the next control point that lies elsewhere. */
function wentAlongCubic(first: i32, x0: f64, y0: f64, x1: f64, y1: f64, x2: f64, y2: f64, x3: f64, y3: f64): void {
  const fromFirst = x1 !== x0 || y1 !== y0;
  const fromSecond = x2 !== x0 || y2 !== y0;
  const toSecond = x2 !== x3 || y2 !== y3;
  const toFirst = x1 !== x3 || y1 !== y3;
  if (!fromFirst && !fromSecond && x3 === x0 && y3 === y0) return;
  wentAlong(
    first,
    (fromFirst ? x1 : fromSecond ? x2 : x3) - x0,
    (fromFirst ? y1 : fromSecond ? y2 : y3) - y0,
    x3 - (toSecond ? x2 : toFirst ? x1 : x0),
    y3 - (toSecond ? y2 : toFirst ? y1 : y0),
  );
}

/**
 * An arc of the unit circle from `start` over `sweep` degrees, under the transform `a b c d e f`.
 * @param begins whether its subpath begins with it
 */
function flattenArc(a: f64, b: f64, c: f64, d: f64, e: f64, f: f64, start: f64, sweep: f64, begins: bool): void {
  const radius = largestScale(a, b, c, d);
  if (!isFinite(radius)) return;
  const pieces = max(1, <i32>Math.ceil(Math.abs(sweep) / arcPiece));
  const step = max(chordStep(radius + penReach, tolerance), 1e-6);
  if (begins && start === 0 && sweep === 360) {
    // Corners as far outside as the middles of chords are inside: chords may then be longer.
    const count = <i32>Math.ceil(arcPiece / max(chordStep(radius + penReach, 2 * tolerance), 1e-6));
    const inSight = e - radius >= left && e + radius <= right && f - radius >= top && f + radius <= bottom;
    if (count <= maxChords && (inSight || count === 1)) return wholeCircle(a, b, c, d, e, f, count * 8);
  }
  for (let piece = 0; piece < pieces; piece++)
    arcPart(a, b, c, d, e, f, start + (sweep * piece) / pieces, sweep / pieces, step, radius);
}

/** Where the corners of a circle of so many of them lie, a little outside of it; worked out once. */
const corners = memory.data(8 * 8 * 65);

function cornersOf(count: i32): usize {
  const kept = corners + (count >> 3) * 8;
  let at = <usize>load<u32>(kept);
  if (at === 0) {
    at = heap.alloc(count * 16);
    store<u32>(kept, <u32>at);
    turn(180.0 / count);
    const out = 2 / (1 + cosine);
    for (let i = 0; i < count; i++) {
      turn((360.0 * (i + 1)) / count);
      store<f64>(at + i * 16, cosine * out);
      store<f64>(at + i * 16, sine * out, 8);
    }
  }
  return at;
}

function wholeCircle(a: f64, b: f64, c: f64, d: f64, e: f64, f: f64, count: i32): void {
  let corner = cornersOf(count);
  out.reserve(count);
  for (let i = 0; i < count; i++, corner += 16) {
    const x = load<f64>(corner);
    const y = load<f64>(corner, 8);
    out.add(a * x + c * y + e, b * x + d * y + f);
  }
  // It began on the circle: a step from there to the last corner would be one for a pen to turn at.
  const last = out.count - 1;
  out.setPoint(last - count, out.x(last), out.y(last));
}

/** A part of an arc: one chord where it is fine enough or out of sight, a few where a few will do, else in halves. */
function arcPart(a: f64, b: f64, c: f64, d: f64, e: f64, f: f64, start: f64, sweep: f64, step: f64, radius: f64): void {
  const count = <i32>Math.min(Math.ceil(Math.abs(sweep) / step), 1e9);
  if (count <= 1 || out.count > mostPoints || !isPartInSight(a, b, c, d, e, f, start, sweep, radius))
    return chords(a, b, c, d, e, f, start, sweep, 1);
  if (count <= maxChords) return chords(a, b, c, d, e, f, start, sweep, count);
  arcPart(a, b, c, d, e, f, start, sweep / 2, step, radius);
  arcPart(a, b, c, d, e, f, start + sweep / 2, sweep / 2, step, radius);
}

function chords(a: f64, b: f64, c: f64, d: f64, e: f64, f: f64, start: f64, sweep: f64, count: i32): void {
  for (let i = 1; i <= count; i++) {
    turn(start + (sweep * i) / count);
    out.add(a * cosine + c * sine + e, b * cosine + d * sine + f);
  }
}

/** Whether a part of an arc can reach what is seen: the part lies within its half chord's reach of its middle. */
function isPartInSight(a: f64, b: f64, c: f64, d: f64, e: f64, f: f64, start: f64, sweep: f64, radius: f64): bool {
  turn(start + sweep / 2);
  const x = a * cosine + c * sine + e;
  const y = b * cosine + d * sine + f;
  const reach = radius * Math.abs(sweep / 2) * (Math.PI / 180);
  return x + reach >= left && x - reach <= right && y + reach >= top && y - reach <= bottom;
}

/**
 * A cubic Bézier curve as chords. Wang's bound gives the number of equal steps at which no chord is further than the
 * tolerance from the curve: n = √(6/8 · max|second difference| / tolerance).
 */
function flattenCubic(x0: f64, y0: f64, x1: f64, y1: f64, x2: f64, y2: f64, x3: f64, y3: f64, depth: i32): void {
  const ddx = max(Math.abs(x0 - 2 * x1 + x2), Math.abs(x1 - 2 * x2 + x3));
  const ddy = max(Math.abs(y0 - 2 * y1 + y2), Math.abs(y1 - 2 * y2 + y3));
  const steps = Math.ceil(Math.sqrt((0.75 * Math.sqrt(ddx * ddx + ddy * ddy)) / tolerance));
  if (!(steps > 1) || !isFinite(steps) || out.count > mostPoints) return out.add(x3, y3);
  if (steps > maxChords && depth < deepest) {
    const isOutside =
      max(max(x0, x1), max(x2, x3)) < left ||
      min(min(x0, x1), min(x2, x3)) > right ||
      max(max(y0, y1), max(y2, y3)) < top ||
      min(min(y0, y1), min(y2, y3)) > bottom;
    if (isOutside) return out.add(x3, y3);
    // De Casteljau's halving.
    const ax = (x0 + x1) / 2;
    const ay = (y0 + y1) / 2;
    const bx = (x1 + x2) / 2;
    const by = (y1 + y2) / 2;
    const cx = (x2 + x3) / 2;
    const cy = (y2 + y3) / 2;
    const abx = (ax + bx) / 2;
    const aby = (ay + by) / 2;
    const bcx = (bx + cx) / 2;
    const bcy = (by + cy) / 2;
    const mx = (abx + bcx) / 2;
    const my = (aby + bcy) / 2;
    flattenCubic(x0, y0, ax, ay, abx, aby, mx, my, depth + 1);
    flattenCubic(mx, my, bcx, bcy, cx, cy, x3, y3, depth + 1);
    return;
  }
  const count = min(<i32>steps, maxChords);
  out.reserve(count);
  for (let i = 1; i < count; i++) {
    const t = <f64>i / count;
    const u = 1 - t;
    const w0 = u * u * u;
    const w1 = 3 * u * u * t;
    const w2 = 3 * u * t * t;
    const w3 = t * t * t;
    out.add(w0 * x0 + w1 * x1 + w2 * x2 + w3 * x3, w0 * y0 + w1 * y1 + w2 * y2 + w3 * y3);
  }
  out.add(x3, y3);
}

/** The factor by which a transform lengthens what it lengthens most: its largest singular value. */
export function largestScale(a: f64, b: f64, c: f64, d: f64): f64 {
  const sum = a * a + b * b + c * c + d * d;
  const det = a * d - b * c;
  return Math.sqrt((sum + Math.sqrt(max(0, sum * sum - 4 * det * det))) / 2);
}
