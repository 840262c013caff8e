import { Canvas } from '../canvas/canvas.ts';
import type { Frame } from '../canvas/frame.ts';
import { createRandom, type Random } from '../chance/random.ts';
import { asSketchError } from '../error.ts';
import { notNegative, whole } from '../options.ts';
import { loadAssets, type ReadFile } from './assets.ts';
import { checkSize, type Moment, type Sketch } from './sketch.ts';

/** What one run of a sketch is given; what is left out is the sketch's own. */
export interface RunOptions {
  seed?: number | undefined;
  width?: number | undefined;
  height?: number | undefined;
  density?: number | undefined;
  /** How files are read; only needed where a sketch has assets. */
  read?: ReadFile | undefined;
}

/**
 * One run of a sketch: it keeps the state, moves it on frame by frame and has frames painted. Time is the number of
 * the frame and nothing else, so the same run gives the same frames however it is driven.
 */
export class Run {
  readonly seed: number;
  readonly width: number;
  readonly height: number;
  readonly density: number;
  private state: unknown;
  private at = -1;
  private runningOn: Random;
  private assets: Record<string, unknown> | undefined;
  private readonly read: ReadFile;

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
    this.read = options.read ?? (() => Promise.reject(new Error('this host reads no files')));
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
    this.assets ??= await loadAssets(this.sketch.assets, this.read);
    this.runningOn = createRandom(this.seed);
    this.at = 0;
    this.state = await this.guarded(() => this.sketch.start(this.moment(this.runningOn)));
  }

  /** Moves on by one frame; on the last one it begins again, or stays where the sketch does not repeat. */
  async advance(): Promise<void> {
    if (this.at < 0 || (this.atEnd && this.sketch.repeat)) return this.restart();
    if (this.atEnd) return;
    this.at++;
    const { step } = this.sketch;
    if (step === undefined) return;
    const next = await this.guarded(() => step(this.state, this.moment(this.runningOn)));
    if (next !== undefined) this.state = next;
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
  paint(trace = false): Frame {
    const { sketch } = this;
    const canvas = new Canvas({
      width: this.width,
      height: this.height,
      density: this.density,
      background: sketch.canvas.background,
      // Nothing lies under the first frame.
      carry: this.at === 0 ? 0 : sketch.carry,
      trace,
    });
    try {
      sketch.paint(canvas, this.moment(createRandom(`${this.seed}/paint`)), this.state);
    } catch (thrown) {
      throw asSketchError(thrown).inFrame(this.at);
    }
    return canvas.finish();
  }

  private moment(random: Random): Moment {
    const { frameRate, frames } = this.sketch;
    return {
      frame: this.at,
      seconds: this.at / frameRate,
      delta: 1 / frameRate,
      progress: frames === Infinity ? 0 : this.at / frames,
      width: this.width,
      height: this.height,
      random,
      assets: this.assets as Moment['assets'],
    };
  }

  private async guarded<T>(call: () => T): Promise<Awaited<T>> {
    try {
      return await call();
    } catch (thrown) {
      throw asSketchError(thrown).inFrame(this.at);
    }
  }
}
