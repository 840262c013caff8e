import type { View } from '../canvas/view.ts';
import type { SourceLine } from '../source-line.ts';
import type { InputEvent } from '../sketch/input.ts';
import type { InputTrack } from '../sketch/input-track.ts';
import type { Sketch } from '../sketch/sketch.ts';
import type { DialControl } from '../sketch/dials.ts';
import type { PerformerSetting } from './performer.ts';

/*
 * What a page and a worker that runs a sketch for it tell each other. The page asks for one thing at a time.
 */

/** What a page has to know of a sketch that it cannot see. */
export interface SketchFacts extends Pick<Sketch, 'title' | 'frameRate' | 'frames' | 'repeat' | 'carry' | 'seed'> {
  readonly width: number;
  readonly height: number;
  readonly dials: Readonly<
    Record<string, { readonly initial: unknown; readonly label: string | undefined; readonly control: DialControl }>
  >;
}

/** How things stand after something was done. */
export interface Standing {
  readonly frame: number;
  readonly usesInput: boolean;
  readonly dials: Readonly<Record<string, unknown>>;
}

/** The requests of the page: their arguments, and their answers in addition to the state. */
export interface Tasks {
  open: {
    readonly given: Pick<PerformerSetting, 'surface' | 'run'>;
    readonly answer: { readonly seed: number; readonly width: number; readonly height: number; readonly view: View };
  };
  restart: { readonly given: object; readonly answer: undefined };
  goTo: { readonly given: { readonly frame: number }; readonly answer: undefined };
  show: {
    readonly given: { readonly frame: number; readonly shown: number; readonly density: number };
    readonly answer: ImageBitmap;
  };
  setDial: {
    readonly given: { readonly name: string; readonly value: unknown; readonly goingOn: boolean };
    readonly answer: undefined;
  };
  forgetInput: { readonly given: { readonly from: number }; readonly answer: undefined };
  track: { readonly given: object; readonly answer: InputTrack };
  words: { readonly given: object; readonly answer: string };
}
export type TaskName = keyof Tasks;

/** A task, with the pointer and key events since the one before. */
export interface Task<Name extends TaskName = TaskName> {
  readonly id: number;
  readonly name: Name;
  readonly given: Tasks[Name]['given'];
  readonly events: readonly InputEvent[];
}

export interface WorkFault {
  readonly reason: string;
  readonly source: SourceLine | undefined;
  readonly caller: SourceLine | undefined;
  readonly frame: number | undefined;
}

export type FromWorker =
  /** The sketch is there. */
  | { readonly type: 'sketch'; readonly facts: SketchFacts }
  | { readonly type: 'load'; readonly done: number; readonly total: number; readonly name: string }
  /** The sketch looks at the pointer, or at keys. */
  | { readonly type: 'wants'; readonly what: 'pointer' | 'keys' }
  | { readonly type: 'answer'; readonly id: number; readonly standing: Standing | undefined; readonly answer: unknown }
  | { readonly type: 'fault'; readonly id: number; readonly standing: Standing | undefined; readonly fault: WorkFault };
