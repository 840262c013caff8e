/*
 * A coil of rope: each turn adds to the one before
 *
 * Without a group, `translate`, `rotate` and `scale` continue from where the last ones left off.
 */
import { defineSketch } from 'frame-juggler';

export default defineSketch({
  canvas: { width: 320, height: 200, background: '#64737a' },
  paint(canvas) {
    canvas.translate([160, 100]);
    for (let i = 0; i < 40; i++) {
      canvas.rotate(21);
      canvas.scale(0.96);
      canvas.rect({ at: [84, 0], size: [20, 29], corners: 8, fill: i % 2 === 0 ? '#ad8a57' : '#dcc697' });
    }
  },
});
