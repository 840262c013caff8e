import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { execFileSync } from 'node:child_process';
import { existsSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { juggle } from '../helpers.ts';
import { until } from './browser.ts';
import { ViewerPage } from './viewer.ts';

/*
 * Pointer, keys, dials, seed and recording in the viewer. The sketch has units of its own, y upwards, and notes what it
 * is told.
 */
const sketch = `import { defineSketch, dial } from 'frame-juggler';
export default defineSketch({
  title: 'Boathook', canvas: { width: 400, height: 200, viewBox: [-20, -10, 40, 20], yAxis: 'up' }, frameRate: 30, duration: 6,
  dials: { reach: dial.number(3, { min: 1, max: 9 }), net: dial.toggle(false), buoys: dial.number(0, { min: 0, max: 4 }) },
  start: ({ dials }) => ({ buoys: dials.buoys }),
  step(_, { frame, pointer: p, keys }) {
    ((globalThis as any).told ??= []).push([frame, p.x, p.y, p.inside, p.down, p.justPressed, p.over('ring'), keys.down('k'), keys.typed]);
  },
  paint(canvas, { pointer, dials, random }, { buoys }) {
    canvas.circle({ at: [10, 5], radius: dials.reach, fill: dials.net ? 'teal' : 'crimson', label: 'ring' });
    canvas.circle({ at: random.point([20, 10]), radius: 1 });
    if (pointer.inside) canvas.circle({ at: pointer, radius: 1, fill: 'navy' });
    for (let i = 0; i < buoys; i++) canvas.rect({ at: [-18 + i * 4, -8], size: [4, 4], fill: 'teal' });
  },
});
`;

let viewer: ViewerPage;
let page: ViewerPage['page'];
beforeAll(async () => {
  viewer = await ViewerPage.open(
    { 'hook.ts': sketch },
    { viewport: { width: 1100, height: 700 }, deviceScaleFactor: 2 },
  );
  ({ page } = viewer);
  await viewer.button('Record input').waitFor();
});
afterAll(async () => {
  await viewer.close();
  expect(viewer.complaints).toEqual([]);
});

type Told = [frame: number, x: number, y: number, inside: boolean, down: boolean, justPressed: boolean, over: boolean, key: boolean, typed: string]; // prettier-ignore
const told = async (): Promise<Told[]> => (await viewer.told()) as Told[];
const file = (name: string): string => viewer.file(name);
const onCanvas = async (x: number, y: number): Promise<[number, number]> => {
  const box = (await page.locator('#canvas').boundingBox())!;
  return [box.x + ((x + 20) / 40) * box.width, box.y + ((10 - y) / 20) * box.height];
};

describe('in the viewer', () => {
  test('a recorded run plays back the same in Node, whatever the page’s size and density', async () => {
    await page.mouse.move(...(await onCanvas(-15, 0)));
    await viewer.button('Record input').click();
    await Promise.all(page.workers().map((worker) => worker.evaluate('globalThis.told &&= []')));
    await page.mouse.move(...(await onCanvas(10, 5)), { steps: 8 });
    await page.mouse.down();
    await page.keyboard.down('K');
    await page.keyboard.down('K'); // held down, it types again
    await page.waitForTimeout(200);
    await page.mouse.move(...(await onCanvas(-10, 6)), { steps: 4 });
    await page.mouse.up();
    await page.keyboard.up('K');
    await page.waitForTimeout(200);
    await viewer.button('Stop recording').click();
    for (let i = 0; i < 100 && !existsSync(file('hook.input.json')); i++) await page.waitForTimeout(50);
    await until(async () => page.textContent('#notice'), 'Input kept in hook.input.json');
    // A frame of the run before may have come first.
    const all = await told();
    const live = all.slice(Math.max(0, all.findLastIndex(([frame], i) => i > 0 && frame < all[i - 1][0])));
    // Where the pointer was put is where the sketch found it.
    expect(live.some(([, x, y, , down, , over]) => Math.abs(x - 10) < 0.1 && Math.abs(y - 5) < 0.1 && down && over)).toBe(true);
    expect(live.filter(([, , , , , just]) => just)).toHaveLength(1);
    expect(live.some(([, , , , , , , key]) => key)).toBe(true);
    expect(live.map((one) => one[8]).join('')).toBe('KK');

    // In the page too: there, from the start on, with the pointer elsewhere.
    await viewer.andSee(() => viewer.button('Play it back').click());
    await page.mouse.move(5, 690);
    const pressed = (): Promise<Told | undefined> => told().then((list) => (list ?? []).find(([, , , , , just]) => just));
    await until(pressed, live.find(([, , , , , just]) => just));
    await viewer.andSee(() => viewer.button('Play it back').click());

    const replay = [path.resolve('tests/fixtures/replay.mjs'), file('hook.ts'), file('hook.input.json'), String(live[live.length - 1][0])];
    const again = JSON.parse(execFileSync(process.execPath, replay).toString()) as Told[];
    // The frames of the last pass: looking at the pointer for the first time begins anew.
    const last = again.slice(again.map(([frame]) => frame).lastIndexOf(1));
    const common = last.filter(([frame]) => live.some(([other]) => other === frame));
    expect(common.length).toBeGreaterThan(15);
    expect(common).toEqual(live.filter(([frame]) => common.some(([other]) => other === frame)));
    const { code, err } = await juggle(path.dirname(file('hook.ts')), 'render', 'hook.ts', '-o', 'with.png', '--frame', '20', '--input', 'hook.input.json');
    expect([code, err]).toEqual([0, '']);
  }); // prettier-ignore

  test('dials are turned, refused where they cannot be, and kept beside the sketch', async () => {
    await viewer.enter(viewer.field('reach, as a number'), '12');
    // A file that is none of the sketch's does not begin the page anew.
    viewer.save('other.png', '');
    await page.waitForTimeout(300);
    expect(await page.textContent('.dial .fault')).toBe('dials: reach 12 is out of range; expected 1 or more, 9 or less');
    await page.locator('#dial-reach').fill('8');
    await page.check('#dial-net');
    await viewer.button('Keep').click();
    for (let i = 0; i < 100 && !existsSync(file('hook.dials.json')); i++) await page.waitForTimeout(50);
    expect(JSON.parse(readFileSync(file('hook.dials.json'), 'utf8'))).toEqual({ reach: 8, net: true, buoys: 0 });
    await until(() => viewer.color(0.9, 0.25), '0 128 128');
    await viewer.button('reach: back to 3').click();
    await until(() => viewer.field('reach, as a number').inputValue(), '3');
    expect(await page.isChecked('#dial-net')).toBe(true);
    await viewer.button('Reset').click();
    await until(() => page.isChecked('#dial-net'), false);
  }); // prettier-ignore

  test('a dial that was kept and fits no more is left out, with a note that names its file', async () => {
    viewer.save('hook.dials.json', JSON.stringify({ reach: 40, mast: 3, net: true }));
    await page.reload();
    await until(() => viewer.color(0.75, 0.25), '0 128 128');
    await viewer.openPart('Notes');
    const notes = (await page.locator('.remarks li').allTextContents()).join('\n');
    expect(notes).toMatch(/hook\.dials\.json: dials: reach 40 is out of range/);
    expect(notes).toMatch(/hook\.dials\.json: dials: there is no dial "mast"/);
    const { code, err } = await juggle(path.dirname(file('hook.ts')), 'render', 'hook.ts', '-o', 'kept.png');
    expect([code, err]).toEqual([0, expect.stringMatching(/hook\.dials\.json: dials: reach 40 is out of range[^]*no dial "mast"/)]);
    await viewer.button('Reset').click();
  }); // prettier-ignore

  test('a dial that start has read is seen at once, in the frame at hand', async () => {
    await viewer.button('Pause').click();
    await viewer.enter(viewer.field('Frame'), '40');
    expect(await viewer.color(0.05, 0.9)).not.toBe('0 128 128');
    await viewer.enter(viewer.field('buoys, as a number'), '2');
    await until(() => viewer.color(0.05, 0.9), '0 128 128');
    expect(await viewer.field('Frame').inputValue()).toBe('40');
    await viewer.button('Reset').click();
    await viewer.button('Play').click();
  });

  test('another seed gives another scatter, and its number the same one back', async () => {
    await viewer.button('Pause').click();
    await page.mouse.move(5, 690);
    const choose = async (seed: number, before: string): Promise<string> => {
      await viewer.enter(viewer.field('Seed'), String(seed));
      await until(async () => (await viewer.shot()) !== before, true);
      return viewer.shot();
    };
    const first = await choose(40, await viewer.shot());
    await choose(41, first);
    await viewer.enter(viewer.field('Seed'), '40');
    await until(viewer.shot, first);
    await viewer.button('The next seed').click();
    await until(() => viewer.field('Seed').inputValue(), '41');
    await viewer.button('The seed before').click();
    await until(viewer.shot, first);
  });

  test('of nine variations one is chosen', async () => {
    await viewer.button('9 variations').click();
    const sheet = page.locator('dialog.sheet');
    await until(() => sheet.locator('.variation').count(), 9);
    const seen = (): Promise<number> =>
      sheet.locator('canvas').evaluateAll((all) => new Set(all.map((one) => (one as HTMLCanvasElement).toDataURL())).size);
    await until(seen, 9);
    await viewer.button('Seed 43').click();
    await until(() => viewer.field('Seed').inputValue(), '43');
    expect(await sheet.count()).toBe(0);
  }); // prettier-ignore

  test('of nine values of a dial one is chosen, each seen as it will look', async () => {
    await viewer.button('reach: shows this frame with several values to choose from').click();
    const sheet = page.locator('dialog.sheet');
    expect(await sheet.locator('h2').textContent()).toMatch(/^Frame \d+ with 9 values of reach$/);
    const widths = (): Promise<number[]> =>
      sheet.locator('canvas').evaluateAll((all) =>
        all.map((one) => {
          const { width, height } = one as HTMLCanvasElement;
          const copy = Object.assign(document.createElement('canvas'), { width, height }).getContext('2d')!;
          copy.drawImage(one as HTMLCanvasElement, 0, 0);
          const { data } = copy.getImageData(0, height / 4, width, 1);
          return Math.round((data.filter((value, i) => i % 4 === 0 && value === 220 && data[i + 1] === 20).length * 40) / width);
        }),
      );
    await until(widths, [2, 4, 6, 8, 10, 12, 14, 16, 18]);
    await viewer.button('reach 5').click();
    await until(() => viewer.field('reach, as a number').inputValue(), '5');
    expect(await sheet.count()).toBe(0);
  }); // prettier-ignore
});
