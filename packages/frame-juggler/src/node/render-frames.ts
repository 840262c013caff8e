import type { Frame } from '../frame/frame.ts';
import type { Run } from '../sketch/run.ts';
import { RasterSurface } from '../surfaces/raster/surface.ts';
import { sharesOf } from '../review/describe.ts';
import { frameInWords } from '../review/words.ts';
import { BandedDrawing } from './banded-drawing.ts';
import type { DrawTask, Product } from './draw.ts';
import type { DrawPool } from './draw-pool.ts';
import type { Output } from './outputs/output.ts';
import { VisibleFrames } from './visible-frames.ts';

export interface RenderOptions {
  /** The first and the last frame. */
  readonly frames: readonly [number, number];
  readonly pool: DrawPool;
  /** Stops after the frame at hand. */
  readonly signal: AbortSignal | undefined;
  /** Called after every frame that is there. */
  readonly onFrame: (done: number) => void;
}

/**
 * Renders a run's frames, in order, into an output. The sketch's own steps and paints happen here, one after the other;
 * drawing and packing are spread over the pool. What goes wrong comes up after the frames before it are written.
 */
export async function renderFrames(run: Run, output: Output, options: RenderOptions): Promise<void> {
  const { pool, signal, onFrame } = options;
  const queue: { readonly frame: number; readonly bytes: Promise<Uint8Array> }[] = [];
  let done = 0;
  const settle = async (max: number): Promise<void> => {
    while (queue.length > max) {
      const { frame, bytes } = queue.shift()!;
      await output.add(frame, await bytes);
      onFrame(++done);
    }
  };
  const tasks = tasksOf(run, output, options);
  try {
    for (;;) {
      const next = await tasks.next().catch(async (error: unknown) => {
        await settle(0);
        throw error;
      });
      if (next.done === true || signal?.aborted === true) break;
      const { frame, work } = next.value;
      if (work === undefined) onFrame(++done);
      else {
        const bytes = Promise.resolve(work.task).then((task) => pool.draw(task)).finally(work.release); // prettier-ignore
        // It is awaited later: till then its failure must not count as unhandled.
        bytes.catch(() => undefined);
        queue.push({ frame, bytes });
      }
      await settle(pool.depth - 1);
    }
    await settle(0);
  } finally {
    await Promise.allSettled(queue.map(({ bytes }) => bytes));
  }
}

/** A frame's task, and what is called once it is done. */
interface Work {
  readonly task: DrawTask | Promise<DrawTask>;
  readonly release?: () => void;
}

/** What is to be drawn, frame by frame; nothing where the output has the frame already. */
async function* tasksOf(
  run: Run,
  output: Output,
  { frames: [first, last], pool }: RenderOptions,
): AsyncGenerator<{ frame: number; work: Work | undefined }, undefined> {
  const isFew = last - first + 1 < pool.threads;
  const makeWork = workMaker(run, output.product(first).type === 'svg', pool, isFew);
  for (let frame = first; frame <= last; frame++) {
    const isThere = output.has?.(frame) === true;
    // Under a carry later frames stand on this one, even if its file is there.
    if (isThere && run.sketch.carry === 0) yield { frame, work: undefined };
    else {
      const work = await makeWork(frame, output.product(frame));
      if (isThere) work.release?.();
      yield { frame, work: isThere ? undefined : work };
    }
  }
}

/**
 * Paints a frame and makes the task of drawing it.
 * @param isFew whether there are fewer frames than threads
 */
function workMaker(
  run: Run,
  isSvg: boolean,
  pool: DrawPool,
  isFew: boolean,
): (frame: number, product: Product) => Promise<Work> {
  let shown = -1;
  let last: Frame | undefined;
  const drawTo = async (frame: number, draw: (painted: Frame) => void | Promise<void>): Promise<Frame> => {
    await run.drawTo(frame, shown, (painted) => draw((last = painted)));
    shown = run.frame;
    return last!;
  };
  const { carry } = run.sketch;
  if (isSvg && carry > 0) {
    const visible = new VisibleFrames();
    return async (frame, product) => {
      const painted = await drawTo(frame, (each) => visible.add(each));
      return { task: { frames: visible.frames.slice(), product: withWords(product, painted) } };
    };
  }
  if (isSvg || (carry === 0 && !(isFew && pool.threads > 0)))
    return async (frame, product) => {
      const painted = await drawTo(frame, () => undefined);
      return { task: { frames: [painted], product: withWords(product, painted) } };
    };
  // Each picture stands on the one before, or there are few: only the packing can be spread, and each frame itself.
  if (pool.threads > 0) {
    const drawing = new BandedDrawing(pool);
    return async (frame, product) => {
      const painted = await drawTo(frame, (each) => drawing.draw(each));
      const { drawn, release } = drawing.take();
      const task = drawn.then((kept) => ({ kept, product: withWords(product, painted) }));
      // Whoever is stopped does not wait for it.
      task.catch(() => undefined);
      return { task, release };
    };
  }
  const surface = new RasterSurface();
  return async (frame, product) => {
    const painted = await drawTo(frame, (each) => surface.draw(each));
    return { task: { kept: surface.copy(), product: withWords(product, painted) } };
  };
}

/** What is made of a picture that stands by itself, with what is to be seen of it in words. */
function withWords(product: Product, frame: Frame): Product {
  if (!('inWords' in product)) return product;
  return { ...product, texts: { ...product.texts, Description: frameInWords(frame, sharesOf(frame)) } };
}
