// Makes the pictures in docs/screenshots anew, from the demo data.
import { spawn } from 'node:child_process';
import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { execFileSync } from 'node:child_process';
import { chromium } from 'playwright-core';
import { serveFiles } from './serve-files.mjs';
import { terminalShot } from './terminal.mjs';
import { createServer } from 'vite';

const juggle = path.resolve('packages/cli/dist/juggle.js');
const shot = (name) => path.resolve('docs/screenshots', `${name}.png`);

const render = (sketch, name, ...options) =>
  execFileSync(process.execPath, [juggle, 'render', `examples/${sketch}.ts`, '-o', shot(name), ...options]);
render('pellan-quay/quay', 'demo', '--seconds', '5.6', '--density', '1.3');
render('pellan-quay/quay', '../../packages/frame-juggler/pictures/demo', '--seconds', '5.6', '--density', '0.6');
render('shapes/shapes', 'shapes', '--density', '1.3');
render('lighthouse/lighthouse', 'lighthouse', '--seconds', '1.2', '--density', '1.3');
render('harbor-chart/chart', 'harbor-chart', '--density', '1.3');
execFileSync(process.execPath, [juggle, 'strip', 'examples/pellan-quay/quay.ts', '-o', shot('strip'), '--count', '12']);
execFileSync(process.execPath, [juggle, 'compare', 'examples/lighthouse/lighthouse.ts', '-o', shot('compare'), '--frame', '72', '--other-frame', '90', '--tolerance', '100', '-q']); // prettier-ignore

for (const name of ['terminal', 'project', 'farm']) await terminalShot(name, shot(name));

// Its pages show pictures made above.
execFileSync(process.execPath, ['scripts/docs-site.mjs'], { stdio: 'ignore' });

const folder = mkdtempSync(path.join(tmpdir(), 'juggle-shots-'));
cpSync('examples/pellan-quay', path.join(folder, 'pellan-quay'), { recursive: true });
cpSync('examples/palette.ts', path.join(folder, 'palette.ts'));
const sketch = path.join(folder, 'pellan-quay/quay.ts');
const browser = await chromium.launch({
  executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu'],
});
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });

/** A page of the documentation: `npm run docs:build` makes it. */
const docsPage = async (name, of, work = () => page.waitForTimeout(2500)) => {
  const { server, address } = await serveFiles(path.resolve('docs/.vitepress/dist'));
  await page.goto(`${address}/${of}`);
  await work();
  await page.screenshot({ path: shot(name) });
  server.close();
};
await docsPage('docs', 'cookbook/turning.html', async () => {
  await page
    .locator('h2')
    .nth(1)
    .evaluate((heading) => scrollTo(0, heading.offsetTop + 40));
  await page.waitForTimeout(1000);
});
await docsPage('playground', 'playground.html', async () => {
  await page.getByRole('button', { name: 'An example' }).click();
  await page.waitForTimeout(2500);
});

/** Shows a sketch in the viewer, for as long as `work` takes. */
const play = async (file, work, { at = 62, colorScheme = 'light', size = [1280, 800] } = {}) => {
  const viewer = spawn(process.execPath, [juggle, 'play', file, '--no-open']);
  const url = await new Promise((resolve) =>
    viewer.stdout.on('data', (data) => {
      const [found] = /http:\S+/.exec(data) ?? [];
      if (found) resolve(found);
    }),
  );
  await page.setViewportSize({ width: size[0], height: size[1] });
  await page.emulateMedia({ colorScheme });
  await page.goto(url);
  await page.waitForSelector('#canvas');
  await button('Pause').click();
  await enter('Frame', at);
  await work();
  viewer.kill();
};
const button = (name) => page.getByRole('button', { name, exact: true });
const enter = async (name, value) => {
  const field = page.getByRole('textbox', { name, exact: true });
  await field.fill(String(value));
  await field.press('Enter');
};
const part = (title) => page.locator('summary', { hasText: title }).click();
const settled = () => page.waitForTimeout(900);
const clickAt = async (x, y) => {
  const box = await page.locator('#canvas').boundingBox();
  await page.mouse.click(box.x + x * box.width, box.y + y * box.height);
};
await play(sketch, async () => {
  for (const title of ['Dials', 'Chance', 'Parts']) await part(title);
  await button('Point').click();
  await settled();
  await clickAt(0.845, 0.5);
  await settled();
  await page.screenshot({ path: shot('play') });
});
await play(
  'examples/lighthouse/lighthouse.ts',
  async () => {
    await part('Aids');
    for (const aid of ['Graph paper', /Outlines only/]) await page.getByLabel(aid).check();
    await settled();
    await page.screenshot({ path: shot('outlines') });
  },
  { colorScheme: 'dark' },
);
await play('examples/rain/rain.ts', async () => {
  await page.locator('#dial-drops').fill('700');
  await button('9 variations').click();
  await page.waitForFunction(() =>
    [...document.querySelectorAll('.variation canvas')].every(({ width }) => width === 320),
  );
  await settled();
  await page.screenshot({ path: shot('variations') });
});
await play(
  'examples/rain/rain.ts',
  async () => {
    await page.locator('#dial-wind').fill('-210');
    await settled();
    await page.screenshot({ path: shot('phone') });
  },
  { size: [390, 844] },
);
await play(sketch, async () => {
  writeFileSync(
    sketch,
    readFileSync(sketch, 'utf8').replace("fill: '#fff6d8', label: 'sun'", "fill: '#fff6d8', lable: 'sun'"),
  );
  await page.waitForSelector('#failure');
  await settled();
  await page.screenshot({ path: shot('play-error') });
});
await page.setViewportSize({ width: 1280, height: 800 });
await page.emulateMedia({ colorScheme: 'light' });

const site = await createServer({
  configFile: path.resolve('examples/gallery/vite.config.js'),
  root: 'examples/gallery',
  logLevel: 'error',
  server: { port: 0 },
});
await site.listen();
await page.goto(site.resolvedUrls.local[0]);
await page.waitForFunction(() => document.querySelectorAll('canvas').length > 5);
await page.waitForTimeout(3000);
await page.screenshot({ path: shot('gallery') });
await site.close();
await browser.close();
rmSync(folder, { recursive: true });
cpSync(shot('play'), 'packages/cli/pictures/play.png');
