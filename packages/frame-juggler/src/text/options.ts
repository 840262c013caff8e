import { fail } from '../error.ts';
import { length, type ValueOf } from '../schema/kind.ts';
import { optional, type Options, schemaOf } from '../schema/schema.ts';
import { anchorKind, pinTable } from '../shapes/place.ts';
import { textStyleTable } from './style.ts';

const anchor = anchorKind('baseline-left', 'baseline', 'baseline-right');
/** The anchors of boxes, and three on the baseline of the first line. */
export type TextAnchor = ValueOf<typeof anchor>;

const table = {
  /** The point of its box that goes to `at`: a name, also one on the first baseline, or fractions of its width and height. */
  anchor: optional(anchor, 'center'),
  /** Lines longer than this, in units, are broken, between words if possible. */
  maxWidth: optional(length),
};
/** Where a text stands, and what it is set in. */
export interface TextOptions extends Options<typeof pinTable & typeof table & typeof textStyleTable> {}
/** What `measureText` takes: how text is set, but not where. */
export interface MeasureOptions extends Options<typeof table & typeof textStyleTable> {}

export const textTable = { ...pinTable, ...table, ...textStyleTable };
export const textOptions = schemaOf(textTable, '{ at: [100, 80], size: 20 } behind the text');
export const measureOptions = schemaOf({ ...table, ...textStyleTable }, '{ size: 20 } behind the text');

/** The string of a text: text or a number. */
export function readString(call: string, string: unknown): string {
  if (typeof string === 'string' || typeof string === 'number') return String(string);
  return fail({
    call,
    option: 'string',
    value: string,
    problem: 'is not text',
    expected: 'expected text or a number first, then options',
  });
}
