import type { Frame } from '../../frame/frame.ts';
import type { Picture } from '../../paint/picture.ts';
import { length, whole } from '../../schema/kind.ts';
import { optional, type Complete } from '../../schema/schema.ts';
import type { Run } from '../../sketch/run.ts';
import type { Sketch } from '../../sketch/sketch.ts';
import { RasterSurface } from '../../surfaces/raster/surface.ts';
import { openRun, runSettingsTable } from '../run-settings.ts';

/** One frame of a run. */
export const oneFrameTable = {
  ...runSettingsTable,
  /** Its number, from 0; 0 by default. */
  frame: optional(whole(0)),
  /** The moment of that frame, in seconds. */
  seconds: optional(length),
};

/** A frame of a run, painted with the lines that its items came from. */
export interface PaintedFrame {
  readonly run: Run;
  readonly at: number;
  readonly frame: Frame;
  /** Its picture, drawn as `render` would. */
  readonly picture: () => Picture;
}

/** Goes to a frame and paints it. */
export async function paintedFrame(sketch: Sketch, read: Complete<typeof oneFrameTable>): Promise<PaintedFrame> {
  const run = openRun(sketch, read);
  const wanted = read.seconds === undefined ? (read.frame ?? 0) : run.frameAtSeconds(read.seconds);
  const at = run.frameAfterRounds(wanted);
  // The picture is drawn when asked for; only under a carry are the frames before it drawn at once, since it stands on them.
  let surface: RasterSurface | undefined;
  if (run.sketch.carry === 0) await run.goTo(at);
  else {
    const carried = (surface = new RasterSurface());
    let last: Frame | undefined;
    let done = 0;
    await run.drawTo(at, -1, (painted) => {
      if (last !== undefined) carried.draw(last);
      last = painted;
      read.onProgress?.(++done, at + 1);
    });
  }
  // Under a carry it has been painted by now.
  run.quiet = sketch.carry > 0;
  const frame = await run.paint(true);
  let drawn: Picture | undefined;
  const picture = (): Picture => {
    if (drawn === undefined) {
      surface ??= new RasterSurface();
      surface.draw(frame);
      drawn = surface.picture();
    }
    return drawn;
  };
  return { run, at, frame, picture };
}
