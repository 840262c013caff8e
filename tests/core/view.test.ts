import { describe, expect, test } from '@jest/globals';
import { apply } from '../../packages/frame-juggler/src/geometry/matrix.ts';
import { pathBox } from '../../packages/frame-juggler/src/geometry/path.ts';
import { defineSketch, loadFonts, Run, type CanvasOptions } from '../../packages/frame-juggler/src/index.ts';
import { errorOf, plainItems, type Recorded } from '../helpers.ts';

const frameOf = async (
  canvas: CanvasOptions,
  paint: Parameters<typeof defineSketch>[0]['paint'] = () => undefined,
): Promise<Recorded> => {
  const run = new Run(defineSketch({ canvas, paint }));
  await run.goTo(0);
  const frame = await run.paint();
  return { ...frame, items: plainItems(frame) };
};
const at = async (canvas: CanvasOptions, x: number, y: number): Promise<number[]> =>
  apply((await frameOf(canvas)).view, x, y);

describe('a view box', () => {
  const canvas = { width: 400, height: 200, viewBox: [10, 20, 100, 100] as const };

  test('fits as preserveAspectRatio says', async () => {
    expect(await at(canvas, 10, 20)).toEqual([100, 0]);
    expect(await at(canvas, 110, 120)).toEqual([300, 200]);
    expect(await at({ ...canvas, preserveAspectRatio: 'xMinYMid meet' }, 10, 20)).toEqual([0, 0]);
    expect(await at({ ...canvas, preserveAspectRatio: 'xMidYMax slice' }, 10, 120)).toEqual([0, 200]);
    expect(await at({ ...canvas, preserveAspectRatio: 'none' }, 110, 120)).toEqual([400, 200]);
    expect(errorOf(() => defineSketch({ canvas: { ...canvas, preserveAspectRatio: 'middle' }, paint() {} }))).toMatch(
      'expected none, or like xMidYMid meet',
    );
    expect(errorOf(() => defineSketch({ canvas: { viewBox: [0, 0, 0, 9] }, paint() {} }))).toMatch('has no area');
  });

  test('gives the sketch its own width and height', async () => {
    await frameOf(canvas, (painted, { width, height }) =>
      expect([width, height, painted.width]).toEqual([100, 100, 100]),
    );
  });
});

describe('y upwards', () => {
  const up = { width: 100, height: 100, yAxis: 'up' } as const;
  const boxOnScreen = ({ items, view }: Recorded): number[] => {
    const { left, top, right, bottom } = pathBox(items[0].path, view);
    return [left, top, right, bottom].map((side) => Math.round(side * 1e6) / 1e6);
  };

  test('has its origin at the bottom left; top is still up, and corners go clockwise from the top left', async () => {
    expect(await at(up, 0, 0)).toEqual([0, 100]);
    expect(
      boxOnScreen(await frameOf(up, (canvas) => canvas.rect({ at: [10, 10], anchor: 'bottom-left', size: [20, 30] }))),
    ).toEqual([10, 60, 30, 90]);
    const { items } = await frameOf(up, (canvas) => canvas.rect({ from: [0, 0], to: [50, 50], corners: [9, 0, 0, 0] }));
    const arcAt = items[0].path.indexOf(4);
    expect(items[0].path.slice(arcAt + 1, arcAt + 3)).toEqual([9, 41]);
  });

  test('leaves text upright, with its anchors where they were', async () => {
    await loadFonts(['regular']);
    const [, top, , bottom] = boxOnScreen(
      await frameOf(up, (canvas) => canvas.text('L', { at: [50, 30], anchor: 'bottom', size: 40 })),
    );
    expect(bottom).toBeCloseTo(70, 4);
    expect(top).toBeLessThan(50);
    const { items, view } = await frameOf(up, (canvas) => canvas.text('L', { at: [50, 30], size: 40 }));
    // The foot of an L is at its bottom: the outline reaches furthest right there.
    const { path } = items[0];
    const points = path.flatMap((_, i) =>
      path[i] === 1 || path[i] === 0 ? [apply(view, path[i + 1], path[i + 2])] : [],
    );
    const right = points.reduce((most, point) => (point[0] > most[0] ? point : most));
    expect(right[1]).toBeGreaterThan(70);
  });
});
