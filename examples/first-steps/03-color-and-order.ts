/*
 * Color and order
 *
 * `fill` is the color inside a shape: a name, `#d5603f`, `rgb(…)`, or any other CSS color. What is drawn later covers
 * what was drawn before, so the sea hides the lower half of the sun, and the boat floats in front of the sea. Move the
 * line with the sun to the end, and it shines in front of everything. `background` is the color each picture starts
 * with.
 *
 * Try it: move the line with the sun to the end of `paint`, and back. Then give the sea an `opacity` of 0.5.
 */
import { defineSketch } from 'frame-juggler';

export default defineSketch({
  canvas: { background: '#f1b64e' },
  paint(canvas, { width, height }) {
    canvas.circle({ at: [480, 170], radius: 50, fill: '#f6efdf' });
    canvas.rect({ from: [0, height / 2], to: [width, height], fill: '#3a8391' });
    canvas.rect({ at: [width / 2, 200], size: [120, 40], fill: '#a8433a' });
  },
});
