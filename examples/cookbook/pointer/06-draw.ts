/*
 * A drawing pad: lines where the pointer goes
 *
 * With `carry: 1` nothing is cleared, so each frame draws only what is new. Pressing `c` clears the pad.
 */
import { defineSketch } from 'frame-juggler';

export default defineSketch({
  canvas: { width: 320, height: 200, background: '#f6efdf' },
  carry: 1,
  start: ({ pointer }) => ({ from: pointer, to: pointer }),
  step(pen, { pointer }) {
    pen.from = pen.to;
    pen.to = pointer;
  },
  paint(canvas, { pointer, keys, frame }, { from, to }) {
    if (keys.justPressed('c')) canvas.clear('#f6efdf');
    if (frame === 0) canvas.text('draw here', { at: [160, 100], size: 28, fill: '#6f4c38' });
    const stroke = { color: '#24506a', width: 6, cap: 'round' } as const;
    if (pointer.down && !pointer.justPressed) canvas.line({ from, to, stroke });
  },
});
