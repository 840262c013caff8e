var e=`/*
 * Letters that ride the swell: each is measured, stands beside the last, and rises when the wave comes to it.
 */
import { defineSketch, dial, measureText, ramp, swing } from 'frame-juggler';
import { palette } from '../palette.ts';

const depth = ramp([palette.shoal, palette.sea, palette.deep, palette.ink]);
const style = { size: 150, weight: 'bold' } as const;

export default defineSketch({
  title: 'Letters on the swell',
  canvas: { width: 960, height: 540, background: palette.foam },
  frameRate: 30,
  duration: 4,
  dials: { word: dial.text('HARBOR', { label: 'Word' }), height: dial.number(34, { min: 0, max: 90, label: 'Swell' }) },
  paint(canvas, { seconds, dials }) {
    canvas.circle({ at: [770, 130], radius: 70, fill: palette.lamp, label: 'sun' });
    const wave = (x: number, late: number): number => swing(seconds - x / 240 - late, 4, -dials.height, dials.height);

    const letters = [...dials.word];
    const widths = letters.map((letter) => measureText(letter, style).width + 10);
    let x = 480 - widths.reduce((sum, width) => sum + width, 0) / 2;
    letters.forEach((letter, i) => {
      const at = x + widths[i] / 2;
      x += widths[i];
      // It leans as the water does under it.
      const lean = (wave(at + 20, 0) - wave(at - 20, 0)) / 1.4;
      canvas.text(letter, { ...style, at: [at, 330 + wave(at, 0)], anchor: 'baseline', rotate: lean, fill: i % 2 === 0 ? palette.buoy : palette.brick, label: letter }); // prettier-ignore
    });

    for (let row = 0; row < 6; row++) {
      const points = Array.from({ length: 49 }, (_, i): [number, number] => [
        20 * i,
        322 + 42 * row + wave(20 * i, row / 3) * (1 - row / 9),
      ]);
      canvas.polygon({ points: [...points, [960, 540], [0, 540]], fill: depth(row / 5), opacity: 0.92, label: 'sea' });
    }
  },
});
`;export{e as default};