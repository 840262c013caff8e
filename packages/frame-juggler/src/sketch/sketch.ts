import type { Canvas } from '../canvas/canvas.ts';
import { viewTable, type ViewOptions } from '../canvas/view.ts';
import type { Noise } from '../chance/noise.ts';
import type { Random } from '../chance/random.ts';
import { fail } from '../error.ts';
import { readColor, type ColorLike, type PackedColor } from '../paint/color.ts';
import {
  callable,
  convertedLater,
  finite,
  fraction,
  kindOf,
  mapOf,
  name,
  positive,
  text,
  toggle,
  whole,
} from '../schema/kind.ts';
import { optional, type Options, schemaOf } from '../schema/schema.ts';
import { assetMap, type AssetMap, type AssetValues } from './assets.ts';
import { dialMap, type DialMap, type DialValues } from './dials.ts';
import type { Keys, Pointer } from './input.ts';

const canvasTable = {
  /** Its width, in pixels of density 1. */
  width: optional(whole(1), 640),
  /** Its height, in pixels of density 1. */
  height: optional(whole(1), 360),
  /** What each fresh frame begins with: a color, or `'none'` for nothing. */
  background: optional(convertedLater<ColorLike>('a color'), 'white'),
  ...viewTable,
  /** Pixels of a rendering per unit; in a page those of the screen. */
  density: optional(positive, 1),
};
/** The canvas that a sketch asks for. */
export interface CanvasOptions extends Options<typeof canvasTable> {}
const canvasOptions = schemaOf(canvasTable, '{ width: 640, height: 360 }');

/** What a sketch is given to paint a frame. */
export interface Moment<Assets extends AssetMap = AssetMap, Dials extends DialMap = DialMap> {
  /** The number of the frame, from 0. */
  readonly frame: number;
  /** Seconds since frame 0: frame / frame rate, never a clock. */
  readonly seconds: number;
  /** Seconds from one frame to the next: 1 / frame rate, always. */
  readonly delta: number;
  /** From 0 up to 1 over the duration; 0 where there is none. */
  readonly progress: number;
  /** The canvas's width, in the sketch's units. */
  readonly width: number;
  /** The canvas's height, in the sketch's units. */
  readonly height: number;
  /** Runs on through `start` and `step`; begins anew in each `paint`. */
  readonly random: Random;
  /** Smooth chance by place: the same everywhere in a run. */
  readonly noise: Noise;
  /** The mouse, pen or finger. */
  readonly pointer: Pointer;
  /** The keyboard. */
  readonly keys: Keys;
  /** The values of the sketch's dials, by name. */
  readonly dials: DialValues<Dials>;
  /** The sketch's files as loaded, by name. */
  readonly assets: AssetValues<Assets>;
}

/** The title of a sketch that was given none. */
const untitled = 'Untitled sketch';

const sketchTable = {
  /** What it is called, for people. */
  title: optional(text, untitled),
  /** The canvas: its size, its background, its units. */
  canvas: optional(convertedLater<CanvasOptions>('{ width, height, background, … }')),
  /** Frames per second. */
  frameRate: optional(positive, 60),
  /** Seconds until it repeats; without a duration it runs forever. */
  duration: optional(finite),
  /** Whether it starts again after its duration, or stops on the last frame. */
  repeat: optional(toggle, true),
  /** Paints one frame only. */
  still: optional(toggle, false),
  /** How much of the last picture stays under the next, from 0 (none) to 1 (all of it). */
  carry: optional(fraction, 0),
  /** The seed of `random` and `noise`, unless the run gives another. */
  seed: optional(whole(0), 1),
  /** Findings of `juggle check` that are intended, by name, each with the reason. */
  accept: optional(mapOf(name, "reasons by the name of a finding: { covered: 'the moon sets' }"), {}),
};
const partsTable = {
  assets: optional(assetMap),
  dials: optional(dialMap),
  start: optional(callable<(moment: Moment) => unknown>()),
  step: optional(callable<(state: unknown, moment: Moment) => unknown>()),
  paint: kindOf<(canvas: Canvas, moment: Moment, state: unknown) => void>(
    'a function that draws: paint(canvas) { … }',
    (value) => typeof value === 'function',
    // As what `scenes` gives.
    (value) =>
      `is not a function${typeof (value as Partial<Sketch> | null)?.paint === 'function' ? ', but its .paint is' : ''}`,
  ),
};
const sketchOptions = schemaOf({ ...sketchTable, ...partsTable }, '{ paint(canvas) { … } }');

/** A sketch as you write it. Only `paint` is required. */
export type SketchDefinition<State, Assets extends AssetMap, Dials extends DialMap> = Options<typeof sketchTable> & {
  /** Files to load before `start`, by name: each made with `asset`. */
  assets?: Assets;
  /** What people can tune while it runs, by name: each made with `dial`. */
  dials?: Dials;
  /** Creates the state; may be async. */
  start?: (moment: Moment<Assets, Dials>) => State | Promise<State>;
  /** Moves the state on by one frame: changes it, or returns a new one. */
  step?: (state: State, moment: Moment<Assets, Dials>) => State | undefined | void;
  /** Draws the state. Changes nothing. */
  paint: (canvas: Canvas, moment: Moment<Assets, Dials>, state: State) => void;
};

/** A sketch, checked and complete. `Dials` are its own dials, so that your editor knows them wherever it is mounted. */
export interface Sketch<Dials extends DialMap = DialMap> {
  /** What it is called, for people. */
  readonly title: string;
  /** The canvas: its size in pixels of density 1, its background, its units. */
  readonly canvas: {
    readonly width: number;
    readonly height: number;
    readonly background: PackedColor;
    readonly density: number;
    readonly view: ViewOptions;
  };
  /** Frames per second. */
  readonly frameRate: number;
  /** The number of frames of one round, or Infinity. */
  readonly frames: number;
  /** Whether it begins again after its last frame. */
  readonly repeat: boolean;
  /** How much of the last picture stays under the next, from 0 to 1. */
  readonly carry: number;
  /** The seed of its chance, where a run gives no other. */
  readonly seed: number;
  /** Findings that are meant, by name, each with the reason. */
  readonly accept: Readonly<Record<string, string>>;
  /** The files that it needs, by name. */
  readonly assets: AssetMap;
  /** What a person tunes, by name. */
  readonly dials: Dials;
  /** Makes the state. */
  readonly start: (moment: Moment) => unknown;
  /** Moves the state on by one frame; undefined where nothing is to be moved on. */
  readonly step: ((state: unknown, moment: Moment) => unknown) | undefined;
  /** Draws the state. */
  readonly paint: (canvas: Canvas, moment: Moment, state: unknown) => void;
}

const call = 'defineSketch';
/** The longest side of a rendering, in pixels. */
export const maxSide = 16384;
/** Marks what `defineSketch` made: a mark is seen through the proxies that some page libraries put around what they hold. */
const mark = Symbol('sketch');

/** Whether a value came from `defineSketch`. */
export function isSketch(value: unknown): value is Sketch {
  return typeof value === 'object' && value !== null && Reflect.get(value, mark) === true;
}

/** A sketch that is handed in. */
export const sketchKind = /* @__PURE__ */ kindOf<Sketch>('what defineSketch gives', isSketch, (value) => {
  if (value instanceof Promise) return 'is a promise, which is not awaited';
  const isModule = typeof value === 'object' && value !== null && 'default' in value && isSketch(value.default);
  return isModule ? 'is a module, whose default is the sketch' : 'is not a sketch';
});

/**
 * Checks a sketch and fills in the defaults. A sketch file exports what this returns as its default export.
 * @throws SketchError where an option is unknown or not valid.
 */
export function defineSketch<
  State = undefined,
  Assets extends AssetMap = Record<never, never>,
  Dials extends DialMap = Record<never, never>,
>(definition: SketchDefinition<State, Assets, Dials>): Sketch<Dials> {
  const { canvas, duration, still, repeat, ...given } = sketchOptions.read(call, definition);
  const sketch: Sketch<Dials> = {
    ...given,
    canvas: readCanvas(canvas ?? {}),
    frames: still ? 1 : countFrames(duration, given.frameRate),
    repeat: repeat && !still,
    assets: given.assets ?? {},
    dials: (given.dials ?? {}) as Dials,
    start: given.start ?? (() => undefined),
    step: given.step,
  };
  return marked(sketch);
}

/** A sketch with some of its parts exchanged, for who watches it or runs it otherwise. */
export function withParts(sketch: Sketch, parts: Partial<Sketch>): Sketch {
  return marked({ ...sketch, ...parts });
}

/** Those that were called after a file, so that a sketch loaded twice is the same sketch. */
const titled = /* @__PURE__ */ new WeakMap<Sketch, Sketch>();

/**
 * A sketch that was given no title, called after its file: the one of `mooring-buoy.ts` is "Mooring buoy". One with a title stays as it is.
 * @param file the path or the address of its file
 */
export function titledAfter<Named extends Sketch>(sketch: Named, file: string): Named {
  sketchKind.read('titledAfter', 'sketch', sketch);
  const [base] = text.read('titledAfter', 'file', file).replace(/[?#].*/, '').split(/[/\\]/).at(-1)!.split('.'); // prettier-ignore
  const words = base!.replace(/([a-z\d])([A-Z])/g, '$1 $2').split(/[-_\s]+/).filter((word) => word !== ''); // prettier-ignore
  if (sketch.title !== untitled || words.length === 0) return sketch;
  const title = words.join(' ').toLowerCase();
  if (!titled.has(sketch)) titled.set(sketch, withParts(sketch, { title: title[0]!.toUpperCase() + title.slice(1) }));
  return titled.get(sketch) as Named;
}

/** Frozen, so that nothing is kept in a sketch itself, as `this.x = 0`, which every run of it would share. */
function marked<Made extends Sketch>(sketch: Made): Made {
  return Object.freeze(Object.defineProperty(sketch, mark, { value: true }));
}

/** A frame that is likely to show a sketch well: the middle of its duration, or the frame at two seconds. */
export function frameAtRest(sketch: Sketch): number {
  const { frames, frameRate } = sketchKind.read('frameAtRest', 'sketch', sketch);
  return frames === Infinity ? Math.round(2 * frameRate) : Math.floor(frames / 2);
}

function countFrames(duration: number | undefined, frameRate: number): number {
  if (duration === undefined) return Infinity;
  const frames = Math.round(duration * frameRate);
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
  const { width, height, background, density, viewBox, ...view } = canvasOptions.read(`${call} canvas`, options);
  checkSize(`${call} canvas`, width, height, density);
  return {
    width,
    height,
    background: background === 'none' ? 0 : readColor(call, 'canvas background', background).packed,
    density,
    view: viewBox === undefined ? view : { viewBox, ...view },
  };
}

/** Checks the size of a canvas: whole pixels, and a rendering that is not too large to make. */
export function checkSize(caller: string, width: number, height: number, density: number): void {
  const side = whole(1);
  positive.read(caller, 'density', density);
  for (const [option, value] of Object.entries({ width, height }))
    if (side.read(caller, option, value) * density > maxSide)
      fail({
        call: caller,
        option,
        value,
        problem: `makes a picture of ${Math.round(value * density)} pixels`,
        expected: `expected at most ${maxSide} a side`,
      });
}
