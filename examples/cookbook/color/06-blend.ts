/*
 * Three lamps: light adds up
 *
 * `blend` sets how colors mix with what is below them. With `plus-lighter` they add up like light, with `multiply` they
 * darken like ink.
 */
import { defineSketch } from 'frame-juggler';

export default defineSketch({
  canvas: { width: 320, height: 200, background: '#1b2f3a' },
  paint(canvas) {
    for (const [i, fill] of ['#d5603f', '#647f52', '#24506a'].entries())
      canvas.group({ translate: [160, 108], rotate: i * 120 - 90 }, () => {
        canvas.circle({ at: [36, 0], radius: 58, fill, blend: 'plus-lighter' });
      });
  },
});
