import type { Tinypool } from 'tinypool';
import { draw, drawShare, type DrawTask, type PackTask, type ShareTask } from './draw.ts';
import { withSharedPictures } from './picture-memory.ts';

/** Draws frames in a pool of threads, or in this thread if there are to be none. */
export class DrawPool {
  private readonly pool: Promise<Tinypool> | undefined;

  /** @param threads how many, 0 for none; they start at once, while the first frame is stepped to and painted */
  constructor(readonly threads: number) {
    if (threads > 0) this.pool = openPool(threads);
    // What fails is told by the first task: till then it must not count as unhandled.
    this.pool?.catch(() => undefined);
  }

  /** How many tasks are worth handing over before the first is awaited. */
  get depth(): number {
    return this.threads === 0 ? 1 : this.threads * 3;
  }

  /** The indices of a task are transferred, not copied: the caller cannot use them afterwards. */
  async draw(task: DrawTask | PackTask): Promise<Uint8Array> {
    if (this.pool === undefined) return draw(task);
    const sent = 'frames' in task ? { ...task, frames: task.frames.map(withSharedPictures) } : task;
    const transferList = 'indices' in task ? [task.indices.buffer as ArrayBuffer] : [];
    return (await this.pool).run(sent, { transferList }) as Promise<Uint8Array>;
  }

  /** Draws a share of a frame. */
  async share(task: ShareTask): Promise<void> {
    if (this.pool === undefined) return drawShare(task);
    await (await this.pool).run({ ...task, frame: withSharedPictures(task.frame) });
  }

  async close(): Promise<void> {
    await (await this.pool)?.destroy();
  }
}

/** The package is loaded when there is something to share: a single small picture starts sooner without it. */
async function openPool(threads: number): Promise<Tinypool> {
  const { Tinypool } = await import('tinypool');
  return new Tinypool({
    filename: new URL('./draw-worker.js', import.meta.url).href,
    minThreads: threads,
    maxThreads: threads,
    isolateWorkers: false,
    // --input-type is meant for a script on the command line; a thread's file could not be loaded with it.
    execArgv: process.execArgv.filter((argument) => !argument.startsWith('--input-type')),
  });
}
