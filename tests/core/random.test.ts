import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { defineSketch, Run, seededNoise, seededRandom } from '../../packages/frame-juggler/src/index.ts';

describe('random', () => {
  test('keeps to its ranges, reaches both ends of int, and shuffles what it was given', () => {
    fc.assert(
      fc.property(fc.integer(), (seed) => {
        const random = seededRandom(seed);
        const ints = random.times(200, () => random.int(1, 3));
        expect(new Set(ints)).toEqual(new Set([1, 2, 3]));
        for (const value of random.times(50, () => random.between(-2, 5))) expect(value >= -2 && value < 5).toBe(true);
        for (const { x, y } of random.times(50, () => random.point({ at: [10, -4], radius: 3 })))
          expect(Math.hypot(x - 10, y + 4)).toBeLessThanOrEqual(3 + 1e-12);
        for (const { x, y } of random.times(50, () => random.point({ from: [5, 5], to: [9, 6] })))
          expect(x >= 5 && x <= 9 && y >= 5 && y <= 6).toBe(true);
        expect(random.shuffle([1, 2, 3, 4]).sort()).toEqual([1, 2, 3, 4]);
      }),
    );
  });

  test('gives points that a sketch may move', () => {
    const gull = seededRandom(2).point({ from: [5, 5], to: [5, 5] });
    gull.x += 40;
    expect(gull).toEqual({ x: 45, y: 5 });
  });

  test('has the mean and the spread that it should', () => {
    const random = seededRandom(3);
    const values = random.times(20_000, () => random.normal(10, 2));
    const mean = values.reduce((a, b) => a + b) / values.length;
    const spread = Math.sqrt(values.reduce((a, b) => a + (b - mean) ** 2, 0) / values.length);
    expect(mean).toBeCloseTo(10, 1);
    expect(spread).toBeCloseTo(2, 1);
    expect(random.times(20_000, () => random.likely(0.3)).filter(Boolean).length / 20_000).toBeCloseTo(0.3, 1);
  });

  test('a stream depends on its key alone', () => {
    const one = seededRandom('quay');
    one.between(0, 1);
    expect(one.stream('gulls').int(0, 1e9)).toBe(seededRandom('quay').stream('gulls').int(0, 1e9));
    expect(one.stream(1).int(0, 1e9)).not.toBe(one.stream(2).int(0, 1e9));
  });
});

describe('noise', () => {
  const noise = seededNoise(7);

  test('is smooth, from −1 to 1, and the same for the same seed', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -1e3, max: 1e3, noNaN: true }),
        fc.double({ min: -1e3, max: 1e3, noNaN: true }),
        (x, y) => {
          for (const value of [noise(x), noise(x, y), noise(x, y, x + y), noise.loop(x, y)]) expect(Math.abs(value)).toBeLessThanOrEqual(1); // prettier-ignore
          expect(Math.abs(noise(x, y) - noise(x + 1e-3, y))).toBeLessThan(0.02);
          expect(seededNoise(7)(x, y)).toBe(noise(x, y));
        },
      ),
    );
    expect(seededNoise(8)(0.3, 0.7)).not.toBe(noise(0.3, 0.7));
    expect(noise.stream('rain')(0.3, 0.7)).not.toBe(noise(0.3, 0.7));
  });

  test('comes back in a loop', () => {
    expect(noise.loop(1, 2, 3)).toBeCloseTo(noise.loop(0, 2, 3), 9);
    expect(noise.loop(0.5, 2, 3)).not.toBeCloseTo(noise.loop(0, 2, 3), 3);
  });

  test('is there for a sketch that asks, in start, step and paint alike', async () => {
    const seen: number[][] = [];
    const sketch = defineSketch({
      seed: 7,
      start: ({ noise: n }) => [n(0.5)],
      step: (state, { noise: n, frame }) => void state.push(n(frame + 0.5)),
      paint: (_, { noise: n }, state) => void seen.push([...state, n(9.5)]),
    });
    const run = new Run(sketch);
    await run.goTo(2);
    await run.paint();
    expect(seen).toEqual([[noise(0.5), noise(1.5), noise(2.5), noise(9.5)]]);
  });

  test('refuses what is not a number', () => {
    expect(() => noise(NaN)).toThrow('noise: x NaN is not finite');
  });
});
