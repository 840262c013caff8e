/*
 * Turn at a speed, in degrees per second
 *
 * The angle is a speed times the time, so it is the same on every machine, however fast it draws. Make the 45 smaller to
 * slow it down.
 */
import { defineSketch } from 'frame-juggler';

export default defineSketch({
  canvas: { width: 320, height: 200, background: '#e4efe8' },
  duration: 8,
  paint(canvas, { seconds }) {
    canvas.group({ translate: [160, 100], rotate: 45 * seconds }, () => {
      for (let i = 0; i < 4; i++)
        canvas.rect({ at: [0, 0], anchor: 'left', size: [86, 22], corners: 11, rotate: i * 90, fill: '#d5603f' });
    });
    canvas.circle({ at: [160, 100], radius: 18, fill: '#1b2f3a' });
  },
});
