import { SketchError } from './error.ts';

/**
 * A part of the library was asked for that is loaded only where a sketch uses it: a font, noise, the pointer. A run
 * that meets this has it loaded and asks again, so that a sketch never waits for what it does without.
 */
export class PartNeeded extends SketchError {
  /**
   * @param problem what is not there, for whoever asks outside a run
   * @param expected what they are to do
   * @param load makes it be there
   */
  constructor(
    problem: string,
    expected: string | undefined,
    readonly load: () => Promise<unknown>,
  ) {
    super({ problem, expected });
  }
}
