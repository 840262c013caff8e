/*
 * The color package, with the spaces that colors are mixed in. Packed by the build, and loaded only where colors
 * are mixed.
 */
import { modeHsl, modeLab, modeLch, modeOklab, modeOklch, modeRgb, useMode } from 'culori/fn';

for (const mode of [modeRgb, modeHsl, modeLab, modeLch, modeOklab, modeOklch]) useMode(mode);

export { converter, interpolate } from 'culori/fn';
export type { Color as ParsedColor } from 'culori/fn';
