import { givenFrame } from '../frame/given-frame.ts';
import type { Frame } from '../frame/frame.ts';
import { finite } from '../schema/kind.ts';
import { byteForm } from '../surfaces/raster/byte-form.ts';
import { HitTester } from './hit.ts';

let tester: HitTester | undefined;

/**
 * The items that lie at a point (in the sketch's units), topmost first, by their places in the frame's columns; hidden
 * ones too.
 */
export function itemsAt(frame: Frame, x: number, y: number): number[] {
  givenFrame.read('itemsAt', 'frame', frame);
  tester ??= new HitTester(byteForm);
  return tester.itemsAt(frame, finite.read('itemsAt', 'x', x), finite.read('itemsAt', 'y', y));
}
