import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { parseCssColor } from '../../packages/frame-juggler/src/paint/css-color.ts';
import { colorMix, gray, hsl, oklch, ramp, rgb } from '../../packages/frame-juggler/src/index.ts';
import { readColor } from '../../packages/frame-juggler/src/paint/color.ts';

const css = (text: string): string => readColor('test', 'fill', text).toString();

describe('colors', () => {
  test('numbers are read to the last digit, however they are written', () => {
    const red = (text: string): number | undefined => parseCssColor(`color(srgb ${text} 0 0)`)?.rgb[0];
    const written = fc.oneof(
      fc.double({ min: 0, max: 1, noNaN: true }).map(String),
      fc.tuple(fc.nat(99), fc.nat(9_999_999)).map(([whole, part]) => `${whole}.${part}`),
      fc.nat(9_999_999).map((part) => `.${part}`),
      fc.tuple(fc.nat(999_999), fc.nat(999_999)).map(([some, more]) => `00${some}.${more}${more}${some}`),
      fc.tuple(fc.nat(999), fc.integer({ min: -9, max: 3 })).map(([whole, power]) => `${whole}e${power}`),
    );
    fc.assert(
      fc.property(written, fc.boolean(), (number, isPercent) => {
        const wanted = isPercent ? Number(number) / 100 : Number(number);
        expect(red(isPercent ? `${number}%` : number)).toBe(wanted);
      }),
    );
    for (const text of ['5.', '.', '1.2.3', '0x10', 'Infinity', '1e', '%', '+-3', '1 %']) expect([text, red(text)]).toEqual([text, undefined]); // prettier-ignore
    expect(css('rgb(1\u00a02\t3)')).toBe('#010203');
  });

  test('an alpha of many digits is read to its end', () => {
    for (const digits of [21, 22, 23, 40])
      expect(parseCssColor(`rgb(0 0 0 / 0.${'5'.repeat(digits)})`)?.alpha).toBeCloseTo(5 / 9, 9);
  });

  test('functions of plain numbers mean the same read in one pass and, in capital letters, word by word', () => {
    const functions = ['rgb', 'rgba', 'hsl', 'hsla', 'hwb', 'hwba', 'lab', 'oklab', 'lch', 'oklch', 'color'];
    const number = fc.oneof(
      { weight: 3, arbitrary: fc.nat(300).map(String) },
      { weight: 3, arbitrary: fc.double({ min: 0, max: 400, noNaN: true }).map(String) },
      fc.constantFrom('.5', '5.', '-3', '1e2', '', '.', '12345678901234567890.5', '0.00000000000000000000000123'),
    );
    const channel = fc
      .tuple(number, fc.constantFrom('', '', '%', '%', 'deg'), fc.constantFrom('', '', ' '))
      .map((parts) => parts.join(''));
    const gap = fc.constantFrom(' ', ',', ', ', ' ,  ', '/', ' / ', '');
    const gaps = fc.oneof(
      fc.constantFrom([', ', ',', ', '], [' ', '  ', ' / '], [' ', ' ', '/']),
      fc.constantFrom([', ', ' ', ', '], [' ', ', ', ', '], [',', ',', '/']),
      fc.tuple(gap, gap, gap),
    );
    let read = 0;
    const write = fc.tuple(
      fc.constantFrom(...functions),
      fc.array(channel, { minLength: 3, maxLength: 4 }),
      gaps,
      fc.constantFrom('', '', '', '', '', ' ', 'x', ')'),
    );
    fc.assert(
      fc.property(write, ([name, channels, gaps, behind]) => {
        const text = `${name}(${channels.map((one, i) => one + (i < channels.length - 1 ? gaps[i] : '')).join('')})${behind}`;
        const [plain, byWords] = [parseCssColor(text), parseCssColor(text.toUpperCase())];
        expect(plain === undefined).toBe(byWords === undefined);
        if (plain === undefined || byWords === undefined) return;
        read++;
        for (const i of [0, 1, 2]) expect(plain.rgb[i]).toBeCloseTo(byWords.rgb[i], 9);
        expect(plain.alpha).toBeCloseTo(byWords.alpha, 9);
      }),
      { numRuns: 4000 },
    );
    expect(read).toBeGreaterThan(100);
  });

  test.each([
    ['rebeccapurple', '#663399'],
    ['CRIMSON', '#dc143c'],
    ['transparent', '#00000000'],
    ['#0f0', '#00ff00'],
    ['#0f08', '#00ff0088'],
    ['rgb(15 42 61 / 50%)', '#0f2a3d80'],
    ['rgba(15, 42, 61, 0.5)', '#0f2a3d80'],
    ['hsl(120deg 100% 25%)', '#008000'],
    ['hwb(0.5turn 0% 0%)', '#00ffff'],
    ['lab(50% 0 0)', '#777777'],
    ['lch(50% 0 none)', '#777777'],
    ['oklab(1 0 0)', '#ffffff'],
    ['oklch(0 0 0)', '#000000'],
    ['color(display-p3 0 0 0)', '#000000'],
    ['color(srgb 1 0.5 0)', '#ff8000'],
    ['color(xyz-d65 0.9505 1 1.089)', '#ffffff'],
    ['color(xyz-d50 0.9643 1 0.8251)', '#ffffff'],
    ['color(xyz 0.9505 1 1.089)', '#ffffff'],
    ['color(srgb-linear 0.2159 0.2159 0.2159)', '#808080'],
    ['color(a98-rgb 1 1 1)', '#ffffff'],
    ['color(prophoto-rgb 0.5 0.5 0.5)', '#929292'],
    ['color(rec2020 1 1 1)', '#ffffff'],
    ['color(display-p3 0.5 0.5 0.5)', '#808080'],
    // Of CSS Color 5: mixed, and relative to another.
    ['color-mix(in srgb, red, blue)', '#800080'],
    ['color-mix(in srgb, red 30%, blue)', '#4d00b3'],
    ['color-mix(in srgb, red, blue 30%)', '#b3004d'],
    ['color-mix(in srgb, red 20%, blue 20%)', '#80008066'],
    ['color-mix(in srgb, red 0%, blue 0%)', '#00000000'],
    ['color-mix(in srgb, rgb(255 0 0 / 0), blue)', '#0000ff80'],
    ['color-mix(in hsl, red, lime)', '#ffff00'],
    ['color-mix(in hsl longer hue, red, lime)', '#0000ff'],
    ['color-mix(in hsl increasing hue, lime, red)', '#0000ff'],
    ['color-mix(in hsl decreasing hue, lime, red)', '#ffff00'],
    ['color-mix(in xyz, white, black)', '#bcbcbc'],
    ['color-mix(in oklab, red, color-mix(in srgb, blue, blue))', '#8c53a2'],
    ['rgb(from teal b g r / 50%)', '#80800080'],
    ['hsl(from red calc(h + 120) s l)', '#00ff00'],
    ['hsl(from gray h s calc(l * 0.5))', '#404040'],
    ['rgb(from #0f2a3d80 r g b)', '#0f2a3d80'],
    ['rgb(calc(10 + 20) calc(2 * (3 + 4)) calc(100 - 40 / 2))', '#1e0e50'],
    ['rgb(calc(50% - 10%) calc(3 * 20%) 0)', '#669900'],
    ['hsl(calc(90deg + 30deg) 100% 25%)', '#008000'],
    ['rgb(calc(pi * 100) calc(e * 10) -5)', '#ff1b00'],
  ])('%s is %s', (text, expected) => expect(css(text)).toBe(expected));

  test.each([
    'rgb(calc(10 + 20%) 0 0)',
    'rgb(calc(10 +) 0 0)',
    'rgb(calc(1 / 2%) 0 0)',
    'rgb(calc(2% * 3%) 0 0)',
    'rgb(10deg 0 0)',
    'rgb(from teal q g b)',
    'rgb(1 2)',
    'color-mix(red, blue)',
    'color-mix(in srgb longer hue, red, blue)',
    'color-mix(in hsl longer, red, blue)',
    'color-mix(in srgb, red 120%, blue)',
    'color-mix(in srgb, red -5%, blue)',
    'color-mix(in srgb, red, blue, lime)',
    'color-mix(in tide, red, blue)',
    'color-mix(in rgb, red, blue)',
  ])('%s is no color', (text) => expect(parseCssColor(text)).toBeUndefined());

  test('text without an end is no color, and is soon known for none', () => {
    const nested = `rgb(calc(${'('.repeat(1e5)}1${')'.repeat(1e5)}) 0 0)`;
    for (const text of [nested, '/*'.repeat(1e5), 'color-mix(in srgb, '.repeat(3e4), `rgb(${'1 '.repeat(1e5)})`])
      expect(parseCssColor(text)).toBeUndefined();
  });

  test('helpers give the colors that CSS gives', () => {
    expect(rgb(15, 42, 61, 0.5).toString()).toBe('#0f2a3d80');
    expect(JSON.stringify({ fill: rgb(15, 42, 61, 0.5) })).toBe('{"fill":"#0f2a3d80"}');
    expect(gray(128).toString()).toBe('#808080');
    expect(hsl(480, 100, 25).toString()).toBe(css('hsl(120 100% 25%)'));
    expect(oklch(0.7, 0.1, 220).toString()).toBe(css('oklch(70% 0.1 220)'));
  });

  test('a ramp passes through its stops, mixes between and stays beyond', () => {
    const tide = ramp(['black', [0.25, 'teal'], 'white'], 'rgb');
    expect([-1, 0, 0.25, 1, 7].map((t) => tide(t).toString())).toEqual([
      '#000000',
      '#000000',
      '#008080',
      '#ffffff',
      '#ffffff',
    ]);
    expect(tide(0.125).toString()).toBe('#004040');
    expect(colorMix('black', 'white', 0.5, 'rgb').toString()).toBe('#808080');
    // What browsers give for color-mix(in oklab, red, blue).
    expect(colorMix('red', 'blue', 0.5).toString()).toBe('#8c53a2');
  });

  const spaces = ['oklab', 'oklch', 'rgb', 'hsl', 'lab', 'lch'] as const;
  test.each(spaces)('mixed in %s it is the first at 0, the last at 1, and itself with itself', (space) => {
    const byte = fc.integer({ min: 0, max: 255 });
    const any = fc.tuple(byte, byte, byte, fc.double({ min: 0, max: 1, noNaN: true })).map((it) => rgb(...it));
    fc.assert(
      fc.property(any, any, fc.double({ min: 0, max: 1, noNaN: true }), (a, b, t) => {
        expect(colorMix(a, b, 0, space)).toEqual(a);
        expect(colorMix(a, b, 1, space)).toEqual(b);
        const same = colorMix(a, a, t, space);
        for (const channel of ['red', 'green', 'blue'] as const) expect(same[channel]).toBeCloseTo(a[channel], 1);
        expect(colorMix(a, b, t, space).alpha).toBeCloseTo(a.alpha + (b.alpha - a.alpha) * t, 10);
      }),
    );
  });

  test('a gray has no hue of its own, and hues go the shorter way round', () => {
    for (const space of ['oklch', 'hsl', 'lch'] as const) {
      const { red, green, blue } = colorMix('white', 'red', 0.5, space);
      expect(red > green && red > blue).toBe(true);
    }
    expect(colorMix('hsl(350 100% 50%)', 'hsl(30 100% 50%)', 0.5, 'hsl').toString()).toBe(hsl(10, 100, 50).toString());
    expect(colorMix('hsl(30 100% 50%)', 'hsl(350 100% 50%)', 0.25, 'hsl').toString()).toBe(hsl(20, 100, 50).toString());
  });
});
