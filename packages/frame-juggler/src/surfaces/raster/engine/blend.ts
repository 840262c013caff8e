import {
  add,
  alphaOf,
  channelAlphas,
  channelOf,
  firstHalf,
  fromParts,
  greater,
  halves,
  isAtMost,
  joinHalves,
  lesser,
  mul,
  ones,
  perVector,
  pixelAt,
  reduced,
  secondHalf,
  splat,
  sub,
  sum,
  withAlphas,
  Pixel,
} from './pixels.ts';

/*
 * The blend functions of W3C Compositing and Blending 2, for the modes in the order of paint/blend.ts: what color a
 * source makes with the backdrop under it, co = αs(1 - αb)Cs + αsαb B(Cb, Cs) + (1 - αs)αb Cb. Where B can be told in
 * premultiplied colors it is: no division is needed then. Plus-lighter adds light to light, alpha too: min(1, s + b).
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
const plusLighter: i32 = 16;

/** Pixels blended over others. */
export function blend(source: v128, below: v128, mode: i32): v128 {
  if (mode === plusLighter) return sum(source, below);
  if (mode === colorDodge || mode === colorBurn || mode === softLight || mode >= hue)
    return oneByOne(source, below, mode);
  const first = blendChannels(firstHalf(source), firstHalf(below), mode);
  if (halves === 1) return first;
  return joinHalves(first, blendChannels(secondHalf(source), secondHalf(below), mode));
}

/** Channels of pixels in the modes that need no division. */
@inline
function blendChannels(s: v128, b: v128, mode: i32): v128 {
  const as = channelAlphas(s);
  const ab = channelAlphas(b);
  const apart = add(mul(s, sub(ones(), ab)), mul(b, sub(ones(), as)));
  switch (mode) {
    case multiply:
      return reduced(add(apart, mul(s, b)));
    case screen:
      return sub(add(s, b), reduced(mul(s, b)));
    case darken:
      return reduced(add(apart, lesser(mul(s, ab), mul(b, as))));
    case lighten:
      return reduced(add(apart, greater(mul(s, ab), mul(b, as))));
    case difference: {
      const one = mul(s, ab);
      const other = mul(b, as);
      return reduced(add(apart, withAlphas(one, sub(greater(one, other), lesser(one, other)))));
    }
    case exclusion: {
      const either = add(mul(s, sub(ab, b)), mul(b, sub(as, s)));
      return reduced(add(apart, withAlphas(mul(s, b), either)));
    }
    default: {
      // Hard light, and overlay, which is hard light with source and backdrop in each other's place.
      const isOverlay = mode === overlay;
      const top = isOverlay ? b : s;
      const topAlpha = isOverlay ? ab : as;
      const low = isOverlay ? s : b;
      const lowAlpha = isOverlay ? as : ab;
      const both = mul(s, b);
      const shade = mul(sub(lowAlpha, low), sub(topAlpha, top));
      const light = sub(mul(as, ab), add(shade, shade));
      const isDark = isAtMost(add(top, top), topAlpha);
      return reduced(add(apart, v128.bitselect(add(both, both), light, isDark)));
    }
  }
}

/** Pixels by themselves. What lies there is often even, and mixing is dear: the same gives the same. */
function oneByOne(source: v128, below: v128, mode: i32): v128 {
  const firstSource = pixelAt(source, 0);
  const firstBelow = pixelAt(below, 0);
  const mixed = splat(blend1(firstSource, firstBelow, mode));
  if (perVector === 1) return mixed;
  const isEven = v128.and(i32x4.eq(source, splat(firstSource)), i32x4.eq(below, splat(firstBelow)));
  if (i32x4.all_true(isEven)) return mixed;
  const second = splat(blend1(pixelAt(source, 1), pixelAt(below, 1), mode));
  const third = splat(blend1(pixelAt(source, 2), pixelAt(below, 2), mode));
  const fourth = splat(blend1(pixelAt(source, 3), pixelAt(below, 3), mode));
  return v128.shuffle<i64>(
    v128.shuffle<i32>(mixed, second, 0, 4, 0, 4),
    v128.shuffle<i32>(third, fourth, 0, 4, 0, 4),
    0,
    2,
  );
}

/** The color at hand. */
let red: f64 = 0;
let green: f64 = 0;
let blue: f64 = 0;

/** One pixel blended over another, in a mode that works on colors that are not premultiplied. */
function blend1(source: Pixel, backdrop: Pixel, mode: i32): Pixel {
  const as = alphaOf(source);
  const ab = alphaOf(backdrop);
  if (as === 0) return backdrop;
  if (ab === 0) return source;
  const sr = channelOf(source, 0);
  const sg = channelOf(source, 1);
  const sb = channelOf(source, 2);
  const br = channelOf(backdrop, 0);
  const bg = channelOf(backdrop, 1);
  const bb = channelOf(backdrop, 2);
  if (mode >= hue) mixTogether(sr, sg, sb, br, bg, bb, mode);
  else {
    red = mixedChannel(br, sr, mode);
    green = mixedChannel(bg, sg, mode);
    blue = mixedChannel(bb, sb, mode);
  }
  return fromParts(
    composited(as, ab, sr, br, red),
    composited(as, ab, sg, bg, green),
    composited(as, ab, sb, bb, blue),
    as + ab - as * ab,
  );
}

@inline
function composited(as: f64, ab: f64, cs: f64, cb: f64, mixed: f64): f64 {
  return as * (1 - ab) * cs + as * ab * mixed + (1 - as) * ab * cb;
}

@inline
function mixedChannel(cb: f64, cs: f64, mode: i32): f64 {
  return mode === colorDodge ? dodge(cb, cs) : mode === colorBurn ? burn(cb, cs) : softened(cb, cs);
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

/* The modes that mix all three channels together. */

function mixTogether(sr: f64, sg: f64, sb: f64, br: f64, bg: f64, bb: f64, mode: i32): void {
  const isFromBackdrop = mode === saturation || mode > color;
  red = isFromBackdrop ? br : sr;
  green = isFromBackdrop ? bg : sg;
  blue = isFromBackdrop ? bb : sb;
  if (mode === hue) saturate(saturationOf(br, bg, bb));
  if (mode === saturation) saturate(saturationOf(sr, sg, sb));
  illuminate(mode > color ? luminosityOf(sr, sg, sb) : luminosityOf(br, bg, bb));
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
