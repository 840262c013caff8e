import { readFileSync } from 'node:fs';
import { checkSketch, type Checkup } from '../../checks/check.ts';
import { optional, schemaOf, type Options } from '../../schema/schema.ts';
import type { Sketch } from '../../sketch/sketch.ts';
import { frameRange, rangeOf } from '../film.ts';
import { openRun, runSettingsTable } from '../run-settings.ts';
import { sketchFrom } from '../sketch-from.ts';

const checkTable = {
  ...runSettingsTable,
  /** The first and the last frame to look at; by default the first 120 (fewer where each has many items), or the whole run if that is shorter. */
  frames: optional(frameRange),
};
const checkOptions = schemaOf(checkTable, '{ frames: [0, 59] }');
/** What is checked. */
export interface CheckOptions extends Options<typeof checkTable> {}

/**
 * Looks a sketch over for likely mistakes: what is drawn and cannot be seen, styles that leak, pictures that are not the
 * same again, and the like. A sketch that says `accept: { NAME: reason }` means what it does.
 * @param sketch a sketch, or the name of a file that `loadSketch` loads
 * @throws SketchError where the sketch is wrong
 */
export async function check(sketch: Sketch | string, options: CheckOptions = {}): Promise<Checkup> {
  const loaded = await sketchFrom('check', sketch);
  const settings = checkOptions.read('check', options);
  const { onProgress, frames: wanted } = settings;
  const open = (like: Sketch): ReturnType<typeof openRun> => openRun(like, settings);
  return checkSketch(loaded, {
    frames: wanted && rangeOf(open(loaded), wanted),
    open,
    now: () => performance.now(),
    read: textOf,
    onProgress: (done, total) => onProgress?.(done, total),
  });
}

/** The text of a file of the sketch's, for the lines in it; undefined where it is no file any more. */
function textOf(file: string): string | undefined {
  try {
    return readFileSync(file, 'utf8');
  } catch {
    return undefined;
  }
}
