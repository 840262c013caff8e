import { describe, expect, test } from '@jest/globals';
import { makeView } from '../../packages/frame-juggler/src/canvas/view.ts';
import { multiply } from '../../packages/frame-juggler/src/geometry/matrix.ts';
import { pathBox } from '../../packages/frame-juggler/src/geometry/path.ts';
import { alphaOf } from '../../packages/frame-juggler/src/paint/color.ts';
import {
  boundsOf,
  Canvas,
  defineShape,
  itemsOf,
  picture as pictureOf,
  required,
  type Box,
} from '../../packages/frame-juggler/src/index.ts';
import { errorOf, inkArea, picture, pixel, record, type Recorded } from '../helpers.ts';

const sides = ({ left, top, right, bottom }: Box): number[] => [left, top, right, bottom];
const boxOf = ({ items }: Recorded): number[] => sides(pathBox(items[0].path, items[0].transform));
const near = (a: number[], b: number[], digits = 9): void =>
  a.forEach((value, i) => expect(value).toBeCloseTo(b[i], digits));

describe('shapes', () => {
  test('have the areas of geometry', () => {
    const area = (draw: Parameters<typeof picture>[0]): number => inkArea(picture(draw));
    const slice = { at: [50, 50] as const, radius: 40, start: 0, end: 90 };
    expect(area((c) => c.arc({ ...slice, close: 'sector' }))).toBeCloseTo(Math.PI * 400, -1);
    expect(area((c) => c.arc({ ...slice, close: 'chord' }))).toBeCloseTo(Math.PI * 400 - 800, -1);
    expect(area((c) => c.polygon({ at: [50, 50], radius: 40, sides: 6 }))).toBeCloseTo(1.5 * Math.sqrt(3) * 1600, 0);
    expect(area((c) => c.star({ at: [50, 50], radius: 40, innerRadius: 20, tips: 5 }))).toBeCloseTo(
      10 * 0.5 * 40 * 20 * Math.sin(Math.PI / 5),
      0,
    );
    expect(area((c) => c.path({ data: 'M10 10h60v60h-60z M20 20h20v20h-20z', fillRule: 'evenodd' }))).toBeCloseTo(
      3200,
      1,
    );
    expect(area((c) => c.path({ data: 'M10 10h60v60h-60z M20 20h20v20h-20z' }))).toBeCloseTo(3600, 1);
  });

  test('are as large as their options say, given by a radius, a diameter, a size or nothing', () => {
    expect(sides(boundsOf('dot', { at: [10, 10] }))).toEqual([8, 8, 12, 12]);
    expect(sides(boundsOf('dot', { at: [10, 10], size: 6 }))).toEqual([7, 7, 13, 13]);
    expect(sides(boundsOf('circle', { at: [10, 10], radius: 6 }))).toEqual([4, 4, 16, 16]);
    expect(sides(boundsOf('circle', { at: [10, 10], diameter: 6 }))).toEqual([7, 7, 13, 13]);
    expect(sides(boundsOf('ellipse', { at: [10, 10], radii: [6, 2] }))).toEqual([4, 8, 16, 12]);
    expect(sides(boundsOf('ellipse', { at: [10, 10], size: [6, 2] }))).toEqual([7, 9, 13, 11]);
    expect(sides(boundsOf('arc', { at: [10, 10], radii: [6, 2], start: 0, end: 360 }))).toEqual([4, 8, 16, 12]);
    expect(boundsOf('rect', { at: [10, 10], size: [8, 2], rotate: 90 })).toMatchObject({ width: 2, height: 8 });
  });

  test('an arc’s outline is open, or leads back straight, or through its middle', () => {
    const drawn = (close?: 'chord' | 'sector', end = 90): number[] => {
      const stroke = { color: 'black', width: 2 };
      const shown = picture((c) => c.arc({ at: [50, 50], radius: 40, start: 0, end, fill: 'none', stroke, ...(close && { close }) })); // prettier-ignore
      // On the edge, on the chord's middle, and on either straight side of the sector.
      return [[78, 78], [69, 69], [70, 50], [50, 70]].map(([x, y]) => 1 - Math.round(pixel(shown, x, y)[0] / 255)); // prettier-ignore
    };
    expect(drawn()).toEqual([1, 0, 0, 0]);
    expect(drawn('chord')).toEqual([1, 1, 0, 0]);
    expect(drawn('sector')).toEqual([1, 0, 1, 1]);
    // A whole turn has no ends that could lead to the middle.
    expect(drawn('sector', 360)).toEqual([1, 0, 0, 0]);
  });

  test('a picture stands upright in its box, whole or in part, whichever way y goes', () => {
    const flag = pictureOf(3, 2, (own) => {
      own.rect({ from: [0, 0], to: [3, 1], fill: '#f00' });
      own.rect({ from: [2, 1], to: [3, 2], fill: '#00f' });
    });
    const colors = (yAxis: 'up' | 'down', options: object): string[] => {
      const view = makeView(100, 100, { yAxis });
      const shown = picture((c) => c.picture(flag, { at: [50, 50], smooth: false, ...options } as never), { view });
      const name: Record<string, string> = { '255,0,0': 'red', '0,0,255': 'blue', '255,255,255': '-' };
      return [[45, 45], [45, 55], [55, 55], [65, 55], [45, 75]].map(([x, y]) => name[pixel(shown, x, y).slice(0, 3).join()]); // prettier-ignore
    };
    for (const yAxis of ['down', 'up'] as const) {
      expect(colors(yAxis, { size: [60, 40] })).toEqual(['red', '-', '-', 'blue', '-']);
      expect(colors(yAxis, { size: [60, 40], crop: { from: [3, 2], to: [1, 0] } })).toEqual(['red', '-', 'blue', 'blue', '-']); // prettier-ignore
      expect(colors(yAxis, { size: 60, crop: { from: [2, 1], to: [3, 2] } })).toEqual(['blue', 'blue', 'blue', 'blue', 'blue']); // prettier-ignore
    }
    // Without a size a picture's pixels are units.
    expect(boxOf(record((c) => c.picture(flag, { at: [50, 50] })))).toEqual([48.5, 49, 51.5, 51]);
    for (const crop of [
      { from: [0, 0], to: [4, 2] },
      { from: [0, 0], to: [3, 3] },
      { from: [-1, 0], to: [3, 2] },
      { from: [0, 0], to: [1.5, 2] },
      { from: [1, 0], to: [1, 2] },
    ])
      // prettier-ignore
      expect(errorOf(() => record((c) => c.picture(flag, { at: [0, 0], crop } as never)))).toMatch(
        'is not a part of the picture; expected two opposite corners, in whole pixels, within 3 × 2',
      );
  });

  test('a circle scaled up a thousandfold is round', () => {
    const edge = picture((canvas) => {
      canvas.translate([-39_950, 50]);
      canvas.scale(1000);
      canvas.circle({ at: [0, 0], radius: 40 });
    });
    for (let y = 0; y < 100; y += 9) {
      const x = Math.sqrt(40_000 ** 2 - (y + 0.5 - 50) ** 2) - 39_950;
      const covered = edge.data
        .filter((_, at) => at % 4 === 0 && Math.floor(at / 400) === y)
        .reduce((sum, value) => sum + 1 - value / 255, 0);
      expect(Math.abs(covered - x)).toBeLessThan(0.1);
    }
  });

  test('a curve passes through all its points, and tension straightens it', () => {
    const points = [[10, 80], [40, 20], [70, 60], [90, 30]] as const; // prettier-ignore
    const drawn = picture((canvas) => canvas.spline({ points, stroke: { color: 'black', width: 3 } }));
    for (const [x, y] of points.slice(1, 3)) expect(pixel(drawn, x, y)[0]).toBeLessThan(20);
    const straight = picture((canvas) => canvas.spline({ points, tension: 1 }));
    expect(Math.abs(inkArea(straight) - inkArea(picture((canvas) => canvas.polyline({ points }))))).toBeLessThan(1);
  });

  test('a spline runs at each point as its two neighbors lie, and tension shortens what bends it', () => {
    /** The middles between the points; a curve is written as its command, two controls and its end. */
    const middles = (options: { closed?: boolean; tension?: number }): number[][] => {
      const { path } = record((c) => c.spline({ points: [[0, 0], [16, 32], [48, 16], [64, 64]], ...options })).items[0]; // prettier-ignore
      const found: number[][] = [];
      for (let at = 3, from = path.slice(1, 3); at + 7 <= path.length; from = path.slice(at + 5, at + 7), at += 7)
        found.push([0, 1].map((i) => (from[i] + 3 * path[at + 1 + i] + 3 * path[at + 3 + i] + path[at + 5 + i]) / 8));
      return found;
    };
    // (−a + 9b + 9c − d) / 16, with a point more at either end where it is open.
    expect(middles({})).toEqual([[6, 17], [32, 23], [58, 39]]); // prettier-ignore
    expect(middles({ closed: true })).toEqual([[2, 13], [32, 23], [62, 43], [32, 33]]); // prettier-ignore
    // Half way to the straight lines' middles.
    expect(middles({ tension: 0.5 })).toEqual([[7, 16.5], [32, 23.5], [57, 39.5]]); // prettier-ignore
  });

  test.each(['polyline', 'polygon', 'spline'] as const)('a %s of less than two points draws nothing, and turns about nothing', (shape) => {
    const frame = record((canvas) => {
      for (const points of [[], [[5, 8]] as const])
        for (const closed of shape === 'polygon' ? [{}] : [{ closed: false }, { closed: true }])
          canvas[shape]({ points, ...closed, rotate: 20, anchor: 'left', stroke: { color: 'teal', width: 6, cap: 'round' } });
    });
    expect(frame.items.length).toBeGreaterThan(1);
    for (const { start, end, transform } of itemsOf(frame)) expect([end - start, transform]).toEqual([0, [1, 0, 0, 1, 0, 0]]);
    const { left, right, width, height } = boundsOf(shape, { points: [], scale: 2 });
    expect(left).toBeGreaterThan(right);
    expect([width, height]).toEqual([0, 0]);
  }); // prettier-ignore

  test('a rect’s corners are round as they are told, from the top left, clockwise', () => {
    const corners = [4, 10, 16, 22] as const;
    const rounded = picture((c) => c.rect({ from: [10, 10], to: [90, 90], corners }));
    const cut = corners.reduce((sum, radius) => sum + radius * radius * (1 - Math.PI / 4), 0);
    expect(Math.abs(inkArea(rounded) - 6400 + cut)).toBeLessThan(2);
    // On its way from a corner to the middle, the ink begins after (√2 − 1) of the radius.
    const begins = [
      [10, 10, 1, 1],
      [89, 10, -1, 1],
      [89, 89, -1, -1],
      [10, 89, 1, -1],
    ].map(([x, y, stepX, stepY]) => {
      // prettier-ignore
      let steps = 0;
      while (pixel(rounded, x + steps * stepX, y + steps * stepY)[0] > 128) steps++;
      return steps;
    });
    expect(begins).toEqual(corners.map((radius) => Math.round(radius * (1 - Math.SQRT1_2))));
    const outlined = picture((c) => c.rect({ from: [10, 10], to: [90, 90], corners, fill: 'none', stroke: { color: 'black', width: 2 } })); // prettier-ignore
    const around = 320 - corners.reduce((sum, radius) => sum + radius * (2 - Math.PI / 2), 0);
    expect(Math.abs(inkArea(outlined) - 2 * around)).toBeLessThan(2);
  });

  test('a star and a regular polygon point up, also where y goes up', () => {
    const cornersOf = (yAxis: 'up' | 'down', draw: (canvas: Canvas) => void): string[] => {
      const { path } = record(draw, { view: makeView(100, 100, { yAxis }) }).items[0];
      const found = [];
      for (let at = 0; at + 3 <= path.length; at += 3) found.push(`${path[at + 1].toFixed(1)} ${path[at + 2].toFixed(1)}`);
      return found.map((corner) => corner.replace(/-0\.0/g, '0.0'));
    }; // prettier-ignore
    const star = (c: Canvas): unknown => c.star({ at: [0, 0], radius: 10 });
    expect(cornersOf('down', star).slice(0, 3)).toEqual(['0.0 -10.0', '2.9 -4.0', '9.5 -3.1']);
    expect(cornersOf('up', star).slice(0, 1)).toEqual(['0.0 10.0']);
    expect(cornersOf('down', star)).toHaveLength(10);
    const square = (c: Canvas): unknown => c.polygon({ at: [0, 0], radius: 10, sides: 4 });
    expect(cornersOf('down', square)).toEqual(['0.0 -10.0', '10.0 0.0', '0.0 10.0', '-10.0 0.0']);
    expect(cornersOf('up', square)).toEqual(['0.0 10.0', '-10.0 0.0', '0.0 -10.0', '10.0 0.0']);
  });

  test('an anchor says about which point of its box a shape turns, given by corners too', () => {
    const turned = (anchor: 'top-left' | 'bottom' | 'right'): number[] =>
      sides(boundsOf('rect', { from: [12, 4], to: [2, 0], rotate: 90, anchor })).map((value) =>
        Number(value.toFixed(9)),
      );
    expect([turned('top-left'), turned('bottom'), turned('right')]).toEqual([[-2, 0, 2, 10], [7, -1, 11, 9], [10, -8, 14, 2]]); // prettier-ignore
  });

  test('what has no inside is never filled; a path has one where it closes', () => {
    const { items } = record((canvas) => {
      canvas.arc({ at: [0, 0], radius: 9, start: 0, end: 90 });
      canvas.spline({ points: [[0, 0], [9, 9]] }); // prettier-ignore
      canvas.path({ data: 'M0 0L9 9L0 9' });
      canvas.path({ data: 'M0 0L9 9L0 9z' });
      canvas.path({ build: (path) => path.moveTo(0, 0).lineTo(9, 9).lineTo(0, 9).lineTo(0, 0) });
    });
    expect(items.map((item) => item.fill !== undefined)).toEqual([false, false, false, true, true]);
  });

  test('boundsOf answers the box of what would be drawn', () => {
    near(
      sides(boundsOf('arc', { at: [0, 0], radius: 10, start: 45, end: 135 })),
      [-7.0710678, 7.0710678, 7.0710678, 10],
      6,
    );
    near(sides(boundsOf('rect', { at: [10, 10], size: [8, 2], rotate: 90 })), [9, 6, 11, 14]);
    near(sides(boundsOf('path', { data: 'M0 0C0 10 10 10 10 0' })), [0, 0, 10, 7.5]);
    expect(errorOf(() => boundsOf('cirle' as 'circle', { at: [0, 0], radius: 1 }))).toBe(
      'boundsOf: kind "cirle" is not a shape; did you mean "circle"?',
    );
  });

  test('a shape of the sketch’s own sits on its pin, and is checked like any other', () => {
    const bollard = defineShape({
      name: 'bollard',
      options: { tall: 20 },
      outline: ({ tall }, path, { width }) => void path.rect(0, 0, width / 10, tall),
    });
    expect(boxOf(record((canvas) => canvas.shape(bollard, { at: [5, 5], tall: 30 })))).toEqual([5, 5, 15, 35]);
    expect(boxOf(record((canvas) => canvas.shape(bollard, { at: [5, 5], anchor: 'bottom-right' })))).toEqual([
      -5, -15, 5, 5,
    ]);
    expect(sides(boundsOf(bollard, { at: [0, 0], rotate: 180 }))).toEqual([0, -20, 0, 0]);
    expect(errorOf(() => record((canvas) => canvas.shape(bollard, { at: [5, 5], tal: 30 } as never)))).toMatch(
      'bollard: there is no option "tal"; did you mean "tall"?',
    );
  });

  test('an option of such a shape that is missing, misspelled or of another kind is an error like any other', () => {
    const jetty = defineShape({
      name: 'jetty',
      options: { reach: required, planks: 4, lit: false },
      outline: ({ reach, planks }, path) => void path.rect(0, 0, reach, planks),
    });
    const said = (options: object): string =>
      errorOf(() => record((canvas) => canvas.shape(jetty, { at: [0, 0], ...options } as never)));
    expect(said({})).toMatch(/^jetty: reach is missing; expected a value/);
    expect(said({ reach: NaN })).toMatch(/^jetty: reach NaN is not finite/);
    expect(said({ reach: 9, planks: Infinity })).toBe('jetty: planks Infinity is not finite; expected a finite number');
    expect(said({ reach: 9, lit: 'yes' })).toBe('jetty: lit "yes" is not true or false; expected true or false');
    expect(boxOf(record((canvas) => canvas.shape(jetty, { at: [5, 5], reach: 30 })))).toEqual([5, 5, 35, 9]);
  });

  test('a grid holds a line for every step, and numbers its axes', async () => {
    const { loadFonts } = await import('../../packages/frame-juggler/src/index.ts');
    await loadFonts(['regular']);
    const frame = record((canvas) => (canvas.scale(4), canvas.grid({ from: [-20, -10], to: [30, 10], spacing: 10 })));
    expect(frame.items.filter((item) => item.text !== undefined).map((item) => item.text)).toEqual([
      '-20',
      '-10',
      '0',
      '10',
      '20',
      '30',
      '-10',
      '10',
    ]);
    expect(errorOf(() => record((canvas) => canvas.grid({ spacing: 0 })))).toMatch('spacing');

    // However large the units are: lines of one pixel, the axes bolder, and numbers of one size, beside their lines.
    const looks = (scale: number): unknown => {
      const { items } = record((canvas) => (canvas.scale(scale), canvas.grid({ from: [0, 0], to: [60 / scale, 40 / scale], spacing: 30 / scale }))); // prettier-ignore
      const numbers = items.filter((item) => item.text !== undefined);
      const lines = items.filter((item) => item.text === undefined);
      return [
        lines.map(({ stroke }) => [stroke!.width * scale, alphaOf(stroke!.paint as number)]),
        numbers.length,
        Object.values(pathBox(numbers[0].path, numbers[0].transform)).map((value) => Math.round(value * 1e6)),
      ];
    };
    expect(looks(1)).toEqual([
      [
        [1, 110],
        [1, 230],
      ],
      4,
      expect.anything(),
    ]);
    expect(looks(4)).toEqual(looks(1));
    expect(looks(0.5)).toEqual(looks(1));
  });

  test('numbers of a grid stay on the canvas, whichever side of it its axes are on', async () => {
    const { loadFonts } = await import('../../packages/frame-juggler/src/index.ts');
    await loadFonts(['regular']);
    const heightsOf = (viewBox: readonly [number, number, number, number], yAxis: 'up' | 'down'): [number, number] => {
      const view = makeView(160, 90, { viewBox, yAxis });
      const canvas = new Canvas({ width: 160, height: 90, density: 1, background: 0, carry: 0, view });
      canvas.grid({ spacing: [80, 45] });
      const numbers = [...itemsOf(canvas.finish())].filter(({ text }) => text !== undefined);
      const boxes = numbers.map(({ path, transform }) => pathBox(path, multiply(view.matrix, transform)));
      const apart = (a: Box, b: Box): boolean => a.right < b.left || b.right < a.left || a.bottom < b.top || b.bottom < a.top; // prettier-ignore
      expect(boxes.filter(({ left, right, top, bottom }) => left < 0 || right > 160 || top < 0 || bottom > 90)).toEqual([]); // prettier-ignore
      expect(boxes.filter((one, i) => boxes.slice(0, i).some((other) => !apart(one, other)))).toEqual([]);
      const boxOf = (...texts: string[]): Box => boxes[numbers.findIndex(({ text }) => texts.includes(text!))];
      const { top, bottom } = boxOf('80', '-80');
      besides.push(Math.round(boxOf('45', '-45').left));
      return [Math.round(top), Math.round(bottom)];
    };
    const besides: number[] = [];
    expect(heightsOf([0, 0, 160, 90], 'down')).toEqual([3, 10]);
    expect(heightsOf([0, 0, 160, 90], 'up')).toEqual([80, 87]);
    expect(heightsOf([-160, -90, 160, 90], 'down')).toEqual([80, 87]);
    expect(heightsOf([-80, -45, 160, 90], 'up')).toEqual([48, 55]);
    // To the right of the y axis, or to its left where that is the canvas's edge.
    expect(besides).toEqual([4, 4, 142, 84]);
    expect(heightsOf([10, 20, 160, 90], 'down')).toEqual([3, 10]);
  });

  test('lines of a grid that are close have fewer numbers: every second, fifth or tenth', async () => {
    const { loadFonts } = await import('../../packages/frame-juggler/src/index.ts');
    await loadFonts(['regular']);
    const numbersOf = (spacing: readonly [number, number]): string => {
      const { items } = record((canvas) => canvas.grid({ from: [0, 0], to: [120, 60], spacing }));
      return items.flatMap(({ text }) => text ?? []).join(' ');
    };
    expect(numbersOf([30, 30])).toBe('0 30 60 90 120 30 60');
    expect(numbersOf([15, 15])).toBe('0 30 60 90 120 30 60');
    expect(numbersOf([5, 20])).toBe('0 25 50 75 100 20 40 60');
    expect(numbersOf([60, 2])).toBe('0 60 120 20 40 60');
  });

  test('a grid without a spacing has twelve steps or fewer along its longer side, each a round number', async () => {
    const { loadFonts } = await import('../../packages/frame-juggler/src/index.ts');
    await loadFonts(['regular']);
    const stepOf = (to: readonly [number, number]): number => {
      const { items } = record((canvas) => (canvas.scale(900 / Math.max(...to)), canvas.grid({ from: [0, 0], to })));
      return Number(items.filter(({ text }) => text !== undefined)[1].text);
    };
    expect([90, 120, 121, 240, 241, 600, 601, 0.9].map((width) => stepOf([width, width / 2]))).toEqual([10, 10, 20, 20, 50, 50, 100, 0.1]); // prettier-ignore
    expect(stepOf([60, 130])).toBe(20);
  });

  test('a grid has the lines of its ends, where its spacing is no exact number too', async () => {
    const { loadFonts } = await import('../../packages/frame-juggler/src/index.ts');
    await loadFonts(['regular']);
    const columnsOf = (from: number, to: number, spacing: number): string[] => {
      const { items } = record(
        (canvas) => (canvas.scale(500), canvas.grid({ from: [from, 0], to: [to, spacing / 2], spacing })),
      );
      return items.flatMap(({ text }) => text ?? []);
    };
    expect(columnsOf(0, 0.3, 0.1)).toEqual(['0', '0.1', '0.2', '0.3']);
    expect(columnsOf(-0.3, 0.15, 0.1)).toEqual(['-0.3', '-0.2', '-0.1', '0', '0.1']);
    expect(columnsOf(0.7, 1.1, 0.1)).toEqual(['0.7', '0.8', '0.9', '1', '1.1']);
  });

  test('a grid rules the whole canvas, wherever its view box begins', () => {
    const canvas = new Canvas({ width: 160, height: 90, density: 1, background: 0, carry: 0, view: makeView(160, 90, { viewBox: [-8, -4.5, 16, 9], yAxis: 'up' }) }); // prettier-ignore
    canvas.grid({ numbers: false });
    const boxes = [...itemsOf(canvas.finish())].map(({ path }) => pathBox(path));
    expect(boxes.map(({ left }) => left)).toEqual([-8, -8]);
    expect(boxes.map(({ bottom }) => bottom)).toEqual([4.5, 4.5]);
  });
});
