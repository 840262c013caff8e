/*
 * Order decides what hides what; a layer lifts without moving code
 *
 * Later shapes cover earlier ones. `layer: 1` is above everything in layer 0, wherever it is in the code.
 */
import { defineSketch } from 'frame-juggler';

export default defineSketch({
  canvas: { width: 320, height: 200, background: '#f6efdf' },
  paint(canvas) {
    canvas.rect({ at: [110, 100], size: 100, fill: '#24506a', layer: 1 });
    canvas.rect({ at: [150, 80], size: 100, fill: '#f1b64e' });
    canvas.rect({ at: [190, 110], size: 100, fill: '#86bdb6' });
  },
});
