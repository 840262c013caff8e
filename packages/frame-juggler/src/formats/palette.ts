import type { PixelRect } from './changes.ts';
import { fewColors } from './quantize.ts';

/** The transparent index: the last one of a table, unless a color needs it. */
export const unseen = 255;
/** Colors that fill more than this part of a picture, and at least this many pixels, are kept exactly. */
const largeShare = 1 / 300;
const minPixels = 24;
/** At most this many are kept exactly, to leave room for the others. */
const maxLarge = 191;
/** The size of the cache of looked-up colors, by hash; a newer color replaces an older one in its slot. */
const slotBits = 16;
/** The squared distance, summed over the channels, from which a color counts as badly matched by its entry. */
const tooFar = 3 * 8 * 8;
/** A table is good enough if at most this part more of the pixels is badly matched than in the picture it was made for. */
const mayBeWorse = 1 / 100;

const redOf = (word: number): number => word & 255;
const greenOf = (word: number): number => (word >>> 8) & 255;
const blueOf = (word: number): number => (word >>> 16) & 255;
const rgbOf = (word: number): number => word & 0xffffff;

/** The pixels of a picture that a frame draws: those of a rectangle, except unchanged ones. */
export interface Region {
  /** One word per pixel, in rows of `stride`. */
  readonly words: Uint32Array;
  /** The previous picture; undefined if it is cleared. */
  readonly before: Uint32Array | undefined;
  readonly stride: number;
  readonly rect: PixelRect;
}

/** The indices of a region's pixels, row by row. */
export interface Entries {
  readonly indices: Uint8Array;
  /** Whether {@link unseen} marks pixels that are not drawn; if not, it is a color like any other. */
  readonly seeThrough: boolean;
  /** Whether a pixel has become transparent. */
  readonly uncovers: boolean;
}

/** A table of at most 256 colors, which finds the entry for any color. */
export interface Palette {
  /** Red, green and blue of each entry as one word. */
  readonly colors: readonly number[];
  /** The indices for a region; undefined if the table is not good enough for it. */
  entriesOf(region: Region): Entries | undefined;
}

/** A table of exact colors, which takes in new ones while there is room. */
export class ExactPalette implements Palette {
  readonly colors: number[] = [];
  private readonly indices = new Map<number, number>();

  /** Adds a region's new colors, if there is room for all of them. */
  entriesOf(region: Region): Entries | undefined {
    const known = this.colors.length;
    const entries = this.find(region);
    if (entries === undefined) for (const color of this.colors.splice(known)) this.indices.delete(color);
    return entries;
  }

  private find(region: Region): Entries | undefined {
    let last = false;
    const found = lookUp(region, unseen, (color) => {
      const index = this.place(color);
      if (index === unseen) last = true;
      return index;
    });
    if (found === undefined || !last) return found && { ...found, seeThrough: true };
    // The 256th color takes the transparent index, so every pixel must be drawn.
    const all = lookUp({ ...region, before: undefined }, none, (color) => this.place(color));
    return all && { ...all, seeThrough: false };
  }

  private place(color: number): number {
    const known = this.indices.get(color);
    if (known !== undefined) return known;
    if (this.colors.length === 256) return none;
    this.indices.set(color, this.colors.length);
    return this.colors.push(color) - 1;
  }
}

/**
 * A table made for one picture: large areas of one color keep it exactly, the other colors share the entries that the
 * quantizer finds for them (pairwise nearest neighbor).
 */
export class NearPalette implements Palette {
  readonly colors: readonly number[];
  private readonly keys = new Int32Array(1 << slotBits).fill(-1);
  private readonly values = new Uint16Array(1 << slotBits);
  /** The entries sorted by green, their colors, and the first entry for each value of green. */
  private readonly byGreen: Uint8Array;
  private readonly sorted: Int32Array;
  private readonly fromGreen = new Uint16Array(256);
  private mayBeBad = 1;
  private readonly mixes: Map<number, Uint8Array> | undefined;

  /**
   * @param region the pixels it is made for, and the first that is looked up
   * @param dithers whether missing colors are imitated by mixing neighboring pixels
   */
  constructor(region: Region, dithers = false) {
    this.mixes = dithers ? new Map() : undefined;
    const words = drawnWords(region);
    const large = largeColors(words);
    const rest = restOf(words, large);
    const found = rest.length === 0 ? [] : fewColors(new Uint8Array(rest.buffer), unseen - large.size);
    const start = found.map(([r, g, b]) => r | (g << 8) | (b << 16));
    this.colors = [...large, ...settled(start, rest)];
    const greens = this.colors.map(greenOf);
    this.byGreen = Uint8Array.from(greens.keys()).sort((a, b) => greens[a] - greens[b] || a - b);
    this.sorted = Int32Array.from(this.byGreen, (index) => this.colors[index]);
    for (let green = 0; green < 256; green++) this.fromGreen[green] = greens.filter((other) => other < green).length;
  }

  entriesOf(region: Region): Entries | undefined {
    const mixOf = this.mixes && ((color: number): Uint8Array => this.mixOf(color));
    const { width, height } = region.rect;
    const found = lookUp(region, unseen, (color) => this.entryOf(color), {
      mixOf,
      maxBad: this.mayBeBad * width * height,
    });
    if (found === undefined) return undefined;
    const part = found.bad / (found.seen || 1);
    // The region it was made for comes first: that shows how good the table can be.
    if (this.mayBeBad === 1) this.mayBeBad = part + mayBeWorse;
    return part > this.mayBeBad ? undefined : { ...found, seeThrough: true };
  }

  private entryOf(color: number): number {
    const slot = Math.imul(color, 0x9e3779b1) >>> (32 - slotBits);
    if (this.keys[slot] !== color) {
      const index = this.nearest(color);
      this.keys[slot] = color;
      this.values[slot] = distance(color, this.colors[index]) > tooFar ? index | badly : index;
    }
    return this.values[slot];
  }

  /**
   * The entries that imitate a color over a square of pixels, dark ones first: each corrects the error of those before
   * it. As the mix depends on the position only, pixels that do not change from frame to frame stay the same.
   */
  private mixOf(color: number): Uint8Array {
    let mix = this.mixes!.get(color);
    if (mix !== undefined) return mix;
    mix = new Uint8Array(thresholds.length);
    let [red, green, blue] = [0, 0, 0];
    for (let i = 0; i < mix.length; i++) {
      const wanted = clampByte(redOf(color) + red) | (clampByte(greenOf(color) + green) << 8) | (clampByte(blueOf(color) + blue) << 16); // prettier-ignore
      const chosen = this.colors[(mix[i] = this.nearest(wanted))];
      red += redOf(color) - redOf(chosen);
      green += greenOf(color) - greenOf(chosen);
      blue += blueOf(color) - blueOf(chosen);
    }
    const light = (index: number): number => lightnessOf(this.colors[index]);
    mix.sort((a, b) => light(a) - light(b) || a - b);
    if (this.mixes!.size === mostMixes) this.mixes!.clear();
    this.mixes!.set(color, mix);
    return mix;
  }

  /** Searches up and down from the entries with the same green, until the difference in green alone is too large. */
  private nearest(color: number): number {
    const { sorted, fromGreen } = this;
    const green = greenOf(color);
    let least = Infinity;
    let place = 0;
    for (let at = fromGreen[green]; at < sorted.length; at++) {
      const apart = greenOf(sorted[at]) - green;
      if (apart * apart >= least) break;
      const far = distance(color, sorted[at]);
      if (far < least) [least, place] = [far, at];
    }
    for (let at = fromGreen[green] - 1; at >= 0; at--) {
      const apart = green - greenOf(sorted[at]);
      if (apart * apart >= least) break;
      const far = distance(color, sorted[at]);
      if (far < least) [least, place] = [far, at];
    }
    return this.byGreen[place];
  }
}

/** Which entry of a mix each pixel of a square takes, row by row (Bayer's matrix): entries are spread evenly. */
const thresholds = [0, 8, 2, 10, 12, 4, 14, 6, 3, 11, 1, 9, 15, 7, 13, 5];
const side = 4;
const mostMixes = 1 << 16;
const clampByte = (value: number): number => Math.max(0, Math.min(255, value));
const lightnessOf = (color: number): number => 0.2126 * redOf(color) + 0.7152 * greenOf(color) + 0.0722 * blueOf(color);

/** The number of rounds of Lloyd's algorithm: more gain little. */
const moves = 4;
/** The bits per channel by which colors are told apart when they are counted. */
const countedBits = 6;

/** Moves each entry to the mean of the colors that it is the nearest entry of (Lloyd's algorithm). */
function settled(colors: readonly number[], words: Uint32Array): number[] {
  const bins = countColors(words);
  const result = colors.map((color) => [redOf(color), greenOf(color), blueOf(color)]);
  for (let move = 0; move < moves; move++) {
    // Sorted by green, the nearest entry is found as in NearPalette.
    result.sort((a, b) => a[1] - b[1]);
    const sums = result.map(() => [0, 0, 0, 0]);
    let place = 0;
    for (const [red, green, blue, count] of bins) {
      while (place < result.length - 1 && result[place][1] < green) place++;
      let least = Infinity;
      let nearest = 0;
      const look = (at: number): boolean => {
        const [r, g, b] = result[at];
        const apart = (g - green) * (g - green);
        if (apart >= least) return false;
        const far = apart + (r - red) * (r - red) + (b - blue) * (b - blue);
        if (far < least) [least, nearest] = [far, at];
        return true;
      };
      for (let at = place; at < result.length && look(at); at++);
      for (let at = place - 1; at >= 0 && look(at); at--);
      const sum = sums[nearest];
      sum[0] += red * count;
      sum[1] += green * count;
      sum[2] += blue * count;
      sum[3] += count;
    }
    for (const [index, [red, green, blue, count]] of sums.entries())
      if (count > 0) result[index] = [red / count, green / count, blue / count];
  }
  return result.map(([red, green, blue]) => Math.round(red) | (Math.round(green) << 8) | (Math.round(blue) << 16));
}

/** Groups of close colors, each as its mean and its number of pixels, sorted by green. */
function countColors(words: Uint32Array): [red: number, green: number, blue: number, count: number][] {
  const places = new Int32Array(1 << (3 * countedBits)).fill(-1);
  const bins: [number, number, number, number][] = [];
  const drop = 8 - countedBits;
  for (const word of words) {
    const [red, green, blue] = [redOf(word), greenOf(word), blueOf(word)];
    const key = ((red >> drop) << (2 * countedBits)) | ((green >> drop) << countedBits) | (blue >> drop);
    if (places[key] < 0) places[key] = bins.push([0, 0, 0, 0]) - 1;
    const bin = bins[places[key]];
    bin[0] += red;
    bin[1] += green;
    bin[2] += blue;
    bin[3]++;
  }
  for (const bin of bins) for (let channel = 0; channel < 3; channel++) bin[channel] /= bin[3];
  return bins.sort((a, b) => a[1] - b[1]);
}

/** Added to the index of a badly matching entry. */
const badly = 256;
/** Says that a color has no entry. */
const none = -1;

interface LookUpOptions {
  /** Gives the entries that imitate a color over a square of pixels, for dithering. */
  readonly mixOf?: ((color: number) => Uint8Array) | undefined;
  /** The number of badly matching pixels beyond which it gives up. */
  readonly maxBad?: number;
}

/**
 * Looks up a region's pixels, once per run of one color. Undefined if a color has no entry, or too many match badly.
 * @param clear the entry of transparent pixels
 * @returns the indices, whether pixels became transparent, how many pixels are visible, and how many match badly
 */
function lookUp(
  { words, before, stride, rect }: Region,
  clear: number,
  entryOf: (color: number) => number,
  { mixOf, maxBad = Infinity }: LookUpOptions = {},
): { indices: Uint8Array; uncovers: boolean; seen: number; bad: number } | undefined {
  const indices = new Uint8Array(rect.width * rect.height).fill(unseen);
  let uncovers = false;
  let seen = 0;
  let bad = 0;
  // A word of 0 is transparent.
  let last = 0;
  let entry = clear;
  for (let row = 0; row < rect.height; row++) {
    const start = (rect.y + row) * stride + rect.x;
    const end = start + rect.width;
    const shift = row * rect.width - start;
    let at = start;
    for (;;) {
      if (before !== undefined) while (at < end && before[at] === words[at]) at++;
      if (at >= end) break;
      const from = at++;
      const word = words[from];
      if (before === undefined) while (at < end && words[at] === word) at++;
      else while (at < end && words[at] === word && before[at] !== word) at++;
      if (word !== last) {
        last = word;
        entry = word >>> 24 < 128 ? clear : entryOf(rgbOf(word));
      }
      if (entry === none) return undefined;
      // Most runs are short: for those a loop is quicker than the call.
      if (mixOf === undefined || entry === clear)
        if (at - from > 32) indices.fill(entry, from + shift, at + shift);
        else for (let place = from; place < at; place++) indices[place + shift] = entry;
      else {
        const mix = mixOf(rgbOf(word));
        const [row4, left] = [((rect.y + row) % side) * side, (rect.y + row) * stride];
        for (let place = from; place < at; place++)
          indices[place + shift] = mix[thresholds[row4 + ((place - left) % side)]];
      }
      if (entry !== clear) {
        seen += at - from;
        bad += (entry >> 8) * (at - from);
        if (bad > maxBad) return undefined;
      } else if (before !== undefined) uncovers ||= someSeen(before, from, at);
    }
  }
  return { indices, uncovers, seen, bad };
}

function someSeen(words: Uint32Array, from: number, to: number): boolean {
  for (let at = from; at < to; at++) if (words[at] >>> 24 >= 128) return true;
  return false;
}

/** The pixels that a region draws. */
function drawnWords({ words, before, stride, rect }: Region): Uint32Array {
  const result = new Uint32Array(rect.width * rect.height);
  let length = 0;
  for (let y = rect.y; y < rect.y + rect.height; y++) {
    const row = y * stride + rect.x;
    for (let at = row; at < row + rect.width; at++)
      if (before === undefined || before[at] !== words[at]) result[length++] = words[at];
  }
  return result.subarray(0, length);
}

/** The visible pixels whose color is none of the given ones. */
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

/** The colors that fill large parts of a picture, the most common first. */
function largeColors(words: Uint32Array): Set<number> {
  const counts = new Map<number, number>();
  // Large areas consist of runs: counting only these keeps it fast.
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
  const large = [...counts].filter(([, count]) => count > Math.max(minPixels, words.length * largeShare));
  return new Set(large.sort((a, b) => b[1] - a[1]).slice(0, maxLarge).map(([color]) => color)); // prettier-ignore
}
