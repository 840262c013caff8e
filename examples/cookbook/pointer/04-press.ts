/*
 * A bell: press it, and it swings
 *
 * `over` knows by the label whether the pointer is on the bell. A press stores the moment, and the spring starts there.
 */
import { defineSketch, spring } from 'frame-juggler';

const ring = spring({ from: 28, to: 0, stiffness: 60, damping: 1.6 });

export default defineSketch({
  canvas: { width: 320, height: 200, background: '#f6efdf' },
  start: () => ({ since: 0 }),
  step(state, { pointer, seconds }) {
    if (pointer.justPressed && pointer.over('bell')) state.since = seconds;
  },
  paint(canvas, { seconds, pointer }, { since }) {
    canvas.group({ translate: [160, 30], rotate: ring(seconds - since), label: 'bell' }, () => {
      canvas.circle({ at: [0, 118], radius: 12, fill: '#6f4c38' });
      canvas.path({
        data: 'M0 0 C46 10 40 74 66 112 H-66 C-40 74 -46 10 0 0',
        fill: pointer.over('bell') ? '#d5603f' : '#f1b64e',
      });
    });
  },
});
