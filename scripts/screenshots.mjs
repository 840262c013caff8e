// Makes the pictures in docs/screenshots anew, from the demo data.
import { spawn } from 'node:child_process';
import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { execFileSync } from 'node:child_process';
import { chromium } from 'playwright-core';
import { terminalShot } from './terminal.mjs';
import { createServer } from 'vite';

const juggle = path.resolve('packages/cli/dist/juggle.js');
const shot = (name) => path.resolve('docs/screenshots', `${name}.png`);

const render = (sketch, name, ...options) =>
  execFileSync(process.execPath, [juggle, 'render', `examples/${sketch}.ts`, '-o', shot(name), ...options]);
render('pellan-quay/quay', 'demo', '--seconds', '5.6', '--density', '1.3');
render('shapes/shapes', 'shapes', '--density', '1.3');
render('lighthouse/lighthouse', 'lighthouse', '--seconds', '1.2', '--density', '1.3');
render('harbor-chart/chart', 'harbor-chart', '--density', '1.3');
render('signal-flags/flags', 'signal-flags', '--seconds', '1.2', '--density', '1.3');
render('wakes/wakes', 'wakes', '--seconds', '8.6', '--density', '1.3');
render('crane/crane', 'crane', '--seconds', '6.1', '--density', '1.3');
render('rain/rain', 'rain', '--seconds', '3', '--density', '1.3');
render('tide/tide', 'tide', '--seconds', '10', '--density', '1.3');
render('watch/watch', 'watch', '--seconds', '6.5', '--density', '1.3');
render('bunting/bunting', 'bunting', '--seconds', '1', '--density', '1.7');
execFileSync(process.execPath, [juggle, 'strip', 'examples/pellan-quay/quay.ts', '-o', shot('strip'), '--count', '12']);

await terminalShot(shot('terminal'));

const folder = mkdtempSync(path.join(tmpdir(), 'juggle-shots-'));
cpSync('examples/pellan-quay', path.join(folder, 'pellan-quay'), { recursive: true });
cpSync('examples/palette.ts', path.join(folder, 'palette.ts'));
const sketch = path.join(folder, 'pellan-quay/quay.ts');
const play = async (file) => {
  const viewer = spawn(process.execPath, [juggle, 'play', file]);
  const url = await new Promise((resolve) => viewer.stdout.on('data', (data) => resolve(/http:\S+/.exec(data)[0])));
  return { viewer, url };
};
const browser = await chromium.launch({
  executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu'],
});
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
const frames = () => page.waitForFunction(() => /Frame [1-9]\d/.test(document.querySelector('#frame').textContent));
const tuned = await play('examples/rain/rain.ts');
await page.goto(tuned.url);
await page.locator('#dial-wind').fill('-210');
await page.locator('#dial-drops').fill('700');
await page.click('#another');
await frames();
await page.click('text=Pause');
await page.screenshot({ path: shot('play') });
tuned.viewer.kill();
const { viewer, url } = await play(sketch);
await page.goto(url);
await frames();
await page.click('text=Pause');
writeFileSync(
  sketch,
  readFileSync(sketch, 'utf8').replace("fill: '#fff6d8', label: 'sun'", "fill: '#fff6d8', lable: 'sun'"),
);
await page.waitForSelector('#failure:not([hidden])');
await page.screenshot({ path: shot('play-error') });
viewer.kill();

const site = await createServer({
  configFile: path.resolve('examples/page/vite.config.js'),
  root: 'examples/page',
  logLevel: 'error',
  server: { port: 0 },
});
await site.listen();
await page.goto(site.resolvedUrls.local[0]);
await page.waitForFunction(
  () => document.querySelectorAll('canvas').length === 6 && document.fonts.status === 'loaded',
);
await page.waitForTimeout(3000);
await page.screenshot({ path: shot('page') });
await site.close();
await browser.close();
rmSync(folder, { recursive: true });
