import { parseDial, type DialMap } from 'frame-juggler';
import type { Varied } from './arguments.ts';
import { SketchError } from './errors.ts';
import { spread } from './spread.ts';

/**
 * The values that dials are to be shown with, by name.
 * @param asked each dial with its values as text: `0..60`, `calm,rough`, or none for those it has by itself
 * @param count how many of a range
 */
export function valuesToVary(
  dials: DialMap,
  asked: readonly Varied[],
  count: number,
): Record<string, readonly unknown[]> {
  const names = asked.map(([name]) => name);
  const twice = names.find((name, i) => names.indexOf(name) !== i);
  if (twice !== undefined)
    throw new SketchError({
      problem: `--vary ${twice} was given twice`,
      expected: `expected all its values in one: --vary ${twice}=A,B,C`,
    });
  return Object.fromEntries(asked.map(([name, text]) => [name, valuesOf(dials, name, text, count)]));
}

function valuesOf(dials: DialMap, name: string, text: string | undefined, count: number): unknown[] {
  const control = Object.hasOwn(dials, name) ? dials[name].control : undefined;
  const range = control?.type === 'number' ? rangeOf(text ?? `${control.min}..${control.max}`) : undefined;
  if (range !== undefined) return spread(range, control?.type === 'number' ? control.step : undefined, count);
  const own = control?.type === 'toggle' ? ['off', 'on'] : control?.type === 'choice' ? control.choices : undefined;
  if (text === undefined && own === undefined && control !== undefined)
    throw new SketchError({
      problem: `--vary ${name} does not say with which values`,
      expected: `expected ${control.type === 'number' ? `--vary ${name}=A..B` : `--vary ${name}=A,B,C`}`,
    });
  return (text === undefined ? (own ?? ['']) : parts(text)).map((part) => parseDial(dials, name, part));
}

/** `A..B` as two numbers; undefined where it is anything else. */
function rangeOf(text: string): [number, number] | undefined {
  const ends = text.split('..').map((end) => (end.trim() === '' ? NaN : Number(end)));
  return ends.length === 2 && ends.every(Number.isFinite) ? (ends as [number, number]) : undefined;
}

/** What stands between commas (or semicolons, where a value has commas of its own), outside of parentheses. */
function parts(text: string): string[] {
  const separator = text.includes(';') ? /;/ : /,(?![^(]*\))/;
  return text.split(separator).map((part) => part.trim());
}
