var e=`/*
 * Boats that swing about their moorings, seen from above, and their tenders that swing about them: turns within turns,
 * each group in the units of the one around it.
 */
import { defineSketch, dial, swing, type Canvas } from 'frame-juggler';
import { palette } from '../palette.ts';

const hulls = [palette.sail, palette.buoy, palette.lamp, palette.brick, palette.foam, palette.shoal];

export default defineSketch({
  title: 'Moorings',
  canvas: { width: 960, height: 540, background: palette.sea },
  frameRate: 30,
  duration: 8,
  dials: { wind: dial.number(40, { min: 0, max: 360, label: 'How far the wind turns them' }) },
  paint(canvas, { seconds, random, dials }) {
    for (let i = 0; i < 70; i++) {
      const { x, y } = random.point([960, 540]);
      canvas.line({ from: [x, y], to: [x + random.between(14, 60), y], stroke: { color: palette.shoal, width: 2, cap: 'round' }, opacity: swing(seconds + i, 4, 0.05, 0.5) }); // prettier-ignore
    }
    for (let row = 0; row < 3; row++)
      for (let column = 0; column < 5; column++) {
        const at = [50 + 180 * column + 50 * (row % 2), 95 + 175 * row] as const;
        const late = column / 3 + row / 2;
        const turn = random.between(-20, 20) + swing(seconds - late, 8, -dials.wind, dials.wind);
        canvas.group({ translate: at, rotate: turn }, () =>
          mooring(canvas, seconds + late, random.pick(hulls), random.likely(0.6)),
        );
      }
  },
});

/** A buoy, a line, and the boat at its end. */
function mooring(canvas: Canvas, seconds: number, color: string, hasTender: boolean): void {
  canvas.spline({ points: [[0, 0], [14, 5], [30, 0]], stroke: { color: palette.rope, width: 2 } }); // prettier-ignore
  canvas.circle({ at: [0, 0], radius: 7, fill: palette.lamp, stroke: { color: palette.ink, width: 2 }, label: 'buoy' });
  canvas.group({ translate: [30, 0], rotate: swing(seconds, 4, -14, 14) }, () => {
    boat(canvas, 1, color);
    if (!hasTender) return;
    canvas.group({ translate: [104, 0], rotate: swing(seconds, 2, -34, 34) }, () => {
      canvas.line({ from: [-4, 0], to: [18, 0], stroke: { color: palette.rope, width: 1.5 } });
      canvas.group({ translate: [18, 0] }, () => boat(canvas, 0.34, palette.sand));
    });
  });
}

/** A boat with its bow on (0, 0). */
function boat(canvas: Canvas, scale: number, color: string): void {
  canvas.group({ scale, stroke: { color: palette.ink, width: 3, join: 'round' } }, () => {
    canvas.path({ data: 'M6 6 C 34 34, 84 30, 108 22 L 108 -10 C 84 -18, 34 -22, 6 6 Z', fill: 'black', stroke: 'none', opacity: 0.2 }); // prettier-ignore
    canvas.path({ data: 'M0 0 C 30 -26, 78 -24, 104 -16 L 104 16 C 78 24, 30 26, 0 0 Z', fill: color, label: 'boat' });
    canvas.rect({ at: [74, 0], size: [34, 22], corners: 5, fill: palette.timber });
    canvas.circle({ at: [34, 0], radius: 5, fill: palette.ink });
  });
}
`;export{e as default};