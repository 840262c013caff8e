import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { Browser, BrowserContextOptions, Page } from 'playwright-core';
import { faultsOf, launch, serve, until } from './browser.ts';

const folder = mkdtempSync(path.join(tmpdir(), 'juggle-gallery-'));
const vite = path.resolve('node_modules/vite/bin/vite.js');
let browser: Browser;
let site: Awaited<ReturnType<typeof serve>>;
const complaints: string[] = [];

beforeAll(async () => {
  execFileSync(process.execPath, [vite, 'build', 'examples/gallery', '--outDir', folder, '--logLevel', 'error']);
  site = await serve(vite, 'preview', 'examples/gallery', '--outDir', folder, '--host', '127.0.0.1', '--port', '0');
  browser = await launch();
});
afterAll(async () => {
  await browser.close();
  site.process.kill('SIGTERM');
  rmSync(folder, { recursive: true });
});

async function open(hash: string, options: BrowserContextOptions = {}): Promise<Page> {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, ...options });
  const page = await context.newPage();
  page.on('pageerror', (error) => complaints.push(error.message));
  page.on('console', (message) => complaints.push(message.text()));
  await page.goto(site.url + hash);
  await page.locator('canvas').first().waitFor();
  return page;
}

/** How many different colors there are on a canvas. */
const colorsOf = (page: Page, index = 0): Promise<number> =>
  page
    .locator('canvas')
    .nth(index)
    .evaluate((canvas: HTMLCanvasElement) => {
      const { data } = canvas.getContext('2d')!.getImageData(0, 0, canvas.width, canvas.height);
      return new Set(new Uint32Array(data.buffer)).size;
    });
const shot = (page: Page): Promise<string> => page.$eval('canvas', (canvas) => canvas.toDataURL());
const wide = (page: Page): Promise<boolean> => page.evaluate(() => document.documentElement.scrollWidth > innerWidth);

describe('the gallery, from static files', () => {
  test('hangs every sketch with its files and fonts, at rest until a pointer is over it', async () => {
    const page = await open('');
    const count = await page.locator('li').count();
    for (let at = 0; at < count; at++) {
      await page.locator('li').nth(at).scrollIntoViewIfNeeded();
      await until(() => page.locator('li').nth(at).locator('canvas').count(), 1);
    }
    expect(await page.locator('canvas').first().getAttribute('aria-label')).toBe('A day at Pellan Quay');
    for (let at = 0; at < count; at++) await until(async () => (await colorsOf(page, at)) > 5, true);
    await page.locator('li').first().scrollIntoViewIfNeeded();
    const rest = await shot(page);
    await page.waitForTimeout(300);
    expect(await shot(page)).toBe(rest);
    await page.locator('a').first().hover();
    await until(async () => (await shot(page)) !== rest, true);
    expect(await faultsOf(page)).toEqual([]);
    expect(complaints).toEqual([]);
  });

  test('shows one by itself, as an address tells: its seed, its dials, its source', async () => {
    const page = await open('#rain?seed=7&dial.drops=60&dial.gone=1');
    await page.getByRole('button', { name: 'Pause' }).click();
    await page.getByLabel('Frame').fill('40');
    expect(await page.getByLabel('Seed').inputValue()).toBe('7');
    expect(await page.getByLabel(/Drops/).inputValue()).toBe('60');
    await page.waitForTimeout(300);
    const seven = await shot(page);
    await page.getByLabel('Wind').fill('5');
    await page.getByRole('button', { name: 'Another seed' }).click();
    await until(() => page.evaluate(() => /^#rain\?seed=\d+&dial\.drops=60&dial\.gone=1&dial\.wind=5$/.test(location.hash)), true);
    await page.getByRole('button', { name: 'Pause' }).click();
    await page.getByLabel('Frame').fill('40');
    await page.waitForTimeout(300);
    expect(await shot(page)).not.toBe(seven);
    await page.getByText('Source').click();
    await until(() => page.locator('code').textContent().then((text) => text?.includes('export default defineSketch')), true);
    expect(await faultsOf(page)).toEqual([]);
    const again = await open('#rain?seed=7&dial.drops=60');
    await again.getByRole('button', { name: 'Pause' }).click();
    await again.getByLabel('Frame').fill('40');
    await until(() => shot(again), seven);
    await page.getByRole('link', { name: 'All sketches' }).click();
    await until(async () => (await page.locator('li').count()) > 9, true);
    expect(complaints).toEqual([]);
  });

  test('fits a phone', async () => {
    const phone = { viewport: { width: 390, height: 844 }, deviceScaleFactor: 3, isMobile: true, hasTouch: true };
    const page = await open('', phone);
    expect(await wide(page)).toBe(false);
    await page.locator('a').first().tap();
    await page.getByRole('button', { name: 'Pause' }).waitFor();
    expect(await wide(page)).toBe(false);
    expect((await page.locator('canvas').boundingBox())!.width).toBe(358);
  });
}); // prettier-ignore
