import { SketchError } from '../../error.ts';

/**
 * A run that continued from a checkpoint has not arrived at the next: the sketch remembers something outside of its state.
 * What it remembers is wrong by now; loaded anew, it is rendered without checkpoints.
 */
export class CheckpointMismatch extends SketchError {
  constructor(
    frame: number,
    /** Whether frames have been drawn from checkpoints that seemed sound: these may be wrong. */
    readonly spoils: boolean,
  ) {
    super({
      problem: `frame ${frame} comes out differently from its checkpoint${spoils ? ', so what was drawn may be wrong' : ''}`,
      expected: 'expected step to keep all that it remembers in the state; the same once more is done without checkpoints', // prettier-ignore
    });
  }
}
