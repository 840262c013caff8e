import { callWatch } from '../call-watch.ts';
import { finite, fraction, oneOf, type ValueOf } from '../schema/kind.ts';
import { colorFunctions, type ColorFunction } from './color-functions.ts';
import { fromUnits, readColor, readStops, type Color, type ColorLike, type Stop } from './color.ts';
import { interpolate, type InSpace } from './interpolate.ts';

const mixSpace = oneOf('oklab', 'oklch', 'rgb', 'hsl', 'lab', 'lch');
/** A space in which two colors can be mixed. */
export type MixSpace = ValueOf<typeof mixSpace>;

/**
 * The color a part `t` of the way from `a` to `b`: 0 gives `a`, 1 gives `b`. Mixed in Oklab unless another space is
 * named; in a space with a hue, the shorter way around.
 */
export function colorMix(a: ColorLike, b: ColorLike, t: number, space: MixSpace = 'oklab'): Color {
  fraction.read('colorMix', 't', t);
  const row = readSpace('colorMix', space);
  const from = prepared(row, 'a', a);
  const to = prepared(row, 'b', b);
  const { last } = from;
  if (last !== undefined && last.to === to && last.t === t) return last.color;
  const color = mixed(row, from, to, t);
  from.last = { to, t, color };
  return color;
}

/** A color, and the channels that it has in the space in which it is mixed. */
interface Prepared extends InSpace {
  readonly color: Color;
  /** What it was last mixed to: within a frame, sketches mix the same two by the same part again and again. */
  last?: { readonly to: Prepared; readonly t: number; readonly color: Color };
}

/**
 * What is kept of a space: sketches mix the same colors in every frame. Of texts, the last some thousand; of colors that
 * are objects, one for each of so many places, as most of them are made anew and never seen again.
 */
interface Kept {
  readonly texts: Map<string, Prepared>;
  readonly objects: (Prepared | undefined)[];
}
const keptIn = new Map<ColorFunction, Kept>();
const maxTexts = 4096;
const placeBits = 8;

function prepared(space: ColorFunction, option: string, given: ColorLike): Prepared {
  let kept = keptIn.get(space);
  if (kept === undefined)
    keptIn.set(space, (kept = { texts: new Map(), objects: Array.from({ length: 1 << placeBits }) }));
  if (typeof given === 'string') {
    let found = kept.texts.get(given);
    if (found === undefined) {
      found = inSpace(space, readColor('colorMix', option, given));
      if (kept.texts.size === maxTexts) kept.texts.clear();
      kept.texts.set(given, found);
    }
    return found;
  }
  const color = readColor('colorMix', option, given);
  const place = Math.imul(color.packed, 0x9e3779b1) >>> (32 - placeBits);
  const found = kept.objects[place];
  return found?.color === color ? found : (kept.objects[place] = inSpace(space, color));
}

function inSpace(space: ColorFunction, color: Color): Prepared {
  const { red, green, blue, alpha } = color;
  return { color, alpha, channels: space.fromRgb([red / 255, green / 255, blue / 255]) };
}

function mixed(space: ColorFunction, from: Prepared, to: Prepared, part: number): Color {
  if (part <= 0) return from.color;
  if (part >= 1) return to.color;
  const { channels, alpha } = interpolate(space, from, to, part, 'shorter');
  return fromUnits(space.toRgb(channels), alpha);
}

/**
 * A function from 0..1 to the colors between the stops: colors spread evenly, or `[offset, color]` pairs. Values outside take the color of the nearest end. Mixed in Oklab unless another space is named.
 */
export function ramp(stops: readonly Stop[], space: MixSpace = 'oklab'): (t: number) => Color {
  const colors = readStops('ramp', stops, readColor);
  const row = readSpace('ramp', space);
  const list = colors.map(({ offset, color }) => ({ offset, ...inSpace(row, color) }));
  const { length } = list;
  return (t) => {
    finite.read('ramp', 't', t);
    callWatch.onCall?.('ramp', [t, list[0].offset, list[length - 1].offset]);
    if (t <= list[0].offset) return list[0].color;
    if (t >= list[length - 1].offset) return list[length - 1].color;
    const next = list.findIndex(({ offset }) => offset >= t);
    const [from, to] = [list[next - 1], list[next]];
    return mixed(row, from, to, (t - from.offset) / (to.offset - from.offset));
  };
}

function readSpace(call: string, space: MixSpace): ColorFunction {
  return colorFunctions[mixSpace.read(call, 'space', space)];
}
