// A PNG sequence of the demo at 1280 x 720, beside the same drawing in headless Chromium, taken out by toBlob; and its
// GIF beside an encoder that looks for new colors in every frame. Side by side, in turns.
import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, statSync } from 'node:fs';
import { availableParallelism, tmpdir } from 'node:os';
import path from 'node:path';
import gifenc from 'gifenc';
import { chromium } from 'playwright-core';
import { createServer } from 'vite';
import { Run } from 'frame-juggler';
import { GifEncoder, packGifIndices } from '../packages/frame-juggler/dist/formats/gif.js';
import { wordsOf } from '../packages/frame-juggler/dist/formats/changes.js';
import { fileHost } from 'frame-juggler/node';
import { load } from '../packages/cli/dist/load.js';
import { RasterSurface } from '../packages/frame-juggler/dist/surfaces/raster/surface.js';
import { row } from './report.mjs';

const frames = Number(process.env.FRAMES ?? 240);
const sketch = 'examples/pellan-quay/quay.ts';
const folder = mkdtempSync(path.join(tmpdir(), 'juggle-bench-'));
const seconds = (since) => (performance.now() - since) / 1000;
const density = 720 / 540;

function ours(...options) {
  const began = performance.now();
  execFileSync(process.execPath, ['packages/cli/dist/juggle.js', 'render', sketch, '--frames', `0..${frames - 1}`, '--density', String(density), '-q', '--overwrite', ...options]); // prettier-ignore
  return frames / seconds(began);
}

const server = await createServer({
  configFile: false,
  logLevel: 'silent',
  root: process.cwd(),
  server: { host: '127.0.0.1', port: 0 },
  optimizeDeps: { noDiscovery: true, include: [] },
  resolve: { alias: { 'frame-juggler': path.resolve('packages/frame-juggler/dist/index.js') } },
  plugins: [{ name: 'page', configureServer: (it) => void it.middlewares.use('/bench.html', (_, answer) => answer.setHeader('content-type', 'text/html').end('<canvas></canvas>')) }],
}); // prettier-ignore
await server.listen();
const browser = await chromium.launch({
  executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu'],
});
const page = await browser.newPage();
await page.goto(`${server.resolvedUrls.local[0]}bench.html`);

/** Frames a second of a page that draws each frame and has it packed as PNG. */
const theirs = () =>
  page.evaluate(
    async ({ count, scale }) => {
      const [{ default: quay }, { Run: PageRun }, { Canvas2dSurface }] = await Promise.all([
        import('/examples/pellan-quay/quay.ts'),
        import('/packages/frame-juggler/dist/index.js'),
        import('/packages/frame-juggler/dist/surfaces/canvas2d/surface.js'),
      ]);
      const canvas = document.querySelector('canvas');
      const surface = new Canvas2dSurface(canvas);
      const host = { read: async (url) => new Uint8Array(await (await fetch(url)).arrayBuffer()) };
      const run = new PageRun(quay, { density: scale, host });
      await run.restart();
      const began = performance.now();
      for (let frame = 0; frame < count; frame++) {
        await run.goTo(frame);
        surface.draw(await run.paint());
        await new Promise((resolve) => canvas.toBlob(resolve));
      }
      return (count * 1000) / (performance.now() - began);
    },
    { count: frames, scale: density },
  );

// A machine that others use too goes now faster, now slower: what counts is the middle one of five pairs.
const rounds = [];
for (let round = 0; round < 5; round++) {
  const pair = { ours: ours('-o', path.join(folder, '%04d.png')), theirs: await theirs() };
  rounds.push({ ...pair, ratio: pair.ours / pair.theirs });
}
await browser.close();
await server.close();
const middle = (figure) => rounds.map((round) => round[figure]).toSorted((a, b) => a - b)[2];
const rate = (value) => `${value.toFixed(1)} frames/s`;
console.log(`${frames} frames of the demo as PNG files, 1280 × 720, ${availableParallelism()} cores`);
row('  juggle render, whole process', rate(middle('ours')));
row("  Chromium's canvas and toBlob", rate(middle('theirs')));
row('  ratio', middle('ratio').toFixed(2), 'at least 2');

// GIF: both are handed the same pictures, and both in this process.
const few = Math.min(frames, 60);
const run = new Run(await load(sketch), { density, host: fileHost });
const surface = new RasterSurface();
const pictures = [];
for (let frame = 0; frame < few; frame++) {
  await run.goTo(frame);
  surface.draw(await run.paint());
  pictures.push(surface.picture());
}
const { width, height } = pictures[0];
function gif() {
  const encoder = new GifEncoder({ width, height, frameRate: 30, repeat: true, comment: '' });
  let bytes = encoder.head().length;
  const began = performance.now();
  const lengthOf = (frame) => (frame === undefined ? 0 : frame.head.length + packGifIndices(frame.indices).length);
  for (const { data } of pictures) bytes += lengthOf(encoder.add(wordsOf(data)));
  for (const frame of encoder.end()) bytes += lengthOf(frame);
  return { rate: few / seconds(began), bytes };
}
function plainGif() {
  const encoder = gifenc.GIFEncoder();
  const began = performance.now();
  for (const { data } of pictures) {
    const palette = gifenc.quantize(data, 256);
    encoder.writeFrame(gifenc.applyPalette(data, palette), width, height, { palette, delay: 33 });
  }
  encoder.finish();
  return { rate: few / seconds(began), bytes: encoder.bytes().length };
}
const [a, b] = [gif(), plainGif()];
let [our, their] = [a.rate, b.rate];
for (let round = 0; round < 3; round++) [our, their] = [Math.max(our, gif().rate), Math.max(their, plainGif().rate)];
const size = (bytes) => `${(bytes / 1e6).toFixed(2)} MB`;
console.log(`${few} of them as GIF, from pictures that are drawn already`);
row('  ours', rate(our), size(a.bytes));
row('  new colors in every frame', rate(their), size(b.bytes));
row('  ratio', (our / their).toFixed(2), 'at least 3');
const whole = ours('-o', path.join(folder, 'all.gif'));
row('  juggle render to GIF, whole process', rate(whole), size(statSync(path.join(folder, 'all.gif')).size));
rmSync(folder, { recursive: true });
