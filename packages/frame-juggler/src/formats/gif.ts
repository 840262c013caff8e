import { changedRect, type PixelRect } from './changes.ts';
import { packLzw } from './lzw.ts';
import { ExactPalette, NearPalette, unseen, type Entries, type Palette, type Region } from './palette.ts';

/*
 * GIF (89a). Frames share a color table where it is good enough. Each frame draws only the rectangle that changed, on top
 * of the previous one; unchanged pixels inside it take the transparent index, and compress to nearly nothing.
 */

export interface GifOptions {
  readonly width: number;
  readonly height: number;
  /** Frames per second. */
  readonly frameRate: number;
  /** Whether it repeats. */
  readonly repeat: boolean;
  /** Whether colors missing from a table are imitated by mixing neighboring pixels. */
  readonly dither?: boolean;
  /** A comment in the file. */
  readonly comment: string;
}

/** Players slow down frames that are shorter than this, in hundredths of a second. */
const shortest = 2;

/** A frame whose indices are still to be compressed: that is most of the work, and a thread can do it. */
export interface GifFrame {
  readonly head: Uint8Array;
  readonly indices: Uint8Array;
}

/** The bytes after a frame's head. */
export function packGifIndices(indices: Uint8Array): Uint8Array {
  return packLzw(indices, 8, unseen);
}

/** The last byte of the file. */
export const gifEnd = Uint8Array.of(0x3b);

/** A picture that is still to be written. */
interface Shown extends Entries {
  readonly words: Uint32Array;
  readonly palette: Palette;
  readonly rect: PixelRect;
  /** When it is first shown, in hundredths of a second. */
  readonly from: number;
}

/** Writes a GIF piece by piece. The first piece is written again at the end, when the shared table is complete. */
export class GifEncoder {
  private readonly shared = new ExactPalette();
  /** The table in the file's first piece if even the first picture has too many colors for the exact one. */
  private first: Palette | undefined;
  private palette: Palette = this.shared;
  private shown: Shown | undefined;
  private count = 0;
  /** The last picture that was skipped because it came too soon after another. */
  private skipped: { readonly words: Uint32Array; readonly from: number } | undefined;

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

  /** Adds a picture, one word per pixel. Returns the previous frame, if any: only now its duration is known. */
  add(words: Uint32Array): GifFrame | undefined {
    const from = Math.round((this.count++ * 100) / this.options.frameRate);
    const last = this.shown;
    if (last === undefined) {
      this.shown = this.show(words, from);
      return undefined;
    }
    if (from - last.from < shortest) {
      this.skipped = { words, from };
      return undefined;
    }
    return this.follow(last, words, from);
  }

  /** Starts to show a picture. Returns the frame of the previous one, unless both are the same. */
  private follow(last: Shown, words: Uint32Array, from: number): GifFrame | undefined {
    this.skipped = undefined;
    const rect = changedRect(last.words, words, this.options.width);
    if (rect === undefined) return undefined;
    this.shown = this.show(words, from, last.words, rect);
    if (!this.shown.uncovers) return this.frameOf(last, from - last.from, false);
    // Pixels that become transparent can only be had by clearing the previous frame first.
    this.shown = this.show(words, from);
    return this.frameOf(this.show(last.words, last.from), from - last.from, true);
  }

  /** Returns the last frames. A run that does not repeat ends on its last picture, however soon that came. */
  end(): GifFrame[] {
    if (this.shown === undefined) return [];
    const frames: (GifFrame | undefined)[] = [];
    if (this.skipped !== undefined && !this.options.repeat) {
      const { words } = this.skipped;
      frames.push(this.follow(this.shown, words, this.shown.from + shortest));
    }
    const until = Math.round((this.count * 100) / this.options.frameRate);
    frames.push(this.frameOf(this.shown, Math.max(shortest, until - this.shown.from), false));
    return frames.filter((frame) => frame !== undefined);
  }

  /** Finds the color indices of what is drawn: the whole picture, or what changed. */
  private show(words: Uint32Array, from: number, before?: Uint32Array, rect?: PixelRect): Shown {
    const { width, height } = this.options;
    const region: Region = { words, before, stride: width, rect: rect ?? { x: 0, y: 0, width, height } };
    // The shared table costs no bytes; the last one at least saves making another.
    const shared = this.first ?? this.shared;
    let palette = shared;
    let entries = shared.entriesOf(region);
    if (entries === undefined) entries = (palette = this.palette).entriesOf(region);
    if (entries === undefined) entries = (palette = new NearPalette(region, this.options.dither)).entriesOf(region)!;
    this.palette = palette;
    if (this.shown === undefined && palette !== shared) this.first = palette;
    return { ...entries, words, palette, rect: region.rect, from };
  }

  /** One frame. @param cleared whether it is cleared before the next one, which has new transparent pixels */
  private frameOf({ palette, rect, indices, seeThrough }: Shown, delay: number, cleared: boolean): GifFrame {
    const own = palette !== (this.first ?? this.shared);
    const flags = ((cleared ? 2 : 1) << 2) | (seeThrough ? 1 : 0);
    const { x, y, width, height } = rect;
    const head = Uint8Array.from([
      ...[0x21, 0xf9, 4, flags, ...word(Math.min(delay, 65535)), seeThrough ? unseen : 0, 0],
      ...[0x2c, ...word(x), ...word(y), ...word(width), ...word(height), own ? 0x87 : 0],
      ...(own ? colorTable(palette) : []),
    ]);
    return { head, indices };
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
