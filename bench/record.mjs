// Recording: how long the core takes to note 100,000 shapes, and how much memory the frame holds.
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { setTimeout } from 'node:timers/promises';
import { pathToFileURL } from 'node:url';
import { build } from 'esbuild';
import { Canvas, hsl, rgb } from 'frame-juggler';
import { fileHost } from 'frame-juggler/node';
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

/** Bytes of what is alive, columns among them; they are given back in the background, so that it takes a moment. */
async function kept() {
  globalThis.gc();
  await setTimeout(200);
  globalThis.gc();
  await setTimeout(200);
  const { heapUsed, arrayBuffers } = process.memoryUsage();
  return heapUsed + arrayBuffers;
}
const before = await kept();
const frame = recorded(fills['rgb(…)']);
row('  the frame, kept', mb((await kept()) - before), 'under 30 MB');
if (frame.order.length !== count) throw new Error('the frame is not whole');

// What checking costs: the same recording by the library as it is, and by one whose schemas and kinds check nothing.
const folder = mkdtempSync(path.join(tmpdir(), 'juggle-bench-'));
/** A module of the library with nothing in its checks. */
function unchecked(file) {
  const code = readFileSync(file, 'utf8');
  const without = code
    .replace(/\n {4}check\(call, options\) \{/, '\n    check() {}\n    checked(call, options) {')
    .replace('return this.allows(value) ? value : this.refuse(call, option, value);', '')
    .replace("if (typeof value === 'number' && value >= this.min && value <= this.max)", '');
  if (without === code) throw new Error(`${file} has no checks`);
  return without;
}
/** What is recorded, by the name of the work. */
const works = `
import { Canvas, rgb, Run } from './packages/frame-juggler/dist/index.js';
import quay from './examples/pellan-quay/quay.ts';
const circles = (fillOf) => (setup, count) => {
  const canvas = new Canvas(setup);
  for (let i = 0; i < count; i++)
    canvas.circle({ at: [(i * 7.3) % 1280, (i * 3.1) % 720], radius: 2 + (i % 9) * 0.7, fill: fillOf(i) });
  return canvas.finish();
};
export const even = circles(() => 'teal');
export const different = circles((i) => rgb(i & 255, (i >> 8) & 255, (i * 37) & 255));
export async function demo(host) {
  const run = new Run(quay, { host });
  await run.restart();
  const { paint } = run.sketch;
  const moment = run.moment(run.stepRandom);
  return (setup, count) => {
    let canvas;
    for (let items = 0; items < count; items += canvas.finish().order.length) {
      canvas = new Canvas({ ...setup, width: 960, height: 540 });
      paint(canvas, moment);
    }
    return canvas.finish();
  };
}`;
async function bundled(name, plugins) {
  const outfile = path.join(folder, `${name}.mjs`);
  await build({
    stdin: { contents: works, resolveDir: '.' },
    alias: { 'frame-juggler': path.resolve('packages/frame-juggler/dist/index.js') },
    bundle: true,
    format: 'esm',
    outfile,
    plugins: [...plugins, dataInPlace],
    logLevel: 'error',
  });
  const { even, different, demo } = await import(pathToFileURL(outfile).href);
  return { even, different, demo: await demo(fileHost) };
}
/** A bundle stands elsewhere than its sketch, whose files stay where they are. */
const dataInPlace = {
  name: 'data-in-place',
  setup: (it) =>
    it.onLoad({ filter: /quay\.ts$/ }, ({ path: file }) => ({
      contents: readFileSync(file, 'utf8').replaceAll('import.meta.url', JSON.stringify(pathToFileURL(file).href)),
      loader: 'ts',
    })),
};
const withChecks = await bundled('checked', []);
const without = await bundled('unchecked', [
  {
    name: 'no-checks',
    setup: (it) =>
      it.onLoad({ filter: /dist\/schema\/(schema|kind)\.js$/ }, ({ path: file }) => ({
        contents: unchecked(file),
        loader: 'js',
      })),
  },
]);
for (const [name, work] of [
  ['circles of one color', 'even'],
  ['circles of different rgb(…)', 'different'],
  ['the demo, frame after frame', 'demo'],
]) {
  if (withChecks[work](setup, count).order.length !== without[work](setup, count).order.length)
    throw new Error('not the same frame');
  // In turns, each first every other time and from an empty heap, and the share of each pair by itself: what else the
  // machine does weighs on both of a pair alike, and neither clears away what the other left.
  const shares = [];
  let shortest = Infinity;
  const time = (of) => {
    globalThis.gc();
    return best(() => of[work](setup, count), { warm: 0, runs: 2 });
  };
  for (let round = 0; round < 60; round++) {
    const first = round % 2 === 0 ? time(withChecks) : time(without);
    const second = round % 2 === 0 ? time(without) : time(withChecks);
    const [checkedTime, uncheckedTime] = round % 2 === 0 ? [first, second] : [second, first];
    shortest = Math.min(shortest, checkedTime);
    // The first rounds are not yet at full speed.
    if (round >= 10) shares.push(1 - uncheckedTime / checkedTime);
  }
  const share = shares.sort((x, y) => x - y)[shares.length >> 1];
  console.log(`${count} shapes with their checks and without any: ${name}`);
  row('  with their checks, the shortest time', ms(shortest));
  row('  what checking costs of it, median of the pairs', `${(100 * share).toFixed(1)} %`, 'under 15 %');
}
rmSync(folder, { recursive: true });
