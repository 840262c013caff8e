import { describe, expect, test } from '@jest/globals';
import { defineSketch, keyframes, swing, zigzag, type Canvas, type Moment, type Sketch } from 'frame-juggler';
import { lineOfCode } from '../../packages/frame-juggler/src/checks/bare-code.ts';
import { check, foundIn, type Paint } from '../fixtures/found-in.ts';

/* The rules that go by how a sketch's functions are written, at the borders of what is found. */

const fill = '#24506a';
const spot = (canvas: Canvas, x: number): void => canvas.circle({ at: [x, 90], radius: 20, fill });

describe('a variable of paint', () => {
  const isFound = async (paint: Paint): Promise<boolean> => (await foundIn(paint)).some((one) => one.startsWith('begins-anew')); // prettier-ignore
  /* eslint-disable no-useless-assignment -- these are the mistakes */
  test.each<[name: string, paint: Paint]>([
    ['that is added to before it is used', (canvas) => {
      let x = 40;
      x += 2;
      spot(canvas, x);
    }],
    ['that is added to when it has been used', (canvas) => {
      let x = 40;
      spot(canvas, x);
      x = x + 2;
    }],
    ['that is counted up', (canvas) => {
      let count = 40;
      count++;
      canvas.group({ translate: [0, 0] }, () => spot(canvas, count));
    }],
    ['that is used in a text, behind braces and an apostrophe', (canvas) => {
      let days = 1;
      days += 1;
      canvas.text(`The boat’s day {${days}} isn't over`, { at: [160, 90], size: 14, fill });
    }],
  ])('%s', async (_, paint) => {
    expect(await isFound(paint)).toBe(true);
  }); // prettier-ignore
  /* eslint-enable no-useless-assignment */

  test.each<[name: string, paint: Paint]>([
    ['that goes from one place to the next', (canvas) => {
      let x = 40;
      spot(canvas, x);
      x += 60;
      spot(canvas, x);
    }],
    ['that a loop adds to', (canvas) => {
      let x = 40;
      for (let i = 0; i < 3; i++) {
        spot(canvas, x);
        x += 60;
      }
    }],
    ['that a loop without braces adds to', (canvas) => {
      let x = 40;
      for (let i = 0; i < 3; i++) x += 20;
      spot(canvas, x);
    }],
    ['that a condition adds to', (canvas, { seconds }) => {
      let x = 40;
      if (seconds > 0.5) x += 60;
      spot(canvas, x);
    }],
    ['that a function of its own adds to', (canvas) => {
      let x = 0;
      const next = (): number => {
        x += 60;
        return x;
      };
      spot(canvas, next());
      spot(canvas, next());
    }],
    ['that something else is added to', (canvas, { seconds }) => {
      let x = 40;
      x += seconds * 60;
      spot(canvas, x);
    }],
    ['beside another of its name', (canvas) => {
      const boat = { x: 40 };
      {
        let x = 40;
        if (boat.x > 90) x = 90;
        spot(canvas, x);
      }
      boat.x += 2;
    }],
    ['in a text that shows both values', (canvas) => {
      let days = 1;
      canvas.text(`day ${days}`, { at: [160, 60], size: 14, fill });
      days += 1;
      canvas.text(`day ${days}`, { at: [160, 90], size: 14, fill });
    }],
  ])('%s does no harm', async (_, paint) => {
    expect(await isFound(paint)).toBe(false);
  }); // prettier-ignore
});

const canvas = { width: 320, height: 180, background: '#e4efe8' };
/** The names of what is found in a sketch. */
const namesIn = async (sketch: Sketch): Promise<string[]> =>
  (await check(sketch, false)).findings.map(({ name }) => name);
/** A sketch of so many seconds that paints so. */
const lasting = (duration: number, paint: Paint, repeat = true): Sketch =>
  defineSketch({ canvas, duration, frameRate: 10, repeat, paint });
const byZigzag: Paint = (onto, { seconds }) => spot(onto, zigzag(seconds + 0.5, 3, 40, 280));

const stateful = defineSketch({
  canvas,
  duration: 4,
  frameRate: 10,
  start: () => ({ x: 40 }),
  step: (state) => void (state.x = (state.x + 4) % 300),
  paint: (onto, { seconds }, { x }) => onto.circle({ at: [x, swing(seconds, 3, 60, 120)], radius: 20, fill }),
});

test.each<[name: string, sketch: Sketch, found: readonly string[]]>([
  ['whose movement is on its way', lasting(4, byZigzag), ['seam']],
  ['that stops there', lasting(4, byZigzag, false), []],
  ['whose duration the movement goes into', lasting(6, byZigzag), []],
  ['with a movement of a part of its duration', lasting(4, (onto, { seconds }) => spot(onto, swing(seconds, 0.8, 40, 280))), []],
  ['whose movement is twice as fast as it says', lasting(4, (onto, { seconds }) => spot(onto, swing(seconds * 2, 8, 40, 280))), []],
  ['whose duration is rounded to whole frames', lasting(2.55, (onto, { seconds }) => spot(onto, swing(seconds, 2.55, 40, 280))), []],
  ['whose movement takes longer', lasting(2, (onto, { seconds }) => spot(onto, swing(seconds, 6, 40, 280))), ['seam']],
  ['with another movement in its comments', lasting(4, (onto, { progress }) => {
    // Once it was swing(seconds, 3, 40, 280).
    spot(onto, 90 + 100 * progress);
  }), []],
  ['with a state that begins anew as well', stateful as Sketch, []],
])('a sketch %s, as it begins again', async (_, sketch, found) => {
  expect(await namesIn(sketch)).toEqual(found);
}); // prettier-ignore

const through = (duration: number, iterations = 1): ((seconds: number) => number) => keyframes([40, 280], { duration, iterations }); // prettier-ignore

test.each<[name: string, motion: (seconds: number) => number, found: readonly string[]]>([
  ['that take four seconds', through(4), ['progress-for-seconds']],
  ['that take one', through(1), []],
  ['that take a quarter of one, four times over', through(0.25, 4), []],
])('keyframes %s, and are given progress', async (_, motion, found) => {
  expect(await namesIn(lasting(4, (onto, { progress }) => spot(onto, motion(progress))))).toEqual(found);
});

test('keyframes may be given other numbers than progress', async () => {
  const motion = through(4);
  expect(await namesIn(lasting(4, (onto, { progress }) => spot(onto, motion(progress * 4))))).toEqual([]);
  expect(await namesIn(lasting(4, (onto, { seconds }) => spot(onto, motion(seconds))))).toEqual([]);
});

test('milliseconds of keyframes are found at the line that asks for them', async () => {
  const motion = through(2000);
  const { findings } = await check(
    lasting(4, (onto, { seconds }) => spot(onto, motion(seconds))),
    false,
  );
  const [{ name, line, seen }] = findings.filter(({ name }) => name === 'milliseconds');
  expect([name, seen]).toEqual([
    'milliseconds',
    'the duration of these keyframes is 2000 seconds, which are 33 minutes',
  ]);
  expect(line?.file).toMatch(/checks-code\.test\.ts$/);
});

interface Switch {
  isLit: boolean;
  wasDown: boolean;
}
type Step = (state: Switch, moment: Moment) => void;

test.each<[name: string, step: Step, found: boolean]>([
  ['a key that is held', (state, { keys }) => {
    if (keys.down('a')) {
      state.isLit = !state.isLit;
    }
  }, true],
  ['a pointer that is held', (state, moment) => {
    if (moment.pointer.down) state.isLit = !state.isLit;
  }, true],
  ['a press', (state, { pointer }) => {
    if (pointer.justPressed) state.isLit = !state.isLit;
  }, false],
  ['what is held, and was not so far', (state, { pointer }) => {
    if (pointer.down && !state.wasDown) state.isLit = !state.isLit;
    state.wasDown = pointer.down;
  }, false],
  ['time, beside a pointer that is held', (state, { pointer, frame }) => {
    if (pointer.down) state.wasDown = true;
    if (Math.max(frame % 10, 1) === 9) state.isLit = !state.isLit;
  }, false],
  ['another value', (state, { pointer }) => {
    if (pointer.down) state.isLit = !state.wasDown;
  }, false],
])('a switch that is flipped by %s', async (_, step, found) => {
  const start = (): Switch => ({ isLit: true, wasDown: false });
  const sketch = defineSketch({ canvas, start, step, paint: (onto, __, { isLit }) => spot(onto, isLit ? 90 : 200) });
  expect((await namesIn(sketch as Sketch)).includes('flips-while-held')).toBe(found);
}); // prettier-ignore

test('code is found again in its file where it stands there once, whatever its spaces', () => {
  const text =
    "/* angle += 2 */\nlet angle = 0; // angle += 2\nconst said = 'angle += 2';\n  angle+=2;\ntriangle += 2;\nangle += 25;";
  expect(lineOfCode('quay.ts', text, 'angle += 2')).toEqual({ file: 'quay.ts', line: 4, column: 3 });
  expect(lineOfCode('quay.ts', `${text}\nangle += 2`, 'angle += 2')).toBeUndefined();
  expect(lineOfCode('quay.ts', text, 'angle += 3')).toBeUndefined();
});
