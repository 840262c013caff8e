import pixelmatch from 'pixelmatch';
import { SketchError } from '../error.ts';
import type { Box } from '../geometry/box.ts';
import { Picture } from '../paint/picture.ts';
import { givenPicture } from '../paint/given-picture.ts';
import { givenBy } from '../schema/given.ts';

/** What differs between two pictures. */
export interface PictureDifference {
  /** How many pixels differ. */
  readonly pixels: number;
  /** Which share of all pixels differs, 0 to 1. */
  readonly share: number;
  /** The box of those that differ, in pixels; undefined where none does. */
  readonly box: Box | undefined;
  /** The furthest that a channel of a pixel differs, 0 to 255. */
  readonly furthest: number;
  /** Both pictures faintly, with what differs marked. */
  readonly marked: Picture;
}

/** What differs is marked in this color, as in the viewer. */
const mark: [number, number, number] = [224, 33, 138];

/**
 * Compares two pictures of one size, pixel by pixel.
 * @param threshold how far colors may be apart and still be the same, from 0 to 1, the way from black to white
 * @throws SketchError where their sizes differ
 */
export function comparePictures(before: Picture, after: Picture, threshold = 0): PictureDifference {
  givenPicture.read('comparePictures', 'before', before);
  givenPicture.read('comparePictures', 'after', after);
  const { width, height } = before;
  if (width !== after.width || height !== after.height)
    throw new SketchError({
      problem: `the pictures are ${width} × ${height} and ${after.width} × ${after.height} pixels`,
      expected: 'only pictures of one size can be compared',
    });
  const marked = new Uint8Array(before.data.length);
  const options = { threshold, includeAA: true, alpha: 0.15, diffColor: mark, checkerboard: false };
  const pixels = pixelmatch(before.data, after.data, marked, width, height, options);
  let furthest = 0;
  let box: Box | undefined;
  if (pixels > 0)
    for (let at = 0; at < marked.length; at += 4) {
      if (marked[at] !== mark[0] || marked[at + 1] !== mark[1] || marked[at + 2] !== mark[2]) continue;
      for (let channel = at; channel < at + 4; channel++)
        furthest = Math.max(furthest, Math.abs(before.data[channel] - after.data[channel]));
      const [x, y] = [(at / 4) % width, Math.floor(at / 4 / width)];
      box = {
        left: Math.min(box?.left ?? x, x),
        top: Math.min(box?.top ?? y, y),
        right: Math.max(box?.right ?? 0, x + 1),
        bottom: Math.max(box?.bottom ?? 0, y + 1),
      };
    }
  return { pixels, share: pixels / (width * height), box, furthest, marked: new Picture(width, height, marked) };
}

const given = givenBy<Omit<PictureDifference, 'marked'>>('a difference', 'comparePictures', 'pixels', 'share');

/** A difference of pictures in a line of text. */
export function pictureDifferenceInWords(difference: Omit<PictureDifference, 'marked'>): string {
  const { pixels, share, box, furthest } = given.read('pictureDifferenceInWords', 'difference', difference);
  if (pixels === 0 || box === undefined) return 'No pixel differs.';
  const percent = share < 0.0001 ? 'less than 0.01' : (share * 100).toFixed(2);
  const where = `between ${box.left}, ${box.top} and ${box.right}, ${box.bottom}`;
  return `${pixels} ${pixels === 1 ? 'pixel differs' : 'pixels differ'} (${percent} %), ${where}, by up to ${furthest} of 255.`;
}
