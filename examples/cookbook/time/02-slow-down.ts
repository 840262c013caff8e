/*
 * Slow it down, or hold it: a dial for the speed
 *
 * Add a changing speed up step by step. If you multiplied it by the time instead, every change of speed would make the
 * angle jump.
 */
import { defineSketch, dial } from 'frame-juggler';

export default defineSketch({
  canvas: { width: 320, height: 200, background: '#24506a' },
  dials: { speed: dial.number(60, { min: -180, max: 180, label: 'Degrees per second' }) },
  start: () => ({ angle: 0 }),
  step(state, { dials, delta }) {
    state.angle += dials.speed * delta;
  },
  paint(canvas, _, state) {
    canvas.group({ translate: [160, 100], rotate: state.angle }, () => {
      canvas.star({ at: [0, 0], radius: 80, innerRadius: 30, tips: 8, fill: '#f1b64e' });
    });
  },
});
