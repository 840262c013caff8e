var e=`/*
 * A chart of the harbor: depths from a table of soundings, names set straight and along the land, a compass rose made
 * by turning in a loop, a scale bar, and the fairway with its lights.
 */
import { asset, defineSketch, maths, type Canvas, type Point } from 'frame-juggler';

const paper = '#f4ecd8';
const land = '#e3c98f';
const ink = '#2b3a4a';
const magenta = '#9c2a64';

/** Where the shore is at a height of the chart, pushed out to sea by so many pixels. */
const shore = (y: number, out = 0): [number, number] => [
  330 + 90 * maths.sin(y / 120) + 40 * maths.sin(y / 47) + out,
  y,
];
const shoreline = (out: number): Point[] =>
  Array.from({ length: 38 }, (_, i) => shore(i * 17 - 20, out * (1 + 0.25 * maths.sin(i / 3))));

export default defineSketch({
  title: 'Chart of Pellan Quay',
  canvas: { width: 960, height: 600, background: '#cfe3e6' },
  still: true,
  assets: { soundings: asset.table(new URL('./data/soundings.csv', import.meta.url)) },
  paint(canvas, { assets }) {
    canvas.rect({ from: [0, 0], to: [960, 600], fill: '#e6efe6' });
    // The deeper, the whiter: each step covers the shallower part of the one before.
    for (const [out, fill] of [[300, '#cfe3e6'], [150, '#a9cfd8'], [60, '#85bccb']] as const) // prettier-ignore
      canvas.polygon({ points: [[-40, -20], ...shoreline(out), [-40, 640]], fill, stroke: { color: '#5d93a6', width: 0.8, dash: [8, 4] } }); // prettier-ignore
    canvas.polygon({ points: [[-40, -20], ...shoreline(0), [-40, 640]], fill: land, stroke: { color: ink, width: 1.8, join: 'round' } }); // prettier-ignore
    for (const { x, y, depth_m } of assets.soundings) sounding(canvas, Number(x), Number(y), Number(depth_m));
    town(canvas);
    fairway(canvas);
    rose(canvas, [826, 138], 84);
    scaleBar(canvas, [660, 560]);
    title(canvas);
    canvas.rect({ from: [8, 8], to: [952, 592], fill: 'none', stroke: { color: ink, width: 3 } });
    canvas.rect({ from: [14, 14], to: [946, 586], fill: 'none', stroke: { color: ink, width: 1 } });
  },
});

/** Boxes of the chart that its other marks have to themselves: left, top, right, bottom. */
const taken = [
  [706, 18, 946, 258],
  [640, 515, 960, 600],
  [340, 232, 640, 302],
  [480, 312, 560, 402],
  [620, 312, 760, 402],
  [30, 460, 270, 570],
] as const;

/** Meters large, tenths small and lower, as charts have it. */
function sounding(canvas: Canvas, x: number, y: number, depth: number): void {
  // Where something else is written, no depth is.
  if (taken.some(([left, top, right, bottom]) => x > left && x < right && y > top && y < bottom)) return;
  const [meters, tenths] = depth.toFixed(1).split('.');
  canvas.text(meters, { at: [x, y], anchor: 'baseline-right', size: 15, fill: ink });
  canvas.text(tenths, { at: [x + 1, y + 3], anchor: 'baseline-left', size: 10, fill: ink });
}

function town(canvas: Canvas): void {
  const [x, y] = shore(330);
  canvas.group({ fill: '#b98a53', stroke: { color: ink, width: 1 } }, () => {
    for (let row = 0; row < 4; row++)
      for (let column = 0; column < 6; column++)
        if ((row * 5 + column * 3) % 7 !== 0)
          canvas.rect({
            at: [x - 60 - column * 24, y - 48 + row * 26],
            size: [15 + ((row + column) % 3) * 3, 14],
            rotate: (column - row) * 4,
          });
  });
  canvas.polygon({ points: [[x - 16, y - 70], [x + 84, y - 44], [x + 80, y - 32], [x - 20, y - 56]], fill: '#c7b79a', stroke: { color: ink, width: 1.4 } }); // prettier-ignore
  canvas.text('Pellan Quay', { at: [x - 150, y + 72], size: 26, weight: 'bold', fill: ink });
  canvas.text('East Mole', { at: [x + 36, y - 64], anchor: 'bottom', size: 13, rotate: 14, fill: ink });
  canvas.text('Low ground,\\nflooded at\\nspring tides', { at: [150, 130], size: 14, fill: '#5f4f2e' });
  canvas.star({ at: [x + 84, y - 40], radius: 9, innerRadius: 3.5, tips: 6, fill: magenta });
  canvas.text('Fl 4s 21m 14M', { at: [x + 98, y - 40], anchor: 'left', size: 13, fill: magenta });
}

function fairway(canvas: Canvas): void {
  const [x, y] = shore(330);
  const middle = [[x + 30, y + 6], [x + 150, y + 34], [x + 290, y + 20], [940, y + 70]] as const; // prettier-ignore
  canvas.spline({ points: middle, stroke: { color: magenta, width: 1.6, dash: [14, 6, 3, 6] } });
  canvas.text('Fairway 4.5 m', { at: [x + 346, y + 12], anchor: 'bottom', size: 15, fill: magenta, rotate: 4 });
  for (const [bx, by, color, side] of [
    [x + 110, y - 4, '#2f8f5b', 1],
    [x + 250, y + 2, '#2f8f5b', 3],
    [x + 130, y + 58, '#c43d3d', 2],
    [x + 270, y + 52, '#c43d3d', 4],
  ] as const) {
    // prettier-ignore
    canvas.group({ translate: [bx, by], label: \`buoy \${side}\` }, () => {
      if (side % 2 === 1) canvas.triangle({ points: [[-6, 5], [6, 5], [0, -8]], fill: color, stroke: { color: ink, width: 1 } }); // prettier-ignore
      else canvas.rect({ at: [0, -1], size: [10, 12], fill: color, stroke: { color: ink, width: 1 } });
      canvas.text(side, { at: [11, 0], anchor: 'left', size: 12, fill: ink });
    });
  }
}

/** One point of the rose, drawn again and again by turning about its middle. */
function rose(canvas: Canvas, at: Point, radius: number): void {
  canvas.group({ translate: at, label: 'compass rose' }, () => {
    canvas.circle({ at: [0, 0], radius: radius + 14, fill: paper, opacity: 0.85 });
    canvas.circle({ at: [0, 0], radius, fill: 'none', stroke: { color: magenta, width: 1.2 } });
    for (let degrees = 0; degrees < 360; degrees += 5)
      canvas.group({ rotate: degrees }, () =>
        canvas.line({
          from: [0, -radius],
          to: [0, -radius + (degrees % 30 === 0 ? 12 : degrees % 10 === 0 ? 8 : 4)],
          stroke: { color: magenta, width: 1 },
        }),
      );
    for (let i = 0; i < 8; i++)
      canvas.group({ rotate: 45 + i * 45, scale: i % 2 === 0 ? 0.62 : 1 }, () => {
        canvas.polygon({ points: [[0, -66], [9, -9], [0, 0]], fill: ink }); // prettier-ignore
        canvas.polygon({ points: [[0, -66], [-9, -9], [0, 0]], fill: paper, stroke: { color: ink, width: 0.8 } }); // prettier-ignore
      });
    [...'NESW'].forEach((letter, i) =>
      canvas.group({ rotate: i * 90 }, () =>
        canvas.text(letter, { at: [0, -radius - 7], size: 14, weight: 'bold', fill: ink }),
      ),
    );
  });
}

function scaleBar(canvas: Canvas, at: Point): void {
  canvas.group({ translate: at }, () => {
    for (let i = 0; i < 4; i++)
      canvas.rect({
        from: [i * 50, 0],
        to: [i * 50 + 50, 8],
        fill: i % 2 === 0 ? ink : paper,
        stroke: { color: ink, width: 1 },
      });
    for (let i = 0; i <= 4; i++) canvas.text(i * 100, { at: [i * 50, -6], anchor: 'baseline', size: 12, fill: ink });
    canvas.text('meters', { at: [214, 4], anchor: 'left', size: 12, fill: ink });
  });
}

function title(canvas: Canvas): void {
  canvas.rect({ from: [34, 470], to: [264, 566], corners: 4, fill: paper, stroke: { color: ink, width: 1.4 } });
  canvas.text('PELLAN QUAY', { at: [149, 496], size: 25, weight: 'bold', fill: ink });
  canvas.text('and its approaches', { at: [149, 519], size: 15, fill: ink });
  canvas.text('Depths in meters below the lowest tide. Made up for Frame Juggler: not to be used at sea.', {
    at: [149, 545],
    size: 10,
    maxWidth: 206,
    fill: ink,
  });
}
`;export{e as default};