import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  clamp,
  cycle,
  easing,
  keyframes,
  mix,
  remap,
  rgb,
  smoothstep,
  spring,
  type SpringOptions,
  swing,
  wrap,
  zigzag,
} from '../../packages/frame-juggler/src/index.ts';
import { errorOf } from '../helpers.ts';

const unit = fc.double({ min: 0, max: 1, noNaN: true });
const at = (curve: (t: number) => number, ...moments: number[]): number[] =>
  moments.map((t) => Number(curve(t).toFixed(4)));

describe('cycles', () => {
  test('come back after their period, and keep to their range', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -50, max: 50, noNaN: true }),
        fc.double({ min: 0.1, max: 9, noNaN: true }),
        (seconds, period) => {
          for (const move of [swing, zigzag]) {
            const value = move(seconds, period, 2, 5);
            expect(value >= 2 && value <= 5).toBe(true);
            expect(move(seconds + period, period, 2, 5)).toBeCloseTo(value, 6);
          }
          const turn = cycle(seconds, period);
          expect(turn >= 0 && turn < 1).toBe(true);
        },
      ),
    );
    expect(at((t) => zigzag(t, 4, 0, 10), 0, 1, 2, 3)).toEqual([0, 5, 10, 5]);
    expect(at((t) => swing(t, 4, -1, 1), 0, 1, 2, 3)).toEqual([0, 1, 0, -1]);
  });

  test('numbers are wrapped, clamped, mixed and mapped', () => {
    expect([wrap(-1, 0, 10), wrap(25, 0, 10), wrap(10, 0, 10)]).toEqual([9, 5, 0]);
    expect([clamp(-1, 0, 10), clamp(11, 0, 10), mix(10, 20, 0.25), remap(5, [0, 10], [100, 0])]).toEqual([
      0, 10, 12.5, 50,
    ]);
    expect([wrap(-1, -5, 5), wrap(7, -5, 5), wrap(0.5, 2, 3)]).toEqual([-1, -3, 2.5]);
    expect(mix([0, 10], { x: 8, y: 30 }, 0.25)).toEqual({ x: 2, y: 15 });
    expect([remap(30, [20, 40], [0, 1]), remap(10, [20, 40], [5, 7]), mix(10, 20, 1.5)]).toEqual([0.5, 4, 25]);
    expect(at((t) => smoothstep(0, 1, t), -1, 0.25, 0.5, 2)).toEqual([0, 0.1563, 0.5, 1]);
    expect(at((t) => smoothstep(10, 30, t), 9, 15, 20, 31)).toEqual([0, 0.1563, 0.5, 1]);
    // The other way round it falls.
    expect(at((t) => smoothstep(30, 10, t), 9, 25, 31)).toEqual([1, 0.1563, 0]);
  });

  test.each<[string, () => unknown]>([
    ['remap: from [4,4] has no length; expected two different numbers, [from, to]', () => remap(1, [4, 4], [0, 1])],
    ['remap: from 4 is not a range', () => remap(1, 4 as never, [0, 1])],
    ['smoothstep: hi 2 is the same as lo', () => smoothstep(2, 2, 1)],
    ['wrap: hi 1 is not above lo', () => wrap(0, 1, 1)],
    ['swing: period 0', () => swing(1, 0, 0, 1)],
    ['zigzag: hi NaN is not finite', () => zigzag(1, 1, 0, NaN)],
  ])('say %s', (message, call) => {
    expect(call).toThrow(message);
  });
});

describe('easing', () => {
  test('every name begins at 0 and ends at 1', () => {
    const families = ['sine', 'quad', 'cubic', 'quart', 'quint', 'expo', 'circ', 'back', 'elastic', 'bounce'];
    const names = [
      'linear',
      'ease',
      'ease-in',
      'ease-out',
      'ease-in-out',
      ...families.flatMap((name) => ['in', 'out', 'in-out'].map((way) => `${name}-${way}`)),
    ];
    for (const name of names) {
      expect(easing(name)(0)).toBeCloseTo(0, 6);
      expect(easing(name)(1)).toBeCloseTo(1, 6);
    }
    for (const name of families)
      fc.assert(
        fc.property(unit, (t) => expect(easing(`${name}-in`)(t)).toBeCloseTo(1 - easing(`${name}-out`)(1 - t), 6)),
      );
  });

  test.each([
    ['sine', [0.0761, 0.2929, 0.6173]],
    ['quad', [0.0625, 0.25, 0.5625]],
    ['quint', [0.001, 0.0313, 0.2373]],
    ['expo', [0.0046, 0.0303, 0.176]],
    ['circ', [0.0318, 0.134, 0.3386]],
    ['back', [-0.0641, -0.0877, 0.1826]],
    ['elastic', [-0.0046, -0.0152, 0.088]],
    ['bounce', [0.0273, 0.2344, 0.5273]],
  ])('%s begins by its formula', (name, quarters) => {
    expect(at(easing(`${name}-in`), 0.25, 0.5, 0.75)).toEqual(quarters);
    expect(at(easing(`${name}-in-out`), 0.125, 0.25)).toEqual(at((t) => easing(`${name}-in`)(2 * t) / 2, 0.125, 0.25));
  });

  test('a bounce falls to the ground four times, and rises less each time', () => {
    const height = (t: number): number => 1 - easing('bounce-out')(t);
    expect(at(height, 1 / 2.75, 2 / 2.75, 2.5 / 2.75, 1)).toEqual([0, 0, 0, 0]);
    expect(at(height, 1.5 / 2.75, 2.25 / 2.75, 2.625 / 2.75)).toEqual([0.25, 0.0625, 0.0156]);
  });

  test('a cubic Bézier is as high above its progress as its curve', () => {
    const x1 = fc.double({ min: 0, max: 1, noNaN: true });
    const y1 = fc.double({ min: -2, max: 3, noNaN: true });
    fc.assert(
      fc.property(x1, y1, x1, y1, unit, (ax, ay, bx, by, t) => {
        const coordinate = (p1: number, p2: number): number => 3 * p1 * t * (1 - t) ** 2 + 3 * p2 * t * t * (1 - t) + t ** 3;
        // Where the curve stands upright a hair of progress is a long way up.
        const slope = 3 * ax * (1 - t) ** 2 + 6 * (bx - ax) * t * (1 - t) + 3 * (1 - bx) * t * t;
        fc.pre(slope > 1e-3);
        const curve = easing(`cubic-bezier(${ax.toFixed(20)}, ${ay.toFixed(20)}, ${bx.toFixed(20)}, ${by.toFixed(20)})`);
        expect(curve(coordinate(ax, bx))).toBeCloseTo(coordinate(ay, by), 8);
      }),
    ); // prettier-ignore
  });

  test('CSS syntax gives CSS values', () => {
    expect(at(easing('steps(4, jump-none)'), 0, 0.24, 0.25, 0.8, 1)).toEqual([0, 0, 0.3333, 1, 1]);
    expect(at(easing('steps(2, start)'), 0, 0.49, 0.5)).toEqual([0.5, 0.5, 1]);
    expect(at(easing('steps(2, jump-both)'), 0, 0.5, 1)).toEqual([0.3333, 0.6667, 1]);
    expect(at(easing('linear(0, 0.5 20% 40%, 1)'), 0.1, 0.3, 0.7, 1)).toEqual([0.25, 0.5, 0.75, 1]);
    expect(at(easing('linear(0, 1, 0)'), 0.25, 0.5, 0.75)).toEqual([0.5, 1, 0.5]);
    expect(easing('cubic-bezier(0, 0, 1, 1)')(0.3)).toBeCloseTo(0.3, 6);
    expect(easing('cubic-bezier(0.3, -0.6, 0.7, 1.6)')(0.2)).toBeLessThan(0);
  });

  test('what cannot be read is said', () => {
    expect(errorOf(() => easing('ease-inout'))).toBe(
      'easing: "ease-inout" is not an easing; did you mean "ease-in-out"?',
    );
    expect(errorOf(() => easing('ease')(NaN))).toMatch(
      /^easing: progress NaN is not finite; expected a finite number; /,
    );
    for (const wrong of [
      'constructor',
      'steps(0)',
      'steps(1, jump-none)',
      'cubic-bezier(2, 0, 0, 1)',
      'linear(1)',
      'linear(0, x)',
    ])
      expect(errorOf(() => easing(wrong))).toMatch('expected');
  });
});

describe('keyframes', () => {
  test('lead through numbers, points and colors, evenly or by offsets', () => {
    expect(at(keyframes([0, 10, 0], { duration: 2 }), -1, 0.5, 1, 1.5, 9)).toEqual([0, 5, 10, 5, 0]);
    expect(keyframes([[0, 0], [10, 20]], { duration: 1 })(0.5)).toEqual({ x: 5, y: 10 }); // prettier-ignore
    expect(keyframes(['black', { value: 'white', offset: 0.5 }, rgb(255, 0, 0)], { duration: 4 })(2).toString()).toBe(
      '#ffffff',
    );
    expect(
      at(
        keyframes([{ value: 0, easing: 'step-end' }, { value: 8, offset: 0.25 }, 0], { duration: 1 }),
        0.2,
        0.25,
        0.625,
      ),
    ).toEqual([0, 8, 4]);
  });

  test('angles go the shorter way round when told', () => {
    expect(at(keyframes([350, 10], { duration: 1, angles: true }), 0.5, 1)).toEqual([360, 370]);
    expect(at(keyframes([350, 10], { duration: 1 }), 0.5)).toEqual([180]);
  });

  test('delay, iterations and direction are those of Web Animations', () => {
    const run = (timing: object, ...moments: number[]): (number | undefined)[] =>
      moments.map((t) => keyframes([0, 100], { duration: 1, ...timing })(t));
    expect(run({ delay: 2 }, 1, 2.5, 4)).toEqual([0, 50, 100]);
    expect(run({ iterations: 2.5 }, 0.5, 1.25, 2.5, 9)).toEqual([50, 25, 50, 50]);
    expect(run({ iterations: 2 }, 1, 2)).toEqual([0, 100]);
    expect(run({ iterations: Infinity, direction: 'alternate' }, 0.25, 1.25, 2.25)).toEqual([25, 75, 25]);
    expect(run({ iterations: 2, direction: 'alternate' }, 2)).toEqual([0]);
    expect(run({ iterations: 2, direction: 'alternate-reverse' }, 0.25, 1.25)).toEqual([75, 25]);
    expect(run({ direction: 'reverse' }, 0, 0.25, 1)).toEqual([100, 75, 0]);
    expect(run({ fill: 'none' }, -1, 0.5, 1)).toEqual([undefined, 50, undefined]);
    expect(run({ fill: 'forwards' }, -1, 2)).toEqual([undefined, 100]);
    expect(run({ easing: 'back-out' }, 0.5).every((value) => (value as number) > 100)).toBe(true);
  });

  test('several values move together by their names, each as it would alone', () => {
    const together = keyframes(
      [{ at: [0, 40], turn: 350, radius: 10, color: 'black' }, { value: { at: [8, 0], turn: 10, radius: 360, color: 'white' }, easing: 'ease-in' }, { at: [0, 0], turn: 90, radius: 1, color: 'black' }],
      { duration: 2, delay: 1, angles: ['turn'] },
    ); // prettier-ignore
    const alone = { duration: 2, delay: 1 };
    const at = keyframes([[0, 40], { value: [8, 0], easing: 'ease-in' }, [0, 0]], alone);
    const turn = keyframes([350, { value: 10, easing: 'ease-in' }, 90], { ...alone, angles: true });
    const radius = keyframes([10, { value: 360, easing: 'ease-in' }, 1], alone);
    const color = keyframes(['black', { value: 'white', easing: 'ease-in' }, 'black'], alone);
    for (const t of [0, 1.3, 2, 2.7, 4])
      expect(together(t)).toEqual({ at: at(t), turn: turn(t), radius: radius(t), color: color(t) });
    expect(
      keyframes(
        [
          { x: 1, y: 2 },
          { x: 3, y: 4 },
        ],
        { duration: 1 },
      )(0.5),
    ).toEqual({ x: 2, y: 3 });
    expect(keyframes([{ turn: 350 }, { turn: 10 }], { duration: 1, angles: true })(0.5)).toEqual({ turn: 360 });
  });

  test('mistakes are named', () => {
    expect(errorOf(() => keyframes([0, 'red'] as never, { duration: 1 }))).toMatch(
      'all numbers, all points or all colors',
    );
    expect(errorOf(() => keyframes([], { duration: 1 }))).toMatch('is empty; expected values');
    expect(errorOf(() => keyframes([0, 1], { durration: 1 } as never))).toMatch('did you mean "duration"?');
  });
});

describe('a spring', () => {
  /** Where it is by its equation, mass · acceleration = −stiffness · distance − damping · speed, in small steps (Runge and Kutta's of fourth order). */
  function stepped({ from = 0, to = 1, stiffness = 120, damping = 12, mass = 1, velocity = 0 }: SpringOptions, seconds: number): number {
    const steps = 2000;
    const h = seconds / steps;
    const change = ([x, v]: number[]): number[] => [v, (-stiffness * (x - to) - damping * v) / mass];
    const after = (state: number[], slope: number[], by: number): number[] => state.map((value, i) => value + slope[i] * by);
    let now = [from, velocity];
    for (let i = 0; i < steps; i++) {
      const a = change(now);
      const b = change(after(now, a, h / 2));
      const c = change(after(now, b, h / 2));
      const d = change(after(now, c, h));
      now = now.map((value, k) => value + ((a[k] + 2 * b[k] + 2 * c[k] + d[k]) * h) / 6);
    }
    return now[0];
  } // prettier-ignore

  test('moves by its equation, whether it swings, creeps or neither', () => {
    const options = fc.record(
      {
        from: fc.integer({ min: -50, max: 50 }),
        to: fc.integer({ min: -50, max: 50 }),
        stiffness: fc.integer({ min: 1, max: 300 }),
        damping: fc.integer({ min: 0, max: 60 }),
        mass: fc.constantFrom(0.5, 1, 3),
        velocity: fc.integer({ min: -80, max: 80 }),
      },
      { requiredKeys: [] },
    );
    fc.assert(
      fc.property(options, fc.integer({ min: 1, max: 20 }), (given, tenths) =>
        expect(spring(given)(tenths / 10)).toBeCloseTo(stepped(given, tenths / 10), 4),
      ),
    );
    const critical = { stiffness: 100, damping: 20, velocity: 30, from: 4 };
    for (const t of [0.05, 0.2, 1]) expect(spring(critical)(t)).toBeCloseTo(stepped(critical, t), 6);
  });

  test('stands where it is told until 0 s, and comes to rest', () => {
    for (const damping of [5, 20, 60]) {
      const move = spring({ from: 3, to: 10, stiffness: 100, damping, velocity: 4 });
      expect([move(0), move(-5)]).toEqual([3, 3]);
      expect(move(60)).toBeCloseTo(10, 6);
    }
  });
});
