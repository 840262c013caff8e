import { fail } from '../error.ts';
import { inverse, multiply, rotation, scaling, translation, type Matrix } from '../geometry/matrix.ts';
import { degrees, toggle } from '../schema/kind.ts';
import { bothOf, lengths, point, xOf, yOf } from '../schema/point.ts';
import { optional, type Options, schemaOf } from '../schema/schema.ts';
import { readPicture, type Picture } from './picture.ts';

/** A picture repeated endlessly side by side, as a paint. */
export interface Pattern {
  /** Which paint it is. */
  readonly type: 'pattern';
  /** What is repeated, in both directions. */
  readonly picture: Picture;
  /** From the picture's pixels to the units in force. */
  readonly transform: Matrix;
  /** Whether pixels are mixed with their neighbors where the picture is enlarged; otherwise they stay squares. */
  readonly smooth: boolean;
}

const patternTable = {
  /** The size of one tile, in units; by default that of the picture. */
  size: optional(lengths),
  /** Turns the whole pattern, in degrees, clockwise. */
  rotate: optional(degrees, 0),
  /** Where the corner of a tile goes. */
  at: optional(point, [0, 0]),
  /** Whether it is scaled smoothly (true) or in crisp pixels. */
  smooth: optional(toggle, true),
};
const patternOptions = schemaOf(patternTable, '{ size: 20 }');

/** How the tiles of a pattern are placed. */
export interface PatternOptions extends Options<typeof patternTable> {}

const patterns = new WeakSet<object>();

/** A picture as a paint, in tiles. @throws SketchError where an option is unknown or not valid */
export function pattern(picture: Picture, options: PatternOptions = {}): Pattern {
  const call = 'pattern';
  const { width, height } = readPicture(call, picture);
  const { size, rotate, at, smooth } = patternOptions.read(call, options);
  const [tileWidth, tileHeight] = size === undefined ? [width, height] : bothOf(size);
  let transform = scaling(tileWidth / width, tileHeight / height);
  if (rotate !== 0) transform = multiply(rotation(rotate), transform);
  transform = multiply(translation(xOf(at), yOf(at)), transform);
  if (inverse(transform) === undefined)
    fail({
      call,
      option: 'size',
      value: size,
      problem: 'leaves nothing of a tile',
      expected: 'expected more than 0',
    });
  const result: Pattern = { type: 'pattern', picture, transform, smooth };
  patterns.add(result);
  return result;
}

/** Whether a value came from `pattern`. */
export function isPattern(value: unknown): value is Pattern {
  return typeof value === 'object' && value !== null && patterns.has(value);
}
