import type { PixelRect } from './changes.ts';
import { packLzw } from './lzw.ts';
import { ExactPalette, NearPalette, unseen, type Palette } from './palette.ts';

/*
 * GIF (89a). Frames share a colour table where it serves, and each draws only the rectangle that changed, over what is
 * there; pixels in it that stay as they are take the index of what is not seen, and pack to nearly nothing.
 */

export interface GifOptions {
  readonly width: number;
  readonly height: number;
  /** Frames a second. */
  readonly frameRate: number;
  /** Whether it begins again. */
  readonly repeat: boolean;
  /** What the file tells of itself. */
  readonly comment: string;
}

/** Players take frames shorter than this, in hundredths of a second, for mistakes. */
const shortest = 2;

interface Shown {
  readonly words: Uint32Array;
  readonly palette: Palette;
  readonly rect: PixelRect;
  /** The places of the pixels that are not as they were, row by row. */
  readonly changed: Uint32Array;
  /** The entries of their colours. */
  readonly indices: Uint8Array;
  /** When it is first shown, in hundredths of a second. */
  readonly from: number;
}

/** Writes a GIF piece by piece. The first piece is made anew at the end, when the shared table is known. */
export class GifEncoder {
  private readonly shared = new ExactPalette();
  /** The table that the file's first piece holds, where not even the first picture's colours fit the exact one. */
  private first: Palette | undefined;
  private palette: Palette = this.shared;
  private shown: Shown | undefined;
  private count = 0;

  constructor(private readonly options: GifOptions) {}

  /** The file's first piece, always of the same length. */
  head(): Uint8Array {
    const { width, height, repeat, comment } = this.options;
    const table = colorTable(this.first ?? this.shared);
    const text = [...new TextEncoder().encode(comment)];
    const blocks: number[] = [];
    for (let at = 0; at < text.length; at += 255) {
      const part = text.slice(at, at + 255);
      blocks.push(part.length, ...part);
    }
    return Uint8Array.from([
      ...[...'GIF89a'].map((letter) => letter.charCodeAt(0)),
      ...[...word(width), ...word(height), 0xf7, 0, 0],
      ...table,
      ...(repeat ? [0x21, 0xff, 11, ...[...'NETSCAPE2.0'].map((l) => l.charCodeAt(0)), 3, 1, 0, 0, 0] : []),
      ...[0x21, 0xfe, ...blocks, 0],
    ]);
  }

  /** Adds a picture, a word a pixel, and gives the piece that is ready, if any: a frame's length is known with the next. */
  add(words: Uint32Array): Uint8Array | undefined {
    const from = Math.round((this.count++ * 100) / this.options.frameRate);
    const last = this.shown;
    if (last === undefined) {
      this.show(words, allPlaces(words.length), from);
      return undefined;
    }
    if (from - last.from < shortest) return undefined;
    const changed = differing(last.words, words);
    if (changed.length === 0) return undefined;
    // What is uncovered can only be had by clearing all away first.
    const uncovers = someUnseen(words, changed);
    const ready = this.write(last, from - last.from, uncovers);
    this.show(words, uncovers ? allPlaces(words.length) : changed, from);
    return ready;
  }

  /** The last piece. */
  end(): Uint8Array {
    const last = this.shown;
    if (last === undefined) return Uint8Array.of(0x3b);
    const until = Math.round((this.count * 100) / this.options.frameRate);
    const frame = this.write(last, Math.max(shortest, until - last.from), false);
    const result = new Uint8Array(frame.length + 1);
    result.set(frame);
    result[frame.length] = 0x3b;
    return result;
  }

  private whole(): PixelRect {
    return { x: 0, y: 0, width: this.options.width, height: this.options.height };
  }

  private show(words: Uint32Array, changed: Uint32Array, from: number): void {
    const colors = new Uint32Array(changed.length);
    for (let i = 0; i < changed.length; i++) colors[i] = words[changed[i]];
    // The shared table costs nothing; the last one at least no search for another.
    const shared = this.first ?? this.shared;
    let palette = shared;
    let indices = shared.indicesOf(colors);
    if (indices === undefined) indices = (palette = this.palette).indicesOf(colors);
    if (indices === undefined) indices = (palette = new NearPalette(colors)).indicesOf(colors)!;
    this.palette = palette;
    if (this.shown === undefined && palette !== shared) this.first = palette;
    this.shown = { words, palette, rect: rectOf(changed, this.options.width), changed, indices, from };
  }

  /** One frame. Where the next one uncovers something, all of it is cleared away again. */
  private write({ palette, changed, ...shown }: Shown, delay: number, cleared: boolean): Uint8Array {
    const rect = cleared ? this.whole() : shown.rect;
    const own = palette !== (this.first ?? this.shared);
    const indices = new Uint8Array(rect.width * rect.height).fill(unseen);
    const stride = this.options.width;
    // From a place in the picture to one in the rectangle; the same along a row.
    let shift = 0;
    let rowEnd = 0;
    for (let i = 0; i < changed.length; i++) {
      const at = changed[i];
      if (at >= rowEnd) {
        const row = Math.floor(at / stride);
        rowEnd = (row + 1) * stride;
        shift = (row - rect.y) * rect.width - row * stride - rect.x;
      }
      indices[at + shift] = shown.indices[i];
    }
    const { x, y, width, height } = rect;
    const head = [
      ...[0x21, 0xf9, 4, ((cleared ? 2 : 1) << 2) | 1, ...word(Math.min(delay, 65535)), unseen, 0],
      ...[0x2c, ...word(x), ...word(y), ...word(width), ...word(height), own ? 0x87 : 0],
      ...(own ? colorTable(palette) : []),
    ];
    const packed = packLzw(indices, 8, unseen);
    const result = new Uint8Array(head.length + packed.length);
    result.set(head);
    result.set(packed, head.length);
    return result;
  }
}

const word = (value: number): [number, number] => [value & 255, value >> 8];

function colorTable({ colors }: Palette): number[] {
  const table = new Array<number>(256 * 3).fill(0);
  colors.forEach((color, index) => {
    table[index * 3] = color & 255;
    table[index * 3 + 1] = (color >>> 8) & 255;
    table[index * 3 + 2] = (color >>> 16) & 255;
  });
  return table;
}

function allPlaces(count: number): Uint32Array {
  const places = new Uint32Array(count);
  for (let at = 0; at < count; at++) places[at] = at;
  return places;
}

function someUnseen(words: Uint32Array, places: Uint32Array): boolean {
  for (let i = 0; i < places.length; i++) if (words[places[i]] >>> 24 < 128) return true;
  return false;
}

let scratch = new Uint32Array(1 << 16);

function grown(list: Uint32Array): Uint32Array<ArrayBuffer> {
  const longer = new Uint32Array(list.length * 2);
  longer.set(list);
  return longer;
}

/** The places at which two pictures differ. */
function differing(before: Uint32Array, after: Uint32Array): Uint32Array {
  let length = 0;
  for (let at = 0; at < after.length; at++)
    if (before[at] !== after[at]) {
      if (length === scratch.length) scratch = grown(scratch);
      scratch[length++] = at;
    }
  return scratch.slice(0, length);
}

/** The smallest rectangle about places in rows of `stride`. */
function rectOf(places: Uint32Array, stride: number): PixelRect {
  let left = stride;
  let right = 0;
  for (let i = 0; i < places.length; i++) {
    const x = places[i] % stride;
    if (x < left) left = x;
    if (x > right) right = x;
  }
  const top = Math.floor(places[0] / stride);
  const bottom = Math.floor(places[places.length - 1] / stride);
  return { x: left, y: top, width: right - left + 1, height: bottom - top + 1 };
}
