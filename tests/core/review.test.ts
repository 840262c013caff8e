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
  rasterize,
  Run,
  type Canvas,
  type CircleOptions,
  type ExplainWish,
  type Frame,
} from '../../packages/frame-juggler/src/index.ts';
import { record } from '../helpers.ts';

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
});
