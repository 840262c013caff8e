import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { maths } from '../../packages/frame-juggler/src/index.ts';
import { sinCos } from '../../packages/frame-juggler/src/maths/degrees.ts';

type Name = keyof typeof maths & keyof Math;
const call = (library: object, name: string, values: number[]): number =>
  (library as Record<string, (...values: number[]) => number>)[name](...values);

/** How many units in the last place two numbers are apart. */
function unitsApart(a: number, b: number): number {
  if (Object.is(a, b)) return 0;
  const unit = 2 ** Math.max(-1074, Math.floor(Math.log2(Math.abs(b))) - 52);
  return Math.abs(a - b) / unit;
}

const any = fc.double({ noNaN: true, noDefaultInfinity: true });
const ordinary = fc.double({ min: -30, max: 30, noNaN: true });
const positive = fc.oneof(any.map(Math.abs), fc.double({ min: 0, max: 20, noNaN: true }));
const unit = fc.double({ min: -1, max: 1, noNaN: true });
const domains: [Name, ...fc.Arbitrary<number>[]][] = [
  ...(['sin', 'cos', 'tan', 'atan', 'exp', 'cbrt'] as const).map((name): [Name, fc.Arbitrary<number>] => [
    name,
    fc.oneof(any, ordinary),
  ]),
  ...(['asin', 'acos'] as const).map((name): [Name, fc.Arbitrary<number>] => [name, unit]),
  ...(['log', 'log2', 'log10'] as const).map((name): [Name, fc.Arbitrary<number>] => [name, positive]),
  ['pow', positive, ordinary],
  ['pow', any, fc.integer({ min: -9, max: 9 })],
  ['atan2', ordinary, ordinary],
  ['hypot', any, ordinary],
];

describe('maths', () => {
  test.each(domains)('%s gives what Math gives, to the last digits', (name, ...arbitraries) => {
    fc.assert(
      fc.property(fc.tuple(...arbitraries), (values) => {
        expect(unitsApart(call(maths, name, values), call(Math, name, values))).toBeLessThanOrEqual(4);
      }),
      { numRuns: 2000 },
    );
  });

  const edges = [0, -0, 1, -1, 0.5, -2.5, 3, 5e-324, 1e308, Infinity, -Infinity, NaN];
  test.each(domains.slice(0, 11))('%s agrees with Math where the language leaves nothing open', (name) => {
    for (const edge of edges) {
      const [ours, theirs] = [call(maths, name, [edge]), call(Math, name, [edge])];
      if (Number.isFinite(theirs) && theirs !== 0) expect(unitsApart(ours, theirs)).toBeLessThanOrEqual(2);
      else expect(ours).toBe(theirs);
    }
  });

  test.each(['pow', 'atan2', 'hypot'] as const)('%s agrees with Math for every pair of edges', (name) => {
    for (const a of edges)
      for (const b of edges) {
        const [ours, theirs] = [call(maths, name, [a, b]), call(Math, name, [a, b])];
        if (Number.isFinite(theirs) && theirs !== 0) expect(unitsApart(ours, theirs)).toBeLessThanOrEqual(2);
        else expect(ours).toBe(theirs);
      }
  });

  test('whole powers of whole numbers are exact, and so are their logarithms', () => {
    for (let base = 2; base <= 40; base++)
      for (let power = 1n; BigInt(base) ** power < 2n ** 53n; power++)
        expect(maths.pow(base, Number(power))).toBe(Number(BigInt(base) ** power));
    for (let power = -20; power <= 22; power++) expect(maths.log10(Number(`1e${power}`))).toBe(power);
    for (let power = -1074; power < 1024; power++) expect(maths.log2(2 ** power)).toBe(power);
  });

  test('sine and cosine of degrees are exact at quarter turns, and the same after whole turns', () => {
    for (const turns of [-3, 0, 1e6])
      expect([0, 90, 180, 270].map((degrees) => sinCos(degrees + 360 * turns))).toEqual([
        { sin: 0, cos: 1 },
        { sin: 1, cos: 0 },
        { sin: 0, cos: -1 },
        { sin: -1, cos: 0 },
      ]);
    fc.assert(
      fc.property(fc.integer({ min: -3600, max: 3600 }), (degrees) => {
        expect(sinCos(degrees + 720_000)).toEqual(sinCos(degrees));
        expect(sinCos(degrees).sin).toBeCloseTo(Math.sin((degrees * Math.PI) / 180), 12);
      }),
    );
  });
});
