import { writeAtomically } from '../write-atomically.ts';
import { provenance } from '../provenance.ts';
import type { Destination } from '../sink.ts';
import type { Output, OutputSetting } from './output.ts';

/** One frame as one file. */
export function openPicture(file: Destination, type: 'png' | 'svg', setting: OutputSetting): Output {
  return {
    product: (frame) => ({ type, texts: provenance({ ...setting, frame, run: setting.fingerprint }), inWords: true }),
    add: (_, bytes) => writeAtomically(file, bytes),
    finish: () => Promise.resolve(),
    abandon: () => Promise.resolve(),
  };
}
