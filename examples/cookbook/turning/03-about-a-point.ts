/*
 * A jib that rises: turn about a chosen point
 *
 * `about` names the point that stays where it is.
 */
import { defineSketch } from 'frame-juggler';

export default defineSketch({
  canvas: { width: 320, height: 200, background: '#86bdb6' },
  paint(canvas) {
    const hinge = [70, 150] as const;
    for (const degrees of [0, -20, -40, -60])
      canvas.group({ rotate: degrees, about: hinge }, () => {
        canvas.rect({ from: hinge, to: [240, 160], fill: '#f1b64e', stroke: '#6f4c38' });
      });
    canvas.dot({ at: hinge, size: 16, fill: '#1b2f3a' });
  },
});
