import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { parseCssColor } from '../../packages/frame-juggler/src/paint/css-color.ts';
import { launch } from './browser.ts';

const oneOf = (...words: string[]): fc.Arbitrary<string> => fc.constantFrom(...words);
// Nothing below 0, and no percentage above 100: there Chromium cuts channels that CSS leaves alone.
const number = fc.oneof(
  fc.integer({ min: 0, max: 300 }).map(String),
  fc.double({ min: 0, max: 1.2, noNaN: true }).map((number) => number.toFixed(3)),
);
const percent = fc.integer({ min: 0, max: 100 }).map((percent) => `${percent}%`);
/** As any channel may be written, and some ways in which none may. */
const value = fc.oneof(
  { weight: 8, arbitrary: number },
  { weight: 8, arbitrary: percent },
  oneOf('none', '.5', '1e1', '+3', '40deg', '0.2turn', '2rad', '50grad', '5px', '1.', '1e', '--3', ''),
);
const name = oneOf('rgb', 'rgba', 'hsl', 'hsla', 'hwb', 'lab', 'lch', 'oklab', 'oklch', 'RGB', 'shade', ...['srgb', 'srgb-linear', 'display-p3', 'a98-rgb', 'prophoto-rgb', 'rec2020', 'xyz', 'xyz-d50', 'xyz-d65', 'sea'].map((space) => `color(${space}`)); // prettier-ignore
const written = fc
  .record({
    name,
    separator: oneOf(' ', ' ', ' , ', ','),
    values: fc.oneof(
      ...[number, percent].map((kind) => fc.tuple(kind, kind, kind)),
      fc.array(value, { minLength: 3, maxLength: 3 }),
      fc.array(value, { minLength: 2, maxLength: 4 }),
    ),
    alpha: oneOf('', '', '', ' / 1', '/100%', ' / 0', ' / none', ' / 2deg', ' / 1 / 1', ', 1', ', 100%'),
  })
  .map(({ name, separator, values, alpha }) => `${name.includes('(') ? `${name} ` : `${name}(`}${values.join(separator)}${alpha})`); // prettier-ignore
const others = ['teal', 'TEAL', 'transparent', ' sienna ', '#fed', '#fedc', '#0F2A3D', '#0f2a3d80', '#12345', 'fed', '#ggg', 'rgb', 'rgb()', 'rgb 1 2 3)', '', 'none', 'constructor', 'color(', 'color()']; // prettier-ignore

test('colors are read as Chromium reads them', async () => {
  const texts = [...others, ...fc.sample(written, { numRuns: 5000, seed: 8 })];
  const browser = await launch();
  const page = await browser.newPage();
  const theirs = await page.evaluate((texts) => {
    const context = document.createElement('canvas').getContext('2d', { willReadFrequently: true })!;
    return texts.map((text) => {
      if (!CSS.supports('color', text)) return undefined;
      context.clearRect(0, 0, 1, 1);
      context.fillStyle = text;
      context.fillRect(0, 0, 1, 1);
      return [...context.getImageData(0, 0, 1, 1).data];
    });
  }, texts);
  await browser.close();
  const differing = texts.filter((text, index) => {
    const [ours, pixel] = [parseCssColor(text), theirs[index]];
    if (ours === undefined || pixel === undefined || pixel[3] === 0)
      return (ours === undefined) !== (pixel === undefined) || (pixel?.[3] === 0 && ours!.alpha !== 0);
    const { rgb, alpha } = ours;
    // Far beyond what a screen can show its own arithmetic gives out.
    if (rgb.some((unit) => Math.abs(unit) > 4)) return false;
    return [...rgb, alpha].some((unit, channel) => Math.abs(Math.min(1, Math.max(0, unit)) * 255 - pixel[channel]) > 2);
  });
  expect(differing).toEqual([]);
  expect(theirs.filter((pixel) => pixel !== undefined).length).toBeGreaterThan(1000);
});
