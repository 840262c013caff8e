/*
 * A poster of the roads off Pellan Quay, another for each seed: sun, swell and the boats that ride it. Plain JavaScript, so
 * that a script can load it as it is.
 */
import { colorMix, defineSketch, linearGradient, maths, ramp } from 'frame-juggler';

const moods = [
  { name: 'dawn', sky: ['#4d4672', '#d5603f', '#f1b64e'], sea: ['#e2a27c', '#24506a'], sun: '#f6efdf' },
  { name: 'noon', sky: ['#86bdb6', '#e4efe8', '#f6efdf'], sea: ['#86bdb6', '#24506a'], sun: '#f1b64e' },
  { name: 'dusk', sky: ['#1b2f3a', '#4d4672', '#8a5f83'], sea: ['#8a5f83', '#1b2f3a'], sun: '#d5603f' },
];

export default defineSketch({
  title: 'The roads off Pellan Quay',
  canvas: { width: 480, height: 640 },
  still: true,
  paint(canvas, { random, noise, width, height }) {
    const mood = random.pick(moods);
    const horizon = random.between(230, 330);
    canvas.rect({
      from: [0, 0],
      to: [width, horizon + 40],
      fill: linearGradient({ from: [0, 0], to: [0, horizon], stops: mood.sky }),
    });
    const sun = { at: [random.between(110, 370), horizon - random.between(0, 90)], radius: random.between(46, 84) };
    canvas.circle({ ...sun, fill: mood.sun, label: 'sun' });
    const depth = ramp(mood.sea);
    const rows = random.int(9, 13);
    for (let row = 0; row < rows; row++) {
      const near = row / (rows - 1);
      const base = horizon + maths.pow(near, 1.5) * (height - horizon - 70);
      const swell = (x) => base + noise(x / (90 + near * 130), row * 3.7) * (4 + near * 26);
      const xs = Array.from({ length: 49 }, (_, i) => i * 10);
      canvas.polygon({ points: [...xs.map((x) => [x, swell(x)]), [width, height], [0, height]], fill: depth(near) });
      if (row > 1 && row < rows - 2 && random.likely(0.42)) boat(canvas, random, swell, near);
    }
    canvas.rect({
      from: [22, 22],
      to: [width - 22, height - 22],
      fill: 'none',
      stroke: { color: '#f6efdf', width: 1.5 },
    });
    const ink = { fill: '#f6efdf', anchor: 'baseline-left' };
    canvas.text('PELLAN QUAY', { ...ink, at: [40, height - 62], size: 30, weight: 'bold' });
    canvas.text(`the roads at ${mood.name}`, { ...ink, at: [40, height - 40], size: 14 });
  },
});

/** A boat on the swell, larger the nearer it is, leaning as the water does. */
function boat(canvas, random, swell, near) {
  const x = random.between(70, 410);
  const size = 0.5 + near * 1.5;
  const lean = (maths.atan2(swell(x + 14) - swell(x - 14), 28) * 180) / Math.PI;
  const sail = colorMix('#f6efdf', random.pick(['#d5603f', '#f1b64e', '#f6efdf']), 0.8);
  canvas.group({ translate: [x, swell(x) + 2 * size], rotate: lean, scale: size, label: 'boat' }, () => {
    canvas.polygon({ points: [[2, -8], [2, -52], [27, -10]], fill: sail }); // prettier-ignore
    canvas.polygon({ points: [[-2, -8], [-2, -44], [-19, -10]], fill: colorMix(sail, '#1b2f3a', 0.18) }); // prettier-ignore
    canvas.path({ data: 'M-24 -6 L26 -6 Q20 7 8 7 L-12 7 Q-21 6 -24 -6 Z', fill: '#1b2f3a' });
  });
}
