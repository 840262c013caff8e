import { Tinypool } from 'tinypool';
import { draw, type DrawTask } from './draw.ts';
import type { SentTask } from './draw-worker.ts';
import { toWire } from './wire.ts';

/** Draws frames in threads of their own; in this one where there are to be none. */
export class DrawPool {
  private readonly pool: Tinypool | undefined;

  /** @param threads how many, 0 for none */
  constructor(readonly threads: number) {
    if (threads === 0) return;
    this.pool = new Tinypool({
      filename: new URL('./draw-worker.js', import.meta.url).href,
      minThreads: threads,
      maxThreads: threads,
      isolateWorkers: false,
    });
  }

  /** How many tasks are worth handing over before the first is awaited. */
  get depth(): number {
    return this.threads === 0 ? 1 : this.threads * 2;
  }

  async draw(task: DrawTask): Promise<Uint8Array> {
    if (this.pool === undefined) return draw(task);
    const sent: SentTask = 'frames' in task ? { ...task, frames: task.frames.map(toWire) } : task;
    return this.pool.run(sent) as Promise<Uint8Array>;
  }

  async close(): Promise<void> {
    await this.pool?.destroy();
  }
}
