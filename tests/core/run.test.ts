import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  defineSketch,
  Run,
  RasterSurface,
  asset,
  renderPicture,
  rgb,
  type Canvas,
  type Moment,
  type RunCall,
} from '../../packages/frame-juggler/src/index.ts';
import { randomFrom, stateOfRandom } from '../../packages/frame-juggler/src/chance/random.ts';
import { LiveClock } from '../../packages/frame-juggler/src/motion/clock.ts';
import { pack } from '../../packages/frame-juggler/src/paint/color.ts';
import { fade } from '../../packages/frame-juggler/src/paint/fade.ts';
import { pixel, plainItems, record } from '../helpers.ts';

const counting = (options: object = {}): ReturnType<typeof defineSketch> =>
  defineSketch({
    canvas: { width: 20, height: 4 },
    frameRate: 10,
    start: ({ random }) => ({ x: 0, trail: [random.int(0, 1e6)] }),
    step(state, { delta, random }) {
      state.x += 10 * delta;
      state.trail.push(random.int(0, 1e6));
    },
    paint(canvas, { random }, state) {
      canvas.rect({
        from: [state.x, 0],
        to: [state.x + 1, 4],
        fill: 'black',
        label: `${state.trail.at(-1)}/${random.int(0, 1e6)}`,
      });
    },
    ...options,
  });

describe('a run', () => {
  test('frame 0 is start and paint, every later one step and paint', async () => {
    const calls: string[] = [];
    const note =
      (name: string) =>
      (...args: unknown[]) =>
        void calls.push(
          `${name} ${(args.find((a) => typeof a === 'object' && a !== null && 'frame' in a) as Moment).frame}`,
        );
    const run = new Run(defineSketch({ start: note('start'), step: note('step'), paint: note('paint') }));
    for (let i = 0; i < 3; i++) {
      await run.advance();
      await run.paint();
    }
    expect(calls).toEqual(['start 0', 'paint 0', 'step 1', 'paint 1', 'step 2', 'paint 2']);
  });

  test('the same seed gives the same frames, however they are reached; another seed gives others', async () => {
    const sketch = counting();
    const one = new Run(sketch, { seed: 5 });
    await one.goTo(7);
    const straight = await one.paint();
    expect(await one.paint()).toEqual(straight);
    await one.goTo(12);
    await one.goTo(7);
    expect(await one.paint()).toEqual(straight);
    const other = new Run(sketch, { seed: 6 });
    await other.goTo(7);
    expect(plainItems(await other.paint())[0].label).not.toBe(plainItems(straight)[0].label);
  });

  test('random starts anew in each paint, so that a scatter holds still', async () => {
    const run = new Run(counting());
    const painted = async (frame: number): Promise<string | undefined> => {
      await run.goTo(frame);
      return plainItems(await run.paint())[0].label?.split('/')[1];
    };
    expect(await painted(0)).toBe(await painted(9));
  });

  test('a duration repeats from the start, or stops on its last frame; a still has one frame', async () => {
    const at = async (options: object, frame: number): Promise<number> => {
      const run = new Run(counting(options));
      await run.goTo(frame);
      return run.frame;
    };
    expect(await at({ duration: 1 }, 23)).toBe(3);
    expect(await at({ duration: 1, repeat: false }, 23)).toBe(9);
    expect(await at({ still: true }, 23)).toBe(0);
    expect(new Run(counting()).frameAtSeconds(0.3)).toBe(3);
  });

  test('a step may return a new state, and a start may take its time', async () => {
    const run = new Run(
      defineSketch({
        start: async () => Promise.resolve(1),
        step: (state) => state * 2,
        paint: (canvas, _, state) => canvas.circle({ at: [0, 0], radius: state }),
      }),
    );
    await run.goTo(5);
    expect(plainItems(await run.paint())[0].path[3]).toBe(32);
  });

  test('style and transform set in a frame never reach the next', async () => {
    const run = new Run(
      defineSketch({
        paint(canvas) {
          canvas.circle({ at: [0, 0], radius: 1 });
          canvas.style({ fill: 'red', stroke: { width: 9, color: 'blue' }, opacity: 0.1 });
          canvas.rotate(45);
          canvas.save();
        },
      }),
    );
    await run.goTo(0);
    const first = await run.paint();
    await run.goTo(3);
    expect(plainItems(await run.paint())).toEqual(plainItems(first));
  });

  test('what a sketch throws says where and in which frame', async () => {
    const run = new Run(
      defineSketch({
        step() {
          throw new TypeError('no tide today');
        },
        paint() {},
      }),
    );
    await expect(run.goTo(1)).rejects.toThrow(/^TypeError: no tide today \(run\.test\.ts:\d+:\d+, frame 1\)$/);
  });

  test('what is drawn once its frame is painted, on a canvas that was kept, is an error and not lost', async () => {
    let kept: Canvas | undefined;
    const run = new Run(
      defineSketch({
        step: () => kept?.circle({ at: [9, 9], radius: 4 }),
        paint(canvas) {
          kept = canvas;
        },
      }),
    );
    await run.goTo(0);
    await run.paint();
    await expect(run.goTo(1)).rejects.toThrow(
      /^circle: comes too late: its frame is painted; draw while paint is running, on the canvas that it is given \(.*frame 1\)$/,
    );
  });

  test('a paint or a step that is async is an error, as it would come too late', async () => {
    const late = async (): Promise<void> => Promise.reject(new Error('nobody hears this'));
    const paints = new Run(defineSketch({ paint: late as () => void }));
    await paints.goTo(0);
    await expect(paints.paint()).rejects.toThrow(/^paint: is async, .*; do what takes its time in start, or load files as assets \(.*frame 0\)$/);
    const steps = new Run(defineSketch({ step: late as () => void, paint() {} }));
    await expect(steps.goTo(1)).rejects.toThrow(/^step: is async, .*frame 1\)$/);
  }); // prettier-ignore

  test('a step that returns what it has just computed, and no state, is told so before that becomes the state', async () => {
    const run = new Run(defineSketch({ start: () => ({ x: 0 }), step: (state) => (state.x += 40) as never, paint() {} }));
    await expect(run.goTo(1)).rejects.toThrow('step: returned 40, which would take the place of the state {"x":40}; put what it does into braces, step: (state) => { state.x += 1; }, so that it returns nothing (frame 1)');
    const part = new Run(defineSketch({ start: () => ({ gulls: [1] }), step: (({ gulls }) => gulls.map((gull) => gull + 1)) as (state: { gulls: number[] }) => never, paint() {} }));
    await expect(part.goTo(1)).rejects.toThrow('step: returned [2], which would take the place of the state {"gulls":[1]}; return the whole state, step: (state) => ({ ...state, list: next }), or change it and return nothing (frame 1)');
    const counter = new Run(defineSketch({ start: () => 0, step: (count) => count + 1, paint() {} }));
    await counter.goTo(3);
    expect(counter.checkpoint.state).toBe(3);
  }); // prettier-ignore

  test('something undefined, where a state is used and start returns none, is told with that', async () => {
    interface Boat { x: number }
    const painted = async (sketch: object): Promise<void> => {
      const run = new Run(defineSketch(sketch as never));
      await run.goTo(1);
      await run.paint();
    };
    const hint = /; the state is undefined, as start returns none: start: \(\) => \(\{ x: 0 \}\)/;
    await expect(painted({ start: () => undefined, paint: (_: unknown, __: unknown, { x }: Boat) => x })).rejects.toThrow(hint);
    await expect(painted({ step: (state: Boat) => void (state.x += 1), paint: () => undefined })).rejects.toThrow(hint);
    const elsewhere = { paint: (_: unknown, { keys }: { keys: { pressed: { a: number } } }) => keys.pressed.a };
    await expect(painted(elsewhere)).rejects.not.toThrow(hint);
  }); // prettier-ignore

  test('a host that limits calls is told each of them with its frame, and sees what each gives', async () => {
    const calls: string[] = [];
    const sketch = defineSketch({ start: () => 3, step: (state) => state + 1, paint() {} });
    const limit = <T>(call: () => T, { name, frame, sketch: whose }: RunCall): T => {
      const given = call();
      calls.push(`${name} ${frame} ${whose === sketch} ${typeof given === 'object' ? '' : String(given)}`);
      return given;
    };
    const run = new Run(sketch, { limit });
    await run.goTo(1);
    await run.paint();
    // Text is set after the sketch's own paint, within the same limit.
    expect(calls).toEqual([
      'load 0 true ',
      'start 0 true 3',
      'step 1 true 4',
      'paint 1 true undefined',
      'paint 1 true ',
    ]);
  });

  test('a checkpoint is there from frame 0 on, and a run goes on from it', async () => {
    const run = new Run(counting(), { seed: 4 });
    expect(() => run.checkpoint).toThrow('run.checkpoint: the run has not started; await run.goTo(0) before');
    for (const frame of [0, 3]) {
      await run.goTo(frame);
      const kept = structuredClone({ frame, state: run.checkpoint.state });
      const random = randomFrom(stateOfRandom(run.checkpoint.random)!);
      const other = new Run(counting(), { seed: 4 });
      await other.resume(() => ({ ...kept, random }));
      await Promise.all([run.goTo(7), other.goTo(7)]);
      expect(await other.paint()).toEqual(await run.paint());
      await run.restart();
    }
  });

  test('assets are there before start; a broken one is named', async () => {
    const sketch = defineSketch({
      assets: { tides: asset.table(new URL('file:///quay/tides.csv')) },
      start: ({ assets }) => assets.tides,
      paint() {},
    });
    const bytes = (text: string) => () => Promise.resolve(new TextEncoder().encode(text));
    const run = new Run(sketch, { host: { read: bytes('time,level\n00:00,2.5\n') } });
    await run.restart();
    expect(run['state']).toEqual([{ time: '00:00', level: 2.5 }]);
    await expect(new Run(sketch, { host: { read: bytes('time,level\n1,2,3\n') } }).restart()).rejects.toThrow(
      'assets: tides (tides.csv) could not be loaded; row 2 has 3 values; the table has 2 columns',
    );
  });
});

describe('a run that is shared', () => {
  test('does calls that overlap one after the other, in turn', async () => {
    const run = new Run(counting({ carry: 0.5 }));
    const drawn: number[][] = [];
    await Promise.all(
      [5, 3, 9, 2].map(async (frame, index) => {
        drawn[index] = [];
        await run.drawTo(frame, -1, (painted) => void drawn[index].push(plainItems(painted)[0].path[1]));
      }),
    );
    // The rect moves by 1 a frame: under a carry each picture needs all frames before it.
    expect(drawn.map((frames) => frames.map(Math.round))).toEqual([5, 3, 9, 2].map((last) => Array.from({ length: last + 1 }, (_, i) => i))); // prettier-ignore
  });

  test('goes ahead after a call that failed', async () => {
    let storm = true;
    const run = new Run(
      defineSketch({
        paint: () => {
          if (storm) throw new Error('storm');
        },
      }),
    );
    const failed = run.goTo(0).then(() => run.paint());
    await expect(failed).rejects.toThrow('storm');
    storm = false;
    expect((await run.paint()).order).toHaveLength(0);
  });

  test('says that it has not started, and what is wrong with its options', async () => {
    await expect(new Run(counting()).paint()).rejects.toThrow('run.paint: the run has not started; await run.goTo(0)');
    expect(() => new Run(counting(), { widht: 3 } as never)).toThrow('Run: there is no option "widht"; did you mean "width"?'); // prettier-ignore
    expect(() => new Run({} as never)).toThrow('Run: sketch {} is not a sketch');
  });

  test('reads and decodes files once a sketch, and keeps what one run changes from the next', async () => {
    let reads = 0;
    const host = { read: () => Promise.resolve(new TextEncoder().encode(`{ "boats": ${++reads} }`)) };
    const sketch = defineSketch({
      assets: { quay: asset.json<{ boats: number }>(new URL('file:///quay.json')) },
      start: ({ assets }) => ++assets.quay.boats,
      paint: (canvas, _, boats) => canvas.dot({ at: [boats, 0] }),
    });
    const boats = async (): Promise<number> => {
      const run = new Run(sketch, { host });
      await run.goTo(0);
      await run.restart();
      return plainItems(await run.paint())[0].path[1];
    };
    expect([await boats(), await boats(), reads]).toEqual([2, 2, 1]);
  });
});

describe('carry', () => {
  test('0 starts fresh, 1 keeps everything, and between them trails fade until nothing is left', async () => {
    const left = async (carry: number, frame: number): Promise<number> =>
      pixel(await renderPicture(new Run(counting({ carry })), frame), 0, 0)[0];
    expect(await left(0, 1)).toBe(255);
    expect(await left(1, 15)).toBe(0);
    expect([127, 128]).toContain(await left(0.5, 1));
    for (const carry of [0.5, 0.9, 0.99]) expect(await left(carry, 255)).toBe(255);
  });

  test('any frame rendered alone equals the same frame of a whole run', async () => {
    const sketch = counting({ carry: 0.8, duration: 1.5 });
    const run = new Run(sketch);
    const surface = new RasterSurface();
    for (let frame = 0; frame < 15; frame++) {
      await run.advance();
      surface.draw(await run.paint());
      expect(surface.picture().data).toEqual((await renderPicture(new Run(sketch), frame)).data);
    }
  });

  test('pages fade trails as the raster does, whatever the alpha of the trail and of the background', () => {
    const byte = fc.integer({ min: 0, max: 255 });
    const channels = fc.tuple(byte, byte, byte, byte);
    const premultiplied = ([r, g, b, a]: Iterable<number>): number[] => [r, g, b, 255].map((it) => (it * a) / 255);
    fc.assert(
      fc.property(channels, channels, fc.double({ min: 0.05, max: 0.99, noNaN: true }), (trail, ground, carry) => {
        const surface = new RasterSurface();
        const bytes = Uint8ClampedArray.from(trail);
        surface.draw(record((canvas) => canvas.clear(rgb(trail[0], trail[1], trail[2], trail[3] / 255))));
        for (let frame = 0; frame < 5; frame++) {
          surface.draw(record(() => {}, { background: pack(...ground), carry }));
          fade(bytes, pack(...ground), carry);
          const raster = premultiplied(pixel(surface.picture(), 0, 0));
          premultiplied(bytes).forEach((it, i) => expect(Math.abs(it - raster[i])).toBeLessThan(2.5));
        }
      }),
    );
  });
});

describe('the live clock', () => {
  test('as many frames come due as time has passed, whatever the screen’s rhythm', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: 1, max: 200, noNaN: true }), { minLength: 5 }), (waits) => {
        const clock = new LiveClock(50);
        let now = 1000;
        let frames = clock.due(now);
        for (const wait of waits) frames += clock.due((now += wait));
        expect(Math.abs(frames - (now - 1000) / 20)).toBeLessThanOrEqual(1.01);
      }),
    );
  });

  test('a long stall slips instead of racing, and a pause owes nothing', () => {
    const clock = new LiveClock(60);
    clock.due(0);
    expect(clock.due(60_000)).toBeLessThanOrEqual(15);
    clock.pause();
    expect(clock.due(90_000)).toBe(0);
  });
});
