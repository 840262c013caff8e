import { finite, fraction, oneOf, type ValueOf } from '../schema/kind.ts';
import { fromUnits, readStops, type Color, type ColorLike, type Stop } from './color.ts';
import { converter, interpolate, type ParsedColor } from './culori-mix.ts';

const toRgb = converter('rgb');
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

function rampFor(call: string, stops: readonly Stop[], space: MixSpace): (t: number) => Color {
  const mode = mixSpace.read(call, 'space', space);
  const read = readStops(call, stops);
  const list = read.map(({ color, offset }): [ParsedColor, number] => [
    { mode: 'rgb', r: color.red / 255, g: color.green / 255, b: color.blue / 255, alpha: color.alpha },
    offset,
  ]);
  const at = interpolate(list as unknown as Parameters<typeof interpolate>[0], mode) as (t: number) => ParsedColor;
  const first = read[0];
  const last = read[read.length - 1];
  return (t) => {
    const where = finite.read(call, 't', t);
    if (where <= first.offset) return first.color;
    if (where >= last.offset) return last.color;
    return fromUnits(toRgb(at(where)));
  };
}
