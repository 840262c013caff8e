var e=`/*
 * A badge for the pilots of Pellan Quay, a loop of four seconds: letters along a ring, a light that goes round.
 */
import { defineSketch, dial, radialGradient, swing } from 'frame-juggler';
import { palette } from '../palette.ts';

export default defineSketch({
  title: 'The pilots’ badge',
  canvas: { width: 600, height: 600, background: palette.sail },
  frameRate: 30,
  duration: 4,
  dials: { words: dial.text('PELLAN QUAY PILOTS · BY TIDE AND LIGHT · ', { label: 'Words' }) },
  paint(canvas, { seconds, progress, dials }) {
    canvas.group({ translate: [300, 300] }, () => {
      // A rim of rope: short strokes, each leaning.
      canvas.style({ stroke: { color: palette.rope, width: 11, cap: 'round' } });
      for (let i = 0; i < 90; i++)
        canvas.group({ rotate: 4 * i + 4 * progress }, () => canvas.line({ from: [-6, -274], to: [7, -262] }));

      canvas.style({ stroke: 'none', fill: palette.ink, text: { size: 34, weight: 'bold' } });
      const letters = [...dials.words];
      // A letter stands at the top, and the whole ring is turned to where it belongs.
      letters.forEach((letter, i) =>
        canvas.group({ rotate: (360 / letters.length) * (i - letters.length * progress) }, () =>
          canvas.text(letter, { at: [0, -228] }),
        ),
      );

      const sea = (region: { circle: (options: { at: [number, number]; radius: number }) => void }): void =>
        region.circle({ at: [0, 0], radius: 190 });
      canvas.group({ clip: sea }, () => {
        canvas.rect({ at: [0, 0], size: 400, fill: palette.deep });
        for (const side of [0, 180])
          canvas.arc({ at: [0, -70], radius: 420, start: 360 * progress + side - 11, end: 360 * progress + side + 11, close: 'sector', fill: radialGradient({ at: [0, -70], radius: 260, stops: ['rgb(241 182 78 / 0.85)', 'rgb(241 182 78 / 0)'] }), label: 'beam' }); // prettier-ignore
        for (const up of [0, 1, 2, 3]) canvas.polygon({ points: [[-34 + 4 * up, 66 - 34 * up], [34 - 4 * up, 66 - 34 * up], [30 - 4 * up, 32 - 34 * up], [-30 + 4 * up, 32 - 34 * up]], fill: up % 2 === 0 ? palette.brick : palette.sail, label: 'tower' }); // prettier-ignore
        canvas.rect({ at: [0, -72], size: [44, 8], fill: palette.ink });
        canvas.circle({ at: [0, -86], radius: swing(seconds, 2, 11, 14), fill: palette.lamp, label: 'lamp' });
        canvas.triangle({ points: [[-20, -98], [20, -98], [0, -122]], fill: palette.brick }); // prettier-ignore
        canvas.style({ fill: palette.ink });
        canvas.ellipse({ at: [0, 92], size: [190, 60], label: 'rock' });
        for (let row = 0; row < 5; row++) {
          const points = Array.from({ length: 41 }, (_, i): [number, number] => [
            10 * i - 200,
            96 + 22 * row + swing(seconds + i / 5 + row, row % 2 === 0 ? 2 : 4, -6, 6),
          ]);
          canvas.polygon({ points: [...points, [200, 220], [-200, 220]], fill: [palette.sea, palette.shoal, palette.sea, palette.deep, palette.ink][row], label: 'sea' }); // prettier-ignore
        }
      });
      canvas.circle({ at: [0, 0], radius: 190, fill: 'none', stroke: { color: palette.ink, width: 6 } });
    });
  },
});
`;export{e as default};