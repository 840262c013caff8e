/** An upright box by its least and greatest coordinates. An empty box has `left` beyond `right`. */
export interface Box {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
}

export const emptyBox: Box = { left: Infinity, top: Infinity, right: -Infinity, bottom: -Infinity };

/** The smallest box that holds `box` and the point. */
export function growBox(box: Box, x: number, y: number): Box {
  return {
    left: Math.min(box.left, x),
    top: Math.min(box.top, y),
    right: Math.max(box.right, x),
    bottom: Math.max(box.bottom, y),
  };
}

/** The box with `by` more on every side. */
export function padBox(box: Box, by: number): Box {
  return { left: box.left - by, top: box.top - by, right: box.right + by, bottom: box.bottom + by };
}

/** What two boxes share; empty where they share nothing. */
export function intersectBoxes(one: Box, other: Box): Box {
  return {
    left: Math.max(one.left, other.left),
    top: Math.max(one.top, other.top),
    right: Math.min(one.right, other.right),
    bottom: Math.min(one.bottom, other.bottom),
  };
}
