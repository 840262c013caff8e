import { describe, expect, test } from '@jest/globals';
import { asset, defineSketch, dial, Run, type Canvas, type Moment } from '../../packages/frame-juggler/src/index.ts';
import { inspect } from 'node:util';

// Sketches in plain JavaScript: nothing but the library tells them that a name is misspelt.
type Anything = Record<string, () => void>;
type Careless = (canvas: Canvas & Anything, moment: Moment & Anything) => unknown;
const quiet = (): void => undefined;
const misread = (thing: unknown): Anything => thing as Anything;

const host = { read: () => Promise.resolve(new TextEncoder().encode('hour,level\n1,2.5\n')) };

async function painted(paint: Careless, parts: object = {}): Promise<unknown> {
  const sketch = defineSketch({
    assets: { tides: asset.table(new URL('file:///quay/tides.csv')) },
    dials: { swell: dial.number(3), lamp: dial.toggle(true) },
    ...parts,
    paint: paint as never,
  });
  const run = new Run(sketch, { host, input: () => ({ take: () => [] }) });
  await run.goTo(0);
  return run.paint();
}

describe('what a sketch is handed refuses a name that is not there', () => {
  test.each<[string, Careless, string]>([
    ['a misspelt call of the canvas', (canvas) => canvas.circel(), 'canvas: there is no "circel"; did you mean "circle"?'],
    ['a misspelt size', (canvas) => canvas.heigth, 'canvas: there is no "heigth"; did you mean "height"?'],
    ['the middle', (canvas) => canvas.center, 'canvas: there is no "center"; did you mean "[canvas.width / 2, canvas.height / 2]"?'],
    ['a shape of another name', (canvas) => canvas.square(), 'canvas: there is no "square"; did you mean "rect"?'],
    ['something a canvas never had', (canvas) => canvas.moor(), 'canvas: there is no "moor"; expected one of dot, line, '],
    ['a misspelt part of the moment', (_, moment) => moment.secnods, 'moment: there is no "secnods"; did you mean "seconds"?'],
    ['another word for it', (_, { time }) => time, 'moment: there is no "time"; did you mean "seconds"?'],
    ['what is of the state', (_, state) => state.tonnage, 'moment: there is no "tonnage"; expected one of frame, seconds, delta, progress, width, height, random, noise, pointer, keys, dials, assets; the state is the third, paint(canvas, moment, state)'],
    ['a dial, not of the dials', (_, moment) => moment.lamp, 'moment: there is no "lamp"; it is a dial: dials.lamp'],
    ['an asset, not of the assets', (_, moment) => moment.tides, 'moment: there is no "tides"; it is an asset: assets.tides'],
    ['the state, which comes third', (_, { state }) => state, 'moment: there is no "state"; did you mean "paint(canvas, moment, state)"?'],
    ['a dial', (_, { dials }) => misread(dials).swel, 'dials: there is no "swel"; did you mean "swell"?'],
    ['an asset', (_, { assets }) => misread(assets).tide, 'assets: there is no "tide"; did you mean "tides"?'],
    ['the pointer', (_, { pointer }) => misread(pointer).pressed, 'pointer: there is no "pressed"; did you mean "down, or justPressed"?'],
    ['a key', (_, { keys }) => misread(keys).isDown(), 'keys: there is no "isDown"; did you mean "down"?'],
    ['chance', (_, { random }) => misread(random).range(), 'random: there is no "range"; did you mean "between"?'],
    ['a verb before it', (canvas) => canvas.drawCircle(), 'canvas: there is no "drawCircle"; did you mean "circle"?'],
    ['a color that is set', (canvas) => (canvas.fillStyle = quiet), 'canvas: there is no "fillStyle"; did you mean "style({ fill })"?'],
    ['a line width that is set', (canvas) => (canvas.lineWidth = quiet), 'canvas: there is no "lineWidth"; did you mean "style({ stroke })"?'],
    ['a dial that is set', (_, { dials }) => (misread(dials).swel = quiet), 'dials: there is no "swel"; did you mean "swell"?'],
    ['a stream of chance', (_, { random }) => misread(random.stream('a')).pik, 'random: there is no "pik"; did you mean "pick"?'],
  ])('%s', async (_, paint, message) => {
    const error = await painted(paint).then(() => undefined, (thrown: unknown) => thrown as Error);
    expect(error?.message.slice(0, message.length)).toBe(message);
    expect(error?.message).toMatch(/ \(known-names\.test\.ts:\d+:\d+, frame 0\)$/);
  }); // prettier-ignore

  test('the state taken for the moment is told where it is', async () => {
    const careless = painted((_, state) => state.t, { start: () => ({ t: 0 }) });
    await expect(careless).rejects.toThrow(/"t"; it is in the state: the state is the third, paint\(canvas, moment, state\)/);
  }); // prettier-ignore

  test('in start and step too', async () => {
    const hasty = (_: unknown, moment?: { secs: number }): number => moment?.secs ?? (_ as { secs: number }).secs;
    await expect(painted(() => undefined, { start: hasty })).rejects.toThrow(
      'moment: there is no "secs"; did you mean',
    );
    const run = new Run(defineSketch({ step: hasty as never, paint: () => undefined }));
    await expect(run.goTo(1)).rejects.toThrow(/^moment: there is no "secs"; did you mean .*, frame 1\)$/);
  });

  test('where there are none, that is said', async () => {
    const bare = { assets: {}, dials: {} };
    await expect(painted((_, { dials }) => misread(dials).swell, bare)).rejects.toThrow('dials: there is no "swell"; there are none at all');
  }); // prettier-ignore

  test('chance taken for a function is told its calls', async () => {
    await expect(painted((_, moment) => (moment as unknown as Anything).random())).rejects.toThrow(/random is not a function; expected random\.between\(0, 1\)/);
  }); // prettier-ignore
});

describe('whoever only looks is not refused', () => {
  test('what is there, what every object has, and `in`', async () => {
    const seen: unknown[] = [];
    await painted((canvas, moment) => {
      seen.push('secnods' in moment, 'circel' in canvas, 'swel' in moment.dials, String(moment.dials));
      seen.push(Object.hasOwn(moment, 'frame'), moment.toString(), JSON.stringify(moment.dials), { ...moment.dials });
      seen.push(structuredClone(moment.dials));
    });
    const values = { swell: 3, lamp: true };
    expect(seen).toEqual([
      false,
      false,
      false,
      '[object Object]',
      true,
      '[object Object]',
      JSON.stringify(values),
      values,
      values,
    ]);
  });

  test('a console, a promise, a matcher', async () => {
    await painted((canvas, moment) => {
      for (const thing of [canvas, moment, moment.pointer, moment.keys, moment.random, moment.dials, moment.assets])
        expect(inspect(thing)).not.toBe('');
      expect(moment.dials).toEqual({ swell: 3, lamp: true });
      void Promise.resolve(moment);
    });
  });

  test('a page library that marks what it holds', async () => {
    await painted((_, { dials }) => {
      const held = dials as unknown as Record<string, unknown>;
      expect([held.__isHeld, held.$kind, held['@@mark'], held.toJSON, held.then]).toEqual(Array(5).fill(undefined));
    });
  });
});

test('a value that is NaN is told where that comes from; another is not', async () => {
  const wrong = (radius: number): Promise<unknown> => painted((canvas) => canvas.circle({ at: [3, 3], radius } as never));
  await expect(wrong(NaN)).rejects.toThrow('expected a number, 0 or more; is a name misspelt?');
  await expect(painted((canvas) => canvas.dot({ at: [4, NaN] } as never))).rejects.toThrow('; is a name misspelt');
  await expect(painted((canvas) => canvas.dot({ at: { x: NaN, y: 1 } } as never))).rejects.toThrow('; is a name misspelt');
  await expect(wrong(-1)).rejects.not.toThrow('NaN');
}); // prettier-ignore
