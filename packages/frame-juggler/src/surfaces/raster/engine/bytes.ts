import { wholes4 } from './vectors.ts';
import { premultiply } from './words.ts';

/*
 * Pixels as browsers keep them: eight bits a channel, sRGB, color premultiplied by alpha, one 32-bit word a pixel (red in
 * the lowest byte). Four of them fill a vector. What is exported here floats.ts exports too: see pixels.ts.
 */

/** One pixel. */
export type Pixel = u32;

/** The bytes of a pixel are two to the power of this; so many bytes may be written where fewer are left of a row. */
export const pixelShift: i32 = 2;
export const pixelBytes: i32 = 4;
export const beyond: i32 = 32;
/** Pixels of a vector. */
export const perVector: i32 = 4;

/** A color under a coverage from 0 to 255. */
@inline
export function pixelOf(color: u32, coverage: u32): Pixel {
  return premultiply(color, coverage);
}

/** A color that is premultiplied already. */
@inline
export function fromWord(color: u32): Pixel {
  return color;
}

/** Writes up to four premultiplied colors of four floats each, 0 to 255. */
@inline
export function storeFloats(out: usize, from: usize, count: i32): void {
  const pixels = i8x16.narrow_i16x8_u(
    i16x8.narrow_i32x4_s(rounded(v128.load(from)), rounded(v128.load(from, 16))),
    i16x8.narrow_i32x4_s(rounded(v128.load(from, 32)), rounded(v128.load(from, 48))),
  );
  if (count >= 4) return v128.store(out, pixels);
  v128.store(from, pixels);
  memory.copy(out, from, count << 2);
}

@inline
function rounded(channels: v128): v128 {
  const whole = f32x4.floor(f32x4.add(channels, f32x4.splat(0.5)));
  // Whole numbers are the last bits of sums with a number that leaves no room for more.
  return v128.and(f32x4.add(whole, f32x4.splat(8388608)), i32x4.splat(255));
}

/** A color that is not premultiplied, 0 to 255: red and green, blue and alpha. */
@inline
export function fromStraight(low: v128, high: v128): Pixel {
  const words = wholes4(f64x2.add(low, f64x2.splat(0.5)), f64x2.add(high, f64x2.splat(0.5)));
  const half = i16x8.narrow_i32x4_s(words, words);
  const color: u32 = i32x4.extract_lane(i8x16.narrow_i16x8_u(half, half), 0);
  return color >> 24 === 255 ? color : premultiply(color, 255);
}

/** A premultiplied color, 0 to 1. */
@inline
export function fromParts(red: f64, green: f64, blue: f64, alpha: f64): Pixel {
  return toByte(red) | (toByte(green) << 8) | (toByte(blue) << 16) | (toByte(alpha) << 24);
}

@inline
function toByte(value: f64): u32 {
  return value <= 0 ? 0 : value >= 1 ? 255 : <u32>(value * 255 + 0.5);
}

/** Pixels and others added, to 1 at most. */
@inline
export function sum(a: v128, b: v128): v128 {
  return i8x16.add_sat_u(a, b);
}

/** How opaque a pixel is, 0 to 1. */
@inline
export function alphaOf(pixel: Pixel): f64 {
  return <f64>(pixel >> 24) / 255;
}

/** Channel 0, 1 or 2 of a pixel that is not wholly transparent, 0 to 1, no longer multiplied by alpha. */
@inline
export function channelOf(pixel: Pixel, channel: i32): f64 {
  return <f64>((pixel >> (channel << 3)) & 255) / (pixel >> 24);
}

@inline
export function loadPixel(at: usize): Pixel {
  return load<u32>(at);
}

@inline
export function storePixel(at: usize, pixel: Pixel): void {
  store<u32>(at, pixel);
}

/** A vector of one pixel, as often as it holds one. */
@inline
export function splat(pixel: Pixel): v128 {
  return i32x4.splat(pixel);
}

/** The pixel that stands at a place of a vector. */
@inline
export function pixelAt(pixels: v128, place: i32): Pixel {
  switch (place) {
    case 0:
      return i32x4.extract_lane(pixels, 0);
    case 1:
      return i32x4.extract_lane(pixels, 1);
    case 2:
      return i32x4.extract_lane(pixels, 2);
    default:
      return i32x4.extract_lane(pixels, 3);
  }
}

/* A single pixel as a vector, at the end of a row. */

@inline
export function loadOne(at: usize): v128 {
  return v128.load32_splat(at);
}

@inline
export function storeOne(at: usize, pixels: v128): void {
  v128.store32_lane(at, pixels, 0);
}

/** Fills memory with one pixel. */
export function fillPixels(at: usize, count: i32, pixel: Pixel): void {
  const end = at + (count << 2);
  const four = i32x4.splat(pixel);
  for (; at + 16 <= end; at += 16) v128.store(at, four);
  for (; at < end; at += 4) store<u32>(at, pixel);
}

/* How far something reaches: a byte for each pixel of a vector in one word, and factors in the place of each channel. */

/** The coverages of a vector's pixels. */
@inline
export function loadCoverages(at: usize): u32 {
  return load<u32>(at);
}

export const wholly: u32 = 0xffffffff;

@inline
export function factorsOf(coverages: u32): v128 {
  const all = i32x4.splat(coverages);
  return v128.shuffle<i8>(all, all, 0, 0, 0, 0, 1, 1, 1, 1, 2, 2, 2, 2, 3, 3, 3, 3);
}

/** The same factor for all, from 0 to 255. */
@inline
export function factor(strength: u32): v128 {
  return i8x16.splat(<i8>strength);
}

/** The alphas of pixels, each as a factor for its own channels. */
@inline
export function alphasOf(pixels: v128): v128 {
  return v128.shuffle<i8>(pixels, pixels, 3, 3, 3, 3, 7, 7, 7, 7, 11, 11, 11, 11, 15, 15, 15, 15);
}

/** Pixels, each channel multiplied by its factor. */
@inline
export function scale(pixels: v128, factors: v128): v128 {
  return i8x16.narrow_i16x8_u(
    over255(i16x8.mul(i16x8.extend_low_i8x16_u(pixels), i16x8.extend_low_i8x16_u(factors))),
    over255(i16x8.mul(i16x8.extend_high_i8x16_u(pixels), i16x8.extend_high_i8x16_u(factors))),
  );
}

/** Pixels of one color, all opaque, over others, as far as their factors say. */
@inline
export function cover(color: v128, below: v128, factors: v128): v128 {
  const open = v128.not(factors);
  return i8x16.narrow_i16x8_u(
    sum255(
      i16x8.mul(i16x8.extend_low_i8x16_u(color), i16x8.extend_low_i8x16_u(factors)),
      i16x8.mul(i16x8.extend_low_i8x16_u(below), i16x8.extend_low_i8x16_u(open)),
    ),
    sum255(
      i16x8.mul(i16x8.extend_high_i8x16_u(color), i16x8.extend_high_i8x16_u(factors)),
      i16x8.mul(i16x8.extend_high_i8x16_u(below), i16x8.extend_high_i8x16_u(open)),
    ),
  );
}

/** Pixels over others: result = source + destination · (1 - source alpha). */
@inline
export function over(source: v128, below: v128): v128 {
  return i8x16.add(source, scale(below, v128.not(alphasOf(source))));
}

/* The same for one source over many vectors of pixels: what it leaves of them, and what it adds. */

/** The part that a source of one color leaves of what is below. */
@inline
export function openPart(source: v128): v128 {
  return i16x8.extend_low_i8x16_u(v128.not(alphasOf(source)));
}

/** What a source of one color adds. */
@inline
export function addedPart(source: v128): v128 {
  return i16x8.add(i16x8.mul(i16x8.extend_low_i8x16_u(source), i16x8.splat(255)), i16x8.splat(128));
}

@inline
export function overAlike(below: v128, open: v128, added: v128): v128 {
  const low = i16x8.add(i16x8.mul(i16x8.extend_low_i8x16_u(below), open), added);
  const high = i16x8.add(i16x8.mul(i16x8.extend_high_i8x16_u(below), open), added);
  return i8x16.narrow_i16x8_u(
    i16x8.shr_u(i16x8.add(low, i16x8.shr_u(low, 8)), 8),
    i16x8.shr_u(i16x8.add(high, i16x8.shr_u(high, 8)), 8),
  );
}

/** Eight sums of products of bytes, each in 16 bits, over 255, rounded. */
@inline
function over255(sums: v128): v128 {
  const sum = i16x8.add(sums, i16x8.splat(128));
  return i16x8.shr_u(i16x8.add(sum, i16x8.shr_u(sum, 8)), 8);
}

@inline
function sum255(a: v128, b: v128): v128 {
  return over255(i16x8.add(a, b));
}

/*
 * Arithmetic on the channels of two pixels, 16 bits each, for blend.ts: products of two channels are 255 times as large
 * as what they stand for, until `reduced` brings them back. What they stand for is 1 at most: it fits.
 */

/** How many vectors of channels a vector of pixels gives. */
export const halves: i32 = 2;

@inline
export function firstHalf(pixels: v128): v128 {
  return i16x8.extend_low_i8x16_u(pixels);
}

@inline
export function secondHalf(pixels: v128): v128 {
  return i16x8.extend_high_i8x16_u(pixels);
}

@inline
export function joinHalves(first: v128, second: v128): v128 {
  return i8x16.narrow_i16x8_u(first, second);
}

/** Channels of 1. */
@inline
export function ones(): v128 {
  return i16x8.splat(255);
}

@inline
export function add(a: v128, b: v128): v128 {
  return i16x8.add(a, b);
}

@inline
export function sub(a: v128, b: v128): v128 {
  return i16x8.sub(a, b);
}

@inline
export function mul(a: v128, b: v128): v128 {
  return i16x8.mul(a, b);
}

@inline
export function reduced(products: v128): v128 {
  return over255(products);
}

@inline
export function lesser(a: v128, b: v128): v128 {
  return i16x8.min_u(a, b);
}

@inline
export function greater(a: v128, b: v128): v128 {
  return i16x8.max_u(a, b);
}

@inline
export function isAtMost(a: v128, b: v128): v128 {
  return i16x8.le_u(a, b);
}

/** The alphas of channels, each in all channels of its own pixel. */
@inline
export function channelAlphas(channels: v128): v128 {
  return v128.shuffle<i16>(channels, channels, 3, 3, 3, 3, 7, 7, 7, 7);
}

/** Colors of one, with the alphas of the other before it. */
@inline
export function withAlphas(alphas: v128, colors: v128): v128 {
  return v128.bitselect(alphas, colors, i16x8(0, 0, 0, -1, 0, 0, 0, -1));
}

/**
 * Leads every byte towards those of a background, so that a part `carry` of what it differs by is left; what is left is
 * rounded towards the background, so that a trail really reaches it.
 */
export function fadeTo(at: usize, count: i32, background: Pixel, carry: f64): void {
  for (let channel = 0; channel < 4; channel++) {
    const to = <i32>((background >> (8 * channel)) & 255);
    for (let value = 0; value < 256; value++)
      store<u8>(fadeTables + (channel << 8) + value, <u8>(to + <i32>(<f64>(value - to) * carry)));
  }
  const end = at + (count << 2);
  for (; at < end; at += 4) {
    // Of most trails there is nothing in most places.
    if (load<u32>(at) === background) continue;
    store<u8>(at, load<u8>(fadeTables + load<u8>(at)));
    store<u8>(at, load<u8>(fadeTables + load<u8>(at, 1), 256), 1);
    store<u8>(at, load<u8>(fadeTables + load<u8>(at, 2), 512), 2);
    store<u8>(at, load<u8>(fadeTables + load<u8>(at, 3), 768), 3);
  }
}

/** One table a channel, by the byte there was. */
const fadeTables = memory.data(1024);

/** Writes so many pixels with color no longer multiplied by alpha, as files and pages want them. */
export function unpremultiply(at: usize, count: i32, out: usize): void {
  const end = at + (count << 2);
  for (; at + 16 <= end; at += 16, out += 16) {
    const four = v128.load(at);
    const alphas = i32x4.shr_u(four, 24);
    // Most are opaque or transparent, and are what they were.
    const areKept = v128.or(i32x4.eq(alphas, i32x4.splat(255)), i32x4.eq(alphas, i32x4.splat(0)));
    v128.store(out, i32x4.all_true(areKept) ? four : straight4(four));
  }
  for (; at < end; at += 4, out += 4) v128.store32_lane(out, straight4(v128.load32_zero(at)), 0);
}

@inline
function straight4(four: v128): v128 {
  const low = i16x8.extend_low_i8x16_u(four);
  const high = i16x8.extend_high_i8x16_u(four);
  const colors = i8x16.narrow_i16x8_u(
    i16x8.narrow_i32x4_s(straight(i32x4.extend_low_i16x8_u(low)), straight(i32x4.extend_high_i16x8_u(low))),
    i16x8.narrow_i32x4_s(straight(i32x4.extend_low_i16x8_u(high)), straight(i32x4.extend_high_i16x8_u(high))),
  );
  return v128.bitselect(four, colors, i32x4.splat(0xff000000));
}

/** The channels of a pixel in proportion to its alpha; what becomes of that is not looked at, nor what is transparent. */
@inline
function straight(channels: v128): v128 {
  const values = f32x4.convert_i32x4_s(channels);
  const alphas = v128.shuffle<i32>(values, values, 3, 3, 3, 3);
  return rounded(f32x4.min(f32x4.splat(255), f32x4.div(f32x4.mul(values, f32x4.splat(255)), alphas)));
}

/* Rows of a PNG file. */

/** Bytes of a channel, and the number of the filter that rows go through: none, as flat colors pack best so. */
export const channelBytes: i32 = 1;
export const rowFilter: u8 = 0;

/** Writes pixels of a row, without their alpha where all are opaque; one byte more may be written than that is. */
export function packRow(at: usize, count: i32, out: usize, withAlpha: bool): void {
  if (withAlpha) unpremultiply(at, count, out);
  else dropAlpha(at, count, out);
}

function dropAlpha(at: usize, count: i32, out: usize): void {
  const end = at + (count << 2);
  // Four at a time, while the byte written past their end is overwritten later.
  for (; at + 20 <= end; at += 16, out += 12) {
    const four = v128.load(at);
    v128.store(out, v128.shuffle<i8>(four, four, 0, 1, 2, 4, 5, 6, 8, 9, 10, 12, 13, 14, 0, 0, 0, 0));
  }
  for (; at < end; at += 4, out += 3) store<u32>(out, load<u32>(at));
}

export function filterRows(_out: usize, _length: i32, _rows: i32, _perPixel: i32): void {}

/** Pixels as words of eight bits a channel: as they are. */
export function asWords(at: usize, _count: i32): usize {
  return at;
}
