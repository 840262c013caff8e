import { expect, test } from '@jest/globals';
import { ShownRate } from '../../packages/cli/src/viewer/worker/shown-rate.ts';

test('the rate of the pictures that are shown is told after each full second, to two digits', () => {
  const rate = new ShownRate();
  /** What is told when pictures come so many milliseconds apart, up to a time. */
  const showing = (from: number, until: number, every: number): number | undefined => {
    for (let now = from; now <= until; now += every) rate.add(now);
    return rate.perSecond;
  };
  expect(showing(500, 1400, 100)).toBeUndefined();
  expect(showing(1500, 1500, 100)).toBe(10);
  // It stays for a second, while others come.
  expect(showing(1516, 2480, 16)).toBe(10);
  expect(showing(2496, 2512, 16)).toBe(62);
  expect(showing(5512, 5512, 1)).toBe(0.33);
  rate.restart();
  expect(rate.perSecond).toBeUndefined();
  expect(showing(9000, 9999, 111)).toBeUndefined();
  expect(showing(10000, 10500, 100)).toBe(10);
  // A page that was hidden showed none, and was not slow for that.
  expect(showing(60000, 60900, 100)).toBeUndefined();
  expect(showing(61000, 61000, 100)).toBe(10);
});
