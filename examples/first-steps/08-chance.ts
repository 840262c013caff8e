/*
 * Chance, and what is remembered
 *
 * `random` gives random numbers, points and picks that depend on a seed: the same seed gives the same picture. `start`
 * runs once and makes the state, which is everything the sketch remembers; `step` moves it on by one frame. `paint` only
 * draws the state and changes nothing, so any frame can be drawn again and looks the same.
 *
 * Try it: run `juggle play harbor.ts` and choose another seed. Then let the gulls fly to the left: what has to happen
 * at the edge?
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
