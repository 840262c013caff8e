import type { SourceLine } from 'frame-juggler';
import type { RunArguments } from '../arguments.ts';
import type { SketchCall } from '../calls.ts';
import { runJob } from '../job/run-job.ts';
import { Progress } from '../progress.ts';

/** Seconds after which a call that is known to never come back is taken for it. */
const patience = 1;
/** Frames beyond this would take too long to get to. */
const maxFrame = 20_000;

/**
 * Finds the line that a sketch is stuck at, which no browser tells of a worker: the run is gone through once more in a
 * thread of Node's, up to the same call.
 * @returns undefined where that run is not stuck there, since pointer or keys had a part in it, say
 */
export async function whereStuck(
  file: string,
  run: RunArguments,
  stuck: Pick<SketchCall, 'kind' | 'frame'>,
  signal: AbortSignal,
): Promise<SourceLine | undefined> {
  const { kind, frame } = stuck;
  if (frame > maxFrame) return undefined;
  let found: SourceLine | undefined;
  const onStuck = (call: SketchCall, source: SourceLine | undefined): void => {
    if (call.kind === kind && (kind === 'load' || call.frame === frame)) found = source;
  };
  const options = { frame, as: 'words', width: 80, whole: false } as const;
  const request = { name: 'explain', file, output: undefined, run: { ...run, patience }, options } as const;
  // Whatever else this run comes to was not what the page saw.
  await runJob(request, new Progress('frames', true), { silent: true, signal, onStuck }).catch(() => undefined);
  return found;
}
