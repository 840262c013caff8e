import { finite, fraction, oneOf, type ValueOf } from '../schema/kind.ts';
import {
  fromPolar,
  hslToRgb,
  labToRgb,
  oklabToRgb,
  rgbToHsl,
  rgbToLab,
  rgbToOklab,
  toPolar,
  type Channels,
} from './color-space.ts';
import { fromUnits, readStops, type Color, type ColorLike, type Stop } from './color.ts';

const mixSpace = oneOf('oklab', 'oklch', 'rgb', 'hsl', 'lab', 'lch');
/** A space in which two colors can be mixed. */
export type MixSpace = ValueOf<typeof mixSpace>;

/**
 * The color a part `t` of the way from `a` to `b`: 0 gives `a`, 1 gives `b`. Mixed in Oklab unless another space is
 * named; in a space with a hue the shorter way round.
 */
export function colorMix(a: ColorLike, b: ColorLike, t: number, space: MixSpace = 'oklab'): Color {
  fraction.read('colorMix', 't', t);
  const pair = `${space}/${keyOf(a)}/${keyOf(b)}`;
  let mixed = pairs.get(pair);
  if (mixed === undefined) {
    mixed = rampFor('colorMix', [a, b], space);
    if (pairs.size === maxPairs) pairs.clear();
    pairs.set(pair, mixed);
  }
  return mixed(t);
}

/** Sketches mix the same two colors again and again: what was made ready once is kept. */
const pairs = new Map<string, (t: number) => Color>();
const maxPairs = 4096;

function keyOf(color: ColorLike): string {
  return typeof color === 'string' ? color : `${color.red} ${color.green} ${color.blue} ${color.alpha}`;
}

/**
 * A function from 0..1 to the colors between the stops: colors spread evenly, or `[offset, color]` pairs. What lies
 * before the first or behind the last takes their color. Mixed in Oklab unless another space is named.
 */
export function ramp(stops: readonly Stop[], space: MixSpace = 'oklab'): (t: number) => Color {
  return rampFor('ramp', stops, space);
}

/** A space to mix in: the way there and back, and which channel is a hue, if one is. */
interface Mixing {
  readonly fromRgb: (rgb: Channels) => Channels;
  readonly toRgb: (channels: Channels) => Channels;
  readonly hue?: number;
  /** Of the second channel, chroma or saturation: up to here a color is gray, and its hue says nothing (CSS Color 4, 12.2). */
  readonly gray?: number;
}

const mixings: Readonly<Record<MixSpace, Mixing>> = {
  oklab: { fromRgb: rgbToOklab, toRgb: oklabToRgb },
  oklch: {
    fromRgb: (rgb) => toPolar(rgbToOklab(rgb)),
    toRgb: (lch) => oklabToRgb(fromPolar(lch)),
    hue: 2,
    gray: 4e-6,
  },
  rgb: { fromRgb: (rgb) => rgb, toRgb: (rgb) => rgb },
  hsl: { fromRgb: rgbToHsl, toRgb: hslToRgb, hue: 0, gray: 1e-5 },
  lab: { fromRgb: rgbToLab, toRgb: labToRgb },
  lch: { fromRgb: (rgb) => toPolar(rgbToLab(rgb)), toRgb: (lch) => labToRgb(fromPolar(lch)), hue: 2, gray: 0.0015 },
};

function rampFor(call: string, stops: readonly Stop[], space: MixSpace): (t: number) => Color {
  const { fromRgb, toRgb, hue = -1, gray = 0 } = mixings[mixSpace.read(call, 'space', space)];
  const read = readStops(call, stops);
  const list = read.map(({ color }) => fromRgb([color.red / 255, color.green / 255, color.blue / 255]));
  const last = read.length - 1;
  return (t) => {
    const where = finite.read(call, 't', t);
    if (where <= read[0].offset) return read[0].color;
    if (where >= read[last].offset) return read[last].color;
    const next = read.findIndex(({ offset }) => offset >= where);
    const [from, to] = [read[next - 1], read[next]];
    const part = (where - from.offset) / (to.offset - from.offset);
    const [a, b] = [list[next - 1], list[next]];
    const channel = (index: number): number =>
      index === hue ? mixHue(a, b, index, gray, part) : a[index] + (b[index] - a[index]) * part;
    const alpha = from.color.alpha + (to.color.alpha - from.color.alpha) * part;
    return fromUnits(toRgb([channel(0), channel(1), channel(2)]), alpha);
  };
}

/** A hue a part of the shorter way round; a gray has none and takes that of the other. */
function mixHue(a: Channels, b: Channels, index: number, gray: number, part: number): number {
  if (a[1] <= gray) return b[index];
  if (b[1] <= gray) return a[index];
  const way = b[index] - a[index];
  return a[index] + (Math.abs(way) <= 180 ? way : way - 360 * Math.sign(way)) * part;
}
