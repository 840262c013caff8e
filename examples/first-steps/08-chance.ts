/*
 * Chance, and what is remembered
 *
 * `random` gives numbers, points and picks by chance, and by a seed: the same seed, the same picture. `start` makes, once,
 * what is remembered, and `step` moves it on by one frame; `paint` only draws it, and changes nothing. So a frame can be
 * drawn twice, or by itself, and is the same.
 */
import { defineSketch } from 'frame-juggler';

export default defineSketch({
  canvas: { background: '#f1b64e' },
  frameRate: 30,
  duration: 6,
  start: ({ random }) => ({
    gulls: random.times(12, () => ({ ...random.point([640, 150]), size: random.between(5, 12) })),
  }),
  step({ gulls }, { delta }) {
    for (const gull of gulls) gull.x = (gull.x + 5 * gull.size * delta) % 640;
  },
  paint(canvas, { width, height }, { gulls }) {
    canvas.circle({ at: [480, 170], radius: 50, fill: '#f6efdf' });
    canvas.rect({ from: [0, height / 2], to: [width, height], fill: '#3a8391' });
    canvas.style({ stroke: { color: '#1b2f3a', width: 2, join: 'round' } });
    for (const { x, y, size } of gulls)
      canvas.polyline({
        points: [
          [x - size, y - size / 2],
          [x, y],
          [x + size, y - size / 2],
        ],
      });
  },
});
