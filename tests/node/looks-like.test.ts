import { afterAll, describe, expect, test } from '@jest/globals';
import { existsSync, readFileSync, statSync } from 'node:fs';
import path from 'node:path';
import { defineSketch } from '../../packages/frame-juggler/src/index.ts';
import { lookMatchers, looksLike } from '../../packages/frame-juggler/src/testing/index.ts';
import { temporaryFolder } from '../helpers.ts';

/* Kept pictures, for tests of people's own sketches. */

const folder = temporaryFolder();
afterAll(() => folder.remove());
const kept = path.join(folder.path, 'kept', 'buoy.png');
const difference = path.join(folder.path, 'kept', 'buoy.difference.png');
const buoy = (radius: number) =>
  defineSketch({
    canvas: { width: 60, height: 40 },
    paint: (canvas) => canvas.circle({ at: [30, 20], radius, fill: 'crimson' }),
  });

describe('looksLike', () => {
  test('keeps a picture that is not there yet, and holds later ones against it', async () => {
    expect((await looksLike(buoy(12), kept, { update: 'none' })).alike).toBe(false);
    expect(existsSync(kept)).toBe(false);
    expect(await looksLike(buoy(12), kept, { update: 'new' })).toMatchObject({
      alike: true,
      message: 'buoy.png was written',
    });
    expect(await looksLike(buoy(12), kept)).toMatchObject({ alike: true, message: 'No pixel differs.' });
  });
  test('shows both side by side where they differ, until they are alike again', async () => {
    const bytes = readFileSync(kept);
    const look = await looksLike({ sketch: buoy(13), frame: 0 }, kept, { update: 'new' });
    expect(look).toMatchObject({ alike: false, difference });
    expect(look.message).toMatch(/^\d+ pixels differ/);
    expect(statSync(difference).size).toBeGreaterThan(100);
    expect(readFileSync(kept).equals(bytes)).toBe(true);
    expect((await looksLike(buoy(13), kept, { tolerance: 20 })).alike).toBe(true);
    expect(existsSync(difference)).toBe(false);
    expect(await looksLike(buoy(13), kept, { update: 'all' })).toMatchObject({ message: 'buoy.png was replaced' });
    expect((await looksLike({ sketch: buoy(13), density: 2 }, kept, { update: 'none' })).message).toMatch(
      /120 × 80 pixels, buoy\.png has 60 × 40/,
    );
  });
  test('is a matcher', async () => {
    const { pass, message } = await lookMatchers.toLookLike.call(
      { snapshotState: { _updateSnapshot: 'none' } },
      buoy(9),
      kept,
    );
    expect([pass, message()]).toEqual([false, expect.stringMatching(/pixels differ[\s\S]*buoy\.difference\.png/)]);
    expect.extend(lookMatchers as never);
    await (expect(buoy(13)) as unknown as { toLookLike(file: string): Promise<void> }).toLookLike(kept);
    await (expect(buoy(9)).not as unknown as { toLookLike(file: string): Promise<void> }).toLookLike(kept);
  });
});
