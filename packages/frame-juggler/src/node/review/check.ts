import { checkSketch, type Checkup } from '../../checks/check.ts';
import { optional, schemaOf, type Options } from '../../schema/schema.ts';
import { sketchKind, type Sketch } from '../../sketch/sketch.ts';
import { frameRange, rangeOf } from '../film.ts';
import { openRun, runSettingsTable } from '../run-settings.ts';

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
 * @throws SketchError where the sketch is wrong
 */
export async function check(sketch: Sketch, options: CheckOptions = {}): Promise<Checkup> {
  sketchKind.read('check', 'sketch', sketch);
  const settings = checkOptions.read('check', options);
  const { onProgress, frames: wanted } = settings;
  const open = (like: Sketch): ReturnType<typeof openRun> => openRun(like, settings);
  return checkSketch(sketch, {
    frames: wanted && rangeOf(open(sketch), wanted),
    open,
    now: () => performance.now(),
    onProgress: (done, total) => onProgress?.(done, total),
  });
}
