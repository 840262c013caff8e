import {
  RasterSurface,
  reduce
} from "./chunk-3A6COZNW.js";
import {
  cssColor,
  hypot
} from "./chunk-LDXCYOWX.js";
import {
  apply,
  inverse,
  multiply,
  scaling
} from "./chunk-64DTOP6Y.js";

// packages/frame-juggler/dist/surfaces/canvas2d/paint.js
function contextOf(element) {
  const context = element.getContext("2d", { willReadFrequently: true });
  if (context === null)
    throw new Error("this canvas has a context of another kind");
  return context;
}
function hiddenContext(width, height) {
  return contextOf(new OffscreenCanvas(width, height));
}
function styleOf(context, paint, matrix) {
  if (typeof paint === "number")
    return cssOf(paint);
  const make = styles[paint.type];
  return make(context, paint, matrix);
}
var styles = {
  linear(context, gradient, matrix) {
    const [first, last] = rounds(context, gradient, matrix);
    const { from, to } = gradient;
    const at = (t) => [from[0] + (to[0] - from[0]) * t, from[1] + (to[1] - from[1]) * t];
    return withStops(context.createLinearGradient(...at(first), ...at(last)), gradient, first, last);
  },
  radial(context, gradient, matrix) {
    const [first, last] = rounds(context, gradient, matrix);
    const { at, focus, radius } = gradient;
    const [x, y] = [focus[0] + (at[0] - focus[0]) * last, focus[1] + (at[1] - focus[1]) * last];
    return withStops(context.createRadialGradient(...focus, 0, x, y, radius * last), gradient, first, last);
  },
  conic(context, gradient) {
    const style = context.createConicGradient(gradient.start / 180 * Math.PI, ...gradient.at);
    return withStops(style, gradient, 0, 1);
  },
  pattern(context, { picture, transform, smooth }, matrix) {
    const whole = { x: 0, y: 0, width: picture.width, height: picture.height };
    return pictureStyle(context, picture, whole, transform, smooth, matrix);
  },
  picture: (context, { picture, crop, transform, smooth }, matrix) => pictureStyle(context, picture, crop, transform, smooth, matrix)
};
var cssByColor = /* @__PURE__ */ new Map();
function cssOf(color) {
  let css = cssByColor.get(color);
  if (css === void 0) {
    if (cssByColor.size > 4096)
      cssByColor.clear();
    cssByColor.set(color, css = cssColor(color));
  }
  return css;
}
function withStops(style, { stops, spread }, first, last) {
  for (let round = first; round < last; round++) {
    const mirrored = spread === "reflect" && round % 2 !== 0;
    for (const { offset, color } of mirrored ? [...stops].reverse() : stops)
      style.addColorStop((round - first + (mirrored ? 1 - offset : offset)) / (last - first), cssOf(color));
  }
  return style;
}
var maxRounds = 500;
function rounds(context, gradient, matrix) {
  const back = inverse(matrix);
  if (gradient.spread === "pad" || back === void 0)
    return [0, 1];
  const { width, height } = context.canvas;
  const corners = [apply(back, 0, 0), apply(back, width, 0), apply(back, width, height), apply(back, 0, height)];
  if (gradient.type === "radial") {
    const slack = gradient.radius - hypot(gradient.at[0] - gradient.focus[0], gradient.at[1] - gradient.focus[1]);
    const reach = Math.max(...corners.map(([x, y]) => hypot(x - gradient.focus[0], y - gradient.focus[1])));
    return [0, Math.min(maxRounds, Math.max(1, Math.ceil(reach / slack)))];
  }
  const { from, to } = gradient;
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
  const offsets = corners.map(([x, y]) => ((x - from[0]) * dx + (y - from[1]) * dy) / (dx * dx + dy * dy));
  const first = Math.max(-maxRounds, Math.floor(Math.min(...offsets)));
  return [first, Math.min(first + maxRounds, Math.max(first + 1, Math.ceil(Math.max(...offsets))))];
}
function pictureStyle(context, picture, part, transform, smooth, matrix) {
  const { element, perPixelX, perPixelY } = reducedElement(picture, part, multiply(matrix, transform), smooth);
  context.imageSmoothingEnabled = smooth;
  context.imageSmoothingQuality = "low";
  const style = context.createPattern(element, "repeat");
  const [a, b, c, d, e, f] = multiply(transform, scaling(perPixelX, perPixelY));
  style.setTransform({ a, b, c, d, e, f });
  return style;
}
function drawPicture(context, fill, matrix) {
  const toPixels = multiply(matrix, fill.transform);
  const { element, perPixelX, perPixelY } = reducedElement(fill.picture, fill.crop, toPixels, fill.smooth);
  const [width, height] = [fill.crop.width / perPixelX, fill.crop.height / perPixelY];
  context.setTransform(...multiply(toPixels, scaling(perPixelX, perPixelY)));
  context.imageSmoothingEnabled = fill.smooth;
  context.imageSmoothingQuality = "low";
  context.drawImage(element, 0, 0, width, height, 0, 0, width, height);
  context.setTransform(...matrix);
}
var elements = /* @__PURE__ */ new WeakMap();
var crisp = [1, 0, 0, 1, 0, 0];
function reducedElement(picture, part, toPixels, smooth) {
  const { picture: reduced, perPixelX, perPixelY } = reduce(picture, part, smooth ? toPixels : crisp);
  let kept = elements.get(reduced);
  if (kept?.version !== reduced.version) {
    const { width, height } = reduced;
    const own = hiddenContext(width, height);
    own.putImageData(new ImageData(new Uint8ClampedArray(reduced.data), width, height), 0, 0);
    elements.set(reduced, kept = { version: reduced.version, element: own.canvas });
  }
  return { element: kept.element, perPixelX, perPixelY };
}

// packages/frame-juggler/dist/browser/exact-surface.js
var ExactSurface = class {
  element;
  raster = new RasterSurface();
  context;
  constructor(element) {
    this.element = element;
    this.context = contextOf(element);
  }
  /** Draws a frame. */
  draw(frame) {
    this.raster.draw(frame);
    this.show();
  }
  /** Forgets the last frame, so that the next begins on its background whatever its carry. */
  reset() {
    this.raster.reset();
  }
  /** What is shown now, to be put back later. */
  copy() {
    return this.raster.copy();
  }
  /** Shows what {@link copy} gave once more: the carry of the next frame stands on it. */
  put(picture) {
    this.raster.put(picture);
    this.show();
  }
  show() {
    const { element } = this;
    const { width, height, data } = this.raster.drawn;
    if (element.width !== width)
      element.width = width;
    if (element.height !== height)
      element.height = height;
    const pixels = new Uint8ClampedArray(data.buffer, data.byteOffset, data.length);
    this.context.putImageData(new ImageData(pixels, width, height), 0, 0);
  }
};

export {
  contextOf,
  hiddenContext,
  styleOf,
  drawPicture,
  ExactSurface
};
