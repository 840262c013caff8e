/*
 * Time
 *
 * `paint` is told the time: `seconds` since the start. `swing` goes back and forth between two values, here once every
 * three seconds. With a `duration` the sketch ends and starts again; because six is a multiple of three, the loop has no
 * visible seam. Speeds are _per second_, so they are the same on every machine.
 *
 * Try it: let the boat pitch twice as fast, or from right to left. Which numbers keep the loop without a seam?
 */
import { defineSketch, swing, type Canvas } from 'frame-juggler';

export default defineSketch({
  canvas: { background: '#f1b64e' },
  frameRate: 30,
  duration: 6,
  paint(canvas, { width, height, seconds }) {
    canvas.circle({ at: [480, 170], radius: 50, fill: '#f6efdf' });
    canvas.rect({ from: [0, height / 2], to: [width, height], fill: '#3a8391' });
    const x = -100 + 140 * seconds;
    canvas.group({ translate: [x, 250 + swing(seconds, 3, -8, 8)], rotate: swing(seconds, 6, -6, 6) }, () =>
      boat(canvas),
    );
  },
});

function boat(canvas: Canvas): void {
  canvas.style({ stroke: { color: '#1b2f3a', width: 5, join: 'round' } });
  canvas.line({ from: [0, 0], to: [0, -130] });
  canvas.polygon({
    points: [
      [6, -126],
      [6, -30],
      [70, -30],
    ],
    fill: '#f6efdf',
  });
  canvas.polygon({
    points: [
      [-70, 0],
      [70, 0],
      [40, 36],
      [-40, 36],
    ],
    fill: '#a8433a',
  });
}
