// Makes the pictures in docs/screenshots anew, from the demo data.
import { spawn } from 'node:child_process';
import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { execFileSync } from 'node:child_process';
import { chromium } from 'playwright-core';

const juggle = path.resolve('dist/cli/juggle.js');
const shot = (name) => path.resolve('docs/screenshots', `${name}.png`);

execFileSync(process.execPath, [
  juggle,
  'render',
  'examples/pellan-quay/quay.ts',
  '-o',
  shot('demo'),
  '--at',
  '5.6',
  '--density',
  '1.3',
]);

const folder = mkdtempSync(path.join(tmpdir(), 'juggle-shots-'));
cpSync('examples/pellan-quay', folder, { recursive: true });
const sketch = path.join(folder, 'quay.ts');
const viewer = spawn(process.execPath, [juggle, 'play', sketch]);
const url = await new Promise((resolve) => viewer.stdout.on('data', (data) => resolve(/http:\S+/.exec(data)[0])));
const browser = await chromium.launch({
  executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu'],
});
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
await page.goto(url);
await page.waitForFunction(() => /Frame [1-9]\d\d/.test(document.querySelector('#frame').textContent));
await page.click('text=Pause');
await page.screenshot({ path: shot('play') });
writeFileSync(
  sketch,
  readFileSync(sketch, 'utf8').replace("fill: '#fff6d8', label: 'sun'", "fill: '#fff6d8', lable: 'sun'"),
);
await page.waitForSelector('#failure:not([hidden])');
await page.screenshot({ path: shot('play-error') });
await browser.close();
viewer.kill();
rmSync(folder, { recursive: true });
