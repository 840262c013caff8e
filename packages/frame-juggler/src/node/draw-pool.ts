import type { Tinypool } from 'tinypool';
import { draw, drawShare, type DrawTask, type PackTask, type ShareTask } from './draw.ts';
import { withSharedPictures } from './picture-memory.ts';

/** Draws frames in a pool of threads, or in this thread if there are to be none. */
export class DrawPool {
  private pool: Promise<Tinypool> | undefined;

  /** @param threads how many, 0 for none; they start with the first task, or before it where that is known to come */
  constructor(readonly threads: number) {}

  /** Starts the threads, so that they are there once the first frame is stepped to and painted. */
  start(): void {
    // What fails is told by the first task: till then it must not count as unhandled.
    if (this.threads > 0) this.opened().catch(() => undefined);
  }

  /** How many tasks are worth handing over before the first is awaited. */
  get depth(): number {
    return this.threads === 0 ? 1 : this.threads * 3;
  }

  /** What is only to be packed is transferred, not copied: the caller cannot use it afterwards. */
  async draw(task: DrawTask | PackTask): Promise<Uint8Array> {
    if (this.threads === 0) return draw(task);
    const sent = 'frames' in task ? { ...task, frames: task.frames.map(withSharedPictures) } : task;
    const packed = 'indices' in task ? task.indices : 'unpacked' in task ? task.unpacked : undefined;
    const transferList = packed === undefined ? [] : [packed.buffer as ArrayBuffer];
    return (await this.opened()).run(sent, { transferList }) as Promise<Uint8Array>;
  }

  /** Draws a share of a frame. */
  async share(task: ShareTask): Promise<void> {
    if (this.threads === 0) return drawShare(task);
    await (await this.opened()).run({ ...task, frame: withSharedPictures(task.frame) });
  }

  private opened(): Promise<Tinypool> {
    return (this.pool ??= openPool(this.threads));
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
    ...(process.execArgv.some(isInputType) && { execArgv: process.execArgv.filter((flag) => !isInputType(flag)) }),
  });
}

/**
 * A thread has its process's flags, and may not be given those of the engine, such as --max-old-space-size, by
 * themselves. --input-type alone is taken away: it is meant for a script on the command line, and a thread's file could
 * not be loaded with it.
 */
const isInputType = (flag: string): boolean => flag.startsWith('--input-type');
