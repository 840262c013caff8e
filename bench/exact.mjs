// How near the raster engine comes to the true picture: random frames, and the sheet of everything, beside Chromium's at
// eight times the size, averaged. Counted are pixels of which no channel is further off than 6 of 255.
import path from 'node:path';
import { build } from 'esbuild';
import { chromium } from 'playwright-core';
import { row } from './report.mjs';

const count = Number(process.env.COUNT ?? 200);
const contents = `
  import fc from 'fast-check';
  import { loadFonts, Run } from 'frame-juggler';
  import { Canvas2dSurface } from ${JSON.stringify(path.resolve('packages/frame-juggler/dist/surfaces/canvas2d/surface.js'))};
  import { RasterSurface } from ${JSON.stringify(path.resolve('packages/frame-juggler/dist/surfaces/raster/surface.js'))};
  import { ordinarySketches, recorded } from ${JSON.stringify(path.resolve('tests/fixtures/random-sketch.ts'))};
  import sheet from ${JSON.stringify(path.resolve('tests/fixtures/sheet.ts'))};
  const times = 8;
  const raster = new RasterSurface();
  function averaged(frame, density) {
    const canvas = document.createElement('canvas');
    new Canvas2dSurface(canvas).draw({ ...frame, density });
    const { width, height } = canvas;
    const { data } = canvas.getContext('2d').getImageData(0, 0, width, height);
    const [w, h] = [width / times, height / times];
    const sums = new Float64Array(w * h * 4);
    for (let y = 0; y < height; y++)
      for (let x = 0; x < width; x++)
        for (let c = 0; c < 4; c++)
          sums[((y >> 3) * w + (x >> 3)) * 4 + c] += data[(y * width + x) * 4 + c] / (times * times);
    return sums;
  }
  function agreement(frame) {
    raster.draw({ ...frame, density: 1 });
    const ours = raster.drawn.data;
    const truth = averaged(frame, times);
    let near = 0, worst = 0;
    for (let at = 0; at < ours.length; at += 4) {
      let off = 0;
      for (let c = 0; c < 4; c++) off = Math.max(off, Math.abs(ours[at + c] - truth[at + c]));
      if (off <= 6) near++;
      worst = Math.max(worst, off);
    }
    return { near, all: ours.length / 4, worst };
  }
  globalThis.randomFrames = async (count) => {
    await loadFonts();
    return fc.sample(ordinarySketches, { numRuns: count, seed: 23 }).map((steps) => agreement(recorded(steps)));
  };
  /** Of the same frames each item by itself that has one plain color and no clip: no edges of several paints meet. */
  globalThis.randomItems = async (count) => {
    await loadFonts();
    return fc.sample(ordinarySketches, { numRuns: count, seed: 23 }).flatMap((steps) => {
      const frame = recorded(steps);
      const { fillKind, strokeKind, group } = frame.columns;
      const isSimple = (item) => !(group[item] > 0) && fillKind[item] + (strokeKind[item] ?? 0) === 1;
      return [...frame.order].filter(isSimple).map((item) => agreement({ ...frame, order: Uint32Array.of(item) }));
    });
  };
  globalThis.sheetFrames = async () => {
    const run = new Run(sheet);
    const results = [];
    for (let frame = 0; frame < 7; frame++) {
      await run.goTo(frame);
      results.push(agreement(await run.paint()));
    }
    return results;
  };`;
const { outputFiles } = await build({ stdin: { contents, resolveDir: '.', loader: 'js' }, bundle: true, write: false, format: 'iife', logLevel: 'error', define: { 'import.meta.url': '"https://pellan.quay/"' } }); // prettier-ignore
const browser = await chromium.launch({ executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu'] }); // prettier-ignore
const page = await browser.newPage();
page.on('pageerror', (error) => console.error(error));
await page.addScriptTag({ content: outputFiles[0].text });
for (const [name, results] of [
  [`${count} random frames`, await page.evaluate((count) => globalThis.randomFrames(count), count)],
  ['their items of one color, one at a time', await page.evaluate((count) => globalThis.randomItems(count), count)],
  ['the sheet of everything', await page.evaluate(() => globalThis.sheetFrames())],
]) {
  const sum = (key) => results.reduce((total, result) => total + result[key], 0);
  const below = results.filter(({ near, all }) => near / all < 0.9995).length;
  row(name, `${((100 * sum('near')) / sum('all')).toFixed(3)} % within 6`, `${below} of ${results.length} below 99.95 %`, `worst pixel ${Math.max(...results.map(({ worst }) => worst)).toFixed(0)}`); // prettier-ignore
}
await browser.close();
