import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { polar, type Canvas, type StrokeOptions } from '../../packages/frame-juggler/src/index.ts';
import { inkArea, picture, pixel } from '../helpers.ts';

const corner = (stroke: StrokeOptions): number =>
  inkArea(picture((canvas) => canvas.polyline({ points: [[20, 20], [80, 20], [80, 80]], stroke: { color: 'black', width: 10, ...stroke } }))); // prettier-ignore
const lineArea = (stroke: StrokeOptions): number =>
  inkArea(
    picture((canvas) => canvas.line({ from: [20, 50], to: [80, 50], stroke: { color: 'black', width: 8, ...stroke } })),
  );

describe('strokes', () => {
  test('caps add what they should', () => {
    expect(lineArea({ cap: 'butt' })).toBeCloseTo(60 * 8, 1);
    expect(lineArea({ cap: 'square' })).toBeCloseTo(68 * 8, 1);
    expect(lineArea({ cap: 'round' })).toBeCloseTo(60 * 8 + Math.PI * 16, 0);
  });

  test('joins add what they should, and the limit cuts miters', () => {
    // Two arms of 60 by 10 that share a quarter of the corner's square.
    const arms = 2 * 60 * 10 - 25;
    expect(corner({ join: 'bevel' })).toBeCloseTo(arms + 12.5, 1);
    expect(corner({ join: 'miter' })).toBeCloseTo(arms + 25, 1);
    expect(corner({ join: 'miter', miterLimit: 1.4 })).toBeCloseTo(arms + 12.5, 1);
    expect(corner({ join: 'round' })).toBeCloseTo(arms + (Math.PI * 25) / 4, 0);
  });

  describe('are as wide on curves as on lines, and end square to them, not to the chords that are drawn of them', () => {
    const number = (min: number, max: number): fc.Arbitrary<number> => fc.double({ min, max, noNaN: true });
    const rings = fc.record({ radius: number(8, 30), share: number(0.1, 0.9) });
    const difference = (one: (canvas: Canvas) => void, other: (canvas: Canvas) => void): number => {
      const [a, b] = [picture(one).data, picture(other).data];
      return a.reduce((most, value, i) => Math.max(most, Math.abs(value - b[i])), 0);
    };
    /** Parts of a ring, each from an angle to another, as outlines. */
    const ring =
      (radius: number, width: number, parts: readonly (readonly [from: number, to: number])[]) =>
      (canvas: Canvas): void =>
        canvas.path({
          build(path) {
            for (const [from, to] of parts) {
              const inner = polar({ angle: to, distance: radius - width / 2, from: [50, 50] });
              path.arc(50, 50, radius + width / 2, from, to).lineTo(inner.x, inner.y);
              path.arc(50, 50, radius - width / 2, to, from).closePath();
            }
          },
        });

    test('an arc covers a part of a ring', () => {
      const arcs = fc.property(rings, number(-360, 360), number(10, 350), ({ radius, share }, start, sweep) => {
        const stroke = { color: 'black', width: 2 * radius * share };
        const arc = { at: [50, 50], radius, start, end: start + sweep, fill: 'none', stroke } as const;
        const part = ring(radius, stroke.width, [[start, start + sweep]]);
        expect(difference((canvas) => canvas.arc(arc), part)).toBeLessThanOrEqual(6);
      });
      fc.assert(arcs, { numRuns: 200 });
    });

    test('a circle covers a ring, and dashes on it parts of one', () => {
      const dashes = fc.property(rings, fc.integer({ min: 2, max: 12 }), number(0.1, 0.9), ({ radius, share }, count, on) => {
        const stroke = { color: 'black', width: 2 * radius * share };
        const period = (2 * Math.PI * radius) / count;
        const dashed = { ...stroke, dash: [period * on, period * (1 - on)] };
        const circle = { at: [50, 50], radius, fill: 'none' } as const;
        const angles = Array.from({ length: count }, (_, i) => (360 * i) / count);
        const parts = angles.map((angle) => [angle, angle + (360 * on) / count] as const);
        const halves = ring(radius, stroke.width, [[0, 180], [180, 360]]); // prettier-ignore
        expect(difference((canvas) => canvas.circle({ ...circle, stroke }), halves)).toBeLessThanOrEqual(16);
        // Along all of the circle chords are a little longer or shorter than it.
        expect(difference((canvas) => canvas.circle({ ...circle, stroke: dashed }), ring(radius, stroke.width, parts))).toBeLessThanOrEqual(20);
      }); // prettier-ignore
      fc.assert(dashes, { numRuns: 200 });
    });
  });

  test('a closed outline is a ring, and one that is wider than its shape has no hole', () => {
    const ring = (width: number): number =>
      inkArea(
        picture((canvas) => canvas.rect({ at: [50, 50], size: 20, fill: 'none', stroke: { color: 'black', width } })),
      );
    expect(ring(4)).toBeCloseTo(24 ** 2 - 16 ** 2, 1);
    expect(ring(30)).toBeCloseTo(50 ** 2, 1);
    const circle = picture((canvas) =>
      canvas.circle({ at: [50, 50], radius: 20, fill: 'none', stroke: { color: 'black', width: 6 } }),
    );
    expect(inkArea(circle) / (2 * Math.PI * 20 * 6)).toBeCloseTo(1, 2);
    expect(pixel(circle, 50, 50)).toEqual([255, 255, 255, 255]);
  });

  test('there and back in any direction covers what one way does, whatever the digits leave of the turn', () => {
    const angle = fc.double({ min: 0, max: 360, noNaN: true });
    fc.assert(
      fc.property(
        angle,
        fc.double({ min: 5, max: 40, noNaN: true }),
        fc.integer({ min: -2, max: 2 }),
        (degrees, length, digits) => {
          const turned = (degrees * Math.PI) / 180;
          const far: [number, number] = [50 + length * Math.cos(turned), 50 + length * Math.sin(turned)];
          // Not quite the way back: next to it by the last digits of a number.
          const back: [number, number] = [50 + digits * 1e-14, 50 - digits * 7e-15];
          const along = (points: [number, number][]): number =>
            inkArea(picture((canvas) => canvas.polyline({ points, stroke: { color: 'black', width: 6 } })));
          expect(along([[50, 50], far, back])).toBeCloseTo(along([[50, 50], far]), 1);
        },
      ),
      { numRuns: 200 },
    );
  });

  test('an end that only digits keep from its beginning is that, and has no direction of its own', () => {
    const corners: [number, number][] = [[20, 20], [80, 20], [80, 80], [20, 80]]; // prettier-ignore
    const ring = (points: [number, number][]): number =>
      inkArea(picture((canvas) => canvas.polygon({ points, fill: 'none', stroke: { color: 'black', width: 10 } })));
    for (const [dx, dy] of [
      [1, 0],
      [-1, 0],
      [0, 1],
      [0, -1],
      [1, 1],
      [-1, 1],
    ])
      // prettier-ignore
      expect(ring([...corners, [20 + dx * 4e-15, 20 + dy * 4e-15]])).toBeCloseTo(ring(corners), 3);
  });

  test('a stroke is transformed with its shape', () => {
    const stretched = inkArea(
      picture((canvas) => {
        canvas.scale([2, 0.5]);
        canvas.line({ from: [10, 100], to: [40, 100], stroke: { color: 'black', width: 10 } });
      }),
    );
    expect(stretched).toBeCloseTo(60 * 5, 0);
  });

  test('dashes and gaps share the length as the pattern says, wherever it begins', () => {
    fc.assert(
      fc.property(fc.integer({ min: -40, max: 40 }), (dashOffset) => {
        // Round the square of 240 a pattern of 12 goes twenty times.
        const dashed = picture((canvas) =>
          canvas.rect({
            at: [50, 50],
            size: 60,
            fill: 'none',
            stroke: { color: 'black', width: 1, dash: [5, 7], dashOffset },
          }),
        );
        expect(inkArea(dashed)).toBeGreaterThan(100 - 2);
        expect(inkArea(dashed)).toBeLessThan(100 + 2);
      }),
    );
    expect(lineArea({ dash: [10] })).toBeCloseTo(30 * 8, 1);
    expect(lineArea({ dash: [0, 0] })).toBeCloseTo(60 * 8, 1);
    expect(lineArea({ dash: [1e-9, 1e-9] })).toBeCloseTo(60 * 8, 1);
  });

  test('dots: a dash of no length under round caps', () => {
    expect(lineArea({ dash: [0, 20], cap: 'round' }) / (3 * Math.PI * 16)).toBeCloseTo(1, 1);
  });

  test('lines of no length, no width or turning back do no harm', () => {
    const at = (stroke: StrokeOptions, to: [number, number]): number =>
      inkArea(
        picture((canvas) =>
          canvas.polyline({ points: [[20, 20], to, [20, 20]], stroke: { color: 'black', ...stroke } }),
        ),
      );
    expect(at({ width: 10, cap: 'round' }, [20, 20])).toBeCloseTo(Math.PI * 25, 0);
    expect(at({ width: 10, cap: 'butt' }, [20, 20])).toBe(0);
    expect(at({ width: 0 }, [60, 20])).toBe(0);
    expect(at({ width: 10, join: 'bevel' }, [60, 20])).toBeCloseTo(400, 0);
  });

  test('what is flat is a line there and back; a place that nothing leads from is none', () => {
    const inkOf = (draw: (canvas: Canvas, flat: object) => void): number =>
      inkArea(picture((canvas) => draw(canvas, { fill: 'none', stroke: { color: 'black', width: 6, join: 'bevel', cap: 'round' } }))); // prettier-ignore
    expect(inkOf((canvas, flat) => canvas.ellipse({ at: [50, 50], radii: [30, 0], ...flat }))).toBeCloseTo(360, 0);
    expect(inkOf((canvas, flat) => canvas.polygon({ points: [[20, 50], [80, 50], [40, 50]], ...flat }))).toBeCloseTo(360, 0);
    expect(inkOf((canvas, flat) => canvas.rect({ at: [50, 50], size: [0, 60], ...flat }))).toBeCloseTo(360, 0);
    expect(inkOf((canvas, flat) => canvas.path({ data: 'M50 50', ...flat }))).toBe(0);
    expect(inkOf((canvas, flat) => canvas.path({ data: 'M20 20M50 50L50 50M80 80', ...flat }))).toBeCloseTo(Math.PI * 9, 0);
    expect(inkOf((canvas, flat) => canvas.path({ data: 'M20 20M50 50Z', ...flat }))).toBeCloseTo(Math.PI * 9, 0);
  }); // prettier-ignore

  test('are drawn out before they are transformed', () => {
    const part = fc.integer({ min: -20, max: 20 }).map((tenths) => tenths / 10);
    fc.assert(
      fc.property(fc.tuple(part, part, part, part), ([a, b, c, d]) => {
        const transform = [a, b, c, d, 50, 48] as const;
        const drawn = picture((canvas) => {
          canvas.transform(transform);
          canvas.line({ from: [-12, 3], to: [9, 3], stroke: { color: 'black', width: 8 } });
        });
        const filled = picture((canvas) => {
          canvas.transform(transform);
          canvas.rect({ from: [-12, -1], to: [9, 7] });
        });
        drawn.data.forEach((byte, i) => byte === filled.data[i] || expect(Math.abs(byte - filled.data[i])).toBeLessThanOrEqual(1)); // prettier-ignore
      }),
    );
  });

  test('a half-transparent outline and filling fade as one picture', () => {
    const disc = picture((canvas) =>
      canvas.circle({ at: [50, 50], radius: 30, fill: 'black', stroke: { color: 'black', width: 10 }, opacity: 0.5 }),
    );
    for (const x of [50, 77, 82]) expect([127, 128]).toContain(pixel(disc, x, 50)[0]);
  });
});
