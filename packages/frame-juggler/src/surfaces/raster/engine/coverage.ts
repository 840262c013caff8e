import { addRows, beginCells, block, cellsOf, firstWord, forgetCrossings, lastWord, left, marksOf, right, within } from './cells.ts';
import { paintChains } from './chains.ts';
import { paintBetween, rowOfCorner } from './convex.ts';
import { Lines } from './lines.ts';
import { asCoverages, coverages, last, maxCoverages, paintCoverages, summed } from './row.ts';
import { Shape } from './shape.ts';
import { paintEven } from './spans.ts';
import { untangle } from './untangle.ts';

/*
 * Exact area coverage: how much of each pixel a shape covers, from the sums of its cells, row by row. Between blocks that
 * edges touch pixels are covered alike.
 */

/** Paints what outlines cover of some rows, each subpath closed by a straight line. */
export function paintInside(shape: Shape, lines: Lines, fromRow: i32, toRow: i32): void {
  const top = max(shape.top, fromRow);
  const bottom = min(shape.bottom, toRow);
  const rows = beginCells(shape);
  if (shape.isRectangle) return paintRectangle(lines, shape.firstPoint, top, bottom);
  if (!shape.isSimple) return paintEdges(shape, lines, top, bottom, rows);
  for (let y = top; y < bottom; ) {
    const corner = rowOfCorner(shape, lines, y, bottom);
    const end = max(corner, y + 1);
    if (corner <= y || !paintBetween(shape, lines, y, end)) paintEdges(shape, lines, y, end, rows);
    y = end;
  }
}

/** Paints rows by the edges in them. */
function paintEdges(shape: Shape, lines: Lines, top: i32, bottom: i32, rows: i32): void {
  if (shape.isMonotone) paintChains(shape, lines, top, bottom);
  else paintRows(shape, lines, top, bottom, rows);
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
      if (x > from || x - begin >= maxCoverages) {
        if (from > begin) paintCoverages(begin, y, from);
        if (coverage > 0 && x > from) paintEven(from, y, min(x, right) - from, coverage);
        begin = x;
      }
      const at = row + (column << 2);
      sum = summed(at, last(sum));
      v128.store(at, i64x2.splat(0));
      const bytes = asCoverages(sum, evenOdd);
      store<u32>(coverages + (x - begin), bytes);
      coverage = bytes >> 24;
      from = x + block;
    }
  }
  if (from > begin) paintCoverages(begin, y, from);
  if (coverage > 0 && from < right) paintEven(from, y, right - from, coverage);
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
