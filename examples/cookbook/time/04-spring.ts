/*
 * A spring: let go, and come to rest
 *
 * Stiffness pulls it back, damping slows it down. It is a function of seconds, so you can look at any moment.
 */
import { defineSketch, spring } from 'frame-juggler';

const sag = spring({ from: 150, to: 90, stiffness: 90, damping: 4 });

export default defineSketch({
  canvas: { width: 320, height: 200, background: '#f6efdf' },
  duration: 4,
  paint(canvas, { seconds }) {
    const y = sag(seconds);
    canvas.style({ fill: 'none', stroke: { color: '#6f4c38', width: 5, cap: 'round' } });
    canvas.spline({
      points: [
        [20, 60],
        [90, 60 + (y - 60) * 0.6],
        [160, y],
        [230, 60 + (y - 60) * 0.6],
        [300, 60],
      ],
    });
    canvas.circle({ at: [160, y + 24], radius: 24, fill: '#d5603f', stroke: 'none' });
  },
});
