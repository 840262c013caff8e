import type { PixelRect } from './changes.ts';
import { fewColors } from './quantize.ts';

/** The index of what is not seen: the last one of a table, where that is not a color. */
export const unseen = 255;
/** Colors that fill more than this part of a picture, and no fewer pixels than this, are kept exactly. */
const largeShare = 1 / 300;
const minPixels = 24;
/** At most so many, so that there is room for the others. */
const maxLarge = 191;
/** Colors that were looked for are kept in so many slots, each by its hash; a newer one takes the slot of an older. */
const slotBits = 16;
/** How far, squared and summed over the channels, a color may be from its entry before it counts as badly served. */
const tooFar = 3 * 8 * 8;
/** A table serves pixels of which no more are badly served than this part, beyond as many as of those it was made for. */
const mayBeWorse = 1 / 100;

const redOf = (word: number): number => word & 255;
const greenOf = (word: number): number => (word >>> 8) & 255;
const blueOf = (word: number): number => (word >>> 16) & 255;
const rgbOf = (word: number): number => word & 0xffffff;

/** The pixels of a picture that a frame draws: those of a rectangle, but for the ones that are as before. */
export interface Region {
  /** A word a pixel, in rows of `stride`. */
  readonly words: Uint32Array;
  /** The picture before; undefined where nothing of it stays. */
  readonly before: Uint32Array | undefined;
  readonly stride: number;
  readonly rect: PixelRect;
}

/** What stands for the pixels of a region's rectangle, row by row. */
export interface Entries {
  readonly indices: Uint8Array;
  /** Whether {@link unseen} stands for what is not drawn; where it does not, it is a color as any other. */
  readonly seeThrough: boolean;
  /** Whether a pixel is transparent that was not before. */
  readonly uncovers: boolean;
}

/** The colors of pictures, as a table of at most 256, with the way from any color to its entry. */
export interface Palette {
  /** Red, green and blue of each entry as one word. */
  readonly colors: readonly number[];
  /** The entries for a region; undefined where the table does not serve it: all of it exactly, or nearly all nearly. */
  entriesOf(region: Region): Entries | undefined;
}

/** A table that holds every color as it is, and takes in new ones while there is room. */
export class ExactPalette implements Palette {
  readonly colors: number[] = [];
  private readonly indices = new Map<number, number>();

  /** Takes in what is new, if there is room for all of it. */
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
    // The 256th color has the index of what is not drawn: so all is drawn.
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
 * A table made for one picture: its large even areas keep their colors exactly, all others share what the quantizer
 * finds for them (pairwise nearest neighbor).
 */
export class NearPalette implements Palette {
  readonly colors: readonly number[];
  private readonly keys = new Int32Array(1 << slotBits).fill(-1);
  private readonly values = new Uint16Array(1 << slotBits);
  /** The entries in rising order of their green, their colors, and for each green where those with as much begin. */
  private readonly byGreen: Uint8Array;
  private readonly sorted: Int32Array;
  private readonly fromGreen = new Uint16Array(256);
  private mayBeBad = 1;
  private readonly mixes: Map<number, Uint8Array> | undefined;

  /**
   * @param region what it is made for, and the first whose entries are asked for
   * @param dithers whether colors that it lacks are mixed of pixels side by side
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
    const found = lookUp(region, unseen, (color) => this.entryOf(color), mixOf)!;
    const part = found.bad / (found.seen || 1);
    // What it was made for comes first: that tells how good it can be.
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
   * The entries that stand for a color over a square of pixels, dark ones first: each makes up for what those before it
   * are off by. As they go by place, what stays the same from frame to frame keeps its pixels.
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

  /** Looks from the entries with the same green on, up and down, until green alone makes all others farther. */
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

/** Which of a mix's entries the pixels of a square take, row by row (Bayer): any part of them lies evenly over it. */
const thresholds = [0, 8, 2, 10, 12, 4, 14, 6, 3, 11, 1, 9, 15, 7, 13, 5];
const side = 4;
const mostMixes = 1 << 16;
const clampByte = (value: number): number => Math.max(0, Math.min(255, value));
const lightnessOf = (color: number): number => 0.2126 * redOf(color) + 0.7152 * greenOf(color) + 0.0722 * blueOf(color);

/** So often entries are moved to the middle of what they stand for: then there is little left to be gained. */
const moves = 4;
/** Colors are told apart by so many bits a channel as they are counted. */
const countedBits = 6;

/** Colors that stand for others, each moved to where it is nearest to all that are nearest to it (Lloyd's algorithm). */
function settled(colors: readonly number[], words: Uint32Array): number[] {
  const bins = countColors(words);
  const result = colors.map((color) => [redOf(color), greenOf(color), blueOf(color)]);
  for (let move = 0; move < moves; move++) {
    // In rising order of green, the nearest is found from there: as in NearPalette.
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

/** Colors that lie close together as one, their mean, with how many pixels there are of them; in rising order of green. */
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

/** An entry that stands badly for its color is marked by this. */
const badly = 256;
/** There is no entry for a color. */
const none = -1;

/**
 * Looks up a region's pixels, each run of one color once. Undefined where there is no entry for one.
 * @param clear the entry of transparent pixels
 * @param mixOf what stands for a color over a square of pixels, where it is to be mixed
 * @returns the indices, whether something is uncovered, how many pixels can be seen, and how many of them badly
 */
function lookUp(
  { words, before, stride, rect }: Region,
  clear: number,
  entryOf: (color: number) => number,
  mixOf?: (color: number) => Uint8Array,
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
      if (mixOf === undefined || entry === clear) indices.fill(entry, from + shift, at + shift);
      else {
        const mix = mixOf(rgbOf(word));
        const [row4, left] = [((rect.y + row) % side) * side, (rect.y + row) * stride];
        for (let place = from; place < at; place++)
          indices[place + shift] = mix[thresholds[row4 + ((place - left) % side)]];
      }
      if (entry !== clear) {
        seen += at - from;
        bad += (entry >> 8) * (at - from);
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

/** The pixels that can be seen and are of none of some colors. */
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

/** The colors that fill much of a picture, most of it first. */
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
  const large = [...counts].filter(([, count]) => count > Math.max(minPixels, words.length * largeShare));
  return new Set(large.sort((a, b) => b[1] - a[1]).slice(0, maxLarge).map(([color]) => color)); // prettier-ignore
}
