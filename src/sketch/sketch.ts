import type { Canvas } from '../canvas/canvas.ts';
import { makeView, type ViewBox, type ViewOptions, type YAxis } from '../canvas/view.ts';
import type { Noise } from '../chance/noise.ts';
import type { Random } from '../chance/random.ts';
import { fail } from '../error.ts';
import {
  callable,
  checkKeys,
  flag,
  missing,
  notNegative,
  oneOf,
  OptionNames,
  optionsObject,
  whole,
  within,
} from '../options.ts';
import { pack, readColor, type ColorLike, type PackedColor } from '../paint/color.ts';
import { readAssets, type AssetMap, type AssetValues } from './assets.ts';
import { readDials, type DialMap, type DialValues } from './dials.ts';
import type { Keys, Pointer } from './input.ts';

/** The canvas that a sketch asks for. */
export interface CanvasOptions {
  /** Pixels of density 1; 640 unless told otherwise. */
  width?: number;
  /** Pixels of density 1; 360 unless told otherwise. */
  height?: number;
  /** What each fresh frame begins on; white unless told otherwise. */
  background?: ColorLike;
  /** Units of the sketch's own: the box of them that the canvas shows, `[x, y, width, height]`. */
  viewBox?: ViewBox;
  /** SVG's rule for a view box of another shape than the canvas; `xMidYMid meet` unless told otherwise. */
  preserveAspectRatio?: string;
  /** Which way y grows; down unless told otherwise. Upwards, angles turn from +x towards +y as well: anticlockwise. */
  yAxis?: YAxis;
  /** Pixels of a picture to one unit; 1 unless told otherwise. In a page the screen's own. */
  density?: number;
}

/** What a sketch is told of the frame at hand. */
export interface Moment<Assets extends AssetMap = AssetMap, Dials extends DialMap = DialMap> {
  /** The number of the frame, from 0. */
  readonly frame: number;
  /** Seconds since frame 0: frame / frame rate, never a clock. */
  readonly seconds: number;
  /** Seconds from one frame to the next: 1 / frame rate, always. */
  readonly delta: number;
  /** From 0 up to 1 over the duration; 0 where there is none. */
  readonly progress: number;
  readonly width: number;
  readonly height: number;
  /** Runs on through `start` and `step`; begins anew in each `paint`. */
  readonly random: Random;
  /** Smooth chance by place: the same everywhere in a run. */
  readonly noise: Noise;
  readonly pointer: Pointer;
  readonly keys: Keys;
  readonly dials: DialValues<Dials>;
  readonly assets: AssetValues<Assets>;
}

/** A sketch as one writes it. Only `paint` is required. */
export interface SketchDefinition<State, Assets extends AssetMap, Dials extends DialMap> {
  title?: string;
  canvas?: CanvasOptions;
  /** Frames a second; 60 unless told otherwise. */
  frameRate?: number;
  /** Seconds until it repeats; without one it goes on for ever. */
  duration?: number;
  /** Whether it begins again after its duration (true), or stops on the last frame. */
  repeat?: boolean;
  /** Paints one frame only. */
  still?: boolean;
  /** How much of the last picture stays under the next, from 0 (none) to 1 (all of it). */
  carry?: number;
  /** The seed of `random` and `noise` where the run gives no other. */
  seed?: number;
  assets?: Assets;
  /** What a person tunes while it runs. */
  dials?: Dials;
  /** Makes the state; may be async. */
  start?: (moment: Moment<Assets, Dials>) => State | Promise<State>;
  /** Moves the state on by one frame: changes it, or returns a new one. */
  step?: (state: State, moment: Moment<Assets, Dials>) => State | void;
  /** Draws the state. Changes nothing. */
  paint: (canvas: Canvas, moment: Moment<Assets, Dials>, state: State) => void;
}

/** A sketch, checked and complete. */
export interface Sketch {
  readonly title: string;
  readonly canvas: {
    readonly width: number;
    readonly height: number;
    readonly background: PackedColor;
    readonly density: number;
  } & ViewOptions;
  readonly frameRate: number;
  /** The number of frames of one round, or Infinity. */
  readonly frames: number;
  readonly repeat: boolean;
  readonly carry: number;
  readonly seed: number;
  readonly assets: AssetMap;
  readonly dials: DialMap;
  readonly start: (moment: Moment) => unknown;
  readonly step: ((state: unknown, moment: Moment) => unknown) | undefined;
  readonly paint: (canvas: Canvas, moment: Moment, state: unknown) => void;
}

const sketchKeys = new OptionNames([
  'title', 'canvas', 'frameRate', 'duration', 'repeat', 'still', 'carry', 'seed', 'assets', 'dials', 'start', 'step', 'paint',
]); // prettier-ignore
const canvasKeys = new OptionNames([
  'width',
  'height',
  'background',
  'viewBox',
  'preserveAspectRatio',
  'yAxis',
  'density',
]); // prettier-ignore;
const call = 'defineSketch';

/** The longest side of a picture, in pixels. */
export const largestSide = 16384;

const made = new WeakSet<object>();

/** Whether a value came from `defineSketch`. */
export function isSketch(value: unknown): value is Sketch {
  return typeof value === 'object' && value !== null && made.has(value);
}

/**
 * Checks a sketch and fills in what it leaves out. A sketch file exports what this returns as its default.
 * @throws SketchError where an option is misspelt or cannot be meant.
 */
export function defineSketch<
  State = undefined,
  Assets extends AssetMap = Record<never, never>,
  Dials extends DialMap = Record<never, never>,
>(definition: SketchDefinition<State, Assets, Dials>): Sketch {
  optionsObject(call, definition, '{ paint(canvas) { … } }');
  checkKeys(call, definition, sketchKeys);
  const {
    title = 'Untitled sketch',
    repeat = true,
    still = false,
    carry = 0,
    seed = 1,
    assets,
    start,
    step,
  } = definition;
  if (typeof title !== 'string') fail({ call, option: 'title', value: title, problem: 'is not text' });
  if (definition.paint === undefined) missing(call, 'paint', 'a function that draws: paint(canvas) { … }');
  const frameRate = notNegative(call, 'frameRate', definition.frameRate ?? 60);
  if (frameRate === 0)
    fail({ call, option: 'frameRate', value: 0, problem: 'gives no frames', expected: 'expected frames a second' });
  const sketch = {
    title,
    canvas: readCanvas(definition.canvas ?? {}),
    frameRate,
    frames: flag(call, 'still', still) ? 1 : countFrames(definition.duration, frameRate),
    repeat: flag(call, 'repeat', repeat) && !still,
    carry: within(call, 'carry', carry, 0, 1),
    seed: whole(call, 'seed', seed, 0),
    assets: readAssets(call, assets),
    dials: readDials(definition.dials),
    start: start === undefined ? () => undefined : callable(call, 'start', start),
    step: step === undefined ? undefined : callable(call, 'step', step),
    paint: callable(call, 'paint', definition.paint),
  } as Sketch;
  made.add(sketch);
  return sketch;
}

function countFrames(duration: number | undefined, frameRate: number): number {
  if (duration === undefined) return Infinity;
  const frames = Math.round(notNegative(call, 'duration', duration) * frameRate);
  if (frames < 1)
    fail({
      call,
      option: 'duration',
      value: duration,
      problem: 'is shorter than one frame',
      expected: 'expected seconds',
    });
  return frames;
}

function readCanvas(options: CanvasOptions): Sketch['canvas'] {
  checkKeys(`${call} canvas`, optionsObject(`${call} canvas`, options, '{ width: 640, height: 360 }'), canvasKeys);
  const { width = 640, height = 360, background, density = 1 } = options;
  const { viewBox, preserveAspectRatio, yAxis } = options;
  checkSize(`${call} canvas`, width, height, density);
  if (yAxis !== undefined) oneOf(`${call} canvas`, 'yAxis', yAxis, ['down', 'up']);
  makeView(`${call} canvas`, width, height, options);
  return {
    width,
    height,
    background: background === undefined ? pack(255, 255, 255, 255) : readBackground(background),
    density,
    viewBox,
    preserveAspectRatio,
    yAxis,
  };
}

function readBackground(background: ColorLike | 'none'): PackedColor {
  return background === 'none' ? 0 : readColor(call, 'canvas background', background).packed;
}

/** Checks the size of a canvas: whole pixels, and a picture that is not too large to make. */
export function checkSize(caller: string, width: number, height: number, density: number): void {
  whole(caller, 'width', width, 1);
  whole(caller, 'height', height, 1);
  if (!(notNegative(caller, 'density', density) > 0))
    fail({
      call: caller,
      option: 'density',
      value: density,
      problem: 'leaves no pixels',
      expected: 'expected more than 0',
    });
  for (const [option, side] of [
    ['width', width],
    ['height', height],
  ] as const)
    // prettier-ignore
    if (side * density > largestSide)
      fail({ call: caller, option, value: side, problem: `makes a picture of ${Math.round(side * density)} pixels`, expected: `expected at most ${largestSide} a side` });
}
