import { SketchError } from '../error.ts';
import { draw, drawShare, type DrawTask, type PackTask, type ShareTask } from './draw.ts';
import { DrawingThreads, poolOf, threadCount } from './drawing-threads.ts';
import { withSharedPictures } from './picture-memory.ts';

/** So few frames, of no more pixels in all, are drawn before threads of their own would have started. */
const fewFrames = 6;
const fewPixels = 16e6;

/**
 * What draws so many frames: as many threads as there are cores or as are asked for, none where they would be of no help;
 * or those that are there already.
 */
export function drawPoolFor(
  frames: number,
  { width, height }: { readonly width: number; readonly height: number },
  asked: number | DrawingThreads | undefined,
): DrawPool {
  if (asked instanceof DrawingThreads) return new DrawPool(asked.count, asked);
  const threads = threadCount(asked);
  const isLittle = frames < fewFrames && (threads === 1 || frames * width * height <= fewPixels);
  return new DrawPool(isLittle ? 0 : threads);
}

/** Draws frames in threads, or in this one if there are to be none. */
export class DrawPool {
  private own: DrawingThreads | undefined;
  /** Memory of frames that were given back. */
  private readonly free: Uint8Array[] = [];

  /**
   * @param threads how many, 0 for none; they start with the first task, or before it where that is known to come
   * @param given those that are there already, and stay
   */
  constructor(
    readonly threads: number,
    private readonly given?: DrawingThreads,
  ) {}

  /** Starts the threads, so that they are there once the first frame is stepped to and painted. */
  start(): void {
    if (this.threads > 0) this.drawing();
  }

  /** How many tasks are worth handing over before the first is awaited. */
  get depth(): number {
    return this.threads === 0 ? 1 : this.threads * 3;
  }

  /**
   * What is only to be packed is transferred, not copied: the caller cannot use it afterwards.
   * @param reused whether the caller gives the bytes back, by `reuse`: large frames then come in memory that is there
   */
  async draw(given: DrawTask | PackTask, reused = false): Promise<Uint8Array> {
    const task = reused ? this.withRoom(given) : given;
    if (this.threads === 0) return draw(task);
    const sent = 'frames' in task ? { ...task, frames: task.frames.map(withSharedPictures) } : task;
    const packed = 'indices' in task ? task.indices : 'unpacked' in task ? task.unpacked : undefined;
    return (await this.run(sent, packed === undefined ? [] : [packed.buffer as ArrayBuffer])) as Uint8Array;
  }

  /** Takes bytes back that nobody reads any more. */
  reuse(bytes: Uint8Array): void {
    if (bytes.buffer instanceof SharedArrayBuffer) this.free.push(bytes);
  }

  private withRoom(task: DrawTask | PackTask): DrawTask | PackTask {
    if (!('product' in task) || task.product.type !== 'y4m') return task;
    return { ...task, product: { ...task.product, into: this.free.pop() ?? 'new' } };
  }

  /** Draws a share of a frame. */
  async share(task: ShareTask): Promise<void> {
    if (this.threads === 0) return drawShare(task);
    await this.run({ ...task, frame: withSharedPictures(task.frame) });
  }

  private async run(task: DrawTask | PackTask | ShareTask, transferList: ArrayBuffer[] = []): Promise<unknown> {
    const pool = await poolOf(this.drawing());
    if (pool === undefined)
      throw new SketchError({
        problem: 'the threads that draw were closed',
        expected: 'call their close() after the last render',
      });
    return pool.run(task, { transferList });
  }

  private drawing(): DrawingThreads {
    return this.given ?? (this.own ??= new DrawingThreads(this.threads));
  }

  async close(): Promise<void> {
    await this.own?.close();
  }
}
