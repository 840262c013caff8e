import type { BlendMode } from '../../paint/blend.ts';

/*
 * The blend functions of W3C Compositing and Blending 1: what color a source makes with the backdrop under it, with
 * channels from 0 to 1.
 */

type Separable = (backdrop: number, source: number) => number;
type Rgb = readonly [number, number, number];

const hardLight: Separable = (cb, cs) => (cs <= 0.5 ? cb * 2 * cs : screen(cb, 2 * cs - 1));
const screen: Separable = (cb, cs) => cb + cs - cb * cs;

/** Modes that mix each channel by itself. */
const separable = {
  multiply: (cb: number, cs: number) => cb * cs,
  screen,
  overlay: (cb: number, cs: number) => hardLight(cs, cb),
  darken: Math.min,
  lighten: Math.max,
  'color-dodge': (cb: number, cs: number) => (cb === 0 ? 0 : cs >= 1 ? 1 : Math.min(1, cb / (1 - cs))),
  'color-burn': (cb: number, cs: number) => (cb >= 1 ? 1 : cs <= 0 ? 0 : 1 - Math.min(1, (1 - cb) / cs)),
  'hard-light': hardLight,
  'soft-light': (cb: number, cs: number) => {
    if (cs <= 0.5) return cb - (1 - 2 * cs) * cb * (1 - cb);
    const d = cb <= 0.25 ? ((16 * cb - 12) * cb + 4) * cb : Math.sqrt(cb);
    return cb + (2 * cs - 1) * (d - cb);
  },
  difference: (cb: number, cs: number) => Math.abs(cb - cs),
  exclusion: (cb: number, cs: number) => cb + cs - 2 * cb * cs,
} satisfies Partial<Record<BlendMode, Separable>>;

const luminosity = ([r, g, b]: Rgb): number => 0.3 * r + 0.59 * g + 0.11 * b;
const saturation = (c: Rgb): number => Math.max(...c) - Math.min(...c);

function withLuminosity(color: Rgb, to: number): Rgb {
  const shift = to - luminosity(color);
  const [r, g, b] = color.map((channel) => channel + shift);
  const moved: Rgb = [r, g, b];
  const least = Math.min(...moved);
  const most = Math.max(...moved);
  const clip = (channel: number): number => {
    let value = channel;
    if (least < 0) value = to + ((value - to) * to) / (to - least);
    if (most > 1) value = to + ((value - to) * (1 - to)) / (most - to);
    return value;
  };
  return [clip(r), clip(g), clip(b)];
}

function withSaturation(color: Rgb, to: number): Rgb {
  const least = Math.min(...color);
  const span = Math.max(...color) - least;
  if (span === 0) return [0, 0, 0];
  const [r, g, b] = color.map((channel) => ((channel - least) * to) / span);
  return [r, g, b];
}

/** Modes that mix all three channels together. */
const nonSeparable = {
  hue: (cb: Rgb, cs: Rgb) => withLuminosity(withSaturation(cs, saturation(cb)), luminosity(cb)),
  saturation: (cb: Rgb, cs: Rgb) => withLuminosity(withSaturation(cb, saturation(cs)), luminosity(cb)),
  color: (cb: Rgb, cs: Rgb) => withLuminosity(cs, luminosity(cb)),
  luminosity: (cb: Rgb, cs: Rgb) => withLuminosity(cb, luminosity(cs)),
} satisfies Partial<Record<BlendMode, (backdrop: Rgb, source: Rgb) => Rgb>>;

/** One premultiplied word over another: co = αs(1 - αb)Cs + αsαb B(Cb, Cs) + (1 - αs)αb Cb. */
export type Blender = (source: number, backdrop: number) => number;

/** What puts words down under each blend mode. */
const blenders: Record<BlendMode, Blender> = {
  normal: channelByChannel((_, cs) => cs),
  ...mapValues(separable, channelByChannel),
  ...mapValues(nonSeparable, together),
};

export function blenderOf(mode: BlendMode): Blender {
  return blenders[mode];
}

function mapValues<Name extends string, From, To>(table: Record<Name, From>, to: (from: From) => To): Record<Name, To> {
  return Object.fromEntries(Object.entries<From>(table).map(([name, value]) => [name, to(value)])) as Record<Name, To>;
}

function channelByChannel(blend: Separable): Blender {
  return (source, backdrop) => {
    const sourceAlpha = (source >>> 24) / 255;
    if (sourceAlpha === 0) return backdrop;
    const backdropAlpha = (backdrop >>> 24) / 255;
    let result = 0;
    for (let shift = 0; shift < 24; shift += 8) {
      const cs = channelOf(source, shift);
      const cb = channelOf(backdrop, shift);
      result |= mixedByte(sourceAlpha, backdropAlpha, cs, cb, blend(cb, cs)) << shift;
    }
    return (result | (alphaOver(sourceAlpha, backdropAlpha) << 24)) >>> 0;
  };
}

function together(blend: (backdrop: Rgb, source: Rgb) => Rgb): Blender {
  return (source, backdrop) => {
    const sourceAlpha = (source >>> 24) / 255;
    if (sourceAlpha === 0) return backdrop;
    const backdropAlpha = (backdrop >>> 24) / 255;
    const cs: Rgb = [channelOf(source, 0), channelOf(source, 8), channelOf(source, 16)];
    const cb: Rgb = [channelOf(backdrop, 0), channelOf(backdrop, 8), channelOf(backdrop, 16)];
    const mixed = blend(cb, cs);
    let result = 0;
    for (let channel = 0; channel < 3; channel++)
      result |= mixedByte(sourceAlpha, backdropAlpha, cs[channel], cb[channel], mixed[channel]) << (8 * channel);
    return (result | (alphaOver(sourceAlpha, backdropAlpha) << 24)) >>> 0;
  };
}

/** A channel from 0 to 1, no longer multiplied by alpha. */
function channelOf(word: number, shift: number): number {
  const alpha = word >>> 24;
  return alpha === 0 ? 0 : ((word >>> shift) & 255) / alpha;
}

function mixedByte(sourceAlpha: number, backdropAlpha: number, cs: number, cb: number, mixed: number): number {
  return toByte(
    sourceAlpha * (1 - backdropAlpha) * cs +
      sourceAlpha * backdropAlpha * mixed +
      (1 - sourceAlpha) * backdropAlpha * cb,
  );
}

function alphaOver(sourceAlpha: number, backdropAlpha: number): number {
  return toByte(sourceAlpha + backdropAlpha - sourceAlpha * backdropAlpha);
}

function toByte(unit: number): number {
  return unit <= 0 ? 0 : unit >= 1 ? 255 : (unit * 255 + 0.5) | 0;
}
