import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import path from 'node:path';
import type { Browser, CDPSession, Page } from 'playwright-core';
import { temporaryFolder } from '../helpers.ts';
import { launch, play } from './browser.ts';

/*
 * Fingers, keys and every kind of dial, in the viewer. The sketches say what they are told; which of them plays is the
 * business of each part of this file.
 */
const sketchOf = (body: string, more = ''): string => `import { defineSketch, dial } from 'frame-juggler';
export default defineSketch({ title: 'Told', canvas: { width: 400, height: 200 }, frameRate: 30, ${more}
  paint(canvas, moment) { (globalThis as any).told = ${body}; } });
`;
const folder = temporaryFolder({
  'finger.ts': sketchOf('{ x: moment.pointer.x, y: moment.pointer.y, inside: moment.pointer.inside, down: moment.pointer.down }'),
  'keys.ts': sketchOf("{ held: ['ArrowUp', 'k', 'j'].filter((key) => moment.keys.down(key)) }"),
  'dials.ts': sketchOf('{ ...moment.dials }', `dials: {
    mast: dial.number(3), sail: dial.color('#ff8800'), storm: dial.toggle(true), berth: dial.choice(['north', 'south']),
    name: dial.text('Petrel'), mooring: dial.point([10, 20]) },`),
}); // prettier-ignore

let browser: Browser;
beforeAll(async () => {
  browser = await launch();
}, 60_000);
afterAll(async () => {
  await browser.close();
  folder.remove();
});

/** Plays a sketch in a page with a touch screen, for as long as `work` takes. */
async function playing(name: string, work: (page: Page, told: () => Promise<unknown>) => Promise<void>): Promise<void> {
  const viewer = await play(path.join(folder.path, name));
  const page = await browser.newPage({ viewport: { width: 900, height: 700 }, hasTouch: true });
  try {
    await page.goto(viewer.url);
    await page.waitForFunction('globalThis.told !== undefined', { timeout: 10_000 });
    await work(page, () => page.evaluate('globalThis.told'));
  } finally {
    await page.close();
    viewer.process.kill('SIGTERM');
  }
}

/** Waits for what a sketch is told: it is asked frame by frame. */
async function until(told: () => Promise<unknown>, wanted: unknown): Promise<void> {
  for (let i = 0; i < 100 && JSON.stringify(await told()) !== JSON.stringify(wanted); i++)
    await new Promise((resolve) => setTimeout(resolve, 30));
  expect(await told()).toEqual(wanted);
}

const touchActionOf = (page: Page): Promise<string> =>
  page.$eval('#canvas', (canvas) => (canvas as HTMLElement).style.touchAction);

describe('a finger', () => {
  test('presses where it lands, is followed, and is nowhere once it is lifted', () =>
    playing('finger.ts', async (page, told) => {
      const session: CDPSession = await page.context().newCDPSession(page);
      const box = (await page.locator('#canvas').boundingBox())!;
      const at = (x: number, y: number): { x: number; y: number } => ({
        x: box.x + (x / 400) * box.width,
        y: box.y + (y / 200) * box.height,
      });
      const touch = (type: 'touchStart' | 'touchMove' | 'touchEnd', ...touchPoints: { x: number; y: number }[]) =>
        session.send('Input.dispatchTouchEvent', { type, touchPoints });
      await until(async () => (await told()) as object, { x: -400, y: -200, inside: false, down: false });
      await touch('touchStart', at(100, 50));
      await until(told, { x: 100, y: 50, inside: true, down: true });
      await touch('touchMove', at(300, 150));
      await until(told, { x: 300, y: 150, inside: true, down: true });
      // A second finger changes nothing.
      await touch('touchMove', at(300, 150), at(20, 20));
      await touch('touchMove', at(280, 150), at(40, 20));
      await until(told, { x: 280, y: 150, inside: true, down: true });
      await touch('touchEnd');
      await until(told, { x: 280, y: 150, inside: false, down: false });
      expect(await touchActionOf(page)).toBe('none');
    }));
});

describe('keys', () => {
  test('are held until they are let go or the window loses them; the canvas can still be scrolled', () =>
    playing('keys.ts', async (page, told) => {
      await page.keyboard.down('ArrowUp');
      await page.keyboard.down('k');
      await until(told, { held: ['ArrowUp', 'k'] });
      await page.keyboard.up('k');
      await until(told, { held: ['ArrowUp'] });
      await page.evaluate('window.dispatchEvent(new Event("blur"))');
      await until(told, { held: [] });
      expect(await touchActionOf(page)).toBe('');
    }));

  test('typed into a field of the viewer’s are none of the sketch’s', () =>
    playing('keys.ts', async (page, told) => {
      await page.focus('#seed');
      await page.keyboard.down('k');
      await page.waitForTimeout(150);
      expect(await told()).toEqual({ held: [] });
    }));
});

test('every kind of dial has its control, and turns what the sketch is told', () =>
  playing('dials.ts', async (page, told) => {
    const first = { mast: 3, sail: '#ff8800', storm: true, berth: 'north', name: 'Petrel', mooring: { x: 10, y: 20 } };
    expect(await told()).toMatchObject({
      mast: 3,
      storm: true,
      berth: 'north',
      name: 'Petrel',
      mooring: { x: 10, y: 20 },
    });
    await page.fill('#dial-mast', '4.5');
    await page.fill('#dial-sail', '#0077b6');
    await page.uncheck('#dial-storm');
    await page.selectOption('#dial-berth', 'south');
    await page.fill('#dial-name', 'Tern & <son>');
    await page.fill('#dial-mooring', '-7');
    await page.fill('input[aria-label="mooring, y"]', '8.25');
    const turned = { mast: 4.5, storm: false, berth: 'south', name: 'Tern & <son>', mooring: { x: -7, y: 8.25 } };
    await until(async () => ({ ...((await told()) as object), sail: undefined }), turned);
    await page.fill('#dial-mast', '');
    expect(await page.textContent('.fault:not(:empty)')).toMatch(/^dials: mast NaN is not finite/);
    await page.click('#reset');
    await until(async () => ({ ...((await told()) as object), sail: '#ff8800' }), first);
    expect(await page.inputValue('#dial-sail')).toBe('#ff8800');
  }));
