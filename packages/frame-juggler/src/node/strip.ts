import { SketchError } from '../error.ts';
import { layOfStrip, layOutStrip, type StripTile } from '../formats/strip.ts';
import { pictureSize } from '../frame/frame.ts';
import { log } from '../maths/exponent.ts';
import { anything, listOf, mapOf, whole } from '../schema/kind.ts';
import { type Complete, optional, type Options, schemaOf } from '../schema/schema.ts';
import { dialNamed, dialText } from '../sketch/dials.ts';
import type { Run } from '../sketch/run.ts';
import { maxSide, type Sketch } from '../sketch/sketch.ts';
import { RasterSurface } from '../surfaces/raster/surface.ts';
import { writeAtomically } from './write-atomically.ts';
import { encodePng } from './png.ts';
import { provenance } from './provenance.ts';
import { frameRange, framesWithin, moments, rangeOf } from './film.ts';
import { destination, Stopped, written, type ByteStream } from './render.ts';
import { openRun, runSettingsTable } from './run-settings.ts';
import { standardOutput, type Destination } from './sink.ts';
import { sketchFrom } from './sketch-from.ts';

/** The most pictures that one strip can hold, and the widest. */
const maxTiles = 1000;
const maxTile = 4096;

const stripTable = {
  /** Where it goes: a .png by its name, `-` for standard output, or a stream. By default in memory. */
  to: optional(destination),
  /** The first and the last frame; by default the whole run. */
  frames: optional(frameRange),
  /** Only these frames. */
  pick: optional(listOf(whole(0), 'frames', 1)),
  /** The first and the last of several seeds: one frame with each of them, instead of several frames; with `vary`, a row for each. */
  seeds: optional(frameRange),
  /** Values of a dial, or of two, by name: one frame with each of them; or with each pair of them, the first dial's values beside each other, the second's below each other. */
  vary: optional(mapOf(listOf(anything, 'values', 1), 'values by dial: { swell: [0, 20, 40] }')),
  /** The frame to show with several seeds or values; the first by default. */
  frame: optional(whole(0)),
  /** The moment of that frame, in seconds; or the first and the last moment of the frames to show. */
  seconds: optional(moments),
  /** How many frames, evenly spaced. */
  count: optional(whole(1), 8),
  /** How many frames per row; by default a suitable number. */
  columns: optional(whole(1)),
  /** How many pixels wide each frame is. */
  tile: optional(whole(1, maxTile), 300),
};
const stripOptions = schemaOf({ ...runSettingsTable, ...stripTable }, "{ to: 'strip.png', count: 8 }");
/** How a strip is made. */
export interface StripOptions extends Options<typeof runSettingsTable & typeof stripTable> {}
type Read = Complete<typeof runSettingsTable & typeof stripTable>;

/** What a strip shows. */
export interface Strip {
  /** The file; undefined for a stream. */
  readonly output: string | undefined;
  /** The sketch's title. */
  readonly title: string;
  /** The numbers of its frames, from 0. */
  readonly frames: readonly number[];
  /** The seeds of its runs. */
  readonly seeds: readonly number[];
  /** The values of the dials that were varied, by name. */
  readonly varied: Readonly<Record<string, readonly unknown[]>>;
  /** Pixels in a row. */
  readonly width: number;
  /** Rows of pixels. */
  readonly height: number;
}

/**
 * Writes one PNG of several frames of a sketch side by side, numbered; or of one frame under several seeds, or with
 * several values of its dials. Without `to` its bytes are given back.
 * @param sketch a sketch, or the name of a file that `loadSketch` loads
 * @throws SketchError where the sketch is wrong, or nothing can be written there
 */
export function strip(sketch: Sketch | string, options: StripOptions & { to: string | ByteStream }): Promise<Strip>;
export function strip(sketch: Sketch | string, options?: StripOptions & { to?: never }): Promise<Uint8Array>;
export async function strip(sketch: Sketch | string, options: StripOptions = {}): Promise<Strip | Uint8Array> {
  const read = stripOptions.read('strip', options);
  const loaded = await sketchFrom('strip', sketch);
  return written(read.to, (output) => stripTo(loaded, output, read));
}

async function stripTo(sketch: Sketch, output: Destination, read: Read): Promise<Strip> {
  if (typeof output === 'string' && output !== standardOutput && !/\.png$/i.test(output))
    throw new SketchError({
      problem: `a strip cannot be written to ${output}`,
      expected: 'expected a .png file, or -',
    });
  const { tiles, columns, frames, seeds, varied } = await tilesOf(sketch, read).catch((error: unknown) => {
    throw read.signal?.aborted === true ? new Stopped('Nothing was written') : error;
  });
  const picture = await layOutStrip(tiles, columns);
  const { title } = sketch;
  const texts = provenance({ title, seed: seeds[0], frame: [Math.min(...frames), Math.max(...frames)] });
  await writeAtomically(output, encodePng(picture, texts));
  const name = typeof output === 'string' ? output : undefined;
  return { output: name, title, frames, seeds, varied, width: picture.width, height: picture.height };
}

interface Tiles {
  readonly tiles: readonly StripTile[];
  /** How many of them go in a row. */
  readonly columns: number;
  readonly frames: readonly number[];
  readonly seeds: readonly number[];
  readonly varied: Strip['varied'];
}

function tilesOf(sketch: Sketch, read: Read): Promise<Tiles> {
  const { vary, seeds, frames, pick, frame, seconds } = read;
  if ([frame, frames, pick, seconds].filter((given) => given !== undefined).length > 1)
    throw new SketchError({
      problem: 'a strip is told in two ways which frames it has',
      expected: 'expected one of frame, frames, pick and seconds',
    });
  const isOfRuns = vary !== undefined || seeds !== undefined;
  const isOne = frame !== undefined || typeof seconds === 'number';
  const isSeveral = frames !== undefined || pick !== undefined || typeof seconds === 'object';
  if (isOfRuns && isSeveral)
    throw new SketchError({
      problem: `a strip of several ${vary === undefined ? 'seeds' : 'values'} cannot have several frames, too`,
      expected: 'expected frame, the number of one',
    });
  if (!isOfRuns && isOne)
    throw new SketchError({
      problem: 'a strip cannot be of one frame alone',
      expected: 'expected several frames, or several seeds or values of a dial',
    });
  return isOfRuns ? ofRuns(sketch, read) : ofFrames(sketch, read);
}

async function ofFrames(sketch: Sketch, read: Read): Promise<Tiles> {
  const run = openTiled(sketch, read);
  const { frames: given, seconds, pick, count } = read;
  const range = typeof seconds === 'object' ? framesWithin(run, seconds) : given;
  const chosen = pick ?? spread(rangeOf(run, range), count);
  checkCount(chosen.length);
  const columns = columnsFor(chosen.length, run, read.columns);
  const frames = chosen.map((frame) => run.frameAfterRounds(frame));
  const surface = new RasterSurface();
  const byFrame = new Map<number, StripTile>();
  const total = Math.max(...frames) + 1;
  let shown = -1;
  for (const frame of [...new Set(frames)].sort((a, b) => a - b)) {
    read.signal?.throwIfAborted();
    await run.drawTo(frame, shown, (painted) => surface.draw(painted));
    shown = frame;
    const text = `${frame} · ${(frame / sketch.frameRate).toFixed(2)} s`;
    byFrame.set(frame, { picture: surface.picture(), text });
    read.onProgress?.(frame + 1, total);
  }
  return { tiles: frames.map((frame) => byFrame.get(frame)!), columns, frames, seeds: [run.seed], varied: {} };
}

/** What a run is opened with in place of what all have in common, and how that is called. */
interface Variation {
  readonly seed?: number;
  readonly dials?: Readonly<Record<string, unknown>>;
  readonly text: string;
}

/** One frame with each value of a dial or each seed; or with each pair of two of them. */
async function ofRuns(sketch: Sketch, read: Read): Promise<Tiles> {
  const { vary = {}, seeds: range, seconds, signal, onProgress } = read;
  const [first, last] = range ?? [0, -1];
  checkCount(last - first + 1);
  const seeds = Array.from({ length: last - first + 1 }, (_, i) => first + i);
  const axes: (readonly Variation[])[] = Object.entries(vary).map(([name, values]) =>
    values.map((given) => {
      const value = dialNamed(sketch.dials, name).read('strip: vary', name, given);
      return { dials: { [name]: value }, text: `${name} ${dialText(value)}` };
    }),
  );
  if (seeds.length > 0) axes.push(seeds.map((seed) => ({ seed, text: `seed ${seed}` })));
  if (axes.length < 1 || axes.length > 2)
    throw new SketchError({
      problem: `a strip cannot vary ${axes.length} things`,
      expected: 'expected one dial or two, or a dial and seeds',
    });
  const [across, down] = axes;
  const count = across.length * (down?.length ?? 1);
  checkCount(count);
  const columns = columnsFor(count, openTiled(sketch, read), read.columns ?? (down && across.length));
  const variations = down === undefined ? across : down.flatMap((row) => across.map((column) => both(column, row)));
  const tiles: StripTile[] = [];
  let [seed, frame] = [0, read.frame ?? 0];
  for (const each of variations) {
    signal?.throwIfAborted();
    const run = openTiled(sketch, { ...read, seed: each.seed ?? read.seed, dials: { ...read.dials, ...each.dials } });
    if (typeof seconds === 'number') frame = run.frameAtSeconds(seconds);
    const surface = new RasterSurface();
    await run.drawTo(frame, -1, (painted) => surface.draw(painted));
    tiles.push({ picture: surface.picture(), text: each.text });
    ({ seed } = run);
    onProgress?.(tiles.length, variations.length);
  }
  return { tiles, columns, frames: [frame], seeds: seeds.length > 0 ? seeds : [seed], varied: vary };
}

/** A variation of a table: that of its column and that of its row. */
function both(column: Variation, row: Variation): Variation {
  return { ...column, ...row, dials: { ...column.dials, ...row.dials }, text: `${column.text}, ${row.text}` };
}

/** A run whose frames are drawn as large as the tiles are, so that nothing has to be made smaller afterwards. */
function openTiled(sketch: Sketch, read: Read): Run {
  const run = openRun(sketch, read);
  run.density = read.tile / run.width;
  return run;
}

function checkCount(count: number): void {
  if (count > maxTiles)
    throw new SketchError({
      problem: `a strip of ${count} pictures is too long`,
      expected: `expected at most ${maxTiles}`,
    });
}

/** Frames spread evenly from the first to the last, both of them among them. */
function spread([first, last]: readonly [number, number], count: number): number[] {
  const number = Math.min(count, last - first + 1);
  if (number === 1) return [first];
  return Array.from({ length: number }, (_, index) => first + Math.round((index * (last - first)) / (number - 1)));
}

/** How many pictures go in a row: as many as wanted, or as suit them. @throws SketchError where all make too large a picture */
function columnsFor(count: number, run: Run, wanted: number | undefined): number {
  const tile = pictureSize(run);
  const columns = wanted ?? suitingColumns(count, tile);
  const { width, height } = layOfStrip(tile, count, columns);
  if (Math.max(width, height) > maxSide)
    throw new SketchError({
      problem: `a strip of ${count} pictures, ${columns} per row and each ${tile.width} pixels wide, is ${width} × ${height} pixels large`,
      expected: `expected at most ${maxSide} a side: smaller pictures, or fewer`,
    });
  return columns;
}

/** So many columns that the whole is about as wide as a screen is, and its last row as full as can be. */
function suitingColumns(count: number, { width, height }: { width: number; height: number }): number {
  const strain = (columns: number): number => {
    const rows = Math.ceil(count / columns);
    const aspect = (columns * width) / (rows * (height + 40));
    return Math.abs(log(aspect / 1.6)) + 5 * (1 - count / (rows * columns));
  };
  let best = 1;
  for (let columns = 2; columns <= count; columns++) if (strain(columns) < strain(best)) best = columns;
  return best;
}
