import { existsSync } from 'node:fs';
import { readFile, stat } from 'node:fs/promises';
import { createHash, randomInt } from 'node:crypto';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { fitDials, parseDial, readTrack, type InputTrack, type LoadListener, type Sketch } from 'frame-juggler';
import { describe, dialFile, readDialFile, type RenderOptions } from 'frame-juggler/node';
import type { RunArguments } from './arguments.ts';
import { SketchError } from './errors.ts';
import { filesRead, load, packageOf } from './load.ts';

/** What of a render's options chooses its run. */
type RunSettings = Pick<RenderOptions, 'seed' | 'width' | 'height' | 'density' | 'dials' | 'input' | 'onLoad'>;

/** A sketch file, and its run as a command's options choose it. */
export interface OpenSketch {
  readonly sketch: Sketch;
  readonly settings: RunSettings;
  /** A fingerprint of all that its frames follow from: its file, what that imports, its assets, recorded input. */
  source(): Promise<string>;
  /** What is to be said of it: which kept dials it has no use for. */
  readonly notes: readonly string[];
}

/** Loads a sketch file and reads what its run is to be. */
export async function openSketch(file: string, given: RunArguments, onLoad: LoadListener): Promise<OpenSketch> {
  const sketch = await load(file);
  const fromOptions = (given.dial ?? []).map(([name, text]) => [name, parseDial(sketch.dials, name, text)]);
  const { values, misfits } = fitDials(sketch.dials, (await readDialFile(file)) ?? {});
  const dials = { ...values, ...Object.fromEntries(fromOptions) } as Record<string, unknown>;
  const input = await readInput(given.input);
  const seed = chooseSeed(given.seed);
  return {
    sketch,
    notes: misfits.map(({ reason }) => `${path.basename(dialFile(file))}: ${reason}; left out`),
    settings: {
      ...(seed !== undefined && { seed }),
      ...given.size,
      ...(given.density !== undefined && { density: given.density }),
      dials,
      ...(input !== undefined && { input: input.track }),
      onLoad,
    },
    source: () => sourceOf(file, sketch, input?.text ?? ''),
  };
}

async function sourceOf(file: string, sketch: Sketch, input: string): Promise<string> {
  const assets = Object.values(sketch.assets).filter(({ url }) => url.protocol === 'file:');
  // A package is told by its version.
  const code = (await filesRead()).map((each) => {
    const folder = packageOf(each);
    const about = folder === undefined ? each : path.join(folder, 'package.json');
    return existsSync(about) ? about : each;
  });
  const others = new Set([...code, ...assets.map(({ url }) => fileURLToPath(url))]);
  others.delete(path.resolve(file));
  const hash = createHash('sha256')
    .update(await readFile(file))
    .update(input);
  // By their order and not by their names: a project may be moved.
  for (const each of [...others].sort()) hash.update(await contentOf(each));
  return hash.digest('hex');
}

/** What a file holds; nothing of a pipe, which can be read but once, nor of what whoever needs it will complain of. */
async function contentOf(file: string): Promise<Uint8Array> {
  const isFile = await stat(file).then((found) => found.isFile(), () => false); // prettier-ignore
  return isFile ? readFile(file).catch(() => new Uint8Array()) : new Uint8Array();
}

/** The seed that was asked for; a new one where that was. */
export function chooseSeed(seed: number | 'new' | undefined): number | undefined {
  return seed === 'new' ? randomInt(1, 1_000_000) : seed;
}

/** The largest input track, in bytes: hours of a pointer that never rests. */
const maxTrack = 64e6;

/** The input track of a file, and its text; undefined where none is named. */
export async function readInput(file: string | undefined): Promise<{ text: string; track: InputTrack } | undefined> {
  if (file === undefined) return undefined;
  let text: string;
  try {
    const { size } = await stat(file);
    if (size > maxTrack) throw new Error(`it is ${Math.ceil(size / 1e6)} MB: expected at most ${maxTrack / 1e6} MB`);
    text = await readFile(file, 'utf8');
  } catch (error) {
    throw new SketchError({ problem: `${file} could not be read: ${describe(error, 'it')}` });
  }
  return { text, track: readTrack(file, text) };
}
