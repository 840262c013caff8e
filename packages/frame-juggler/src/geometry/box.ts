/** An upright box by its least and greatest coordinates. An empty box has `left` beyond `right`. */
export interface Box {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
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
