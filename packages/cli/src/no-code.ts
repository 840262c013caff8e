import { existsSync } from 'node:fs';
import path from 'node:path';
import { asLoadError } from 'frame-juggler';
import './errors.ts';
import { canCompile } from './compile.ts';

/** What Node imports beside the code that sketches are written in. */
const others = ['.cjs', '.json'];

/**
 * Refuses what a sketch's code imports and Node would not take, so that it is said wherever the sketch is shown: a
 * bundler would give the address of a picture, or the text of a file.
 * @param source what is imported, as it is written
 * @param importer the file that imports it
 * @throws SketchError as for Node's own refusal
 */
export function refuseNoCode(source: string, importer: string | undefined): void {
  if (importer === undefined || !canCompile(importer) || importer.includes('/node_modules/')) return;
  const [name] = source.split('?');
  const extension = path.extname(name);
  // As it is written: what Vite looks up by its whole path are files that a sketch loads.
  const isNoCode = /^\.{1,2}\//.test(name) && extension !== '' && !canCompile(name) && !others.includes(extension);
  // A name may have a dot in it, and lead to a file that ends otherwise.
  if (isNoCode && existsSync(path.resolve(path.dirname(importer), name)))
    throw asLoadError(new TypeError(`Unknown file extension "${extension}" for ${name}`));
}
