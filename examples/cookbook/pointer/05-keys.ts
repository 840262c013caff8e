/*
 * Steer with the arrow keys
 *
 * `keys.down` is true as long as a key is held. `wrap` brings a boat that leaves on one side back in on the other.
 */
import { defineSketch, wrap } from 'frame-juggler';

export default defineSketch({
  canvas: { width: 320, height: 200, background: '#3a8391' },
  start: () => ({ x: 160, facing: 1 }),
  step(boat, { keys, delta }) {
    if (keys.down('ArrowLeft')) boat.facing = -1;
    if (keys.down('ArrowRight')) boat.facing = 1;
    if (keys.down('ArrowLeft') || keys.down('ArrowRight')) boat.x = wrap(boat.x + 140 * boat.facing * delta, -60, 380);
  },
  paint(canvas, _, { x, facing }) {
    canvas.group({ translate: [x, 120], scale: [facing, 1] }, () => {
      canvas.path({ data: 'M-56 0 H60 L40 30 H-44 Z', fill: '#a8433a' });
      canvas.path({ data: 'M0 -8 V-90 L50 -8 Z', fill: '#f6efdf' });
    });
    canvas.text('← →', { at: [160, 180], size: 30, weight: 'bold', fill: '#1b2f3a' });
  },
});
