import { fail, nearest, show } from '../error.ts';
import { finite, missing, within } from '../options.ts';
import { colorsNamed, parse, toRgb, type ParsedColor } from './culori.ts';

/**
 * A colour in eight bits a channel, as one number: red, green, blue and alpha from the lowest byte up, not
 * premultiplied. This is what frames hold; a signed 32-bit integer is the cheapest value an engine has.
 */
export type PackedColor = number;

/** A colour of sRGB: red, green and blue from 0 to 255, alpha from 0 to 1. Made by `rgb`, `hsl` and their kin. */
export class Color {
  readonly packed: PackedColor;
  constructor(
    readonly red: number,
    readonly green: number,
    readonly blue: number,
    readonly alpha: number,
  ) {
    this.packed = pack(red, green, blue, alpha * 255);
  }

  /** The colour in CSS, so that it can be put into a string. */
  toString(): string {
    return cssColor(this.packed);
  }
}

/** Whatever names a colour: any CSS Color 4 string, or what `rgb`, `grey`, `hsl`, `oklch` and `colorMix` give. */
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
  const channels = [redOf(packed), greenOf(packed), blueOf(packed)];
  if (alphaOf(packed) < 255) channels.push(alphaOf(packed));
  return `#${channels.map((channel) => channel.toString(16).padStart(2, '0')).join('')}`;
}

/**
 * Reads a colour: a CSS Color 4 string or a {@link Color}. Colours beyond sRGB are cut at its edge, as browsers do.
 * @throws SketchError naming the nearest known colour where it cannot be read.
 */
export function readColor(call: string, option: string, value: unknown): Color {
  if (value instanceof Color) return value;
  return (typeof value === 'string' ? parseCss(value) : undefined) ?? unknownColor(call, option, value);
}

const packedByText = new Map<string, PackedColor>();
const cacheLimit = 1 << 17;

/** As {@link readColor}, packed, and quick for text that was read before: sketches name the same colours every frame. */
export function readPacked(call: string, option: string, value: unknown): PackedColor {
  if (value instanceof Color) return value.packed;
  if (typeof value !== 'string') return readColor(call, option, value).packed;
  const known = packedByText.get(value);
  if (known !== undefined) return known;
  const { packed } = readColor(call, option, value);
  if (packedByText.size === cacheLimit) packedByText.clear();
  packedByText.set(value, packed);
  return packed;
}

function parseCss(text: string): Color | undefined {
  // The package takes hex digits without their mark, which CSS does not.
  if (/^\s*[0-9a-f]+\s*$/i.test(text)) return undefined;
  const parsed = parse(text.trim());
  return parsed && fromParsed(parsed);
}

function fromParsed(parsed: ParsedColor): Color {
  return fromUnits(toRgb(parsed));
}

/** A colour of channels from 0 to 1; what lies beyond is cut. */
export function fromUnits({ r, g, b, alpha }: { r: number; g: number; b: number; alpha?: number | undefined }): Color {
  return new Color(clampChannel(r), clampChannel(g), clampChannel(b), Math.min(1, Math.max(0, alpha ?? 1)));
}

function clampChannel(unit: number | undefined): number {
  return Math.min(255, Math.max(0, (unit ?? 0) * 255));
}

function unknownColor(call: string, option: string, value: unknown): never {
  if (value === undefined) missing(call, option, 'a colour, "teal" or "#0f2a3d"');
  return fail({ call, option, value, problem: 'is not a colour', expected: colorHint(value) });
}

function colorHint(value: unknown): string {
  if (typeof value === 'number')
    return `a grey is grey(${show(value)}), other colours are strings like "teal" or "#0f2a3d"`;
  if (typeof value === 'string') {
    if (/^[0-9a-f]{3,8}$/i.test(value)) return `did you mean "#${value}"?`;
    const near = nearest(value.trim(), [...Object.keys(colorsNamed), 'transparent']);
    if (near !== undefined) return `did you mean ${show(near)}?`;
  }
  return 'expected a CSS colour: "teal", "#0f2a3d", "rgb(15 42 61 / 50%)"';
}

/** A colour by red, green and blue from 0 to 255, and alpha from 0 to 1. */
export function rgb(red: number, green: number, blue: number, alpha = 1): Color {
  return new Color(
    within('rgb', 'red', red, 0, 255),
    within('rgb', 'green', green, 0, 255),
    within('rgb', 'blue', blue, 0, 255),
    within('rgb', 'alpha', alpha, 0, 1),
  );
}

/** A grey from 0 (black) to 255 (white), and alpha from 0 to 1. */
export function grey(level: number, alpha = 1): Color {
  const value = within('grey', 'level', level, 0, 255);
  return new Color(value, value, value, within('grey', 'alpha', alpha, 0, 1));
}

/** A colour by hue in degrees (any number: it goes round), saturation and lightness from 0 to 100, alpha 0 to 1. */
export function hsl(hue: number, saturation: number, lightness: number, alpha = 1): Color {
  return fromParsed({
    mode: 'hsl',
    h: finite('hsl', 'hue', hue),
    s: within('hsl', 'saturation', saturation, 0, 100) / 100,
    l: within('hsl', 'lightness', lightness, 0, 100) / 100,
    alpha: within('hsl', 'alpha', alpha, 0, 1),
  });
}

/**
 * A colour of the Oklch space: lightness from 0 to 1, chroma from 0 (grey) to about 0.4, hue in degrees, alpha 0 to 1.
 * What screens cannot show is cut at the edge of sRGB.
 */
export function oklch(lightness: number, chroma: number, hue: number, alpha = 1): Color {
  return fromParsed({
    mode: 'oklch',
    l: within('oklch', 'lightness', lightness, 0, 1),
    c: within('oklch', 'chroma', chroma, 0, 1),
    h: finite('oklch', 'hue', hue),
    alpha: within('oklch', 'alpha', alpha, 0, 1),
  });
}

/** A stop of a ramp or gradient: a colour, or its offset from 0 to 1 and the colour. */
export type Stop = ColorLike | readonly [offset: number, color: ColorLike];

/** Stops as offsets and colours, in rising order: at least two of them. */
export function readStops(call: string, stops: unknown): { offset: number; color: Color }[] {
  if (!Array.isArray(stops) || stops.length < 2)
    return fail({
      call,
      option: 'stops',
      value: stops,
      problem: 'is too short',
      expected: 'expected two colours or more',
    });
  let floor = 0;
  return stops.map((stop: unknown, index) => {
    const option = `stops[${index}]`;
    if (!Array.isArray(stop)) return { offset: index / (stops.length - 1), color: readColor(call, option, stop) };
    const offset = within(call, `${option} offset`, stop[0], 0, 1);
    if (offset < floor)
      fail({
        call,
        option,
        value: offset,
        problem: 'comes before the stop ahead of it',
        expected: 'expected rising offsets',
      });
    floor = offset;
    return { offset, color: readColor(call, option, stop[1]) };
  });
}
