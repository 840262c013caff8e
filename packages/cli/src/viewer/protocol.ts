import type { InputTrack } from 'frame-juggler';

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
  /** Opens the editor at a line. */
  edit: '/@juggle/edit',
} as const;

/** How a run is to begin, by the options of the command and the kept dials. */
export interface Setup {
  readonly seed?: number | undefined;
  /** Seconds that one call of the sketch's code may take; 0 for ever. */
  readonly patience: number;
  /** The values of dials that were kept beside the sketch, and the name of that file. */
  readonly dials: Readonly<Record<string, unknown>>;
  readonly dialFile: string;
  /** Why kept dials cannot be read, where they cannot. */
  readonly dialFault?: string;
  /** Dials as the command line has them, in text. */
  readonly dialTexts: readonly (readonly [name: string, text: string])[];
  /** Input to be played instead of the page's own. */
  readonly track?: InputTrack | undefined;
}
