import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { decode } from 'fast-png';
import { juggle } from '../helpers.ts';
import { until } from './browser.ts';
import { ViewerPage } from './viewer.ts';

/* Out of the page: files, the picture and the command to paste; and two pictures at once. */
const sketch = (fill: string): string => `import { defineSketch, dial } from 'frame-juggler';
export default defineSketch({
  title: 'Ferry', canvas: { width: 120, height: 60, background: 'white' }, frameRate: 20, duration: 2,
  dials: { size: dial.number(20, { min: 1, max: 60 }) },
  start: () => ({ size: 0 }),
  step(state, { dials }) { state.size = dials.size; },
  paint(canvas, { frame, random, dials }) {
    // Slow enough for its progress to be told.
    for (const end = performance.now() + (dials.size === 60 ? 150 : 0); performance.now() < end; );
    canvas.rect({ from: [0, 0], to: [dials.size, dials.size], fill: '${fill}' });
    canvas.dot({ at: [60 + random.between(-30, 30), frame], size: 8 });
  },
});
`;
let viewer: ViewerPage;
beforeAll(async () => {
  const permissions = ['clipboard-read', 'clipboard-write'];
  viewer = await ViewerPage.open({ 'ferry.ts': sketch('teal') }, { permissions });
  await viewer.button('Pause').click();
  await viewer.enter(viewer.field('Frame'), '12');
  await viewer.enter(viewer.field('Seed'), '5');
  await until(() => viewer.field('Seed').inputValue(), '5');
  await viewer.openPart('Take out');
});
afterAll(async () => {
  await viewer.close();
  expect(viewer.complaints).toEqual([]);
});
const notice = async (): Promise<string> => (await viewer.page.locator('#notice').textContent()) ?? '';
const as = (format: string): Promise<unknown> => viewer.page.locator('#format').selectOption(format);

describe('out of the page', () => {
  test('a frame is written beside the sketch, under its dials and its seed, and never over another file', async () => {
    await viewer.enter(viewer.field('size, as a number'), '30');
    await viewer.enter(viewer.page.locator('#out-density'), '2');
    await viewer.button('Make file').click();
    await until(notice, 'Wrote ferry-0012.png, beside the sketch', 20);
    const { width, height, data, channels } = decode(readFileSync(viewer.file('ferry-0012.png')));
    const pixel = (x: number, y: number): number[] => [...data.slice((y * width + x) * channels, (y * width + x) * channels + 3)];
    expect([width, height, pixel(55, 55), pixel(65, 65)]).toEqual([240, 120, [0, 128, 128], [255, 255, 255]]);
    await viewer.button('Make file').click();
    await until(notice, 'Wrote ferry-0012-2.png, beside the sketch', 20);
    await as('svg');
    await viewer.button('Make file').click();
    await until(notice, 'Wrote ferry-0012.svg, beside the sketch', 20);
  }); // prettier-ignore

  test('the command that is copied makes the same file', async () => {
    await as('png');
    await viewer.button('Copy command').click();
    await until(notice, /^Copied: juggle render ferry\.ts/);
    const line = await viewer.page.evaluate(() => navigator.clipboard.readText());
    expect(line).toBe('juggle render ferry.ts -o ferry-0012.png --density 2 --seed 5 --frame 12 --dial size=30');
    const words = line.replace('ferry-0012.png', 'again.png').split(' ').slice(1);
    expect((await juggle(path.dirname(viewer.file('ferry.ts')), ...words)).code).toBe(0);
    expect(readFileSync(viewer.file('again.png')).equals(readFileSync(viewer.file('ferry-0012.png')))).toBe(true);
  });

  test('the run is made with progress, and stopped without a trace', async () => {
    await as('gif');
    await viewer.button('Make file').click();
    await until(notice, 'Wrote ferry.gif, beside the sketch', 30);
    expect(readFileSync(viewer.file('ferry.gif')).subarray(0, 6).toString()).toBe('GIF89a');
    await viewer.enter(viewer.field('size, as a number'), '60');
    await as('apng');
    await viewer.button('Make file').click();
    await until(() => viewer.page.locator('details output').last().textContent(), /^\d+ of 40 frames$/, 60);
    await viewer.button('Stop').click();
    await until(notice, 'Stopped; nothing was written');
    await until(() => readdirSync(path.dirname(viewer.file('ferry.ts'))).filter((name) => /apng/.test(name)), []);
    expect(existsSync(viewer.file('ferry.apng'))).toBe(false);
  });

  test('a file that is not as the picture, after a dial was turned while it played, says so', async () => {
    await viewer.button('Play').click();
    await viewer.enter(viewer.field('size, as a number'), '25');
    await viewer.button('Pause').click();
    await as('svg');
    await viewer.button('Make file').click();
    await until(notice, /^Wrote ferry-\d+(-\d)?\.svg, beside the sketch; dials turned on the way are there from the start/, 20);
    await viewer.button('Copy command').click();
    await until(notice, /^Copied: juggle render .* --dial size=25; dials turned on the way/);
    await viewer.enter(viewer.field('size, as a number'), '26');
    await viewer.button('Copy command').click();
    await until(notice, /^Copied: juggle render .* --dial size=26$/);
    await viewer.enter(viewer.field('Frame'), '12');
  }); // prettier-ignore

  test('the picture is copied', async () => {
    await viewer.button('Copy picture').click();
    await until(notice, 'The picture is copied');
    const types = await viewer.page.evaluate(async () => (await navigator.clipboard.read()).flatMap(({ types: all }) => all));
    expect(types).toContain('image/png');
  }); // prettier-ignore
});

test('two at once show what the last change did, and how much of the picture differs', async () => {
  await viewer.openPart('Two at once');
  await viewer.button('Reset').click();
  await until(() => viewer.color(0.2, 0.4), '255 255 255');
  viewer.save('ferry.ts', sketch('crimson'));
  await until(() => viewer.color(0.05, 0.1), '220 20 60');
  await viewer.button('Compare').click();
  const words = async (): Promise<string[]> => viewer.page.locator('#beside figcaption').allTextContents();
  // 20 × 20 of 120 × 60.
  await until(words, /^Kept: before the last change, frame 12, seed 5,Now: frame 12, seed 5,5\.[56] % of the pixels differ/);
  await viewer.button('Keep picture').click();
  await until(async () => (await words())[2], 'No pixel differs');
  await viewer.button('Compare').click();
  await until(words, []);
}); // prettier-ignore
