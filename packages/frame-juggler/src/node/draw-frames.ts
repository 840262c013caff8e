import { optional, type Options, schemaOf } from '../schema/schema.ts';
import type { Sketch } from '../sketch/sketch.ts';
import { pictureSize } from '../frame/frame.ts';
import { drawPoolFor } from './draw-pool.ts';
import { drawnBy } from './drawing-threads.ts';
import type { Output } from './outputs/output.ts';
import { renderFrames } from './render-frames.ts';
import { frameRange, rangeOf } from './film.ts';
import { openRun, runSettingsTable } from './run-settings.ts';
import { sketchFrom } from './sketch-from.ts';

const drawTable = {
  /** The first and the last frame; by default the whole run. */
  frames: optional(frameRange),
  /** How many threads draw, or those that do; by default one per core, none for a few small frames. */
  threads: optional(drawnBy),
};
const drawOptions = schemaOf({ ...runSettingsTable, ...drawTable }, '{ frames: [0, 59], density: 2 }');
/** Which frames are drawn, and how. */
export interface DrawOptions extends Options<typeof runSettingsTable & typeof drawTable> {}

/** A frame as pixels. */
export interface DrawnFrame {
  /** Its number, from 0. */
  readonly frame: number;
  /** Pixels in a row. */
  readonly width: number;
  /** Rows of pixels. */
  readonly height: number;
  /** Red, green, blue and alpha of each pixel, 0 to 255, row by row; not premultiplied. */
  readonly data: Uint8Array;
}

/**
 * Draws a sketch's frames, one after the other, for an encoder or a server of one's own. A few frames are drawn ahead of
 * the one that is asked for; whoever asks for no more stops the drawing.
 * @param sketch a sketch, or the name of a file that `loadSketch` loads
 * @throws SketchError where the sketch is wrong, after the frames before
 */
export async function* drawFrames(
  sketch: Sketch | string,
  options: DrawOptions = {},
): AsyncGenerator<DrawnFrame, undefined> {
  const read = drawOptions.read('drawFrames', options);
  const run = openRun(await sketchFrom('drawFrames', sketch), read);
  const frames = rangeOf(run, read.frames);
  const { width, height } = pictureSize(run);
  const total = frames[1] - frames[0] + 1;
  const pool = drawPoolFor(total, { width, height }, read.threads);
  const given = new Handover<DrawnFrame>();
  const stop = new AbortController();
  const output: Output = {
    add: (frame, data) => given.put({ frame, width, height, data }),
    finish: () => Promise.resolve(),
    abandon: () => Promise.resolve(),
  };
  const { signal = stop.signal, onProgress } = read;
  const onFrame = (done: number): void => onProgress?.(done, total);
  const drawn = renderFrames(run, output, {
    frames,
    products: () => ({ type: 'pixels' }),
    pool,
    signal: AbortSignal.any([signal, stop.signal]),
    onFrame,
  });
  void drawn.then(() => given.end(), (error: unknown) => given.fail(error)); // prettier-ignore
  try {
    for (;;) {
      const next = await given.take();
      if (next === undefined) break;
      yield next;
    }
    read.signal?.throwIfAborted();
    return undefined;
  } finally {
    stop.abort();
    given.drop();
    await drawn.catch(() => undefined);
    await pool.close();
  }
}

/** Hands things over one at a time: putting one down waits until it is taken. */
class Handover<Thing> {
  private waiting: { thing: Thing; taken: () => void } | undefined;
  private ended: { error?: unknown } | undefined;
  private dropped = false;
  private wake = (): void => undefined;

  put(thing: Thing): Promise<void> {
    if (this.dropped) return Promise.resolve();
    return new Promise((taken) => {
      this.waiting = { thing, taken };
      this.wake();
    });
  }

  async take(): Promise<Thing | undefined> {
    while (this.waiting === undefined) {
      if (this.ended !== undefined) {
        if ('error' in this.ended) throw this.ended.error;
        return undefined;
      }
      await new Promise<void>((wake) => (this.wake = wake));
    }
    const { thing, taken } = this.waiting;
    this.waiting = undefined;
    taken();
    return thing;
  }

  end(): void {
    this.ended ??= {};
    this.wake();
  }

  fail(error: unknown): void {
    this.ended ??= { error };
    this.wake();
  }

  /** Nothing more will be taken. */
  drop(): void {
    this.dropped = true;
    this.waiting?.taken();
  }
}
