import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { keyframes } from '../../packages/frame-juggler/src/index.ts';
import { launch } from './browser.ts';

const easings = ['linear', 'ease', 'ease-in', 'cubic-bezier(0.3, -0.6, 0.7, 1.6)', 'cubic-bezier(0, 0.5, 1, 1.4)', 'steps(3)', 'steps(2, jump-start)', 'steps(3, jump-both)', 'steps(4, jump-none)', 'linear(0, 0.5 20% 40%, 1.2)']; // prettier-ignore
const anEasing = fc.constantFrom(...easings);
// In quarters of a second, which are whole in milliseconds too: others may fall a hair before or behind an edge.
const aTiming = fc.record({
  duration: fc.integer({ min: 1, max: 12 }).map((quarters) => quarters / 4),
  delay: fc.integer({ min: -4, max: 4 }).map((quarters) => quarters / 4),
  iterations: fc.constantFrom(0, 0.5, 1, 1, 2, 2.5, 3, 7),
  direction: fc.constantFrom('normal', 'reverse', 'alternate', 'alternate-reverse'),
  fill: fc.constantFrom('none', 'forwards', 'backwards', 'both'),
  easing: anEasing,
});
const frames = fc.array(fc.record({ value: fc.integer({ min: -200, max: 200 }), easing: anEasing }), {
  minLength: 2,
  maxLength: 4,
});
/** Moments as parts of the whole; the last lies at its very end. */
const parts = [-0.3, 0, 0.137, 0.3119, 0.5317, 0.777, 0.9613, 1, 1.2];

test('keyframes have the values that Chromium has for the same Web Animation', async () => {
  const cases = fc.sample(fc.tuple(frames, aTiming), { numRuns: 300, seed: 12 }).map(([list, timing]) => {
    const active = timing.duration * timing.iterations;
    return { list, timing, moments: parts.map((part) => timing.delay + part * (active || 1)) };
  });
  const browser = await launch();
  const page = await browser.newPage();
  const theirs = await page.evaluate((cases) => {
    const element = document.body.appendChild(document.createElement('div'));
    element.style.translate = '999px';
    // An animation for each moment: one that is asked again may keep what it knew.
    return cases.map(({ list, timing, moments }) =>
      moments.map((moment) => {
        const animation = element.animate(
          list.map(({ value, easing }) => ({ translate: `${value}px`, easing })),
          { ...timing, duration: timing.duration * 1000, delay: timing.delay * 1000 } as KeyframeAnimationOptions,
        );
        animation.pause();
        animation.currentTime = moment * 1000;
        const value = parseFloat(getComputedStyle(element).translate);
        animation.cancel();
        return value;
      }),
    );
  }, cases);
  await browser.close();
  let ups = 0;
  const differing = cases.flatMap(({ list, timing, moments }, index) => {
    const valueAt = keyframes(list, timing);
    return moments.flatMap((moment, i) => {
      const ours = valueAt(moment) ?? 999;
      if (ours !== 999) ups++;
      return Math.abs(ours - theirs[index][i]) < 0.01
        ? []
        : [JSON.stringify({ list, timing, moment, ours, theirs: theirs[index][i] })];
    });
  });
  expect(differing.slice(0, 3)).toEqual([]);
  expect(ups).toBeGreaterThan(1000);
});

test('the last iteration ends on its last value, whatever its length', () => {
  for (let tenths = 1; tenths <= 200; tenths++)
    for (let iterations = 1; iterations <= 40; iterations++) {
      const duration = tenths / 10;
      const valueAt = keyframes([0, 100], { duration, iterations });
      if (valueAt(duration * iterations) !== 100 || valueAt(1e6) !== 100)
        throw new Error(`${iterations} times ${duration} s`);
    }
});
