import { readFile } from 'node:fs/promises';
import path from 'node:path';
import { SketchError } from '../error.ts';
import { describe } from './describe.ts';
import { writeAtomically } from './write-atomically.ts';
import { convertedLater, mapOf } from '../schema/kind.ts';
import { givenPath } from './given.ts';

/** Where the values of a sketch's dials are kept: beside it, `harbor.dials.json` for `harbor.ts`. */
export function dialFile(sketch: string): string {
  const { dir, name } = path.parse(givenPath.read('dialFile', 'sketch', sketch));
  return path.join(dir, `${name}.dials.json`);
}

/** The kept values of a sketch's dials; undefined where none are kept. @throws SketchError where they cannot be read */
export async function readDialFile(sketch: string): Promise<Record<string, unknown> | undefined> {
  const file = dialFile(givenPath.read('readDialFile', 'sketch', sketch));
  let text: string;
  try {
    text = await readFile(file, 'utf8');
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code === 'ENOENT') return undefined;
    throw new SketchError({ problem: `${file} could not be read: ${describe(error, 'it')}` });
  }
  let values: unknown;
  try {
    values = JSON.parse(text);
  } catch (error) {
    throw new SketchError({ problem: `${file} is not JSON: ${(error as Error).message}` });
  }
  if (typeof values !== 'object' || values === null || Array.isArray(values))
    throw new SketchError({ problem: `${file} does not hold dials`, expected: 'expected { "name": value }' });
  return values as Record<string, unknown>;
}

const dialValues = mapOf(convertedLater('a value'), 'values by name: { swell: 14 }');

/** Keeps the values of a sketch's dials. */
export function writeDialFile(sketch: string, values: Readonly<Record<string, unknown>>): Promise<void> {
  givenPath.read('writeDialFile', 'sketch', sketch);
  dialValues.read('writeDialFile', 'values', values);
  return writeAtomically(dialFile(sketch), Buffer.from(`${JSON.stringify(values, undefined, 2)}\n`));
}
