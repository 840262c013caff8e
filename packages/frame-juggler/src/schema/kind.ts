import { fail, type Fault } from '../error.ts';
import { suggest } from '../suggest.ts';

/** What is wrong with a value that is not of a kind, and what would be right. */
interface Complaint extends Pick<Fault, 'problem' | 'expected'> {
  /** The part of the value at fault, where that is only one: its name behind the option's, `[1]`, and itself. */
  readonly part?: { readonly name: string; readonly value: unknown };
}

/**
 * A kind of value that an option or an argument can have: which values it allows, and what is said of others. Options'
 * types, the reader that checks them, messages and the reference come from it.
 */
export class Kind<Value> {
  /** Only there for the type checker. */
  declare readonly value: Value;

  /**
   * @param words what is right, for messages and the reference: "a finite number"
   * @param allows whether a value can be used as it is
   * @param complain what is wrong with a value that is not allowed
   * @param min the least of the numbers it allows, where it allows a range of numbers: that is checked without a call
   * @param max the greatest of them
   */
  constructor(
    readonly words: string,
    readonly allows: (value: unknown) => boolean,
    readonly complain: (value: unknown, words: string) => Complaint,
    readonly min = NaN,
    readonly max = NaN,
  ) {}

  /** The value of an option or argument. @throws SketchError where it is not of this kind */
  read(call: string, option: string, value: unknown): Value {
    if (typeof value === 'number' && value >= this.min && value <= this.max) return value as Value;
    return this.allows(value) ? (value as Value) : this.refuse(call, option, value);
  }

  /** Says what is wrong with a value that is not allowed. @throws SketchError always */
  refuse(call: string, option: string, value: unknown): never {
    if (value === undefined) missing(call, option, this.words);
    const { part = { name: '', value }, ...complaint } = this.complain(value, this.words);
    return fail({ call, option: `${option}${part.name}`, value: part.value, ...complaint });
  }
}

/** What is wrong with a part of a value, by the part's name. */
export function complaintOf(kind: Kind<unknown>, name: string, value: unknown): Complaint {
  const { part = { name: '', value }, ...complaint } = kind.complain(value, kind.words);
  return { ...complaint, part: { name: `${name}${part.name}`, value: part.value } };
}

/** The value that a kind is of. */
export type ValueOf<K> = K extends Kind<infer Value> ? Value : never;

/** A kind that allows whatever passes a test, and says of all others that they are not what was expected. */
/* @__NO_SIDE_EFFECTS__ */
export function kindOf<Value>(
  words: string,
  allows: (value: unknown) => boolean,
  problem: string | ((value: unknown) => string),
): Kind<Value> {
  return new Kind(words, allows, (value, expected) => ({
    problem: typeof problem === 'string' ? problem : problem(value),
    expected: `expected ${expected}`,
  }));
}

/** A kind whose values are converted by whoever uses them, and checked there: colors, strokes. */
/* @__NO_SIDE_EFFECTS__ */
export function convertedLater<Value>(words: string): Kind<Value> {
  return new Kind(
    words,
    () => true,
    () => ({ problem: '' }),
  );
}

/** The option was left out. */
export function missing(call: string, option: string, words: string): never {
  return fail({ call, option, problem: 'is missing', expected: `expected ${words}` });
}

const notNumber = (value: unknown): string =>
  typeof value !== 'number' ? 'is not a number' : Number.isFinite(value) ? 'is out of range' : 'is not finite';

/** A kind that allows the numbers of a range, both ends included. */
/* @__NO_SIDE_EFFECTS__ */
export function range(words: string, min: number, max = Number.MAX_VALUE, problem = notNumber): Kind<number> {
  return new Kind<number>(
    words,
    (value) => typeof value === 'number' && value >= min && value <= max,
    (value, expected) => ({ problem: problem(value), expected: `expected ${expected}` }),
    min,
    max,
  );
}

/** Any finite number. */
export const finite = /* @__PURE__ */ range('a finite number', -Number.MAX_VALUE);

/** An angle in degrees, however many turns. */
export const degrees = /* @__PURE__ */ range('a finite number of degrees', -Number.MAX_VALUE);

/** A finite number that is not negative. */
export const length = /* @__PURE__ */ range('a number, 0 or more', 0, undefined, (value) =>
  typeof value === 'number' && value < 0 ? 'is negative' : notNumber(value),
);

/** A finite number above 0. */
export const positive = /* @__PURE__ */ range('a number above 0', Number.MIN_VALUE, undefined, (value) =>
  typeof value === 'number' && value <= 0 ? 'is not above 0' : notNumber(value),
);

/** A number from `lo` to `hi`, both included. */
/* @__NO_SIDE_EFFECTS__ */
export function between(lo: number, hi: number): Kind<number> {
  return range(`a number from ${lo} to ${hi}`, lo, hi);
}

/** A number from 0 to 1. */
export const fraction = between(0, 1);

/** A whole number of at least `min`, and at most `max`. */
/* @__NO_SIDE_EFFECTS__ */
export function whole(min = -Infinity, max = Infinity): Kind<number> {
  const limits = max < Infinity ? ` from ${min} to ${max}` : min > -Infinity ? `, ${min} or more` : '';
  return kindOf(
    `a whole number${limits}`,
    (value) => Number.isInteger(value) && (value as number) >= min && (value as number) <= max,
    (value) => (Number.isInteger(value) ? 'is out of range' : 'is not a whole number'),
  );
}

/** `true` or `false`. */
export const toggle = kindOf<boolean>('true or false', (value) => typeof value === 'boolean', 'is not true or false');

/** Text, the empty one too. */
export const text = kindOf<string>('some text', (value) => typeof value === 'string', 'is not text');

/** Text with something in it. */
export const name = kindOf<string>(
  'some text',
  (value) => typeof value === 'string' && value !== '',
  (value) => (value === '' ? 'is empty' : 'is not text'),
);

/** A function. */
/* @__NO_SIDE_EFFECTS__ */
export function callable<Value>(words = 'a function'): Kind<Value> {
  return kindOf(words, (value) => typeof value === 'function', 'is not a function');
}

/**
 * Refuses what an async function gave back: most of what it does comes after that which it was called for.
 * @param over what would be over by then
 * @throws SketchError
 */
export function refusePromise(result: unknown, call: string, over: string, option?: string): void {
  if (!(result instanceof Promise)) return;
  result.catch(() => undefined);
  fail({
    call,
    option,
    problem: `is async, so the ${over} would be over before it is`,
    expected: 'do what takes its time in start, or load files as assets',
  });
}

/** One word of a fixed set. */
/* @__NO_SIDE_EFFECTS__ */
export function oneOf<const Word extends string>(...words: readonly Word[]): Kind<Word> {
  const known = new Set<unknown>(words);
  return new Kind(
    `one of ${words.join(', ')}`,
    (value) => known.has(value),
    (value) => ({
      problem: 'is not known',
      expected: suggest(value, words),
    }),
  );
}

/** A list of whose members each is of a kind, at least `min` of them. */
/* @__NO_SIDE_EFFECTS__ */
export function listOf<Value>(kind: Kind<Value>, plural: string, min = 0): Kind<readonly Value[]> {
  const minimum = min < 2 ? '' : `, at least ${min}`;
  return new Kind(
    `a list of ${plural}${minimum}`,
    (value) => Array.isArray(value) && value.length >= min && value.every(kind.allows),
    (value, words) => {
      if (!Array.isArray(value)) return { problem: 'is not a list', expected: `expected ${words}` };
      const at = value.findIndex((member) => !kind.allows(member));
      if (at >= 0) return complaintOf(kind, `[${at}]`, value[at]);
      const problem = value.length === 0 ? 'is empty' : `has only ${value.length}`;
      return { problem, expected: `expected ${min === 1 ? plural : `at least ${min} ${plural}`}` };
    },
  );
}

/** An object whose members, by whatever name, each are of a kind. */
/* @__NO_SIDE_EFFECTS__ */
export function mapOf<Value>(kind: Kind<Value>, words: string): Kind<Readonly<Record<string, Value>>> {
  const isObject = (value: unknown): value is object =>
    typeof value === 'object' && value !== null && !Array.isArray(value);
  return new Kind(
    words,
    (value) => isObject(value) && Object.values(value).every(kind.allows),
    (value, expected) => {
      const wrong = isObject(value) ? Object.entries(value).find(([, member]) => !kind.allows(member)) : undefined;
      if (wrong === undefined) return { problem: 'is not an object', expected: `expected ${expected}` };
      return complaintOf(kind, `.${wrong[0]}`, wrong[1]);
    },
  );
}

/** Anything at all that is there. */
export const anything = kindOf<unknown>('a value', (value) => value !== undefined, 'is missing');
