import { createHash } from 'node:crypto';
import { promisify } from 'node:util';
import { crc32, deflate, inflate } from 'node:zlib';
import { framesLeftBy } from '../paint/fade.ts';
import { fail, SketchError } from '../error.ts';
import type { Sketch } from '../sketch/sketch.ts';
import type { Bits } from '../surfaces/raster/engine.ts';
import type { KeptPixels } from '../surfaces/raster/engine-surface.ts';
import { givenBy } from '../schema/given.ts';
import { callable, toggle } from '../schema/kind.ts';
import { type Complete, optional, type Options, schemaOf } from '../schema/schema.ts';
import { checkpointPlace, checkpointsFor } from './checkpoints/index.ts';
import type { Checkpoints } from './checkpoints/checkpoints.ts';
import { drawPoolFor, type DrawPool } from './draw-pool.ts';
import { filmTable, frameRange, openFilm, type Film } from './film.ts';
import { bitsOf } from './draw.ts';
import { givenBytes, givenPath } from './given.ts';
import { openOutput } from './outputs/index.ts';
import type { Output } from './outputs/output.ts';
import { renderFrames, type Under } from './render-frames.ts';
import { abortSignal, runSettingsTable } from './run-settings.ts';

/*
 * A film in chunks, each rendered by itself, possibly on another machine, and joined in one place. A frame gives the same
 * bytes wherever it is made, so the file is the same as that of a single render, byte for byte.
 *
 * Under a carry a chunk's first picture depends on the one before it, which is made elsewhere. So a chunk starts early
 * enough that nothing older can still be seen, and reports a fingerprint of the picture it then stands on. If the chunk
 * before ends with another picture (faint veils drawn again and again may keep a rounding error for ever), the chunk is
 * rendered again on top of that one.
 */

const pack = promisify(deflate);
const unpack = promisify(inflate);

const chunkTable = {
  ...filmTable,
  /** A folder (or a store) with checkpoints, as `keepCheckpoints` makes them: a chunk need not step from the first frame. */
  checkpoints: optional(checkpointPlace),
};
const chunkOptions = schemaOf({ ...runSettingsTable, ...chunkTable }, "{ format: 'png', frames: [0, 599] }");
/** The film that a chunk is of: the same for all of its chunks. */
export interface ChunkOptions extends Options<typeof runSettingsTable & typeof chunkTable> {}

const joinTable = {
  ...filmTable,
  /** Replaces frames of a sequence that belong to another run. */
  overwrite: optional(toggle, false),
  /** Called with notes on what differs from what was asked for. */
  onNote: optional(callable<(text: string) => void>()),
  /** Called with each process that is started, such as an encoder. */
  onProcess: optional(callable<(pid: number) => void>()),
};
const joinOptions = schemaOf({ ...runSettingsTable, ...joinTable }, '{ frames: [0, 599] }');
/** What of a film is joined, and where to. */
export interface JoinOptions extends Options<typeof runSettingsTable & typeof joinTable> {}

const oneChunkTable = {
  /** Under a carry: the picture that it stands on, as the chunk before gave it; otherwise frames before it are drawn first. */
  under: optional(givenBytes),
  /** Stops it between two frames. */
  signal: optional(abortSignal),
  /** Called after every frame with how many are done. */
  onFrame: optional(callable<(done: number) => void>()),
};
const oneChunkOptions = schemaOf(oneChunkTable, '{ onFrame }');
/** How one chunk is rendered. */
export interface OneChunkOptions extends Options<typeof oneChunkTable> {}

/** A stretch of a film, rendered. */
export interface Chunk {
  /** The first and the last frame. */
  readonly frames: readonly [number, number];
  /** What is made of each frame, in one. */
  readonly bytes: Uint8Array;
  /** Under a carry: a fingerprint of the picture that it stands on. */
  readonly before?: string | undefined;
  /** Under a carry: a fingerprint of its last picture. */
  readonly after?: string | undefined;
  /** Under a carry: its last picture, for the next chunk to stand on. */
  readonly picture?: Uint8Array | undefined;
}

const givenChunk = givenBy<Chunk>('a chunk', 'await renderer.render([0, 29])', 'frames', 'bytes');

/** Renders chunks of a film, one after the other. A run that is asked for a later chunk goes on where it is. */
export class ChunkRenderer {
  private readonly film: Film;
  private readonly pool: DrawPool;
  private readonly checkpoints: () => Promise<Checkpoints | undefined>;

  /**
   * @param to the name of what the film becomes: nothing is written there
   * @throws SketchError where the film cannot be meant
   */
  constructor(sketch: Sketch, to: string, options: ChunkOptions = {}) {
    const read = chunkOptions.read('ChunkRenderer', options);
    this.film = openFilm(sketch, givenPath.read('ChunkRenderer', 'to', to), read);
    const [first, last] = this.film.frames;
    this.pool = drawPoolFor(last - first + 1, this.film.setting, read.threads);
    let opened: Promise<Checkpoints | undefined> | undefined;
    this.checkpoints = () => (opened ??= checkpointsFor(this.film.run, read, { readOnly: true }));
  }

  /**
   * Renders one chunk.
   * @param frames its first and its last frame, both frames of the film
   * @throws SketchError where those are not frames of the film, or where the sketch is wrong
   */
  async render(frames: readonly [number, number], options: OneChunkOptions = {}): Promise<Chunk> {
    frameRange.read('renderer.render', 'frames', frames);
    const { under, signal, onFrame = () => undefined } = oneChunkOptions.read('renderer.render', options);
    const { run, products, target } = this.film;
    const [begin, end] = this.film.frames;
    if (frames[0] < begin || frames[1] > end)
      fail({ call: 'renderer.render', problem: `frames ${frames.join(' to ')} lie outside of the film`, expected: `expected frames of ${begin} to ${end}` }); // prettier-ignore
    const { carry } = run.sketch;
    const packs = !isPacked(products(frames[0]).type);
    const made: Promise<Uint8Array>[] = [];
    const output: Output = {
      add(_, bytes) {
        made.push(packs ? (pack(bytes, { level: 1 }) as Promise<Uint8Array>) : Promise.resolve(bytes));
        // Frames are kept packed, a few at a time.
        return (made.at(-8) ?? Promise.resolve()).then(() => undefined);
      },
      finish: () => Promise.resolve(),
      abandon: () => Promise.resolve(),
    };
    const ends = new Map<number, Uint8Array>();
    const isDrawn = target.format !== 'svg' && carry > 0;
    await renderFrames(run, output, {
      frames,
      products,
      pool: this.pool,
      signal,
      onFrame,
      under: await this.standOn(frames[0], under),
      checkpoints: await this.checkpoints(),
      onEnds: isDrawn ? (frame, pixels) => Promise.resolve(void ends.set(frame, pixels)) : undefined,
    });
    signal?.throwIfAborted();
    const bytes = joined(await Promise.all(made));
    if (under !== undefined) ends.set(frames[0] - 1, (await readPicture(under)).pixels as Uint8Array);
    const [before, last] = [ends.get(frames[0] - 1), ends.get(frames[1])];
    return {
      frames,
      bytes,
      ...(before !== undefined && { before: sha256(before) }),
      ...(last !== undefined && { after: sha256(last), picture: await this.writePicture(last) }),
    };
  }

  /** Lets go of the threads that draw. */
  async close(): Promise<void> {
    await this.pool.close();
  }

  private get bits(): Bits {
    return bitsOf(this.film.products(this.film.frames[0]));
  }

  /** What a chunk's first frame stands on; undefined for all frames before it, as where the film begins. */
  private async standOn(first: number, picture: Uint8Array | undefined): Promise<Under | undefined> {
    const { carry } = this.film.run.sketch;
    if (carry === 0 || first === this.film.frames[0]) return undefined;
    return picture === undefined ? { early: framesLeftBy(carry, this.bits) } : { picture: await readPicture(picture) };
  }

  private async writePicture(pixels: Uint8Array): Promise<Uint8Array> {
    const { width, height } = this.film.setting;
    const { bits } = this;
    const opaque = Number(isOpaque(pixels, bits));
    return Buffer.concat([width, height, bits, opaque].map(u32).concat(await pack(pixels, { level: 1 })));
  }
}

/** Puts a film together from its chunks. */
export class ChunkJoiner {
  /** The first and the last frame of the film. */
  readonly frames: readonly [number, number];
  /** The sketch's title. */
  readonly title: string;
  /** How much of each picture stays under the next, 0 to 1. */
  readonly carry: number;
  private next: number;
  private after: string | undefined;

  private constructor(
    private readonly film: Film,
    private readonly output: Output,
    private readonly pool: DrawPool,
  ) {
    this.frames = film.frames;
    this.next = film.frames[0];
    this.title = film.run.sketch.title;
    this.carry = film.target.format === 'svg' ? 0 : film.run.sketch.carry;
  }

  /** Opens the file, or the sequence. @throws SketchError where nothing can be written there */
  static async open(sketch: Sketch, to: string, options: JoinOptions = {}): Promise<ChunkJoiner> {
    const read: Complete<typeof runSettingsTable & typeof joinTable> = joinOptions.read('ChunkJoiner.open', options);
    const film = openFilm(sketch, givenPath.read('ChunkJoiner.open', 'to', to), read);
    const pool = drawPoolFor(film.frames[1] - film.frames[0] + 1, film.setting, read.threads);
    const output = await openOutput(film.target, film.setting, { ...read, resume: false }, pool);
    return new ChunkJoiner(film, output, pool);
  }

  /** Whether it is more than one frame, as the kind of file has it. */
  get many(): boolean {
    return this.film.target.many;
  }

  /** Pixels in a row. */
  get width(): number {
    return this.film.setting.width;
  }

  /** Rows of pixels. */
  get height(): number {
    return this.film.setting.height;
  }

  /** Frames a second. */
  get frameRate(): number {
    return this.film.setting.frameRate;
  }

  /** The seed of the run. */
  get seed(): number {
    return this.film.setting.seed;
  }

  /** Whether a chunk stands on the very picture that the one before ends with. */
  fits({ frames: [first], before }: Pick<Chunk, 'frames' | 'before'>): boolean {
    const isFirst = first === this.frames[0] || this.film.run.frameAfterRounds(first) === 0;
    return this.carry === 0 || isFirst || before === this.after;
  }

  /** Takes the next chunk. @throws SketchError where it is damaged, or not the next */
  async add(chunk: Omit<Chunk, 'picture'>): Promise<void> {
    givenChunk.read('joiner.add', 'chunk', chunk);
    const [first, last] = chunk.frames;
    if (first !== this.next || !this.fits(chunk))
      throw new SketchError({
        problem: `frames ${first} to ${last} are not what comes next`,
        expected: `expected those from ${this.next} on`,
      });
    const packed = !isPacked(this.film.products(first).type);
    for (const [index, part] of parts(chunk.bytes, last - first + 1).entries())
      await this.output.add(first + index, packed ? await unpack(part) : part);
    this.next = last + 1;
    this.after = chunk.after;
  }

  /** Completes the file, or the sequence. @throws SketchError where frames are missing: nothing is lost by that */
  async finish(): Promise<void> {
    const last = this.frames[1];
    if (this.next <= last)
      fail({ call: 'joiner.finish', problem: `frames ${this.next} to ${last} are missing`, expected: "add those before" }); // prettier-ignore
    await this.output.finish();
    await this.pool.close();
  }

  /** Leaves no file behind. */
  async abandon(): Promise<void> {
    await this.output.abandon();
    await this.pool.close();
  }
}

const isPacked = (type: string): boolean => type === 'png' || type === 'svg';

async function readPicture(bytes: Uint8Array): Promise<KeptPixels> {
  const view = Buffer.from(bytes.buffer, bytes.byteOffset, bytes.length);
  const [width, height, bits, opaque] = [0, 4, 8, 12].map((at) => view.readUInt32BE(at));
  const pixels = await unpack(view.subarray(16)).catch((cause: unknown) => {
    throw new SketchError({ problem: 'the picture that a chunk stands on is damaged', cause });
  });
  return { width, height, rows: [0, height], bits: bits as Bits, opaque: opaque === 1, pixels };
}

/** Whether every pixel of a kept picture is opaque. */
function isOpaque(pixels: Uint8Array, bits: Bits): boolean {
  const alphas = bits === 8 ? pixels : new Float32Array(pixels.buffer, pixels.byteOffset, pixels.length / 4);
  const whole = bits === 8 ? 255 : 1;
  for (let at = 3; at < alphas.length; at += 4) if (alphas[at] !== whole) return false;
  return true;
}

/** Several byte arrays as one, each preceded by its length; at the end the CRC of all, as in PNG. */
function joined(list: readonly Uint8Array[]): Uint8Array {
  const body = Buffer.concat(list.flatMap((part) => [u32(part.length), part]));
  return Buffer.concat([body, u32(crc32(body))]);
}

function parts(bytes: Uint8Array, count: number): Uint8Array[] {
  const all = Buffer.from(bytes.buffer, bytes.byteOffset, bytes.length);
  const body = all.subarray(0, -4);
  const found: Uint8Array[] = [];
  if (all.length >= 4 && crc32(body) === all.readUInt32BE(body.length))
    for (let at = 0; at < body.length; at += 4 + body.readUInt32BE(at))
      found.push(body.subarray(at + 4, at + 4 + body.readUInt32BE(at)));
  if (found.length === count) return found;
  throw new SketchError({ problem: 'a chunk is damaged' });
}

const sha256 = (bytes: Uint8Array): string => createHash('sha256').update(bytes).digest('hex');

function u32(value: number): Buffer {
  const bytes = Buffer.alloc(4);
  bytes.writeUInt32BE(value);
  return bytes;
}
