import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { Cap, Join } from '../../packages/frame-juggler/src/geometry/pen.ts';
import { byteForm } from '../../packages/frame-juggler/src/surfaces/raster/byte-form.ts';
import { Engine, type Pen } from '../../packages/frame-juggler/src/surfaces/raster/engine.ts';
import { everywhere, pathOf } from '../helpers.ts';

type Spot = readonly [number, number];

/** Whether a spot lies in a convex area given by its corners, or within `margin` of it. */
function isWithin([x, y]: Spot, corners: readonly Spot[], margin: number): boolean {
  const sides = corners.map(([x0, y0], i) => {
    const [x1, y1] = corners[(i + 1) % corners.length];
    return ((x1 - x0) * (y - y0) - (y1 - y0) * (x - x0)) / (Math.hypot(x1 - x0, y1 - y0) || 1);
  });
  return sides.every((side) => side >= -margin) || sides.every((side) => side <= margin);
}

/** Whether a pen leaves ink at a spot, by what SVG 2 (13.5) says of strokes: `margin` beyond its edge, or short of it. */
function isInked(spot: Spot, corners: readonly Spot[], closed: boolean, pen: Pen, margin: number): boolean {
  const half = pen.width / 2;
  const from = (at: Spot, along: Spot, far: number, aside: number): Spot => [
    at[0] + along[0] * far - along[1] * aside,
    at[1] + along[1] * far + along[0] * aside,
  ];
  const count = corners.length;
  const way = corners.map(([x, y], i): Spot => {
    const [nx, ny] = corners[(i + 1) % count];
    const length = Math.hypot(nx - x, ny - y);
    return [(nx - x) / length, (ny - y) / length];
  });
  const isNear = (at: Spot): boolean => Math.hypot(spot[0] - at[0], spot[1] - at[1]) <= half + margin;
  for (let i = 0; i < (closed ? count : count - 1); i++) {
    const [start, end] = [corners[i], corners[(i + 1) % count]];
    const before = !closed && i === 0 && pen.cap === 'square' ? half : 0;
    const behind = !closed && i === count - 2 && pen.cap === 'square' ? half : 0;
    const sides = [from(start, way[i], -before, half), from(end, way[i], behind, half), from(end, way[i], behind, -half), from(start, way[i], -before, -half)]; // prettier-ignore
    if (isWithin(spot, sides, margin)) return true;
  }
  // A round cap or join is only that part of a disc that lies beyond the ends of its lines.
  const along = (at: Spot, way: Spot): number => (spot[0] - at[0]) * way[0] + (spot[1] - at[1]) * way[1];
  const [first, last] = [corners[0], corners[count - 1]];
  if (!closed && pen.cap === 'round') {
    if (isNear(first) && along(first, way[0]) <= margin) return true;
    if (isNear(last) && along(last, way[count - 2]) >= -margin) return true;
  }
  for (let i = closed ? 0 : 1; i < (closed ? count : count - 1); i++) {
    const [at, into, outOf] = [corners[i], way[(i + count - 1) % count], way[i]];
    if (pen.join === 'round' && isNear(at) && along(at, into) >= -margin && along(at, outOf) <= margin) return true;
    // The wedge lies on the outer side of the turn.
    const outer = into[0] * outOf[1] - into[1] * outOf[0] > 0 ? -half : half;
    const [a, b] = [from(at, into, 0, outer), from(at, outOf, 0, outer)];
    // The angle between the two lines; a miter is 1 / sin of its half as long as the pen is wide.
    const angle = Math.PI - Math.acos(Math.min(1, Math.max(-1, into[0] * outOf[0] + into[1] * outOf[1])));
    const ratio = 1 / Math.sin(angle / 2);
    const tip = from(at, into, half / Math.tan(angle / 2), outer);
    const wedge = pen.join === 'miter' && ratio <= pen.miterLimit ? [at, a, tip, b] : [at, a, b];
    if (pen.join !== 'round' && isWithin(spot, wedge, margin)) return true;
  }
  return false;
}

const engine = new Engine(byteForm);
const place = fc.integer({ min: 0, max: 400 }).map((tenths) => tenths / 10);
const whole = fc.integer({ min: 0, max: 40 });
const corner = fc.tuple(whole, whole);
const spots = fc.array(fc.tuple(place, place), { minLength: 40, maxLength: 40 });

describe.each<Join>(['miter', 'round', 'bevel'])('an outline with a %s join', (join) => {
  test.each<[Cap, boolean]>([
    ['butt', false],
    ['round', false],
    ['square', false],
    ['butt', true],
  ])('and %s caps, closed: %s, holds what the pen inks', (cap, closed) => {
    fc.assert(
      fc.property(
        fc.uniqueArray(corner, { minLength: closed ? 3 : 2, maxLength: 5, selector: String }),
        fc.integer({ min: 1, max: 14 }),
        fc.constantFrom(1, 1.5, 4, 20),
        spots,
        (corners, width, miterLimit, places) => {
          const pen = { width, cap, join, miterLimit, dash: [], dashOffset: 0 };
          const path = pathOf(corners, closed);
          for (const spot of places) {
            const inside = engine.strokeHits(path, pen, 0.01, everywhere, ...spot);
            if (isInked(spot, corners, closed, pen, -0.05)) expect(inside).toBe(true);
            else if (!isInked(spot, corners, closed, pen, 0.05)) expect(inside).toBe(false);
          }
        },
      ),
      { numRuns: 100 },
    );
  });
});
