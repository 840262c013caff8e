import { complaintOf, Kind, kindOf, length } from './kind.ts';

/**
 * A point: `[x, y]` or `{ x, y }`, in the current units. To the type checker the two are a list of numbers as soon as
 * they have a name, `const middle = [40, 30]`, so that it takes any; the call itself refuses all but two.
 */
export type Point = Pair | { readonly x: number; readonly y: number } | readonly number[];
/** One number for both axes, or two: a size, a scale. Two that have a name are a list, likewise. */
export type OneOrTwo = number | Pair | readonly number[];
/** A pair of numbers, x first. */
export type Pair = readonly [number, number];
/** A point as the library returns it; it is yours to change. */
export interface Place {
  /** To the right. */
  x: number;
  /** Downwards, unless the sketch has y grow upwards. */
  y: number;
}

export function isPoint(value: unknown): boolean {
  if (Array.isArray(value)) return value.length === 2 && Number.isFinite(value[0]) && Number.isFinite(value[1]);
  if (typeof value !== 'object' || value === null) return false;
  const { x, y } = value as { x: unknown; y: unknown };
  return Number.isFinite(x) && Number.isFinite(y);
}

/** What is wrong with a value of two numbers. The commonest slips: two arguments, and a loop over a list's places. */
const notBoth =
  (otherwise: string) =>
  (value: unknown): string => {
    if (Number.isFinite(value)) return 'is one number where two are needed';
    if (typeof value !== 'string' || !/^\d+$/.test(value)) return otherwise;
    return 'is a place in a list; for (… of …) gives what is there';
  };

/** A point. */
export const point = kindOf<Point>('[x, y] or { x, y } with finite numbers', isPoint, notBoth('is not a point'));

export const xOf = (at: Point): number => (Array.isArray(at) ? (at as unknown as Pair)[0] : (at as Place).x);
export const yOf = (at: Point): number => (Array.isArray(at) ? (at as unknown as Pair)[1] : (at as Place).y);
/** A point as a pair. */
export const pairOf = (at: Point): Pair => (Array.isArray(at) ? (at as unknown as Pair) : [xOf(at), yOf(at)]);

/** A list of points, or of exactly so many. */
/* @__NO_SIDE_EFFECTS__ */
export function points(exactly?: number): Kind<readonly Point[]> {
  return new Kind(
    `a list of ${exactly === undefined ? '' : `exactly ${exactly} `}points, [[x, y], …]`,
    (value) => Array.isArray(value) && (exactly === undefined || value.length === exactly) && allPoints(value),
    (value, expected) => {
      if (!Array.isArray(value)) {
        const count = typeof value === 'number' ? '; the corners of a regular polygon are counted by sides' : '';
        return { problem: 'is not a list of points', expected: `expected ${expected}${count}` };
      }
      const wrong = value.findIndex((at) => !isPoint(at));
      if (wrong >= 0) return complaintOf(point, `[${wrong}]`, value[wrong]);
      return {
        problem: `has ${value.length} ${value.length === 1 ? 'point' : 'points'}`,
        expected: `expected exactly ${exactly}; polygon takes more`,
      };
    },
  );
}

function allPoints(list: readonly unknown[]): boolean {
  for (let i = 0; i < list.length; i++) if (!isPoint(list[i])) return false;
  return true;
}

const isNumberPair = (value: unknown): boolean =>
  Number.isFinite(value) ||
  (Array.isArray(value) && value.length === 2 && Number.isFinite(value[0]) && Number.isFinite(value[1]));

const notNumberPair = (value: unknown): string =>
  Array.isArray(value)
    ? 'is not a pair of finite numbers'
    : `is not ${typeof value === 'number' ? 'finite' : 'a number or a pair'}`;

/** One number for both axes, or a pair `[x, y]`. */
export const factors = kindOf<OneOrTwo>('a finite number or [x, y]', isNumberPair, notNumberPair);

/** A number, or a range `[lo, hi]` that one is drawn from. */
export const fixedOrRange = kindOf<OneOrTwo>('a finite number or a range [lo, hi]', isNumberPair, notNumberPair);

/** A pair of numbers `[x, y]`. */
export const pair = kindOf<Pair>(
  '[x, y] with finite numbers',
  (value) => Array.isArray(value) && isNumberPair(value),
  notBoth('is not a pair of finite numbers'),
);

/** One length for both axes, or a pair `[width, height]`, not negative. */
export const lengths = kindOf<OneOrTwo>(
  'a number or [width, height], 0 or more',
  (value) => (Array.isArray(value) ? isNumberPair(value) && value[0] >= 0 && value[1] >= 0 : length.allows(value)),
  (value) => (isNumberPair(value) ? 'is negative' : notNumberPair(value)),
);

/** What `factors` and `lengths` allow, as a pair. */
export const bothOf = (value: OneOrTwo): Pair => (typeof value === 'number' ? [value, value] : (value as Pair));
