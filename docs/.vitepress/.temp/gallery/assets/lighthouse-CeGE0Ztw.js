var e=`/*
 * The light of Pellan Quay at night: gradients for sky, sea and stone, blends for what shines, and a clip that keeps the
 * beam's reflection on the water.
 */
import {
  conicGradient,
  defineSketch,
  linearGradient,
  maths,
  radialGradient,
  swing,
  type Canvas,
  type Random,
} from 'frame-juggler';

const horizon = 330;
const lamp = [620, 148] as const;

export default defineSketch({
  title: 'The light of Pellan Quay',
  canvas: { width: 960, height: 540 },
  frameRate: 30,
  duration: 8,
  seed: 4,
  paint(canvas, { seconds, random }) {
    const angle = (seconds / 8) * 360 + 168;
    sky(canvas, random.stream('stars'));
    sea(canvas, seconds);
    beams(canvas, angle);
    rock(canvas);
    tower(canvas);
    glow(canvas, angle);
  },
});

function sky(canvas: Canvas, random: Random): void {
  canvas.rect({
    from: [0, 0],
    to: [960, horizon],
    fill: linearGradient({
      from: [0, 0],
      to: [0, horizon],
      stops: ['#070b1d', '#101d3f', [0.75, '#27396b'], '#7a5a7c'],
    }),
  });
  for (const at of random.times(140, () => random.point([960, 280])))
    canvas.circle({ at, radius: random.between(0.4, 1.4), fill: 'white', opacity: random.between(0.2, 0.9) });
  canvas.circle({
    at: [210, 118],
    radius: 150,
    fill: radialGradient({ at: [210, 118], radius: 150, stops: ['#f6efd055', '#f6efd000'] }),
    blend: 'screen',
  });
  canvas.circle({
    at: [210, 118],
    radius: 38,
    fill: radialGradient({ at: [210, 118], radius: 40, focus: [198, 106], stops: ['#fffbe8', '#e9dfb8'] }),
  });
}

function sea(canvas: Canvas, seconds: number): void {
  canvas.rect({
    from: [0, horizon],
    to: [960, 540],
    fill: linearGradient({ from: [0, horizon], to: [0, 540], stops: ['#3b3a63', '#16284f', '#060d20'] }),
  });
  // The moon's path: short lines that wander, brighter in the middle.
  for (let i = 0; i < 60; i++) {
    const depth = (i / 60) ** 1.4;
    const y = horizon + 4 + depth * 200;
    const half = 8 + depth * 42;
    const x = 210 + swing(seconds + i * 1.7, 4, -1, 1) * (10 + depth * 34);
    canvas.line({
      from: [x - half, y],
      to: [x + half, y],
      stroke: { color: '#f3e9bf', width: 1.2 + depth * 1.6, cap: 'round' },
      opacity: 0.42 - depth * 0.26,
      blend: 'screen',
    });
  }
}

function rock(canvas: Canvas): void {
  canvas.spline({
    points: [[430, 352], [500, 316], [560, 300], [640, 292], [700, 304], [770, 322], [850, 352], [640, 372]],
    closed: true,
    tension: 0.4,
    fill: linearGradient({ from: [430, 290], to: [830, 380], stops: ['#6a6074', '#332f45', '#14162a'] }),
  }); // prettier-ignore
}

function tower(canvas: Canvas): void {
  // Round stone: dark at both edges, lit from the left.
  const round = linearGradient({
    from: [0, 0],
    to: [1, 0],
    units: 'box',
    stops: ['#8d8799', [0.25, '#f1ece2'], [0.6, '#a9a0ab'], '#3a3450'],
  });
  const red = linearGradient({
    from: [0, 0],
    to: [1, 0],
    units: 'box',
    stops: ['#6d2733', [0.25, '#d4503f'], [0.6, '#8f3038'], '#331728'],
  });
  canvas.group({ translate: [620, 300] }, () => {
    for (let storey = 0; storey < 5; storey++) {
      const [below, above] = [30 - storey * 2.6, 30 - (storey + 1) * 2.6];
      const y = -storey * 26;
      canvas.polygon({ points: [[-below, y], [below, y], [above, y - 26.5], [-above, y - 26.5]], fill: storey % 2 === 0 ? round : red }); // prettier-ignore
    }
    canvas.rect({ from: [-24, -136], to: [24, -129], corners: 2, fill: '#1b1d30' });
    canvas.rect({
      from: [-14, -168],
      to: [14, -136],
      fill: linearGradient({ from: [0, 0], to: [0, 1], units: 'box', stops: ['#fff6cf', '#ffd97a'] }),
    });
    for (const x of [-14, -5, 5, 14])
      canvas.line({ from: [x, -168], to: [x, -136], stroke: { color: '#1b1d30', width: 2 } });
    canvas.path({ data: 'M-19 -168 Q0 -196 19 -168 Z', fill: red });
    canvas.line({ from: [0, -182], to: [0, -200], stroke: { color: '#1b1d30', width: 2 } });
  });
}

/** Two beams of one turning lamp: a cone of light from a conic gradient, faded with distance by a clip. */
function beams(canvas: Canvas, angle: number): void {
  const reach = 640;
  const cone = conicGradient({
    at: lamp,
    start: angle,
    stops: [[0, '#fff2b8'], [0.035, '#fff2b800'], [0.465, '#fff2b800'], [0.5, '#fff2b8'], [0.535, '#fff2b800'], [0.965, '#fff2b800'], [1, '#fff2b8']],
  }); // prettier-ignore
  const fading = radialGradient({ at: lamp, radius: reach, stops: ['#000', [0.2, '#0009'], '#0000'] });
  canvas.group({ blend: 'screen', clip: (region) => region.circle({ at: lamp, radius: reach, fill: fading }) }, () =>
    canvas.rect({ from: [0, 0], to: [960, horizon], fill: cone }),
  );
  // On the water the same light lies flattened and upside down.
  canvas.group(
    {
      blend: 'screen',
      opacity: 0.45,
      clip: (region) =>
        region.rect({
          from: [0, horizon + 4],
          to: [960, 540],
          fill: linearGradient({ from: [0, horizon], to: [0, 540], stops: ['#000c', '#0000'] }),
        }),
    },
    () =>
      canvas.group({ scale: [1, -0.7], about: [0, horizon] }, () =>
        canvas.rect({ from: [0, -200], to: [960, horizon], fill: cone }),
      ),
  );
}

function glow(canvas: Canvas, angle: number): void {
  // Brightest when a beam looks at us.
  const facing = maths.pow(Math.abs(maths.sin((angle * Math.PI) / 180)), 6);
  const radius = 70 + facing * 170;
  canvas.circle({
    at: lamp,
    radius,
    fill: radialGradient({ at: lamp, radius, stops: ['#fff6d0', [0.25, '#ffe9a899'], '#ffe9a800'] }),
    blend: 'screen',
    opacity: 0.65 + 0.35 * facing,
  });
}
`;export{e as default};