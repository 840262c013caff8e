import type { Checkup, DialControl, FrameDescription, InputEvent, InputTrack, SourceLine, View } from 'frame-juggler';
import type { CallKind, SketchCall } from '../calls.ts';

/*
 * What the viewer's page and the worker in which a sketch runs tell each other. The page stays awake whatever the
 * sketch does; what it wants to know of the sketch, it asks for.
 */

/** The frames that are played round and round: the first and the last. */
export type LoopRange = readonly [first: number, last: number];

/** How a sketch is to be shown at first: what was chosen in the page stays chosen when the sketch is saved. */
export interface Beginning {
  readonly frame: number;
  /** The number of the last `goTo`; see {@link Shown}. */
  readonly wish: number;
  readonly playing: boolean;
  readonly speed: number;
  readonly range: LoopRange | undefined;
  /** Pixels of the picture to one unit of the canvas. */
  readonly density: number;
  /** Whether it is drawn pixel for pixel as `juggle render` does. */
  readonly exact: boolean;
  /** The sketch's own where it is left out. */
  readonly seed: number | undefined;
  /** Values of dials, as the page chose them or as they were kept; some may be of an older sketch. */
  readonly dials: Readonly<Record<string, unknown>>;
  /** Dials as the command line has them, in text. */
  readonly dialTexts: readonly (readonly [name: string, text: string])[];
  /** Input to be played instead of the page's own. */
  readonly track: InputTrack | undefined;
  /** What was done by hand before the sketch was saved, to be done again up to the frame that is shown. */
  readonly done: InputTrack | undefined;
}

export type ToWorker =
  /** The first message: what to load, where to draw it, and where to note which of its code is running. */
  | {
      readonly type: 'open';
      readonly module: string;
      /** The address that tells why it cannot be loaded. */
      readonly why?: string;
      readonly canvas: OffscreenCanvas;
      /** Undefined in a page that is not isolated: then messages tell. */
      readonly calls: SharedArrayBuffer | undefined;
      readonly beginning: Beginning;
    }
  | { readonly type: 'play' | 'pause' | 'restart' }
  | { readonly type: 'goTo'; readonly frame: number; readonly wish: number }
  | { readonly type: 'speed'; readonly speed: number }
  | { readonly type: 'range'; readonly range: LoopRange | undefined }
  | { readonly type: 'density'; readonly density: number }
  | { readonly type: 'exact'; readonly exact: boolean }
  | { readonly type: 'dial'; readonly name: string; readonly value: unknown }
  /** Leaves items out of the picture, by their numbers: the sketch does not know. */
  | { readonly type: 'leaveOut'; readonly items: readonly number[] }
  | { readonly type: 'input'; readonly events: readonly InputEvent[] }
  | { readonly type: 'ask'; readonly id: number; readonly question: Question };

/** What is otherwise than in the run that is shown. */
export interface Variation {
  readonly seed?: number;
  readonly dials?: Readonly<Record<string, DialValue>>;
}

/** What the page can ask for, and what it is answered. */
export interface Questions {
  /** A frame with another seed or other dials, as a picture of a width in pixels. */
  variation: {
    readonly given: Variation & { readonly frame: number; readonly width: number };
    readonly answer: ImageBitmap;
  };
  /** The picture as it is shown, as a PNG file. */
  png: { readonly given: object; readonly answer: Blob };
  /** What was done with pointer and keys so far, as a track. */
  track: { readonly given: object; readonly answer: InputTrack };
  /** Likely mistakes. */
  checkup: { readonly given: object; readonly answer: Checkup };
  /** What the frame at hand drew. */
  description: { readonly given: object; readonly answer: FrameDescription };
  /** The numbers of the items at a point in the sketch's units, topmost first. */
  itemsAt: { readonly given: { readonly x: number; readonly y: number }; readonly answer: readonly number[] };
  /** The color of the pixel at a place, in parts of the picture's size, as CSS writes it. */
  colorAt: { readonly given: { readonly x: number; readonly y: number }; readonly answer: string };
}
export type QuestionName = keyof Questions;
export type Question = {
  [Name in QuestionName]: { readonly name: Name; readonly given: Questions[Name]['given'] };
}[QuestionName];

/** What there is to know of a sketch before it runs. */
export interface SketchFacts {
  readonly title: string;
  /** The canvas, in pixels of density 1. */
  readonly width: number;
  readonly height: number;
  readonly view: View;
  readonly frameRate: number;
  /** How many there are; Infinity for a sketch without an end, 1 for a still one. */
  readonly frames: number;
  readonly carry: number;
  readonly seed: number;
  readonly dials: readonly DialFacts[];
}

export interface DialFacts {
  readonly name: string;
  readonly label: string;
  readonly control: DialControl;
  /** The sketch's own value. */
  readonly initial: DialValue;
}

/** A value of a dial, as the page has it: colors are written as CSS writes them. */
export type DialValue = number | string | boolean | { readonly x: number; readonly y: number };

/** How things stand after a frame was shown. */
export interface Shown {
  readonly frame: number;
  /** The number of the last `goTo` that it knows of: what is told before it has heard of a newer one is out of date. */
  readonly wish: number;
  readonly playing: boolean;
  /** The frame up to which the sketch has been run. */
  readonly reached: number;
  /** Whether it looks at pointer or keys, and whether at the pointer. */
  readonly usesInput: boolean;
  readonly usesPointer: boolean;
  /** Whether the run can be repeated with its seed, dials and input: not where it went on after a dial was turned. */
  readonly reproducible: boolean;
  /** How many pictures were shown in the last full second of playing; undefined where there was none. */
  readonly perSecond: number | undefined;
}

/** What went wrong, with the places as they were served. */
export interface Fault {
  readonly reason: string;
  readonly source: SourceLine | undefined;
  readonly caller: SourceLine | undefined;
  readonly frame: number | undefined;
}

/** Something that a sketch has printed, or that is to be said of it. */
export interface Remark {
  readonly kind: 'log' | 'warning' | 'error' | 'note';
  readonly text: string;
  readonly source: SourceLine | undefined;
}

export type ToPage =
  /** The library is there: the worker waits for a sketch. */
  | { readonly type: 'ready' }
  | { readonly type: 'loading'; readonly done: number; readonly total: number }
  | { readonly type: 'opened'; readonly facts: SketchFacts }
  | { readonly type: 'dials'; readonly values: Readonly<Record<string, DialValue>> }
  /** A value that a dial cannot have. */
  | { readonly type: 'misfit'; readonly name: string; readonly reason: string }
  /** A frame far off is on its way. */
  | { readonly type: 'onTheWay'; readonly frame: number; readonly target: number; readonly checking?: true }
  /** Which of the sketch's code is running, where there is no memory that both see. */
  | { readonly type: 'running'; readonly call: SketchCall | undefined }
  | { readonly type: 'shown'; readonly shown: Shown }
  | { readonly type: 'failed'; readonly fault: Fault }
  | { readonly type: 'remarks'; readonly remarks: readonly Remark[] }
  | { readonly type: 'answer'; readonly id: number; readonly answer?: unknown; readonly fault?: Fault };

/** What a sketch was doing when it was ended. */
export interface StuckCall {
  readonly kind: CallKind;
  readonly frame: number;
}
