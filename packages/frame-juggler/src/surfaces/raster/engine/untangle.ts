import { addDown, block, cellsOf, chunk, chunkEnd, chunkTop, crossingsOf, emptyRow, firstWord, lastWord, marksOf, one } from './cells.ts';
import { Lines } from './lines.ts';
import { grow } from './memory.ts';
import { grid, letters, pen, Shape } from './shape.ts';

/*
 * Summed areas give the coverage of an outline that winds once around everything inside it. They do not if parts of it
 * overlap within a pixel; such rows are found and untangled. A row is cut at every height where edges begin, end or cross.
 * Between two cuts the edges are side by side, and counting the winding from the left tells which of them are boundaries of
 * the covered area.
 */

/** Rebuilds a row from the edges that bound the covered area, if the others would make its sums wrong. */
export function untangle(shape: Shape, lines: Lines, y: i32): void {
  if (shape.isPlain || crossingsOf(y) > maxEdges * one || !isTangled(y, shape.origin === pen)) return;
  if (!findEdges(shape, lines, y) || !findCrossings()) return;
  // Letters are simple outlines that may overlap. If no edges cross, one height is enough to tell whether they do.
  if ((shape.origin === letters && cutCount === 0 && !windsTwiceAt(0.5)) || !cutAtEnds()) return;
  emptyRow(y);
  addOutermost(y, shape.evenOdd);
}

/**
 * Whether a row may have such pixels. It has none where each stretch of pixels that edges touch is crossed once, from one
 * winding to the next. What is entered and left within a stretch may cross itself there; a stroke never does, as all of
 * it winds the same way.
 */
function isTangled(y: i32, windsOneWay: bool): bool {
  const crossings = crossingsOf(y);
  const thin = windsOneWay ? 2 * one : 0;
  if (crossings <= thin) return false;
  const row = cellsOf(y);
  const marks = marksOf(y);
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

/**
 * An edge as it lies in a row: from which height in it to which, where it is at a height of 0, and the way it leads. Places
 * are told from a pixel of its own, so that the arithmetic is the same wherever the shape stands.
 */
@unmanaged
class RowEdge {
  startY: f64 = 0;
  endY: f64 = 0;
  pixel: f64 = 0;
  x: f64 = 0;
  slope: f64 = 0;
  /** How far left and right it reaches in the row. */
  least: f64 = 0;
  most: f64 = 0;
  sign: i32 = 0;

  /** Its place at a height, rounded as all points are. */
  @inline
  at(height: f64): f64 {
    return this.pixel + rounded(this.x + height * this.slope);
  }
}

@inline
function rounded(value: f64): f64 {
  return nearest(value * grid) * (1 / grid);
}

/** Rows with more edges or cuts than this are left as they are: so dense an area has no visible edges. */
const maxEdges: i32 = 64;
const maxCuts: i32 = 256;

const edgeBytes: i32 = <i32>offsetof<RowEdge>();
const edges = memory.data(64 * 64);
let edgeCount: i32 = 0;
/** Heights at which the row is cut, from its top. */
const cuts = memory.data(257 * 8);
let cutCount: i32 = 0;
/** All edges by how far left they reach. */
const byLeft = memory.data(64 * 4);
/** Those at a height from the left, and where they are there. */
const sorted = memory.data(64 * 4);
const sortedX = memory.data(64 * 8);

@inline
function edgeAt(i: i32): RowEdge {
  return changetype<RowEdge>(edges + i * edgeBytes);
}

/* For each current row the edges that cross it, by the numbers of their points; found for all rows in one pass. */
let indexed: i32 = 0;
let counts: usize = 0;
let places: usize = 0;
let rowRoom: i32 = 0;
/** One more edge than a row may have is noted. */
const rowBytes: i32 = (64 + 1) * 8;

function indexEdges(lines: Lines, subpath: i32, endSubpath: i32): void {
  if (indexed === chunk) return;
  indexed = chunk;
  const rows = chunkEnd - chunkTop;
  if (rows > rowRoom) {
    rowRoom = rows;
    counts = grow(counts, rows << 2);
    places = grow(places, rows * rowBytes);
  }
  memory.fill(counts, 0, rows << 2);
  for (; subpath < endSubpath; subpath++) {
    const end = lines.end(subpath);
    let before = end - 1;
    let y0 = lines.y(before);
    for (let i = lines.start(subpath); i < end; i++) {
      const y1 = lines.y(i);
      const first = <i32>max<f64>(0, Math.floor(min(y0, y1)) - chunkTop);
      const last = <i32>min<f64>(rows, Math.ceil(max(y0, y1)) - chunkTop);
      if (y0 !== y1)
        for (let row = first; row < last; row++) {
          const count = load<i32>(counts + (row << 2));
          if (count > maxEdges) continue;
          const place = places + row * rowBytes + (count << 3);
          store<i32>(place, before);
          store<i32>(place, i, 4);
          store<i32>(counts + (row << 2), count + 1);
        }
      before = i;
      y0 = y1;
    }
  }
}

/** Finds the edges that cross a row; false where there are too many. */
function findEdges(shape: Shape, lines: Lines, y: i32): bool {
  indexEdges(lines, shape.firstSubpath, shape.endSubpath);
  edgeCount = load<i32>(counts + ((y - chunkTop) << 2));
  if (edgeCount > maxEdges) return false;
  let place = places + (y - chunkTop) * rowBytes;
  for (let i = 0; i < edgeCount; i++, place += 8) {
    const from = load<i32>(place);
    const to = load<i32>(place, 4);
    const x0 = lines.x(from);
    const y0 = lines.y(from);
    const x1 = lines.x(to);
    const y1 = lines.y(to);
    const edge = edgeAt(i);
    edge.slope = (x1 - x0) / (y1 - y0);
    edge.startY = max<f64>(0, min(y0, y1) - y);
    edge.endY = min<f64>(1, max(y0, y1) - y);
    edge.pixel = Math.floor(x0);
    edge.x = x0 - edge.pixel + (<f64>y - y0) * edge.slope;
    edge.least = min(edge.at(edge.startY), edge.at(edge.endY));
    edge.most = max(edge.at(edge.startY), edge.at(edge.endY));
    edge.sign = y0 < y1 ? 1 : -1;
  }
  return true;
}

/** Cuts the row where edges cross, or run along one another; false where that is too often. */
function findCrossings(): bool {
  cutCount = 0;
  sortByLeft();
  for (let i = 0; i < edgeCount; i++) {
    const first = edgeIn(byLeft, i);
    for (let j = i + 1; j < edgeCount; j++) {
      const other = edgeIn(byLeft, j);
      if (other.least > first.most) break;
      if (!cutWhereMet(first, other)) return false;
    }
  }
  return true;
}

/** Sorts all edges by how far left they reach. */
function sortByLeft(): void {
  for (let i = 0; i < edgeCount; i++) {
    const least = edgeAt(i).least;
    let place = i;
    for (; place > 0 && edgeIn(byLeft, place - 1).least > least; place--)
      store<i32>(byLeft + (place << 2), load<i32>(byLeft + ((place - 1) << 2)));
    store<i32>(byLeft + (place << 2), i);
  }
}

@inline
function edgeIn(list: usize, place: i32): RowEdge {
  return edgeAt(load<i32>(list + (place << 2)));
}

/** Cuts the row at the height at which two edges cross, if they do. */
function cutWhereMet(first: RowEdge, other: RowEdge): bool {
  const from = max(first.startY, other.startY);
  const to = min(first.endY, other.endY);
  if (from >= to) return true;
  const apart = other.pixel - first.pixel + (other.x - first.x);
  const height = first.slope === other.slope && apart === 0 ? from : rounded(apart / (first.slope - other.slope));
  return ((height <= from || height >= to) && (height !== from || apart !== 0)) || cut(height);
}

/** Cuts the row where edges begin and end; false where that is too often. */
function cutAtEnds(): bool {
  for (let i = 0; i < edgeCount; i++) if (!cut(edgeAt(i).startY) || !cut(edgeAt(i).endY)) return false;
  return cut(0) && cut(1);
}

/** Puts a height among the others, in their order; false where there are too many. */
function cut(height: f64): bool {
  let place = cutCount;
  while (place > 0 && load<f64>(cuts + ((place - 1) << 3)) > height) place--;
  if (place > 0 && load<f64>(cuts + ((place - 1) << 3)) === height) return true;
  if (cutCount === maxCuts) return false;
  memory.copy(cuts + ((place + 1) << 3), cuts + (place << 3), (cutCount - place) << 3);
  store<f64>(cuts + (place << 3), height);
  cutCount++;
  return true;
}

/** Adds the parts of edges that what is covered ends at. */
function addOutermost(y: i32, evenOdd: bool): void {
  for (let i = 1; i < cutCount; i++) {
    const from = load<f64>(cuts + ((i - 1) << 3));
    const to = load<f64>(cuts + (i << 3));
    const count = sortAt((from + to) / 2);
    let winding = 0;
    for (let place = 0; place < count; place++) {
      const edge = edgeIn(sorted, place);
      const wasInside = evenOdd ? (winding & 1) !== 0 : winding !== 0;
      winding += edge.sign;
      const isInside = evenOdd ? (winding & 1) !== 0 : winding !== 0;
      if (wasInside !== isInside) addDown(edge.at(from), y + from, edge.at(to), y + to, isInside ? 1 : -1);
    }
  }
}

/** Whether outlines wind about anything twice, or both ways, at a height. */
function windsTwiceAt(height: f64): bool {
  const count = sortAt(height);
  let winding = 0;
  let least = 0;
  let most = 0;
  for (let place = 0; place < count; place++) {
    winding += edgeIn(sorted, place).sign;
    least = min(least, winding);
    most = max(most, winding);
  }
  return most - least > 1;
}

/** Sorts the edges that are there at a height from the left, those at one place by their numbers; how many they are. */
function sortAt(height: f64): i32 {
  let count = 0;
  // In this order most of them are put behind all others at once.
  for (let k = 0; k < edgeCount; k++) {
    const i = load<i32>(byLeft + (k << 2));
    const edge = edgeAt(i);
    if (edge.startY > height || edge.endY < height) continue;
    const x = edge.at(height);
    let place = count++;
    for (; place > 0; place--) {
      const before = load<i32>(sorted + ((place - 1) << 2));
      const beforeX = load<f64>(sortedX + ((place - 1) << 3));
      if (beforeX < x || (beforeX === x && before < i)) break;
      store<i32>(sorted + (place << 2), before);
      store<f64>(sortedX + (place << 3), beforeX);
    }
    store<i32>(sorted + (place << 2), i);
    store<f64>(sortedX + (place << 3), x);
  }
  return count;
}
