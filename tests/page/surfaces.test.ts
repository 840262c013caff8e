import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import path from 'node:path';
import type { Browser, Page } from 'playwright-core';
import type * as Library from '../../packages/frame-juggler/src/index.ts';
import type * as BrowserLibrary from '../../packages/frame-juggler/src/browser/index.ts';
import { edges } from '../fixtures/edges.ts';
import { juggle } from '../helpers.ts';
import { decode } from 'fast-png';
import { launch, serve } from './browser.ts';

const demo = path.resolve('examples/pellan-quay/quay.ts');
const sheet = path.resolve('tests/fixtures/sheet.ts');
const examples = [
  ...['pellan-quay/quay.ts', 'lighthouse/lighthouse.ts', 'signal-flags/flags.ts', 'harbor-chart/chart.ts'],
  ...['shapes/shapes.ts', 'wakes/wakes.ts', 'crane/crane.ts', 'rain/rain.ts', 'tide/tide.ts', 'watch/watch.ts'],
  ...[
    'bunting/bunting.ts',
    'cookbook/color/06-blend.ts',
    'cookbook/color/04-porthole.ts',
    'cookbook/color/09-pattern.ts',
  ],
];
let browser: Browser;
let page: Page;
let site: Awaited<ReturnType<typeof serve>>;

beforeAll(async () => {
  site = await serve('node_modules/vite/bin/vite.js', 'examples/gallery');
  browser = await launch();
  page = await browser.newPage();
  // Any page of that server will do, as modules are imported from it by hand.
  await page.goto(`${site.url}vite.config.js`);
});
afterAll(async () => {
  await browser.close();
  site.process.kill('SIGTERM');
});

interface Comparison {
  /** The raster surface's bytes, as base64. */
  readonly raster: string;
  /** How many pixels of the other surface are within 8 of the raster's in every channel, and of how many. */
  readonly near: number;
  readonly all: number;
}

/** One frame of a sketch, drawn in the page by the raster and another surface. */
function drawnInPage(sketch: string, frame: number, density: number, other = 'canvas2d'): Promise<Comparison> {
  return page.evaluate(
    async ({ library, sketch, frame, density, other }) => {
      const { Run, rasterize, writeSvg } = (await import(`/@fs${library}/index.js`)) as typeof Library;
      const { Canvas2dSurface } = (await import(`/@fs${library}/browser/index.js`)) as typeof BrowserLibrary;
      const { default: definition } = (await import(`/@fs${sketch}`)) as { default: Library.Sketch };
      const read = async (url: { href: string }): Promise<Uint8Array> =>
        new Uint8Array(await (await fetch(url.href)).arrayBuffer());
      const run = new Run(definition, { density, host: { read } });
      await run.goTo(frame);
      const painted = await run.paint();
      const raster = rasterize(painted).data;
      const element = document.createElement('canvas');
      if (other === 'canvas2d') new Canvas2dSurface(element).draw(painted);
      else {
        const image = new Image();
        image.src = URL.createObjectURL(new Blob([writeSvg(painted)], { type: 'image/svg+xml' }));
        await image.decode();
        Object.assign(element, { width: painted.width * density, height: painted.height * density });
        element.getContext('2d')!.drawImage(image, 0, 0, element.width, element.height);
        URL.revokeObjectURL(image.src);
      }
      const { data } = element.getContext('2d')!.getImageData(0, 0, element.width, element.height);
      let near = 0;
      for (let at = 0; at < data.length; at += 4)
        if ([0, 1, 2, 3].every((channel) => Math.abs(data[at + channel] - raster[at + channel]) <= 8)) near++;
      let text = '';
      for (let at = 0; at < raster.length; at += 4096) text += String.fromCharCode(...raster.subarray(at, at + 4096));
      return { raster: btoa(text), near, all: data.length / 4 };
    },
    { library: path.resolve('packages/frame-juggler/dist'), sketch, frame, density, other },
  );
}

/** The same frame, drawn in Node by `juggle render`, as opaque pixels of four bytes. */
async function drawnInNode(sketch: string, frame: number): Promise<Buffer> {
  const { data } = decode((await juggle('.', 'render', sketch, '-o', '-', '--frame', String(frame))).bytes);
  const opaque = Buffer.alloc((data.length / 3) * 4, 255);
  for (let at = 0; at < data.length; at++) opaque[Math.floor(at / 3) * 4 + (at % 3)] = data[at];
  return opaque;
}

const twoWays = path.resolve('tests/fixtures/two-ways.ts');
const pages = ['shapes', 'strokes', 'gradients', 'blends', 'groups', 'texts', 'images'];

describe('the surfaces', () => {
  test.each([
    ...pages.map((name, frame) => [name, sheet, frame] as const),
    ['the demo', demo, 200] as const,
    ['text of three scripts', twoWays, 0] as const,
  ])('the raster pixels in Chromium are those in Node: %s', async (_, sketch, frame) => {
    const [{ raster }, node] = await Promise.all([drawnInPage(sketch, frame, 1), drawnInNode(sketch, frame)]);
    expect(Buffer.from(raster, 'base64').equals(node)).toBe(true);
  });

  test('a mounted sketch shows the raster’s pixels where it is asked to, frame after frame upon its trails', async () => {
    const differing = await page.evaluate(
      async ({ library, sketch }) => {
        const { Run, RasterSurface } = (await import(`/@fs${library}/index.js`)) as typeof Library;
        const { mount } = (await import(`/@fs${library}/browser/index.js`)) as typeof BrowserLibrary;
        const { default: definition } = (await import(`/@fs${sketch}`)) as { default: Library.Sketch };
        const element = document.createElement('canvas');
        const player = mount(definition, element, { surface: 'raster', autoplay: false, density: 1 });
        await player.goTo(20);
        const raster = new RasterSurface();
        await new Run(definition, { density: 1 }).drawTo(20, -1, (painted) => raster.draw(painted));
        const { data } = element.getContext('2d')!.getImageData(0, 0, element.width, element.height);
        player.stop();
        return raster.picture().data.reduce((sum, byte, at) => sum + Number(byte !== data[at]), 0);
      },
      { library: path.resolve('packages/frame-juggler/dist'), sketch: path.resolve('examples/wakes/wakes.ts') },
    );
    expect(differing).toBe(0);
  });

  // Chromium smooths edges to a quarter of a pixel only. What can differ by more than 8 is therefore a share of the
  // edges, and the smaller the finer the picture; at density 1 each page still agrees in more than 98 of 100 pixels.
  test('canvas2d agrees with the raster over the sheet of everything', async () => {
    const compare = async (density: number): Promise<Comparison[]> => {
      const results: Comparison[] = [];
      for (const frame of pages.keys()) results.push(await drawnInPage(sheet, frame, density));
      return results;
    };
    for (const { near, all } of await compare(1)) expect(near / all).toBeGreaterThan(0.98);
    const fine = await compare(3);
    const sum = (key: 'near' | 'all'): number => fine.reduce((total, result) => total + result[key], 0);
    expect(sum('near') / sum('all')).toBeGreaterThanOrEqual(0.995);
  });

  test('canvas2d draws what browsers by themselves would leave out', async () => {
    for (const frame of edges.keys()) {
      const { near, all } = await drawnInPage(path.resolve('tests/fixtures/edges.ts'), frame, 2);
      expect([frame, near / all > 0.97]).toEqual([frame, true]);
    }
  });

  test.each(['canvas2d', 'svg'])(
    'the raster and %s agree over medleys of everything',
    async (other) => {
      for (let frame = 0; frame < 40; frame++) {
        const { near, all } = await drawnInPage(path.resolve('tests/fixtures/medleys.ts'), frame, 2, other);
        expect([frame, near / all > 0.97]).toEqual([frame, true]);
      }
    },
    60_000,
  );

  test('canvas2d leaves nothing of an item’s paint and pen for the next: all at once are as one after the other', async () => {
    const differing = await page.evaluate(
      async ({ library, sketch }) => {
        const { Run } = (await import(`/@fs${library}/index.js`)) as typeof Library;
        const { Canvas2dSurface } = (await import(`/@fs${library}/browser/index.js`)) as typeof BrowserLibrary;
        const { default: definition } = (await import(`/@fs${sketch}`)) as { default: Library.Sketch };
        const run = new Run(definition);
        const surfaces = [0, 1].map(() => new Canvas2dSurface(document.createElement('canvas')));
        const [atOnce, inTurn] = surfaces;
        const found: number[] = [];
        for (let frame = 0; frame < 60; frame++) {
          await run.goTo(frame);
          const painted = await run.paint();
          atOnce.draw(painted);
          inTurn.reset();
          inTurn.draw({ ...painted, order: new Uint32Array(0) });
          for (const item of painted.order) inTurn.draw({ ...painted, order: Uint32Array.of(item), carry: 1 });
          const [one, other] = surfaces.map(
            ({ element }) => (element.getContext('2d') as CanvasRenderingContext2D).getImageData(0, 0, 160, 120).data,
          );
          if (one.some((byte, at) => byte !== other[at])) found.push(frame);
        }
        return found;
      },
      { library: path.resolve('packages/frame-juggler/dist'), sketch: path.resolve('tests/fixtures/pens.ts') },
    );
    expect(differing).toEqual([]);
  });

  // Letters are hardly more than edges: of examples that are full of them a hundredth more differs.
  test('canvas2d agrees with the raster over every example', async () => {
    for (const name of examples) {
      const sketch = path.resolve('examples', name);
      for (const [density, least] of [[1, 0.985], [2, 0.993]]) {
        const { near, all } = await drawnInPage(sketch, 100, density);
        expect([name, near / all >= least]).toEqual([name, true]);
      }
    }
  }); // prettier-ignore
});
