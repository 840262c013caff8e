import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { errorOf } from '../helpers.ts';
import { heading, polar } from '../../packages/frame-juggler/src/geometry/angle.ts';
import { boxUnder } from '../../packages/frame-juggler/src/geometry/box.ts';
import {
  aboutPoint,
  apply,
  identity,
  inverse,
  largestScale,
  multiply,
  rotation,
  scaling,
  skewing,
  translation,
  type Matrix,
} from '../../packages/frame-juggler/src/geometry/matrix.ts';

const small = fc.double({ min: -50, max: 50, noNaN: true });
const factor = fc.double({ min: 0.1, max: 10, noNaN: true });
const matrices: fc.Arbitrary<Matrix> = fc
  .tuple(small, small, small, factor, factor)
  .map(([x, y, angle, sx, sy]) => multiply(multiply(translation(x, y), rotation(angle * 7)), scaling(sx, -sy)));

const close = (a: readonly number[], b: readonly number[]): void =>
  a.forEach((value, i) => expect(value).toBeCloseTo(b[i], 6));

describe('matrices', () => {
  test('an inverse undoes, and multiplying is applying one after the other', () => {
    fc.assert(
      fc.property(matrices, matrices, small, small, (m, n, x, y) => {
        close(multiply(m, inverse(m) as Matrix), identity);
        close(apply(multiply(m, n), x, y), apply(m, ...apply(n, x, y)));
      }),
    );
  });

  test('a box under a transform is the box of its four corners', () => {
    fc.assert(
      fc.property(matrices, small, small, factor, factor, (m, left, top, width, height) => {
        const [right, bottom] = [left + width, top + height];
        const corners = [[left, top], [right, top], [right, bottom], [left, bottom]].map(([x, y]) => apply(m, x, y)); // prettier-ignore
        const [xs, ys] = [0, 1].map((axis) => corners.map((corner) => corner[axis]));
        const box = boxUnder({ left, top, right, bottom }, m);
        const { min, max } = Math;
        close([box.left, box.top, box.right, box.bottom], [min(...xs), min(...ys), max(...xs), max(...ys)]);
      }),
    );
  });

  test('quarter turns are exact', () => {
    expect(apply(rotation(90), 3, 4)).toEqual([-4, 3]);
    expect(multiply(rotation(270), rotation(90))).toEqual(identity);
    expect(rotation(-720)).toEqual([1, 0, -0, 1, 0, 0]);
  });

  test('skews lean by tangents, exactly where those are', () => {
    expect(skewing(45, -45)).toEqual([1, -1, 1, 1, 0, 0]);
    expect(skewing(135, 225)).toEqual([1, 1, -1, 1, 0, 0]);
    close(skewing(30, -60), [1, -Math.sqrt(3), Math.sqrt(1 / 3), 1, 0, 0]);
  });

  test('about a point leaves the point where it is', () => {
    fc.assert(
      fc.property(matrices, small, small, (m, x, y) => {
        const linear: Matrix = [m[0], m[1], m[2], m[3], 0, 0];
        close(apply(aboutPoint(linear, x, y), x, y), [x, y]);
      }),
    );
  });

  test('no direction is stretched more than the largest scale, and one is stretched as much', () => {
    fc.assert(
      fc.property(matrices, (m) => {
        const lengths = Array.from({ length: 720 }, (_, i) => {
          const [x, y] = apply(
            [m[0], m[1], m[2], m[3], 0, 0],
            Math.cos((i * Math.PI) / 720),
            Math.sin((i * Math.PI) / 720),
          );
          return Math.hypot(x, y);
        });
        expect(Math.max(...lengths)).toBeCloseTo(largestScale(m), 2);
      }),
    );
  });

  test('what squashes the plane has no inverse', () => {
    expect(inverse(scaling(0, 2))).toBeUndefined();
    expect(inverse(skewing(45, 45))).toBeUndefined();
    expect(inverse(scaling(1e-320, 1e-320))).toBeUndefined();
    expect(inverse([1e200, 0, 0, 1e200, 0, 0])).toBeUndefined();
    expect(inverse([1e-150, 0, 0, 1, 1e300, 0])).toBeUndefined();
  });
});

describe('a point at an angle', () => {
  test('is where a turned canvas would put it, and is seen at that angle from there', () => {
    fc.assert(
      fc.property(fc.double({ min: -179.9, max: 180, noNaN: true }), factor, small, small, (angle, distance, x, y) => {
        const { x: px, y: py } = polar({ angle, distance, from: { x, y } });
        close([px, py], apply(multiply(translation(x, y), rotation(angle)), distance, 0));
        expect(heading([x, y], [px, py])).toBeCloseTo(angle, 6);
      }),
    );
  });

  test('is exact at quarter turns, and a step from the origin where no other point is named', () => {
    expect([0, 90, 180, 270, 360].map((angle) => polar({ angle, distance: 7 }))).toEqual([{ x: 7, y: 0 }, { x: 0, y: 7 }, { x: -7, y: 0 }, { x: 0, y: -7 }, { x: 7, y: 0 }]); // prettier-ignore
    const ways = [[1, 0], [0, 1], [-1, -0], [0, -1], [1, 1], [0, 0]] as const; // prettier-ignore
    expect(ways.map((to) => heading([0, 0], to))).toEqual([0, 90, 180, -90, 45, 0]);
  });

  test('names what it is not given', () => {
    expect(errorOf(() => polar({ angle: 30, distance: NaN }))).toMatch(/^polar: distance NaN is not finite/);
    expect(errorOf(() => polar({ angle: 30, distance: 5, from: [1] as never }))).toMatch(
      /^polar: from \[1\] is not a point/,
    );
    expect(errorOf(() => polar(30 as never))).toMatch('polar: 30 is not an options object; expected { angle: 30, distance: 100 }'); // prettier-ignore
    expect(errorOf(() => heading([0, 0], undefined as never))).toMatch(/^heading: to is missing/);
  });
});
