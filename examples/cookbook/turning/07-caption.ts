/*
 * A caption that no transform touches
 *
 * `resetTransform` goes back to the plain canvas; inside a group it lasts only until the group ends. `toCanvas` tells
 * where a transformed point has ended up.
 */
import { defineSketch, swing, type Place } from 'frame-juggler';

export default defineSketch({
  canvas: { width: 320, height: 200, background: '#e4efe8' },
  duration: 4,
  paint(canvas, { seconds }) {
    let tip: Place = { x: 0, y: 0 };
    canvas.group({ translate: [90, 150], rotate: swing(seconds, 4, -50, -10) }, () => {
      canvas.rect({ from: [0, -8], to: [130, 8], corners: 8, fill: '#6f4c38' });
      tip = canvas.toCanvas([122, 0]);
    });
    canvas.circle({ at: tip, radius: 14, fill: '#f1b64e' });
    canvas.text('lamp', { at: [tip.x + 20, tip.y], anchor: 'left', size: 16, fill: '#1b2f3a' });
  },
});
