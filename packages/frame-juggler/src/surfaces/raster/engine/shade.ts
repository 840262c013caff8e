import { turns4 } from './angles.ts';
import { shadePicture } from './picture.ts';
import {
  fillPixels,
  fromStraight,
  loadPixel,
  pixelBytes,
  pixelShift,
  storePixel,
  Pixel,
} from './pixels.ts';
import { floats4 } from './vectors.ts';

/*
 * What gradients and pictures paint pixels with. A paint is a record of numbers that JavaScript writes (see paints.ts
 * beside this folder, which knows the same places):
 *
 *   0 kind, 1 whether every color is opaque, 2 spread or tiling, 3 address of its colors or pixels,
 *   4 how many stops or pixels across, 5 pixels down or whether pixels are mixed, 6 … 14 its geometry
 */

const linear: i32 = 0;
const around: i32 = 1;
const radial: i32 = 2;
const conic: i32 = 3;
const picture: i32 = 4;

/** A gradient's colors are a table of this many entries and one, or its stops if two are closer than the table can show. */
const tableSize: i32 = 1024;

let record: usize = 0;

@inline
function part(place: i32): f64 {
  return load<f64>(record + (place << 3));
}

/** Whether every color of a paint is opaque. */
export function isOpaque(paint: usize): bool {
  return load<f64>(paint, 8) !== 0;
}

/* The current gradient: the address of its colors, the number of its stops (0 for a table), and its spread. */
let colors: usize = 0;
let stops: i32 = 0;
let spread: i32 = 0;

/** The offsets of pixels along the gradient, from 0 to 1; this many at a time. */
const maxOffsets: i32 = 512;
const offsets = memory.data(512 * 8 + 32);

/** Writes the colors of `count` pixels of row `y` from `x` on. A pixel's color does not depend on where the run begins. */
export function shade(paint: usize, x: i32, y: i32, count: i32, out: usize): void {
  record = paint;
  const kind = <i32>part(0);
  if (kind === picture) return shadePicture(paint, x, y, count, out);
  spread = <i32>part(2);
  colors = <usize>part(3);
  stops = <i32>part(4);
  const py = <f64>y + 0.5;
  if (kind === linear && part(7) === 0) {
    const offset = f64x2.splat(part(6) + part(8) * py);
    const within = spread === 0 ? offset : spread2(offset);
    return fillPixels(out, count, colorAt(f64x2.extract_lane(within, 0)));
  }
  if (kind === linear && spread === 0 && stops === 0) return shadeLinear(x, py, count, out);
  if (kind === around && spread === 0 && stops === 0) return shadeAround(x, py, count, out);
  for (; count > 0; count -= maxOffsets, x += maxOffsets, out += maxOffsets << pixelShift) {
    const some = min(count, maxOffsets);
    const end = offsets + (some << 3);
    const px = f64x2.add(f64x2.splat(<f64>x + 0.5), f64x2(0, 1));
    if (kind === linear) findLinear(px, py, end);
    else if (kind === around) findAround(px, py, end);
    else if (kind === radial) findRadial(px, py, end);
    else findConic(px, py, end);
    takeColors(some, out);
  }
}

/* How far along the gradient the pixels of a row lie, from `px` on, two at a time. */

function findLinear(px: v128, py: f64, end: usize): void {
  const row = f64x2.splat(part(6) + part(8) * py);
  const perPixel = f64x2.splat(part(7));
  for (let at = offsets; at < end; at += 16, px = f64x2.add(px, f64x2.splat(2)))
    v128.store(at, f64x2.add(row, f64x2.mul(perPixel, px)));
}

function findAround(px: v128, py: f64, end: usize): void {
  const ax = f64x2.splat(part(6));
  const ay = f64x2.splat(part(9));
  const startX = f64x2.splat(part(7) * py + part(8));
  const startY = f64x2.splat(part(10) * py + part(11));
  for (let at = offsets; at < end; at += 16, px = f64x2.add(px, f64x2.splat(2))) {
    const dx = f64x2.add(f64x2.mul(ax, px), startX);
    const dy = f64x2.add(f64x2.mul(ay, px), startY);
    v128.store(at, f64x2.sqrt(f64x2.add(f64x2.mul(dx, dx), f64x2.mul(dy, dy))));
  }
}

/** The circle at offset t has its middle t of the way from focus to center, and a radius of t times the whole. */
function findRadial(px: v128, py: f64, end: usize): void {
  const rowX = f64x2.splat(part(8) * py);
  const rowY = f64x2.splat(part(9) * py);
  const cx = f64x2.splat(part(12));
  const cy = f64x2.splat(part(13));
  const square = f64x2.splat(part(14));
  for (let at = offsets; at < end; at += 16, px = f64x2.add(px, f64x2.splat(2))) {
    const dx = along2(px, part(6), rowX, part(10));
    const dy = along2(px, part(7), rowY, part(11));
    const half = f64x2.add(f64x2.mul(dx, cx), f64x2.mul(dy, cy));
    const length = f64x2.add(f64x2.mul(dx, dx), f64x2.mul(dy, dy));
    const root = f64x2.sqrt(f64x2.add(f64x2.mul(half, half), f64x2.mul(square, length)));
    v128.store(at, f64x2.div(f64x2.sub(root, half), square));
  }
}

/** Four at a time: their directions are worked out in 32-bit floats, from places that are told in 64 bits. */
function findConic(px: v128, py: f64, end: usize): void {
  const rowX = f64x2.splat(part(8) * py);
  const rowY = f64x2.splat(part(9) * py);
  const start = f32x4.splat(<f32>part(12));
  for (let at = offsets; at < end; at += 32, px = f64x2.add(px, f64x2.splat(4))) {
    const next = f64x2.add(px, f64x2.splat(2));
    const x = floats4(along2(px, part(6), rowX, part(10)), along2(next, part(6), rowX, part(10)));
    const y = floats4(along2(px, part(7), rowY, part(11)), along2(next, part(7), rowY, part(11)));
    const turn = f32x4.sub(turns4(x, y), start);
    const within = f32x4.sub(turn, f32x4.floor(turn));
    v128.store(at, f64x2.promote_low_f32x4(within));
    v128.store(at, f64x2.promote_low_f32x4(v128.shuffle<i64>(within, within, 1, 1)), 16);
  }
}

/** The most common gradient, in one pass: the factors are scaled by the table's size, which is exact for a power of two. */
function shadeLinear(x: i32, py: f64, count: i32, out: usize): void {
  const row = f64x2.splat((part(6) + part(8) * py) * tableSize);
  const perPixel = f64x2.splat(part(7) * tableSize);
  let px = f64x2.add(f64x2.splat(<f64>x + 0.5), f64x2(0, 1));
  const end = out + (count << pixelShift);
  for (; out + 4 * pixelBytes <= end; out += 4 * pixelBytes, px = f64x2.add(px, f64x2.splat(4))) {
    const next = f64x2.add(px, f64x2.splat(2));
    takeFour(tablePlaces4(f64x2.add(row, f64x2.mul(perPixel, px)), f64x2.add(row, f64x2.mul(perPixel, next))), out);
  }
  for (; out < end; out += pixelBytes, px = f64x2.add(px, f64x2.splat(1))) {
    const place = f64x2.add(row, f64x2.mul(perPixel, px));
    storePixel(out, loadPixel(colors + (i32x4.extract_lane(tablePlaces4(place, place), 0) << pixelShift)));
  }
}

/** Circles about one center, in one pass too: roots are taken in 32-bit floats, of distances that are told in 64 bits. */
function shadeAround(x: i32, py: f64, count: i32, out: usize): void {
  const ax = f64x2.splat(part(6));
  const ay = f64x2.splat(part(9));
  const startX = f64x2.splat(part(7) * py + part(8));
  const startY = f64x2.splat(part(10) * py + part(11));
  const size = f32x4.splat(<f32>tableSize);
  // Whole numbers are the last bits of sums with a number that leaves no room for more.
  const noRoom = f32x4.splat(8388608);
  let px = f64x2.add(f64x2.splat(<f64>x + 0.5), f64x2(0, 1));
  const end = out + (count << pixelShift);
  for (; out < end; out += 4 * pixelBytes, px = f64x2.add(px, f64x2.splat(4))) {
    const next = f64x2.add(px, f64x2.splat(2));
    const dx = floats4(f64x2.add(f64x2.mul(ax, px), startX), f64x2.add(f64x2.mul(ax, next), startX));
    const dy = floats4(f64x2.add(f64x2.mul(ay, px), startY), f64x2.add(f64x2.mul(ay, next), startY));
    const away = f32x4.mul(f32x4.sqrt(f32x4.add(f32x4.mul(dx, dx), f32x4.mul(dy, dy))), size);
    const places = v128.and(f32x4.add(f32x4.pmin(size, away), noRoom), i32x4.splat(0x7fffff));
    if (out + 4 * pixelBytes <= end) takeFour(places, out);
    else takeSome(places, out, <i32>((end - out) >> pixelShift));
  }
}

/** Writes the colors at up to three places of the table. */
function takeSome(places: v128, out: usize, count: i32): void {
  storePixel(out, loadPixel(colors + (i32x4.extract_lane(places, 0) << pixelShift)));
  if (count > 1) storePixel(out + pixelBytes, loadPixel(colors + (i32x4.extract_lane(places, 1) << pixelShift)));
  if (count > 2) storePixel(out + 2 * pixelBytes, loadPixel(colors + (i32x4.extract_lane(places, 2) << pixelShift)));
}

/** Writes the colors at four places of the table. */
@inline
function takeFour(places: v128, out: usize): void {
  const at = i32x4.shl(places, pixelShift);
  storePixel(out, loadPixel(colors + i32x4.extract_lane(at, 0)));
  storePixel(out + pixelBytes, loadPixel(colors + i32x4.extract_lane(at, 1)));
  storePixel(out + 2 * pixelBytes, loadPixel(colors + i32x4.extract_lane(at, 2)));
  storePixel(out + 3 * pixelBytes, loadPixel(colors + i32x4.extract_lane(at, 3)));
}

/** Writes the colors at the offsets that were found. */
function takeColors(count: i32, out: usize): void {
  let at = offsets;
  const end = out + (count << pixelShift);
  if (spread !== 0) for (const last = at + (count << 3); at < last; at += 16) v128.store(at, spread2(v128.load(at)));
  at = offsets;
  if (stops === 0)
    for (; out + 4 * pixelBytes <= end; out += 4 * pixelBytes, at += 32)
      takeFour(tablePlaces4(scaled(v128.load(at)), scaled(v128.load(at, 16))), out);
  for (; out < end; out += pixelBytes, at += 8) storePixel(out, colorAt(load<f64>(at)));
}

/** Two offsets led back between 0 and 1, by repeating or reflecting. */
@inline
function spread2(offset: v128): v128 {
  const length = f64x2.splat(spread === 1 ? 1 : 2);
  const within = f64x2.sub(offset, f64x2.mul(f64x2.floor(f64x2.div(offset, length)), length));
  return spread === 1 ? within : f64x2.pmin(within, f64x2.sub(length, within));
}

/** Two offsets as places of the table. */
@inline
function scaled(offset: v128): v128 {
  return f64x2.mul(offset, f64x2.splat(tableSize));
}

/** The nearest whole places of the table to twice two, none beyond its ends: see `whole` of the cells. */
@inline
function tablePlaces4(first: v128, second: v128): v128 {
  return v128.shuffle<i32>(nearestPlaces(first), nearestPlaces(second), 0, 2, 4, 6);
}

@inline
function nearestPlaces(places: v128): v128 {
  const inside = f64x2.pmax(f64x2.splat(0), f64x2.pmin(f64x2.splat(tableSize), places));
  return f64x2.add(inside, f64x2.splat(6755399441055744.0));
}

/** Where two pixels of a row lie in the paint's own units, across or down. */
@inline
function along2(px: v128, perPixel: f64, row: v128, from: f64): v128 {
  return f64x2.add(f64x2.add(f64x2.mul(f64x2.splat(perPixel), px), row), f64x2.splat(from));
}

/** The color at an offset, premultiplied. */
function colorAt(offset: f64): Pixel {
  if (stops > 0) return mixStops(colors, stops, offset);
  const place = offset <= 0 ? 0 : offset >= 1 ? tableSize : <i32>(offset * tableSize + 0.5);
  return loadPixel(colors + (place << pixelShift));
}

/** Makes the table of a gradient's colors from its stops, each an offset and a color. */
export function fillTable(stops: usize, count: i32, out: usize): void {
  let i = 0;
  for (let next = 0; next <= count; next++) {
    const upTo = next < count ? offsetOf(stops, next) : Infinity;
    useStops(stops, count, next);
    for (; i <= tableSize && <f64>i / tableSize < upTo; i++) storePixel(out + (i << pixelShift), mixed(<f64>i / tableSize));
  }
}

function mixStops(stops: usize, count: i32, offset: f64): Pixel {
  let next = 0;
  while (next < count && offsetOf(stops, next) <= offset) next++;
  useStops(stops, count, next);
  return mixed(offset);
}

/* The two stops between which colors are mixed: their offsets, and their channels in pairs. */
let fromOffset: f64 = 0;
let toOffset: f64 = 0;
let fromLow: v128 = i64x2.splat(0);
let fromHigh: v128 = i64x2.splat(0);
let toLow: v128 = i64x2.splat(0);
let toHigh: v128 = i64x2.splat(0);

/** Chooses the stops before and after a place; before the first and after the last stop, both are the same. */
function useStops(stops: usize, count: i32, next: i32): void {
  const before = next === 0 ? 0 : next - 1;
  const after = next === count ? count - 1 : next;
  fromOffset = offsetOf(stops, before);
  toOffset = before === after ? Infinity : offsetOf(stops, after);
  fromLow = channels2(stops, before, 0);
  fromHigh = channels2(stops, before, 16);
  toLow = channels2(stops, after, 0);
  toHigh = channels2(stops, after, 16);
}

@inline
function offsetOf(stops: usize, i: i32): f64 {
  return load<f64>(stops + (i << 4));
}

@inline
function channels2(stops: usize, i: i32, shift: i32): v128 {
  const color = <u32>load<f64>(stops + (i << 4), 8) >> shift;
  return f64x2(<f64>(color & 255), <f64>((color >> 8) & 255));
}

/** The color at an offset between the two stops, premultiplied. */
@inline
function mixed(offset: f64): Pixel {
  const t = (offset - fromOffset) / (toOffset - fromOffset);
  return fromStraight(mixed2(fromLow, toLow, t), mixed2(fromHigh, toHigh, t));
}

@inline
function mixed2(one: v128, other: v128, t: f64): v128 {
  return f64x2.add(f64x2.mul(one, f64x2.splat(1 - t)), f64x2.mul(other, f64x2.splat(t)));
}
