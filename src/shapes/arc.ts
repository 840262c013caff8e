import { fail } from '../error.ts';
import { arc as arcTo, close, line, move, type Path } from '../geometry/path.ts';
import { finite, lengths, missing, notNegative, oneOf, type Pair } from '../options.ts';
import { placeSized, type PinOptions } from './place.ts';
import type { ShapeKind } from './kind.ts';

/** A part of an ellipse's edge, from one angle to another. */
export interface ArcOptions extends PinOptions {
  radius?: number;
  radii?: number | Pair;
  /** Where it begins, in degrees: 0 along +x. */
  start: number;
  /** Where it ends; below `start` it runs the other way. */
  end: number;
  /** Joins the ends by a straight line, or through the middle as a slice; open if left out. */
  close?: 'chord' | 'center';
}

export const arc: ShapeKind<ArcOptions> = {
  name: 'arc',
  keys: ['at', 'anchor', 'radius', 'radii', 'start', 'end', 'close'],
  example: '{ at: [100, 80], radius: 40, start: 0, end: 180 }',
  outline(options, call, around) {
    const [rx, ry] = readRadii(options, call);
    const start = finite(call, 'start', options.start);
    const sweep = Math.max(-360, Math.min(360, finite(call, 'end', options.end) - start));
    const closing = options.close === undefined ? undefined : oneOf(call, 'close', options.close, ['chord', 'center']);
    const { x, y, pin } = placeSized(call, options, 2 * rx, 2 * ry, around);
    const edge: Path = [arcTo, x, y, rx, ry, 0, start, sweep];
    if (closing === undefined) return { path: edge, inside: false, pin };
    // A whole turn has no ends to lead to the middle.
    const slice = closing === 'center' && Math.abs(sweep) < 360;
    return { path: slice ? [move, x, y, ...edge, line, x, y, close] : [...edge, close], inside: true, pin };
  },
};

function readRadii({ radius, radii }: ArcOptions, call: string): Pair {
  if (radii === undefined) {
    if (radius === undefined) missing(call, 'radius', 'a number, 0 or more; or give radii, [x, y]');
    const both = notNegative(call, 'radius', radius);
    return [both, both];
  }
  if (radius !== undefined)
    fail({ call, option: 'radii', value: radii, problem: 'is given beside a radius', expected: 'give one of them' });
  return lengths(call, 'radii', radii);
}
