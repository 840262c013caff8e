/*
 * A grid of tiles: a loop in a loop
 *
 * Rows in the outer loop, columns in the inner one. `(row + column) % 2` alternates between 0 and 1, like the squares of
 * a board.
 */
import { defineSketch } from 'frame-juggler';

export default defineSketch({
  canvas: { width: 320, height: 200, background: '#24506a' },
  paint(canvas) {
    for (let row = 0; row < 5; row++)
      for (let column = 0; column < 8; column++) {
        const at = [20 + column * 40, 20 + row * 40] as const;
        const turn = (row + column) % 2 === 0 ? 0 : 90;
        canvas.group({ translate: at, rotate: turn }, () => {
          canvas.arc({ at: [-20, -20], radius: 20, start: 0, end: 90, close: 'sector', fill: '#86bdb6' });
          canvas.arc({ at: [20, 20], radius: 20, start: 180, end: 270, close: 'sector', fill: '#f6efdf' });
        });
      }
  },
});
