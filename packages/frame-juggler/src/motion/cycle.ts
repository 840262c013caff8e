import { fail } from '../error.ts';
import { finite, kindOf, positive } from '../schema/kind.ts';
import { pair, point, xOf, yOf, type Pair, type Place, type Point } from '../schema/point.ts';
import { sinCos } from '../maths/degrees.ts';

/** How far along a cycle of `period` seconds is: from 0 up to, but not including, 1. */
export function cycle(seconds: number, period: number): number {
  return turnOf('cycle', seconds, period);
}

/** Moves smoothly back and forth between `lo` and `hi`, once every `period` seconds, starting in the middle and rising, like a sine. */
export function swing(seconds: number, period: number, lo: number, hi: number): number {
  const turn = turnOf('swing', seconds, period);
  return between('swing', lo, hi, 0.5 + 0.5 * sinCos(turn * 360).sin);
}

/** Moves evenly back and forth between `lo` and `hi`, once every `period` seconds, starting at `lo`. */
export function zigzag(seconds: number, period: number, lo: number, hi: number): number {
  const turn = turnOf('zigzag', seconds, period);
  return between('zigzag', lo, hi, 1 - Math.abs(1 - 2 * turn));
}

function turnOf(call: string, seconds: number, period: number): number {
  return rest(finite.read(call, 'seconds', seconds) / positive.read(call, 'period', period), 1);
}

function between(call: string, lo: number, hi: number, part: number): number {
  return finite.read(call, 'lo', lo) + (finite.read(call, 'hi', hi) - lo) * part;
}

/** What is left of a value when whole lengths are taken from it or added to it. */
function rest(value: number, length: number): number {
  const left = value % length;
  return left < 0 ? (left + length) % length : left;
}

/** `value` brought into `lo` up to, but not with, `hi` by whole rounds. */
export function wrap(value: number, lo: number, hi: number): number {
  const length = finite.read('wrap', 'hi', hi) - finite.read('wrap', 'lo', lo);
  if (length <= 0) fail({ call: 'wrap', option: 'hi', value: hi, problem: 'is not above lo' });
  return lo + rest(finite.read('wrap', 'value', value) - lo, length);
}

/** `value` kept within `lo` and `hi`. */
export function clamp(value: number, lo: number, hi: number): number {
  return Math.min(
    finite.read('clamp', 'hi', hi),
    Math.max(finite.read('clamp', 'lo', lo), finite.read('clamp', 'value', value)),
  );
}

/**
 * The number or the point a part `t` of the way from `a` to `b`: 0 gives `a`, 1 gives `b`, and it continues beyond both.
 * Colors are mixed by `colorMix`.
 */
export function mix(a: number, b: number, t: number): number;
export function mix(a: Point, b: Point, t: number): Place;
export function mix(a: number | Point, b: number | Point, t: number): number | Place {
  const part = finite.read('mix', 't', t);
  if (typeof a !== 'object') return numberToMix.read('mix', 'a', a) * (1 - part) + finite.read('mix', 'b', b) * part;
  const [from, to] = [point.read('mix', 'a', a), point.read('mix', 'b', b)];
  return { x: mix(xOf(from), xOf(to), part), y: mix(yOf(from), yOf(to), part) };
}

const numberToMix = /* @__PURE__ */ kindOf<number>(
  'a finite number or a point; colors are mixed by colorMix',
  Number.isFinite,
  (value) => (typeof value === 'number' ? 'is not finite' : 'is neither a number nor a point'),
);

const range = kindOf<Pair>(
  'two different numbers, [from, to]',
  (value) => pair.allows(value) && (value as Pair)[0] !== (value as Pair)[1],
  (value) => (pair.allows(value) ? 'has no length' : 'is not a range'),
);

/** `value` of the range `[a, b]` as its counterpart in `[c, d]`, going on beyond both ends. */
export function remap(value: number, from: Pair, to: Pair): number {
  const [a, b] = range.read('remap', 'from', from);
  const [c, d] = pair.read('remap', 'to', to);
  return mix(c, d, (finite.read('remap', 'value', value) - a) / (b - a));
}

/** 0 below `lo`, 1 above `hi`, and a smooth rise between: by Hermite's 3t² − 2t³. */
export function smoothstep(lo: number, hi: number, value: number): number {
  const length = finite.read('smoothstep', 'hi', hi) - finite.read('smoothstep', 'lo', lo);
  if (length === 0) fail({ call: 'smoothstep', option: 'hi', value: hi, problem: 'is the same as lo' });
  const t = Math.min(1, Math.max(0, (finite.read('smoothstep', 'value', value) - lo) / length));
  return t * t * (3 - 2 * t);
}
