import type { Frame } from '../frame/frame.ts';
import type { Run } from '../sketch/run.ts';
import { RasterSurface } from '../surfaces/raster/surface.ts';
import { sharesOf } from '../review/describe.ts';
import { frameInWords } from '../review/words.ts';
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
  const [first, last] = options.frames;
  const queue: { readonly frame: number; readonly bytes: Promise<Uint8Array> }[] = [];
  let done = 0;
  const settle = async (max: number): Promise<void> => {
    while (queue.length > max) {
      const { frame, bytes } = queue.shift()!;
      await output.add(frame, await bytes);
      onFrame(++done);
    }
  };
  const tasks = tasksOf(run, output, first, last);
  try {
    for (;;) {
      const next = await tasks.next().catch(async (error: unknown) => {
        await settle(0);
        throw error;
      });
      if (next.done === true || signal?.aborted === true) break;
      const { frame, task } = next.value;
      if (task === undefined) onFrame(++done);
      else {
        const bytes = pool.draw(task);
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

/** What is to be drawn, frame by frame; no task where the output has the frame already. */
async function* tasksOf(
  run: Run,
  output: Output,
  first: number,
  last: number,
): AsyncGenerator<{ frame: number; task: DrawTask | undefined }, undefined> {
  const makeTask = taskMaker(run, output.product(first).type === 'svg');
  for (let frame = first; frame <= last; frame++) {
    const isThere = output.has?.(frame) === true;
    // Under a carry later frames stand on this one, even if its file is there.
    if (isThere && run.sketch.carry === 0) yield { frame, task: undefined };
    else {
      const task = await makeTask(frame, output.product(frame));
      yield { frame, task: isThere ? undefined : task };
    }
  }
}

/** Paints a frame and makes the task of drawing it. */
function taskMaker(run: Run, isSvg: boolean): (frame: number, product: DrawTask['product']) => Promise<DrawTask> {
  let shown = -1;
  const drawTo = async (frame: number, draw: (painted: Frame) => void): Promise<void> => {
    await run.drawTo(frame, shown, draw);
    shown = run.frame;
  };
  if (run.sketch.carry === 0)
    return async (frame, product) => {
      let painted: Frame | undefined;
      await drawTo(frame, (each) => void (painted = each));
      return { frames: [painted!], product: withWords(product, painted!) };
    };
  if (isSvg) {
    const visible = new VisibleFrames();
    return async (frame, product) => {
      await drawTo(frame, (painted) => visible.add(painted));
      return { frames: visible.frames.slice(), product: withWords(product, visible.frames.at(-1)!) };
    };
  }
  // Each picture stands on the one before, so they are drawn here; only the packing is spread.
  const surface = new RasterSurface();
  return async (frame, product) => {
    let last: Frame | undefined;
    await drawTo(frame, (painted) => surface.draw((last = painted)));
    const { data, ...rest } = surface.drawn;
    return { rendering: { ...rest, data: data.slice() }, product: withWords(product, last!) };
  };
}

/** What is made of a picture that stands by itself, with what is to be seen of it in words. */
function withWords(product: Product, frame: Frame): Product {
  if (!('inWords' in product)) return product;
  return { ...product, texts: { ...product.texts, Description: frameInWords(frame, sharesOf(frame)) } };
}
