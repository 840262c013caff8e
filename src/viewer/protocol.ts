/*
 * What the viewer's page and its server call things between them.
 */

/** Where the page imports the sketch from. */
export const sketchModule = '/@juggle/sketch.js';
/** Where the page asks which line of a source file a served line came from. */
export const sourcePath = '/@juggle/source';
/** Sent to the page when the sketch, or something it is made of, was saved. */
export const changedEvent = 'juggle:changed';
