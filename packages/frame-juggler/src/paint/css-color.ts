/*
 * Reads colors as CSS Color 4 writes them, and the relative and mixed ones of CSS Color 5. A file of our own, as the
 * packages tried threw raw errors at some texts and took half a minute for a long one.
 */
import { calculate, readQuantity, type Quantity } from './css-calc.ts';
import {
  alphaChannel,
  colorFunctions,
  colorSpaces,
  rowOf,
  type Channel,
  type ColorFunction,
} from './color-functions.ts';
import { colorNames } from './color-names.ts';
import type { Channels } from './color-space.ts';
import { hueWays, interpolate, type HueWay } from './interpolate.ts';

/** A color of sRGB: channels from 0 to 1, and beyond for what it cannot show; alpha from 0 to 1. */
export interface Rgb {
  readonly rgb: Channels;
  readonly alpha: number;
}

/** Colors may stand within colors, but no deeper than anyone writes them. */
const deepest = 16;

/** Reads a color in CSS, or gives undefined where it is not one. */
export function parseCssColor(css: string, depth = 0): Rgb | undefined {
  const text = withoutComments(css).trim().toLowerCase();
  if (text.startsWith('#')) return hexDigits(text.slice(1));
  const open = text.indexOf('(');
  if (open === -1) return namedColor(text);
  if (!text.endsWith(')') || depth > deepest) return undefined;
  const name = text.slice(0, open);
  const inside = text.slice(open + 1, -1);
  // What has no commas and no slash is looked through once only: for its words.
  const parts = inside.includes(',') ? split(inside, ',') : [inside];
  if (name === 'color-mix') return parts && mix(parts, depth);
  // Legacy functions have their alpha behind a comma or in a name of their own.
  const plain = name === 'rgba' || name === 'hsla' ? name.slice(0, -1) : name;
  if (parts === undefined) return undefined;
  if (parts.length > 1) return plain === 'rgb' || plain === 'hsl' ? parseLegacy(plain, parts) : undefined;
  const [before = '', alpha, ...rest] = inside.includes('/') ? (split(inside, '/') ?? []) : [inside];
  const words = split(before, ' ');
  if (words === undefined || rest.length > 0) return undefined;
  const isRelative = words[0] === 'from';
  const origin = isRelative ? parseCssColor(words.splice(0, 2)[1] ?? '', depth + 1) : undefined;
  if (isRelative && origin === undefined) return undefined;
  const row = name === 'color' ? rowOf(colorSpaces, words.shift() ?? '') : rowOf(colorFunctions, plain);
  return row && convert(row, words, alpha, origin);
}

function withoutComments(css: string): string {
  return css.includes('/*') ? css.replace(/\/\*[^]*?\*\//g, ' ') : css;
}

const [opening, closing] = [0x28, 0x29];
// A no-break space too, which cannot be told from others by who copied it from somewhere.
const isSpace = (code: number): boolean => code === 0x20 || (code >= 0x09 && code <= 0x0d) || code === 0xa0;

/** Splits at separators outside of parentheses; undefined if the parentheses do not match. ' ' stands for any white space. */
function split(text: string, separator: ',' | '/' | ' '): string[] | undefined {
  const parts: string[] = [];
  const at = separator.charCodeAt(0);
  let depth = 0;
  let from = 0;
  // By codes: texts of colors that change come by the thousand a frame.
  for (let i = 0; i < text.length; i++) {
    const code = text.charCodeAt(i);
    if (code === opening) depth++;
    else if (code === closing && --depth < 0) return undefined;
    else if (depth === 0 && (code === at || (separator === ' ' && isSpace(code)))) {
      if (separator !== ' ' || i > from) parts.push(text.slice(from, i));
      from = i + 1;
    }
  }
  if (separator !== ' ' || text.length > from) parts.push(text.slice(from));
  return depth === 0 ? parts : undefined;
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
function parseLegacy(name: 'rgb' | 'hsl', written: readonly string[]): Rgb | undefined {
  const parts = written.map((part) => part.trim());
  const percents = parts.slice(0, 3).map((word) => word.endsWith('%'));
  const fits = name === 'hsl' ? percents[1] && percents[2] : percents[0] === percents[1] && percents[1] === percents[2];
  const isCalculated = parts.some((part) => part.includes('('));
  if (!(fits || isCalculated) || parts.includes('none') || parts.length > 4) return undefined;
  return convert(colorFunctions[name], parts.slice(0, 3), parts[3]);
}

const noNames: ReadonlyMap<string, number> = new Map();

/** A color by its channels as they are written. @param origin the color that it is relative to */
function convert(row: ColorFunction, words: readonly string[], alphaWord?: string, origin?: Rgb): Rgb | undefined {
  if (words.length !== 3) return undefined;
  const names = origin === undefined ? noNames : namesOf(row, origin);
  const read = (index: number): number => readChannel(words[index], row.channels[index], names);
  const channels: Channels = [read(0), read(1), read(2)];
  const alpha = alphaWord === undefined ? (origin?.alpha ?? 1) : readChannel(alphaWord.trim(), alphaChannel, names);
  return Number.isNaN(channels[0] + channels[1] + channels[2] + alpha)
    ? undefined
    : { rgb: row.toRgb(channels), alpha };
}

/** What the names of channels stand for in a color that is relative to another (CSS Color 5, 4.1). */
function namesOf(row: ColorFunction, { rgb, alpha }: Rgb): ReadonlyMap<string, number> {
  const channels = row.fromRgb(rgb);
  const value = (index: number): number =>
    index === row.hue && row.isGray?.(channels) ? 0 : channels[index] * row.channels[index].divisor;
  return new Map([...[...row.names].map((name, index): [string, number] => [name, value(index)]), ['alpha', alpha]]);
}

const powersOfTen = /* @__PURE__ */ Array.from({ length: 16 }, (_, power) => Number(`1e${power}`));

/** What most channels are: digits with a point among them or not, up to a place, read without a pattern. NaN for all else. */
function plainNumber(word: string, end: number): number {
  let number = 0;
  let point = -1;
  for (let i = 0; i < end; i++) {
    const digit = word.charCodeAt(i) - 0x30;
    if (digit >= 0 && digit <= 9) number = number * 10 + digit;
    else if (digit === -2 && point < 0 && i < end - 1) point = i;
    else return NaN;
  }
  if (end === 0) return NaN;
  // Up to 15 digits a whole number is exact, and so is a power of ten: their quotient is the nearest to what is written.
  if (end > 15) return Number(word.slice(0, end));
  return point < 0 ? number : number / powersOfTen[end - 1 - point];
}

/** A channel's value, or NaN where it is not one. A missing one (`none`) counts as 0, as CSS paints it. */
function readChannel(word: string, channel: Channel, names: ReadonlyMap<string, number>): number {
  if (word === 'none') return 0;
  const isPercent = word.endsWith('%');
  const plain = plainNumber(word, isPercent ? word.length - 1 : word.length);
  const value =
    plain >= 0 ? { value: plain, unit: isPercent ? ('%' as const) : ('' as const) } : quantityOf(word, names);
  return value === undefined ? NaN : Math.min(channel.max, Math.max(channel.min, inChannel(value, channel)));
}

function quantityOf(word: string, names: ReadonlyMap<string, number>): Quantity | undefined {
  if (word.startsWith('calc(')) return calculate(word, names);
  const named = names.get(word);
  return named === undefined ? readQuantity(word) : { value: named, unit: '' };
}

/** A quantity as a channel counts; NaN where its unit does not fit there. */
function inChannel({ value, unit }: Quantity, { divisor, whole }: Channel): number {
  if (unit === '') return value / divisor;
  if ((unit === '%') === (whole === undefined)) return NaN;
  return unit === '%' ? (value * whole!) / 100 : value;
}

/** `color-mix(in oklch longer hue, red 30%, blue)`: CSS Color 5, 3. */
function mix([how = '', one = '', other = '', ...rest]: readonly string[], depth: number): Rgb | undefined {
  const [inWord, spaceName = '', way, hueWord, ...more] = how.trim().split(/\s+/);
  const space = rowOf(colorSpaces, spaceName) ?? (spaceName === 'rgb' ? undefined : rowOf(colorFunctions, spaceName));
  // Which way round is told as in `longer hue`, and only where there is a hue.
  const isWay = way === undefined || (Object.hasOwn(hueWays, way) && hueWord === 'hue' && space?.hue !== undefined);
  if (inWord !== 'in' || space === undefined || !isWay || more.length + rest.length > 0) return undefined;
  const [a, b] = [partOf(one, depth), partOf(other, depth)];
  if (a === undefined || b === undefined) return undefined;
  const shareA = a.share ?? 100 - (b.share ?? 50);
  const shareB = b.share ?? 100 - shareA;
  const sum = shareA + shareB;
  if (sum === 0) return { rgb: [0, 0, 0], alpha: 0 };
  const inSpace = ({ rgb, alpha }: Rgb): { channels: Channels; alpha: number } => ({ channels: space.fromRgb(rgb), alpha }); // prettier-ignore
  const mixed = interpolate(space, inSpace(a.color), inSpace(b.color), shareB / sum, (way ?? 'shorter') as HueWay);
  return { rgb: space.toRgb(mixed.channels), alpha: mixed.alpha * Math.min(1, sum / 100) };
}

/** One of the colors to be mixed, and its share in percent if it is told. What is missing in it (`none`) is not read. */
function partOf(text: string, depth: number): { color: Rgb; share: number | undefined } | undefined {
  const words = split(text.trim(), ' ');
  if (words === undefined || words.length > 2 || /\bnone\b/.test(text)) return undefined;
  const shareAt = words.findIndex((word) => word.endsWith('%'));
  const share = shareAt === -1 ? undefined : readQuantity(words[shareAt])?.value;
  if (words.length !== (shareAt === -1 ? 1 : 2) || (shareAt !== -1 && !(share! >= 0 && share! <= 100)))
    return undefined;
  const color = parseCssColor(words[shareAt === 0 ? 1 : 0], depth + 1);
  return color && { color, share };
}
