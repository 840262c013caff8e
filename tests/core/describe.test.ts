import { beforeAll, describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  Canvas,
  describeFrame,
  isSameFrame,
  itemsAt,
  linearGradient,
  loadFonts,
  transformInWords,
  type Frame,
  type ItemDescription,
} from '../../packages/frame-juggler/src/index.ts';
import { multiply, rotation, scaling, skewing, translation } from '../../packages/frame-juggler/src/geometry/matrix.ts';

function frameOf(paint: (canvas: Canvas) => void, trace = false): Frame {
  const canvas = new Canvas({ width: 200, height: 100, density: 1, background: -1, carry: 0, trace });
  paint(canvas);
  return canvas.finish();
}
const itemsOf = (paint: (canvas: Canvas) => void): readonly ItemDescription[] => describeFrame(frameOf(paint)).items;

describe('what a frame drew', () => {
  beforeAll(() => loadFonts(['regular']));

  test('is told item by item: where, how, in which groups, from which line', () => {
    const { items, groups } = describeFrame(
      frameOf((canvas) => {
        canvas.group({ label: 'pier', translate: [100, 50], rotate: 30, scale: 2 }, () =>
          canvas.rect({ from: [0, 0], to: [10, 20], fill: 'teal', stroke: { color: 'black', width: 3 }, label: 'post' }),
        );
        canvas.group({ opacity: 0.5, clip: (region) => region.circle({ at: [0, 0], radius: 40 }) }, () =>
          canvas.line({ from: [0, 0], to: [20, 0], stroke: { color: '#ff000080', dash: [4, 2] } }),
        );
      }, true),
    );
    expect(groups).toEqual([{ label: 'pier', style: '' }, { label: undefined, style: 'opacity 0.5; clipped' }]);
    expect(items).toHaveLength(2);
    // The region of a clip is drawn too, but is no item of the picture: it has a number of its own.
    expect(items.map(({ number, shape, label, groups: about, placed, style }) => [number, shape, label, about, placed, style])).toEqual([
      [1, 'rect', 'post', [0], 'moved to 100, 50, turned by 30°, scaled by 2', 'fill #008080; stroke #000000, 3 wide'],
      [3, 'line', undefined, [1], '', 'stroke #ff000080, 1 wide, dash 4 2'],
    ]);
    expect(items[0].source?.file).toMatch(/describe\.test\.ts$/);
    expect(items[1].box).toEqual({ left: 0, top: 0, right: 20, bottom: 0 });
    expect(items[1].outline).toBe('M0 0L20 0');
  }); // prettier-ignore

  test('tells what share of each can be seen, by what lies above it', () => {
    const seen = (paint: (canvas: Canvas) => void): number[] => itemsOf(paint).map((item) => item.seen!);
    expect(
      seen((canvas) => {
        canvas.rect({ from: [20, 20], to: [60, 60], fill: 'teal' });
        canvas.rect({ from: [40, 20], to: [100, 60], fill: 'navy' });
        canvas.rect({ from: [40, 20], to: [60, 40], fill: 'rgb(0 0 0 / 0.5)' });
      }),
    ).toEqual([expect.closeTo(0.5, 2), expect.closeTo((2400 - 400 * 0.5) / 2400, 2), 1]);
    // A layer lifts what is drawn first; a gradient lets through what its alpha lets through.
    const fading = linearGradient({ from: [0, 0], to: [1, 0], units: 'box', stops: ['#000', '#0000'] });
    const [first, lifted] = itemsOf((canvas) => {
      canvas.rect({ from: [20, 20], to: [60, 60], fill: fading, layer: 1, label: 'lifted' });
      canvas.rect({ from: [20, 20], to: [60, 60], fill: 'navy' });
    });
    expect([first.label, first.number, lifted.label, lifted.seen]).toEqual([undefined, 2, 'lifted', 1]);
    expect(first.seen).toBeCloseTo(0.5, 1);
  }); // prettier-ignore

  test.each<[ItemDescription['hidden'], (canvas: Canvas) => void]>([
    ['off the canvas', (canvas) => canvas.circle({ at: [-50, 20], radius: 10 })],
    ['no paint', (canvas) => canvas.circle({ at: [50, 20], radius: 10, fill: 'none', stroke: 'none' })],
    ['no paint', (canvas) => canvas.circle({ at: [50, 20], radius: 10, fill: '#0000' })],
    ['opacity 0', (canvas) => canvas.group({ opacity: 0 }, () => canvas.circle({ at: [50, 20], radius: 10 }))],
    ['squashed flat', (canvas) => canvas.circle({ at: [50, 20], radius: 10, scale: [1, 0] })],
    ['clipped away', (canvas) => canvas.group({ clip: (region) => region.dot({ at: [150, 80] }) }, () => canvas.circle({ at: [50, 20], radius: 10 }))],
    ['off the canvas', (canvas) => canvas.rect({ from: [200, 20], to: [240, 60] })],
    ['no size', (canvas) => canvas.circle({ at: [50, 20], radius: 0 })],
    ['no size', (canvas) => canvas.rect({ at: [50, 20], size: [0, 10] })],
    ['no size', (canvas) => canvas.polyline({ points: [[50, 20], [50, 20]] })],
    ['no size', (canvas) => canvas.text('', { at: [50, 20] })],
    [undefined, (canvas) => canvas.line({ from: [50, 20], to: [50, 20], stroke: { width: 6, cap: 'round' } })],
    ['too small', (canvas) => canvas.circle({ at: [50, 20], radius: 0.01 })],
    ['too small', (canvas) => canvas.line({ from: [50, 20], to: [90, 40], stroke: { width: 0.0001 } })],
    ['clipped away', (canvas) => canvas.group({ clip: (region) => region.dot({ at: [150, 80] }) }, () => canvas.circle({ at: [50, 20], radius: 10, fill: linearGradient({ from: [0, 0], to: [200, 0], stops: ['#000', '#fff'] }) }))],
    [undefined, (canvas) => canvas.circle({ at: [0, 20], radius: 10 })],
    [undefined, (canvas) => canvas.line({ from: [0, -1], to: [200, -1], stroke: { width: 6 } })],
  ])('says why an item cannot be seen: %s', (why, paint) => {
    expect(itemsOf(paint).map(({ hidden }) => hidden)).toEqual([why]);
  }); // prettier-ignore

  test('says of one that lies wholly under others that it is covered', () => {
    const items = itemsOf((canvas) => {
      canvas.circle({ at: [50, 50], radius: 10, fill: 'gold' });
      canvas.rect({ from: [30, 30], to: [70, 70], fill: 'navy' });
    });
    expect(items.map(({ hidden, seen, coveredBy }) => [hidden, seen, coveredBy])).toEqual([['covered', 0, 2], [undefined, 1, undefined]]);
  }); // prettier-ignore

  test('says which one covers it, through others in between, and none where only several together do', () => {
    const items = itemsOf((canvas) => {
      canvas.circle({ at: [50, 50], radius: 10, fill: 'gold' });
      canvas.rect({ from: [0, 0], to: [50, 100], fill: 'navy' });
      canvas.rect({ from: [50, 0], to: [100, 100], fill: 'teal' });
      canvas.circle({ at: [20, 50], radius: 10, fill: 'gold' });
      canvas.circle({ at: [20, 50], radius: 11, fill: 'navy', opacity: 0.5 });
      canvas.rect({ from: [5, 35], to: [35, 65], fill: 'teal' });
    });
    expect(items.map(({ coveredBy }) => coveredBy)).toEqual([undefined, undefined, undefined, 6, 6, undefined]);
    expect(items[0].hidden).toBe('covered');
  }); // prettier-ignore

  test('a transform in words builds the same transform again', () => {
    const number = fc.integer({ min: -300, max: 300 });
    const size = fc.integer({ min: 1, max: 40 }).map((tenths) => tenths / 10);
    fc.assert(
      fc.property(number, number, fc.integer({ min: -179, max: 180 }), fc.integer({ min: -60, max: 60 }), size, size, fc.boolean(), (x, y, turn, lean, sx, sy, mirrored) => {
        const down = mirrored ? -sy : sy;
        const matrix = [translation(x, y), rotation(turn), skewing(lean, 0), scaling(sx, down)].reduce(multiply);
        const words = transformInWords(matrix);
        const read = (pattern: RegExp, or: string): number[] => (pattern.exec(words)?.[1] ?? or).split(', ').map(Number);
        const [mx, my] = read(/moved to (\S+, [^,]+)/, '0, 0');
        const [across, high = across] = read(/scaled by (.+)$/, '1');
        const again = [translation(mx, my), rotation(read(/turned by ([^°]+)/, '0')[0]), skewing(read(/leaned by ([^°]+)/, '0')[0], 0), scaling(across, high)].reduce(multiply);
        for (const [i, part] of matrix.entries()) expect(again[i]).toBeCloseTo(part, 3);
      }),
    );
  }); // prettier-ignore
});

test('the items at a point are named from the topmost down, covered ones too', () => {
  const frame = frameOf((canvas) => {
    canvas.circle({ at: [50, 50], radius: 10, fill: 'gold' });
    canvas.rect({ from: [30, 30], to: [70, 70], fill: 'navy' });
    canvas.rect({ from: [60, 30], to: [70, 70], fill: 'teal', layer: -1 });
  });
  expect(itemsAt(frame, 50, 50)).toEqual([1, 0]);
  expect(itemsAt(frame, 65, 50)).toEqual([1, 2]);
  expect(itemsAt(frame, 5, 5)).toEqual([]);
});

test('two paintings are the same frame only where nothing of them differs', () => {
  const paint = (radius: number, fill: string, traced = false): Frame =>
    frameOf((canvas) => canvas.circle({ at: [50, 50], radius, fill, label: 'lamp' }), traced);
  expect(isSameFrame(paint(10, 'gold'), paint(10, 'gold', true))).toBe(true);
  expect(isSameFrame(paint(10, 'gold'), paint(10.5, 'gold'))).toBe(false);
  expect(isSameFrame(paint(10, 'gold'), paint(10, 'teal'))).toBe(false);
  expect(
    isSameFrame(
      paint(10, 'gold'),
      frameOf(() => undefined),
    ),
  ).toBe(false);
});
