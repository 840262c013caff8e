import { addHostCode } from 'frame-juggler';

export { asSketchError, SketchError } from 'frame-juggler';

/* Errors of the command come from here: they name a line of the sketch, if there is one, and never the command's own. */
addHostCode(new URL('.', import.meta.url).href);
