import { fillPixels, fromWord, pixelBytes, pixelShift, storeFloats, storePixel } from './pixels.ts';
import { floats4, wholes4 } from './vectors.ts';

/*
 * What pictures paint pixels with. Of the record of a paint, which shade.ts explains, a picture has these:
 *
 *   2 whether it is tiled, 3 the address of its pixels, 4 how many across, 5 how many down,
 *   6 … 11 [a, b, c, d, e, f] from the screen's pixels to its own, 12 whether its pixels are mixed
 */

/* The current picture. */
let pixels: usize = 0;
let wide: i32 = 0;
let high: i32 = 0;
let tiled: bool = false;

/* The current row: a pixel's place across is perPixelX · x + rowX + fromX, for the middle x of a pixel; and so it is down. */
let perPixelX: f64 = 0;
let perPixelY: f64 = 0;
let rowX: f64 = 0;
let rowY: f64 = 0;
let fromX: f64 = 0;
let fromY: f64 = 0;

/** Writes the colors of `count` pixels of row `y` from `x` on. */
export function shadePicture(paint: usize, x: i32, y: i32, count: i32, out: usize): void {
  tiled = load<f64>(paint, 16) !== 0;
  pixels = <usize>load<f64>(paint, 24);
  wide = <i32>load<f64>(paint, 32);
  high = <i32>load<f64>(paint, 40);
  perPixelX = load<f64>(paint, 48);
  perPixelY = load<f64>(paint, 56);
  rowX = load<f64>(paint, 64) * (<f64>y + 0.5);
  rowY = load<f64>(paint, 72) * (<f64>y + 0.5);
  fromX = load<f64>(paint, 80);
  fromY = load<f64>(paint, 88);
  const isMixed = load<f64>(paint, 96) !== 0;
  const down = rowY + fromY;
  // Some of the picture's pixels, side by side and as they are.
  const isCopied =
    perPixelX === 1 && perPixelY === 0 && rowX === 0 && isWhole(fromX) && (!isMixed || isWhole(down - 0.5));
  if (isCopied) copyRow(<f64>x + fromX, down, count, out);
  else takeRow(x, isMixed, count, out);
}

@inline
function isWhole(value: f64): bool {
  return Math.floor(value) === value;
}

/** Copies pixels from a place on. What lies before the picture and behind it is its edge, or the picture again. */
function copyRow(across: f64, down: f64, count: i32, out: usize): void {
  const row = pixels + ((kept(down, high) * wide) << 2);
  let from = kept(across, wide);
  if (!tiled && across < 0) {
    const before = <i32>min(<f64>count, -across);
    fillPixels(out, before, fromWord(load<u32>(row)));
    out += before << pixelShift;
    count -= before;
  }
  while (count > 0) {
    const some = min(count, wide - from);
    const end = out + (some << pixelShift);
    for (let at = row + (from << 2); out < end; out += pixelBytes, at += 4) storePixel(out, fromWord(load<u32>(at)));
    count -= some;
    from = 0;
    if (!tiled) return fillPixels(out, count, fromWord(load<u32>(row + ((wide - 1) << 2))));
  }
}

/** The pixel at a place, within the picture: wrapped around if it is tiled, otherwise clamped. */
@inline
function kept(place: f64, size: i32): i32 {
  const whole = Math.floor(place);
  const within = tiled ? whole - Math.floor(whole / size) * size : whole;
  // Of a place further off than numbers reach, what is left may be anything.
  return <i32>max(0, min(<f64>(size - 1), within));
}

/** Of four places: the bytes to the columns left and right of them, and how far they are in between; the same of rows. */
const columns = memory.data(48);
const rows = memory.data(48);
/** Four pixels of floats. */
const mixedFour = memory.data(64);

/** Takes pixels that lie anywhere, four at a time: the nearest, or those around mixed by bilinear interpolation. */
function takeRow(x: i32, isMixed: bool, count: i32, out: usize): void {
  // Pixels are mixed by where their middles are.
  const first: f64 = isMixed ? 0.5 : 0;
  for (let isFirst = true; count > 0; count -= 4, x += 4, out += 4 * pixelBytes, isFirst = false) {
    const middle = f64x2.add(f64x2.splat(<f64>x + 0.5), f64x2(0, 1));
    findNeighbors(middle, perPixelX, rowX, fromX, first, wide, 4, columns);
    // Unless it is turned, the pixels of a row all lie between the same two.
    if (isFirst || perPixelY !== 0) findNeighbors(middle, perPixelY, rowY, fromY, first, high, wide << 2, rows);
    if (isMixed) mixFour(min(count, 4), out);
    else pickFour(min(count, 4), out);
  }
}

@inline
function pickFour(count: i32, out: usize): void {
  for (let i = 0; i < count; i++) {
    const at = pixels + load<u32>(rows + (i << 2)) + load<u32>(columns + (i << 2));
    storePixel(out + (i << pixelShift), fromWord(load<u32>(at)));
  }
}

@inline
function mixFour(count: i32, out: usize): void {
  for (let at: usize = 0; at < 16; at += 4) {
    const left = load<u32>(columns + at);
    const right = load<u32>(columns + at, 16);
    const upper = pixels + load<u32>(rows + at);
    const lower = pixels + load<u32>(rows + at, 16);
    const across = v128.load32_splat(columns + at, 32);
    const above = mixed(channelsAt(upper + left), channelsAt(upper + right), across);
    const below = mixed(channelsAt(lower + left), channelsAt(lower + right), across);
    v128.store(mixedFour + (at << 2), mixed(above, below, v128.load32_splat(rows + at, 32)));
  }
  storeFloats(out, mixedFour, count);
}

/**
 * Finds between which columns, or rows, four places lie.
 * @param middle the middles of the first two on the screen
 * @param first where the first column lies
 * @param bytes from one column to the next
 */
@inline
function findNeighbors(middle: v128, perPixel: f64, row: f64, from: f64, first: f64, size: i32, bytes: i32, out: usize): void {
  const place = placesOf(middle, perPixel, row, from, first);
  const place2 = placesOf(f64x2.add(middle, f64x2.splat(2)), perPixel, row, from, first);
  const whole = f64x2.floor(place);
  const whole2 = f64x2.floor(place2);
  const last = i32x4.splat(size - 1);
  let before = wholes4(tiled ? wrapped(whole, size) : whole, tiled ? wrapped(whole2, size) : whole2);
  // Kept within the picture before one is added, which would be too much for the largest number.
  before = i32x4.min_s(before, last);
  const next = i32x4.add(before, i32x4.splat(1));
  const after = tiled ? v128.andnot(next, i32x4.gt_s(next, last)) : i32x4.max_s(i32x4.splat(0), i32x4.min_s(next, last));
  v128.store(out, i32x4.mul(i32x4.max_s(i32x4.splat(0), before), i32x4.splat(bytes)));
  v128.store(out, i32x4.mul(after, i32x4.splat(bytes)), 16);
  v128.store(out, floats4(f64x2.sub(place, whole), f64x2.sub(place2, whole2)), 32);
}

@inline
function placesOf(middle: v128, perPixel: f64, row: f64, from: f64, first: f64): v128 {
  const place = f64x2.add(f64x2.add(f64x2.mul(f64x2.splat(perPixel), middle), f64x2.splat(row)), f64x2.splat(from));
  return f64x2.sub(place, f64x2.splat(first));
}

@inline
function wrapped(whole: v128, size: i32): v128 {
  const all = f64x2.splat(<f64>size);
  return f64x2.sub(whole, f64x2.mul(f64x2.floor(f64x2.div(whole, all)), all));
}

@inline
function mixed(one: v128, other: v128, t: v128): v128 {
  return f32x4.add(one, f32x4.mul(f32x4.sub(other, one), t));
}

/** A pixel's channels as floats, 0 to 255. */
@inline
function channelsAt(at: usize): v128 {
  return f32x4.convert_i32x4_s(i32x4.extend_low_i16x8_u(i16x8.extend_low_i8x16_u(v128.load32_zero(at))));
}
