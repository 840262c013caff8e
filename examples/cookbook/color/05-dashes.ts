/*
 * Dashes, and a dotted line of round dots
 *
 * A dash pattern lists dashes and gaps in turn. With round caps a dash of length 0 is a dot; change `dashOffset` over
 * time to make the line move.
 */
import { defineSketch } from 'frame-juggler';

export default defineSketch({
  canvas: { width: 320, height: 200, background: '#24506a' },
  duration: 2,
  paint(canvas, { seconds }) {
    canvas.style({ fill: 'none', stroke: { color: '#f6efdf', width: 6 } });
    canvas.line({ from: [40, 50], to: [280, 50], stroke: { dash: [24, 12] } });
    canvas.line({ from: [40, 100], to: [280, 100], stroke: { dash: [0, 15], cap: 'round', width: 9 } });
    canvas.circle({
      at: [160, 150],
      radius: 28,
      stroke: { dash: [14, 8], dashOffset: -22 * seconds, color: '#f1b64e' },
    });
  },
});
