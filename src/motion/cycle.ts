import { finite } from '../options.ts';
import { fail } from '../error.ts';

/** How far a cycle of `period` seconds has come: 0 up to, but not with, 1. */
export function cycle(seconds: number, period: number): number {
  return wrap(finite('cycle', 'seconds', seconds) / readPeriod('cycle', period), 0, 1);
}

/** Smoothly to and fro between `lo` and `hi`, once a `period` (seconds): begins in the middle, rising, as a sine. */
export function swing(seconds: number, period: number, lo: number, hi: number): number {
  const turn = cycle(seconds, readPeriod('swing', period));
  return lo + (hi - lo) * (0.5 + 0.5 * Math.sin(turn * 2 * Math.PI));
}

/** Evenly to and fro between `lo` and `hi`, once a `period` (seconds): begins at `lo`. */
export function zigzag(seconds: number, period: number, lo: number, hi: number): number {
  const turn = cycle(seconds, readPeriod('zigzag', period));
  return lo + (hi - lo) * (1 - Math.abs(1 - 2 * turn));
}

/** `value` brought into `lo` up to, but not with, `hi` by whole rounds. */
export function wrap(value: number, lo: number, hi: number): number {
  const length = finite('wrap', 'hi', hi) - finite('wrap', 'lo', lo);
  if (length <= 0) fail({ call: 'wrap', option: 'hi', value: hi, problem: 'is not above lo' });
  const rest = (finite('wrap', 'value', value) - lo) % length;
  return lo + (rest < 0 ? (rest + length) % length : rest);
}

/** `value` kept within `lo` and `hi`. */
export function clamp(value: number, lo: number, hi: number): number {
  return Math.min(finite('clamp', 'hi', hi), Math.max(finite('clamp', 'lo', lo), finite('clamp', 'value', value)));
}

/** A part `t` of the way from `a` to `b`: 0 gives `a`, 1 gives `b`, and it goes on beyond both. */
export function mix(a: number, b: number, t: number): number {
  return finite('mix', 'a', a) * (1 - finite('mix', 't', t)) + finite('mix', 'b', b) * t;
}

/** `value` of the range `fromLo`..`fromHi` as its counterpart in `toLo`..`toHi`, going on beyond both ends. */
export function remap(value: number, fromLo: number, fromHi: number, toLo: number, toHi: number): number {
  const length = finite('remap', 'fromHi', fromHi) - finite('remap', 'fromLo', fromLo);
  if (length === 0)
    fail({ call: 'remap', option: 'fromHi', value: fromHi, problem: 'equals fromLo', expected: 'expected a range' });
  return mix(toLo, toHi, (finite('remap', 'value', value) - fromLo) / length);
}

/** 0 below `lo`, 1 above `hi`, and a smooth rise between: Hermite's 3t² − 2t³. */
export function smoothstep(lo: number, hi: number, value: number): number {
  const t = clamp(remap(value, lo, hi, 0, 1), 0, 1);
  return t * t * (3 - 2 * t);
}

function readPeriod(call: string, period: number): number {
  if (finite(call, 'period', period) > 0) return period;
  return fail({ call, option: 'period', value: period, problem: 'is not above 0', expected: 'expected seconds' });
}
