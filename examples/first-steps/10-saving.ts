/*
 * Saving it
 *
 * Everything together, and out into the world: `juggle render harbor.ts -o harbor.png` makes a picture, `-o harbor.gif`
 * a loop, `-o harbor.mp4` a film, and `juggle pack harbor.ts -o harbor` a web page. `--seed 7` and `--dial swell=20`
 * make variations, and `juggle strip harbor.ts -o seeds.png --seeds 1..12` shows twelve of them at once.
 *
 * Try it: add a gull that is larger than all others, a second boat, or a dial for the number of waves. Then save a
 * picture that you like, and show it to somebody.
 */
import { defineSketch, dial, linearGradient, swing, type Canvas } from 'frame-juggler';

export default defineSketch({
  title: 'Harbor',
  frameRate: 30,
  duration: 6,
  dials: { swell: dial.number(8, { min: 0, max: 40 }) },
  start: ({ random }) => ({
    gulls: random.times(9, () => ({ at: random.point([640, 130]), size: random.between(5, 11) })),
  }),
  paint(canvas, { width, height, seconds, dials }, { gulls }) {
    canvas.rect({
      from: [0, 0],
      to: [width, 200],
      fill: linearGradient({ from: [0, 0], to: [0, 190], stops: ['#8a5f83', '#d5603f', '#f1b64e'] }),
    });
    canvas.circle({ at: [480, 170], radius: 50, fill: '#f6efdf' });
    canvas.style({ stroke: { color: '#1b2f3a', width: 2, join: 'round' } });
    for (const {
      at: { x, y },
      size,
    } of gulls) {
      const wing = swing(seconds + size, 1, -size / 2, size / 5);
      canvas.polyline({
        points: [
          [x - size, y + wing],
          [x, y],
          [x + size, y + wing],
        ],
      });
    }
    canvas.style({ stroke: 'none' });
    for (let row = 0; row < 4; row++) {
      canvas.rect({
        from: [0, 180 + 45 * row],
        to: [width, height],
        fill: ['#86bdb6', '#3a8391', '#24506a', '#1b2f3a'][row],
      });
      if (row === 2)
        canvas.group(
          { translate: [250, 262 + swing(seconds, 3, -dials.swell, dials.swell)], rotate: swing(seconds, 6, -6, 6) },
          () => boat(canvas),
        );
    }
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
