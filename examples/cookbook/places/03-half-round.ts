/*
 * A half-round window, by two angles
 *
 * Angles are in degrees: 0 points right, and they grow clockwise. `close` joins the two ends, directly or through the
 * middle.
 */
import { defineSketch } from 'frame-juggler';

export default defineSketch({
  canvas: { width: 320, height: 200, background: '#a8433a' },
  paint(canvas) {
    const at = [160, 140] as const;
    canvas.arc({ at, radius: 84, start: 180, end: 360, close: 'chord', fill: '#f1b64e' });
    canvas.style({ fill: 'none', stroke: { color: '#f6efdf', width: 5, join: 'round' } });
    for (const end of [225, 270, 315, 360]) canvas.arc({ at, radius: 84, start: end - 45, end, close: 'sector' });
  },
});
