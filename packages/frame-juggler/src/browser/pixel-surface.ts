import type { Frame } from '../frame/frame.ts';
import { contextOf, type CanvasElement, type Context } from '../surfaces/canvas2d/paint.ts';
import { EngineSurface, type KeptPixels } from '../surfaces/raster/engine-surface.ts';
import { loadByteForm } from '../surfaces/raster/forms.ts';

/** What draws frames on a canvas of a page, and can show again what it has shown. */
export interface PageSurface<Kept extends { readonly width: number; readonly height: number }> {
  /** Draws a frame; under a carry, over the last one. */
  draw(frame: Frame): void;
  /** The picture as it is now. */
  copy(): Kept;
  /** Shows a picture that was copied before. */
  put(picture: Kept): void;
}

/** What {@link ExactSurface} is, drawn by a surface that it is handed: nothing here loads an engine. */
export class PixelSurface implements PageSurface<KeptPixels> {
  private readonly context: Context;

  constructor(
    /** Where it draws. */
    readonly element: CanvasElement,
    private readonly raster: EngineSurface,
  ) {
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

/** The surface for a canvas, with an engine that is loaded when it is first asked for. */
export async function loadPixelSurface(element: CanvasElement): Promise<PixelSurface> {
  return new PixelSurface(element, new EngineSurface(await loadByteForm()));
}
