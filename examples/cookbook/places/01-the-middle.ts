/*
 * Find the middle, and put text exactly there
 *
 * The middle is at half the `width` and half the `height`. Text, like any shape, has its own middle at `at`: capitals
 * and digits are exactly centered.
 */
import { defineSketch } from 'frame-juggler';

export default defineSketch({
  canvas: { width: 320, height: 200, background: '#f6efdf' },
  paint(canvas, { width, height }) {
    const middle = [width / 2, height / 2] as const;
    canvas.circle({ at: middle, radius: 74, fill: '#24506a', stroke: { color: '#f1b64e', width: 6 } });
    canvas.text('12', { at: middle, size: 64, weight: 'bold', fill: '#f6efdf' });
  },
});
