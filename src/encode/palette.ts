import { fewColors } from './quantize.ts';

/** So many colours a table holds beside the index that stands for "as before". */
export const mostColors = 255;
/** Colours that fill more than this part of a picture, and no fewer pixels than this, are kept exactly. */
const largeShare = 1 / 4000;
const leastPixels = 24;
/** At most so many, so that there is room for the others. */
const mostLarge = 191;
/** Colours that were looked for once are kept in a table of so many slots, by hashing; it is emptied when it fills up. */
const slots = 1 << 17;
const mostKept = slots >> 1;
/** How far, squared and summed over the channels, a colour may be from its entry before it counts as badly served… */
const tooFar = 3 * 8 * 8;
/** …and which part of the pixels may be. */
const mayBeBad = 1 / 500;

const redOf = (word: number): number => word & 255;
const greenOf = (word: number): number => (word >>> 8) & 255;
const blueOf = (word: number): number => (word >>> 16) & 255;
const rgbOf = (word: number): number => word & 0xffffff;

/** The colours of pictures, as a table of at most 255, with the way from any colour to its entry. */
export interface Palette {
  /** Red, green and blue of each entry as one word. */
  readonly colors: readonly number[];
  /** The entry for a pixel's colour. */
  indexOf(word: number): number;
  /** Whether the table serves pixels: all of them exactly, or nearly all of them nearly. */
  serves(words: Uint32Array): boolean;
}

/** A table that holds every colour as it is, and takes in new ones while there is room. */
export class ExactPalette implements Palette {
  readonly colors: number[] = [];
  private readonly indices = new Map<number, number>();
  private lastColor = -1;
  private lastIndex = -1;

  indexOf(word: number): number {
    const color = rgbOf(word);
    if (color !== this.lastColor) {
      this.lastColor = color;
      this.lastIndex = this.indices.get(color)!;
    }
    return this.lastIndex;
  }

  /** Takes in what is new; false where there is no room for all of it. */
  serves(words: Uint32Array): boolean {
    let last = -1;
    for (const word of words) {
      const color = rgbOf(word);
      if (color === last || word >>> 24 < 128) continue;
      last = color;
      if (this.indices.has(color)) continue;
      if (this.colors.length === mostColors) return false;
      this.indices.set(color, this.colors.length);
      this.colors.push(color);
    }
    return true;
  }
}

/**
 * A table made for one picture: its large even areas keep their colours exactly, all others share what the quantiser
 * finds for them (pairwise nearest neighbour).
 */
export class NearPalette implements Palette {
  readonly colors: readonly number[];
  private readonly keys = new Int32Array(slots).fill(-1);
  private readonly values = new Uint8Array(slots);
  private kept = 0;
  private lastColor = -1;
  private lastIndex = -1;

  constructor(words: Uint32Array) {
    const large = largeColors(words);
    const rest = words.filter((word) => word >>> 24 >= 128 && !large.has(rgbOf(word)));
    const found = rest.length === 0 ? [] : fewColors(new Uint8Array(rest.buffer), mostColors - large.size);
    this.colors = [...large, ...found.map(([r, g, b]) => r | (g << 8) | (b << 16))];
  }

  indexOf(word: number): number {
    const color = rgbOf(word);
    if (color === this.lastColor) return this.lastIndex;
    let slot = Math.imul(color, 0x9e3779b1) >>> 15;
    while (this.keys[slot] !== color && this.keys[slot] !== -1) slot = (slot + 1) & (slots - 1);
    if (this.keys[slot] === -1) {
      if (this.kept++ === mostKept) {
        this.keys.fill(-1);
        this.kept = 1;
      }
      this.keys[slot] = color;
      this.values[slot] = this.nearest(color);
    }
    this.lastColor = color;
    return (this.lastIndex = this.values[slot]);
  }

  serves(words: Uint32Array): boolean {
    let bad = 0;
    let seen = 0;
    // Every third pixel tells enough.
    for (let at = 0; at < words.length; at += 3) {
      if (words[at] >>> 24 < 128) continue;
      seen++;
      if (distance(words[at], this.colors[this.indexOf(words[at])]) > tooFar) bad++;
    }
    return bad <= seen * mayBeBad;
  }

  private nearest(color: number): number {
    const { colors } = this;
    let least = Infinity;
    let index = 0;
    for (let at = 0; at < colors.length && least > 0; at++) {
      const far = distance(color, colors[at]);
      if (far < least) [least, index] = [far, at];
    }
    return index;
  }
}

function distance(a: number, b: number): number {
  const [r, g, l] = [redOf(a) - redOf(b), greenOf(a) - greenOf(b), blueOf(a) - blueOf(b)];
  return r * r + g * g + l * l;
}

/** The colours that fill much of a picture, most of it first. */
function largeColors(words: Uint32Array): Set<number> {
  const counts = new Map<number, number>();
  // Even areas are runs: only those count, which keeps the counting short.
  for (let at = 1; at < words.length; at++)
    if (words[at] === words[at - 1] && words[at] >>> 24 >= 128) {
      const color = rgbOf(words[at]);
      let run = 1;
      while (at + 1 < words.length && words[at + 1] === words[at]) {
        at++;
        run++;
      }
      counts.set(color, (counts.get(color) ?? 0) + run);
    }
  const large = [...counts].filter(([, count]) => count > Math.max(leastPixels, words.length * largeShare));
  return new Set(large.sort((a, b) => b[1] - a[1]).slice(0, mostLarge).map(([color]) => color)); // prettier-ignore
}
