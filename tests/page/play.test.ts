import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { chmodSync, renameSync } from 'node:fs';
import path from 'node:path';
import { until } from './browser.ts';
import { ViewerPage } from './viewer.ts';

const sketch = (fill: string, more = ''): string => `import { defineSketch } from 'frame-juggler';
import { radius } from './size';

interface Unused { readonly line: number }

export default defineSketch({
  title: 'Lamp',
  canvas: { width: 200, height: 100, background: 'black' },
  frameRate: 20,
  paint(canvas, { frame }) {
    canvas.circle({ at: [100, 50], radius, fill: '${fill}' });
    ${more}
  },
});
`;
const red = '255 0 0';
const green = '0 255 0';
const blue = '0 0 255';

let viewer: ViewerPage;
beforeAll(async () => {
  viewer = await ViewerPage.open({ 'lamp.ts': sketch('#ff0000'), 'size.ts': 'export const radius: number = 30;\n' });
});
afterAll(async () => {
  await viewer.close();
  expect(viewer.complaints).toEqual([]);
});

const save = (text: string): void => viewer.save('lamp.ts', text);

describe('juggle play', () => {
  test('runs the sketch live, at its own speed, and fits it to the window', async () => {
    const { frame, color, page } = viewer;
    await until(color, red);
    const [before, start] = [await frame(), Date.now()];
    await page.waitForTimeout(1500);
    const rate = ((await frame()) - before) / ((Date.now() - start) / 1000);
    // Its own 20 frames a second and not the screen's 60; fewer where a busy machine stalls, as time slips then.
    expect(rate).toBeGreaterThan(8);
    expect(rate).toBeLessThan(25);
    const [room, box] = [await page.locator('#stage').boundingBox(), await page.locator('#canvas').boundingBox()];
    expect(box?.width).toBe(room!.width - 40);
  });

  test('says how many frames are shown where drawing one takes too long', async () => {
    const { color, page } = viewer;
    const lag = page.locator('#lag');
    await until(() => lag.count(), 0);
    save(sketch('#00ff00', 'const end = performance.now() + 150; while (performance.now() < end);'));
    await until(color, green);
    await until(() => lag.textContent(), /^, \d(\.\d)? shown$/);
    save(sketch('#ff0000'));
    await until(color, red);
    await until(() => lag.count(), 0);
  });

  test('follows a save, of the sketch and of what it imports, and stays at its frame', async () => {
    const { frame, color } = viewer;
    await viewer.button('Pause').click();
    const held = await frame();
    save(sketch('#00ff00'));
    await until(color, green);
    expect(await frame()).toBe(held);
    expect(await color(0.7)).toBe('0 0 0');
    viewer.save('size.ts', 'export const radius = 45;\n');
    await until(() => color(0.7), green);
  });

  test('takes JSON, follows it, and refuses to import what is no code, as juggle render does', async () => {
    const { color, failure } = viewer;
    viewer.save('hull.json', '{ "fill": "#0000ff" }');
    save(`import { fill } from './hull.json';\n${sketch('x').replace("'x'", 'fill')}`);
    await until(color, blue);
    viewer.save('hull.json', '{ "fill": "#00ff00", }');
    await until(failure, /in JSON at position \d+ .*\(hull\.json\)/);
    viewer.save('hull.json', '{ "fill": "#00ff00" }');
    await until(color, green);
    viewer.save('hull.png', '');
    save(`import url from './hull.png';\n${sketch('#ff0000', 'void url;')}`);
    await until(
      failure,
      /hull\.png is imported, which is no code; load it as an asset: \{ assets: \{ hull: asset\.picture/,
    );
    save(sketch('#00ff00'));
    await until(failure, '');
    await until(color, green);
  });

  test('says what a page does not have of Node, where the sketch uses it', async () => {
    const { color, failure } = viewer;
    save(`import fs from 'node:fs';\n${sketch('#0000ff', 'void fs;')}`);
    await until(color, blue);
    save(`import fs from 'node:fs';\n${sketch('#0000ff', "fs.existsSync('x');")}`);
    await until(failure, /^lamp\.ts, line 13 in frame \d+Error: node:fs is not there in a page/);
    save(sketch('#00ff00'));
    await until(failure, '');
    await until(color, green);
  });

  test('loads the files that a sketch names, and follows them', async () => {
    const { color, failure } = viewer;
    const loads = sketch('x').replace("'x'", 'assets.hulls[0].fill').replace('{ frame }', '{ assets }');
    viewer.save('hulls.csv', 'fill\n#0000ff\n');
    save(
      loads
        .replace('{ defineSketch }', '{ asset, defineSketch }')
        .replace('paint(', "assets: { hulls: asset.table(new URL('./hulls.csv', import.meta.url)) },\n  paint("),
    );
    await until(color, blue);
    expect(await failure()).toBe('');
    viewer.save('hulls.csv', 'fill\n#00ff00\n');
    await until(color, green);
  });

  test('shows an error with its line over the last good picture, and recovers', async () => {
    const { frame, color, failure } = viewer;
    save(sketch('#0000ff', 'canvas.circle({ at: [1, frame / 0], radius: 2 });'));
    await until(failure, new RegExp(`^lamp.ts, line 12 in frame ${await frame()}circle: at \\[1,(NaN|Infinity)\\] is not a point`));
    expect(await color()).toBe(green);

    save(sketch('#0000ff', 'void swin;').replace('import {', 'import { swin,'));
    await until(failure, /frame-juggler exports no swin; did you mean "swing"\?/);
    expect(await color()).toBe(green);

    save(sketch('#0000ff', 'canvas.circle({;'));
    await until(failure, /lamp\.ts:12/);
    expect(await color()).toBe(green);

    save(sketch('#ff0000', 'setTimeout(() => canvas.dot({ at: [1, 1] }));'));
    await until(failure, /^lamp\.ts, line 12dot: comes too late: its frame is painted/);

    save(sketch('#0000ff'));
    await until(color, blue);
    expect(await failure()).toBe('');
  }); // prettier-ignore

  test('what was saved last wins, however long an older save takes, or whatever it throws', async () => {
    const slow = 'await new Promise((resolve) => setTimeout(resolve, 700));\n';
    const late = "setTimeout(() => { throw new Error('late') }, 600);\n";
    for (const older of [
      slow + sketch('#ff0000'),
      slow + sketch('#ff0000', "throw new Error('old');"),
      `${slow}throw new Error('old');`,
      late + sketch('#ff0000').replace('paint(', "start: async () => { await new Promise((r) => setTimeout(r, 700)); throw new Error('old'); },\n  paint("),
    ]) {
      save(older);
      await viewer.page.waitForTimeout(250);
      save(sketch('#00ff00'));
      await until(viewer.color, green);
      await viewer.page.waitForTimeout(700);
      expect([await viewer.color(), await viewer.failure()]).toEqual([green, '']);
      save(sketch('#0000ff'));
      await until(viewer.color, blue);
    }
  }); // prettier-ignore

  test('a hundred saves in two seconds end in the last one', async () => {
    for (let i = 0; i < 100; i++) {
      save(sketch(i === 99 ? '#ff0000' : '#00ff00'));
      await new Promise((resolve) => setTimeout(resolve, 20));
    }
    await until(viewer.color, red);
    await viewer.page.waitForTimeout(400);
    expect(await viewer.color()).toBe(red);
    // The one that is shown, and the one that waits for the next save.
    await until(() => viewer.page.workers().length, 2);
  });

  test('a file that is taken away is said as what it is, and picked up when it is back', async () => {
    const { failure, color } = viewer;
    viewer.remove('size.ts');
    save(sketch('#0000ff'));
    await until(failure, /lamp\.ts imports \.\/size, which is not there/);
    viewer.save('size.ts', 'export const radius = 45;\n');
    await until(color, blue);
    expect(await failure()).toBe('');

    renameSync(viewer.file('lamp.ts'), viewer.file('away.txt'));
    await until(failure, /lamp\.ts is not there any more; once it is back, it is shown/);
    expect(await color()).toBe(blue);
    renameSync(viewer.file('away.txt'), viewer.file('lamp.ts'));
    await until(failure, '');
  });

  test('a folder that is renamed away and back, and a changed mode, lose neither frame nor picture', async () => {
    const { failure, color } = viewer;
    const [folder, frame] = [path.dirname(viewer.file('lamp.ts')), await viewer.frame()];
    chmodSync(viewer.file('lamp.ts'), 0o600);
    renameSync(folder, `${folder}-away`);
    await until(failure, /lamp\.ts is not there any more; once it is back, it is shown/);
    expect(await color()).toBe(blue);
    renameSync(`${folder}-away`, folder);
    await until(failure, '');
    expect([await color(), await viewer.frame()]).toEqual([blue, frame]);
    save(sketch('#00ff00'));
    await until(color, green);
    save(sketch('#0000ff'));
    await until(color, blue);
  });

  test('what the sketch prints stands in the page with its line, and in the terminal', async () => {
    let said = '';
    viewer.process.stdout?.on('data', (data: Buffer) => (said += data.toString()));
    save(sketch('#00ff00', "if (frame % 20 === 0) console.log('berth', { at: [1, 2] }, Math.random() < 2);"));
    await until(viewer.color, green);
    await viewer.button('Play').click();
    await viewer.openPart('Notes');
    await until(async () => (await viewer.page.locator('.remarks li').allTextContents()).join('\n'), /lamp\.ts:12berth {"at":\[1,2\]} true/);
    expect(await viewer.page.locator('.remarks .note', { hasText: 'Math.random()' }).textContent()).toMatch(/^lamp\.ts:12Math\.random\(\) gives another picture each time/);
    await until(() => said, /^lamp\.ts:12 {2}berth {"at":\[1,2\]} true$/m);
  }); // prettier-ignore
});
