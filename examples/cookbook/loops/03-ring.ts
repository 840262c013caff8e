/*
 * A ring: things around a point
 *
 * Turn by a share of 360°, then move out along x. Everything in the group turns with it; turning back by the same angle
 * keeps the letters upright.
 */
import { defineSketch } from 'frame-juggler';

export default defineSketch({
  canvas: { width: 320, height: 200, background: '#1b2f3a' },
  paint(canvas) {
    const count = 12;
    for (let i = 0; i < count; i++) {
      const angle = (i * 360) / count;
      canvas.group({ translate: [160, 100], rotate: angle - 60 }, () => {
        canvas.circle({ at: [74, 0], radius: 15, fill: i % 3 === 2 ? '#f1b64e' : '#3a8391' });
        canvas.text(i + 1, {
          at: [74, 0],
          rotate: 60 - angle,
          size: 14,
          weight: 'bold',
          fill: i % 3 === 2 ? '#1b2f3a' : '#f6efdf',
        });
      });
    }
  },
});
