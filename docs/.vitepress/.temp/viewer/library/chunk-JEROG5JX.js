// packages/frame-juggler/dist/geometry/box.js
function padBox(box, by) {
  return { left: box.left - by, top: box.top - by, right: box.right + by, bottom: box.bottom + by };
}
function boxUnder(box, [a, b, c, d, e, f]) {
  const { left, top, right, bottom } = box;
  if (left > right)
    return box;
  return {
    left: Math.min(a * left, a * right) + Math.min(c * top, c * bottom) + e,
    top: Math.min(b * left, b * right) + Math.min(d * top, d * bottom) + f,
    right: Math.max(a * left, a * right) + Math.max(c * top, c * bottom) + e,
    bottom: Math.max(b * left, b * right) + Math.max(d * top, d * bottom) + f
  };
}
function intersectBoxes(one, other) {
  return {
    left: Math.max(one.left, other.left),
    top: Math.max(one.top, other.top),
    right: Math.min(one.right, other.right),
    bottom: Math.min(one.bottom, other.bottom)
  };
}

export {
  padBox,
  boxUnder,
  intersectBoxes
};
