/*
 * A field of currents: noise as an angle
 *
 * Places close together get similar values, so the lines lean together like grass in the wind. The third number makes
 * the field drift with time.
 */
import { defineSketch } from 'frame-juggler';

export default defineSketch({
  canvas: { width: 320, height: 200, background: '#24506a' },
  paint(canvas, { noise, seconds }) {
    canvas.style({ stroke: { color: '#86bdb6', width: 3, cap: 'round' } });
    for (let y = 10; y < 200; y += 20)
      for (let x = 10; x < 320; x += 20)
        canvas.group({ translate: [x, y], rotate: 180 * noise(x / 120, y / 120, seconds / 4) }, () => {
          canvas.line({ from: [-9, 0], to: [9, 0] });
        });
  },
});
