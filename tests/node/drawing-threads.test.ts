import { execFileSync } from 'node:child_process';
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { defineSketch } from 'frame-juggler';
import { drawFrames, DrawingThreads, render } from 'frame-juggler/node';

const sketch = defineSketch({
  canvas: { width: 60, height: 40, background: 'navy' },
  duration: 1,
  paint: (canvas, { frame, random }) => canvas.circle({ at: [frame, random.between(4, 36)], radius: 8, fill: 'gold' }),
});
let threads: DrawingThreads;
beforeAll(() => void (threads = new DrawingThreads(2)));
afterAll(() => threads.close());

test('threads that are kept draw what those of a render draw, one render after the other and at once', async () => {
  const films = (options: object): Promise<Uint8Array>[] =>
    [1, 2, 3].map((seed) => render(sketch, { format: 'gif', seed, ...options }));
  const own = await Promise.all(films({}));
  expect(await Promise.all(films({ threads }))).toEqual(own);
  expect(await Promise.all(films({ threads }))).toEqual(own);
});

test('they draw a single frame, too, and go on after a loop that was left', async () => {
  for await (const { frame } of drawFrames(sketch, { threads })) if (frame === 3) break;
  expect(await render(sketch, { frame: 5, threads })).toEqual(await render(sketch, { frame: 5 }));
});

test('a render whose threads are closed says so, before its end or from the beginning', async () => {
  const closed = new DrawingThreads(1);
  const going = render(sketch, { format: 'gif', threads: closed });
  const [failed] = await Promise.all([going.catch((error: unknown) => error), closed.close()]);
  expect(String(failed)).toMatch(/the threads that draw were closed; call their close\(\) after the last render/);
  await closed.close();
  await expect(render(sketch, { format: 'gif', threads: closed })).rejects.toThrow(
    /^the threads that draw were closed/,
  );
});

test('how many is a whole number', async () => {
  expect(() => new DrawingThreads(0)).toThrow('DrawingThreads: count 0 is out of range; expected a whole number, 1 or');
  await expect(render(sketch, { threads: '2' as never })).rejects.toThrow(
    'render: threads "2" is not a whole number; expected a whole number, 1 or more, or DrawingThreads',
  );
});

test('a script that keeps them open ends all the same', () => {
  const script = `import { DrawingThreads } from 'frame-juggler/threads';
    console.log(new DrawingThreads(1).count);`;
  const run = ['--input-type=module', '--eval', script];
  expect(execFileSync(process.execPath, run, { encoding: 'utf8', timeout: 60_000 })).toBe('1\n');
});
