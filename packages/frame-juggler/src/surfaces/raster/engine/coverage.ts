import { grow } from './memory.ts';
import { width } from './layer.ts';
import { Lines } from './lines.ts';
import { far, Shape } from './shape.ts';
import { paintCovered, paintEven } from './spans.ts';
import { addOutermost, findEdges } from './untangle.ts';

/*
 * Exact area coverage. Every edge adds, to each pixel it passes, the signed area between itself and the pixel's right
 * side; summed from the left along a row, that is how much of each pixel lies inside the outline, times how often the
 * outline winds about it. The sums are whole numbers, so that they come out alike in whatever order, from whatever
 * pixel, and in however many parts a shape is drawn.
 *
 * The cells of a shape cover no more than its box, and a large box is drawn some rows at a time, so that they stay in
 * the processor's cache. A bitmap of touched blocks tells where a row has edges: between them pixels are covered alike.
 */

/** The area of a pixel. */
const one: i32 = 1 << 20;
/** Pixels to a block. */
const block: i32 = 4;
/** So many cells are drawn at a time, or those of one row. */
const maxCells: i32 = 32768;

let cells: usize = 0;
let cellRoom: i32 = 0;
let touched: usize = 0;
let wordRoom: i32 = 0;
/** For each row how much of its height edges cross, up and down alike. */
let crossed: usize = 0;
let rowRoom: i32 = 0;

/* The box of the shape at hand, in pixels of the canvas, the last two sides not included. */
let left: i32 = 0;
let top: i32 = 0;
let right: i32 = 0;
let bottom: i32 = 0;
/* The rows that are drawn at a time, cells to a row, and words of the bitmap to a row. */
let chunkTop: i32 = 0;
let chunkEnd: i32 = 0;
let stride: i32 = 0;
let words: i32 = 0;
/** The first and the last word of those that edges have marked. */
let firstWord: i32 = 0;
let lastWord: i32 = -1;
/** Whether edges may lie beyond the left or the right side of the canvas. */
let mayBeCut = false;

/** The coverages of blocks that follow one another, so many pixels at most. */
const mostAtOnce: i32 = 128;
const coverages = memory.data(128 + 16);

/** Paints what outlines cover of some rows, each subpath closed by a straight line. */
export function paintInside(shape: Shape, lines: Lines, fromRow: i32, toRow: i32): void {
  left = shape.left;
  right = shape.right;
  top = max(shape.top, fromRow);
  bottom = min(shape.bottom, toRow);
  mayBeCut = shape.mayBeCut;
  if (shape.isRectangle) return paintRectangle(lines, shape.firstPoint);
  // Edges spill into the pixel to their right.
  stride = (right - left + 1 + block) & ~(block - 1);
  words = (stride / block + 31) >> 5;
  const rows = min(bottom - top, max(1, maxCells / stride));
  reserve(rows);
  for (chunkTop = top; chunkTop < bottom; chunkTop += rows) {
    chunkEnd = min(bottom, chunkTop + rows);
    firstWord = words;
    lastWord = -1;
    addEdges(lines, shape.firstSubpath, shape.endSubpath);
    for (let y = chunkTop; y < chunkEnd; y++) {
      const crossings = crossed + ((y - chunkTop) << 2);
      if (!shape.isPlain && isTangled(y, load<i32>(crossings), shape.isStroke))
        untangle(shape, lines, y);
      store<i32>(crossings, 0);
      paintRow(y, shape.evenOdd);
    }
  }
}

/** Puts only those parts of edges into a row that what is covered ends at. */
function untangle(shape: Shape, lines: Lines, y: i32): void {
  if (!findEdges(lines, shape.firstSubpath, shape.endSubpath, y)) return;
  emptyRow(y);
  addOutermost(y, shape.evenOdd);
}

/** Makes room for the cells of so many rows; they are all empty between shapes. */
function reserve(rows: i32): void {
  if (rows * stride > cellRoom) {
    cellRoom = rows * stride;
    cells = grow(cells, cellRoom << 2);
    memory.fill(cells, 0, cellRoom << 2);
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
  if (y0 < -far) return addDown(x0 + (x1 - x0) * ((-far - y0) / (y1 - y0)), -far, x1, y1, sign);
  if (y1 > far) return addDown(x0, y0, x0 + (x1 - x0) * ((far - y0) / (y1 - y0)), far, sign);
  // Cut where it crosses a side of the canvas; the part outside is led down along that side.
  const slope = (y1 - y0) / (x1 - x0);
  let x = x0;
  let y = y0;
  for (let cut = 0; cut < 2; cut++) {
    const side: f64 = (cut === 0) === x0 < x1 ? 0 : width;
    if ((x < side && side < x1) || (x > side && side > x1)) {
      const cutY = min(y1, max(y, y0 + (side - x0) * slope));
      addInside(within(x), y, side, cutY, sign);
      x = side;
      y = cutY;
    }
  }
  addInside(within(x), y, within(x1), y1, sign);
}

@inline
function within(x: f64): f64 {
  return max<f64>(0, min<f64>(x, width));
}

/** The nearest whole number to a small one: the last bits of its sum with a number that leaves no room for more. */
@inline
function whole(number: f64): i32 {
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
    if (leansLeft) addInRow(cells0, marks, column, nextX, x, area);
    else addInRow(cells0, marks, column, x, nextX, area);
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

/** Adds what an edge has in one row: an area spread evenly from `xa` to `xb`, counted from a column of the cells. */
@inline
function addInRow(cells: usize, marks: usize, column: i32, xa: f64, xb: f64, area: i32): void {
  let pixel = <i32>xa;
  let cell = cells + (pixel << 2);
  if (xb <= <f64>(pixel + 1)) {
    const spill = whole(<f64>area * ((xa + xb) * 0.5 - pixel));
    store<i32>(cell, load<i32>(cell) + area - spill);
    store<i32>(cell, load<i32>(cell, 4) + spill, 4);
    mark(marks, column + pixel);
    mark(marks, column + pixel + 1);
    return;
  }
  const first = column + pixel;
  const perPixel = <f64>area / (xb - xa);
  // The first pixel, those that are crossed from side to side, and the last.
  let reached = whole(perPixel * (<f64>(pixel + 1) - xa));
  let spill = whole(<f64>reached * ((xa + pixel + 1) * 0.5 - pixel));
  store<i32>(cell, load<i32>(cell) + reached - spill);
  for (pixel++, cell += 4; xb > <f64>(pixel + 1); pixel++, cell += 4) {
    const before = reached;
    reached = whole(perPixel * (<f64>(pixel + 1) - xa));
    const half = (reached - before) >> 1;
    store<i32>(cell, load<i32>(cell) + spill + (reached - before) - half);
    spill = half;
  }
  // What edges add in a row is theirs to the last bit, so that nothing is left beyond them.
  const rest = area - reached;
  const over = whole(<f64>rest * ((xb - pixel) * 0.5));
  store<i32>(cell, load<i32>(cell) + spill + rest - over);
  store<i32>(cell, load<i32>(cell, 4) + over, 4);
  markAll(marks, first, column + pixel + 1);
}

@inline
function mark(marks: usize, column: i32): void {
  const at = marks + ((column >> 7) << 2);
  store<u32>(at, load<u32>(at) | (1 << ((column >> 2) & 31)));
}

/** Marks the blocks from one column to another. */
@inline
function markAll(marks: usize, from: i32, to: i32): void {
  for (let column = from & ~(block - 1); column <= to; column += block) mark(marks, column);
}

/** Paints a row of the cells and empties it. */
function paintRow(y: i32, evenOdd: bool): void {
  const row = cells + (((y - chunkTop) * stride) << 2);
  const marks = touched + (((y - chunkTop) * words) << 2);
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

/*
 * Summed areas tell what is covered as long as an outline winds once about it, and nowhere the other way round. Where
 * parts of it lie over one another within a pixel they do not: such rows are found, and untangled.
 */

/**
 * Whether a row may have such pixels. It has none where each stretch of pixels that edges touch is crossed once, from one
 * winding to the next. What is entered and left within a stretch may cross itself there; a stroke never does, as all of
 * it winds the same way.
 */
function isTangled(y: i32, crossings: i32, isStroke: bool): bool {
  const thin = isStroke ? 2 * one : 0;
  if (crossings <= thin) return false;
  const row = cells + (((y - chunkTop) * stride) << 2);
  const marks = touched + (((y - chunkTop) * words) << 2);
  let sum = 0;
  let before = 0;
  let expected = 0;
  // The column that goes on with the stretch at hand, if it is touched.
  let next = -1;
  for (let word = firstWord; word <= lastWord; word++) {
    for (let bits = load<u32>(marks + (word << 2)); bits !== 0; bits &= bits - 1) {
      const first = ((word << 5) + ctz(bits)) * block;
      for (let column = first; column < first + block; column++) {
        const step = load<i32>(row + (column << 2));
        if (next >= 0 && (step === 0 || column > next)) {
          if (isCrossedTwice(before, sum)) return true;
          expected += sum === before ? thin : abs(sum - before);
          before = sum;
          next = -1;
        }
        if (step === 0) continue;
        sum += step;
        next = column + 1;
      }
    }
  }
  expected += sum === before ? thin : abs(sum - before);
  return isCrossedTwice(before, sum) || crossings > expected;
}

/** Whether windings on both sides of a stretch tell that it is crossed more than once. */
@inline
function isCrossedTwice(before: i32, behind: i32): bool {
  return abs(behind - before) > one || (before < 0 && behind > 0) || (before > 0 && behind < 0);
}

/** Empties a row of what edges have added to it. */
function emptyRow(y: i32): void {
  const row = cells + (((y - chunkTop) * stride) << 2);
  const marks = touched + (((y - chunkTop) * words) << 2);
  for (let word = firstWord; word <= lastWord; word++) {
    for (let bits = load<u32>(marks + (word << 2)); bits !== 0; bits &= bits - 1)
      v128.store(row + ((((word << 5) + ctz(bits)) * block) << 2), i64x2.splat(0));
    store<u32>(marks + (word << 2), 0);
  }
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
function paintRectangle(lines: Lines, first: i32): void {
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
