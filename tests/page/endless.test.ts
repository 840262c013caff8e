import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { until } from './browser.ts';
import { ViewerPage } from './viewer.ts';

/*
 * Sketches that never come back: wherever the loop is, it is ended and its line named, the last picture stays, and the
 * next save plays on where it was. Of an await no line can be told.
 */
const endless = 'for (;;) {}';
const sketch = ({ fill = '#ff0000', top = '', start = '', step = '', paint = '', clip = '' }): string => `
import { defineSketch } from 'frame-juggler';
const sizes = { get lamp(): number { ${clip === 'getter' ? endless : ''} return 60; } };
${top}
export default defineSketch({
  title: 'Lamp', canvas: { width: 200, height: 100, background: 'black' }, frameRate: 20,
  async start() { ${start} },
  step() { ${step} },
  paint(canvas, { frame }) {
    canvas.circle({ at: [100, 50], radius: sizes.lamp, fill: '${fill}' });
    canvas.group({ clip: (region) => { ${clip === 'clip' ? endless : 'region.circle({ at: [0, 0], radius: 5 });'} } }, () => canvas.circle({ at: [0, 0], radius: 4 }));
    ${paint}
  },
});
`; // prettier-ignore
const green = '0 255 0';
const blue = '0 0 255';

let viewer: ViewerPage;
beforeAll(async () => {
  viewer = await ViewerPage.open({ 'lamp.ts': sketch({ fill: '#00ff00' }) });
  await until(viewer.color, green);
});
afterAll(async () => {
  await viewer.close();
  expect(viewer.complaints).toEqual([]);
});

const places: [where: string, sketch: Parameters<typeof sketch>[0], said: RegExp][] = [
  ['at the top of the file', { top: endless }, /^lamp\.ts, line 4the file's own code/],
  ['in an await at the top of the file', { top: 'await new Promise(() => undefined);' }, /^The sketch was ended/],
  ['in start', { start: endless }, /^lamp\.ts, line 7 in frame 0start was ended after 2\.5 s; look for a loop/],
  ['in an await of start', { start: 'await new Promise(() => undefined);' }, /^In frame 0start was ended/],
  [
    'in awaits that come at once',
    { start: 'for (;;) await undefined;' },
    /^lamp\.ts, line 7 in frame 0start was ended/,
  ],
  ['in step', { step: endless }, /^lamp\.ts, line 8 in frame \d+step was ended/],
  ['in paint', { paint: endless }, /^lamp\.ts, line 12 in frame \d+paint was ended/],
  ['in a clip', { clip: 'clip' }, /^lamp\.ts, line 11 in frame \d+paint was ended/],
  ['in a getter', { clip: 'getter' }, /^lamp\.ts, line 3 in frame \d+paint was ended/],
];

describe('a loop without an end', () => {
  test.each(places)('%s is ended, and the next save plays on', async (_, loop, said) => {
    const before = await viewer.frame();
    viewer.save('lamp.ts', sketch({ ...loop, fill: '#ff0000' }));
    await until(viewer.failure, said);
    // The page was awake all the while, and shows the last good picture.
    expect(await viewer.color()).toBe(green);
    viewer.save('lamp.ts', sketch({ fill: '#0000ff' }));
    await until(viewer.color, blue);
    expect(await viewer.failure()).toBe('');
    await until(async () => (await viewer.frame()) > before, true);
    viewer.save('lamp.ts', sketch({ fill: '#00ff00' }));
    await until(viewer.color, green);
  });

  test('that begins only later ends at its frame; the picture before it stays, and can be begun again', async () => {
    // At rest, so that a busy machine does not play past that frame before the save is there.
    await viewer.button('Pause').click();
    await viewer.button('To the start').click();
    viewer.save('lamp.ts', sketch({ fill: '#0000ff', paint: `if (frame === 40) ${endless}` }));
    await until(viewer.color, blue);
    await viewer.button('Play').click();
    await until(viewer.failure, /^lamp\.ts, line 12 in frame 40paint was ended/);
    expect(await viewer.color()).toBe(blue);
    await viewer.button('Try again').click();
    await until(viewer.failure, '');
    viewer.save('lamp.ts', sketch({ fill: '#00ff00' }));
    await until(viewer.color, green);
  });

  test('leaves no thread behind, however often', async () => {
    for (let i = 0; i < 12; i++) {
      viewer.save('lamp.ts', sketch({ top: endless }));
      await viewer.page.waitForTimeout(250);
    }
    viewer.save('lamp.ts', sketch({ fill: '#0000ff' }));
    await until(viewer.color, blue);
    await until(() => viewer.page.workers().length, 2);
  });
});
