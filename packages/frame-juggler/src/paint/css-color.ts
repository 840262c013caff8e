/*
 * Reads colors as CSS Color 4 writes them. A color function is a row of a table: its channels, and its way to sRGB,
 * which is the color package's; mixing colors is in culori-mix.ts. The build packs this file together with what it
 * takes of the package: one small file to load, where the package has two hundred.
 */
import {
  colorsNamed,
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
} from 'culori/fn';

/** Channels of sRGB from 0 to 1, and beyond for what it cannot show; alpha from 0 to 1. */
export interface Rgb {
  r: number;
  g: number;
  b: number;
  alpha?: number | undefined;
}

/** How a channel is written: what a number is divided by, what 100 % stands for, and what it is cut to. */
interface Channel {
  readonly divisor: number;
  /** Undefined for an angle, which can have a unit but no percent sign. */
  readonly whole: number | undefined;
  readonly min?: number;
  readonly max?: number;
}

/** A color function: its channels by the package's letters, in the order of CSS, and the way to sRGB. */
interface ColorFunction {
  readonly channels: Readonly<Record<string, Channel>>;
  readonly toRgb: (channels: Readonly<Record<string, number>>) => Rgb;
}

const hue: Channel = { divisor: 1, whole: undefined };
const unit: Channel = { divisor: 1, whole: 1 };
const hundredth: Channel = { divisor: 100, whole: 1 };
const byte: Channel = { divisor: 255, whole: 1 };
const chroma = (whole: number): Channel => ({ divisor: 1, whole, min: 0 });
const lightness = (whole: number): Channel => ({ divisor: 1, whole, min: 0, max: whole });
const axis = (whole: number): Channel => ({ divisor: 1, whole });
const rgbUnits = { r: unit, g: unit, b: unit };
const xyzUnits = { x: unit, y: unit, z: unit };

/** The way to sRGB through the package's conversions, one after the other. */
const way =
  (...steps: readonly ((color: never) => unknown)[]): ColorFunction['toRgb'] =>
  (color) =>
    steps.reduce<unknown>((at, step) => step(at as never), color) as Rgb;

/** The color functions of CSS, by name. */
export const colorFunctions: Readonly<
  Record<'rgb' | 'hsl' | 'hwb' | 'lab' | 'lch' | 'oklab' | 'oklch', ColorFunction>
> = {
  rgb: { channels: { r: byte, g: byte, b: byte }, toRgb: way() },
  hsl: { channels: { h: hue, s: { ...hundredth, min: 0 }, l: hundredth }, toRgb: way(convertHslToRgb) },
  hwb: { channels: { h: hue, w: hundredth, b: hundredth }, toRgb: way(convertHwbToRgb) },
  lab: { channels: { l: lightness(100), a: axis(125), b: axis(125) }, toRgb: way(convertLabToRgb) },
  lch: { channels: { l: lightness(100), c: chroma(150), h: hue }, toRgb: way(convertLchToLab, convertLabToRgb) },
  oklab: { channels: { l: lightness(1), a: axis(0.4), b: axis(0.4) }, toRgb: way(convertOklabToRgb) },
  oklch: { channels: { l: lightness(1), c: chroma(0.4), h: hue }, toRgb: way(convertLchToLab, convertOklabToRgb) },
};

/** The color spaces of `color()`, by name. */
const colorSpaces: Readonly<Record<string, ColorFunction>> = {
  srgb: { channels: rgbUnits, toRgb: way() },
  'srgb-linear': { channels: rgbUnits, toRgb: way(convertLrgbToRgb) },
  'display-p3': { channels: rgbUnits, toRgb: way(convertP3ToXyz65, convertXyz65ToRgb) },
  'a98-rgb': { channels: rgbUnits, toRgb: way(convertA98ToXyz65, convertXyz65ToRgb) },
  'prophoto-rgb': { channels: rgbUnits, toRgb: way(convertProphotoToXyz50, convertXyz50ToRgb) },
  rec2020: { channels: rgbUnits, toRgb: way(convertRec2020ToXyz65, convertXyz65ToRgb) },
  xyz: { channels: xyzUnits, toRgb: way(convertXyz65ToRgb) },
  'xyz-d50': { channels: xyzUnits, toRgb: way(convertXyz50ToRgb) },
  'xyz-d65': { channels: xyzUnits, toRgb: way(convertXyz65ToRgb) },
};

/** The names of CSS's colors, for suggestions. */
export const colorNames = [...Object.keys(colorsNamed), 'transparent'];

/** Reads a color in CSS, or gives undefined where it is not one. */
export function parseCssColor(css: string): Rgb | undefined {
  const text = css.trim().toLowerCase();
  if (text === 'transparent') return { r: 0, g: 0, b: 0, alpha: 0 };
  if (Object.hasOwn(colorsNamed, text)) return hexDigits(colorsNamed[text as 'teal'].toString(16).padStart(6, '0'));
  const [, hex] = /^#([0-9a-f]{3,4}|[0-9a-f]{6}|[0-9a-f]{8})$/.exec(text) ?? [];
  if (hex !== undefined) return hexDigits(hex.length < 6 ? hex.replace(/./g, '$&$&') : hex);
  const [, name, inside] = /^([a-z]+)\(([^()]*)\)$/.exec(text) ?? [];
  if (name === undefined) return undefined;
  // Legacy functions have their alpha behind a comma or in a name of their own.
  const plain = /^(?:rgb|hsl)a$/.test(name) ? name.slice(0, -1) : name;
  const commas = inside.split(',');
  if (commas.length > 1) return plain === 'rgb' || plain === 'hsl' ? parseLegacy(plain, commas) : undefined;
  const [channels, alpha, ...rest] = inside.split('/');
  const words = channels.trim().split(/\s+/);
  const colorFunction = name === 'color' ? own(colorSpaces, words.shift()!) : own(colorFunctions, plain);
  return colorFunction && rest.length === 0 ? convert(colorFunction, words, alpha) : undefined;
}

function own<T>(table: Readonly<Record<string, T>>, name: string): T | undefined {
  return Object.hasOwn(table, name) ? table[name] : undefined;
}

/** A color of six or eight digits. */
function hexDigits(digits: string): Rgb {
  const [r, g, b, alpha = 1] = digits.match(/../g)!.map((pair) => parseInt(pair, 16) / 255);
  return { r, g, b, alpha };
}

/** `rgb(r, g, b, a)`: all numbers or all percentages; `hsl(h, s, l, a)`: with percent signs. */
function parseLegacy(name: 'rgb' | 'hsl', parts: readonly string[]): Rgb | undefined {
  const words = parts.slice(0, 3).map((part) => part.trim());
  const percents = words.map((word) => word.endsWith('%'));
  const fits = name === 'hsl' ? percents[1] && percents[2] : percents[0] === percents[1] && percents[1] === percents[2];
  const none = parts.some((part) => part.includes('none'));
  return fits && !none && parts.length < 5 ? convert(colorFunctions[name], words, parts[3]) : undefined;
}

function convert({ channels, toRgb }: ColorFunction, words: readonly string[], alpha = '1'): Rgb | undefined {
  const letters = Object.keys(channels);
  if (words.length !== letters.length) return undefined;
  const values = letters.map((letter, index) => readChannel(words[index], channels[letter]));
  const opacity = readChannel(alpha.trim(), { ...unit, min: 0, max: 1 });
  if (opacity === undefined || values.includes(undefined)) return undefined;
  const color = Object.fromEntries(letters.map((letter, index) => [letter, values[index]]));
  return { ...toRgb(color as Record<string, number>), alpha: opacity };
}

const valuePattern = /^([+-]?(?:\d+(?:\.\d+)?|\.\d+)(?:e[+-]?\d+)?)(%|deg|grad|rad|turn)?$/;
const degreesPer: Readonly<Record<string, number>> = { deg: 1, grad: 0.9, rad: 180 / Math.PI, turn: 360 };
/** Beyond this no channel makes a difference, and its cube still is a number. */
const farthest = 1e9;

/** A channel's value, or undefined where it is not one. A missing one (`none`) counts as 0, as CSS paints it. */
function readChannel(word: string, { divisor, whole, min = -farthest, max = farthest }: Channel): number | undefined {
  if (word === 'none') return 0;
  const [, digits, suffix] = valuePattern.exec(word) ?? [];
  if (digits === undefined) return undefined;
  const number = Number(digits);
  if (whole === undefined)
    return suffix === '%' ? undefined : cut(number * (suffix === undefined ? 1 : degreesPer[suffix]), min, max);
  if (suffix === undefined) return cut(number / divisor, min, max);
  return suffix === '%' ? cut((number * whole) / 100, min, max) : undefined;
}

function cut(value: number, min: number, max: number): number {
  return Math.min(max, Math.max(min, value));
}
