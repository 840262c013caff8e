import { existsSync, statSync } from 'node:fs';
import { register } from 'node:module';
import path from 'node:path';
import { pathToFileURL } from 'node:url';
import { asSketchError, SketchError } from '../error.ts';
import { isSketch, type Sketch } from '../sketch/sketch.ts';
import { sketchMark } from './sketch-hooks.ts';

/** The kinds of file that can hold a sketch. */
export const sketchExtensions = ['.ts', '.mts', '.js', '.mjs'];

const entryPoints = {
  'frame-juggler': new URL('../index.js', import.meta.url).href,
  'frame-juggler/browser': new URL('../browser/index.js', import.meta.url).href,
  'frame-juggler/node': new URL('./index.js', import.meta.url).href,
};

let hooked = false;
let loadings = 0;

/**
 * Loads the sketch that a file exports as its default. The file may lie anywhere, with or without a package.json;
 * `frame-juggler` leads to the library that does the loading. Each call reads the file anew.
 * @throws SketchError where the file is missing, is not a sketch, or fails as it is loaded.
 */
export async function loadSketch(file: string): Promise<Sketch> {
  const full = path.resolve(file);
  checkSketchFile(file, full);
  if (!hooked) {
    register('./sketch-hooks.js', { parentURL: import.meta.url, data: entryPoints });
    // Errors then point at the lines that were written, not at those that were run.
    process.setSourceMapsEnabled(true);
    hooked = true;
  }
  let loaded: { default?: unknown };
  try {
    const url = pathToFileURL(full);
    url.searchParams.set(sketchMark, String(++loadings));
    loaded = (await import(url.href)) as { default?: unknown };
  } catch (error) {
    throw loadError(file, error);
  }
  if (isSketch(loaded.default)) return loaded.default;
  const problem = 'default' in loaded ? 'does not export a sketch as its default' : 'has no default export';
  throw new SketchError({ problem: `${file} ${problem}`, expected: 'expected export default defineSketch({ … })' });
}

/** Throws a SketchError where a path cannot be a sketch's. `named` is how the user wrote it. */
export function checkSketchFile(named: string, full: string): void {
  if (!existsSync(full))
    throw new SketchError({ problem: `${named} is not there`, expected: 'expected the path of a sketch file' });
  if (statSync(full).isDirectory())
    throw new SketchError({ problem: `${named} is a folder`, expected: 'expected the path of a sketch file' });
  if (!sketchExtensions.includes(path.extname(full)))
    throw new SketchError({
      problem: `${named} is not a sketch file`,
      expected: `expected one of ${sketchExtensions.join(', ')}`,
    });
}

function loadError(file: string, error: unknown): SketchError {
  if (error instanceof SketchError) return error;
  const missing = /Cannot find (?:module|package) '([^']+)'/.exec(error instanceof Error ? error.message : '');
  if (missing) {
    const what = missing[1].replace(/^.*\/(?=[^/]+$)/, '');
    return new SketchError({ problem: `${file} imports ${what}, which is not there` });
  }
  if (error instanceof SyntaxError) return new SketchError({ problem: `${file} cannot be read: ${error.message}` });
  return asSketchError(error);
}
