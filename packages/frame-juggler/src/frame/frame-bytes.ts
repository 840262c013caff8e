import type { Frame } from './frame.ts';
import { givenFrame } from './given-frame.ts';

/** The memory that a frame takes, in bytes, without its pictures: frames share those. */
export function frameBytes(frame: Frame): number {
  const { columns, path, matrices, order } = givenFrame.read('frameBytes', 'frame', frame);
  return [...Object.values(columns), path, matrices, order].reduce((sum, { byteLength }) => sum + byteLength, 0);
}
