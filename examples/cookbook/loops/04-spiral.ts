/*
 * A spiral of shells
 *
 * Each shell is turned 137.5° further and placed a little farther out, like the seeds of a flower. The square root of
 * its number keeps them evenly spaced.
 */
import { defineSketch, ramp } from 'frame-juggler';

const color = ramp(['#f1b64e', '#d5603f', '#8a5f83', '#4d4672']);

export default defineSketch({
  canvas: { width: 320, height: 200, background: '#f6efdf' },
  paint(canvas) {
    for (let i = 0; i < 180; i++)
      canvas.group({ translate: [160, 100], rotate: i * 137.5 }, () => {
        canvas.circle({ at: [7 * Math.sqrt(i), 0], radius: 2 + i / 60, fill: color(i / 180) });
      });
  },
});
