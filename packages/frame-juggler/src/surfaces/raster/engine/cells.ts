import { width } from './layer.ts';
import { Lines } from './lines.ts';
import { grow } from './memory.ts';
import { far, Shape } from './shape.ts';

/*
 * The cells in which the edges of a shape are added up. Every edge adds, to each pixel it passes, the signed area between
 * itself and the pixel's right side; summed from the left along a row, that is how much of each pixel lies inside the
 * outline, times how often the outline winds about it. The sums are whole numbers, so that they come out alike in
 * whatever order, from whatever pixel, and in however many parts a shape is drawn.
 *
 * The cells cover no more than the shape's box, and some rows of that at a time, so that they stay in the processor's
 * cache. A bitmap of touched blocks tells where a row has edges.
 */

/** The area of a pixel. */
export const one: i32 = 1 << 20;
/** Pixels to a block. */
export const block: i32 = 4;
/** Cells are read and emptied four at a time, from wherever edges begin: so many more than their row may be reached. */
const slack: i32 = 8;
/** The most cells that are drawn at a time, unless a single row has more. */
const maxCells: i32 = 65536;

export let cells: usize = 0;
let cellRoom: i32 = 0;
export let touched: usize = 0;
let wordRoom: i32 = 0;
/** For each row how much of its height edges cross, up and down alike. */
export let crossed: usize = 0;
let rowRoom: i32 = 0;

/* The columns of the current shape, in pixels of the canvas; `right` is not included. */
export let left: i32 = 0;
export let right: i32 = 0;
/* The rows that are drawn at a time, cells to a row, and words of the bitmap to a row. */
export let chunkTop: i32 = 0;
export let chunkEnd: i32 = 0;
export let stride: i32 = 0;
export let words: i32 = 0;
/** The number of the rows that are drawn at a time. */
export let chunk: i32 = 0;
/** The first and the last word of those that edges have marked. */
export let firstWord: i32 = 0;
export let lastWord: i32 = -1;
/** Whether edges may lie beyond the left or the right side of the canvas. */
let mayBeCut = false;

/** Begins with a shape; gives how many of its rows fit at a time. */
export function beginCells(shape: Shape): i32 {
  left = shape.left;
  right = shape.right;
  mayBeCut = shape.mayBeCut;
  // Edges spill into the pixel to their right.
  stride = (right - left + 1 + block) & ~(block - 1);
  words = (stride / block + 31) >> 5;
  return max(1, maxCells / stride);
}

/** Adds the edges of some rows, no more than fit. */
export function addRows(shape: Shape, lines: Lines, fromRow: i32, toRow: i32): void {
  chunk++;
  chunkTop = fromRow;
  chunkEnd = toRow;
  firstWord = words;
  lastWord = -1;
  reserve(toRow - fromRow);
  addEdges(lines, shape.firstSubpath, shape.endSubpath);
}

/** The cells of a row, and its part of the bitmap. */
@inline
export function cellsOf(y: i32): usize {
  return cells + (((y - chunkTop) * stride) << 2);
}

@inline
export function marksOf(y: i32): usize {
  return touched + (((y - chunkTop) * words) << 2);
}

/** How much of a row's height edges cross, up and down alike. */
@inline
export function crossingsOf(y: i32): i32 {
  return load<i32>(crossed + ((y - chunkTop) << 2));
}

/** Forgets what edges cross of a row; its cells are emptied as they are read. */
@inline
export function forgetCrossings(y: i32): void {
  store<i32>(crossed + ((y - chunkTop) << 2), 0);
}

/** The cells of a single row, to which `addArea` adds. */
export function cellsOfOneRow(): usize {
  reserve(1);
  return cells;
}

/** Makes room for the cells of so many rows; they are all empty between shapes. */
function reserve(rows: i32): void {
  if (rows * stride > cellRoom) {
    cellRoom = rows * stride;
    cells = grow(cells, (cellRoom + slack) << 2);
    memory.fill(cells, 0, (cellRoom + slack) << 2);
  }
  if (rows * words > wordRoom) {
    wordRoom = rows * words;
    touched = grow(touched, wordRoom << 2);
    memory.fill(touched, 0, wordRoom << 2);
  }
  if (rows > rowRoom) {
    rowRoom = rows;
    crossed = grow(crossed, rowRoom << 2);
    memory.fill(crossed, 0, rowRoom << 2);
  }
}

function addEdges(lines: Lines, subpath: i32, endSubpath: i32): void {
  for (; subpath < endSubpath; subpath++) {
    const end = lines.end(subpath);
    let x0 = lines.x(end - 1);
    let y0 = lines.y(end - 1);
    for (let i = lines.start(subpath); i < end; i++) {
      const x1 = lines.x(i);
      const y1 = lines.y(i);
      if (y0 < y1) addDown(x0, y0, x1, y1, 1);
      else if (y0 > y1) addDown(x1, y1, x0, y0, -1);
      x0 = x1;
      y0 = y1;
    }
  }
}

/** Adds an edge that leads down. */
export function addDown(x0: f64, y0: f64, x1: f64, y1: f64, sign: i32): void {
  if (y1 <= chunkTop || y0 >= chunkEnd) return;
  if (!mayBeCut) return addInside(x0, y0, x1, y1, sign);
  if (x0 >= width && x1 >= width) return;
  if (y0 < -far) return addDown(xAt(-far, x0, y0, x1, y1), -far, x1, y1, sign);
  if (y1 > far) return addDown(x0, y0, xAt(far, x0, y0, x1, y1), far, sign);
  // Cut where it crosses a side of the shape's box on the canvas; the part outside is led down along that side. What
  // rounding has moved out of the box, where an end is far away, is kept among the shape's cells by that, too.
  const slope = (y1 - y0) / (x1 - x0);
  let x = x0;
  let y = y0;
  for (let cut = 0; cut < 2; cut++) {
    const side: f64 = (cut === 0) === x0 < x1 ? left : right;
    if ((x < side && side < x1) || (x > side && side > x1)) {
      const cutY = min(y1, max(y, y0 + (side - x0) * slope));
      addInside(inBox(x), y, side, cutY, sign);
      x = side;
      y = cutY;
    }
  }
  addInside(inBox(x), y, inBox(x1), y1, sign);
}

/** Where an edge is at a height, counted from the end that is nearer to the canvas: so the other may be as far as it likes. */
function xAt(y: f64, x0: f64, y0: f64, x1: f64, y1: f64): f64 {
  const height = y1 - y0;
  return Math.abs(x0) < Math.abs(x1) ? x0 + (x1 - x0) * ((y - y0) / height) : x1 + (x0 - x1) * ((y1 - y) / height);
}

@inline
function inBox(x: f64): f64 {
  return max<f64>(left, min<f64>(x, right));
}

@inline
export function within(x: f64): f64 {
  return max<f64>(0, min<f64>(x, width));
}

/** The nearest whole number to a small one: the last bits of its sum with a number that leaves no room for more. */
@inline
export function whole(number: f64): i32 {
  return <i32>reinterpret<i64>(number + 6755399441055744.0);
}

/** Adds an edge that leads down between the left and the right side. */
function addInside(x0: f64, y0: f64, x1: f64, y1: f64, sign: i32): void {
  if (!(y1 > y0)) return;
  // Counted from the edge's own pixel, so that the arithmetic is the same wherever the shape stands.
  const leansLeft = x1 < x0;
  const baseX = Math.floor(leansLeft ? x1 : x0);
  const baseY = Math.floor(y0);
  const startX = x0 - baseX;
  const endX = x1 - baseX;
  const startY = y0 - baseY;
  const endY = y1 - baseY;
  const slope = (x1 - x0) / (y1 - y0);
  // What it adds along a pixel that it crosses from side to side.
  const perPixel = <f64>(sign * one) / Math.abs(slope);
  const baseRow = <i32>baseY;
  // Rows are counted from the edge's own, too: from the first to the last that are drawn.
  let row = max(chunkTop - baseRow, 0);
  const lastRow = <i32>Math.ceil(endY) - 1;
  const endRow = min(chunkEnd - baseRow - 1, lastRow);
  if (row > endRow) return;
  const column = <i32>baseX - left;
  const place = baseRow + row - chunkTop;
  let cells0 = cells + ((place * stride + column) << 2);
  let marks = touched + ((place * words) << 2);
  let x = row === 0 ? startX : startX + (<f64>row - startY) * slope;
  let above = row === 0 ? whole(startY * one) : 0;
  let crossings = crossed + (place << 2);
  note(column + <i32>x);
  for (; row <= endRow; row++, crossings += 4) {
    const isLast = row === lastRow;
    const nextX = isLast ? endX : startX + (<f64>(row + 1) - startY) * slope;
    const area = ((isLast ? whole((endY - row) * one) : one) - above) * sign;
    store<i32>(crossings, load<i32>(crossings) + abs(area));
    if (leansLeft) addInRow(cells0, marks, column, nextX, x, area, perPixel);
    else addInRow(cells0, marks, column, x, nextX, area, perPixel);
    x = nextX;
    above = 0;
    cells0 += <usize>(stride << 2);
    marks += <usize>(words << 2);
  }
  note(column + <i32>x);
}

/** Notes that a column is marked, and the next one. */
@inline
function note(column: i32): void {
  firstWord = min(firstWord, column >> 7);
  lastWord = max(lastWord, (column + 1) >> 7);
}

/** Adds what an edge has in one row, and marks it. */
@inline
function addInRow(cells: usize, marks: usize, column: i32, xa: f64, xb: f64, area: i32, perPixel: f64): void {
  const first = column + <i32>xa;
  const last = column + addArea(cells, xa, xb, area, perPixel);
  mark(marks, first);
  mark(marks, last);
  for (let between = first + block; between < last; between += block) mark(marks, between);
}

/**
 * Adds an area that is spread evenly from `xa` to `xb`, counted from a cell; gives the last pixel that is touched.
 * @param perPixel the area of each pixel that is crossed from side to side
 */
@inline
export function addArea(cells: usize, xa: f64, xb: f64, area: i32, perPixel: f64): i32 {
  let pixel = <i32>xa;
  let cell = cells + (pixel << 2);
  if (xb <= <f64>(pixel + 1)) {
    const spill = whole(<f64>area * ((xa + xb) * 0.5 - pixel));
    store<i32>(cell, load<i32>(cell) + area - spill);
    store<i32>(cell, load<i32>(cell, 4) + spill, 4);
    return pixel + 1;
  }
  // The first pixel, those that are crossed from side to side, and the last.
  let along = perPixel * (<f64>(pixel + 1) - xa);
  let reached = whole(along);
  let spill = whole(<f64>reached * ((xa + pixel + 1) * 0.5 - pixel));
  store<i32>(cell, load<i32>(cell) + reached - spill);
  for (pixel++, cell += 4; xb > <f64>(pixel + 1); pixel++, cell += 4) {
    const before = reached;
    along += perPixel;
    reached = whole(along);
    const half = (reached - before) >> 1;
    store<i32>(cell, load<i32>(cell) + spill + (reached - before) - half);
    spill = half;
  }
  // What edges add in a row is theirs to the last bit, so that nothing is left beyond them.
  const rest = area - reached;
  const over = whole(<f64>rest * ((xb - pixel) * 0.5));
  store<i32>(cell, load<i32>(cell) + spill + rest - over);
  store<i32>(cell, load<i32>(cell, 4) + over, 4);
  return pixel + 1;
}

@inline
function mark(marks: usize, column: i32): void {
  const at = marks + ((column >> 7) << 2);
  store<u32>(at, load<u32>(at) | (1 << ((column >> 2) & 31)));
}

/** Empties a row of what edges have added to it. */
export function emptyRow(y: i32): void {
  const row = cellsOf(y);
  const marks = marksOf(y);
  for (let word = firstWord; word <= lastWord; word++) {
    for (let bits = load<u32>(marks + (word << 2)); bits !== 0; bits &= bits - 1)
      v128.store(row + ((((word << 5) + ctz(bits)) * block) << 2), i64x2.splat(0));
    store<u32>(marks + (word << 2), 0);
  }
}
