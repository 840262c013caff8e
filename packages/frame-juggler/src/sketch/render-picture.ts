import type { Picture } from '../paint/picture.ts';
import { RasterSurface } from '../surfaces/raster/surface.ts';
import type { Run } from './run.ts';

/** The picture of one frame, as the whole run would have shown it. @throws SketchError where the sketch is wrong */
export async function renderPicture(run: Run, frame: number): Promise<Picture> {
  const surface = new RasterSurface();
  await run.drawTo(frame, -1, (painted) => surface.draw(painted));
  return surface.picture();
}
