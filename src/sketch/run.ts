import { Canvas } from '../canvas/canvas.ts';
import type { Frame } from '../canvas/frame.ts';
import { makeView, type View } from '../canvas/view.ts';
import { createRandom, type Random } from '../chance/random.ts';
import { asSketchError } from '../error.ts';
import { notNegative, whole } from '../options.ts';
import { FontNeeded, loadFonts } from '../text/font.ts';
import { loadAssets, type AssetHost } from './assets.ts';
import { checkSize, type Moment, type Sketch } from './sketch.ts';

/** What one run of a sketch is given; what is left out is the sketch's own. */
export interface RunOptions {
  seed?: number | undefined;
  width?: number | undefined;
  height?: number | undefined;
  density?: number | undefined;
  /** How files are read; only needed where a sketch has assets. */
  host?: AssetHost | undefined;
}

/**
 * One run of a sketch: it keeps the state, moves it on frame by frame and has frames painted. Time is the number of
 * the frame and nothing else, so the same run gives the same frames however it is driven.
 */
export class Run {
  readonly seed: number;
  readonly width: number;
  readonly height: number;
  /** Pixels of the picture to one unit; may be changed between frames. */
  density: number;
  private state: unknown;
  private at = -1;
  private runningOn: Random;
  private assets: Record<string, unknown> | undefined;
  private readonly host: AssetHost;
  private readonly view: View;

  constructor(
    readonly sketch: Sketch,
    options: RunOptions = {},
  ) {
    this.seed = whole('run', 'seed', options.seed ?? sketch.seed, 0);
    this.width = options.width ?? sketch.canvas.width;
    this.height = options.height ?? sketch.canvas.height;
    this.density = options.density ?? sketch.canvas.density;
    checkSize('run', this.width, this.height, this.density);
    this.runningOn = createRandom(this.seed);
    this.host = options.host ?? { read: () => Promise.reject(new Error('this host reads no files')) };
    this.view = makeView('canvas', this.width, this.height, sketch.canvas);
  }

  /** The number of the frame at hand; -1 before the start. */
  get frame(): number {
    return this.at;
  }

  /** Whether there is a frame after the one at hand without beginning again. */
  get atEnd(): boolean {
    return this.at >= this.sketch.frames - 1;
  }

  /** Loads the assets, once, and makes the state of frame 0. */
  async restart(): Promise<void> {
    this.assets ??= await loadAssets(this.sketch.assets, this.host);
    this.at = 0;
    this.state = await this.guarded(() => {
      this.runningOn = createRandom(this.seed);
      return this.sketch.start(this.moment(this.runningOn));
    });
  }

  /** Moves on by one frame; on the last one it begins again, or stays where the sketch does not repeat. */
  async advance(): Promise<void> {
    if (this.at < 0 || (this.atEnd && this.sketch.repeat)) return this.restart();
    if (this.atEnd) return;
    this.at++;
    const { step } = this.sketch;
    if (step === undefined) return;
    try {
      const next = step(this.state, this.moment(this.runningOn));
      if (next !== undefined) this.state = next;
    } catch (thrown) {
      if (!(thrown instanceof FontNeeded)) throw asSketchError(thrown).inFrame(this.at);
      // The state may be half changed: with the font there, the same steps are taken again from the start.
      await loadFonts([thrown.weight]);
      const target = this.at;
      await this.restart();
      await this.goTo(target);
    }
  }

  /** Goes to a frame: by steps where it lies ahead, from the start where it lies behind. */
  async goTo(frame: number): Promise<void> {
    const target = this.frameAfterRounds(whole('run', 'frame', frame, 0));
    if (this.at < 0 || this.at > target) await this.restart();
    while (this.at < target) await this.advance();
  }

  /** The frame of a round that stands for any frame number: rounds repeat, or the last one stays. */
  frameAfterRounds(frame: number): number {
    const { frames, repeat } = this.sketch;
    return repeat ? frame % frames : Math.min(frame, frames - 1);
  }

  /** The number of the frame that is shown at a moment in seconds. */
  frameAtSeconds(seconds: number): number {
    // A hair more, so that 0.1 s at 30 frames a second is frame 3 and not 2.999….
    return Math.floor(notNegative('run', 'seconds', seconds) * this.sketch.frameRate + 1e-6);
  }

  /** Paints the frame at hand; `trace` notes the sketch's line with every item. Throws a SketchError with the frame. */
  async paint(trace = false): Promise<Frame> {
    return this.guarded(() => {
      const { sketch, width, height, density, view } = this;
      const { background } = sketch.canvas;
      // Nothing lies under the first frame.
      const carry = this.at === 0 ? 0 : sketch.carry;
      const canvas = new Canvas({ width, height, density, view, background, carry, trace });
      sketch.paint(canvas, this.moment(createRandom(`${this.seed}/paint`)), this.state);
      return canvas.finish();
    });
  }

  private moment(random: Random): Moment {
    const { frameRate, frames } = this.sketch;
    return {
      frame: this.at,
      seconds: this.at / frameRate,
      delta: 1 / frameRate,
      progress: frames === Infinity ? 0 : this.at / frames,
      width: this.view.width,
      height: this.view.height,
      random,
      assets: this.assets as Moment['assets'],
    };
  }

  /** Does something of the sketch's that can be done again, which it is once a font that it wants has been loaded. */
  private async guarded<T>(call: () => T): Promise<Awaited<T>> {
    for (;;) {
      try {
        return await call();
      } catch (thrown) {
        if (!(thrown instanceof FontNeeded)) throw asSketchError(thrown).inFrame(this.at);
        await loadFonts([thrown.weight]);
      }
    }
  }
}
