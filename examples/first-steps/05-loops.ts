/*
 * Loops instead of copies
 *
 * All the strokes of light on the water come from one line of code in two loops. The number of the row, `i`, makes each
 * row a little different: further down, further apart, longer.
 *
 * Try it: draw twenty rows instead of ten. Then add a loop of your own: eight buoys side by side, each a small circle.
 */
import { defineSketch } from 'frame-juggler';

export default defineSketch({
  canvas: { background: '#f1b64e' },
  paint(canvas, { width, height }) {
    canvas.circle({ at: [480, 170], radius: 50, fill: '#f6efdf' });
    canvas.rect({ from: [0, height / 2], to: [width, height], fill: '#3a8391' });

    for (let i = 0; i < 10; i++) {
      const y = 190 + 2 * i * i;
      for (let x = -20; x < width; x += 60 + 12 * i)
        canvas.line({
          from: [x + 25 * (i % 3), y],
          to: [x + 25 * (i % 3) + 16 + 3 * i, y],
          stroke: { color: '#86bdb6', width: 1 + i / 4 },
        });
    }
  },
});
