import { fewColors } from './quantize.ts';

/** The index of what is not seen: the last one of every table. */
export const unseen = 255;
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
/** How far, squared and summed over the channels, a colour may be from its entry before it counts as badly served. */
const tooFar = 3 * 8 * 8;
/** A table serves pixels of which no more are badly served than this part, beyond as many as of those it was made for. */
const mayBeWorse = 1 / 100;

const redOf = (word: number): number => word & 255;
const greenOf = (word: number): number => (word >>> 8) & 255;
const blueOf = (word: number): number => (word >>> 16) & 255;
const rgbOf = (word: number): number => word & 0xffffff;

/** The colours of pictures, as a table of at most 255, with the way from any colour to its entry. */
export interface Palette {
  /** Red, green and blue of each entry as one word. */
  readonly colors: readonly number[];
  /**
   * The entries for pixels, {@link unseen} for transparent ones; undefined where the table does not serve them: all of
   * them exactly, or nearly all of them nearly.
   */
  indicesOf(words: Uint32Array): Uint8Array | undefined;
}

/** A table that holds every colour as it is, and takes in new ones while there is room. */
export class ExactPalette implements Palette {
  readonly colors: number[] = [];
  private readonly indices = new Map<number, number>();

  /** Takes in what is new, while there is room for all of it. */
  indicesOf(words: Uint32Array): Uint8Array | undefined {
    const result = new Uint8Array(words.length);
    let last = -1;
    let index = unseen;
    for (let at = 0; at < words.length; at++) {
      const word = words[at];
      if (word !== last) {
        last = word;
        const found = word >>> 24 < 128 ? unseen : this.place(rgbOf(word));
        if (found === undefined) return undefined;
        index = found;
      }
      result[at] = index;
    }
    return result;
  }

  private place(color: number): number | undefined {
    const known = this.indices.get(color);
    if (known !== undefined) return known;
    if (this.colors.length === mostColors) return undefined;
    this.indices.set(color, this.colors.length);
    return this.colors.push(color) - 1;
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
  private readonly isBad = new Uint8Array(slots);
  private kept = 0;
  /** The entries in rising order of their green, and for each green where those with as much begin. */
  private readonly byGreen: Uint8Array;
  private readonly fromGreen = new Uint16Array(256);
  private mayBeBad = 1;

  /** @param words the pixels that it is made for, and the first whose entries are asked for */
  constructor(words: Uint32Array) {
    const large = largeColors(words);
    const rest = restOf(words, large);
    const found = rest.length === 0 ? [] : fewColors(new Uint8Array(rest.buffer), mostColors - large.size);
    this.colors = [...large, ...found.map(([r, g, b]) => r | (g << 8) | (b << 16))];
    const greens = this.colors.map(greenOf);
    this.byGreen = Uint8Array.from(greens.keys()).sort((a, b) => greens[a] - greens[b] || a - b);
    for (let green = 0; green < 256; green++) this.fromGreen[green] = greens.filter((other) => other < green).length;
  }

  indicesOf(words: Uint32Array): Uint8Array | undefined {
    const result = new Uint8Array(words.length);
    let seen = 0;
    let bad = 0;
    let last = -1;
    let slot = 0;
    for (let at = 0; at < words.length; at++) {
      const word = words[at];
      if (word >>> 24 < 128) {
        result[at] = unseen;
        continue;
      }
      if (word !== last) {
        last = word;
        slot = this.slotOf(rgbOf(word));
      }
      result[at] = this.values[slot];
      bad += this.isBad[slot];
      seen++;
    }
    const part = bad / (seen || 1);
    // Those that it was made for come first: they tell how good it can be.
    if (this.mayBeBad === 1) this.mayBeBad = part + mayBeWorse;
    return part > this.mayBeBad ? undefined : result;
  }

  /** Where a colour's entry is kept; it is looked for where it is new. */
  private slotOf(color: number): number {
    let slot = Math.imul(color, 0x9e3779b1) >>> 15;
    while (this.keys[slot] !== color && this.keys[slot] !== -1) slot = (slot + 1) & (slots - 1);
    if (this.keys[slot] === color) return slot;
    if (this.kept++ === mostKept) {
      this.keys.fill(-1);
      this.kept = 1;
    }
    this.keys[slot] = color;
    const index = this.nearest(color);
    this.values[slot] = index;
    this.isBad[slot] = distance(color, this.colors[index]) > tooFar ? 1 : 0;
    return slot;
  }

  /** Looks from the entries with the same green on, up and down, until green alone makes all others farther. */
  private nearest(color: number): number {
    const { colors, byGreen, fromGreen } = this;
    const green = greenOf(color);
    let least = Infinity;
    let index = 0;
    for (let at = fromGreen[green]; at < byGreen.length; at++) {
      const apart = greenOf(colors[byGreen[at]]) - green;
      if (apart * apart >= least) break;
      const far = distance(color, colors[byGreen[at]]);
      if (far < least) [least, index] = [far, byGreen[at]];
    }
    for (let at = fromGreen[green] - 1; at >= 0; at--) {
      const apart = green - greenOf(colors[byGreen[at]]);
      if (apart * apart >= least) break;
      const far = distance(color, colors[byGreen[at]]);
      if (far < least) [least, index] = [far, byGreen[at]];
    }
    return index;
  }
}

/** The pixels that can be seen and are of none of some colours. */
function restOf(words: Uint32Array, colors: ReadonlySet<number>): Uint32Array {
  const result = new Uint32Array(words.length);
  let length = 0;
  let last = -1;
  let known = false;
  for (let at = 0; at < words.length; at++) {
    const word = words[at];
    if (word !== last) {
      last = word;
      known = word >>> 24 < 128 || colors.has(rgbOf(word));
    }
    if (!known) result[length++] = word;
  }
  return result.slice(0, length);
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
