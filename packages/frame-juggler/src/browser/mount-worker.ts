import type { DialMap } from '../sketch/dials.ts';
import type { Sketch } from '../sketch/sketch.ts';
import { kindOf } from '../schema/kind.ts';
import { mountWith } from './mount.ts';
import { openingOf, type MountOptions, type Player } from './player.ts';
import { SketchWorker, standIn, WorkerPerformer } from './worker-performer.ts';

/** How a sketch that runs in a worker is shown in a page: as any other, but that no input can stand in for the page's. */
export type MountWorkerOptions<Dials extends DialMap = DialMap> = Omit<MountOptions<Dials>, 'input'>;

const givenWorker = kindOf<Worker>(
  "a worker: new Worker(new URL('./harbor.worker.js', import.meta.url), { type: 'module' })",
  (value) => typeof (value as Partial<Worker> | undefined | null)?.postMessage === 'function',
  'is not a worker',
);

/**
 * Shows a sketch that runs in a worker of its own, so that the page stays awake however heavy it is. The worker's file
 * calls `perform(sketch)` of `frame-juggler/worker`. `stop` ends the worker.
 * @param worker a module worker, just started: bundlers know `new Worker(new URL('./harbor.worker.js', import.meta.url), { type: 'module' })`
 * @param target the element, or a selector for it
 * @returns once the worker has told of its sketch
 * @throws SketchError where the worker cannot be started, there is no such element, or an option is not valid
 */
export async function mountWorker<Dials extends DialMap = DialMap>(
  worker: Worker,
  target: Element | string,
  options: MountWorkerOptions<Dials> = {},
): Promise<Player<Dials>> {
  givenWorker.read('mountWorker', 'worker', worker);
  const asked = new SketchWorker(worker);
  try {
    const facts = await asked.facts;
    const sketch = standIn(facts) as Sketch<Dials>;
    const opened = await asked.ask('open', openingOf(options));
    return mountWith(sketch, target, options, (setting) => new WorkerPerformer(asked, facts.frames, opened, setting));
  } catch (error) {
    asked.end();
    throw error;
  }
}
