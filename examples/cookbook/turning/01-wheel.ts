/*
 * A steering wheel: turn inside the loop, from the same middle each time
 *
 * A group starts from the coordinates outside it and restores them afterwards, so the turns do not add up.
 */
import { defineSketch } from 'frame-juggler';

export default defineSketch({
  canvas: { width: 320, height: 200, background: '#e4efe8' },
  paint(canvas) {
    for (let i = 0; i < 8; i++)
      canvas.group({ translate: [160, 100], rotate: i * 45 }, () => {
        canvas.rect({ from: [0, -4], to: [88, 4], corners: 4, fill: '#6f4c38' });
      });
    canvas.circle({ at: [160, 100], radius: 56, fill: 'none', stroke: { color: '#ad8a57', width: 12 } });
    canvas.circle({ at: [160, 100], radius: 16, fill: '#6f4c38' });
  },
});
