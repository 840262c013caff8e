import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  apply,
  identity,
  multiply,
  rotation,
  scaling,
  translation,
  type Matrix,
} from '../../packages/frame-juggler/src/geometry/matrix.ts';
import {
  arc,
  close,
  cubic,
  ellipsePoint,
  line,
  move,
  pathBox,
  quad,
  type Path,
} from '../../packages/frame-juggler/src/geometry/path.ts';
import { byteForm } from '../../packages/frame-juggler/src/surfaces/raster/byte-form.ts';
import { Engine } from '../../packages/frame-juggler/src/surfaces/raster/engine.ts';
import { everywhere } from '../helpers.ts';

const engine = new Engine(byteForm);
type Spot = [number, number];

function flat(path: Path, matrix: Matrix, visible = everywhere, tolerance = 0.02): Spot[] {
  const numbers = engine.flattened(path, matrix, tolerance, visible).flatMap(({ points }) => points);
  return Array.from({ length: numbers.length / 2 }, (_, i) => [numbers[i * 2], numbers[i * 2 + 1]]);
}

/** How far a spot is from the nearest of the lines between points. */
function distance([x, y]: Spot, points: readonly Spot[]): number {
  let least = Infinity;
  for (let i = 1; i < points.length; i++) {
    const [[x0, y0], [x1, y1]] = [points[i - 1], points[i]];
    const [dx, dy] = [x1 - x0, y1 - y0];
    const along = Math.min(1, Math.max(0, ((x - x0) * dx + (y - y0) * dy) / (dx * dx + dy * dy || 1)));
    least = Math.min(least, Math.hypot(x - x0 - along * dx, y - y0 - along * dy));
  }
  return least;
}

const number = fc.double({ min: -100, max: 100, noNaN: true });
const spot = fc.tuple(number, number);
const length = fc.double({ min: 0.1, max: 100, noNaN: true });
const matrix = fc
  .tuple(spot, number, length, length)
  .map(([by, turn, sx, sy]) => [translation(...by), rotation(turn * 4), scaling(sx / 10, -sy / 5)].reduce(multiply));
const curve = fc.oneof(
  fc.tuple(spot, spot).map((spots) => [quad, ...spots.flat()]),
  fc.tuple(spot, spot, spot).map((spots) => [cubic, ...spots.flat()]),
  fc.tuple(spot, length, length, number, number, number).map(([at, rx, ry, turned, start, sweep]) => [arc, ...at, rx, ry, turned, start * 3, sweep * 3.6]), // prettier-ignore
);
const parts = Array.from({ length: 41 }, (_, i) => i / 40);

describe('flattening', () => {
  test('no curve is further than its tolerance from its lines, under any transform', () => {
    fc.assert(
      fc.property(spot, spot, spot, spot, matrix, (p0, p1, p2, p3, m) => {
        const points = flat([move, ...p0, cubic, ...p1, ...p2, ...p3], m);
        for (const t of parts) {
          const w = [(1 - t) ** 3, 3 * (1 - t) ** 2 * t, 3 * (1 - t) * t * t, t ** 3];
          const on = [0, 1].map((axis) => w[0] * p0[axis] + w[1] * p1[axis] + w[2] * p2[axis] + w[3] * p3[axis]);
          expect(distance(apply(m, on[0], on[1]), points)).toBeLessThan(0.021);
        }
      }),
      { numRuns: 60 },
    );
    fc.assert(
      fc.property(spot, length, length, number, number, number, matrix, ([x, y], rx, ry, turned, start, sweep, m) => {
        const points = flat([arc, x, y, rx, ry, turned, start * 3, sweep * 3], m);
        for (const t of parts)
          expect(
            distance(apply(m, ...ellipsePoint(x, y, rx, ry, turned, start * 3 + sweep * 3 * t)), points),
          ).toBeLessThan(0.021);
      }),
      { numRuns: 60 },
    );
  });

  test('a quadratic curve is the cubic that it equals', () => {
    const points = flat([move, 0, 0, quad, 50, 100, 100, 0], [1, 0, 0, 1, 0, 0]);
    for (const t of parts) expect(distance([100 * t, 200 * t * (1 - t)], points)).toBeLessThan(0.021);
  });

  test('what is out of sight costs little, and what is in sight stays fine', () => {
    const window = { left: 0, top: 0, right: 100, bottom: 100 };
    const huge = 1e7;
    const points = flat([arc, 50 - huge, 50, huge, huge, 0, 0, 360, close], [1, 0, 0, 1, 0, 0], window);
    expect(points.length).toBeLessThan(2000);
    for (const y of [0, 25, 50, 100])
      expect(distance([50 - huge + Math.sqrt(huge * huge - (y - 50) ** 2), y], points)).toBeLessThan(0.021);
  });

  test('whatever is in sight is as fine as if all were', () => {
    const side = fc.integer({ min: -400, max: 400 });
    fc.assert(
      fc.property(spot, curve, side, side, (start, command, left, top) => {
        const window = { left, top, right: left + 60, bottom: top + 40 };
        const grown: Matrix = [9, 2, -3, 8, 0, 0];
        const path = [move, ...start, ...command];
        const all = flat(path, grown, everywhere, 0.005);
        const seen = flat(path, grown, window);
        for (const [x, y] of all)
          if (x >= left && x <= left + 60 && y >= top && y <= top + 40)
            expect(distance([x, y], seen)).toBeLessThan(0.03);
      }),
      { numRuns: 300 },
    );
  });

  test('a subpath begins where the last one ended, or where an arc does', () => {
    expect(flat([move, 1, 2, line, 3, 4, close, line, 5, 6], identity)).toEqual([[1, 2], [3, 4], [1, 2], [5, 6]]); // prettier-ignore
    expect(flat([arc, 5, 5, 2, 2, 0, 0, 90], identity)[0]).toEqual([7, 5]);
    expect(flat([move, 1, 1, arc, 5, 5, 2, 2, 0, 0, 90], identity).slice(0, 2)).toEqual([[1, 1], [7, 5]]); // prettier-ignore
  });

  test('the box of a path holds its lines, and touches them on every side', () => {
    fc.assert(
      fc.property(spot, curve, matrix, (start, command, m) => {
        const path = [move, ...start, ...command];
        const box = pathBox(path, m);
        const points = flat(path, m, everywhere, 0.001);
        const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
        const found = [Math.min(...xs), Math.min(...ys), Math.max(...xs), Math.max(...ys)];
        [box.left, box.top, box.right, box.bottom].forEach((side, i) =>
          expect(Math.abs(side - found[i])).toBeLessThan(0.01),
        );
      }),
      { numRuns: 200 },
    );
  });
});
