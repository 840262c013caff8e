/*
 * Drag a thing
 *
 * Press the thing, found by its label, and it moves with the pointer until you let go. The offset keeps it from jumping.
 */
import { defineSketch } from 'frame-juggler';

export default defineSketch({
  canvas: { width: 320, height: 200, background: '#e4efe8' },
  start: () => ({ x: 160, y: 100, held: false, dx: 0, dy: 0 }),
  step(crate, { pointer }) {
    if (pointer.justPressed && pointer.over('crate'))
      Object.assign(crate, { held: true, dx: crate.x - pointer.x, dy: crate.y - pointer.y });
    if (!pointer.down) crate.held = false;
    if (crate.held) Object.assign(crate, { x: pointer.x + crate.dx, y: pointer.y + crate.dy });
  },
  paint(canvas, _, { x, y, held }) {
    canvas.group({ translate: [x, y], rotate: held ? -4 : 0, label: 'crate' }, () => {
      canvas.rect({ at: [0, 0], size: 80, fill: '#ad8a57', stroke: { color: '#6f4c38', width: 6 } });
      canvas.line({ from: [-36, -36], to: [36, 36], stroke: { color: '#6f4c38', width: 6 } });
    });
  },
});
