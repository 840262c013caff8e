import { compose, mix4, Layer } from './layer.ts';
import { cover4, fillWords, over4, premultiply, scale4, spread4, times255 } from './pixels.ts';
import { isOpaque, shade } from './shade.ts';

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
}

const recordBytes: i32 = 15 * 8;

/* The current brush, and values derived from it. */
let layer: Layer = changetype<Layer>(0);
let mode: i32 = 0;
let color: u32 = 0;
/** The premultiplied color at full coverage; its alpha in all lanes; and its channels in opaque pixels. */
let full: u32 = 0;
let alpha: v128 = i64x2.splat(0);
let hue: v128 = i64x2.splat(0);
/** The address of the paint's record, or 0 for a plain color. */
let paint: usize = 0;
let opacity: u32 = 255;

/** Colors of pixels on their way. */
const maxOnTheWay: i32 = 512;
const onTheWay = memory.data(512 * 4 + 16);

/** Takes up what the next spans are painted with, and on what. */
export function useBrush(onto: Layer, brush: Brush): void {
  layer = onto;
  mode = brush.mode;
  paint = brush.isShaded ? brush.record : 0;
  opacity = brush.opacity;
  color = brush.color;
  full = premultiply(color, 255);
  alpha = i8x16.splat(<i8>(color >> 24));
  hue = i32x4.splat(color | 0xff000000);
}

/** Paints pixels of a row that are covered alike, 1 to 255. */
export function paintEven(x: i32, y: i32, count: i32, coverage: u32): void {
  const at = layer.at(x, y);
  if (paint !== 0) return shadeEven(x, y, count, times255(coverage, opacity));
  if (full >> 24 === 255 && coverage === 255 && mode === 0) return fillWords(at, count, full);
  const source = coverage === 255 ? full : premultiply(color, coverage);
  if (mode !== 0) return blendEven(at, count, source);
  const sources = i32x4.splat(source);
  const end = at + (count << 2);
  let to = at;
  for (; to + 16 <= end; to += 16) v128.store(to, over4(sources, v128.load(to)));
  for (; to < end; to += 4) v128.store32_lane(to, over4(sources, v128.load32_zero(to)), 0);
}

function blendEven(at: usize, count: i32, source: u32): void {
  const sources = i32x4.splat(source);
  const end = at + (count << 2);
  // What lies there is often even.
  let below = i64x2.splat(0);
  let mixed = mix4(sources, below, mode);
  for (; at + 16 <= end; at += 16) {
    const there = v128.load(at);
    if (!i32x4.all_true(i32x4.eq(there, below))) {
      below = there;
      mixed = mix4(sources, below, mode);
    }
    v128.store(at, mixed);
  }
  for (; at < end; at += 4) v128.store32_lane(at, mix4(sources, v128.load32_splat(at), mode), 0);
}

function shadeEven(x: i32, y: i32, count: i32, strength: u32): void {
  const at = layer.at(x, y);
  if (strength === 255 && mode === 0 && isOpaque(paint)) return shade(paint, x, y, count, at);
  for (let done = 0; done < count; done += maxOnTheWay) {
    const some = min(count - done, maxOnTheWay);
    shade(paint, x + done, y, some, onTheWay);
    compose(onTheWay, at + (done << 2), some, i8x16.splat(<i8>strength), mode);
  }
}

/** Paints `count` pixels of a row, no more than may be on their way, by coverages of a byte each; 0 stands behind them. */
export function paintCovered(x: i32, y: i32, count: i32, coverages: usize): void {
  const at = layer.at(x, y);
  if (paint !== 0) {
    shade(paint, x, y, count, onTheWay);
    for (let i = 0; i < count; i += 4) {
      let covered = spread4(load<u32>(coverages + i));
      if (!v128.any_true(covered)) continue;
      if (opacity !== 255) covered = scale4(covered, i8x16.splat(<i8>opacity));
      const to = at + (i << 2);
      v128.store(to, mix4(scale4(v128.load(onTheWay + (i << 2)), covered), v128.load(to), mode));
    }
    return;
  }
  const isPlain = mode === 0;
  const isSolid = isPlain && full >> 24 === 255;
  for (let i = 0; i < count; i += 4) {
    const four = load<u32>(coverages + i);
    if (four === 0) continue;
    const to = at + (i << 2);
    if (isSolid && four === 0xffffffff) {
      v128.store(to, hue);
      continue;
    }
    const covered = isSolid ? spread4(four) : scale4(spread4(four), alpha);
    const below = v128.load(to);
    v128.store(to, isPlain ? cover4(hue, below, covered) : mix4(scale4(hue, covered), below, mode));
  }
}
