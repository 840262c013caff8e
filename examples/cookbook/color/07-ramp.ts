/*
 * A depth chart: colors by a number
 *
 * `ramp` blends through several colors as its number goes from 0 to 1. `remap` converts your own range to that.
 */
import { defineSketch, ramp, remap } from 'frame-juggler';

const color = ramp(['#e4efe8', '#86bdb6', '#3a8391', '#24506a']);
const depths = [2, 3, 5, 9, 14, 18, 17, 12, 8, 4, 3, 2];

export default defineSketch({
  canvas: { width: 320, height: 200, background: '#f6efdf' },
  paint(canvas) {
    depths.forEach((meters, i) => {
      const fill = color(remap(meters, [0, 18], [0, 1]));
      canvas.rect({ from: [16 + i * 24, 30], to: [40 + i * 24, 30 + meters * 8], fill });
    });
  },
});
