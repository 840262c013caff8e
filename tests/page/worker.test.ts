import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import { execFileSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import type { Server } from 'node:http';
import path from 'node:path';
import fc from 'fast-check';
import type { Browser, Page } from 'playwright-core';
import type * as BrowserLibrary from '../../packages/frame-juggler/src/browser/index.ts';
import { launch, serveFolder, until } from './browser.ts';

/* A page as somebody would write it, built with Vite: the same sketch, once in the page and once in a worker. */

const files = {
  'index.html': '<!doctype html><title>Quay</title><main></main><script type="module" src="./main.js"></script>',
  'harbor.js': `import { defineSketch, dial } from 'frame-juggler';
export default defineSketch({
  title: 'Wake', canvas: { width: 120, height: 80, background: '#24506a' }, frameRate: 50, duration: 4, carry: 0.8,
  dials: { size: dial.number(8, { min: 2, max: 30 }), lamp: dial.color('#f1b64e') },
  start: () => ({ x: 0, steps: 0 }),
  step(state, { pointer }) { state.steps++; state.x = pointer.inside ? pointer.x : state.x + 1; },
  paint(canvas, { dials, random }, { x }) {
    canvas.circle({ at: [x, random.between(20, 60)], radius: dials.size, fill: dials.lamp });
    canvas.text('quay', { at: [60, 70], size: 12, fill: 'white' });
  },
});`,
  'heavy.js': `import { defineSketch } from 'frame-juggler';
const busy = (ms) => { for (const end = performance.now() + ms; performance.now() < end;); };
export default defineSketch({ frameRate: 50, step() { busy(40); }, paint(canvas, { frame }) { if (frame === 30) canvas.circle({ at: [1, 1], radios: 2 }); } });`,
  // A pen that draws upon the last picture: what it has drawn is nowhere else.
  'pen.js': `import { defineSketch, dial } from 'frame-juggler';
export default defineSketch({
  title: 'Pen', canvas: { width: 120, height: 80 }, frameRate: 60, carry: 1,
  dials: { ink: dial.color('teal') },
  paint(canvas, { pointer, dials }) {
    if (pointer.down) canvas.circle({ at: pointer, radius: 6, fill: dials.ink });
  },
});`,
  // Each dial is read elsewhere: as it starts, at every step, in every picture.
  'buoys.js': `import { defineSketch, dial } from 'frame-juggler';
const buoys = (carry) => defineSketch({
  canvas: { width: 120, height: 80, background: '#24506a' }, frameRate: 50, duration: 1, carry,
  dials: { count: dial.number(3, { min: 1, max: 9 }), wind: dial.number(1, { min: -4, max: 4 }), tint: dial.color('teal') },
  start: ({ random, dials }) => random.times(dials.count, () => random.point([120, 80])),
  step(buoys, { random, dials }) { for (const at of buoys) { at.x += dials.wind; at.y += random.between(-3, 3); } },
  paint(canvas, { dials }, buoys) { for (const at of buoys) canvas.circle({ at, radius: 7, fill: dials.tint }); },
});
export default [buoys(0), buoys(0.8), buoys(1)];`,
  'pen.worker.js': "import { perform } from 'frame-juggler/worker';\nimport pen from './pen.js';\nperform(pen);\n",
  'buoys-0.worker.js':
    "import { perform } from 'frame-juggler/worker';\nimport buoys from './buoys.js';\nperform(buoys[0]);\n",
  'buoys-1.worker.js':
    "import { perform } from 'frame-juggler/worker';\nimport buoys from './buoys.js';\nperform(buoys[1]);\n",
  'buoys-2.worker.js':
    "import { perform } from 'frame-juggler/worker';\nimport buoys from './buoys.js';\nperform(buoys[2]);\n",
  'harbor.worker.js':
    "import { perform } from 'frame-juggler/worker';\nimport harbor from './harbor.js';\nperform(harbor);\n",
  'heavy.worker.js':
    "import { perform } from 'frame-juggler/worker';\nimport heavy from './heavy.js';\nperform(heavy);\n",
  'broken.worker.js': "import { perform } from 'frame-juggler/worker';\nperform({ paint() {} });\n",
  'vite.config.js': "export default { base: './', worker: { format: 'es' } };\n",
  'main.js': `import { mount, mountWorker } from 'frame-juggler/browser';
import harbor from './harbor.js';
import pen from './pen.js';
import buoys from './buoys.js';
const workers = {
  buoys0: () => new Worker(new URL('./buoys-0.worker.js', import.meta.url), { type: 'module' }),
  buoys1: () => new Worker(new URL('./buoys-1.worker.js', import.meta.url), { type: 'module' }),
  buoys2: () => new Worker(new URL('./buoys-2.worker.js', import.meta.url), { type: 'module' }),
  pen: () => new Worker(new URL('./pen.worker.js', import.meta.url), { type: 'module' }),
  harbor: () => new Worker(new URL('./harbor.worker.js', import.meta.url), { type: 'module' }),
  heavy: () => new Worker(new URL('./heavy.worker.js', import.meta.url), { type: 'module' }),
  broken: () => new Worker(new URL('./broken.worker.js', import.meta.url), { type: 'module' }),
};
globalThis.bench = { mount, mountWorker, harbor, pen, buoys, workers };`,
};

interface Bench {
  readonly mount: typeof BrowserLibrary.mount;
  readonly mountWorker: typeof BrowserLibrary.mountWorker;
  readonly harbor: Parameters<typeof BrowserLibrary.mount>[0];
  readonly buoys: readonly Parameters<typeof BrowserLibrary.mount>[0][];
  readonly pen: Parameters<typeof BrowserLibrary.mount>[0];
  readonly workers: Readonly<Record<'harbor' | 'heavy' | 'broken' | 'pen' | `buoys${0 | 1 | 2}`, () => Worker>>;
}

mkdirSync('out', { recursive: true });
const folder = path.resolve(mkdtempSync('out/worker-'));
let browser: Browser;
let page: Page;
let server: Server;
let address: string;
beforeAll(async () => {
  for (const [name, text] of Object.entries(files)) writeFileSync(path.join(folder, name), text);
  execFileSync(process.execPath, ['node_modules/vite/bin/vite.js', 'build', folder, '--logLevel', 'error']);
  ({ server, address } = await serveFolder(path.join(folder, 'dist')));
  browser = await launch();
});
afterAll(async () => {
  await browser.close();
  server.close();
  rmSync(folder, { recursive: true });
});
beforeEach(async () => {
  await page?.close();
  page = await browser.newPage({ viewport: { width: 800, height: 600 } });
  await page.goto(`${address}/`);
  await page.waitForFunction(() => 'bench' in globalThis);
});

test.each(['canvas2d', 'raster'] as const)(
  'draws what the page would, frame after frame upon its trails: %s',
  async (surface) => {
    const differing = await page.evaluate(async (surface) => {
      const { mount, mountWorker, harbor, workers } = (globalThis as unknown as { bench: Bench }).bench;
      const options = { autoplay: false, density: 2, seed: 5, dials: { size: 12 }, surface } as const;
      const here = mount(harbor, 'main', options);
      const there = await mountWorker(workers.harbor(), 'main', options);
      const pixels = (element: HTMLCanvasElement): Uint8ClampedArray =>
        element.getContext('2d')!.getImageData(0, 0, element.width, element.height).data;
      const counts: number[] = [];
      for (const frame of [0, 7, 8, 3]) {
        await Promise.all([here.goTo(frame), there.goTo(frame)]);
        const [one, other] = [pixels(here.element), pixels(there.element)];
        counts.push(
          one.reduce((sum, byte, at) => sum + Number(byte !== other[at]), Math.abs(one.length - other.length)),
        );
      }
      await there.setDial('size', 20);
      await here.setDial('size', 20);
      const [one, other] = [pixels(here.element), pixels(there.element)];
      counts.push(one.reduce((sum, byte, at) => sum + Number(byte !== other[at]), 0));
      const told = [there.frame, there.seed, there.dials.size, there.dials.lamp, there.sketch.title, there.element.getAttribute('aria-label')]; // prettier-ignore
      return { counts, told };
    }, surface);
    expect(differing).toEqual({ counts: [0, 0, 0, 0, 0], told: [3, 5, 20, '#f1b64e', 'Wake', 'Wake'] });
  },
);

test('the page stays awake, and says what goes wrong with the sketch’s own line and frame', async () => {
  const { ticks, said, frame } = await page.evaluate(async () => {
    const { mountWorker, workers } = (globalThis as unknown as { bench: Bench }).bench;
    const said: string[] = [];
    const player = await mountWorker(workers.heavy(), 'main', { autoplay: false, onError: ({ message }) => said.push(message) }); // prettier-ignore
    await player.ready;
    let ticks = 0;
    let counting = true;
    const count = (): void => {
      ticks++;
      if (counting) requestAnimationFrame(count);
    };
    count();
    // A second of steps, in each of which a page would hold still.
    await player.goTo(25);
    counting = false;
    await player.goTo(30);
    return { ticks, said, frame: player.frame };
  });
  // Had the page run it, there would have been one tick, or one for each breath of a long way.
  expect(ticks).toBeGreaterThan(30);
  expect(said).toEqual([expect.stringMatching(/^circle: there is no option "radios"; did you mean "radius"\? \(.*frame 30\)$/)]); // prettier-ignore
  expect(frame).toBe(30);
});

test('pointer and dials reach it, and it plays', async () => {
  await page.evaluate(async () => {
    const { mountWorker, workers } = (globalThis as unknown as { bench: Bench }).bench;
    Object.assign(globalThis, { player: await mountWorker(workers.harbor(), 'main', { controls: true }) });
  });
  const colorAt = (x: number, y: number): Promise<number[]> =>
    page.$eval('canvas', (element, [x, y]) => [...element.getContext('2d')!.getImageData(x, y, 1, 1).data], [x, y] as const); // prettier-ignore
  await until(() => page.evaluate(() => (globalThis as unknown as { player: BrowserLibrary.Player }).player.frame > 3), true); // prettier-ignore
  const box = (await page.locator('canvas').boundingBox())!;
  await page.evaluate(() => (globalThis as unknown as { player: BrowserLibrary.Player }).player.setDial('size', 30));
  await page.mouse.move(box.x + 100, box.y + 40);
  await until(() => colorAt(100, 40), [241, 182, 78, 255]);
  expect(await page.getByLabel('size').count()).toBeGreaterThan(0);
});

test('two hundred times mounted and stopped leave nothing: no worker, no canvas; one that fails is ended too', async () => {
  const rounds = 200;
  const left = await page.evaluate(async (rounds) => {
    const { mountWorker, workers } = (globalThis as unknown as { bench: Bench }).bench;
    for (let i = 0; i < rounds; i++) (await mountWorker(workers.harbor(), 'main', { autoplay: i % 2 === 0 })).stop();
    const failures = await Promise.all([
      mountWorker(workers.broken(), 'main').catch((error: Error) => error.message),
      mountWorker(workers.harbor(), '#nowhere').catch((error: Error) => error.message),
      mountWorker(workers.harbor(), 'main', { widht: 3 } as object).catch((error: Error) => error.message),
      mountWorker(workers.harbor(), 'main', { dials: { size: 99 } }).catch((error: Error) => error.message),
    ]);
    return { failures, html: document.querySelector('main')!.innerHTML };
  }, rounds);
  expect(left.html).toBe('');
  expect(left.failures).toEqual([
    expect.stringContaining('is no sketch'),
    expect.stringContaining('is not an element of this page'),
    expect.stringContaining('there is no option "widht"; did you mean "width"?'),
    expect.stringContaining('99 is out of range'),
  ]);
  await until(() => Promise.resolve(page.workers().length), 0);
});

describe.each([true, false])('what was drawn by hand stays; in a worker: %s', (inWorker) => {
  type Held = { readonly player: BrowserLibrary.Player };
  const player = <Value>(job: (player: BrowserLibrary.Player) => Value): Promise<Awaited<Value>> =>
    page.evaluate(`(${String(job)})(globalThis.player)`) as Promise<Awaited<Value>>;
  /** The colors at three places, in fractions of the picture. */
  const marks = (): Promise<string[]> =>
    page.$eval('canvas', (element) => {
      const names: Record<string, string> = { '0,128,128': 'teal', '220,20,60': 'crimson', '255,255,255': '-' };
      return [0.2, 0.5, 0.8].map((x) => {
        const data = element.getContext('2d')!.getImageData(x * element.width, element.height / 2, 1, 1).data;
        return names[[...data.slice(0, 3)].join()] ?? [...data].join();
      });
    });
  const draw = async (x: number): Promise<void> => {
    const box = (await page.locator('canvas').boundingBox())!;
    await page.mouse.move(box.x + x * box.width, box.y + box.height / 2);
    await page.mouse.down();
    // However slow the machine is: until it is drawn.
    await until(async () => (await marks())[[0.2, 0.5, 0.8].indexOf(x)] !== '-', true);
    await page.mouse.up();
    await page.mouse.move(700, 500);
    const { frame } = await player(({ frame }) => ({ frame }));
    await until(() => player(({ frame }) => frame).then((now) => now > frame + 2), true);
  };

  beforeEach(async () => {
    await page.evaluate(async (inWorker) => {
      const { mount, mountWorker, pen, workers } = (globalThis as unknown as { bench: Bench }).bench;
      const player = inWorker ? await mountWorker(workers.pen(), 'main') : mount(pen, 'main');
      Object.assign(globalThis, { player } satisfies Held);
      await player.ready;
    }, inWorker);
    await draw(0.2);
    await player((player) => player.setDial('ink', 'crimson'));
    await draw(0.5);
    await player((player) => player.pause());
  });

  test('when the picture gets another size, when it is looked back at, and when the ink is changed', async () => {
    expect(await marks()).toEqual(['teal', 'crimson', '-']);
    await player((player) => player.setDensity(2));
    expect(await page.$eval('canvas', ({ width }) => width)).toBe(240);
    expect(await marks()).toEqual(['teal', 'crimson', '-']);
    await player((player) => player.back());
    expect(await marks()).toEqual(['teal', 'crimson', '-']);
    await player((player) => player.setDial('ink', 'teal'));
    expect(await marks()).toEqual(['teal', 'crimson', '-']);
    await player((player) => player.play());
    await draw(0.8);
    expect(await marks()).toEqual(['teal', 'crimson', 'teal']);
  });

  test('until one goes back and plays from there, or begins again; a track tells all of it', async () => {
    const drawn = await player((player) => player.frame);
    const track = await player((player) => player.track());
    expect(track.events).toContainEqual({ frame: 0, type: 'dial', name: 'ink', value: 'teal' });
    expect(track.events.filter(({ type }) => type === 'press')).toHaveLength(2);
    await player((player) => player.goTo(2));
    expect(await marks()).toEqual(['-', '-', '-']);
    await player((player) => player.goTo(200));
    expect(await marks()).toEqual(['teal', 'crimson', '-']);
    await player((player) => player.goTo(2));
    await player((player) => player.play());
    await until(() => player((player) => player.frame > 60), true);
    expect(drawn).toBeGreaterThan(20);
    expect(await marks()).toEqual(['-', '-', '-']);
    await player((player) => player.restart());
    expect((await player((player) => player.track())).events).toEqual([]);
  });
});

type Deed = Readonly<{ goTo?: number; go?: 'advance' | 'back' | 'restart'; dial?: readonly ['count' | 'wind' | 'tint', unknown]; density?: number; wait: boolean }>; // prettier-ignore
const deed: fc.Arbitrary<Deed> = fc
  .oneof(
    fc.record({ goTo: fc.integer({ min: 0, max: 60 }) }),
    fc.record({ go: fc.constantFrom('advance' as const, 'back' as const, 'restart' as const) }),
    fc.record({ dial: fc.constantFrom(['count', 2], ['count', 7], ['wind', -3], ['wind', 2], ['tint', 'gold'], ['tint', '#c53b2c']) as fc.Arbitrary<Deed['dial']> }), // prettier-ignore
    fc.record({ density: fc.constantFrom(1, 1.5, 2) }),
  )
  .chain((what) => fc.boolean().map((wait) => ({ ...what, wait }) as Deed));

test.each([
  [0, false],
  [0, true],
  [1, false],
  [1, true],
  [2, false],
  [2, true],
] as const)('whatever is asked of it, in whatever haste, it shows its frame: carry %s of three, in a worker: %s', async (which, inWorker) => {
  await fc.assert(
    fc.asyncProperty(fc.array(deed, { maxLength: 12 }), async (deeds) => {
      const difference = await page.evaluate(
        async ([which, inWorker, deeds]) => {
          const { mount, mountWorker, buoys, workers } = (globalThis as unknown as { bench: Bench }).bench;
          const options = { autoplay: false, density: 1 };
          const player = inWorker ? await mountWorker(workers[`buoys${which}`](), 'main', options) : mount(buoys[which], 'main', options);
          await player.ready;
          let density = 1;
          const all: Promise<void>[] = [];
          for (const { goTo, go, dial, density: wanted, wait } of deeds) {
            if (goTo !== undefined) all.push(player.goTo(goTo));
            else if (go !== undefined) all.push(player[go]());
            else if (dial !== undefined) all.push(player.setDial(...(dial as [never, never])));
            else if (wanted !== undefined) all.push(player.setDensity((density = wanted)));
            if (wait) await all.at(-1);
          }
          await Promise.all(all);
          const { frame, dials } = player;
          const fresh = mount(buoys[which], 'main', { ...options, density, dials });
          await fresh.goTo(frame);
          const [one, other] = [player, fresh].map(({ element }) => element.getContext('2d')!.getImageData(0, 0, element.width, element.height).data); // prettier-ignore
          player.stop();
          fresh.stop();
          return one.reduce((most, byte, at) => Math.max(most, Math.abs(byte - other[at])), Math.abs(one.length - other.length));
        },
        [which, inWorker, deeds] as const,
      );
      // Where trails fade, a frame that is nearly gone may leave a step of a byte where edges are soft.
      expect(difference).toBeLessThanOrEqual(which === 1 ? 2 : 0);
    }),
    { numRuns: 15 },
  );
}); // prettier-ignore
