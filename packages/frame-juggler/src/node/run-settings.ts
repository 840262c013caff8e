import type { LoadListener } from '../sketch/assets.ts';
import { playTrack, type InputTrack } from '../sketch/input-track.ts';
import { Run } from '../sketch/run.ts';
import type { Sketch } from '../sketch/sketch.ts';
import { callable, kindOf, length, positive, whole } from '../schema/kind.ts';
import { optional, withoutUndefined, type Complete } from '../schema/schema.ts';
import { fileHost } from './file-host.ts';
import { timeLimit } from './time-limit.ts';

const isObject = (value: unknown): boolean => typeof value === 'object' && value !== null;

/** How a sketch is run for an output, and how its progress is heard of and stopped. */
export const runSettingsTable = {
  /** The seed of its chance; the input track's or the sketch's own if left out. */
  seed: optional(whole(0)),
  /** The canvas's width, in pixels of density 1; the sketch's own if left out. */
  width: optional(whole(1)),
  /** The canvas's height, in pixels of density 1; the sketch's own if left out. */
  height: optional(whole(1)),
  /** Pixels of the rendering to one unit; the sketch's own if left out. */
  density: optional(positive),
  /** Values of dials by name, in place of their first ones. */
  dials: optional(
    kindOf<Readonly<Record<string, unknown>>>('values by name: { swell: 20 }', isObject, 'is not an object'),
  ),
  /** Recorded pointer and keys, as `readTrack` gives them. */
  input: optional(kindOf<InputTrack>('what readTrack gives', isObject, 'is not an input track')),
  /** How long one frame may take, in seconds; 0 for ever. */
  timeLimit: optional(length, 0),
  /** Called as each of the sketch's files has been loaded. */
  onLoad: optional(callable<LoadListener>()),
  /** Stops the work after the frame at hand. */
  signal: optional(kindOf<AbortSignal>('an AbortSignal', (value) => value instanceof AbortSignal, 'is not a signal')),
  /** Called after every frame that is done: how many of how many. */
  onProgress: optional(callable<(done: number, total: number) => void>()),
};
type RunSettings = Complete<typeof runSettingsTable>;

/** A run of a sketch that reads files from disk. */
export function openRun(sketch: Sketch, settings: RunSettings): Run {
  const { seed, width, height, density, dials, input, timeLimit: seconds, onLoad } = settings;
  return new Run(sketch, {
    ...withoutUndefined({ width, height, density, dials, onLoad }),
    // A track was recorded with a seed of its own, without which it need not fit.
    ...withoutUndefined({ seed: seed ?? input?.seed }),
    ...(input !== undefined && { input: () => playTrack(input) }),
    ...(seconds > 0 && { limit: timeLimit(seconds) }),
    host: fileHost,
  });
}
