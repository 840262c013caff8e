import { asSketchError, SketchError } from '../error.ts';
import { LiveClock } from '../motion/clock.ts';
import { callable, kindOf, oneOf, positive, toggle, whole } from '../schema/kind.ts';
import { optional, type Options, schemaOf, withoutUndefined } from '../schema/schema.ts';
import { framesLeftBy } from '../paint/fade.ts';
import type { LoadListener } from '../sketch/assets.ts';
import type { DialMap, DialSetting, DialSettings, DialValues } from '../sketch/dials.ts';
import type { InputSource } from '../sketch/input.ts';
import type { InputTrack } from '../sketch/input-track.ts';
import { frameAtRest, type Sketch } from '../sketch/sketch.ts';
import { dress, prefersRest, whenSeen } from './manners.ts';
import { PageInput } from './page-input.ts';
import { PagePerformer, type Performer, type PerformerSetting } from './performer.ts';
import { ScreenDensity } from './screen-density.ts';
import { onTick } from './ticks.ts';

const mountTable = {
  /**
   * Whether it plays at once. If the person prefers reduced motion, it rests on a frame from its middle until `play` is called.
   */
  autoplay: optional(toggle, true),
  /** Whether there are controls below it: play and pause, time, full screen, and its dials. */
  controls: optional(toggle, false),
  /** The seed of its random numbers; by default the sketch's own. */
  seed: optional(whole(0)),
  /** The canvas's width, in pixels of density 1; by default the sketch's own. */
  width: optional(whole(1)),
  /** The canvas's height, in pixels of density 1; by default the sketch's own. */
  height: optional(whole(1)),
  /** Pixels of the rendering per unit; by default as many as the screen has there, whatever its size. */
  density: optional(positive),
  /**
   * How it fits into the element around it: `contain`, as large as fits; `cover`, filling it and cutting off two sides; or `none`, at its own size.
   */
  fit: optional(oneOf('contain', 'cover', 'none'), 'none'),
  /**
   * What draws: `canvas2d`, the browser's own context, for speed; or `raster`, pixel for pixel as `juggle render` draws, loaded when needed.
   */
  surface: optional(oneOf('canvas2d', 'raster'), 'canvas2d'),
  /** Values of dials by name, instead of their initial ones. */
  dials: optional(
    kindOf<Readonly<Record<string, unknown>>>(
      'values by name: { swell: 20 }',
      (value) => typeof value === 'object' && value !== null,
      'is not an object',
    ),
  ),
  /** Replaces the page's pointer and keys: a recorded track, or something that listens in. */
  input: optional(callable<(page: InputSource) => InputSource>()),
  /** Called as each of the sketch's files has been loaded. */
  onLoad: optional(callable<LoadListener>()),
  /** Called after every frame shown, and whenever it starts or stops playing. */
  onFrame: optional(callable<(player: Player) => void>()),
  /** Called with the name and the value of a dial that was turned. */
  onDial: optional(callable<(name: string, value: unknown) => void>()),
  /** Called with what went wrong; the last good picture stays. Without it, errors go to the console. */
  onError: optional(callable<(error: SketchError) => void>()),
};
/** How a sketch is shown in a page. */
export type MountOptions<Dials extends DialMap = DialMap> = Omit<
  Options<typeof mountTable>,
  'dials' | 'onFrame' | 'onDial'
> & {
  /** Values of dials by name, instead of their initial ones. */
  readonly dials?: DialSettings<Dials>;
  /** Called after every frame shown, and whenever it starts or stops playing. */
  readonly onFrame?: (player: Player<Dials>) => void;
  /** Called with the name and the value of a dial that was turned. */
  readonly onDial?: (name: keyof Dials & string, value: unknown) => void;
};
const mountOptions = schemaOf(mountTable, '{ autoplay: false }');

const readOptions = (options: object) => mountOptions.read('mount', options as Options<typeof mountTable>);

/** What of the options of a mount the run and its surface are opened with. @throws SketchError where one is not valid */
export function openingOf(options: object): Pick<PerformerSetting, 'surface' | 'run'> {
  const { surface, seed, width, height, dials, density = devicePixelRatio } = readOptions(options);
  return { surface, run: { ...withoutUndefined({ seed, width, height, dials }), density } };
}

/** On a long way the page gets a breath after so many milliseconds. */
const longestHold = 12;

/** The player of each canvas. */
const players = new WeakMap<HTMLCanvasElement, Player>();

/** Milliseconds between two descriptions of a picture that plays: screen readers are not to be flooded. */
const describeEvery = 15_000;

/** Milliseconds in which all frames of a picture under a carry may be drawn again: while it plays, it stands still for them. */
const longestRedraw = { playing: 400, resting: 2000 };

/** A picture under a carry is drawn again after its size has not changed for this many milliseconds. */
const settleTime = 200;

/** What a player tells of, each as an event on it; the options `onFrame`, `onLoad`, `onDial` and `onError` hear the same. */
export interface PlayerEvents {
  /** A frame was shown, or it started or stopped playing. */
  readonly frame: Event;
  /** One more of the sketch's files was loaded. */
  readonly load: CustomEvent<{ readonly done: number; readonly total: number; readonly name: string }>;
  /** A dial was turned. */
  readonly dial: CustomEvent<{ readonly name: string; readonly value: unknown }>;
  /** Something went wrong; the last good picture stays. */
  readonly error: CustomEvent<SketchError>;
}

interface PlayerTarget {
  /** Hears what it tells of. `preventDefault` of an error keeps that off the console. */
  addEventListener<Type extends keyof PlayerEvents>(type: Type, listener: Listener<Type>, options?: AddEventListenerOptions): void; // prettier-ignore
  /** Hears no more. */
  removeEventListener<Type extends keyof PlayerEvents>(type: Type, listener: Listener<Type>): void;
  /** Tells of an event; its own come by themselves. */
  dispatchEvent(event: Event): boolean;
}
type Listener<Type extends keyof PlayerEvents> = (event: PlayerEvents[Type]) => void;
const PlayerTarget = EventTarget as new () => PlayerTarget;

/** What a page may have a button do: as its listener it is called without its player. */
const handlers = ['play', 'pause', 'advance', 'back', 'restart', 'stop'] as const;

/**
 * Plays a sketch on a canvas element. Which frame is due is worked out from the screen's clock: a slow machine shows
 * fewer pictures, but steps every frame, so that things move at the same speed everywhere.
 */
export class Player<Dials extends DialMap = DialMap> extends PlayerTarget {
  /** Comes once there is a picture: true; or once it has failed to be made: false. */
  readonly ready: Promise<boolean>;
  private readonly clock: LiveClock;
  private readonly run: Performer;
  private readonly page: PageInput;
  private isPlaying = false;
  /** Whether any of it is on the screen; if not, it pauses. */
  private seen = true;
  private readonly undo: (() => void)[] = [];
  private endTicks = (): void => undefined;
  /** The density that was asked for last. */
  private asked: number;
  /** What keeps its pixels the screen's, where no density was asked for. */
  private readonly screen: ScreenDensity | undefined;
  private settling: ReturnType<typeof setTimeout> | undefined;
  private hidePlayButton: (() => void) | undefined;
  /** The time since which the page could not do anything else. */
  private heldSince = 0;
  private describing = false;
  private describedAt = -Infinity;
  private stopped = false;
  /** The frame that the element shows; -1 for none, or for one that is out of date. */
  private shown = -1;
  /** The work in progress; the next one waits for it, so that nothing overtakes an asynchronous start. */
  private work: Promise<void> = Promise.resolve();
  private waiting = 0;
  /** Milliseconds that a frame takes, by the last ones. */
  private pace = 0;
  /** What will show the frame at hand once more. */
  private refreshing: Promise<void> | undefined;

  /**
   * @param perform what runs and draws it, where that is not to be the page
   * @throws SketchError where it is no sketch, or an option is unknown or not valid
   */
  constructor(
    /** What is played. */
    readonly sketch: Sketch<Dials>,
    /** Where it is shown. */
    readonly element: HTMLCanvasElement,
    private readonly options: MountOptions<Dials> = {},
    perform: (setting: PerformerSetting) => Performer = (setting) => new PagePerformer(sketch, setting),
  ) {
    super();
    for (const name of handlers) this[name] = this[name].bind(this) as never;
    const { autoplay, controls, density, fit, input } = readOptions(options);
    const { view } = this;
    const opening = openingOf(options);
    this.asked = opening.run.density;
    this.run = perform({
      ...opening,
      element,
      input: () => input?.(this.page) ?? this.page,
      onLoad: this.onLoad,
      between: this.breathe,
    });
    // Of two players on one canvas neither would show what it should.
    players.get(element)?.stop();
    players.set(element, this as unknown as Player);
    this.undo.push(dress(element, sketch.title, this.run, fit));
    this.clock = new LiveClock(sketch.frameRate);
    this.page = new PageInput(element, this.run);
    element.ownerDocument.addEventListener('visibilitychange', this.onVisibility);
    this.undo.push(whenSeen(element, this.onSeen));
    if (density === undefined) this.screen = new ScreenDensity(element, this.run, this.onDensity);
    this.ready = this.restart().then(() => this.shown >= 0);
    if (controls) this.control();
    if (!autoplay) return;
    if (sketch.frames > 1 && prefersRest(view)) this.rest(!controls);
    else this.play();
  }

  private get view(): Window {
    return this.element.ownerDocument.defaultView!;
  }

  /** The number of the frame that is shown, from 0. */
  get frame(): number {
    return Math.max(0, this.run.frame);
  }
  /** The moment of the frame that is shown, in seconds. */
  get seconds(): number {
    return this.frame / this.sketch.frameRate;
  }
  /** The seed of its random numbers. */
  get seed(): number {
    return this.run.seed;
  }
  /** Whether it plays; if not, it holds a frame. */
  get playing(): boolean {
    return this.isPlaying;
  }

  /** Goes on from the frame at hand; a sketch that does not repeat and has ended begins again. */
  play(): void {
    this.hidePlayButton?.();
    if (this.isPlaying || this.stopped) return;
    if (this.run.atEnd && !this.sketch.repeat && this.sketch.frames > 1) void this.restart();
    this.isPlaying = true;
    // What came after a frame that one has gone back to is over.
    void this.enqueue(async () => void (await this.run.forgetInput(this.frame + 1)));
    this.goOn();
    this.changed();
  }

  /** Holds the frame at hand. */
  pause(): void {
    if (!this.isPlaying) return;
    this.isPlaying = false;
    this.endTicks();
    this.changed();
  }

  /** Pauses, and goes one frame on. */
  advance(): Promise<void> {
    this.pause();
    return this.enqueue(() => this.move(1));
  }

  /** Pauses, and goes one frame back. */
  back(): Promise<void> {
    this.pause();
    return this.enqueue(() => this.show(Math.max(0, this.run.frame - 1)));
  }

  /** Goes back to frame 0. */
  restart(): Promise<void> {
    return this.enqueue(async () => {
      await this.run.restart();
      this.shown = -1;
      await this.show(0);
    });
  }

  /** Shows a frame by its number. Under a carry, all that its trails are made of is painted. */
  goTo(frame: number): Promise<void> {
    return this.enqueue(() => this.show(frame));
  }

  /** Shows the same frame at another density; after a long run under a carry, the trails that are there stay as they are. */
  setDensity(density: number): Promise<void> {
    this.asked = density;
    return this.enqueue(async () => {
      // Of several changes during one drawing, only the last is applied.
      if (this.run.density === this.asked) return;
      this.run.density = this.asked;
      if (this.run.frame >= 0 && !this.keepsTrails) await this.refresh();
    });
  }

  /** Whether it would take too long to draw all frames again, and the surface scales what it has. */
  private get keepsTrails(): boolean {
    const { carry } = this.sketch;
    if (carry === 0 || this.options.surface === 'raster' || this.shown < 0) return false;
    const most = this.isPlaying ? longestRedraw.playing : longestRedraw.resting;
    return Math.min(this.frame, framesLeftBy(carry)) * this.pace > most;
  }

  /** Fills the screen with the picture, or ends that. A browser allows it after a click or a key only. */
  async fullScreen(on = this.element.ownerDocument.fullscreenElement !== this.element): Promise<void> {
    const { element } = this;
    const { fullscreenElement } = element.ownerDocument;
    if (on) await element.requestFullscreen();
    else if (fullscreenElement === element) await element.ownerDocument.exitFullscreen();
  }

  /** The value of every dial. */
  get dials(): DialValues<Dials> {
    return this.run.dials as DialValues<Dials>;
  }

  /** Turns a dial; a sketch that is not playing is shown again with it. */
  setDial<Name extends keyof Dials & string>(name: Name, value: DialSetting<Dials[Name]>): Promise<void> {
    let seen: Promise<void> | undefined;
    const turned = this.enqueue(async () => {
      await this.run.setDial(name, value, this.isPlaying);
      this.options.onDial?.(name, this.dials[name]);
      this.tell('dial', { name, value: this.dials[name] });
      if (this.run.frame < 0 || (this.isPlaying && this.sketch.frames > 1)) return;
      this.shown = -1;
      // Many turns in a row, as of a slider, are shown together.
      seen = this.refreshing ??= this.enqueue(() => {
        this.refreshing = undefined;
        return this.refresh();
      });
    });
    return turned.then(() => seen);
  }

  /** What pointer and keys, and dials turned with them, did since frame 0; `writeTrack` makes a file of it. */
  track(): Promise<InputTrack> {
    return this.run.track();
  }

  /** Whether the sketch has asked for pointer or keys. */
  get listening(): boolean {
    return this.run.usesInput;
  }

  /** Stops for good and removes everything from the page; the canvas is as it was before, except for the picture. */
  stop(): void {
    this.pause();
    this.stopped = true;
    clearTimeout(this.settling);
    this.screen?.end();
    this.hidePlayButton?.();
    this.page.end();
    this.run.end();
    this.element.ownerDocument.removeEventListener('visibilitychange', this.onVisibility);
    for (const undo of this.undo.splice(0).reverse()) undo();
    if (players.get(this.element) === (this as unknown as Player)) players.delete(this.element);
  }

  private control(): void {
    void import('./controls.ts').then(({ showControls }) => {
      if (!this.stopped) this.undo.push(showControls(this));
    });
  }

  /** Shows a resting frame; without controls, with a play button over it. */
  private rest(withButton: boolean): void {
    void this.goTo(frameAtRest(this.sketch));
    if (!withButton) return;
    void import('./play-button.ts').then(({ playButton }) => {
      if (this.isPlaying || this.stopped) return;
      const hide = playButton(this.element, this.sketch.title, () => this.play());
      this.hidePlayButton = () => {
        this.hidePlayButton = undefined;
        hide();
      };
    });
  }

  private readonly onDensity = (density: number): void => {
    clearTimeout(this.settling);
    // Trails are made from the first frame on.
    if (this.sketch.carry === 0 || this.run.frame < 1) void this.setDensity(density);
    else this.settling = setTimeout(() => void this.setDensity(density), settleTime);
  };

  private readonly onSeen = (seen: boolean): void => {
    this.seen = seen;
    this.endTicks();
    this.goOn();
  };

  /** Has the next frame shown when it is due; time that has gone by meanwhile does not count. */
  private goOn(): void {
    if (!this.isPlaying || !this.seen) return;
    this.clock.pause();
    this.endTicks = onTick(this.view, this.tick);
  }

  private readonly onVisibility = (): void => {
    this.clock.pause();
  };

  private readonly tick = (now: number): void => {
    if (!this.isPlaying || !this.seen) return;
    this.screen?.look();
    const due = this.clock.due(now);
    // While an asynchronous start is not finished, time waits, so that no frames pile up.
    if (due > 0 && this.waiting === 0) void this.enqueue(() => this.move(due));
  };

  /** Goes on by so many frames, round after round, and shows the last of them. */
  private async move(count: number): Promise<void> {
    const { frames, repeat } = this.sketch;
    let left = count;
    while (left > 0) {
      const { frame } = this.run;
      if (frame >= frames - 1) {
        if (!repeat) return this.pause();
        await this.run.restart();
        this.shown = -1;
        left--;
        if (left > 0 && this.sketch.carry === 0 && frames > 1) continue;
        await this.show(0);
        continue;
      }
      const target = Math.min(frame + left, frames - 1);
      left -= target - frame;
      // Of a round that is over before the time that is due nothing is seen.
      if (left === 0 || this.sketch.carry > 0) await this.show(target);
      else await this.run.goTo(target);
    }
  }

  /** Shows the frame at hand once more, as something else about it has changed. */
  private refresh(): Promise<void> {
    this.shown = -1;
    return this.show(this.frame);
  }

  private async show(frame: number): Promise<void> {
    const [before, began] = [this.shown, performance.now()];
    await this.run.show(frame, before);
    const count = Math.min(this.frame - (this.frame < before ? -1 : before), framesLeftBy(this.sketch.carry));
    if (count > 0) this.pace += ((performance.now() - began) / count - this.pace) * Math.min(1, count / 8);
    this.shown = this.run.frame;
    this.changed();
  }

  private changed(): void {
    this.describe();
    this.options.onFrame?.(this);
    this.dispatchEvent(new Event('frame'));
  }

  /** Lets the page respond during a long run to a far frame; a stop ends that run too. */
  private readonly breathe = (): Promise<void> | undefined => {
    if (this.stopped) throw new SketchError({ problem: 'the player was stopped' });
    if (performance.now() - this.heldSince < longestHold) return undefined;
    return new Promise((resolve) =>
      setTimeout(() => {
        this.heldSince = performance.now();
        resolve();
      }),
    );
  };

  private readonly onLoad: LoadListener = (done, total, name) => {
    this.options.onLoad?.(done, total, name);
    this.tell('load', { done, total, name });
  };

  /** @returns whether somebody has dealt with it */
  private tell<Detail>(event: keyof PlayerEvents, detail: Detail): boolean {
    return !this.dispatchEvent(new CustomEvent(event, { detail, cancelable: true }));
  }

  /** Says in words what is to be seen, for who cannot see it: at first, at rest, and now and then as it plays. */
  private describe(): void {
    const now = performance.now();
    if (this.describing || this.stopped || (this.isPlaying && now - this.describedAt < describeEvery)) return;
    const words = this.run.words();
    if (words === undefined) return;
    this.describing = true;
    this.describedAt = now;
    words
      .then(
        (text) => this.element.setAttribute('aria-description', text),
        // A page that cannot load what says it does without.
        () => undefined,
      )
      .finally(() => (this.describing = false));
  }

  private enqueue(job: () => Promise<void>): Promise<void> {
    this.waiting++;
    this.work = this.work.then(async () => {
      try {
        this.heldSince = performance.now();
        if (!this.stopped) await job();
      } catch (thrown) {
        if (!this.stopped) this.failed(asSketchError(thrown));
      } finally {
        this.waiting--;
      }
    });
    return this.work;
  }

  private failed(error: SketchError): void {
    this.pause();
    this.changed();
    const dealtWith = this.tell('error', error);
    if (this.options.onError) this.options.onError(error);
    else if (!dealtWith) console.error(error);
  }
}
