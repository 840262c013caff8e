import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  compareFrames,
  defineSketch,
  describeFrame,
  explanationLines,
  explainFrame,
  frameDifferenceLines,
  frameInWords,
  Picture,
  rasterize,
  Run,
  type Canvas,
  type CircleOptions,
  type ExplainWish,
  type Frame,
  type ItemChange,
  type RectOptions,
  type ShapeOptions,
} from '../../packages/frame-juggler/src/index.ts';
import { comparePictures, pictureDifferenceInWords } from '../../packages/frame-juggler/src/review/compare-pictures.ts';
import { errorOf, record } from '../helpers.ts';

/* What is told of a frame: what can be seen of each item, what a frame holds in words, and what two differ in. */

const size = { width: 120, height: 90 };

/** Opaque shapes that overlap, on a small canvas. */
const scene = fc.array(
  fc.record({
    kind: fc.constantFrom('circle', 'rect', 'triangle'),
    x: fc.integer({ min: 0, max: 120 }),
    y: fc.integer({ min: 0, max: 90 }),
    size: fc.integer({ min: 16, max: 60 }),
    rotate: fc.integer({ min: 0, max: 359 }),
  }),
  { minLength: 6, maxLength: 12 },
);

function paintScene(
  canvas: Canvas,
  shapes: readonly { kind: string; x: number; y: number; size: number; rotate: number }[],
): void {
  for (const { kind, x, y, size: across, rotate } of shapes) {
    const at = [x, y] as const;
    if (kind === 'circle') canvas.circle({ at, radius: across / 2 });
    else if (kind === 'rect') canvas.rect({ at, size: [across, across * 0.7], rotate });
    else canvas.polygon({ at, radius: across / 2, sides: 3, rotate });
  }
}

/** What part of each opaque item can be seen, counted at four times the size; of how many pixels. */
function countSeen(frame: Frame): { all: number; share: number }[] {
  const covered = new Uint8Array(size.width * 4 * size.height * 4);
  const counts: { all: number; share: number }[] = [];
  for (let i = frame.order.length - 1; i >= 0; i--) {
    const { data } = rasterize({ ...frame, density: 4, background: 0, order: frame.order.subarray(i, i + 1) });
    let [all, left] = [0, 0];
    for (let pixel = 0; pixel < covered.length; pixel++) {
      if (data[pixel * 4 + 3] < 128) continue;
      all++;
      if (covered[pixel] === 0) left++;
      covered[pixel] = 1;
    }
    counts[i] = { all, share: all === 0 ? 0 : left / all };
  }
  return counts;
}

test('what can be seen of an item is right within a hundredth of a count of pixels, on 300 frames that overlap', () => {
  let overlapping = 0;
  let worst = 0;
  fc.assert(
    fc.property(scene, (shapes) => {
      const frame = record((canvas) => paintScene(canvas, shapes), size);
      const { items } = describeFrame(frame);
      countSeen(frame).forEach(({ all, share }, i) => {
        if (share < 0.98) overlapping++;
        // Of what is nearly off the canvas a pixel is more than a hundredth.
        if (all > 1000) worst = Math.max(worst, Math.abs((items[i].seen ?? NaN) - share));
      });
    }),
    { numRuns: 300, seed: 4 },
  );
  expect(overlapping).toBeGreaterThan(1000);
  expect(worst).toBeLessThan(0.01);
});

/** Small things, close together: transparent, outlined, blended, alone or in a group that fades as one. */
const crowd = fc.array(
  fc.record({
    x: fc.double({ min: -5, max: 125, noNaN: true }),
    y: fc.double({ min: -5, max: 95, noNaN: true }),
    radius: fc.double({ min: 0.2, max: 9, noNaN: true }),
    opacity: fc.constantFrom(1, 1, 0.6),
    stroke: fc.constantFrom('none', { color: 'black', width: 2 }),
    blend: fc.constantFrom('normal', 'normal', 'multiply'),
    faded: fc.constantFrom(undefined, undefined, 0.5),
  }),
  { minLength: 40, maxLength: 90 },
);

test('what can be seen of each of a crowd is what comes of drawing them one by one, from the topmost down', () => {
  fc.assert(
    fc.property(crowd, (things) => {
      const frame = record((canvas) => {
        for (const { x, y, faded, ...look } of things)
          if (faded === undefined) canvas.circle({ at: [x, y], fill: 'teal', ...look } as CircleOptions);
          else
            canvas.group({ opacity: faded }, () =>
              canvas.circle({ at: [x, y], fill: 'teal', ...look } as CircleOptions),
            );
      }, size);
      const { items } = describeFrame(frame);
      const through = new Float64Array(size.width * 4 * size.height * 4).fill(1);
      for (let i = frame.order.length - 1; i >= 0; i--) {
        const { data } = rasterize({ ...frame, density: 4, background: 0, order: frame.order.subarray(i, i + 1) });
        let [all, seen] = [0, 0];
        for (let pixel = 0; pixel < through.length; pixel++) {
          const alpha = data[pixel * 4 + 3] / 255;
          all += alpha;
          seen += alpha * through[pixel];
          through[pixel] *= 1 - alpha;
        }
        expect(items[i].seen).toBeCloseTo(all === 0 ? 0 : seen / all, 2);
      }
    }),
    { numRuns: 12, seed: 7 },
  );
});

describe('a frame in words', () => {
  test('names what is labeled, with where it is, and counts the rest', () => {
    const frame = record((canvas) => {
      canvas.rect({ from: [0, 60], to: [120, 90], fill: '#24506a', label: 'sea' });
      canvas.group({ label: 'crane' }, () => {
        canvas.rect({ from: [4, 20], to: [10, 60], fill: 'brown' });
        canvas.line({ from: [4, 20], to: [30, 20] });
      });
      canvas.polygon({ at: [105, 45], radius: 12, sides: 3, fill: 'crimson', label: 'lighthouse' });
      for (const x of [30, 50, 70]) canvas.circle({ at: [x, 10], radius: 3, fill: 'white', label: 'gull' });
      canvas.circle({ at: [60, 40], radius: 4, fill: '#3a8391' });
    }, size);
    expect(frameInWords(frame)).toBe(
      'Sea below, a crane on the left, a lighthouse on the right, 3 gulls at the top, a teal circle in the middle; 8 things',
    );
  });
  test('names what bears no label only where there is room, the largest of it', () => {
    const words = (labels: number): string =>
      frameInWords(
        record((canvas) => {
          canvas.rect({ from: [0, 0], to: [120, 90], fill: 'crimson' });
          canvas.circle({ at: [60, 45], radius: 4, fill: 'white' });
          for (let i = 0; i < labels; i++)
            canvas.circle({ at: [10 + 9 * i, 8], radius: 2, label: `lamp ${'abcdef'[i]}` });
        }, size),
      );
    const lamps =
      'a lamp a at the top left, a lamp b at the top left, a lamp c at the top left, a lamp d at the top left';
    expect(words(4)).toBe(`A red rect all over, a white circle in the middle, ${lamps}; 6 things`);
    expect(words(5)).toBe(`A red rect all over, ${lamps}, a lamp e at the top; 7 things`);
    expect(words(6)).toMatch(/^A lamp a .* lamp f at the top; 8 things$/);
  });
  test('says so where nothing is drawn, or nothing can be seen', () => {
    expect(frameInWords(record(() => undefined))).toBe('Nothing is drawn; the background is white');
    expect(frameInWords(record((canvas) => canvas.circle({ at: [300, 0], radius: 5 })))).toBe(
      'Nothing can be seen; 1 thing is drawn',
    );
  });
});

describe('an explanation', () => {
  const frame = record((canvas) => {
    canvas.rect({ from: [0, 0], to: [100, 100], fill: 'teal', label: 'wall' });
    canvas.group({ label: 'lamp', translate: [50, 50], rotate: 30 }, () =>
      canvas.circle({ at: [10, 0], radius: 5, fill: 'gold' }),
    );
    for (let i = 0; i < 50; i++) canvas.dot({ at: [i * 2, 80] });
  });
  test.each([72, 80, 120])('is a table no wider than %i letters', (width) => {
    const lines = explanationLines(explainFrame(frame, { title: 'Wall', frame: 0, seed: 1 }), width);
    expect(lines.filter((line) => line.length > width)).toEqual([]);
    expect(lines.join('\n')).toMatch(/in lamp\n +2 +circle[\s\S]*moved to 50, 50, turned by 30°/);
  });
  test('names two and the last of many like items, every item of few and of all when asked', () => {
    // Runs of 1, 2, 3, 4 and 40 like dots, told apart by their fills.
    const runs = [1, 2, 3, 4, 40];
    const paint = (canvas: Canvas): void =>
      runs.forEach((count, y) => {
        for (let i = 0; i < count; i++) canvas.dot({ at: [i * 2, y * 9 + 9], fill: ['red', 'teal'][y % 2] });
      });
    const explanation = explainFrame(record(paint), { title: 'Lamps', frame: 0, seed: 1 });
    const numbers = (whole: boolean): string[] =>
      explanationLines(explanation, 100, whole)
        .slice(3)
        .map((line) => /^ *(\d+|… \d+ more)/.exec(line)![1]);
    expect(numbers(false).join(' ')).toBe('1 2 3 4 5 6 7 8 … 1 more 10 11 12 … 37 more 50');
    expect(numbers(true)).toHaveLength(50);
  });
  test('of a pixel goes from top to bottom', () => {
    const { items, pixel } = explainFrame(
      frame,
      { title: '', frame: 0, seed: 1 },
      { pixel: [58, 55] },
      { colorAt: () => 'gold' },
    );
    expect(items.map(({ label, shape }) => label ?? shape)).toEqual(['circle', 'wall']);
    expect(pixel).toEqual({ at: [58, 55], color: 'gold' });
  });
  test('of a pixel finds what was drawn there in units of the sketch’s own, and of a line what that line drew', async () => {
    // 200 × 100 pixels show units from -10 to 10 across and from -20 to 20 up: ten pixels a unit, two and a half.
    const sketch = defineSketch({
      canvas: { width: 200, height: 100, viewBox: [-10, -20, 20, 40], yAxis: 'up', preserveAspectRatio: 'none' },
      paint(canvas) {
        canvas.dot({ at: [-5, 12], size: 1, label: 'gull' });
        canvas.dot({ at: [-5, -12], size: 1, label: 'seal' });
        canvas.dot({ at: [5, 12], size: 1, label: 'lamp' });
      },
    });
    const run = new Run(sketch);
    await run.goTo(0);
    const traced = await run.paint(true);
    const labels = (wish: ExplainWish): unknown =>
      explainFrame(traced, { title: '', frame: 0, seed: 1 }, wish).items.map(({ label, line }) => [label, line?.line]);
    expect(() => labels({ itm: 1 } as never)).toThrow('did you mean "item"?');
    const { items } = explainFrame(traced, { title: '', frame: 0, seed: 1 });
    const [, second] = items.map(({ line }) => line!.line);
    expect(labels({ pixel: [50, 20] })).toEqual([['gull', second - 1]]);
    expect(labels({ pixel: [50, 79] })).toEqual([['seal', second]]);
    expect(labels({ pixel: [149, 19] })).toEqual([['lamp', second + 1]]);
    expect(labels({ pixel: [60, 20] })).toEqual([]);
    expect(labels({ line: second })).toEqual([['seal', second]]);
  });
});

describe('the difference of two frames', () => {
  const before = (canvas: Canvas): void => {
    canvas.circle({ at: [20, 20], radius: 10, fill: 'teal', label: 'buoy' });
    canvas.rect({ at: [60, 60], size: 20, fill: 'brown', label: 'crate' });
    canvas.line({ from: [0, 0], to: [100, 0] });
    canvas.star({ at: [80, 20], radius: 8, innerRadius: 3, tips: 5, label: 'light' });
  };
  test('is nothing between a frame and itself', () => {
    const difference = compareFrames(record(before), record(before));
    expect(frameDifferenceLines(difference)).toEqual(['The same 4 items.']);
  });
  test('tells what is added, gone, moved, repainted and drawn in another order', () => {
    const after = record((canvas) => {
      canvas.rect({ at: [60, 60], size: 20, fill: 'gold', label: 'crate' });
      canvas.circle({ at: [23, 16], radius: 10, fill: 'teal', label: 'buoy' });
      canvas.line({ from: [0, 0], to: [100, 0] });
      canvas.polygon({ at: [50, 50], radius: 9, sides: 5 });
    });
    const { added, gone, changed, same } = compareFrames(record(before), after);
    expect([added.map(({ shape }) => shape), gone.map(({ label }) => label), same]).toEqual([
      ['polygon'],
      ['light'],
      1,
    ]);
    const changes = Object.fromEntries(
      changed.map(({ after: { label }, moved, reshaped, repainted, reordered }) => [
        label,
        { moved, reshaped, repainted, reordered },
      ]),
    );
    expect(changes.buoy).toMatchObject({ moved: [3, -4] });
    expect(changes.crate).toMatchObject({ repainted: true });
    expect(changed.filter(({ reordered }) => reordered).length).toBe(1);
  });

  test('pairs each item with one alone, and calls as few as can be drawn in another order', () => {
    const drawn = fc.shuffledSubarray(['a', 'b', 'c', 'd', 'e', 'f', 'a'], { minLength: 1 });
    const frameOf = (labels: readonly string[]): Frame =>
      record((canvas) => labels.forEach((label) => canvas.circle({ at: [9, 9], radius: 4, label })));
    /** The most labels of the first that stand in the second in the same order: what stays where it is. */
    const inOrder = ([first, ...rest]: readonly string[], other: readonly string[]): number => {
      if (first === undefined) return 0;
      const found = other.indexOf(first);
      const with_ = found < 0 ? 0 : 1 + inOrder(rest, other.slice(found + 1));
      return Math.max(with_, inOrder(rest, other));
    };
    fc.assert(
      fc.property(drawn, drawn, (one, other) => {
        const { added, gone, changed, same } = compareFrames(frameOf(one), frameOf(other));
        const left = (labels: readonly string[], taken: readonly string[]): string[] => {
          const free = [...taken];
          return labels.filter((label) => !free.includes(label) || !free.splice(free.indexOf(label), 1)).sort();
        };
        expect(added.map(({ label }) => label).sort()).toEqual(left(other, one));
        expect(gone.map(({ label }) => label).sort()).toEqual(left(one, other));
        expect(same).toBeLessThanOrEqual(inOrder(one, other));
        // Of two of one name, the first answers to the first, though the second may be where it was.
        if ([one, other].every((labels) => new Set(labels).size === labels.length))
          expect(same).toBe(inOrder(one, other));
        expect(changed.length + same + gone.length).toBe(one.length);
      }),
    );
  });

  test('tells what grew, shrank or was turned about its middle from what has only moved', () => {
    const told = (after: Partial<RectOptions>): unknown => {
      const draw = (options: Partial<RectOptions & ShapeOptions>): Frame =>
        record((canvas) => canvas.rect({ at: [50, 50], size: [20, 10], ...options } as RectOptions));
      const [{ moved, reshaped } = {} as ItemChange] = compareFrames(draw({}), draw(after)).changed;
      return [moved, reshaped];
    };
    expect(told({ at: [50, 53] })).toEqual([[0, 3], undefined]);
    expect(told({ size: [22, 10] })).toEqual([undefined, true]);
    expect(told({ size: [20, 9] })).toEqual([undefined, true]);
    expect(told({ size: [22, 10], at: [51, 50] })).toEqual([[1, 0], true]);
    // Another outline in the same box.
    expect(told({ corners: 3 })).toEqual([undefined, true]);
    const turned = told({ rotate: 180 } as Partial<RectOptions>);
    expect(turned).toEqual([undefined, true]);
    expect(told({})).toEqual([undefined, undefined]);
  });
});

describe('the difference of two pictures', () => {
  const [width, height] = [9, 5];
  const blank = (across: number, down: number): Picture => new Picture(across, down, new Uint8Array(across * down * 4).fill(255)); // prettier-ignore
  const written = (pixels: readonly { x: number; y: number; level: number }[]): Picture => {
    const made = blank(width, height);
    for (const { x, y, level } of pixels) made.data[(y * width + x) * 4 + 1] = level;
    return made;
  };
  const pixels = fc.uniqueArray(
    fc.record({
      x: fc.integer({ min: 0, max: width - 1 }),
      y: fc.integer({ min: 0, max: height - 1 }),
      level: fc.integer({ min: 0, max: 200 }),
    }),
    { selector: ({ x, y }) => y * width + x, maxLength: 6 },
  );

  test('counts and marks the pixels that differ, and tells their box and how far they are apart', () => {
    fc.assert(
      fc.property(pixels, (differing) => {
        const found = comparePictures(written([]), written(differing));
        const xs = differing.map(({ x }) => x);
        const ys = differing.map(({ y }) => y);
        expect(found).toMatchObject({
          pixels: differing.length,
          share: differing.length / 45,
          furthest: Math.max(0, ...differing.map(({ level }) => 255 - level)),
        });
        expect(found.box).toEqual(
          differing.length === 0
            ? undefined
            : { left: Math.min(...xs), top: Math.min(...ys), right: Math.max(...xs) + 1, bottom: Math.max(...ys) + 1 },
        );
        const { data } = found.marked;
        const isMarked = (x: number, y: number): boolean => data[(y * width + x) * 4] !== data[(y * width + x) * 4 + 1];
        const marked = Array.from({ length: 45 }, (_, i) => isMarked(i % width, Math.floor(i / width)));
        expect(marked.filter(Boolean).length).toBe(differing.length);
        expect(differing.every(({ x, y }) => isMarked(x, y))).toBe(true);
      }),
    );
  });

  test('leaves out what is closer than the threshold', () => {
    const after = written([
      { x: 1, y: 1, level: 250 },
      { x: 4, y: 2, level: 0 },
    ]);
    expect(comparePictures(written([]), after, 0.5).box).toEqual({ left: 4, top: 2, right: 5, bottom: 3 });
  });

  test('is told in words', () => {
    const inWords = (...levels: readonly number[]): string =>
      pictureDifferenceInWords(comparePictures(written([]), written(levels.map((level, x) => ({ x, y: 3, level })))));
    expect(inWords()).toBe('No pixel differs.');
    expect(inWords(55)).toBe('1 pixel differs (2.22 %), between 0, 3 and 1, 4, by up to 200 of 255.');
    expect(inWords(205, 155)).toBe('2 pixels differ (4.44 %), between 0, 3 and 2, 4, by up to 100 of 255.');
    const one = { pixels: 1, share: 1 / 20_000, box: { left: 0, top: 0, right: 1, bottom: 1 }, furthest: 9 };
    expect(pictureDifferenceInWords(one)).toMatch('(less than 0.01 %)');
  });

  test('needs two pictures of one size', () => {
    for (const [other, part] of [
      [blank(9, 6), '9 × 5 and 9 × 6'],
      [blank(8, 5), '9 × 5 and 8 × 5'],
      ['harbor.png' as unknown as Picture, 'after "harbor.png" is not a picture'],
    ] as const)
      expect(errorOf(() => comparePictures(written([]), other))).toMatch(part);
    expect(errorOf(() => comparePictures(7 as unknown as Picture, written([])))).toMatch('before 7 is not a picture');
  });
});
