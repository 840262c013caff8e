import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  defineSketch,
  dial,
  makeTrack,
  playTrack,
  readTrack,
  Run,
  writeTrack,
  type Frame,
  type InputEvent,
} from '../../packages/frame-juggler/src/index.ts';
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

/** A pen that leaves a mark in every frame in which the pointer is pressed, in the ink of that frame. */
const pen = (carry = 0) =>
  defineSketch({
    dials: { ink: dial.choice(['teal', 'crimson', 'gold']), paper: dial.color('white') },
    frameRate: 20,
    carry,
    start: () => ({ marks: [] as { at: number; ink: string }[] }),
    step({ marks }, { frame, pointer, dials }) {
      if (pointer.down) marks.push({ at: frame, ink: carry > 0 ? 'navy' : dials.ink });
    },
    paint(canvas, { dials, pointer }, { marks }) {
      canvas.clear(dials.paper);
      for (const { at, ink } of marks) canvas.circle({ at: [at, 5], radius: 3, fill: ink });
      if (carry > 0 && pointer.down) canvas.circle({ at: [9, 9], radius: 4, fill: dials.ink });
    },
  });
type Ink = 'teal' | 'crimson' | 'gold';
const inks = fc.constantFrom<Ink>('teal', 'crimson', 'gold');

/** The first mark's ink and the last one's, and what is seen of the pen itself. */
const inksOf = async (run: Run): Promise<string> => JSON.stringify(plainItems(await run.paint()));

describe('dials turned where pointer and keys have a part', () => {
  const press: InputEvent = { type: 'press' };
  const alwaysDown = () => ({ take: (frame: number) => (frame === 1 ? [press] : []) });

  test.each([0, 1])('are a part of what was done, which a track tells again; with a carry of %s', (carry) =>
    fc.assert(
      fc.asyncProperty(
        fc.array(
          fc.oneof(
            fc.record({ ink: inks, playing: fc.boolean() }),
            fc.record({ goTo: fc.integer({ min: 0, max: 12 }), listen: fc.boolean() }),
            fc.record({ advance: fc.integer({ min: 1, max: 4 }) }),
            fc.record({ tap: fc.constantFrom<InputEvent['type']>('press', 'release') }),
          ),
          { maxLength: 14 },
        ),
        async (deeds) => {
          const waiting: InputEvent[] = [press];
          const sketch = pen(carry);
          const run = new Run(sketch, { input: () => ({ take: () => waiting.splice(0) }) });
          await run.goTo(1);
          await run.paint();
          for (const deed of deeds) {
            if ('ink' in deed) run.setDial('ink', deed.ink, deed.playing);
            else if ('goTo' in deed) {
              await run.goTo(deed.goTo);
              if (deed.listen) run.forgetInput(deed.goTo + 1);
            } else if ('tap' in deed) waiting.push({ type: deed.tap } as InputEvent);
            else for (let count = 0; count < deed.advance; count++) await run.advance();
          }
          await run.goTo(12);
          const track = readTrack('t.json', writeTrack(makeTrack(run)));
          // Whatever the dials of a run are that plays the track: those that were turned are as they were.
          const again = new Run(sketch, { input: () => playTrack(track) });
          for (let frame = 0; frame <= 12; frame++) {
            await Promise.all([run.goTo(frame), again.goTo(frame)]);
            expect(await inksOf(again)).toBe(await inksOf(run));
            expect(again.dials).toEqual(run.dialsAt(frame));
          }
        },
      ),
      { numRuns: 60 },
    ),
  );

  test('leave what was drawn with another value as it was', async () => {
    const run = new Run(pen(), { input: alwaysDown });
    await run.goTo(2);
    const inksNow = async (): Promise<string[]> =>
      (await run.paint(), makeTrack(run).events.flatMap((event) => (event.type === 'dial' ? [`${event.frame} ${String(event.value)}`] : []))); // prettier-ignore
    expect(await inksNow()).toEqual([]);
    expect(run.setDial('ink', 'crimson', true)).toBe(3);
    await run.goTo(4);
    expect(await inksNow()).toEqual(['0 teal', '3 crimson']);
    expect([run.dialsAt(2).ink, run.dialsAt(3).ink, run.dials.ink]).toEqual(['teal', 'crimson', 'crimson']);
    // Of a slider that is drawn along, only where it ends is kept.
    for (const ink of ['teal', 'crimson', 'gold']) run.setDial('ink', ink);
    expect(run.dials.ink).toBe('gold');
    expect(await inksNow()).toEqual(['0 teal', '3 crimson', '4 gold']);
    // Pages that set all dials again when one has changed turn none of the others.
    expect(run.setDial('ink', 'gold', true)).toBe(Infinity);
    expect(await inksNow()).toHaveLength(3);
    // What is only painted is as it is now in every frame.
    expect(run.setDial('paper', 'gold')).toBe(0);
    expect(await inksNow()).toHaveLength(3);
    expect(run.reproducible).toBe(true);
  });

  test('stay as they are for the next round, of which nothing has been done yet', async () => {
    const run = new Run(pen(), { input: alwaysDown });
    await run.goTo(3);
    run.setDial('ink', 'gold', true);
    await run.restart();
    expect([run.dials.ink, run.inputEvents]).toEqual(['gold', []]);
    await run.goTo(2);
    expect(run.dials.ink).toBe('gold');
  });

  test('that a track turns, and the sketch has not or cannot have so, are named with the frame', async () => {
    const played = (name: string, value: unknown): Promise<void> =>
      new Run(pen(), { input: () => ({ take: (frame) => (frame === 3 ? [{ type: 'dial', name, value }] : []) }) }).goTo(5);
    await expect(played('inc', 'teal')).rejects.toThrow(/^input: there is no dial "inc"; did you mean "ink"\? \(frame 3\)/);
    await expect(played('ink', 'blue')).rejects.toThrow(/^input: ink "blue" is not.*\(frame 3\)$/);
    await expect(played('paper', 'gold')).resolves.toBeUndefined();
  }); // prettier-ignore
});
