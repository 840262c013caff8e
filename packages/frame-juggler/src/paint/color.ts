import { fail, show } from '../error.ts';
import { nearest } from '../suggest.ts';
import { between, convertedLater, finite, fraction, kindOf, listOf, missing } from '../schema/kind.ts';
import { colorFunctions, formOf } from './color-functions.ts';
import { colorNames } from './color-names.ts';
import { fromPolar, hslToRgb, oklabToRgb, type Channels } from './color-space.ts';
import { parseCssColor } from './css-color.ts';

/**
 * A color in eight bits a channel, as one number: red, green, blue and alpha from the lowest byte up, not
 * premultiplied. This is what frames hold; a signed 32-bit integer is the cheapest value an engine has.
 */
export type PackedColor = number;
/** A packed color that is handed in. */
export const packedColor = /* @__PURE__ */ kindOf<PackedColor>(
  'a packed color, as color.packed',
  Number.isInteger,
  'is not a packed color',
);

/**
 * A color of sRGB: red, green and blue from 0 to 255, alpha from 0 to 1. Made by `rgb`, `hsl` and the like. It never
 * changes: its channels have no setter, so that plain JavaScript refuses to set one, too.
 */
export class Color {
  /** As one number, as frames keep it. */
  readonly packed: PackedColor;
  private readonly r: number;
  private readonly g: number;
  private readonly b: number;
  private readonly a: number;
  constructor(
    /** From 0 to 255. */
    red: number,
    /** From 0 to 255. */
    green: number,
    /** From 0 to 255. */
    blue: number,
    /** From 0, not there, to 1. */
    alpha: number,
  ) {
    this.r = red;
    this.g = green;
    this.b = blue;
    this.a = alpha;
    this.packed = pack(red, green, blue, alpha * 255);
  }

  /** From 0 to 255. */
  get red(): number {
    return this.r;
  }

  /** From 0 to 255. */
  get green(): number {
    return this.g;
  }

  /** From 0 to 255. */
  get blue(): number {
    return this.b;
  }

  /** From 0, not there, to 1. */
  get alpha(): number {
    return this.a;
  }

  /** The color in CSS, so that it can be put into a string. */
  toString(): string {
    return cssColor(this.packed);
  }

  /** The same, so that JSON holds what `fill` takes. */
  toJSON(): string {
    return this.toString();
  }
}

/** Whatever names a color: any CSS Color 4 string, or what `rgb`, `gray`, `hsl`, `oklch` and `colorMix` give. */
export type ColorLike = string | Color;

/** Four channels from 0 to 255, rounded and kept in range. */
export function pack(red: number, green: number, blue: number, alpha: number): PackedColor {
  return byte(red) | (byte(green) << 8) | (byte(blue) << 16) | (byte(alpha) << 24);
}

function byte(value: number): number {
  return value <= 0 ? 0 : value >= 255 ? 255 : (value + 0.5) | 0;
}

export const redOf = (packed: PackedColor): number => packed & 255;
export const greenOf = (packed: PackedColor): number => (packed >>> 8) & 255;
export const blueOf = (packed: PackedColor): number => (packed >>> 16) & 255;
export const alphaOf = (packed: PackedColor): number => packed >>> 24;

/** `#rrggbb`, or `#rrggbbaa` where it is not opaque. */
export function cssColor(packed: PackedColor): string {
  packedColor.read('cssColor', 'packed', packed);
  const digits = (value: number, count: number): string => value.toString(16).padStart(count, '0');
  const color = `#${digits((redOf(packed) << 16) | (greenOf(packed) << 8) | blueOf(packed), 6)}`;
  return alphaOf(packed) === 255 ? color : color + digits(alphaOf(packed), 2);
}

/**
 * Reads a color: a CSS Color 4 string or a {@link Color}. Colors outside sRGB are clipped to it, as browsers do.
 * @throws SketchError naming the nearest known color where it cannot be read.
 */
export function readColor(call: string, option: string, value: unknown): Color {
  if (value instanceof Color) return value;
  return (typeof value === 'string' ? parseCss(value) : undefined) ?? unknownColor(call, option, value);
}

const packedByText = new Map<string, PackedColor>();
const cacheLimit = 1 << 17;

/** As {@link readColor}, packed, and quick for text that was read before: sketches name the same colors every frame. */
export function readPacked(call: string, option: string, value: unknown): PackedColor {
  if (value instanceof Color) return value.packed;
  if (typeof value !== 'string') return readColor(call, option, value).packed;
  const known = packedByText.get(value);
  if (known !== undefined) return known;
  const color = parseCssColor(value) ?? unknownColor(call, option, value);
  const [red, green, blue] = color.rgb;
  const packed = pack(clampChannel(red), clampChannel(green), clampChannel(blue), color.alpha * 255);
  if (packedByText.size === cacheLimit) packedByText.clear();
  packedByText.set(value, packed);
  return packed;
}

function parseCss(text: string): Color | undefined {
  const color = parseCssColor(text);
  return color && fromUnits(color.rgb, color.alpha);
}

/** A color of channels from 0 to 1; what lies beyond is cut. */
export function fromUnits([red, green, blue]: Channels, alpha: number): Color {
  return new Color(clampChannel(red), clampChannel(green), clampChannel(blue), Math.min(1, Math.max(0, alpha)));
}

/** Cut to ten digits, so that a gray that lies just between two bytes stays one: its channels come by different ways. */
function clampChannel(unit: number): number {
  return Math.min(255, Math.max(0, Math.round(unit * 255e8) / 1e8));
}

function unknownColor(call: string, option: string, value: unknown): never {
  if (typeof option !== 'string')
    fail({ call: 'readColor', value: call, problem: 'stands alone', expected: "expected readColor('pennant', 'fill', color)" }); // prettier-ignore
  if (value === undefined) missing(call, option, 'a color, "teal" or "#0f2a3d"');
  return fail({ call, option, value, problem: 'is not a color', expected: colorHint(option, value) });
}

function colorHint(option: string, value: unknown): string {
  if (value === null || value === false)
    return `${option}: ${option === 'fill' || option === 'stroke' ? "'none'" : "'transparent'"} paints nothing`;
  if (typeof value === 'number') {
    if (Number.isInteger(value) && value > 255 && value <= 0xffffff)
      return `did you mean "#${value.toString(16).padStart(6, '0')}"?`;
    const width = option === 'stroke' ? `a width is stroke: { width: ${show(value)} }, ` : '';
    return `${width}a gray is gray(${show(value)}), other colors are strings like "teal" or "#0f2a3d"`;
  }
  if (typeof value === 'function')
    return `expected what it gives when it is called: ${value.length > 0 ? 'ramp(stops)(0.5)' : `${value.name}()`}`;
  if (Array.isArray(value)) {
    if (value.length >= 3 && value.every((part) => typeof part === 'number'))
      return `did you mean rgb(${value.join(', ')})?`;
    return 'several are a gradient: linearGradient({ from, to, stops }); one of a list is random.pick(list)';
  }
  if (typeof value === 'object') {
    const [called] = /^(rgb|hsl)(?=a?$)/.exec(Object.keys(value).join('')) ?? [];
    if (called) return `did you mean ${called}(${Object.values(value).join(', ')})?`;
    if ('stops' in value || 'picture' in value)
      return 'a gradient or a pattern fills shapes: canvas.rect({ from: [0, 0], to: [width, height], fill: … })';
    if ('color' in value) return `did you mean ${option}: ${show(value.color)}?`;
  }
  if (typeof value === 'string') {
    if (value.includes('undefined')) return 'a part of it is undefined';
    if (value.includes('gradient(')) return 'did you mean linearGradient({ from, to, stops })?';
    if (value === 'random') return 'did you mean random.color()?';
    if (/^[0-9a-f]{3,8}$/i.test(value)) return `did you mean "#${value}"?`;
    if (value.startsWith('#')) return 'expected "#" and 3 or 6 digits of 0 to 9 and a to f, or 4 or 8 with alpha';
    const [, called] = /^(\w+?)a?\s*\(/.exec(value.toLowerCase()) ?? [];
    const meant = called && nearest(called, Object.keys(colorFunctions), 1);
    if (meant) return `expected "${formOf(meant)}", or "${formOf(meant).replace(')', ' / alpha)')}"`;
    const near = nearest(value.trim(), [...colorNames.keys(), 'transparent']);
    if (near !== undefined) return `did you mean ${show(near)}?`;
  }
  return 'expected a CSS color: "teal", "#0f2a3d", "rgb(15 42 61 / 50%)"';
}

const channel = between(0, 255);
const percent = between(0, 100);

/** A color by red, green and blue from 0 to 255, and alpha from 0 to 1. @throws SketchError where one is out of range */
export function rgb(red: number, green: number, blue: number, alpha = 1): Color {
  return new Color(
    channel.read('rgb', 'red', red),
    channel.read('rgb', 'green', green),
    channel.read('rgb', 'blue', blue),
    fraction.read('rgb', 'alpha', alpha),
  );
}

/** A gray from 0 (black) to 255 (white), and alpha from 0 to 1. @throws SketchError where one is out of range */
export function gray(level: number, alpha = 1): Color {
  const value = channel.read('gray', 'level', level);
  return new Color(value, value, value, fraction.read('gray', 'alpha', alpha));
}

/**
 * A color by hue in degrees (any number: it wraps around), saturation and lightness from 0 to 100, alpha 0 to 1.
 * @throws SketchError where one is out of range
 */
export function hsl(hue: number, saturation: number, lightness: number, alpha = 1): Color {
  const channels: Channels = [
    finite.read('hsl', 'hue', hue),
    percent.read('hsl', 'saturation', saturation) / 100,
    percent.read('hsl', 'lightness', lightness) / 100,
  ];
  return fromUnits(hslToRgb(channels), fraction.read('hsl', 'alpha', alpha));
}

/**
 * A color of the Oklch space: lightness from 0 to 1, chroma from 0 (gray) to about 0.4, hue in degrees, alpha 0 to 1.
 * Colors outside sRGB are clipped to it. @throws SketchError where one is out of range
 */
export function oklch(lightness: number, chroma: number, hue: number, alpha = 1): Color {
  const channels: Channels = [
    fraction.read('oklch', 'lightness', lightness),
    fraction.read('oklch', 'chroma', chroma),
    finite.read('oklch', 'hue', hue),
  ];
  return fromUnits(oklabToRgb(fromPolar(channels)), fraction.read('oklch', 'alpha', alpha));
}

/** A stop of a ramp or gradient: a color, or its offset from 0 to 1 and the color. */
export type Stop = ColorLike | readonly [offset: number, color: ColorLike];

/** Stops of a ramp or gradient: colors spread evenly, or `[offset, color]` pairs. */
export const stops = listOf(convertedLater<Stop>('a color, or [offset, color]'), 'colors', 2);

/**
 * Stops as offsets and colors, in rising order.
 * @param read how their colors are read: {@link readColor} or {@link readPacked}
 * @throws SketchError where they are not, or are not stops
 */
export function readStops<C>(
  call: string,
  given: readonly Stop[],
  read: (call: string, option: string, value: unknown) => C,
): { offset: number; color: C }[] {
  stops.read(call, 'stops', given);
  let last = 0;
  return given.map((stop: unknown, index) => {
    const option = `stops[${index}]`;
    if (!Array.isArray(stop)) return { offset: index / (given.length - 1), color: read(call, option, stop) };
    const offset = fraction.read(call, `${option} offset`, stop[0]);
    if (offset < last)
      fail({
        call,
        option,
        value: offset,
        problem: 'comes before the stop ahead of it',
        expected: 'expected rising offsets',
      });
    last = offset;
    return { offset, color: read(call, option, stop[1]) };
  });
}
