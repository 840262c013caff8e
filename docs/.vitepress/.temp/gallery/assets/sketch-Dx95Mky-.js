var e=`import { colorMix, defineSketch, dial } from 'frame-juggler';

/*
 * Tiles for a harbor wall. Each seed is another pattern: try \`juggle strip sketch.ts -o seeds.png --seeds 1..12\`.
 * (0, 0) is the top left corner, x runs to the right and y down. Angles are degrees.
 */
export default defineSketch({
  title: 'Tiles for a harbor wall',
  canvas: { width: 960, height: 960, background: '#f6efdf' },
  still: true, // one picture; it is painted anew when a dial or the seed is turned

  dials: {
    tiles: dial.number(8, { min: 1, max: 24, step: 1, label: 'Tiles in a row' }),
    night: dial.number(0.25, { min: 0, max: 1, label: 'Night' }),
  },

  paint(canvas, { random, dials }) {
    const side = 880 / dials.tiles;
    for (let row = 0; row < dials.tiles; row++)
      for (let column = 0; column < dials.tiles; column++) {
        const color = colorMix(
          random.pick(['#86bdb6', '#3a8391', '#d5603f', '#f1b64e', '#dcc697']),
          '#1b2f3a',
          dials.night,
          'oklab',
        );
        const middle = [40 + (column + 0.5) * side, 40 + (row + 0.5) * side] as const;
        // A tile is drawn around its own (0, 0), and turned by quarters.
        canvas.group({ translate: middle, rotate: 90 * random.int(0, 3), scale: side / 100 }, () => {
          canvas.rect({ at: [0, 0], size: 94, corners: 6, fill: color });
          canvas.style({ fill: '#f6efdf', stroke: { color: '#1b2f3a', width: 4 } });
          const kind = random.int(0, 3);
          if (kind === 0) canvas.arc({ at: [-47, -47], radius: 62, start: 0, end: 90, close: 'sector', label: 'wave' });
          if (kind === 1) canvas.polygon({ points: [[-34, 34], [34, 34], [0, -38]], label: 'sail' }); // prettier-ignore
          if (kind === 2) for (const radius of [32, 20, 8]) canvas.circle({ at: [0, 0], radius, label: 'ring' });
          if (kind === 3) canvas.rect({ at: [0, 0], size: [94, 26], stroke: 'none', label: 'stripe' });
        });
      }
  },
});
`;export{e as default};