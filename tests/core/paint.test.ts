import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  conicGradient,
  linearGradient,
  pattern,
  picture as paintPicture,
  radialGradient,
  type BlendMode,
  type Canvas,
  type PaintLike,
} from '../../packages/frame-juggler/src/index.ts';
import { turnOf } from '../../packages/frame-juggler/src/geometry/angle.ts';
import { errorOf, inkArea, picture, pixel, record } from '../helpers.ts';

const filled = (fill: PaintLike): ReturnType<typeof picture> =>
  picture((canvas) => canvas.rect({ from: [0, 0], to: [100, 100], fill }));
const reds = (fill: PaintLike, ...xs: number[]): number[] => xs.map((x) => pixel(filled(fill), x, 50)[0]);
const stops = ['black', 'white'] as const;

describe('gradients', () => {
  test('run from stop to stop, and beyond as their spread says', () => {
    const along = { from: [20, 0], to: [60, 0], stops } as const;
    const level = (offset: number): number => Math.round(offset * 255);
    const near = (found: number[], wanted: number[]): void =>
      found.forEach((value, i) => expect(Math.abs(value - wanted[i])).toBeLessThanOrEqual(1));
    near(reds(linearGradient(along), 5, 39, 80), [0, level(19.5 / 40), 255]);
    near(reds(linearGradient({ ...along, spread: 'repeat' }), 9, 79), [level(29.5 / 40), level(19.5 / 40)]);
    near(reds(linearGradient({ ...along, spread: 'reflect' }), 9, 79), [level(10.5 / 40), level(20.5 / 40)]);
    near(reds(radialGradient({ at: [50, 50.5], radius: 50, stops }), 50, 75, 99), [
      level(0.01),
      level(0.51),
      level(0.99),
    ]);
    near(reds(conicGradient({ at: [50, 50.5], start: 180, stops }), 80), [level(0.5)]);
  });

  test('in fractions of the box they fit every shape; in units they move with the shape', () => {
    const half = linearGradient({
      from: [0, 0],
      to: [1, 0],
      units: 'box',
      stops: ['black', [0.5, 'black'], [0.5, 'white'], 'white'],
    });
    for (const size of [20, 60])
      expect(inkArea(picture((canvas) => canvas.rect({ at: [50, 50], size, fill: half })))).toBeCloseTo(
        (size * size) / 2,
        0,
      );
    const turned = picture((canvas) => canvas.rect({ at: [50, 50], size: 60, rotate: 90, fill: half }));
    expect([pixel(turned, 50, 30)[0], pixel(turned, 50, 70)[0]]).toEqual([0, 255]);
  });

  test('round a point go by its direction, exact at quarter turns', () => {
    expect([turnOf(3, 0), turnOf(0, 3), turnOf(-3, 0), turnOf(0, -3), turnOf(0, 0)]).toEqual([0, 0.25, 0.5, 0.75, 0]);
    const place = fc.double({ min: -1e6, max: 1e6, noNaN: true });
    fc.assert(
      fc.property(place, place, (x, y) => {
        const apart = Math.abs(turnOf(x, y) - Math.atan2(y, x) / (2 * Math.PI)) % 1;
        expect(Math.min(apart, 1 - apart)).toBeLessThan(2e-8);
      }),
    );
  });

  test('mistakes are named', () => {
    expect(errorOf(() => linearGradient({ from: [0, 0], to: [1, 1], stops: ['red'] }))).toMatch('at least 2 colors');
    expect(errorOf(() => linearGradient({ from: [0, 0], to: [1, 1], stops: ['red', 'bleu'] }))).toBe(
      'linearGradient: stops[1] "bleu" is not a color; did you mean "blue"?',
    );
    expect(errorOf(() => radialGradient({ at: [0, 0], radius: 1, stops: [[0.6, 'red'], [0.2, 'blue']] }))).toMatch('expected rising offsets'); // prettier-ignore
    expect(errorOf(() => record((canvas) => canvas.style({ fill: { type: 'linear', stops } as never })))).toMatch(
      'make gradients with linearGradient',
    );
  });
});

describe('blend modes', () => {
  const over = (blend: BlendMode, source: string, backdrop: string): number[] =>
    pixel(
      picture((canvas) => {
        canvas.clear(backdrop);
        canvas.rect({ from: [0, 0], to: [100, 100], fill: source, blend });
      }),
      50,
      50,
    ).slice(0, 3);

  // By the formulas of W3C Compositing and Blending 1, worked out for one pair of colors.
  const [source, backdrop] = ['rgb(204 102 51)', 'rgb(51 153 255)'];
  const expected: Record<BlendMode, [number, number, number]> = {
    normal: [204, 102, 51],
    multiply: [41, 61, 51],
    screen: [214, 194, 255],
    overlay: [82, 133, 255],
    darken: [51, 102, 51],
    lighten: [204, 153, 255],
    'color-dodge': [255, 255, 255],
    'color-burn': [0, 0, 255],
    'hard-light': [173, 122, 102],
    'soft-light': [89, 141, 255],
    difference: [153, 51, 204],
    exclusion: [173, 133, 204],
    hue: [232, 96, 28],
    saturation: [78, 154, 231],
    color: [219, 117, 66],
    luminosity: [36, 138, 240],
  };
  const close = (found: number[], wanted: number[]): void =>
    found.forEach((value, i) => expect(Math.abs(value - wanted[i])).toBeLessThanOrEqual(1));

  test.each(
    Object.keys(expected).filter((mode) => !['hue', 'saturation', 'color', 'luminosity'].includes(mode)) as BlendMode[],
  )('%s', (mode) => close(over(mode, source, backdrop), expected[mode]));

  test('hue, saturation, color and luminosity keep what they should', () => {
    const luminosity = ([r, g, b]: number[]): number => 0.3 * r + 0.59 * g + 0.11 * b;
    const lit = luminosity([51, 153, 255]);
    for (const mode of ['hue', 'saturation', 'color'] as const)
      expect(Math.abs(luminosity(over(mode, source, backdrop)) - lit)).toBeLessThan(1.5);
    expect(Math.abs(luminosity(over('luminosity', source, backdrop)) - luminosity([204, 102, 51]))).toBeLessThan(1.5);
    close(over('saturation', 'grey', backdrop), [lit, lit, lit]);
  });

  test('on nothing, every mode is as normal', () => {
    const fill = (canvas: Canvas, blend: BlendMode): void =>
      canvas.rect({ from: [0, 0], to: [100, 100], fill: '#3366cc80', blend });
    for (const mode of Object.keys(expected) as BlendMode[])
      close(
        pixel(
          picture((canvas) => fill(canvas, mode), { background: 0 }),
          5,
          5,
        ),
        [51, 102, 204, 128],
      );
  });
});

describe('groups as one picture', () => {
  const discs = (canvas: Canvas): void => {
    canvas.circle({ at: [40, 50], radius: 25 });
    canvas.circle({ at: [60, 50], radius: 25 });
  };

  test('opacity does not show what overlaps', () => {
    const faded = picture((canvas) => canvas.group({ opacity: 0.5 }, () => discs(canvas)));
    for (const x of [25, 50, 75]) expect([127, 128]).toContain(pixel(faded, x, 50)[0]);
  });

  test('a clip keeps exactly its region, in the group’s own transform; one in another keeps both', () => {
    const kept = picture((canvas) =>
      canvas.group({ translate: [50, 50], clip: (region) => region.rect({ at: [0, 0], size: 30 }) }, () =>
        canvas.rect({ from: [-50, -50], to: [50, 0] }),
      ),
    );
    expect(inkArea(kept)).toBeCloseTo(450, 1);
    const both = picture((canvas) =>
      canvas.group({ clip: (region) => region.rect({ from: [0, 0], to: [60, 100] }) }, () =>
        canvas.group({ clip: (region) => region.rect({ from: [40, 0], to: [100, 100] }) }, () =>
          canvas.rect({ from: [0, 0], to: [100, 100] }),
        ),
      ),
    );
    expect(inkArea(both)).toBeCloseTo(2000, 1);
  });

  test('layers within an isolated group stay within it', () => {
    const { items } = record((canvas) => {
      canvas.circle({ at: [0, 0], radius: 1, label: 'after all', layer: 1 });
      canvas.group({ opacity: 0.5 }, () => {
        canvas.circle({ at: [0, 0], radius: 1, label: 'second', layer: 5 });
        canvas.circle({ at: [0, 0], radius: 1, label: 'first' });
      });
      canvas.circle({ at: [0, 0], radius: 1, label: 'third' });
    });
    expect(items.map((item) => item.label)).toEqual(['first', 'second', 'third', 'after all']);
  });
});

describe('pictures', () => {
  const two = paintPicture(2, 1, (canvas) => {
    canvas.rect({ from: [0, 0], to: [1, 1], fill: 'red' });
    canvas.rect({ from: [1, 0], to: [2, 1], fill: 'blue' });
  });

  test('stand in their own pixels, crisp or smooth, and can be cut', () => {
    const shown = (options: object): number[][] => {
      const drawn = picture((canvas) => canvas.picture(two, { from: [0, 0], to: [100, 100], ...options }));
      return [0, 49, 50, 99].map((x) => pixel(drawn, x, 50).slice(0, 3));
    };
    const [red, blue] = [[255, 0, 0], [0, 0, 255]]; // prettier-ignore
    expect(shown({ smooth: false })).toEqual([red, red, blue, blue]);
    expect(shown({ crop: { from: [1, 0], to: [2, 1] } })).toEqual([blue, blue, blue, blue]);
    const [left, inner] = shown({});
    expect(left).toEqual(red);
    expect(Math.abs(inner[0] - inner[2])).toBeLessThan(8);
  });

  test('made much smaller they keep their mean color', () => {
    const fine = paintPicture(64, 64, (canvas) => {
      for (let i = 0; i < 64; i += 2) canvas.rect({ from: [i, 0], to: [i + 1, 64], fill: 'black' });
    });
    const small = picture((canvas) => canvas.picture(fine, { at: [50, 50], size: 7 }));
    expect(inkArea(small)).toBeCloseTo(24.5, 0);
  });

  test('their pixels can be read and written, and what was drawn of them follows', () => {
    const own = paintPicture(4, 4, (canvas) => canvas.clear('white'));
    own.setColorAt(1, 2, 'crimson');
    expect(own.colorAt(1, 2).toString()).toBe('#dc143c');
    const tiles = pattern(own, { size: 50, smooth: false });
    expect(pixel(filled(tiles), 18, 80).slice(0, 3)).toEqual([220, 20, 60]);
    own.setColorAt(1, 2, 'navy');
    expect(pixel(filled(tiles), 68, 30).slice(0, 3)).toEqual([0, 0, 128]);
    expect(errorOf(() => own.colorAt(4, 0))).toBe('colorAt: x 4 lies outside the picture; expected 0 to 3');
  });
});
