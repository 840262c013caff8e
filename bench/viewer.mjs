// How fast the viewer plays 5,000 moving shapes, beside a page that makes the same calls by hand; both in Chromium.
import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:http';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { chromium } from 'playwright-core';
import { row } from './report.mjs';

const count = 5000;
const seconds = 5;
const folder = mkdtempSync(path.join(tmpdir(), 'juggle-bench-'));
const place = `const place = (i, t) => [480 + 460 * Math.sin(i * 1.7 + t), 270 + 250 * Math.cos(i * 2.3 + t * 0.7)];`;
writeFileSync(
  path.join(folder, 'gulls.ts'),
  `import { defineSketch } from 'frame-juggler';
${place.replace('(i, t)', '(i: number, t: number): [number, number]')}
export default defineSketch({ canvas: { width: 960, height: 540 }, frameRate: 60,
  paint(canvas, { seconds }) {
    (globalThis as any).painted = ((globalThis as any).painted ?? 0) + 1;
    for (let i = 0; i < ${count}; i++) canvas.circle({ at: place(i, seconds), radius: 4, fill: i % 2 ? '#24506a' : '#d5603f' });
  } });
`,
);
const byHand = `<canvas width="960" height="540"></canvas><script>
${place}
const context = document.querySelector('canvas').getContext('2d');
globalThis.painted = 0;
const draw = (now) => {
  requestAnimationFrame(draw);
  painted++;
  context.fillStyle = '#fff';
  context.fillRect(0, 0, 960, 540);
  for (let i = 0; i < ${count}; i++) {
    context.beginPath();
    const [x, y] = place(i, now / 1000);
    context.arc(x, y, 4, 0, 2 * Math.PI);
    context.fillStyle = i % 2 ? '#24506a' : '#d5603f';
    context.fill();
  }
};
requestAnimationFrame(draw);
</script>`;
const server = createServer((_, response) => response.setHeader('content-type', 'text/html').end(byHand));
await new Promise((resolve) => server.listen(0, '127.0.0.1', resolve));
const viewer = spawn(process.execPath, [
  'packages/cli/dist/juggle.js',
  'play',
  path.join(folder, 'gulls.ts'),
  '--no-open',
]);
const url = await new Promise((resolve) => viewer.stdout.on('data', (data) => resolve(/http:\S+/.exec(data)[0])));
const browser = await chromium.launch({ executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu'] }); // prettier-ignore

/** Frames a second, of whatever counts them in `painted`. */
const rateOf = async (read) => {
  const before = await read();
  const begun = performance.now();
  await new Promise((resolve) => setTimeout(resolve, seconds * 1000));
  return ((await read()) - before) / ((performance.now() - begun) / 1000);
};
const plain = async () => {
  const page = await browser.newPage({ viewport: { width: 1300, height: 760 } });
  await page.goto(`http://127.0.0.1:${server.address().port}/`);
  await page.waitForTimeout(1000);
  const rate = await rateOf(() => page.evaluate('painted'));
  await page.close();
  return rate;
};
const ours = async () => {
  // So large that the picture has 960 × 540 pixels.
  const page = await browser.newPage({ viewport: { width: 1310, height: 680 } });
  await page.goto(url);
  await page.waitForSelector('#canvas');
  await page.waitForTimeout(1500);
  const read = async () => {
    const counts = await Promise.all(page.workers().map((worker) => worker.evaluate('globalThis.painted ?? 0')));
    return Math.max(...counts);
  };
  const rate = await rateOf(read);
  await page.close();
  return rate;
};
console.log(`${count} moving circles at 960 × 540, in Chromium: frames a second, in turn`);
for (let round = 1; round <= 3; round++) {
  const [hand, here] = [await plain(), await ours()];
  row(
    `  round ${round}`,
    `${hand.toFixed(1)} by hand, ${here.toFixed(1)} in the viewer`,
    `at least ${(hand * 0.9).toFixed(1)}`,
  );
}
await browser.close();
viewer.kill('SIGKILL');
server.close();
rmSync(folder, { recursive: true });
