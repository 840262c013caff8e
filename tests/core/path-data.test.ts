import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { PathBuilder } from '../../packages/frame-juggler/src/geometry/path-builder.ts';
import { parsePathData } from '../../packages/frame-juggler/src/geometry/path-data.ts';
import { arc, arcPoint, isClosedPath, pathBox, type Path } from '../../packages/frame-juggler/src/geometry/path.ts';
import { pathData } from '../../packages/frame-juggler/src/geometry/write-path-data.ts';
import { errorOf } from '../helpers.ts';

const read = (data: string): Path => parsePathData('path', data);
const closeTo = (path: Path, expected: Path, digits = 6): void => {
  expect(path).toHaveLength(expected.length);
  Array.from(path).forEach((number, i) => expect(number).toBeCloseTo(expected[i], digits));
};
const number = fc.integer({ min: -200, max: 200 }).map((tenths) => tenths / 10);
const spot = fc.tuple(number, number);

describe('SVG path data', () => {
  test('is read as tightly packed as SVG allows', () => {
    expect(read('M1-2.5.5.5')).toEqual(read('M 1, -2.5 L 0.5, 0.5'));
    expect(read('M10 10H20V30h-5v-5L12,25z')).toEqual(read('M10 10L20 10L20 30L15 30L15 25L12 25Z'));
    expect(read(' m1 2 3 4 z l5 6')).toEqual(read('M1 2L4 6ZL6 8'));
    expect(read('M0 0a5 4 0 1110 0')).toEqual(read('M0 0A5 4 0 1 1 10 0'));
  });

  test('relative commands go on from where the pen is', () => {
    const steps = fc.array(
      fc.oneof(
        ...(['L', 'T'] as const).map((name) => fc.tuple(fc.constant(name), fc.tuple(spot))),
        ...(['Q', 'S'] as const).map((name) => fc.tuple(fc.constant(name), fc.tuple(spot, spot))),
        fc.tuple(fc.constant('C' as const), fc.tuple(spot, spot, spot)),
        fc.tuple(fc.constant('M' as const), fc.tuple(spot)),
      ),
    );
    fc.assert(
      fc.property(spot, steps, (start, moves) => {
        let [x, y] = start;
        let [absolute, relative] = [`M${x} ${y}`, `M${x} ${y}`];
        for (const [name, spots] of moves) {
          absolute += name + spots.map(([dx, dy]) => `${x + dx} ${y + dy}`).join(' ');
          relative += name.toLowerCase() + spots.flat().join(' ');
          const [dx, dy] = spots[spots.length - 1];
          [x, y] = [x + dx, y + dy];
        }
        closeTo(read(relative), read(absolute));
      }),
    );
  });

  test('smooth curves mirror the control point before them, where there is one of their kind', () => {
    expect(read('M0 0C0 5 5 5 5 0S10-5 10 0')).toEqual(read('M0 0C0 5 5 5 5 0C5-5 10-5 10 0'));
    expect(read('M0 0S3 4 10 0S13 4 20 0')).toEqual(read('M0 0C0 0 3 4 10 0C17-4 13 4 20 0'));
    expect(read('M0 0Q5 5 10 0S13 4 20 0')).toEqual(read('M0 0Q5 5 10 0C10 0 13 4 20 0'));
    expect(read('M0 0Q5 5 10 0T20 0T30 0')).toEqual(read('M0 0Q5 5 10 0Q15-5 20 0Q25 5 30 0'));
    expect(read('M0 0C1 1 5 5 10 0T20 0')).toEqual(read('M0 0C1 1 5 5 10 0Q10 0 20 0'));
  });

  test('an arc is that of the ellipse which its ends, radii and flags tell', () => {
    const radius = fc.integer({ min: 1, max: 90 });
    const sweep = fc
      .integer({ min: -355, max: 355 })
      .filter((degrees) => Math.abs(degrees) >= 5 && Math.abs(degrees) !== 180);
    fc.assert(
      fc.property(
        spot,
        radius,
        radius,
        fc.integer({ min: 0, max: 89 }),
        fc.integer({ min: -179, max: 179 }),
        sweep,
        (center, rx, ry, turned, start, sweep) => {
          const given = [arc, ...center, rx, ry, turned, start, sweep];
          const [from, to] = [arcPoint(given, 0, start), arcPoint(given, 0, start + sweep)];
          const flags = `${Math.abs(sweep) > 180 ? 1 : 0} ${sweep > 0 ? 1 : 0}`;
          const found = Array.from(read(`M${from.join(' ')}A${rx} ${ry} ${turned} ${flags} ${to.join(' ')}`)).slice(3);
          closeTo(found.slice(0, 6), given.slice(0, 6), 4);
          expect(((found[6] - start + 540) % 360) - 180).toBeCloseTo(0, 4);
          expect(found[7]).toBeCloseTo(sweep, 4);
        },
      ),
    );
  });

  test('an arc too small for its ends grows, one without a radius is a line, one that goes nowhere is nothing', () => {
    closeTo(read('M0 0A2 -1 0 0 0 10 0'), [0, 0, 0, arc, 5, 0, 5, 2.5, 0, 180, -180]);
    for (const radii of ['0 5', '5 0']) expect(read(`M1 2A${radii} 0 0 1 10 3`)).toEqual(read('M1 2L10 3'));
    expect(read('M1 2A5 5 0 1 1 1 2L3 4')).toEqual(read('M1 2L3 4'));
    expect(read('M1 2A5 5 0 1 1 1 9')).not.toEqual(read('M1 2'));
  });

  test('what is written is read as the same outline', () => {
    const written = fc.array(
      fc.oneof(
        spot.map((at) => [1, ...at]),
        fc.tuple(spot, spot).map((spots) => [2, ...spots.flat()]),
        fc.tuple(spot, spot, spot).map((spots) => [3, ...spots.flat()]),
        fc.constant([5]),
      ),
    );
    fc.assert(
      fc.property(spot, written, (start, commands) => {
        const path = [0, ...start, ...commands.flat()];
        expect(Array.from(read(pathData(path)))).toEqual(path);
      }),
    );
  });

  test('arcs are written so that they cover the same box', () => {
    const radius = fc.integer({ min: 1, max: 90 });
    fc.assert(
      fc.property(
        fc.boolean(),
        spot,
        radius,
        radius,
        fc.integer({ min: -360, max: 360 }),
        fc.integer({ min: 1, max: 360 }),
        fc.boolean(),
        (open, center, rx, ry, start, sweep, back) => {
          const path = [
            ...(open ? [0, 3, 4] : []),
            arc,
            ...center,
            rx,
            back ? -ry : ry,
            30,
            start,
            back ? -sweep : sweep,
            5,
          ];
          const [box, again] = [pathBox(path), pathBox(read(pathData(path)))];
          for (const side of ['left', 'top', 'right', 'bottom'] as const) expect(again[side]).toBeCloseTo(box[side], 3);
        },
      ),
    );
  });

  test('what cannot be read is said with its place', () => {
    expect(errorOf(() => read('M10 10 X5'))).toMatch('"M10 10 X5" cannot be read at character 8');
    expect(errorOf(() => read('M10 10 A5 5 0 2 1 3 4'))).toMatch('expected 0 or 1');
    expect(errorOf(() => read('M10 '))).toMatch('expected a number');
    expect(errorOf(() => read('M1e999 0'))).toMatch('expected a smaller number');
    expect(errorOf(() => read('M1e308 0l1e308 0'))).toMatch('expected smaller numbers');
    expect(errorOf(() => read('L10 10'))).toMatch('expected M, where the outline begins');
    expect(errorOf(() => read(`M0 0${'L1 2'.repeat(30)}oops${'L1 2'.repeat(30)}`))).toMatch(
      '"…L1 2L1 2L1 2oopsL1 2L1 2…"',
    );
    fc.assert(
      fc.property(fc.string(), (text) => {
        try {
          read(text);
        } catch (error) {
          expect((error as Error).name).toBe('SketchError');
        }
      }),
    );
  });
});

test.each([
  ['M0 0L9 9L0 9', false],
  ['M0 0L9 9L0 9Z', true],
  ['M0 0L9 9L0 0', true],
  ['M0 0L9 9L0 9L9 0', false],
  ['M0 0L9 9L0 0M20 20L30 30', true],
  ['M0 0L9 9M0 0L3 3', false],
  ['M0 0C1 2 3 4 0 0', true],
  ['M0 0Q1 2 0 5', false],
])('%s closes: %s', (data, closes) => expect(isClosedPath(read(data))).toBe(closes));

test('arcs close by a whole turn, or by ending where the outline began', () => {
  const turn = (sweep: number): number[] => [arc, 5, 5, 3, 3, 0, 0, sweep];
  expect([360, -360, 300].map((sweep) => isClosedPath(turn(sweep)))).toEqual([true, true, false]);
  expect(isClosedPath([0, 8, 5, ...turn(90), 1, 8, 5])).toBe(true);
  expect(isClosedPath([...turn(90), 1, 8, 5])).toBe(true);
  expect(isClosedPath([0, 5, 8, 1, 9, 9, ...turn(90)])).toBe(true);
});

test('an outline is built call by call, and begins where the first call draws', () => {
  const build = (draw: (path: PathBuilder) => PathBuilder): readonly number[] =>
    Array.from(draw(new PathBuilder()).path);
  expect(build((path) => path.lineTo(1, 2).lineTo(3, 4))).toEqual([0, 1, 2, 1, 3, 4]);
  expect(build((path) => path.quadraticCurveTo(1, 2, 3, 4))).toEqual([0, 1, 2, 2, 1, 2, 3, 4]);
  expect(build((path) => path.moveTo(0, 9).bezierCurveTo(1, 2, 3, 4, 5, 6))).toEqual([0, 0, 9, 3, 1, 2, 3, 4, 5, 6]);
  expect(build((path) => path.arc(1, 2, 3, 30, 500))).toEqual([arc, 1, 2, 3, 3, 0, 30, 360]);
  expect(build((path) => path.arc(1, 2, 3, 30, -500))).toEqual([arc, 1, 2, 3, 3, 0, 30, -360]);
  expect(build((path) => path.ellipse(1, 2, 3, 4))).toEqual([arc, 1, 2, 3, 4, 0, 0, 360]);
  expect(build((path) => path.rect(1, 2, 10, 20))).toEqual([0, 1, 2, 1, 11, 2, 1, 11, 22, 1, 1, 22, 5]);
  expect(build((path) => path.rect([1, 2], 10, 20))).toEqual(build((path) => path.rect(1, 2, 10, 20)));
  expect(errorOf(() => new PathBuilder().closePath())).toBe('path.closePath: there is nothing to close');
});

test('where a call of a path takes x and y, it takes a point', () => {
  const p = { x: 1, y: 2 };
  const points = new PathBuilder().moveTo(p).lineTo([3, 4]).quadraticCurveTo(p, [3, 4]).bezierCurveTo(p, [3, 4], p);
  points.arc(p, 5, 0, 90).ellipse([3, 4], 5, 6, 7);
  const numbers = new PathBuilder()
    .moveTo(1, 2)
    .lineTo(3, 4)
    .quadraticCurveTo(1, 2, 3, 4)
    .bezierCurveTo(1, 2, 3, 4, 1, 2);
  numbers.arc(1, 2, 5, 0, 90).ellipse(3, 4, 5, 6, 7);
  expect(points.path).toEqual(numbers.path);
});
