import { fail, show, suggest, SketchError } from '../error.ts';
import { checkKeys, finite, flag, oneOf, OptionNames, point, type Point } from '../options.ts';
import { readColor, type ColorLike } from '../paint/color.ts';

/** What every dial takes beside its first value. */
export interface DialOptions {
  /** What a person reads beside it; its name unless told otherwise. */
  label?: string;
}

export interface NumberDialOptions extends DialOptions {
  min?: number;
  max?: number;
  /** How far apart two settings are. */
  step?: number;
}

/** How a dial is shown to a person. */
export type DialControl =
  | { readonly type: 'number'; readonly min?: number; readonly max?: number; readonly step?: number }
  | { readonly type: 'choice'; readonly choices: readonly string[] }
  | { readonly type: 'color' | 'toggle' | 'text' | 'point' };

/** Something that a person tunes while the sketch runs. */
export interface Dial<Value = unknown> {
  readonly initial: Value;
  readonly label: string | undefined;
  readonly control: DialControl;
  /** A value as the sketch gets it. @throws SketchError where it cannot be one */
  readonly read: (call: string, name: string, value: unknown) => Value;
}

/** The dials of a sketch, by name. */
export type DialMap = Readonly<Record<string, Dial>>;

/** What `paint` finds under `dials`. */
export type DialValues<Dials extends DialMap> = {
  readonly [Name in keyof Dials]: Dials[Name] extends Dial<infer Value> ? Value : never;
};

const labelOnly = new OptionNames(['label']);
const numberKeys = new OptionNames(['label', 'min', 'max', 'step']);
const dials = new WeakSet<object>();

function made<Value>(
  type: string,
  initial: unknown,
  options: DialOptions,
  control: DialControl,
  read: Dial<Value>['read'],
): Dial<Value> {
  const call = `dial.${type}`;
  checkKeys(call, options, control.type === 'number' ? numberKeys : labelOnly);
  const result = { initial: read(call, 'value', initial), label: options.label, control, read };
  dials.add(result);
  return result;
}

/** What a person tunes while a sketch runs: a sketch's `dials` are made with these. */
export const dial = {
  /** A number, within `min` and `max` where they are given. */
  number(initial: number, options: NumberDialOptions = {}): Dial<number> {
    const call = 'dial.number';
    const { min = -Infinity, max = Infinity, step } = options;
    if (min !== -Infinity) finite(call, 'min', min);
    if (max !== Infinity) finite(call, 'max', max);
    if (!(min < max)) fail({ call, option: 'max', value: max, problem: `is not above min, ${min}` });
    if (step !== undefined && finite(call, 'step', step) <= 0)
      fail({ call, option: 'step', value: step, problem: 'is not above 0' });
    const { label: _label, ...limits } = options;
    return made('number', initial, options, { type: 'number', ...limits }, (caller, name, value) => {
      const number = finite(caller, name, value);
      if (number >= min && number <= max) return number;
      const expected = `expected ${[min > -Infinity && `${min} or more`, max < Infinity && `${max} or less`].filter(Boolean).join(', ')}`;
      return fail({ call: caller, option: name, value, problem: 'is out of range', expected });
    });
  },
  /** A colour: whatever a fill takes as one. */
  color(initial: ColorLike, options: DialOptions = {}): Dial<ColorLike> {
    return made('color', initial, options, { type: 'color' }, (caller, name, value) => {
      readColor(caller, name, value as ColorLike);
      return value as ColorLike;
    });
  },
  /** Something that is on (true) or off (false). */
  toggle(initial: boolean, options: DialOptions = {}): Dial<boolean> {
    return made('toggle', initial, options, { type: 'toggle' }, flag);
  },
  /** One of a few words, the first unless `initial` tells another. */
  choice<const Choice extends string>(
    choices: readonly Choice[],
    initial: NoInfer<Choice> = choices[0],
    options: DialOptions = {},
  ): Dial<Choice> {
    if (!Array.isArray(choices) || choices.length === 0 || choices.some((choice) => typeof choice !== 'string'))
      fail({ call: 'dial.choice', option: 'choices', value: choices, problem: 'is not right', expected: "expected words, ['calm', 'rough']" }); // prettier-ignore
    const read = (caller: string, name: string, value: unknown): Choice => oneOf(caller, name, value, choices);
    return made('choice', initial, options, { type: 'choice', choices }, read);
  },
  /** Any text. */
  text(initial: string, options: DialOptions = {}): Dial<string> {
    return made('text', initial, options, { type: 'text' }, (caller, name, value) =>
      typeof value === 'string' ? value : fail({ call: caller, option: name, value, problem: 'is not text' }),
    );
  },
  /** A point of the canvas. */
  point(initial: Point, options: DialOptions = {}): Dial<readonly [number, number]> {
    return made('point', initial, options, { type: 'point' }, point);
  },
};

/** Checks the dials that a sketch was given. */
export function readDials(given: unknown): DialMap {
  const call = 'defineSketch';
  if (given === undefined) return {};
  if (typeof given !== 'object' || given === null)
    return fail({ call, option: 'dials', value: given, problem: 'is not right', expected: 'expected { name: dial.number(5) }' }); // prettier-ignore
  for (const [name, value] of Object.entries(given)) {
    if (typeof value === 'object' && value !== null && dials.has(value)) continue;
    fail({ call, option: `dials.${name}`, value, problem: 'is not a dial', expected: 'expected dial.number(…) or another dial' }); // prettier-ignore
  }
  return given as DialMap;
}

/** The value of every dial: its own first value, or the one that is given under its name. */
export function dialValues(map: DialMap, given: Readonly<Record<string, unknown>> = {}): Record<string, unknown> {
  for (const name in given) dialNamed(map, name);
  return Object.fromEntries(
    Object.entries(map).map(([name, { initial, read }]) => [name, name in given ? read('dials', name, given[name]) : initial]),
  ); // prettier-ignore
}

/** The dial of a name. @throws SketchError with the nearest name where there is none */
export function dialNamed(map: DialMap, name: string): Dial {
  const found = Object.hasOwn(map, name) ? map[name] : undefined;
  if (found !== undefined) return found;
  const names = Object.keys(map);
  return fail({
    call: 'dials',
    problem: `there is no dial ${show(name)}`,
    expected: names.length === 0 ? 'the sketch has none' : suggest(name, names),
  });
}

/** A dial's value from text, as a person writes it: `12`, `on`, `#ffd166`, `480,360`. */
export function parseDial(map: DialMap, name: string, text: string): unknown {
  const found = dialNamed(map, name);
  const wrong = (expected: string): never => {
    throw new SketchError({ call: 'dials', option: name, value: text, problem: 'is not right', expected });
  };
  const number = (part: string): number => (part.trim() === '' ? NaN : Number(part));
  let value: unknown = text;
  switch (found.control.type) {
    case 'number':
      value = number(text);
      if (Number.isNaN(value)) wrong('expected a number');
      break;
    case 'toggle':
      if (!/^(true|on|yes|false|off|no)$/i.test(text)) wrong('expected on or off');
      value = /^(true|on|yes)$/i.test(text);
      break;
    case 'point':
      value = text.split(',').map(number);
  }
  return found.read('dials', name, value);
}
