/*
 * The color functions of CSS Color 4: one row each, with its channels, the way to sRGB and back. Reading, relative colors
 * and mixing all go by these rows.
 */
import {
  a98ToRgb,
  displayP3ToRgb,
  fromPolar,
  hslToRgb,
  hwbToRgb,
  labToRgb,
  linearToRgb,
  oklabToRgb,
  prophotoToRgb,
  rec2020ToRgb,
  rgbToA98,
  rgbToDisplayP3,
  rgbToHsl,
  rgbToHwb,
  rgbToLab,
  rgbToLinear,
  rgbToOklab,
  rgbToProphoto,
  rgbToRec2020,
  rgbToXyz,
  rgbToXyzD50,
  toPolar,
  xyzD50ToRgb,
  xyzToRgb,
  type Channels,
} from './color-space.ts';

/** How a channel is written: what a number is divided by, what 100 % stands for, and what it is cut to. */
export interface Channel {
  readonly divisor: number;
  /** Undefined for an angle, which can have a unit but no percent sign. */
  readonly whole: number | undefined;
  readonly min: number;
  readonly max: number;
}

/** Larger channels make no visible difference; the cube of this is still finite. */
const farthest = 1e9;
const channel = (whole: number | undefined, divisor = 1, min = -farthest, max = farthest): Channel => ({
  divisor,
  whole,
  min,
  max,
});
const angle = channel(undefined);
const unit = channel(1);
export const alphaChannel = channel(1, 1, 0, 1);
const percent = channel(1, 100);
const byte = channel(1, 255);
const chroma = (whole: number): Channel => channel(whole, 1, 0);
const lightness = (whole: number): Channel => channel(whole, 1, 0, whole);

/** A color function. */
export interface ColorFunction {
  /** What its channels are called in a relative color, a letter each. */
  readonly names: string;
  readonly channels: readonly [Channel, Channel, Channel];
  readonly toRgb: (channels: Channels) => Channels;
  readonly fromRgb: (rgb: Channels) => Channels;
  /** Which channel is a hue, and when a color has none: it is gray (CSS Color 4, 12.2). */
  readonly hue?: number;
  readonly isGray?: (channels: Channels) => boolean;
}

const same = (rgb: Channels): Channels => rgb;
const chromaUpTo =
  (limit: number) =>
  ([, chroma]: Channels): boolean =>
    chroma <= limit;

/** The color functions, by name. */
export const colorFunctions = {
  rgb: { names: 'rgb', channels: [byte, byte, byte], toRgb: same, fromRgb: same },
  hsl: {
    names: 'hsl',
    channels: [angle, channel(1, 100, 0), percent],
    toRgb: hslToRgb,
    fromRgb: rgbToHsl,
    hue: 0,
    isGray: chromaUpTo(1e-5),
  },
  hwb: {
    names: 'hwb',
    channels: [angle, percent, percent],
    toRgb: hwbToRgb,
    fromRgb: rgbToHwb,
    hue: 0,
    isGray: ([, white, black]) => white + black >= 1 - 1e-5,
  },
  lab: { names: 'lab', channels: [lightness(100), channel(125), channel(125)], toRgb: labToRgb, fromRgb: rgbToLab },
  lch: {
    names: 'lch',
    channels: [lightness(100), chroma(150), angle],
    toRgb: (lch) => labToRgb(fromPolar(lch)),
    fromRgb: (rgb) => toPolar(rgbToLab(rgb)),
    hue: 2,
    isGray: chromaUpTo(0.0015),
  },
  oklab: { names: 'lab', channels: [lightness(1), channel(0.4), channel(0.4)], toRgb: oklabToRgb, fromRgb: rgbToOklab },
  oklch: {
    names: 'lch',
    channels: [lightness(1), chroma(0.4), angle],
    toRgb: (lch) => oklabToRgb(fromPolar(lch)),
    fromRgb: (rgb) => toPolar(rgbToOklab(rgb)),
    hue: 2,
    isGray: chromaUpTo(4e-6),
  },
} as const satisfies Record<string, ColorFunction>;

const inUnits = (toRgb: ColorFunction['toRgb'], fromRgb: ColorFunction['fromRgb'], names = 'rgb'): ColorFunction => ({
  names,
  channels: [unit, unit, unit],
  toRgb,
  fromRgb,
});

/** The color spaces of `color()`, by name. */
export const colorSpaces: Readonly<Record<string, ColorFunction>> = {
  srgb: inUnits(same, same),
  'srgb-linear': inUnits(linearToRgb, rgbToLinear),
  'display-p3': inUnits(displayP3ToRgb, rgbToDisplayP3),
  'a98-rgb': inUnits(a98ToRgb, rgbToA98),
  'prophoto-rgb': inUnits(prophotoToRgb, rgbToProphoto),
  rec2020: inUnits(rec2020ToRgb, rgbToRec2020),
  xyz: inUnits(xyzToRgb, rgbToXyz, 'xyz'),
  'xyz-d50': inUnits(xyzD50ToRgb, rgbToXyzD50, 'xyz'),
  'xyz-d65': inUnits(xyzToRgb, rgbToXyz, 'xyz'),
};

/** How a color function is written: `hsl(h s% l%)`, for the messages. */
export function formOf(name: string): string {
  const { names, channels } = rowOf(colorFunctions, name)!;
  const sign = ({ whole, divisor, max }: Channel): string => (divisor === 100 || max === whole ? '%' : '');
  return `${name}(${channels.map((channel, i) => names[i] + sign(channel)).join(' ')})`;
}

/** A row of a table by name; undefined if it has none of that name. */
export function rowOf(table: Readonly<Record<string, ColorFunction>>, name: string): ColorFunction | undefined {
  return Object.hasOwn(table, name) ? table[name] : undefined;
}
