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

/** Four pixels blended over four others. What lies there is often even, and mixing is dear: the same gives the same. */
export function blend(source: v128, below: v128, mode: i32): v128 {
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

/** One pixel blended over another. */
function blend1(source: u32, backdrop: u32, mode: i32): u32 {
  if (source >> 24 === 0) return backdrop;
  if (backdrop >> 24 === 0) return source;
  if (mode === colorDodge || mode === colorBurn || mode === softLight) return channelByChannel(source, backdrop, mode);
  if (mode >= hue) return together(source, backdrop, mode);
  const s = unit(source);
  const b = unit(backdrop);
  const as = f32x4.splat(f32x4.extract_lane(s, 3));
  const ab = f32x4.splat(f32x4.extract_lane(b, 3));
  const one = f32x4.splat(1);
  const both = f32x4.mul(s, b);
  const apart = f32x4.add(f32x4.mul(s, f32x4.sub(one, ab)), f32x4.mul(b, f32x4.sub(one, as)));
  const sum = f32x4.add(s, b);
  let mixed: v128;
  switch (mode) {
    case multiply:
      mixed = f32x4.add(apart, both);
      break;
    case screen:
      mixed = f32x4.sub(sum, both);
      break;
    case darken:
      mixed = f32x4.add(apart, f32x4.min(f32x4.mul(s, ab), f32x4.mul(b, as)));
      break;
    case lighten:
      mixed = f32x4.add(apart, f32x4.max(f32x4.mul(s, ab), f32x4.mul(b, as)));
      break;
    case difference: {
      const least = f32x4.min(f32x4.mul(s, ab), f32x4.mul(b, as));
      mixed = f32x4.sub(f32x4.sub(sum, least), least);
      break;
    }
    case exclusion:
      mixed = f32x4.sub(f32x4.sub(sum, both), both);
      break;
    default: {
      // Hard light, and overlay, which is hard light with source and backdrop in each other's place.
      const isOverlay = mode === overlay;
      const top = isOverlay ? b : s;
      const low = isOverlay ? s : b;
      const topAlpha = isOverlay ? ab : as;
      const lowAlpha = isOverlay ? as : ab;
      const dark = f32x4.add(both, both);
      const shade = f32x4.mul(f32x4.sub(lowAlpha, low), f32x4.sub(topAlpha, top));
      const light = f32x4.sub(f32x4.mul(as, ab), f32x4.add(shade, shade));
      mixed = f32x4.add(apart, v128.bitselect(dark, light, f32x4.le(f32x4.add(top, top), topAlpha)));
    }
  }
  const alpha = f32x4.extract_lane(sum, 3) - f32x4.extract_lane(both, 3);
  return bytes(f32x4.replace_lane(mixed, 3, alpha));
}

/** A pixel's channels from 0 to 1, as they stand. */
@inline
function unit(pixel: u32): v128 {
  const words = i32x4.extend_low_i16x8_u(i16x8.extend_low_i8x16_u(i32x4.splat(pixel)));
  return f32x4.div(f32x4.convert_i32x4_u(words), f32x4.splat(255));
}

@inline
function bytes(unit: v128): u32 {
  const words = i32x4.trunc_sat_f32x4_s(f32x4.add(f32x4.mul(unit, f32x4.splat(255)), f32x4.splat(0.5)));
  const half = i16x8.narrow_i32x4_s(words, words);
  return i32x4.extract_lane(i8x16.narrow_i16x8_u(half, half), 0);
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
