import { fail, show } from '../error.ts';
import { finite } from '../schema/kind.ts';
import { alphaOf, blueOf, Color, greenOf, readPacked, redOf, type ColorLike } from './color.ts';

/** A picture as it was at one moment: plain data, as it is stored in frames and sent to other threads. */
export interface PictureData {
  /** Tells it from all other pictures of this process. */
  readonly id: number;
  /** How often it had been changed. */
  readonly version: number;
  /** Pixels in a row. */
  readonly width: number;
  /** Rows of pixels. */
  readonly height: number;
  /** Four bytes a pixel (red, green, blue, alpha; not premultiplied), row by row from the top. */
  readonly data: Uint8Array;
}

let pictureCount = 0;

/**
 * A picture. Sketches get them from `asset.picture` and from `picture`, read their pixels with `colorAt` and change
 * them with `setColorAt`.
 */
export class Picture implements PictureData {
  readonly id = ++pictureCount;
  version = 0;
  private readonly pixels: Uint8Array;
  /** Whether the pixels can be written to from outside at any time. */
  private handedOut = false;
  /** What `snapshot` last gave, if nothing has changed since. */
  private kept: (PictureData & { data: Uint8Array }) | undefined;

  constructor(
    /** Pixels in a row. */
    readonly width: number,
    /** Rows of pixels. */
    readonly height: number,
    /** Red, green, blue and alpha of each pixel, 0 to 255, row by row from the top; not premultiplied. */
    data: Uint8Array,
  ) {
    this.pixels = data;
    // In plain JavaScript too: with another size the engine would read beyond the pixels.
    for (const name of ['id', 'width', 'height', 'pixels']) Object.defineProperty(this, name, { writable: false });
  }

  /**
   * Red, green, blue and alpha of each pixel, 0 to 255, row by row from the top; not premultiplied. Whoever writes to it
   * calls `changed` afterwards.
   */
  get data(): Uint8Array {
    this.handedOut = true;
    this.letGo();
    return this.pixels;
  }

  /** The color of the pixel that a point lies in, counted from the top left. @throws SketchError where there is none */
  colorAt(x: number, y: number): Color {
    const at = this.offset('colorAt', x, y);
    const { pixels } = this;
    return new Color(pixels[at], pixels[at + 1], pixels[at + 2], pixels[at + 3] / 255);
  }

  /** Gives the pixel that a point lies in a color. @throws SketchError where there is none, or the color cannot be read */
  setColorAt(x: number, y: number, color: ColorLike): void {
    const at = this.offset('setColorAt', x, y);
    const packed = readPacked('setColorAt', 'color', color);
    this.changed();
    const { pixels } = this;
    pixels[at] = redOf(packed);
    pixels[at + 1] = greenOf(packed);
    pixels[at + 2] = blueOf(packed);
    pixels[at + 3] = alphaOf(packed);
  }

  /** To be called after `data` itself was written to. */
  changed(): void {
    this.letGo();
    this.kept = undefined;
    this.version++;
  }

  /** The same picture with pixels of its own. */
  copy(): Picture {
    return new Picture(this.width, this.height, this.pixels.slice());
  }

  /** The picture as it is now, for good. Its pixels are copied only where they can change later. */
  snapshot(): PictureData {
    const { id, version, width, height, pixels, handedOut } = this;
    return (this.kept ??= { id, version, width, height, data: handedOut ? pixels.slice() : pixels });
  }

  /** Before the pixels can change: what frames keep gets its own. */
  private letGo(): void {
    if (this.kept?.data === this.pixels) this.kept.data = this.pixels.slice();
  }

  private offset(call: string, x: number, y: number): number {
    const column = this.within(call, 'x', x, this.width);
    return (this.within(call, 'y', y, this.height) * this.width + column) * 4;
  }

  private within(call: string, option: string, value: number, size: number): number {
    // Asked for every pixel of a picture.
    if (typeof value === 'number' && value >= 0 && value < size) return Math.floor(value);
    finite.read(call, option, value);
    return fail({ call, option, value, problem: 'lies outside the picture', expected: `expected 0 to below ${size}` });
  }
}

/** Reads an argument that must be a picture. */
export function readPicture(call: string, value: unknown): Picture {
  if (value instanceof Picture) return value;
  return fail({
    call,
    option: 'picture',
    value,
    problem: 'is not a picture',
    expected:
      typeof value === 'string' && /\.\w+$/.test(value)
        ? `a file is loaded before: assets: { boat: asset.picture(new URL(${show(value)}, import.meta.url)) }, then assets.boat`
        : 'expected one of assets, or what picture(…) gives, first',
  });
}
