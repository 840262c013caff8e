/*
 * A radius for each corner
 *
 * One number rounds all four corners; a list goes clockwise from the top left.
 */
import { defineSketch } from 'frame-juggler';

export default defineSketch({
  canvas: { width: 320, height: 200, background: '#f6efdf' },
  paint(canvas) {
    canvas.rect({ at: [80, 100], size: [120, 84], corners: 24, fill: '#647f52' });
    canvas.rect({ at: [235, 100], size: [130, 84], corners: [4, 4, 70, 24], fill: '#d5603f' });
  },
});
