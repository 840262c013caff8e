import { isDeepStrictEqual } from 'node:util';
import { afterAll, describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { asset, defineSketch, hsl, picture, Run, seededRandom, type Moment, type Sketch } from '../../packages/frame-juggler/src/index.ts'; // prettier-ignore
import { CheckpointWriter, readCheckpoint } from '../../packages/frame-juggler/src/node/checkpoints/checkpoint-text.ts';
import { Checkpoints } from '../../packages/frame-juggler/src/node/checkpoints/checkpoints.ts';
import { fileHost } from '../../packages/frame-juggler/src/node/file-host.ts';
import { CheckpointMismatch, openFolder, render, type Store } from '../../packages/frame-juggler/src/node/index.ts'; // prettier-ignore
import { temporaryFolder } from '../helpers.ts';

const folder = temporaryFolder();
afterAll(folder.remove);
let stores = 0;
const freshPlace = (): string => `${folder.path}/${++stores}`;

describe('the text of a checkpoint', () => {
  const random = seededRandom(3);
  const back = (state: unknown): unknown => {
    const checkpoint = { frame: 7, random, state };
    const writer = new CheckpointWriter({});
    expect(writer.unkept(checkpoint)).toBeUndefined();
    const text = writer.write(checkpoint);
    const read = readCheckpoint(text, {});
    expect(writer.write(read)).toBe(text);
    return read.state;
  };

  test('gives back whatever is plain data', () => {
    const anything = fc.anything({
      key: fc.string().filter((key) => key !== '__proto__'),
      withMap: true,
      withSet: true,
      withTypedArray: true,
      withBigInt: true,
      withSparseArray: true,
      withNullPrototype: true,
    });
    fc.assert(fc.property(anything, (state) => isDeepStrictEqual(back(state), state)));
  });

  test('what is there twice is there twice again, and what holds itself too', () => {
    const gull = { x: 1, flock: [] as unknown[] };
    gull.flock.push(gull);
    const state = back({ first: gull, all: [gull], when: new Date(7), bytes: new Uint8Array(4) }) as {
      first: typeof gull;
      all: unknown[];
    };
    expect(state).toMatchObject({ when: new Date(7), bytes: new Uint8Array(4) });
    expect(state.all[0]).toBe(state.first);
    expect(state.first.flock[0]).toBe(state.first);
  });

  test('colors are colors again, and streams of chance go on where they were', () => {
    const stream = seededRandom('tide').stream(4);
    stream.int(1, 6);
    const state = back({ color: hsl(200, 50, 40, 0.5), stream }) as { color: unknown; stream: typeof stream };
    expect(state.color).toEqual(hsl(200, 50, 40, 0.5));
    expect(state.stream.times(5, () => state.stream.between(0, 1))).toEqual(
      stream.times(5, () => stream.between(0, 1)),
    );
    expect(state.stream.stream('a').int(0, 1e9)).toBe(stream.stream('a').int(0, 1e9));
  });

  test('a picture is a picture again, at the same version', () => {
    const tile = picture(3, 2, (canvas) => canvas.rect({ at: [1, 1], size: 2, fill: 'teal' }));
    tile.setColorAt(2, 0, 'gold');
    const state = back({ tile, again: tile }) as { tile: typeof tile; again: typeof tile };
    expect(state.tile.colorAt(2, 0)).toEqual(tile.colorAt(2, 0));
    expect([state.tile.version, state.again]).toEqual([1, state.tile]);
  });

  test('what is part of a file is that very part again', () => {
    const files = { tides: [{ hour: 1 }, { hour: 2 }], quay: { name: 'north' } };
    const others = structuredClone(files);
    const state = { now: files.tides[1], at: files.quay };
    const read = readCheckpoint(new CheckpointWriter(files).write({ frame: 0, random, state }), others);
    expect((read.state as typeof state).now).toBe(others.tides[1]);
    expect((read.state as typeof state).at).toBe(others.quay);
  });

  class Gull {
    x = 0;
  }
  class Flock extends Array<number> {}
  const chain = (length: number): object => Array.from({ length }).reduce<object>((next) => ({ next }), {});
  const deep = { gulls: [{ x: 0 }, { fly: () => 0 }] };
  test.each([
    [deep, 'state.gulls[1].fly', 'a function'],
    [{ gull: new Gull() }, 'state.gull', 'an instance of Gull'],
    [new Map([['a b', new Gull()]]), 'state.get("a b")', 'an instance of Gull'],
    [{ 'a b': Flock.from([1]) }, 'state["a b"]', 'an instance of Flock'],
    [{ tide: { get high() { return 1; } } }, 'state.tide.high', 'computed by a function'], // prettier-ignore
    [{ list: Object.assign([1], { sum: 1 }) }, 'state.list', 'a list with properties of its own'],
    [{ [Symbol('mark')]: 1 }, 'state[Symbol(mark)]', 'under a symbol'],
    [JSON.parse('{"__proto__":1}'), 'state.__proto__', 'named like what objects have by themselves'],
    [chain(1200), expect.stringContaining('state.next.next'), 'nested more than 1000 deep'],
    [{ pattern: /a/g }, 'state.pattern', 'an instance of RegExp'],
  ])('says what cannot be kept: %#', (state, path, what) => {
    expect(new CheckpointWriter({}).unkept({ frame: 0, random, state })).toEqual({ path, what });
  });

  test('says of a pointer what of it can be kept', async () => {
    const state: unknown[] = [];
    const run = new Run(defineSketch({ start: ({ pointer }) => void state.push(pointer), paint: () => undefined }));
    await run.goTo(0);
    const what = 'a part of a moment, of which the numbers alone can be kept: { x: pointer.x }';
    expect(new CheckpointWriter({}).unkept({ frame: 0, random, state })).toEqual({ path: 'state[0]', what });
  });
});

/** Gulls by chance, each drawn where it has come to; `outside` is what the sketch remembers beside its state,
 * and from which step on it shows. */
function flock(outside?: { steps: number; shows?: number }): { sketch: Sketch; steps: () => number } {
  let steps = 0;
  const sketch = defineSketch({
    canvas: { width: 60, height: 40, background: '#17384a' },
    frameRate: 30,
    duration: 20,
    start: ({ random }: Moment) => random.times(8, () => ({ at: random.point([60, 40]), color: random.color() })),
    step(gulls, { random }) {
      steps++;
      for (const gull of gulls) gull.at.x = (gull.at.x + random.between(0, 3) + shift(outside)) % 60;
      if (outside) outside.steps++;
    },
    paint(canvas, _, gulls) {
      for (const { at, color } of gulls) canvas.circle({ at, radius: 3, fill: color });
    },
  });
  return { sketch, steps: () => steps };
}

function shift(outside: { steps: number; shows?: number } | undefined): number {
  return outside !== undefined && outside.steps >= (outside.shows ?? 0) ? outside.steps % 7 : 0;
}

/** Keeps a checkpoint at every frame up to one. */
async function keepAll(sketch: Sketch, at: string | Store, last: number): Promise<void> {
  const spacing = { least: 0, share: 0, cost: Infinity };
  const checkpoints = await Checkpoints.open(new Run(sketch, { host: fileHost }), { at, source: 'flock', spacing });
  await checkpoints!.bring(last);
}

describe('a render with checkpoints', () => {
  const asked = (checkpoints: string): object => ({ checkpoints, source: 'flock', format: 'png' });

  test('steps from the last one, and gives the same bytes', async () => {
    const at = freshPlace();
    await keepAll(flock().sketch, at, 300);
    const alone = flock();
    const without = await render(alone.sketch, { source: 'flock', format: 'png', frame: 310 });
    expect(alone.steps()).toBe(310);
    const first = flock();
    expect(await render(first.sketch, { ...asked(at), frame: 310 })).toEqual(without);
    expect(first.steps()).toBeLessThan(40);
    // What was tested once is trusted.
    const second = flock();
    expect(await render(second.sketch, { ...asked(at), frame: 301 })).toEqual(await render(flock().sketch, { source: 'flock', format: 'png', frame: 301 })); // prettier-ignore
    expect(second.steps()).toBeLessThan(15);
  });

  test('another seed, source or dial has checkpoints of its own', async () => {
    const at = freshPlace();
    await keepAll(flock().sketch, at, 100);
    for (const other of [{ seed: 9 }, { source: 'flock, changed' }]) {
      const { sketch, steps } = flock();
      await render(sketch, { ...asked(at), frame: 100, ...other });
      expect(steps()).toBe(100);
    }
  });

  test('a damaged one is passed over', async () => {
    const at = freshPlace();
    await keepAll(flock().sketch, at, 60);
    const store = await openFolder(at);
    const [key] = await store.list('');
    const kept = (await store.list(`${key}/`)).sort();
    const last = kept.filter((name) => name.endsWith('.state')).at(-1)!;
    await store.put(last, (await store.get(last))!.slice(0, 40));
    const { sketch } = flock();
    expect(await render(sketch, { ...asked(at), frame: 60 })).toEqual(await render(flock().sketch, { source: 'flock', format: 'png', frame: 60 })); // prettier-ignore
  });

  test('what a sketch remembers outside of its state is noticed, and the next time it goes without', async () => {
    const at = freshPlace();
    await keepAll(flock({ steps: 0 }).sketch, at, 101);
    const continued = render(flock({ steps: 0 }).sketch, { ...asked(at), frame: 120 });
    await expect(continued).rejects.toThrow(CheckpointMismatch);
    await expect(continued).rejects.toMatchObject({ spoils: false });
    const notes: string[] = [];
    const bytes = await render(flock({ steps: 0 }).sketch, {
      ...asked(at),
      frame: 120,
      onNote: (note) => notes.push(note),
    });
    expect(bytes).toEqual(await render(flock({ steps: 0 }).sketch, { source: 'flock', format: 'png', frame: 120 }));
    expect(notes).toEqual([expect.stringContaining('remembers something outside of its state')]);
  });

  test('what shows only later is noticed as soon as it does, and that frames before it may be wrong', async () => {
    const at = freshPlace();
    await keepAll(flock({ steps: 0, shows: 60 }).sketch, at, 101);
    const continued = render(flock({ steps: 0, shows: 60 }).sketch, { ...asked(at), format: 'y4m', frames: [58, 62] });
    await expect(continued).rejects.toMatchObject({ spoils: true, message: expect.stringContaining('may be wrong') });
  });

  test('says why there are none', async () => {
    const notes: string[] = [];
    const onNote = (note: string): void => void notes.push(note);
    const withFunctions = defineSketch({
      duration: 2,
      start: () => ({ sway: Math.sin }),
      step: () => undefined,
      paint: (canvas) => canvas.circle({ at: [9, 9], radius: 4, fill: 'red' }),
    });
    await render(withFunctions, { ...asked(freshPlace()), frame: 9, onNote });
    const trail = defineSketch({ carry: 0.5, duration: 2, step: () => undefined, paint: (canvas) => canvas.circle({ at: [9, 9], radius: 4, fill: 'red' }) }); // prettier-ignore
    await render(trail, { ...asked(freshPlace()), frame: 9, onNote });
    expect(notes).toEqual([
      'no checkpoints: state.sway is a function, and only plain data can be kept',
      'no checkpoints: under a carry each picture stands on all those before it',
    ]);
    await expect(render(flock().sketch, { checkpoints: freshPlace(), frame: 9 })).rejects.toThrow('expected source');
  });
});

test('checkpoints are as far apart as a second of steps', async () => {
  const at = freshPlace();
  const slow = defineSketch({
    duration: 20,
    frameRate: 30,
    start: () => ({ steps: 0 }),
    step(state) {
      for (const end = performance.now() + 6; performance.now() < end;);
      state.steps++;
    },
    paint: (canvas, _, { steps }) => canvas.circle({ at: [steps, 20], radius: 5, fill: 'red' }),
  });
  await (await Checkpoints.open(new Run(slow), { at, source: 'slow' }))!.bring(500);
  const store = await openFolder(at);
  const [key] = await store.list('');
  const kept = (await store.list(`${key}/`)).filter((name) => name.endsWith('.state'));
  // Three seconds of steps: one each second, and the end.
  expect(kept.length).toBeGreaterThanOrEqual(2);
  expect(kept.length).toBeLessThanOrEqual(4);
});

test('a state may hold what the files of the sketch hold', async () => {
  const { writeFileSync } = await import('node:fs');
  const file = `${folder.path}/tides.json`;
  writeFileSync(file, JSON.stringify([{ level: 4 }, { level: 9 }, { level: 14 }]));
  const tides = (): Sketch =>
    defineSketch({
      canvas: { width: 30, height: 20 },
      duration: 10,
      assets: { tides: asset.json<{ level: number }[]>(new URL(`file://${file}`)) },
      start: ({ assets }) => ({ now: assets.tides[0] }),
      step(state, { assets }) {
        state.now = assets.tides[(assets.tides.indexOf(state.now) + 1) % 3];
      },
      paint: (canvas, _, { now }) => canvas.circle({ at: [15, 10], radius: now.level / 2, fill: 'teal' }),
    });
  const at = freshPlace();
  await keepAll(tides(), at, 50);
  expect(await render(tides(), { checkpoints: at, source: 'flock', format: 'png', frame: 53 })).toEqual(await render(tides(), { source: 'flock', format: 'png', frame: 53 })); // prettier-ignore
});
