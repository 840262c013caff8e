/*
 * Easing along a path
 *
 * `keyframes` leads through points just as it does through numbers. Each part of the way has its own easing.
 */
import { defineSketch, keyframes } from 'frame-juggler';

const stops = [
  [50, 150],
  [110, 50],
  [210, 150],
  [270, 50],
] as const;
const ferry = keyframes(
  [...stops, stops[0]].map((value) => ({ value, easing: 'ease-in-out' })),
  { duration: 8 },
);

export default defineSketch({
  canvas: { width: 320, height: 200, background: '#86bdb6' },
  duration: 8,
  paint(canvas, { seconds }) {
    canvas.polyline({ points: [...stops], closed: true, stroke: { color: '#e4efe8', width: 3, dash: [8, 8] } });
    for (const at of stops) canvas.dot({ at, size: 12, fill: '#24506a' });
    canvas.circle({ at: ferry(seconds), radius: 13, fill: '#d5603f', stroke: { color: '#f6efdf', width: 4 } });
  },
});
