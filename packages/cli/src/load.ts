import { register } from 'node:module';
import { addHostCode, type Sketch } from 'frame-juggler';
import { loadSketch } from 'frame-juggler/node';
import { sketchMark, type EntryPoints } from './sketch-hooks.ts';

/** Where the running tool's own library is: a sketch anywhere gets it, with or without a package.json. */
export const entryPoints: EntryPoints = {
  'frame-juggler': import.meta.resolve('frame-juggler'),
  'frame-juggler/browser': import.meta.resolve('frame-juggler/browser'),
  'frame-juggler/node': import.meta.resolve('frame-juggler/node'),
};

let hooked = false;
let loadings = 0;

/** Prepares Node for sketch files, once: TypeScript, and the library wherever they are. */
export function readyToLoad(): void {
  if (hooked) return;
  addHostCode(new URL('.', import.meta.url).href);
  register('./sketch-hooks.js', { parentURL: import.meta.url, data: entryPoints });
  // Errors then point at the lines that were written, not at those that were run.
  process.setSourceMapsEnabled(true);
  hooked = true;
}

/** Loads a sketch file, TypeScript too, with the running tool's own library. Each call reads the file anew. */
export function load(file: string): Promise<Sketch> {
  readyToLoad();
  return loadSketch(file, (url) => {
    const marked = new URL(url);
    marked.searchParams.set(sketchMark, String(++loadings));
    return import(marked.href);
  });
}
