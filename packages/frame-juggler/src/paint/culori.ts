/*
 * The color package, with the color spaces of CSS Color 4 and no others, to read colors; mixing them is in
 * culori-mix.ts. The build packs this file together with what it takes of the package: one small file to load, where
 * the package has two hundred.
 */
import {
  convertA98ToXyz65,
  convertHslToRgb,
  convertHwbToRgb,
  convertLabToRgb,
  convertLchToLab,
  convertLrgbToRgb,
  convertOklabToRgb,
  convertP3ToXyz65,
  convertProphotoToXyz50,
  convertRec2020ToXyz65,
  convertXyz50ToRgb,
  convertXyz65ToRgb,
  interpolatorLinear,
  parseHex,
  parseHsl,
  parseHslLegacy,
  parseHwb,
  parseLab,
  parseLch,
  parseNamed,
  parseOklab,
  parseOklch,
  parseRgb,
  parseRgbLegacy,
  parseTransparent,
  useMode,
} from 'culori/fn';
import type { Color as ParsedColor, Rgb } from 'culori/fn';

type Definition = Parameters<typeof useMode>[0];
type ToRgb = (color: never) => Rgb;

/** The way of each space to sRGB. */
const ways: Record<string, ToRgb> = {};

/** A space that colors are read from: its parsers, or its name in `color()`, and its way to sRGB. */
function space(mode: string, parse: unknown[], channels: string, toRgb: ToRgb): void {
  const names = [...channels, 'alpha'];
  const interpolate = Object.fromEntries(names.map((name) => [name, interpolatorLinear]));
  useMode({ mode, parse, channels: names, interpolate } as unknown as Definition);
  ways[mode] = toRgb;
}

const through =
  <A, B, C>(first: (color: A) => B, second: (color: B) => C) =>
  (color: A): C =>
    second(first(color));

const rgbParsers = [parseRgb, parseHex, parseRgbLegacy, parseNamed, parseTransparent, 'srgb'];
space('rgb', rgbParsers, 'rgb', (color: Rgb) => color);
space('hsl', [parseHsl, parseHslLegacy], 'hsl', convertHslToRgb);
space('hwb', [parseHwb], 'hwb', convertHwbToRgb);
space('lab', [parseLab], 'lab', convertLabToRgb);
space('lch', [parseLch], 'lch', through(convertLchToLab, convertLabToRgb));
space('oklab', [parseOklab], 'lab', convertOklabToRgb);
space('oklch', [parseOklch], 'lch', through(convertLchToLab, convertOklabToRgb));
space('lrgb', ['srgb-linear'], 'rgb', convertLrgbToRgb);
space('p3', ['display-p3'], 'rgb', through(convertP3ToXyz65, convertXyz65ToRgb));
space('a98', ['a98-rgb'], 'rgb', through(convertA98ToXyz65, convertXyz65ToRgb));
space('prophoto', ['prophoto-rgb'], 'rgb', through(convertProphotoToXyz50, convertXyz50ToRgb));
space('rec2020', ['rec2020'], 'rgb', through(convertRec2020ToXyz65, convertXyz65ToRgb));
space('xyz50', ['xyz-d50'], 'xyz', convertXyz50ToRgb);
space('xyz65', ['xyz-d65'], 'xyz', convertXyz65ToRgb);
space('xyz', ['xyz'], 'xyz', convertXyz65ToRgb);

/** A color of any space in sRGB, channels from 0 to 1 and beyond. */
export function toRgb(color: ParsedColor): Rgb {
  return ways[color.mode](color as never);
}

export { colorsNamed, parse } from 'culori/fn';
export type { ParsedColor };
