import { once, type EventEmitter } from 'node:events';
import { stat } from 'node:fs/promises';
import { availableParallelism } from 'node:os';
import { asSketchError, SketchError } from '../error.ts';
import type { Chroma } from '../formats/y4m.ts';
import { pictureSize } from '../frame/frame.ts';
import { notesOnFrame } from '../review/notes.ts';
import { anything, callable, kindOf, oneOf, toggle, whole } from '../schema/kind.ts';
import { type Complete, optional, type Options, schemaOf } from '../schema/schema.ts';
import type { Run } from '../sketch/run.ts';
import type { Sketch } from '../sketch/sketch.ts';
import { DrawPool } from './draw-pool.ts';
import { loadSketch } from './load-sketch.ts';
import { formats, openOutput, readTarget, type Target } from './outputs/index.ts';
import type { OutputSetting } from './outputs/output.ts';
import { frameFile, isSequence } from './outputs/sequence.ts';
import { fingerprint } from './provenance.ts';
import { renderFrames } from './render-frames.ts';
import { openRun, runSettingsTable } from './run-settings.ts';
import { destinationName, standardOutput, type Destination } from './sink.ts';

const isRange = (value: unknown): boolean =>
  Array.isArray(value) && value.length === 2 && value.every((part) => Number.isInteger(part) && part >= 0) && value[0] <= value[1]; // prettier-ignore

/** The kind of a range of frames: the first and the last. */
export const frameRange = kindOf<readonly [number, number]>(
  '[first, last], whole numbers from 0',
  isRange,
  'is not a range',
);

const isMoment = (value: unknown): value is number => Number.isFinite(value) && (value as number) >= 0;
const moments = kindOf<number | readonly [number, number]>(
  'a number of seconds, or [from, to]',
  (value) => isMoment(value) || (Array.isArray(value) && value.length === 2 && value.every(isMoment) && value[0] < value[1]), // prettier-ignore
  'is neither a moment nor a stretch of time',
);

/** What can be written to, as Node's streams: false says that it wants no more before its event `drain`. */
export interface ByteStream {
  write(bytes: Uint8Array): boolean;
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
  /** Where it goes: a file by its name, `-` for standard output, `frames/%04d.png`, or a stream. In memory if left out. */
  to: optional(destination),
  /** The frame, counted from 0, of an output that holds one. */
  frame: optional(whole(0)),
  /** The moment of that frame, in seconds; or from when to when, of an output that holds many. */
  seconds: optional(moments),
  /** The first and the last frame of an output that holds many; the whole run if left out. */
  frames: optional(frameRange),
  /** The kind of file, where the output's name does not say. */
  format: optional(oneOf(...formats)),
  /** How finely video keeps color beside brightness. */
  chroma: optional(oneOf<Chroma>('420', '444'), '420'),
  /** Leaves frames of a sequence that are there as they are. */
  resume: optional(toggle, false),
  /** Replaces frames of a sequence that are another run's. */
  overwrite: optional(toggle, false),
  /** How many threads draw; as many as there are cores if left out, none for a few small frames. */
  threads: optional(whole(1)),
  /** What the sketch was made from: text or bytes that tell frames of one sketch from those of another. */
  source: optional(anything),
  /** Told what is likely not meant in the last frame, and costs little to see. */
  onNote: optional(callable<(text: string) => void>()),
  /** Told of each process that is started, as encoders are. */
  onProcess: optional(callable<(pid: number) => void>()),
};
const renderOptions = schemaOf({ ...runSettingsTable, ...renderTable }, "{ to: 'harbor.gif', frames: [0, 59] }");
/** How a sketch is rendered. */
export type RenderOptions = Options<typeof runSettingsTable & typeof renderTable>;
type Read = Complete<typeof runSettingsTable & typeof renderTable>;

/** What a render made. */
export interface Rendered {
  /** The file, or the name of the sequence; undefined for a stream. */
  readonly output: string | undefined;
  readonly title: string;
  /** The first and the last frame. */
  readonly frames: readonly [number, number];
  readonly count: number;
  /** Pixels. */
  readonly width: number;
  readonly height: number;
  readonly frameRate: number;
  readonly seed: number;
  /** The size of the file, where there is one. */
  readonly bytes: number | undefined;
}

/** So few frames, of no more pixels in all, are drawn before threads of their own would have started. */
const fewFrames = 6;
const fewPixels = 16e6;

/**
 * Renders a sketch's frames to where `to` says: `.png` and `.svg` hold one frame, `.gif`, `.apng`, `.y4m`, `.mp4` and
 * `.webm` the whole run, `frames/%04d.png` is one file per frame, `-` is standard output; a stream takes what `format`
 * says, PNG by default. Files appear whole or not at all. Without `to` the bytes are given back.
 * @param sketch a sketch, or the name of a file that {@link loadSketch} loads
 * @throws SketchError where the sketch is wrong, or nothing can be written there; {@link Stopped} after the signal
 */
export function render(
  sketch: Sketch | string,
  options: RenderOptions & { to: string | ByteStream },
): Promise<Rendered>;
export function render(sketch: Sketch | string, options?: RenderOptions & { to?: never }): Promise<Uint8Array>;
export async function render(sketch: Sketch | string, options: RenderOptions = {}): Promise<Rendered | Uint8Array> {
  const read = renderOptions.read('render', options);
  const loaded = typeof sketch === 'string' ? await loadSketch(sketch) : sketch;
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
  const target = readTarget(output, read.format);
  checkTogether(target, read);
  const run = openRun(sketch, read);
  const frames = framesOf(run, target, read);
  const total = frames[1] - frames[0] + 1;
  const setting = settingOf(run, target, frames, read.source);
  const pool = new DrawPool(threadsFor(total, setting, read.threads));
  const opened = await openOutput(target, setting, read, pool);
  let done = 0;
  const onFrame = (count: number): void => {
    done = count;
    read.onProgress?.(count, total);
  };
  try {
    await renderFrames(run, opened, { frames, pool, signal: read.signal, onFrame });
    if (read.signal?.aborted === true) throw new Stopped(whatIsThere(output, frames[0], done));
    await opened.finish();
    if (read.onNote !== undefined) await tellNotes(run, read.onNote);
  } catch (error) {
    await opened.abandon();
    // Stopped on the way to a frame.
    if (read.signal?.aborted === true && !(error instanceof Stopped))
      throw new Stopped(whatIsThere(output, frames[0], done));
    if (error instanceof SketchError && target.many && !(error instanceof Stopped))
      error.message += `. ${whatIsThere(output, frames[0], done)}`;
    throw error;
  } finally {
    await pool.close();
  }
  const { title, width, height, frameRate, seed } = setting;
  const name = typeof output === 'string' ? output : undefined;
  const bytes = name === undefined ? undefined : (await stat(name).catch(() => undefined))?.size;
  return { output: name, title, frames: setting.frames, count: total, width, height, frameRate, seed, bytes };
}

async function tellNotes(run: Run, onNote: (text: string) => void): Promise<void> {
  try {
    for (const { text } of notesOnFrame(await run.paint(), await run.paint(true), run.frame)) onNote(text);
  } catch (error) {
    // The file is there all the same.
    onNote(`paint fails when frame ${run.frame} is painted again: ${asSketchError(error).reason}`);
  }
}

/** As many threads as there are cores, or as are asked for; none where they would be of no help. */
export function threadsFor(
  frames: number,
  { width, height }: Pick<OutputSetting, 'width' | 'height'>,
  asked: number | undefined,
): number {
  const cores = availableParallelism();
  const threads = Math.min(asked ?? cores, 2 * cores);
  const isLittle = frames < fewFrames && (threads === 1 || frames * width * height <= fewPixels);
  return isLittle ? 0 : threads;
}

function settingOf(run: Run, target: Target, frames: readonly [number, number], source: unknown): OutputSetting {
  const { sketch, seed, width, height, density } = run;
  const choice = JSON.stringify({ seed, width, height, density, dials: run.dials });
  const origin = source instanceof Uint8Array ? source : String(source ?? sketch.title);
  const shown = run.frameAfterRounds(frames[0]);
  return {
    ...pictureSize(run),
    frameRate: sketch.frameRate,
    repeat: sketch.repeat,
    frames: target.many ? frames : [shown, shown],
    title: sketch.title,
    seed,
    fingerprint: fingerprint(origin, choice),
  };
}

/** Options that say two things at once. */
function checkTogether({ many, output }: Target, options: Read): void {
  const isSpan = typeof options.seconds === 'object';
  if (!many && (options.frames !== undefined || isSpan))
    throw new SketchError({
      problem: `${destinationName(output)} holds one frame, but several were asked for`,
      expected: 'expected a name like frames/%04d.png, or .gif, .apng, .y4m, .mp4, .webm',
    });
  if (many && (options.frame !== undefined || typeof options.seconds === 'number'))
    throw new SketchError({
      problem: `${destinationName(output)} holds many frames, but one was asked for`,
      expected: 'expected a range of frames, or a .png or .svg',
    });
  if (options.resume && !isSequence(output))
    throw new SketchError({
      problem: 'only a sequence can be continued',
      expected: 'expected an output like frames/%04d.png',
    });
}

/** The first and the last frame of what is to be rendered. */
function framesOf(run: Run, { many }: Target, { frame = 0, seconds, frames }: Read): readonly [number, number] {
  if (typeof seconds === 'object') {
    const [from, to] = seconds.map((moment) => run.frameAtSeconds(moment));
    // The frame that begins where it ends is no part of it.
    const last = Math.abs(to - seconds[1] * run.sketch.frameRate) < 1e-6 ? to - 1 : to;
    return [from, Math.max(from, last)];
  }
  if (many) return rangeOf(run, frames);
  const single = seconds === undefined ? frame : run.frameAtSeconds(seconds);
  return [single, single];
}

/** The first and the last frame that are asked for, or those of the whole run. */
export function rangeOf(run: Run, frames: readonly [number, number] | undefined): readonly [number, number] {
  if (frames !== undefined) return frames;
  if (run.sketch.frames === Infinity)
    throw new SketchError({
      problem: `${run.sketch.title} has no duration, so it has no end`,
      expected: 'expected --frames A..B, for example --frames 0..119, or a duration in the sketch',
    });
  return [0, run.sketch.frames - 1];
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
