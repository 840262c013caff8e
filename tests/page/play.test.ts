import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { writeFileSync } from 'node:fs';
import path from 'node:path';
import type { Browser, Page } from 'playwright-core';
import { temporaryFolder } from '../helpers.ts';
import { launch, play } from './browser.ts';

const sketch = (fill: string, more = ''): string => `import { defineSketch } from 'frame-juggler';
import { radius } from './size';

interface Unused { readonly line: number }

export default defineSketch({
  title: 'Lamp',
  canvas: { width: 200, height: 100, background: 'black' },
  frameRate: 20,
  paint(canvas, { frame }) {
    canvas.circle({ at: [100, 50], radius, fill: '${fill}' });
    ${more}
  },
});
`;
const folder = temporaryFolder({ 'lamp.ts': sketch('#ff0000'), 'size.ts': 'export const radius: number = 30;\n' });
const save = (text: string, name = 'lamp.ts'): void => writeFileSync(path.join(folder.path, name), text);

let browser: Browser;
let page: Page;
let viewer: Awaited<ReturnType<typeof play>>;
const complaints: string[] = [];

beforeAll(async () => {
  viewer = await play(path.join(folder.path, 'lamp.ts'));
  browser = await launch();
  page = await browser.newPage({ viewport: { width: 900, height: 700 } });
  page.on('pageerror', (error) => complaints.push(error.message));
  await page.goto(viewer.url);
}, 60_000);
afterAll(async () => {
  await browser.close();
  viewer.process.kill('SIGTERM');
  folder.remove();
});

const frame = async (): Promise<number> => Number(/Frame (\d+)/.exec((await page.textContent('#frame')) ?? '')?.[1]);
const middle = (dx = 0): Promise<string> =>
  page.$eval(
    '#canvas',
    (element, shift) => {
      const canvas = element as HTMLCanvasElement;
      const x = canvas.width / 2 + (shift * canvas.width) / 200;
      const data = canvas.getContext('2d')?.getImageData(x, canvas.height / 2, 1, 1).data;
      return [...(data ?? [])].slice(0, 3).join(' ');
    },
    dx,
  );
const until = async <T>(read: () => Promise<T>, wanted: T): Promise<void> => {
  for (let i = 0; i < 100 && (await read()) !== wanted; i++) await page.waitForTimeout(50);
  expect(await read()).toEqual(wanted);
};

describe('juggle play', () => {
  test('runs the sketch live, at its own speed, and fits it to the window', async () => {
    await until(middle, '255 0 0');
    const [before, start] = [await frame(), Date.now()];
    await page.waitForTimeout(1500);
    const rate = ((await frame()) - before) / ((Date.now() - start) / 1000);
    // Its own 20 frames a second and not the screen's 60; fewer where a busy machine stalls, as time slips then.
    expect(rate).toBeGreaterThan(8);
    expect(rate).toBeLessThan(25);
    const box = await page.locator('#canvas').boundingBox();
    expect(box?.width).toBe(860);
  });

  test('pauses, goes one frame on, restarts and plays, by buttons and by keys', async () => {
    await page.click('text=Pause');
    const held = await frame();
    await page.waitForTimeout(200);
    expect(await frame()).toBe(held);
    await page.click('text=One frame on');
    await until(frame, held + 1);
    await page.keyboard.press('ArrowRight');
    await until(frame, held + 2);
    await page.click('text=Restart');
    await until(frame, 0);
    await page.locator('#stage').click();
    await page.keyboard.press('Space');
    await page.waitForTimeout(300);
    expect(await frame()).toBeGreaterThan(2);
    await page.keyboard.press('Space');
  });

  test('follows a save, of the sketch and of what it imports, and stays at its frame', async () => {
    const held = await frame();
    save(sketch('#00ff00'));
    await until(middle, '0 255 0');
    expect(await frame()).toBe(held);
    expect(await middle(40)).toBe('0 0 0');
    save('export const radius = 45;\n', 'size.ts');
    await until(() => middle(40), '0 255 0');
  });

  test('shows an error with its line over the last good picture, and recovers', async () => {
    const reason = (): Promise<string | null> => page.textContent('#failure-reason');
    const place = (): Promise<string | null> => page.textContent('#failure-place');
    save(sketch('#0000ff', 'canvas.circle({ at: [1, frame / 0], radius: 2 });'));
    await until(place, `lamp.ts, line 12 in frame ${await frame()}`);
    expect(await reason()).toMatch(/^circle: at \[1,(NaN|Infinity)\] is not a point/);
    expect(await middle()).toBe('0 255 0');

    save(sketch('#0000ff', 'canvas.circle({;'));
    await until(async () => ((await reason()) ?? '').includes('lamp.ts:12'), true);
    expect(await middle()).toBe('0 255 0');
    expect(await page.locator('#failure').isVisible()).toBe(true);

    save(sketch('#0000ff'));
    await until(middle, '0 0 255');
    expect(await page.locator('#failure').isVisible()).toBe(false);
    expect(complaints).toEqual([]);
  });

  test('listens on loopback only', () => {
    expect(new URL(viewer.url).hostname).toBe('127.0.0.1');
  });
});
