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

/** What every review of a frame looks at. */
export interface Reviewed {
  /** What was painted, in painter's order. */
  readonly items: readonly Item[];
  /** The box of each item's outline, in the sketch's units. */
  readonly boxes: readonly Box[];
}

const known = new WeakMap<Frame, Reviewed>();

/** The items of a frame and their boxes: a frame never changes, so they are worked out once for all who review it. */
export function reviewed(frame: Frame): Reviewed {
  let found = known.get(frame);
  if (found === undefined) {
    const items = new FrameReader(frame).items();
    const boxes = items.map(({ outlines, transform, start, end }) => pathBox(outlines, transform, start, end));
    known.set(frame, (found = { items, boxes }));
  }
  return found;
}
