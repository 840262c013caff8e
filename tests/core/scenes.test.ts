import { expect, test } from '@jest/globals';
import {
  defineSketch,
  pictureSize,
  rasterize,
  Run,
  scenes,
  type SceneMoment,
} from '../../packages/frame-juggler/src/index.ts';

const filled = (color: string, told?: SceneMoment[]) => ({
  duration: 2,
  paint: (canvas: import('../../packages/frame-juggler/src/index.ts').Canvas, scene: SceneMoment) => {
    told?.push(scene);
    canvas.rect({ from: [0, 0], to: [canvas.width, canvas.height], fill: color });
  },
});

async function colorAt(shown: ReturnType<typeof scenes>, seconds: number): Promise<number[]> {
  const sketch = defineSketch({ canvas: { width: 2, height: 2 }, paint: (canvas) => shown.paint(canvas, seconds) });
  const run = new Run(sketch);
  await run.restart();
  const frame = await run.paint();
  expect(pictureSize(frame)).toEqual({ width: 2, height: 2 });
  return [...rasterize(frame).data.subarray(0, 3)];
}

test('scenes follow each other, fade into each other, and the last one stays', async () => {
  const told: SceneMoment[] = [];
  const tour = scenes([filled('red'), { ...filled('blue', told), fade: 1 }, filled('lime')]);
  expect(tour.duration).toBe(5);
  expect(await colorAt(tour, 0.5)).toEqual([255, 0, 0]);
  expect(await colorAt(tour, 1.5)).toEqual([127, 0, 128]);
  expect(told.at(-1)).toEqual({ seconds: 0.5, progress: 0.25, presence: 0.5 });
  expect(await colorAt(tour, 2.5)).toEqual([0, 0, 255]);
  expect(await colorAt(tour, 3)).toEqual([0, 255, 0]);
  expect(await colorAt(tour, 99)).toEqual([0, 255, 0]);
});

test('a scene that cannot be is refused', () => {
  expect(() => scenes([])).toThrow('is empty; expected scenes');
  expect(() => scenes([filled('red'), { ...filled('blue'), fade: 3 }])).toThrow('scenes [1]: fade 3 is too long; expected at most 2');
  expect(() => scenes([{ ...filled('red'), durration: 3 } as never])).toThrow('did you mean "duration"?');
}); // prettier-ignore
