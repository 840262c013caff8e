import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { defineSketch, dial, Run, type Frame } from '../../packages/frame-juggler/src/index.ts';
import { plainItems } from '../helpers.ts';

/** Gulls that `start` places by one dial, `step` moves by another, and `paint` colors by a third. */
function flock(starts = { count: 0 }) {
  return defineSketch({
    dials: { gulls: dial.number(3, { min: 0, max: 9, step: 1 }), wind: dial.number(0), tint: dial.color('teal') },
    duration: 0.5,
    frameRate: 20,
    carry: 0.9,
    async start({ random, dials }) {
      starts.count++;
      const { gulls } = dials;
      await Promise.resolve();
      return { dials, gulls: random.times(gulls, () => random.point([200, 100])) };
    },
    step({ gulls }, { random, dials: { wind } }) {
      for (const gull of gulls) gull.x += wind + random.between(-4, 4);
    },
    paint(canvas, _, { dials, gulls }) {
      for (const at of gulls) canvas.circle({ at, radius: 3, fill: dials.tint });
    },
  });
}

const turn = fc.oneof(
  fc.record({ gulls: fc.integer({ min: 0, max: 9 }) }),
  fc.record({ wind: fc.integer({ min: -3, max: 3 }) }),
  fc.record({ tint: fc.constantFrom('teal', 'crimson', 'gold') }),
);
const move = fc.oneof(
  fc.record({ goTo: fc.integer({ min: 0, max: 12 }) }),
  fc.record({ advance: fc.constant(true) }),
  fc.record({ drawTo: fc.integer({ min: 0, max: 9 }), early: fc.constantFrom(2, Infinity) }),
);

describe('dials turned in the middle of a run', () => {
  test('give the frames that a run has which begins with them', async () => {
    await fc.assert(
      fc.asyncProperty(fc.array(fc.oneof(turn, move), { maxLength: 12 }), async (deeds) => {
        const sketch = flock();
        const run = new Run(sketch);
        await run.goTo(0);
        for (const deed of deeds) {
          if ('goTo' in deed) await run.goTo(deed.goTo);
          else if ('advance' in deed) await run.advance();
          else if ('drawTo' in deed) await run.drawTo(deed.drawTo, -1, () => undefined, deed.early);
          else for (const [name, value] of Object.entries(deed)) run.setDial(name, value);
        }
        const fresh = new Run(sketch, { dials: run.dials });
        await fresh.goTo(run.frame);
        expect(plainItems(await run.paint())).toEqual(plainItems(await fresh.paint()));
      }),
    );
  });

  test('begin it again only if start or step has read them, and they say something else', async () => {
    const starts = { count: 0 };
    const run = new Run(flock(starts));
    await run.goTo(6);
    run.setDial('tint', 'gold');
    run.setDial('gulls', 3);
    await run.paint();
    expect(starts.count).toBe(1);
    run.setDial('gulls', 5);
    run.setDial('gulls', 7);
    await run.paint();
    await run.advance();
    expect([starts.count, run.frame]).toEqual([2, 7]);
    run.setDial('wind', 1);
    await run.goTo(7);
    expect([starts.count, run.frame]).toEqual([3, 7]);
  });

  test('leave what is done as it is where the run goes on, but for what start has read', async () => {
    const starts = { count: 0 };
    const run = new Run(flock(starts));
    await run.goTo(3);
    const before = plainItems(await run.paint());
    run.setDial('wind', 2, true);
    expect(plainItems(await run.paint())).toEqual(before);
    expect(run.reproducible).toBe(false);
    await run.advance();
    expect(starts.count).toBe(1);
    run.setDial('gulls', 5, true);
    expect(plainItems(await run.paint())).toHaveLength(5);
    expect([starts.count, run.frame, run.reproducible]).toEqual([2, 4, true]);
  });

  test('are noticed while a start that takes its time is under way', async () => {
    const seen: number[] = [];
    let turnIt = (): void => undefined;
    const run: Run = new Run(
      defineSketch({
        dials: { gulls: dial.number(3) },
        async start({ dials: { gulls } }) {
          seen.push(gulls);
          await Promise.resolve();
          turnIt();
        },
        paint() {},
      }),
    );
    turnIt = () => {
      if (seen.length === 1) run.setDial('gulls', 8);
    };
    await run.goTo(0);
    await run.paint();
    expect(seen).toEqual([3, 8]);
  });

  test('have the trails of the new state drawn from the start', async () => {
    const run = new Run(flock());
    await run.drawTo(3, -1, () => undefined);
    run.setDial('gulls', 2);
    const drawn: Frame[] = [];
    await run.drawTo(3, 3, (frame) => void drawn.push(frame));
    expect(drawn.map((frame) => plainItems(frame).length)).toEqual([2, 2, 2, 2]);
  });
});
