import { fail, show, suggest } from './error.ts';

/*
 * Reading what a sketch passed in. Each reader returns a plain value or throws a SketchError that names the call, the
 * option, the value and what would be right. They run once or more for every shape, so the good case stays short.
 */

/** A point of the plane: `[x, y]` or `{ x, y }`, in the units in force. */
export type Point = readonly [number, number] | { readonly x: number; readonly y: number };
/** A pair of numbers, x first. */
export type Pair = readonly [number, number];

/** A finite number. */
export function finite(call: string, option: string, value: unknown): number {
  if (typeof value === 'number' && Number.isFinite(value)) return value;
  return notFinite(call, option, value, 'a finite number');
}

/** A finite number that is not negative. */
export function notNegative(call: string, option: string, value: unknown): number {
  if (typeof value === 'number' && value >= 0 && value < Infinity) return value;
  if (typeof value === 'number' && value < 0)
    fail({ call, option, value, problem: 'is negative', expected: 'expected 0 or more' });
  return notFinite(call, option, value, 'a number, 0 or more');
}

/** A whole number of at least `least`. */
export function whole(call: string, option: string, value: unknown, least: number): number {
  if (Number.isInteger(value) && (value as number) >= least) return value as number;
  if (value === undefined) missing(call, option, `a whole number, ${least} or more`);
  return fail({
    call,
    option,
    value,
    problem: 'is not right',
    expected: `expected a whole number, ${least} or more`,
  });
}

/** A number from `lo` to `hi`, both included. */
export function within(call: string, option: string, value: unknown, lo: number, hi: number): number {
  if (typeof value === 'number' && value >= lo && value <= hi) return value;
  if (typeof value === 'number' && Number.isFinite(value))
    fail({ call, option, value, problem: 'is out of range', expected: `expected ${lo} to ${hi}` });
  return notFinite(call, option, value, `a number from ${lo} to ${hi}`);
}

/** What can be read as a point, as a pair; undefined where it is none. */
function asPair(value: unknown): Pair | undefined {
  if (Array.isArray(value)) {
    if (value.length === 2 && Number.isFinite(value[0]) && Number.isFinite(value[1])) return value as unknown as Pair;
  } else if (typeof value === 'object' && value !== null) {
    const { x, y } = value as { x: unknown; y: unknown };
    if (typeof x === 'number' && typeof y === 'number' && Number.isFinite(x) && Number.isFinite(y)) return [x, y];
  }
  return undefined;
}

/** A point as a pair. */
export function point(call: string, option: string, value: unknown): Pair {
  const read = asPair(value);
  if (read !== undefined) return read;
  if (value === undefined) missing(call, option, 'a point, [x, y] or { x, y }');
  return fail({
    call,
    option,
    value,
    problem: 'is not a point',
    expected: 'expected [x, y] or { x, y } with finite numbers',
  });
}

/** A list of points, at least `least` of them. */
export function points(call: string, option: string, value: unknown, least: number): Pair[] {
  if (value === undefined) missing(call, option, 'a list of points, [[x, y], …]');
  if (!Array.isArray(value))
    return fail({ call, option, value, problem: 'is not a list of points', expected: 'expected [[x, y], …]' });
  if (value.length < least)
    fail({
      call,
      option,
      value,
      problem: `has ${value.length} ${value.length === 1 ? 'point' : 'points'}`,
      expected: `expected at least ${least}`,
    });
  // The name of one of them is made only where it is not right: there may be very many.
  return value.map((item, index) => asPair(item) ?? point(call, `${option}[${index}]`, item));
}

/** One number for both axes, or a pair `[x, y]`. */
export function pair(call: string, option: string, value: unknown): Pair {
  if (typeof value === 'number' && Number.isFinite(value)) return [value, value];
  if (
    Array.isArray(value) &&
    value.length === 2 &&
    typeof value[0] === 'number' &&
    Number.isFinite(value[0]) &&
    Number.isFinite(value[1])
  )
    return value as unknown as Pair;
  if (value === undefined) missing(call, option, 'a number or [x, y]');
  return fail({ call, option, value, problem: 'is not right', expected: 'expected a finite number or [x, y]' });
}

/** A pair of lengths that are not negative, or one length for both. */
export function lengths(call: string, option: string, value: unknown): Pair {
  const found = pair(call, option, value);
  if (found[0] < 0 || found[1] < 0)
    fail({ call, option, value, problem: 'is negative', expected: 'expected 0 or more' });
  return found;
}

/** One word of a fixed set. */
export function oneOf<T extends string>(call: string, option: string, value: unknown, choices: readonly T[]): T {
  if (choices.includes(value as T)) return value as T;
  return fail({ call, option, value, problem: 'is not known', expected: suggest(value, choices) });
}

/** `true` or `false`. */
export function flag(call: string, option: string, value: unknown): boolean {
  if (typeof value === 'boolean') return value;
  return fail({ call, option, value, problem: 'is not right', expected: 'expected true or false' });
}

/** A function. */
export function callable<T>(call: string, option: string, value: T): T {
  if (typeof value === 'function') return value;
  if (value === undefined) missing(call, option, 'a function');
  return fail({ call, option, value, problem: 'is not a function' });
}

/** A plain options object, so that `circle(100)` says what would be right. */
export function optionsObject<T extends object>(call: string, value: T | undefined, example: string): T {
  if (typeof value === 'object' && value !== null && !Array.isArray(value)) return value;
  return fail({ call, value, problem: 'is not an options object', expected: `expected ${example}` });
}

/** The names of a call's options, and those last met, in order: a loop gives the same ones again and again. */
export class OptionNames extends Set<string> {
  readonly recent: string[] = [];
}

/**
 * Every key of `options` is one of `known` (any will do where that is undefined), and none is there with nothing in it:
 * `fill: palette.sae` must not pass for "leave the fill as it is".
 */
export function checkKeys(call: string, options: object, known: OptionNames | undefined): void {
  if (known === undefined) return checkDefined(call, options);
  const { recent } = known;
  let index = 0;
  for (const key in options) {
    // Looked up only where it is not what stood here the last time.
    if (recent[index] !== key) {
      if (!known.has(key)) unknownKey(call, key, known);
      recent[index] = key;
    }
    index++;
    if ((options as Record<string, unknown>)[key] === undefined) undefinedOption(call, key);
  }
}

function checkDefined(call: string, options: object): void {
  for (const key in options) if ((options as Record<string, unknown>)[key] === undefined) undefinedOption(call, key);
}

function undefinedOption(call: string, option: string): never {
  return fail({ call, option, problem: 'is there, but undefined', expected: 'give a value, or leave the key out' });
}

function unknownKey(call: string, key: string, known: Iterable<string>): never {
  return fail({ call, problem: `there is no option ${show(key)}`, expected: suggest(key, known) });
}

/** The option was left out. */
export function missing(call: string, option: string, expected: string): never {
  return fail({ call, option, problem: 'is missing', expected: `expected ${expected}` });
}

function notFinite(call: string, option: string, value: unknown, expected: string): never {
  if (value === undefined) missing(call, option, expected);
  if (typeof value === 'number')
    fail({ call, option, value, problem: 'is not finite', expected: `expected ${expected}` });
  return fail({ call, option, value, problem: 'is not a number', expected: `expected ${expected}` });
}
