/*
 * Particles: sparks from a forge
 *
 * Each spark is a small object in the state: `start` has none, `step` adds some, moves them all and drops those that
 * have burned out.
 */
import { defineSketch } from 'frame-juggler';

interface Spark {
  x: number;
  y: number;
  vx: number;
  vy: number;
  age: number;
}

export default defineSketch({
  canvas: { width: 320, height: 200, background: '#1b2f3a' },
  duration: 6,
  start: (): { sparks: Spark[] } => ({ sparks: [] }),
  step(state, { random, delta }) {
    for (let i = 0; i < 3; i++)
      state.sparks.push({ x: 160, y: 170, vx: random.normal(0, 45), vy: random.between(-190, -110), age: 0 });
    for (const spark of state.sparks) {
      spark.vy += 120 * delta;
      spark.x += spark.vx * delta;
      spark.y += spark.vy * delta;
      spark.age += delta;
    }
    state.sparks = state.sparks.filter(({ age }) => age < 2);
  },
  paint(canvas, _, { sparks }) {
    for (const { x, y, age } of sparks)
      canvas.dot({ at: [x, y], size: 7 - 3 * age, fill: age < 0.7 ? '#f1b64e' : '#d5603f', opacity: 1 - age / 2 });
    canvas.rect({ from: [130, 168], to: [190, 200], fill: '#64737a' });
  },
});
