import { over255 } from './pixels.ts';

/*
 * The blend functions of W3C Compositing and Blending 1, for the modes in the order of paint/blend.ts: what color a
 * source makes with the backdrop under it, co = αs(1 - αb)Cs + αsαb B(Cb, Cs) + (1 - αs)αb Cb. Where B can be told in
 * premultiplied colors it is: no division is needed then.
 */

export const normal: i32 = 0;
const multiply: i32 = 1;
const screen: i32 = 2;
const overlay: i32 = 3;
const darken: i32 = 4;
const lighten: i32 = 5;
const colorDodge: i32 = 6;
const colorBurn: i32 = 7;
const softLight: i32 = 9;
const difference: i32 = 10;
const exclusion: i32 = 11;
const hue: i32 = 12;
const saturation: i32 = 13;
const color: i32 = 14;

/** Four pixels blended over four others. */
export function blend(source: v128, below: v128, mode: i32): v128 {
  if (mode === colorDodge || mode === colorBurn || mode === softLight || mode >= hue)
    return oneByOne(source, below, mode);
  return i8x16.narrow_i16x8_u(
    blend2(i16x8.extend_low_i8x16_u(source), i16x8.extend_low_i8x16_u(below), mode),
    blend2(i16x8.extend_high_i8x16_u(source), i16x8.extend_high_i8x16_u(below), mode),
  );
}

/**
 * Two pixels, 16 bits a channel, in the modes that need no division. Every sum is 255 times a channel, and what it stands
 * for at most 255: it fits.
 */
@inline
function blend2(s: v128, b: v128, mode: i32): v128 {
  const as = alphas2(s);
  const ab = alphas2(b);
  const all = i16x8.splat(255);
  const apart = i16x8.add(i16x8.mul(s, i16x8.sub(all, ab)), i16x8.mul(b, i16x8.sub(all, as)));
  switch (mode) {
    case multiply:
      return over255(i16x8.add(apart, i16x8.mul(s, b)));
    case screen:
      return i16x8.sub(i16x8.add(s, b), over255(i16x8.mul(s, b)));
    case darken:
      return over255(i16x8.add(apart, i16x8.min_u(i16x8.mul(s, ab), i16x8.mul(b, as))));
    case lighten:
      return over255(i16x8.add(apart, i16x8.max_u(i16x8.mul(s, ab), i16x8.mul(b, as))));
    case difference: {
      const one = i16x8.mul(s, ab);
      const other = i16x8.mul(b, as);
      const apartness = i16x8.sub(i16x8.max_u(one, other), i16x8.min_u(one, other));
      return over255(i16x8.add(apart, ofAlpha(one, apartness)));
    }
    case exclusion: {
      const either = i16x8.add(i16x8.mul(s, i16x8.sub(ab, b)), i16x8.mul(b, i16x8.sub(as, s)));
      return over255(i16x8.add(apart, ofAlpha(i16x8.mul(s, b), either)));
    }
    default: {
      // Hard light, and overlay, which is hard light with source and backdrop in each other's place.
      const isOverlay = mode === overlay;
      const top = isOverlay ? b : s;
      const topAlpha = isOverlay ? ab : as;
      const low = isOverlay ? s : b;
      const lowAlpha = isOverlay ? as : ab;
      const both = i16x8.mul(s, b);
      const shade = i16x8.mul(i16x8.sub(lowAlpha, low), i16x8.sub(topAlpha, top));
      const light = i16x8.sub(i16x8.mul(as, ab), i16x8.add(shade, shade));
      const isDark = i16x8.le_u(i16x8.add(top, top), topAlpha);
      return over255(i16x8.add(apart, v128.bitselect(i16x8.add(both, both), light, isDark)));
    }
  }
}

/** The alphas of two pixels, each in all channels of its own. */
@inline
function alphas2(pixels: v128): v128 {
  return v128.shuffle<i16>(pixels, pixels, 3, 3, 3, 3, 7, 7, 7, 7);
}

/** Colors of one, with the alphas of the other before it. */
@inline
function ofAlpha(alphas: v128, colors: v128): v128 {
  return v128.bitselect(alphas, colors, i16x8(0, 0, 0, -1, 0, 0, 0, -1));
}

/** Four pixels by themselves. What lies there is often even, and mixing is dear: the same gives the same. */
function oneByOne(source: v128, below: v128, mode: i32): v128 {
  const first = blend1(i32x4.extract_lane(source, 0), i32x4.extract_lane(below, 0), mode);
  const evenSource = i32x4.splat(i32x4.extract_lane(source, 0));
  const evenBelow = i32x4.splat(i32x4.extract_lane(below, 0));
  const isEven = v128.and(i32x4.eq(source, evenSource), i32x4.eq(below, evenBelow));
  let mixed = i32x4.splat(first);
  if (i32x4.all_true(isEven)) return mixed;
  mixed = i32x4.replace_lane(mixed, 1, blend1(i32x4.extract_lane(source, 1), i32x4.extract_lane(below, 1), mode));
  mixed = i32x4.replace_lane(mixed, 2, blend1(i32x4.extract_lane(source, 2), i32x4.extract_lane(below, 2), mode));
  return i32x4.replace_lane(mixed, 3, blend1(i32x4.extract_lane(source, 3), i32x4.extract_lane(below, 3), mode));
}

/** One pixel blended over another, in a mode that works on colors that are not premultiplied. */
function blend1(source: u32, backdrop: u32, mode: i32): u32 {
  if (source >> 24 === 0) return backdrop;
  if (backdrop >> 24 === 0) return source;
  return mode >= hue ? together(source, backdrop, mode) : channelByChannel(source, backdrop, mode);
}

/** A channel from 0 to 1, no longer multiplied by alpha. */
@inline
function channelOf(pixel: u32, shift: i32): f64 {
  return <f64>((pixel >> shift) & 255) / (pixel >> 24);
}

function toByte(value: f64): u32 {
  return value <= 0 ? 0 : value >= 1 ? 255 : <u32>(value * 255 + 0.5);
}

@inline
function mixedByte(as: f64, ab: f64, cs: f64, cb: f64, mixed: f64): u32 {
  return toByte(as * (1 - ab) * cs + as * ab * mixed + (1 - as) * ab * cb);
}

function channelByChannel(source: u32, backdrop: u32, mode: i32): u32 {
  const as = <f64>(source >> 24) / 255;
  const ab = <f64>(backdrop >> 24) / 255;
  let result = toByte(as + ab - as * ab) << 24;
  for (let shift = 0; shift < 24; shift += 8) {
    const cs = channelOf(source, shift);
    const cb = channelOf(backdrop, shift);
    const mixed = mode === colorDodge ? dodge(cb, cs) : mode === colorBurn ? burn(cb, cs) : softened(cb, cs);
    result |= mixedByte(as, ab, cs, cb, mixed) << shift;
  }
  return result;
}

function dodge(cb: f64, cs: f64): f64 {
  return cb === 0 ? 0 : cs >= 1 ? 1 : min(1, cb / (1 - cs));
}

function burn(cb: f64, cs: f64): f64 {
  return cb >= 1 ? 1 : cs <= 0 ? 0 : 1 - min(1, (1 - cb) / cs);
}

function softened(cb: f64, cs: f64): f64 {
  if (cs <= 0.5) return cb - (1 - 2 * cs) * cb * (1 - cb);
  const d = cb <= 0.25 ? ((16 * cb - 12) * cb + 4) * cb : Math.sqrt(cb);
  return cb + (2 * cs - 1) * (d - cb);
}

/* The modes that mix all three channels together. The color at hand: */
let red: f64 = 0;
let green: f64 = 0;
let blue: f64 = 0;

function together(source: u32, backdrop: u32, mode: i32): u32 {
  const as = <f64>(source >> 24) / 255;
  const ab = <f64>(backdrop >> 24) / 255;
  const sr = channelOf(source, 0);
  const sg = channelOf(source, 8);
  const sb = channelOf(source, 16);
  const br = channelOf(backdrop, 0);
  const bg = channelOf(backdrop, 8);
  const bb = channelOf(backdrop, 16);
  const isFromBackdrop = mode === saturation || mode > color;
  red = isFromBackdrop ? br : sr;
  green = isFromBackdrop ? bg : sg;
  blue = isFromBackdrop ? bb : sb;
  if (mode === hue) saturate(saturationOf(br, bg, bb));
  if (mode === saturation) saturate(saturationOf(sr, sg, sb));
  illuminate(mode > color ? luminosityOf(sr, sg, sb) : luminosityOf(br, bg, bb));
  return (
    mixedByte(as, ab, sr, br, red) |
    (mixedByte(as, ab, sg, bg, green) << 8) |
    (mixedByte(as, ab, sb, bb, blue) << 16) |
    (toByte(as + ab - as * ab) << 24)
  );
}

function luminosityOf(r: f64, g: f64, b: f64): f64 {
  return 0.3 * r + 0.59 * g + 0.11 * b;
}

function saturationOf(r: f64, g: f64, b: f64): f64 {
  return max(r, max(g, b)) - min(r, min(g, b));
}

/** Gives the color at hand a luminosity. */
function illuminate(to: f64): void {
  const shift = to - luminosityOf(red, green, blue);
  red += shift;
  green += shift;
  blue += shift;
  const least = min(red, min(green, blue));
  const most = max(red, max(green, blue));
  red = clipped(red, least, most, to);
  green = clipped(green, least, most, to);
  blue = clipped(blue, least, most, to);
}

function clipped(channel: f64, least: f64, most: f64, to: f64): f64 {
  if (least < 0) channel = to + ((channel - to) * to) / (to - least);
  if (most > 1) channel = to + ((channel - to) * (1 - to)) / (most - to);
  return channel;
}

/** Gives the color at hand a saturation. */
function saturate(to: f64): void {
  const least = min(red, min(green, blue));
  const span = max(red, max(green, blue)) - least;
  const factor = span === 0 ? 0 : to / span;
  red = (red - least) * factor;
  green = (green - least) * factor;
  blue = (blue - least) * factor;
}
