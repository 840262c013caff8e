import { fail } from '../error.ts';
import { finite, fraction, kindOf, length, listOf, oneOf, text, toggle, convertedLater } from '../schema/kind.ts';
import { isPoint, xOf, yOf, type Place, type Point } from '../schema/point.ts';
import { type Complete, optional, type Options, schemaOf } from '../schema/schema.ts';
import { Color, type ColorLike } from '../paint/color.ts';
import { ramp } from '../paint/mix.ts';
import { fillOffsets, readEasing } from './easing.ts';

/** What keyframes can go through: numbers, points or colors. */
export type KeyframeValue = number | Point | ColorLike;

const isValue = (value: unknown): boolean =>
  Number.isFinite(value) || typeof value === 'string' || value instanceof Color || isPoint(value);
const keyframeValue = kindOf<KeyframeValue>('a number, a point or a color', isValue, 'is not a value');

const keyframeTable = {
  /** From 0 to 1; spread evenly where it is left out. */
  offset: optional(fraction),
  /** From this keyframe to the next, in CSS's syntax. */
  easing: optional(text, 'linear'),
};
/** A value at some point of the way, and the easing towards the next one. */
export type Keyframe<Value extends KeyframeValue> = {
  /** What it is there: a number, a point or a color. */
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
  /** Numbers are angles in degrees, and go the shorter way round. */
  angles: optional(toggle, false),
};
/** Web Animations' timing, in seconds. */
export type KeyframeTiming = Options<typeof timingTable>;
const timingOptions = schemaOf(timingTable, '{ duration: 2 } behind the keyframes');

/** Undefined comes up only where the timing's fill leaves a time without a value. */
type Filled<Value, Timing extends KeyframeTiming> = Timing extends { fill: 'none' | 'forwards' | 'backwards' }
  ? Value | undefined
  : Value;
type Frames<Value extends KeyframeValue> = readonly (Value | Keyframe<Value>)[];

const call = 'keyframes';
const frameList = listOf(
  convertedLater<KeyframeValue | Keyframe<KeyframeValue>>('a value'),
  'values, or { value, offset, easing }',
  1,
);

/**
 * A value that moves through keyframes, as a function of seconds, by Web Animations' timing model (level 1, section 4).
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
export function keyframes(list: Frames<KeyframeValue>, timing: KeyframeTiming): (seconds: number) => unknown {
  const { angles, ...read } = timingOptions.read(call, timing);
  const at = timed(read, readFrames(list, angles));
  return (seconds) => at(finite.read(call, 'seconds', seconds));
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

/** From progress to the value there; beyond the first and the last it goes on by the curves of those. */
function readFrames(list: readonly (KeyframeValue | Keyframe<KeyframeValue>)[], angles: boolean): ValueAt {
  frameList.read(call, 'list', list);
  const frames = list.map(readFrame);
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

function readFrame(
  entry: KeyframeValue | Keyframe<KeyframeValue>,
  index: number,
): { value: KeyframeValue; offset: number | undefined; easing: string } {
  if (isValue(entry)) return { value: entry as KeyframeValue, offset: undefined, easing: 'linear' };
  return keyframeOptions.read(`${call} list[${index}]`, entry);
}

const isColor = (value: KeyframeValue): value is ColorLike => typeof value === 'string' || value instanceof Color;

function mixer(from: KeyframeValue, to: KeyframeValue, angles: boolean): (t: number) => unknown {
  if (typeof from === 'number' && typeof to === 'number') {
    const way = to - from;
    const shorter = angles ? ((((way + 180) % 360) + 360) % 360) - 180 : way;
    return (t) => from + shorter * t;
  }
  if (isColor(from) && isColor(to)) return ramp([from, to]);
  if (isPoint(from) && isPoint(to)) {
    const [x0, y0, x1, y1] = [xOf(from as Point), yOf(from as Point), xOf(to as Point), yOf(to as Point)];
    return (t) => ({ x: x0 + (x1 - x0) * t, y: y0 + (y1 - y0) * t });
  }
  return fail({
    call,
    option: 'value',
    value: to,
    problem: 'is of another kind than the one before',
    expected: 'expected all numbers, all points or all colors',
  });
}
