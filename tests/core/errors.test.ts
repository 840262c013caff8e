import { beforeAll, describe, expect, test } from '@jest/globals';
import path from 'node:path';
import * as library from '../../packages/frame-juggler/src/index.ts';
import { errorOf, record } from '../helpers.ts';

type Mistake = [mistake: (canvas: library.Canvas, all: typeof library) => unknown, message: string];
const { mistakes } = (await import(path.resolve('tests/fixtures/mistakes.mjs'))) as { mistakes: Mistake[] };

beforeAll(() => library.loadFonts(['regular']));

describe('what cannot be meant', () => {
  test.each(mistakes)('%#: %s', (mistake, message) => {
    let said = '';
    record((canvas) => (said = errorOf(() => mistake(canvas, library))));
    expect(said).toBe(message);
  });

  test('leaves the canvas as it was', () => {
    const clean = record((canvas) => canvas.circle({ at: [5, 5], radius: 3 }));
    const after = record((canvas) => {
      // Those that need no canvas are about values that are not there to be harmed.
      for (const [mistake] of mistakes) errorOf(() => mistake(canvas, library));
      canvas.circle({ at: [5, 5], radius: 3 });
    });
    expect(after).toEqual(clean);
  });

  test('names the line of the sketch', () => {
    const error = new library.SketchError({ call: 'circle', problem: 'is wrong' });
    expect(error.message).toMatch(/^circle: is wrong \(errors\.test\.ts:\d+:\d+\)$/);
    expect(error.inFrame(57).message).toMatch(/, frame 57\)$/);
  });
});
