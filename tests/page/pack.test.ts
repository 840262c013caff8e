import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { execFileSync, spawnSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, readdirSync, readFileSync, statSync, rmSync, writeFileSync } from 'node:fs';
import type { Server } from 'node:http';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { Browser, BrowserContextOptions, Page } from 'playwright-core';
import subsetFont from 'subset-font';
import { faultsOf, launch, serveFolder, until } from './browser.ts';

const folder = mkdtempSync(path.join(tmpdir(), 'juggle-pack-'));
const juggle = path.resolve('packages/cli/dist/juggle.js');
const pack = (...options: string[]): string =>
  execFileSync(process.execPath, [juggle, 'pack', ...options], { cwd: folder, encoding: 'utf8' });
const buoy = `import { defineSketch, dial } from 'frame-juggler';
export default defineSketch({
  title: 'Buoy <1> & "lamp"', canvas: { width: 320, height: 180, background: '#10242f' }, duration: 4, frameRate: 50,
  dials: { size: dial.number(20, { min: 5, max: 60 }) },
  paint: (canvas, { dials, progress }) => canvas.circle({ at: [100 + 100 * progress, 90], radius: dials.size, fill: '#d5603f', label: 'buoy' }),
});`; // prettier-ignore

const lettering = `import { asset, defineSketch } from 'frame-juggler';
export default defineSketch({
  canvas: { width: 200, height: 100 }, still: true, assets: { bold: asset.font(new URL('./bold.woff2', import.meta.url)) },
  paint(canvas, { assets }) {
    canvas.text('Quay', { at: [100, 30], font: assets.bold, size: 40 });
    canvas.text('Łódź', { at: [100, 75], size: 40, weight: 'bold' });
  },
});`; // prettier-ignore

/** A lamp that lights up under the pointer, told by its label or by its place, with or without its name. */
const lamp = (isOver: string, name = ''): string => `import { defineSketch } from 'frame-juggler';
export default defineSketch({
  canvas: { width: 100, height: 100 },
  paint(canvas, { pointer }) {
    canvas.circle({ at: [50, 50], radius: 40, fill: ${isOver} ? 'gold' : 'navy', label: 'lamp' });
    ${name}
  },
});`; // prettier-ignore
const lamps = {
  place: lamp('pointer.x > 30 && pointer.inside'),
  label: lamp("pointer.over('lamp')"),
  named: lamp('pointer.x > 30 && pointer.inside', "canvas.text('lamp', { at: [50, 50], size: 10 });"),
  drawn: lamp('pointer.x > 30 && pointer.inside')
    .replace('defineSketch }', 'defineSketch, picture }')
    .replace('paint(', 'start: () => picture(9, 9, (own) => own.dot({ at: [4, 4] })),\n  paint('),
  bold: lamp('pointer.x > 30 && pointer.inside', "canvas.text('ł', { at: [50, 50], size: 10, weight: 'bold' });"),
};

let browser: Browser;
let server: Server;
let address: string;
beforeAll(async () => {
  writeFileSync(path.join(folder, 'buoy.js'), buoy);
  pack('buoy.js', '-o', 'public/some/where', '-q');
  pack('buoy.js', '-o', 'buoy.html', '--single', '--controls', '--dial', 'size=40', '-q');
  pack(path.resolve('examples/signal-flags/flags.ts'), '-o', 'public/flags', '-q');
  const ttf = readFileSync('node_modules/@expo-google-fonts/source-sans-3/700Bold/SourceSans3_700Bold.ttf');
  writeFileSync(path.join(folder, 'bold.woff2'), await subsetFont(ttf, 'Quay', { targetFormat: 'woff2' }));
  writeFileSync(path.join(folder, 'lettering.js'), lettering);
  pack('lettering.js', '-o', 'public/lettering', '-q');
  pack(path.resolve('examples/harbor-chart/chart.ts'), '-o', 'chart.html', '-q');
  // Nothing but what the page's own server has, and nothing written into the page.
  ({ server, address } = await serveFolder(path.join(folder, 'public'), { 'Content-Security-Policy': "default-src 'self'" })); // prettier-ignore
  browser = await launch();
});
afterAll(async () => {
  await browser.close();
  server.close();
  rmSync(folder, { recursive: true });
});

interface Opened {
  readonly page: Page;
  readonly said: string[];
  readonly loaded: string[];
}
async function open(url: string, options: BrowserContextOptions = {}): Promise<Opened> {
  const context = await browser.newContext({ viewport: { width: 900, height: 600 }, ...options });
  const page = await context.newPage();
  const [said, loaded]: [string[], string[]] = [[], []];
  page.on('console', (message) => said.push(message.text()));
  page.on('pageerror', (error) => said.push(error.message));
  page.on('request', (request) => loaded.push(path.basename(request.url()).replace(/-[\w-]{8}\./, '.')));
  await page.goto(url);
  return { page, said, loaded };
}

/** Whether two pictures of the canvas, a moment apart, differ. */
const plays = async (page: Page): Promise<boolean> => {
  const look = (): Promise<string> => page.$eval('canvas', (element) => element.toDataURL());
  const first = await look();
  await page.waitForTimeout(300);
  return (await look()) !== first;
};
const shown = (page: Page): Promise<boolean> =>
  page
    .locator('img')
    .count()
    .then((count) => count === 0);

test('a packed page plays from a sub-path under a strict policy, and loads no more than it needs', async () => {
  const { page, said, loaded } = await open(`${address}/some/where/`);
  await until(() => shown(page), true);
  expect(await plays(page)).toBe(true);
  expect(await page.title()).toBe('Buoy <1> & "lamp"');
  await page.waitForTimeout(500);
  expect(said).toEqual([]);
  expect(loaded.filter((name) => /font|regular|bold|layout|exact|decode/.test(name))).toEqual([]);
  expect(loaded).toContain('preview.png');
});

test('pictures, text and data come along', async () => {
  const { page, said, loaded } = await open(`${address}/flags/`);
  await until(() => shown(page), true);
  expect(loaded.filter((name) => /\.(?:png|svg|csv|json)$/.test(name)).length).toBeGreaterThan(1);
  const chart = await open(`file://${path.join(folder, 'chart.html')}`);
  await until(() => shown(chart.page), true);
  expect([...said, ...chart.said]).toEqual([]);
  expect(chart.loaded).toEqual(['chart.html']);
});

test('Latin letters come without the others, and what a WOFF2 file needs comes where there is one', async () => {
  const { page, said, loaded } = await open(`${address}/lettering/`);
  await until(() => shown(page), true);
  expect(said).toEqual([]);
  expect(loaded).toEqual(expect.arrayContaining(['brotli-package.js', 'bold-latin.js']));
  expect(loaded.filter((name) => /^(?:bold|regular)\.js|regular-latin/.test(name))).toEqual([]);
  const rows = await page.$eval('canvas', (element) => {
    const { width, height } = element;
    const { data } = element.getContext('2d')!.getImageData(0, 0, width, height);
    return [0, 1].map((half) => data.slice((half * data.length) / 2, ((half + 1) * data.length) / 2).filter((value) => value < 100).length > 900); // prettier-ignore
  });
  expect(rows).toEqual([true, true]);
});

test('one file opens from disk, with its dials as they were turned and as they are', async () => {
  const { page, said, loaded } = await open(`file://${path.join(folder, 'buoy.html')}`);
  await until(() => shown(page), true);
  await page.getByRole('button', { name: 'Pause' }).click();
  await page.getByLabel('Frame').fill('0');
  const wide = (): Promise<number> =>
    page.$eval('canvas', (element) => {
      const { width, height } = element;
      const { data } = element.getContext('2d')!.getImageData(0, Math.round(height / 2), width, 1);
      return Math.round(([...Array(width).keys()].filter((x) => data[4 * x] > 128).length * 320) / width);
    });
  await until(wide, 80);
  expect(await page.getByLabel('size').inputValue()).toBe('40');
  await page.getByLabel('size').fill('10');
  await until(wide, 20);
  expect(said).toEqual([]);
  expect(loaded).toEqual(['buoy.html']);
  expect(await faultsOf(page)).toEqual([]);
});

describe('in one file comes what its sketch uses, and not what it does without', () => {
  const sizes: Record<string, number> = {};

  test.each(Object.entries(lamps))('the lamp of %s lights up', async (name, source) => {
    const html = path.join(folder, `${name}.html`);
    mkdirSync(path.join(folder, 'public/lamps'), { recursive: true });
    writeFileSync(path.join(folder, 'public/lamps', `${name}.js`), source);
    pack(`public/lamps/${name}.js`, '-o', html, '--single', '-q');
    sizes[name] = statSync(html).size;
    const { page, said } = await open(`file://${html}`);
    await until(() => shown(page), true);
    const color = (): Promise<number[]> =>
      page.$eval('canvas', (element) => [
        ...element.getContext('2d')!.getImageData(element.width / 2, element.height / 4, 1, 1).data,
      ]);
    await until(color, [0, 0, 128, 255]);
    await page.mouse.move(450, 300);
    await until(color, [255, 215, 0, 255]);
    expect(said).toEqual([]);
    rmSync(html);
    await page.close();
  });

  test('what one of them does without makes its page smaller', () => {
    const { place, label, named, bold } = sizes;
    expect([label! > place! + 60_000, named! > place! + 400_000, bold! > named! + 200_000]).toEqual([true, true, true]);
  });
});

test('without scripts its picture is seen; with little motion wanted it rests; on a phone it fits', async () => {
  const still = await open(`${address}/some/where/`, { javaScriptEnabled: false });
  await expect(still.page.getByAltText(/buoy/).isVisible()).resolves.toBe(true);
  const box = (await still.page.locator('img').boundingBox())!;
  expect([box.width, box.height]).toEqual([900, 600]);
  const rest = await open(`${address}/some/where/`, { reducedMotion: 'reduce' });
  await rest.page.getByRole('button', { name: 'Play Buoy' }).waitFor();
  expect(await plays(rest.page)).toBe(false);
  await rest.page.getByRole('button', { name: 'Play Buoy' }).click();
  expect(await plays(rest.page)).toBe(true);
  const phone = await open(`${address}/some/where/`, { viewport: { width: 390, height: 844 }, deviceScaleFactor: 3, hasTouch: true, isMobile: true }); // prettier-ignore
  await until(() => phone.page.$eval('canvas', (element) => element.width), 1170);
  expect(await phone.page.evaluate(() => [document.documentElement.scrollWidth, document.documentElement.scrollHeight])).toEqual([390, 844]); // prettier-ignore
  expect([...still.said, ...rest.said, ...phone.said]).toEqual([]);
});

test('it writes over its own pages only, tells what it made, and refuses what no page can have', () => {
  const facts = JSON.parse(pack('buoy.js', '-o', 'public/some/where', '--json', '--address', 'https://quay.example/buoy')) as { files: number; bytesAtOnce: number; embed: string }; // prettier-ignore
  const html = readFileSync(path.join(folder, 'public/some/where/index.html'), 'utf8');
  expect(html).toContain('<meta property="og:image" content="https://quay.example/buoy/preview.png" />');
  expect(facts.embed).toContain(
    '<iframe src="https://quay.example/buoy" title="Buoy &#60;1&#62; &#38; &#34;lamp&#34;"',
  );
  expect(facts.files).toBe(readdirSync(path.join(folder, 'public/some/where'), { recursive: true, withFileTypes: true }).filter((entry) => entry.isFile()).length); // prettier-ignore
  expect(facts.bytesAtOnce).toBeLessThan(60_000);
  mkdirSync(path.join(folder, 'mine'));
  writeFileSync(path.join(folder, 'mine/notes.txt'), 'mine');
  writeFileSync(path.join(folder, 'node.js'), `import 'node:fs';\n${buoy}`);
  writeFileSync(path.join(folder, 'mine/font.js'), `import font from '../bold.woff2';\nconsole.log(font);\n${buoy}`);
  const refused = (...options: string[]): string => {
    const { status, stderr } = spawnSync(process.execPath, [juggle, 'pack', ...options], { cwd: folder, encoding: 'utf8' }); // prettier-ignore
    expect(status).toBe(2);
    return stderr;
  };
  expect(refused('buoy.js', '-o', 'mine')).toContain('mine holds something else than a packed page');
  expect(refused('buoy.js', '-o', 'buoy.js/x')).toContain('buoy.js/x cannot be written');
  expect(refused('node.js', '-o', 'no')).toContain('node.js imports node:fs');
  expect(refused('mine/font.js', '-o', 'no')).toContain(
    'bold.woff2 is imported, which is no code; load it as an asset',
  );
  expect(refused('buoy.js', '-o', 'no', '--dial', 'sise=3')).toContain('did you mean "size"');
  expect(refused('buoy.js', '-o', 'no', '--address', 'quay')).toContain('Expected an address');
  expect(readdirSync(folder).sort()).toEqual([
    'bold.woff2',
    'buoy.html',
    'buoy.js',
    'chart.html',
    'lettering.js',
    'mine',
    'node.js',
    'public',
  ]);
});
