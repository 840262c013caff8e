import { once, type EventEmitter } from 'node:events';
import { stat } from 'node:fs/promises';
import { asSketchError, SketchError } from '../error.ts';
import { notesOnFrame } from '../review/notes.ts';
import { callable, kindOf, toggle } from '../schema/kind.ts';
import { type Complete, optional, type Options, schemaOf } from '../schema/schema.ts';
import type { Run } from '../sketch/run.ts';
import type { Sketch } from '../sketch/sketch.ts';
import type { Checkpoints } from './checkpoints/checkpoints.ts';
import { checkpointPlace, checkpointsFor } from './checkpoints/index.ts';
import { drawPoolFor } from './draw-pool.ts';
import { filmTable, openFilm } from './film.ts';
import { openOutput } from './outputs/index.ts';
import { frameFile, isSequence } from './outputs/sequence.ts';
import { renderFrames } from './render-frames.ts';
import { runSettingsTable } from './run-settings.ts';
import { isWrittenThrough, standardOutput, type Destination } from './sink.ts';
import { sketchFrom } from './sketch-from.ts';

/** What can be written to, as Node's streams: false says that it wants no more before its event `drain`. */
export interface ByteStream {
  /** Takes bytes; false while it has more than it can pass on. */
  write(bytes: Uint8Array): boolean;
  /** Hears once that it `drain`s, or of an `error`. */
  once(event: string, listener: () => void): unknown;
  /** Whether it takes nothing any more. */
  readonly destroyed?: boolean;
}

const isStream = (value: unknown): value is ByteStream => typeof (value as ByteStream | null)?.write === 'function';

/** Where something is written to. */
export const destination = kindOf<string | ByteStream>(
  'a file name, or a stream',
  (value) => typeof value === 'string' || isStream(value),
  'is neither a file nor a stream',
);

const renderTable = {
  /** Where it goes: a file by its name, `-` for standard output, `frames/%04d.png`, or a stream. By default in memory. */
  to: optional(destination),
  ...filmTable,
  /**
   * A folder (or a store) for checkpoints: the state every now and then, so that a far frame need not step from the first
   * one next time. Only where the state is plain data; `source` must tell when the sketch has changed.
   */
  checkpoints: optional(checkpointPlace),
  /** Keeps the frames of a sequence that are there already. */
  resume: optional(toggle, false),
  /** Replaces frames of a sequence that belong to another run. */
  overwrite: optional(toggle, false),
  /** Called with what was probably not intended in the last frame. */
  onNote: optional(callable<(text: string) => void>()),
  /** Called with each process that is started, such as an encoder. */
  onProcess: optional(callable<(pid: number) => void>()),
};
const renderOptions = schemaOf({ ...runSettingsTable, ...renderTable }, "{ to: 'harbor.gif', frames: [0, 59] }");
/** How a sketch is rendered. */
export interface RenderOptions extends Options<typeof runSettingsTable & typeof renderTable> {}
type Read = Complete<typeof runSettingsTable & typeof renderTable>;

/** What a render made. */
export interface Rendered {
  /** The file, or the name of the sequence; undefined for a stream. */
  readonly output: string | undefined;
  /** The sketch's title. */
  readonly title: string;
  /** The first and the last frame. */
  readonly frames: readonly [number, number];
  /** How many frames. */
  readonly count: number;
  /** Pixels in a row. */
  readonly width: number;
  /** Rows of pixels. */
  readonly height: number;
  /** Frames a second. */
  readonly frameRate: number;
  /** The seed of the run. */
  readonly seed: number;
  /** The size of the file, where there is one. */
  readonly bytes: number | undefined;
}

/**
 * Renders a sketch's frames to where `to` says: `.png` and `.svg` hold one frame, `.gif`, `.apng`, `.y4m`, `.mp4` and
 * `.webm` the whole run, `frames/%04d.png` is one file per frame, `-` is standard output; a stream takes what `format`
 * says, PNG by default. Files appear whole or not at all. Without `to` the bytes are given back.
 * @param sketch a sketch, or the name of a file that `loadSketch` loads
 * @throws SketchError where the sketch is wrong, or nothing can be written there; {@link Stopped} after the signal
 */
export function render(
  sketch: Sketch | string,
  options: RenderOptions & { to: string | ByteStream },
): Promise<Rendered>;
export function render(sketch: Sketch | string, options?: RenderOptions & { to?: never }): Promise<Uint8Array>;
export async function render(sketch: Sketch | string, options: RenderOptions = {}): Promise<Rendered | Uint8Array> {
  const read = renderOptions.read('render', options);
  const loaded = await sketchFrom('render', sketch);
  return written(read.to, (output) => renderTo(loaded, output, read));
}

/** What a job that writes gives back: what it tells of itself, or its bytes where it was given no place for them. */
export async function written<Facts>(
  to: string | ByteStream | undefined,
  write: (output: Destination) => Promise<Facts>,
): Promise<Facts | Uint8Array> {
  if (to !== undefined) return write(typeof to === 'string' ? to : writerTo(to));
  const parts: Uint8Array[] = [];
  await write((bytes) => Promise.resolve(void parts.push(bytes)));
  return parts.length === 1 ? parts[0] : Buffer.concat(parts);
}

/** Writes to a stream no faster than it takes. */
function writerTo(stream: ByteStream): (bytes: Uint8Array) => Promise<void> {
  return async (bytes) => {
    if (stream.destroyed === true) throw closedEarly();
    if (stream.write(bytes)) return;
    // Whoever reads may go away: then it never drains.
    const over = new AbortController();
    const heard = (event: string): Promise<unknown> => once(stream as unknown as EventEmitter, event, { signal: over.signal }); // prettier-ignore
    try {
      await Promise.race([heard('drain'), heard('close').then(() => Promise.reject(closedEarly()))]);
    } finally {
      over.abort();
    }
  };
}

function closedEarly(): SketchError {
  return new SketchError({ problem: 'the stream was closed before all was written' });
}

async function renderTo(sketch: Sketch, output: Destination, read: Read): Promise<Rendered> {
  if (read.resume && (typeof output !== 'string' || !isSequence(output)))
    throw new SketchError({
      problem: 'only a sequence can be continued',
      expected: 'expected an output like frames/%04d.png',
    });
  const { run, target, frames, setting, products } = openFilm(sketch, output, read);
  const checkpoints = await checkpointsOf(run, read);
  const total = frames[1] - frames[0] + 1;
  let done = 0;
  const asEnd = (error: unknown): unknown => {
    if (error instanceof Stopped) return error;
    // Stopped on the way to a frame.
    if (read.signal?.aborted === true) return new Stopped(whatIsThere(output, frames[0], done));
    if (error instanceof SketchError && target.many) error.message += `. ${whatIsThere(output, frames[0], done)}`;
    return error;
  };
  // Whoever begins anew after a mismatch must not have written anything that cannot be taken back.
  if (checkpoints !== undefined && (await isWrittenThrough(output)))
    await checkpoints.bring(frames[0]).catch((error: unknown) => Promise.reject(asEnd(error) as Error));
  const pool = drawPoolFor(total, setting, read.threads);
  const opened = await openOutput(target, setting, read, pool);
  const onFrame = (count: number): void => {
    done = count;
    read.onProgress?.(count, total);
  };
  try {
    await renderFrames(run, opened, { frames, products, pool, signal: read.signal, onFrame, checkpoints });
    if (read.signal?.aborted === true) throw new Stopped(whatIsThere(output, frames[0], done));
    await opened.finish();
    if (read.onNote !== undefined) await tellNotes(run, read.onNote);
  } catch (error) {
    await opened.abandon();
    throw asEnd(error);
  } finally {
    await pool.close();
  }
  const { title, width, height, frameRate, seed } = setting;
  const name = typeof output === 'string' ? output : undefined;
  const bytes = name === undefined ? undefined : (await stat(name).catch(() => undefined))?.size;
  return { output: name, title, frames: setting.frames, count: total, width, height, frameRate, seed, bytes };
}

async function checkpointsOf(run: Run, read: Read): Promise<Checkpoints | undefined> {
  if (read.checkpoints === undefined || run.sketch.carry === 0) return checkpointsFor(run, read);
  read.onNote?.('no checkpoints: under a carry each picture stands on all those before it');
  return undefined;
}

async function tellNotes(run: Run, onNote: (text: string) => void): Promise<void> {
  run.quiet = true;
  try {
    const [painted, again] = [await run.paint(), await run.paint()];
    for (const { text } of notesOnFrame(painted, again, run.frame, run.usesInput)) onNote(text);
  } catch (error) {
    // The file is there all the same.
    onNote(`paint fails when frame ${run.frame} is painted again: ${asSketchError(error).reason}`);
  }
}

/** The work was stopped by its signal. */
export class Stopped extends SketchError {
  /** @param whatIsThere what was written before, as a sentence */
  constructor(readonly whatIsThere: string) {
    super({ problem: `stopped. ${whatIsThere}` });
  }
}

/** What a run of frames from `first` on has written once `done` of them are done, and it ended before its time. */
export function whatIsThere(output: Destination, first: number, done: number): string {
  if (typeof output !== 'string') return 'Nothing of it is whole';
  if (output === standardOutput) return 'What came before it is written';
  if (!isSequence(output)) return `Nothing was written to ${output}`;
  if (done === 0) return 'No frame is there yet';
  const last = frameFile(output, first + done - 1);
  if (done === 1) return `${last} is there: --resume continues`;
  return `${frameFile(output, first)} to ${last} are there: --resume continues`;
}
