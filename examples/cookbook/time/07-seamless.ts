/*
 * A seamless loop
 *
 * Whatever depends only on `progress` going once around is back where it began when the loop closes. `noise.loop` is
 * noise of that kind.
 */
import { defineSketch } from 'frame-juggler';

export default defineSketch({
  canvas: { width: 320, height: 200, background: '#f1b64e' },
  duration: 4,
  paint(canvas, { progress, noise }) {
    for (let row = 0; row < 6; row++) {
      const points: [number, number][] = [];
      for (let x = -40; x <= 360; x += 40) points.push([x, 70 + row * 24 + 22 * noise.loop(progress, x / 90, row)]);
      canvas.spline({ points, stroke: { color: row % 2 === 0 ? '#24506a' : '#3a8391', width: 12, cap: 'round' } });
    }
  },
});
