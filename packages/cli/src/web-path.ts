import path from 'node:path';
import { SketchError } from './errors.ts';

/**
 * Checks that a page's address can name a file or folder: in an address `#` and `?` end the path, and `%` begins the code of
 * a character, which development servers mistake in the names of files.
 * @throws SketchError where it cannot
 */
export function checkWebPath(place: string): void {
  const full = path.resolve(place);
  const [found] = /[#?%]/.exec(full) ?? [];
  if (found === undefined) return;
  throw new SketchError({
    problem: `${full} has “${found}” in its path, which cuts the address of a page short`,
    expected: 'expected folders and a name without #, ? and %',
  });
}
