/*
 * Ripples: nested rings by a loop
 *
 * The largest ring comes first, because later shapes are drawn on top. The loop's number picks the color.
 */
import { defineSketch } from 'frame-juggler';

export default defineSketch({
  canvas: { width: 320, height: 200, background: '#3a8391' },
  paint(canvas) {
    for (let radius = 90; radius > 0; radius -= 15)
      canvas.circle({ at: [160, 100], radius, fill: radius % 30 === 0 ? '#86bdb6' : '#3a8391' });
  },
});
