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
  site = await serve('node_modules/vite/bin/vite.js', 'examples/gallery');
  browser = await launch();
});
afterAll(async () => {
  await browser.close();
  site.process.kill('SIGTERM');
});

/** What the tests call in the page. */
interface Bench {
  readonly mount: typeof BrowserLibrary.mount;
  readonly buoy: Library.Sketch;
  readonly keyed: Library.Sketch;
  readonly slow: Library.Sketch;
  readonly trail: Library.Sketch;
  readonly pointing: Library.Sketch;
  readonly painted: { count: number };
  readonly pointed: { at: number[] };
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
    // It leaves a mark in its second frame.
    const slow = defineSketch({
      carry: 1,
      paint(canvas, { frame }) {
        painted.count++;
        if (frame === 1) canvas.rect({ from: [0, 0], to: [320, 360], fill: 'teal' });
        for (const end = performance.now() + 5; performance.now() < end;);
      },
    });
    const trail = defineSketch({
      canvas: { width: 120, height: 80, background: 'navy' }, carry: 0.9,
      paint(canvas, { frame }) {
        painted.count++;
        canvas.circle({ at: [frame % 120, 40], radius: 10, fill: frame % 2 === 0 ? 'white' : 'crimson' });
      },
    }); // prettier-ignore
    const pointed = { at: [] as number[] };
    const pointing = defineSketch({ canvas: { width: 200, height: 100 }, paint: (_, { pointer }) => void (pointed.at = [pointer.x, pointer.y]) }); // prettier-ignore
    Object.assign(globalThis, {
      bench: { mount, buoy, keyed, pointing, slow, trail, painted, pointed } satisfies Bench,
    });
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

/** Pixels of the picture, as they were drawn and as they are on the screen. */
async function sharpness(): Promise<{ shown: unknown; kept: unknown }> {
  const screen = `data:image/png;base64,${(await page.screenshot()).toString('base64')}`;
  return page.evaluate(async (url) => {
    const canvas = document.querySelector('canvas')!;
    const [box, style] = [canvas.getBoundingClientRect(), getComputedStyle(canvas)];
    const density = devicePixelRatio;
    const image = await createImageBitmap(await (await fetch(url)).blob());
    const area = new OffscreenCanvas(image.width, image.height);
    const context = area.getContext('2d')!;
    context.drawImage(image, 0, 0);
    const [left, top] = style.objectPosition.split(' ').map((part, i) => {
      const room = i === 0 ? box.width - canvas.width / density : box.height - canvas.height / density;
      return part.endsWith('%') ? room / 2 : parseFloat(part);
    });
    const x = Math.round((box.left + Math.max(0, left)) * density);
    const y = Math.round((box.top + Math.max(0, top)) * density);
    const from = { x: Math.round(Math.max(0, -left) * density), y: Math.round(Math.max(0, -top) * density) };
    const [width, height] = [Math.min(canvas.width, Math.round(box.width * density)) - 2, Math.min(canvas.height, Math.round(box.height * density)) - 2]; // prettier-ignore
    const sum = (data: Uint8ClampedArray): number[] => {
      let [all, weighted] = [0, 0];
      for (let i = 0; i < data.length; i++) {
        all += data[i];
        weighted = (weighted * 31 + data[i]) % 1e9;
      }
      return [all, weighted];
    };
    const shown = sum(context.getImageData(x, y, width, height).data);
    const kept = sum(canvas.getContext('2d')!.getImageData(from.x, from.y, width, height).data);
    return { shown, kept };
  }, screen);
}

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

  test.each([
    ['contain', 300, 200, 300, 200, { left: 0, top: 0 }],
    ['contain', 301, 131, 197, 131, { left: 52, top: 0 }],
    ['cover', 301, 131, 301, 201, { left: 0, top: -35 }],
  ] as const)(
    'with fit %s in %i × %i it has the pixels of the screen, whole ones, and follows',
    async (fit, width, height, wide, high, at) => {
      await scene(`<div style="width: 10px; height: 10px"></div>`);
      await page.evaluate((how) => {
        const { mount, buoy } = (globalThis as unknown as { bench: Bench }).bench;
        Object.assign(globalThis, { player: mount(buoy, 'div', { fit: how }) });
      }, fit);
      for (const density of [1, 1.5, 2, 3]) {
        await session.send('Emulation.setDeviceMetricsOverride', { width: 800, height: 600, deviceScaleFactor: density, mobile: false }); // prettier-ignore
        await page.$eval('div', (element, [w, h]) => Object.assign(element.style, { width: `${w}px`, height: `${h}px` }), [width, height]); // prettier-ignore
        // A pixel of the screen more or less is what its box was rounded to.
        await page.waitForFunction(([w, h]) => { const { width, height } = document.querySelector('canvas')!; return Math.abs(width - w) < 3 && Math.abs(height - h) < 3; }, [wide * density, high * density]); // prettier-ignore
        await page.evaluate(() => (globalThis as unknown as { player: BrowserLibrary.Player }).player.advance());
        const { shown, kept } = await sharpness();
        expect(shown).toEqual(kept);
        // Chromium tells of an emulated density to nobody; a sketch that plays sees it for itself.
        await page.evaluate(() => (globalThis as unknown as { player: BrowserLibrary.Player }).player.play());
        const place = await page.$eval('canvas', (element) => getComputedStyle(element).objectPosition.split(' ').map(parseFloat)); // prettier-ignore
        expect(Math.abs(place[0] - at.left)).toBeLessThanOrEqual(1);
        expect(Math.abs(place[1] - at.top)).toBeLessThanOrEqual(1);
      }
      await page.evaluate(() => (globalThis as unknown as { player: BrowserLibrary.Player }).player.stop());
      expect(await page.$eval('div', (element) => element.childElementCount)).toBe(0);
    },
  );

  test.each([
    ['none', 'width: 200px; padding: 20px', [100, 50]],
    ['contain', 'width: 400px; height: 400px', [100, 50]],
    ['cover', 'width: 300px; height: 300px; transform: rotate(30deg) scale(0.7, 1.1)', [100, 50]],
    ['contain', 'width: 400px; height: 100px; transform: rotate(90deg) skewX(20deg)', [100, 50]],
  ] as const)('the pointer is right with fit %s under %s', async (fit, css, at) => {
    await scene(`<div style="margin: 60px; ${css}"></div>`);
    await page.evaluate(async (how) => {
      const { mount, pointing } = (globalThis as unknown as { bench: Bench }).bench;
      const player = mount(pointing, 'div', { fit: how });
      await player.goTo(2);
      Object.assign(globalThis, { player });
    }, fit);
    // The middle of a box is the middle of its picture, whatever it went through.
    const box = (await page.locator('canvas').boundingBox())!;
    const pointed = async (): Promise<number[]> => {
      await page.waitForTimeout(150);
      return page.evaluate(() => (globalThis as unknown as { bench: Bench }).bench.pointed.at);
    };
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
    const [x, y] = await pointed();
    expect(Math.abs(x - at[0])).toBeLessThan(2);
    expect(Math.abs(y - at[1])).toBeLessThan(2);
    if (css.includes('rotate')) return;
    await page.mouse.move(box.x + box.width / 2 + 40, box.y + box.height / 2 + 10);
    const unit = fit === 'none' ? 1 : 2;
    const [besideX, besideY] = await pointed();
    expect(Math.abs(besideX - at[0] - 40 / unit)).toBeLessThan(2);
    expect(Math.abs(besideY - at[1] - 10 / unit)).toBeLessThan(2);
  });

  test('plays by a button where it rests, fills the screen, and tells what happens', async () => {
    await page.emulateMedia({ reducedMotion: 'reduce' });
    await scene('<div style="width: 400px"></div>');
    await page.evaluate(() => {
      const { mount, buoy } = (globalThis as unknown as { bench: Bench }).bench;
      const player = mount(buoy, 'div');
      const heard = new Set<string>();
      player.addEventListener('frame', () => heard.add('frame'));
      player.addEventListener('error', (event) => {
        event.preventDefault();
        heard.add(event.detail.message);
      });
      Object.assign(globalThis, { player, heard });
    });
    const button = page.getByRole('button', { name: 'Play Buoy' });
    await button.waitFor();
    const [place, canvas] = [(await button.boundingBox())!, (await page.locator('canvas').boundingBox())!];
    expect(place.x + place.width / 2).toBeCloseTo(canvas.x + canvas.width / 2, 0);
    expect(place.y + place.height / 2).toBeCloseTo(canvas.y + canvas.height / 2, 0);
    await button.press('Enter');
    await expect(button.count()).resolves.toBe(0);
    await page.waitForFunction(() => (globalThis as unknown as { player: BrowserLibrary.Player }).player.frame > 105);
    await page.evaluate(() => void (globalThis as unknown as { player: BrowserLibrary.Player }).player.setDial('swell' as never, 3 as never)); // prettier-ignore
    await page.waitForFunction(() => (globalThis as unknown as { heard: Set<string> }).heard.size === 2);
    expect(await page.evaluate(() => [...(globalThis as unknown as { heard: Set<string> }).heard])).toEqual(['frame', expect.stringContaining('there is no dial')]); // prettier-ignore
    await page.keyboard.press('Tab');
    await page.evaluate(() => (globalThis as unknown as { player: BrowserLibrary.Player }).player.fullScreen());
    await page.waitForFunction(() => document.querySelector('canvas')!.width > 700);
    const { shown, kept } = await sharpness();
    expect(shown).toEqual(kept);
    await page.evaluate(() => (globalThis as unknown as { player: BrowserLibrary.Player }).player.fullScreen());
    await page.waitForFunction(() => document.fullscreenElement === null);
    await page.evaluate(() => (globalThis as unknown as { player: BrowserLibrary.Player }).player.stop());
    expect(await page.innerHTML('div')).toBe('');
  });

  test('leaves the page awake on a long way, and ends it when it is stopped', async () => {
    await scene('<div></div>');
    const seen = await page.evaluate(async () => {
      const { mount, slow, painted } = (globalThis as unknown as { bench: Bench }).bench;
      const player = mount(slow, 'div', { autoplay: false });
      await player.ready;
      let ticks = 0;
      const timer = setInterval(() => ticks++);
      await player.goTo(150);
      const way = [ticks, painted.count];
      void player.goTo(4000);
      await new Promise((resolve) => setTimeout(resolve, 200));
      player.stop();
      const { count } = painted;
      await new Promise((resolve) => setTimeout(resolve, 300));
      clearInterval(timer);
      return { ticks: way[0], painted: way[1], after: painted.count - count };
    });
    expect(seen.painted).toBe(151);
    // Each picture takes five milliseconds; a page that sleeps all the way does nothing else in between.
    expect(seen.ticks).toBeGreaterThan(30);
    expect(seen.after).toBeLessThan(5);
  });

  test('on its way to a far frame, paints what is still to be seen there of its trails, and nothing else', async () => {
    await scene('<div></div>');
    const [differing, count] = await page.evaluate(async () => {
      const { mount, trail, painted } = (globalThis as unknown as { bench: Bench }).bench;
      const [one, other] = [0, 1].map(() => mount(trail, 'div', { autoplay: false, density: 1 }));
      await Promise.all([one.ready, other.ready]);
      for (let frame = 1; frame <= 400; frame++) await one.goTo(frame);
      painted.count = 0;
      await other.goTo(400);
      const pixels = ({ element }: BrowserLibrary.Player): string =>
        element.getContext('2d')!.getImageData(0, 0, 120, 80).data.join();
      const { count } = painted;
      const there = pixels(one) === pixels(other);
      await Promise.all([one.setDensity(2), other.setDensity(2)]);
      await Promise.all([one.setDensity(1), other.setDensity(1)]);
      return [[there, pixels(one) === pixels(other)], count];
    });
    expect(differing).toEqual([true, true]);
    expect(count).toBeGreaterThan(10);
    expect(count).toBeLessThan(60);
  });

  test('keeps its trails at another density, scaled, where it would take long to draw them all again', async () => {
    await scene('<div></div>');
    const seen = await page.evaluate(async () => {
      const { mount, slow, painted } = (globalThis as unknown as { bench: Bench }).bench;
      const player = mount(slow, 'div', { autoplay: false, density: 1 });
      await player.goTo(500);
      painted.count = 0;
      await player.setDensity(2);
      await player.advance();
      const colorAt = (x: number): number[] => [...player.element.getContext('2d')!.getImageData(x, 100, 1, 1).data];
      return [painted.count, player.element.width, colorAt(600), colorAt(680)];
    });
    expect(seen).toEqual([1, 1280, [0, 128, 128, 255], [255, 255, 255, 255]]);
  });

  test('plays in a frame within the page; what is no place for it is told so', async () => {
    await scene('<iframe></iframe>');
    const seen = await page.evaluate(async () => {
      const { mount, buoy } = (globalThis as unknown as { bench: Bench }).bench;
      const inner = document.querySelector('iframe')!.contentDocument!;
      inner.body.innerHTML = '<div></div><canvas></canvas>';
      const players = [...inner.body.children].map((element) => mount(buoy, element, { autoplay: false }));
      const ready = await Promise.all(players.map((player) => player.ready));
      const said = ['#nowhere', '#1', null].map((target) => {
        try {
          return mount(buoy, target as string);
        } catch (error) {
          return (error as Error).message.replace(/ \(.*/, '');
        }
      });
      return [ready, inner.querySelectorAll('canvas').length, ...said];
    });
    const expected = 'expected an element, or a selector of one';
    expect(seen).toEqual([
      [true, true],
      2,
      `mount: target "#nowhere" is not an element of this page; ${expected}`,
      `mount: target "#1" is not a selector; ${expected}`,
      `mount: target null is not an element of this page; ${expected}`,
    ]);
  });

  test("its calls are a button's as they are", async () => {
    await scene('<div></div><button>Rest</button>');
    const seen = await page.evaluate(async () => {
      const { mount, buoy } = (globalThis as unknown as { bench: Bench }).bench;
      const player = mount(buoy, 'div');
      const button = document.querySelector('button')!;
      button.onclick = player.pause;
      button.click();
      const { restart, advance, back, playing } = player;
      await restart();
      for (let i = 0; i < 3; i++) await advance();
      await back();
      return [playing, player.frame];
    });
    expect(seen).toEqual([false, 2]);
  });

  test('of twelve on a page, those off the screen paint nothing, and all that play are in step', async () => {
    await scene('<div></div>'.repeat(12));
    const counts = await page.evaluate(async () => {
      const { mount, buoy } = (globalThis as unknown as { bench: Bench }).bench;
      const divs = [...document.querySelectorAll('div')];
      for (const div of divs) Object.assign(div.style, { height: '280px', overflow: 'hidden' });
      const shown = divs.map(() => 0);
      const steps: string[] = [];
      const players = divs.map((div, i) => mount(buoy, div, { onFrame: () => shown[i]++ }));
      await Promise.all(players.map((player) => player.goTo(0)));
      await new Promise((resolve) => setTimeout(resolve, 300));
      const before = [...shown];
      for (let i = 0; i < 20; i++) {
        await new Promise(requestAnimationFrame);
        await new Promise((resolve) => setTimeout(resolve));
        steps.push(String(players[0].frame - players[1].frame));
      }
      return { more: shown.map((count, i) => count - before[i]), steps };
    });
    expect(counts.more[0]).toBeGreaterThan(3);
    expect(counts.more.slice(3)).toEqual(Array(9).fill(0));
    expect(new Set(counts.steps).size).toBe(1);
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
  });
});
