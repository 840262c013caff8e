import { readFile } from 'node:fs/promises';
import { SketchError } from '../error.ts';
import { readDialFile } from '../node/dial-file.ts';
import { describe, fileHost } from '../node/files.ts';
import { loadSketch } from '../node/load-sketch.ts';
import { patience } from '../node/patience.ts';
import { runSign } from '../node/provenance.ts';
import type { LoadListener } from '../sketch/assets.ts';
import { parseDial } from '../sketch/dials.ts';
import { playTrack, type InputTrack } from '../sketch/input-track.ts';
import { Run } from '../sketch/run.ts';
import type { RunArguments } from './arguments.ts';

/** A run of a sketch file, as a command's options choose it. */
export interface OpenRun {
  readonly run: Run;
  /** What tells this run from another: its sketch, seed, size, dials and input. */
  readonly sign: string;
}

/** Loads a sketch file and makes its run. */
export async function openRun(file: string, given: RunArguments, onLoad?: LoadListener): Promise<OpenRun> {
  const sketch = await loadSketch(file);
  const turned = (given.dial ?? []).map(([name, text]) => [name, parseDial(sketch.dials, name, text)]);
  const dials = { ...(await readDialFile(file)), ...Object.fromEntries(turned) } as Record<string, unknown>;
  const { text = '', track } = (await readInput(given.input)) ?? {};
  const seconds = given.patience ?? 10;
  const run = new Run(sketch, {
    // A track was recorded with a seed of its own, without which it need not fit.
    seed: given.seed ?? track?.seed,
    width: given.size?.width,
    height: given.size?.height,
    density: given.density,
    dials,
    host: fileHost,
    onLoad,
    input: track && (() => playTrack(track)),
    limit: seconds === 0 ? undefined : patience(seconds),
  });
  const { seed, width, height, density } = run;
  const choice = JSON.stringify({ seed, width, height, density, dials: run.dials });
  return { run, sign: runSign(await readFile(file), choice, text) };
}

/** The input track of a file, and its text; undefined where none is named. */
export async function readInput(file: string | undefined): Promise<{ text: string; track: InputTrack } | undefined> {
  if (file === undefined) return undefined;
  let text: string;
  try {
    text = await readFile(file, 'utf8');
  } catch (error) {
    throw new SketchError({ problem: `${file} could not be read: ${describe(error, file)}` });
  }
  // Loaded only where there is one to read.
  const { readTrack } = await import('../sketch/read-track.ts');
  return { text, track: readTrack(file, text) };
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
