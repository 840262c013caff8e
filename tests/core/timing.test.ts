import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { easing, keyframes, type KeyframeTiming } from '../../packages/frame-juggler/src/index.ts';

/*
 * Keyframes and easings beside the standards' own algorithms, written down step by step as they stand there: Web
 * Animations level 1, section 4, and CSS Easing 2.
 */

type Timing = Required<Omit<KeyframeTiming, 'angles' | 'easing'>> & { steps: number; jump: string };

/** CSS Easing 2, 2.3.1. */
function stepped(count: number, jump: string, input: number, before: boolean): number {
  let step = Math.floor(input * count);
  if (jump === 'jump-start' || jump === 'jump-both') step += 1;
  if (before && Number.isInteger(input * count)) step -= 1;
  if (input >= 0 && step < 0) step = 0;
  const jumps = { 'jump-start': count, 'jump-end': count, 'jump-none': count - 1, 'jump-both': count + 1 }[jump]!;
  if (input <= 1 && step > jumps) step = jumps;
  return step / jumps;
}

/** Web Animations, 4.5 to 4.10: where an effect from 0 to 100 stands at a time. */
function standard(timing: Timing, time: number): number | undefined {
  const { duration, delay, iterations, direction, fill, steps, jump } = timing;
  const active = duration === 0 || iterations === 0 ? 0 : duration * iterations;
  const end = Math.max(delay + active, 0);
  const phase = time < Math.max(Math.min(delay, end), 0) ? 'before' : time >= Math.max(Math.min(delay + active, end), 0) ? 'after' : 'active'; // prettier-ignore
  let activeTime: number;
  if (phase === 'before') {
    if (fill !== 'backwards' && fill !== 'both') return undefined;
    activeTime = Math.max(time - delay, 0);
  } else if (phase === 'active') activeTime = time - delay;
  else {
    if (fill !== 'forwards' && fill !== 'both') return undefined;
    activeTime = Math.max(Math.min(time - delay, active), 0);
  }
  const overall = duration === 0 ? (phase === 'before' ? 0 : iterations) : activeTime / duration;
  let simple = overall === Infinity ? 0 : overall % 1;
  if (simple === 0 && phase !== 'before' && activeTime === active && iterations !== 0) simple = 1;
  let iteration = simple === 1 ? Math.floor(overall) - 1 : Math.floor(overall);
  if (phase === 'after' && iterations === Infinity) iteration = Infinity;
  let forwards = direction === 'normal';
  if (direction.startsWith('alternate')) {
    const d = direction === 'alternate' ? iteration : iteration + 1;
    forwards = d === Infinity || d % 2 === 0;
  }
  const directed = forwards ? simple : 1 - simple;
  return 100 * stepped(steps, jump, directed, forwards ? phase === 'before' : phase === 'after');
}

const quarter = (min: number, max: number): fc.Arbitrary<number> => fc.integer({ min, max }).map((n) => n / 4);
const jump = fc.constantFrom('jump-start', 'jump-end', 'jump-none', 'jump-both');
const timings: fc.Arbitrary<Timing> = fc.record({
  duration: fc.constantFrom(0, 0.5, 1, 2),
  delay: quarter(-8, 8),
  iterations: fc.constantFrom(0, 0.5, 1, 1.25, 2, 3, Infinity),
  direction: fc.constantFrom('normal', 'reverse', 'alternate', 'alternate-reverse'),
  fill: fc.constantFrom('none', 'forwards', 'backwards', 'both'),
  steps: fc.constantFrom(2, 4),
  jump,
});

describe('keyframes stand where Web Animations has them', () => {
  test('in every phase, iteration and direction, before and after a jump', () => {
    fc.assert(
      fc.property(timings, quarter(-4, 40), (timing, time) => {
        const { steps, jump: position, ...rest } = timing;
        const move = keyframes([0, 100], { ...rest, easing: `steps(${steps}, ${position})` });
        const expected = standard(timing, time);
        if (expected === undefined) expect(move(time)).toBeUndefined();
        else expect(move(time)).toBeCloseTo(expected, 9);
      }),
      { numRuns: 2000 },
    );
  });

  test('each segment by its own easing, the nearest value before the first offset and behind the last', () => {
    const offsets = fc.uniqueArray(fc.integer({ min: 0, max: 20 }), { minLength: 2, maxLength: 5 });
    fc.assert(
      fc.property(offsets, fc.integer({ min: 0, max: 100 }), (given, percent) => {
        const sorted = given.sort((a, b) => a - b).map((n) => n / 20);
        const list = sorted.map((offset, i) => ({ value: i * i, offset, easing: i % 2 === 0 ? 'linear' : 'quad-in' }));
        const t = percent / 100;
        const next = sorted.findIndex((offset) => offset > t);
        const last = sorted.length - 1;
        let expected = next === 0 ? 0 : last * last;
        if (next > 0) {
          const [from, to] = [sorted[next - 1], sorted[next]];
          const way = (t - from) / (to - from);
          const [a, b] = [(next - 1) ** 2, next ** 2];
          expected = a + (b - a) * ((next - 1) % 2 === 0 ? way : way * way);
        }
        expect(keyframes(list, { duration: 1 })(t)).toBeCloseTo(expected, 9);
      }),
    );
  });

  test('two at one offset are a jump; one alone is there all the time', () => {
    const move = keyframes([0, { value: 10, offset: 0.5 }, { value: 90, offset: 0.5 }, 100], { duration: 2 });
    expect([move(0.5), move(0.999999).toFixed(3), move(1), move(1.5)]).toEqual([5, '10.000', 90, 95]);
    expect(keyframes([7], { duration: 2 })(1)).toBe(7);
  });

  test('an overshoot goes on beyond the first and the last value', () => {
    const move = keyframes([0, 100], { duration: 1, easing: 'cubic-bezier(0.3, -0.6, 0.7, 1.6)' });
    expect(move(0.1)).toBeLessThan(-5);
    expect(move(0.9)).toBeGreaterThan(105);
  });
});

describe('an easing is that of CSS', () => {
  test('steps, inside of 0 to 1 and out of it', () => {
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 6 }), jump, fc.integer({ min: -30, max: 90 }), (count, position, n) => {
        const t = n / 60;
        expect(easing(`steps(${count}, ${position})`)(t)).toBeCloseTo(stepped(count, position, t, false), 12);
      }),
    );
    const names = { start: 'jump-start', end: 'jump-end' };
    for (const [short, long] of Object.entries(names))
      for (const t of [0, 0.2, 0.5, 1]) expect(easing(`steps(3, ${short})`)(t)).toBe(easing(`steps(3, ${long})`)(t));
    expect([easing('step-start')(0), easing('step-end')(0.99), easing('step-end')(1)]).toEqual([1, 0, 1]);
    expect(easing('steps(3)')(0.5)).toBe(easing('steps(3, jump-end)')(0.5));
  });

  test.each([
    ['ease', [0.25, 0.1, 0.25, 1]],
    ['ease-in', [0.42, 0, 1, 1]],
    ['ease-out', [0, 0, 0.58, 1]],
    ['ease-in-out', [0.42, 0, 0.58, 1]],
  ])('%s is its curve', (name, numbers) => {
    const curve = easing(`cubic-bezier(${numbers.join(', ')})`);
    for (const t of [-0.5, 0.1, 0.35, 0.5, 0.8, 1.5]) expect(easing(name)(t)).toBe(curve(t));
  });

  test('a curve goes on straight beyond its ends, as it leads there', () => {
    const beyond = (syntax: string): number[] => [easing(syntax)(-1), easing(syntax)(2)].map((y) => Number(y.toFixed(9)));
    expect(beyond('cubic-bezier(0.5, 1, 0.75, 0.5)')).toEqual([-2, 3]);
    expect(beyond('cubic-bezier(0, 0, 0.5, 1)')).toEqual([-2, 1]);
    expect(beyond('cubic-bezier(0.5, 0, 1, 1)')).toEqual([0, 3]);
    expect(beyond('cubic-bezier(0, 1, 1, 0)')).toEqual([0, 1]);
    expect(beyond('cubic-bezier(0, 0, 1, 1)')).toEqual([-1, 2]);
  }); // prettier-ignore

  test('linear() leads straight from output to output, by inputs that are spread evenly where left out and never fall', () => {
    const curve = (syntax: string) => (t: number) => Number(easing(syntax)(t).toFixed(9));
    expect([0, 0.1, 0.2, 0.6, 1].map(curve('linear(0, 10 20%, 20, 30)'))).toEqual([0, 5, 10, 20, 30]);
    expect([0, 0.25, 0.5, 0.75].map(curve('linear(0 50%, 8, 4 75%, 4)'))).toEqual([-32, -16, 0, 4]);
    // 30% lies behind 60%, so it counts as 60% too.
    expect([0.3, 0.6, 0.8].map(curve('linear(0, 6 60%, 10 30%, 12)'))).toEqual([3, 10, 11]);
    expect([-0.5, 1.5].map(curve('linear(0, 1)'))).toEqual([-0.5, 1.5]);
    expect([0.2, 0.5].map(curve('linear(3, 5 20% 80%, 3)'))).toEqual([5, 5]);
  });

  test.each(['linear()', 'linear(0, 1 2% 3% 4%)', 'linear(0, 1 x%)', 'linear(0, %)', 'steps(2, jump-start, 1)', 'steps(1.5)', 'cubic-bezier(0, 0, 1)', 'cubic-bezier(0, , 1, 1)', 'cubic-bezier(0, 0, -0.1, 1)', 'cubic-bezier(0, 0, 1.1, 1)', 'cubic-bezier(-0.1, 0, 1, 1)', 'spring(1)'])('%s is none', (syntax) => {
    expect(() => easing(syntax)).toThrow(/^easing: ".*" is not an easing; /);
  }); // prettier-ignore
});
