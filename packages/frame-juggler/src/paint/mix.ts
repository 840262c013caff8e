import { finite, fraction, oneOf, type ValueOf } from '../schema/kind.ts';
import { colorFunctions, type ColorFunction } from './color-functions.ts';
import { fromUnits, readStops, type Color, type ColorLike, type Stop } from './color.ts';
import { interpolate } from './interpolate.ts';

const mixSpace = oneOf('oklab', 'oklch', 'rgb', 'hsl', 'lab', 'lch');
/** A space in which two colors can be mixed. */
export type MixSpace = ValueOf<typeof mixSpace>;

/**
 * The color a part `t` of the way from `a` to `b`: 0 gives `a`, 1 gives `b`. Mixed in Oklab unless another space is
 * named; in a space with a hue, the shorter way around.
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

/** Sketches mix the same two colors again and again, so prepared pairs are cached. */
const pairs = new Map<string, (t: number) => Color>();
const maxPairs = 4096;

function keyOf(color: ColorLike): string {
  return typeof color === 'string' ? color : `${color.red} ${color.green} ${color.blue} ${color.alpha}`;
}

/**
 * A function from 0..1 to the colors between the stops: colors spread evenly, or `[offset, color]` pairs. Values outside take the color of the nearest end. Mixed in Oklab unless another space is named.
 */
export function ramp(stops: readonly Stop[], space: MixSpace = 'oklab'): (t: number) => Color {
  return rampFor('ramp', stops, space);
}

function rampFor(call: string, stops: readonly Stop[], space: MixSpace): (t: number) => Color {
  const row: ColorFunction = colorFunctions[mixSpace.read(call, 'space', space)];
  const read = readStops(call, stops);
  const list = read.map(({ color: { red, green, blue, alpha } }) => ({
    channels: row.fromRgb([red / 255, green / 255, blue / 255]),
    alpha,
  }));
  const last = read.length - 1;
  return (t) => {
    const where = finite.read(call, 't', t);
    if (where <= read[0].offset) return read[0].color;
    if (where >= read[last].offset) return read[last].color;
    const next = read.findIndex(({ offset }) => offset >= where);
    const [from, to] = [read[next - 1].offset, read[next].offset];
    const { channels, alpha } = interpolate(row, list[next - 1], list[next], (where - from) / (to - from), 'shorter');
    return fromUnits(row.toRgb(channels), alpha);
  };
}
