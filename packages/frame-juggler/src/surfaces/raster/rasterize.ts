import type { Frame } from '../../frame/frame.ts';
import type { Picture } from '../../paint/picture.ts';
import { RasterSurface } from './surface.ts';

/** Draws one frame by itself. */
export function rasterize(frame: Frame): Picture {
  const surface = new RasterSurface();
  surface.draw(frame);
  return surface.picture();
}
