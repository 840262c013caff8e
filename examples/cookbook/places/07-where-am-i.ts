/*
 * See where the coordinates have gone
 *
 * `canvas.grid` draws the current coordinates with their numbers. Put it where shapes do not end up where you expected.
 */
import { defineSketch } from 'frame-juggler';

export default defineSketch({
  canvas: { width: 320, height: 200, background: '#f6efdf' },
  paint(canvas) {
    canvas.group({ translate: [90, 60], rotate: 15, scale: 1.5 }, () => {
      canvas.grid({ from: [-20, -20], to: [120, 70], spacing: 20 });
      canvas.rect({ from: [20, 20], to: [80, 40], fill: '#d5603f', opacity: 0.8 });
    });
  },
});
