import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus, xoroshiro128plusFromState } from 'pure-rand/generator/xoroshiro128plus';
import { fail } from '../error.ts';
import { onlyKnown } from '../known-names.ts';
import { hsl, type Color } from '../paint/color.ts';
import { anything, callable, finite, fraction, kindOf, length, listOf, whole } from '../schema/kind.ts';
import {
  bothOf,
  fixedOrRange,
  pair,
  point,
  xOf,
  yOf,
  type OneOrTwo,
  type Pair,
  type Place,
  type Point,
} from '../schema/point.ts';
import { optional, type Options, schemaOf } from '../schema/schema.ts';
import { sinCos } from '../maths/degrees.ts';
import { log } from '../maths/exponent.ts';

/** A range `[lo, hi]`, or a single fixed number. */
export type Range = OneOrTwo;

const areas = '[width, height], { from, to } or { at, radius }';
const areaPair = kindOf<Pair>(areas, (value) => pair.allows(value), 'is not a width and a height');
const boxTable = { from: point, to: point };
const boxOptions = schemaOf(boxTable, areas);
const circleTable = { at: point, radius: length };
const circleOptions = schemaOf(circleTable, '{ at: [100, 80], radius: 40 }');
/** Where to pick a point: a box `[width, height]` at the origin, or between two corners; or a circle. */
export type RandomArea = Pair | Options<typeof boxTable> | Options<typeof circleTable>;

const colorTable = {
  /** In degrees. */
  hue: optional(fixedOrRange, [0, 360]),
  /** From 0 to 100. */
  saturation: optional(fixedOrRange, [55, 90]),
  /** From 0 to 100. */
  lightness: optional(fixedOrRange, [40, 70]),
  /** From 0 to 1. */
  alpha: optional(fixedOrRange, 1),
};
/** The range of a random color: each a number, or a range `[lo, hi]`. */
export interface RandomColorOptions extends Options<typeof colorTable> {}
const colorOptions = schemaOf(colorTable, '{ hue: [180, 220] }');

/** Seeded random numbers: the same seed gives the same values in the same order, everywhere. */
export interface Random {
  /** A number from `lo` up to, but not with, `hi`. */
  between(lo: number, hi: number): number;
  /** A whole number from `lo` to `hi`, both included. */
  int(lo: number, hi: number): number;
  /** One of the list. */
  pick<T>(list: readonly T[]): T;
  /** True with the probability `p`, 0 to 1. */
  likely(p: number): boolean;
  /** The list's members in another order, as a new list. */
  shuffle<T>(list: readonly T[]): T[];
  /** A number of the normal distribution. */
  normal(mean: number, deviation: number): number;
  /** A point inside a box or a circle, evenly spread over its area. */
  point(area: RandomArea): Place;
  /** A color; what is left out is drawn from hues all round, saturation 55 to 90 and lightness 40 to 70. */
  color(options?: RandomColorOptions): Color;
  /** A list of `n` things made one after the other. */
  times<T>(n: number, make: (index: number) => T): T[];
  /** Chance of its own for a key: the same key always gives the same values, whatever else was drawn before. */
  stream(key: string | number): Random;
}

const maker = callable('a function of the index: (i) => …');

const seedKind = kindOf<string | number>(
  'a finite number or text',
  (value) => typeof value === 'string' || Number.isFinite(value),
  (value) => (typeof value === 'number' ? 'is not finite' : 'is not a seed'),
);

/** Reads what chance is to come from. @throws SketchError where it is neither a number nor text */
export function readSeed(call: string, seed: unknown): string | number {
  return seedKind.read(call, 'seed', seed);
}

const anyWhole = whole();
const count = whole(0);
const filledList = listOf(anything, 'things to pick from', 1);
const list = listOf(anything, 'things');

type Generator = ReturnType<typeof xoroshiro128plus>;

/** Where a stream of random numbers has come to: the same state goes on with the same values. */
export interface RandomState {
  readonly seed: string | number;
  readonly state: readonly number[];
}

const asRandom = /* @__PURE__ */ onlyKnown('random');

/** Under it a stream tells what it draws from, to whoever keeps where it has come to. */
const origin = Symbol('origin');
interface Stream extends Random {
  readonly [origin]: { readonly seed: string | number; readonly generator: Generator };
}

/** Random numbers from a seed: any finite number or text. @throws SketchError where it is neither */
export function seededRandom(seed: string | number): Random {
  const generator = xoroshiro128plus(hash(String(readSeed('seededRandom', seed))));
  // The generator's first values still show how alike two seeds are.
  for (let i = 0; i < 8; i++) generator.next();
  return randomOf(seed, generator);
}

/** Where a stream has come to; undefined for what is none. */
export function stateOfRandom(random: unknown): RandomState | undefined {
  if (typeof random !== 'object' || random === null || !(origin in random)) return undefined;
  const { seed, generator } = (random as Stream)[origin];
  return { seed, state: generator.getState() };
}

/** A stream that goes on from where another has come to. */
export function randomFrom({ seed, state }: RandomState): Random {
  return randomOf(seed, xoroshiro128plusFromState(state));
}

function randomOf(seed: string | number, generator: Generator): Stream {
  const unit = (): number => uniformFloat64(generator);
  const within = (range: Range): number => {
    const [lo, hi] = bothOf(range);
    return lo + (hi - lo) * unit();
  };

  return asRandom<Stream>({
    [origin]: { seed, generator },
    between(lo, hi) {
      const from = finite.read('random.between', 'lo', lo);
      return from + (finite.read('random.between', 'hi', hi) - from) * unit();
    },
    int(lo, hi) {
      const from = anyWhole.read('random.int', 'lo', lo);
      if (anyWhole.read('random.int', 'hi', hi) < from)
        fail({
          call: 'random.int',
          option: 'hi',
          value: hi,
          problem: 'is below lo',
          expected: `expected ${lo} or more`,
        });
      return from + Math.floor(unit() * (hi - from + 1));
    },
    pick(things) {
      filledList.read('random.pick', 'list', things);
      return things[Math.floor(unit() * things.length)];
    },
    likely(p) {
      return unit() < fraction.read('random.likely', 'p', p);
    },
    shuffle(things) {
      list.read('random.shuffle', 'list', things);
      // Fisher and Yates.
      const result = [...things];
      for (let i = result.length - 1; i > 0; i--) {
        const j = Math.floor(unit() * (i + 1));
        [result[i], result[j]] = [result[j], result[i]];
      }
      return result;
    },
    normal(mean, deviation) {
      finite.read('random.normal', 'mean', mean);
      length.read('random.normal', 'deviation', deviation);
      // Box and Muller: two even numbers give one of the normal distribution.
      const radius = Math.sqrt(-2 * log(1 - unit()));
      return mean + deviation * (radius * sinCos(360 * unit()).cos);
    },
    point(area) {
      const call = 'random.point';
      if (Array.isArray(area)) {
        const [width, height] = areaPair.read(call, 'area', area);
        return { x: width * unit(), y: height * unit() };
      }
      if (isCircle(area)) {
        circleOptions.check(call, area);
        const reach = area.radius * Math.sqrt(unit());
        const { sin, cos } = sinCos(360 * unit());
        return { x: xOf(area.at) + reach * cos, y: yOf(area.at) + reach * sin };
      }
      boxOptions.check(call, area);
      const { from, to } = area as { from: Point; to: Point };
      return { x: xOf(from) + (xOf(to) - xOf(from)) * unit(), y: yOf(from) + (yOf(to) - yOf(from)) * unit() };
    },
    color(options = {}) {
      const { hue, saturation, lightness, alpha } = colorOptions.read('random.color', options);
      return hsl(within(hue), within(saturation), within(lightness), within(alpha));
    },
    times(n, make) {
      maker.read('random.times', 'make', make);
      return Array.from({ length: count.read('random.times', 'n', n) }, (_, index) => make(index));
    },
    stream(key) {
      return seededRandom(`${seed}/${readSeed('random.stream', key)}`);
    },
  });
}

function isCircle(area: unknown): area is Options<typeof circleTable> {
  return typeof area === 'object' && area !== null && ('radius' in area || 'at' in area);
}

/** A text as 32 bits: Fowler, Noll and Vo's FNV-1a, with its bits mixed once more (Murmur3's finalizer). */
function hash(text: string): number {
  let bits = 0x811c9dc5;
  for (let i = 0; i < text.length; i++) bits = Math.imul(bits ^ text.charCodeAt(i), 0x01000193);
  bits = Math.imul(bits ^ (bits >>> 16), 0x85ebca6b);
  bits = Math.imul(bits ^ (bits >>> 13), 0xc2b2ae35);
  return (bits ^ (bits >>> 16)) | 0;
}
