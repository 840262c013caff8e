import type { CanvasElement } from '../surfaces/canvas2d/paint.ts';
import { RasterSurface } from '../surfaces/raster/surface.ts';
import { PixelSurface } from './pixel-surface.ts';

/**
 * Draws frames on a canvas of a page or of a worker by the raster engine, pixel for pixel as `juggle render` does, where
 * {@link Canvas2dSurface} draws as fast as the browser can.
 */
export class ExactSurface extends PixelSurface {
  constructor(element: CanvasElement) {
    super(element, new RasterSurface());
  }
}
