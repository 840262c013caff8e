import type { Box } from '../../geometry/box.ts';
import { alphaOf, blueOf, greenOf, pack, redOf, type PackedColor } from '../../paint/color.ts';

/*
 * Pixels are kept as browsers keep them: eight bits a channel, sRGB, color premultiplied by alpha. Compositing is
 * source over destination (W3C Compositing and Blending 1): result = source + destination · (1 - source alpha).
 */

/** A buffer of premultiplied pixels, seen as bytes and as one 32-bit word a pixel (red in the lowest byte). */
export class Pixels {
  readonly bytes: Uint8Array;
  readonly words: Uint32Array;
  /** The sides of {@link drawn}, the last two not included. */
  private left: number;
  private top: number;
  private right = 0;
  private bottom = 0;

  constructor(
    readonly width: number,
    readonly height: number,
  ) {
    this.bytes = new Uint8Array(width * height * 4);
    this.words = new Uint32Array(this.bytes.buffer);
    this.left = width;
    this.top = height;
  }

  /** Notes that a box of pixels was drawn on. */
  touch({ left, top, right, bottom }: Box): void {
    if (left < this.left) this.left = left;
    if (top < this.top) this.top = top;
    if (right > this.right) this.right = right;
    if (bottom > this.bottom) this.bottom = bottom;
  }

  /** What holds all that has been drawn since the last `clear`. */
  get drawn(): Box {
    const { left, top, right, bottom } = this;
    return { left, top, right, bottom };
  }

  /** Calls `work` for each stretch of `words` that has been drawn on since the last `clear`, row by row. */
  eachRow(work: (start: number, count: number) => void): void {
    const { left, right, width } = this;
    for (let y = this.top; y < this.bottom; y++) work(y * width + left, right - left);
  }

  /** Makes every pixel transparent again. */
  clear(): void {
    this.eachRow((start, count) => this.words.fill(0, start, start + count));
    this.left = this.width;
    this.top = this.height;
    this.right = 0;
    this.bottom = 0;
  }

  fill(color: PackedColor): void {
    this.words.fill(premultiply(color, 255) >>> 0);
  }
}

/** a · b / 255, rounded, for bytes. */
export function times255(a: number, b: number): number {
  const product = a * b + 128;
  return (product + (product >>> 8)) >>> 8;
}

/** A color under a coverage from 0 to 255, premultiplied. */
export function premultiply(color: PackedColor, coverage: number): number {
  const alpha = times255(alphaOf(color), coverage);
  return (
    times255(redOf(color), alpha) |
    (times255(greenOf(color), alpha) << 8) |
    (times255(blueOf(color), alpha) << 16) |
    (alpha << 24)
  );
}

/** A premultiplied word with every channel multiplied by `factor` / 255, two channels at a time. */
export function scaleWord(word: number, factor: number): number {
  const low = (Math.imul(word & 0xff00ff, factor) + 0x800080) | 0;
  const high = (Math.imul((word >>> 8) & 0xff00ff, factor) + 0x800080) | 0;
  return (((low + ((low >>> 8) & 0xff00ff)) >>> 8) & 0xff00ff) | ((high + ((high >>> 8) & 0xff00ff)) & 0xff00ff00);
}

/** The pixels with color no longer multiplied by alpha, four bytes a pixel, as files and pages want them. */
export function unpremultiply(pixels: Pixels): Uint8Array {
  const { words } = pixels;
  const result = pixels.bytes.slice();
  const out = new Uint32Array(result.buffer);
  for (let at = 0; at < words.length; at++) {
    const word = words[at];
    const alpha = word >>> 24;
    if (alpha === 255 || alpha === 0) continue;
    const back = 255 / alpha;
    out[at] = pack((word & 255) * back, ((word >>> 8) & 255) * back, ((word >>> 16) & 255) * back, alpha);
  }
  return result;
}
