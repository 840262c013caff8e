import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { decode } from 'fast-png';
import { readTrack } from 'frame-juggler';
import { juggle } from '../helpers.ts';
import { until } from './browser.ts';
import { ViewerPage } from './viewer.ts';

/* Drawing by hand in the viewer. `ink` is in what was drawn, `paper` is only painted. */
const pen = (
  shape: string,
  { carry = 0, more = '' } = {},
): string => `import { defineSketch, dial } from 'frame-juggler';
export default defineSketch({
  title: 'Pen', canvas: { width: 300, height: 150 }, frameRate: 50, carry: ${carry},
  dials: { ink: dial.choice(['teal', 'crimson', 'gold']), paper: dial.color('white')${more} },
  start: () => [] as { x: number; y: number; ink: string }[],
  step(marks, { pointer, dials }) {
    if (${carry} === 0 && pointer.down) marks.push({ x: pointer.x, y: pointer.y, ink: dials.ink });
  },
  paint(canvas, { dials, pointer }, marks) {
    if (${carry} === 0) canvas.clear(dials.paper);
    if (${carry} > 0 && pointer.down) canvas.${shape}({ at: pointer, radius: 12, fill: dials.ink });
    for (const { x, y, ink } of marks) canvas.${shape}({ at: [x, y], radius: 12, fill: ink });
  },
});
`;
const colors: Readonly<Record<string, string>> = {
  '0 128 128': 'teal',
  '220 20 60': 'crimson',
  '255 215 0': 'gold',
  '255 255 255': '-',
};

let viewer: ViewerPage;
beforeAll(async () => {
  viewer = await ViewerPage.open({ 'pen.ts': pen('circle') }, { permissions: ['clipboard-read', 'clipboard-write'] });
});
afterAll(async () => {
  await viewer.close();
  expect(viewer.complaints).toEqual([]);
});

/** What is drawn at three places, from left to right. */
async function marks(): Promise<string[]> {
  const found: string[] = [];
  for (const x of [0.2, 0.5, 0.8]) found.push(await viewer.color(x, 0.5));
  return found.map((color) => colors[color] ?? color);
}
async function draw(x: number): Promise<void> {
  const { mouse } = viewer.page;
  const box = (await viewer.page.locator('#canvas').boundingBox())!;
  await mouse.move(box.x + x * box.width, box.y + box.height / 2);
  await mouse.down();
  // However slow the machine is: until it is drawn.
  await until(async () => (await marks())[[0.2, 0.5, 0.8].indexOf(x)] !== '-', true);
  await mouse.up();
  await mouse.move(box.x + 2, box.y + 2);
  const frame = await viewer.frame();
  await until(async () => (await viewer.frame()) > frame + 2, true);
}
const chooseInk = async (ink: string): Promise<void> => void (await viewer.page.locator('#dial-ink').selectOption(ink));
const notice = async (): Promise<string> => (await viewer.page.textContent('#notice')) ?? '';
/** Keeps what was done by hand; gives the file's name. */
async function kept(): Promise<string> {
  const answer = viewer.page.waitForResponse(/track/);
  await viewer.button('Keep input').click();
  const name = await (await answer).text();
  await until(notice, `Input kept in ${name}`);
  return name;
}
/** What is drawn in a file that was made. */
function marksIn(name: string): string[] {
  const { width, data, channels } = decode(readFileSync(viewer.file(name)));
  return [0.2, 0.5, 0.8].map((x) => {
    const at = (75 * width + x * width) * channels;
    return colors[data.slice(at, at + 3).join(' ')];
  });
}
const ink = (): Promise<string> => viewer.page.locator('#dial-ink').inputValue();

describe.each([0, 1])('in the viewer, with a carry of %s, a drawing', (carry) => {
  beforeEach(async () => {
    await viewer.andSee(() => viewer.save('pen.ts', pen('circle', { carry, more: `/* ${Math.random()} */` })));
    await viewer.button('Reset').click();
    await viewer.button('To the start').click();
    if ((await viewer.button('Play').count()) > 0) await viewer.button('Play').click();
    await draw(0.2);
    await chooseInk('crimson');
    await draw(0.5);
    await until(marks, ['teal', 'crimson', '-']);
  });

  test('is not drawn again when the ink is changed, at rest neither; looked back at, dials are as they were', async () => {
    await viewer.button('Pause').click();
    const last = await viewer.frame();
    await chooseInk('gold');
    await viewer.page.waitForTimeout(300);
    await until(marks, ['teal', 'crimson', '-']);
    await viewer.enter(viewer.field('Frame'), '0');
    await until(ink, 'teal');
    await until(marks, ['-', '-', '-']);
    await viewer.enter(viewer.field('Frame'), String(last));
    await until(ink, 'gold');
    await until(marks, ['teal', 'crimson', '-']);
    await viewer.button('Play').click();
    await draw(0.8);
    await until(marks, ['teal', 'crimson', 'gold']);
  });

  test('outlives a save, which has it drawn the new way, and is in the file that is made', async () => {
    const edge = (): Promise<string> => viewer.color(0.5 + 10 / 300, 0.5 + 10 / 150);
    await until(edge, '255 255 255');
    await viewer.saveAndSee('pen.ts', pen('rect', { carry }).replaceAll('radius: 12', 'size: 24'));
    await until(marks, ['teal', 'crimson', '-']);
    await until(edge, '220 20 60');
    await draw(0.8);
    await until(marks, ['teal', 'crimson', 'crimson']);
    await viewer.button('Pause').click();
    await viewer.openPart('Take out');
    await viewer.page.getByText('Make file').click();
    await until(() => viewer.page.textContent('#notice'), /^Wrote pen-\d+(-\d)?\.png, beside the sketch$/);
    const [name] = /pen-.*png/.exec((await viewer.page.textContent('#notice'))!)!;
    expect(marksIn(name)).toEqual(['teal', 'crimson', 'crimson']);
  });

  test('outlives a save while each frame takes long, and one that ends an endless loop', async () => {
    const text = pen('circle', { carry });
    const busy = (until: string): string => text.replace('paint(canvas, { dials, pointer }, marks) {', `paint(canvas, { dials, pointer, frame }, marks) { for (const end = performance.now() + ${until}; performance.now() < end; );`); // prettier-ignore
    await viewer.saveAndSee('pen.ts', busy(`(frame > ${await viewer.frame()} ? 350 : 0)`));
    await draw(0.8);
    await until(marks, ['teal', 'crimson', 'crimson']);
    await viewer.saveAndSee('pen.ts', text);
    await until(marks, ['teal', 'crimson', 'crimson']);
    const stuck = (await viewer.frame()) + 75;
    await viewer.saveAndSee('pen.ts', busy(`(frame === ${stuck} ? Infinity : 0)`));
    await until(() => viewer.failure(), new RegExp(`In frame ${stuck}`), 60);
    await viewer.saveAndSee('pen.ts', text);
    await until(marks, ['teal', 'crimson', 'crimson']);
  });

  test('is kept afterwards, each in a file of its own; the command that is copied makes it again', async () => {
    await viewer.button('Pause').click();
    const first = await kept();
    const text = readFileSync(viewer.file(first), 'utf8');
    expect(await kept()).toBe(first);
    await viewer.button('Play').click();
    await draw(0.8);
    await viewer.button('Pause').click();
    await viewer.openPart('Take out');
    await viewer.button('Copy command').click();
    await until(
      notice,
      /^Copied: juggle render .* --input pen-?\d*\.input\.json; what was done by hand is kept in pen/,
    );
    expect(await kept()).not.toBe(first);
    expect(readFileSync(viewer.file(first), 'utf8')).toBe(text);
    const line = await viewer.page.evaluate(() => navigator.clipboard.readText());
    const words = line
      .replace(/-o \S+/, '-o again.png')
      .split(' ')
      .slice(1);
    expect((await juggle(path.dirname(viewer.file('pen.ts')), ...words, '--quiet')).code).toBe(0);
    expect(marksIn('again.png')).toEqual(['teal', 'crimson', 'crimson']);
  });

  test('is drawn again when it is played back, taken out whole on the way, and gone on with from there', async () => {
    await viewer.button('Pause').click();
    const name = await kept();
    const { events } = readTrack(name, readFileSync(viewer.file(name), 'utf8'));
    const turned = events.find((event) => event.type === 'dial' && event.frame > 0)!.frame;
    const speed = viewer.page.getByLabel('Speed');
    // Slowly, so that it is not over before it is paused.
    await speed.selectOption('0.1');
    await viewer.andSee(() => viewer.button('Play it back').click());
    await viewer.button('Pause').click();
    await speed.selectOption('1');
    expect(await viewer.frame()).toBeLessThan(turned);
    await viewer.enter(viewer.field('Frame'), String(turned - 1));
    await until(marks, ['teal', '-', '-']);
    await viewer.button('Copy command').click();
    await until(notice, new RegExp(`--input ${name};`));
    await viewer.andSee(() => viewer.button('Play it back').click());
    await until(marks, ['teal', '-', '-']);
    await viewer.button('Play').click();
    await draw(0.8);
    await until(marks, ['teal', '-', 'teal']);
  });
});
