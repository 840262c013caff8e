import type { Picture } from '../paint/picture.ts';
import { RasterSurface } from '../raster/surface.ts';
import type { Run } from './run.ts';

/**
 * The picture of one frame, as the whole run would have shown it: under a carry every frame before it is painted too,
 * without one they are only stepped through.
 */
export async function pictureOf(run: Run, frame: number): Promise<Picture> {
  const surface = new RasterSurface();
  const target = run.frameAfterRounds(frame);
  if (run.sketch.carry > 0)
    for (let before = 0; before < target; before++) {
      await run.goTo(before);
      surface.draw(await run.paint());
    }
  await run.goTo(target);
  surface.draw(await run.paint());
  return surface.picture();
}
