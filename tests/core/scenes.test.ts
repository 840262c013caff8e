import { expect, test } from '@jest/globals';
import {
  defineSketch,
  dial,
  pictureSize,
  rasterize,
  Run,
  scenes,
  type Canvas,
  type SceneMoment,
} from '../../packages/frame-juggler/src/index.ts';

const filled = (color: string, told?: SceneMoment[]) => ({
  duration: 2,
  paint: (canvas: Canvas, scene: SceneMoment) => {
    told?.push(scene);
    canvas.rect({ from: [0, 0], to: [canvas.width, canvas.height], fill: color });
  },
});

async function colorAt(shown: ReturnType<typeof scenes>, seconds: number): Promise<number[]> {
  const sketch = defineSketch({
    canvas: { width: 2, height: 2 },
    paint: (canvas, moment) => shown.paint(canvas, { ...moment, seconds }),
  });
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
  expect(told.at(-1)).toMatchObject({ seconds: 0.5, progress: 0.25, presence: 0.5, width: 2, frame: 0 });
  expect(await colorAt(tour, 2.5)).toEqual([0, 0, 255]);
  expect(await colorAt(tour, 3)).toEqual([0, 255, 0]);
  expect(await colorAt(tour, 99)).toEqual([0, 255, 0]);
});

test('scenes are the paint of a sketch: they get its moment and state, and chance of their own that holds still', async () => {
  const told: unknown[] = [];
  const scene = {
    duration: 2,
    fade: 1,
    paint: (_: unknown, { seconds, random, dials }: SceneMoment, { boats }: { boats: number }) =>
      void told.push([seconds, random.between(0, 1), random.between(0, 1), dials.swell, boats]),
  };
  // One of them hands on what it was given, to scenes of its own.
  const within = scenes([{ ...scene, fade: 0 }]);
  const outer = { duration: 2, paint: (canvas: Canvas, own: SceneMoment, state: { boats: number }) => within.paint(canvas, { ...own }, state) };
  const tour = scenes([outer, scene]);
  const dials = { swell: dial.number(4) };
  const run = new Run(defineSketch({ frameRate: 2, dials, start: () => ({ boats: 3 }), duration: tour.duration, paint: tour.paint }));
  for (const frame of [1, 2, 4]) {
    await run.goTo(frame);
    await run.paint();
  }
  const [first, firstFading, second, secondAlone] = told as number[][];
  expect([first[0], firstFading[0], second[0], secondAlone[0]]).toEqual([0.5, 1, 0, 1]);
  expect(firstFading.slice(1)).toEqual(first.slice(1));
  expect(secondAlone.slice(1)).toEqual(second.slice(1));
  expect(first.slice(3)).toEqual([4, 3]);
  expect(new Set([first, second].flatMap((each) => each.slice(1, 3))).size).toBe(4);
}); // prettier-ignore

test('a scene that cannot be is refused', () => {
  expect(() => scenes([])).toThrow('is empty; expected scenes');
  expect(() => scenes([{ ...filled('red'), fade: 1 }])).toThrow('scenes [0]: fade 1 has no scene before; leave it out');
  expect(() => scenes([filled('red'), { ...filled('blue'), fade: 3 }])).toThrow('scenes [1]: fade 3 is too long; expected at most 2');
  expect(() => scenes([filled('red')]).paint(undefined as never, 3 as never)).toThrow('scenes.paint: moment 3 is not a moment; expected what paint is given: show.paint(canvas, moment, state)');
  expect(() => scenes([{ ...filled('red'), durration: 3 } as never])).toThrow('did you mean "duration"?');
}); // prettier-ignore
