import { apply, inverse, multiply, scaling, type Matrix } from '../../geometry/matrix.ts';
import { cssColor, type PackedColor } from '../../paint/color.ts';
import type { Gradient } from '../../paint/gradient.ts';
import type { PictureData } from '../../paint/picture.ts';
import { reduce, type PixelBox } from '../../paint/reduce.ts';
import type { ItemPaint } from '../../frame/reader.ts';
import { hypot } from '../../maths/power.ts';

/** A canvas of a page, or one that a worker draws on. */
export type CanvasElement = HTMLCanvasElement | OffscreenCanvas;
export type Context = CanvasRenderingContext2D | OffscreenCanvasRenderingContext2D;

/** The 2d context of a canvas, kept where reading pixels back is cheap: trails and pictures need it. */
export function contextOf(element: CanvasElement): Context {
  const context = element.getContext('2d', { willReadFrequently: true }) as Context | null;
  if (context === null) throw new Error('this canvas has a context of another kind');
  return context;
}

/** The context of a new canvas that is never shown, in a page and in a worker alike. */
export function hiddenContext(width: number, height: number): Context {
  return contextOf(new OffscreenCanvas(width, height));
}

type CanvasStyle = string | CanvasGradient | CanvasPattern;
type TablePaint = Exclude<ItemPaint, number>;
type PaintOf<Type> = Extract<TablePaint, { type: Type }>;

/** A paint as a context takes it. @param matrix from the paint's units to pixels */
export function styleOf(context: Context, paint: ItemPaint, matrix: Matrix): CanvasStyle {
  if (typeof paint === 'number') return cssOf(paint);
  const make = styles[paint.type] as (context: Context, paint: TablePaint, matrix: Matrix) => CanvasStyle;
  return make(context, paint, matrix);
}

/** What each kind of paint is in a context's terms. */
const styles: {
  [Type in TablePaint['type']]: (context: Context, paint: PaintOf<Type>, matrix: Matrix) => CanvasStyle;
} = {
  linear(context, gradient, matrix) {
    const [first, last] = rounds(context, gradient, matrix);
    const { from, to } = gradient;
    const at = (t: number): [number, number] => [from[0] + (to[0] - from[0]) * t, from[1] + (to[1] - from[1]) * t];
    return withStops(context.createLinearGradient(...at(first), ...at(last)), gradient, first, last);
  },
  radial(context, gradient, matrix) {
    const [first, last] = rounds(context, gradient, matrix);
    const { at, focus, radius } = gradient;
    const [x, y] = [focus[0] + (at[0] - focus[0]) * last, focus[1] + (at[1] - focus[1]) * last];
    return withStops(context.createRadialGradient(...focus, 0, x, y, radius * last), gradient, first, last);
  },
  conic(context, gradient) {
    const style = context.createConicGradient((gradient.start / 180) * Math.PI, ...gradient.at);
    return withStops(style, gradient, 0, 1);
  },
  pattern(context, { picture, transform, smooth }, matrix) {
    const whole = { x: 0, y: 0, width: picture.width, height: picture.height };
    return pictureStyle(context, picture, whole, transform, smooth, matrix);
  },
  picture: (context, { picture, crop, transform, smooth }, matrix) =>
    pictureStyle(context, picture, crop, transform, smooth, matrix),
};

const cssByColor = new Map<PackedColor, string>();

function cssOf(color: PackedColor): string {
  let css = cssByColor.get(color);
  if (css === undefined) {
    if (cssByColor.size > 4096) cssByColor.clear();
    cssByColor.set(color, (css = cssColor(color)));
  }
  return css;
}

function withStops(style: CanvasGradient, { stops, spread }: Gradient, first: number, last: number): CanvasGradient {
  for (let round = first; round < last; round++) {
    const mirrored = spread === 'reflect' && round % 2 !== 0;
    for (const { offset, color } of mirrored ? [...stops].reverse() : stops)
      style.addColorStop((round - first + (mirrored ? 1 - offset : offset)) / (last - first), cssOf(color));
  }
  return style;
}

const maxRounds = 500;

/**
 * From which to which round a spread gradient covers the canvas: a context knows no spread, so a gradient is made long
 * enough, and its stops written out.
 */
function rounds(context: Context, gradient: Exclude<Gradient, { type: 'conic' }>, matrix: Matrix): [number, number] {
  const back = inverse(matrix);
  if (gradient.spread === 'pad' || back === undefined) return [0, 1];
  const { width, height } = context.canvas;
  const corners = [apply(back, 0, 0), apply(back, width, 0), apply(back, width, height), apply(back, 0, height)];
  if (gradient.type === 'radial') {
    // The nearest side of the circle grows slowest away from the focus.
    const slack = gradient.radius - hypot(gradient.at[0] - gradient.focus[0], gradient.at[1] - gradient.focus[1]);
    const reach = Math.max(...corners.map(([x, y]) => hypot(x - gradient.focus[0], y - gradient.focus[1])));
    return [0, Math.min(maxRounds, Math.max(1, Math.ceil(reach / slack)))];
  }
  const { from, to } = gradient;
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
  const offsets = corners.map(([x, y]) => ((x - from[0]) * dx + (y - from[1]) * dy) / (dx * dx + dy * dy));
  const first = Math.floor(Math.min(...offsets));
  return [first, Math.min(first + maxRounds, Math.max(first + 1, Math.ceil(Math.max(...offsets))))];
}

function pictureStyle(
  context: Context,
  picture: PictureData,
  part: PixelBox,
  transform: Matrix,
  smooth: boolean,
  matrix: Matrix,
): CanvasStyle {
  const { element, perPixelX, perPixelY } = reducedElement(picture, part, multiply(matrix, transform), smooth);
  context.imageSmoothingEnabled = smooth;
  context.imageSmoothingQuality = 'low';
  const style = context.createPattern(element, 'repeat')!;
  const [a, b, c, d, e, f] = multiply(transform, scaling(perPixelX, perPixelY));
  style.setTransform({ a, b, c, d, e, f });
  return style;
}

/**
 * Draws a smooth picture into its place: at its edge it goes on as it ends, which a pattern does not.
 * @param matrix from the item's units to pixels
 */
export function drawPicture(context: Context, fill: PaintOf<'picture'>, matrix: Matrix): void {
  const toPixels = multiply(matrix, fill.transform);
  const { element, perPixelX, perPixelY } = reducedElement(fill.picture, fill.crop, toPixels, fill.smooth);
  const [width, height] = [fill.crop.width / perPixelX, fill.crop.height / perPixelY];
  context.setTransform(...multiply(toPixels, scaling(perPixelX, perPixelY)));
  context.imageSmoothingEnabled = fill.smooth;
  context.imageSmoothingQuality = 'low';
  context.drawImage(element, 0, 0, width, height, 0, 0, width, height);
  context.setTransform(...matrix);
}

const elements = new WeakMap<PictureData, CanvasElement>();
const crisp: Matrix = [1, 0, 0, 1, 0, 0];

/** A part of a picture, averaged down as the raster surface does it, as a canvas that can be drawn. */
function reducedElement(
  picture: PictureData,
  part: PixelBox,
  toPixels: Matrix,
  smooth: boolean,
): { element: CanvasElement; perPixelX: number; perPixelY: number } {
  const { picture: reduced, perPixelX, perPixelY } = reduce(picture, part, smooth ? toPixels : crisp);
  let element = elements.get(reduced);
  if (element === undefined) {
    const { width, height } = reduced;
    const own = hiddenContext(width, height);
    own.putImageData(new ImageData(new Uint8ClampedArray(reduced.data), width, height), 0, 0);
    elements.set(reduced, (element = own.canvas));
  }
  return { element, perPixelX, perPixelY };
}
