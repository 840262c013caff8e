import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import path from 'node:path';
import type { Browser, Page } from 'playwright-core';
import type * as Library from '../../src/index.ts';
import type * as BrowserLibrary from '../../src/browser/index.ts';
import { juggle } from '../helpers.ts';
import { decode } from 'fast-png';
import { launch, play } from './browser.ts';

const demo = path.resolve('examples/pellan-quay/quay.ts');
const sheet = path.resolve('tests/fixtures/sheet.ts');
let browser: Browser;
let page: Page;
let viewer: Awaited<ReturnType<typeof play>>;

beforeAll(async () => {
  viewer = await play(sheet);
  browser = await launch();
  page = await browser.newPage();
  await page.goto(viewer.url);
}, 60_000);
afterAll(async () => {
  await browser.close();
  viewer.process.kill('SIGTERM');
});

/** One frame of a sketch, drawn in the page by both surfaces: the raster's bytes, and how far canvas2d agrees. */
function drawnInPage(sketch: string, frame: number): Promise<{ raster: string; agreement: number }> {
  return page.evaluate(
    async ({ library, sketch, frame }) => {
      const { Run, rasterize } = (await import(`/@fs${library}/index.js`)) as typeof Library;
      const { Canvas2dSurface } = (await import(`/@fs${library}/browser/index.js`)) as typeof BrowserLibrary;
      const { default: definition } = (await import(`/@fs${sketch}`)) as { default: Library.Sketch };
      const run = new Run(definition, {
        host: { read: async (url) => new Uint8Array(await (await fetch(url)).arrayBuffer()) },
      });
      await run.goTo(frame);
      const painted = await run.paint();
      const raster = rasterize(painted).data;
      const element = document.createElement('canvas');
      new Canvas2dSurface(element).draw(painted);
      const { data } = element.getContext('2d')!.getImageData(0, 0, element.width, element.height);
      // The share of pixels that are within 8 of each other in every channel.
      let near = 0;
      for (let at = 0; at < data.length; at += 4)
        if ([0, 1, 2, 3].every((channel) => Math.abs(data[at + channel] - raster[at + channel]) <= 8)) near++;
      let text = '';
      for (let at = 0; at < raster.length; at += 4096) text += String.fromCharCode(...raster.subarray(at, at + 4096));
      return { raster: btoa(text), agreement: near / (data.length / 4) };
    },
    { library: path.resolve('dist'), sketch, frame },
  );
}

/** The same frame, drawn in Node by `juggle render`, as opaque pixels of four bytes. */
async function drawnInNode(sketch: string, frame: number): Promise<Buffer> {
  const { data } = decode((await juggle('.', 'render', sketch, '-o', '-', '--frame', String(frame))).bytes);
  const opaque = Buffer.alloc((data.length / 3) * 4, 255);
  for (let at = 0; at < data.length; at++) opaque[Math.floor(at / 3) * 4 + (at % 3)] = data[at];
  return opaque;
}

describe('the raster pixels in Chromium are those in Node, and canvas2d agrees with them', () => {
  const pages = ['shapes', 'strokes', 'gradients', 'blends', 'groups', 'texts', 'images'];
  test.each([...pages.map((name, frame) => [name, sheet, frame] as const), ['the demo', demo, 200] as const])(
    '%s',
    async (_, sketch, frame) => {
      const [{ raster, agreement }, node] = await Promise.all([drawnInPage(sketch, frame), drawnInNode(sketch, frame)]);
      expect(Buffer.from(raster, 'base64').equals(node)).toBe(true);
      expect(agreement).toBeGreaterThanOrEqual(0.995);
    },
  );
});
