/*
 * Trails that fade away
 *
 * `carry` is how much of the last picture stays: 0 starts fresh, 0.94 leaves a trail, 1 never clears.
 */
import { defineSketch, maths } from 'frame-juggler';

export default defineSketch({
  canvas: { width: 320, height: 200, background: '#1b2f3a' },
  carry: 0.94,
  duration: 6,
  paint(canvas, { progress }) {
    for (const [i, fill] of ['#f1b64e', '#d5603f', '#86bdb6'].entries()) {
      const angle = 2 * Math.PI * (progress + i / 3);
      canvas.circle({ at: [160 + 110 * maths.sin(angle), 100 + 60 * maths.sin(2 * angle)], radius: 8, fill });
    }
  },
});
