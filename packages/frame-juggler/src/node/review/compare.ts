import { SketchError } from '../../error.ts';
import { layOutStrip } from '../../formats/strip.ts';
import type { Frame } from '../../frame/frame.ts';
import { Picture } from '../../paint/picture.ts';
import { compareFrames, frameDifferenceLines, type FrameDifference } from '../../review/compare-frames.ts';
import { comparePictures, pictureDifferenceInWords, type PictureDifference } from '../../review/compare-pictures.ts';
import { wrapLines } from '../../review/table.ts';
import { between, fraction, text } from '../../schema/kind.ts';
import { optional, schemaOf, type Options } from '../../schema/schema.ts';
import { isSketch, type Sketch } from '../../sketch/sketch.ts';
import { isPictureFile, readPictureFile } from '../read-picture.ts';
import { sketchFrom } from '../sketch-from.ts';
import { encodePng } from '../png.ts';
import { writeAtomically } from '../write-atomically.ts';
import { oneFrameTable, paintedFrame } from './painted-frame.ts';
import { givenBy } from '../../schema/given.ts';
import { kindOf } from '../../schema/kind.ts';

const frameOptions = schemaOf(oneFrameTable, '{ frame: 12, seed: 7 }');
/** A frame of a sketch, as one side of a comparison. */
export type ComparedFrame = Options<typeof oneFrameTable> & {
  /** What is drawn: a sketch, or the name of its file. */
  readonly sketch: Sketch | string;
  /** What it is called under its picture; its title, frame and seed if left out. */
  readonly name?: string;
};
/**
 * One side of a comparison: a frame, or a picture that is there already. A sketch or a file by itself is compared by its
 * first frame, or as the picture that it is: .png, .jpg.
 */
export type Compared =
  | Sketch
  | string
  | ComparedFrame
  | {
      /** A picture that is there already. */
      readonly picture: Picture;
      /** What it is called. */
      readonly name?: string;
    };

const compareTable = {
  /** How different colors may be and still count as equal, from 0 to 1, the distance from black to white. */
  threshold: optional(fraction, 0),
  /** The percentage of pixels that may differ. */
  tolerance: optional(between(0, 100), 0),
  /** A .png file to write: both side by side, with the differences marked. */
  to: optional(text),
};
const compareOptions = schemaOf(compareTable, "{ to: 'difference.png' }");
/** How two pictures are compared. */
export interface CompareOptions extends Options<typeof compareTable> {}

/** What two frames or pictures differ in. */
export interface Comparison {
  /** What kind of data it is. */
  readonly format: 'frame-juggler/comparison';
  /** Increases where older readers could not read it. */
  readonly version: 1;
  /** What was compared, in words. */
  readonly names: readonly [string, string];
  /** Whether no more differs than may. */
  readonly alike: boolean;
  /** How far the pictures differ. */
  readonly pixels: Omit<PictureDifference, 'marked'>;
  /** Which items differ, where both sides are frames. */
  readonly items: FrameDifference | undefined;
}

interface Side {
  readonly name: string;
  readonly picture: Picture;
  readonly frame: Frame | undefined;
}

/**
 * Compares two frames, two pictures, or a frame with a picture: which pixels differ, and of frames which items.
 * @throws SketchError where a sketch is wrong, or the two are not of one size
 */
export async function compare(one: Compared, other: Compared, options: CompareOptions = {}): Promise<Comparison> {
  const { threshold, tolerance, to } = compareOptions.read('compare', options);
  const [before, after] = [await sideOf('one', one), await sideOf('other', other)];
  const { marked, ...pixels } = comparePictures(before.picture, after.picture, threshold);
  if (to !== undefined) {
    if (!/\.png$/i.test(to))
      throw new SketchError({
        problem: `a comparison cannot be written to ${to}`,
        expected: 'expected a .png file',
      });
    const tiles = [
      { picture: before.picture, text: before.name },
      { picture: after.picture, text: after.name },
      {
        picture: marked,
        text: pixels.pixels === 0 ? 'no pixel differs' : `${(pixels.share * 100).toFixed(2)} % differ, marked`,
      },
    ];
    const { width, height } = before.picture;
    await writeAtomically(to, encodePng(await layOutStrip(tiles, width > 1.5 * height ? 2 : 3)));
  }
  return {
    format: 'frame-juggler/comparison',
    version: 1,
    names: [before.name, after.name],
    alike: pixels.share * 100 <= tolerance,
    pixels,
    items: before.frame && after.frame && compareFrames(before.frame, after.frame),
  };
}

const compared = kindOf<Compared>(
  'a sketch, a file, { sketch, frame } or { picture, name }',
  (value) => typeof value === 'string' || (typeof value === 'object' && value !== null),
  'cannot be compared',
);

async function sideOf(option: string, given: Compared): Promise<Side> {
  const side = compared.read('compare', option, given);
  if (typeof side === 'string')
    return isPictureFile(side)
      ? { name: side, picture: await readPictureFile(side), frame: undefined }
      : sideOf(option, { sketch: side });
  if (isSketch(side)) return sideOf(option, { sketch: side });
  if ('picture' in side) return { name: side.name ?? 'a picture', picture: side.picture, frame: undefined };
  const { sketch, name, ...options } = side;
  const loaded = await sketchFrom('compare', sketch);
  const { run, at, frame, picture } = await paintedFrame(loaded, frameOptions.read('compare', options));
  return { name: name ?? `${loaded.title}, frame ${at}, seed ${run.seed}`, picture: picture(), frame };
}

const given = givenBy<Comparison>('a comparison', 'await compare(…)', 'names', 'pixels');

/** A comparison as lines of text. @param width of the terminal, in letters */
export function comparisonLines(comparison: Comparison, width = 100): string[] {
  const { names, pixels, items } = given.read('comparisonLines', 'comparison', comparison);
  const inPixels = wrapLines(pictureDifferenceInWords(pixels), width);
  return [...names, '', ...inPixels, ...(items === undefined ? [] : frameDifferenceLines(items, width))];
}
