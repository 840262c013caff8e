import { Tinypool } from 'tinypool';
import { draw, drawShare, type DrawTask, type PackTask, type ShareTask } from './draw.ts';
import { withSharedPictures } from './picture-memory.ts';

/** Draws frames in threads of their own; in this one where there are to be none. */
export class DrawPool {
  private pool: Tinypool | undefined;

  /** @param threads how many, 0 for none; they start with the first task */
  constructor(readonly threads: number) {}

  /** How many tasks are worth handing over before the first is awaited. */
  get depth(): number {
    return this.threads === 0 ? 1 : this.threads * 2;
  }

  /** Indices are handed over, not copied: they are no longer there afterwards. */
  async draw(task: DrawTask | PackTask): Promise<Uint8Array> {
    if (this.threads === 0) return draw(task);
    const sent = 'frames' in task ? { ...task, frames: task.frames.map(withSharedPictures) } : task;
    const transferList = 'indices' in task ? [task.indices.buffer as ArrayBuffer] : [];
    return this.run(sent, transferList) as Promise<Uint8Array>;
  }

  /** Draws a share of a frame. */
  async share(task: ShareTask): Promise<void> {
    if (this.threads === 0) return drawShare(task);
    await this.run({ ...task, frame: withSharedPictures(task.frame) });
  }

  private run(task: unknown, transferList: ArrayBuffer[] = []): Promise<unknown> {
    this.pool ??= new Tinypool({
      filename: new URL('./draw-worker.js', import.meta.url).href,
      minThreads: this.threads,
      maxThreads: this.threads,
      isolateWorkers: false,
      // What says how a script on the command line is to be read would keep a thread's file from being one.
      execArgv: process.execArgv.filter((argument) => !argument.startsWith('--input-type')),
    });
    return this.pool.run(task, { transferList });
  }

  async close(): Promise<void> {
    await this.pool?.destroy();
  }
}
