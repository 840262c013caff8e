import type { LoadListener } from '../sketch/assets.ts';
import { playTrack, type InputTrack } from '../sketch/input-track.ts';
import { Run, type RunCall } from '../sketch/run.ts';
import type { Sketch } from '../sketch/sketch.ts';
import { callable, kindOf, length, positive, whole } from '../schema/kind.ts';
import { optional, withoutUndefined, type Complete } from '../schema/schema.ts';
import { fileHost } from './file-host.ts';
import { timeLimit } from './time-limit.ts';

const isObject = (value: unknown): boolean => typeof value === 'object' && value !== null;

/** A signal that stops what is under way. */
export const abortSignal = kindOf<AbortSignal>(
  'an AbortSignal',
  (value) => value instanceof AbortSignal,
  'is not a signal',
);

/** How a sketch is run for an output, and how its progress is heard of and stopped. */
export const runSettingsTable = {
  /** The seed of its random numbers; by default the input track's or the sketch's own. */
  seed: optional(whole(0)),
  /** The canvas's width, in pixels of density 1; by default the sketch's own. */
  width: optional(whole(1)),
  /** The canvas's height, in pixels of density 1; by default the sketch's own. */
  height: optional(whole(1)),
  /** Pixels of the rendering per unit; by default the sketch's own. */
  density: optional(positive),
  /** Values of dials by name, instead of their initial ones. */
  dials: optional(
    kindOf<Readonly<Record<string, unknown>>>('values by name: { swell: 20 }', isObject, 'is not an object'),
  ),
  /** Recorded pointer and keys, as `readTrack` gives them. */
  input: optional(kindOf<InputTrack>('what readTrack gives', isObject, 'is not an input track')),
  /** How long one frame may take, in seconds; 0 for no limit. */
  timeLimit: optional(length, 0),
  /** Called as each of the sketch's files has been loaded. */
  onLoad: optional(callable<LoadListener>()),
  /** Stops the work after the current frame. */
  signal: optional(abortSignal),
  /** Called after every frame with how many are done, and of how many. */
  onProgress: optional(callable<(done: number, total: number) => void>()),
  /** Called as each of the sketch's functions begins, and with nothing when it ends, for whoever watches from elsewhere. */
  onCall: optional(callable<(call: RunCall | undefined) => void>()),
};
type RunSettings = Complete<typeof runSettingsTable>;

/** A run of a sketch that reads files from disk. */
export function openRun(sketch: Sketch, settings: RunSettings): Run {
  const { seed, width, height, density, dials, input, timeLimit: seconds, onLoad, signal, onCall } = settings;
  return new Run(sketch, {
    ...withoutUndefined({ width, height, density, dials, onLoad }),
    // A track fits only the seed that it was recorded with.
    ...withoutUndefined({ seed: seed ?? input?.seed }),
    ...(input !== undefined && { input: () => playTrack(input) }),
    ...((seconds > 0 || onCall !== undefined) && {
      limit: watched(seconds > 0 ? timeLimit(seconds) : plainly, onCall),
    }),
    between: pauses(signal),
    host: fileHost,
  });
}

type Limit = <T>(call: () => T, what: RunCall) => T;

const plainly: Limit = (call) => call();

/** Calls within a limit, and tells of each. */
function watched(limit: Limit, onCall: ((call: RunCall | undefined) => void) | undefined): Limit {
  if (onCall === undefined) return limit;
  return <T>(call: () => T, what: RunCall): T => {
    const ends = (): void => onCall(undefined);
    let result: T | undefined;
    onCall(what);
    try {
      result = limit(call, what);
    } finally {
      if (!(result instanceof Promise)) ends();
    }
    return result instanceof Promise ? (result.finally(ends) as T) : result;
  };
}

/** How long a run goes on, in milliseconds, before the event loop gets its turn. */
const turn = 20;

/** Lets the event loop run from time to time on the way to a far frame, and stops once the signal says so. */
function pauses(signal: AbortSignal | undefined): () => Promise<void> | void {
  let last = performance.now();
  return () => {
    signal?.throwIfAborted();
    if (performance.now() - last < turn) return undefined;
    return new Promise((resolve) =>
      setImmediate(() => {
        last = performance.now();
        resolve();
      }),
    );
  };
}
