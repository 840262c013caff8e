import { allocate, free } from './memory.ts';
import { floats4 } from './vectors.ts';

/*
 * Pixels for pictures of sixteen bits a channel: four 32-bit floats from 0 to 1, sRGB, color premultiplied by alpha, in
 * the order red, green, blue, alpha. One of them fills a vector. What is exported here bytes.ts exports too, and explains.
 */

export type Pixel = v128;

export const pixelShift: i32 = 4;
export const pixelBytes: i32 = 16;
export const beyond: i32 = 0;
export const perVector: i32 = 1;

const scaleOfBytes: f32 = 1.0 / 255.0;

@inline
export function pixelOf(color: u32, coverage: u32): Pixel {
  const alpha: f32 = <f32>(color >> 24) * scaleOfBytes * (<f32>coverage * scaleOfBytes);
  return f32x4.mul(f32x4.replace_lane(fromWord(color), 3, 1), f32x4.splat(alpha));
}

@inline
export function fromWord(color: u32): Pixel {
  const channels = i32x4.extend_low_i16x8_u(i16x8.extend_low_i8x16_u(i32x4.splat(color)));
  return fromFloats(f32x4.convert_i32x4_s(channels));
}

@inline
function fromFloats(channels: v128): Pixel {
  return f32x4.mul(channels, f32x4.splat(scaleOfBytes));
}

@inline
export function storeFloats(out: usize, from: usize, count: i32): void {
  for (let i = 0; i < count; i++) v128.store(out + (i << 4), fromFloats(v128.load(from + (i << 4))));
}

@inline
export function fromStraight(low: v128, high: v128): Pixel {
  const straight = fromFloats(floats4(low, high));
  return f32x4.mul(f32x4.replace_lane(straight, 3, 1), alphasOf(straight));
}

@inline
export function fromParts(red: f64, green: f64, blue: f64, alpha: f64): Pixel {
  const channels = f32x4(<f32>red, <f32>green, <f32>blue, <f32>alpha);
  return f32x4.max(f32x4.splat(0), f32x4.min(f32x4.splat(1), channels));
}

@inline
export function sum(a: v128, b: v128): v128 {
  return f32x4.min(f32x4.splat(1), f32x4.add(a, b));
}

@inline
export function alphaOf(pixel: Pixel): f64 {
  return <f64>f32x4.extract_lane(pixel, 3);
}

@inline
export function channelOf(pixel: Pixel, channel: i32): f64 {
  const premultiplied =
    channel === 0
      ? f32x4.extract_lane(pixel, 0)
      : channel === 1
        ? f32x4.extract_lane(pixel, 1)
        : f32x4.extract_lane(pixel, 2);
  return <f64>premultiplied / alphaOf(pixel);
}

@inline
export function loadPixel(at: usize): Pixel {
  return v128.load(at);
}

@inline
export function storePixel(at: usize, pixel: Pixel): void {
  v128.store(at, pixel);
}

@inline
export function splat(pixel: Pixel): v128 {
  return pixel;
}

@inline
export function pixelAt(pixels: v128, _place: i32): Pixel {
  return pixels;
}

@inline
export function loadOne(at: usize): v128 {
  return v128.load(at);
}

@inline
export function storeOne(at: usize, pixels: v128): void {
  v128.store(at, pixels);
}

export function fillPixels(at: usize, count: i32, pixel: Pixel): void {
  for (const end = at + (count << pixelShift); at < end; at += pixelBytes) v128.store(at, pixel);
}

@inline
export function loadCoverages(at: usize): u32 {
  return load<u8>(at);
}

export const wholly: u32 = 0xff;

@inline
export function factorsOf(coverages: u32): v128 {
  return factor(coverages);
}

@inline
export function factor(strength: u32): v128 {
  return f32x4.splat(<f32>strength * scaleOfBytes);
}

@inline
export function alphasOf(pixels: v128): v128 {
  return v128.shuffle<i32>(pixels, pixels, 3, 3, 3, 3);
}

@inline
export function scale(pixels: v128, factors: v128): v128 {
  return f32x4.mul(pixels, factors);
}

@inline
export function cover(color: v128, below: v128, factors: v128): v128 {
  return f32x4.add(f32x4.mul(color, factors), f32x4.mul(below, f32x4.sub(ones(), factors)));
}

@inline
export function over(source: v128, below: v128): v128 {
  return f32x4.add(source, f32x4.mul(below, f32x4.sub(ones(), alphasOf(source))));
}

/* The same for one source over many pixels: see bytes.ts. */

@inline
export function openPart(source: v128): v128 {
  return f32x4.sub(f32x4.splat(1), alphasOf(source));
}

@inline
export function addedPart(source: v128): v128 {
  return source;
}

@inline
export function overAlike(below: v128, open: v128, added: v128): v128 {
  return f32x4.add(added, f32x4.mul(below, open));
}

export const halves: i32 = 1;

@inline
export function firstHalf(pixels: v128): v128 {
  return pixels;
}

@inline
export function secondHalf(pixels: v128): v128 {
  return pixels;
}

@inline
export function joinHalves(first: v128, _second: v128): v128 {
  return first;
}

@inline
export function ones(): v128 {
  return f32x4.splat(1);
}

@inline
export function add(a: v128, b: v128): v128 {
  return f32x4.add(a, b);
}

@inline
export function sub(a: v128, b: v128): v128 {
  return f32x4.sub(a, b);
}

@inline
export function mul(a: v128, b: v128): v128 {
  return f32x4.mul(a, b);
}

@inline
export function reduced(products: v128): v128 {
  return products;
}

@inline
export function lesser(a: v128, b: v128): v128 {
  return f32x4.min(a, b);
}

@inline
export function greater(a: v128, b: v128): v128 {
  return f32x4.max(a, b);
}

@inline
export function isAtMost(a: v128, b: v128): v128 {
  return f32x4.le(a, b);
}

@inline
export function channelAlphas(channels: v128): v128 {
  return alphasOf(channels);
}

@inline
export function withAlphas(alphas: v128, colors: v128): v128 {
  return v128.shuffle<i32>(alphas, colors, 4, 5, 6, 3);
}

/** A trail that has come so near to the background is taken to have reached it: an eighth of the last of 16 bits. */
const reached: f32 = 1.0 / 524280.0;

export function fadeTo(at: usize, count: i32, background: Pixel, carry: f64): void {
  const part = f32x4.splat(<f32>carry);
  for (const end = at + (count << pixelShift); at < end; at += pixelBytes) {
    const left = f32x4.mul(f32x4.sub(v128.load(at), background), part);
    const isLeft = f32x4.gt(f32x4.abs(left), f32x4.splat(reached));
    v128.store(at, f32x4.add(background, v128.and(left, isLeft)));
  }
}

/** Color no longer multiplied by alpha, in all channels from 0 to 1. */
@inline
function straight(pixel: Pixel): v128 {
  const alpha = f32x4.extract_lane(pixel, 3);
  if (alpha === 0) return pixel;
  const color = f32x4.replace_lane(f32x4.div(pixel, f32x4.splat(alpha)), 3, alpha);
  return f32x4.max(f32x4.splat(0), f32x4.min(ones(), color));
}

/** Channels from 0 to 1 as whole numbers up to `most`. */
@inline
function whole(pixel: v128, most: f32): v128 {
  return i32x4.trunc_sat_f32x4_u(f32x4.add(f32x4.mul(pixel, f32x4.splat(most)), f32x4.splat(0.5)));
}

/** Writes so many pixels as words of eight bits a channel, not multiplied by alpha. */
export function unpremultiply(at: usize, count: i32, out: usize): void {
  for (let i = 0; i < count; i++) store<u32>(out + (i << 2), wordOf(straight(v128.load(at + (i << pixelShift)))));
}

@inline
function wordOf(pixel: Pixel): u32 {
  const words = whole(pixel, 255);
  const half = i16x8.narrow_i32x4_u(words, words);
  return i32x4.extract_lane(i8x16.narrow_i16x8_u(half, half), 0);
}

/* Rows of a PNG file: sixteen bits a channel, the higher byte first. */

export const channelBytes: i32 = 2;
/** The filter that guesses a byte from those to the left, above and above that, called Paeth: it suits gradients. */
export const rowFilter: u8 = 4;

export function packRow(at: usize, count: i32, out: usize, withAlpha: bool): void {
  const step = withAlpha ? 8 : 6;
  for (const end = at + (count << pixelShift); at < end; at += pixelBytes, out += step) {
    const pixel = v128.load(at);
    const words = whole(withAlpha ? straight(pixel) : pixel, 65535);
    store<u16>(out, swapped(i32x4.extract_lane(words, 0)));
    store<u16>(out, swapped(i32x4.extract_lane(words, 1)), 2);
    store<u16>(out, swapped(i32x4.extract_lane(words, 2)), 4);
    if (withAlpha) store<u16>(out, swapped(i32x4.extract_lane(words, 3)), 6);
  }
}

@inline
function swapped(value: u32): u16 {
  return <u16>(((value & 255) << 8) | (value >> 8));
}

/** Filters rows where they stand, from their end: what a byte is guessed from is still as it was. */
export function filterRows(out: usize, length: i32, rows: i32, perPixel: i32): void {
  for (let row = rows - 1; row >= 0; row--) {
    const first = out + row * length + 1;
    const rise = row === 0 ? 0 : length;
    for (let i = length - 2; i >= 0; i--) {
      const at = first + i;
      const above: i32 = rise === 0 ? 0 : load<u8>(at - rise);
      const before: i32 = i < perPixel ? 0 : load<u8>(at - perPixel);
      const corner: i32 = rise === 0 || i < perPixel ? 0 : load<u8>(at - rise - perPixel);
      store<u8>(at, <u8>(<i32>load<u8>(at) - guessed(before, above, corner)));
    }
  }
}

/** Of three bytes the one that lies nearest to where a plane through them goes on (PNG, third edition, 9.4). */
@inline
function guessed(before: i32, above: i32, corner: i32): i32 {
  const plane = before + above - corner;
  const toBefore = abs(plane - before);
  const toAbove = abs(plane - above);
  const toCorner = abs(plane - corner);
  return toBefore <= toAbove && toBefore <= toCorner ? before : toAbove <= toCorner ? above : corner;
}

let words: usize = 0;
let room: i32 = 0;

/** Pixels as words of eight bits a channel, which are there until this is next called. */
export function asWords(at: usize, count: i32): usize {
  if (count > room) {
    if (words !== 0) free(words);
    words = allocate(count << 2);
    room = count;
  }
  for (let i = 0; i < count; i++) store<u32>(words + (i << 2), wordOf(v128.load(at + (i << pixelShift))));
  return words;
}
