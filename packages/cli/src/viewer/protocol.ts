import type { InputTrack } from 'frame-juggler';
import type { CallKind } from '../calls.ts';

/*
 * What the viewer's page and its server call things between them.
 */

export const paths = {
  /** Where the worker imports the sketch from. With `why` in its query, why it cannot be loaded, in words; empty if it can. */
  sketch: '/@juggle/sketch.js',
  /** From which lines of source files served lines came, for a list of them. */
  source: '/@juggle/source',
  /** How the run is to begin: a {@link Setup}. */
  setup: '/@juggle/setup',
  /** Keeps the values of the dials beside the sketch, and answers with the file's name. */
  dials: '/@juggle/dials',
  /** Keeps a recorded input track beside the sketch, and answers with the file's name. */
  track: '/@juggle/track',
  /** Prints lines in the terminal. */
  print: '/@juggle/print',
  /** Tells, as server-sent events, when the sketch or something it is made of was saved. */
  changes: '/@juggle/changes',
  /** What the call at a {@link SourceLine} is given, as {@link CallFacts}; null where there is none. */
  call: '/@juggle/call',
  /** Shows a {@link Change} without writing it; without changes, takes back what is shown. */
  tryOut: '/@juggle/try-out',
  /** Writes a {@link Change}. */
  change: '/@juggle/change',
  /** Takes back the last change that was written, and answers with the file's name. */
  undo: '/@juggle/undo',
  /** Makes a file beside the sketch, of a {@link RenderWish}; tells of it line by line. */
  render: '/@juggle/render',
  /** Which line a sketch is stuck at, for a {@link StuckRun}; null where that cannot be told. */
  stuck: '/@juggle/stuck',
  /** Opens the editor at a line. */
  edit: '/@juggle/edit',
} as const;

/** A run, and the call in it that did not come back. */
export interface StuckRun {
  readonly kind: CallKind;
  readonly frame: number;
  readonly seed: number | undefined;
  /** The dials that were turned in the page or kept; a value that is none of its dial's is refused there as here. */
  readonly dials: Readonly<Record<string, unknown>>;
}

/** How a run is to begin, by the options of the command and the kept dials. */
export interface Setup {
  readonly seed?: number | undefined;
  /** Seconds that one call of the sketch's code may take; 0 for ever. */
  readonly patience: number;
  /** The values of dials that were kept beside the sketch, and the name of that file. */
  readonly dials: Readonly<Record<string, unknown>>;
  readonly dialFile: string;
  /** The sketch's file, without its folder. */
  readonly file: string;
  /** Why kept dials cannot be read, where they cannot. */
  readonly dialFault?: string;
  /** Dials as the command line has them, in text. */
  readonly dialTexts: readonly (readonly [name: string, text: string])[];
  /** Input to be played instead of the page's own. */
  readonly track?: InputTrack | undefined;
}

/** A part of what a call is given, as it stands in the source. */
export interface CallPart {
  /** The way to it: `at[0]`, `stroke.width`. */
  readonly path: string;
  /** What it is; what is computed cannot be changed by hand. */
  readonly kind: 'number' | 'color' | 'text' | 'toggle' | 'computed';
  readonly value?: number | string | boolean;
  /** As it is written, where in the text, and in which line. */
  readonly written: string;
  readonly start: number;
  readonly end: number;
  readonly line: number;
}

export interface CallParts {
  /** What is called, as it is written: `canvas.circle`. */
  readonly name: string;
  readonly parts: readonly CallPart[];
  /** Where in the text a further option can be written: behind the last one. */
  readonly behind: number | undefined;
}

/** A call of a sketch, in a file of a version. */
export interface CallFacts extends CallParts {
  readonly file: string;
  readonly version: string;
  /** Whether the last change by hand was in this file, and can be taken back. */
  readonly undoable: boolean;
}

/** Places of a file's text that are to be written otherwise. */
export interface Change {
  readonly file: string;
  /** The version that the places were found in. */
  readonly version: string;
  readonly changes: readonly { readonly start: number; readonly end: number; readonly text: string }[];
}
