import type { Box } from '../geometry/box.ts';
import { alphaOf, blueOf, greenOf, pack, redOf, type PackedColor } from '../paint/color.ts';
import type { BlendMode } from '../paint/blend.ts';
import { blenderOf } from './blend.ts';
import type { Runs } from './coverage.ts';
import type { Shader } from './shader.ts';

/*
 * Pixels are kept as browsers keep them: eight bits a channel, sRGB, colour premultiplied by alpha. Compositing is
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

/** A colour under a coverage from 0 to 255, premultiplied. */
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

/** Paints the pixels of all runs with one colour, or with what a shader gives, faded to `opacity` (0 to 255). */
export function paintRuns(
  pixels: Pixels,
  runs: Runs,
  source: PackedColor | Shader,
  opacity: number,
  blend: BlendMode,
): void {
  if (runs.length === 0) return;
  pixels.touch(runs.box());
  if (typeof source === 'number' && blend === 'normal') fillRuns(pixels, runs, faded(source, opacity));
  else shadeRuns(pixels, runs, typeof source === 'number' ? evenShader(source) : source, opacity, blend);
}

function faded(color: PackedColor, opacity: number): PackedColor {
  return opacity === 255 ? color : (color & 0xffffff) | (times255(alphaOf(color), opacity) << 24);
}

function evenShader(color: PackedColor): Shader {
  const word = premultiply(color, 255);
  return { opaque: alphaOf(color) === 255, span: (_x, _y, count, out, at) => void out.fill(word, at, at + count) };
}

function fillRuns(pixels: Pixels, runs: Runs, color: PackedColor): void {
  const { words, width } = pixels;
  const { data, length } = runs;
  const opaque = alphaOf(color) === 255;
  const full = premultiply(color, 255);
  for (let i = 0; i < length; i += 4) {
    const start = data[i] * width + data[i + 1];
    const end = start + data[i + 2];
    const coverage = data[i + 3];
    if (opaque && coverage === 255) {
      if (end - start > 16) words.fill(full, start, end);
      else for (let at = start; at < end; at++) words[at] = full;
      continue;
    }
    const source = coverage === 255 ? full : premultiply(color, coverage);
    const rest = 255 - (source >>> 24);
    // What lies below is often even: the same words give the same.
    let below = words[start];
    let mixed = source + scaleWord(below, rest);
    for (let at = start; at < end; at++) {
      if (words[at] !== below) {
        below = words[at];
        mixed = source + scaleWord(below, rest);
      }
      words[at] = mixed;
    }
  }
}

let scratch = new Uint32Array(4096);

function shadeRuns(pixels: Pixels, runs: Runs, shader: Shader, opacity: number, blend: BlendMode): void {
  const { words, width } = pixels;
  const { data, length } = runs;
  if (scratch.length < width) scratch = new Uint32Array(width);
  for (let i = 0; i < length; i += 4) {
    const [y, x, count] = [data[i], data[i + 1], data[i + 2]];
    const start = y * width + x;
    const strength = times255(data[i + 3], opacity);
    if (strength === 255 && shader.opaque && blend === 'normal') {
      shader.span(x, y, count, words, start);
      continue;
    }
    shader.span(x, y, count, scratch, 0);
    lay(scratch, 0, words, start, count, strength, blend);
  }
}

/** Lays `count` pixels over others, faded to `opacity` (0 to 255). */
function lay(
  from: Uint32Array,
  first: number,
  onto: Uint32Array,
  at: number,
  count: number,
  opacity: number,
  blend: BlendMode,
): void {
  const blended = blend === 'normal' ? undefined : blenderOf(blend);
  let lastSource = 0;
  let lastTarget = 0;
  let mixed = 0;
  for (let i = 0; i < count; i++) {
    const word = from[first + i];
    if (word === 0) continue;
    const source = opacity === 255 ? word : scaleWord(word, opacity);
    const target = onto[at + i];
    if (blended === undefined) {
      const rest = 255 - (source >>> 24);
      onto[at + i] = rest === 0 ? source : source + scaleWord(target, rest);
      continue;
    }
    // What lies there is often even, and mixing is dear: the same two words give the same.
    if (source !== lastSource || target !== lastTarget) {
      lastSource = source;
      lastTarget = target;
      mixed = blended(source, target);
    }
    onto[at + i] = mixed;
  }
}

/** Lays one buffer over another of the same size, faded to `opacity` (0 to 255). */
export function composite(over: Pixels, onto: Pixels, opacity: number, blend: BlendMode): void {
  over.eachRow((start, count) => lay(over.words, start, onto.words, start, count, opacity, blend));
  onto.touch(over.drawn);
}

/** Keeps of each pixel as much as the mask's alpha says. */
export function maskBy(pixels: Pixels, mask: Pixels): void {
  const { words } = pixels;
  pixels.eachRow((start, count) => {
    for (let at = start; at < start + count; at++) words[at] = scaleWord(words[at], mask.words[at] >>> 24);
  });
}

/**
 * Leads every pixel towards a background, so that a part `carry` of what it differs by is left. What is left is
 * rounded towards the background: a trail fades by a step a frame at least, and so really reaches it. The pixels and
 * the background are either both premultiplied or both not.
 */
export function fade(bytes: Uint8Array | Uint8ClampedArray, background: number, carry: number): void {
  const channels = [redOf(background), greenOf(background), blueOf(background), alphaOf(background)];
  // One table a channel, by the byte there was.
  const tables = channels.map((to) =>
    Uint8Array.from({ length: 256 }, (_, value) => to + Math.trunc((value - to) * carry)),
  );
  const [red, green, blue, alpha] = tables;
  for (let at = 0; at < bytes.length; at += 4) {
    bytes[at] = red[bytes[at]];
    bytes[at + 1] = green[bytes[at + 1]];
    bytes[at + 2] = blue[bytes[at + 2]];
    bytes[at + 3] = alpha[bytes[at + 3]];
  }
}

/** The pixels with colour no longer multiplied by alpha, four bytes a pixel, as files and pages want them. */
export function straight(pixels: Pixels): Uint8Array {
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
