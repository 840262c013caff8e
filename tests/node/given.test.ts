import { expect, test } from '@jest/globals';
import { defineSketch, SketchError } from '../../packages/frame-juggler/src/index.ts';
import * as node from '../../packages/frame-juggler/src/node/index.ts';
import { mount } from '../../packages/frame-juggler/src/browser/index.ts';

const calls = [
  'check', 'checkSketchFile', 'compare', 'comparePictures', 'comparisonLines', 'dialFile', 'drawFrames', 'encodePng', 'explain', 'keepCheckpoints', 'loadSketch', 'openFolder', 'pictureDifferenceInWords', 'provenance', 'readDialFile', 'readPictureFile', 'readProvenance', 'readSketch', 'render', 'sketchesIn', 'strip', 'writeAtomically', 'writeDialFile',
] as const; // prettier-ignore

test.each(calls)('%s says in its own name what it should have been handed', async (name) => {
  const call = node[name] as (...handed: unknown[]) => unknown;
  for (const handed of [[], [null], [{}], [7, 7], [Promise.resolve()]]) {
    const error = await errorOf(() => call(...handed));
    expect(error).toBeInstanceOf(SketchError);
    expect((error as Error).message).toMatch(new RegExp(`^${name}: .+; (expected|did you mean) `));
  }
});

test('pixels that do not fill a picture are none', () => {
  const pixels = { width: 4, height: 4, data: new Uint8Array(63), opaque: true };
  expect(() => node.encodePng(pixels)).toThrow(
    /^encodePng: picture .* is not a picture; expected .* four bytes a pixel/,
  );
});

test('what shows a sketch says that there is no page where there is none', () => {
  expect(() => mount({} as never, '#stage')).toThrow(/^mount: there is no page here; call it in a browser/);
});

test.each([
  ['frames', 'is not a range', [[4, 3], [4], [1, 2, 3], [1.5, 3], [-1, 3], 4, '1..3']],
  ['seconds', 'is neither a moment nor a stretch of time', [-1, NaN, [3, 1], [2, 2], [1], [1, 2, 3], [-1, 2], '1..2']],
  ['shard', 'is not a share', [[0, 2], [3, 2], [1], [1, 2, 3], [1.5, 2], 1, '1/2']],
  ['bits', 'is neither 8 nor 16', [0, 12, '16']],
  ['threads', 'is out of range', [0]],
])('wrong %s of a film are refused: %s', async (option, what, wrong) => {
  const sketch = defineSketch({ paint: () => undefined });
  for (const value of wrong) {
    const error = await errorOf(() => node.render(sketch, { to: 'never.apng', [option]: value }));
    expect((error as Error).message).toMatch(new RegExp(`^render: ${option} .*${what}`));
  }
});

/** What is thrown by a call, or by the first step of what it gives. */
async function errorOf(call: () => unknown): Promise<unknown> {
  try {
    const given = await call();
    if (typeof given === 'object' && given !== null && Symbol.asyncIterator in given)
      await (given as AsyncGenerator<unknown>).next();
    return undefined;
  } catch (error) {
    return error;
  }
}
