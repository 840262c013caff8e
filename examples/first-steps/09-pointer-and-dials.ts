/*
 * The pointer, and dials
 *
 * `pointer` tells where the mouse or finger is, and whether it is `down`. A _dial_ is a value you can tune in the viewer
 * while the sketch runs, and keep once it is right. The lamp follows the pointer.
 *
 * Try it: add a third dial for the color of the sea, `sea: dial.color('#24506a')`, and use it. Press the mouse button
 * and watch the light.
 */
import { defineSketch, dial, heading } from 'frame-juggler';

export default defineSketch({
  canvas: { background: '#1b2f3a' },
  dials: {
    lamp: dial.color('#f1b64e'),
    width: dial.number(24, { min: 4, max: 90 }),
  },
  paint(canvas, { width, height, pointer, dials, seconds }) {
    const aim = pointer.inside ? heading([150, 120], pointer) : 20 * seconds;
    canvas.arc({
      at: [150, 120],
      radius: 700,
      start: aim - dials.width / 2,
      end: aim + dials.width / 2,
      close: 'sector',
      fill: dials.lamp,
      opacity: pointer.down ? 0.9 : 0.5,
    });
    canvas.rect({ from: [0, 250], to: [width, height], fill: '#24506a' });
    canvas.polygon({
      points: [
        [120, 270],
        [180, 270],
        [168, 130],
        [132, 130],
      ],
      fill: '#f6efdf',
    });
    canvas.circle({ at: [150, 120], radius: 20, fill: dials.lamp });
  },
});
