import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { execFileSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import type { Browser, Page } from 'playwright-core';
import type { Dial, Sketch } from '../../packages/frame-juggler/src/index.ts';
import type { mount } from '../../packages/frame-juggler/src/browser/index.ts';
import type { SketchElement } from '../../packages/frame-juggler/src/browser/element.ts';
import { faultsOf, launch, serve, until } from './browser.ts';

/*
 * The lines of docs/page.md for React, Vue and Svelte and the element, built by Vite as a user's own project would be.
 */

/** Under the project, so that packages are found. */
mkdirSync('node_modules/.cache', { recursive: true });
const folder = mkdtempSync(path.resolve('node_modules/.cache/adapters-'));
let browser: Browser;
let site: Awaited<ReturnType<typeof serve>>;

/** The block of code under a heading of the page's guide. */
function lines(heading: string): string {
  const guide = readFileSync('docs/page.md', 'utf8');
  const found = new RegExp(`## ${heading}\\n[^#]*?\`\`\`\\w+\\n(.*?)\`\`\``, 's').exec(guide);
  return found![1];
}

const files = {
  'index.html': '<html lang="en"><title>Adapters</title><main><h1>Buoys</h1><div id="app"></div></main><script type="module" src="./main.jsx"></script></html>',
  'buoy.js': `import { defineSketch, dial } from 'frame-juggler';
export default defineSketch({
  title: 'Buoy', canvas: { width: 120, height: 80 }, dials: { swellHeight: dial.number(14, { max: 60 }), lamp: dial.color('#f1b64e'), at: dial.point([3, 4]), calm: dial.toggle(true), sea: dial.choice(['calm', 'rough']), name: dial.text('Lady') },
  paint: (canvas, { dials }) => canvas.circle({ at: [60, 40], radius: dials.swellHeight, fill: 'crimson', label: 'buoy' }),
});`,
  'ReactView.jsx': lines('In React'),
  'VueView.js': lines('In Vue'),
  'View.svelte': lines('In Svelte'),
  'main.jsx': `import { StrictMode, createElement } from 'react';
import { createRoot } from 'react-dom/client';
import { createApp, h, reactive } from 'vue';
import { mount, unmount } from 'svelte';
import sketch from './buoy.js';
import { SketchView as ReactView } from './ReactView.jsx';
import { SketchView as VueView } from './VueView.js';
import SvelteView from './View.svelte';
import { state } from './state.svelte.js';
import 'frame-juggler/element';
const app = document.getElementById('app');
Object.assign(globalThis, { sketch, kinds: {
  react() {
    const root = createRoot(app);
    const show = (dials) => root.render(<StrictMode><ReactView sketch={sketch} dials={dials} autoplay={false} /></StrictMode>);
    show({ swellHeight: 20 });
    return { turn: (swellHeight) => show({ swellHeight }), end: () => root.unmount() };
  },
  vue() {
    const dials = reactive({ swellHeight: 20 });
    const view = createApp({ render: () => h(VueView, { sketch, dials, options: { autoplay: false } }) });
    view.mount(app);
    return { turn: (value) => (dials.swellHeight = value), end: () => view.unmount() };
  },
  svelte() {
    const props = state({ sketch, dials: { swellHeight: 20 }, options: { autoplay: false } });
    const view = mount(SvelteView, { target: app, props });
    return { turn: (swellHeight) => (props.dials = { swellHeight }), end: () => unmount(view) };
  },
  element() {
    const element = document.createElement('juggle-sketch');
    element.setAttribute('dial-swell-height', '20');
    element.sketch = sketch;
    app.append(element);
    return { turn: (value) => element.setAttribute('dial-swell-height', String(value)), end: () => element.remove() };
  },
} });`,
  'state.svelte.js': 'export function state(props) { let held = $state(props); return held; }',
  'server.jsx': `import { renderToString } from 'react-dom/server';
import { createSSRApp, h } from 'vue';
import { renderToString as vueToString } from 'vue/server-renderer';
import sketch from './buoy.js';
import { SketchView as ReactView } from './ReactView.jsx';
import { SketchView as VueView } from './VueView.js';
import { SketchElement } from 'frame-juggler/element';
console.log(JSON.stringify([renderToString(<ReactView sketch={sketch} />), await vueToString(createSSRApp({ render: () => h(VueView, { sketch }) })), typeof SketchElement]));`,
  'vite.config.js': `import { compile, compileModule } from 'svelte/compiler';
export default {
  logLevel: 'error',
  plugins: [{ name: 'svelte', transform(code, id) {
    const filename = id.split('?')[0];
    if (filename.endsWith('.svelte')) return compile(code, { filename, css: 'injected' }).js;
    if (filename.endsWith('.svelte.js')) return compileModule(code, { filename }).js;
  } }],
};`,
}; // prettier-ignore

beforeAll(async () => {
  for (const [name, text] of Object.entries(files)) writeFileSync(path.join(folder, name), text);
  const vite = path.resolve('node_modules/vite/bin/vite.js');
  execFileSync(process.execPath, [vite, 'build'], { cwd: folder, stdio: 'pipe' });
  execFileSync(process.execPath, [vite, 'build', '--ssr', 'server.jsx', '--outDir', 'server'], {
    cwd: folder,
    stdio: 'pipe',
  });
  site = await serve(vite, 'preview', folder, '--host', '127.0.0.1', '--port', '0', '--logLevel', 'info');
  browser = await launch();
});
afterAll(async () => {
  await browser.close();
  site.process.kill('SIGTERM');
  rmSync(folder, { recursive: true });
});

interface Held {
  readonly turn: (value: number) => void;
  readonly end: () => void;
}
type World = typeof globalThis & { kinds: Record<string, () => Held>; held: Held; sketch: unknown };

async function open(): Promise<{ page: Page; said: string[] }> {
  const page = await browser.newPage({ viewport: { width: 600, height: 400 } });
  const said: string[] = [];
  page.on(
    'console',
    (message) => message.type() === 'error' && !message.text().includes('404') && said.push(message.text()),
  );
  page.on('pageerror', (error) => said.push(error.message));
  await page.goto(site.url);
  await page.waitForFunction(() => 'kinds' in globalThis);
  return { page, said };
}

/** The width of the buoy on the canvas, in pixels. */
const wide = (page: Page): Promise<number> =>
  page.locator('canvas').evaluate((element: HTMLCanvasElement) => {
    const { data } = element.getContext('2d')!.getImageData(0, 40, 120, 1);
    return [...Array(120).keys()].filter((x) => data[4 * x + 1] < 128).length;
  });

test.each(['react', 'vue', 'svelte', 'element'])(
  'the lines for %s show a sketch once, turn its dials and leave nothing',
  async (kind) => {
    const { page, said } = await open();
    await page.evaluate((name) => {
      const world = globalThis as World;
      world.held = world.kinds[name]();
    }, kind);
    await until(() => wide(page), 40);
    expect(await page.locator('canvas').count()).toBe(1);
    await page.evaluate(() => (globalThis as World).held.turn(30));
    await until(() => wide(page), 60);
    await page.evaluate(() => (globalThis as World).held.end());
    await until(() => page.locator('canvas').count(), 0);
    expect(said).toEqual([]);
    await page.close();
  },
);

test('a server shows the place of a sketch, and knows the element’s class', () => {
  const out = execFileSync(process.execPath, [path.join(folder, 'server/server.js')], { encoding: 'utf8' });
  expect(JSON.parse(out)).toEqual(['<div></div>', '<div></div>', 'function']);
});

test('an element shows what it holds until there is a picture, has controls that axe finds no fault with, and says what is wrong', async () => {
  const { page, said } = await open();
  await page.evaluate(() => {
    const { sketch } = globalThis as World;
    const element = document.createElement('juggle-sketch') as SketchElement;
    element.innerHTML = '<p>A buoy</p>';
    element.setAttribute('controls', '');
    document.getElementById('app')!.append(element);
    Object.assign(globalThis, {
      element,
      heard: [] as string[],
      give: () => (element.sketch = sketch as SketchElement['sketch']),
    });
    for (const type of ['frame', 'dial', 'error'])
      element.addEventListener(type, (event) => {
        event.preventDefault();
        const { detail } = event as CustomEvent<{ name?: string; reason?: string } | null>;
        (globalThis as unknown as { heard: string[] }).heard.push(
          `${type} ${detail?.reason ?? detail?.name ?? ''}`.trim(),
        );
      });
  });
  await expect(page.getByText('A buoy').isVisible()).resolves.toBe(true);
  await page.evaluate(() => void (globalThis as unknown as { give: () => void }).give());
  await until(() => page.getByText('A buoy').isVisible(), false);
  await page.getByLabel('lamp').fill('#1b2f3a');
  await page.getByLabel('swellHeight').fill('9');
  await page.getByLabel('sea').selectOption('rough');
  await page.getByLabel('calm', { exact: true }).uncheck();
  await until(() => wide(page), 18);
  const heard = (): Promise<string[]> =>
    page.evaluate(() => [...new Set((globalThis as unknown as { heard: string[] }).heard)]);
  expect(await heard()).toEqual(['frame', 'dial lamp', 'dial swellHeight', 'dial sea', 'dial calm']);
  expect(await faultsOf(page)).toEqual([]);
  await page.evaluate(() => {
    const { element } = globalThis as unknown as { element: SketchElement };
    element.setAttribute('dial-swell', '3');
    element.setAttribute('dial-swellheight', 'much');
  });
  await until(
    heard,
    expect.arrayContaining([expect.stringContaining('there is no dial'), expect.stringContaining('is not a number')]),
  );
  await page.evaluate(() => {
    const { element } = globalThis as unknown as { element: SketchElement };
    for (const { name } of [...element.attributes]) element.removeAttribute(name);
    element.sketch = undefined;
    element.setAttribute('src', './none.js');
  });
  await until(() => page.getByText('A buoy').isVisible(), true);
  await until(heard, expect.arrayContaining([expect.stringContaining('none.js')]));
  expect(said).toEqual([]);
  await page.close();
});

/** An editor knows a sketch's dials: the type check of these lines is the test. */
export function typedDials(
  mounted: typeof mount,
  sketch: Sketch<{ swell: Dial<number>; at: Dial<{ x: number; y: number }> }>,
): number {
  const player = mounted(sketch, '#stage', { dials: { swell: 3, at: [1, 2] } });
  void player.setDial('at', [3, 4]);
  // @ts-expect-error there is no such dial
  void player.setDial('swel', 3);
  // @ts-expect-error it is a number
  void player.setDial('swell', 'much');
  // @ts-expect-error there is no such dial
  mounted(sketch, '#stage', { dials: { swel: 3 } });
  return player.dials.swell + player.dials.at.x;
}
