import { beforeAll, describe, expect, test } from '@jest/globals';
import path from 'node:path';
import fc from 'fast-check';
import * as library from '../../packages/frame-juggler/src/index.ts';
import * as kinds from '../../packages/frame-juggler/src/schema/kind.ts';
import { nearest } from '../../packages/frame-juggler/src/suggest.ts';
import { errorOf, record } from '../helpers.ts';
import { moor } from '../fixtures/mooring.ts';

type Mistake = [mistake: (canvas: library.Canvas, all: typeof library) => unknown, message: string];
const { mistakes } = (await import(path.resolve('tests/fixtures/mistakes.mjs'))) as { mistakes: Mistake[] };

beforeAll(() => library.loadFonts(['regular']));

/** A canvas as whoever comes from elsewhere may think of it. */
type Loose = Readonly<Record<string, (...given: unknown[]) => unknown>>;

describe('a mistake', () => {
  test.each(mistakes)('%#: %s', (mistake, message) => {
    let said = '';
    record((canvas) => (said = errorOf(() => mistake(canvas, library))));
    expect(said).toBe(message);
  });

  test('is told whole where nobody catches it, as an engine then prints the stack', () => {
    const error = new library.SketchError({ call: 'canvas.circle', problem: 'is $& too large' });
    expect(error.stack).toMatch(/^SketchError: canvas\.circle: is \$& too large \(.+\)\n {4}at /);
    error.at({ file: 'file:///harbor.ts', line: 4, column: 2 }).inFrame(7);
    expect(error.stack).toMatch(/^SketchError: canvas\.circle: is \$& too large \(harbor\.ts:4:2, frame 7\)\n {4}at /);
  });

  test('tells its call and its option apart, and the value cut short', () => {
    const caught = (value: unknown): library.SketchError => {
      try {
        record((canvas) => canvas.circle({ at: [5, 5], radius: value as number }));
      } catch (error) {
        return error as library.SketchError;
      }
      throw new Error('it was taken');
    };
    const { call, option, reason, source, frame } = caught('wide');
    expect([call, option, reason, frame]).toEqual(['circle', 'radius', 'circle: radius "wide" is not a number; expected a number, 0 or more', undefined]); // prettier-ignore
    expect(source?.file).toMatch(/errors\.test\.ts$/);
    const shown = (value: unknown): string => caught(value).reason.replace('circle: radius ', '').split(' is not')[0];
    expect(shown('x'.repeat(58))).toBe(`"${'x'.repeat(58)}"`);
    expect(shown('x'.repeat(59))).toBe(`"${'x'.repeat(56)}...`);
    expect(shown({ wide: NaN, far: undefined, deep: 5n })).toBe('{"wide":NaN,"far":undefined,"deep":5}');
    const round: Record<string, unknown> = {};
    round.round = round;
    expect([shown(round), shown(() => 3), shown(null), shown(Symbol('sea'))]).toEqual(['an object', 'function', 'null', 'Symbol(sea)']); // prettier-ignore
  });

  test.each([
    ['a path', '    at Object.paint (/quay/harbor.ts:4:2)', '/quay/harbor.ts'],
    ['a name with spaces and parentheses', '    at Object.paint (/quay/old one/harbor (2).ts:4:2)', '/quay/old one/harbor (2).ts'],
    ['one outside a function', '    at /quay/harbor (2).ts:4:2', '/quay/harbor (2).ts'],
    ['a URL', '    at async paint (file:///quay/harbor%20(2).ts:4:2)', '/quay/harbor (2).ts'],
    ['a path of Windows', '    at paint (C:\\quay\\old one\\harbor.ts:4:2)', 'C:\\quay\\old one\\harbor.ts'],
    ['a page, in Firefox and Safari', 'paint@http://localhost:5173/harbor.ts?t=5:4:2', 'http://localhost:5173/harbor.ts'],
    ['a module that a page made', '    at paint (blob:http://localhost:5173/8f3a:4:2)', 'http://localhost:5173/8f3a'],
    ['code that was made from text', '    at eval (eval at paint (/quay/harbor.ts:4:2), <anonymous>:1:7)', '/quay/harbor.ts'],
    ['what is not in a file', '    at node:internal/modules/run:4:2', undefined],
  ])('is placed by what engines write of a call: %s', (_, row, file) => {
    const cause = Object.assign(new Error('adrift'), { stack: `Error: adrift\n${row}` });
    const { source } = new library.SketchError({ problem: 'adrift', cause });
    expect(source).toEqual(file && { file, line: 4, column: 2 });
  }); // prettier-ignore

  test('leaves how the engine writes stacks as it was', async () => {
    const engine = Error as { prepareStackTrace?: unknown; stackTraceLimit?: number };
    const before = [engine.prepareStackTrace, engine.stackTraceLimit];
    engine.stackTraceLimit = 7;
    record((canvas) => canvas.circle({ at: [5, 5], radius: 1 }), { trace: true });
    errorOf(() => record((canvas) => canvas.circle({ at: [5, 5], radius: NaN })));
    const run = new library.Run(
      library.defineSketch({ paint: (canvas) => (canvas as unknown as Loose).heigth() as undefined }),
    );
    await run.goTo(0);
    await expect(run.paint()).rejects.toThrow('did you mean "height"?');
    expect([engine.prepareStackTrace, engine.stackTraceLimit]).toEqual([before[0], 7]);
    engine.stackTraceLimit = before[1] as number;
  });

  test.each<[string, () => unknown]>([
    ['is empty; expected some text', () => kinds.name.read('flag', 'word', '')],
    ['is not text; expected some text', () => kinds.name.read('flag', 'word', 4)],
    ['-1 is negative; expected a number, 0 or more', () => kinds.length.read('flag', 'word', -1)],
    ['"a" is not a number; expected a number, 0 or more', () => kinds.length.read('flag', 'word', 'a')],
    ['0 is not above 0; expected a number above 0', () => kinds.positive.read('flag', 'word', 0)],
    ['"-1" is not a number; expected a number above 0', () => kinds.positive.read('flag', 'word', '-1')],
    ['1.5 is not a whole number; expected a whole number, 2 or more', () => kinds.whole(2).read('flag', 'word', 1.5)],
    ['1 is out of range; expected a whole number from 2 to 3', () => kinds.whole(2, 3).read('flag', 'word', 1)],
    ['[] is empty; expected flags', () => kinds.listOf(kinds.finite, 'flags', 1).read('flag', 'word', [])],
    ['[1] has only 1; expected at least 2 flags', () => kinds.listOf(kinds.finite, 'flags', 2).read('flag', 'word', [1])],
    ['3 is not a list; expected a list of flags, at least 2', () => kinds.listOf(kinds.finite, 'flags', 2).read('flag', 'word', 3)],
    ['[1] "a" is not a number', () => kinds.listOf(kinds.finite, 'flags').read('flag', 'word', [1, 'a'])],
  ])('in a value says %s', (message, read) => expect(read).toThrow(message)); // prettier-ignore

  test('in a word leads to the nearest one by so many letters at most, changed or swapped', () => {
    /** Edits by which one word becomes another, tried out one by one. */
    const edits = (a: string, b: string): number => {
      if (a === '' || b === '') return a.length + b.length;
      const least = Math.min(edits(a.slice(1), b) + 1, edits(a, b.slice(1)) + 1, edits(a.slice(1), b.slice(1)) + Number(a[0] !== b[0])); // prettier-ignore
      const isSwapped = a.length > 1 && b.length > 1 && a[0] === b[1] && a[1] === b[0];
      return isSwapped ? Math.min(least, edits(a.slice(2), b.slice(2)) + 1) : least;
    };
    const word = fc.string({ unit: fc.constantFrom('a', 'b', 'c'), minLength: 1, maxLength: 6 });
    fc.assert(
      fc.property(word, fc.array(word, { maxLength: 4 }), (meant, choices) => {
        const most = meant.length <= 3 ? 1 : Math.max(2, Math.floor(meant.length / 3));
        const near = choices.filter((choice) => edits(meant, choice) <= most);
        const best = near.sort((one, other) => edits(meant, one) - edits(meant, other))[0];
        expect(nearest(meant, choices)).toBe(best);
      }),
    );
    expect([nearest('STROEK', ['stroke']), nearest('fil', ['fill']), nearest('opac', ['opacity'])]).toEqual(['stroke', 'fill', undefined]); // prettier-ignore
  });

  test('leaves the canvas as it was', () => {
    const clean = record((canvas) => canvas.circle({ at: [5, 5], radius: 3 }));
    const after = record((canvas) => {
      // Those that need no canvas are about values that are not there to be harmed.
      for (const [mistake] of mistakes) errorOf(() => mistake(canvas, library));
      canvas.circle({ at: [5, 5], radius: 3 });
    });
    expect(after).toEqual(clean);
  });

  test('names its line, however deep in the library it was found, and the line that led to it from another file', () => {
    const messageOf = (work: (canvas: library.Canvas) => void): string => {
      try {
        record(work);
      } catch (error) {
        return (error as Error).message;
      }
      return '';
    };
    const deep: ((canvas: library.Canvas) => void)[] = [
      (canvas) => canvas.circle({ at: [0, 0], radius: 1, stroke: { color: 'tael' } }),
      (canvas) => canvas.path({ data: 'M0 0 X' }),
      (canvas) => canvas.group({ clip: (region) => region.path({ build: (path) => path.arc(0, 0, -1, 0, 90) }) }, () => undefined),
      (canvas) => canvas.style({ fill: library.linearGradient({ from: [0, 0], to: [1, 0], stops: ['red', 'bleu'] }) }),
    ];
    for (const work of deep) expect(messageOf(work)).toMatch(/\(errors\.test\.ts:\d+:\d+\)$/);
    expect(messageOf((canvas) => moor(canvas, NaN))).toMatch(/^circle: radius NaN is not finite; .*\(mooring\.ts:5:\d+, called from errors\.test\.ts:\d+:\d+\)$/);
  }); // prettier-ignore

  test('in what a call is handed is told in that name, whatever it is handed', () => {
    const random = library.seededRandom(7);
    const canvas = new library.Canvas({ width: 40, height: 30, density: 1, background: -1, carry: 0 });
    const calls = new Map<string, (...handed: unknown[]) => unknown>();
    const take = (prefix: string, of: object, names: readonly string[]): void => {
      for (const name of names) {
        const call: unknown = Reflect.get(of, name);
        if (typeof call === 'function') calls.set(`${prefix}${name}`, (...handed) => Reflect.apply(call, of, handed));
      }
    };
    // What is told the name of a call, and what takes anything with a size, are not asked.
    const own = Object.keys(library).filter((name) => /^[a-z]/.test(name) && !['readColor', 'pictureSize'].includes(name)); // prettier-ignore
    take('', library, own);
    take('random.', random, Object.keys(random));
    take('path.', new library.PathBuilder(), ['moveTo', 'quadraticCurveTo', 'bezierCurveTo', 'arc', 'ellipse', 'rect']);
    take('', canvas, ['circle', 'line', 'path', 'text', 'translate', 'rotate', 'scale', 'style', 'group', 'grid']);
    const handed = [[], [null], [{}], ['tide'], [1, NaN, NaN, NaN], [Promise.resolve()]];
    const wrong: string[] = [];
    for (const [name, call] of calls)
      for (const some of handed) {
        try {
          const given = call(...some);
          if (given instanceof Promise) given.catch(() => undefined);
        } catch (error) {
          const { message } = error as Error;
          if (!(error instanceof library.SketchError) || !message.startsWith(`${name}: `))
            wrong.push(`${name}: ${message}`);
        }
      }
    expect(wrong).toEqual([]);
    expect(calls.size).toBeGreaterThan(80);
    expect(() => library.describeFrame(Promise.resolve() as never)).toThrow(/^describeFrame: frame \{\} is a promise, which is not awaited; expected a frame, as await run\.paint\(\) gives it/); // prettier-ignore
  });

  test.each<[work: (canvas: Loose) => unknown, meant: string]>([
    [(canvas) => canvas.circle({ cx: 40 }), 'at: [x, y]'],
    [(canvas) => canvas.circle({ at: [40, 30], size: 20 }), 'diameter'],
    [(canvas) => canvas.rect({ at: [40, 30], width: 20 }), 'size: [width, height]'],
    [(canvas) => canvas.rect({ at: [40, 30], size: 20, radius: 4 }), 'corners'],
    [(canvas) => canvas.rect({ at: [40, 30], size: 20, lineWidth: 4 }), 'stroke: { width }'],
    [(canvas) => canvas.rect({ at: [40, 30], size: 20, stroke: { weight: 4 } }), 'width'],
    [(canvas) => canvas.rect({ at: [40, 30], size: 20, Angle: 4 }), 'rotate'],
    [(canvas) => canvas.line({ start: [40, 30] }), 'from: [x, y]'],
    [(canvas) => canvas.arc({ at: [40, 30], radius: 9, from: 0 }), 'start'],
    [(canvas) => canvas.star({ at: [40, 30], radius: 9, points: 5 }), 'tips'],
    [(canvas) => canvas.text('mole', { at: [40, 30], fontSize: 9 }), 'size'],
    [(canvas) => canvas.group({ origin: [40, 30] }, () => undefined), 'about'],
    // One of our own letters beside it is nearer than another word is.
    [(canvas) => canvas.circle({ at: [40, 30], radios: 9 }), 'radius'],
    [() => library.defineSketch({ draw: () => undefined } as never), 'paint'],
    [() => library.defineSketch({ paint: () => undefined, background: 'teal' } as never), 'canvas: { background }'],
    [(canvas) => canvas.fill('teal'), 'style({ fill })'],
    [(canvas) => canvas.point({ at: [40, 30] }), 'dot'],
    [(canvas) => canvas.moveTo(40, 30), 'path({ build })'],
  ])('in a word leads from another word for a thing to ours: %s', async (work, meant) => {
    const run = new library.Run(library.defineSketch({ paint: (canvas) => void work(canvas as unknown as Loose) }));
    await run.goTo(0);
    await expect(run.paint()).rejects.toThrow(`; did you mean ${JSON.stringify(meant)}?`);
  });

  test('in a color is told with the color that is in it', () => {
    const filled = (fill: unknown) => (): unknown => record((canvas) => canvas.circle({ at: [9, 9], radius: 4, fill: fill as string })); // prettier-ignore
    expect(filled(0x0f2a3d)).toThrow('fill 993853 is not a color; did you mean "#0f2a3d"?');
    expect(filled([15, 42, 61])).toThrow('fill [15,42,61] is not a color; did you mean rgb(15, 42, 61)?');
    expect(filled(200)).toThrow('fill 200 is not a color; a gray is gray(200), other colors are');
  });

  test('in what a class is handed is told too, as it is handed it', async () => {
    const sketch = library.defineSketch({ paint: (canvas) => canvas.circle({ at: [20, 15], radius: 8 }) });
    const run = new library.Run(sketch);
    await run.goTo(0);
    const surface = new library.RasterSurface();
    expect(() => surface.draw(run.paint() as never)).toThrow(/^surface\.draw: frame \{\} is a promise, which is not awaited; expected a frame/); // prettier-ignore
    expect(() => surface.put({} as never)).toThrow(/^surface\.put: kept \{\} is not kept pixels; expected kept pixels, as surface\.copy\(\) gives it/); // prettier-ignore
    expect(() => run.resume({ frame: 3 } as never)).toThrow(/^run\.resume: read \{.*\} is not a function/);
    await expect(run.resume(() => 3 as never)).rejects.toThrow(/^run\.resume: checkpoint 3 is not a checkpoint/);
    const fed = (input: unknown): Promise<unknown> => new library.Run(sketch, { input: () => input as never }).goTo(1);
    await expect(fed({ events: [] })).rejects.toThrow(/^Run: input \{.*\} is not a source of input/);
    await expect(fed({ take: () => [{ type: 'tap' }] })).rejects.toThrow(
      /^input: type "tap" is not known; expected one of move, leave/,
    );
    await expect(fed({ take: () => [{ type: 'keydown' }] })).rejects.toThrow(/^input: key is missing/);
  });

  test('says of null, the value of a database and of JSON, that it is no color', () => {
    const nothing = null as unknown as undefined;
    expect(() => record((canvas) => canvas.style({ stroke: nothing }))).toThrow(/^style: stroke null is not a color/);
    expect(() => record((canvas) => canvas.style({ fill: nothing }))).toThrow(/^style: fill null is not a color/);
  });

  test('names the line of the sketch', () => {
    const error = new library.SketchError({ call: 'circle', problem: 'is wrong' });
    expect(error.message).toMatch(/^circle: is wrong \(errors\.test\.ts:\d+:\d+\)$/);
    expect(error.inFrame(57).message).toMatch(/, frame 57\)$/);
  });
});
