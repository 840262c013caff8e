import { asSketchError, type SketchError } from '../error.ts';
import { LiveClock } from '../motion/clock.ts';
import { Picture } from '../paint/picture.ts';
import type { AssetHost, LoadListener } from '../sketch/assets.ts';
import type { InputSource } from '../sketch/input.ts';
import { Run } from '../sketch/run.ts';
import type { Sketch } from '../sketch/sketch.ts';
import { Canvas2dSurface } from './canvas2d.ts';
import { contextOf } from './canvas2d-paint.ts';

/** How a sketch is shown in a page. */
export interface MountOptions {
  /** Whether it plays at once; true unless told otherwise. */
  playing?: boolean;
  seed?: number;
  width?: number;
  height?: number;
  /** Pixels of the picture to one unit; the screen's own unless told otherwise. */
  density?: number;
  /** Values of dials by name, in place of their first ones. */
  dials?: Readonly<Record<string, unknown>>;
  /** Stands in for the page's pointer and keys: a recorded track, or something that listens in. */
  input?: (page: InputSource) => InputSource;
  /** Called as each of the sketch's files has been loaded. */
  onLoad?: LoadListener;
  /** Called after every frame that was shown, and whenever it starts or stops playing. */
  onChange?: (player: Player) => void;
  /** Called with what went wrong; the last good picture stays. Without it, errors go to the console. */
  onError?: (error: SketchError) => void;
}

/** Reads a sketch's files over the page's own server, and pictures with the browser's decoders. */
const pageHost: AssetHost = {
  async read(url) {
    const response = await fetch(url.href);
    if (!response.ok) throw new Error(`the server answered ${response.status}`);
    return new Uint8Array(await response.arrayBuffer());
  },
  async decodePicture(bytes) {
    const bitmap = await createImageBitmap(new Blob([bytes.slice()]), { premultiplyAlpha: 'none' });
    const context = contextOf(document.createElement('canvas'));
    const { width, height } = Object.assign(context.canvas, { width: bitmap.width, height: bitmap.height });
    context.drawImage(bitmap, 0, 0);
    return new Picture(width, height, new Uint8Array(context.getImageData(0, 0, width, height).data));
  },
};

/**
 * Plays a sketch on a canvas element. Which frame is due is worked out from the screen's clock: a slow machine shows
 * fewer pictures, but steps every frame, so that things move at the same speed everywhere.
 */
export class Player {
  readonly element: HTMLCanvasElement;
  private readonly surface: Canvas2dSurface;
  private readonly clock: LiveClock;
  private readonly run: Run;
  private playing_ = false;
  private ended = false;
  private request = 0;
  /** Lets go of pointer and keys, where the sketch asked for them. */
  private endInput: (() => void) | undefined;
  /** What is under way; the next thing waits for it, so that an async start is never overtaken. */
  private work: Promise<void> = Promise.resolve();
  private waiting = 0;

  constructor(
    readonly sketch: Sketch,
    element: HTMLCanvasElement,
    private readonly options: MountOptions = {},
  ) {
    this.element = element;
    this.surface = new Canvas2dSurface(element);
    this.clock = new LiveClock(sketch.frameRate);
    const { seed, width, height, density = devicePixelRatio, dials, onLoad } = options;
    const input = (run: Run): Promise<InputSource> => this.listen(run);
    this.run = new Run(sketch, { seed, width, height, density, dials, onLoad, input, host: pageHost });
    element.ownerDocument.addEventListener('visibilitychange', this.onVisibility);
    void this.restart();
    if (options.playing ?? true) this.play();
  }

  get frame(): number {
    return Math.max(0, this.run.frame);
  }
  get seconds(): number {
    return this.frame / this.sketch.frameRate;
  }
  get seed(): number {
    return this.run.seed;
  }
  get playing(): boolean {
    return this.playing_;
  }

  /** Goes on from the frame at hand; a sketch that does not repeat and has ended begins again. */
  play(): void {
    if (this.playing_ || this.ended) return;
    if (this.run.atEnd && !this.sketch.repeat && this.sketch.frames > 1) void this.restart();
    this.playing_ = true;
    this.clock.pause();
    this.request = requestAnimationFrame(this.tick);
    this.changed();
  }

  /** Holds the frame at hand. */
  pause(): void {
    if (!this.playing_) return;
    this.playing_ = false;
    cancelAnimationFrame(this.request);
    this.changed();
  }

  /** Pauses, and goes one frame on. */
  advance(): Promise<void> {
    this.pause();
    return this.enqueue(() => this.move(1));
  }

  /** Goes back to frame 0. */
  restart(): Promise<void> {
    return this.enqueue(async () => {
      await this.run.restart();
      this.surface.reset();
      await this.show();
    });
  }

  /** Shows a frame by its number. Under a carry it is painted from the start, so that its trails are right. */
  goTo(frame: number): Promise<void> {
    return this.enqueue(() => this.showAgain(frame));
  }

  /** Shows the same frame at another density. */
  setDensity(density: number): Promise<void> {
    this.run.density = density;
    // Without trails the state at hand is enough; with them every picture before is drawn anew.
    return this.sketch.carry > 0 ? this.goTo(this.frame) : this.enqueue(() => this.show());
  }

  /** The value of every dial. */
  get dials(): Readonly<Record<string, unknown>> {
    return this.run.dials;
  }

  /** Turns a dial; a sketch that is not playing is shown again with it. */
  setDial(name: string, value: unknown): Promise<void> {
    return this.enqueue(async () => {
      this.run.setDial(name, value);
      if (this.run.frame < 0) return;
      // A still picture may have been made ready by `start`.
      if (this.sketch.frames === 1) await this.run.restart();
      else if (this.playing_) return;
      // Trails are painted anew from the start, so that they are of one piece.
      if (this.sketch.carry > 0) await this.showAgain(this.frame);
      else await this.show();
    });
  }

  /** Whether the sketch has asked for pointer or keys. */
  get listening(): boolean {
    return this.endInput !== undefined;
  }

  /** Stops for good and lets go of the page. */
  end(): void {
    this.pause();
    this.ended = true;
    this.endInput?.();
    this.element.ownerDocument.removeEventListener('visibilitychange', this.onVisibility);
  }

  private readonly onVisibility = (): void => {
    this.clock.pause();
  };

  private readonly tick = (now: number): void => {
    if (!this.playing_) return;
    this.request = requestAnimationFrame(this.tick);
    const due = this.clock.due(now);
    // A start that is still under way holds time up rather than piling frames behind it.
    if (due > 0 && this.waiting === 0) void this.enqueue(() => this.move(due));
  };

  private async move(frames: number): Promise<void> {
    for (let i = 0; i < frames; i++) {
      if (this.run.atEnd && this.sketch.repeat) this.surface.reset();
      else if (this.run.atEnd) return this.pause();
      await this.run.advance();
      // Trails need every frame; without a carry only the last of those due is worth painting.
      if (i === frames - 1) await this.show();
      else if (this.sketch.carry > 0) this.surface.draw(await this.run.paint());
    }
  }

  private async showAgain(frame: number): Promise<void> {
    if (this.sketch.carry > 0) {
      await this.run.restart();
      this.surface.reset();
      const target = this.run.frameAfterRounds(frame);
      while (this.run.frame < target) {
        this.surface.draw(await this.run.paint());
        await this.run.advance();
      }
    } else await this.run.goTo(frame);
    await this.show();
  }

  private async show(): Promise<void> {
    this.surface.draw(await this.run.paint());
    this.changed();
  }

  private changed(): void {
    this.options.onChange?.(this);
  }

  /** The page's pointer and keys, loaded only where the sketch looks at them. */
  private async listen(run: Run): Promise<InputSource> {
    const { PageInput } = await import('./page-input.ts');
    const page = new PageInput(this.element, run);
    this.endInput = () => page.end();
    if (this.ended) page.end();
    return this.options.input?.(page) ?? page;
  }

  private enqueue(job: () => Promise<void>): Promise<void> {
    this.waiting++;
    this.work = this.work.then(async () => {
      try {
        if (!this.ended) await job();
      } catch (thrown) {
        this.failed(asSketchError(thrown));
      } finally {
        this.waiting--;
      }
    });
    return this.work;
  }

  private failed(error: SketchError): void {
    this.pause();
    this.changed();
    if (this.options.onError) this.options.onError(error);
    else console.error(error);
  }
}

/**
 * Shows a sketch in a page: on a canvas element, or on a new one inside any other element.
 * @param target the element, or a selector for it
 */
export function mount(sketch: Sketch, target: Element | string, options: MountOptions = {}): Player {
  const found = typeof target === 'string' ? document.querySelector(target) : target;
  if (found === null) throw new Error(`mount: there is no element ${JSON.stringify(target)} in this page`);
  if (found instanceof HTMLCanvasElement) return new Player(sketch, found, options);
  const element = found.ownerDocument.createElement('canvas');
  element.style.width = `${options.width ?? sketch.canvas.width}px`;
  element.style.height = 'auto';
  element.style.maxWidth = '100%';
  element.setAttribute('role', 'img');
  element.setAttribute('aria-label', sketch.title);
  found.append(element);
  return new Player(sketch, element, options);
}
