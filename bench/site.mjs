// The documentation from a static server: how soon its first page is there, and how soon a change in the playground is
// seen. `npm run docs:build` first.
import path from 'node:path';
import { chromium } from 'playwright-core';
import { serveFiles } from '../scripts/serve-files.mjs';

const { server, address } = await serveFiles(path.resolve('docs/.vitepress/dist'));
const browser = await chromium.launch({ executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium', args: ['--no-sandbox'] }); // prettier-ignore
const median = (list) => list.sort((a, b) => a - b)[Math.floor(list.length / 2)].toFixed(0);

const rounds = 7;
const [seen, loaded] = [[], []];
for (let round = 0; round < rounds; round++) {
  // A context of its own has nothing kept.
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  const page = await context.newPage();
  await page.goto(`${address}/`, { waitUntil: 'load' });
  const times = await page.evaluate(async () => {
    const paint = performance.getEntriesByName('first-contentful-paint')[0]?.startTime ?? NaN;
    return [paint, performance.getEntriesByType('navigation')[0].loadEventEnd];
  });
  seen.push(times[0]);
  loaded.push(times[1]);
  await context.close();
}
console.log(`first page: first paint ${median(seen)} ms, loaded ${median(loaded)} ms (medians of ${rounds})`);

const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, permissions: ['clipboard-read', 'clipboard-write'] }); // prettier-ignore
const page = await context.newPage();
await page.goto(`${address}/playground.html`);
await page.frameLocator('iframe').locator('#canvas').waitFor();
const frame = page.frames().find((one) => one.url().includes('/viewer/'));
const sketch = (fill) => `import { defineSketch } from 'frame-juggler';\nexport default defineSketch({\n  canvas: { width: 640, height: 360, background: '${fill}' },\n  paint: (canvas) => canvas.text('quay', { at: [320, 180], size: 60 }),\n});\n`; // prettier-ignore
const changes = [];
for (const fill of ['#ff0000', '#00ff00', '#0000ff', '#ffff00', '#00ffff', '#ff00ff', '#804000']) {
  await page.evaluate((text) => navigator.clipboard.writeText(text), sketch(fill));
  await page.locator('.cm-content').click();
  await page.keyboard.press('Control+A');
  const wanted = [1, 3, 5].map((at) => parseInt(fill.slice(at, at + 2), 16));
  // From the key to the picture; asked as fast as the browser answers.
  // A person looks before the next change.
  await page.waitForTimeout(1500);
  const start = performance.now();
  await page.keyboard.press('Control+V');
  for (;;) {
    const color = await frame.evaluate(() => {
      const copy = new OffscreenCanvas(1, 1).getContext('2d');
      copy.drawImage(document.querySelector('#canvas'), 2, 2, 1, 1, 0, 0, 1, 1);
      return [...copy.getImageData(0, 0, 1, 1).data].slice(0, 3);
    });
    if (color.every((value, i) => value === wanted[i])) break;
    if (performance.now() - start > 10_000) throw new Error(`${fill} was not seen`);
  }
  changes.push(performance.now() - start);
}
console.log(`playground: a change is seen after ${median(changes)} ms (median), ${Math.max(...changes).toFixed(0)} ms at most`); // prettier-ignore
await browser.close();
server.close();
