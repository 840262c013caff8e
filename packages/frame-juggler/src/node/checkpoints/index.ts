import { SketchError } from '../../error.ts';
import { kindOf } from '../../schema/kind.ts';
import type { Run } from '../../sketch/run.ts';
import type { Store } from '../store.ts';
import type { CheckpointOptions, Checkpoints } from './checkpoints.ts';

const isStore = (value: unknown): value is Store => typeof (value as Store | null)?.list === 'function';

/** The kind of a place for checkpoints. */
export const checkpointPlace = kindOf<string | Store>(
  'a folder, or a store',
  (value) => (typeof value === 'string' && value !== '') || isStore(value),
  'is neither a folder nor a store',
);

/** What of an output's options its checkpoints are about. */
export interface Wish {
  readonly checkpoints?: string | Store | undefined;
  readonly source?: unknown;
  readonly onNote?: ((text: string) => void) | undefined;
}

/**
 * The checkpoints of a run as they are asked for; undefined where they are not, or would not help.
 * @throws SketchError where it is not known what sketch they are of
 */
export async function checkpointsFor(
  run: Run,
  { checkpoints: at, source, onNote }: Wish,
  more: Pick<CheckpointOptions, 'readOnly' | 'spacing'> = {},
): Promise<Checkpoints | undefined> {
  if (at === undefined) return undefined;
  if (typeof source !== 'string' && !(source instanceof Uint8Array))
    throw new SketchError({
      problem: 'checkpoints are of no use once the sketch has changed, and nothing tells when it has',
      expected: "expected source: the text of the sketch's file, and of what it imports",
    });
  // Most renders do without what reads and writes them.
  const { Checkpoints } = await import('./checkpoints.ts');
  return Checkpoints.open(run, { at, source, onNote, ...more });
}
