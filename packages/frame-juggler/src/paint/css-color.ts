/*
 * Reads colors as CSS Color 4 writes them. A color function is a row of a table: its channels, and its way to sRGB. A file
 * of our own, as the packages tried threw raw errors at some texts and took half a minute for a long one.
 */
import { colorNames } from './color-names.ts';
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
  xyzD50ToRgb,
  xyzToRgb,
  type Channels,
} from './color-space.ts';

/** A color of sRGB: channels from 0 to 1, and beyond for what it cannot show; alpha from 0 to 1. */
export interface Rgb {
  readonly rgb: Channels;
  readonly alpha: number;
}

/** How a channel is written: what a number is divided by, what 100 % stands for, and what it is cut to. */
interface Channel {
  readonly divisor: number;
  /** Undefined for an angle, which can have a unit but no percent sign. */
  readonly whole: number | undefined;
  readonly min: number;
  readonly max: number;
}

/** Beyond this no channel makes a difference, and its cube still is a number. */
const farthest = 1e9;
const channel = (whole: number | undefined, divisor = 1, min = -farthest, max = farthest): Channel => ({
  divisor,
  whole,
  min,
  max,
});
const hue = channel(undefined);
const unit = channel(1);
const alphaChannel = channel(1, 1, 0, 1);
const percent = channel(1, 100);
const byte = channel(1, 255);
const chroma = (whole: number): Channel => channel(whole, 1, 0);
const lightness = (whole: number): Channel => channel(whole, 1, 0, whole);

/** A color function: its channels, and the way to sRGB. */
type ColorFunction = readonly [a: Channel, b: Channel, c: Channel, toRgb: (channels: Channels) => Channels];

const same = (rgb: Channels): Channels => rgb;

/** The color functions of CSS, by name. */
const colorFunctions: Readonly<Record<string, ColorFunction>> = {
  rgb: [byte, byte, byte, same],
  hsl: [hue, channel(1, 100, 0), percent, hslToRgb],
  hwb: [hue, percent, percent, hwbToRgb],
  lab: [lightness(100), channel(125), channel(125), labToRgb],
  lch: [lightness(100), chroma(150), hue, (lch) => labToRgb(fromPolar(lch))],
  oklab: [lightness(1), channel(0.4), channel(0.4), oklabToRgb],
  oklch: [lightness(1), chroma(0.4), hue, (lch) => oklabToRgb(fromPolar(lch))],
};

const inUnits = (toRgb: ColorFunction[3]): ColorFunction => [unit, unit, unit, toRgb];

/** The color spaces of `color()`, by name. */
const colorSpaces: Readonly<Record<string, ColorFunction>> = {
  srgb: inUnits(same),
  'srgb-linear': inUnits(linearToRgb),
  'display-p3': inUnits(displayP3ToRgb),
  'a98-rgb': inUnits(a98ToRgb),
  'prophoto-rgb': inUnits(prophotoToRgb),
  rec2020: inUnits(rec2020ToRgb),
  xyz: inUnits(xyzToRgb),
  'xyz-d50': inUnits(xyzD50ToRgb),
  'xyz-d65': inUnits(xyzToRgb),
};

/** Reads a color in CSS, or gives undefined where it is not one. */
export function parseCssColor(css: string): Rgb | undefined {
  const text = css.trim().toLowerCase();
  if (text.startsWith('#')) return hexDigits(text.slice(1));
  const open = text.indexOf('(');
  if (open === -1) return namedColor(text);
  const inside = text.slice(open + 1, -1);
  if (!text.endsWith(')') || /[()]/.test(inside)) return undefined;
  const name = text.slice(0, open);
  // Legacy functions have their alpha behind a comma or in a name of their own.
  const plain = name === 'rgba' || name === 'hsla' ? name.slice(0, -1) : name;
  if (inside.includes(',')) return plain === 'rgb' || plain === 'hsl' ? parseLegacy(plain, inside) : undefined;
  const slash = inside.indexOf('/');
  const words = (slash === -1 ? inside : inside.slice(0, slash)).trim().split(/\s+/);
  const space = name === 'color' ? own(colorSpaces, words.shift()!) : own(colorFunctions, plain);
  return space && convert(space, words, slash === -1 ? '1' : inside.slice(slash + 1));
}

function own<T>(table: Readonly<Record<string, T>>, name: string): T | undefined {
  return Object.hasOwn(table, name) ? table[name] : undefined;
}

function namedColor(name: string): Rgb | undefined {
  if (name === 'transparent') return { rgb: [0, 0, 0], alpha: 0 };
  const digits = colorNames.get(name);
  return digits === undefined ? undefined : hexDigits(digits);
}

/** A color of three, four, six or eight digits. */
function hexDigits(digits: string): Rgb | undefined {
  if (!/^(?:[0-9a-f]{3,4}|[0-9a-f]{6}|[0-9a-f]{8})$/.test(digits)) return undefined;
  const short = digits.length < 6;
  const at = (index: number): number =>
    short ? parseInt(digits[index], 16) / 15 : parseInt(digits.slice(index * 2, index * 2 + 2), 16) / 255;
  return { rgb: [at(0), at(1), at(2)], alpha: digits.length % 4 === 0 ? at(3) : 1 };
}

/** `rgb(r, g, b, a)`: all numbers or all percentages; `hsl(h, s, l, a)`: with percent signs. */
function parseLegacy(name: 'rgb' | 'hsl', inside: string): Rgb | undefined {
  const parts = inside.split(',').map((part) => part.trim());
  const percents = parts.slice(0, 3).map((word) => word.endsWith('%'));
  const fits = name === 'hsl' ? percents[1] && percents[2] : percents[0] === percents[1] && percents[1] === percents[2];
  if (!fits || inside.includes('none') || parts.length > 4) return undefined;
  return convert(colorFunctions[name], parts.slice(0, 3), parts[3]);
}

function convert([a, b, c, toRgb]: ColorFunction, words: readonly string[], alphaWord = '1'): Rgb | undefined {
  if (words.length !== 3) return undefined;
  const channels: Channels = [readChannel(words[0], a), readChannel(words[1], b), readChannel(words[2], c)];
  const alpha = readChannel(alphaWord.trim(), alphaChannel);
  return Number.isNaN(channels[0] + channels[1] + channels[2] + alpha) ? undefined : { rgb: toRgb(channels), alpha };
}

const valuePattern = /^([+-]?(?:\d+(?:\.\d+)?|\.\d+)(?:e[+-]?\d+)?)(%|deg|grad|rad|turn)?$/;
const degreesPer: Readonly<Record<string, number>> = { deg: 1, grad: 0.9, rad: 180 / Math.PI, turn: 360 };

/** What most channels are: a few digits, read without a pattern. NaN for all else. */
function wholeNumber(word: string): number {
  if (word.length === 0 || word.length > 9) return NaN;
  let number = 0;
  for (let i = 0; i < word.length; i++) {
    const digit = word.charCodeAt(i) - 48;
    if (digit < 0 || digit > 9) return NaN;
    number = number * 10 + digit;
  }
  return number;
}

/** A channel's value, or NaN where it is not one. A missing one (`none`) counts as 0, as CSS paints it. */
function readChannel(word: string, { divisor, whole, min, max }: Channel): number {
  if (word === 'none') return 0;
  const plain = wholeNumber(word);
  if (plain >= 0 && whole !== undefined) return Math.min(max, Math.max(min, plain / divisor));
  const [, digits, suffix] = valuePattern.exec(word) ?? [];
  const number = Number(digits);
  const value =
    suffix === undefined
      ? number / divisor
      : (suffix === '%') === (whole === undefined)
        ? NaN
        : number * (whole === undefined ? degreesPer[suffix] : whole / 100);
  return Math.min(max, Math.max(min, value));
}
