import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { fail } from '../error.ts';
import {
  checkKeys,
  finite,
  notNegative,
  OptionNames,
  optionsObject,
  pair,
  point,
  whole,
  within,
  type Pair,
  type Point,
} from '../options.ts';
import { hsl, type Color } from '../paint/color.ts';

/** A range `[lo, hi]`, or one number that stands still. */
export type Range = number | Pair;

/** Where to pick a point: the box `[width, height]` at the origin, or between two corners. */
export type RandomBox = Pair | { readonly from: Point; readonly to: Point };

/** What a random colour may be; hue in degrees, saturation and lightness from 0 to 100, alpha from 0 to 1. */
export interface RandomColorOptions {
  hue?: Range;
  saturation?: Range;
  lightness?: Range;
  alpha?: Range;
}

/** Seeded chance: the same seed gives the same values in the same order, everywhere. */
export interface Random {
  /** A number from `lo` up to, but not with, `hi`. */
  between(lo: number, hi: number): number;
  /** A whole number from `lo` to `hi`, both included. */
  int(lo: number, hi: number): number;
  /** One of the list. */
  pick<T>(list: readonly T[]): T;
  /** True with the probability `p`, 0 to 1. */
  chance(p: number): boolean;
  /** The list's members in another order, as a new list. */
  shuffle<T>(list: readonly T[]): T[];
  /** A number of the normal distribution. */
  normal(mean: number, deviation: number): number;
  /** A point inside a box. */
  point(box: RandomBox): { x: number; y: number };
  /** A point inside a circle about `at`, the origin if left out, evenly spread over its area. */
  insideCircle(radius: number, at?: Point): { x: number; y: number };
  /** A colour; what is left out is drawn from hues all round, saturation 55 to 90 and lightness 40 to 70. */
  color(options?: RandomColorOptions): Color;
  /** A list of `n` things made one after the other. */
  times<T>(n: number, make: (index: number) => T): T[];
  /** Chance of its own for a key: the same key always gives the same values, whatever else was drawn before. */
  stream(key: string | number): Random;
}

const colorKeys = new OptionNames(['hue', 'saturation', 'lightness', 'alpha']);

/** Chance from a seed: any finite number or text. */
export function createRandom(seed: string | number): Random {
  const generator = xoroshiro128plus(hash(String(seed)));
  // The generator's first values still show how alike two seeds are.
  for (let i = 0; i < 8; i++) generator.next();
  const unit = (): number => uniformFloat64(generator);
  const ranged = (option: string, range: Range | undefined, otherwise: Pair): number => {
    const [lo, hi] = range === undefined ? otherwise : pair('random.color', option, range);
    return lo + (hi - lo) * unit();
  };

  const random: Random = {
    between(lo, hi) {
      const from = finite('random.between', 'lo', lo);
      return from + (finite('random.between', 'hi', hi) - from) * unit();
    },
    int(lo, hi) {
      const from = whole('random.int', 'lo', lo, -Number.MAX_SAFE_INTEGER);
      return from + Math.floor(unit() * (whole('random.int', 'hi', hi, from) - from + 1));
    },
    pick(list) {
      return list[Math.floor(unit() * filled('random.pick', list).length)];
    },
    chance(p) {
      return unit() < within('random.chance', 'p', p, 0, 1);
    },
    shuffle(list) {
      // Fisher and Yates.
      const result = [...list];
      for (let i = result.length - 1; i > 0; i--) {
        const j = Math.floor(unit() * (i + 1));
        [result[i], result[j]] = [result[j], result[i]];
      }
      return result;
    },
    normal(mean, deviation) {
      // Box and Muller: two even numbers give one of the normal distribution.
      const radius = Math.sqrt(-2 * Math.log(1 - unit()));
      const value = radius * Math.cos(2 * Math.PI * unit());
      return finite('random.normal', 'mean', mean) + notNegative('random.normal', 'deviation', deviation) * value;
    },
    point(box) {
      const [[x0, y0], [x1, y1]] = corners(box);
      return { x: x0 + (x1 - x0) * unit(), y: y0 + (y1 - y0) * unit() };
    },
    insideCircle(radius, at = [0, 0]) {
      const [x, y] = point('random.insideCircle', 'at', at);
      const reach = notNegative('random.insideCircle', 'radius', radius) * Math.sqrt(unit());
      const angle = 2 * Math.PI * unit();
      return { x: x + reach * Math.cos(angle), y: y + reach * Math.sin(angle) };
    },
    color(options = {}) {
      checkKeys('random.color', options, colorKeys);
      return hsl(
        ranged('hue', options.hue, [0, 360]),
        ranged('saturation', options.saturation, [55, 90]),
        ranged('lightness', options.lightness, [40, 70]),
        ranged('alpha', options.alpha, [1, 1]),
      );
    },
    times(n, make) {
      return Array.from({ length: whole('random.times', 'n', n, 0) }, (_, index) => make(index));
    },
    stream(key) {
      return createRandom(`${seed}/${key}`);
    },
  };
  return random;
}

function filled<T>(call: string, list: readonly T[]): readonly T[] {
  if (Array.isArray(list) && list.length > 0) return list;
  return fail({
    call,
    option: 'list',
    value: list,
    problem: 'has nothing to pick',
    expected: 'expected a list with something in it',
  });
}

function corners(box: RandomBox): [Pair, Pair] {
  const call = 'random.point';
  if (Array.isArray(box)) return [[0, 0], pair(call, 'box', box)];
  const { from, to } = optionsObject(call, box as { from: Point; to: Point }, '[width, height] or { from, to }');
  return [point(call, 'from', from), point(call, 'to', to)];
}

/** A text as 32 bits: Fowler, Noll and Vo's FNV-1a, with its bits mixed once more (Murmur3's finaliser). */
function hash(text: string): number {
  let bits = 0x811c9dc5;
  for (let i = 0; i < text.length; i++) bits = Math.imul(bits ^ text.charCodeAt(i), 0x01000193);
  bits = Math.imul(bits ^ (bits >>> 16), 0x85ebca6b);
  bits = Math.imul(bits ^ (bits >>> 13), 0xc2b2ae35);
  return (bits ^ (bits >>> 16)) | 0;
}
