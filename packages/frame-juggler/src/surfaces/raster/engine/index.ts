import { dash } from './dash.ts';
import { arc, flatten, largestScale, look, missesRows } from './flatten.ts';
import { isInside } from './inside.ts';
import {
  composite,
  layerOf,
  keepMasked,
  noteEven,
  openLayer,
  releaseLayer,
  resize,
  width,
  height,
  firstRow,
  endRow,
} from './layer.ts';
import { Lines } from './lines.ts';
import { area, letters, pen } from './shape.ts';
import { aim, clear, list, outlines, paintList } from './list.ts';
import {
  asWords,
  channelBytes,
  fadeTo,
  filterRows,
  packRow,
  pixelOf,
  rowFilter,
  unpremultiply,
} from './pixels.ts';
import { fillTable } from './shade.ts';
import { Brush } from './spans.ts';
import { allocate, free } from './memory.ts';
import { isRing, strokeOutline, turnsBack } from './stroke.ts';
import { writeVideo } from './video.ts';
import { premultiplyAll } from './words.ts';

/*
 * The raster engine: outlines to pixels, in WebAssembly. Everything is handed over as numbers and as addresses in its
 * memory; `engine.ts` beside this folder is the one that calls it. A drawing goes through these files:
 *
 *   flatten → (dash → stroke) → shape → list → coverage → spans → shade, pixels, blend → layer
 *
 * Coverage is found by chains (→ side) of outlines that lead down once and up once, by convex of thin ones, and by cells
 * (→ untangle) of all others. What is drawn is written out by pixels and video.
 */

export { clear, fillTable, look, openLayer, paintList, premultiplyAll, releaseLayer, resize };

/** So much memory, 16 bytes aligned. */
export function reserve(bytes: usize): usize {
  return allocate(bytes);
}

export function release(address: usize): void {
  free(address);
}

/** What is painted with. */
const brush = new Brush();

const lines = new Lines();
const dashes = new Lines();
lines.keepsCurves = dashes.keepsCurves = true;
const outline = new Lines();

/** What is being drawn: its outline with its transform, and the pen. */
let path: usize = 0;
let end: usize = 0;
let a: f64 = 1;
let b: f64 = 0;
let c: f64 = 0;
let d: f64 = 1;
let e: f64 = 0;
let f: f64 = 0;

/** Takes the outline of what is drawn next, and its transform. */
export function takeOutline(from: usize, to: usize, ma: f64, mb: f64, mc: f64, md: f64, me: f64, mf: f64): void {
  path = from;
  end = to;
  a = ma;
  b = mb;
  c = mc;
  d = md;
  e = me;
  f = mf;
}

/** Paints on a layer with a color, faded to `opacity` (0 to 255). */
export function takeColor(onto: i32, color: u32, opacity: u32, mode: i32): void {
  aim(onto);
  brush.takeColor(color, opacity, mode);
}

/** Paints on a layer with the record of a gradient or a picture. */
export function takePaint(onto: i32, record: usize, opacity: u32, mode: i32): void {
  aim(onto);
  brush.takeRecord(record, opacity, mode);
}

/**
 * Paints the inside of the outline, to within `tolerance` pixels.
 * @param isLetters whether it is made of letters: parts of those lie over one another only where they cross
 * @param isSimple whether it is known to wind, one way, once about all that it covers
 */
export function fill(evenOdd: bool, isLetters: bool, isSimple: bool, tolerance: f64): void {
  if (missesRows(path, end, a, b, c, d, e, f)) return;
  const first = outlines.subpaths;
  flatten(path, end, a, b, c, d, e, f, tolerance, 0, outlines);
  list(first, evenOdd, isSimple || isEllipse(), false, isLetters ? letters : area, brush);
}

/** Whether the outline is one whole ellipse. */
function isEllipse(): bool {
  return end - path <= 72 && load<f64>(path) === arc && load<f64>(path, 56) === 360;
}

/**
 * Paints what a pen covers along the outline. The pen's own outline is made in the item's units and then transformed,
 * as SVG draws strokes.
 */
export function stroke(
  tolerance: f64,
  wide: f64,
  cap: i32,
  join: i32,
  miterLimit: f64,
  pattern: usize,
  lengths: i32,
  offset: f64,
): void {
  lookFromInside(wide);
  const first = outlines.subpaths;
  const firstPoint = outlines.count;
  makeStroke(tolerance / largestScale(a, b, c, d), wide, cap, join, miterLimit, pattern, lengths, offset, outlines);
  lookAtCanvas();
  outlines.transform(firstPoint, a, b, c, d, e, f);
  list(first, false, false, isRing, turnsBack ? area : pen, brush);
}

/** Tells that what lies on the canvas is seen. */
export function lookAtCanvas(): void {
  look(0, 0, width, height);
}

/** Tells what of the item's own units is seen, by a pen of a width too. */
function lookFromInside(reach: f64): void {
  const det = a * d - b * c;
  let left = Infinity;
  let top = Infinity;
  let right = -Infinity;
  let bottom = -Infinity;
  for (let corner = 0; corner < 4; corner++) {
    const px = (corner & 1 ? <f64>width : 0) - e;
    const py = (corner & 2 ? <f64>height : 0) - f;
    const x = (d * px - c * py) / det;
    const y = (a * py - b * px) / det;
    left = min(left, x);
    right = max(right, x);
    top = min(top, y);
    bottom = max(bottom, y);
  }
  look(left - reach, top - reach, right + reach, bottom + reach);
}

function makeStroke(
  tolerance: f64,
  wide: f64,
  cap: i32,
  join: i32,
  miterLimit: f64,
  pattern: usize,
  lengths: i32,
  offset: f64,
  out: Lines,
): void {
  lines.clear();
  flatten(path, end, 1, 0, 0, 1, 0, 0, tolerance, wide / 2, lines);
  let along = lines;
  if (lengths > 0) {
    dashes.clear();
    dash(lines, pattern, lengths, offset, dashes);
    along = dashes;
  }
  strokeOutline(along, wide, cap, join, miterLimit, tolerance, out);
}

/** Whether a point lies inside the outline; under the transform where it has one. */
export function fillHits(evenOdd: bool, tolerance: f64, x: f64, y: f64): bool {
  lines.clear();
  flatten(path, end, a, b, c, d, e, f, tolerance, 0, lines);
  return isInside(lines, evenOdd, x, y);
}

/** Whether a point, in the outline's own units, lies on what a pen covers along it. */
export function strokeHits(
  tolerance: f64,
  wide: f64,
  cap: i32,
  join: i32,
  miterLimit: f64,
  pattern: usize,
  lengths: i32,
  offset: f64,
  x: f64,
  y: f64,
): bool {
  outline.clear();
  makeStroke(tolerance, wide, cap, join, miterLimit, pattern, lengths, offset, outline);
  return isInside(outline, false, x, y);
}

/* The lines that were made last, for whoever wants them as they are. */

/** 0: the flattened outline; 1: its dashes; 2: the pen's outline. */
function linesOf(stage: i32): Lines {
  return stage === 0 ? lines : stage === 1 ? dashes : outline;
}

export function subpathsOf(stage: i32): i32 {
  return linesOf(stage).subpaths;
}

/** The address of a subpath's first point, or of what follows the last subpath. */
export function subpathAt(stage: i32, subpath: i32): usize {
  const all = linesOf(stage);
  return all.points + ((subpath < all.subpaths ? all.start(subpath) : all.count) << 4);
}

export function isClosed(stage: i32, subpath: i32): bool {
  return linesOf(stage).isClosed(subpath);
}

/** Keeps of each pixel of a layer as much as the alpha of another says. */
export function maskLayer(masked: i32, mask: i32): void {
  paintList();
  keepMasked(masked, mask);
}

/** Puts a layer over another, faded to `opacity` (0 to 255), in a blend mode. */
export function compositeLayer(over: i32, onto: i32, opacity: i32, mode: i32): void {
  paintList();
  composite(over, onto, opacity, mode);
}

/** Leads the first layer towards a color. */
export function fade(color: u32, carry: f64): void {
  paintList();
  noteEven(false);
  fadeTo(layerOf(0).pixels, width * (endRow - firstRow), pixelOf(color, 255), carry);
}

/** The address of a layer's pixels, premultiplied, with all on it that is listed. */
export function pixelsOf(layer: i32): usize {
  paintList();
  return layerOf(layer).pixels;
}

/** The address of the first layer's pixels, premultiplied, for whoever writes all of them. */
export function pixelsToWrite(): usize {
  noteEven(false);
  return pixelsOf(0);
}

/** Writes the first layer's pixels as words of eight bits a channel, no longer premultiplied. */
export function straighten(out: usize): void {
  unpremultiply(layerOf(0).pixels, width * (endRow - firstRow), out);
}

/**
 * Writes some of the first layer's rows as PNG packs them, each behind the number of its filter; one byte more may be
 * written than that is.
 * @param out room for them, and for one more where the filter looks at the row above
 * @param withAlpha whether not all pixels are opaque
 * @param from the first of the rows that are drawn, counted from 0
 * @param to the one after the last
 * @returns where they begin
 */
export function packRows(out: usize, withAlpha: bool, from: i32, to: i32): usize {
  const perPixel = (withAlpha ? 4 : 3) * channelBytes;
  const length = width * perPixel + 1;
  const start = rowFilter !== 0 && from > 0 ? from - 1 : from;
  for (let row = start; row < to; row++) {
    const at = out + <usize>length * (row - start);
    store<u8>(at, rowFilter);
    packRow(layerOf(0).at(0, firstRow + row), width, at + 1, withAlpha);
  }
  filterRows(out, length, to - start, perPixel);
  return out + <usize>length * (from - start);
}

/** Writes the first layer as the three planes of video, in a size that may be one more than its own either way. */
export function packVideo(out: usize, wide: i32, high: i32, halved: bool): void {
  const rows = endRow - firstRow;
  writeVideo(asWords(layerOf(0).pixels, width * rows), width, rows, out, wide, high, halved);
}
