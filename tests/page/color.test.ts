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

const simple = oneOf('teal', 'crimson', '#fe8c', 'white', 'gray', 'transparent', 'rgb(15 42 61 / 0.3)', 'hsl(200 40% 60%)', 'oklch(0.7 0.1 250)', 'color(display-p3 0.2 0.5 0.7)', '/* sea */ navy'); // prettier-ignore
const share = oneOf('', '', '', ' 30%', ' 0%', ' 100%', ' 70%', ' 120%', ' -5%');
const mixSpace = oneOf('srgb', 'srgb-linear', 'lab', 'oklab', 'xyz', 'xyz-d50', 'display-p3', 'a98-rgb', 'prophoto-rgb', 'rec2020', ...['hsl', 'hwb', 'lch', 'oklch'].flatMap((space) => [space, `${space} longer hue`, `${space} increasing hue`, `${space} decreasing hue`, `${space} hue`]), 'lab longer hue', 'rgb', 'sea'); // prettier-ignore
const mixed = fc.tuple(mixSpace, simple, share, simple, share, fc.boolean()).map(([space, a, p, b, q, ahead]) => `color-mix(in ${space}, ${ahead ? `${p} ${a}` : `${a}${p}`}, ${b}${q})`); // prettier-ignore
const calculated = oneOf('calc(10 + 20)', 'calc(2 * (3 + 4))', 'calc(50% - 10%)', 'calc(1 / 2)', 'calc(1+2)', 'calc(10% + 1)', 'calc()', 'calc(3 * 20%)', 'calc(90deg / 3)', 'calc(pi)'); // prettier-ignore
const relativeTo = oneOf(...['rgb r g b', 'hsl h s l', 'hwb h w b', 'lab l a b', 'lch l c h', 'oklab l a b', 'oklch l c h', ...['srgb', 'srgb-linear', 'display-p3', 'a98-rgb', 'prophoto-rgb', 'rec2020'].map((space) => `color ${space} r g b`), 'color xyz-d50 x y z', 'color xyz x y z'].map((row) => row)); // prettier-ignore
const relative = fc
  .tuple(
    relativeTo,
    simple,
    fc.integer({ min: 0, max: 2 }),
    oneOf('same', 'calc(NAME * 0.8)', 'calc(NAME + 0.1)', '20', 'none', 'q'),
    oneOf('', '', ' / alpha', ' / calc(alpha * 0.5)', ' / 0.7'),
  )
  .map(([row, origin, place, change, alpha]) => {
    // prettier-ignore
    const [name, ...words] = row.split(' ');
    const names = words.splice(-3);
    names[place] = change === 'same' ? names[place] : change.replace('NAME', names[place]);
    return `${name}(from ${origin} ${[...words, ...names].join(' ')}${alpha})`;
  });
const withCalc = fc.tuple(oneOf('rgb', 'hsl', 'lab', 'oklch'), calculated, value, value).map(([name, ...values]) => `${name}(${values.join(' ')})`); // prettier-ignore

test.each([
  ['written', written, 5000, 1000],
  ['mixed', mixed, 1500, 600],
  ['relative', relative, 1500, 800],
  ['with sums', withCalc, 800, 80],
] as const)('colors %s are read as Chromium reads them', async (_, arbitrary, numRuns, minimum) => {
  const texts = [...others, ...fc.sample<string>(arbitrary, { numRuns, seed: 8 })];
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
    // What is half transparent is rounded before it can be read.
    const near = 1 + 255 / pixel[3];
    // Far beyond what a screen can show its own arithmetic gives out.
    if (rgb.some((unit) => Math.abs(unit) > 4)) return false;
    return [...rgb, alpha].some(
      (unit, channel) => Math.abs(Math.min(1, Math.max(0, unit)) * 255 - pixel[channel]) > near,
    );
  });
  expect(differing).toEqual([]);
  expect(theirs.filter((pixel) => pixel !== undefined).length).toBeGreaterThan(minimum);
});
