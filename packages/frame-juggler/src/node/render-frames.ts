import type { Frame } from '../frame/frame.ts';
import type { Run } from '../sketch/run.ts';
import { loadForm } from '../surfaces/raster/forms.ts';
import { EngineSurface, type KeptPixels } from '../surfaces/raster/engine-surface.ts';
import { BandedDrawing } from './banded-drawing.ts';
import { bitsOf, withWords, type DrawTask, type Product } from './draw.ts';
import type { Checkpoints } from './checkpoints/checkpoints.ts';
import type { DrawPool } from './draw-pool.ts';
import type { Output, Products } from './outputs/output.ts';
import { VisibleFrames } from './visible-frames.ts';

export interface RenderOptions {
  /** The first and the last frame. */
  readonly frames: readonly [number, number];
  readonly products: Products;
  readonly pool: DrawPool;
  /** Stops after the frame at hand. */
  readonly signal: AbortSignal | undefined;
  /** Called after every frame that is there. */
  readonly onFrame: (done: number) => void;
  /** What the first frame stands on under a carry; all the frames before it if left out. */
  readonly under?: Under | undefined;
  /** From which the run goes on where they are nearer, and which it keeps on its way. */
  readonly checkpoints?: Checkpoints | undefined;
  /** Called with each picture as it is kept, of the frame before the first and of the last. */
  readonly onEnds?: ((frame: number, pixels: Uint8Array) => Promise<void>) | undefined;
}

/** What a frame stands on: so many frames before it, or the picture of the one before as it was kept. */
export type Under = { readonly early: number } | { readonly picture: KeptPixels };

/**
 * Renders a run's frames, in order, into an output. The sketch's own steps and paints happen here, one after the other;
 * drawing and packing are spread over the pool. What goes wrong comes up after the frames before it are written.
 */
export async function renderFrames(run: Run, output: Output, options: RenderOptions): Promise<void> {
  const { pool, signal, onFrame } = options;
  const queue: { readonly bytes: Promise<Uint8Array>; readonly written: Promise<void> }[] = [];
  const { letsGo = false } = output;
  let done = 0;
  const settle = async (max: number): Promise<void> => {
    while (queue.length > max) await queue.shift()!.written;
  };
  // Frames are written while later ones are painted. They are counted in order, and so are the ends.
  const write = async (frame: number, bytes: Promise<Uint8Array>, isEnd: boolean, before: Promise<void>) => {
    if (isEnd || output.inAnyOrder !== true) await before;
    if (isEnd) return options.onEnds!(frame, await bytes);
    const made = await bytes;
    await output.add(frame, made);
    if (letsGo) pool.reuse(made);
    await before;
    onFrame(++done);
  };
  let written = Promise.resolve();
  const tasks = tasksOf(run, output, options);
  try {
    for (;;) {
      const next = await tasks.next().catch(async (error: unknown) => {
        await settle(0);
        throw error;
      });
      if (next.done === true || signal?.aborted === true) break;
      const { frame, work, isEnd = false } = next.value;
      if (work === undefined) onFrame(++done);
      else {
        const bytes = Promise.resolve(work.task).then((task) => pool.draw(task, letsGo)).finally(work.release); // prettier-ignore
        written = write(frame, bytes, isEnd, written);
        queue.push({ bytes, written });
        // Both are awaited later: till then their failure must not count as unhandled.
        bytes.catch(() => undefined);
        written.catch(() => undefined);
      }
      await settle(pool.depth - 1);
    }
    await settle(0);
  } finally {
    await Promise.allSettled(queue.flatMap(({ bytes, written }) => [bytes, written]));
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
  options: RenderOptions,
): AsyncGenerator<{ frame: number; work: Work | undefined; isEnd?: true }, undefined> {
  const { frames, products, onEnds, checkpoints, pool } = options;
  const [first, last] = frames;
  const drawing = await drawingOf(run, options);
  const { carry } = run.sketch;
  const begins = firstNeeded(run, first, options.under);
  if (begins !== undefined) await checkpoints?.bring(begins);
  const standsOn = onEnds !== undefined && run.frameAfterRounds(first) > 0;
  if (standsOn && options.under !== undefined && 'early' in options.under) {
    await drawing.to(first - 1);
    yield { frame: first - 1, work: drawing.task({ type: 'kept' }), isEnd: true };
  }
  for (let frame = first; frame <= last; frame++) {
    const isThere = output.has?.(frame) === true;
    // Under a carry later frames stand on this one, even if its file is there.
    if (isThere && carry === 0) yield { frame, work: undefined };
    else {
      pool.start();
      if (carry === 0) await checkpoints?.bring(frame);
      await drawing.to(frame);
      await checkpoints?.passed();
      yield { frame, work: isThere ? undefined : drawing.task(products(frame)) };
    }
  }
  if (onEnds !== undefined) yield { frame: last, work: drawing.task({ type: 'kept' }), isEnd: true };
}

/** Under a carry: the frame from which on all are drawn for the first picture; undefined for the very first. */
function firstNeeded(run: Run, first: number, under: Under | undefined): number | undefined {
  if (run.sketch.carry === 0 || under === undefined) return undefined;
  const shown = run.frameAfterRounds(first);
  return Math.max(0, shown - 1 - ('early' in under ? under.early : 0));
}

/** Draws frame after frame, and gives the tasks of making something of them. */
interface Drawing {
  /** Has a frame drawn, upon those that it stands on. */
  to(frame: number): Promise<void>;
  /** What is to be made of the one drawn last. */
  task(product: Product): Work;
}

/** How a run's frames are drawn best. */
async function drawingOf(run: Run, { frames: [first, last], products, pool, under }: RenderOptions): Promise<Drawing> {
  const { carry } = run.sketch;
  const product = products(first);
  const isSvg = product.type === 'svg';
  const bits = bitsOf(product);
  const isFew = last - first + 1 < pool.threads;
  const early = under !== undefined && 'early' in under ? under.early : Infinity;
  const picture = under !== undefined && 'picture' in under ? under.picture : undefined;
  let shown = -1;
  let recent: Frame | undefined;
  const drawTo = async (frame: number, draw: (painted: Frame) => void | Promise<void>): Promise<void> => {
    if (shown < 0 && picture !== undefined) {
      await run.goTo(first - 1);
      shown = run.frame;
    }
    await run.drawTo(frame, shown, (painted) => draw((recent = painted)), early);
    shown = run.frame;
  };
  if (isSvg && carry > 0) {
    const visible = new VisibleFrames();
    return {
      to: (frame) => drawTo(frame, (each) => visible.add(each)),
      task: (product) => ({ task: { frames: visible.frames.slice(), product } }),
    };
  }
  if (isSvg || (carry === 0 && !(isFew && pool.threads > 0)))
    return {
      to: (frame) => drawTo(frame, () => undefined),
      task: (product) => ({ task: { frames: [recent!], product } }),
    };
  // Each picture stands on the one before, or there are few: only the packing can be spread, and each frame itself.
  if (pool.threads > 0) {
    const drawing = new BandedDrawing(pool, bits);
    if (picture !== undefined) drawing.put(picture);
    return {
      to: (frame) => drawTo(frame, (each) => drawing.draw(each)),
      task(product) {
        const { drawn, release } = drawing.take();
        const told = withWords(product, recent!);
        const task = drawn.then((kept) => ({ kept, product: told }));
        // Whoever is stopped does not wait for it.
        task.catch(() => undefined);
        return { task, release };
      },
    };
  }
  const surface = new EngineSurface(await loadForm(bits));
  if (picture !== undefined) surface.put(picture);
  return {
    to: (frame) => drawTo(frame, (each) => surface.draw(each)),
    task: (product) => ({ task: { kept: surface.copy(), product: withWords(product, recent!) } }),
  };
}
