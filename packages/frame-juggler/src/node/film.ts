import { SketchError } from '../error.ts';
import type { Chroma } from '../formats/y4m.ts';
import { pictureSize } from '../frame/frame.ts';
import { anything, kindOf, oneOf, toggle, whole } from '../schema/kind.ts';
import { type Complete, optional } from '../schema/schema.ts';
import type { Run } from '../sketch/run.ts';
import type { Sketch } from '../sketch/sketch.ts';
import type { Bits } from '../surfaces/raster/engine.ts';
import { drawnBy } from './drawing-threads.ts';
import { formats, productsFor, readTarget, type Target } from './outputs/index.ts';
import type { OutputSetting, Products } from './outputs/output.ts';
import { isSequence } from './outputs/sequence.ts';
import { fingerprint } from './provenance.ts';
import { openRun, runSettingsTable } from './run-settings.ts';
import { destinationName, type Destination } from './sink.ts';

const isRange = (value: unknown): boolean =>
  Array.isArray(value) && value.length === 2 && value.every((part) => Number.isInteger(part) && part >= 0) && value[0] <= value[1]; // prettier-ignore

/** The kind of a range of frames: the first and the last. */
export const frameRange = kindOf<readonly [number, number]>(
  '[first, last], whole numbers from 0',
  isRange,
  'is not a range',
);

const isMoment = (value: unknown): value is number => Number.isFinite(value) && (value as number) >= 0;
/** The kind of a moment, or of a stretch of time. */
export const moments = kindOf<number | readonly [number, number]>(
  'a number of seconds, or [from, to]',
  (value) => isMoment(value) || (Array.isArray(value) && value.length === 2 && value.every(isMoment) && value[0] < value[1]), // prettier-ignore
  'is neither a moment nor a stretch of time',
);

const isShare = (value: unknown): boolean =>
  Array.isArray(value) && value.length === 2 && value.every(Number.isInteger) && value[0] >= 1 && value[0] <= value[1]; // prettier-ignore
const share = kindOf<readonly [number, number]>('[part, of how many], counted from 1', isShare, 'is not a share');

const bitsKind = kindOf<Bits>('8 or 16', (value) => value === 8 || value === 16, 'is neither 8 nor 16');

/** Which frames a film has, and what is made of them. */
export const filmTable = {
  /** The frame, counted from 0, for an output that holds one. */
  frame: optional(whole(0)),
  /** The moment of that frame, in seconds; or the first and the last moment, for an output that holds many. */
  seconds: optional(moments),
  /** The first and the last frame, for an output that holds many; by default the whole run. */
  frames: optional(frameRange),
  /** One part of the frames of a sequence, as [part, number of parts], so that several machines can share it. */
  shard: optional(share),
  /** The kind of file, if the output's name does not say. */
  format: optional(oneOf(...formats)),
  /** How much color detail video keeps, compared with brightness. */
  chroma: optional(oneOf<Chroma>('420', '444'), '420'),
  /** How many bits per channel a PNG has: with 16, gradients have no bands, for files that are edited further. */
  bits: optional(bitsKind, 8),
  /** Whether a GIF imitates missing colors by mixing neighboring pixels. */
  dither: optional(toggle, false),
  /** How many threads draw, or those that do; by default one per core, none for a few small frames. */
  threads: optional(drawnBy),
  /** What the sketch was made from: text or bytes that distinguish frames of one sketch from those of another. */
  source: optional(anything),
};
type Read = Complete<typeof runSettingsTable & typeof filmTable>;

/** A sketch's frames as they are to be rendered. */
export interface Film {
  readonly run: Run;
  readonly target: Target;
  /** The first and the last frame. */
  readonly frames: readonly [number, number];
  readonly setting: OutputSetting;
  readonly products: Products;
}

/** Reads which frames of a sketch are to be rendered, and as what. @throws SketchError where that cannot be meant */
export function openFilm(sketch: Sketch, output: Destination, read: Read): Film {
  const target = readTarget(output, read.format);
  checkTogether(target, read);
  const run = openRun(sketch, read);
  const frames = framesOf(run, target, read);
  const setting = settingOf(run, target, frames, read);
  return { run, target, frames, setting, products: productsFor(target, setting, read) };
}

function settingOf(run: Run, target: Target, frames: readonly [number, number], read: Read): OutputSetting {
  const { sketch, seed, width, height, density } = run;
  const { source, bits } = read;
  const choice = JSON.stringify({ seed, width, height, density, dials: run.dials, ...(bits > 8 && { bits }) });
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

/** @throws SketchError for options that contradict the output, or one another */
function checkTogether({ many, output, format }: Target, options: Read): void {
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
  if (options.dither && format !== 'gif')
    throw new SketchError({
      problem: 'only a GIF is dithered: all others hold every color',
      expected: 'expected a .gif',
    });
  if (options.bits > 8 && format !== 'png')
    throw new SketchError({
      problem: `only a PNG can have ${options.bits} bits per channel`,
      expected: 'expected a .png',
    });
  if (options.shard !== undefined && !isSequence(output))
    throw new SketchError({
      problem: 'only a sequence is made in shares',
      expected: 'expected an output like frames/%04d.png',
    });
}

/** The first and the last frame of what is to be rendered. */
function framesOf(run: Run, target: Target, read: Read): readonly [number, number] {
  const [first, last] = allFramesOf(run, target, read);
  if (read.shard === undefined) return [first, last];
  const [part, parts] = read.shard;
  const total = last - first + 1;
  if (parts > total)
    throw new SketchError({
      problem: `${total} frames cannot be made in ${parts} shares`,
      expected: `expected at most ${total}`,
    });
  const edge = (share: number): number => first + Math.round((total * share) / parts);
  return [edge(part - 1), edge(part) - 1];
}

function allFramesOf(run: Run, { many }: Target, { frame = 0, seconds, frames }: Read): readonly [number, number] {
  if (typeof seconds === 'object') return framesWithin(run, seconds);
  if (many) return rangeOf(run, frames);
  const single = seconds === undefined ? frame : run.frameAtSeconds(seconds);
  return [single, single];
}

/** The first and the last frame that are shown from one moment to another. */
export function framesWithin(run: Run, [start, end]: readonly [number, number]): readonly [number, number] {
  const [from, to] = [run.frameAtSeconds(start), run.frameAtSeconds(end)];
  // A frame that begins exactly at the end of the stretch is not part of it.
  const last = Math.abs(to - end * run.sketch.frameRate) < 1e-6 ? to - 1 : to;
  return [from, Math.max(from, last)];
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
