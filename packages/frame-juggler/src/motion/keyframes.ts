import { callWatch } from '../call-watch.ts';
import { fail } from '../error.ts';
import { convertedLater, finite, fraction, kindOf, length, listOf, oneOf, text } from '../schema/kind.ts';
import { nearest } from '../suggest.ts';
import { isPoint, xOf, yOf, type Place, type Point } from '../schema/point.ts';
import { type Complete, optional, type Options, schemaOf } from '../schema/schema.ts';
import { Color, type ColorLike } from '../paint/color.ts';
import { ramp } from '../paint/mix.ts';
import { fillOffsets, readEasing } from './easing.ts';

/** One value that keyframes can go through: a number, a point or a color. */
export type KeyframeValue = number | Point | ColorLike;

/** Several values that go through keyframes together, by names of your own: `{ at: [40, 90], turn: 0 }`. */
export type KeyframeParts = Readonly<Record<string, KeyframeValue>> & {
  [Name in 'value' | 'offset' | 'easing']?: never;
};

/** What keyframes give. */
type KeyframeResult<Value extends KeyframeValue | KeyframeParts> = Value extends number
  ? number
  : Value extends ColorLike
    ? Color
    : Value extends Point
      ? Place
      : { [Part in keyof Value]: KeyframeResult<Extract<Value[Part], KeyframeValue>> };

const isValue = (value: unknown): value is KeyframeValue =>
  Number.isFinite(value) || typeof value === 'string' || value instanceof Color || isPoint(value);
const isNamed = (value: unknown): value is object =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
const isParts = (value: unknown): value is KeyframeParts =>
  isNamed(value) && Object.values(value).length > 0 && Object.values(value).every(isValue);
const singleValue = kindOf<KeyframeValue>('a number, a point or a color', isValue, 'is not a value');
const keyframeValue = kindOf<KeyframeValue | KeyframeParts>(
  'a number, a point, a color, or several of them by name',
  (value) => isValue(value) || isParts(value),
  'is not a value',
);

const keyframeTable = {
  /** From 0 to 1; spread evenly where it is left out. */
  offset: optional(fraction),
  /** From this keyframe to the next, in CSS's syntax. */
  easing: optional(text, 'linear'),
};
/** A value at some point of the way, and the easing towards the next one. */
export type Keyframe<Value extends KeyframeValue | KeyframeParts> = {
  /** What it is there: a number, a point, a color, or several of them by name. */
  value: Value;
} & Options<typeof keyframeTable>;
const keyframeOptions = schemaOf({ value: keyframeValue, ...keyframeTable }, '{ value: 20, offset: 0.5 }');

const timingTable = {
  /** The duration of one iteration, in seconds. */
  duration: length,
  /** The delay before it begins, in seconds. */
  delay: optional(finite, 0),
  /** How often it runs, in whole or in part. */
  iterations: optional(
    kindOf<number>(
      'a number, 0 or more',
      (value) => typeof value === 'number' && value >= 0,
      'is not a number, 0 or more',
    ),
    1,
  ),
  /** Which way its iterations run. */
  direction: optional(oneOf('normal', 'reverse', 'alternate', 'alternate-reverse'), 'normal'),
  /** Whether the first and the last value hold before and after; otherwise it is undefined there. */
  fill: optional(oneOf('none', 'forwards', 'backwards', 'both'), 'both'),
  /** The easing of each iteration as a whole, in CSS's syntax. */
  easing: optional(text, 'linear'),
  /** Numbers are angles in degrees, and go the shorter way round; of several values by name, those named here. */
  angles: optional(
    kindOf<boolean | readonly string[]>(
      'true, or the names of those that are angles',
      (value) => typeof value === 'boolean' || (Array.isArray(value) && value.every((one) => typeof one === 'string')),
      'is neither true nor a list of names',
    ),
    false,
  ),
};
/** Web Animations' timing, in seconds. */
export interface KeyframeTiming extends Options<typeof timingTable> {}
const timingOptions = schemaOf(timingTable, '{ duration: 2 } behind the keyframes');

/** Undefined comes up only where the timing's fill leaves a time without a value. */
type Filled<Value, Timing extends KeyframeTiming> = Timing extends { fill: 'none' | 'forwards' | 'backwards' }
  ? Value | undefined
  : Value;
type Frames<Value extends KeyframeValue | KeyframeParts> = readonly (Value | Keyframe<Value>)[];
/** Not inferred as one type: literals in keyframes of both forms would have to be the same. */
type PartsOf<Frame> = Frame extends { value: infer Parts extends KeyframeParts }
  ? Parts
  : Extract<Frame, KeyframeParts>;

const call = 'keyframes';
const frameList = listOf(
  convertedLater<KeyframeValue | KeyframeParts | Keyframe<KeyframeValue | KeyframeParts>>('a value'),
  'values, or { value, offset, easing }',
  1,
);

/**
 * A value that moves through keyframes, as a function of seconds, by Web Animations' timing model (level 1, section 4).
 * Several values that move together have names: `keyframes([{ at: [0, 0], turn: 0 }, { at: [9, 9], turn: 90 }], …)`.
 * @param list keyframes, or plain values spread evenly
 */
export function keyframes<const Timing extends KeyframeTiming>(
  list: Frames<number>,
  timing: Timing,
): (seconds: number) => Filled<number, Timing>;
export function keyframes<const Timing extends KeyframeTiming>(
  list: Frames<Point>,
  timing: Timing,
): (seconds: number) => Filled<Place, Timing>;
export function keyframes<const Timing extends KeyframeTiming>(
  list: Frames<ColorLike>,
  timing: Timing,
): (seconds: number) => Filled<Color, Timing>;
export function keyframes<const List extends Frames<KeyframeParts>, const Timing extends KeyframeTiming>(
  list: List,
  timing: Timing,
): (seconds: number) => Filled<KeyframeResult<PartsOf<List[number]>>, Timing>;
export function keyframes(
  list: Frames<KeyframeValue | KeyframeParts>,
  timing: KeyframeTiming,
): (seconds: number) => unknown {
  frameList.read(call, 'list', list);
  const { angles, ...read } = timingOptions.read(call, timing);
  const at = timed(read, readFrames(list, angles));
  return (seconds) => {
    callWatch.onCall?.(call, [seconds, read]);
    return at(finite.read(call, 'seconds', seconds));
  };
}

/** What keyframes give, by how far the iteration at hand has come; and whether a jump there is still to come. */
type ValueAt = (progress: number, before: boolean) => unknown;

/** From seconds to the value; undefined where none is in effect. */
function timed(timing: Omit<Complete<typeof timingTable>, 'angles'>, valueAt: ValueAt): (seconds: number) => unknown {
  const { duration, delay, iterations, direction, fill } = timing;
  const ease = readEasing(timing.easing);
  const active = duration === 0 || iterations === 0 ? 0 : duration * iterations;

  return (seconds) => {
    // A negative delay lets the animation begin on the way, but not before time does.
    const before = seconds < Math.max(0, delay);
    const after = !before && seconds >= Math.max(0, delay + active);
    if (before && fill !== 'backwards' && fill !== 'both') return undefined;
    if (after && fill !== 'forwards' && fill !== 'both') return undefined;
    const gone = Math.max(0, seconds - delay);
    // What a division leaves over must not begin another iteration.
    const overall = before ? (duration === 0 ? 0 : gone / duration) : gone >= active ? iterations : Math.min(iterations, gone / duration); // prettier-ignore
    const atEnd = !before && overall === iterations && iterations !== 0;
    let progress = overall === Infinity ? 0 : overall % 1;
    if (progress === 0 && atEnd) progress = 1;
    const iteration = progress === 1 ? Math.floor(overall) - 1 : Math.floor(overall);
    const backwards =
      direction === 'reverse' ||
      (direction !== 'normal' && (iteration + (direction === 'alternate' ? 0 : 1)) % 2 === 1);
    const isBefore = backwards ? after : before;
    return valueAt(ease(backwards ? 1 - progress : progress, isBefore), isBefore);
  };
}

type Angles = boolean | readonly string[];

/** From progress to the value there; beyond the first and the last it goes on by the curves of those. */
function readFrames(list: Frames<KeyframeValue | KeyframeParts>, angles: Angles): ValueAt {
  const frames = list.map(readFrame);
  checkAngles(angles, frames[0].value);
  const offsets = frames.length === 1 ? [0] : fillOffsets(frames.map(({ offset }) => offset));
  const eases = frames.map((frame) => readEasing(frame.easing));
  const mixers = frames.slice(1).map((frame, i) => mixer(frames[i].value, frame.value, angles));
  if (mixers.length === 0) mixers.push(mixer(frames[0].value, frames[0].value, angles));
  return (progress, before) => {
    let segment = 0;
    while (segment < mixers.length - 1 && progress >= offsets[segment + 1]) segment++;
    const length = (offsets[segment + 1] ?? 1) - offsets[segment];
    // Before the first offset and behind the last the nearest value holds, but an overshoot at 0 or 1 goes on.
    const local = length === 0 ? (progress < offsets[segment] ? 0 : 1) : (progress - offsets[segment]) / length;
    const held = offsets[0] > 0 && local < 0 ? 0 : (offsets.at(-1) as number) < 1 && local > 1 ? 1 : local;
    return mixers[segment](eases[segment](held, before));
  };
}

function checkAngles(angles: Angles, value: KeyframeValue | KeyframeParts): void {
  if (typeof angles === 'boolean') return;
  const numbers = isValue(value) ? [] : Object.keys(value).filter((name) => typeof value[name] === 'number');
  const wrong = angles.find((name) => !numbers.includes(name));
  if (wrong === undefined) return;
  const expected =
    numbers.length > 0 ? `names among ${numbers.join(', ')}` : 'true, as there are no numbers with names';
  fail({ call, option: 'angles', value: wrong, problem: 'is no number that moves', expected: `expected ${expected}` });
}

const optionNames = ['value', ...Object.keys(keyframeTable)];

function readFrame(
  entry: Frames<KeyframeValue | KeyframeParts>[number],
  index: number,
): { value: KeyframeValue | KeyframeParts; offset: number | undefined; easing: string } {
  const where = `${call} list[${index}]`;
  const plain = { offset: undefined, easing: 'linear' };
  if (isValue(entry)) return { value: entry, ...plain };
  const given = isNamed(entry) ? Object.entries(entry) : [];
  const parts = given.filter(([name]) => !optionNames.includes(name));
  const isKeyframe = parts.length === 0 || parts.some(([name]) => nearest(name, optionNames) !== undefined);
  if (isKeyframe || 'value' in entry) return keyframeOptions.read(where, entry);
  // Offset and easing stand beside the value, so what moves needs a place of its own.
  if (parts.length < given.length)
    fail({ call: where, problem: 'has no value', expected: `expected what moves under value: { value: { ${parts[0][0]}: … }, ${given.find(([name]) => optionNames.includes(name))![0]}: … }` }); // prettier-ignore
  for (const [name, part] of parts) singleValue.read(where, name, part);
  return { value: entry as KeyframeParts, ...plain };
}

const isColor = (value: unknown): value is ColorLike => typeof value === 'string' || value instanceof Color;

/** From one value to the next, by how far it is between them. */
function mixer(
  from: KeyframeValue | KeyframeParts,
  to: KeyframeValue | KeyframeParts,
  angles: Angles,
  name = '',
): (t: number) => unknown {
  if (typeof from === 'number' && typeof to === 'number') {
    const way = to - from;
    const isAngle = typeof angles === 'boolean' ? angles : angles.includes(name);
    const shorter = isAngle ? ((((way + 180) % 360) + 360) % 360) - 180 : way;
    return (t) => from + shorter * t;
  }
  if (isColor(from) && isColor(to)) return ramp([from, to]);
  if (isPoint(from) && isPoint(to)) {
    const [x0, y0, x1, y1] = [xOf(from as Point), yOf(from as Point), xOf(to as Point), yOf(to as Point)];
    return (t) => ({ x: x0 + (x1 - x0) * t, y: y0 + (y1 - y0) * t });
  }
  if (!isValue(from) && !isValue(to)) return partsMixer(from, to, angles);
  return fail({
    call,
    option: name === '' ? 'value' : `value.${name}`,
    value: to,
    problem: 'is of another kind than the one before',
    expected: 'expected all numbers, all points or all colors',
  });
}

function partsMixer(from: KeyframeParts, to: KeyframeParts, angles: Angles): (t: number) => unknown {
  const names = Object.keys(from);
  const same = names.length === Object.keys(to).length && names.every((name) => name in to);
  if (!same) fail({ call, option: 'value', value: to, problem: 'has other names than the one before', expected: `expected ${names.join(', ')}` }); // prettier-ignore
  const mixers = names.map((name) => mixer(from[name], to[name], angles, name));
  return (t) => Object.fromEntries(names.map((name, i) => [name, mixers[i](t)]));
}
