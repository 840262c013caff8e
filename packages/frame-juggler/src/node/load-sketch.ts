import { readFileSync, statSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';
import { SketchError } from '../error.ts';
import type { SourceLine } from '../source-line.ts';
import { asLoadError, missingExport } from '../sketch/load-error.ts';
import { isSketch, titledAfter, type Sketch } from '../sketch/sketch.ts';
import { kindOf } from '../schema/kind.ts';
import { nearest } from '../suggest.ts';
import { givenPath } from './given.ts';
import { checkSketchFile } from './sketch-file.ts';

/** When each file had last been changed as it was first loaded. */
const firstChange = new Map<string, number>();

/**
 * Loads the sketch that a file exports as its default, as Node (or whatever runs this) imports modules: TypeScript
 * where that is understood. A file that has changed since it was last loaded is read anew.
 * @param importModule imports a module by its URL, for a host that has a way of its own
 * @throws SketchError where the file is missing, is not a sketch, or fails as it is loaded.
 */
export async function loadSketch(
  file: string,
  importModule: (url: string) => Promise<{ default?: unknown }> = (url) => import(url),
): Promise<Sketch> {
  givenPath.read('loadSketch', 'file', file);
  const full = path.resolve(file);
  const url = pathToFileURL(full);
  const changed = checkSketchFile(file);
  if (!firstChange.has(full)) firstChange.set(full, changed);
  // Modules are kept by their address for ever: it is another one only where there is something new to read.
  if (firstChange.get(full) !== changed) url.searchParams.set('changed', String(changed));
  let loaded: { default?: unknown };
  try {
    loaded = await importModule(url.href);
  } catch (error) {
    throw loadError(file, error);
  }
  return readSketch(file, loaded);
}

const givenModule = kindOf<object>(
  'a module',
  (value) => typeof value === 'object' && value !== null,
  'is not a module',
);

/** The sketch that a module exports. @throws SketchError where it exports none */
export function readSketch(file: string, loaded: { default?: unknown }): Sketch {
  givenPath.read('readSketch', 'file', file);
  givenModule.read('readSketch', 'loaded', loaded);
  if (isSketch(loaded.default)) return titledAfter(loaded.default, file);
  const named = Object.entries(loaded).find(([, value]) => isSketch(value))?.[0];
  if (named !== undefined)
    throw new SketchError({
      problem: `${file} exports a sketch as ${named}, not as its default`,
      expected: `expected export default ${named}`,
    });
  const problem = 'default' in loaded ? 'does not export a sketch as its default' : 'has no default export';
  throw new SketchError({ problem: `${file} ${problem}`, expected: 'expected export default defineSketch({ … })' });
}

function loadError(file: string, error: unknown): SketchError {
  if (error instanceof SketchError) return error;
  const missing = /Cannot find (?:module|package) '([^']+)'/.exec(error instanceof Error ? error.message : '');
  if (missing) {
    const what = missing[1].replace(/^.*\/(?=[^/]+$)/, '');
    const near = nearest(what, ['frame-juggler']);
    return new SketchError({
      problem: `${file} imports ${what}, which is not there`,
      expected:
        near === what
          ? 'expected it to be installed there: npm install frame-juggler'
          : near && `did you mean ${near}?`,
    });
  }
  const [, typed] =
    /^Unknown file extension "\.[mc]?ts" for (.+)$/.exec(error instanceof Error ? error.message : '') ?? [];
  if (typed !== undefined)
    return new SketchError({
      problem: `${path.basename(typed)} is in TypeScript, which this Node does not read`,
      expected: 'expected Node 22.18 or later, or JavaScript; the command juggle reads both',
    });
  const asked = missingExport(error);
  if (asked !== undefined) return asLoadError(error).at(whereAsked((error as Error).stack, asked.name));
  if (error instanceof SyntaxError) return new SketchError({ problem: `${file} cannot be read: ${error.message}` });
  return asLoadError(error);
}

/** Where a file imports a name. Above the stack Node tells the file, and a line of it or of the compiled code. */
function whereAsked(stack: string | undefined, name: string): SourceLine | undefined {
  const [, place] = /^(.+?)(?:\?.*)?:\d+\n/.exec(stack ?? '') ?? [];
  if (place === undefined) return undefined;
  const file = place.startsWith('file:') ? fileURLToPath(place) : place;
  if (statSync(file, { throwIfNoEntry: false })?.isFile() !== true) return undefined;
  const [before, ...rest] = readFileSync(file, 'utf8').split(new RegExp(`\\b${name}\\b`), 2);
  if (rest.length === 0) return undefined;
  const lines = before.split('\n');
  return { file, line: lines.length, column: lines.at(-1)!.length + 1 };
}
