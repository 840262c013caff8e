import { grow } from './memory.ts';
import { atan2 } from '../../../maths/arc.ts';
import { chordStep, cosine, sine, turn } from './angles.ts';
import { Lines } from './lines.ts';

/*
 * The outline of a pen drawn along flattened lines, to be filled by the nonzero rule: an open subpath gives one closed
 * outline, a closed subpath an outer and an inner one.
 *
 * Every corner, inner side included, is led so that the outline is the union of one rectangle a segment and one wedge a
 * join, all wound the same way: nothing is cut out by a pen wider than what it draws.
 */

/* Caps and joins, by their places in the lists of geometry/pen.ts. */
export const butt: i32 = 0;
const round: i32 = 1;
const square: i32 = 2;
const miter: i32 = 0;

/** Round joins and caps have no smaller steps than this, in degrees, and a single step once an outline has too many points. */
const finestStep: f64 = 0.06;
const maxPoints: i32 = 1_000_000;

let half: f64 = 0;
let cap: i32 = 0;
let join: i32 = 0;
let miterLimit: f64 = 4;
let arcStep: f64 = 0;
let mostPoints: i32 = 0;
/** Points no further apart than this are one: between them there is no direction but what rounding has left. */
let apart: f64 = 0;
/** Offsets that pass each other by no more than this are not seen to. */
let slack: f64 = 0;
let out: Lines = changetype<Lines>(0);
let begun = false;
/** Whether what was stroked last turns back somewhere, so that both ways lie over one another. */
export let turnsBack = false;
/** Whether it is one closed line that bends one way only, all of whose inner corners lie clear of one another. */
export let isRing = false;
/** 1 + the cosine of a turn of 120 degrees: beyond it the edges of both ways meet in more pixels than one. */
const back: f64 = 0.5;
/** The cosine of what a curve may turn between its end and the middle of a chord there, 45 degrees. */
const straightEnough: f64 = 0.7;

/* Of an open subpath: its last segment, and the sines of the angles by which its caps are tilted; -1 for a closed one. */
let lastSegment: i32 = -1;
let startTilt: f64 = 0;
let endTilt: f64 = 0;
let capX: f64 = 0;
let capY: f64 = 0;

/* The current subpath without repeated points, each with the direction and length of its segment. */
const cornerBytes: i32 = 40;
let corners: usize = 0;
let room: i32 = 0;
let count: i32 = 0;

@inline
function cornerAt(i: i32): usize {
  return corners + i * cornerBytes;
}

/** Adds what the pen covers along `lines` to `outline`, round joins and caps within `tolerance` of true arcs. */
export function strokeOutline(
  lines: Lines, width: f64, penCap: i32, penJoin: i32, limit: f64, tolerance: f64, outline: Lines,
): void {
  half = width / 2;
  cap = penCap;
  join = penJoin;
  miterLimit = limit;
  out = outline;
  mostPoints = outline.count + maxPoints;
  apart = tolerance * 1e-6;
  slack = tolerance / 4;
  turnsBack = false;
  isRing = lines.subpaths === 1;
  arcStep = half > tolerance ? max(finestStep, chordStep(half, tolerance)) : 90;
  for (let subpath = 0; subpath < lines.subpaths; subpath++) strokeSubpath(lines, subpath);
}

function strokeSubpath(lines: Lines, subpath: i32): void {
  const closed = take(lines, subpath);
  begun = false;
  lastSegment = -1;
  isRing = isRing && closed && count > 2;
  if (count === 0) return;
  if (count === 1) return dot(load<f64>(corners), load<f64>(corners, 8));
  if (closed && count > 2) {
    for (let i = 0; i < count; i++) corner(i, i === 0 ? count - 1 : i - 1, i, 1);
    finish();
    for (let i = count - 1; i >= 0; i--) corner(i, i, i === 0 ? count - 1 : i - 1, -1);
    return finish();
  }
  if (closed) {
    // There and back along one segment: the join at either end is a full turn.
    corner(0, 1, 0, 1);
    corner(1, 0, 1, 1);
    return finish();
  }
  const last = count - 1;
  const directions = lines.directionsOf(subpath);
  lastSegment = last - 1;
  startTilt = takeDirection(0, directions);
  endTilt = takeDirection(lastSegment, directions + 16);
  const endX = capX;
  const endY = capY;
  takeDirection(0, directions);
  putCap(0, capX, capY);
  for (let i = 1; i < last; i++) corner(i, i - 1, i, 1);
  putCap(last, -endX, -endY);
  for (let i = last - 1; i > 0; i--) corner(i, i, i - 1, -1);
  finish();
}

/** Whether a point is the one that was taken in last. */
@inline
function isLast(x: f64, y: f64): bool {
  const at = cornerAt(count - 1);
  return abs(x - load<f64>(at)) <= apart && abs(y - load<f64>(at, 8)) <= apart;
}

/** Takes in a subpath, drops points that repeat, and says whether it is closed. */
function take(lines: Lines, subpath: i32): bool {
  const end = lines.end(subpath);
  const first = lines.start(subpath);
  const closed = lines.isClosed(subpath);
  if (end - first > room) {
    room = max(256, (end - first) * 2);
    corners = grow(corners, room * cornerBytes);
  }
  count = 0;
  for (let i = first; i < end; i++) {
    const x = lines.x(i);
    const y = lines.y(i);
    if (count > 0 && isLast(x, y)) continue;
    store<f64>(cornerAt(count), x);
    store<f64>(cornerAt(count++), y, 8);
  }
  const x = load<f64>(corners);
  const y = load<f64>(corners, 8);
  while (closed && count > 1 && isLast(x, y)) count--;
  const segments = closed && count > 1 ? count : count - 1;
  for (let i = 0; i < segments; i++) {
    const at = cornerAt(i);
    const next = cornerAt(i + 1 === count ? 0 : i + 1);
    const vx = load<f64>(next) - load<f64>(at);
    const vy = load<f64>(next, 8) - load<f64>(at, 8);
    const length = Math.sqrt(vx * vx + vy * vy);
    store<f64>(at, vx / length, 16);
    store<f64>(at, vy / length, 24);
    store<f64>(at, length, 32);
  }
  return closed;
}

/**
 * One side of a corner: point `i`, where segment `before` ends and segment `after` begins. Side 1 runs with the
 * segments on their left hand (y down), side -1 back on the other; `before` and `after` are in running order.
 */
function corner(i: i32, before: i32, after: i32, side: f64): void {
  const x = load<f64>(cornerAt(i));
  const y = load<f64>(cornerAt(i), 8);
  // Directions in which the outline runs, and from them the offsets to this side.
  const ux = load<f64>(cornerAt(before), 16) * side;
  const uy = load<f64>(cornerAt(before), 24) * side;
  const vx = load<f64>(cornerAt(after), 16) * side;
  const vy = load<f64>(cornerAt(after), 24) * side;
  const ax = uy * half;
  const ay = -ux * half;
  const bx = vy * half;
  const by = -vx * half;
  const cross = ux * vy - uy * vx;
  const dot = ux * vx + uy * vy;
  // 1 + dot; where the way turns back, that is all rounding, and cross² = (1 + dot)·(1 − dot) tells it better.
  const openness = dot < 0 ? (cross * cross) / (1 - dot) : 1 + dot;
  const k = 1 / openness;
  if (openness < back) turnsBack = true;
  // There and back on one line: both outlines are the same.
  if (cross === 0 && dot < 0) isRing = false;

  if (cross < 0) {
    // The inner side of the bend; the offsets meet by the tangent of half the angle, from its sine and cosine.
    const inset = half * -cross * k;
    if (inset <= roomOn(before, side) && inset <= roomOn(after, side)) {
      add(x + (ax + bx) * k, y + (ay + by) * k);
    } else {
      // Too short for the offsets to meet: through the corner itself, so that both rectangles stay whole.
      isRing = false;
      add(x + ax, y + ay);
      add(x, y);
      add(x + bx, y + by);
    }
    return;
  }
  // The miter's length over the width is 1 / sin(θ/2), with θ the angle between the segments: 2 / (1 + dot) squared.
  if (join === miter && cross > 0 && 2 <= miterLimit * miterLimit * openness) return add(x + (ax + bx) * k, y + (ay + by) * k);
  add(x + ax, y + ay);
  if (join === round) {
    const angle = atan2(cross, dot) * (180 / Math.PI);
    addArc(x, y, ax, ay, angle < 0 ? angle + 360 : angle);
  }
  add(x + bx, y + by);
}

/** How far along a segment the offsets of its ends may move before they meet those of its other end, on one side. */
@inline
function roomOn(segment: i32, side: f64): f64 {
  const length = load<f64>(cornerAt(segment), 32);
  if (lastSegment < 0 || (segment > 0 && segment < lastSegment)) return length / 2;
  // A cap stays where it is; if it is tilted, its own offset has moved. Near a corner both move alike, but for a little.
  return length + (segment === 0 ? startTilt : -endTilt) * side * half + slack;
}

/**
 * Finds the direction at an end of an open line: that of a curve, where it ends in one, which is not quite that of its
 * last chord. Returns the sine of the angle between them.
 */
function takeDirection(segment: i32, direction: usize): f64 {
  const dx = load<f64>(cornerAt(segment), 16);
  const dy = load<f64>(cornerAt(segment), 24);
  const tx = load<f64>(direction);
  const ty = load<f64>(direction, 8);
  // A curve that turns far within a chord is smaller than what is seen.
  const isCurve = tx * dx + ty * dy > straightEnough;
  capX = isCurve ? tx : dx;
  capY = isCurve ? ty : dy;
  return capX * dy - capY * dx;
}

/** An end of an open line, at point `i`: `vx`, `vy` is the way along which the outline leaves it again. */
function putCap(i: i32, vx: f64, vy: f64): void {
  const x = load<f64>(cornerAt(i));
  const y = load<f64>(cornerAt(i), 8);
  const ax = -vy * half;
  const ay = vx * half;
  const extend = cap === square ? half : 0;
  add(x + ax - vx * extend, y + ay - vy * extend);
  if (cap === round) addArc(x, y, ax, ay, 180);
  add(x - ax - vx * extend, y - ay - vy * extend);
}

/** A subpath of a single point: nothing under butt caps, else the cap's own shape. */
function dot(x: f64, y: f64): void {
  if (cap === butt) return;
  if (cap === square) {
    add(x - half, y - half);
    add(x + half, y - half);
    add(x + half, y + half);
    add(x - half, y + half);
  } else {
    add(x + half, y);
    addArc(x, y, half, 0, 360);
  }
  finish();
}

/** Points between an offset `(ax, ay)` and the same turned by `sweep` degrees, both ends left out. */
function addArc(x: f64, y: f64, ax: f64, ay: f64, sweep: f64): void {
  const steps = out.count > mostPoints ? 1 : <i32>Math.ceil(sweep / arcStep);
  for (let step = 1; step < steps; step++) {
    turn((sweep * step) / steps);
    add(x + ax * cosine - ay * sine, y + ax * sine + ay * cosine);
  }
}

function add(x: f64, y: f64): void {
  if (begun) out.add(x, y);
  else out.begin(x, y);
  begun = true;
}

function finish(): void {
  out.close();
  begun = false;
}
