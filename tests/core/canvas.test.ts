import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { pathBox } from '../../packages/frame-juggler/src/geometry/path.ts';
import { Canvas, rgb } from '../../packages/frame-juggler/src/index.ts';
import { errorOf, record, type Recorded } from '../helpers.ts';

const boxOf = (frame: Recorded, index = 0): number[] => {
  const item = frame.items[index];
  const { left, top, right, bottom } = pathBox(item.path, item.transform);
  return [left, top, right, bottom];
};
const spot = (canvas: Canvas): void => canvas.circle({ at: [0, 0], radius: 1 });

describe('the state and its stack', () => {
  test('whatever is done between save and restore, or in a group, is undone', () => {
    const change = fc.constantFrom<(canvas: Canvas) => void>(
      (canvas) => canvas.translate([3, 4]),
      (canvas) => canvas.rotate(33, { about: [5, 5] }),
      (canvas) => canvas.scale([2, -1]),
      (canvas) => canvas.skew([10, 0]),
      (canvas) => canvas.transform([1, 2, 3, 4, 5, 6]),
      (canvas) => canvas.resetTransform(),
      (canvas) => canvas.style({ fill: 'red', stroke: { width: 3 }, opacity: 0.5 }),
      (canvas) => canvas.save(),
    );
    fc.assert(
      fc.property(fc.array(change), fc.array(change), (before, inside) => {
        const frame = record((canvas) => {
          for (const step of before) step(canvas);
          spot(canvas);
          canvas.group({ rotate: 20, fill: 'blue' }, () => inside.forEach((step) => step(canvas)));
          spot(canvas);
        });
        expect(frame.items[1]).toEqual(frame.items[0]);
      }),
    );
  });

  test('a group hands its body the canvas', () => {
    record((canvas) => canvas.group({}, (handed) => expect(handed).toBe(canvas)));
  });

  test('a group that throws leaves transform, style and stack as they were', () => {
    const frame = record((canvas) => {
      spot(canvas);
      canvas.save();
      canvas.rotate(10);
      expect(() =>
        canvas.group({ translate: [5, 5], fill: 'red', label: 'gone' }, () => {
          canvas.save();
          throw new Error('squall');
        }),
      ).toThrow('squall');
      canvas.restore();
      spot(canvas);
    });
    expect(frame.items[1]).toEqual(frame.items[0]);
    expect(frame.openSaves).toBe(0);
  });

  test('a restore too many is an error, in a group too; a save too many is counted', () => {
    expect(errorOf(() => record((canvas) => canvas.restore()))).toMatch(/^restore: there is no save left/);
    const inside = errorOf(() =>
      record((canvas) => {
        canvas.save();
        canvas.group({}, () => canvas.restore());
      }),
    );
    expect(inside).toMatch('in this group');
    expect(record((canvas) => canvas.save()).openSaves).toBe(1);
  });

  test("a group's transforms apply in the order translate, rotate, skew, scale, however written", () => {
    const one = record((canvas) => canvas.group({ scale: 2, rotate: 90, translate: [10, 0] }, () => spot(canvas)));
    const two = record((canvas) => {
      canvas.translate([10, 0]);
      canvas.rotate(90);
      canvas.scale(2);
      spot(canvas);
    });
    expect(one.items[0].transform).toEqual(two.items[0].transform);
  });

  test.each([
    ['rotate', { rotate: 70 }],
    ['skew', { skew: [20, 5] }],
    ['scale', { scale: [3, -2] }],
    ['tilt', { tilt: [70, 20] }],
    ['all of them', { rotate: 70, skew: [20, 5], scale: [3, -2], tilt: [70, 20] }],
    ['those within the plane', { rotate: 70, skew: [20, 5], scale: [3, -2] }],
  ] as const)('about a point, a group leaves that point in place: %s', (_, options) => {
    record((canvas) => {
      canvas.group({ ...options, about: [40, 30] }, () => {
        const { x, y } = canvas.toCanvas([40, 30]);
        expect([x, y]).toEqual([expect.closeTo(40, 9), expect.closeTo(30, 9)]);
        const beside = canvas.toCanvas([41, 30]);
        expect([beside.x, beside.y]).not.toEqual([expect.closeTo(41, 3), expect.closeTo(30, 3)]);
      });
    });
  });

  test('leans add up in space: two of 60° are one of 120°, and turns between them count', () => {
    const seen = (lean: (canvas: Canvas) => void): number[] => {
      let matrix: readonly number[] = [];
      record((canvas) => {
        lean(canvas);
        matrix = canvas.matrix;
      });
      return matrix.map((value) => Math.round(value * 1e9) / 1e9 + 0);
    };
    const once = seen((canvas) => canvas.tilt([120, 0]));
    expect(once).toEqual([1, 0, 0, -0.5, 0, 0]);
    expect(seen((canvas) => (canvas.tilt([60, 0]), canvas.tilt([60, 0])))).toEqual(once);
    expect(seen((canvas) => (canvas.tilt([60, 0]), canvas.scale(3), canvas.tilt([60, 0]), canvas.scale(1 / 3)))).toEqual(once);
    // Rx(90) · Rz(90) · Ry(90): the plane is turned edge on, then within itself, then back into sight.
    expect(seen((canvas) => (canvas.tilt([90, 0]), canvas.rotate(90), canvas.tilt([0, 90])))).toEqual([0, 1, -1, 0, 0, 0]);
    expect(seen((canvas) => canvas.group({ tilt: [60, 0] }, () => canvas.group({ tilt: [60, 0] }, () => (once.length = 0))))).toEqual([1, 0, 0, 1, 0, 0]);
    record((canvas) => {
      canvas.tilt([70, 20], { about: [40, 30] });
      const { x, y } = canvas.toCanvas([40, 30]);
      expect([x, y].map(Math.round)).toEqual([40, 30]);
    });
  }); // prettier-ignore

  test('toCanvas and toLocal are each other undone', () => {
    record((canvas) => {
      canvas.translate([10, 20]);
      canvas.rotate(90);
      expect(canvas.toCanvas([5, 0])).toEqual({ x: 10, y: 25 });
      expect(canvas.toLocal({ x: 10, y: 25 })).toEqual({ x: 5, y: 0 });
      canvas.scale(0);
      expect(canvas.toLocal([1, 1])).toEqual({ x: NaN, y: NaN });
    });
  });
});

describe('where shapes go', () => {
  test('an ellipse exchanged for a rect stays where it was, under every anchor', () => {
    const place = { at: [40, 30], size: [20, 10] } as const;
    const anchors = { center: [30, 25], 'top-left': [40, 30], 'bottom-right': [20, 20], left: [40, 25], top: [30, 30] };
    for (const [anchor, [left, top]] of Object.entries(anchors))
      for (const shape of ['rect', 'ellipse'] as const)
        expect(boxOf(record((canvas) => canvas[shape]({ ...place, anchor: anchor as 'left' })))).toEqual([
          left,
          top,
          left + 20,
          top + 10,
        ]);
  });

  test('two corners in either order are one box', () => {
    const one = record((canvas) => canvas.rect({ from: [10, 40], to: [30, 20] }));
    expect(boxOf(one)).toEqual([10, 20, 30, 40]);
    expect(one).toEqual(record((canvas) => canvas.rect({ from: { x: 30, y: 20 }, to: [10, 40] })));
  });

  test('a shape turns about its pin: at, or the middle of what has none', () => {
    const turned = record((canvas) => {
      canvas.rect({ at: [50, 50], anchor: 'left', size: [20, 4], rotate: 90 });
      canvas.line({ from: [10, 10], to: [30, 10], rotate: 90 });
    });
    [48, 50, 52, 70].forEach((side, i) => expect(boxOf(turned)[i]).toBeCloseTo(side, 9));
    [20, 0, 20, 20].forEach((side, i) => expect(boxOf(turned, 1)[i]).toBeCloseTo(side, 9));
  });

  test('a shape grows about its pin, along its own turned axes', () => {
    const grown = { at: [20, 10], size: [4, 2], scale: [3, 2] } as const;
    expect(boxOf(record((canvas) => canvas.rect(grown)))).toEqual([14, 8, 26, 12]);
    expect(boxOf(record((canvas) => canvas.rect({ ...grown, rotate: 90 })))).toEqual([18, 4, 22, 16]);
    expect(boxOf(record((canvas) => canvas.rect({ ...grown, anchor: 'top-left' })))).toEqual([20, 10, 32, 14]);
    const points = [[0, 0], [4, 0], [4, 2]] as const; // prettier-ignore
    expect(boxOf(record((canvas) => canvas.polygon({ points, scale: 2 })))).toEqual([-2, -1, 6, 3]);
    expect(boxOf(record((canvas) => canvas.triangle({ points, scale: 2, anchor: 'bottom-right' })))).toEqual([-4, -2, 4, 2]); // prettier-ignore
  });

  test('corners that do not fit shrink together', () => {
    const pill = record((canvas) => canvas.rect({ from: [0, 0], to: [40, 20], corners: 99 }));
    expect(boxOf(pill)).toEqual([0, 0, 40, 20]);
    expect(pill.items[0].path.slice(0, 5)).toEqual([4, 10, 10, 10, 10]);
  });

  test('layers lift and sink; otherwise later covers earlier', () => {
    const frame = record((canvas) => {
      canvas.circle({ at: [0, 0], radius: 1, layer: 1, label: 'top' });
      canvas.circle({ at: [0, 0], radius: 1, label: 'first' });
      canvas.circle({ at: [0, 0], radius: 1, label: 'second' });
      canvas.group({ layer: -1 }, () => canvas.circle({ at: [0, 0], radius: 1, label: 'under' }));
    });
    expect(frame.items.map((item) => item.label)).toEqual(['under', 'first', 'second', 'top']);
  });
});

describe('style', () => {
  test('auto strokes what has no inside, in the fill color, and nothing else', () => {
    const { items } = record((canvas) => {
      canvas.style({ fill: 'teal' });
      canvas.line({ from: [0, 0], to: [9, 9] });
      canvas.rect({ at: [5, 5], size: 4 });
      canvas.line({ from: [0, 0], to: [9, 9], stroke: 'none' });
      canvas.polyline({ points: [[0, 0], [1, 1]], stroke: { color: 'red', width: 3 } }); // prettier-ignore
    });
    const teal = rgb(0, 128, 128).packed;
    expect(items.map(({ fill, stroke }) => [fill, stroke?.paint, stroke?.width])).toEqual([
      [undefined, teal, 1],
      [teal, undefined, undefined],
      [undefined, undefined, undefined],
      [undefined, rgb(255, 0, 0).packed, 3],
    ]);
  });

  test('auto makes nothing invisible by accident', () => {
    const { items } = record((canvas) => {
      canvas.circle({ at: [0, 0], radius: 1, fill: 'none' });
      canvas.circle({ at: [0, 0], radius: 1, fill: 'teal', stroke: { width: 4 } });
      canvas.circle({ at: [0, 0], radius: 1, fill: 'teal', stroke: { cap: 'round' } });
      canvas.line({ from: [0, 0], to: [9, 9], fill: 'none' });
      canvas.circle({ at: [0, 0], radius: 1, fill: 'none', stroke: 'none' });
      canvas.style({ stroke: { color: 'red', width: 3 } });
      canvas.circle({ at: [0, 0], radius: 1, fill: 'teal', stroke: 'auto' });
    });
    const black = rgb(0, 0, 0).packed;
    expect(items.map(({ stroke }) => stroke?.paint)).toEqual([black, black, undefined, black, undefined, undefined]);
    expect(items[1].stroke?.width).toBe(4);
  });

  test('how text is set stands under text, in style and group; a flat key is a mistake', () => {
    expect(errorOf(() => record((canvas) => canvas.style({ size: 20 } as never)))).toMatch('there is no option "size"');
    expect(errorOf(() => record((canvas) => canvas.style({ text: { sise: 20 } as never })))).toBe(
      'style text: there is no option "sise"; did you mean "size"?',
    );
    expect(errorOf(() => record((canvas) => canvas.group({ text: { size: -1 } }, () => undefined)))).toMatch(
      /^group text: size -1 is negative/,
    );
  });

  test('a stroke key left out keeps its value, and a shape’s own style is its own', () => {
    const { items } = record((canvas) => {
      canvas.style({ stroke: { color: 'red', width: 5, cap: 'round' } });
      canvas.style({ stroke: { width: 2 } });
      canvas.circle({ at: [0, 0], radius: 1, stroke: 'blue', fill: 'none' });
      canvas.circle({ at: [0, 0], radius: 1 });
    });
    expect(items[0].stroke).toMatchObject({ paint: rgb(0, 0, 255).packed, width: 2, cap: 'round' });
    expect(items[1].stroke).toMatchObject({ paint: rgb(255, 0, 0).packed, width: 2, cap: 'round' });
    expect(items[1].fill).toBe(rgb(0, 0, 0).packed);
  });

  test.each([
    ['cap', 'round', 'square'],
    ['join', 'bevel', 'round'],
    ['miterLimit', 9, 2],
    ['dash', [4, 2], [1, 1]],
    ['dashOffset', 3, 1],
  ] as const)('a stroke’s %s stays until another is given', (key, first, other) => {
    const { items } = record((canvas) => {
      canvas.style({ fill: 'none', stroke: { color: 'red', dash: [5, 5], [key]: first } });
      canvas.circle({ at: [0, 0], radius: 1, stroke: { width: 3 } });
      canvas.circle({ at: [0, 0], radius: 1, stroke: { [key]: other } });
      canvas.circle({ at: [0, 0], radius: 1, stroke: 'blue' });
    });
    expect(items.map(({ stroke }) => stroke?.[key])).toEqual([first, other, first]);
  });

  test('clear wipes what came before', () => {
    const frame = record((canvas) => {
      canvas.scale(0);
      spot(canvas);
      canvas.clear('navy');
    });
    expect(frame).toMatchObject({ items: [], background: rgb(0, 0, 128).packed, carry: 0 });
  });

  test('with tracing on, an item knows the line that drew it', () => {
    const [item] = record(spot, { trace: true }).items;
    expect(item.source?.file).toMatch(/canvas\.test\.ts$/);
  });
});
