/*
 * Bunting: every third one red
 *
 * `%` is the remainder of a division: 0, 1, 2, 0, 1, 2 … It picks colors from a list in turn.
 */
import { defineSketch } from 'frame-juggler';

const colors = ['#d5603f', '#f6efdf', '#24506a'];

export default defineSketch({
  canvas: { width: 320, height: 200, background: '#86bdb6' },
  paint(canvas) {
    for (let row = 0; row < 3; row++)
      for (let i = 0; i < 8; i++) {
        const [x, y] = [20 + i * 40, 40 + row * 60];
        canvas.triangle({
          points: [
            [x - 18, y],
            [x + 18, y],
            [x, y + 36],
          ],
          fill: colors[(i + row) % 3],
        });
      }
    for (const y of [40, 100, 160]) canvas.line({ from: [0, y], to: [320, y], stroke: { color: '#1b2f3a', width: 3 } });
  },
});
