import { fail } from '../error.ts';
import { apply, inverse, multiply, rotation, scaling, translation, type Matrix } from '../geometry/matrix.ts';
import { checkKeys, finite, flag, lengths, OptionNames, point, whole, type Pair, type Point } from '../options.ts';
import { Color, readColor, type ColorLike } from './color.ts';

/**
 * A picture: four bytes a pixel (red, green, blue, alpha; not premultiplied), row by row from the top. Sketches get
 * them from `asset.image` and from `picture`, read them with `get` and change them with `set`.
 */
export class Picture {
  /** Rises with every change, so that what was made of the picture can be made anew. */
  private changes = 0;

  constructor(
    readonly width: number,
    readonly height: number,
    readonly data: Uint8Array,
  ) {}

  get version(): number {
    return this.changes;
  }

  /** The colour of a pixel, counted from the top left. */
  get(x: number, y: number): Color {
    const at = this.offset('picture.get', x, y);
    return new Color(this.data[at], this.data[at + 1], this.data[at + 2], this.data[at + 3] / 255);
  }

  /** Gives a pixel a colour. */
  set(x: number, y: number, color: ColorLike): void {
    const at = this.offset('picture.set', x, y);
    const { packed } = readColor('picture.set', 'color', color);
    for (let channel = 0; channel < 4; channel++) this.data[at + channel] = packed >>> (8 * channel);
    this.changes++;
  }

  /** To be called after `data` itself was written to. */
  changed(): void {
    this.changes++;
  }

  private offset(call: string, x: number, y: number): number {
    for (const [option, value, size] of [
      ['x', x, this.width],
      ['y', y, this.height],
    ] as const)
      // prettier-ignore
      if (whole(call, option, value, 0) >= size)
        fail({ call, option, value, problem: 'lies outside the picture', expected: `expected 0 to ${size - 1}` });
    return (y * this.width + x) * 4;
  }
}

/** Reads an option that must be a picture. */
export function readPicture(call: string, value: unknown): Picture {
  if (value instanceof Picture) return value;
  return fail({
    call,
    option: 'picture',
    value,
    problem: 'is not a picture',
    expected: 'expected one of assets, or what picture(…) gives',
  });
}

/** A picture laid side by side without end, as a paint. */
export interface Pattern {
  readonly type: 'pattern';
  readonly picture: Picture;
  /** From the picture's pixels to the units in force. */
  readonly transform: Matrix;
  readonly smooth: boolean;
}

export interface PatternOptions {
  /** The size of one tile; that of the picture unless told otherwise. */
  size?: number | Pair;
  /** A turn of the whole pattern, in degrees. */
  rotate?: number;
  /** Where a tile has its corner; the origin unless told otherwise. */
  at?: Point;
  /** Whether it is scaled smoothly (true) or in crisp pixels. */
  smooth?: boolean;
}

const patternKeys = new OptionNames(['size', 'rotate', 'at', 'smooth']);
const patterns = new WeakSet<object>();

/** A picture as a paint, in tiles. */
export function pattern(picture: Picture, options: PatternOptions = {}): Pattern {
  const call = 'pattern';
  checkKeys(call, options, patternKeys);
  const { width, height } = readPicture(call, picture);
  const [tileWidth, tileHeight] = options.size === undefined ? [width, height] : lengths(call, 'size', options.size);
  let transform = scaling(tileWidth / width, tileHeight / height);
  if (options.rotate !== undefined) transform = multiply(rotation(finite(call, 'rotate', options.rotate)), transform);
  if (options.at !== undefined) transform = multiply(translation(...point(call, 'at', options.at)), transform);
  if (inverse(transform) === undefined)
    fail({
      call,
      option: 'size',
      value: options.size,
      problem: 'leaves nothing of a tile',
      expected: 'expected more than 0',
    });
  const made: Pattern = {
    type: 'pattern',
    picture,
    transform,
    smooth: options.smooth === undefined || flag(call, 'smooth', options.smooth),
  };
  patterns.add(made);
  return made;
}

/** Whether a value came from `pattern`. */
export function isPattern(value: unknown): value is Pattern {
  return typeof value === 'object' && value !== null && patterns.has(value);
}

/** Part of a picture's pixels, in whole ones. */
export interface PixelBox {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** A picture cut to a part and made smaller, and how many of the picture's pixels each of its own stands for. */
export interface Reduced {
  readonly picture: Picture;
  readonly perPixelX: number;
  readonly perPixelY: number;
}

const reducedByPicture = new WeakMap<Picture, { version: number; parts: Map<string, Reduced> }>();

/**
 * A part of a picture, averaged down until a pixel of the screen takes in at most two of it: then mixing neighbours is
 * enough to draw it without sparkle. Every surface draws from these, so that they agree.
 * @param toPixels from the picture's pixels to the screen's
 */
export function reduce(picture: Picture, part: PixelBox, toPixels: Matrix): Reduced {
  const back = inverse(toPixels);
  const [ox, oy] = back === undefined ? [0, 0] : apply(back, 0, 0);
  const steps = back === undefined ? [] : [apply(back, 1, 0), apply(back, 0, 1)];
  // How far along each of the picture's axes one step on the screen leads.
  const spanX = Math.hypot(...steps.map(([x]) => x - ox));
  const spanY = Math.hypot(...steps.map(([, y]) => y - oy));
  const halvings = (span: number, size: number): number =>
    Math.max(0, Math.min(Math.floor(Math.log2(Math.max(span, 1))), Math.floor(Math.log2(size))));
  const perPixelX = 2 ** halvings(spanX, part.width);
  const perPixelY = 2 ** halvings(spanY, part.height);

  let kept = reducedByPicture.get(picture);
  if (kept?.version !== picture.version) {
    kept = { version: picture.version, parts: new Map() };
    reducedByPicture.set(picture, kept);
  }
  const key = [part.x, part.y, part.width, part.height, perPixelX, perPixelY].join();
  let reduced = kept.parts.get(key);
  if (reduced === undefined) {
    reduced = { picture: average(picture, part, perPixelX, perPixelY), perPixelX, perPixelY };
    kept.parts.set(key, reduced);
  }
  return reduced;
}

/** Each block of pixels as one: the mean of their colours, weighted by alpha. */
function average(picture: Picture, part: PixelBox, perPixelX: number, perPixelY: number): Picture {
  const width = Math.ceil(part.width / perPixelX);
  const height = Math.ceil(part.height / perPixelY);
  if (perPixelX * perPixelY === 1 && width === picture.width && height === picture.height) return picture;
  const data = new Uint8Array(width * height * 4);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      let [red, green, blue, alpha, count] = [0, 0, 0, 0, 0];
      const bottom = Math.min(part.height, (y + 1) * perPixelY);
      const right = Math.min(part.width, (x + 1) * perPixelX);
      for (let py = y * perPixelY; py < bottom; py++)
        for (let px = x * perPixelX; px < right; px++) {
          const at = ((part.y + py) * picture.width + part.x + px) * 4;
          const weight = picture.data[at + 3];
          red += picture.data[at] * weight;
          green += picture.data[at + 1] * weight;
          blue += picture.data[at + 2] * weight;
          alpha += weight;
          count++;
        }
      const to = (y * width + x) * 4;
      if (alpha === 0) continue;
      data[to] = Math.round(red / alpha);
      data[to + 1] = Math.round(green / alpha);
      data[to + 2] = Math.round(blue / alpha);
      data[to + 3] = Math.round(alpha / count);
    }
  return new Picture(width, height, data);
}
