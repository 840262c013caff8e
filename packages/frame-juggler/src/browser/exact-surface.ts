import type { Frame } from '../frame/frame.ts';
import { contextOf, type CanvasElement, type Context } from '../surfaces/canvas2d/paint.ts';
import { RasterSurface, type KeptPixels } from '../surfaces/raster/surface.ts';

/** What draws frames on a canvas of a page, and can show again what it has shown. */
export interface PageSurface<Kept extends { readonly width: number; readonly height: number }> {
  draw(frame: Frame): void;
  copy(): Kept;
  put(picture: Kept): void;
}

/**
 * Draws frames on a canvas of a page or of a worker by the raster engine, pixel for pixel as `juggle render` does, where
 * {@link Canvas2dSurface} draws as fast as the browser can.
 */
export class ExactSurface implements PageSurface<KeptPixels> {
  private readonly raster = new RasterSurface();
  private readonly context: Context;

  constructor(readonly element: CanvasElement) {
    this.context = contextOf(element);
  }

  /** Draws a frame. */
  draw(frame: Frame): void {
    this.raster.draw(frame);
    this.show();
  }

  /** Forgets the last frame, so that the next begins on its background whatever its carry. */
  reset(): void {
    this.raster.reset();
  }

  /** What is shown now, to be put back later. */
  copy(): KeptPixels {
    return this.raster.copy();
  }

  /** Shows again what {@link copy} returned; the next frame's carry continues from it. */
  put(picture: KeptPixels): void {
    this.raster.put(picture);
    this.show();
  }

  private show(): void {
    const { element } = this;
    const { width, height, data } = this.raster.drawn;
    if (element.width !== width) element.width = width;
    if (element.height !== height) element.height = height;
    const pixels = new Uint8ClampedArray(data.buffer as ArrayBuffer, data.byteOffset, data.length);
    this.context.putImageData(new ImageData(pixels, width, height), 0, 0);
  }
}
