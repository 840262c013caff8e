import type { Box } from '../../geometry/box.ts';
import type { FillRule } from '../../geometry/fill-rule.ts';
import type { Polylines } from '../../geometry/polyline.ts';

/** Numbers to a run in {@link Runs}: row, first pixel, count of pixels, coverage from 1 to 255. */
const runLength = 4;

/** Runs of pixels that one shape covers evenly, row by row from the top, left to right. */
export class Runs {
  data = new Int32Array(4096 * runLength);
  /** How many numbers of `data` are in use. */
  length = 0;

  clear(): void {
    this.length = 0;
  }

  /** The box of pixels that holds all runs. */
  box(): Box {
    const { data, length } = this;
    let left = Infinity;
    let right = 0;
    for (let at = 0; at < length; at += runLength) {
      if (data[at + 1] < left) left = data[at + 1];
      if (data[at + 1] + data[at + 2] > right) right = data[at + 1] + data[at + 2];
    }
    return { left, top: data[0], right, bottom: data[length - runLength] + 1 };
  }

  add(y: number, x: number, count: number, coverage: number): void {
    if (this.length === this.data.length) {
      const grown = new Int32Array(this.length * 2);
      grown.set(this.data);
      this.data = grown;
    }
    const at = this.length;
    this.data[at] = y;
    this.data[at + 1] = x;
    this.data[at + 2] = count;
    this.data[at + 3] = coverage;
    this.length = at + runLength;
  }
}

/** Coordinates are rounded to this part of a pixel, so that a move by whole pixels changes no arithmetic. */
const grid = 65536;

/** Edges are cut this far, in pixels, above and below the canvas: beyond, a number has no digits left for a pixel. */
const far = 2 ** 24;

/**
 * Exact area coverage. Every edge adds, to each pixel it passes, the signed area between itself and the pixel's right
 * side; summed from the left along a row, that is how much of each pixel lies inside the outline, times how often the
 * outline winds about it. Pixels that no edge touches keep the sum of the pixel before, so a row comes out as runs,
 * and a bitmap of touched pixels finds the next run without looking at each.
 *
 * Nothing is allocated from shape to shape.
 */
export class Coverage {
  private readonly cells: Float32Array;
  private readonly touched: Uint32Array;
  private readonly stride: number;
  private readonly words: number;
  /** The rows, and the words of a row's bitmap, that edges have passed. */
  private top: number;
  private bottom = -1;
  private firstWord: number;
  private lastWord = -1;

  constructor(
    readonly width: number,
    readonly height: number,
  ) {
    // One column more than there are pixels: edges beyond the right side spill their rest into it.
    this.stride = width + 2;
    this.words = (this.stride + 31) >>> 5;
    this.cells = new Float32Array(this.stride * height);
    this.touched = new Uint32Array(this.words * height);
    this.top = height;
    this.firstWord = this.words;
  }

  /**
   * The runs of one upright rectangle, at once: what most backgrounds are made of needs no edges.
   * False where the outline is none.
   */
  rectangle(lines: Polylines, out: Runs): boolean {
    const { points } = lines;
    if (lines.subpaths !== 1 || lines.count < 4 || lines.count > 5 || !allFinite(points, 0, lines.count * 2))
      return false;
    if (lines.count === 5 && (points[8] !== points[0] || points[9] !== points[1])) return false;
    const [ax, ay, bx, by, cx, cy, dx, dy] = points;
    if (!((ay === by && bx === cx && cy === dy && dx === ax) || (ax === bx && by === cy && cx === dx && dy === ay))) return false; // prettier-ignore
    const { width, height } = this;
    const left = clamp(snap(Math.min(ax, cx)), width);
    const right = clamp(snap(Math.max(ax, cx)), width);
    const top = clamp(snap(Math.min(ay, cy)), height);
    const bottom = clamp(snap(Math.max(ay, cy)), height);
    if (!(right > left && bottom > top)) return true;
    const firstX = Math.floor(left);
    const lastX = Math.ceil(right) - 1;
    for (let y = Math.floor(top); y < bottom; y++) {
      const tall = Math.min(bottom, y + 1) - Math.max(top, y);
      let x = firstX;
      // The pixels of both sides by themselves, where they are not wholly covered.
      if (left > firstX || firstX === lastX) addCovered(out, y, x++, 1, tall * (Math.min(right, firstX + 1) - left));
      const full = right < lastX + 1 ? lastX : lastX + 1;
      if (full > x) addCovered(out, y, x, full - x, tall);
      if (full === lastX && lastX > firstX) addCovered(out, y, lastX, 1, tall * (right - lastX));
    }
    return true;
  }

  /** Adds outlines, each subpath closed by a straight line. Points that are not finite drop their subpath. */
  addPolylines(lines: Polylines): void {
    const { points } = lines;
    for (let subpath = 0; subpath < lines.subpaths; subpath++) {
      const first = lines.starts[subpath];
      const end = lines.end(subpath);
      if (!allFinite(points, first * 2, end * 2)) continue;
      let x0 = snap(points[end * 2 - 2]);
      let y0 = snap(points[end * 2 - 1]);
      for (let i = first; i < end; i++) {
        const x1 = snap(points[i * 2]);
        const y1 = snap(points[i * 2 + 1]);
        this.addEdge(x0, y0, x1, y1);
        x0 = x1;
        y0 = y1;
      }
    }
  }

  private addEdge(x0: number, y0: number, x1: number, y1: number): void {
    if (y0 === y1) return;
    if (y0 > y1) this.addDown(x1, y1, x0, y0, -1);
    else this.addDown(x0, y0, x1, y1, 1);
  }

  private addDown(x0: number, y0: number, x1: number, y1: number, sign: number): void {
    const { width, height } = this;
    if (y1 <= 0 || y0 >= height) return;
    if (x0 >= width && x1 >= width) return;
    if (y0 < -far) return this.addDown(x0 + (x1 - x0) * ((-far - y0) / (y1 - y0)), -far, x1, y1, sign);
    if (y1 > far) return this.addDown(x0, y0, x0 + (x1 - x0) * ((far - y0) / (y1 - y0)), far, sign);
    // Cut where it crosses a side of the canvas; the part outside is led down along that side.
    const slope = (y1 - y0) / (x1 - x0);
    let x = x0;
    let y = y0;
    for (let cut = 0; cut < 2; cut++) {
      const side = (cut === 0) === x0 < x1 ? 0 : width;
      if ((x < side && side < x1) || (x > side && side > x1)) {
        const cutY = Math.min(y1, Math.max(y, y0 + (side - x0) * slope));
        this.addInside(this.clamp(x), y, side, cutY, sign);
        x = side;
        y = cutY;
      }
    }
    this.addInside(this.clamp(x), y, this.clamp(x1), y1, sign);
  }

  private clamp(x: number): number {
    return x < 0 ? 0 : x > this.width ? this.width : x;
  }

  /** An edge from top to bottom between the left and the right side. */
  private addInside(x0: number, y0: number, x1: number, y1: number, sign: number): void {
    if (!(y1 > y0)) return;
    const { cells, stride, touched, words } = this;
    const firstRow = Math.max(0, Math.floor(y0));
    const lastRow = Math.min(this.height, Math.ceil(y1));
    if (firstRow < this.top) this.top = firstRow;
    if (lastRow - 1 > this.bottom) this.bottom = lastRow - 1;
    // Counted from the edge's own pixel, so that the arithmetic is the same wherever the shape stands.
    const baseX = Math.floor(x0);
    const baseY = Math.floor(y0);
    const startX = x0 - baseX;
    const startY = y0 - baseY;
    const slope = (x1 - x0) / (y1 - y0);
    const lowX = Math.min(x0, x1) - baseX;
    const highX = Math.max(x0, x1) - baseX;
    const firstWord = (baseX + Math.floor(lowX)) >>> 5;
    const lastWord = (baseX + Math.floor(highX) + 1) >>> 5;
    if (firstWord < this.firstWord) this.firstWord = firstWord;
    if (lastWord > this.lastWord) this.lastWord = lastWord;

    for (let row = firstRow; row < lastRow; row++) {
      const rowY = row - baseY;
      const ya = rowY > startY ? rowY : startY;
      const yb = rowY + 1 < y1 - baseY ? rowY + 1 : y1 - baseY;
      const area = (yb - ya) * sign;
      let xa = startX + (ya - startY) * slope;
      let xb = startX + (yb - startY) * slope;
      if (xa > xb) {
        const swap = xa;
        xa = xb;
        xb = swap;
      }
      // Rounding may carry a point a hair beyond the edge's ends, and so beyond the canvas.
      if (xa < lowX) xa = lowX;
      if (xb > highX) xb = highX;
      const cell = row * stride + baseX;
      const word = row * words;
      let pixel = Math.floor(xa);
      if (xb <= pixel + 1) {
        const spill = area * ((xa + xb) / 2 - pixel);
        cells[cell + pixel] += area - spill;
        cells[cell + pixel + 1] += spill;
        mark(touched, word, baseX + pixel);
        mark(touched, word, baseX + pixel + 1);
        continue;
      }
      const perPixel = area / (xb - xa);
      for (let from = xa; from < xb; pixel++) {
        const to = xb < pixel + 1 ? xb : pixel + 1;
        const part = perPixel * (to - from);
        const spill = part * ((from + to) / 2 - pixel);
        cells[cell + pixel] += part - spill;
        cells[cell + pixel + 1] += spill;
        mark(touched, word, baseX + pixel);
        from = to;
      }
      mark(touched, word, baseX + pixel);
    }
  }

  /** Turns what was added into runs and forgets it. */
  takeRuns(rule: FillRule, out: Runs): void {
    const { cells, touched, words, stride, width, firstWord } = this;
    const lastWord = Math.min(this.lastWord, words - 1);
    for (let y = this.top; y <= this.bottom; y++) {
      let sum = 0;
      let from = 0;
      let coverage = 0;
      for (let word = firstWord; word <= lastWord; word++) {
        let bits = touched[y * words + word];
        if (bits === 0) continue;
        touched[y * words + word] = 0;
        while (bits !== 0) {
          const x = (word << 5) + 31 - Math.clz32(bits & -bits);
          bits &= bits - 1;
          if (coverage > 0 && x > from) out.add(y, from, (x < width ? x : width) - from, coverage);
          sum += cells[y * stride + x];
          cells[y * stride + x] = 0;
          from = x;
          coverage = x < width ? toByte(sum, rule) : 0;
        }
      }
      if (coverage > 0) out.add(y, from, width - from, coverage);
    }
    this.top = this.height;
    this.bottom = -1;
    this.firstWord = words;
    this.lastWord = -1;
  }
}

function clamp(value: number, max: number): number {
  return value < 0 ? 0 : value > max ? max : value;
}

function addCovered(out: Runs, y: number, x: number, count: number, area: number): void {
  const coverage = (area * 255 + 0.5) | 0;
  if (coverage > 0) out.add(y, x, count, coverage);
}

function mark(touched: Uint32Array, word: number, x: number): void {
  touched[word + (x >>> 5)] |= 1 << (x & 31);
}

function snap(value: number): number {
  return Math.round(value * grid) / grid;
}

function allFinite(points: Float64Array, from: number, to: number): boolean {
  for (let i = from; i < to; i++) if (!Number.isFinite(points[i] * grid)) return false;
  return true;
}

/** Winding times area as coverage from 0 to 255. */
function toByte(sum: number, rule: FillRule): number {
  let area = Math.abs(sum);
  if (rule === 'evenodd') {
    area %= 2;
    if (area > 1) area = 2 - area;
  } else if (area > 1) area = 1;
  return (area * 255 + 0.5) | 0;
}
