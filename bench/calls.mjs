// What one call costs in Node, so that one that does too much stands out beside the others. See bench/README.md.
import * as library from 'frame-juggler';
import { Canvas, loadFonts, picture } from 'frame-juggler';
import { best, row } from './report.mjs';

// node bench/calls.mjs [part of a name]
const wanted = process.argv[2] ?? '';
await loadFonts(['regular']);

const random = library.seededRandom(1);
const noise = library.seededNoise(1);
const ramp = library.ramp(['crimson', 'gold', 'teal']);
const keyframes = library.keyframes([0, 100], { duration: 2 });
const ease = library.easing('ease-in-out');
const tile = picture(64, 64, () => undefined);
const gradient = library.linearGradient({ from: [0, 0], to: [5, 5], stops: ['navy', 'gold'] });
const stroke = { color: 'navy', width: 2 };

/** Calls by themselves, with a number that grows. */
const functions = {
  'random.between': () => random.between(0, 5),
  'random.normal': () => random.normal(0, 5),
  'random.point': () => random.point([640, 360]),
  noise: (i) => noise(i * 0.01, i * 0.02),
  'noise, in space': (i) => noise(i * 0.01, i * 0.02, i * 0.03),
  'noise.loop': (i) => noise.loop(i / 1e5),
  swing: (i) => library.swing(i * 0.01, 3, 0, 5),
  remap: (i) => library.remap(i, [0, 5], [1, 2]),
  polar: (i) => library.polar({ angle: i, distance: 5, from: [3, 3] }),
  easing: (i) => ease((i % 100) / 100),
  keyframes: (i) => keyframes(i * 0.01),
  rgb: (i) => library.rgb(i % 256, 3, 4),
  hsl: (i) => library.hsl(i % 360, 50, 50),
  oklch: (i) => library.oklch(0.5, 0.1, i % 360),
  colorMix: (i) => library.colorMix('crimson', 'teal', (i % 1000) / 1000),
  ramp: (i) => ramp((i % 1000) / 1000),
  linearGradient: (i) => library.linearGradient({ from: [0, 0], to: [i, 5], stops: ['navy', 'gold'] }),
  measureText: () => library.measureText('High water', { size: 20 }),
  boundsOf: (i) => library.boundsOf('circle', { at: [i, 3], radius: 5 }),
  colorAt: (i) => tile.colorAt(i % 64, 3),
  setColorAt: (i) => tile.setColorAt(i % 64, 3, 'gold'),
};

/** Calls of a canvas, together with what the end of the frame costs for each. */
const calls = {
  dot: (canvas, i) => canvas.dot({ at: [i, 3], fill: 'navy' }),
  circle: (canvas, i) => canvas.circle({ at: [i, 3], radius: 4 }),
  rect: (canvas, i) => canvas.rect({ at: [i, 3], size: 4 }),
  'rect, turned': (canvas, i) => canvas.rect({ at: [i, 3], size: 4, rotate: i }),
  line: (canvas, i) => canvas.line({ from: [i, 3], to: [4, 4], stroke }),
  'polygon of points': (canvas, i) => canvas.polygon({ points: [[i, 3], [4, 4], [6, 7]] }), // prettier-ignore
  'polygon of sides': (canvas, i) => canvas.polygon({ at: [i, 3], radius: 5, sides: 6 }),
  spline: (canvas, i) => canvas.spline({ points: [[i, 3], [4, 5], [8, 9]] }), // prettier-ignore
  'path of data': (canvas) => canvas.path({ data: 'M 0 0 h 5 q 3 4 5 6 z' }),
  text: (canvas, i) => canvas.text('High water', { at: [i, 3] }),
  'text, changing': (canvas, i) => canvas.text(i % 1000, { at: [i, 3] }),
  picture: (canvas, i) => canvas.picture(tile, { at: [i, 3] }),
  'circle of a gradient': (canvas, i) => canvas.circle({ at: [i, 3], radius: 4, fill: gradient }),
  style: (canvas) => canvas.style({ fill: 'navy', stroke }),
  'save and restore': (canvas, i) => (canvas.save(), canvas.translate([i, 3]), canvas.restore()),
  group: (canvas, i) => canvas.group({ translate: [i, 3], rotate: 30, fill: 'navy' }, () => undefined),
};

/** Nanoseconds of one call, of rounds of so many. */
const nanoseconds = (count, round) => `${Math.round((best(round, { warm: 2, runs: 6 }) / count) * 1e6)} ns`;

for (const [name, call] of Object.entries(functions)) {
  const round = () => {
    for (let i = 0; i < 20_000; i++) call(i);
  };
  if (name.includes(wanted)) row(name, nanoseconds(20_000, round));
}
for (const [name, call] of Object.entries(calls)) {
  const round = () => {
    const canvas = new Canvas({ width: 640, height: 360, density: 1, background: -1, carry: 0 });
    for (let i = 0; i < 5000; i++) call(canvas, i);
    canvas.finish();
  };
  if (name.includes(wanted)) row(`canvas: ${name}`, nanoseconds(5000, round));
}
