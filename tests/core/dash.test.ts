import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { byteForm } from '../../packages/frame-juggler/src/surfaces/raster/byte-form.ts';
import { Engine } from '../../packages/frame-juggler/src/surfaces/raster/engine.ts';
import { everywhere, pathOf } from '../helpers.ts';

type Spot = readonly [number, number];
const square: readonly Spot[] = [[0, 0], [10, 0], [10, 10], [0, 10]]; // prettier-ignore

const engine = new Engine(byteForm);

/** The pieces that an outline is cut into, each as its corners; closed ones end in `z`. */
function cut(outline: readonly Spot[], closed: boolean, pattern: readonly number[], offset = 0): string[] {
  const pen = { width: 1, cap: 'butt', join: 'miter', miterLimit: 4, dash: pattern, dashOffset: offset } as const;
  const { dashes } = engine.stroked(pathOf(outline, closed), pen, 0.02, everywhere);
  return dashes.map((piece) => {
    const rounded = piece.points.map((value) => Number(value.toFixed(6)));
    const spots = rounded.flatMap((x, i) => (i % 2 === 0 ? [`${x},${rounded[i + 1]}`] : []));
    return spots.join(' ') + (piece.closed ? ' z' : '');
  });
}

describe('dashes', () => {
  const line: readonly Spot[] = [[0, 0], [20, 0], [30, 0]]; // prettier-ignore
  test.each([
    [[10, 5], 0, ['0,0 10,0', '15,0 20,0 25,0']],
    [[10, 5], 4, ['0,0 6,0', '11,0 20,0 21,0', '26,0 30,0']],
    [[10, 5], -4, ['4,0 14,0', '19,0 20,0 29,0']],
    [[10, 5], 12, ['3,0 13,0', '18,0 20,0 28,0']],
    [[10, 5], 10, ['5,0 15,0', '20,0 30,0']],
    [[10], 0, ['0,0 10,0', '20,0 30,0']],
    [[3, 20, 4], 0, ['0,0 3,0', '23,0 27,0']],
    [[0, 10], 0, ['0,0 0,0', '10,0 10,0', '20,0 20,0']],
    [[100, 5], 0, ['0,0 20,0 30,0']],
    [[5, 100], 50, []],
  ])('%j from %d on an open line', (pattern, offset, expected) => {
    expect(cut(line, false, pattern, offset)).toEqual(expected);
  });

  test.each([
    ['run on round corners', [4, 8], 0, ['10,2 10,6', '6,10 2,10', '0,4 0,0 4,0']],
    ['are one across the start', [6, 4], 3, ['7,0 10,0 10,3', '10,7 10,10 7,10', '3,10 0,10 0,7', '0,3 0,0 3,0']],
    ['are one with the rest of an outline', [30, 20], 12, ['0,2 0,0 10,0 10,8']],
    ['longer than the outline are the whole of it', [41, 9], 0, ['0,0 10,0 10,10 0,10 z']],
    ['that begin in a gap end where the pattern says', [6, 4], 7, ['3,0 9,0', '10,3 10,9', '7,10 1,10', '0,7 0,1']],
  ])('round a closed outline %s', (_, pattern, offset, expected) => {
    expect(cut(square, true, pattern, offset)).toEqual(expected);
  });

  test('finer than anyone sees leave the outline whole, closed or open', () => {
    expect(cut(square, true, [1e-6, 1e-6])).toEqual(['0,0 10,0 10,10 0,10 z']);
    expect(cut(square, false, [1e-6, 1e-6])).toEqual(['0,0 10,0 10,10 0,10']);
    expect(cut(square, true, [0, 0])).toEqual(['0,0 10,0 10,10 0,10 z']);
  });

  test('have together the length that the pattern leaves of any line', () => {
    const length = fc.integer({ min: 1, max: 40 });
    fc.assert(
      fc.property(
        fc.array(length, { minLength: 1, maxLength: 5 }),
        fc.integer({ min: -99, max: 99 }),
        length,
        (pattern, offset, end) => {
          const twice = [...pattern, ...pattern];
          const period = twice.reduce((a, b) => a + b);
          // A unit at a time, whether a dash lies there.
          const isOn = (at: number): boolean => {
            let rest = (((at + offset) % period) + period) % period;
            let index = 0;
            while (rest >= twice[index]) rest -= twice[index++];
            return index % 2 === 0;
          };
          const expected = Array.from({ length: end }, (_, at) => at).filter(isOn).length;
          const pieces = cut(
            [
              [0, 0],
              [end, 0],
            ],
            false,
            pattern,
            offset,
          ).map((piece) => piece.split(' ').map(parseFloat));
          expect(pieces.reduce((sum, piece) => sum + piece[piece.length - 1] - piece[0], 0)).toBe(expected);
        },
      ),
    );
  });
});
