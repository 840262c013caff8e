import { availableParallelism } from 'node:os';
import { Kind, whole } from '../schema/kind.ts';

/*
 * The threads that draw. This file leads to little else of the library, so that they can be started before it is loaded.
 */

/** What does tasks: of the package's own types an editor would need Node's. */
interface Pool {
  run(task: unknown, options: { readonly transferList: ArrayBuffer[] }): Promise<unknown>;
  destroy(): Promise<void>;
}

const howMany = whole(1);
const pools = new WeakMap<DrawingThreads, Promise<Pool>>();

/**
 * Threads that draw, started at once and kept for one render after the other, as `threads` of each: those need not wait
 * for threads of their own, which take a tenth of a second to start and some forty frames to be fast.
 */
export class DrawingThreads {
  /** How many. */
  readonly count: number;

  /** @param count how many, at most two per core; by default one per core */
  constructor(count?: number) {
    this.count = threadCount(count === undefined ? undefined : howMany.read('DrawingThreads', 'count', count));
    const pool = openPool(this.count);
    // What fails is told by the first task: till then it must not count as unhandled.
    pool.catch(() => undefined);
    pools.set(this, pool);
  }

  /** Ends them; what is being drawn by them fails. A script that ends need not wait for it. */
  async close(): Promise<void> {
    const pool = pools.get(this);
    pools.delete(this);
    await (await pool)?.destroy();
  }
}

/** How many threads there are where so many are asked for: one per core, if not. */
export function threadCount(asked: number | undefined): number {
  const cores = availableParallelism();
  return Math.min(asked ?? cores, 2 * cores);
}

/** What does the tasks; undefined once they are closed. */
export function poolOf(threads: DrawingThreads): Promise<Pool> | undefined {
  return pools.get(threads);
}

/** The kind of what draws: threads that are there, or how many are to be. */
export const drawnBy = new Kind<number | DrawingThreads>(
  'a whole number, 1 or more, or DrawingThreads',
  (value) => value instanceof DrawingThreads || howMany.allows(value),
  (value, words) => howMany.complain(value, words),
);

async function openPool(threads: number): Promise<Pool> {
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
