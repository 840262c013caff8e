var e=`/*
 * A net for a print: each crossing goes over or under by chance, so no two seeds are tied alike.
 */
import { defineSketch, dial } from 'frame-juggler';
import { palette } from '../palette.ts';

export default defineSketch({
  title: 'A net, for a print',
  canvas: { width: 900, height: 900, background: palette.deep },
  still: true,
  dials: {
    strands: dial.number(9, { min: 3, max: 20, step: 1, label: 'Strands' }),
    width: dial.number(0.42, { min: 0.1, max: 0.8, label: 'Width of a strand' }),
  },
  paint(canvas, { random, dials }) {
    const spacing = 900 / dials.strands;
    const colors = [palette.foam, palette.lamp, palette.buoy, palette.shoal];
    const across = random.times(dials.strands, () => random.pick(colors));
    const down = random.times(dials.strands, () => random.pick(colors));
    const wide = spacing * dials.width;
    /** A piece of a strand between two crossings, with its edges. */
    const piece = (x: number, y: number, color: string, turn: number): void =>
      canvas.group({ translate: [x, y], rotate: turn }, () => {
        canvas.rect({ at: [0, 0], size: [spacing + 1, wide], fill: color, label: 'strand' });
        canvas.style({ stroke: { color: palette.ink, width: spacing / 30 } });
        for (const side of [-1, 1])
          canvas.line({ from: [-spacing / 2, (side * wide) / 2], to: [spacing / 2, (side * wide) / 2] });
        for (const part of [-0.25, 0, 0.25])
          canvas.line({ from: [-spacing / 2, part * wide], to: [spacing / 2, part * wide], opacity: 0.25 });
      });
    for (let row = 0; row < dials.strands; row++)
      for (let column = 0; column < dials.strands; column++) {
        const [x, y] = [(column + 0.5) * spacing, (row + 0.5) * spacing];
        const pieces = [() => piece(x, y, across[row], 0), () => piece(x, y, down[column], 90)];
        // What is drawn later lies over.
        for (const draw of random.likely(0.5) ? pieces : pieces.reverse()) draw();
      }
  },
});
`;export{e as default};