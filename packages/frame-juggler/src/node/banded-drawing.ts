import { pictureSize, type Frame } from '../frame/frame.ts';
import { alphaOf } from '../paint/color.ts';
import { bytesPerPixel, type Bits } from '../surfaces/raster/engine.ts';
import type { KeptPixels, Rows } from '../surfaces/raster/engine-surface.ts';
import type { DrawPool } from './draw-pool.ts';

/*
 * Threads share a frame: each draws some of its rows into shared memory. A frame under a carry begins as soon as the one
 * before it is drawn; that one is packed meanwhile.
 */

/** A picture in shared memory, and the frames and tasks that still need it. */
interface SharedPicture {
  readonly kept: KeptPixels;
  readonly memory: SharedArrayBuffer;
  readonly drawn: Promise<unknown>;
  users: number;
}

/** Draws frames one after the other, each over what its carry leaves of the last, all threads of a pool at one frame. */
export class BandedDrawing {
  private last: SharedPicture | undefined;
  /** Memory that is used again: engines are slow to give it back. */
  private spare: SharedArrayBuffer[] = [];

  /** @param bits of a channel of the pictures */
  constructor(
    private readonly pool: DrawPool,
    private readonly bits: Bits,
  ) {}

  /** Begins to draw a frame, once the one before is drawn. */
  async draw(frame: Frame): Promise<void> {
    const before = this.last;
    await before?.drawn;
    const { width, height } = pictureSize(frame);
    const under =
      before?.kept.width === width && before.kept.height === height && frame.carry > 0 ? before.kept : undefined;
    const { bits } = this;
    const memory = this.memoryOf(width * height * bytesPerPixel(bits));
    // Found out for the whole picture: a task sees only its own rows.
    const opaque = alphaOf(frame.background) === 255 && (under === undefined || under.opaque);
    const kept = { width, height, rows: [0, height] as const, bits, opaque, pixels: new Uint8Array(memory) };
    const drawn = Promise.all(bandsOf(height, this.pool.threads).map((rows) => this.pool.share({ frame, rows, under, into: kept }))); // prettier-ignore
    // Awaited later; this avoids an unhandled rejection until then.
    drawn.catch(() => undefined);
    this.last = { kept, memory, drawn, users: 1 };
    if (before !== undefined) void drawn.finally(() => this.leave(before)).catch(() => undefined);
  }

  /** Goes on from a picture that was drawn elsewhere. */
  put(kept: KeptPixels): void {
    const memory = this.memoryOf(kept.pixels.length);
    const pixels = new Uint8Array(memory);
    pixels.set(kept.pixels);
    this.last = { kept: { ...kept, pixels }, memory, drawn: Promise.resolve(), users: 1 };
  }

  /** What is drawn last: once that is done, and for as long as `release` is not called. */
  take(): { drawn: Promise<KeptPixels>; release: () => void } {
    const picture = this.last!;
    picture.users++;
    return { drawn: picture.drawn.then(() => picture.kept), release: () => this.leave(picture) };
  }

  private memoryOf(bytes: number): SharedArrayBuffer {
    this.spare = this.spare.filter((memory) => memory.byteLength === bytes);
    return this.spare.pop() ?? new SharedArrayBuffer(bytes);
  }

  private leave(picture: SharedPicture): void {
    if (--picture.users === 0) this.spare.push(picture.memory);
  }
}

/** The rows of a picture in so many bands. */
function bandsOf(height: number, count: number): Rows[] {
  const edge = (band: number): number => Math.round((band * height) / count);
  return Array.from({ length: count }, (_, band): Rows => [edge(band), edge(band + 1)]).filter(
    ([first, end]) => end > first,
  );
}
