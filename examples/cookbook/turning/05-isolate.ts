/*
 * Isolate: nothing of a group reaches what follows
 *
 * Position, turn, fill and stroke of the group end with the group. The third square looks like the first.
 */
import { defineSketch } from 'frame-juggler';

export default defineSketch({
  canvas: { width: 320, height: 200, background: '#f6efdf' },
  paint(canvas) {
    canvas.style({ fill: '#3a8391' });
    canvas.rect({ at: [60, 100], size: 70 });
    canvas.group({ translate: [160, 100], rotate: 30, fill: '#d5603f', stroke: { color: '#1b2f3a', width: 5 } }, () => {
      canvas.rect({ at: [0, 0], size: 70 });
    });
    canvas.rect({ at: [260, 100], size: 70 });
  },
});
