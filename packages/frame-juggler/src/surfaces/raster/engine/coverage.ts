import { addRows, beginCells, block, cellsOf, firstWord, forgetCrossings, lastWord, left, marksOf, one, right, within } from './cells.ts';
import { paintBetween, rowOfCorner } from './convex.ts';
import { Lines } from './lines.ts';
import { Shape } from './shape.ts';
import { paintCovered, paintEven } from './spans.ts';
import { untangle } from './untangle.ts';

/*
 * Exact area coverage: how much of each pixel a shape covers, from the sums of its cells, row by row. Between blocks that
 * edges touch pixels are covered alike.
 */

/** The coverages of adjacent blocks, this many pixels at most. */
const mostAtOnce: i32 = 128;
const coverages = memory.data(128 + 16);

/** Paints what outlines cover of some rows, each subpath closed by a straight line. */
export function paintInside(shape: Shape, lines: Lines, fromRow: i32, toRow: i32): void {
  const top = max(shape.top, fromRow);
  const bottom = min(shape.bottom, toRow);
  const rows = beginCells(shape);
  if (shape.isRectangle) return paintRectangle(lines, shape.firstPoint, top, bottom);
  if (!shape.isSimple) return paintRows(shape, lines, top, bottom, rows);
  for (let y = top; y < bottom; ) {
    const corner = rowOfCorner(shape, lines, y, bottom);
    const end = max(corner, y + 1);
    if (corner <= y || !paintBetween(shape, lines, y, end)) paintRows(shape, lines, y, end, rows);
    y = end;
  }
}

/** Paints rows by their cells, so many at a time. */
function paintRows(shape: Shape, lines: Lines, top: i32, bottom: i32, rows: i32): void {
  for (let y = top; y < bottom; y += rows) {
    const end = min(bottom, y + rows);
    addRows(shape, lines, y, end);
    for (let row = y; row < end; row++) {
      untangle(shape, lines, row);
      forgetCrossings(row);
      paintRow(row, shape.evenOdd);
    }
  }
}

/** Paints a row of the cells and empties it. */
function paintRow(y: i32, evenOdd: bool): void {
  const row = cellsOf(y);
  const marks = marksOf(y);
  let sum = i32x4.splat(0);
  // Pixels from here on are covered alike; those of the blocks before it, from `begin` on, are still to be painted.
  let from = left;
  let begin = left;
  let coverage: u32 = 0;
  for (let word = firstWord; word <= lastWord; word++) {
    let bits = load<u32>(marks + (word << 2));
    if (bits === 0) continue;
    store<u32>(marks + (word << 2), 0);
    for (; bits !== 0; bits &= bits - 1) {
      const column = ((word << 5) + ctz(bits)) * block;
      const x = left + column;
      if (x > from || x - begin >= mostAtOnce) {
        if (from > begin) paintBlocks(begin, y, from);
        if (coverage > 0 && x > from) paintEven(from, y, min(x, right) - from, coverage);
        begin = x;
      }
      const at = row + (column << 2);
      sum = summed(at, last(sum));
      v128.store(at, i64x2.splat(0));
      const words4 = i16x8.narrow_i32x4_s(asCoverage(sum, evenOdd), sum);
      const bytes: u32 = i32x4.extract_lane(i8x16.narrow_i16x8_u(words4, words4), 0);
      store<u32>(coverages + (x - begin), bytes);
      coverage = bytes >> 24;
      from = x + block;
    }
  }
  if (from > begin) paintBlocks(begin, y, from);
  if (coverage > 0 && from < right) paintEven(from, y, right - from, coverage);
}

/** Paints the blocks between two columns, as far as they lie on the canvas: edges spill to the right of it. */
function paintBlocks(from: i32, y: i32, to: i32): void {
  const count = min(to, right) - from;
  if (count <= 0) return;
  if (to > right) store<u32>(coverages + count, 0);
  paintCovered(from, y, count, coverages);
}

/** Four cells, each with all before it. */
@inline
function summed(at: usize, before: v128): v128 {
  const none = i64x2.splat(0);
  let sum = v128.load(at);
  sum = i32x4.add(sum, v128.shuffle<i32>(none, sum, 0, 4, 5, 6));
  sum = i32x4.add(sum, v128.shuffle<i32>(none, sum, 0, 1, 4, 5));
  return i32x4.add(sum, before);
}

@inline
function last(sums: v128): v128 {
  return v128.shuffle<i32>(sums, sums, 3, 3, 3, 3);
}

/** Winding times area as coverage from 0 to 255. */
@inline
function asCoverage(sums: v128, evenOdd: bool): v128 {
  let area = i32x4.abs(sums);
  if (evenOdd) {
    area = v128.and(area, i32x4.splat(2 * one - 1));
    area = i32x4.min_s(area, i32x4.sub(i32x4.splat(2 * one), area));
  } else area = i32x4.min_s(area, i32x4.splat(one));
  return i32x4.shr_u(i32x4.add(i32x4.mul(area, i32x4.splat(255)), i32x4.splat(one >> 1)), 20);
}

/** Paints an upright rectangle: what most backgrounds are made of needs no edges. */
function paintRectangle(lines: Lines, first: i32, top: i32, bottom: i32): void {
  const x0 = within(min(lines.x(first), lines.x(first + 2)));
  const x1 = within(max(lines.x(first), lines.x(first + 2)));
  const y0 = min(lines.y(first), lines.y(first + 2));
  const y1 = max(lines.y(first), lines.y(first + 2));
  const lastX = right - 1;
  for (let y = top; y < bottom; y++) {
    const tall = min(y1, <f64>(y + 1)) - max(y0, <f64>y);
    let x = left;
    // The pixels of both sides by themselves, where they are not wholly covered.
    if (x0 > <f64>left || left === lastX) paintPart(x++, y, 1, tall * (min(x1, <f64>(left + 1)) - x0));
    const full = x1 < <f64>right ? lastX : right;
    if (full > x) paintPart(x, y, full - x, tall);
    if (full === lastX && lastX > left) paintPart(lastX, y, 1, tall * (x1 - lastX));
  }
}

@inline
function paintPart(x: i32, y: i32, count: i32, area: f64): void {
  const coverage = <u32>(area * 255 + 0.5);
  if (coverage > 0) paintEven(x, y, count, coverage);
}
