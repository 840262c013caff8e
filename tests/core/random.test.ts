import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { createRandom } from '../../src/index.ts';

describe('random', () => {
  test('keeps to its ranges, reaches both ends of int, and shuffles what it was given', () => {
    fc.assert(
      fc.property(fc.integer(), (seed) => {
        const random = createRandom(seed);
        const ints = random.times(200, () => random.int(1, 3));
        expect(new Set(ints)).toEqual(new Set([1, 2, 3]));
        for (const value of random.times(50, () => random.between(-2, 5))) expect(value >= -2 && value < 5).toBe(true);
        for (const { x, y } of random.times(50, () => random.insideCircle(3)))
          expect(Math.hypot(x, y)).toBeLessThanOrEqual(3);
        for (const { x, y } of random.times(50, () => random.point({ from: [5, 5], to: [9, 6] })))
          expect(x >= 5 && x <= 9 && y >= 5 && y <= 6).toBe(true);
        expect(random.shuffle([1, 2, 3, 4]).sort()).toEqual([1, 2, 3, 4]);
      }),
    );
  });

  test('has the mean and the spread that it should', () => {
    const random = createRandom(3);
    const values = random.times(20_000, () => random.normal(10, 2));
    const mean = values.reduce((a, b) => a + b) / values.length;
    const spread = Math.sqrt(values.reduce((a, b) => a + (b - mean) ** 2, 0) / values.length);
    expect(mean).toBeCloseTo(10, 1);
    expect(spread).toBeCloseTo(2, 1);
    expect(random.times(20_000, () => random.chance(0.3)).filter(Boolean).length / 20_000).toBeCloseTo(0.3, 1);
  });

  test('a stream depends on its key alone', () => {
    const one = createRandom('quay');
    one.between(0, 1);
    expect(one.stream('gulls').int(0, 1e9)).toBe(createRandom('quay').stream('gulls').int(0, 1e9));
    expect(one.stream(1).int(0, 1e9)).not.toBe(one.stream(2).int(0, 1e9));
  });
});
