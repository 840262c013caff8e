import { readFile } from 'node:fs/promises';
import { SketchError } from '../error.ts';
import type { Picture } from '../paint/picture.ts';
import { describe } from './describe.ts';
import { givenPath } from './given.ts';

/** Whether a name is that of a picture that can be read. */
export function isPictureFile(file: string): boolean {
  return /\.(?:png|jpe?g)$/i.test(file);
}

/** Reads a PNG or JPEG. @throws SketchError where it is not there, or is none */
export async function readPictureFile(file: string): Promise<Picture> {
  givenPath.read('readPictureFile', 'file', file);
  const bytes = await readFile(file).catch((error: unknown) => {
    throw new SketchError({ problem: `${file} could not be read: ${describe(error, 'it')}` });
  });
  // The picture packages take as long to load as all the rest of the library.
  const { decodePicture } = await import('../sketch/decode-picture.ts');
  let picture: Picture | undefined;
  try {
    picture = await decodePicture(bytes);
  } catch (error) {
    throw new SketchError({
      problem: `${file} could not be read: ${error instanceof Error ? error.message : String(error)}`,
    });
  }
  if (picture !== undefined) return picture;
  throw new SketchError({ problem: `${file} is not a picture`, expected: 'expected a PNG or a JPEG' });
}
