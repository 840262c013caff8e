import type { Box } from '../geometry/box.ts';
import { inverse, multiply, translation, type Matrix } from '../geometry/matrix.ts';
import { alphaOf, blueOf, greenOf, pack, redOf } from '../paint/color.ts';
import { boxUnits, spreadOffset, type Gradient } from '../paint/gradient.ts';
import type { Fill, ImageFill } from '../paint/paint.ts';
import { reduce, type Pattern, type Picture } from '../paint/picture.ts';
import { premultiply } from './pixels.ts';

/** Gives the colours of pixels, premultiplied. */
export interface Shader {
  /** The colours of `count` pixels of row `y` from `x` on, into `out`. */
  span(x: number, y: number, count: number, out: Uint32Array): void;
}

/**
 * What paints the pixels of a fill that is not one colour.
 * @param toPixels from the item's units to pixels
 * @param box the box of the item's outline in its own units, for gradients in fractions of it
 */
export function shaderOf(fill: Exclude<Fill, number>, toPixels: Matrix, box: () => Box): Shader | undefined {
  if (fill.type === 'image' || fill.type === 'pattern') return pictureShader(fill, toPixels);
  return gradientShader(fill, fill.units === 'box' ? multiply(toPixels, boxUnits(box())) : toPixels);
}

function gradientShader(gradient: Gradient, toPixels: Matrix): Shader | undefined {
  const back = inverse(toPixels);
  if (back === undefined) return undefined;
  const [a, b, c, d, e, f] = back;
  const offsetAt = offsetOf(gradient);
  const colorAt = colorsOf(gradient);
  return {
    span(x, y, count, out) {
      for (let i = 0; i < count; i++) {
        const px = x + i + 0.5;
        const py = y + 0.5;
        out[i] = colorAt(spreadOffset(offsetAt(a * px + c * py + e, b * px + d * py + f), gradient.spread));
      }
    },
  };
}

/** How far along a gradient a point lies: 0 at its start, 1 at its end; NaN where it has no colour. */
function offsetOf(gradient: Gradient): (x: number, y: number) => number {
  if (gradient.type === 'linear') {
    const { from, to } = gradient;
    const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
    const square = dx * dx + dy * dy;
    if (square === 0) return () => NaN;
    return (x, y) => ((x - from[0]) * dx + (y - from[1]) * dy) / square;
  }
  if (gradient.type === 'conic') {
    const { at, start } = gradient;
    return (x, y) => {
      const turn = Math.atan2(y - at[1], x - at[0]) / (2 * Math.PI) - start / 360;
      return turn - Math.floor(turn);
    };
  }
  const { at, radius, focus } = gradient;
  if (radius === 0) return () => NaN;
  // The circle at offset t has its middle t of the way from focus to centre, and a radius of t times the whole.
  const [cx, cy] = [at[0] - focus[0], at[1] - focus[1]];
  const a = radius * radius - cx * cx - cy * cy;
  return (x, y) => {
    const [px, py] = [x - focus[0], y - focus[1]];
    const half = px * cx + py * cy;
    return (-half + Math.sqrt(half * half + a * (px * px + py * py))) / a;
  };
}

const tableSize = 1024;
const tables = new WeakMap<Gradient, (offset: number) => number>();

/** A gradient's colours by offset, premultiplied: from a table, or stop by stop where two stand very close. */
function colorsOf(gradient: Gradient): (offset: number) => number {
  let colors = tables.get(gradient);
  if (colors !== undefined) return colors;
  const { stops } = gradient;
  const exact = (offset: number): number => premultiply(mixStops(stops, offset), 255) >>> 0;
  const close = stops.some((stop, i) => i > 0 && stop.offset - stops[i - 1].offset < 4 / tableSize);
  if (close) colors = (offset) => (offset >= 0 ? exact(offset) : Number.isNaN(offset) ? 0 : exact(0));
  else {
    const table = Uint32Array.from({ length: tableSize + 1 }, (_, i) => exact(i / tableSize));
    colors = (offset) =>
      Number.isNaN(offset) ? 0 : table[offset <= 0 ? 0 : offset >= 1 ? tableSize : (offset * tableSize + 0.5) | 0];
  }
  tables.set(gradient, colors);
  return colors;
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

function pictureShader(fill: ImageFill | Pattern, toPixels: Matrix): Shader | undefined {
  const tiled = fill.type === 'pattern';
  const part = tiled ? { x: 0, y: 0, width: fill.picture.width, height: fill.picture.height } : fill.crop;
  const fromPicture = multiply(toPixels, fill.transform);
  // Crisp pixels are taken as they are, and so is a part that is the whole.
  const { picture, perPixelX, perPixelY } = reduce(fill.picture, part, fill.smooth ? fromPicture : translation(0, 0));
  const back = inverse(fromPicture);
  if (back === undefined) return undefined;
  const [a, c, e] = [back[0] / perPixelX, back[2] / perPixelX, back[4] / perPixelX];
  const [b, d, f] = [back[1] / perPixelY, back[3] / perPixelY, back[5] / perPixelY];
  const words = premultipliedWords(picture);
  const sample = (fill.smooth ? smoothSampler : crispSampler)(words, picture.width, picture.height, tiled);
  return {
    span(x, y, count, out) {
      for (let i = 0; i < count; i++) {
        const px = x + i + 0.5;
        const py = y + 0.5;
        out[i] = sample(a * px + c * py + e, b * px + d * py + f);
      }
    },
  };
}

const wordsByPicture = new WeakMap<Picture, { version: number; words: Uint32Array }>();

function premultipliedWords(picture: Picture): Uint32Array {
  const kept = wordsByPicture.get(picture);
  if (kept?.version === picture.version) return kept.words;
  const { data } = picture;
  const words = Uint32Array.from({ length: picture.width * picture.height }, (_, i) =>
    premultiply(pack(data[i * 4], data[i * 4 + 1], data[i * 4 + 2], data[i * 4 + 3]), 255),
  );
  wordsByPicture.set(picture, { version: picture.version, words });
  return words;
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
