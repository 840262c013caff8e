import { endRow, firstRow, width } from './layer.ts';
import { Lines } from './lines.ts';

/** Coordinates are rounded to this part of a pixel, so that a move by whole pixels changes no arithmetic. */
export const grid: f64 = 65536;
/** Edges are cut this far, in pixels, above and below the canvas: beyond, a number has no digits left for a pixel. */
export const far: f64 = 16777216;
/** Points further out than this are taken for none: differences between them may be too large for a number. */
const tooFar: f64 = 1e300;

/** Outlines of more corners have one in most of their rows. */
const maxCorners: i32 = 6;
/** Across more pixels than this a place in a row is not told exactly enough by a short number. */
const tooWide: f64 = 16384;

/** A pixel that lacks no more than this on either side counts as wholly covered: 255 times what is left is rounded up. */
const slit: f64 = 1 / 1024;

/* Outlines are of any area; of what a pen covers, all of which winds the same way; or of letters. */
export const area: i32 = 0;
export const pen: i32 = 1;
export const letters: i32 = 2;

/** What outlines cover: which of many they are, the box of pixels that they can reach, and what is known of them. */
@unmanaged
export class Shape {
  firstSubpath: i32 = 0;
  endSubpath: i32 = 0;
  firstPoint: i32 = 0;
  evenOdd: bool = false;
  isRectangle: bool = false;
  /** Whether they are known to wind once at most, and nowhere the other way round. */
  isPlain: bool = false;
  /** Whether they are one convex outline of few corners: most rows of such a one lie between two edges. */
  isSimple: bool = false;
  /** Whether they are one outline, or two, each of which leads down once and up once, all of it on the canvas's columns. */
  isMonotone: bool = false;
  /** What they are of: see above. */
  origin: i32 = 0;
  /** Whether edges may lie beyond the left or the right side of the canvas, or too far above or below it. */
  mayBeCut: bool = false;
  left: i32 = 0;
  top: i32 = 0;
  /** The last two sides are not included. */
  right: i32 = 0;
  bottom: i32 = 0;
  /** From which row on, and up to which, it wholly covers the canvas from side to side. */
  wholeFrom: i32 = 0;
  wholeTo: i32 = 0;
  /** Where in the list the last shape before it stands that hides whole rows; -1 for none. */
  hiderBefore: i32 = -1;

  /**
   * Takes the outlines from a subpath on to the last: rounds their points, drops subpaths that are not finite, and finds
   * what they can cover of the rows that are drawn; false where nothing.
   * @param isRing whether they are a pen's outer and inner outline, the inner one inside the other if both are convex
   */
  take(lines: Lines, firstSubpath: i32, evenOdd: bool, isPlain: bool, isRing: bool, origin: i32): bool {
    this.firstSubpath = firstSubpath;
    this.endSubpath = lines.subpaths;
    if (firstSubpath === lines.subpaths) return false;
    this.firstPoint = lines.start(firstSubpath);
    this.evenOdd = evenOdd;
    let least = f64x2.splat(Infinity);
    let most = f64x2.splat(-Infinity);
    let at = lines.points + (this.firstPoint << 4);
    for (const end = lines.points + (lines.count << 4); at < end; at += 16) {
      const point = f64x2.mul(f64x2.nearest(f64x2.mul(v128.load(at), f64x2.splat(grid))), f64x2.splat(1 / grid));
      v128.store(at, point);
      least = f64x2.min(least, point);
      most = f64x2.max(most, point);
    }
    const minX = f64x2.extract_lane(least, 0);
    const minY = f64x2.extract_lane(least, 1);
    const maxX = f64x2.extract_lane(most, 0);
    const maxY = f64x2.extract_lane(most, 1);
    // A number that is none makes all of these none; two infinities have no difference.
    if (!(isFinite(maxX - minX) && isFinite(maxY - minY)))
      return dropUnsound(lines, firstSubpath) && this.take(lines, firstSubpath, evenOdd, isPlain, false, origin);
    this.left = <i32>Math.floor(between(0, minX, width));
    this.right = <i32>Math.ceil(between(0, maxX, width));
    this.top = <i32>Math.floor(between(firstRow, minY, endRow));
    this.bottom = <i32>Math.ceil(between(firstRow, maxY, endRow));
    this.mayBeCut = minX < 0 || maxX > <f64>width || minY < -far || maxY > far;
    this.isRectangle = isRectangle(lines, firstSubpath);
    const isAcross = this.isRectangle && minX <= slit && maxX >= <f64>width - slit;
    this.wholeFrom = isAcross ? <i32>Math.ceil(between(firstRow, minY, endRow)) : 0;
    this.wholeTo = isAcross ? <i32>Math.floor(between(firstRow, maxY, endRow)) : 0;
    this.origin = origin;
    const subpaths = lines.subpaths - firstSubpath;
    const hasFewCorners = subpaths === 1 && lines.count - this.firstPoint <= maxCorners && maxX - minX < tooWide;
    const areConvex = (!isPlain || hasFewCorners) && subpaths <= (isRing ? 2 : 1) && allConvex(lines, firstSubpath);
    this.isPlain = isPlain || areConvex;
    this.isSimple = areConvex && hasFewCorners;
    this.isMonotone =
      !this.mayBeCut && maxY > minY && (areConvex || (isPlain && subpaths <= 2 && allMonotone(lines, firstSubpath)));
    return this.right > this.left && this.bottom > this.top;
  }
}

@inline
function between(low: i32, value: f64, high: i32): f64 {
  return max(<f64>low, min(value, <f64>high));
}

/** Drops the subpaths with points that are not finite, or so far out that rounding has lost them; whether any was. */
function dropUnsound(lines: Lines, subpath: i32): bool {
  let dropped = false;
  for (; subpath < lines.subpaths; subpath++) {
    let isSound = true;
    for (let i = lines.start(subpath); i < lines.end(subpath); i++)
      isSound = isSound && Math.abs(lines.x(i)) < tooFar && Math.abs(lines.y(i)) < tooFar;
    if (isSound) continue;
    lines.drop(subpath);
    dropped = true;
  }
  return dropped;
}

/** Whether outlines are one upright rectangle. */
function isRectangle(lines: Lines, subpath: i32): bool {
  const first = lines.start(subpath);
  const count = lines.count - first;
  if (subpath !== lines.subpaths - 1 || count < 4 || count > 5) return false;
  const ax = lines.x(first);
  const ay = lines.y(first);
  const bx = lines.x(first + 1);
  const by = lines.y(first + 1);
  const cx = lines.x(first + 2);
  const cy = lines.y(first + 2);
  const dx = lines.x(first + 3);
  const dy = lines.y(first + 3);
  if (count === 5 && (lines.x(first + 4) !== ax || lines.y(first + 4) !== ay)) return false;
  return (by === ay && bx === cx && dy === cy && dx === ax) || (bx === ax && by === cy && dx === cx && dy === ay);
}

function allConvex(lines: Lines, subpath: i32): bool {
  for (; subpath < lines.subpaths; subpath++) if (!isConvex(lines, subpath)) return false;
  return true;
}

function allMonotone(lines: Lines, subpath: i32): bool {
  for (; subpath < lines.subpaths; subpath++) if (!isMonotone(lines, subpath)) return false;
  return true;
}

/** Whether an outline leads down once and up once. */
function isMonotone(lines: Lines, subpath: i32): bool {
  const end = lines.end(subpath);
  let y0 = lines.y(end - 1);
  let hasHeight = false;
  let wasDown = false;
  let isDown = false;
  let changes = 0;
  for (let i = lines.start(subpath); i < end; i++) {
    const y1 = lines.y(i);
    if (y1 === y0) continue;
    const down = y1 > y0;
    if (!hasHeight) wasDown = down;
    else if (down !== isDown) changes++;
    hasHeight = true;
    isDown = down;
    y0 = y1;
  }
  // Once round, the first edge follows the last.
  return hasHeight && changes + (isDown !== wasDown ? 1 : 0) <= 2;
}

/** Whether an outline is convex, and more than a line across. */
function isConvex(lines: Lines, subpath: i32): bool {
  const first = lines.start(subpath);
  const end = lines.end(subpath);
  let x0 = lines.x(end - 1);
  let y0 = lines.y(end - 1);
  let dx: f64 = 0;
  let dy: f64 = 0;
  let turn: f64 = 0;
  let hasHeight = false;
  let isDown = false;
  let changes = 0;
  // Once round and on to the second side, so that each corner is seen, and each change between up and down.
  for (let i = first; i <= end; i++) {
    const at = i < end ? i : first;
    const x1 = lines.x(at);
    const y1 = lines.y(at);
    const nextX = x1 - x0;
    const nextY = y1 - y0;
    if (nextX === 0 && nextY === 0) continue;
    const cross = dx * nextY - dy * nextX;
    if (cross * turn < 0) return false;
    if (cross !== 0) turn = cross;
    if (nextY !== 0) {
      const down = nextY > 0;
      if (hasHeight && down !== isDown && ++changes > 2) return false;
      isDown = down;
      hasHeight = true;
    }
    // A side that leads back along the last one winds no way at all.
    if (cross === 0 && dx * nextX + dy * nextY < 0) return false;
    dx = nextX;
    dy = nextY;
    x0 = x1;
    y0 = y1;
  }
  return hasHeight;
}
