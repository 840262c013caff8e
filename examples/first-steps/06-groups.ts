/*
 * Transforms and groups
 *
 * A group moves, turns, scales and styles everything drawn inside it, and afterwards puts everything back. So the boat
 * can be a function that draws around its own (0, 0), and be placed three times. It turns about that point, in degrees.
 *
 * Try it: turn the large boat upside down with `rotate: 180`. Then put the three groups into a loop, and make it a
 * fleet of seven.
 */
import { defineSketch, type Canvas } from 'frame-juggler';

export default defineSketch({
  canvas: { background: '#f1b64e' },
  paint(canvas, { width, height }) {
    canvas.circle({ at: [480, 170], radius: 50, fill: '#f6efdf' });
    canvas.rect({ from: [0, height / 2], to: [width, height], fill: '#3a8391' });

    canvas.group({ translate: [110, 190], scale: 0.4, rotate: 4 }, () => boat(canvas));
    canvas.group({ translate: [560, 210], scale: 0.6, rotate: -5 }, () => boat(canvas));
    canvas.group({ translate: [300, 270], rotate: 3 }, () => boat(canvas));
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
