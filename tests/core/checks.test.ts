import { describe, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { mistakes } from '../../examples/mistakes/mistakes.ts';
import {
  describeFrame,
  dial,
  gray,
  keyframes,
  linearGradient,
  maths,
  polar,
  picture,
  radialGradient,
  ramp,
  hsl,
  rgb,
  defineSketch,
  rules,
  Run,
  type Canvas,
  type Checkup,
  type Moment,
  type Picture,
  type ShapeOptions,
  type Sketch,
  type TextOptions as TextOnly,
} from 'frame-juggler';
import { check as checkNode } from 'frame-juggler/node';
import { check, foundIn, type Paint } from '../fixtures/found-in.ts';

/* The mistakes of docs/mistakes.md: each is found, at its line and nothing else; cured, the sketch is quiet. */

type TextOptions = TextOnly & Pick<ShapeOptions, 'fill' | 'stroke'>;

const text = readFileSync('examples/mistakes/mistakes.ts', 'utf8').split('\n');

test('every rule has its pair of sketches', () => {
  expect(Object.keys(mistakes)).toEqual(rules.map(({ name }) => name));
});

/** Mistakes of calls, of the state or of time, and of no one thing that is drawn. */
const withoutItems = new Set(
  'adds-up barely-moves begins-anew beyond-ramp channels clock degrees exact-moment flashing flips-while-held frame-bound gone growing hues milliseconds no-duration noise-steps nothing-drawn nothing-moves one-frame open-save paint-changes paints-over piles-up progress-for-seconds runs-differ same-chance seam timer too-fast too-slow uncalled unknown-label unseeded unused unused-style unused-transform vanishes wiped'.split(' '),
); // prettier-ignore

describe.each(Object.entries(mistakes))('%s', (name, { mistake, cured }) => {
  let checkup: Promise<Checkup> | undefined;
  const checked = (): Promise<Checkup> => (checkup ??= check(mistake, name === 'too-slow'));
  test('is found at its line', async () => {
    const { findings } = await checked();
    expect(findings.map((finding) => finding.name)).toEqual([name]);
    const [{ line }] = findings;
    // Some are of no one line.
    if (line !== undefined) expect(text[line.line - 1]).toMatch(/\/\/ ←/);
    else
      expect(['one-frame', 'nothing-drawn', 'too-slow', 'flashing', 'unused', 'milliseconds', 'no-duration']).toContain(
        name,
      );
  });
  test('names its items by the numbers that an explanation gives them', async () => {
    const { findings } = await checked();
    for (const { line, frame = 0, items = [] } of findings) {
      expect([name, items.length > 0]).toEqual([name, !withoutItems.has(name)]);
      const run = new Run(mistake);
      await run.goTo(frame);
      const drawn = describeFrame(await run.paint(true)).items;
      const lines = items.map((item) => drawn.find(({ number }) => number === item)?.source?.line);
      // A leak is mended where it begins, and seen in what comes later.
      if (line === undefined || name === 'leak') expect(lines).not.toContain(undefined);
      else expect(lines).toEqual(items.map(() => line.line));
    }
  });
  test('is quiet once it is cured', async () => {
    expect((await check(cured, name === 'too-slow')).findings).toEqual([]);
  });
});

test('a paint that changes the state is found where the picture does not show it', async () => {
  const sketch = defineSketch({
    canvas: { width: 320, height: 180, background: '#e4efe8' },
    start: () => ({ seen: [{ times: 0 }], x: 0 }),
    step: (state, { delta }) => void (state.x = (state.x + 20 * delta) % 300),
    paint(canvas, _, { seen, x }) {
      seen[0].times++;
      canvas.circle({ at: [x, 90], radius: 20, fill: '#a8433a' });
    },
  });
  const { findings } = await check(sketch, false);
  expect(findings.map(({ name, seen }) => [name, seen])).toEqual([['paint-changes', 'paint changes state.seen[0].times']]); // prettier-ignore
});

test('a step that leaves the state as it was is told from one whose state is not drawn', async () => {
  interface Boat {
    x: number;
  }
  const told = async (step: (state: Boat) => Boat | void): Promise<string> => {
    const { findings } = await check(
      defineSketch({
        canvas: { width: 320, height: 180 },
        start: (): Boat => ({ x: 60 }),
        step,
        paint: (canvas) => canvas.circle({ at: [80, 90], radius: 20, fill: 'teal' }),
      }) as Sketch,
      false,
    );
    return findings.map((finding) => `${finding.name}: ${finding.seen}`).join();
  };
  const lost = 'nothing-moves: step runs but leaves the state as it was, and all 40 frames are the same';
  // As both are written again and again: the compiler's hint does not reach sketches in JavaScript.
  /* eslint-disable no-useless-assignment */
  expect(await told((state) => void (state = { x: state.x + 1 }))).toBe(lost);
  expect(await told(({ x }) => void x++)).toBe(lost);
  /* eslint-enable no-useless-assignment */
  const other = 'nothing-moves: step runs, and all 40 frames are the same';
  expect(await told((state) => void (state.x += 1))).toBe(other);
  expect(await told((state) => ({ ...state }))).toBe(other);
});

test('how far things move is told in pixels, however large a unit is', async () => {
  const told = async (viewBox: [number, number, number, number]): Promise<string[]> => {
    const paint: Paint = (canvas, { progress }) =>
      canvas.circle({ at: [0.7 * Math.sin(progress * 2 * Math.PI), 0], radius: 0.1, fill: 'teal' });
    const canvas = { width: 320, height: 320, viewBox };
    const { findings } = await check(defineSketch({ canvas, duration: 1, frameRate: 40, paint }), false);
    return findings.map(({ name, seen }) => `${name}: ${seen}`);
  };
  expect(await told([-1, -1, 2, 2])).toEqual([]);
  expect(await told([-80, -80, 160, 160])).toEqual([
    'barely-moves: nothing goes further than 1.4 pixels in all 40 frames',
  ]);
});

test('a duration in which nothing moves is told, and chance is no movement', async () => {
  const told = async (options: object): Promise<string[]> => {
    const paint: Paint = (canvas, { random }) =>
      canvas.circle({ at: [random.between(40, 280), 90], radius: 20, fill: 'teal' });
    const sketch = defineSketch({ canvas: { width: 320, height: 180 }, paint, ...options });
    return (await check(sketch, false)).findings.map(({ name, seen }) => `${name}: ${seen}`);
  };
  expect(await told({ duration: 2 })).toEqual([
    'nothing-moves: the sketch has a duration, and all 40 frames are the same',
  ]);
  expect([await told({}), await told({ still: true })]).toEqual([[], []]);
});

test('a picture that paint writes anew in each frame does no harm; one that keeps what was written does', async () => {
  const written = async (paint: (picture: Picture, frame: number) => void): Promise<string[]> => {
    const sketch = defineSketch({
      canvas: { width: 320, height: 180 },
      duration: 1,
      start: () => ({ fog: picture(20, 10, (own) => own.clear('black')) }),
      paint(canvas, { frame }, { fog }) {
        paint(fog, frame);
        canvas.picture(fog, { from: [0, 0], to: [320, 180], smooth: false });
      },
    });
    return (await check(sketch, false)).findings.map(({ name, seen }) => `${name}: ${seen}`);
  };
  const whole = (fog: Picture, frame: number): void => {
    for (let x = 0; x < 20; x++) fog.setColorAt(x, 5, x === frame % 20 ? 'white' : 'black');
  };
  expect(await written(whole)).toEqual([]);
  expect(await written((fog, frame) => fog.setColorAt(frame % 20, 5, 'white'))).toEqual(['paint-changes: paint writes to state.fog, and frame 20 is different when it is painted without the ones before']);
  const fading = (fog: Picture): void => fog.setColorAt(0, 0, rgb(255, 255, 255, fog.colorAt(0, 0).alpha * 0.9));
  expect(await written(fading)).toEqual(['paint-changes: frame 0 is different when it is painted a second time']);
}); // prettier-ignore

test('what hops from square to square a few times a second is bound to frames, and meant so', async () => {
  const hopping = async (frameRate: number, step: number, unit = 1): Promise<string[]> => {
    const sketch = defineSketch({
      canvas: { width: 3000, height: 180, viewBox: [0, 0, 3000 * unit, 180 * unit] },
      frameRate,
      duration: 4,
      start: () => ({ x: 10 * unit }),
      step: (state) => void (state.x += step * unit),
      paint: (canvas, _, { x }) => canvas.rect({ at: [x, 90 * unit], size: 20 * unit, fill: '#a8433a' }),
    });
    return (await check(sketch, false)).findings.map(({ name }) => name);
  };
  expect([await hopping(8, 20), await hopping(8, 5), await hopping(30, 20)]).toEqual([[], ['frame-bound'], ['frame-bound']]);
  // In units of a hundred pixels, too.
  expect([await hopping(8, 20, 0.01), await hopping(8, 5, 0.01)]).toEqual([[], ['frame-bound']]);
}); // prettier-ignore

test.each<[name: string, paint: Paint, found: boolean]>([
  ['seconds', (canvas, { seconds }) => void (seconds === 0.5 && canvas.dot({ at: [9, 9], size: 4 })), true],
  ['what is left of them', (canvas, { seconds }) => void (seconds % 2 === 1 && canvas.dot({ at: [9, 9], size: 4 })), true],
  ['their start', (canvas, { seconds }) => void (seconds === 0 && canvas.dot({ at: [9, 9], size: 4 })), false],
  ['seconds that are rounded', (canvas, moment) => {
    const seconds = Math.floor(moment.seconds);
    if (seconds === 1) canvas.dot({ at: [9, 9], size: 4 });
  }, false],
  ['a progress of its own', (canvas) => {
    const boat = { progress: 1 };
    if (boat.progress === 1) canvas.dot({ at: [9, 9], size: 4 });
  }, false],
])('a moment to be met exactly, by %s', async (_, paint, found) => {
  expect((await foundIn(paint)).some((one) => one.startsWith('exact-moment'))).toBe(found);
}); // prettier-ignore

test('at few frames a second each of them is seen, and a sine of their number can be followed', async () => {
  const foundAt = async (frameRate: number): Promise<string[]> => {
    const sketch = defineSketch({
      canvas: { width: 320, height: 180, background: '#e4efe8' },
      frameRate,
      paint(canvas, { frame }) {
        canvas.circle({ at: [160 + 90 * Math.sin(frame), 120], radius: 20, fill: '#24506a' });
        if (frame === 9) canvas.circle({ at: [160, 50], radius: 20, fill: '#24506a' });
      },
    });
    return (await check(sketch, false)).findings.map(({ name }) => name);
  };
  expect([await foundAt(8), await foundAt(24)]).toEqual([[], ['too-fast', 'one-frame']]);
});

test('what is drawn by the frame up to some limit does not pile up', async () => {
  const growing = async (limited: boolean): Promise<string[]> => {
    const row = (canvas: Canvas, count: number): void => {
      for (let i = 0; i < count; i++) canvas.circle({ at: [4 + i * 4, 90], radius: 2, fill: '#24506a' });
    };
    const sketch = defineSketch({
      canvas: { width: 320, height: 180 },
      paint: limited
        ? (canvas, { frame }) => row(canvas, Math.min(frame, 60))
        : (canvas, { frame }) => row(canvas, frame),
    });
    return (await check(sketch, false)).findings.map(({ name }) => name);
  };
  expect([await growing(true), await growing(false)]).toEqual([[], ['piles-up']]);
});

test('a line that gets longer in every frame is found where nothing ends it', async () => {
  const trailing = async (duration?: number): Promise<string[]> => {
    const sketch = defineSketch({
      canvas: { width: 320, height: 180 },
      ...(duration === undefined ? {} : { duration }),
      start: (): { trail: [number, number][] } => ({ trail: [] }),
      step: ({ trail }, { seconds }) => void trail.push([160 + 80 * Math.cos(seconds), 90 + 60 * Math.sin(seconds)]),
      paint: (canvas, _, { trail }) => canvas.polyline({ points: trail }),
    });
    return (await check(sketch, false)).findings.map(({ name, seen }) => `${name}: ${seen}`);
  };
  expect(await trailing()).toEqual(['piles-up: what is drawn goes by 0 numbers in frame 0, and by 117 in frame 39']);
  expect(await trailing(2)).toEqual([]);
});

test('a stroke set for shapes is found where it outlines a text after them, and only there', async () => {
  const sketchOf = (more: TextOptions): Sketch =>
    defineSketch({
      canvas: { width: 320, height: 180, background: '#e4efe8' },
      still: true,
      paint(canvas) {
        canvas.style({ stroke: { color: '#24506a', width: 3 } });
        canvas.circle({ at: [160, 60], radius: 40, fill: '#f1b64e' });
        canvas.text('Mill', { ...more, size: 40, fill: more.fill ?? '#1b2f3a' });
      },
    });
  const found = async (more: TextOptions): Promise<string[]> =>
    (await check(sketchOf(more), false)).findings.map(({ name, seen }) => `${name}: ${seen}`);
  expect(await found({ at: [160, 140] })).toEqual(['leak: the stroke set here also outlines the text “Mill”']);
  expect(await found({ at: [160, 140], stroke: 'none' })).toEqual([]);
  expect(await found({ at: [160, 140], fill: 'none' })).toEqual([]);
}); // prettier-ignore

const examples = ['bunting/bunting', 'crane/crane', 'harbor-chart/chart', 'lighthouse/lighthouse', 'pellan-quay/quay', 'rain/rain', 'shapes/shapes', 'signal-flags/flags', 'tide/tide', 'wakes/wakes', 'watch/watch']; // prettier-ignore

test.each(examples)('the example %s is quiet', async (name) => {
  const { default: sketch } = (await import(`../../examples/${name}.ts`)) as { default: Sketch };
  const { findings } = await checkNode(sketch, { frames: [0, 19] });
  // How fast this machine is, is not the sketch's fault.
  expect(findings.filter((finding) => finding.name !== 'too-slow')).toEqual([]);
});

/** What is found in a paint, each as "name: what was seen". */
test('some of many different texts that cannot be read are found; a pattern of one word, or one over all edges, is not', async () => {
  const dial = (words: (hour: number) => string, distance: number, color = '#24506a') => (canvas: Canvas): void => {
    for (let hour = 1; hour <= 12; hour++) canvas.text(words(hour), { at: [160 + hour * distance, 90], size: 16, fill: hour === 3 ? color : '#24506a' });
  };
  expect(await foundIn(dial(String, 13.5))).toEqual(['cut-text: 1 of 12 texts (“12”) runs off the canvas']);
  expect(await foundIn(dial(String, 15))).toEqual(['cut-text: 2 of 12 texts (“11”, “12”) run off the canvas']);
  expect(await foundIn(dial(String, 12))).toEqual([]);
  expect(await foundIn(dial(() => 'Quay', 15))).toEqual([]);
  expect(await foundIn((canvas) => canvas.group({ translate: [-210, 0] }, () => dial(String, 32)(canvas)))).toEqual([]);
  expect(await foundIn(dial(String, 12, '#dfeae3'))).toEqual(['low-contrast: 1 of 12 texts (“3”) has a contrast of 1.0 to 1 with what is behind it']);
  expect(await foundIn(dial(String, 12, '#9fb5b8'))).toEqual([]);
  // What comes up in time is read then.
  expect(await foundIn((canvas, { frame }) => dial(String, 12, frame < 5 ? '#dfeae3' : '#24506a')(canvas))).toEqual([]);
}); // prettier-ignore

test('a dial that waits for a press, or that a helper takes, is in use; one that the code never names is not', async () => {
  const asked = async (paint: (canvas: Canvas, moment: Moment) => void): Promise<string[]> => {
    const dials = { size: dial.number(40), glow: dial.number(2) };
    const { findings } = await check(defineSketch({ still: true, dials, paint: paint as never }), false);
    return findings.filter(({ name }) => name === 'unused').map(({ seen }) => seen);
  };
  const disc = (canvas: Canvas, radius: number): void => canvas.circle({ at: [90, 90], radius, fill: '#24506a' });
  const helper = (canvas: Canvas, { dials }: { dials: Record<string, unknown> }): void => disc(canvas, Number(dials.size) + Number(dials.glow));
  type Dials = { dials: { size: number; glow: number } };
  expect(await asked((canvas, moment) => helper(canvas, moment))).toEqual([]);
  expect(await asked((canvas, { dials, pointer }) => disc(canvas, pointer.down ? (dials as Dials['dials']).glow : (dials as Dials['dials']).size))).toEqual([]);
  expect(await asked((canvas, moment) => disc(canvas, (moment as unknown as Dials).dials.size))).toEqual(['the dial “glow” is never asked for']);
  // A word of the code that is no dial's does not count.
  expect(await asked((canvas) => canvas.rect({ at: [90, 90], size: 50, fill: '#24506a' }))).toEqual(['the dial “size”, the dial “glow” are never asked for']);
}); // prettier-ignore

test('fewer frames are looked at by themselves where each has many items', async () => {
  const crowded = (items: number): Sketch =>
    defineSketch({
      duration: 1,
      frameRate: 90,
      paint(canvas, { progress }) {
        for (let i = 0; i < items; i++) canvas.dot({ at: [progress * 50 + (i % 600), (i / 600) * 3], size: 2 });
      },
    });
  expect((await checkNode(crowded(40))).frames).toEqual([0, 89]);
  expect((await checkNode(crowded(30_000))).frames).toEqual([0, 15]);
  expect((await checkNode(crowded(30_000), { frames: [0, 1] })).frames).toEqual([0, 1]);
});

describe('a mistake is found', () => {
  test.each<[string, Paint, string]>([
    ['off the canvas, beside the like of it that is on it', (canvas) => {
      canvas.circle({ at: [90, 90], radius: 30, fill: '#24506a' });
      canvas.circle({ at: [90, -90], radius: 30, fill: '#24506a' });
    }, 'off-canvas: the circle is entirely off the canvas, above it, at 90, -90'],
    ['in a pattern most of which is off the canvas', (canvas) => {
      for (let x = 50; x < 1000; x += 100) canvas.circle({ at: [x, 90], radius: 30, fill: '#24506a' });
    }, 'off-canvas: 7 of 10 circle items are entirely off the canvas'],
    ['in a blend mode that changes nothing', (canvas) => {
      canvas.circle({ at: [90, 90], radius: 30, fill: 'white', blend: 'multiply' });
    }, 'same-color: the circle leaves what is behind it as it is, by the blend mode multiply'],
    ['in an opacity of 0 that nothing ever changes', (canvas) => {
      canvas.style({ opacity: 0 });
      canvas.circle({ at: [90, 90], radius: 30, fill: '#24506a' });
    }, 'no-paint: the circle has an opacity of 0'],
    ['in a clear behind what it wipes away', (canvas) => {
      canvas.circle({ at: [90, 90], radius: 30, fill: '#24506a' });
      canvas.clear('white');
    }, 'nothing-drawn: what was drawn is wiped away, and nothing is drawn after it'],
    ['in a pattern that begins with a corner at its middle', (canvas) => {
      for (let x = 0; x < 320; x += 40)
        for (let y = 0; y < 180; y += 36) canvas.rect({ at: [x, y], size: [36, 32], fill: '#24506a' });
    }, 'corner: the first rect of 40 has its middle on the corner of the canvas'],
    ['in a row that goes on by a translate and by its places', (canvas) => {
      for (let i = 0; i < 6; i++) {
        canvas.translate([40, 0]);
        canvas.circle({ at: [i * 40, 90], radius: 15, fill: '#24506a' });
      }
    }, 'placed-twice: 6 circle items move on by a translate, and as far again by their places'],
    ['in what time moves by a translate and by its place', (canvas, { seconds }) => {
      canvas.translate([seconds * 250, 0]);
      canvas.circle({ at: [seconds * 250, 90], radius: 15, fill: '#24506a' });
    }, 'placed-twice: the circle moves on by a translate, and as far again by its place'],
    ['in bars that were to stand on the lower edge', (canvas) => {
      for (const [i, level] of [30, 90, 60].entries()) canvas.rect({ at: [60 + i * 60, 180], size: [30, level], fill: '#24506a' });
    }, 'bars: 3 rect items of different lengths have one middle, and reach beyond the bottom of the canvas'],
    ['in degrees for the sine of the library', (canvas) => {
      for (let angle = 0; angle < 360; angle += 30)
        canvas.circle({ at: [160 + 60 * maths.cos(angle), 90 + 60 * maths.sin(angle)], radius: 5, fill: '#24506a' });
    }, 'degrees: maths.cos is given 30, 60, 90 and so on, which look like degrees'],
    ['in an angle of the arc tangent of the library', (canvas) => {
      canvas.rect({ at: [160, 90], size: [80, 20], rotate: maths.atan2(40, 70), fill: '#24506a' });
    }, 'radians: rect is given 0.5191°, which comes from maths.atan2: 29.7449° in radians'],
    ['in a line that never has a point', (canvas) => {
      canvas.rect({ at: [160, 90], size: 40, fill: '#24506a' });
      canvas.polyline({ points: [], stroke: 'teal' });
    }, 'no-size: the polyline has no size'],
    ['in a stroke of fractions', (canvas) => {
      canvas.line({ from: [20, 20], to: [200, 90], stroke: { color: rgb(0.4, 0.2, 0.1), width: 5 } });
    }, 'channels: line is given a color with the channels 0.4, 0.2, 0.1, of 255'],
    ['in a lightness of a fraction', (canvas) => {
      canvas.circle({ at: [160, 90], radius: 30, fill: hsl(205, 90, 0.8) });
    }, 'channels: circle is given a color with the channels 0.204, 2.346, 3.876, of 255'],
    ['in a turn about the corner that goes on and on', (canvas, { seconds }) => {
      canvas.group({ rotate: seconds * 200 }, () => canvas.rect({ at: [160, 90], size: 60, fill: '#24506a' }));
    }, 'pivot: the rect is turned about the corner of the canvas, and carried off it'],
    ['in a turn in degrees over all frames', (canvas, { progress }) =>
      canvas.circle({ at: [160 + 60 * Math.cos(progress * 360), 90], radius: 20, fill: '#24506a' }),
      'degrees: Math.cos is given 9, 18, 27 and so on, which look like degrees'],
    ['in sevenths of a turn in degrees', (canvas) => {
      for (let i = 0; i < 7; i++) canvas.circle({ at: [160 + 60 * Math.cos((i * 360) / 7), 90], radius: 2 + i, fill: '#24506a' });
    }, 'degrees: Math.cos is given 51.4286, 102.8571, 154.2857 and so on, which look like degrees'],
    ['in a film of which more than half is empty', (canvas, { seconds }) =>
      canvas.circle({ at: [200 + 500 * seconds, 90], radius: 20, fill: '#24506a' }),
      'gone: the circle leaves the canvas and moves on and on'],
    ['in a clear to a color that is see-through', (canvas, { seconds }) => {
      canvas.clear('rgb(228 239 232 / 20%)');
      canvas.circle({ at: [40 + 100 * seconds, 90], radius: 20, fill: '#24506a' });
    }, 'wiped: clear leaves nothing of the last frame, also where its color is 80 % see-through'],
    ['in a veil over a fresh background', (canvas, { seconds }) => {
      canvas.rect({ from: [0, 0], to: [320, 180], fill: 'rgb(228 239 232 / 20%)' });
      canvas.circle({ at: [40 + 100 * seconds, 90], radius: 20, fill: '#24506a' });
    }, 'wiped: the rect, which is see-through, lies over a fresh background of the same color'],
    ['in a veil of another color over a fresh background', (canvas, { seconds }) => {
      canvas.rect({ from: [0, 0], to: [320, 180], fill: 'rgb(0 0 0 / 10%)' });
      canvas.circle({ at: [40 + 100 * seconds, 90], radius: 20, fill: '#24506a' });
    }, 'wiped: the rect, which is 90 % see-through, lies over a fresh background: nothing of the last frame is below it'],
    ['in an angle that is a part of a turn', (canvas, { seconds }) =>
      canvas.rect({ at: [160, 90], size: [60, 20], rotate: Math.min(seconds, 0.8), fill: '#24506a' }),
      'barely-moves: nothing goes further than 0.4 pixels in all 40 frames'],
    ['in one angle that is given to the engine in degrees', (canvas) => {
      canvas.circle({ at: [160 + 60 * Math.cos(45), 90], radius: 30, fill: '#24506a' });
    }, 'degrees: Math.cos is given 45, which looks like degrees'],
    ['in a turn the way that something goes, and a quarter on, by Math.atan2', (canvas, { seconds }) => {
      const way = Math.atan2(20 + 400 * seconds, 60);
      canvas.rect({ at: [160, 90], size: [300, 20], rotate: way + Math.PI / 2, fill: '#24506a' });
    }, 'radians: rect is given 1.8925°, which comes from Math.atan2: 108.4349° in radians'],
    ['in the tenths of a turn in radians', (canvas) => {
      for (let i = 0; i < 10; i++)
        canvas.group({ translate: [160, 90], rotate: (i / 10) * 2 * Math.PI }, () => canvas.rect({ at: [60, 0], size: 20, fill: '#24506a' }));
    }, 'radians: 10 calls of group turn by 0.6283° each, which looks like 36° in radians'],
    ['that the time turns on, in radians', (canvas, { seconds }) => {
      canvas.rect({ at: [160, 90], size: [60, 20], rotate: seconds * 6.2 * Math.PI, fill: '#24506a' });
    }, 'radians: rect is given 9.7389°, which looks like 558° in radians'],
    ['in turns that go on by fifths of one, in radians', (canvas) => {
      canvas.translate([160, 90]);
      for (let i = 0; i < 5; i++) {
        canvas.line({ from: [0, 0], to: [60, 0], stroke: { color: '#24506a', width: 5 } });
        canvas.rotate((2 * Math.PI) / 5);
      }
    }, 'radians: 5 calls of rotate turn by 1.2566° each, which looks like 72° in radians'],
    ['in points about another by angles in radians', (canvas) => {
      for (let i = 0; i < 7; i++)
        canvas.circle({ at: polar({ angle: (i * Math.PI) / 6, distance: 60, from: [160, 90] }), radius: 5, fill: '#24506a' });
    }, 'radians: 7 calls of polar turn by 0.5236° each, which looks like 30° in radians'],
    ['in a fill of a line that is bent', (canvas) =>
      canvas.polyline({ points: [[60, 60], [120, 140], [200, 60]], fill: '#24506a' }),
      'unfilled: the polyline has a fill, and no inside that it could fill'],
    ['in a fill of outlines that are not closed', (canvas) =>
      canvas.path({ data: 'M60 60 L120 140 L200 60', fill: '#24506a' }),
      'unfilled: the path has a fill, and no inside that it could fill'],
    ['in a label that is spelt in two ways', (canvas, { pointer }) => {
      canvas.circle({ at: [90, 90], radius: 30, fill: pointer.over('Cran') ? '#f1b64e' : '#24506a', label: 'crane' });
      canvas.rect({ at: [250, 90], size: 30, fill: pointer.over('crane') ? '#f1b64e' : '#24506a' });
    }, 'unknown-label: pointer.over asks for “Cran”, and nothing has that label; there is “crane”'],
    ['in a place under the pointer that no shape was named', (canvas, { pointer }) => {
      canvas.circle({ at: [90, 90], radius: 30, fill: pointer.over('crane') ? '#f1b64e' : '#24506a' });
    }, 'unknown-label: pointer.over asks for “crane”, and nothing has a label'],
    ['in a turn behind the last shape of its group', (canvas) => {
      canvas.group({ translate: [90, 90] }, () => {
        canvas.rect({ at: [0, 0], size: 40, fill: '#24506a' });
        canvas.rotate(30);
      });
      canvas.circle({ at: [200, 90], radius: 20, fill: '#24506a' });
    }, 'unused-transform: nothing is drawn after this rotate'],
    ['in a group that moves what is drawn beside it', (canvas) => {
      canvas.group({ translate: [90, 90] }, () => undefined);
      canvas.circle({ at: [40, 40], radius: 20, fill: '#24506a' });
    }, 'unused-transform: nothing is drawn in this group'],
    ['in a picture of nothing', (canvas) => {
      canvas.circle({ at: [40, 40], radius: 20, fill: '#24506a' });
      canvas.picture(picture(20, 20, () => undefined), { at: [160, 90], size: 20 });
    }, 'no-paint: the picture has nothing in it'],
    ['in a gradient of fractions about the middle of its shape', (canvas) => {
      const fill = linearGradient({ from: [0, 0], to: [1, 0], stops: ['#24506a', '#f1b64e'] });
      canvas.group({ translate: [160, 90] }, () => canvas.rect({ at: [0, 0], size: 60, fill }));
    }, 'fractions: the rect has a gradient no longer than one unit'],
    ['in a gradient that ends left of its shape', (canvas) => {
      const fill = radialGradient({ at: [60, 90], radius: 40, stops: ['#24506a', '#f1b64e'] });
      canvas.rect({ at: [200, 90], size: 60, fill });
    }, 'flat-gradient: the rect lies wholly beyond the ends of the gradient'],
    ['a gradient whose ends are one', (canvas) => {
      canvas.rect({ at: [60, 40], size: 40, fill: linearGradient({ from: [40, 40], to: [40, 40], stops: ['teal', 'gold'] }) });
    }, 'flat-gradient: the rect lies wholly beyond the ends of the gradient'],
    ['in green flashes over a third', (canvas, { frame }) =>
      canvas.rect({ from: [0, 0], to: [110, 180], fill: frame % 8 < 4 ? '#00a000' : '#000000' }),
      'flashing: from frame 0 on more than a quarter of the picture flashes more than three times within a second'],
  ])('%s', async (_, paint, found) => {
    expect(await foundIn(paint)).toEqual([found]);
  }); // prettier-ignore

  test('in texts of a loop that change under a carry', async () => {
    const found = await foundIn((canvas, { frame }) => {
      for (const y of [40, 90, 140]) canvas.text(`${frame * y}`, { at: [160, y], size: 20, fill: '#1b2f3a' });
    }, 0.9);
    expect(found).toEqual(['smeared-text: with a carry of 0.9, 3 text items stand over what they said before']);
  });

  test('in a cover under which a carry leaves no trail', async () => {
    const found = await foundIn((canvas, { progress }) => {
      canvas.rect({ from: [0, 0], to: [320, 180], fill: '#12303f' });
      canvas.circle({ at: [progress * 320, 90], radius: 20, fill: '#f1b64e' });
    }, 0.9);
    expect(found).toEqual(['wiped: under a carry, the rect covers the whole canvas, and nothing is left of the last frame']); // prettier-ignore
  });
});

describe('in time', () => {
  const flag = { from: [0, 0], to: [320, 180] } as const;
  test.each<[name: string, paint: Paint, found: readonly string[], carry?: number]>([
    ['three flashes in a second are borne', (canvas, { frame }) =>
      canvas.rect({ ...flag, fill: frame % 14 < 7 ? 'white' : 'black' }), []],
    ['more are not', (canvas, { frame }) => canvas.rect({ ...flag, fill: frame % 9 < 4 ? 'white' : 'black' }),
      ['flashing: from frame 0 on more than a quarter of the picture flashes more than three times within a second']],
    ['faint ones are borne', (canvas, { frame }) =>
      canvas.rect({ ...flag, fill: frame % 8 < 4 ? '#909090' : '#9c9c9c' }), []],
    ['bright ones are borne', (canvas, { frame }) =>
      canvas.rect({ ...flag, fill: frame % 8 < 4 ? '#e8e8e8' : 'white' }), []],
    ['small ones are borne', (canvas, { frame }) =>
      canvas.rect({ from: [0, 0], to: [60, 180], fill: frame % 8 < 4 ? 'white' : 'black' }), []],
    ['what only the first frames draw vanishes', (canvas, { frame }) => {
      if (frame < 3) canvas.circle({ at: [90 + frame, 90], radius: 20, fill: '#24506a' });
    }, ['vanishes: what frame 0 draws is gone from frame 3 on, and nothing is drawn there']],
    ['what has come to rest by the second frame does not move', (canvas, { frame }) => {
      canvas.circle({ at: [40 + keyframes([0, 90], { duration: 2 })(frame), 90], radius: 20, fill: '#24506a' });
    }, ['nothing-moves: paint asks for frame, and from frame 2 on all is the same']],
    ['what has come to rest later did', (canvas, { seconds }) => {
      canvas.circle({ at: [40 + keyframes([0, 90], { duration: 0.5 })(seconds), 90], radius: 20, fill: '#24506a' });
    }, []],
    ['what comes back has not vanished', (canvas, { frame }) => {
      if (frame < 3 || frame > 30) canvas.circle({ at: [90 + frame, 90], radius: 20, fill: '#24506a' });
    }, []],
    ['what every twentieth frame draws', (canvas, { frame }) => {
      if (frame % 20 === 5) canvas.circle({ at: [90 + frame, 90], radius: 20, fill: '#24506a' });
    }, ['one-frame: the circle at [95, 90] is drawn in frame 5, 25, and not in those before and after it']],
    ['what the first frame draws beside the others', (canvas, { frame, progress }) => {
      canvas.circle({ at: [90, 90 + 40 * progress], radius: 20, fill: '#24506a' });
      if (frame === 0) canvas.rect({ at: [190, 90], size: 20, fill: '#24506a' });
    }, ['one-frame: the rect at [190, 90] is drawn in frame 0, and not in those before and after it']],
    ['what two frames draw', (canvas, { frame, progress }) => {
      canvas.circle({ at: [90, 90 + 40 * progress], radius: 20, fill: '#24506a' });
      if (frame === 20 || frame === 21) canvas.circle({ at: [190, 90], radius: 20, fill: '#24506a' });
    }, []],
    ['what one frame draws, and a carry keeps', (canvas, { frame, progress }) => {
      canvas.circle({ at: [90, 50 + 80 * progress], radius: 20, fill: '#24506a' });
      if (frame === 20) canvas.circle({ at: [190, 90], radius: 20, fill: '#24506a' });
    }, [], 1],
    ['what comes and goes by chance', (canvas, { frame, random }) => {
      const chance = random.stream(frame);
      for (let i = 0; i < 3; i++) if (chance.likely(0.5)) canvas.circle({ at: [90 + 60 * i, 90], radius: 20, fill: '#24506a' });
    }, []],
    ['what a counter of frames throws to and fro', (canvas, { frame }) =>
      canvas.circle({ at: [160 + 90 * Math.cos(1.3 * frame), 90], radius: 20, fill: '#24506a' }),
      ['too-fast: what Math.cos is given goes on by 1.3 from frame to frame']],
    ['what goes round once in eight frames', (canvas, { frame }) =>
      canvas.circle({ at: [160 + 90 * Math.cos(0.79 * frame), 90], radius: 20, fill: '#24506a' }), []],
    ['a curve of many sines', (canvas, { frame }) =>
      canvas.spline({ points: Array.from({ length: 30 }, (_, i) => [20 + 9 * i, 90 + 40 * Math.sin(i + 0.2 * frame)]), stroke: '#24506a' }), []],
    ['what a carry keeps, and is drawn anew where it was', (canvas, { seconds }) => {
      for (let i = 0; i < 12; i++) canvas.circle({ at: [20 + 25 * i, 60], radius: 9, fill: '#24506a' });
      canvas.circle({ at: [20 + 200 * seconds, 120], radius: 9, fill: '#f1b64e' });
    }, ['paints-over: with a carry of 1, 92 % of what each frame draws is where the frame before already drew it'], 1],
    ['what a carry keeps, and is new for more than a tenth', (canvas, { seconds }) => {
      for (let i = 0; i < 6; i++) canvas.circle({ at: [20 + 25 * i, 60], radius: 9, fill: '#24506a' });
      canvas.circle({ at: [20 + 200 * seconds, 120], radius: 9, fill: '#f1b64e' });
    }, [], 1],
  ])('%s', async (_, paint, found, carry = 0) => {
    expect(await foundIn(paint, carry)).toEqual(found);
  }); // prettier-ignore

  test.each<[name: string, paint: Paint, found: readonly string[]]>([
    ['what grows and grows', (canvas, { seconds }) =>
      canvas.circle({ at: [160, 90], radius: 4 + 40 * seconds, fill: '#24506a' }),
      ['growing: the circle grows in every frame, to 10.8 times the size within 40 frames']],
    ['what grows to twice its size does so for a while', (canvas, { seconds }) =>
      canvas.circle({ at: [160, 90], radius: 20 + 20 * seconds, fill: '#24506a' }), []],
    ['what is longer than wide, by its length', (canvas, { seconds }) =>
      canvas.rect({ at: [160, 90], size: [50, 4 + 40 * seconds], fill: '#24506a' }), []],
    ['what grows from nothing on', (canvas, { seconds }) =>
      canvas.circle({ at: [160, 90], radius: 50 * seconds, fill: '#24506a' }),
      ['growing: the circle grows in every frame, from nothing to a size of 98 within 40 frames']],
    ['what grows from nothing for a while', (canvas, { seconds }) =>
      canvas.circle({ at: [160, 90], radius: 40 * seconds, fill: '#24506a' }), []],
    ['what leaves for good', (canvas, { seconds }) =>
      canvas.circle({ at: [240 + 200 * seconds, 90], radius: 20, fill: '#24506a' }),
      ['gone: the circle leaves the canvas and moves on and on']],
    ['what has just left', (canvas, { seconds }) =>
      canvas.circle({ at: [240 + 110 * seconds, 90], radius: 20, fill: '#24506a' }), []],
    ['what circles around the canvas, and comes back', (canvas, { seconds }) =>
      canvas.circle({ at: [160 + 300 * Math.sin(seconds), 90 - 300 * Math.cos(seconds)], radius: 20, fill: '#24506a' }), []],
  ])('%s, without an end', async (_, paint, found) => {
    const canvas = { width: 320, height: 180, background: '#e4efe8' };
    const { findings } = await check(defineSketch({ canvas, frameRate: 40, paint }), false);
    expect(findings.map(({ name, seen }) => `${name}: ${seen}`)).toEqual(found);
  }); // prettier-ignore
});

describe('nothing is found', () => {
  test.each<[name: string, paint: Paint, carry?: number]>([
    ['in what follows a pointer that has not come yet', (canvas, { pointer }) =>
      canvas.circle({ at: pointer, radius: 20, fill: '#24506a' })],
    ['in a line that waits for the pointer to draw it', (canvas, { pointer }) => {
      canvas.rect({ at: [160, 90], size: 40, fill: '#24506a' });
      canvas.polyline({ points: pointer.inside ? [[0, 0], pointer] : [], stroke: 'teal' });
    }],
    ['in a pattern that reaches over all edges', (canvas) => {
      for (let x = 0; x <= 320; x += 40)
        for (let y = 0; y <= 180; y += 36) canvas.rect({ at: [x, y], size: 20, fill: '#24506a' });
    }],
    ['in a pattern so large that it fills the canvas however it is turned', (canvas) => {
      canvas.group({ translate: [160, 90], rotate: 30 }, () => {
        for (let x = -600; x <= 600; x += 60) canvas.rect({ at: [x, 0], size: [20, 1200], fill: '#24506a' });
      });
    }],
    ['in a turn about a corner that keeps what it turns on the canvas', (canvas) => {
      for (let angle = 0; angle < 360; angle += 30)
        canvas.group({ rotate: angle }, () => canvas.line({ from: [60, 5], to: [90, 5], stroke: { color: '#24506a', width: 5 } }));
    }],
    ['in a dusk that gets thicker', (canvas, { seconds }) => {
      canvas.rect({ from: [0, 0], to: [320, 180], fill: 'black', opacity: 0.1 + 0.2 * seconds });
      canvas.circle({ at: [40 + 100 * seconds, 90], radius: 20, fill: '#f1b64e' });
    }],
    ['in a tint below what never moves', (canvas) => {
      canvas.rect({ from: [0, 0], to: [320, 180], fill: 'rgb(0 0 0 / 10%)' });
      canvas.circle({ at: [40, 90], radius: 20, fill: '#24506a' });
    }],
    ['in a veil over what a carry keeps', (canvas, { progress }) => {
      canvas.rect({ from: [0, 0], to: [320, 180], fill: 'rgb(228 239 232 / 8%)' });
      canvas.circle({ at: [progress * 320, 90], radius: 20, fill: '#24506a' });
    }, 1],
    ['in a shape that passes over a gradient of the canvas', (canvas, { progress }) =>
      canvas.rect({ at: [40 + progress * 240, 90], size: 40, fill: linearGradient({ from: [120, 0], to: [200, 0], stops: ['#24506a', '#f1b64e'] }) })], // prettier-ignore
    ['in a color that fades to black', (canvas, { progress }) =>
      canvas.circle({ at: [90, 90], radius: 30, fill: rgb(200 * (1 - progress), 90.5 * (1 - progress), 0) })], // prettier-ignore
    ['in grays that are nearly alike', (canvas, { random }) => {
      for (let x = 30; x < 300; x += 40) canvas.circle({ at: [x, 90], radius: 15, fill: gray(100 + random.between(0, 4)) });
    }],
    ['in waves whose lengths are chosen freely', (canvas) => {
      for (let x = 10; x < 320; x += 10) canvas.circle({ at: [x, 90 + 30 * Math.sin(x / 40)], radius: 4, fill: '#24506a' });
    }],
    ['in transforms that are taken back, gone on with in a loop, or asked about', (canvas) => {
      canvas.circle({ at: [200, 140], radius: 20, fill: '#24506a' });
      canvas.translate([20, 0]);
      canvas.circle({ at: [30, 60], radius: 9, fill: '#24506a' });
      canvas.translate([-20, 0]);
      canvas.group({}, () => {
        for (let i = 0; i < 5; i++) {
          canvas.circle({ at: [30, 30], radius: 9, fill: '#24506a' });
          canvas.translate([50, 0]);
        }
      });
      canvas.group({}, () => {
        canvas.rotate(30);
        canvas.toCanvas([20, 20]);
      });
    }],
    ['in bars about a line, and in a tunnel of rectangles', (canvas) => {
      for (const [i, level] of [30, 90, 60].entries()) canvas.rect({ at: [40 + i * 30, 90], size: [20, level], fill: '#24506a' });
      for (let size = 200; size > 20; size -= 60) canvas.rect({ at: [250, 90], size, fill: 'none', stroke: 'teal' });
    }],
    ['in colors beyond the end of a ramp, of distances', (canvas) => {
      const glow = ramp(['#24506a', '#f1b64e']);
      for (let x = 30; x < 300; x += 30) canvas.circle({ at: [x, 90], radius: 10, fill: glow(Math.abs(x - 160) / 50) });
    }],
    ['in the same by chance, turned and mirrored', (canvas, { random }) => {
      for (let i = 0; i < 6; i++)
        canvas.group({ translate: [160, 90], rotate: i * 60, scale: i % 2 === 0 ? 1 : [1, -1] }, () => {
          const { between } = random.stream('leaf');
          for (let k = 0; k < 3; k++) canvas.circle({ at: [between(20, 70), between(-9, 9)], radius: 5, fill: '#24506a' });
        });
    }],
    ['in a line that trembles', (canvas, { frame, random }) => {
      const { between } = random.stream(frame);
      const points = random.times(8, (i): [number, number] => [40 + 30 * i + between(-1, 1), 90 + between(-1, 1)]);
      canvas.polyline({ points, stroke: { color: '#24506a', width: 4 } });
    }],
    ['in angles of Math.atan2 that become degrees, and in whole ones', (canvas, { seconds }) => {
      const way = Math.atan2(20 + 60 * seconds, 60);
      canvas.rect({ at: [60, 90], size: [60, 20], rotate: (way * 180) / Math.PI, fill: '#24506a' });
      canvas.rect({ at: [260, 90], size: [60, 20], rotate: 30 * Math.atan2(1, 1), fill: '#24506a' });
    }],
    ['in places from 0 to 1 that are few, or the same, and in numbers of few digits', (canvas) => {
      canvas.group({ translate: [160, 90] }, () => {
        for (let i = 0; i < 4; i++) canvas.circle({ at: [i / 4, 0], radius: 20 - 4 * i, fill: i % 2 ? '#24506a' : '#f1b64e' });
        for (let i = 9; i > 0; i--) canvas.rect({ at: [0, 0], size: i, fill: i % 2 ? '#24506a' : '#f1b64e' });
      });
      canvas.text('version 1.25.123456789, 3.5 m', { at: [160, 150], size: 14, fill: '#1b2f3a' });
    }],
    ['in places from 0 to 1 under a scale of their own', (canvas) => {
      canvas.scale([320, 180]);
      for (let i = 0; i < 10; i++) canvas.circle({ at: [0.05 + i / 10, 0.5], radius: 0.02, fill: '#24506a' });
    }],
    ['in places that begin between 0 and 1, and move apart', (canvas, { seconds }) => {
      for (let i = 0; i < 10; i++) canvas.circle({ at: [i / 10 + 300 * i * seconds, i / 10], radius: 5, fill: '#24506a' });
      canvas.circle({ at: [160, 90], radius: 20, fill: '#24506a' });
    }],
    ['in turns by degrees that are no whole ones', (canvas) => {
      for (let i = 0; i < 7; i++)
        canvas.circle({ at: polar({ angle: (i * 360) / 7, distance: 60, from: [160, 90] }), radius: 5, fill: '#24506a' });
    }],
    ['in the color of a line by its fill, wide or straight, or of what is closed', (canvas) => {
      canvas.style({ stroke: { width: 3 } });
      canvas.arc({ at: [160, 90], radius: 40, start: 10, end: 90, fill: '#24506a' });
      canvas.style({ stroke: { width: 1 } });
      canvas.polyline({ points: [[20, 20], [90, 40]], fill: '#24506a' });
      canvas.spline({ points: [[20, 90], [90, 120], [50, 150]], closed: true, fill: '#24506a' });
    }],
    ['in a group whose parts come later', (canvas, { seconds }) => {
      canvas.circle({ at: [40 + 20 * seconds, 40], radius: 20, fill: '#24506a' });
      canvas.group({ translate: [90, 90] }, () => {
        if (seconds > 60) canvas.circle({ at: [0, 0], radius: 20, fill: '#24506a' });
      });
    }],
    ['in a label of what waits for a press', (canvas, { pointer }) => {
      canvas.circle({ at: [90, 90], radius: 30, fill: pointer.over('jib') ? '#f1b64e' : '#24506a', label: 'crane' });
      if (pointer.down) canvas.rect({ at: [250, 90], size: 30, fill: '#24506a', label: 'jib' });
    }],
    ['in a label like none that is there, as of what comes later', (canvas, { pointer }) =>
      canvas.circle({ at: [90, 90], radius: 30, fill: pointer.over('ferry') ? '#f1b64e' : '#24506a', label: 'crane' })],
    ['in a transform of what waits for a press', (canvas, { pointer }) => {
      canvas.circle({ at: [90, 90], radius: 30, fill: '#24506a' });
      canvas.translate([20, 0]);
      if (pointer.down) canvas.circle({ at: [180, 90], radius: 30, fill: '#24506a' });
    }],
    ['in flashes over a fifth', (canvas, { frame }) =>
      canvas.rect({ from: [0, 0], to: [64, 180], fill: frame % 8 < 4 ? '#00a000' : '#000000' })],
    ['in flashes of a blue that is nearly as dark as black, and of two that are both bright', (canvas, { frame }) => {
      canvas.rect({ from: [0, 0], to: [160, 180], fill: frame % 8 < 4 ? '#0000ff' : '#000000' });
      canvas.rect({ from: [160, 0], to: [320, 180], fill: frame % 8 < 4 ? '#ffffff' : '#eeeeee' });
    }],
    ['in three flashes within a second', (canvas, { frame }) =>
      canvas.rect({ from: [0, 0], to: [320, 180], fill: frame % 24 < 12 ? '#00a000' : '#000000' })],
    ['under a carry, in a text that moves as it changes, and in one that stays as it is', (canvas, { frame, seconds }) => {
      canvas.text(`${frame}`, { at: [20 + seconds * 240, 60], size: 20, fill: '#1b2f3a' });
      canvas.text('waves', { at: [160, 150], size: 20, fill: '#1b2f3a' });
    }, 0.9],
    ['in a text that changes over little of the last picture', (canvas, { frame }) =>
      canvas.text(`${frame}`, { at: [160, 90], size: 20, fill: '#1b2f3a' }), 0.3],
    ['in words that only sound like a missing value', (canvas) =>
      canvas.text('Nullarbor: undefinedness, nan bread', { at: [160, 90], size: 14, fill: '#1b2f3a' })],
  ])('%s', async (_, paint, carry = 0) => {
    expect(await foundIn(paint, carry)).toEqual([]);
  }); // prettier-ignore

  test('in what goes round, and is off the canvas for a while', async () => {
    const sketch = defineSketch({
      canvas: { width: 320, height: 180, background: '#e4efe8' },
      paint: (canvas, { seconds }) =>
        canvas.group({ translate: [160, 90], rotate: seconds * 20 }, () => {
          for (let x = -140; x <= 140; x += 40) canvas.dot({ at: [x, 0], size: 12, fill: '#24506a' });
        }),
    });
    expect((await check(sketch, false)).findings).toEqual([]);
  });
});
