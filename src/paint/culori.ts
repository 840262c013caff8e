/*
 * The colour package, with the colour spaces of CSS Color 4 and no others. The build packs this file together with
 * what it takes of the package: one small file to load, where the package has two hundred.
 */
import {
  modeA98,
  modeHsl,
  modeHwb,
  modeLab,
  modeLch,
  modeLrgb,
  modeOklab,
  modeOklch,
  modeP3,
  modeProphoto,
  modeRec2020,
  modeRgb,
  modeXyz50,
  modeXyz65,
  useMode,
} from 'culori/fn';

for (const mode of [
  modeRgb, modeLrgb, modeHsl, modeHwb, modeLab, modeLch, modeOklab, modeOklch,
  modeP3, modeA98, modeProphoto, modeRec2020, modeXyz50, modeXyz65,
]) useMode(mode as Parameters<typeof useMode>[0]); // prettier-ignore

export { colorsNamed, converter, interpolate, parse } from 'culori/fn';
export type { Color as ParsedColor } from 'culori/fn';
