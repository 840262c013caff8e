// Recording: how long the core takes to note 100,000 shapes, and how much memory the frame holds.
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { pathToFileURL } from 'node:url';
import { build } from 'esbuild';
import { Canvas, hsl, rgb } from '../dist/index.js';
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

// What checking costs: the same recording by the library as it is, and by one whose readers of options check nothing.
const folder = mkdtempSync(path.join(tmpdir(), 'juggle-bench-'));
const unchecked = `
const same = (call, option, value) => value;
export { same as finite, same as notNegative, same as whole, same as within, same as oneOf, same as flag, same as callable };
export const point = (call, option, value) => (Array.isArray(value) ? value : [value.x, value.y]);
export const points = (call, option, value) => value.map((each) => point(call, option, each));
export const pair = (call, option, value) => (typeof value === 'number' ? [value, value] : value);
export { pair as lengths };
export const optionsObject = (call, value) => value;
export class OptionNames extends Set {}
export const checkKeys = () => {};
export const missing = () => {};
`;
async function bundled(name, plugins) {
  const outfile = path.join(folder, `${name}.mjs`);
  const contents = `import { Canvas } from './dist/index.js';
export function record(setup, count) {
  const canvas = new Canvas(setup);
  for (let i = 0; i < count; i++)
    canvas.circle({ at: [(i * 7.3) % 1280, (i * 3.1) % 720], radius: 2 + (i % 9) * 0.7, fill: 'teal' });
  return canvas.finish();
}`;
  await build({
    stdin: { contents, resolveDir: '.' },
    bundle: true,
    format: 'esm',
    outfile,
    plugins,
    logLevel: 'error',
  });
  return (await import(pathToFileURL(outfile).href)).record;
}
const withChecks = await bundled('checked', []);
const without = await bundled('unchecked', [
  {
    name: 'no-checks',
    setup: (it) => it.onLoad({ filter: /dist\/options\.js$/ }, () => ({ contents: unchecked, loader: 'js' })),
  },
]);
if (withChecks(setup, count).items.length !== without(setup, count).items.length) throw new Error('not the same frame');
// In turns, and the shortest of many runs, as a share of small times drowns in the noise of a busy machine.
let [checkedTime, uncheckedTime] = [Infinity, Infinity];
for (let round = 0; round < 16; round++) {
  checkedTime = Math.min(
    checkedTime,
    best(() => withChecks(setup, count), { warm: 10, runs: 15 }),
  );
  uncheckedTime = Math.min(
    uncheckedTime,
    best(() => without(setup, count), { warm: 10, runs: 15 }),
  );
}
row('  recording, with its checks', ms(checkedTime));
row('  recording, without any', ms(uncheckedTime));
row('  what checking costs of it', `${(100 * (1 - uncheckedTime / checkedTime)).toFixed(1)} %`, 'under 15 %');
rmSync(folder, { recursive: true });
