/*
 * Orbit in orbit: a gull around a buoy around a mark
 *
 * Each group turns about its own middle and contains what turns within it. Degrees per second times seconds gives the
 * angle.
 */
import { defineSketch } from 'frame-juggler';

export default defineSketch({
  canvas: { width: 320, height: 200, background: '#24506a' },
  duration: 12,
  paint(canvas, { seconds }) {
    canvas.style({ stroke: { color: '#3a8391', width: 2 } });
    canvas.group({ translate: [160, 100], rotate: 30 * seconds }, () => {
      canvas.circle({ at: [0, 0], radius: 64, fill: 'none' });
      canvas.circle({ at: [0, 0], radius: 20, fill: '#f1b64e', stroke: 'none' });
      canvas.group({ translate: [64, 0], rotate: 120 * seconds }, () => {
        canvas.circle({ at: [0, 0], radius: 24, fill: 'none' });
        canvas.circle({ at: [0, 0], radius: 9, fill: '#d5603f', stroke: 'none' });
        canvas.circle({ at: [24, 0], radius: 5, fill: '#f6efdf', stroke: 'none' });
      });
    });
  },
});
