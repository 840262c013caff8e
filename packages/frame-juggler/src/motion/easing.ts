import { fail } from '../error.ts';
import { suggest } from '../suggest.ts';
import { finite } from '../schema/kind.ts';
import { cubicBezier } from './cubic-bezier.ts';
import { easingFamilies, type Easing, type EasingCurve } from './easing-families.ts';

export type { Easing };

/** Easings by name: those of CSS, and the usual families with `-in`, `-out` and `-in-out`. */
const named: Readonly<Record<string, EasingCurve>> = {
  linear: (t) => t,
  ease: cubicBezier(0.25, 0.1, 0.25, 1),
  'ease-in': cubicBezier(0.42, 0, 1, 1),
  'ease-out': cubicBezier(0, 0, 0.58, 1),
  'ease-in-out': cubicBezier(0.42, 0, 0.58, 1),
  'step-start': steps(1, 'jump-start'),
  'step-end': steps(1, 'jump-end'),
  ...easingFamilies,
};

/**
 * An easing by its name or in the syntax of CSS Easing 2: `ease-in-out`, `cubic-bezier(0.2, 0, 0, 1)`, `steps(4,
 * jump-none)`, `linear(0, 0.2 40%, 1)`, or one of a family: `back-out`, `bounce-in`, `elastic-in-out` and so on.
 * @throws SketchError where it cannot be read, and of what it gives where the progress is no finite number
 */
export function easing(syntax: string): Easing {
  const curve = readEasing(syntax);
  return (progress) => curve(finite.read('easing', 'progress', progress));
}

/** The curve of an easing, for who has checked what goes in. @throws SketchError where it cannot be read */
export function readEasing(syntax: string): EasingCurve {
  if (typeof syntax !== 'string') return unreadable(syntax, "expected text: 'ease-in-out'");
  const text = syntax.trim().toLowerCase();
  if (Object.hasOwn(named, text)) return named[text];
  const [, name, inside] = /^([a-z-]+)\((.*)\)$/.exec(text) ?? [];
  const parts = inside?.split(',').map((part) => part.trim()) ?? [];
  if (name === 'cubic-bezier') return readCubicBezier(syntax, parts);
  if (name === 'steps') return readSteps(syntax, parts);
  if (name === 'linear') return piecewise(syntax, parts);
  return unreadable(syntax, suggest(text, [...Object.keys(named), 'cubic-bezier()', 'steps()', 'linear()']));
}

function unreadable(syntax: unknown, expected: string): never {
  return fail({ call: 'easing', value: syntax, problem: 'is not an easing', expected });
}

function readCubicBezier(syntax: string, parts: readonly string[]): Easing {
  const numbers = parts.map(Number);
  const [x1, y1, x2, y2] = numbers;
  if (
    numbers.length !== 4 ||
    parts.includes('') ||
    !numbers.every(Number.isFinite) ||
    x1 < 0 ||
    x1 > 1 ||
    x2 < 0 ||
    x2 > 1
  )
    return unreadable(syntax, 'expected cubic-bezier(x1, y1, x2, y2) with x1 and x2 from 0 to 1');
  return cubicBezier(x1, y1, x2, y2);
}

type Jump = 'jump-start' | 'jump-end' | 'jump-none' | 'jump-both';
const jumps: Readonly<Record<string, Jump>> = {
  start: 'jump-start',
  end: 'jump-end',
  'jump-start': 'jump-start',
  'jump-end': 'jump-end',
  'jump-none': 'jump-none',
  'jump-both': 'jump-both',
};

function readSteps(syntax: string, [count = '', position = 'end', ...rest]: readonly string[]): Easing {
  const jump = jumps[position];
  const least = jump === 'jump-none' ? 2 : 1;
  if (!/^\d+$/.test(count) || Number(count) < least || jump === undefined || rest.length > 0)
    return unreadable(syntax, 'expected steps(count, jump-start | jump-end | jump-none | jump-both)');
  return steps(Number(count), jump);
}

/** CSS Easing 2, 2.3. */
function steps(count: number, jump: Jump): EasingCurve {
  const first = jump === 'jump-start' || jump === 'jump-both' ? 1 : 0;
  const heights = count + (jump === 'jump-both' ? 1 : jump === 'jump-none' ? -1 : 0);
  return (t, before) => {
    const whole = Math.floor(t * count);
    const step = whole + first - (before === true && whole === t * count ? 1 : 0);
    if (t >= 0 && step < 0) return 0;
    return t <= 1 && step > heights ? 1 : step / heights;
  };
}

/** CSS Easing 2, 2.1: outputs at inputs, straight lines between; inputs left out are spread evenly, and never fall. */
function piecewise(syntax: string, parts: readonly string[]): Easing {
  const expected = 'expected linear(output input%, …) with two outputs or more';
  const points: { output: number; input: number | undefined }[] = [];
  for (const part of parts) {
    const words = part.split(/\s+/);
    const outputs = words.filter((word) => !word.endsWith('%'));
    const inputs = words.filter((word) => word.endsWith('%')).map((word) => Number(word.slice(0, -1)) / 100);
    const output = Number(outputs[0]);
    if (outputs.length !== 1 || outputs[0] === '' || inputs.length > 2 || ![output, ...inputs].every(Number.isFinite))
      return unreadable(syntax, expected);
    for (const input of inputs.length === 0 ? [undefined] : inputs) points.push({ output, input });
  }
  if (points.length < 2) return unreadable(syntax, expected);
  const inputs = fillOffsets(points.map(({ input }) => input));
  return (t) => {
    let next = 1;
    while (next < points.length - 1 && inputs[next] <= t) next++;
    const [from, to] = [inputs[next - 1], inputs[next]];
    const [low, high] = [points[next - 1].output, points[next].output];
    return from === to ? high : low + ((high - low) * (t - from)) / (to - from);
  };
}

/** Offsets from 0 to 1, with those left out spread evenly between their neighbors, and none below the one before. */
export function fillOffsets(given: readonly (number | undefined)[]): number[] {
  const offsets = [...given];
  offsets[0] ??= 0;
  offsets[offsets.length - 1] ??= 1;
  let least = -Infinity;
  for (let i = 0; i < offsets.length; i++) {
    const offset = offsets[i];
    if (offset !== undefined) offsets[i] = least = Math.max(least, offset);
  }
  let known = 0;
  for (let next = 1; next < offsets.length; next++) {
    if (offsets[next] === undefined) continue;
    const [from, to] = [offsets[known] as number, offsets[next] as number];
    for (let i = known + 1; i < next; i++) offsets[i] = from + ((to - from) * (i - known)) / (next - known);
    known = next;
  }
  return offsets as number[];
}
