import { cellsOfOneRow, left, one, whole } from './cells.ts';
import { Lines } from './lines.ts';
import { asCoverages, coverages, last, maxCoverages, paintCoverages, summed } from './row.ts';
import { Shape } from './shape.ts';
import { paintBetweenSides, Side, sideAt, useSide } from './side.ts';
import { paintEven } from './spans.ts';

/*
 * Outlines that lead down once and up once, such as circles, and rings of two of them. Each is two chains of edges that
 * lead from its highest point to its lowest, followed row by row. Rows in which the sides are not steep go through the
 * cells of a single row.
 */

/** Stretches of edges with fewer pixels between them than this are painted as one. */
const near: i32 = 8;

/** The edges of one side of an outline, and where on them the current row begins. Columns are counted from the shape's first. */
@unmanaged
class Chain {
  /** The points of its outline: the first one, the one behind the last, and the one that the current edge leads to. */
  first: i32 = 0;
  end: i32 = 0;
  point: i32 = 0;
  /** Which way it goes along the points, 1 or -1: that way its edges wind, too. */
  step: i32 = 0;
  startX: f64 = 0;
  startY: f64 = 0;
  endX: f64 = 0;
  endY: f64 = 0;
  slope: f64 = 0;
  /** Where in the current row the edge goes on, and the part of the row above that, as an area of cells. */
  x: f64 = 0;
  above: i32 = 0;

  /** Begins at the highest point of an outline, and goes on to a row. */
  begin(lines: Lines, subpath: i32, highest: i32, step: i32, y: i32): void {
    this.first = lines.start(subpath);
    this.end = lines.end(subpath);
    this.step = step;
    this.point = highest;
    this.next(lines, y);
  }

  /** Goes on to the next edge that leads down, below the top of row `y`; behind the last one there is none in any row. */
  next(lines: Lines, y: i32): void {
    let point = this.point;
    for (;;) {
      const from = point;
      point += this.step;
      if (point === this.end) point = this.first;
      else if (point < this.first) point = this.end - 1;
      const y0 = lines.y(from);
      const y1 = lines.y(point);
      if (y1 < y0) {
        this.startY = Infinity;
        return;
      }
      if (y1 === y0 || y1 <= <f64>y) continue;
      this.point = point;
      this.startX = lines.x(from) - <f64>left;
      this.startY = y0;
      this.endX = lines.x(point) - <f64>left;
      this.endY = y1;
      this.slope = (this.endX - this.startX) / (y1 - y0);
      const isBegun = y0 <= <f64>y;
      this.x = isBegun ? this.startX + (<f64>y - y0) * this.slope : this.startX;
      this.above = isBegun ? 0 : whole((y0 - Math.floor(y0)) * one);
      return;
    }
  }

  /** Gives all its edges in a row to a side. */
  follow(lines: Lines, y: i32, side: Side): void {
    side.clear();
    const bottom = <f64>(y + 1);
    while (this.startY < bottom) {
      if (this.endY > bottom) {
        const x = this.startX + (bottom - this.startY) * this.slope;
        side.add(this.x, x, one - this.above);
        this.x = x;
        this.above = 0;
        return;
      }
      side.add(this.x, this.endX, whole((this.endY - <f64>y) * one) - this.above);
      this.next(lines, y);
    }
  }
}

const chainBytes: i32 = <i32>offsetof<Chain>();
const chains = memory.data(4 * 96);

@inline
function chainAt(i: i32): Chain {
  return changetype<Chain>(chains + i * chainBytes);
}

/** The sides that the current row has, from the left. */
const sorted = memory.data(4 * 4);
let count: i32 = 0;

@inline
function sortedSide(place: i32): Side {
  return changetype<Side>(load<usize>(sorted + (place << 2)));
}

/** Paints rows of an outline that leads down once and up once, or of two of them. */
export function paintChains(shape: Shape, lines: Lines, top: i32, bottom: i32): void {
  const cells = cellsOfOneRow();
  let all = 0;
  for (let subpath = shape.firstSubpath; subpath < shape.endSubpath; subpath++) {
    const highest = highestPoint(lines, subpath);
    for (let step = 1; step >= -1; step -= 2) {
      useSide(all, step, cells);
      chainAt(all++).begin(lines, subpath, highest, step, top);
    }
  }
  for (let y = top; y < bottom; y++) {
    count = 0;
    for (let i = 0; i < all; i++) {
      const side = sideAt(i);
      chainAt(i).follow(lines, y, side);
      if (side.area > 0) sort(side);
    }
    if (!paintPairs(y)) paintRow(cells, y);
  }
}

function highestPoint(lines: Lines, subpath: i32): i32 {
  let highest = lines.start(subpath);
  let least = lines.y(highest);
  for (let i = highest + 1, end = lines.end(subpath); i < end; i++) {
    const y = lines.y(i);
    if (y >= least) continue;
    least = y;
    highest = i;
  }
  return highest;
}

/** Paints what lies between each two sides; false where some of it is left to the cells. */
@inline
function paintPairs(y: i32): bool {
  if (count === 2) return paintBetweenSides(sortedSide(0), sortedSide(1), y);
  if (count !== 4 || !areApart() || !paintBetweenSides(sortedSide(0), sortedSide(1), y)) return false;
  if (paintBetweenSides(sortedSide(2), sortedSide(3), y)) return true;
  count = 2;
  memory.copy(sorted, sorted + 8, 8);
  return false;
}

/** Puts a side among the others, from the left. */
@inline
function sort(side: Side): void {
  let place = count++;
  for (; place > 0 && isLeftOf(side, sortedSide(place - 1)); place--)
    store<usize>(sorted + (place << 2), load<usize>(sorted + ((place - 1) << 2)));
  store<usize>(sorted + (place << 2), changetype<usize>(side));
}

@inline
function isLeftOf(one: Side, other: Side): bool {
  return one.least < other.least || (one.least === other.least && one.most < other.most);
}

/** Whether all four sides cross the row from top to bottom, and no pixel has a part in both the first two and the last two. */
@inline
function areApart(): bool {
  for (let place = 0; place < 4; place++) if (sortedSide(place).area !== one) return false;
  return sortedSide(1).most <= Math.floor(sortedSide(2).least);
}

/** Paints a row by its cells and empties them. */
function paintRow(cells: usize, y: i32): void {
  for (let i = 0; i < count; i++) sortedSide(i).moveToCells();
  let sum = i32x4.splat(0);
  // Pixels from here on are covered alike.
  let from = 0;
  let coverage: u32 = 0;
  for (let i = 0; i < count; ) {
    let column = <i32>sortedSide(i).least;
    let end = column;
    // Edges spill into the pixel to their right.
    for (; i < count && <i32>sortedSide(i).least < end + near; i++)
      end = max(end, column + ((<i32>sortedSide(i).most + 1 - column + 4) & ~3));
    if (coverage > 0 && column > from) paintEven(left + from, y, column - from, coverage);
    let bytes: u32 = 0;
    while (column < end) {
      const some = min(end - column, maxCoverages);
      for (let done = 0; done < some; done += 4) {
        const at = cells + ((column + done) << 2);
        sum = summed(at, last(sum));
        v128.store(at, i64x2.splat(0));
        bytes = asCoverages(sum, false);
        store<u32>(coverages + done, bytes);
      }
      paintCoverages(left + column, y, left + column + some);
      column += some;
    }
    coverage = bytes >> 24;
    from = end;
  }
}
