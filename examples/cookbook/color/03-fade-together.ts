/*
 * Fade several shapes as one picture
 *
 * The `opacity` of a group applies to the group as a whole: where its shapes overlap, nothing shines through.
 */
import { defineSketch } from 'frame-juggler';

export default defineSketch({
  canvas: { width: 320, height: 200, background: '#f6efdf' },
  paint(canvas) {
    canvas.text('harbor', { at: [160, 100], size: 60, weight: 'bold', fill: '#1b2f3a' });
    canvas.group({ opacity: 0.75 }, () => {
      canvas.circle({ at: [120, 100], radius: 60, fill: '#86bdb6' });
      canvas.circle({ at: [200, 100], radius: 60, fill: '#f1b64e' });
    });
  },
});
