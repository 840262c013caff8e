import type { BlendMode } from '../../paint/blend.ts';
import { alphaOf, type PackedColor } from '../../paint/color.ts';
import { blenderOf } from './blend.ts';
import type { Runs } from './coverage.ts';
import { premultiply, scaleWord, times255, type Pixels } from './pixels.ts';
import type { Shader } from './shader.ts';

/*
 * How colors come to lie over others: source over destination, or blended (W3C Compositing and Blending 1).
 */

/** Paints the pixels of all runs with one color, or with what a shader gives, faded to `opacity` (0 to 255). */
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
    compositeWords(scratch, 0, words, start, count, strength, blend);
  }
}

/** Puts `count` pixels over others, faded to `opacity` (0 to 255). */
function compositeWords(
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

/** Puts one buffer over another of the same size, faded to `opacity` (0 to 255). */
export function composite(over: Pixels, onto: Pixels, opacity: number, blend: BlendMode): void {
  over.eachRow((start, count) => compositeWords(over.words, start, onto.words, start, count, opacity, blend));
  onto.touch(over.drawn);
}

/** Keeps of each pixel as much as the mask's alpha says. */
export function maskBy(pixels: Pixels, mask: Pixels): void {
  const { words } = pixels;
  pixels.eachRow((start, count) => {
    for (let at = start; at < start + count; at++) words[at] = scaleWord(words[at], mask.words[at] >>> 24);
  });
}
