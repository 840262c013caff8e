/*
 * A reflection: the same drawing, turned over
 *
 * A scale of -1 mirrors. Mirrored about the waterline, the quay hangs upside down from itself.
 */
import { defineSketch, type Canvas } from 'frame-juggler';

export default defineSketch({
  canvas: { width: 320, height: 200, background: '#f1b64e' },
  paint(canvas) {
    canvas.rect({ from: [0, 110], to: [320, 200], fill: '#3a8391' });
    canvas.group({ scale: [1, -1], about: [0, 110], opacity: 0.3 }, () => houses(canvas));
    houses(canvas);
  },
});

function houses(canvas: Canvas): void {
  for (const [i, fill] of ['#a8433a', '#f6efdf', '#24506a', '#647f52'].entries()) {
    const left = 40 + i * 62;
    canvas.rect({ from: [left, 60 - (i % 2) * 16], to: [left + 52, 110], fill });
    canvas.polygon({ at: [left + 26, 54 - (i % 2) * 16], radius: 30, sides: 3, scale: [1, 0.6], fill: '#4d4672' });
  }
}
