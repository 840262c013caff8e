/*
 * A number that counts up, and stands still while it does
 *
 * All digits of the font have the same width, so a number placed by its right edge does not jitter. `toFixed` keeps the
 * number of decimals the same.
 */
import { defineSketch, keyframes } from 'frame-juggler';

const tons = keyframes([0, 1284.5], { duration: 3, easing: 'ease-out' });

export default defineSketch({
  canvas: { width: 320, height: 200, background: '#1b2f3a' },
  duration: 4,
  paint(canvas, { seconds }) {
    canvas.text(tons(seconds).toFixed(1), {
      at: [250, 100],
      anchor: 'right',
      size: 64,
      weight: 'bold',
      fill: '#f1b64e',
    });
    canvas.text('t', { at: [262, 110], anchor: 'left', size: 28, fill: '#f6efdf' });
  },
});
