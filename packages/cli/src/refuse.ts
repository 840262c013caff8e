import { loadLibrary } from './load-library.ts';

/**
 * Ends a command whose arguments do not fit together. What does not come to this needs no library.
 * @throws SketchError always
 */
export async function refuse(problem: string, expected: string): Promise<never> {
  const { SketchError } = await loadLibrary();
  throw new SketchError({ problem, expected });
}
