import type { Frame } from '../frame/frame.ts';
import { FrameReader, type Item } from '../frame/reader.ts';
import { boxUnder, type Box } from '../geometry/box.ts';
import { inverse } from '../geometry/matrix.ts';
import { pathBox } from '../geometry/path.ts';

/** The canvas in the sketch's units. */
export function canvasBox({ width, height, view }: Frame): Box {
  const back = inverse(view);
  if (back === undefined) return { left: -Infinity, top: -Infinity, right: Infinity, bottom: Infinity };
  return boxUnder({ left: 0, top: 0, right: width, bottom: height }, back);
}

const known = new WeakMap<Frame, readonly Box[]>();

/**
 * The boxes of the outlines of a frame's items, in painter's order, in the sketch's units. Whoever reviews a frame needs
 * them, and a frame never changes: they are worked out once.
 */
export function itemBoxes(frame: Frame): readonly Box[] {
  let boxes = known.get(frame);
  if (boxes === undefined) {
    const found: Box[] = [];
    const none = (): void => undefined;
    const item = ({ outlines, transform, start, end }: Item): void =>
      void found.push(pathBox(outlines, transform, start, end));
    new FrameReader(frame).walk(frame.order, { enter: none, leave: none, item });
    known.set(frame, (boxes = found));
  }
  return boxes;
}
