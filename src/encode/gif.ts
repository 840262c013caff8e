import { changedRect, type PixelRect } from './changes.ts';
import { packLzw } from './lzw.ts';
import { ExactPalette, NearPalette, type Palette } from './palette.ts';

/*
 * GIF (89a). Frames share a colour table where it serves, and each draws only the rectangle that changed, over what is
 * there; pixels in it that stay as they are take the index that stands for "as before", and pack to nearly nothing.
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

/** The index for "as before", and for what is transparent: the last one of every table. */
const keep = 255;
/** Players take frames shorter than this, in hundredths of a second, for mistakes. */
const shortest = 2;

interface Shown {
  readonly words: Uint32Array;
  readonly palette: Palette;
  readonly rect: PixelRect;
  /** When it is first shown, in hundredths of a second. */
  readonly from: number;
  /** What was shown before, which it is drawn over; undefined where that is cleared away. */
  readonly over: Uint32Array | undefined;
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
      this.show(words, this.whole(), from, undefined);
      return undefined;
    }
    if (from - last.from < shortest) return undefined;
    const rect = changedRect(last.words, words, this.options.width);
    if (rect === undefined) return undefined;
    const erases = uncovers(last.words, words);
    const ready = this.write(last, from - last.from, erases);
    this.show(words, erases ? this.whole() : rect, from, erases ? undefined : last.words);
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

  private show(words: Uint32Array, rect: PixelRect, from: number, over: Uint32Array | undefined): void {
    const changed = cut(words, rect, this.options.width);
    // The shared table costs nothing; the last one at least no search for another.
    const shared = this.first ?? this.shared;
    const known = shared.serves(changed) ? shared : this.palette.serves(changed) ? this.palette : undefined;
    this.palette = known ?? new NearPalette(changed);
    if (this.shown === undefined) this.first = this.palette === shared ? undefined : this.palette;
    this.shown = { words, palette: this.palette, rect, from, over };
  }

  /** One frame. Where the next one uncovers something, all is drawn, to be cleared away again. */
  private write(shown: Shown, delay: number, cleared: boolean): Uint8Array {
    const rect = cleared ? this.whole() : shown.rect;
    const { words, palette } = shown;
    const before = shown.over;
    const own = palette !== (this.first ?? this.shared);
    const indices = new Uint8Array(rect.width * rect.height);
    let at = 0;
    for (let y = rect.y; y < rect.y + rect.height; y++)
      for (let i = y * this.options.width + rect.x, end = i + rect.width; i < end; i++) {
        const word = words[i];
        indices[at++] = word >>> 24 < 128 || before?.[i] === word ? keep : palette.indexOf(word);
      }
    const { x, y, width, height } = rect;
    const head = [
      ...[0x21, 0xf9, 4, ((cleared ? 2 : 1) << 2) | 1, ...word(Math.min(delay, 65535)), keep, 0],
      ...[0x2c, ...word(x), ...word(y), ...word(width), ...word(height), own ? 0x87 : 0],
      ...(own ? colorTable(palette) : []),
    ];
    const packed = packLzw(indices, 8);
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

/** Whether something that can be seen in one picture is transparent in the next. */
function uncovers(before: Uint32Array, after: Uint32Array): boolean {
  for (let at = 0; at < after.length; at++) if (after[at] >>> 24 < 128 && before[at] >>> 24 >= 128) return true;
  return false;
}

function cut(words: Uint32Array, { x, y, width, height }: PixelRect, stride: number): Uint32Array {
  if (width === stride) return words.subarray(y * stride, (y + height) * stride);
  const result = new Uint32Array(width * height);
  for (let row = 0; row < height; row++) {
    const from = (y + row) * stride + x;
    result.set(words.subarray(from, from + width), row * width);
  }
  return result;
}
