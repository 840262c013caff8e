/*
 * A porthole: keep only what lies in a shape
 *
 * `clip` draws the region that the group is cut to.
 */
import { defineSketch } from 'frame-juggler';

export default defineSketch({
  canvas: { width: 320, height: 200, background: '#dcc697' },
  paint(canvas) {
    canvas.group({ clip: (region) => region.circle({ at: [160, 100], radius: 80 }) }, () => {
      canvas.rect({ from: [0, 0], to: [320, 120], fill: '#e4efe8' });
      canvas.circle({ at: [190, 92], radius: 26, fill: '#f1b64e' });
      for (let y = 100; y < 200; y += 16) canvas.rect({ from: [0, y], to: [320, y + 8], fill: '#3a8391' });
    });
    canvas.circle({ at: [160, 100], radius: 84, fill: 'none', stroke: { color: '#64737a', width: 12 } });
  },
});
