import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { execFileSync } from 'node:child_process';
import { existsSync, readFileSync, readdirSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import type { Browser, Page } from 'playwright-core';
import { juggle, temporaryFolder } from '../helpers.ts';
import { launch, play } from './browser.ts';

/*
 * Pointer, keys, dials, seed and recording in the viewer. The sketch has units of its own, y upwards, and notes what it
 * is told.
 */
const sketch = `import { defineSketch, dial } from 'frame-juggler';
export default defineSketch({
  title: 'Boathook', canvas: { width: 400, height: 200, viewBox: [-20, -10, 40, 20], yAxis: 'up' }, frameRate: 30, duration: 6,
  dials: { reach: dial.number(3, { min: 1, max: 9 }), net: dial.toggle(false) },
  step(_, { frame, pointer: p, keys }) {
    (globalThis as any).told?.push([frame, p.x, p.y, p.inside, p.down, p.justPressed, p.over('ring'), keys.down('k')]);
  },
  paint(canvas, { pointer, dials, random }) {
    canvas.circle({ at: [10, 5], radius: dials.reach, fill: dials.net ? 'teal' : 'crimson', label: 'ring' });
    canvas.circle({ at: random.point([20, 10]), radius: 1 });
    if (pointer.inside) canvas.circle({ at: pointer, radius: 1, fill: 'navy' });
  },
});
`;
const folder = temporaryFolder({ 'hook.ts': sketch });
const file = (name: string): string => path.join(folder.path, name);

let browser: Browser;
let page: Page;
let viewer: Awaited<ReturnType<typeof play>>;
const complaints: string[] = [];

beforeAll(async () => {
  viewer = await play(file('hook.ts'));
  browser = await launch();
  page = await browser.newPage({ viewport: { width: 1100, height: 700 }, deviceScaleFactor: 2 });
  page.on('pageerror', (error) => complaints.push(error.message));
  await page.addInitScript('globalThis.told = []');
  await page.goto(viewer.url);
  await page.waitForSelector('#record:not([hidden])');
}, 60_000);
afterAll(async () => {
  expect(complaints).toEqual([]);
  await browser.close();
  viewer.process.kill('SIGTERM');
  folder.remove();
});

type Told = [frame: number, x: number, y: number, inside: boolean, down: boolean, justPressed: boolean, over: boolean, key: boolean]; // prettier-ignore
const told = (): Promise<Told[]> => page.evaluate('globalThis.told');
const onCanvas = async (x: number, y: number): Promise<[number, number]> => {
  const box = (await page.locator('#canvas').boundingBox())!;
  return [box.x + ((x + 20) / 40) * box.width, box.y + ((10 - y) / 20) * box.height];
};

describe('in the viewer', () => {
  test('a recorded run plays back the same in Node, whatever the page’s size and density', async () => {
    await page.mouse.move(...(await onCanvas(-15, 0)));
    await page.click('#record');
    await page.evaluate('globalThis.told = []');
    await page.mouse.move(...(await onCanvas(10, 5)), { steps: 8 });
    await page.mouse.down();
    await page.keyboard.down('K');
    await page.waitForTimeout(200);
    await page.mouse.move(...(await onCanvas(-10, 6)), { steps: 4 });
    await page.mouse.up();
    await page.keyboard.up('K');
    await page.waitForTimeout(200);
    await page.click('#record');
    for (let i = 0; i < 100 && !existsSync(file('hook.input.json')); i++) await page.waitForTimeout(50);
    expect(await page.textContent('#note:not(:empty)')).toBe('Kept in hook.input.json');
    const live = await told();
    // Where the pointer was put is where the sketch found it.
    expect(live.some(([, x, y, , down, , over]) => Math.abs(x - 10) < 0.1 && Math.abs(y - 5) < 0.1 && down && over)).toBe(true);
    expect(live.filter(([, , , , , just]) => just)).toHaveLength(1);
    expect(live.some(([, , , , , , , key]) => key)).toBe(true);

    const replay = [path.resolve('tests/fixtures/replay.mjs'), file('hook.ts'), file('hook.input.json'), String(live[live.length - 1][0])];
    const again = JSON.parse(execFileSync(process.execPath, replay).toString()) as Told[];
    // The frames of the last pass: looking at the pointer for the first time begins anew.
    const last = again.slice(again.map(([frame]) => frame).lastIndexOf(1));
    const common = last.filter(([frame]) => live.some(([other]) => other === frame));
    expect(common.length).toBeGreaterThan(15);
    expect(common).toEqual(live.filter(([frame]) => common.some(([other]) => other === frame)));
    const { code, err } = await juggle(folder.path, 'render', 'hook.ts', '-o', 'with.png', '--frame', '20', '--input', 'hook.input.json');
    expect([code, err]).toEqual([0, '']);
  }); // prettier-ignore

  test('dials are turned, refused where they cannot be, and kept beside the sketch', async () => {
    await page.locator('input[aria-label="reach, as a number"]').fill('12');
    // A file that is none of the sketch's does not begin the page anew.
    writeFileSync(file('other.png'), '');
    await page.waitForTimeout(300);
    expect(await page.textContent('.fault:not(:empty)')).toBe('dials: reach 12 is out of range; expected 1 or more, 9 or less');
    await page.locator('#dial-reach').fill('8');
    await page.check('#dial-net');
    await page.click('#keep');
    for (let i = 0; i < 100 && !existsSync(file('hook.dials.json')); i++) await page.waitForTimeout(50);
    expect(JSON.parse(readFileSync(file('hook.dials.json'), 'utf8'))).toEqual({ reach: 8, net: true });
    const color = await page.$eval('#canvas', (element) => {
      const canvas = element as HTMLCanvasElement;
      return [...canvas.getContext('2d')!.getImageData(canvas.width * 0.9, canvas.height * 0.25, 1, 1).data];
    });
    expect(color).toEqual([0, 128, 128, 255]);
    await page.click('#reset');
    expect(await page.inputValue('#dial-reach')).toBe('3');
  }); // prettier-ignore

  test('another seed gives another scatter, and its number the same one back', async () => {
    const shot = async (seed: number): Promise<string> => {
      await page.fill('#seed', String(seed));
      await page.keyboard.press('Enter');
      await page.waitForTimeout(150);
      return page.$eval('#canvas', (canvas) => (canvas as HTMLCanvasElement).toDataURL());
    };
    await page.mouse.move(5, 690);
    const first = await shot(40);
    expect(await shot(41)).not.toBe(first);
    expect(await shot(40)).toBe(first);
  });

  test('nobody but the viewer may have something kept', async () => {
    const before = readdirSync(folder.path);
    const response = await fetch(`${viewer.url}@juggle/dials`, { method: 'POST', body: '{}', headers: { origin: 'http://example.org' } });
    expect([response.status, await response.text()]).toEqual([500, 'only the viewer may send this']);
    expect(readdirSync(folder.path)).toEqual(before);
  }); // prettier-ignore
});
