import type { Frame } from '../frame/frame.ts';
import type { Box } from '../geometry/box.ts';
import { inverse } from '../geometry/matrix.ts';
import { pathBox } from '../geometry/path.ts';

/** The canvas in the sketch's units. */
export function canvasBox({ width, height, view }: Frame): Box {
  const back = inverse(view);
  if (back === undefined) return { left: -Infinity, top: -Infinity, right: Infinity, bottom: Infinity };
  return pathBox([0, 0, 0, 1, width, 0, 1, width, height, 1, 0, height], back);
}
