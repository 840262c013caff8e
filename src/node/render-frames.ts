import type { Frame } from '../canvas/frame.ts';
import { RasterSurface } from '../raster/surface.ts';
import type { Run } from '../sketch/run.ts';
import type { DrawTask } from './draw.ts';
import type { DrawPool } from './draw-pool.ts';
import type { Output } from './outputs/output.ts';

export interface RenderOptions {
  /** The first and the last frame. */
  readonly frames: readonly [number, number];
  readonly pool: DrawPool;
  /** Stops after the frame at hand. */
  readonly signal?: AbortSignal;
  /** Told after every frame that is there. */
  readonly onFrame?: (done: number) => void;
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
  const settle = async (most: number): Promise<void> => {
    while (queue.length > most) {
      const { frame, bytes } = queue.shift()!;
      await output.add(frame, await bytes);
      onFrame?.(++done);
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
      if (task === undefined) onFrame?.(++done);
      else {
        const bytes = pool.draw(task);
        // Whoever waits for it hears of it: until then it is not unheard.
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
  const trails =
    run.sketch.carry > 0 ? (output.product(first).type === 'svg' ? new Visible() : new Trails()) : undefined;
  for (let frame = trails === undefined ? first : 0; frame <= last; frame++) {
    await run.goTo(frame);
    const there = frame < first || output.has?.(frame) === true;
    if (there && trails === undefined) {
      yield { frame, task: undefined };
      continue;
    }
    const painted = await run.paint();
    trails?.add(painted);
    if (frame < first) continue;
    const product = output.product(frame);
    const task = there ? undefined : (trails?.task(product) ?? { frames: [painted], product });
    yield { frame, task };
  }
}

/** Under a carry each picture stands on the one before, so they are drawn here; only the packing is spread. */
class Trails {
  private readonly surface = new RasterSurface();

  add(frame: Frame): void {
    this.surface.draw(frame);
  }

  task(product: DrawTask['product']): DrawTask {
    const { data, ...rest } = this.surface.drawn;
    return { picture: { ...rest, data: data.slice() }, product };
  }
}

/** The frames of which something can still be seen, for an output that draws them anew. */
class Visible {
  private frames: Frame[] = [];

  add(frame: Frame): void {
    if (frame.carry === 0) this.frames = [];
    this.frames.push(frame);
    // What is left of the oldest, in parts of 255: less than half of one is nothing.
    let left = 255;
    for (let at = this.frames.length - 1; at > 0 && left >= 0.5; at--) {
      left *= this.frames[at].carry;
      if (left < 0.5) this.frames = this.frames.slice(at);
    }
  }

  task(product: DrawTask['product']): DrawTask {
    return { frames: this.frames.slice(), product };
  }
}
