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
  return plainFunction(css) ?? parseWords(css, depth);
}

/** @param depth how many colors it stands within */
function parseWords(css: string, depth: number): Rgb | undefined {
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
  const plain = plainName(name);
  if (parts === undefined) return undefined;
  if (parts.length > 1) return plain === 'rgb' || plain === 'hsl' ? parseLegacy(plain, parts) : undefined;
  const [before = '', alpha, ...rest] = inside.includes('/') ? (split(inside, '/') ?? []) : [inside];
  const words = split(before, ' ');
  if (words === undefined || rest.length > 0) return undefined;
  const isRelative = words[0] === 'from';
  const origin = isRelative ? parseWords(words.splice(0, 2)[1] ?? '', depth + 1) : undefined;
  if (isRelative && origin === undefined) return undefined;
  const row = name === 'color' ? rowOf(colorSpaces, words.shift() ?? '') : rowOf(colorFunctions, plain);
  return row && convert(row, words, alpha, origin);
}

/** Legacy functions have their alpha behind a comma or in a name of their own. */
function plainName(name: string): string {
  return name === 'rgba' || name === 'hsla' ? name.slice(0, -1) : name;
}

function withoutComments(css: string): string {
  return css.includes('/*') ? css.replace(/\/\*[^]*?\*\//g, ' ') : css;
}

/* Signs by their codes. */
const [space, percentSign, opening, closing, comma, point, slash, zero] = [
  0x20, 0x25, 0x28, 0x29, 0x2c, 0x2e, 0x2f, 0x30,
];

// A no-break space too, which cannot be told from others by who copied it from somewhere.
const isSpace = (code: number): boolean => code === space || (code >= 0x09 && code <= 0x0d) || code === 0xa0;

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
  const bits = digits.length < 6 ? 4 : 8;
  const most = (1 << bits) - 1;
  const all = parseInt(digits, 16);
  const behind = (count: number): number => ((all >>> (count * bits)) & most) / most;
  return digits.length % 4 === 0
    ? { rgb: [behind(3), behind(2), behind(1)], alpha: behind(0) }
    : { rgb: [behind(2), behind(1), behind(0)], alpha: 1 };
}

/** `rgb(r, g, b, a)`: all numbers or all percentages; `hsl(h, s, l, a)`: with percent signs. */
function parseLegacy(name: 'rgb' | 'hsl', written: readonly string[]): Rgb | undefined {
  const parts = written.map((part) => part.trim());
  const percents = parts.map((word) => word.endsWith('%'));
  const isCalculated = parts.some((part) => part.includes('('));
  if (!(fitsLegacy(name, percents) || isCalculated) || parts.includes('none') || parts.length > 4) return undefined;
  return convert(colorFunctions[name], parts.slice(0, 3), parts[3]);
}

function fitsLegacy(name: string, [first, second, third]: readonly boolean[]): boolean {
  return name === 'hsl' ? second && third : name === 'rgb' && first === second && second === third;
}

/** Those that are exact. */
const powersOfTen = /* @__PURE__ */ Array.from({ length: 23 }, (_, power) => Number(`1e${power}`));

/**
 * What most colors are: a function of plain numbers, which is read in one pass, as texts of colors that change come by
 * the thousand a frame. Undefined for all else, which is read word by word.
 */
function plainFunction(text: string): Rgb | undefined {
  const open = text.indexOf('(');
  if (open === -1) return undefined;
  const name = plainName(text.slice(0, open));
  const row = rowOf(colorFunctions, name);
  if (row === undefined) return undefined;
  const values: [number, number, number, number] = [0, 0, 0, 1];
  const percents = [false, false, false, false];
  let commas = 0;
  let i = open + 1;
  const skipSpaces = (): void => {
    while (text.charCodeAt(i) === space) i++;
  };
  for (let n = 0; n < 4; n++) {
    skipSpaces();
    const start = i;
    let number = 0;
    let pointAt = -1;
    for (; ; i++) {
      const digit = text.charCodeAt(i) - zero;
      if (digit >= 0 && digit <= 9) number = number * 10 + digit;
      else if (digit === point - zero && pointAt < 0) pointAt = i;
      else break;
    }
    if (i === start || pointAt === i - 1) return undefined;
    // Up to 15 digits this is the nearest to what is written; beyond, no color shows that the last one is rounded.
    if (pointAt >= 0) number /= powersOfTen[i - 1 - pointAt];
    percents[n] = text.charCodeAt(i) === percentSign;
    if (percents[n]) i++;
    values[n] = inChannel(number, percents[n] ? '%' : '', n < 3 ? row.channels[n] : alphaChannel);
    const end = i;
    skipSpaces();
    const code = text.charCodeAt(i++);
    if (code === closing) {
      if (n < 2 || i < text.length || (commas > 0 && (commas < n || !fitsLegacy(name, percents)))) return undefined;
      const [first, second, third, alpha] = values;
      // So many digits behind a point that there is no power of ten for them, too.
      if (Number.isNaN(first + second + third + alpha)) return undefined;
      return { rgb: row.toRgb([first, second, third]), alpha };
    }
    if (code === comma) commas++;
    // Numbers stand behind spaces, and alpha behind a slash.
    else if (n < 2 && i > end + 1) i--;
    else if (n !== 2 || code !== slash) return undefined;
  }
  return undefined;
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

/** A channel's value, or NaN where it is not one. A missing one (`none`) counts as 0, as CSS paints it. */
function readChannel(word: string, channel: Channel, names: ReadonlyMap<string, number>): number {
  if (word === 'none') return 0;
  const quantity = quantityOf(word, names);
  return quantity === undefined ? NaN : inChannel(quantity.value, quantity.unit, channel);
}

function quantityOf(word: string, names: ReadonlyMap<string, number>): Quantity | undefined {
  if (word.startsWith('calc(')) return calculate(word, names);
  const named = names.get(word);
  return named === undefined ? readQuantity(word) : { value: named, unit: '' };
}

/** A quantity as a channel counts, cut to what it can be; NaN where its unit does not fit there. */
function inChannel(value: number, unit: Quantity['unit'], { divisor, whole, min, max }: Channel): number {
  if (unit !== '' && (unit === '%') === (whole === undefined)) return NaN;
  const counted = unit === '' ? value / divisor : unit === '%' ? (value * whole!) / 100 : value;
  return Math.min(max, Math.max(min, counted));
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
  const color = parseWords(words[shareAt === 0 ? 1 : 0], depth + 1);
  return color && { color, share };
}
