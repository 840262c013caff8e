import { compose, mix, Layer } from './layer.ts';
import {
  addedPart,
  cover,
  factor,
  factorsOf,
  fillPixels,
  fromWord,
  loadCoverages,
  loadOne,
  openPart,
  overAlike,
  perVector,
  pixelBytes,
  pixelOf,
  pixelShift,
  scale,
  splat,
  storeOne,
  wholly,
  Pixel,
} from './pixels.ts';
import { isOpaque, shade } from './shade.ts';
import { times255 } from './words.ts';

/* Puts a paint down where an outline covers pixels: one color, or what a gradient or a picture gives. */

/** What paints: a color, or the record of a gradient or a picture. */
@unmanaged
export class Brush {
  /** Which of the blend modes. */
  mode: i32 = 0;
  /** A color, with its opacity in its alpha. */
  color: u32 = 0;
  /** Whether the record below paints, and how far it is faded, 0 to 255. */
  isShaded: bool = false;
  opacity: u32 = 255;
  /** Room for a record: see shade.ts. */
  r0: f64 = 0;
  r1: f64 = 0;
  r2: f64 = 0;
  r3: f64 = 0;
  r4: f64 = 0;
  r5: f64 = 0;
  r6: f64 = 0;
  r7: f64 = 0;
  r8: f64 = 0;
  r9: f64 = 0;
  r10: f64 = 0;
  r11: f64 = 0;
  r12: f64 = 0;
  r13: f64 = 0;
  r14: f64 = 0;

  /** Paints with a color, faded to `opacity` (0 to 255). */
  takeColor(packed: u32, opacity: u32, mode: i32): void {
    this.mode = mode;
    this.isShaded = false;
    this.color = (packed & 0xffffff) | (times255(packed >> 24, opacity) << 24);
  }

  /** Paints with a record, faded to `opacity` (0 to 255). */
  takeRecord(record: usize, opacity: u32, mode: i32): void {
    this.mode = mode;
    this.isShaded = true;
    this.opacity = opacity;
    memory.copy(this.record, record, recordBytes);
  }

  get record(): usize {
    return changetype<usize>(this) + offsetof<Brush>('r0');
  }

  /** Whether nothing that is painted over shows through. */
  get hides(): bool {
    if (this.mode !== 0) return false;
    return this.isShaded ? this.opacity === 255 && isOpaque(this.record) : this.color >> 24 === 255;
  }
}

const recordBytes: i32 = 15 * 8;

/* The current brush, and values derived from it. */
let layer: Layer = changetype<Layer>(0);
let mode: i32 = 0;
let color: u32 = 0;
/** The color as a pixel at full coverage, and whether that is opaque; its alpha as factors; and itself, all opaque. */
let full: Pixel = pixelOf(0, 0);
let isOpaqueColor: bool = false;
let alpha: v128 = i64x2.splat(0);
let hue: v128 = i64x2.splat(0);
/** The address of the paint's record, or 0 for a plain color. */
let paint: usize = 0;
let opacity: u32 = 255;

/** Colors of pixels on their way. */
const maxOnTheWay: i32 = 512;
const onTheWay = memory.data(512 * 16 + 16);

/** Takes up what the next spans are painted with, and on what. */
export function useBrush(onto: Layer, brush: Brush): void {
  layer = onto;
  mode = brush.mode;
  paint = brush.isShaded ? brush.record : 0;
  opacity = brush.opacity;
  color = brush.color;
  full = pixelOf(color, 255);
  isOpaqueColor = color >> 24 === 255;
  alpha = factor(color >> 24);
  hue = splat(fromWord(color | 0xff000000));
}

/** Paints pixels of a row that are covered alike, 1 to 255. */
export function paintEven(x: i32, y: i32, count: i32, coverage: u32): void {
  const at = layer.at(x, y);
  if (paint !== 0) return shadeEven(x, y, count, times255(coverage, opacity));
  if (isOpaqueColor && coverage === 255 && mode === 0) return fillPixels(at, count, full);
  const source = coverage === 255 ? full : pixelOf(color, coverage);
  if (mode !== 0) return blendEven(at, count, source);
  const end = at + (count << pixelShift);
  const to = paintVectors(at, end, source);
  const open = openPart(splat(source));
  const added = addedPart(splat(source));
  for (let rest = to; rest < end; rest += pixelBytes) storeOne(rest, overAlike(loadOne(rest), open, added));
}

/** Paints whole vectors of pixels up to an address with one source; gives the address behind them. */
@inline
function paintVectors(at: usize, end: usize, source: Pixel): usize {
  const open = openPart(splat(source));
  const added = addedPart(splat(source));
  // Two at a time, as the processor works on both at once.
  for (; at + 32 <= end; at += 32) {
    const first = overAlike(v128.load(at), open, added);
    const second = overAlike(v128.load(at, 16), open, added);
    v128.store(at, first);
    v128.store(at, second, 16);
  }
  if (at + 16 > end) return at;
  v128.store(at, overAlike(v128.load(at), open, added));
  return at + 16;
}

function blendEven(at: usize, count: i32, source: Pixel): void {
  const sources = splat(source);
  const end = at + (count << pixelShift);
  // What lies there is often even.
  let below = i64x2.splat(0);
  let mixed = mix(sources, below, mode);
  for (; at + 16 <= end; at += 16) {
    const there = v128.load(at);
    if (!i32x4.all_true(i32x4.eq(there, below))) {
      below = there;
      mixed = mix(sources, below, mode);
    }
    v128.store(at, mixed);
  }
  for (; at < end; at += pixelBytes) storeOne(at, mix(sources, loadOne(at), mode));
}

function shadeEven(x: i32, y: i32, count: i32, strength: u32): void {
  const at = layer.at(x, y);
  if (strength === 255 && mode === 0 && isOpaque(paint)) return shade(paint, x, y, count, at);
  for (let done = 0; done < count; done += maxOnTheWay) {
    const some = min(count - done, maxOnTheWay);
    shade(paint, x + done, y, some, onTheWay);
    compose(onTheWay, at + (done << pixelShift), some, strength, mode);
  }
}

/** Paints eight pixels of a row with a plain color, by coverages of a byte each; false for other brushes. */
export function paintEight(x: i32, y: i32, first: u32, second: u32): bool {
  if (perVector !== 4 || paint !== 0 || mode !== 0) return false;
  const at = layer.at(x, y);
  coverFour(at, first);
  if (second !== 0) coverFour(at + 16, second);
  return true;
}

/**
 * Paints pixels of a row with a plain color: four by coverages of a byte each, a multiple of four wholly, and eight by
 * coverages again, any of which may be 0. False, and nothing painted, for other brushes.
 */
export function paintBand(x: i32, y: i32, start: u32, between: i32, end: u32, end2: u32): bool {
  if (perVector !== 4 || paint !== 0 || mode !== 0) return false;
  let at = layer.at(x, y);
  coverFour(at, start);
  at += 16;
  const stop = at + (between << pixelShift);
  if (isOpaqueColor) for (; at < stop; at += 16) v128.store(at, hue);
  else paintVectors(at, stop, full);
  coverFour(stop, end);
  coverFour(stop + 16, end2);
  return true;
}

@inline
function coverFour(at: usize, coverages: u32): void {
  const factors = factorsOf(coverages);
  v128.store(at, cover(hue, v128.load(at), isOpaqueColor ? factors : scale(factors, alpha)));
}

/** Paints `count` pixels of a row, no more than may be on their way, by coverages of a byte each; 0 stands behind them. */
export function paintCovered(x: i32, y: i32, count: i32, coverages: usize): void {
  if (paint !== 0) return shadeCovered(x, y, count, coverages);
  const at = layer.at(x, y);
  const isPlain = mode === 0;
  const isSolid = isPlain && isOpaqueColor;
  for (let i = 0; i < count; i += perVector) {
    const some = loadCoverages(coverages + i);
    if (some === 0) continue;
    const to = at + (i << pixelShift);
    if (isSolid && some === wholly) {
      v128.store(to, hue);
      continue;
    }
    const covered = isSolid ? factorsOf(some) : scale(factorsOf(some), alpha);
    const below = v128.load(to);
    v128.store(to, isPlain ? cover(hue, below, covered) : mix(scale(hue, covered), below, mode));
  }
}

function shadeCovered(x: i32, y: i32, count: i32, coverages: usize): void {
  const at = layer.at(x, y);
  shade(paint, x, y, count, onTheWay);
  for (let i = 0; i < count; i += perVector) {
    const some = loadCoverages(coverages + i);
    if (some === 0) continue;
    let covered = factorsOf(some);
    if (opacity !== 255) covered = scale(covered, factor(opacity));
    const to = at + (i << pixelShift);
    v128.store(to, mix(scale(v128.load(onTheWay + (i << pixelShift)), covered), v128.load(to), mode));
  }
}
