import { SketchError } from '../error.ts';
import { layOfStrip, layOutStrip, type StripTile } from '../formats/strip.ts';
import { log } from '../maths/exponent.ts';
import { anything, listOf, mapOf, whole } from '../schema/kind.ts';
import { type Complete, optional, type Options, schemaOf } from '../schema/schema.ts';
import { dialNamed, dialText } from '../sketch/dials.ts';
import type { Run } from '../sketch/run.ts';
import { checkSize, type Sketch } from '../sketch/sketch.ts';
import { RasterSurface } from '../surfaces/raster/surface.ts';
import { writeAtomically } from './write-atomically.ts';
import { encodePng } from './png.ts';
import { provenance } from './provenance.ts';
import { frameRange, rangeOf } from './film.ts';
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
  /** The first and the last of several seeds: one frame with each of them, instead of several frames. */
  seeds: optional(frameRange),
  /** Values of a dial, or of two, by name: one frame with each of them, or with each pair of them: the first dial's values beside each other, the second's below each other. */
  vary: optional(mapOf(listOf(anything, 'values', 1), 'values by dial: { swell: [0, 20, 40] }')),
  /** The frame to show with several seeds or values. */
  frame: optional(whole(0), 0),
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
  const kinds = { seeds: read.seeds, pick: read.pick ?? read.frames, vary: read.vary };
  const several = Object.entries(kinds).filter(([, value]) => value !== undefined).map(([name]) => name); // prettier-ignore
  if (several.length > 1)
    throw new SketchError({
      problem: `a strip shows several frames, seeds or values, and ${several.join(' and ')} were given`,
      expected: 'expected one of them',
    });
  const made = read.vary !== undefined ? ofValues(sketch, read, read.vary) : read.seeds !== undefined ? ofSeeds(sketch, read, read.seeds) : ofFrames(sketch, read); // prettier-ignore
  const { tiles, frames, seeds, varied, across } = await made.catch((error: unknown) => {
    throw read.signal?.aborted === true ? new Stopped('Nothing was written') : error;
  });
  const columns = read.columns ?? across ?? suitingColumns(tiles);
  const sheet = layOfStrip(tiles[0].picture, tiles.length, columns);
  checkSize('strip', sheet.width, sheet.height, 1);
  const picture = await layOutStrip(tiles, columns);
  const { title } = sketch;
  const texts = provenance({ title, seed: seeds[0], frame: [Math.min(...frames), Math.max(...frames)] });
  await writeAtomically(output, encodePng(picture, texts));
  const name = typeof output === 'string' ? output : undefined;
  return { output: name, title, frames, seeds, varied, width: picture.width, height: picture.height };
}

interface Tiles {
  readonly tiles: readonly StripTile[];
  readonly frames: readonly number[];
  readonly seeds: readonly number[];
  readonly varied: Strip['varied'];
  /** How many belong into one row. */
  readonly across?: number;
}

async function ofFrames(sketch: Sketch, read: Read): Promise<Tiles> {
  const run = openTiled(sketch, read);
  const chosen = read.pick ?? spread(rangeOf(run, read.frames), read.count);
  checkCount(chosen.length);
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
  return { tiles: frames.map((frame) => byFrame.get(frame)!), frames, seeds: [run.seed], varied: {} };
}

async function ofSeeds(sketch: Sketch, read: Read, [first, last]: readonly [number, number]): Promise<Tiles> {
  checkCount(last - first + 1);
  const seeds = Array.from({ length: last - first + 1 }, (_, index) => first + index);
  const tiles = await ofRuns(sketch, read, seeds.map((seed) => ({ setting: { seed }, text: `seed ${seed}` }))); // prettier-ignore
  return { tiles, frames: [read.frame], seeds, varied: {} };
}

/** One frame with each value of a dial, or with each pair of values of two. */
async function ofValues(sketch: Sketch, read: Read, vary: NonNullable<Read['vary']>): Promise<Tiles> {
  const names = Object.keys(vary);
  if (names.length < 1 || names.length > 2)
    throw new SketchError({ problem: `a strip cannot vary ${names.length} dials`, expected: 'expected one or two' });
  const [across, down = [{}]] = names.map((name) =>
    vary[name].map((value) => ({ [name]: dialNamed(sketch.dials, name).read('strip: vary', name, value) })),
  );
  checkCount(across.length * down.length);
  const pairs = down.flatMap((second) => across.map((first) => ({ ...first, ...second })));
  const runs = pairs.map((values) => ({ setting: { dials: { ...read.dials, ...values } }, text: inWords(values) }));
  const tiles = await ofRuns(sketch, read, runs);
  const seed = openTiled(sketch, read).seed;
  const isGrid = names.length === 2;
  return { tiles, frames: [read.frame], seeds: [seed], varied: vary, ...(isGrid && { across: across.length }) };
}

/** The same frame of several runs. */
async function ofRuns(
  sketch: Sketch,
  read: Read,
  runs: readonly { readonly setting: Partial<Read>; readonly text: string }[],
): Promise<StripTile[]> {
  const tiles: StripTile[] = [];
  for (const { setting, text } of runs) {
    read.signal?.throwIfAborted();
    const surface = new RasterSurface();
    await openTiled(sketch, { ...read, ...setting }).drawTo(read.frame, -1, (painted) => surface.draw(painted));
    tiles.push({ picture: surface.picture(), text });
    read.onProgress?.(tiles.length, runs.length);
  }
  return tiles;
}

/** Values of dials, as `--dial` takes them. */
function inWords(values: Readonly<Record<string, unknown>>): string {
  return Object.entries(values)
    .map(([name, value]) => `${name} ${dialText(value)}`)
    .join(', ');
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

/** So many columns that the whole is about as wide as a screen is, and its last row as full as can be. */
function suitingColumns(tiles: readonly StripTile[]): number {
  const { width, height } = tiles[0].picture;
  const strain = (columns: number): number => {
    const rows = Math.ceil(tiles.length / columns);
    const aspect = (columns * width) / (rows * (height + 40));
    return Math.abs(log(aspect / 1.6)) + 5 * (1 - tiles.length / (rows * columns));
  };
  return tiles.map((_, i) => i + 1).reduce((best, columns) => (strain(columns) < strain(best) ? columns : best));
}
