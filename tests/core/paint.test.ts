import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  conicGradient,
  linearGradient,
  pattern,
  picture as paintPicture,
  radialGradient,
  rgb,
  type BlendMode,
  type Canvas,
  type PaintLike,
} from '../../packages/frame-juggler/src/index.ts';
import { blended, formulas, modes, type Rgb } from '../fixtures/blend-formulas.ts';
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

  test('with a focus further off than numbers reach begin in the middle', () => {
    const { focus } = radialGradient({ at: [-1e308, 0], radius: 10, focus: [1e308, 0], stops });
    expect(focus).toEqual([-1e308, 0]);
  });

  test('with a focus of their own run from it to the circle, in every direction', () => {
    // On the line from the focus through a point, the share of the way to the circle that the point has gone.
    const [center, radius, focus] = [[50, 50], 40, [35, 38]];
    const focused = radialGradient({ at: [50, 50], radius, focus: [35, 38], stops });
    const drawn = picture((canvas) => canvas.rect({ from: [0, 0], to: [100, 100], fill: focused }));
    for (const [x, y] of [[20, 40], [60, 30], [70, 75], [33, 80], [45, 20]]) {
      const [dx, dy] = [x + 0.5 - focus[0], y + 0.5 - focus[1]];
      let reach = 0; // how many times the way to the point it is to the circle, by halving
      for (let step = 64; step > 1e-6; step /= 2)
        if (Math.hypot(focus[0] + dx * (reach + step) - center[0], focus[1] + dy * (reach + step) - center[1]) <= radius) reach += step;
      expect(Math.abs(pixel(drawn, x, y)[0] - 255 / reach)).toBeLessThanOrEqual(1.5);
    }
  }); // prettier-ignore

  test.each([
    ['a circle', radialGradient({ at: [50, 50], radius: 0, stops: ['gold', 'teal'] })],
    ['a line', linearGradient({ from: [0.5, 0.5], to: [0.5, 0.5], units: 'box', stops: ['gold', 'teal'] })],
  ])('of %s without a length are all of their last color', (_, fill) => {
    const drawn = picture((canvas) => canvas.rect({ from: [0, 0], to: [100, 100], fill }));
    for (const x of [1, 50, 99]) expect(pixel(drawn, x, 50)).toEqual([0, 128, 128, 255]);
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

  test('round a point go by its direction', () => {
    const at = fc.tuple(fc.integer({ min: 0, max: 200 }), fc.integer({ min: 0, max: 200 }));
    fc.assert(
      fc.property(at, fc.integer({ min: -720, max: 720 }), ([ax, ay], start) => {
        const fill = conicGradient({ at: [ax / 2, ay / 2], start, stops: ['black', 'white'] });
        const drawn = picture((canvas) => canvas.rect({ at: [50, 50], size: 100, fill }));
        for (let x = 0; x < 100; x += 7)
          for (let y = 0; y < 100; y += 7) {
            const turn = Math.atan2(y + 0.5 - ay / 2, x + 0.5 - ax / 2) / (2 * Math.PI) - start / 360;
            const apart = Math.abs(pixel(drawn, x, y)[0] / 255 - (turn - Math.floor(turn)));
            // Where the colors meet, the first and the last are a hair apart.
            if (apart < 0.999 && (x + 0.5 !== ax / 2 || y + 0.5 !== ay / 2)) expect(apart).toBeLessThan(0.003);
          }
      }),
      { numRuns: 30 },
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

  const close = (found: number[], wanted: number[]): void =>
    found.forEach((value, i) => expect(Math.abs(value - wanted[i])).toBeLessThanOrEqual(1));
  const bytes: [Rgb, Rgb][] = [
    [
      [204, 102, 51],
      [51, 153, 255],
    ],
    [
      [20, 200, 90],
      [240, 30, 130],
    ],
    [
      [255, 255, 255],
      [13, 90, 40],
    ],
    [
      [0, 0, 0],
      [200, 128, 64],
    ],
    [
      [128, 128, 128],
      [30, 60, 200],
    ],
  ];

  test.each(modes)('%s is as the formula has it', (mode) => {
    for (const [source, backdrop] of bytes) {
      const units = formulas[mode](backdrop.map((v) => v / 255) as Rgb, source.map((v) => v / 255) as Rgb);
      close(
        over(mode, `rgb(${source.join(' ')})`, `rgb(${backdrop.join(' ')})`),
        units.map((v) => v * 255),
      );
    }
  });

  test.each(modes)('%s weighs both by their alpha', (mode) => {
    const [source, backdrop, alphas, alphab] = [[204, 102, 51], [51, 153, 255], 0.6, 0.8] as const; // prettier-ignore
    const drawn = picture(
      (canvas) => {
        canvas.rect({ from: [0, 0], to: [100, 100], fill: rgb(...backdrop, alphab) });
        canvas.rect({ from: [0, 0], to: [100, 100], fill: rgb(...source, alphas), blend: mode });
      },
      { background: 0 },
    );
    const [cs, cb] = [source, backdrop].map((color) => color.map((byte) => byte / 255) as Rgb);
    blended(mode, cs, alphas, cb, alphab).forEach((unit, i) => expect(Math.abs(pixel(drawn, 5, 5)[i] - unit * 255)).toBeLessThanOrEqual(2)); // prettier-ignore
  });

  test('on nothing, every mode is as normal', () => {
    const fill = (canvas: Canvas, blend: BlendMode): void =>
      canvas.rect({ from: [0, 0], to: [100, 100], fill: '#3366cc80', blend });
    for (const mode of modes)
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

  test('a group that is a picture of its own but neither fades nor cuts anything changes no byte', () => {
    const place = fc.integer({ min: -10, max: 110 });
    const box = fc.record({ from: fc.tuple(place, place), to: fc.tuple(place, place), corners: fc.constantFrom(0, 6) });
    fc.assert(
      fc.property(fc.array(box, { minLength: 1, maxLength: 5 }), (boxes) => {
        const paint = (canvas: Canvas): void => {
          boxes.forEach((box, i) => canvas.rect({ ...box, fill: ['crimson', 'navy', 'gold'][i % 3] }));
        };
        const alone = picture((canvas) => canvas.group({ blend: 'multiply' }, () => paint(canvas)));
        const clip = (region: Canvas): void => region.rect({ from: [-99, -99], to: [199, 199] });
        const grouped = picture((canvas) =>
          canvas.group({ clip }, () =>
            canvas.group({ blend: 'multiply' }, () => canvas.group({ clip }, () => paint(canvas))),
          ),
        );
        expect(Buffer.from(grouped.data).equals(Buffer.from(alone.data))).toBe(true);
      }),
    );
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

  test('an isolated group in a layer is lifted as a whole', () => {
    const { items } = record((canvas) => {
      canvas.group({ opacity: 0.5, layer: 2 }, () => canvas.circle({ at: [0, 0], radius: 1, label: 'lifted' }));
      canvas.group({ opacity: 0.5, layer: -2 }, () =>
        canvas.circle({ at: [0, 0], radius: 1, label: 'sunk', layer: 9 }),
      );
      canvas.circle({ at: [0, 0], radius: 1, label: 'plain' });
    });
    expect(items.map((item) => item.label)).toEqual(['sunk', 'plain', 'lifted']);
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

  test('are drawn pixel by pixel as their transform says: the nearest of theirs, or those around mixed', () => {
    const own = paintPicture(7, 5);
    for (let i = 0; i < 35; i++) own.setColorAt(i % 7, Math.floor(i / 7), rgb((i * 73) % 256, (i * 151) % 256, (i * 199) % 256)); // prettier-ignore
    /** A channel of it by nearest whole places, wrapped around or up to its edges. */
    const channel = (x: number, y: number, tiled: boolean): number => {
      const kept = (at: number, size: number): number =>
        tiled ? ((at % size) + size) % size : Math.min(size - 1, Math.max(0, at));
      return own.data[(kept(y, 5) * 7 + kept(x, 7)) * 4];
    };
    const mixedAt = (x: number, y: number, tiled: boolean): number => {
      const [left, top] = [Math.floor(x - 0.5), Math.floor(y - 0.5)];
      const [tx, ty] = [x - 0.5 - left, y - 0.5 - top];
      const row = (at: number): number => channel(left, at, tiled) * (1 - tx) + channel(left + 1, at, tiled) * tx;
      return row(top) * (1 - ty) + row(top + 1) * ty;
    };
    const place = fc.oneof(fc.integer({ min: -20, max: 80 }), fc.double({ min: -20, max: 80, noNaN: true }));
    const turn = fc.oneof(fc.constant(0), fc.integer({ min: 0, max: 359 }));
    const larger = fc.double({ min: 1, max: 9, noNaN: true });
    const mirrored = fc.double({ min: -9, max: -1, noNaN: true });
    const scale = fc.oneof(fc.constant(1), larger, mirrored);
    fc.assert(
      fc.property(
        place,
        place,
        turn,
        scale,
        scale,
        fc.boolean(),
        fc.boolean(),
        (e, f, degrees, sx, sy, smooth, tiled) => {
          const [cos, sin] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)];
          const drawn = picture((canvas) => {
            canvas.transform([cos * sx, sin * sx, -sin * sy, cos * sy, e, f]);
            if (tiled) canvas.rect({ from: [-300, -300], to: [300, 300], fill: pattern(own, { smooth }) });
            else canvas.picture(own, { from: [0, 0], to: [7, 5], smooth });
          });
          for (let i = 0; i < 60; i++) {
            const [px, py] = [(i * 37) % 100, (i * 61) % 100];
            const [dx, dy] = [px + 0.5 - e, py + 0.5 - f];
            const [x, y] = [(dx * cos + dy * sin) / sx, (dy * cos - dx * sin) / sy];
            // At its edges a picture covers parts of pixels, and halfway between two either is the nearest.
            const [edgeX, edgeY] = [Math.abs(1 / sx), Math.abs(1 / sy)];
            const isInside = x > edgeX && y > edgeY && x < 7 - edgeX && y < 5 - edgeY;
            const isBetween = [x, y].some((at) => Math.abs(at - Math.round(at)) < 1e-6);
            if (!(tiled || isInside) || (!smooth && isBetween)) continue;
            const wanted = smooth ? mixedAt(x, y, tiled) : channel(Math.floor(x), Math.floor(y), tiled);
            expect(Math.abs(pixel(drawn, px, py)[0] - wanted)).toBeLessThanOrEqual(smooth ? 0.75 : 0);
          }
        },
      ),
      { numRuns: 150 },
    );
  });

  test.each([0.55, 1.3, -0.7, -2.5])(
    '%d times as wide, and longer than a run of pixels, they are mixed alike throughout',
    (stretch) => {
      const long = paintPicture(1600, 2);
      for (let x = 0; x < 1600; x++) for (const y of [0, 1]) long.setColorAt(x, y, rgb((x * 73 + y * 40) % 256, 0, 0));
      const drawn = paintPicture(800, 4, (canvas) => {
        canvas.translate([400, 0]);
        canvas.scale([stretch, 2]);
        canvas.picture(long, { from: [-800, 0], to: [800, 2] });
      });
      for (let x = 0; x < 800; x++) {
        const place = (x + 0.5 - 400) / stretch + 799.5;
        if (place < 1 || place > 1598) continue;
        const left = Math.floor(place);
        const mixed = (y: number): number => {
          const [one, other] = [left, left + 1].map((at) => (at * 73 + y * 40) % 256);
          return one + (other - one) * (place - left);
        };
        // The second row lies a quarter of a pixel below the middle of the first.
        expect(Math.abs(drawn.data[(800 + x) * 4] - (mixed(0) * 0.75 + mixed(1) * 0.25))).toBeLessThanOrEqual(0.75);
      }
    },
  );

  test.each([1e17, -1e17, 1e100, -1e300])('tiles that begin at %d still are of their own colors', (x) => {
    const blue = [0, 0, 255];
    const own = paintPicture(7, 5, (canvas) => canvas.clear('blue'));
    for (const smooth of [true, false]) {
      const drawn = filled(pattern(own, { at: [x, 0], smooth }));
      expect([0, 33, 99].map((at) => pixel(drawn, at, 50).slice(0, 3))).toEqual([blue, blue, blue]);
    }
  });

  test('made much smaller they keep their mean color', () => {
    const fine = paintPicture(64, 64, (canvas) => {
      for (let i = 0; i < 64; i += 2) canvas.rect({ from: [i, 0], to: [i + 1, 64], fill: 'black' });
    });
    const small = picture((canvas) => canvas.picture(fine, { at: [50, 50], size: 7 }));
    expect(inkArea(small)).toBeCloseTo(24.5, 0);
  });

  test('every alpha with every value is multiplied and divided as bytes are rounded', () => {
    const [width, height] = [255, 257];
    const from = paintPicture(width, height);
    for (let i = 0; i < width * height; i++) from.data.set([i % 256, 255 - (i % 256), 128, i % width], i * 4);
    const drawn = paintPicture(width, height, (canvas) => canvas.picture(from, { at: [width / 2, height / 2] }));
    const wanted = from.data.map((value, at) => {
      const alpha = from.data[at - (at % 4) + 3];
      if (at % 4 === 3 || alpha === 0) return at % 4 === 3 ? alpha : 0;
      return Math.round((Math.round((value * alpha) / 255) * 255) / alpha);
    });
    expect(Buffer.compare(drawn.data, wanted)).toBe(0);
  });

  test('one that nothing paints is transparent, for pixels that are set one by one', () => {
    const blank = paintPicture(3, 2);
    expect(new Set(blank.data)).toEqual(new Set([0]));
    blank.setColorAt(2, 1, 'teal');
    expect(blank.colorAt(2, 1).toString()).toBe('#008080');
    expect(errorOf(() => paintPicture(3, 2, null as never))).toMatch('paint null is not a function');
  });

  test('their pixels can be read and written, and what was drawn of them follows', () => {
    const own = paintPicture(4, 4, (canvas) => canvas.clear('white'));
    own.setColorAt(1, 2, 'crimson');
    expect(own.colorAt(1, 2).toString()).toBe('#dc143c');
    const tiles = pattern(own, { size: 50, smooth: false });
    expect(pixel(filled(tiles), 18, 80).slice(0, 3)).toEqual([220, 20, 60]);
    own.setColorAt(1, 2, 'navy');
    expect(pixel(filled(tiles), 68, 30).slice(0, 3)).toEqual([0, 0, 128]);
    expect(own.colorAt(1.9, 2.99).toString()).toBe('#000080');
    expect(errorOf(() => own.colorAt(4, 0))).toBe('colorAt: x 4 lies outside the picture; expected 0 to below 4');
    expect(errorOf(() => own.colorAt(0, -0.1))).toBe('colorAt: y -0.1 lies outside the picture; expected 0 to below 4');
    expect(errorOf(() => own.colorAt(NaN, 0))).toMatch(/^colorAt: x NaN is not finite/);
  });
});
