import type { Matrix } from '../geometry/matrix.ts';
import { fail } from '../error.ts';
import { nearest } from '../suggest.ts';
import { Color, readPacked, type ColorLike, type PackedColor } from './color.ts';
import { isGradient, paintOf, type Gradient } from './gradient.ts';
import { isPattern, type Pattern } from './pattern.ts';
import type { Picture } from './picture.ts';

/** What an area or a line is painted with, resolved. A number is a packed color. */
export type Paint = PackedColor | Gradient | Pattern;

/** A picture placed once inside the outline that it fills. */
export interface PictureFill {
  /** Which paint it is. */
  readonly type: 'picture';
  /** Where its pixels come from. */
  readonly picture: Picture;
  /** The part of it that is shown, in its pixels. */
  readonly crop: { readonly x: number; readonly y: number; readonly width: number; readonly height: number };
  /** From the crop's pixels, counted from its corner, to the item's units. */
  readonly transform: Matrix;
  /** Whether pixels are mixed with their neighbors where the picture is enlarged; otherwise they stay squares. */
  readonly smooth: boolean;
}

/** What an outline is filled with: a paint, or a picture laid into it. */
export type Fill = Paint | PictureFill;

/** What a sketch may give as a fill or a stroke's color. */
export type PaintLike = ColorLike | Gradient | Pattern | 'none';

/** Reads a fill or a stroke's color; undefined is "none". */
export function readPaint(call: string, option: string, value: unknown): Paint | undefined {
  if (value === 'none') return undefined;
  // Colors first: they are by far the most, and cheapest to tell.
  if (typeof value === 'string' || value instanceof Color) return readPacked(call, option, value);
  if (isGradient(value)) return paintOf(value);
  if (isPattern(value)) return value;
  if (typeof value === 'object' && value !== null && 'stops' in value) unmade(call, option, value);
  return readPacked(call, option, value);
}

function unmade(call: string, option: string, value: object): never {
  const makers = ['linearGradient', 'radialGradient', 'conicGradient'];
  const type = 'type' in value ? String(value.type) : '';
  return fail({
    call,
    option,
    problem: 'is a plain object',
    expected: `make gradients with ${nearest(`${type}Gradient`, makers) ?? makers.join(', ')}({ … })`,
  });
}
