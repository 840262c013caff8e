/*
 * A paragraph that breaks by itself
 *
 * `maxWidth` breaks the text between words. `align` arranges the lines relative to each other; `anchor` places the box
 * around all of them.
 */
import { defineSketch } from 'frame-juggler';

const words = 'Vessels drawing more than four meters wait at the outer mole until the lamp shows twice.';

export default defineSketch({
  canvas: { width: 320, height: 200, background: '#f6efdf' },
  paint(canvas) {
    canvas.text('Notice', { at: [28, 24], anchor: 'top-left', size: 26, weight: 'bold', fill: '#a8433a' });
    canvas.text(words, { at: [28, 64], anchor: 'top-left', size: 18, maxWidth: 264, fill: '#1b2f3a' });
  },
});
