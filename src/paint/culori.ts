/*
 * The colour package, with the colour spaces of CSS Color 4 and no others. The build packs this file together with
 * what it takes of the package: one small file to load, where the package has two hundred.
 */
import {
  convertA98ToXyz65,
  convertHwbToRgb,
  convertLrgbToRgb,
  convertP3ToXyz65,
  convertProphotoToXyz50,
  convertRec2020ToXyz65,
  convertXyz50ToRgb,
  convertXyz65ToRgb,
  interpolatorLinear,
  modeHsl,
  modeLab,
  modeLch,
  modeOklab,
  modeOklch,
  modeRgb,
  parseHwb,
  useMode,
} from 'culori/fn';

type Definition = Parameters<typeof useMode>[0];

/** A space that colours are read from, but never turned into: its way to sRGB is all that is needed of it. */
function readOnly(mode: string, parser: string | typeof parseHwb, channels: string, toRgb: unknown): Definition {
  const names = [...channels, 'alpha'];
  return {
    mode,
    parse: [parser],
    channels: names,
    toMode: { rgb: toRgb },
    interpolate: Object.fromEntries(names.map((name) => [name, interpolatorLinear])),
  } as unknown as Definition;
}

const through =
  <A, B, C>(first: (color: A) => B, second: (color: B) => C) =>
  (color: A): C =>
    second(first(color));

const spaces = [
  ...[modeRgb, modeHsl, modeLab, modeLch, modeOklab, modeOklch],
  readOnly('hwb', parseHwb, 'hwb', convertHwbToRgb),
  readOnly('lrgb', 'srgb-linear', 'rgb', convertLrgbToRgb),
  readOnly('p3', 'display-p3', 'rgb', through(convertP3ToXyz65, convertXyz65ToRgb)),
  readOnly('a98', 'a98-rgb', 'rgb', through(convertA98ToXyz65, convertXyz65ToRgb)),
  readOnly('prophoto', 'prophoto-rgb', 'rgb', through(convertProphotoToXyz50, convertXyz50ToRgb)),
  readOnly('rec2020', 'rec2020', 'rgb', through(convertRec2020ToXyz65, convertXyz65ToRgb)),
  readOnly('xyz50', 'xyz-d50', 'xyz', convertXyz50ToRgb),
  readOnly('xyz65', 'xyz-d65', 'xyz', convertXyz65ToRgb),
  readOnly('xyz', 'xyz', 'xyz', convertXyz65ToRgb),
];
for (const space of spaces) useMode(space as Definition);

export { colorsNamed, converter, interpolate, parse } from 'culori/fn';
export type { Color as ParsedColor } from 'culori/fn';
