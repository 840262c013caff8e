/*
 * A scatter that holds still
 *
 * In `paint`, `random` starts over in each frame, so the stones stay where they are. Another `seed` scatters them
 * differently.
 */
import { defineSketch } from 'frame-juggler';

export default defineSketch({
  canvas: { width: 320, height: 200, background: '#dcc697' },
  seed: 4,
  paint(canvas, { random, width, height }) {
    for (let i = 0; i < 120; i++)
      canvas.ellipse({
        at: random.point([width, height]),
        size: [random.between(8, 26), random.between(6, 16)],
        rotate: random.between(-30, 30),
        fill: random.pick(['#64737a', '#ad8a57', '#86bdb6', '#f6efdf']),
      });
  },
});
