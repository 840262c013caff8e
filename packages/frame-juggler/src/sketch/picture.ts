import { Canvas } from '../canvas/canvas.ts';
import { fail } from '../error.ts';
import type { Picture } from '../paint/picture.ts';
import { callable, refusePromise } from '../schema/kind.ts';
import { rasterize } from '../surfaces/raster/rasterize.ts';
import { wantFontsAtStart } from '../text/lettering.ts';
import { assetHint } from './asset-hint.ts';
import { checkSize } from './sketch.ts';

// A picture of one's own is drawn at once, its texts too: a sketch that imports this starts with the fonts loaded.
wantFontsAtStart();

const paintKind = callable<(canvas: Canvas) => void>('a function that draws: (canvas) => { … }');

/**
 * A picture that a sketch paints itself, in pixels, on nothing: for `canvas.picture`, for `pattern`, or to read and
 * write its pixels. If it contains text, make it in `start` or `paint`, where the font is loaded.
 * @param paint draws it; left out, all of it is transparent, for pixels that are set one by one
 * @throws SketchError where the size is not one, or `paint` draws something that is not valid
 */
export function picture(width: number, height: number, paint?: (canvas: Canvas) => void): Picture {
  if (typeof (width as unknown) === 'string')
    fail({ call: 'picture', value: width, problem: 'is no width', expected: assetHint(String(width)) });
  checkSize('picture', width, height, 1);
  const canvas = new Canvas({ width, height, density: 1, background: 0, carry: 0 });
  if (paint !== undefined)
    refusePromise(paintKind.read('picture', 'paint', paint)(canvas), 'picture', 'picture', 'paint');
  return rasterize(canvas.finish());
}
