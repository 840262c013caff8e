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
import { encodePng } from '../png.ts';
import { writeAtomically } from '../write-atomically.ts';
import { oneFrameTable, paintedFrame } from './painted-frame.ts';
import { givenBy } from '../../schema/given.ts';
import { kindOf } from '../../schema/kind.ts';

const frameOptions = schemaOf(oneFrameTable, '{ frame: 12, seed: 7 }');
/** A frame of a sketch, as one side of a comparison. */
export type ComparedFrame = Options<typeof oneFrameTable> & {
  /** What is drawn. */
  readonly sketch: Sketch;
  /** What it is called under its picture; its title, frame and seed if left out. */
  readonly name?: string;
};
/** One side of a comparison: a frame, or a picture that is there already. */
export type Compared =
  | ComparedFrame
  | {
      /** A picture that is there already. */
      readonly picture: Picture;
      /** What it is called. */
      readonly name: string;
    };

const compareTable = {
  /** How different colors may be and still count as equal, from 0 to 1, the distance from black to white. */
  threshold: optional(fraction, 0),
  /** The percentage of pixels that may differ. */
  tolerance: optional(between(0, 100), 0),
  /** A .png file to write: both side by side, with the differences marked. */
  output: optional(text),
};
const compareOptions = schemaOf(compareTable, "{ output: 'difference.png' }");
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
  const { threshold, tolerance, output } = compareOptions.read('compare', options);
  const [before, after] = [await sideOf('one', one), await sideOf('other', other)];
  const { marked, ...pixels } = comparePictures(before.picture, after.picture, threshold);
  if (output !== undefined) {
    if (!/\.png$/i.test(output))
      throw new SketchError({
        problem: `a comparison cannot be written to ${output}`,
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
    await writeAtomically(output, encodePng(await layOutStrip(tiles, width > 1.5 * height ? 2 : 3)));
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
  '{ sketch, frame } or { picture, name }',
  (value) => typeof value === 'object' && value !== null,
  'is not a frame or a picture',
);

async function sideOf(option: string, side: Compared): Promise<Side> {
  compared.read('compare', option, side);
  if ('picture' in side) return { name: side.name, picture: side.picture, frame: undefined };
  const { sketch, name, ...options } = side;
  if (!isSketch(sketch))
    throw new SketchError({
      call: 'compare',
      option: 'sketch',
      problem: 'is not a sketch',
      expected: 'expected { sketch, frame } or { picture, name }',
    });
  const { run, at, frame, picture } = await paintedFrame(sketch, frameOptions.read('compare', options));
  return { name: name ?? `${sketch.title}, frame ${at}, seed ${run.seed}`, picture: picture(), frame };
}

const given = givenBy<Comparison>('a comparison', 'await compare(…)', 'names', 'pixels');

/** A comparison as lines of text. @param width of the terminal, in letters */
export function comparisonLines(comparison: Comparison, width = 100): string[] {
  const { names, pixels, items } = given.read('comparisonLines', 'comparison', comparison);
  const inPixels = wrapLines(pictureDifferenceInWords(pixels), width);
  return [...names, '', ...inPixels, ...(items === undefined ? [] : frameDifferenceLines(items, width))];
}
