import { beforeAll, describe, expect, test } from '@jest/globals';
import bidiFactory from 'bidi-js';
import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import LineBreaker from 'linebreak';
import { asset, loadFonts, measureText, textOutline, type Font } from '../../packages/frame-juggler/src/index.ts';
import { directionsBy, type BidiFactory } from '../../packages/frame-juggler/src/text/directions.ts';
import { breakAtSpaces, breaksElsewhere, lineBreaksBy } from '../../packages/frame-juggler/src/text/line-breaks.ts';
import { errorOf, record } from '../helpers.ts';

const fontFile = (name: string): Uint8Array => readFileSync(`node_modules/@expo-google-fonts/${name}.ttf`);
const loaded = async (bytes: Uint8Array): Promise<Font> =>
  asset.font(new URL('file:///font.ttf')).decode(bytes, {} as never);
let [amiri, hebrew]: Font[] = [];
beforeAll(async () => {
  await loadFonts();
  amiri = await loaded(fontFile('amiri/400Regular/Amiri_400Regular'));
  hebrew = await loaded(fontFile('noto-sans-hebrew/400Regular/NotoSansHebrew_400Regular'));
});

describe('lines break', () => {
  const breaks = lineBreaksBy(LineBreaker);

  // The places that ICU's line breaking gives.
  test.each([
    ['well-known quays', [5, 11, 16]],
    ['3/4 full, 12:30', [4, 10, 15]],
    ['no\u00a0break 5\u00a0m', [9, 12]],
    ['har\u00adbor', [4, 7]],
    ['zero\u200bwidth', [5, 10]],
    ['boats — three—here', [6, 8, 13, 14, 18]],
    ['(a) «b» “c”', [4, 8, 11]],
    ['a/b/c', [2, 4, 5]],
    ['日本の港です。', [1, 2, 3, 4, 5, 7]],
    ['e.g. $5.00 100%', [5, 11, 15]],
    ['don’t…stop!', [6, 11]],
    ['x–y 5–6', [2, 4, 6, 7]],
    ['🚢🚢 👩‍🚀', [2, 5, 10]],
  ])('in %j where the Unicode algorithm has it', (text, places) => {
    expect(breaks(text)).toEqual(places);
  });

  test('at spaces only, in texts of plain words, as that algorithm does', () => {
    const plain = fc.string({ unit: fc.constantFrom(...'ab Z09.,:;\' ') }).filter((text) => !breaksElsewhere(text)); // prettier-ignore
    fc.assert(fc.property(plain, (text) => expect(breakAtSpaces(text)).toEqual(breaks(text))));
    expect(breaksElsewhere("The quay's 3 cranes, at 12:30.")).toBe(false);
  });

  test('and hold together what is to stay together', () => {
    const lines = (text: string, maxWidth: number): readonly string[] =>
      measureText(text, { size: 10, maxWidth }).lines;
    expect(lines('depth 5\u00a0m', 40)).toEqual(['depth', '5\u00a0m']);
    expect(lines('low-water mark', 30)).toEqual(['low-', 'water', 'mark']);
    expect(lines('light\u00adhouse', 30)).toEqual(['light‐', 'house']);
    // A word too wide is parted between letters, never between a letter and its mark.
    expect(lines('éééé'.normalize('NFD'), 1)).toEqual(Array(4).fill('é'.normalize('NFD')));
    for (const text of ['light\u00adhouse', 'a\u200db', 'a\u200cb', 'a\u2060b', 'a\ufe0fb'])
      expect(measureText(text)).toEqual({
        ...measureText(text.replace(/[^a-z]/g, '')),
        lines: [text],
      });
  });
});

describe('what runs from right to left', () => {
  // What fribidi, a program of its own, shows of these.
  test.each([
    ['abc נמל 12 def', 'abc 12 למנ def'],
    ['נמל (abc) 3.5 שקט', 'טקש 3.5 (abc) למנ'],
    ['low at 12:30 בנמל (אב)!', 'low at 12:30 (בא) למנב!'],
    ['תחנה 4: crane, buoy', 'crane, buoy :4 הנחת'],
  ])('%j is seen so', (text, seen) => {
    const runs = directionsBy(bidiFactory as unknown as BidiFactory)(text)(0, text.length);
    const shown = runs.map((run) => (run.rightToLeft ? [...run.text].reverse().join('') : run.text));
    expect(shown.join('')).toBe(seen);
  });

  // The sums of HarfBuzz's advances, in thousandths of an em.
  test('is shaped with joined letters, as HarfBuzz does it', () => {
    expect(measureText('مرحبا بك', { font: amiri, size: 1000 }).width).toBeCloseTo(3251);
    expect(measureText('ميناء صغير', { font: amiri, size: 1000 }).width).toBeCloseTo(3392);
    expect(measureText('נמל שקט (אב)', { font: hebrew, size: 1000 }).width).toBeCloseTo(5884);
    expect(measureText('e\u0301', { font: amiri, size: 1000 }).width).toBeCloseTo(419);
    expect(measureText('a\u200db\u2060c\u00add', { font: amiri, size: 1000 }).width).toBeCloseTo(1821);
  });

  test('stands in a line of both as it is read, each line of a paragraph by itself', () => {
    const font = [hebrew, 'default'] as const;
    const options = { at: [0, 0], anchor: 'baseline-left', font } as const;
    // The first letter of a Hebrew word stands rightmost, behind a Latin one.
    const outline = (text: string, x: number): string => textOutline(text, { ...options, at: [x, 0] });
    const [a, g] = [measureText('a ', { font }).width, measureText('ג', { font }).width];
    expect(outline('a אג', 0)).toBe(outline('a ', 0) + outline('ג', a) + outline('א', a + g));
    const { lines } = measureText('נמל שקט מאוד', { font: hebrew, size: 10, maxWidth: 35 });
    expect(lines).toEqual(['נמל', 'שקט', 'מאוד']);
  });

  test('keeps its marks by their letters where these are spaced, and its joins where they join', () => {
    const outline = (text: string, x: number): string =>
      textOutline(text, { at: [x, 0], anchor: 'baseline-left', font: hebrew, letterSpacing: 0.5 });
    const pointed = '\u05d0\u05b8';
    const next = measureText(pointed, { font: hebrew }).width + 8;
    expect(outline(pointed + pointed, 0)).toBe(outline(pointed, 0) + outline(pointed, next));
    const joined = (letterSpacing: number): string => textOutline('مرحبا', { at: [0, 0], font: amiri, letterSpacing });
    expect(joined(0.5)).toBe(joined(0));
  });
});

describe('a list of fonts', () => {
  test('sets in each what those before lack, and says what none has', () => {
    const font = ['default', hebrew, amiri] as const;
    const width = (text: string, one: (typeof font)[number] | typeof font): number => measureText(text, { font: one, size: 100 }).width; // prettier-ignore
    expect(width('Pier אבג', font)).toBeCloseTo(width('Pier ', 'default') + width('אבג', hebrew));
    expect(width('Pierمرحبا', font)).toBeCloseTo(width('Pier', 'default') + width('مرحبا', amiri));
    const { lacking } = record((canvas) => canvas.text('Pier אب 港', { at: [0, 0], font }));
    expect(lacking).toEqual(['港']);
    // Its height is that of the first.
    expect(measureText('אבג', { font }).height).toBe(measureText('H').height);
    expect(textOutline('Pier', { at: [0, 0], font })).toBe(textOutline('Pier', { at: [0, 0] }));
  });

  test('is of fonts, and of one at least', () => {
    for (const font of [[], ['Serif'], [hebrew, 3]])
      expect(errorOf(() => measureText('a', { font: font as never }))).toMatch('or a list of these');
  });

  test('draws glyphs of several colors by the outlines of all their layers', async () => {
    // A hull from 0.1 to 0.3 em, and a lamp from 0.4 to 0.5.
    const colored = await loaded(readFileSync('tests/fixtures/colored-glyphs.ttf'));
    const { ink, lines } = measureText('🛟', { font: ['default', colored], size: 100, anchor: 'baseline-left' });
    expect([ink.left, ink.top, ink.right, ink.bottom, lines]).toEqual([10, -70, 50, 0, ['🛟']]);
  });

  test('can hold none whose glyphs are pictures only', async () => {
    const file = readFileSync('tests/fixtures/colored-glyphs.ttf');
    const name = file.indexOf('glyf');
    file.write('CBDT', name);
    await expect(loaded(file)).rejects.toThrow('its glyphs are pictures, which text is not drawn with');
  });
});
