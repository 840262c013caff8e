/*
 * One after another: the same motion, a little later each
 *
 * Subtract a delay from the seconds, and one function moves them all.
 */
import { defineSketch, keyframes } from 'frame-juggler';

const hop = keyframes([0, { value: 90, easing: 'ease-in' }, 0, 0], { duration: 2.4, iterations: Infinity });

export default defineSketch({
  canvas: { width: 320, height: 200, background: '#e4efe8' },
  duration: 2.4,
  paint(canvas, { seconds }) {
    canvas.line({ from: [20, 172], to: [300, 172], stroke: { color: '#1b2f3a', width: 4 } });
    for (let i = 0; i < 7; i++)
      canvas.circle({ at: [46 + i * 38, 156 - hop(seconds + 2.4 - i * 0.15)], radius: 14, fill: '#3a8391' });
  },
});
