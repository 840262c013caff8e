import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { Browser, Page } from 'playwright-core';
import { launch, serve } from './browser.ts';

let browser: Browser;
let page: Page;
let site: Awaited<ReturnType<typeof serve>>;
const complaints: string[] = [];

beforeAll(async () => {
  site = await serve('node_modules/vite/bin/vite.js', 'examples/page');
  browser = await launch();
  page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  page.on('pageerror', (error) => complaints.push(error.message));
  await page.goto(site.url);
}, 60_000);
afterAll(async () => {
  await browser.close();
  site.process.kill('SIGTERM');
});

/** How many different colors a sketch's canvas shows in a row of its pixels. */
const colorsOf = (index: number): Promise<number> =>
  page.$$eval(
    'canvas',
    (all, at) => {
      const canvas = all[at] as HTMLCanvasElement;
      if (canvas.width < 2) return 0;
      const { data } = canvas.getContext('2d')!.getImageData(0, canvas.height * 0.55, canvas.width, 1);
      return new Set(new Uint32Array(data.buffer)).size;
    },
    index,
  );

describe('sketches in a page of one’s own', () => {
  test('draw with their files and fonts, and play', async () => {
    for (let i = 0; i < 100 && (await colorsOf(5)) < 10; i++) await page.waitForTimeout(100);
    for (const index of [0, 1, 2, 4, 5]) expect(await colorsOf(index)).toBeGreaterThan(9);
    expect(await page.locator('canvas').first().getAttribute('aria-label')).toBe('A day at Pellan Quay');
    const shot = (): Promise<string> => page.$eval('canvas', (canvas) => (canvas as HTMLCanvasElement).toDataURL());
    const before = await shot();
    await page.waitForTimeout(400);
    expect(await shot()).not.toBe(before);
    await page.click('figure:first-child button');
    await page.waitForTimeout(100);
    const held = await shot();
    await page.waitForTimeout(300);
    expect(await shot()).toBe(held);
    expect(await page.textContent('figure:first-child button')).toBe('Play');
    expect(complaints).toEqual([]);
  });
});
