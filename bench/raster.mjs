// The raster engine and the canvas2d surface beside a browser's own contexts, scene by scene. See bench/README.md.
import { createServer } from 'node:http';
import { build } from 'esbuild';
import { chromium } from 'playwright-core';
import { Canvas, frameBytes, loadFonts, RasterSurface } from 'frame-juggler';
import { mb } from './report.mjs';
import { manyCircles, penScenes, pictureScenes, scenes, size } from './scenes/scenes.mjs';

// node bench/raster.mjs [part of a scene's name] [ways, such as record,raster,software]
const wanted = process.argv[2] || undefined;
const only = process.argv[3]?.split(',');

/** Milliseconds that a frame takes to be drawn in this process, and its bytes. */
function inNode(scene, { width, height } = size, rounds = 5) {
  const surface = new RasterSurface();
  let best = Infinity;
  let bytes = 0;
  for (let round = 0; round < rounds; round++) {
    const canvas = new Canvas({ width, height, density: 1, background: -1, carry: 0 });
    const start = performance.now();
    scene.paint(canvas);
    const frame = canvas.finish();
    surface.draw(frame);
    best = Math.min(best, performance.now() - start);
    bytes = frameBytes(frame);
  }
  return { best, bytes };
}
const { outputFiles } = await build({ entryPoints: ['bench/scenes/page.mjs'], bundle: true, format: 'esm', write: false, outdir: 'out', splitting: true, logLevel: 'error' }); // prettier-ignore
const files = new Map(outputFiles.map(({ path, contents }) => [path.replace(/.*\//, '/'), contents]));
const server = createServer((request, response) => {
  const file = files.get(request.url);
  response.setHeader('content-type', file === undefined ? 'text/html' : 'text/javascript');
  response.end(file ?? '<!doctype html><script type="module" src="/page.js"></script>');
});
await new Promise((resolve) => server.listen(0, '127.0.0.1', resolve));
const browser = await chromium.launch({ executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu'] }); // prettier-ignore
const page = await browser.newPage({ viewport: { width: 1300, height: 760 } });
page.on('pageerror', (error) => console.error(error));
await page.goto(`http://127.0.0.1:${server.address().port}/`);
await page.waitForFunction('globalThis.measure');

await loadFonts();
const columns = ['record', 'raster', 'software', 'ratio', 'canvas2d', 'plain', 'ratio', 'in Node'];
console.log(`${'milliseconds'.padEnd(38)}${columns.map((column) => column.padStart(10)).join('')}`);

/** Prints the figures of scenes, and what their ratios come to. */
async function compare(list) {
  const ratios = { raster: [], canvas2d: [] };
  for (const [name, scene] of Object.entries(list).filter(([name]) => wanted === undefined || name.includes(wanted))) {
    const best = await page.evaluate(([name, options]) => globalThis.measure(name, options), [name, { only }]);
    const [raster, canvas2d] = [best.raster / best.software, best.canvas2d / best.plain];
    ratios.raster.push(raster);
    ratios.canvas2d.push(canvas2d);
    const figures = [best.record, best.raster, best.software, raster, best.canvas2d, best.plain, canvas2d, inNode(scene).best]; // prettier-ignore
    console.log(`${name.padEnd(38)}${figures.map((figure) => (figure ?? NaN).toFixed(2).padStart(10)).join('')}`);
  }
  const mean = (list) => Math.exp(list.reduce((sum, ratio) => sum + Math.log(ratio), 0) / list.length).toFixed(2);
  if (ratios.raster.length > 0)
    console.log(`geometric mean: raster ${mean(ratios.raster)}, canvas2d ${mean(ratios.canvas2d)}`);
}

await compare(scenes);
await compare(pictureScenes);
await compare(penScenes);
await browser.close();
server.close();

if (wanted === undefined) {
  console.log('\ncircles r 4, in Node        microseconds each     frame');
  for (const count of [100, 1000, 10_000, 100_000, 1_000_000]) {
    // Warm: so many rounds that the engine has compiled what it runs, of few circles too.
    const { best, bytes } = inNode(manyCircles(count), size, Math.max(4, Math.min(2000, 1_000_000 / count)));
    console.log(
      `${String(count).padEnd(28)}${((best / count) * 1000).toFixed(2).padStart(17)}${mb(bytes).padStart(10)}`,
    );
  }
  console.log('\n10,000 circles r 8, in Node, by the size of the canvas');
  for (const [width, height] of [[320, 180], [1280, 720], [3840, 2160], [7680, 4320]]) // prettier-ignore
    console.log(`${`${width} × ${height}`.padEnd(28)}${inNode(scenes['10,000 circles r 8'], { width, height }).best.toFixed(1).padStart(14)} ms`); // prettier-ignore
}
