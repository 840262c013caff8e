/*
 * A lamp that flickers
 *
 * `random.stream(frame)` is a separate sequence of random numbers for each frame: different in every frame, yet the same
 * each time that frame is drawn.
 */
import { defineSketch } from 'frame-juggler';

export default defineSketch({
  canvas: { width: 320, height: 200, background: '#1b2f3a' },
  frameRate: 12,
  duration: 3,
  paint(canvas, { random, frame }) {
    const { between } = random.stream(frame);
    for (const radius of [90, 60, 36])
      canvas.circle({ at: [160, 100], radius: radius * between(0.85, 1), fill: '#f1b64e', opacity: 0.3 });
    canvas.circle({ at: [160, 100], radius: 22, fill: '#f6efdf' });
  },
});
