import {
  asSketchError,
  fitDials,
  LiveClock,
  playTrack,
  Run,
  type Frame,
  type InputEvent,
  type InputSource,
  type InputTrack,
  type SketchError,
  type RunCall,
  type Sketch,
} from 'frame-juggler';
import { Canvas2dSurface, ExactSurface, pageHost, type PageSurface } from 'frame-juggler/browser';
import type { LoopRange, Shown } from '../messages.ts';
import { KeptFrames, type KeptPicture } from './kept-frames.ts';
import { SentInput } from './sent-input.ts';
import { ShownRate } from './shown-rate.ts';

/** When going far back, this many frames before the wanted one are kept too, because people often go on going back. */
const keptOnTheWay = 12;
/** Milliseconds: how long the run goes on before it checks for another request, and before it reports progress. */
const times = { toLook: 8, toTell: 200 };

/** Most screens show a picture every so many milliseconds; so many in a row may be too slow for that. */
const screenFrame = 15;
const maxHasty = 20;

/** How a sketch is run, and what is called along the way. */
export interface PlaybackSetting {
  readonly seed: number;
  readonly dials: Readonly<Record<string, unknown>>;
  readonly density: number;
  /** Whether it is drawn pixel for pixel as `juggle render` does, or as fast as the browser can. */
  readonly exact: boolean;
  readonly track: InputTrack | undefined;
  readonly limit: <T>(call: () => T, what: RunCall) => T;
  readonly onLoad: (done: number, total: number) => void;
  readonly onShown: (shown: Shown) => void;
  readonly onTheWay: (frame: number, target: number) => void;
  readonly onError: (error: SketchError) => void;
}

const channel = new MessageChannel();
const waiting: (() => void)[] = [];
channel.port1.onmessage = () => waiting.shift()?.();

/** Calls a function after waiting messages and timers were handled; a timer would wait some milliseconds longer. */
function soon(job: () => void): void {
  waiting.push(job);
  channel.port2.postMessage(undefined);
}

/** Thrown to give up running to a far frame when another one is wanted. */
class Superseded extends Error {}

/**
 * Plays a sketch on a canvas: forward by the clock, or straight to any frame. Frames that were shown are kept, so that going
 * back only draws them again. If a frame is no longer kept, the run starts again and arrives at the same picture.
 */
export class Playback {
  readonly run: Run;
  readonly input = new SentInput();
  private surface: PageSurface<KeptPicture>;
  private isExact: boolean;
  private readonly clock: LiveClock;
  private readonly kept = new KeptFrames();
  private readonly rate = new ShownRate();
  private isPlaying = false;
  private speed = 1;
  private range: LoopRange | undefined;
  /** The frame that the canvas shows; -1 for none, or for one that is out of date. */
  private shown = -1;
  /** The number of the last `goTo` that the page has sent. */
  private heard = 0;
  /** The frame that is wanted; kept even if there is an error before it is reached. */
  private target = 0;
  private work: Promise<void> = Promise.resolve();
  private waiting = 0;
  /** The number of the latest request; work for an older one is given up. */
  private wish = 0;
  /** Whether the canvas shows anything yet. */
  private hasPicture = false;
  /** Items that are left out of the picture, by their places in the frame. */
  private leftOut: ReadonlySet<number> = new Set();
  /** The frame at hand with the lines of its items, once somebody has asked. */
  private traced: { readonly at: number; readonly frame: Frame } | undefined;
  /** How many ticks in a row did not wait for the screen. */
  private hasty = 0;
  /** How often it was played: what ticks for an earlier time ends. */
  private chain = 0;
  private lookedAt = 0;
  private begunAt = 0;

  /** @throws SketchError where a dial does not fit */
  constructor(
    readonly sketch: Sketch,
    private readonly canvas: OffscreenCanvas,
    private readonly setting: PlaybackSetting,
  ) {
    const { seed, dials, density, track, limit, onLoad } = setting;
    const source: InputSource = track === undefined ? this.input : playTrack(track);
    const input = (): InputSource => source;
    const between = (): Promise<void> | undefined => this.lookUp();
    this.run = new Run(sketch, { seed, dials, density, limit, onLoad, input, between, host: pageHost });
    this.isExact = setting.exact;
    this.surface = surfaceOn(canvas, setting.exact);
    this.clock = new LiveClock(sketch.frameRate);
  }

  /** The frame that is shown, or was last. */
  get frame(): number {
    return this.target;
  }

  play(): void {
    if (this.isPlaying) return;
    this.isPlaying = true;
    this.clock.pause();
    this.rate.restart();
    this.ask(async () => {
      const { run, sketch } = this;
      if (!sketch.repeat && this.target >= sketch.frames - 1 && sketch.frames > 1) await this.begin();
      else if (this.shown >= 0 && this.shown !== run.frame) await run.goTo(this.shown);
      // From here on the input is live: input recorded for later frames, before going back, is dropped.
      if (this.range !== undefined) return;
      this.run.forgetInput(this.target + 1);
      this.kept.forget(this.target + 1);
      this.traced = undefined;
    });
    this.tickLater(performance.now(), ++this.chain);
    this.tell();
  }

  pause(): void {
    if (!this.isPlaying) return;
    this.isPlaying = false;
    this.tell();
  }

  /** Begins a new run. */
  restart(): void {
    this.ask(() => this.begin());
  }

  /**
   * Shows a frame by its number; beyond the end it is the one that comes round, or the last.
   * @param heard the number of this wish, told with what is shown from now on
   */
  goTo(frame: number, heard: number): void {
    this.heard = heard;
    this.target = this.run.frameAfterRounds(frame);
    this.ask(() => this.show(this.target));
  }

  setSpeed(speed: number): void {
    this.speed = speed;
    this.clock.pause();
    this.rate.restart();
  }

  setRange(range: LoopRange | undefined): void {
    this.range = range;
  }

  setDensity(density: number): void {
    if (density === this.run.density) return;
    this.run.density = density;
    this.kept.forgetPictures();
    if (this.run.frame < 0) return;
    this.ask(async () => {
      this.shown = -1;
      await this.show(this.target);
    });
  }

  /** Chooses between exact and fast drawing, and draws the current frame again. */
  setExact(exact: boolean): void {
    if (exact === this.isExact) return;
    this.isExact = exact;
    this.ask(async () => {
      this.surface = surfaceOn(this.canvas, exact);
      this.kept.forgetPictures();
      this.shown = -1;
      if (this.run.frame >= 0) await this.show(this.target);
    });
  }

  /** The value of every dial: in the frame that is shown, or as it is from the next one on. */
  get dials(): Readonly<Record<string, unknown>> {
    return this.run.dialsAt(this.nextTurn);
  }

  /** Turns a dial. @throws SketchError where it cannot have that value */
  setDial(name: string, value: unknown): void {
    const { run, nextTurn } = this;
    const first = run.setDial(name, value, this.isPlaying, nextTurn);
    if (first === Infinity) return;
    this.kept.forget(first);
    this.traced = undefined;
    if (run.frame < 0 || (this.isPlaying && this.sketch.frames > 1)) return;
    this.ask(async () => {
      this.shown = -1;
      // What was drawn by hand up to here stays, and need not be drawn again.
      if (first > 0 && this.sketch.carry > 0) await run.goTo(first - 1);
      await this.show(this.target);
    });
  }

  /** The first frame that a dial is turned for. */
  private get nextTurn(): number {
    return this.isPlaying && this.sketch.frames > 1 ? this.target + 1 : this.target;
  }

  /** Has done again up to a frame what was done by hand before, but for dials that the sketch has no more. */
  recall({ events }: InputTrack, frame: number): void {
    const { dials } = this.sketch;
    const fitting = events.filter(
      (event) => event.type !== 'dial' || fitDials(dials, { [event.name]: event.value }).misfits.length === 0,
    );
    const noted = fitting.map(({ frame, ...event }) => ({ frame, event }));
    this.run.recallInput(noted, frame);
    this.input.goOnFrom(noted.map(({ event }) => event));
  }

  /** Leaves items out of the picture, by their numbers from 1; what was shown is drawn again without them. */
  leaveOut(numbers: readonly number[]): void {
    this.leftOut = new Set(numbers.map((number) => number - 1));
    if (this.run.frame < 0) return;
    this.kept.forgetPictures();
    this.ask(async () => {
      this.shown = -1;
      await this.show(this.target);
    });
  }

  /** The frame that is shown, painted once more with the sketch's line for each item. */
  trace(): Promise<Frame> {
    return this.inTurn(async () => {
      const { run, target: at } = this;
      if (this.traced?.at !== at) {
        // If an older frame is shown, the run goes back to it: a run can only paint the frame that it is at.
        if (run.frame !== at) await run.goTo(at);
        run.quiet = true;
        try {
          this.traced = { at, frame: await run.paint(true) };
        } finally {
          run.quiet = false;
        }
      }
      return this.traced.frame;
    });
  }

  /** Whether the sketch has looked at pointer or keys. */
  get usesInput(): boolean {
    return this.run.usesInput;
  }

  /** The frame at hand as it was painted first, if it is not forgotten. */
  get painted(): Frame | undefined {
    return this.kept.frame(this.target);
  }

  addInput(events: readonly InputEvent[]): void {
    this.input.add(events);
  }

  /** @param chain which `play` it belongs to: one that was paused does not go on beside a newer one */
  private tick(now: number, chain: number): void {
    if (!this.isPlaying || chain !== this.chain) return;
    const due = this.clock.due(now * this.speed);
    // While an asynchronous start is not finished, time waits, so that no frames pile up.
    if (due === 0 || this.waiting > 0) return this.tickLater(now, chain);
    this.ask(() => this.moveOn(due));
    void this.work.then(() => {
      this.rate.add(performance.now());
      this.tickLater(now, chain);
    });
  }

  /**
   * Ticks again with the screen; at once where the last frame took longer than the screen's own, which would else have
   * to be waited for a second time. Now and then it waits all the same, as a page that is not seen is to rest.
   */
  private tickLater(last: number, chain: number): void {
    if (performance.now() - last < screenFrame || ++this.hasty > maxHasty) {
      this.hasty = 0;
      requestAnimationFrame((now) => this.tick(now, chain));
    } else soon(() => this.tick(performance.now(), chain));
  }

  /** Goes so many frames on, round and round. */
  private async moveOn(due: number): Promise<void> {
    const { frames, repeat } = this.sketch;
    const [first, last] = this.range ?? [0, frames - 1];
    const next = this.target + due;
    if (next <= last || this.target > last) return this.show((this.target = next));
    if (this.range !== undefined) return this.show((this.target = first + ((next - first) % (last - first + 1))));
    if (!repeat || frames === 1) {
      this.pause();
      if (this.target !== last) await this.show((this.target = last));
      return;
    }
    await this.begin(next % frames);
  }

  /** Runs the sketch anew, as nothing has been done yet. */
  private async begin(frame = 0): Promise<void> {
    this.kept.forget();
    this.traced = undefined;
    this.target = frame;
    this.shown = -1;
    await this.run.restart();
    await this.show(frame);
  }

  private async show(frame: number): Promise<void> {
    const { run } = this;
    if (!this.showKept(frame)) {
      // The next frame is drawn over the last one that was run.
      if (frame > run.frame && this.shown !== run.frame) this.showKept(run.frame);
      if (this.sketch.carry === 0 && frame < run.frame) await this.keepUpTo(frame);
      else
        await run.drawTo(frame, this.shown === run.frame ? this.shown : -1, (painted) => {
          this.draw(painted);
          this.kept.add(run.frame, painted, () => this.surface.copy());
          this.shown = run.frame;
        });
    }
    this.shown = frame;
    this.tell();
  }

  /** Shows a frame as it was painted before, if it is not forgotten. */
  private showKept(frame: number): boolean {
    const way = this.kept.wayTo(frame);
    if (way === undefined) return false;
    if (way.picture !== undefined) this.surface.put(way.picture);
    for (const painted of way.frames) this.draw(painted);
    this.shown = frame;
    return true;
  }

  /** Runs to an earlier frame from the start, and keeps the last frames along the way. */
  private async keepUpTo(frame: number): Promise<void> {
    const { run } = this;
    let painted: Frame | undefined;
    for (let at = Math.max(0, frame - keptOnTheWay); at <= frame; at++) {
      await run.goTo(at);
      painted = await run.paint();
      this.kept.add(at, painted, () => this.surface.copy());
    }
    this.draw(painted!);
  }

  private draw(frame: Frame): void {
    const { density } = this.run;
    const { leftOut } = this;
    const order = leftOut.size === 0 ? frame.order : frame.order.filter((place) => !leftOut.has(place));
    this.surface.draw(frame.density === density && order === frame.order ? frame : { ...frame, density, order });
    this.hasPicture = true;
  }

  /** Between two frames of a long run: lets messages in, and gives up if another frame is wanted. */
  private lookUp(): Promise<void> | undefined {
    const now = performance.now();
    if (now - this.lookedAt < times.toLook) return undefined;
    if (now - this.begunAt > times.toTell) {
      this.begunAt = now;
      this.setting.onTheWay(Math.max(0, this.run.frame), this.target);
    }
    const { wish } = this;
    return new Promise<void>((resolve, reject) => {
      soon(() => {
        this.lookedAt = performance.now();
        if (wish === this.wish) resolve();
        else reject(new Superseded());
      });
    });
  }

  private tell(): void {
    const { run, isPlaying, input } = this;
    if (!this.hasPicture) return;
    this.setting.onShown({
      frame: this.target,
      wish: this.heard,
      playing: isPlaying,
      reached: Math.max(0, run.frame),
      usesInput: this.usesInput,
      usesPointer: input.usesPointer,
      reproducible: run.reproducible,
      perSecond: isPlaying ? this.rate.perSecond : undefined,
    });
  }

  /** Runs a job after the current one has ended; if several wait, only the last one runs to its end. */
  private ask(job: () => Promise<void>): void {
    this.wish++;
    this.inTurn(job).catch((thrown: unknown) => {
      if (thrown instanceof Superseded) return;
      this.isPlaying = false;
      this.tell();
      this.setting.onError(asSketchError(thrown));
    });
  }

  private inTurn<T>(job: () => Promise<T>): Promise<T> {
    this.waiting++;
    const result = this.work.then(() => {
      this.begunAt = this.lookedAt = performance.now();
      return job();
    });
    this.work = result.then(
      () => void this.waiting--,
      () => void this.waiting--,
    );
    return result;
  }
}

function surfaceOn(canvas: OffscreenCanvas, exact: boolean): PageSurface<KeptPicture> {
  return exact ? new ExactSurface(canvas) : new Canvas2dSurface(canvas);
}
