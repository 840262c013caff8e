/*
 * A poster series: one drawing, many seeds
 *
 * Everything that may vary asks `random`. `juggle strip sketch.ts --seeds 1..8` shows eight variations side by side, and
 * each file records its seed.
 */
import { defineSketch } from 'frame-juggler';

export default defineSketch({
  canvas: { width: 320, height: 200, background: '#f6efdf' },
  seed: 11,
  still: true,
  paint(canvas, { random }) {
    const colors = random.shuffle(['#d5603f', '#f1b64e', '#3a8391', '#24506a', '#8a5f83']);
    let x = 20;
    for (const fill of colors) {
      const width = random.between(24, 74);
      const top = random.between(30, 120);
      canvas.rect({ from: [x, top], to: [x + width, 180], corners: random.pick([0, width / 2]), fill });
      x += width + 6;
    }
    canvas.circle({ at: random.point({ from: [40, 24], to: [280, 50] }), radius: 14, fill: '#a8433a' });
  },
});
