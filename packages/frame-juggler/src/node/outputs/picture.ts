import { writeAtomically } from '../write-atomically.ts';
import type { Destination } from '../sink.ts';
import type { Output } from './output.ts';

/** One frame as one file. */
export function openPicture(file: Destination): Output {
  return {
    add: (_, bytes) => writeAtomically(file, bytes),
    finish: () => Promise.resolve(),
    abandon: () => Promise.resolve(),
  };
}
