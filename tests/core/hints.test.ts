import { describe, expect, test } from '@jest/globals';
import * as library from '../../packages/frame-juggler/src/index.ts';
import {
  asLoadError,
  defineSketch,
  dial,
  picture,
  rgb,
  Run,
  SketchError,
  type Canvas,
  type Moment,
} from '../../packages/frame-juggler/src/index.ts';
import { canvasNames as namesOfCanvas } from '../../packages/frame-juggler/src/canvas/canvas.ts';
import { makers } from '../../packages/frame-juggler/src/sketch/hints.ts';
import { canvasNames, libraryNames, momentNames } from '../../packages/frame-juggler/src/sketch/library-names.ts';

/** What a paint that runs into the engine itself is told: the reason, without the place. */
async function reasonOf(paint: (canvas: Canvas, moment: Moment) => unknown): Promise<string> {
  const dials = { swell: dial.number(14), buoy: dial.point([40, 60]) };
  const run = new Run(defineSketch({ dials, paint: paint as () => void }));
  await run.goTo(0);
  const thrown = await run.paint().catch((error: unknown) => error as SketchError);
  return thrown instanceof SketchError ? thrown.reason : 'nothing was wrong';
}

const undeclared = (name: string) => (): unknown => new Function(`return ${name}`)();

describe('a name that is declared nowhere', () => {
  test.each([
    ['seconds', 'take it from the moment: paint(canvas, { seconds })'],
    ['pointer', 'take it from the moment: paint(canvas, { pointer })'],
    ['circle', 'did you mean canvas.circle?'],
    ['translate', 'did you mean canvas.translate?'],
    ['swing', "import { swing } from 'frame-juggler'"],
    ['hieght', 'did you mean height? take it from the moment: paint(canvas, { height })'],
    ['cirle', 'did you mean canvas.circle?'],
    ['mouse', 'did you mean pointer? take it from the moment: paint(canvas, { pointer })'],
    ['state', 'it is handed over: step(state, moment), paint(canvas, moment, state)'],
    ['count', 'declare count, or import it'],
    ['swimg', "did you mean swing? import { swing } from 'frame-juggler'"],
    ['sin', 'did you mean Math.sin?'],
    ['PI', 'did you mean Math.PI?'],
    ['teal', "a color's name stands in quotes: 'teal'"],
    ['document', 'a sketch can do without a page: it also runs in Node and in workers'],
    ['addEventListener', 'pointer and keys are in the moment: paint(canvas, { pointer, keys })'],
    ['requestAnimationFrame', 'paint is called for every frame by itself'],
    ['require', 'a sketch file is a module: import … from, export default'],
    ['Image', "load it as an asset: { assets: { boat: asset.picture(new URL('./boat.png', import.meta.url)) } }"],
    ['jetty', 'declare jetty, or import it'],
    ['lerp', "declare lerp, or import it; did you mean mix? import { mix } from 'frame-juggler'"],
    ['randomInt', 'did you mean random.int? take it from the moment: paint(canvas, { random })'],
  ])('%s', async (name, hint) => {
    expect(await reasonOf(undeclared(name))).toBe(`ReferenceError: ${name} is not defined; ${hint}`);
  });

  test('is read in what Safari says, too', async () => {
    const says = (message: string) => () => Promise.reject(new ReferenceError(message));
    const run = new Run(defineSketch({ start: says("Can't find variable: teal"), paint: () => undefined }));
    await expect(run.goTo(0)).rejects.toThrow("variable: teal; a color's name stands in quotes");
  });
});

test.each([
  ['dial is not a function', 'dial.number(5, { min: 0, max: 10 })'],
  ['import_frame_juggler.dial is not a function', 'dial.number(5, { min: 0, max: 10 })'],
  ['(0 , library.asset) is not a function', "asset.picture(new URL('./boat.png', import.meta.url))"],
  ['moment.keys is not a function', "keys.down('a')"],
])('what holds calls and is called itself leads to one of them: %s', async (message, call) => {
  const fails = (): never => {
    throw new TypeError(message);
  };
  expect(await reasonOf(fails)).toBe(`TypeError: ${message}; expected ${call} or another of its calls`);
  expect(asLoadError(new TypeError(message)).reason).toBe(await reasonOf(fails));
});

type Loose = Record<string, never>;
const readOnly = 'can only be read: what changes from frame to frame is kept in the state';
const between = 'a call takes what it is drawn with between its parentheses: canvas.style({';
const ownSize = "the size is the sketch's own: defineSketch({ canvas: { width: 640, height: 360 } })";

// What one frame sets would be gone in the next, or would leak into it.
test.each<[string, (canvas: Loose, moment: Loose) => unknown, string]>([
  ['a dial', (_, { dials }) => Object.assign(dials, { swell: 20 }), `swell ${readOnly}`],
  ['the size', (canvas) => Object.assign(canvas, { width: 800 }), ownSize],
  ['the style', ({ style }) => Object.assign(style, { fill: 'teal' }), `${between} fill })`],
  ['the style of a shape', ({ circle }) => Object.assign(circle, { lineWidth: 2 }), `${between} stroke })`],
  ['the size of a picture', () => Object.assign(picture(4, 4, () => undefined), { width: 8 }), 'the size that it is drawn in is an option: canvas.picture(picture, { at: [100, 80], size: [60, 40] })'],
  ['a number that is called', (_, moment) => (moment.frame as () => void)(), 'frame is no call: leave its parentheses out'],
  ['a part of the pointer that is called', (_, { pointer }) => (pointer as unknown as { down: () => void }).down(), 'pointer.down is no call: leave its parentheses out'],
  ['a size that is called', (canvas) => (canvas as Record<string, () => void>).width(), 'width is no call: leave its parentheses out'],
])('%s cannot be set or called, and the reason says what to do', async (_, paint, hint) => {
  const [error, ...told] = (await reasonOf(paint as never)).split('; ');
  expect([error.split(':')[0], told]).toEqual(['TypeError', [hint]]);
}); // prettier-ignore

test('a dial holds its value, and those within it, whatever step does with it', async () => {
  const point = (_: unknown, { dials }: Moment): unknown => Object.assign(dials.buoy as object, { x: 1 });
  expect(await reasonOf(point as never)).toMatch(/^TypeError: Cannot assign to read only property 'x' of object/);
  const dials = { swell: dial.number(14) };
  const turns = (_: unknown, moment: { dials: object }): unknown => Object.assign(moment.dials, { swell: 20 });
  const run = new Run(defineSketch({ dials, start: () => 1, step: turns as never, paint: () => undefined }));
  await expect(run.goTo(1)).rejects.toThrow(`swell ${readOnly}`);
  expect(run.dials).toEqual({ swell: 14 });
});

test('what is kept in the sketch itself belongs into its state', async () => {
  const sketch = defineSketch({
    start() { (this as unknown as { x: number }).x = 0; },
    paint: () => undefined,
  }); // prettier-ignore
  await expect(new Run(sketch).goTo(0)).rejects.toThrow('is its state: start: () => ({ x: 0 })');
});

test("a mistake with what is the sketch's own gets no hint of ours", async () => {
  const own: Record<string, { fill: string } & (() => void)> = {};
  expect(await reasonOf(() => own.noise())).toBe('TypeError: own.noise is not a function');
  expect(await reasonOf(() => Array.prototype.push.call(Object.freeze([1]), 2))).toMatch(/not extensible$/);
  expect(await reasonOf(() => Object.assign(Object.freeze({ width: 3 }), { width: 8 }))).toMatch(/'#<Object>'$/);
});

const misspelt = 'is an index beyond its list, or a name misspelt?';
const detached = 'a call stays with what it belongs to: canvas.circle({ … }), path.lineTo(x, y)';

// What the engines say of these is true, and no help to someone new to the language.
test.each<[string, (canvas: Canvas, own: Record<string, never>) => unknown, string]>([
  ['more asked of a call of the canvas', (canvas) => (canvas.dot({ at: [1, 1] }) as never)['fill'], 'a call of the canvas gives nothing back: fill is among its options, or a call of its own; if no call stands there, what stands before .fill is undefined'],
  ['an index beyond its list', (_, { list }) => list[3]['x'], `what stands before .x is undefined: ${misspelt}`],
  ['a point beyond its list', (_, { list }) => { const [x] = list[3] as number[]; return x; }, misspelt],
  ['a number as a list', () => [...(10 as never)], 'a loop that counts is for (let i = 0; i < 10; i += 1)'],
  ['a width as a list', (canvas) => [...(canvas.width as never)], 'a loop that counts is for (let i = 0; i < canvas.width; i += 1)'],
  ['a length as a list', () => { const [x] = 2.5 as never as number[]; return x; }, 'a number is no list'],
  ['a call of lists', (_, { boat }) => (boat as number[]).push(1), 'only a list has push, and boat is none'],
  ['a call of texts and lists', (_, { boat }) => (boat as number[]).at(1), 'only a list or a text has at, and boat is none'],
  ['a length that is called', (_, { list }) => (list as { length: () => void }).length(), 'length is no call: leave its parentheses out'],
  ['a list of no length', () => new Array(-1), 'how long a list is, is a whole number from 0 on'],
  ['a function without an end', function again(): unknown { return [again()]; }, 'a function that calls itself has to stop: if (depth === 0) return'],
  ['what is changed', () => new Function('const x = 1; x = 2')(), 'what changes is declared with let'],
  ['a channel that is set', () => Object.assign(rgb(9, 9, 9), { red: 200 }), 'a color never changes; make another one of it: rgb(255, old.green, old.blue)'],
  ['what can only be read', () => Object.assign(new Map(), { size: 3 }), 'size can only be read'],
  ['what is used too early', () => new Function('x; let x')(), 'declare x above where it is used'],
  ['a call by itself', ({ circle }) => circle({ at: [9, 9], radius: 3 }), detached],
  ['a call of a path by itself', (canvas) => canvas.path({ build: ({ lineTo }) => void lineTo(3, 4) }), detached],
])('%s: the reason says what to do instead', async (_, paint, hint) => {
  const own = { list: [], boat: {} } as never;
  expect((await reasonOf((canvas) => paint(canvas, own))).replace(/^.*?; /, '')).toBe(hint);
}); // prettier-ignore

test('code that is stopped before there is a sketch is told the same', () => {
  expect(asLoadError(new TypeError('Assignment to constant variable.')).reason).toBe(
    'TypeError: Assignment to constant variable; what changes is declared with let',
  );
});

test.each([
  ['dial.slider is not a function', 'did you mean "number"?'],
  ['easing.inOut is not a function', "an easing is named in the call: easing('ease-in-out')(progress)"],
  [
    'buffer.circle is not a function',
    'circle is a call of the canvas; a picture gets its own where it is made: picture(64, 64, (canvas) => { … })',
  ],
  ['trails.clear is not a function', 'only a Set or a Map has clear, and trails is none'],
  ['shade.lighten is not a function', "with a color, write colorMix(color, 'white', 0.2)"],
  ['this.map.getPixel is not a function', 'with a picture, write picture.colorAt(x, y)'],
  ['import_frame_juggler.asset.image is not a function', 'did you mean "picture"?'],
  ['(0 , library.dial).tgogle is not a function', 'did you mean "toggle"?'],
])('a call that is asked of something else leads to where it belongs: %s', (message, hint) => {
  expect(asLoadError(new TypeError(message)).reason).toBe(`TypeError: ${message}; ${hint}`);
});

test('what the moment has is not sought on the canvas', async () => {
  for (const name of momentNames.filter((name) => !canvasNames.includes(name))) {
    const sketch = defineSketch({ paint: (canvas) => void Reflect.get(canvas, name) });
    const run = new Run(sketch);
    await run.goTo(0);
    await expect(run.paint()).rejects.toThrow(
      `canvas: there is no "${name}"; take it from the moment: paint(canvas, { ${name} })`,
    );
  }
});

test('the names that hints lead to are those that there are', async () => {
  expect(libraryNames).toEqual(Object.keys(library).sort());
  expect(canvasNames).toEqual(namesOfCanvas);
  let moment: object = {};
  const run = new Run(defineSketch({ paint: (_, given) => void (moment = given) }));
  await run.goTo(0);
  await run.paint();
  expect(momentNames).toEqual(Object.keys(moment));
  const callsOf = (maker: object): Set<string> => new Set(Object.keys(maker));
  expect(callsOf(library.asset)).toEqual(new Set(makers.asset));
  expect(callsOf(library.dial)).toEqual(new Set(makers.dial));
});

test('an error of the sketch itself gets no hint', async () => {
  const failing = (error: unknown) => (): never => {
    throw error;
  };
  expect(await reasonOf(failing(new Error('squall')))).toBe('Error: squall');
  expect(await reasonOf(failing('teal is not defined'))).toBe('threw "teal is not defined"');
  expect(await reasonOf(failing(new TypeError('gulls.circel is not a function')))).toBe('TypeError: gulls.circel is not a function');
}); // prettier-ignore

test.each<[string, (canvas: Record<string, (...all: unknown[]) => void>) => void]>([
  ['circle: {"fill":"teal"} is more than it takes; put all into its one options object', (canvas) => canvas.circle({ at: [4, 4], radius: 2 }, { fill: 'teal' })],
  ['text: {"fill":"teal"} is more than it takes; put all into its one options object', (canvas) => canvas.text('quay', { at: [4, 4] }, { fill: 'teal' })],
  ['style: {"stroke":"teal"} is more than it takes; put all into its one options object', (canvas) => canvas.style({ fill: 'teal' }, { stroke: 'teal' })],
  ['grid: {"spacing":5} is more than it takes; put all into its one options object', (canvas) => canvas.grid({}, { spacing: 5 })],
  ['clear: 0.5 is more than it takes; leave it out', (canvas) => canvas.clear('teal', 0.5)],
  ['save: "hull" is more than it takes; leave it out', (canvas) => canvas.save('hull')],
  ['translate: by 30 is one number where two are needed; expected [x, y] or { x, y } with finite numbers', (canvas) => canvas.translate(30, 40)],
])('what a call cannot use is not dropped without a word: %s', async (reason, paint) => {
  expect(await reasonOf(paint as never)).toBe(reason);
}); // prettier-ignore

describe('asLoadError', () => {
  const asked = (message: string): string => asLoadError(new SyntaxError(message)).reason;

  test.each([
    ['Node', "The requested module 'frame-juggler' does not provide an export named 'swin'"],
    ['a server', "The requested module '/node_modules/.vite/deps/frame-juggler.js?v=3f' does not provide an export named 'swin'"],
    ['a checkout', "The requested module '/@fs/quay/packages/frame-juggler/dist/index.js' does not provide an export named 'swin'"],
    ['Firefox', "The requested module 'http://localhost/frame-juggler/dist/index.js' doesn't provide an export named: 'swin'"],
    ['Safari', "Importing binding name 'swin' is not found."],
  ])('an export that is not there, as %s says it, leads to the nearest', (_, message) => {
    expect(asked(message)).toBe('frame-juggler exports no swin; did you mean "swing"?');
  }); // prettier-ignore

  test.each([
    ['noise', 'take it from the moment: paint(canvas, { noise })'],
    ['rotate', 'did you mean canvas.rotate?'],
    ['cos', 'did you mean Math.cos?'],
    ['randomInt', 'did you mean random.int? take it from the moment: paint(canvas, { random })'],
    ['lerp', 'did you mean "mix"?'],
    ['toRadians', 'did you mean "degrees * Math.PI / 180, or polar({ angle, distance })"?'],
    ['loadFont', 'did you mean "asset.font"?'],
    ['vec2', 'a point is a list of two numbers: [120, 80]'],
  ])('what is elsewhere, or called otherwise, is led to: %s', (name, hint) => {
    const message = `The requested module 'frame-juggler' does not provide an export named '${name}'`;
    expect(asked(message)).toBe(`frame-juggler exports no ${name}; ${hint}`);
  });

  test('one that another entry point has leads there', () => {
    expect(asked("The requested module 'frame-juggler/browser' does not provide an export named 'dial'")).toBe("frame-juggler exports no dial there; import { dial } from 'frame-juggler'");
  }); // prettier-ignore

  test.each([
    ['lettering.WOFF', "load it as an asset: { assets: { lettering: asset.font(new URL('./lettering.WOFF', import.meta.url)) } }"],
    ['2-boats.jpg', "load it as an asset: { assets: { picture: asset.picture(new URL('./2-boats.jpg', import.meta.url)) } }"],
    ['poem', 'files are assets: asset.picture, asset.font, asset.json or asset.table'],
  ])('a file that is no code is told as the asset that it is: %s', (file, hint) => {
    const thrown = new TypeError(`Unknown file extension ".x" for /quay/${file}`);
    expect(asLoadError(thrown).reason).toBe(`${file} is imported, which is no code; ${hint}`);
  }); // prettier-ignore

  test("one of the sketch's own files is left as it is, and so is any other error", () => {
    const own = "The requested module './frame-juggler-sketches/gull.js' does not provide an export named 'swin'";
    expect(asked(own)).toBe(`SyntaxError: ${own}`);
    expect(asked('Unexpected token')).toBe('SyntaxError: Unexpected token');
    const error = new SketchError({ problem: 'is broken' });
    expect(asLoadError(error)).toBe(error);
  });

  test('a call that was not imported is told how', () => {
    expect(asLoadError(new ReferenceError('swing is not defined')).reason).toBe("ReferenceError: swing is not defined; import { swing } from 'frame-juggler'");
    expect(asLoadError(new ReferenceError('gull is not defined')).reason).toBe('ReferenceError: gull is not defined; declare gull, or import it');
    expect(asLoadError(new ReferenceError('Image is not defined')).reason).toMatch(/; load it as an asset: /);
  }); // prettier-ignore
});
