import { describe, expect, test } from '@jest/globals';
import type { CDPSession, Page } from 'playwright-core';
import { until } from './browser.ts';
import { ViewerPage } from './viewer.ts';

/*
 * Fingers, keys and every kind of dial, in the viewer. The sketches say what they are told; which of them plays is the
 * business of each part of this file.
 */
const sketchOf = (body: string, more = ''): string => `import { defineSketch, dial } from 'frame-juggler';
export default defineSketch({ title: 'Told', canvas: { width: 400, height: 200 }, frameRate: 30, ${more}
  paint(canvas, moment, state: any) { (globalThis as any).told = ${body}; } });
`;
const sketches = {
  'finger.ts': sketchOf('{ x: moment.pointer.x, y: moment.pointer.y, inside: moment.pointer.inside, down: moment.pointer.down }'),
  'bell.ts': sketchOf("(canvas.circle({ at: [200, 100], radius: 60, label: 'bell' }), state.rung)", `start: () => ({ rung: 0 }),
    step(state, { pointer }) { if (pointer.justReleased && pointer.over('bell')) state.rung += 1; },`),
  'keys.ts': sketchOf("{ held: ['ArrowUp', 'k', 'j'].filter((key) => moment.keys.down(key)) }"),
  'dials.ts': sketchOf('{ ...moment.dials }', `dials: {
    mast: dial.number(3), sail: dial.color('#ff8800'), storm: dial.toggle(true), berth: dial.choice(['north', 'south']),
    name: dial.text('Petrel'), mooring: dial.point([10, 20]) },`),
}; // prettier-ignore

/** Plays a sketch in a page with a touch screen, for as long as `work` takes. */
async function playing(
  name: keyof typeof sketches,
  work: (page: Page, told: () => Promise<unknown>, viewer: ViewerPage) => Promise<void>,
): Promise<void> {
  const viewer = await ViewerPage.open({ [name]: sketches[name] }, { hasTouch: true });
  try {
    await viewer.page.locator('#canvas').waitFor();
    await work(viewer.page, viewer.told, viewer);
  } finally {
    await viewer.close();
  }
  expect(viewer.complaints).toEqual([]);
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

test('a tap rings what it is let go over, however short it is', () =>
  playing('bell.ts', async (page, told) => {
    await until(told, 0);
    await page.locator('#canvas').tap();
    await until(told, 1);
    await page.locator('#canvas').tap({ position: { x: 5, y: 5 } });
    await page.locator('#canvas').tap();
    await until(told, 2);
  }));

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
  playing('dials.ts', async (page, told, viewer) => {
    const first = { mast: 3, sail: '#ff8800', storm: true, berth: 'north', name: 'Petrel', mooring: { x: 10, y: 20 } };
    await until(told, first);
    await viewer.enter(page.locator('#dial-mast'), '4.5');
    await page.locator('#dial-mast').press('ArrowUp');
    await page.fill('#dial-sail', '#0077b6');
    await viewer.enter(viewer.field('sail, opacity'), '0.5');
    await page.uncheck('#dial-storm');
    await page.selectOption('#dial-berth', 'south');
    await page.fill('#dial-name', 'Tern & <son>');
    await viewer.enter(page.locator('#dial-mooring'), '-7');
    await viewer.enter(viewer.field('mooring, y'), '8.25');
    const turned = { mast: 4.55, sail: '#0077b680', storm: false, berth: 'south', name: 'Tern & <son>', mooring: { x: -7, y: 8.25 } };
    await until(told, turned);
    // A point is dragged over the picture too.
    const grip = (await page.locator('[data-dial=mooring]').boundingBox())!;
    const { width } = (await page.locator('#canvas').boundingBox())!;
    await page.mouse.move(grip.x + grip.width / 2, grip.y + grip.height / 2);
    await page.mouse.down();
    await page.mouse.move(grip.x + grip.width / 2 + (50 * width) / 400, grip.y + grip.height / 2, { steps: 4 });
    await page.mouse.up();
    await until(async () => Math.round((await told() as { mooring: { x: number } }).mooring.x), 43);
    await viewer.enter(page.locator('#dial-mooring'), '-7');
    await viewer.enter(viewer.field('mooring, y'), '8.25');
    await until(told, turned);
    // What is no number changes nothing.
    await viewer.enter(page.locator('#dial-mast'), 'tall');
    expect(await page.locator('#dial-mast').inputValue()).toBe('4.55');
    await viewer.enter(viewer.field('sail, as CSS writes it'), 'oranje');
    expect(await page.textContent('.dial .fault')).toMatch(/^dials: sail "oranje" is not a color; did you mean "orange"/);
    await viewer.button('Reset').click();
    await until(told, first);
    expect(await page.inputValue('#dial-sail')).toBe('#ff8800');
  })); // prettier-ignore
