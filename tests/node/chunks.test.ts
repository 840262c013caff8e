import { mkdirSync, readFileSync, readdirSync } from 'node:fs';
import path from 'node:path';
import { afterAll, describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { defineSketch, type Sketch } from 'frame-juggler';
import { framesLeftBy } from 'frame-juggler';
import { ChunkJoiner, ChunkRenderer, render, type Chunk } from 'frame-juggler/node';
import { temporaryFolder } from '../helpers.ts';

const folder = temporaryFolder();
afterAll(folder.remove);

/** Boats with a wake, under a veil that is so thin that pixels may keep a rounding for ever. */
const sketchWith = (carry: number, veil: string): Sketch =>
  defineSketch({
    canvas: { width: 40, height: 24, background: '#12303f' },
    ...(carry > 0 && { carry }),
    frameRate: 10,
    duration: 5,
    start: () => ({ x: 0 }),
    step: (state) => void (state.x = (state.x * 1.1 + 3) % 40),
    paint(canvas, { random, frame }, { x }) {
      canvas.rect({ from: [0, 0], to: [40, 24], fill: veil });
      if (frame < 20) canvas.circle({ at: [x, random.stream(frame).between(4, 20)], radius: 5, fill: 'white' });
    },
  });

let films = 0;
function place(name: string): string {
  const own = path.join(folder.path, `${++films}`);
  mkdirSync(own);
  return path.join(own, name);
}

/** What a film becomes in chunks that begin at `starts`, and how many of them were rendered once more. */
async function inChunks(
  sketch: Sketch,
  name: string,
  last: number,
  starts: readonly number[],
  bits: 8 | 16 = 8,
): Promise<{ to: string; again: number }> {
  const to = place(name);
  const film = { frames: [0, last] as const, threads: 1, bits };
  const joiner = await ChunkJoiner.open(sketch, to, { ...film, overwrite: true });
  const edges = [...new Set([0, ...starts, last + 1])].sort((a, b) => a - b);
  let again = 0;
  let picture: Uint8Array | undefined;
  for (let i = 1; i < edges.length; i++) {
    const frames = [edges[i - 1], edges[i] - 1] as const;
    // Each as if on a machine of its own.
    const renderer = new ChunkRenderer(sketch, to, film);
    let chunk = await renderer.render(frames);
    if (!joiner.fits(chunk)) {
      again++;
      chunk = await renderer.render(frames, { under: picture! });
    }
    ({ picture } = chunk);
    await joiner.add(chunk);
    await renderer.close();
  }
  await joiner.finish();
  return { to, again };
}

const bytesOf = (to: string): string[] =>
  readdirSync(path.dirname(to)).sort().map((file) => readFileSync(path.join(path.dirname(to), file)).toString('base64')); // prettier-ignore

describe('chunks of a film', () => {
  test.each<[string, string, number, 8 | 16]>([
    ['a sequence', '%03d.png', 0, 8],
    ['a sequence with trails', '%03d.png', 0.8, 8],
    ['a sequence where nothing fades', '%03d.png', 1, 8],
    ['drawings with trails', '%03d.svg', 0.5, 8],
    ['plain video with trails', 'film.y4m', 0.6, 8],
    ['a GIF', 'film.gif', 0, 8],
    ['sixteen bits with trails', '%03d.png', 0.8, 16],
    ['sixteen bits where nothing fades', '%03d.png', 1, 16],
  ])('put together are what one render makes, wherever they are cut: %s', async (_, name, carry, bits) => {
    const sketch = sketchWith(carry, 'rgb(200 180 40 / 0.05)');
    const whole = place(name);
    await render(sketch, { to: whole, frames: [0, 69], threads: 1, bits });
    await fc.assert(
      fc.asyncProperty(fc.array(fc.integer({ min: 1, max: 69 }), { maxLength: 4 }), async (starts) => {
        expect(bytesOf((await inChunks(sketch, name, 69, starts, bits)).to)).toEqual(bytesOf(whole));
      }),
      { numRuns: 6, endOnFailure: true },
    );
  });

  test('are rendered once more, upon the picture before, only where what is left does not tell', async () => {
    expect((await inChunks(sketchWith(0.8, 'transparent'), '%d.png', 49, [45])).again).toBe(0);
    // A veil over trails: pixels that came from above rest a step higher than those that came from below.
    expect((await inChunks(sketchWith(0.9, 'rgb(255 255 255 / 0.04)'), '%d.png', 49, [48])).again).toBe(1);
    // 255, 127, 63, 31, 15, 7, 3, 1, 0.
    expect([framesLeftBy(0.5), framesLeftBy(1)]).toEqual([8, Infinity]);
  });

  test('that are damaged, or not what comes next, are not taken', async () => {
    const sketch = sketchWith(0, 'navy');
    const to = path.join(folder.path, 'x', '%d.png');
    const joiner = await ChunkJoiner.open(sketch, to, { frames: [0, 9], threads: 1 });
    const renderer = new ChunkRenderer(sketch, to, { frames: [0, 9], threads: 1 });
    const chunk = await renderer.render([0, 4]);
    await expect(joiner.add(await renderer.render([5, 9]))).rejects.toThrow('expected those from 0 on');
    const bytes = Uint8Array.from(chunk.bytes);
    bytes[40] ^= 1;
    await expect(joiner.add({ ...chunk, bytes })).rejects.toThrow('a chunk is damaged');
    await joiner.add(chunk);
    await joiner.abandon();
    await renderer.close();
  });

  test('are told what is wrong with them: frames that the film has not, frames that are missing, what is no chunk', async () => {
    const sketch = sketchWith(0.5, '#12303f20');
    const to = place('film.gif');
    const film = { frames: [0, 9] as const, threads: 1 };
    const renderer = new ChunkRenderer(sketch, to, film);
    const joiner = await ChunkJoiner.open(sketch, to, film);
    const wrong: readonly (readonly [unknown, RegExp])[] = [
      [
        () => renderer.render([4, 10]),
        /^renderer\.render: frames 4 to 10 lie outside of the film; expected frames of 0 to 9$/,
      ],
      [() => renderer.render([4, 3]), /^renderer\.render: frames \[4,3\] is not a range; expected \[first, last\]/],
      [() => renderer.render([0, 3], { onframe: 1 } as never), /^renderer\.render: there is no option "onframe"; did you mean "onFrame"\?$/], // prettier-ignore
      [() => renderer.render([4, 5], { under: new Uint8Array(40) }), /^the picture that a chunk stands on is damaged$/],
      [() => joiner.add(renderer.render([0, 4]) as unknown as Chunk), /^joiner\.add: chunk \{\} is a promise, which is not awaited; expected a chunk/], // prettier-ignore
      [async () => { await joiner.add(await renderer.render([0, 8])); await joiner.finish(); }, /^joiner\.finish: frames 9 to 9 are missing/], // prettier-ignore
      [() => Promise.resolve(new ChunkRenderer(sketch, undefined as never)), /^ChunkRenderer: to is missing/],
    ];
    for (const [work, message] of wrong)
      await expect(Promise.resolve().then(work as () => Promise<unknown>)).rejects.toThrow(expect.objectContaining({ reason: expect.stringMatching(message) })); // prettier-ignore
    // Nothing is lost by that.
    await joiner.add(await renderer.render([9, 9]));
    await joiner.finish();
    await renderer.close();
    const whole = place('whole.gif');
    await render(sketch, { to: whole, frames: [0, 9], threads: 1 });
    expect(readFileSync(to).equals(readFileSync(whole))).toBe(true);
  });
});

test('shares of a sequence are all of it, each once', async () => {
  const sketch = sketchWith(0.7, 'transparent');
  const [whole, shared] = ['whole', 'shared'].map((name) => path.join(folder.path, name, '%02d.png'));
  const frames = [7, 46] as const;
  await render(sketch, { to: whole, frames, threads: 1 });
  const counts = [];
  for (const part of [3, 1, 2])
    counts.push((await render(sketch, { to: shared, frames, shard: [part, 3], threads: 1 })).count);
  expect(counts).toEqual([13, 13, 14]);
  expect(bytesOf(shared)).toEqual(bytesOf(whole));
  await expect(render(sketch, { shard: [1, 3], format: 'gif' })).rejects.toThrow('only a sequence is made in shares');
  await expect(render(sketch, { to: shared, shard: [4, 3] })).rejects.toThrow('[part, of how many]');
});
