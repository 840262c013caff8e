import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { identity } from '../../packages/frame-juggler/src/geometry/matrix.ts';
import { byteForm } from '../../packages/frame-juggler/src/surfaces/raster/byte-form.ts';
import { Engine } from '../../packages/frame-juggler/src/surfaces/raster/engine.ts';
import { inkArea, pathOf, picture, pixel } from '../helpers.ts';

type Corner = [number, number];

/** Coverage of every pixel, 0 to 255, of polygons on a small canvas. */
function cover(polygons: Corner[][], rule: 'nonzero' | 'evenodd' = 'nonzero', width = 40, height = 30): number[] {
  const engine = new Engine(byteForm);
  const { calls } = engine;
  const path = polygons.flatMap((corners) => pathOf(corners, true));
  calls.resize(width, height, 0, height);
  calls.lookAtCanvas();
  calls.takeColor(0, black, 255, 0);
  engine.takePath(path);
  engine.chooseOutline(0, path.length, identity);
  calls.fill(rule === 'evenodd', false, false, 0.02);
  calls.paintList();
  return Array.from(engine.bytes(calls.pixelsOf(0), width * height * 4)).filter((_, at) => at % 4 === 3);
}

const black = 255 << 24;
const sum = (values: number[]): number => values.reduce((a, b) => a + b, 0) / 255;
const box = (x0: number, y0: number, x1: number, y1: number): Corner[] => [
  [x0, y0],
  [x1, y0],
  [x1, y1],
  [x0, y1],
];
const corner = fc.tuple(fc.double({ min: -20, max: 60, noNaN: true }), fc.double({ min: -20, max: 50, noNaN: true }));

describe('coverage', () => {
  test('a half-covered pixel is half as dark', () => {
    const half = picture((canvas) => canvas.rect({ from: [10, 10], to: [20.5, 20] }));
    expect([127, 128]).toContain(pixel(half, 20, 15)[0]);
    expect(pixel(half, 19, 15)[0]).toBe(0);
    expect(pixel(half, 21, 15)[0]).toBe(255);
  });

  test('a shape moved by whole pixels gives the same bytes, moved', () => {
    const inside = fc.tuple(fc.double({ min: 1, max: 15, noNaN: true }), fc.double({ min: 1, max: 12, noNaN: true }));
    fc.assert(
      fc.property(fc.array(inside, { minLength: 3, maxLength: 7 }), fc.nat(23), fc.nat(16), (polygon, dx, dy) => {
        const still = cover([polygon]);
        const moved = cover([polygon.map(([x, y]) => [x + dx, y + dy])]);
        for (let y = 0; y < 14; y++)
          expect(moved.slice((y + dy) * 40 + dx, (y + dy) * 40 + dx + 17)).toEqual(still.slice(y * 40, y * 40 + 17));
      }),
    );
  });

  test('what is cut off at the sides of the canvas leaves the rest as it is', () => {
    fc.assert(
      fc.property(fc.array(corner, { minLength: 3, maxLength: 6 }), (polygon) => {
        const small = cover([polygon]);
        const large = cover([polygon.map(([x, y]) => [x + 30, y + 30])], 'nonzero', 100, 90);
        const most = small.reduce((worst, value, i) => {
          const there = large[(Math.floor(i / 40) + 30) * 100 + (i % 40) + 30];
          return Math.max(worst, Math.abs(value - there));
        }, 0);
        expect(most).toBeLessThanOrEqual(1);
      }),
    );
  });

  test('areas are those of geometry', () => {
    expect(sum(cover([[[3.3, 2.1], [31.7, 8.4], [12.2, 27.9]]]))).toBeCloseTo(area([[3.3, 2.1], [31.7, 8.4], [12.2, 27.9]]), 0); // prettier-ignore
    for (const radius of [0.4, 3, 17.25, 40])
      expect(inkArea(picture((canvas) => canvas.circle({ at: [50, 50], radius })))).toBeCloseTo(
        Math.PI * radius ** 2,
        radius > 10 ? -1 : 0,
      );
    expect(
      inkArea(picture((canvas) => canvas.ellipse({ at: [50, 50], radii: [30, 12], rotate: 31 }))) / (Math.PI * 360),
    ).toBeCloseTo(1, 2);
  });

  test('a convex outline of few corners covers each pixel by the area that they share, however far it reaches', () => {
    const near = fc.double({ min: -12, max: 52, noNaN: true });
    const far = fc.oneof({ weight: 5, arbitrary: near }, { weight: 1, arbitrary: fc.double({ min: -3e4, max: 3e4, noNaN: true }) }); // prettier-ignore
    const line = fc.record({ from: fc.tuple(far, far), to: fc.tuple(far, far), width: fc.double({ min: 0.05, max: 6, noNaN: true }) }); // prettier-ignore
    const alongLine = line.map(({ from: [x0, y0], to: [x1, y1], width }): Corner[] => {
      const length = Math.hypot(x1 - x0, y1 - y0) || 1;
      const [dx, dy] = [((y1 - y0) / length) * width, ((x0 - x1) / length) * width];
      return [[x0, y0], [x1, y1], [x1 + dx, y1 + dy], [x0 + dx, y0 + dy]]; // prettier-ignore
    });
    const triangle = fc.tuple(fc.tuple(near, near), fc.tuple(near, near), fc.tuple(near, near));
    fc.assert(
      fc.property(fc.oneof(alongLine, triangle), (polygon) => {
        expect(furthestOff(cover([polygon]), (x, y) => area(within(polygon, x, y)))).toBeLessThan(1.1);
      }),
      { numRuns: 300 },
    );
  });

  const place = fc.tuple(fc.double({ min: -5, max: 45, noNaN: true }), fc.double({ min: -5, max: 35, noNaN: true }));
  const reach = fc.oneof(fc.double({ min: 0.2, max: 3, noNaN: true }), fc.double({ min: 3, max: 25, noNaN: true }));
  const degrees = fc.double({ min: 0, max: 360, noNaN: true });

  test('a convex outline of many corners covers each pixel by the area that they share', () => {
    fc.assert(
      fc.property(place, reach, reach, degrees, fc.integer({ min: 5, max: 60 }), (at, across, down, turn, sides) => {
        const polygon = regular(at, [across, down], turn, sides);
        expect(furthestOff(cover([polygon]), (x, y) => area(within(polygon, x, y)))).toBeLessThan(1.1);
      }),
      { numRuns: 300 },
    );
  });

  test('a pen along a regular polygon covers what lies between two of them', () => {
    const width = fc.double({ min: 0.02, max: 0.9, noNaN: true });
    fc.assert(
      fc.property(place, reach, degrees, fc.integer({ min: 3, max: 9 }), width, (at, radius, turn, sides, part) => {
        const flat = Math.cos(Math.PI / sides);
        const half = part * radius * flat;
        const [outer, inner] = [radius + half / flat, radius - half / flat].map((each) => regular(at, [each, each], turn, sides)); // prettier-ignore
        const points = regular(at, [radius, radius], turn, sides);
        const { data } = picture((canvas) => canvas.polygon({ points, fill: 'none', stroke: { color: 'black', width: 2 * half } }), { width: 40, height: 30 }); // prettier-ignore
        const inked = Array.from({ length: 40 * 30 }, (_, i) => 255 - data[i * 4]);
        const shared = (x: number, y: number): number => area(within(outer, x, y)) - area(within(inner, x, y));
        expect(furthestOff(inked, shared)).toBeLessThan(2.1);
      }),
      { numRuns: 300 },
    );
  });

  test('rects that share an edge on a pixel boundary leave no seam', () => {
    const shared = picture((canvas) => {
      canvas.rect({ from: [10, 10], to: [30, 40], fill: 'teal' });
      canvas.rect({ from: [30, 10], to: [50, 40], fill: 'teal' });
    });
    const whole = picture((canvas) => canvas.rect({ from: [10, 10], to: [50, 40], fill: 'teal' }));
    expect(shared.data).toEqual(whole.data);
  });

  test('an outline that is gone round twice, or there and back beside itself, keeps its smooth edges', () => {
    const slanted: Corner[] = [[5, 10], [35, 18], [35, 28], [5, 28]]; // prettier-ignore
    const thin: Corner[] = [[5, 5.2], [35, 9.1], [35, 9.6], [5, 5.7]]; // prettier-ignore
    for (const shape of [slanted, thin]) {
      const once = cover([shape]);
      for (const again of [[shape, shape], [shape, [...shape].reverse(), shape], [[...shape, ...shape]]])
        // prettier-ignore
        cover(again).forEach((value, i) => expect(Math.abs(value - once[i])).toBeLessThanOrEqual(4));
    }
  });

  test('whatever crosses itself covers what lies inside it, pixel by pixel, by either rule', () => {
    const isInside = (polygon: Corner[], rule: string, x: number, y: number): boolean => {
      let winding = 0;
      polygon.forEach(([x1, y1], i) => {
        const [x0, y0] = polygon.at(i - 1)!;
        if (y0 <= y !== y1 <= y && x0 + ((y - y0) * (x1 - x0)) / (y1 - y0) > x) winding += y1 > y0 ? 1 : -1;
      });
      return rule === 'evenodd' ? winding % 2 !== 0 : winding !== 0;
    };
    const place = fc.tuple(fc.double({ min: 1, max: 15, noNaN: true }), fc.double({ min: 1, max: 11, noNaN: true }));
    let [far, all] = [0, 0];
    fc.assert(
      fc.property(fc.array(place, { minLength: 4, maxLength: 9 }), fc.constantFrom('nonzero', 'evenodd'), (polygon, rule) => {
        const drawn = cover([polygon], rule as 'nonzero', 16, 12);
        const fine = 48;
        drawn.forEach((value, at) => {
          let count = 0;
          for (let i = 0; i < fine * fine; i++)
            if (isInside(polygon, rule, (at % 16) + ((i % fine) + 0.5) / fine, Math.floor(at / 16) + (Math.floor(i / fine) + 0.5) / fine)) count++;
          all++;
          if (Math.abs(value - (count / fine / fine) * 255) > 6) far++;
        });
      }),
      { numRuns: 15 },
    );
    // Counting by points is itself off by some levels where edges run along them.
    expect(far / all).toBeLessThan(0.0005);
  }); // prettier-ignore

  test('the rules differ where an outline winds twice', () => {
    const twice = [box(5, 5, 25, 25), box(10, 10, 20, 20)];
    expect(sum(cover(twice, 'nonzero'))).toBe(400);
    expect(sum(cover(twice, 'evenodd'))).toBe(300);
    expect(sum(cover([box(5, 5, 25, 25), box(10, 10, 20, 20).reverse()], 'nonzero'))).toBe(300);
  });

  test('corners that are not finite, or far away, do no harm', () => {
    expect(sum(cover([[[NaN, 0], [5, 5], [0, 5]], box(5, 5, 10, 10)]))).toBe(25); // prettier-ignore
    expect(sum(cover([box(-1e300, -1e300, 1e300, 1e300)]))).toBe(40 * 30);
    const farOff: Corner[] = [[-1e18, -1e40], [65, 1e9], [60, 1e9]]; // prettier-ignore
    expect(sum(cover([farOff], 'nonzero', 80, 30))).toBeCloseTo(5 * 30, 0);
  });
});

/** How far coverages of 40 × 30 pixels are from what part of each pixel is covered, at most, of 255. */
function furthestOff(coverages: readonly number[], shared: (x: number, y: number) => number): number {
  return Math.max(...coverages.map((value, at) => Math.abs(value - shared(at % 40, Math.floor(at / 40)) * 255)));
}

/** Corners on an ellipse about a point, turned by some degrees. */
function regular([x, y]: Corner, [across, down]: Corner, turn: number, sides: number): Corner[] {
  const [cos, sin] = [Math.cos((turn * Math.PI) / 180), Math.sin((turn * Math.PI) / 180)];
  return Array.from({ length: sides }, (_, i): Corner => {
    const angle = (2 * Math.PI * i) / sides;
    const [dx, dy] = [across * Math.cos(angle), down * Math.sin(angle)];
    return [x + dx * cos - dy * sin, y + dx * sin + dy * cos];
  });
}

/** The part of a convex polygon that lies in a pixel: cut along each of its four sides, by Sutherland and Hodgman. */
function within(polygon: Corner[], x: number, y: number): Corner[] {
  const sides: [axis: 0 | 1, at: number, sign: 1 | -1][] = [[0, x, 1], [0, x + 1, -1], [1, y, 1], [1, y + 1, -1]]; // prettier-ignore
  return sides.reduce((left, [axis, at, sign]) => {
    const inside = (corner: Corner): boolean => (corner[axis] - at) * sign >= 0;
    return left.flatMap((corner, i) => {
      const before = left.at(i - 1)!;
      if (inside(before) === inside(corner)) return inside(corner) ? [corner] : [];
      const share = (at - before[axis]) / (corner[axis] - before[axis]);
      const cut: Corner = [before[0] + share * (corner[0] - before[0]), before[1] + share * (corner[1] - before[1])];
      return inside(corner) ? [cut, corner] : [cut];
    });
  }, polygon);
}

function area(polygon: Corner[]): number {
  return Math.abs(
    polygon.reduce((twice, [x, y], i) => {
      const [nx, ny] = polygon[(i + 1) % polygon.length];
      return twice + x * ny - nx * y;
    }, 0) / 2,
  );
}
