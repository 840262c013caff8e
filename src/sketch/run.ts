import { Canvas, canvasCalls } from '../canvas/canvas.ts';
import type { Frame } from '../canvas/frame.ts';
import { makeView, type View } from '../canvas/view.ts';
import type { Noise } from '../chance/noise.ts';
import { createRandom, type Random } from '../chance/random.ts';
import { asSketchError, fail } from '../error.ts';
import { PartNeeded } from '../needed.ts';
import { notNegative, whole } from '../options.ts';
import { loadAssets, type AssetHost, type LoadListener } from './assets.ts';
import { dialNamed, dialValues } from './dials.ts';
import type { Input, InputSource, Pointer } from './input.ts';
import { checkSize, type Moment, type Sketch } from './sketch.ts';

/** One of the sketch's own functions, about to be called. */
export interface RunCall {
  readonly sketch: Sketch;
  readonly frame: number;
  readonly name: 'start' | 'step' | 'paint';
}

/** What one run of a sketch is given; what is left out is the sketch's own. */
export interface RunOptions {
  seed?: number | undefined;
  width?: number | undefined;
  height?: number | undefined;
  density?: number | undefined;
  /** How files are read; only needed where a sketch has assets. */
  host?: AssetHost | undefined;
  /** Told as assets are loaded. */
  onLoad?: LoadListener | undefined;
  /** Values of dials by name, in place of their first ones. */
  dials?: Readonly<Record<string, unknown>> | undefined;
  /** Where pointer and keys come from; asked for once, where the sketch looks at either. */
  input?: ((run: Run) => InputSource | Promise<InputSource>) | undefined;
  /** Calls the sketch's functions, for a host that limits how long one may take. */
  limit?: (<T>(call: () => T, what: RunCall) => T) | undefined;
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
  /** How the sketch's units lie on the canvas. */
  readonly view: View;
  private state: unknown;
  private at = -1;
  private runningOn: Random;
  private assets: Record<string, unknown> | undefined;
  private readonly dialValues: Record<string, unknown>;
  private noise: Noise | undefined;
  private input: Input | undefined;
  private inputSource: InputSource | undefined;
  /** The frames last painted: the one at hand, where it has been, and the one before, for `pointer.over`. */
  private painted: { readonly at: number; readonly frame: Frame } | undefined;
  private before: Frame | undefined;

  constructor(
    readonly sketch: Sketch,
    private readonly options: RunOptions = {},
  ) {
    this.seed = whole('run', 'seed', options.seed ?? sketch.seed, 0);
    this.width = options.width ?? sketch.canvas.width;
    this.height = options.height ?? sketch.canvas.height;
    this.density = options.density ?? sketch.canvas.density;
    checkSize('run', this.width, this.height, this.density);
    this.runningOn = createRandom(this.seed);
    this.view = makeView('canvas', this.width, this.height, sketch.canvas);
    this.dialValues = dialValues(sketch.dials, options.dials);
  }

  /** The value of every dial. */
  get dials(): Readonly<Record<string, unknown>> {
    return this.dialValues;
  }

  /** Turns a dial: from the next call on the sketch finds the new value. */
  setDial(name: string, value: unknown): void {
    this.dialValues[name] = dialNamed(this.sketch.dials, name).read('dials', name, value);
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
    const host = this.options.host ?? { read: () => Promise.reject(new Error('this host reads no files')) };
    this.assets ??= await loadAssets(this.sketch.assets, host, this.options.onLoad);
    this.at = 0;
    this.before = undefined;
    this.painted = undefined;
    this.beginInput();
    this.state = await this.guarded(() => {
      this.runningOn = createRandom(this.seed);
      return this.call('start', () => this.sketch.start(this.moment(this.runningOn)));
    });
  }

  /** Moves on by one frame; on the last one it begins again, or stays where the sketch does not repeat. */
  async advance(): Promise<void> {
    if (this.at < 0 || (this.atEnd && this.sketch.repeat)) return this.restart();
    if (this.atEnd) return;
    // A sketch that looks at the pointer may ask what lay under it in the frame at hand.
    if (this.input !== undefined && this.painted?.at !== this.at) await this.paint();
    this.before = this.painted?.frame;
    this.at++;
    this.beginInput();
    const { step } = this.sketch;
    if (step === undefined) return;
    try {
      const next = this.call('step', () => step(this.state, this.moment(this.runningOn)));
      if (next !== undefined) this.state = next;
    } catch (thrown) {
      if (!(thrown instanceof PartNeeded)) throw asSketchError(thrown, canvasCalls).inFrame(this.at);
      // The state may be half changed: with the part there, the same steps are taken again from the start.
      await thrown.load();
      await this.again();
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
      const moment = this.moment(createRandom(`${this.seed}/paint`));
      this.call('paint', () => sketch.paint(canvas, moment, this.state));
      const frame = canvas.finish();
      if (this.input !== undefined) this.painted = { at: this.at, frame };
      return frame;
    });
  }

  private moment(random: Random): Moment {
    const { frameRate, frames } = this.sketch;
    // What is loaded only where it is used stands behind a getter.
    const noise = (): Noise => this.noise ?? this.need(this.loadNoise);
    const input = (): Input => this.input ?? this.need(this.loadInput);
    const pointer = (): Pointer => {
      const found = input().pointer;
      this.inputSource?.onPointer?.();
      return found;
    };
    return {
      frame: this.at,
      seconds: this.at / frameRate,
      delta: 1 / frameRate,
      progress: frames === Infinity ? 0 : this.at / frames,
      width: this.view.width,
      height: this.view.height,
      random,
      get noise() {
        return noise();
      },
      get pointer() {
        return pointer();
      },
      get keys() {
        return input().keys;
      },
      dials: this.dialValues,
      assets: this.assets as Moment['assets'],
    };
  }

  private need(load: () => Promise<unknown>): never {
    throw new PartNeeded('a part of the library is not loaded yet', undefined, load);
  }

  private readonly loadNoise = async (): Promise<void> => {
    this.noise = (await import('../chance/noise.ts')).createNoise(this.seed);
  };

  private readonly loadInput = async (): Promise<void> => {
    const [{ Input }, { hitsLabel }] = await Promise.all([import('./input.ts'), import('../canvas/hit.ts')]);
    const over = (label: string, x: number, y: number): boolean =>
      this.before !== undefined && hitsLabel(this.before, label, x, y);
    this.inputSource = await this.options.input?.(this);
    this.input = new Input(this.view, over);
    await this.again();
  };

  /** Comes to the frame at hand once more, from the start. */
  private async again(): Promise<void> {
    const target = this.at;
    if (target === 0) return this.beginInput();
    await this.restart();
    await this.goTo(target);
  }

  private beginInput(): void {
    this.input?.begin(this.at, this.inputSource?.take(this.at) ?? []);
  }

  /** Calls a function of the sketch's, within the host's limit. */
  private call<T>(name: RunCall['name'], call: () => T): T {
    const { limit } = this.options;
    const result = limit === undefined ? call() : limit(call, { sketch: this.sketch, frame: this.at, name });
    if (name !== 'start' && result instanceof Promise) {
      result.catch(() => undefined);
      fail({ call: name, problem: 'is async, so its frame would be over before it is', expected: 'do what takes its time in start, or load files as assets' }); // prettier-ignore
    }
    return result;
  }

  /** Does something of the sketch's that can be done again, which it is once a part that it wants has been loaded. */
  private async guarded<T>(call: () => T): Promise<Awaited<T>> {
    for (;;) {
      try {
        return await call();
      } catch (thrown) {
        if (!(thrown instanceof PartNeeded)) throw asSketchError(thrown, canvasCalls).inFrame(this.at);
        await thrown.load();
      }
    }
  }
}
