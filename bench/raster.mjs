// The raster engine and the canvas2d surface beside a browser's own contexts, scene by scene. See bench/README.md.
import { createServer } from 'node:http';
import { build } from 'esbuild';
import { chromium } from 'playwright-core';
import { scenes } from './scenes/scenes.mjs';

const wanted = process.argv[2];
const only = process.argv[3]?.split(',');
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

const columns = ['record', 'raster', 'software', 'ratio', 'canvas2d', 'plain', 'ratio'];
console.log(`${'milliseconds'.padEnd(38)}${columns.map((column) => column.padStart(10)).join('')}`);
const ratios = { raster: [], canvas2d: [] };
for (const name of Object.keys(scenes).filter((name) => wanted === undefined || name.includes(wanted))) {
  const best = await page.evaluate(([name, options]) => globalThis.measure(name, options), [name, { only }]);
  const [raster, canvas2d] = [best.raster / best.software, best.canvas2d / best.plain];
  ratios.raster.push(raster);
  ratios.canvas2d.push(canvas2d);
  const figures = [best.record, best.raster, best.software, raster, best.canvas2d, best.plain, canvas2d];
  console.log(`${name.padEnd(38)}${figures.map((figure) => (figure ?? NaN).toFixed(2).padStart(10)).join('')}`);
}
const mean = (list) => Math.exp(list.reduce((sum, ratio) => sum + Math.log(ratio), 0) / list.length).toFixed(2);
console.log(`geometric mean: raster ${mean(ratios.raster)}, canvas2d ${mean(ratios.canvas2d)}`);
await browser.close();
server.close();
