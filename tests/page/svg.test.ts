import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import path from 'node:path';
import type { Browser } from 'playwright-core';
import { edges } from '../fixtures/edges.ts';
import { juggle, temporaryFolder } from '../helpers.ts';
import { launch } from './browser.ts';

const sheet = path.resolve('tests/fixtures/sheet.ts');
const folder = temporaryFolder({
  'wakes.ts': `import { defineSketch } from 'frame-juggler';
export default defineSketch({
  title: 'Wakes <&> "foam"\\u0007', canvas: { width: 120, height: 80, background: '#123' }, duration: 2, frameRate: 20, carry: 0.8,
  paint(canvas, { frame }) {
    canvas.group({ translate: [frame * 3, 40], label: 'tug & <tow>', opacity: 0.9 }, () => {
      canvas.rect({ at: [0, 0], size: 20, corners: 4, fill: 'coral', label: 'hull' });
      canvas.rect({ at: [0, -14], size: 8, fill: 'white', label: 'hull' });
    });
    canvas.text('Quay "3" & <more>', { at: [60, 70], size: 14, fill: 'white' });
  },
});
`,
  'map.ts': `import { defineSketch, linearGradient } from 'frame-juggler';
export default defineSketch({
  canvas: { width: 400, height: 300, viewBox: [431200, 5713400, 40, 30], background: '#e4efe8' },
  paint(canvas) {
    const [x, y] = [431200, 5713400];
    canvas.polygon({ points: [[x + 3, y + 25], [x + 12.3, y + 7.1], [x + 21.7, y + 24.4]], fill: linearGradient({ from: [x, y], to: [x + 20, y + 30], stops: ['teal', 'navy'] }) });
    for (let i = 0; i < 30; i++) canvas.circle({ at: [x + 22 + (i % 6) * 2.7, y + 4 + Math.floor(i / 6) * 4.3], radius: 0.9 + i * 0.03, fill: 'crimson', stroke: { color: 'black', width: 0.2 } });
    canvas.spline({ points: [[x + 2, y + 4], [x + 9, y + 2], [x + 14, y + 5.5], [x + 20, y + 2.2]], stroke: { color: 'teal', width: 0.7 } });
  },
});
`,
});
let browser: Browser;
beforeAll(async () => {
  browser = await launch();
});
afterAll(async () => {
  await browser.close();
  folder.remove();
});

/** In how many of a picture's pixels an SVG file, as Chromium shows it, is within 8 of what the raster draws. */
async function agreement(sketch: string, frame: number, density: number): Promise<[near: number, all: number]> {
  const at = ['--frame', String(frame)];
  const svg = (await juggle(folder.path, 'render', sketch, '-o', '-', '--format', 'svg', ...at)).out;
  const png = (await juggle(folder.path, 'render', sketch, '-o', '-', '--density', String(density), ...at)).bytes;
  const [, width, height] = /width="(\d+)" height="(\d+)"/.exec(svg)!;
  const page = await browser.newPage({
    viewport: { width: Number(width), height: Number(height) },
    deviceScaleFactor: density,
  });
  await page.setContent(`<style>body { margin: 0 } svg { display: block }</style>${svg}`);
  // Pictures within it are decoded by and by.
  await page.evaluate(() =>
    Promise.all([...document.querySelectorAll<HTMLImageElement>('image')].map((image) => image.decode())),
  );
  const shot = await page.screenshot();
  const result = await page.evaluate(
    async (files) => {
      const [a, b] = await Promise.all(
        files.map(async (file) => {
          const bitmap = await createImageBitmap(await (await fetch(`data:image/png;base64,${file}`)).blob());
          const context = new OffscreenCanvas(bitmap.width, bitmap.height).getContext('2d')!;
          context.drawImage(bitmap, 0, 0);
          return context.getImageData(0, 0, bitmap.width, bitmap.height).data;
        }),
      );
      let near = 0;
      for (let i = 0; i < a.length; i += 4)
        if (Math.max(...[0, 1, 2].map((c) => Math.abs(a[i + c] - b[i + c]))) <= 8) near++;
      return [near, a.length / 4] as [number, number];
    },
    [shot, png].map((file) => file.toString('base64')),
  );
  await page.close();
  return result;
}

describe('an SVG file', () => {
  // As on its canvas, Chromium smooths edges to a quarter of a pixel, and draws tiles of pictures at their own size
  // first: what differs is edges, and the finer the picture the fewer they are.
  test('shows in Chromium what the raster draws, over the sheet of everything', async () => {
    const frames = [0, 1, 2, 3, 4, 5, 6];
    for (const [density, each, whole] of [[1, 0.97, 0.985], [4, 0.985, 0.995]]) {
      const results = await Promise.all(frames.map((frame) => agreement(sheet, frame, density)));
      for (const [near, all] of results) expect(near / all).toBeGreaterThan(each);
      const sum = (index: 0 | 1): number => results.reduce((total, result) => total + result[index], 0);
      expect(sum(0) / sum(1)).toBeGreaterThan(whole);
    }
  }); // prettier-ignore

  test('shows what has no length, or no height, as the raster does', async () => {
    for (const frame of edges.keys()) {
      const [near, all] = await agreement(path.resolve('tests/fixtures/edges.ts'), frame, 2);
      expect([frame, near / all > 0.97]).toEqual([frame, frame < edges.length - 3]);
    }
  });

  test('shows at the coordinates of a map what the raster draws', async () => {
    const [near, all] = await agreement('map.ts', 0, 2);
    expect(near / all).toBeGreaterThan(0.98);
  });

  test('holds what is left of earlier frames under a carry', async () => {
    const [near, all] = await agreement('wakes.ts', 12, 2);
    expect(near / all).toBeGreaterThan(0.98);
  });

  test('is well-formed whatever labels and texts hold, names each thing once, and can be searched', async () => {
    const { out } = await juggle(folder.path, 'render', 'wakes.ts', '-o', '-', '--format', 'svg', '--frame', '0');
    const page = await browser.newPage();
    const found = await page.evaluate((text) => {
      const document = new DOMParser().parseFromString(text, 'image/svg+xml');
      const all = [...document.querySelectorAll('[id]')];
      return {
        wrong: document.querySelector('parsererror')?.textContent,
        ids: all.map(({ id }) => id).filter((id) => !/^(?:mask|clipPath|pattern)/.test(id)),
        titles: [...document.querySelectorAll('title')].map(({ textContent }) => textContent),
        texts: [...document.querySelectorAll('text')].map(({ textContent }) => textContent),
        inGroup: document.getElementById('tug-tow-')?.querySelectorAll('rect, path').length,
        opacity: document.getElementById('tug-tow-')?.getAttribute('opacity'),
      };
    }, out);
    await page.close();
    expect(found).toEqual({
      wrong: undefined,
      ids: ['tug-tow-', 'hull', 'hull-2'],
      titles: ['Wakes <&> "foam"\ufffd', 'tug & <tow>', 'hull', 'hull'],
      texts: ['Quay "3" & <more>'],
      inGroup: 2,
      opacity: '0.9',
    });
  });
});
