import type { InputTrack } from 'frame-juggler';

/*
 * What the viewer's page and its server call things between them.
 */

/** Where the page imports the sketch from. */
export const sketchModule = '/@juggle/sketch.js';
/** Where the page asks which line of a source file a served line came from. */
export const sourcePath = '/@juggle/source';
/** Where the page asks how the run is to begin: a {@link Setup}. */
export const setupPath = '/@juggle/setup';
/** Where the page sends the values of the dials, to be kept beside the sketch. Answers with the file's name. */
export const dialsPath = '/@juggle/dials';
/** Where the page sends a recorded input track, to be kept beside the sketch. Answers with the file's name. */
export const trackPath = '/@juggle/track';
/** Sent to the page when the sketch, or something it is made of, was saved. */
export const changedEvent = 'juggle:changed';

/** How a run is to begin, by the options of the command and the kept dials. */
export interface Setup {
  readonly seed?: number | undefined;
  /** The values of dials that were kept beside the sketch. */
  readonly dials: Readonly<Record<string, unknown>>;
  /** Dials as the command line has them, in text. */
  readonly dialTexts: readonly (readonly [name: string, text: string])[];
  /** Input to be played instead of the page's own. */
  readonly track?: InputTrack | undefined;
}
