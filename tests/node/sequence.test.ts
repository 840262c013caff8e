import { readdirSync, readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import { afterAll, expect, test } from '@jest/globals';
import { defineSketch } from 'frame-juggler';
import { render } from 'frame-juggler/node';
import { temporaryFolder } from '../helpers.ts';

const folder = temporaryFolder();
afterAll(folder.remove);

/** Something that no fingerprint knows of. */
let tide = 20;
const sketch = defineSketch({
  canvas: { width: 60, height: 40, background: 'white' },
  frameRate: 10,
  duration: 2,
  paint: (canvas, { frame }) => canvas.rect({ from: [0, tide], to: [frame * 3, 40], fill: 'teal' }),
});
const frames = (name: string): string => path.join(folder.path, name, '%02d.png');
const filesIn = (name: string): string[] => readdirSync(path.join(folder.path, name)).filter((file) => file.endsWith('.png')); // prettier-ignore

test('frames are written as they are drawn, and counted in their order', async () => {
  const seen: number[] = [];
  await render(sketch, { to: frames('whole'), onProgress: (done) => void seen.push(done) });
  expect(seen).toEqual(Array.from({ length: 20 }, (_, i) => i + 1));
  expect(filesIn('whole')).toHaveLength(20);
});

test('a sequence that would be continued otherwise than it began is not, nor is a frame of it written', async () => {
  await render(sketch, { to: frames('tides'), frames: [0, 9] });
  rmSync(path.join(folder.path, 'tides/04.png'));
  await render(sketch, { to: frames('tides'), frames: [0, 9], resume: true });
  expect(filesIn('tides')).toHaveLength(10);
  tide = 30;
  const resumed = render(sketch, { to: frames('tides'), frames: [0, 19], resume: true });
  await expect(resumed).rejects.toThrow(/09\.png is not what the sketch paints now/);
  expect(filesIn('tides')).toHaveLength(10);
});

test.each([[0], [0.9]])('a file of video, whose frames share memory, has the bytes of a stream, under a carry of %d', async (carry) => {
  const moving = defineSketch({
    canvas: { width: 61, height: 40, background: 'white' },
    carry,
    frameRate: 10,
    duration: 4,
    paint: (canvas, { frame }) => canvas.circle({ at: [frame, 20], radius: 9, fill: 'teal' }),
  });
  const file = path.join(folder.path, `carry-${carry}.y4m`);
  await render(moving, { to: file });
  expect(readFileSync(file).equals(await render(moving, { format: 'y4m' }))).toBe(true);
}); // prettier-ignore
