import { readdirSync, readFileSync, statSync, type Stats } from 'node:fs';
import path from 'node:path';
import { SketchError } from '../error.ts';
import { nearest } from '../suggest.ts';
import { describe } from './describe.ts';
import { givenPath } from './given.ts';

/** The kinds of file that can hold a sketch. */
export const sketchExtensions = ['.ts', '.mts', '.js', '.mjs'];

/** When a sketch's file was last changed. @throws SketchError where a path cannot be a sketch's */
export function checkSketchFile(file: string): number {
  givenPath.read('checkSketchFile', 'file', file);
  const found = statsOf(file);
  if (found === undefined) throw new SketchError({ problem: `${file} is not there`, expected: meantFor(file) });
  if (found.isDirectory()) throw new SketchError({ problem: `${file} is a folder`, expected: meantIn(file) });
  if (!isSketchName(file))
    throw new SketchError({
      problem: `${file} is not a sketch file`,
      expected: `expected one of ${sketchExtensions.join(', ')}`,
    });
  return found.mtimeMs;
}

function statsOf(file: string): Stats | undefined {
  try {
    return statSync(file, { throwIfNoEntry: false });
  } catch (cause) {
    // What can be wrong then lies before the file itself.
    throw new SketchError({ problem: `${file} could not be read: ${describe(cause, path.dirname(file))}`, cause });
  }
}

const isSketchName = (name: string): boolean => sketchExtensions.includes(path.extname(name));

const somePath = 'expected the path of a sketch file';

/** What was meant by the path of a file that is not there: one beside it that is called alike. */
function meantFor(file: string): string {
  const folder = path.dirname(file);
  const names = namesIn(folder).filter(isSketchName);
  const { base, name: stem } = path.parse(file);
  const meant = names.find((name) => [base, stem].includes(path.parse(name).name)) ?? nearest(base, names);
  return meant === undefined ? somePath : `did you mean ${path.join(folder, meant)}?`;
}

/** So many sketches of a folder are named where one of them is meant. */
const maxNamed = 8;

/** What was meant by a folder: the sketches that are in it. */
function meantIn(folder: string): string {
  const paths = sketchesIn(folder);
  if (paths.length === 0) return somePath;
  if (paths.length === 1) return `did you mean ${paths[0]}?`;
  return `expected one of ${paths.slice(0, maxNamed).join(', ')}${paths.length > maxNamed ? ', …' : ''}`;
}

/**
 * The sketch files of a folder, in the order of their names; none where it is not a folder. Files are told by their
 * text, none is run, and folders within it are not looked into.
 */
export function sketchesIn(folder: string): string[] {
  givenPath.read('sketchesIn', 'folder', folder);
  return namesIn(folder)
    .filter((name) => isSketchName(name) && !name.endsWith('.d.ts'))
    .map((name) => path.join(folder, name))
    .filter(holdsSketch);
}

function holdsSketch(file: string): boolean {
  try {
    const code = readFileSync(file, 'utf8');
    return code.includes('export default') && code.includes('defineSketch');
  } catch {
    return false;
  }
}

function namesIn(folder: string): string[] {
  try {
    return readdirSync(folder).sort();
  } catch {
    return [];
  }
}
