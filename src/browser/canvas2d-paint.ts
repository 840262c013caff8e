import { apply, inverse, multiply, scaling, type Matrix } from '../geometry/matrix.ts';
import { cssColor, type PackedColor } from '../paint/color.ts';
import type { Gradient } from '../paint/gradient.ts';
import type { Fill, ImageFill } from '../paint/paint.ts';
import { reduce, type Pattern, type Picture, type PixelBox } from '../paint/picture.ts';

/** The 2d context of a canvas, kept where reading pixels back is cheap: trails and pictures need it. */
export function contextOf(element: HTMLCanvasElement): CanvasRenderingContext2D {
  const context = element.getContext('2d', { willReadFrequently: true });
  if (context === null) throw new Error('this canvas has a context of another kind');
  return context;
}

type CanvasStyle = string | CanvasGradient | CanvasPattern;

/** A paint as a context takes it. @param matrix from the paint's units to pixels */
export function styleOf(context: CanvasRenderingContext2D, paint: Fill, matrix: Matrix): CanvasStyle {
  if (typeof paint === 'number') return cssOf(paint);
  return 'picture' in paint ? pictureStyle(context, paint, matrix) : gradientStyle(context, paint, matrix);
}

const cssByColor = new Map<PackedColor, string>();

function cssOf(color: PackedColor): string {
  let css = cssByColor.get(color);
  if (css === undefined) {
    if (cssByColor.size > 4096) cssByColor.clear();
    cssByColor.set(color, (css = cssColor(color)));
  }
  return css;
}

function gradientStyle(context: CanvasRenderingContext2D, gradient: Gradient, matrix: Matrix): CanvasGradient {
  if (gradient.type === 'conic') {
    const style = context.createConicGradient((gradient.start * Math.PI) / 180, ...gradient.at);
    addStops(style, gradient, 0, 1);
    return style;
  }
  // A context knows no spread: the gradient is made long enough for the canvas, and its stops written out.
  const [first, last] = gradient.spread === 'pad' ? [0, 1] : rounds(context, gradient, matrix);
  let style: CanvasGradient;
  if (gradient.type === 'linear') {
    const { from, to } = gradient;
    const at = (t: number): [number, number] => [from[0] + (to[0] - from[0]) * t, from[1] + (to[1] - from[1]) * t];
    style = context.createLinearGradient(...at(first), ...at(last));
  } else {
    const { at, focus, radius } = gradient;
    const [x, y] = [focus[0] + (at[0] - focus[0]) * last, focus[1] + (at[1] - focus[1]) * last];
    style = context.createRadialGradient(...focus, 0, x, y, radius * last);
  }
  addStops(style, gradient, first, last);
  return style;
}

function addStops(style: CanvasGradient, { stops, spread }: Gradient, first: number, last: number): void {
  for (let round = first; round < last; round++) {
    const mirrored = spread === 'reflect' && round % 2 !== 0;
    for (const { offset, color } of mirrored ? [...stops].reverse() : stops)
      style.addColorStop((round - first + (mirrored ? 1 - offset : offset)) / (last - first), cssOf(color));
  }
}

const mostRounds = 500;

/** From which to which round a spread gradient covers the canvas. */
function rounds(
  context: CanvasRenderingContext2D,
  gradient: Exclude<Gradient, { type: 'conic' }>,
  matrix: Matrix,
): [number, number] {
  const back = inverse(matrix);
  if (back === undefined) return [0, 1];
  const { width, height } = context.canvas;
  const corners = [[0, 0], [width, 0], [width, height], [0, height]].map(([x, y]) => apply(back, x, y)); // prettier-ignore
  if (gradient.type === 'radial') {
    // The nearest side of the circle grows slowest away from the focus.
    const slack = gradient.radius - Math.hypot(gradient.at[0] - gradient.focus[0], gradient.at[1] - gradient.focus[1]);
    const reach = Math.max(...corners.map(([x, y]) => Math.hypot(x - gradient.focus[0], y - gradient.focus[1])));
    return [0, Math.min(mostRounds, Math.max(1, Math.ceil(reach / slack)))];
  }
  const { from, to } = gradient;
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
  const offsets = corners.map(([x, y]) => ((x - from[0]) * dx + (y - from[1]) * dy) / (dx * dx + dy * dy));
  const first = Math.max(-mostRounds, Math.floor(Math.min(...offsets)));
  return [first, Math.min(first + mostRounds, Math.max(first + 1, Math.ceil(Math.max(...offsets))))];
}

function pictureStyle(context: CanvasRenderingContext2D, fill: Pattern | ImageFill, matrix: Matrix): CanvasStyle {
  const { picture, transform, smooth } = fill;
  const part = 'crop' in fill ? fill.crop : { x: 0, y: 0, width: picture.width, height: picture.height };
  const { element, perPixelX, perPixelY } = reducedElement(context, picture, part, multiply(matrix, transform), smooth);
  context.imageSmoothingEnabled = smooth;
  context.imageSmoothingQuality = 'low';
  const style = context.createPattern(element, 'repeat')!;
  const [a, b, c, d, e, f] = multiply(transform, scaling(perPixelX, perPixelY));
  style.setTransform({ a, b, c, d, e, f });
  return style;
}

/** Lays a smooth image into its place: at its edge it goes on as it ends, which a pattern does not. @param matrix from the item's units to pixels */
export function drawImage(context: CanvasRenderingContext2D, fill: ImageFill, matrix: Matrix): void {
  const toPixels = multiply(matrix, fill.transform);
  const { element, perPixelX, perPixelY } = reducedElement(context, fill.picture, fill.crop, toPixels, fill.smooth);
  const [width, height] = [fill.crop.width / perPixelX, fill.crop.height / perPixelY];
  context.setTransform(...multiply(toPixels, scaling(perPixelX, perPixelY)));
  context.imageSmoothingEnabled = fill.smooth;
  context.imageSmoothingQuality = 'low';
  context.drawImage(element, 0, 0, width, height, 0, 0, width, height);
  context.setTransform(...matrix);
}

const elements = new WeakMap<Picture, { version: number; element: HTMLCanvasElement }>();
const crisp: Matrix = [1, 0, 0, 1, 0, 0];

/** A part of a picture, averaged down as the raster surface does it, as a canvas that can be drawn. */
function reducedElement(
  context: CanvasRenderingContext2D,
  picture: Picture,
  part: PixelBox,
  toPixels: Matrix,
  smooth: boolean,
): { element: HTMLCanvasElement; perPixelX: number; perPixelY: number } {
  const { picture: reduced, perPixelX, perPixelY } = reduce(picture, part, smooth ? toPixels : crisp);
  let kept = elements.get(reduced);
  if (kept?.version !== reduced.version) {
    const element = context.canvas.ownerDocument.createElement('canvas');
    element.width = reduced.width;
    element.height = reduced.height;
    contextOf(element).putImageData(
      new ImageData(new Uint8ClampedArray(reduced.data), reduced.width, reduced.height),
      0,
      0,
    );
    elements.set(reduced, (kept = { version: reduced.version, element }));
  }
  return { element: kept.element, perPixelX, perPixelY };
}
