import type { Frame } from '../../frame/frame.ts';
import type { Picture } from '../../paint/picture.ts';
import { RasterSurface } from './surface.ts';
import { givenFrame } from '../../frame/given-frame.ts';

// One surface for all: pictures of one size come one after the other, and its memory is large.
let surface: RasterSurface | undefined;

/** Draws one frame by itself. */
export function rasterize(frame: Frame): Picture {
  givenFrame.read('rasterize', 'frame', frame);
  surface ??= new RasterSurface();
  surface.reset();
  surface.draw(frame);
  return surface.picture();
}
