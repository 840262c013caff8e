/*
 * The colour package, with the spaces that colours are mixed in. Packed by the build, and loaded only where colours
 * are mixed.
 */
import { modeHsl, modeLab, modeLch, modeOklab, modeOklch, modeRgb, useMode } from 'culori/fn';

for (const mode of [modeRgb, modeHsl, modeLab, modeLch, modeOklab, modeOklch]) useMode(mode);

export { converter, interpolate } from 'culori/fn';
export type { Color as ParsedColor } from 'culori/fn';
