import { describe, expect, test } from '@jest/globals';
import { decode } from 'fast-png';
import { defineSketch, dial } from '../../packages/frame-juggler/src/index.ts';
import { layOfStrip } from '../../packages/frame-juggler/src/formats/strip.ts';
import { drawFrames, readProvenance, strip, type StripOptions } from '../../packages/frame-juggler/src/node/index.ts';

/* Several frames in one picture: which they are, how they lie, and what a caller is told on the way. */

/** Each frame is of one red, by its number and its dials. */
const reds = defineSketch({
  canvas: { width: 40, height: 30 },
  duration: 4,
  frameRate: 10,
  dials: { light: dial.number(0, { min: 0, max: 200 }), more: dial.number(0, { min: 0, max: 9 }) },
  paint: (canvas, { frame, dials }) => canvas.clear(`rgb(${frame + dials.light + dials.more} 0 0)`),
});
type Picked = Omit<StripOptions, 'to'>;

/** The reds of the pictures in a strip, row by row. */
async function redsOf(options: Picked, count: number, columns: number): Promise<number[]> {
  const { data, width, height, channels } = decode(await strip(reds, { tile: 40, ...options }));
  const { across, cell, ...sheet } = layOfStrip({ width: 40, height: 30 }, count, columns);
  expect({ width, height }).toEqual(sheet);
  return Array.from({ length: count }, (_, i) => {
    const [x, y] = [((i % across) + 0.5) * cell.width, Math.floor(i / across) * cell.height + cell.height / 3];
    return data[(Math.floor(y) * width + Math.floor(x)) * channels];
  });
}

describe('a strip', () => {
  test.each<[Picked, number[], number]>([
    [{ columns: 8 }, [0, 6, 11, 17, 22, 28, 33, 39], 8],
    [{ frames: [10, 20], count: 3, columns: 2 }, [10, 15, 20], 2],
    [{ frames: [10, 12], columns: 9 }, [10, 11, 12], 9],
    [{ frames: [7, 7] }, [7], 1],
    [{ pick: [30, 2, 30], columns: 3 }, [30, 2, 30], 3],
    [{ seconds: [1, 2], count: 2, columns: 2 }, [10, 19], 2],
    [{ vary: { light: [10, 90] }, frame: 5, columns: 2 }, [15, 95], 2],
    [{ vary: { light: [10, 90, 50], more: [1, 2] }, seconds: 0.5 }, [16, 96, 56, 17, 97, 57], 3],
  ])('%j: which frames it shows, in order', async (options, expected, columns) => {
    expect(await redsOf(options, expected.length, columns)).toEqual(expected);
  });

  // About as wide as a screen is, and no place left over.
  test.each([[1, 1], [2, 2], [12, 6]])('%i pictures lie in rows of %i by themselves', async (count, columns) => {
    const pick = Array.from({ length: count }, (_, i) => i);
    expect(await redsOf({ pick }, count, columns)).toEqual(pick);
  }); // prettier-ignore

  test('its file tells of which frames it is, from the first to the last', async () => {
    expect(readProvenance(await strip(reds, { pick: [30, 2], tile: 40 }))).toMatchObject({ Frames: '2..30' });
  });

  test('what it can hold has an end: in pictures, and in pixels', async () => {
    await expect(strip(reds, { seeds: [1, 1001] })).rejects.toThrow(/^a strip of 1001 pictures is too long; expected at most 1000/); // prettier-ignore
    const values = Array.from({ length: 40 }, (_, i) => i);
    await expect(strip(reds, { vary: { light: values, more: values.map((value) => value / 9) } })).rejects.toThrow(/^a strip of 1600 pictures is too long/); // prettier-ignore
    // It is refused before anything is drawn: forty pictures of that size are two gigabytes.
    const drawn: number[] = [];
    const large = { pick: values, tile: 4096, columns: 40, onProgress: (done: number) => drawn.push(done) };
    await expect(strip(reds, large)).rejects.toThrow(
      /^a strip of 40 pictures, 40 per row and each 4096 pixels wide, is 164496 × \d+ pixels large; expected at most 16384 a side/,
    );
    expect(drawn).toEqual([]);
  });

  test('tells how far it is, by frames where it steps through them and by pictures where each has a run', async () => {
    const told = async (options: Picked): Promise<[number, number][]> => {
      const steps: [number, number][] = [];
      await strip(reds, { tile: 40, ...options, onProgress: (done, total) => steps.push([done, total]) });
      return steps;
    };
    expect(await told({ pick: [3, 1] })).toEqual([[2, 4], [4, 4]]); // prettier-ignore
    expect(await told({ vary: { light: [1, 2, 3] } })).toEqual([[1, 3], [2, 3], [3, 3]]); // prettier-ignore
  });
});

test('frames that are drawn one by one tell how far they are', async () => {
  const steps: [number, number][] = [];
  const drawn = drawFrames(reds, { frames: [4, 6], onProgress: (done, total) => steps.push([done, total]) });
  const seen: number[] = [];
  for await (const { data } of drawn) seen.push(data[0]);
  expect([seen, steps]).toEqual([[4, 5, 6], [[1, 3], [2, 3], [3, 3]]]); // prettier-ignore
});
