import { existsSync } from 'node:fs';
import { mkdir, rm } from 'node:fs/promises';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { SketchError } from '../error.ts';
import { encodePng } from '../node/png.ts';
import { readPictureFile } from '../node/read-picture.ts';
import { compare, type Compared, type ComparedFrame } from '../node/review/compare.ts';
import { oneFrameTable, paintedFrame } from '../node/review/painted-frame.ts';
import { sketchFrom } from '../node/sketch-from.ts';
import { writeAtomically } from '../node/write-atomically.ts';
import { Picture } from '../paint/picture.ts';
import { pictureDifferenceInWords } from '../review/compare-pictures.ts';
import { between, fraction, oneOf } from '../schema/kind.ts';
import { optional, schemaOf, type Options } from '../schema/schema.ts';
import { isSketch, type Sketch } from '../sketch/sketch.ts';

/** What is looked at: a sketch or its file (the first frame), a frame of one as `compare` takes it, or a picture. */
export type LookSubject = Sketch | string | ComparedFrame | Picture;

const lookTable = {
  /** How different colors may be and still count as equal, from 0 to 1, the distance from black to white. */
  threshold: optional(fraction, 0),
  /** The percentage of pixels that may differ. */
  tolerance: optional(between(0, 100), 0),
  /** Whether the kept picture is written: `all` replaces it, `new` writes one that is missing, `none` writes nothing. */
  update: optional(oneOf('all', 'new', 'none')),
};
const lookOptions = schemaOf(lookTable, '{ tolerance: 0.1 }');
/** How a frame is held against its kept picture. */
export interface LookOptions extends Options<typeof lookTable> {}

/** What came of it. */
export interface Look {
  /** Whether it looks like the kept picture. */
  readonly alike: boolean;
  /** What differs, or what was written, in words. */
  readonly message: string;
  /** The file in which both stand side by side, where they differ. */
  readonly difference: string | undefined;
}

/**
 * Holds a frame against a kept picture. Where there is none yet it is written; where they differ, a picture of both with
 * the difference marked is written beside it, `NAME.difference.png`. The variable JUGGLE_UPDATE=1 replaces kept pictures.
 * @param file the kept .png, as a path or as `new URL('./kept.png', import.meta.url)`
 * @throws SketchError where the sketch is wrong, the file cannot be read, or an option is not valid
 */
export async function looksLike(subject: LookSubject, file: string | URL, options: LookOptions = {}): Promise<Look> {
  const read = lookOptions.read('looksLike', options);
  const kept = file instanceof URL ? fileURLToPath(file) : file;
  if (!/\.png$/i.test(kept))
    throw new SketchError({ call: 'looksLike', option: 'file', value: kept, problem: 'is not a .png file' });
  const {
    threshold,
    tolerance,
    update = process.env.JUGGLE_UPDATE === '1' ? 'all' : process.env.CI ? 'none' : 'new',
  } = read;
  const name = path.basename(kept);
  const difference = kept.replace(/\.png$/i, '.difference.png');
  const isThere = existsSync(kept);
  if (update === 'all' || (update === 'new' && !isThere)) {
    await mkdir(path.dirname(kept), { recursive: true });
    await writeAtomically(kept, encodePng(await pictureOf(subject)));
    await rm(difference, { force: true });
    return { alike: true, message: `${name} was ${isThere ? 'replaced' : 'written'}`, difference: undefined };
  }
  if (!isThere)
    return {
      alike: false,
      message: `${name} is not there, and nothing is written with update: 'none'`,
      difference: undefined,
    };
  const before = await readPictureFile(kept);
  const now = await pictureOf(subject);
  if (now.width !== before.width || now.height !== before.height) {
    const message = `it has ${now.width} × ${now.height} pixels, ${name} has ${before.width} × ${before.height}`;
    return { alike: false, message, difference: undefined };
  }
  const sides: [Compared, Compared] = [
    { picture: before, name },
    { picture: now, name: 'now' },
  ];
  const { alike, pixels } = await compare(...sides, { threshold, tolerance });
  if (alike) await rm(difference, { force: true });
  else await compare(...sides, { threshold, tolerance, to: difference });
  const message = pictureDifferenceInWords(pixels);
  return { alike, message, difference: alike ? undefined : difference };
}

const frameOptions = schemaOf(oneFrameTable, '{ sketch, frame: 12 }');

async function pictureOf(subject: LookSubject): Promise<Picture> {
  if (subject instanceof Picture) return subject;
  const isWhole = isSketch(subject) || typeof subject === 'string';
  const { sketch, name: _, ...options } = isWhole ? { sketch: subject } : subject;
  if (!isSketch(sketch) && typeof sketch !== 'string')
    throw new SketchError({
      call: 'looksLike',
      option: 'subject',
      problem: 'is neither a sketch nor a picture',
      expected: 'expected a sketch, { sketch, frame } or a picture',
    });
  const loaded = await sketchFrom('looksLike', sketch);
  return (await paintedFrame(loaded, frameOptions.read('looksLike', options))).picture();
}
