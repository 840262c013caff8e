import { pictureSize, type Frame, type Item, type StrokePaint } from '../canvas/frame.ts';
import { inverse, multiply, scaling, type Matrix } from '../geometry/matrix.ts';
import { arc, close, commandLength, cubic, line, move, quad, type Path } from '../geometry/path.ts';
import { cssColor } from '../paint/color.ts';
import type { Paint } from '../paint/paint.ts';
import { fade } from '../raster/pixels.ts';

/**
 * Draws frames on a page's canvas element. Each item comes with its own resolved transform and paint; the context's
 * own state stack is not used.
 */
export class Canvas2dSurface {
  private readonly context: CanvasRenderingContext2D;
  private spare: CanvasRenderingContext2D | undefined;
  private empty = true;

  constructor(readonly element: HTMLCanvasElement) {
    this.context = contextOf(element);
  }

  /** Draws a frame; the element takes the frame's pixel size. */
  draw(frame: Frame): void {
    const { width, height } = pictureSize(frame);
    if (this.element.width !== width || this.element.height !== height) {
      this.element.width = width;
      this.element.height = height;
      this.empty = true;
    }
    const { context } = this;
    context.setTransform(1, 0, 0, 1, 0, 0);
    if (frame.carry === 0 || this.empty) {
      context.globalAlpha = 1;
      context.clearRect(0, 0, width, height);
      context.fillStyle = cssColor(frame.background);
      context.fillRect(0, 0, width, height);
    } else if (frame.carry < 1) {
      const image = context.getImageData(0, 0, width, height);
      fade(image.data, frame.background, frame.carry);
      context.putImageData(image, 0, 0);
    }
    this.empty = false;
    const toPixels = multiply(scaling(width / frame.width, height / frame.height), frame.view);
    for (const item of frame.items) this.drawItem(item, multiply(toPixels, item.transform));
  }

  /** Forgets the last frame, so that the next begins on its background whatever its carry. */
  reset(): void {
    this.empty = true;
  }

  private drawItem(item: Item, matrix: Matrix): void {
    const { fill, stroke, opacity } = item;
    // As SVG has it, what a transform squashes flat is not drawn, its stroke neither.
    if (opacity === 0 || inverse(matrix) === undefined) return;
    const { context } = this;
    if (opacity < 1 && fill !== undefined && stroke !== undefined) {
      // Fill and stroke fade together, as one picture.
      const layer = this.layer();
      paintItem(layer, item, matrix);
      context.setTransform(1, 0, 0, 1, 0, 0);
      context.globalAlpha = opacity;
      context.drawImage(layer.canvas, 0, 0);
      return;
    }
    context.globalAlpha = opacity;
    paintItem(context, item, matrix);
  }

  /** A second canvas of the same size, cleared. */
  private layer(): CanvasRenderingContext2D {
    const { width, height } = this.element;
    const layer = (this.spare ??= contextOf(this.element.ownerDocument.createElement('canvas')));
    layer.canvas.width = width;
    layer.canvas.height = height;
    return layer;
  }
}

function contextOf(element: HTMLCanvasElement): CanvasRenderingContext2D {
  const context = element.getContext('2d', { willReadFrequently: true });
  if (context === null) throw new Error('this canvas element already has a context of another kind');
  return context;
}

function paintItem(context: CanvasRenderingContext2D, item: Item, matrix: Matrix): void {
  context.setTransform(...matrix);
  context.beginPath();
  tracePath(context, item.path);
  if (item.fill !== undefined) {
    context.fillStyle = cssPaint(item.fill);
    context.fill('nonzero');
  }
  if (item.stroke !== undefined && item.stroke.width > 0) {
    setPen(context, item.stroke);
    context.stroke();
  }
}

function setPen(context: CanvasRenderingContext2D, stroke: StrokePaint): void {
  context.strokeStyle = cssPaint(stroke.paint);
  context.lineWidth = stroke.width;
  context.lineCap = stroke.cap;
  context.lineJoin = stroke.join;
  context.miterLimit = stroke.miterLimit;
  context.setLineDash(stroke.dash as number[]);
  context.lineDashOffset = stroke.dashOffset;
}

const cssByPaint = new Map<Paint, string>();

function cssPaint(paint: Paint): string {
  let css = cssByPaint.get(paint);
  if (css === undefined) {
    if (cssByPaint.size > 4096) cssByPaint.clear();
    cssByPaint.set(paint, (css = cssColor(paint)));
  }
  return css;
}

const toRadians = Math.PI / 180;

function tracePath(context: CanvasRenderingContext2D, path: Path): void {
  for (let i = 0; i < path.length; i += commandLength[path[i]]) {
    switch (path[i]) {
      case move:
        context.moveTo(path[i + 1], path[i + 2]);
        break;
      case line:
        context.lineTo(path[i + 1], path[i + 2]);
        break;
      case quad:
        context.quadraticCurveTo(path[i + 1], path[i + 2], path[i + 3], path[i + 4]);
        break;
      case cubic:
        context.bezierCurveTo(path[i + 1], path[i + 2], path[i + 3], path[i + 4], path[i + 5], path[i + 6]);
        break;
      case arc: {
        const start = path[i + 6] * toRadians;
        const end = (path[i + 6] + path[i + 7]) * toRadians;
        context.ellipse(
          path[i + 1],
          path[i + 2],
          path[i + 3],
          path[i + 4],
          path[i + 5] * toRadians,
          start,
          end,
          end < start,
        );
        break;
      }
      case close:
        context.closePath();
    }
  }
}
