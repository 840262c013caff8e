var e=`/*
 * Every shape with its pin (the dot) and its box: what \`at\` and \`anchor\` mean, to look at.
 */
import { boundsOf, defineShape, defineSketch, measureText, picture, type Canvas } from 'frame-juggler';
import { palette } from '../palette.ts';

const { ink } = palette;
const fish = defineShape({
  name: 'fish',
  options: { length: 84 },
  outline({ length }, path) {
    path.moveTo(-length / 2, 0).quadraticCurveTo(-4, -length / 2.4, length / 3.4, -3);
    path
      .lineTo(length / 2, -length / 4.5)
      .lineTo(length / 2.5, 0)
      .lineTo(length / 2, length / 4.5)
      .lineTo(length / 3.4, 3);
    path.quadraticCurveTo(-4, length / 2.4, -length / 2, 0).closePath();
  },
});
const pennant = picture(48, 32, (canvas) => {
  canvas.polygon({ points: [[0, 0], [48, 10], [48, 22], [0, 32]], fill: palette.buoy }); // prettier-ignore
  canvas.rect({ from: [0, 12], to: [44, 20], fill: 'white' });
});

type Cell = readonly [name: string, draw: (canvas: Canvas) => void, box?: readonly [number, number, number, number]];
const box = ({ left, top, right, bottom }: ReturnType<typeof boundsOf>): readonly [number, number, number, number] => [
  left,
  top,
  right,
  bottom,
];
const zigzag = [[-48, 22], [-16, -26], [14, 24], [48, -20]] as const; // prettier-ignore

function cells(): Cell[] {
  const words = measureText('Quay', { size: 40, weight: 'bold' });
  return [
    ['dot', (c) => c.dot({ at: [0, 0], size: 14 }), [-7, -7, 7, 7]],
    [
      'line',
      (c) => c.line({ from: [-48, -24], to: [48, 24] }),
      box(boundsOf('line', { from: [-48, -24], to: [48, 24] })),
    ],
    ['polyline', (c) => c.polyline({ points: zigzag }), box(boundsOf('polyline', { points: zigzag }))],
    [
      'polygon',
      (c) => c.polygon({ at: [0, 0], radius: 36, sides: 5 }),
      box(boundsOf('polygon', { at: [0, 0], radius: 36, sides: 5 })),
    ],
    ['triangle', (c) => c.triangle({ points: [[-44, 28], [44, 28], [10, -32]] }), [-44, -32, 44, 28]], // prettier-ignore
    [
      'star',
      (c) => c.star({ at: [0, 0], radius: 38, innerRadius: 16, tips: 7 }),
      box(boundsOf('star', { at: [0, 0], radius: 38, innerRadius: 16, tips: 7 })),
    ],
    ['rect', (c) => c.rect({ at: [0, 0], size: [96, 56] }), [-48, -28, 48, 28]],
    ['rect corners', (c) => c.rect({ at: [0, 0], size: [96, 56], corners: [28, 4, 28, 4] }), [-48, -28, 48, 28]],
    ['anchor top-left', (c) => c.rect({ at: [0, 0], anchor: 'top-left', size: [52, 34] }), [0, 0, 52, 34]],
    ['circle', (c) => c.circle({ at: [0, 0], radius: 36 }), [-36, -36, 36, 36]],
    ['ellipse', (c) => c.ellipse({ at: [0, 0], radii: [50, 26] }), [-50, -26, 50, 26]],
    [
      'ellipse rotate',
      (c) => c.ellipse({ at: [0, 0], radii: [50, 26], rotate: -30 }),
      box(boundsOf('ellipse', { at: [0, 0], radii: [50, 26], rotate: -30 })),
    ],
    [
      'arc',
      (c) => c.arc({ at: [0, 0], radius: 36, start: 190, end: 350 }),
      box(boundsOf('arc', { at: [0, 0], radius: 36, start: 190, end: 350 })),
    ],
    [
      'arc chord',
      (c) => c.arc({ at: [0, 0], radius: 36, start: 20, end: 200, close: 'chord' }),
      box(boundsOf('arc', { at: [0, 0], radius: 36, start: 20, end: 200 })),
    ],
    [
      'arc sector',
      (c) => c.arc({ at: [0, 0], radius: 50, start: -32, end: 32, close: 'sector', fill: palette.lamp }),
      box(boundsOf('arc', { at: [0, 0], radius: 50, start: -32, end: 32, close: 'sector' })),
    ],
    ['spline', (c) => c.spline({ points: zigzag }), box(boundsOf('spline', { points: zigzag }))],
    ['spline closed', (c) => c.spline({ points: [[-40, 0], [0, -30], [40, 4], [4, 30]], closed: true }), box(boundsOf('spline', { points: [[-40, 0], [0, -30], [40, 4], [4, 30]], closed: true }))], // prettier-ignore
    [
      'path',
      (c) => c.path({ data: 'M-44 8 q22 -60 44 -14 t44 -8 v30 a44 16 0 0 1 -88 0 z' }),
      box(boundsOf('path', { data: 'M-44 8 q22 -60 44 -14 t44 -8 v30 a44 16 0 0 1 -88 0 z' })),
    ],
    [
      'text',
      (c) => c.text('Quay', { at: [0, 0], size: 40, weight: 'bold', stroke: 'none' }),
      [-words.width / 2, -words.height / 2, words.width / 2, words.height / 2],
    ],
    [
      'picture',
      (c) => c.picture(pennant, { at: [0, 0], size: [96, 64], smooth: false, stroke: 'none' }),
      [-48, -32, 48, 32],
    ],
    ['shape', (c) => c.shape(fish, { at: [0, 0] }), box(boundsOf(fish, { at: [0, 0] }))],
  ];
}

export default defineSketch({
  title: 'Every shape, with its pin and its box',
  canvas: { width: 980, height: 480, background: palette.sail },
  still: true,
  paint(canvas) {
    cells().forEach(([name, draw, edges], index) => {
      canvas.group({ translate: [70 + (index % 7) * 140, 66 + Math.floor(index / 7) * 158] }, () => {
        if (edges)
          canvas.rect({
            from: [edges[0], edges[1]],
            to: [edges[2], edges[3]],
            fill: 'none',
            stroke: { color: palette.buoy, width: 1, dash: [4, 3] },
          });
        canvas.group({ fill: palette.sea, stroke: { color: ink, width: 2.5, join: 'round' } }, () => draw(canvas));
        canvas.circle({ at: [0, 0], radius: 3.5, fill: palette.lamp, stroke: { color: ink, width: 1.2 } });
        canvas.text(name, { at: [0, 62], size: 15, fill: ink });
      });
    });
  },
});
`;export{e as default};