/*
 * A title that opens: letters set apart
 *
 * `letterSpacing` is in ems, so that it suits any size. The middle of the title stays where it is.
 */
import { defineSketch, swing } from 'frame-juggler';

export default defineSketch({
  canvas: { width: 320, height: 200, background: '#24506a' },
  duration: 4,
  paint(canvas, { seconds }) {
    const open = swing(seconds, 4, 0.55, 0);
    canvas.text('LOW TIDE', { at: [160, 90], size: 30, weight: 'bold', letterSpacing: open, fill: '#f6efdf' });
    canvas.rect({ at: [160, 118], size: [150 + 220 * open, 2], fill: '#f1b64e' });
    canvas.text('every day at Pellan Quay', { at: [160, 138], size: 13, letterSpacing: 0.1, fill: '#e4efe8' });
  },
});
