/*
 * A shape of your own, with an option that must be given
 *
 * Draw the outline around (0, 0), which will sit on `at`. The shape then takes fill, stroke, `rotate` and `scale` like
 * any other.
 */
import { defineShape, defineSketch, required } from 'frame-juggler';

const boat = defineShape({
  name: 'boat',
  options: { length: required },
  outline({ length }, path) {
    const w = length / 2;
    path
      .moveTo(-w, 0)
      .lineTo(w, 0)
      .lineTo(w * 0.6, w * 0.5)
      .lineTo(-w * 0.6, w * 0.5)
      .closePath();
    path
      .moveTo(0, -w * 0.2)
      .lineTo(0, -w * 1.6)
      .lineTo(w * 0.8, -w * 0.2)
      .closePath();
  },
});

export default defineSketch({
  canvas: { width: 320, height: 200, background: '#86bdb6' },
  paint(canvas) {
    canvas.shape(boat, { at: [105, 130], length: 120, fill: '#24506a' });
    canvas.shape(boat, { at: [240, 122], length: 66, fill: '#d5603f', rotate: -8 });
  },
});
