/*
 * A box by its middle, by a corner, by two corners
 *
 * `at` is the middle unless `anchor` names another point of the box. Two opposite corners, in either order, give place
 * and size at once.
 */
import { defineSketch } from 'frame-juggler';

export default defineSketch({
  canvas: { width: 320, height: 200, background: '#f6efdf' },
  paint(canvas) {
    canvas.rect({ at: [60, 100], size: [80, 60], fill: '#3a8391' });
    canvas.rect({ at: [120, 70], anchor: 'top-left', size: [80, 60], fill: '#f1b64e' });
    canvas.rect({ from: [300, 130], to: [220, 70], fill: '#d5603f' });
  },
});
