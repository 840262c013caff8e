import { afterAll, describe, expect, test } from '@jest/globals';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { check, compare, explain, loadSketch, readPictureFile, render } from 'frame-juggler/node';
import { looksLike } from 'frame-juggler/testing';

/* What a script can do with a sketch, it can do with the name of its file. */

const bunting = 'examples/cookbook/loops/05-bunting.ts';
const folder = mkdtempSync(path.join(tmpdir(), 'juggle-by-file-'));
const kept = path.join(folder, 'kept.png');
afterAll(() => rmSync(folder, { recursive: true }));

describe('a sketch by its file', () => {
  test('is explained and checked', async () => {
    const sketch = await loadSketch(bunting);
    expect(await explain(bunting)).toEqual(await explain(sketch));
    expect(await check(bunting, { frames: [0, 2] })).toEqual(await check(sketch, { frames: [0, 2] }));
  });

  test('is compared with a sketch, a file of either kind, or a picture', async () => {
    await render(bunting, { to: kept });
    const sketch = await loadSketch(bunting);
    const sides = [
      sketch,
      { sketch: bunting },
      { sketch, name: 'now' },
      kept,
      { picture: await readPictureFile(kept) },
    ];
    const names: string[] = [];
    for (const side of sides) {
      const comparison = await compare(bunting, side);
      expect(comparison).toMatchObject({ alike: true, pixels: { pixels: 0 } });
      names.push(comparison.names[1]);
    }
    expect(names).toEqual(['05 bunting, frame 0, seed 1', '05 bunting, frame 0, seed 1', 'now', kept, 'a picture']);
    expect(await compare(kept, 'examples/cookbook/loops/01-ripples.ts')).toMatchObject({ alike: false });
    await expect(compare(bunting, path.join(folder, 'gone.png'))).rejects.toThrow('gone.png could not be read');
  });

  test('is held against its kept picture', async () => {
    expect(await looksLike(bunting, kept)).toMatchObject({ alike: true });
    await expect(looksLike(7 as never, kept)).rejects.toThrow('is neither a sketch nor a picture');
  });

  test('writes a picture to what `to` names', async () => {
    const to = path.join(folder, 'difference.png');
    await compare(bunting, kept, { to });
    expect(readFileSync(to).subarray(1, 4).toString()).toBe('PNG');
    await expect(compare(bunting, kept, { output: to } as never)).rejects.toThrow('there is no option "output"; did you mean "to"?'); // prettier-ignore
  });
});
