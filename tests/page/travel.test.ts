import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { until } from './browser.ts';
import { ViewerPage } from './viewer.ts';

/*
 * Time in the viewer: forwards, backwards and to any frame, with the same pictures each time. The sketch wanders by
 * chance, step by step, so that a frame is only right where all the steps before it were.
 */
const sketch = (carry: number, more = ''): string => `import { defineSketch } from 'frame-juggler';
export default defineSketch({
  title: 'Drift', canvas: { width: 240, height: 135, background: '#102030' }, frameRate: 60, carry: ${carry}, ${more}
  start: () => ({ x: 120, y: 70 }),
  step(buoy, { random }) {
    buoy.x = Math.min(230, Math.max(10, buoy.x + random.between(-6, 6)));
    buoy.y = Math.min(125, Math.max(10, buoy.y + random.between(-6, 6)));
  },
  paint(canvas, { frame }, buoy) {
    canvas.circle({ at: buoy, radius: 6, fill: frame % 2 ? 'gold' : 'tomato' });
  },
});
`;

let viewer: ViewerPage;
beforeAll(async () => {
  viewer = await ViewerPage.open({ 'drift.ts': sketch(0) });
  await viewer.button('Pause').click();
});
afterAll(async () => {
  await viewer.close();
  expect(viewer.complaints).toEqual([]);
});

/** Shows a frame, and gives its picture once it is there. */
async function at(frame: number): Promise<string> {
  await viewer.enter(viewer.field('Frame'), String(frame));
  await until(async () => viewer.page.locator('#canvas').getAttribute('data-frame'), String(frame), 60);
  // The screen has a picture a moment later than the page hears of it.
  for (let last = ''; ;) {
    await viewer.page.waitForTimeout(150);
    const shot = await viewer.shot();
    if (shot === last) return shot;
    last = shot;
  }
}

/** Milliseconds until the picture is another after a key. */
async function timeOf(key: string): Promise<number> {
  const before = await viewer.shot();
  await viewer.page.locator('#drawer h1').click();
  const begun = Date.now();
  await viewer.page.keyboard.press(key);
  for (;;) if ((await viewer.shot()) !== before) return Date.now() - begun;
}

describe.each([
  ['fresh frames', 0],
  ['trails', 0.9],
])('with %s', (_, carry) => {
  test('every frame is the same, from wherever one comes to it', async () => {
    await viewer.saveAndSee('drift.ts', sketch(carry));
    const there = new Map<number, string>();
    for (const frame of [0, 1, 29, 30, 31, 75, 140]) there.set(frame, await at(frame));
    expect(new Set(there.values()).size).toBe(7);
    for (const frame of [31, 140, 1, 75, 30, 0, 29]) expect([frame, (await at(frame)) === there.get(frame)]).toEqual([frame, true]);
    // A run that comes by a save, and has shown nothing yet, comes to the same.
    await at(75);
    await viewer.saveAndSee('drift.ts', `${sketch(carry)}// saved\n`);
    await until(async () => viewer.page.locator('#canvas').getAttribute('data-frame'), '75');
    expect(await viewer.frame()).toBe(75);
    await until(viewer.shot, there.get(75)!);
    // By keys, one frame at a time.
    await viewer.page.locator('#drawer h1').click();
    await viewer.page.keyboard.press('ArrowRight');
    await until(viewer.frame, 76);
    await viewer.page.keyboard.press('ArrowLeft');
    await viewer.page.keyboard.press('ArrowLeft');
    await until(viewer.frame, 74);
    await viewer.page.keyboard.press('ArrowRight');
    await until(viewer.shot, there.get(75)!);
  }); // prettier-ignore

  test('a step back at frame 1000 is there at once', async () => {
    await at(1000);
    // Nothing is run again for it: under a carry, a thousand frames would take many seconds.
    expect(await timeOf('ArrowLeft')).toBeLessThan(carry === 0 ? 1500 : 4000);
    expect(await timeOf('ArrowLeft')).toBeLessThan(carry === 0 ? 1500 : 4000);
  });
});

test('a part is played round and round, as slowly as one likes', async () => {
  viewer.save('drift.ts', sketch(0, 'duration: 4,'));
  await until(async () => viewer.page.locator('input[type=range][aria-label="Frame along the run"]').getAttribute('max'), '239');
  await at(20);
  await viewer.button('Play a part round and round').click();
  await viewer.enter(viewer.field('Last frame of the part'), '26');
  await viewer.page.getByLabel('Speed').selectOption('0.5');
  await viewer.button('Play').click();
  const seen = new Set<number>();
  for (let i = 0; i < 60; i++) {
    seen.add(await viewer.frame());
    await viewer.page.waitForTimeout(20);
  }
  expect([Math.min(...seen), Math.max(...seen)]).toEqual([20, 26]);
  expect(seen.size).toBe(7);
  await viewer.button('Pause').click();
}); // prettier-ignore

test('the keys are listed, and do what they say', async () => {
  await viewer.page.locator('#drawer h1').click();
  await viewer.page.keyboard.press('?');
  const sheet = viewer.page.locator('dialog.keys');
  expect(await sheet.textContent()).toMatch(/Space.*play, and pause.*one frame back/s);
  await viewer.page.keyboard.press('Escape');
  await until(() => sheet.count(), 0);
  await viewer.page.keyboard.press('g');
  await until(() => viewer.page.locator('.paper').count(), 1);
  await viewer.page.keyboard.press('g');
  await until(() => viewer.page.locator('.paper').count(), 0);
  await viewer.page.keyboard.press('+');
  await until(() => viewer.button('× 1.5').count(), 1);
  await viewer.page.keyboard.press('0');
  await until(() => viewer.button('× 1.5').count(), 0);
  await viewer.page.keyboard.press('Home');
  await until(viewer.frame, 0);
});
