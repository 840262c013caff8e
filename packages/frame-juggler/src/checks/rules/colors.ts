import type { Item, ItemPaint } from '../../frame/reader.ts';
import type { Box } from '../../geometry/box.ts';
import { identity } from '../../geometry/matrix.ts';
import { pathBox } from '../../geometry/path.ts';
import { hypot } from '../../maths/power.ts';
import { Color, readColor } from '../../paint/color.ts';
import { isGradient, type Gradient } from '../../paint/gradient.ts';
import { called, callsByLine, linesThat, verb } from '../evidence.ts';
import type { Rule } from '../rule.ts';
import { optionsOf, type NotedCall } from '../watch.ts';

/* Colors and gradients that come out other than their numbers were meant. */

const fractions: Rule = {
  name: 'fractions',
  title: 'A gradient in fractions of the shape, taken as units',
  why: 'Its points are in the units of the sketch, so all of it happens within one unit, and the rest is a single color.',
  cure: "Add units: 'box' to it, or give its points in units: from: [0, 0], to: [0, 360].",
  find: (evidence) =>
    linesThat(
      evidence,
      ({ item }) => {
        const { left, top, right, bottom } = ownBox(item);
        return isFractional(item.fill) && Math.max(right - left, bottom - top) > 8;
      },
      (items) => `${called(items)} ${verb(items, 'has', 'have')} a gradient no longer than one unit`,
    ),
};

/** Whether all the numbers of a gradient in units could be fractions of a box. */
function isFractional(paint: ItemPaint | undefined): boolean {
  if (typeof paint !== 'object' || (paint.type !== 'linear' && paint.type !== 'radial') || paint.units === 'box')
    return false;
  const numbers = paint.type === 'linear' ? [...paint.from, ...paint.to] : [...paint.at, paint.radius, ...paint.focus];
  return numbers.every((number) => number >= 0 && number <= 1);
}

/** An item's box in its own units, which are those of its gradients. */
const ownBox = (item: Item): Box => pathBox(item.outlines, identity, item.start, item.end);

const beyondRamp: Rule = {
  name: 'beyond-ramp',
  title: 'A ramp given whole numbers',
  why: 'A ramp runs from 0 to 1, if its stops have no places of their own, and beyond its ends it has one color.',
  cure: 'Divide by the last of them: shades(i / (count - 1)).',
  find: ({ details }) =>
    callsByLine(details).flatMap((calls) => {
      const asked = calls.filter(({ at, call }) => at === calls[0].at && call.name === 'ramp');
      const [places, beyond] = [asked, asked.filter(({ call }) => isBeyond(call))].map((some) => new Set(some.map(({ call }) => call.given[0] as number))); // prettier-ignore
      if (![...places].every(Number.isInteger) || beyond.size < 2 || beyond.size * 2 < places.size) return [];
      const text = `a ramp is asked for ${[...places].slice(0, 4).join(', ')}${places.size > 4 ? ' and so on' : ''}, and has one color for ${beyond.size} of them`;
      return [{ line: asked[0].call.line, frame: undefined, text }];
    }),
};

/** Whether a ramp is asked for what lies beyond its ends. */
function isBeyond({ given }: NotedCall): boolean {
  const [place, first, last] = given as readonly number[];
  return place < first || place > last;
}

const flatGradient: Rule = {
  name: 'flat-gradient',
  title: 'A gradient of which one color shows',
  why: 'Its points are places in the units in force, not in the shape: what lies beyond them has its first or its last color.',
  cure: "Put them where the shape is, from: [500, 0], to: [600, 0], or give them in fractions of its box with units: 'box'.",
  find: (evidence) =>
    linesThat(
      evidence,
      ({ item, description: { hidden }, place }, { log }) => {
        const { fill } = item;
        if (hidden !== undefined) return false;
        // One whose ends are one paints its last color, and is recorded as that.
        if (typeof fill === 'number') return isGradient(givenFill(log.callOf(place)));
        if (typeof fill !== 'object' || !('stops' in fill) || isFractional(fill)) return false;
        const [first, last] = [fill.stops[0], fill.stops[fill.stops.length - 1]];
        const [lo, hi] = reach(fill, ownBox(item)) ?? [first.offset, last.offset];
        const hasMany = new Set(fill.stops.map(({ color }) => color)).size > 1;
        return hasMany && (hi <= first.offset || lo >= last.offset);
      },
      (items) => `${called(items)} ${verb(items, 'lies', 'lie')} wholly beyond the ends of the gradient`,
    ),
};

const givenFill = (call: NotedCall | undefined): unknown => call && optionsOf(call).fill;

/** Between which offsets of a gradient a box lies; undefined where the gradient has no end. */
function reach(gradient: Gradient, { left, top, right, bottom }: Box): [number, number] | undefined {
  if (gradient.type === 'conic' || gradient.units === 'box' || gradient.spread !== 'pad') return undefined;
  if (gradient.type === 'linear') {
    const [[x, y], [toX, toY]] = [gradient.from, gradient.to];
    const [dx, dy] = [toX - x, toY - y];
    const square = dx * dx + dy * dy;
    if (square === 0) return undefined;
    const corners = [[left, top], [right, top], [left, bottom], [right, bottom]]; // prettier-ignore
    const offsets = corners.map(([px, py]) => ((px - x) * dx + (py - y) * dy) / square);
    return [Math.min(...offsets), Math.max(...offsets)];
  }
  const [x, y] = gradient.at;
  if (gradient.radius === 0) return undefined;
  const nearest = hypot(Math.max(left - x, 0, x - right), Math.max(top - y, 0, y - bottom));
  // Within the circle a focus shifts the colors; beyond it there is the last one whatever the focus.
  return [nearest >= gradient.radius ? 1 : 0, 1];
}

/** The colors that a call is given, of its fill and its stroke. */
function colorsOf(call: NotedCall): Color[] {
  const { fill, stroke } = optionsOf(call);
  const inStroke = typeof stroke === 'object' && stroke !== null && 'color' in stroke ? stroke.color : stroke;
  return [fill, inStroke].flatMap((one) => {
    // Names are not mistaken, and other paints have no numbers of their own.
    if (one instanceof Color) return [one];
    return typeof one === 'string' && one.includes('(') ? [readColor(call.name, 'fill', one)] : [];
  });
}

const channelsOf = ({ red, green, blue }: Color): number[] => [red, green, blue];

/** Whether a color is black but for what a fraction makes of it where 255, or 100 %, is the whole. */
function isOfFractions(color: Color): boolean {
  const channels = channelsOf(color);
  // 255 is a hundred percent; a lightness of 1 % is at most twice that of a channel.
  return Math.max(...channels) <= 5.1 && channels.some((one) => !Number.isInteger(one));
}

const channels: Rule = {
  name: 'channels',
  title: 'Color channels from 0 to 1',
  why: 'rgb takes channels from 0 to 255, hsl a saturation and a lightness from 0 to 100: fractions of 1 are all but black.',
  cure: 'Write rgb(51, 153, 230) or rgb(0.2 * 255, 0.6 * 255, 0.9 * 255), hsl(205, 80, 55), random.color({ lightness: [40, 70] }). Only oklch takes a lightness from 0 to 1.',
  find: ({ details }) =>
    callsByLine(details).flatMap((calls) => {
      const colored = calls.map(({ at, call }) => ({ at, call, colors: colorsOf(call) })).filter(({ colors }) => colors.length > 0); // prettier-ignore
      if (colored.length === 0 || !colored.every(({ colors }) => colors.some(isOfFractions))) return [];
      const [{ at, call, colors }] = colored;
      const words = channelsOf(colors.find(isOfFractions)!).map((one) => Number(one.toFixed(3))).join(', '); // prettier-ignore
      return [{ line: call.line, frame: at, text: `${call.name} is given a color with the channels ${words}, of 255` }];
    }),
};

const hues: Rule = {
  name: 'hues',
  title: 'Hues from 0 to 1',
  why: 'A hue is in degrees, so that hues from 0 to 1 are one and the same red.',
  cure: 'Multiply by 360: hsl((i / count) * 360, 80, 50).',
  find: ({ details }) =>
    callsByLine(details).flatMap((calls) => {
      const fills = calls.flatMap(({ at, call }) => colorsOf(call).slice(0, 1).map((color) => ({ at, call, color }))); // prettier-ignore
      const varied = [0, 1, 2].map((i) => {
        const values = fills.map(({ color }) => channelsOf(color)[i]);
        return { count: new Set(values).size, range: Math.max(...values) - Math.min(...values) };
      });
      // From red on, a hue changes the green alone, by at most 4.25 of 255 in one degree.
      const [red, green, blue] = varied;
      if (fills.some(({ color }) => isOfFractions(color) || color.red <= color.blue)) return [];
      if (red.range > 1e-6 || blue.range > 1e-6 || green.count < 3 || green.range > 4.3) return [];
      const [{ at, call, color }] = fills;
      if (Math.abs(color.green - color.blue) > 4.3) return [];
      const text = `${fills.length} calls of ${call.name} are given ${green.count} reds that look the same`;
      return [{ line: call.line, frame: at, text }];
    }),
};

export const colorRules: readonly Rule[] = [fractions, beyondRamp, flatGradient, channels, hues];
