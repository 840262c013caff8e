import { asSketchError, fail, show } from '../error.ts';
import { onlyKnown } from '../known-names.ts';
import { suggest } from '../suggest.ts';
import { Color, cssColor, readColor, type ColorLike } from '../paint/color.ts';
import {
  anything,
  convertedLater,
  finite,
  Kind,
  kindOf,
  listOf,
  mapOf,
  name as nameKind,
  oneOf,
  positive,
  text,
  toggle,
} from '../schema/kind.ts';
import { point, xOf, yOf, type Place, type Point } from '../schema/point.ts';
import { optional, type Options, schemaOf, withoutUndefined } from '../schema/schema.ts';

const dialTable = {
  /** The label that people read beside it; by default its name. */
  label: optional(nameKind),
};
/** What every dial takes besides its initial value. */
export interface DialOptions extends Options<typeof dialTable> {}
const dialOptions = schemaOf(dialTable, "{ label: 'Swell' } behind the value");

const numberTable = {
  /** The smallest value. */
  min: optional(finite),
  /** The largest value. */
  max: optional(finite),
  /** How far apart two values are. */
  step: optional(positive),
};
/** What a dial for a number takes besides its initial value. */
export interface NumberDialOptions extends DialOptions, Options<typeof numberTable> {}
const numberOptions = schemaOf({ ...dialTable, ...numberTable }, '{ min: 0, max: 60 } behind the value');

/** How a dial is shown to a person. */
export type DialControl =
  | {
      /** What kind of value it has. */
      readonly type: 'number';
      /** The smallest value. */
      readonly min?: number;
      /** The largest value. */
      readonly max?: number;
      /** How far apart two values are. */
      readonly step?: number;
    }
  | {
      readonly type: 'choice';
      /** The words to choose from. */
      readonly choices: readonly string[];
    }
  | { readonly type: 'color' | 'toggle' | 'text' | 'point' };

/** A value that people can tune while the sketch runs. */
export interface Dial<Value = unknown> {
  /** Its first value. */
  readonly initial: Value;
  /** What a person reads beside it; its name where there is none. */
  readonly label: string | undefined;
  /** How it is shown. */
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

/** What a dial can be set to; a point in any of its forms. */
export type DialSetting<Setting> =
  Setting extends Dial<infer Value> ? (Value extends Readonly<Place> ? Point : Value) : never;
/** Settings of dials, by name; the others stay as they are. */
export type DialSettings<Dials extends DialMap> = { readonly [Name in keyof Dials]?: DialSetting<Dials[Name]> };

const dials = new WeakSet<object>();

function makeDial<Value>(
  initial: unknown,
  { label }: DialOptions,
  control: DialControl,
  read: Dial<Value>['read'],
): Dial<Value> {
  const call = `dial.${control.type}`;
  if (typeof initial === 'object' && initial !== null && 'value' in initial)
    fail({ call, option: 'value', value: initial, problem: 'is an options object', expected: `expected the value before it: ${call}(${show(initial.value)}, { … })` }); // prettier-ignore
  const result = { initial: read(call, 'value', initial), label, control, read };
  dials.add(result);
  return result;
}

const words = listOf(text, "words, ['calm', 'rough']", 1);

/** Values that people can tune while a sketch runs: a sketch's `dials` are made with these. */
export const dial = {
  /** A number, within `min` and `max` where they are given. */
  number(initial: number, options: NumberDialOptions = {}): Dial<number> {
    const call = 'dial.number';
    const { label: _label, ...limits } = numberOptions.read(call, options);
    const { min = -Infinity, max = Infinity } = limits;
    if (!(min < max)) fail({ call, option: 'max', value: max, problem: `is not above min, ${min}` });
    const bounds = [min > -Infinity && `${min} or more`, max < Infinity && `${max} or less`].filter(Boolean);
    return makeDial(
      initial,
      options,
      { type: 'number', ...withoutUndefined(limits) } as DialControl,
      (caller, name, value) => {
        const number = finite.read(caller, name, value);
        if (number >= min && number <= max) return number;
        return fail({
          call: caller,
          option: name,
          value,
          problem: 'is out of range',
          expected: `expected ${bounds.join(', ')}`,
        });
      },
    );
  },
  /** A color: whatever a fill takes as one. */
  color(initial: ColorLike, options: DialOptions = {}): Dial<ColorLike> {
    dialOptions.check('dial.color', options);
    return makeDial(initial, options, { type: 'color' }, (caller, name, value) => {
      readColor(caller, name, value);
      return value as ColorLike;
    });
  },
  /** Something that is on (true) or off (false). */
  toggle(initial: boolean, options: DialOptions = {}): Dial<boolean> {
    dialOptions.check('dial.toggle', options);
    return makeDial(initial, options, { type: 'toggle' }, (...asked) => toggle.read(...asked));
  },
  /** One of a few words, the first unless `initial` tells another. */
  choice<const Choice extends string>(
    choices: readonly Choice[],
    initial: NoInfer<Choice> = choices[0],
    options: DialOptions = {},
  ): Dial<Choice> {
    words.read('dial.choice', 'choices', choices);
    dialOptions.check('dial.choice', options);
    const choice = oneOf(...choices);
    return makeDial(initial, options, { type: 'choice', choices }, (...asked) => choice.read(...asked));
  },
  /** Any text. */
  text(initial: string, options: DialOptions = {}): Dial<string> {
    dialOptions.check('dial.text', options);
    return makeDial(initial, options, { type: 'text' }, (...asked) => text.read(...asked));
  },
  /** A point of the canvas. */
  point(initial: Point, options: DialOptions = {}): Dial<Readonly<Place>> {
    dialOptions.check('dial.point', options);
    return makeDial(initial, options, { type: 'point' }, (...asked) => {
      const at = point.read(...asked);
      return Object.freeze({ x: xOf(at), y: yOf(at) });
    });
  },
};

const isDial = (value: unknown): boolean => typeof value === 'object' && value !== null && dials.has(value);

/** The dials that a sketch was given: by name, each made with `dial`. */
export const dialMap: Kind<DialMap> = mapOf(
  kindOf('dial.number(…) or another dial', isDial, 'is not a dial'),
  'dials by name: { swell: dial.number(14) }',
);

const asDials = /* @__PURE__ */ onlyKnown('dials');

/** The value of every dial: its own first value, or the one that is given under its name. */
export function dialValues(map: DialMap, values: Readonly<Record<string, unknown>> = {}): Record<string, unknown> {
  for (const name of Object.keys(values)) dialNamed(map, name);
  const found = {};
  for (const [name, { initial, read }] of Object.entries(map))
    turnTo(Object.hasOwn(values, name) ? read('dials', name, values[name]) : initial, name, found);
  return asDials(found);
}

/**
 * Puts a dial's value in its place. Sketches can only read it: what one frame set would leak into the next.
 * @param values changed: each one's place; where what notes who reads it still stands, that reads it later on
 */
export function turnTo(value: unknown, name: string, ...values: readonly object[]): void {
  for (const each of values)
    if (Object.getOwnPropertyDescriptor(each, name)?.get === undefined)
      Object.defineProperty(each, name, { value, enumerable: true, configurable: true, writable: false });
}

/**
 * The same values, of which it is noted who reads them. With the first reading, the value itself takes the place of what
 * notes that, as sketches read dials in their innermost loops; whoever turns a dial has to set it here too.
 * @param onRead called with the dial's name
 */
export function notedDials(
  values: Readonly<Record<string, unknown>>,
  onRead: (name: string) => void,
): Record<string, unknown> {
  const noted = {};
  for (const name of Object.keys(values))
    Object.defineProperty(noted, name, {
      get() {
        onRead(name);
        const value = values[name];
        Object.defineProperty(noted, name, { value });
        return value;
      },
      enumerable: true,
      configurable: true,
    });
  // Node's console would print that there is something to read.
  Object.defineProperty(noted, Symbol.for('nodejs.util.inspect.custom'), { value: () => ({ ...values }) });
  return asDials(noted);
}

/** A dial's value as a message or a file can carry it: colors as CSS writes them. */
export function plainDialValue(value: unknown): unknown {
  return value instanceof Color ? cssColor(value.packed) : value;
}

/** A value that was kept for a dial but no longer fits the sketch. */
export interface Misfit {
  /** The dial. */
  readonly name: string;
  /** Why its kept value cannot be used. */
  readonly reason: string;
}

const keptValues = mapOf(convertedLater('a value'), 'values by name: { swell: 14 }');

/** Sorts kept values of dials into those the sketch can use and those it cannot, with the reason. */
export function fitDials(
  map: DialMap,
  kept: Readonly<Record<string, unknown>>,
): { readonly values: Record<string, unknown>; readonly misfits: readonly Misfit[] } {
  dialMap.read('fitDials', 'map', map);
  const values: Record<string, unknown> = {};
  const misfits: Misfit[] = [];
  for (const [name, value] of Object.entries(keptValues.read('fitDials', 'kept', kept))) {
    try {
      values[name] = dialNamed(map, name).read('dials', name, value);
    } catch (error) {
      misfits.push({ name, reason: asSketchError(error).reason });
    }
  }
  return { values, misfits };
}

/** The dial of a name. @throws SketchError with the nearest name where there is none */
export function dialNamed(map: DialMap, name: string, call = 'dials'): Dial {
  const found = Object.hasOwn(map, name) ? map[name] : undefined;
  if (found !== undefined) return found;
  const names = Object.keys(map);
  return fail({
    call,
    problem: `there is no dial ${show(name)}`,
    expected: names.length === 0 ? 'the sketch has none' : suggest(name, names),
  });
}

const numberFrom = (part: string): number => (part.trim() === '' ? NaN : Number(part));

/** How each kind of dial reads text, as a person writes it; undefined where that cannot be read. */
const fromText: Record<DialControl['type'], { readonly words: string; readonly read: (text: string) => unknown }> = {
  number: {
    words: 'a number',
    read: (text) => (Number.isNaN(numberFrom(text)) ? undefined : numberFrom(text)),
  },
  toggle: {
    words: 'on or off',
    read: (text) => (/^(true|on|yes|false|off|no)$/i.test(text) ? /^(true|on|yes)$/i.test(text) : undefined),
  },
  point: { words: 'x,y', read: (text) => text.split(',').map(numberFrom) },
  color: { words: 'a color', read: (text) => text },
  choice: { words: 'a word', read: (text) => text },
  text: { words: 'text', read: (text) => text },
};

/** A value of a dial as text: what {@link parseDial} reads. */
export function dialText(value: unknown): string {
  const plain = plainDialValue(anything.read('dialText', 'value', value));
  if (point.allows(plain)) return `${xOf(plain as Point)},${yOf(plain as Point)}`;
  return typeof plain === 'boolean' ? (plain ? 'on' : 'off') : String(plain);
}

/** Reads a dial's value from text as a person would write it: `12`, `on`, `teal`, `480,360`. @throws SketchError */
export function parseDial(map: DialMap, name: string, content: string): unknown {
  const found = dialNamed(dialMap.read('parseDial', 'map', map), nameKind.read('parseDial', 'name', name));
  const { words: expected, read } = fromText[found.control.type];
  const value = read(text.read('parseDial', 'content', content));
  if (value === undefined)
    fail({
      call: 'dials',
      option: name,
      value: content,
      problem: `is not ${expected}`,
      expected: `expected ${expected}`,
    });
  return found.read('dials', name, value);
}
