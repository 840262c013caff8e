import type { Frame } from './frame.ts';
import { givenFrame } from './given-frame.ts';
import { FrameReader, type Item } from './reader.ts';

/** The items of a frame, in painter's order. */
export function itemsOf(frame: Frame): Item[] {
  return new FrameReader(givenFrame.read('itemsOf', 'frame', frame)).items();
}
