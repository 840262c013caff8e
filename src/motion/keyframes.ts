import { fail } from '../error.ts';
import { checkKeys, finite, notNegative, oneOf, OptionNames, optionsObject, within } from '../options.ts';
import { Color, type ColorLike } from '../paint/color.ts';
import { ramp } from '../paint/mix.ts';
import { easing, fillOffsets, type Easing } from './easing.ts';

/** What keyframes can lead through: numbers, points, or colours. */
export type KeyframeValue = number | readonly [number, number] | ColorLike;

/** A value at a part of the way, and how it is left towards the next. */
export interface Keyframe<Value extends KeyframeValue> {
  value: Value;
  /** From 0 to 1; spread evenly where it is left out. */
  offset?: number;
  /** From this keyframe to the next; `linear` unless told otherwise. */
  easing?: string;
}

/** Web Animations' timing, in seconds. */
export interface KeyframeTiming {
  duration: number;
  delay?: number;
  /** How often it runs, in whole or in part; 1 unless told otherwise. */
  iterations?: number;
  direction?: 'normal' | 'reverse' | 'alternate' | 'alternate-reverse';
  /** Whether the first and the last value hold before and after; `both` unless told otherwise. Else it is undefined. */
  fill?: 'none' | 'forwards' | 'backwards' | 'both';
  /** Of each iteration as a whole. */
  easing?: string;
  /** Numbers are angles, and go the shorter way round. */
  angles?: boolean;
}

/** Undefined comes up only where the timing's fill leaves a time without a value. */
type Filled<Value, Timing extends KeyframeTiming> = Timing extends { fill: 'none' | 'forwards' | 'backwards' }
  ? Value | undefined
  : Value;
type Frames<Value extends KeyframeValue> = readonly (Value | Keyframe<Value>)[];

const frameKeys = new OptionNames(['value', 'offset', 'easing']);
const timingKeys = new OptionNames(['duration', 'delay', 'iterations', 'direction', 'fill', 'easing', 'angles']);
const call = 'keyframes';

/**
 * A value that moves through keyframes, as a function of seconds, by Web Animations' timing model (level 1, section 4).
 * @param list keyframes, or plain values spread evenly
 */
export function keyframes<const Timing extends KeyframeTiming>(
  list: Frames<number>,
  timing: Timing,
): (seconds: number) => Filled<number, Timing>;
export function keyframes<const Timing extends KeyframeTiming>(
  list: Frames<readonly [number, number]>,
  timing: Timing,
): (seconds: number) => Filled<[number, number], Timing>;
export function keyframes<const Timing extends KeyframeTiming>(
  list: Frames<ColorLike>,
  timing: Timing,
): (seconds: number) => Filled<Color, Timing>;
export function keyframes(list: Frames<KeyframeValue>, timing: KeyframeTiming): (seconds: number) => unknown {
  checkKeys(call, optionsObject(call, timing, '{ duration: 2 } behind the keyframes'), timingKeys);
  const progressAt = readTiming(timing);
  const valueAt = readFrames(list, timing.angles === true);
  return (seconds) => {
    const progress = progressAt(finite(call, 'seconds', seconds));
    return progress === undefined ? undefined : valueAt(progress);
  };
}

/** From seconds to how far the iteration at hand has come; undefined where no value is in effect. */
function readTiming(timing: KeyframeTiming): (seconds: number) => number | undefined {
  const duration = notNegative(call, 'duration', timing.duration);
  const delay = finite(call, 'delay', timing.delay ?? 0);
  const iterations =
    timing.iterations === Infinity ? Infinity : notNegative(call, 'iterations', timing.iterations ?? 1);
  const direction = oneOf(call, 'direction', timing.direction ?? 'normal', [
    'normal',
    'reverse',
    'alternate',
    'alternate-reverse',
  ]);
  const fill = oneOf(call, 'fill', timing.fill ?? 'both', ['none', 'forwards', 'backwards', 'both']);
  const ease = easing(timing.easing ?? 'linear');
  const active = duration === 0 || iterations === 0 ? 0 : duration * iterations;

  return (seconds) => {
    const before = seconds < delay;
    const after = !before && seconds >= delay + active;
    if (before && fill !== 'backwards' && fill !== 'both') return undefined;
    if (after && fill !== 'forwards' && fill !== 'both') return undefined;
    const activeTime = Math.min(active, Math.max(0, seconds - delay));
    const overall = duration === 0 ? (before ? 0 : iterations) : activeTime / duration;
    const atEnd = !before && activeTime === active && iterations !== 0;
    let progress = overall === Infinity ? 0 : overall % 1;
    if (progress === 0 && atEnd && overall > 0) progress = 1;
    const iteration = progress === 1 ? Math.floor(overall) - 1 : Math.floor(overall);
    const backwards =
      direction === 'reverse' ||
      (direction !== 'normal' && (iteration + (direction === 'alternate' ? 0 : 1)) % 2 === 1);
    return ease(backwards ? 1 - progress : progress);
  };
}

/** From progress to the value there; an easing that overshoots goes on beyond the first and the last. */
function readFrames(
  list: readonly (KeyframeValue | Keyframe<KeyframeValue>)[],
  angles: boolean,
): (progress: number) => unknown {
  if (!Array.isArray(list) || list.length === 0)
    return fail({
      call,
      option: 'list',
      value: list,
      problem: 'holds no keyframes',
      expected: 'expected values, or { value, offset, easing }',
    });
  const frames = list.map(readFrame);
  const offsets = frames.length === 1 ? [0] : fillOffsets(frames.map(({ offset }) => offset));
  const eases: Easing[] = frames.map((frame) => easing(frame.easing ?? 'linear'));
  const mixers = frames.slice(1).map((frame, i) => mixer(frames[i].value, frame.value, angles));
  if (mixers.length === 0) mixers.push(mixer(frames[0].value, frames[0].value, angles));
  return (progress) => {
    let segment = 0;
    while (segment < mixers.length - 1 && progress >= offsets[segment + 1]) segment++;
    const length = (offsets[segment + 1] ?? 1) - offsets[segment];
    // Before the first offset and behind the last the nearest value holds, but an overshoot at 0 or 1 goes on.
    const local = length === 0 ? (progress < offsets[segment] ? 0 : 1) : (progress - offsets[segment]) / length;
    const held = offsets[0] > 0 && local < 0 ? 0 : (offsets.at(-1) as number) < 1 && local > 1 ? 1 : local;
    return mixers[segment](held >= 0 && held <= 1 ? eases[segment](held) : held);
  };
}

function readFrame(entry: KeyframeValue | Keyframe<KeyframeValue>, index: number): Keyframe<KeyframeValue> {
  if (typeof entry !== 'object' || Array.isArray(entry) || entry instanceof Color)
    return { value: entry as KeyframeValue };
  const frame = entry as Keyframe<KeyframeValue>;
  checkKeys(`${call} list[${index}]`, frame, frameKeys);
  if (frame.offset !== undefined) within(call, `list[${index}] offset`, frame.offset, 0, 1);
  return frame;
}

function mixer(from: KeyframeValue, to: KeyframeValue, angles: boolean): (t: number) => unknown {
  if (typeof from === 'number' && typeof to === 'number') {
    const way = finite(call, 'value', to) - finite(call, 'value', from);
    const shorter = angles ? ((((way + 180) % 360) + 360) % 360) - 180 : way;
    return (t) => from + shorter * t;
  }
  if (Array.isArray(from) && Array.isArray(to)) {
    const [[x0, y0], [x1, y1]] = [from, to] as [[number, number], [number, number]];
    for (const value of [x0, y0, x1, y1]) finite(call, 'value', value);
    return (t) => [x0 + (x1 - x0) * t, y0 + (y1 - y0) * t];
  }
  const isColor = (value: KeyframeValue): value is ColorLike => typeof value === 'string' || value instanceof Color;
  if (isColor(from) && isColor(to)) return ramp([from, to]);
  return fail({
    call,
    option: 'value',
    value: to,
    problem: 'is of another kind than the one before',
    expected: 'expected all numbers, all points or all colours',
  });
}
