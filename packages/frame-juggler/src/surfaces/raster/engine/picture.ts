import { fillPixels, fromWord, pixelBytes, pixelShift, storeFloats, storePixel } from './pixels.ts';
import { floats4 } from './vectors.ts';

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
  if (isCopied) return copyRow(<f64>x + fromX, down, count, out);
  // The pixels of a row all lie between the same two rows of the picture. Of tiles, all columns are taken in.
  const isUpright = perPixelY === 0 && (!tiled || wide <= min(count, maxPixels));
  if (isUpright) takeUprightRow(x, isMixed, count, out);
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

/** Where the first pixel of a picture lies. Pixels are mixed by where their middles are. */
@inline
function firstOf(isMixed: bool): f64 {
  return isMixed ? 0.5 : 0;
}

/** Takes pixels that lie anywhere, four at a time: the nearest, or those around mixed by bilinear interpolation. */
function takeRow(x: i32, isMixed: bool, count: i32, out: usize): void {
  const first = firstOf(isMixed);
  for (; count > 0; count -= 4, x += 4, out += 4 * pixelBytes) {
    const middle = f64x2.add(f64x2.splat(<f64>x + 0.5), f64x2(0, 1));
    findNeighbors(middle, perPixelX, rowX, fromX, first, wide, 4, columns);
    findNeighbors(middle, perPixelY, rowY, fromY, first, high, wide << 2, rows);
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
  v128.store(mixedFour, mixedOf(columns, rows));
  v128.store(mixedFour, mixedOf(columns + 4, rows + 4), 16);
  v128.store(mixedFour, mixedOf(columns + 8, rows + 8), 32);
  v128.store(mixedFour, mixedOf(columns + 12, rows + 12), 48);
  storeFloats(out, mixedFour, count);
}

/** One pixel, mixed of those around its place. */
@inline
function mixedOf(column: usize, row: usize): v128 {
  const upper = pixels + load<u32>(row);
  const lower = pixels + load<u32>(row, 16);
  const left = load<u32>(column);
  const right = load<u32>(column, 16);
  const down = v128.load32_splat(row, 32);
  const before = mixed(channelsAt(upper + left), channelsAt(lower + left), down);
  const after = mixed(channelsAt(upper + right), channelsAt(lower + right), down);
  return mixed(before, after, v128.load32_splat(column, 32));
}

/** Pixels of an upright picture are taken so many at a time; they take in at most two of its columns each (see reduce.ts). */
const maxPixels: i32 = 2048;
/** Where they lie across, four by four as `columns` tells it. */
const across = memory.data((2048 / 4) * 48);
/** The columns they take in, as floats, each mixed of the same two rows. */
const mixedColumns = memory.data((2 * 2048 + 16) * 16);

/**
 * Takes pixels of a picture that is not turned, as `takeRow` would. Its rows all lie alike across, so that this is found
 * once for all of them; and each column is mixed once, for all the pixels beside it.
 */
function takeUprightRow(x: i32, isMixed: bool, count: i32, out: usize): void {
  findNeighbors(f64x2.splat(0), 0, rowY, fromY, firstOf(isMixed), high, wide << 2, rows);
  for (; count > 0; count -= maxPixels, x += maxPixels, out += maxPixels << pixelShift) {
    const some = min(count, maxPixels);
    findAcross(x, some, isMixed);
    if (isMixed) mixUpright(some, out);
    else pickUpright(some, out);
  }
}

/* What `across` was found for, and the columns that lie in between. */
let acrossX: i32 = 0;
let acrossCount: i32 = 0;
let acrossMixed: bool = false;
let acrossTiled: bool = false;
let acrossWide: i32 = 0;
let acrossPerPixel: f64 = 0;
let acrossRow: f64 = 0;
let acrossFrom: f64 = 0;
let firstColumn: i32 = 0;
let lastColumn: i32 = 0;

function findAcross(x: i32, count: i32, isMixed: bool): void {
  const isFound =
    x === acrossX &&
    count === acrossCount &&
    isMixed === acrossMixed &&
    tiled === acrossTiled &&
    wide === acrossWide &&
    perPixelX === acrossPerPixel &&
    rowX === acrossRow &&
    fromX === acrossFrom;
  if (isFound) return;
  acrossX = x;
  acrossCount = count;
  acrossMixed = isMixed;
  acrossTiled = tiled;
  acrossWide = wide;
  acrossPerPixel = perPixelX;
  acrossRow = rowX;
  acrossFrom = fromX;

  const first = firstOf(isMixed);
  const bytes = isMixed ? 16 : 4;
  let middle = f64x2.add(f64x2.splat(<f64>x + 0.5), f64x2(0, 1));
  let at = across;
  for (let i = 0; i < count; i += 4, at += 48, middle = f64x2.add(middle, f64x2.splat(4)))
    findNeighbors(middle, perPixelX, rowX, fromX, first, wide, bytes, at);
  firstColumn = 0;
  lastColumn = wide - 1;
  if (tiled) return;
  // The last four are mixed together, whether they are wanted or not. Of a mirrored picture, they lie to the left.
  firstColumn = min(load<i32>(across), load<i32>(at - 48, 12)) / bytes;
  lastColumn = max(load<i32>(across, 16), load<i32>(at - 48, 28)) / bytes;
}

function pickUpright(count: i32, out: usize): void {
  const row = pixels + load<u32>(rows);
  for (let at = across; count > 0; count -= 4, at += 48)
    for (let i: usize = 0; i < <usize>min(count, 4); i++, out += pixelBytes)
      storePixel(out, fromWord(load<u32>(row + load<u32>(at + (i << 2)))));
}

function mixUpright(count: i32, out: usize): void {
  const down = v128.load32_splat(rows, 32);
  const upper = pixels + load<u32>(rows);
  const lower = pixels + load<u32>(rows, 16);
  for (let i = firstColumn, column = mixedColumns; i <= lastColumn; i++, column += 16)
    v128.store(column, mixed(channelsAt(upper + (i << 2)), channelsAt(lower + (i << 2)), down));
  // Where the first of all columns would be.
  const from = mixedColumns - (<usize>firstColumn << 4);
  for (let at = across; count > 0; count -= 4, at += 48, out += 4 * pixelBytes) {
    v128.store(mixedFour, mixedAt(from, at));
    v128.store(mixedFour, mixedAt(from, at + 4), 16);
    v128.store(mixedFour, mixedAt(from, at + 8), 32);
    v128.store(mixedFour, mixedAt(from, at + 12), 48);
    storeFloats(out, mixedFour, min(count, 4));
  }
}

@inline
function mixedAt(from: usize, at: usize): v128 {
  return mixed(v128.load(from + load<u32>(at)), v128.load(from + load<u32>(at, 16)), v128.load32_splat(at, 32));
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
  const last = i32x4.splat((size - 1) * bytes);
  const before = v128.shuffle<i32>(bytesTo(whole, size, bytes), bytesTo(whole2, size, bytes), 0, 2, 4, 6);
  const next = i32x4.add(before, i32x4.splat(bytes));
  const none = i32x4.splat(0);
  v128.store(out, i32x4.max_s(none, i32x4.min_s(before, last)));
  v128.store(out, tiled ? v128.andnot(next, i32x4.gt_s(next, last)) : i32x4.max_s(none, i32x4.min_s(next, last)), 16);
  v128.store(out, floats4(f64x2.sub(place, whole), f64x2.sub(place2, whole2)), 32);
}

/** The bytes to two columns as whole numbers, those of the columns beside the picture where they lie beyond it. */
@inline
function bytesTo(whole: v128, size: i32, bytes: i32): v128 {
  const within = tiled ? wrapped(whole, size) : whole;
  const near = f64x2.pmax(f64x2.splat(-1), f64x2.pmin(f64x2.splat(<f64>size), within));
  // Whole numbers are the last bits of sums with a number that leaves no room for more.
  return f64x2.add(f64x2.mul(near, f64x2.splat(<f64>bytes)), f64x2.splat(6755399441055744.0));
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
