import { anything, callable } from '../../schema/kind.ts';
import { optional, type Options, schemaOf } from '../../schema/schema.ts';
import { sketchKind, type Sketch } from '../../sketch/sketch.ts';
import { frameRange, rangeOf } from '../film.ts';
import { openRun, runSettingsTable } from '../run-settings.ts';
import { checkpointPlace, checkpointsFor } from './index.ts';

const keepTable = {
  ...runSettingsTable,
  /** A folder (or a store) for them. */
  checkpoints: checkpointPlace,
  /** The frames that they are for: steps end at the last. By default the whole run. */
  frames: optional(frameRange),
  /** What the sketch was made from: text or bytes that tell when it has changed. */
  source: anything,
  /** Called with the reason where there are none. */
  onNote: optional(callable<(text: string) => void>()),
};
const keepOptions = schemaOf(keepTable, "{ checkpoints: 'checkpoints', source }");
/** Of which run checkpoints are kept, and where. */
export interface KeepOptions extends Options<typeof keepTable> {}

/** On the way ahead of others they are kept closer together, so that each chunk, be it small, finds one nearby. */
const spacing = { least: 200, share: 0.01, cost: 0.1 };

/**
 * Steps a sketch through a run and keeps checkpoints on the way, so that chunks that are rendered elsewhere (see
 * {@link ChunkRenderer}) need not do the same. Nothing is drawn.
 * @throws SketchError where the sketch is wrong, or the folder cannot be used
 */
export async function keepCheckpoints(sketch: Sketch, options: KeepOptions): Promise<void> {
  sketchKind.read('keepCheckpoints', 'sketch', sketch);
  const read = keepOptions.read('keepCheckpoints', options);
  const run = openRun(sketch, read);
  const [, last] = rangeOf(run, read.frames);
  const checkpoints = await checkpointsFor(run, read, { spacing });
  await checkpoints?.bring(last);
}
