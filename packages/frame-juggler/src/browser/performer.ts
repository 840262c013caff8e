import type { View } from '../canvas/view.ts';
import type { Frame } from '../frame/frame.ts';
import { framesLeftBy } from '../paint/fade.ts';
import type { LoadListener } from '../sketch/assets.ts';
import type { InputSource } from '../sketch/input.ts';
import type { InputTrack } from '../sketch/input-track.ts';
import { Run } from '../sketch/run.ts';
import type { Sketch } from '../sketch/sketch.ts';
import { Canvas2dSurface } from '../surfaces/canvas2d/surface.ts';
import { pageHost } from './page-host.ts';

/** What runs a sketch and draws it on a canvas of a page: in the page itself, or in a worker. */
export interface Performer {
  /** The frame at hand; -1 before the first. */
  readonly frame: number;
  /** The seed of its random numbers. */
  readonly seed: number;
  /** Whether the frame at hand is the last. */
  readonly atEnd: boolean;
  /** The canvas's width, in pixels of density 1. */
  readonly width: number;
  /** The canvas's height, in pixels of density 1. */
  readonly height: number;
  /** How the sketch's units lie on the canvas. */
  readonly view: View;
  /** The value of every dial. */
  readonly dials: Readonly<Record<string, unknown>>;
  /** Whether the sketch has asked for pointer or keys. */
  readonly usesInput: boolean;
  /** Pixels of the picture to one of the canvas. */
  density: number;
  /** Begins again. */
  restart(): Promise<void>;
  /** Runs on, or from the start, to a frame that is not to be seen. */
  goTo(frame: number): Promise<void>;
  /** Runs to a frame and draws it. @param shown the frame that the canvas shows; -1 for none */
  show(frame: number, shown: number): Promise<void>;
  /** Turns a dial. @param goingOn whether steps that are done already may stay, as while it plays */
  setDial(name: string, value: unknown, goingOn: boolean): unknown;
  /** Forgets what pointer and keys did from a frame on, so that they are asked again. */
  forgetInput(from: number): unknown;
  /** The track of what happened since frame 0. */
  track(): Promise<InputTrack>;
  /** Says what the picture shows; undefined while there is none. */
  words(): Promise<string> | undefined;
  /** Lets go of what it holds. */
  end(): void;
}

/** What the player tells the performer. */
export interface PerformerSetting {
  /** The canvas to draw on. */
  readonly element: HTMLCanvasElement;
  /** What draws. */
  readonly surface: 'canvas2d' | 'raster';
  /** What of a run is chosen by who shows it. */
  readonly run: {
    readonly seed?: number;
    readonly width?: number;
    readonly height?: number;
    readonly dials?: Readonly<Record<string, unknown>>;
    readonly density: number;
  };
  /** Gives pointer and keys, once it is asked. */
  readonly input: () => InputSource;
  /** Called as each of the sketch's files has been loaded. */
  readonly onLoad: LoadListener;
  /** Called between frames on a long way. */
  readonly between: () => Promise<void> | undefined;
}

/** How many frames before one are still to be seen in it, where nobody asks for every byte: older ones need no painting. */
export function trailOf({ sketch }: Run, surface: object): number {
  return surface instanceof Canvas2dSurface ? framesLeftBy(sketch.carry) : Infinity;
}

/** Runs a sketch in the page. */
export class PagePerformer implements Performer {
  private readonly run: Run;
  private surface: { draw(frame: Frame): void } | undefined;
  private readonly element: HTMLCanvasElement;
  /** The frame that was drawn last, for who wants to know what is in it. */
  private painted: Frame | undefined;

  /** @throws SketchError where it is no sketch, or a value of the run is not valid */
  constructor(sketch: Sketch, { element, surface, run, input, onLoad, between }: PerformerSetting) {
    this.element = element;
    this.run = new Run(sketch, { ...run, input, onLoad, between, host: pageHost });
    if (surface === 'canvas2d') this.surface = new Canvas2dSurface(element);
  }

  get frame(): number {
    return this.run.frame;
  }
  get seed(): number {
    return this.run.seed;
  }
  get atEnd(): boolean {
    return this.run.atEnd;
  }
  get width(): number {
    return this.run.width;
  }
  get height(): number {
    return this.run.height;
  }
  get view(): View {
    return this.run.view;
  }
  get dials(): Readonly<Record<string, unknown>> {
    return this.run.dials;
  }
  get usesInput(): boolean {
    return this.run.usesInput;
  }
  get density(): number {
    return this.run.density;
  }
  set density(density: number) {
    this.run.density = density;
  }

  restart(): Promise<void> {
    return this.run.restart();
  }

  goTo(frame: number): Promise<void> {
    return this.run.goTo(frame);
  }

  async show(frame: number, shown: number): Promise<void> {
    const surface = (this.surface ??= await (await import('./pixel-surface.ts')).loadPixelSurface(this.element));
    await this.run.drawTo(
      frame,
      shown,
      (painted) => surface.draw((this.painted = painted)),
      trailOf(this.run, surface),
    );
  }

  setDial(name: string, value: unknown, goingOn: boolean): void {
    this.run.setDial(name, value, goingOn);
  }

  forgetInput(from: number): void {
    this.run.forgetInput(from);
  }

  async track(): Promise<InputTrack> {
    return (await import('../sketch/input-track.ts')).makeTrack(this.run);
  }

  words(): Promise<string> | undefined {
    const { painted } = this;
    return painted && import('../review/words.ts').then(({ frameInWords }) => frameInWords(painted));
  }

  end(): void {}
}
