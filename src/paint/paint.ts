import { readPacked, type ColorLike, type PackedColor } from './color.ts';

/** What an area is filled with, resolved. */
export type Paint = PackedColor;

/** What a sketch may give as a fill or a stroke's colour. */
export type PaintLike = ColorLike | 'none';

/** Reads a fill or a stroke's colour; undefined is "none". */
export function readPaint(call: string, option: string, value: unknown): Paint | undefined {
  if (value === 'none') return undefined;
  return readPacked(call, option, value);
}
