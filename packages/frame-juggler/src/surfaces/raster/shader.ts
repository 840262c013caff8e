import { turnOf } from '../../maths/degrees.ts';
import type { Box } from '../../geometry/box.ts';
import type { Pair } from '../../schema/point.ts';
import { identity, inverse, multiply, type Matrix } from '../../geometry/matrix.ts';
import { alphaOf, blueOf, greenOf, pack, redOf } from '../../paint/color.ts';
import {
  boxUnits,
  spreadOffset,
  type ConicGradient,
  type Gradient,
  type LinearGradient,
  type RadialGradient,
} from '../../paint/gradient.ts';
import type { ItemPaint } from '../../frame/reader.ts';
import type { PictureData } from '../../paint/picture.ts';
import { reduce, type PixelBox } from '../../paint/reduce.ts';
import { premultiply } from './pixels.ts';

/** Gives the colors of pixels, premultiplied. */
export interface Shader {
  /** Whether every color it gives is opaque. */
  readonly opaque: boolean;
  /** The colors of `count` pixels of row `y` from `x` on, into `out` from `at` on. */
  span(x: number, y: number, count: number, out: Uint32Array, at: number): void;
}

/**
 * What paints the pixels of a fill that is not one color.
 * @param toPixels from the item's units to pixels
 * @param box the box of the item's outline in its own units, for gradients in fractions of it
 */
export function shaderOf(paint: TablePaint, toPixels: Matrix, box: () => Box): Shader | undefined {
  const make = shaders[paint.type] as (paint: TablePaint, toPixels: Matrix, box: () => Box) => Shader | undefined;
  return make(paint, toPixels, box);
}

type TablePaint = Exclude<ItemPaint, number>;
type PaintOf<Type> = Extract<TablePaint, { type: Type }>;

/** What paints with each kind of paint. */
const shaders: {
  [Type in TablePaint['type']]: (paint: PaintOf<Type>, toPixels: Matrix, box: () => Box) => Shader | undefined;
} = {
  linear: gradientShader(linearOffsets),
  radial: gradientShader(radialOffsets),
  conic: gradientShader(conicOffsets),
  pattern: ({ picture, transform, smooth }, toPixels) =>
    pictureShader(
      picture,
      { x: 0, y: 0, width: picture.width, height: picture.height },
      multiply(toPixels, transform),
      smooth,
      true,
    ),
  picture: ({ picture, crop, transform, smooth }, toPixels) =>
    pictureShader(picture, crop, multiply(toPixels, transform), smooth, false),
};

function gradientShader<G extends Gradient>(
  offsetsOf: (gradient: G, back: Matrix) => Offsets | undefined,
): (gradient: G, toPixels: Matrix, box: () => Box) => Shader | undefined {
  return (gradient, toPixels, box) => {
    const back = inverse(gradient.units === 'box' ? multiply(toPixels, boxUnits(box())) : toPixels);
    const offsets = back && offsetsOf(gradient, back);
    return offsets && offsetShader(gradient, offsets);
  };
}

function offsetShader(gradient: Gradient, offsets: Offsets): Shader {
  const { spread, stops } = gradient;
  const color = colorsOf(gradient);
  return {
    opaque: stops.every((stop) => alphaOf(stop.color) === 255),
    span(x, y, count, out, at) {
      const different = offsets.even ? 1 : count;
      if (along.length < different) along = new Float64Array(different);
      offsets.find(x, y, different, along);
      if (spread !== 'pad') for (let i = 0; i < different; i++) along[i] = spreadOffset(along[i], spread);
      color(along, different, out, at);
      if (offsets.even) out.fill(out[at], at, at + count);
    },
  };
}

/** The offsets of the pixels at hand. */
let along = new Float64Array(4096);

/** How far along a gradient pixels lie: 0 at its start, 1 at its end. */
interface Offsets {
  /** Whether all pixels of a row lie equally far. */
  readonly even: boolean;
  /** The offsets of `count` pixels of row `y` from `x` on. Each is found by itself, wherever the run begins. */
  find(x: number, y: number, count: number, out: Float64Array): void;
}

function linearOffsets({ from, to }: LinearGradient, [a, b, c, d, e, f]: Matrix): Offsets | undefined {
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
  const square = dx * dx + dy * dy;
  if (square === 0) return undefined;
  const perPixel = (a * dx + b * dy) / square;
  const perRow = (c * dx + d * dy) / square;
  const first = ((e - from[0]) * dx + (f - from[1]) * dy) / square;
  return {
    even: perPixel === 0,
    find(x, y, count, out) {
      const row = first + perRow * (y + 0.5);
      for (let i = 0; i < count; i++) out[i] = row + perPixel * (x + i + 0.5);
    },
  };
}

function radialOffsets({ at, radius, focus }: RadialGradient, [a, b, c, d, e, f]: Matrix): Offsets | undefined {
  if (radius === 0) return undefined;
  // The circle at offset t has its middle t of the way from focus to center, and a radius of t times the whole.
  const [cx, cy] = [at[0] - focus[0], at[1] - focus[1]];
  const square = radius * radius - cx * cx - cy * cy;
  if (cx === 0 && cy === 0) return aroundOffsets(at, radius, [a, b, c, d, e, f]);
  return {
    even: false,
    find(x, y, count, out) {
      const py = y + 0.5;
      for (let i = 0; i < count; i++) {
        const px = x + i + 0.5;
        const dx = a * px + c * py + e - focus[0];
        const dy = b * px + d * py + f - focus[1];
        const half = dx * cx + dy * cy;
        out[i] = (Math.sqrt(half * half + square * (dx * dx + dy * dy)) - half) / square;
      }
    },
  };
}

/** Without a focus of its own, a gradient runs by the distance from its center. */
function aroundOffsets(at: Pair, radius: number, [a, b, c, d, e, f]: Matrix): Offsets {
  const [ax, cx, ex] = [a / radius, c / radius, (e - at[0]) / radius];
  const [ay, cy, ey] = [b / radius, d / radius, (f - at[1]) / radius];
  return {
    even: false,
    find(x, y, count, out) {
      const startX = ax * 0.5 + cx * (y + 0.5) + ex;
      const startY = ay * 0.5 + cy * (y + 0.5) + ey;
      for (let i = 0; i < count; i++) {
        const dx = ax * (x + i) + startX;
        const dy = ay * (x + i) + startY;
        out[i] = Math.sqrt(dx * dx + dy * dy);
      }
    },
  };
}

function conicOffsets({ at, start }: ConicGradient, [a, b, c, d, e, f]: Matrix): Offsets {
  return {
    even: false,
    find(x, y, count, out) {
      const py = y + 0.5;
      for (let i = 0; i < count; i++) {
        const px = x + i + 0.5;
        const turn = turnOf(a * px + c * py + e - at[0], b * px + d * py + f - at[1]) - start / 360;
        out[i] = turn - Math.floor(turn);
      }
    },
  };
}

/** Gives the colors, premultiplied, of `count` offsets, into `out` from `at` on. */
type Colors = (offsets: Float64Array, count: number, out: Uint32Array, at: number) => void;

const tableSize = 1024;
const colorsByGradient = new WeakMap<Gradient, Colors>();

/** A gradient's colors by offset: from a table, or stop by stop where two stand very close. */
function colorsOf(gradient: Gradient): Colors {
  let colors = colorsByGradient.get(gradient);
  if (colors === undefined) colorsByGradient.set(gradient, (colors = makeColors(gradient)));
  return colors;
}

function makeColors({ stops }: Gradient): Colors {
  const exact = (offset: number): number => premultiply(mixStops(stops, offset), 255) >>> 0;
  if (stops.some((stop, i) => i > 0 && stop.offset - stops[i - 1].offset < 4 / tableSize))
    return (offsets, count, out, at) => {
      for (let i = 0; i < count; i++) out[at + i] = exact(offsets[i]);
    };
  const table = Uint32Array.from({ length: tableSize + 1 }, (_, i) => exact(i / tableSize));
  return (offsets, count, out, at) => {
    for (let i = 0; i < count; i++) {
      const offset = offsets[i];
      out[at + i] = table[offset <= 0 ? 0 : offset >= 1 ? tableSize : (offset * tableSize + 0.5) | 0];
    }
  };
}

function mixStops(stops: Gradient['stops'], offset: number): number {
  let next = 0;
  while (next < stops.length && stops[next].offset <= offset) next++;
  if (next === 0) return stops[0].color;
  if (next === stops.length) return stops[next - 1].color;
  const from = stops[next - 1];
  const to = stops[next];
  const t = (offset - from.offset) / (to.offset - from.offset);
  const mixed = (channel: (color: number) => number): number => channel(from.color) * (1 - t) + channel(to.color) * t;
  return pack(mixed(redOf), mixed(greenOf), mixed(blueOf), mixed(alphaOf));
}

/** @param fromPicture from the picture's pixels to the screen's */
function pictureShader(
  whole: PictureData,
  part: PixelBox,
  fromPicture: Matrix,
  smooth: boolean,
  tiled: boolean,
): Shader | undefined {
  // Crisp pixels are taken as they are, and so is a part that is the whole.
  const { picture, perPixelX, perPixelY } = reduce(whole, part, smooth ? fromPicture : identity);
  const back = inverse(fromPicture);
  if (back === undefined) return undefined;
  const [a, c, e] = [back[0] / perPixelX, back[2] / perPixelX, back[4] / perPixelX];
  const [b, d, f] = [back[1] / perPixelY, back[3] / perPixelY, back[5] / perPixelY];
  const { words, opaque } = premultipliedWords(picture);
  const sample = (smooth ? smoothSampler : crispSampler)(words, picture.width, picture.height, tiled);
  return {
    opaque,
    span(x, y, count, out, at) {
      for (let i = 0; i < count; i++) {
        const px = x + i + 0.5;
        const py = y + 0.5;
        out[at + i] = sample(a * px + c * py + e, b * px + d * py + f);
      }
    },
  };
}

interface PictureWords {
  readonly version: number;
  readonly words: Uint32Array;
  readonly opaque: boolean;
}

const wordsByPicture = new WeakMap<PictureData, PictureWords>();

function premultipliedWords(picture: PictureData): PictureWords {
  const kept = wordsByPicture.get(picture);
  if (kept?.version === picture.version) return kept;
  const { data, version } = picture;
  const words = Uint32Array.from({ length: picture.width * picture.height }, (_, i) =>
    premultiply(pack(data[i * 4], data[i * 4 + 1], data[i * 4 + 2], data[i * 4 + 3]), 255),
  );
  const fresh = { version, words, opaque: words.every((word) => word >>> 24 === 255) };
  wordsByPicture.set(picture, fresh);
  return fresh;
}

/** An index kept within a row or column: round again where it is tiled, else at the nearest end. */
function kept(index: number, size: number, tiled: boolean): number {
  if (tiled) return ((index % size) + size) % size;
  return index < 0 ? 0 : index >= size ? size - 1 : index;
}

type Sampler = (words: Uint32Array, width: number, height: number, tiled: boolean) => (x: number, y: number) => number;

const crispSampler: Sampler = (words, width, height, tiled) => (x, y) =>
  words[kept(Math.floor(y), height, tiled) * width + kept(Math.floor(x), width, tiled)];

/** Mixes the four pixels about a point by nearness. */
const smoothSampler: Sampler = (words, width, height, tiled) => (x, y) => {
  const left = Math.floor(x - 0.5);
  const top = Math.floor(y - 0.5);
  const tx = x - 0.5 - left;
  const ty = y - 0.5 - top;
  const x0 = kept(left, width, tiled);
  const x1 = kept(left + 1, width, tiled);
  const row0 = kept(top, height, tiled) * width;
  const row1 = kept(top + 1, height, tiled) * width;
  const [w00, w10, w01, w11] = [words[row0 + x0], words[row0 + x1], words[row1 + x0], words[row1 + x1]];
  let result = 0;
  for (let shift = 0; shift < 32; shift += 8) {
    const upper = ((w00 >>> shift) & 255) * (1 - tx) + ((w10 >>> shift) & 255) * tx;
    const lower = ((w01 >>> shift) & 255) * (1 - tx) + ((w11 >>> shift) & 255) * tx;
    result |= (upper * (1 - ty) + lower * ty + 0.5) << shift;
  }
  return result;
};
