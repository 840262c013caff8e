import { Canvas } from '../canvas/canvas.ts';
import { callable } from '../options.ts';
import type { Picture } from '../paint/picture.ts';
import { rasterize } from '../raster/surface.ts';
import { checkSize } from './sketch.ts';

/**
 * A picture that a sketch paints itself, in pixels, on nothing: for `canvas.image`, for `pattern`, or to read and write
 * its pixels.
 * @throws SketchError where the size is not one, or what `paint` draws cannot be meant
 */
export function picture(width: number, height: number, paint: (canvas: Canvas) => void): Picture {
  checkSize('picture', width, height, 1);
  const canvas = new Canvas({ width, height, density: 1, background: 0, carry: 0 });
  callable('picture', 'paint', paint)(canvas);
  return rasterize(canvas.finish());
}
