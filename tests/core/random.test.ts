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

  test('spreads evenly what it picks, shuffles and places', () => {
    const random = seededRandom(5);
    const rounds = 24_000;
    const counted = (draw: () => unknown): number[] => {
      const counts = new Map<string, number>();
      for (let i = 0; i < rounds; i++) {
        const key = String(draw());
        counts.set(key, (counts.get(key) ?? 0) + 1);
      }
      return [...counts.values()];
    };
    /** So many kinds, each as often as any other: 5 standard deviations either way. */
    const even = (counts: number[], kinds: number): void => {
      expect(counts).toHaveLength(kinds);
      for (const count of counts) expect(Math.abs(count - rounds / kinds)).toBeLessThan(5 * Math.sqrt(rounds / kinds));
    };
    even(
      counted(() => random.pick(['gull', 'tern', 'auk'])),
      3,
    );
    even(
      counted(() => random.int(-2, 3)),
      6,
    );
    even(
      counted(() => random.shuffle([1, 2, 3, 4]).join('')),
      24,
    );
    even(
      counted(() => Math.floor(random.between(-4, 4))),
      8,
    );
    const cell = ({ x, y }: { x: number; y: number }): string => `${Math.floor(x)} ${Math.floor(y)}`;
    even(
      counted(() => cell(random.point([3, 2]))),
      6,
    );
    even(
      counted(() => cell(random.point({ from: [2, 1], to: [-1, 3] }))),
      6,
    );
    // Rings of equal area, each in eight sectors.
    const place = ({ x, y }: { x: number; y: number }): string => `${Math.floor((((x - 5) ** 2 + (y + 1) ** 2) / 9) * 3)} ${Math.floor((Math.atan2(y + 1, x - 5) / Math.PI) * 4)}`; // prettier-ignore
    even(
      counted(() => place(random.point({ at: [5, -1], radius: 3 }))),
      24,
    );
  });

  test('draws a color from the ranges that it is given', () => {
    const random = seededRandom(6);
    for (let i = 0; i < 200; i++) {
      const drawn = random.color({ hue: [100, 140], saturation: 100, lightness: [50, 50], alpha: [0.25, 0.5] });
      const [r, g, b, alpha] = [0, 8, 16, 24].map((shift) => (drawn.packed >>> shift) & 255);
      // Full green; some blue up to a hue of 140, or some red down to one of 100.
      expect([g, Math.min(r, b)]).toEqual([255, 0]);
      expect(Math.max(r, b)).toBeLessThanOrEqual(85);
      expect(alpha >= 63 && alpha <= 128).toBe(true);
    }
    expect(random.color({ hue: 0, saturation: 100, lightness: 50 }).toString()).toBe('#ff0000');
  });

  test('gives in every version what it gave in the first, so that nobody’s picture changes', () => {
    const one = seededRandom(1);
    expect(one.times(3, () => one.int(0, 1e9))).toEqual([41764639, 428260076, 105052536]);
    const quay = seededRandom('quay');
    expect(quay.times(3, () => quay.int(0, 1e9))).toEqual([932551986, 46515146, 850674363]);
    expect([one.normal(0, 1), seededNoise('quay')(0.3, 0.7), seededNoise(-3.5)(0.3, 0.7, 0.2), seededNoise(1).loop(0.3, 0.7)].map((value) => value.toFixed(9))).toEqual(['0.586839328', '0.136968279', '0.167613120', '0.078323287']); // prettier-ignore
  });

  test.each<[string, (random: ReturnType<typeof seededRandom>) => unknown]>([
    ['random.pick: list [] is empty; expected things to pick from', (random) => random.pick([])],
    ['random.pick: list "gull" is not a list; expected a list of things to pick from', (random) => random.pick('gull' as never)],
    ['random.shuffle: list "gull" is not a list; expected a list of things', (random) => random.shuffle('gull' as never)],
    ['random.int: lo 0.5 is not a whole number; expected a whole number', (random) => random.int(0.5, 2)],
    ['random.int: hi 1 is below lo; expected 2 or more', (random) => random.int(2, 1)],
    ['random.likely: p 30 is out of range; expected a number from 0 to 1', (random) => random.likely(30)],
    ['random.normal: deviation -1', (random) => random.normal(0, -1)],
    ['random.point: there is no option "too"; did you mean "to"?', (random) => random.point({ from: [0, 0], too: [1, 1] } as never)],
    ['random.point: radius is missing', (random) => random.point({ at: [0, 0] } as never)],
    ['random.point: area [3,NaN] is not a width and a height', (random) => random.point([3, NaN])],
    ['random.times: make 4 is not a function', (random) => random.times(3, 4 as never)],
    ['random.stream: seed NaN is not finite', (random) => random.stream(NaN)],
  ])('says %s', (message, call) => expect(() => call(seededRandom(1))).toThrow(message)); // prettier-ignore

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
