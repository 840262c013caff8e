// Recording: how long the core takes to note 100,000 shapes, and how much memory the frame holds.
import { Canvas, hsl, rgb } from '../dist/index.js';
import { checkKeys, OptionNames, notNegative, optionsObject, point } from '../dist/options.js';
import { best, mb, median, ms, row } from './report.mjs';

const count = 100_000;
const setup = { width: 1280, height: 720, density: 1, background: 0, carry: 0 };

function recorded(fillOf) {
  const canvas = new Canvas(setup);
  for (let i = 0; i < count; i++)
    canvas.circle({ at: [(i * 7.3) % 1280, (i * 3.1) % 720], radius: 2 + (i % 9) * 0.7, fill: fillOf(i) });
  return canvas.finish();
}

const fills = {
  'rgb(…)': (i) => rgb(i & 255, (i >> 8) & 255, (i * 37) & 255),
  '"#rrggbb"': (i) => `#${(i + 0x100000).toString(16)}`,
  '"rgb(r g b)"': (i) => `rgb(${i & 255} ${(i >> 8) & 255} ${(i * 37) & 255})`,
  'hsl(…)': (i) => hsl(i / 300, 70, 50),
};

console.log(`Recording ${count} circles of different fills into a frame`);
for (const [name, fillOf] of Object.entries(fills)) {
  row(`  fill: ${name}`, ms(median(() => recorded(fillOf), { warm: 40 })), name === 'rgb(…)' ? 'under 60 ms' : '');
}

globalThis.gc();
const before = process.memoryUsage().heapUsed;
const frame = recorded(fills['rgb(…)']);
globalThis.gc();
row('  the frame, kept', mb(process.memoryUsage().heapUsed - before), 'under 30 MB');
if (frame.items.length !== count) throw new Error('the frame is not whole');

// What checking costs: the checks of a circle by themselves, and the making of its options taken off both. The shortest
// of many runs of each, as a share of small times drowns in the noise of a busy machine.
const known = new OptionNames([
  'at',
  'radius',
  'diameter',
  'anchor',
  'fill',
  'stroke',
  'opacity',
  'blend',
  'rotate',
  'scale',
  'label',
  'layer',
]);
let sum = 0;
let kept; // so that the options are really made
const each = (work) => {
  for (let i = 0; i < count; i++)
    work({ at: [(i * 7.3) % 1280, (i * 3.1) % 720], radius: 2 + (i % 9) * 0.7, fill: 'teal' });
};
const making = best(() => each((options) => void (kept = options)), { warm: 40 });
const checking = best(
  () =>
    each((options) => {
      kept = options;
      optionsObject('circle', options, '{ at: [100, 80], radius: 40 }');
      checkKeys('circle', options, known);
      sum += point('circle', 'at', options.at)[0] + notNegative('circle', 'radius', options.radius);
    }),
  { warm: 40 },
);
const recording = best(
  () => {
    const canvas = new Canvas(setup);
    each((options) => canvas.circle(options));
    sum += canvas.finish().items.length;
  },
  { warm: 40 },
);
row('  recording, with its checks', ms(recording - making));
row('  the checks by themselves', ms(checking - making));
row('  their share', `${((100 * (checking - making)) / (recording - making)).toFixed(1)} %`, 'wanted: under 15 %');
if (!Number.isFinite(sum + kept.radius)) throw new Error('nothing was checked');
