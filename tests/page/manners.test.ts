import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import path from 'node:path';
import type { Browser, CDPSession, Page } from 'playwright-core';
import type * as Library from '../../packages/frame-juggler/src/index.ts';
import type * as BrowserLibrary from '../../packages/frame-juggler/src/browser/index.ts';
import { launch, serve } from './browser.ts';

let browser: Browser;
let page: Page;
let session: CDPSession;
let site: Awaited<ReturnType<typeof serve>>;

beforeAll(async () => {
  site = await serve('node_modules/vite/bin/vite.js', 'examples/page');
  browser = await launch();
}, 60_000);
afterAll(async () => {
  await browser.close();
  site.process.kill('SIGTERM');
});

/** What the tests call in the page. */
interface Bench {
  readonly mount: typeof BrowserLibrary.mount;
  readonly buoy: Library.Sketch;
  readonly keyed: Library.Sketch;
  readonly painted: { count: number };
}

beforeEach(async () => {
  await page?.close();
  page = await browser.newPage({ viewport: { width: 800, height: 600 } });
  session = await page.context().newCDPSession(page);
  await page.goto(`${site.url}vite.config.js`);
  await page.evaluate(async (library) => {
    const { defineSketch } = (await import(`/@fs${library}/index.js`)) as typeof Library;
    const { mount } = (await import(`/@fs${library}/browser/index.js`)) as typeof BrowserLibrary;
    const painted = { count: 0 };
    const buoy = defineSketch({
      title: 'Buoy', canvas: { width: 120, height: 80, background: 'navy' }, duration: 4, frameRate: 50,
      paint(canvas, { seconds }) {
        painted.count++;
        canvas.circle({ at: [20 + 20 * seconds, 40], radius: 10, fill: 'white' });
      },
    }); // prettier-ignore
    const keyed = defineSketch({ paint: (canvas, { keys }) => void (keys.down('ArrowDown') && canvas.dot({ at: [9, 9] })) }); // prettier-ignore
    Object.assign(globalThis, { bench: { mount, buoy, keyed, painted } satisfies Bench });
    document.body.innerHTML = '';
    document.documentElement.style.height = '3000px';
  }, path.resolve('packages/frame-juggler/dist'));
});

/** The canvas as the page shows it: its box, and its pixels. */
const sizes = (): Promise<number[]> =>
  page.$eval('canvas', (element) => {
    const { width, height } = element.getBoundingClientRect();
    return [width, height, element.width, element.height];
  });

const scene = (html: string): Promise<void> => page.evaluate((text) => void (document.body.innerHTML = text), html);

describe('a mounted sketch', () => {
  test.each([
    ['without a size', '<canvas></canvas>', [120, 80]],
    ['with one by style', '<canvas style="width: 300px; height: 200px"></canvas>', [300, 200]],
    ['with one by the page', '<style>canvas { width: 240px }</style><canvas width="7"></canvas>', [240, 160]],
    ['with attributes', '<canvas width="640" height="360"></canvas>', [120, 80]],
  ])('keeps the size of a canvas of one’s own, %s, at any density, and leaves it as it was', async (_, html, [width, height]) => {
    await scene(html);
    const before = await page.innerHTML('body');
    for (const density of [1, 1.5, 2, 3]) {
      await page.evaluate(async (pixels) => {
        const { mount, buoy } = (globalThis as unknown as { bench: Bench }).bench;
        const player = mount(buoy, 'canvas', { density: pixels, autoplay: false });
        await player.goTo(3);
        Object.assign(globalThis, { player });
      }, density);
      expect(await sizes()).toEqual([width, height, 120 * density, 80 * density]);
      expect(await page.$eval('canvas', (element) => [element.getAttribute('role'), element.getAttribute('aria-label')])).toEqual(['img', 'Buoy']);
      await page.evaluate(() => (globalThis as unknown as { player: BrowserLibrary.Player }).player.stop());
      expect(await page.innerHTML('body')).toBe(before);
    }
  }); // prettier-ignore

  test('has the pixels of the screen, also after that changes', async () => {
    await scene('<div></div>');
    await page.evaluate(() => {
      const { mount, buoy } = (globalThis as unknown as { bench: Bench }).bench;
      mount(buoy, 'div');
    });
    for (const density of [1, 2, 1.5, 3, 1]) {
      await session.send('Emulation.setDeviceMetricsOverride', { width: 800, height: 600, deviceScaleFactor: density, mobile: false }); // prettier-ignore
      await page.waitForFunction((wide) => document.querySelector('canvas')!.width === wide, 120 * density);
      expect(await sizes()).toEqual([120, 80, 120 * density, 80 * density]);
    }
  });

  test('rests while it is off the screen, and goes on from there', async () => {
    await scene('<div style="margin-top: 2000px"></div>');
    const painted = (): Promise<number> =>
      page.evaluate(() => (globalThis as unknown as { bench: Bench }).bench.painted.count);
    await page.evaluate(() => {
      const { mount, buoy } = (globalThis as unknown as { bench: Bench }).bench;
      Object.assign(globalThis, { player: mount(buoy, 'div') });
    });
    await page.waitForTimeout(1200);
    const hidden = await painted();
    await page.waitForTimeout(400);
    expect((await painted()) - hidden).toBe(0);
    await page.evaluate(() => scrollTo(0, 1800));
    await page.waitForTimeout(500);
    expect((await painted()) - hidden).toBeGreaterThan(5);
    // Time that went by unseen is not made up for.
    expect(await page.evaluate(() => (globalThis as unknown as { player: BrowserLibrary.Player }).player.seconds)).toBeLessThan(1); // prettier-ignore
  });

  test('shows a frame at rest to whom wants little motion, and plays when it is told', async () => {
    await page.emulateMedia({ reducedMotion: 'reduce' });
    await scene('<div></div>');
    const state = await page.evaluate(async () => {
      const { mount, buoy } = (globalThis as unknown as { bench: Bench }).bench;
      const player = mount(buoy, 'div');
      // Whatever is asked of it comes after that frame.
      await player.setDensity(1);
      const resting = [player.playing, player.frame];
      player.play();
      await new Promise((resolve) => setTimeout(resolve, 300));
      return [...resting, player.playing, player.frame > 100];
    });
    expect(state).toEqual([false, 100, true, true]);
  });

  test('keeps the keys that it uses from scrolling the page, and can have the keyboard', async () => {
    await scene('<div id="a"></div><input>');
    const mounted = (name: 'buoy' | 'keyed'): Promise<void> =>
      page.evaluate(async (which) => {
        const { bench, player } = globalThis as unknown as { bench: Bench; player?: BrowserLibrary.Player };
        player?.stop();
        const next = bench.mount(bench[which], '#a', { autoplay: false });
        await next.goTo(0);
        Object.assign(globalThis, { player: next });
      }, name);
    await mounted('buoy');
    await page.keyboard.press('ArrowDown');
    await page.waitForFunction(() => scrollY > 0);
    await page.evaluate(() => scrollTo(0, 0));
    await mounted('keyed');
    await page.keyboard.press('Tab');
    expect(await page.evaluate(() => document.activeElement?.tagName)).toBe('CANVAS');
    // Having it may scroll it into view.
    await page.waitForTimeout(600);
    const place = await page.evaluate(() => scrollY);
    await page.keyboard.press('ArrowDown');
    await page.keyboard.press('PageDown');
    await page.waitForTimeout(300);
    expect(await page.evaluate(() => scrollY)).toBe(place);
  });

  test('takes the place of another on its canvas, and 200 of them leave nothing behind', async () => {
    await scene('<div></div>');
    const counts = async (): Promise<Record<string, number>> => {
      // What one collection frees lets go of more.
      for (let round = 0; round < 4; round++) {
        await session.send('HeapProfiler.collectGarbage');
        await page.waitForTimeout(100);
      }
      const { metrics } = await session.send('Performance.getMetrics');
      const of = (name: string): number => metrics.find((each) => each.name === name)!.value;
      return { canvases: await page.locator('canvas').count(), listeners: of('JSEventListeners'), nodes: of('Nodes'), heap: of('JSHeapUsedSize') }; // prettier-ignore
    };
    const cycles = (count: number): Promise<void> =>
      page.evaluate(async (times) => {
        const { mount, buoy } = (globalThis as unknown as { bench: Bench }).bench;
        for (let i = 0; i < times; i++) {
          const player = mount(buoy, 'div');
          await player.goTo(2);
          player.stop();
        }
      }, count);
    await session.send('Performance.enable');
    await cycles(20);
    const before = await counts();
    await cycles(200);
    const after = await counts();
    expect(after.canvases).toBe(0);
    expect(after.listeners).toBeLessThan(before.listeners + 50);
    expect(after.nodes).toBeLessThanOrEqual(before.nodes + 10);
    expect(after.heap).toBeLessThan(before.heap + 1e6);
    await scene('<canvas></canvas>');
    const frames = await page.evaluate(async () => {
      const { mount, buoy } = (globalThis as unknown as { bench: Bench }).bench;
      const first = mount(buoy, 'canvas');
      const second = mount(buoy, 'canvas', { autoplay: false });
      await second.goTo(7);
      const at = first.frame;
      await new Promise((resolve) => setTimeout(resolve, 200));
      return [first.playing, first.frame - at, second.frame];
    });
    expect(frames).toEqual([false, 0, 7]);
  }, 60_000);
});
