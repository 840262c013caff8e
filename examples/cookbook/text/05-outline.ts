/*
 * Letters as a path: cut a picture to a word
 *
 * `textOutline` gives the letters as path data. Here they are the region that the waves are cut to.
 */
import { defineSketch, textOutline } from 'frame-juggler';

export default defineSketch({
  canvas: { width: 320, height: 200, background: '#f6efdf' },
  duration: 2,
  paint(canvas, { seconds }) {
    const letters = textOutline('quay', { at: [160, 100], size: 120, weight: 'bold' });
    canvas.group({ clip: (region) => region.path({ data: letters }) }, () => {
      canvas.rect({ from: [0, 0], to: [320, 200], fill: '#24506a' });
      for (let y = -20; y < 220; y += 20)
        canvas.rect({ from: [0, y + 10 * seconds], to: [320, y + 9 + 10 * seconds], fill: '#86bdb6' });
    });
  },
});
