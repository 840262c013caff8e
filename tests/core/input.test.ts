import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { defineSketch, dial, Run, type InputEvent, type InputSource } from '../../packages/frame-juggler/src/index.ts';
import { makeTrack, playTrack, readTrack, writeTrack } from '../../packages/frame-juggler/src/sketch/input-track.ts';

const from = (byFrame: Record<number, InputEvent[]>): InputSource => ({ take: (frame) => byFrame[frame] ?? [] });
const trackOf = (...events: unknown[]): string =>
  JSON.stringify({ format: 'frame-juggler-input', version: 1, title: 'Quay', width: 640, height: 360, frameRate: 60, seed: 1, events }); // prettier-ignore

test('pointer and keys follow the events, frame by frame', async () => {
  const seen: unknown[] = [];
  const sketch = defineSketch({
    paint(_, { pointer: { x, y, inside, down, justPressed, justReleased }, keys }) {
      seen.push([
        x,
        y,
        inside,
        down,
        justPressed,
        justReleased,
        keys.down('A'),
        keys.justPressed('a'),
        keys.justReleased('a'),
      ]);
    },
  });
  const events: Record<number, InputEvent[]> = {
    1: [{ type: 'move', at: [10, 20] }, { type: 'press' }, { type: 'keydown', key: 'A' }],
    3: [{ type: 'release' }, { type: 'leave' }, { type: 'keyup', key: 'a' }],
    // A tap of a finger and of a key, both shorter than a frame.
    5: [{ type: 'move', at: [30, 40] }, { type: 'press' }, { type: 'keydown', key: 'a' }, { type: 'keyup', key: 'a' }, { type: 'release' }, { type: 'leave' }], // prettier-ignore
  };
  const run = new Run(sketch, { input: () => from(events) });
  for (let frame = 0; frame < 7; frame++) {
    await run.goTo(frame);
    await run.paint();
  }
  expect(seen).toEqual([
    [-640, -360, false, false, false, false, false, false, false],
    [10, 20, true, true, true, false, true, true, false],
    [10, 20, true, true, false, false, true, false, false],
    [10, 20, true, false, false, true, false, false, true],
    [10, 20, false, false, false, false, false, false, false],
    [30, 40, true, true, true, true, true, true, true],
    [30, 40, false, false, false, false, false, false, false],
  ]);
});

test('a pointer that is kept, as in a trail, stays where it was', async () => {
  let seen: number[] = [];
  const sketch = defineSketch({
    start: (): { trail: { x: number }[] } => ({ trail: [] }),
    step({ trail }, { pointer }) {
      if (pointer.down) trail.push(pointer);
    },
    paint: (_, __, { trail }) => void (seen = trail.map(({ x }) => x)),
  });
  const move = (x: number): InputEvent => ({ type: 'move', at: [x, 0] });
  const run = new Run(sketch, { input: () => from({ 1: [move(10), { type: 'press' }], 2: [move(20)], 3: [move(30), { type: 'leave' }, { type: 'release' }] }) });
  await run.goTo(4);
  await run.paint();
  expect(seen).toEqual([10, 20]);
}); // prettier-ignore

test('a run notes what it was told, up to a hundred thousand events: of more, the oldest frames are asked no more', async () => {
  const many = 30_000;
  const events: InputEvent[] = Array.from({ length: many }, (_, i) => ({ type: 'move', at: [i, 1] }));
  let asked = 0;
  const sketch = defineSketch({ start: () => -640, step: (_, { pointer }) => pointer.x, paint: () => undefined });
  const run = new Run(sketch, { input: () => ({ take: (frame) => (asked++, frame === 0 ? [] : events) }) });
  await run.goTo(5);
  const frames = (): number[] => [...new Set(run.inputEvents.map(({ frame }) => frame))];
  expect([run.inputEvents.length, frames()]).toEqual([3 * many, [3, 4, 5]]);
  await run.goTo(2);
  expect([asked, run.checkpoint.state]).toEqual([6, -640]);
  await run.goTo(4);
  expect([asked, run.checkpoint.state, frames()]).toEqual([6, many - 1, [3, 4, 5]]);
});

test.each([
  ['space', ' '],
  ['Space', ' '],
  ['left', 'ArrowLeft'],
  ['arrowdown', 'ArrowDown'],
  ['ArowUp', 'ArrowUp'],
  ['esc', 'Escape'],
  ['enter', 'Enter'],
  ['ctrl', 'Control'],
  ['KeyW', 'w'],
  ['Digit4', '4'],
])('a key that has another name is refused, as it would never be down: %s', async (key, meant) => {
  const asks = (ask: 'down' | 'justPressed' | 'justReleased'): Promise<unknown> => {
    const run = new Run(defineSketch({ paint: (_, { keys }) => void keys[ask](key) }));
    return run.goTo(0).then(() => run.paint());
  };
  for (const ask of ['down', 'justPressed', 'justReleased'] as const)
    await expect(asks(ask)).rejects.toThrow(`keys.${ask}: key "${key}" names no key; did you mean "${meant}"?`);
});

test('what is typed is told as it is written, frame by frame, also again while a key is held down', async () => {
  const [down, up] = (['keydown', 'keyup'] as const).map((type) => (key: string) => ({ type, key }) as const);
  const source = from({
    0: [down('q')],
    1: [down('Shift'), down('H'), up('h'), up('Shift'), down('i')],
    3: [down('i'), down('Enter'), down(' '), down('ö'), down('🐟')],
    4: [down('Control'), down('c'), up('Control')],
    5: [down('Control'), down('AltGraph'), down('@')],
  });
  const typed: string[] = [];
  const run = new Run(defineSketch({ paint: (_, { keys }) => void typed.push(keys.typed) }), { input: () => source });
  for (let frame = 0; frame <= 5; frame++) {
    await run.goTo(frame);
    await run.paint();
  }
  expect(typed).toEqual(['', 'Hi', '', 'i ö🐟', '', '@']);
});

test('any key that there is can be asked for, whatever it types', async () => {
  const some = ['a', 'A', 'ß', 'é', ' ', '+', '4', 'Tab', 'End', 'F1', 'F12', 'PageUp', 'Undo', 'Find', 'Fn', 'Help', 'Super', 'Dead', 'MediaPlayPause', 'BrowserBack', 'Unidentified', 'AudioVolumeUp', 'Hiragana']; // prettier-ignore
  const source = from({ 1: some.map((key) => ({ type: 'keydown', key })) });
  let down: boolean[] = [];
  const run = new Run(defineSketch({ paint: (_, { keys }) => void (down = some.map((key) => keys.down(key))) }), { input: () => source }); // prettier-ignore
  await run.goTo(1);
  await run.paint();
  expect(down).toEqual(some.map(() => true));
});

test('the pointer is over what lay under it in the last frame: fills, strokes and clips, by label or group', async () => {
  const over = async (label: string, at: [number, number]): Promise<boolean> => {
    let answer = false;
    const sketch = defineSketch({
      paint(canvas, { pointer }) {
        answer = pointer.over(label);
        canvas.group({ translate: [100, 100], rotate: 45, label: 'crane' }, () => {
          canvas.rect({ at: [0, 0], size: 40, fill: 'teal', label: 'box' });
          canvas.line({ from: [50, 0], to: [90, 0], stroke: { color: 'red', width: 8 }, label: 'jib' });
        });
        canvas.circle({ at: [300, 30], radius: 9, opacity: 0, label: 'hidden' });
        canvas.group({ opacity: 0 }, () => canvas.circle({ at: [340, 30], radius: 9, label: 'veiled' }));
        canvas.circle({ at: [380, 30], radius: 10, fill: 'none', stroke: { color: 'red', width: 4 }, label: 'hoop' });
        canvas.group({ clip: (region) => region.circle({ at: [300, 100], radius: 20 }) }, () =>
          canvas.rect({ at: [300, 100], size: 100, label: 'porthole' }),
        );
      },
    });
    const run = new Run(sketch, { input: () => from({ 0: [{ type: 'move', at }] }) });
    await run.goTo(1);
    await run.paint();
    return answer;
  };
  expect(await over('box', [100, 125])).toBe(true); // a corner of the turned box
  expect(await over('box', [119, 119])).toBe(false); // a corner of the box before it was turned
  expect(await over('crane', [100, 125])).toBe(true);
  expect(await over('jib', [150, 150])).toBe(true);
  expect(await over('jib', [150, 160])).toBe(false);
  expect(await over('hidden', [300, 30])).toBe(false); // its opacity is 0
  expect(await over('veiled', [340, 30])).toBe(false); // that of its group is
  expect(await over('hoop', [380, 30])).toBe(false); // it has no fill
  expect(await over('hoop', [390, 30])).toBe(true);
  expect(await over('porthole', [310, 100])).toBe(true);
  expect(await over('porthole', [330, 100])).toBe(false);
});

test('over looks at the frame before, whoever asks and however the frame was come by', async () => {
  // The buoy moves 10 a frame; the pointer rests where the buoy is in frame 3.
  const make = (): { run: Run; hits: number[] } => {
    const hits: number[] = [];
    const sketch = defineSketch({
      start: () => ({ x: 0 }),
      step(state, { frame, pointer }) {
        if (frame > 2 && pointer.over('buoy')) hits.push(frame);
        state.x += 10;
      },
      paint: (canvas, _, { x }) => canvas.circle({ at: [x, 50], radius: 4, label: 'buoy' }),
    });
    return { run: new Run(sketch, { input: () => from({ 0: [{ type: 'move', at: [30, 50] }] }) }), hits };
  };
  const straight = make();
  await straight.run.goTo(8);
  expect(new Set(straight.hits)).toEqual(new Set([4]));
  const painted = make();
  for (let frame = 0; frame <= 8; frame++) {
    await painted.run.goTo(frame);
    await painted.run.paint();
  }
  expect(new Set(painted.hits)).toEqual(new Set([4]));
});

/** Notes the frames in which the pointer is down. */
const holding = (input: () => InputSource): { run: Run; held: () => number[] } => {
  const sketch = defineSketch({
    start: () => ({ held: [] as number[] }),
    step: ({ held }, { frame, pointer }) => void (pointer.down && held.push(frame)),
    paint() {},
  });
  const run = new Run(sketch, { input });
  return { run, held: () => (run.checkpoint.state as { held: number[] }).held };
};

test('a frame that is run again is told the same again, whoever is asked by then; a new round is not', async () => {
  const asked: number[] = [];
  const taps: InputEvent[][] = [[], [], [{ type: 'press' }], [], [{ type: 'release' }]];
  const { run, held } = holding(() => ({ take: (frame) => (asked.push(frame), taps.shift() ?? []) }));
  await run.goTo(6);
  await run.goTo(2);
  await run.goTo(6);
  expect([held(), asked]).toEqual([[2, 3], [0, 1, 2, 3, 4, 5, 6]]);
  await run.restart();
  await run.goTo(6);
  expect([held(), asked.slice(7)]).toEqual([[], [0, 1, 2, 3, 4, 5, 6]]);
}); // prettier-ignore

test('what is forgotten from a frame on is asked again, and what another run was told is told up to its end', async () => {
  const { run, held } = holding(() => from({ 2: [{ type: 'press' }], 4: [{ type: 'release' }] }));
  await run.goTo(5);
  const other = holding(() => ({ take: (frame) => (frame === 7 ? [{ type: 'press' }] : []) }));
  other.run.recallInput(run.inputEvents, 6);
  await other.run.goTo(8);
  expect([held(), other.held()]).toEqual([[2, 3], [2, 3, 7, 8]]);
  other.run.forgetInput(4);
  await other.run.goTo(0);
  await other.run.goTo(8);
  expect(other.held()).toEqual([2, 3, 4, 5, 6, 7, 8]);
}); // prettier-ignore

test('of a hand that never rests, the oldest is forgotten', async () => {
  const { run } = holding(() => ({ take: (frame) => Array.from({ length: 9000 }, () => ({ type: 'move', at: [frame, 0] })) }));
  await run.goTo(20);
  const { inputEvents } = run;
  expect(inputEvents.length).toBeLessThanOrEqual(100_000);
  expect([inputEvents[0].frame, inputEvents.at(-1)?.frame]).toEqual([10, 20]);
}); // prettier-ignore

test('a recorded track plays back the same, through its file', () => {
  const sketch = defineSketch({ dials: { ink: dial.color('teal') }, paint() {} });
  return fc.assert(
    fc.asyncProperty(
      fc.array(
        fc.tuple(
          fc.integer({ min: 0, max: 20 }),
          fc.oneof(
            fc.record({ type: fc.constant('move' as const), at: fc.tuple(fc.integer(), fc.double({ noNaN: true, noDefaultInfinity: true })) }), // prettier-ignore
            fc.record({ type: fc.constantFrom('leave' as const, 'press' as const, 'release' as const) }),
            fc.record({
              type: fc.constantFrom('keydown' as const, 'keyup' as const),
              key: fc.string({ minLength: 1 }),
            }),
            fc.record({ type: fc.constant('dial' as const), name: fc.constant('ink'), value: fc.constantFrom('gold', '#123') }), // prettier-ignore
          ),
        ),
      ),
      async (list) => {
        const live: Record<number, InputEvent[]> = {};
        for (const [frame, event] of list) (live[frame] ??= []).push(event as InputEvent);
        const run = new Run(sketch, { input: () => from(live) });
        await run.goTo(20);
        const track = playTrack(readTrack('t.json', writeTrack(makeTrack(run))));
        for (let frame = 0; frame <= 20; frame++)
          expect(JSON.stringify(track.take(frame))).toBe(JSON.stringify(live[frame] ?? []));
      },
    ),
  );
});

test.each([
  ['not JSON', '{', /t\.json is not JSON/],
  ['another file', '{"a":1}', /t\.json is not an input track; expected "format"/],
  ['nothing', 'null', /t\.json is not an input track; expected "format"/],
  ['a number', '7', /t\.json is not an input track; expected "format"/],
  ['a wrong event', trackOf({ frame: 1, type: 'move', at: [1] }), /events\[0\]: at/],
  ['an unknown event', trackOf({ frame: 1, type: 'hover' }), /events\[0\]: type/],
  ['a dial without a value', trackOf({ frame: 1, type: 'dial', name: 'ink' }), /events\[0\]: value is missing/],
  ['too many events at once', trackOf(...Array.from({ length: 10_001 }, () => ({ frame: 4, type: 'press' }))), /more than 10000 events in frame 4/],
  ['events out of order', trackOf({ frame: 4, type: 'press' }, { frame: 2, type: 'release' }), /events\[1\]\.frame: 2 comes behind 4/],
])('a track that is %s is refused by its place', (_, text, message) => {
  expect(() => readTrack('t.json', text)).toThrow(message);
}); // prettier-ignore

test('a track may have as many events in each frame as a person can give', () => {
  const busy = [0, 4].flatMap((frame) => Array.from({ length: 10_000 }, () => ({ frame, type: 'press' })));
  expect(readTrack('t.json', trackOf(...busy).replace('"seed":1', '"seed":0'))).toMatchObject({
    seed: 0,
    events: busy,
  });
});
