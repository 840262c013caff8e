import { Canvas } from '../canvas/canvas.ts';
import { makeView, type View } from '../canvas/view.ts';
import { seededNoise, type Noise } from '../chance/noise.ts';
import { seededRandom, type Random } from '../chance/random.ts';
import { asSketchError, fail, show, SketchError } from '../error.ts';
import type { Frame } from '../frame/frame.ts';
import { onlyKnown, orElse } from '../known-names.ts';
import type { HitTester } from '../review/hit.ts';
import { callable, kindOf, length, positive, refusePromise, whole } from '../schema/kind.ts';
import { givenBy } from '../schema/given.ts';
import { optional, type Options, schemaOf } from '../schema/schema.ts';
import { loadLetteringAtStart } from '../text/lettering.ts';
import { loadAssets, type AssetHost, type LoadListener } from './assets.ts';
import { dialNamed, dialValues, notedDials, plainDialValue, turnTo } from './dials.ts';
import {
  Input,
  inputSource,
  type InputEvent,
  type InputSource,
  type Keys,
  type NotedEvent,
  type Pointer,
} from './input.ts';
import { NotedInput } from './noted-input.ts';
import { quietly } from './quiet.ts';
import { checkSize, sketchKind, type Moment, type Sketch } from './sketch.ts';

/** One of the sketch's own functions, about to be called; or its files, about to be loaded. */
export interface RunCall {
  /** Whose function it is. */
  readonly sketch: Sketch;
  /** The frame for which it is called. */
  readonly frame: number;
  /** Which function; `load` is the loading of its files. */
  readonly name: 'load' | 'start' | 'step' | 'paint';
}

/** Where a run stands between two frames: together with its sketch, seed, size and dials, all that later frames follow from. */
export interface Checkpoint {
  readonly frame: number;
  readonly state: unknown;
  /** What the next `step` draws from. */
  readonly random: Random;
}

const runTable = {
  /** The seed of `random` and `noise`; by default the sketch's own. */
  seed: optional(whole(0)),
  /** The canvas's width, in pixels of density 1; by default the sketch's own. */
  width: optional(whole(1)),
  /** The canvas's height, in pixels of density 1; by default the sketch's own. */
  height: optional(whole(1)),
  /** Pixels of the rendering per unit; by default the sketch's own. */
  density: optional(positive),
  /** How files are read; only needed if the sketch has assets. */
  host: optional(kindOf<AssetHost>('a host: { read(url) { … } }', isHost, 'is not a host')),
  /** Called while assets are loading. */
  onLoad: optional(callable<LoadListener>()),
  /** Values of dials by name, instead of their initial ones. */
  dials: optional(
    kindOf<Readonly<Record<string, unknown>>>(
      'values by name: { swell: 20 }',
      (value) => typeof value === 'object' && value !== null,
      'is not an object',
    ),
  ),
  /** Where pointer and keys come from. */
  input: optional(callable<(run: Run) => InputSource>()),
  /** Calls the sketch's functions, for a host that limits how long one may take. */
  limit: optional(callable<<T>(call: () => T, what: RunCall) => T>()),
  /** Called between the frames of a long run; the run waits for it, and ends with what it throws. */
  between: optional(callable<() => Promise<void> | void>()),
};
/** What one run of a sketch is given. */
export interface RunOptions extends Options<typeof runTable> {}
const runOptions = schemaOf(runTable, '{ seed: 7 }');

function isHost(value: unknown): boolean {
  return typeof (value as { read?: unknown } | null)?.read === 'function';
}

const noHost: AssetHost = {
  read: () =>
    Promise.reject(
      new Error("a run reads no files by itself; in Node give it { host: fileHost } of 'frame-juggler/node'"),
    ),
};
const frameNumber = whole(0);
const givenCheckpoint = /* @__PURE__ */ givenBy<Checkpoint>('a checkpoint', 'run.checkpoint', 'frame', 'random');

const notedKind = /* @__PURE__ */ kindOf<readonly NotedEvent[]>(
  'a list of { frame, event }',
  Array.isArray,
  'is not a list',
);

const stateIsThird = 'the state is the third, paint(canvas, moment, state)';
const startsFirst = 'await run.goTo(0) before';

const asAssets = /* @__PURE__ */ onlyKnown('assets');

/**
 * One run of a sketch: it keeps the state, moves it on frame by frame and has frames painted. Time is the number of
 * the frame and nothing else, so the same run gives the same frames however it is driven. Calls that overlap are
 * done one after the other, in turn.
 */
export class Run {
  /** Where its random numbers come from. */
  readonly seed: number;
  /** The canvas's width, in pixels of density 1. */
  readonly width: number;
  /** The canvas's height, in pixels of density 1. */
  readonly height: number;
  /** Pixels of the rendering to one unit; may be changed between frames. */
  density: number;
  /** Whether what the sketch prints is left out, as where a frame is painted once more to be looked at. */
  quiet = false;
  /** How the sketch's units lie on the canvas. */
  readonly view: View;
  private readonly options: RunOptions;
  private state: unknown;
  private readonly asMoment = onlyKnown(
    'moment',
    Object.keys,
    (name, near) => this.ownerOf(name) ?? orElse(near, stateIsThird),
  );
  private at = -1;
  /** What `start` and `step` draw from: it runs on from frame to frame. */
  private stepRandom: Random;
  private readonly noise: Noise;
  private assets: Record<string, unknown> = {};
  /** The values with which the run begins, and those in force. */
  private readonly firstDials: Readonly<Record<string, unknown>>;
  private readonly dialValues: Readonly<Record<string, unknown>>;
  /** The dials whose turning was noted as a part of the input. */
  private readonly turnedByHand = new Set<string>();
  /** Those in force, for `start` and `step`: what those read of them is in the state. */
  private dialsOfState: Record<string, unknown> = {};
  private readonly readByStart = new Set<string>();
  private readonly readByStep = new Set<string>();
  private starting = false;
  /** Whether the state was made by dials that have been turned since, and is to be made anew. */
  private outdated = false;
  /** Whether it was made so, and stays. */
  private mixed = false;
  private input: Input | undefined;
  private inputSource: InputSource | undefined;
  private readonly noted = new NotedInput();
  private inputUsed = false;
  /** The frame painted last, and the one before the current frame, for `pointer.over`. */
  private painted: { readonly at: number; readonly frame: Frame } | undefined;
  private before: Frame | undefined;
  /** What tests hits, loaded once a pointer is over the canvas: a page without one does without it. */
  private hits: HitTester | undefined;
  /** The call in progress; the next one waits for it. */
  private work: Promise<unknown> = Promise.resolve();

  /** @throws SketchError where it is no sketch, or an option is unknown or not valid */
  constructor(
    /** What is run. */
    readonly sketch: Sketch,
    options: RunOptions = {},
  ) {
    const call = 'Run';
    sketchKind.read(call, 'sketch', sketch);
    runOptions.check(call, options);
    this.options = options;
    this.seed = options.seed ?? sketch.seed;
    this.width = options.width ?? sketch.canvas.width;
    this.height = options.height ?? sketch.canvas.height;
    this.density = options.density ?? sketch.canvas.density;
    checkSize(call, this.width, this.height, this.density);
    this.stepRandom = seededRandom(this.seed);
    this.noise = seededNoise(this.seed);
    this.view = makeView(this.width, this.height, sketch.canvas.view);
    this.firstDials = dialValues(sketch.dials, options.dials);
    this.dialValues = dialValues(sketch.dials, options.dials);
  }

  /** The value of every dial. */
  get dials(): Readonly<Record<string, unknown>> {
    return this.dialValues;
  }

  /** The value that every dial has in a frame: another than now where pointer or keys had a part, and it was turned since. */
  dialsAt(frame: number): Readonly<Record<string, unknown>> {
    frameNumber.read('run.dialsAt', 'frame', frame);
    const first = Object.entries(this.firstDials);
    return Object.fromEntries(first.map(([name, value]) => [name, this.noted.valueAt(frame, name, value)]));
  }

  /**
   * Turns a dial: every frame from now on is as if it always had that value. Where `start` or `step` has read it, the
   * sketch begins again for that, and comes by all steps to the frame at hand. Where pointer or keys have a part in the
   * run, the turn of a dial that `step` reads, or that is seen in trails, is a part of what was done by hand too: it
   * counts from one frame on, and is among `inputEvents`.
   * @param goingOn whether steps that are done already may stay, as while it plays; `start` counts anew all the same
   * @param from the first frame that is to know of it, where that is a part of what is done by hand: by default the frame
   *   at hand, or the next one while it goes on
   * @returns the first frame that may be another now; Infinity where the dial is at that value
   */
  setDial(name: string, value: unknown, goingOn = false, from = Math.max(0, this.at) + Number(goingOn)): number {
    frameNumber.read('run.setDial', 'from', from);
    const now = dialNamed(this.sketch.dials, name).read('dials', name, value);
    const inStart = this.readByStart.has(name);
    const inLaterFrames = this.readByStep.has(name) || this.sketch.carry > 0;
    const byHand = this.at >= 0 && this.hasInput && this.inputUsed && inLaterFrames && !inStart;
    const before = byHand ? this.dialsAt(from)[name] : this.dialValues[name];
    // Pages set all dials again when one has changed.
    if (JSON.stringify(before) === JSON.stringify(now)) return Infinity;
    if (byHand) {
      this.noted.turn(from, name, plainDialValue(now), plainDialValue(this.firstDials[name]));
      this.turnedByHand.add(name);
    } else turnTo(now, name, this.firstDials);
    if (inStart || (!goingOn && (byHand || this.readByStep.has(name)))) this.outdated = true;
    else if (inLaterFrames && !byHand) this.mixed = true;
    // A turn for an earlier frame comes into force on the way from there.
    if (!byHand || from >= this.at) turnTo(now, name, this.dialValues, this.dialsOfState);
    return byHand ? from : 0;
  }

  /** The number of the frame at hand; -1 before the start. */
  get frame(): number {
    return this.at;
  }

  /**
   * What came of pointer and keys since frame 0, and of dials that were turned by hand with them; for `makeTrack`. A
   * frame that is run again is told the same again.
   */
  get inputEvents(): readonly NotedEvent[] {
    return this.noted.events;
  }

  /**
   * Takes what happened in another run as if it had happened in this one: its frames are told the same.
   * @param until the last frame of that run; from the next on, pointer and keys are asked
   */
  recallInput(events: readonly NotedEvent[], until: number): void {
    const call = 'run.recallInput';
    this.noted.recall(notedKind.read(call, 'events', events), frameNumber.read(call, 'until', until));
    for (const { event } of events) if (event.type === 'dial') this.turnedByHand.add(event.name);
  }

  /** Forgets what happened from a frame on: from there, pointer and keys are asked again. */
  forgetInput(from = 0): void {
    this.noted.forget(frameNumber.read('run.forgetInput', 'from', from));
  }

  /** Whether the sketch has looked at the pointer or at keys. */
  get usesInput(): boolean {
    return this.inputUsed;
  }

  /**
   * Where it stands. The state is the sketch's own and not a copy: it changes with the next step.
   * @throws SketchError where the run has not started
   */
  get checkpoint(): Checkpoint {
    if (this.at < 0) fail({ call: 'run.checkpoint', problem: 'the run has not started', expected: startsFirst });
    return { frame: this.at, state: this.state, random: this.stepRandom };
  }

  /** Whether a run with the same seed, dials and input comes to the same state; not if it went on after a dial was turned. */
  get reproducible(): boolean {
    return this.outdated || !this.mixed;
  }

  /** Whether pointer and keys come from somewhere, recorded or live. */
  get hasInput(): boolean {
    return this.options.input !== undefined;
  }

  /** The files that the sketch uses as they were loaded, by name; none before the start. */
  get loaded(): Readonly<Record<string, unknown>> {
    return this.assets;
  }

  /** Whether the frame at hand is the last before it begins again. */
  get atEnd(): boolean {
    return this.at >= this.sketch.frames - 1;
  }

  /** Loads what the sketch needs, once, and makes the state of frame 0; pointer and keys are asked again from there. */
  restart(): Promise<void> {
    return this.inTurn(() => this.beginAnew());
  }

  /** Moves on by one frame; on the last one it begins again, or stays where the sketch does not repeat. */
  advance(): Promise<void> {
    return this.inTurn(async () => {
      await this.renew();
      await this.moveOn();
    });
  }

  /** Goes to a frame: by steps where it lies ahead, from the start where it lies behind. Beyond the end it repeats. */
  goTo(frame: number): Promise<void> {
    return this.inTurn(() => this.move(this.frameAfterRounds(frame)));
  }

  /**
   * Goes on from where another run of the same sketch stood, as if all steps up to there had been done.
   * @param read gives that place, once the sketch has started: so its assets are there, and whatever `start` prepares
   * @throws SketchError where input is played, which a checkpoint does not hold, or where `read` gives anything else
   */
  resume(read: (run: Run) => Checkpoint): Promise<void> {
    if (this.hasInput)
      fail({
        call: 'run.resume',
        problem: 'a run with input starts at its first frame',
        expected: 'expected run.goTo',
      });
    callable().read('run.resume', 'read', read);
    return this.inTurn(async () => {
      await this.begin();
      const checkpoint = givenCheckpoint.read('run.resume', 'checkpoint', read(this));
      ({ frame: this.at, state: this.state, random: this.stepRandom } = checkpoint);
      this.input?.begin(this.at, []);
    });
  }

  /**
   * Paints the frame at hand; `trace` notes the sketch's line with every item.
   * @throws SketchError with the frame where the sketch is wrong, or where the run has not started
   */
  paint(trace = false): Promise<Frame> {
    return this.inTurn(async () => {
      await this.renew();
      return this.paintHere(trace);
    });
  }

  /**
   * Goes to a frame and gives what must be drawn for its picture, in order: that frame, or under a carry each one on
   * the way, as every picture stands on the one before.
   * @param shown the frame that is drawn already; -1 for none
   * @param draw called with each frame
   * @param early how many frames before it are still to be seen in it, if not all: older ones are not painted
   */
  drawTo(frame: number, shown: number, draw: (frame: Frame) => void | Promise<void>, early = Infinity): Promise<void> {
    return this.inTurn(async () => {
      const target = this.frameAfterRounds(frame);
      if (this.sketch.carry === 0) {
        await this.move(target);
        return draw(await this.paintHere(false));
      }
      if (shown < 0 || shown !== this.at || shown > target || target - early > shown + 1 || this.outdated) {
        await this.move(Math.max(0, target - early));
        // Drawn on nothing, whatever the surface shows.
        await draw({ ...(await this.paintHere(false)), carry: 0 });
      }
      while (this.at < target) {
        await this.options.between?.();
        await this.moveOn();
        await draw(await this.paintHere(false));
      }
    });
  }

  /** Maps any frame number to a frame of one round: the run repeats, or stays at its last frame. */
  frameAfterRounds(frame: number): number {
    const { frames, repeat } = this.sketch;
    frameNumber.read('run', 'frame', frame);
    return repeat ? frame % frames : Math.min(frame, frames - 1);
  }

  /** The number of the frame that is shown at a moment in seconds. */
  frameAtSeconds(seconds: number): number {
    // A hair more, so that 0.1 s at 30 frames a second is frame 3 and not 2.999….
    return Math.floor(length.read('run', 'seconds', seconds) * this.sketch.frameRate + 1e-6);
  }

  private inTurn<T>(job: () => Promise<T>): Promise<T> {
    const result = this.work.then(job);
    // An error is reported to the caller it belongs to; the next call runs anyway.
    this.work = result.catch(() => undefined);
    return result;
  }

  /** Begins another round, of which nothing has happened yet; dials stay as they are. */
  private beginAnew(): Promise<void> {
    const now = this.dialsAt(this.at + 1);
    for (const name of this.turnedByHand) turnTo(now[name], name, this.firstDials);
    this.turnedByHand.clear();
    this.noted.forget();
    return this.begin();
  }

  /** Begins again, and is told again what it was told. */
  private async begin(): Promise<void> {
    const { host = noHost, onLoad, input } = this.options;
    const [assets] = await this.call('load', () =>
      Promise.all([loadAssets(this.sketch.assets, host, onLoad), loadLetteringAtStart()]),
    );
    this.assets = asAssets(assets);
    this.at = 0;
    this.before = undefined;
    this.painted = undefined;
    if (input !== undefined) this.inputSource ??= inputSource.read('Run', 'input', input(this));
    this.input ??= new Input(this.view, (label, x, y) => this.isOver(label, x, y));
    const events = this.noted.take(0, this.inputSource);
    if (events.some(isMove)) await this.loadHits();
    this.input.begin(0, events);
    for (const [name, value] of Object.entries(this.firstDials)) turnTo(value, name, this.dialValues);
    if (events.length > 0) await this.turnDials(events);
    this.stepRandom = seededRandom(this.seed);
    this.outdated = this.mixed = false;
    this.dialsOfState = notedDials(this.dialValues, (name) =>
      (this.starting ? this.readByStart : this.readByStep).add(name),
    );
    const moment = this.moment(this.stepRandom, this.dialsOfState);
    this.starting = true;
    try {
      this.state = await this.inFrame(() => this.call('start', () => this.sketch.start(moment)));
    } finally {
      this.starting = false;
    }
  }

  private async moveOn(): Promise<void> {
    if (this.at < 0) return this.begin();
    if (this.atEnd) return this.sketch.repeat ? this.beginAnew() : undefined;
    const events = this.noted.take(this.at + 1, this.inputSource);
    // While the pointer is over the canvas, the sketch may ask what is under it in the current frame.
    if (this.input?.pointer.inside === true || events.some(isMove)) {
      await this.loadHits();
      if (this.painted?.at !== this.at) await this.paintHere(false);
    }
    this.before = this.painted?.at === this.at ? this.painted.frame : undefined;
    this.at++;
    this.input?.begin(this.at, events);
    if (events.length > 0) await this.turnDials(events);
    const { step } = this.sketch;
    if (step === undefined) return;
    const moment = this.moment(this.stepRandom, this.dialsOfState);
    const next = await this.inFrame(() => this.call('step', () => step(this.state, moment)));
    if (next !== undefined) this.state = this.nextState(next);
  }

  /** Turns the dials that were turned before a frame. */
  private turnDials(events: readonly InputEvent[]): Promise<void> {
    return this.inFrame(() => {
      for (const event of events)
        if (event.type === 'dial') {
          const { name, value } = event;
          const now = dialNamed(this.sketch.dials, name, 'input').read('input', name, value);
          turnTo(now, name, this.dialValues, this.dialsOfState);
        }
    });
  }

  /** What `step` returned as the next state. An arrow function without braces returns what it has just computed. */
  private nextState(next: unknown): unknown {
    const { state } = this;
    const isThing = (value: unknown): boolean => typeof value === 'object' && value !== null;
    const isPart = Array.isArray(next) && !Array.isArray(state);
    if (isThing(state) && (isPart || !isThing(next)))
      throw new SketchError({
        call: 'step',
        problem: `returned ${show(next)}, which would take the place of the state ${show(state)}`,
        expected: isPart
          ? 'return the whole state, step: (state) => ({ ...state, list: next }), or change it and return nothing'
          : 'put what it does into braces, step: (state) => { state.x += 1; }, so that it returns nothing',
      }).inFrame(this.at);
    return next;
  }

  private async loadHits(): Promise<void> {
    this.hits ??= await (await import('../review/hit.ts')).loadHitTester();
  }

  private isOver(label: string, x: number, y: number): boolean {
    return this.before !== undefined && this.hits !== undefined && this.hits.hitsLabel(this.before, label, x, y);
  }

  /** Makes a state that is out of date anew, up to the frame at hand. */
  private renew(): Promise<void> | undefined {
    return this.outdated ? this.move(this.at) : undefined;
  }

  private async move(target: number): Promise<void> {
    if (this.at < 0 || this.at > target || this.outdated) await this.begin();
    while (this.at < target) {
      await this.options.between?.();
      await this.moveOn();
    }
  }

  private async paintHere(trace: boolean): Promise<Frame> {
    if (this.at < 0) fail({ call: 'run.paint', problem: 'the run has not started', expected: startsFirst });
    const { sketch, width, height, density, view } = this;
    const { background } = sketch.canvas;
    // The first frame has no picture before it to carry over.
    const carry = this.at === 0 ? 0 : sketch.carry;
    const canvas = new Canvas({ width, height, density, view, background, carry, trace });
    const moment = this.moment(seededRandom(`${this.seed}/paint`));
    await this.inFrame(() => this.call('paint', () => sketch.paint(canvas, moment, this.state)));
    await canvas.ready();
    // Text is set only now, for as long as that may take.
    const frame = await this.inFrame(() => this.call('paint', () => canvas.finish()));
    if (this.inputSource !== undefined) this.painted = { at: this.at, frame };
    return frame;
  }

  private moment(random: Random, dials: Readonly<Record<string, unknown>> = this.dialValues): Moment {
    const { frameRate, frames } = this.sketch;
    const input = (): Input => {
      this.inputUsed = true;
      return this.input!;
    };
    const pointer = (): Pointer => {
      const found = input().pointer;
      this.inputSource?.onPointer?.();
      return found;
    };
    const keys = (): Keys => {
      const found = input().keys;
      this.inputSource?.onKeys?.();
      return found;
    };
    return this.asMoment({
      frame: this.at,
      seconds: this.at / frameRate,
      delta: 1 / frameRate,
      progress: frames === Infinity ? 0 : this.at / frames,
      width: this.view.width,
      height: this.view.height,
      random,
      noise: this.noise,
      // Noted, because a page then leaves keys and touches to the sketch.
      get pointer() {
        return pointer();
      },
      get keys() {
        return keys();
      },
      dials,
      assets: this.assets as Moment['assets'],
    });
  }

  /** Where something is that was sought in the moment: what it is called for the sketch's own things. */
  private ownerOf(name: string): string | undefined {
    const { state } = this;
    if (Object.hasOwn(this.dialValues, name)) return `it is a dial: dials.${name}`;
    if (Object.hasOwn(this.sketch.assets, name)) return `it is an asset: assets.${name}`;
    return typeof state === 'object' && state !== null && name in state
      ? `it is in the state: ${stateIsThird}`
      : undefined;
  }

  /** Calls a function of the sketch's, within the host's limit. */
  private call<T>(name: RunCall['name'], call: () => T): T {
    const { limit } = this.options;
    const frame = Math.max(0, this.at);
    const made = this.quiet ? () => quietly(call) : call;
    const result = limit === undefined ? made() : limit(made, { sketch: this.sketch, frame, name });
    if (name === 'step' || name === 'paint') refusePromise(result, name, 'frame');
    return result;
  }

  /** What would most likely be right where the engine itself stopped the sketch's code. */
  private async hintFor(thrown: unknown): Promise<string | undefined> {
    if (thrown instanceof SketchError) return undefined;
    try {
      const { hintFor } = await import('./hints.ts');
      return hintFor(thrown, { sketch: this.sketch, state: this.state });
    } catch {
      // Without a connection there is the error by itself.
      return undefined;
    }
  }

  /** Calls the sketch's own code; an error in it gets the frame's number. */
  private async inFrame<T>(call: () => T): Promise<Awaited<T>> {
    try {
      return await call();
    } catch (thrown) {
      throw asSketchError(thrown, await this.hintFor(thrown)).inFrame(this.at);
    }
  }
}

const isMove = ({ type }: InputEvent): boolean => type === 'move';
