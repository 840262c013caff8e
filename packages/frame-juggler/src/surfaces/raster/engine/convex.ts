import { left, right } from './cells.ts';
import { Lines } from './lines.ts';
import { bytesOf, coverages, maxCoverages } from './row.ts';
import { Shape } from './shape.ts';
import { paintCovered, paintEven } from './spans.ts';

/*
 * Convex outlines of few corners, such as thin lines. A row without a corner lies between two edges, and how much of a
 * pixel is right of an edge is the difference of an integral at the pixel's borders: found for four pixels at a time,
 * with no cells in between. Rows with a corner go the way of other outlines.
 */

/** Pixels that are wholly covered are filled by themselves where there are as many as these. */
const fewPixels: i32 = 8;

/** An edge that crosses rows from top to bottom. */
@unmanaged
class Edge {
  /** A column of its own, from which places are counted, so that the arithmetic is the same wherever the shape stands. */
  column: f64 = 0;
  x: f64 = 0;
  y: f64 = 0;
  slope: f64 = 0;

  take(x0: f64, y0: f64, x1: f64, y1: f64): void {
    this.column = Math.floor(min(x0, x1));
    this.slope = (x1 - x0) / (y1 - y0);
    this.x = x0 - this.column;
    this.y = y0;
  }

  /** Its place at the top of a row, counted from its column. */
  @inline
  at(row: i32): f64 {
    return this.x + (<f64>row - this.y) * this.slope;
  }
}

const edges = memory.data(64);
let leftEdge = changetype<Edge>(edges);
let rightEdge = changetype<Edge>(edges + 32);

/* How both edges lie in the current row, the left one first: where they begin, how wide they are, one half over that. */
let begin0: v128 = i64x2.splat(0);
let wide0: v128 = i64x2.splat(0);
let half0: v128 = i64x2.splat(0);
let begin1: v128 = i64x2.splat(0);
let wide1: v128 = i64x2.splat(0);
let half1: v128 = i64x2.splat(0);

/** How much of all that is left of four places is right of an edge. */
@inline
function rightOf(begin: v128, wide: v128, half: v128, places: v128): v128 {
  const none = i64x2.splat(0);
  const past = f32x4.sub(places, begin);
  const over = f32x4.pmax(none, f32x4.pmin(wide, past));
  const whole = f32x4.pmax(none, f32x4.sub(past, wide));
  return f32x4.add(f32x4.mul(f32x4.mul(over, over), half), whole);
}

/** The row of the next corner below the top of row `y`; `end` where there is none before. */
export function rowOfCorner(shape: Shape, lines: Lines, y: i32, end: i32): i32 {
  let next: f64 = end;
  for (let i = shape.firstPoint, last = lines.end(shape.firstSubpath); i < last; i++) {
    const corner = lines.y(i);
    if (corner > <f64>y && corner < next) next = corner;
  }
  return <i32>Math.floor(next);
}

/** Paints rows without a corner; false, and nothing painted, where no two edges cross them. */
export function paintBetween(shape: Shape, lines: Lines, top: i32, end: i32): bool {
  if (!findEdges(shape, lines, top, end)) return false;
  const apart = rightEdge.column - leftEdge.column;
  for (let y = top; y < end; y++) {
    const x0 = leftEdge.at(y);
    const x1 = leftEdge.at(y + 1);
    const x2 = rightEdge.at(y) + apart;
    const x3 = rightEdge.at(y + 1) + apart;
    paintRow(y, x0 < x1 ? x0 : x1, x0 < x1 ? x1 : x0, x2 < x3 ? x2 : x3, x2 < x3 ? x3 : x2);
  }
  return true;
}

/** Finds the edges on the left and on the right of rows without a corner. */
function findEdges(shape: Shape, lines: Lines, top: i32, end: i32): bool {
  const last = lines.end(shape.firstSubpath);
  let found = 0;
  let x0 = lines.x(last - 1);
  let y0 = lines.y(last - 1);
  for (let i = shape.firstPoint; i < last; i++) {
    const x1 = lines.x(i);
    const y1 = lines.y(i);
    if (min(y0, y1) <= <f64>top && max(y0, y1) >= <f64>end) {
      if (found === 2) return false;
      (found++ === 0 ? leftEdge : rightEdge).take(x0, y0, x1, y1);
    }
    x0 = x1;
    y0 = y1;
  }
  if (found < 2) return false;
  const apart = rightEdge.column - leftEdge.column;
  if (leftEdge.at(top) + leftEdge.at(end) > rightEdge.at(top) + rightEdge.at(end) + 2 * apart) {
    const first = leftEdge;
    leftEdge = rightEdge;
    rightEdge = first;
  }
  return true;
}

/** Paints a row between an edge that leads from `x0` to `x1` and one from `x2` to `x3`, counted from the first's column. */
@inline
function paintRow(y: i32, x0: f64, x1: f64, x2: f64, x3: f64): void {
  const begin = Math.floor(x0);
  const column = <i32>(leftEdge.column + begin);
  begin0 = f32x4.splat(<f32>(x0 - begin));
  begin1 = f32x4.splat(<f32>(x2 - begin));
  const across0 = <f32>(x1 - x0);
  const across1 = <f32>(x3 - x2);
  wide0 = f32x4.splat(across0);
  wide1 = f32x4.splat(across1);
  half0 = f32x4.splat(across0 > 0 ? <f32>0.5 / across0 : 0);
  half1 = f32x4.splat(across1 > 0 ? <f32>0.5 / across1 : 0);
  const first = max(column, left);
  const end = min(column + <i32>Math.ceil(x3 - begin), right);
  if (x2 - x1 < fewPixels) return paintPart(first, y, end, column);
  const fullFrom = max(column + <i32>Math.ceil(x1 - begin), left);
  const fullTo = min(column + <i32>Math.floor(x2 - begin), right);
  paintPart(first, y, min(fullFrom, end), column);
  if (fullFrom < fullTo) paintEven(fullFrom, y, fullTo - fullFrom, 255);
  paintPart(max(fullTo, first), y, end, column);
}

/** Paints pixels of a row by how much of each lies between both edges. */
function paintPart(from: i32, y: i32, to: i32, column: i32): void {
  const b0 = begin0;
  const w0 = wide0;
  const h0 = half0;
  const b1 = begin1;
  const w1 = wide1;
  const h1 = half1;
  while (from < to) {
    const count = min(to - from, maxCoverages);
    let places = f32x4.add(f32x4.splat(<f32>(from - column)), f32x4(0, 1, 2, 3));
    let between = f32x4.sub(rightOf(b0, w0, h0, places), rightOf(b1, w1, h1, places));
    for (let i = 0; i < count; i += 4) {
      places = f32x4.add(places, f32x4.splat(4));
      const next = f32x4.sub(rightOf(b0, w0, h0, places), rightOf(b1, w1, h1, places));
      const covered = f32x4.sub(v128.shuffle<f32>(between, next, 1, 2, 3, 4), between);
      store<u32>(coverages + i, bytesOf(covered));
      between = next;
    }
    store<u32>(coverages + count, 0);
    paintCovered(from, y, count, coverages);
    from += count;
  }
}
