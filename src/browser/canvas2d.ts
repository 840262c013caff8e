import { pictureSize, type Frame, type Item, type StrokePaint } from '../canvas/frame.ts';
import { drawnApart, walk } from '../canvas/painter-order.ts';
import { inverse, multiply, scaling, translation, type Matrix } from '../geometry/matrix.ts';
import {
  arc,
  close,
  commandLength,
  cubic,
  ellipsePoint,
  line,
  move,
  pathBox,
  quad,
  type Path,
} from '../geometry/path.ts';
import type { BlendMode } from '../paint/blend.ts';
import { cssColor } from '../paint/color.ts';
import { boxUnits } from '../paint/gradient.ts';
import type { Fill } from '../paint/paint.ts';
import { fade } from '../raster/pixels.ts';
import { contextOf, drawImage, styleOf } from './canvas2d-paint.ts';

/** How much larger small letters are drawn first, and how many pixels they may cover for that. */
const fineness = 4;
const mostFinePixels = 250_000;

/**
 * Draws frames on a page's canvas element. Each item comes with its own resolved transform and paint; the context's
 * own state stack is not used.
 */
export class Canvas2dSurface {
  private readonly context: CanvasRenderingContext2D;
  /** Canvases for what is drawn apart, to be used again. */
  private spare: CanvasRenderingContext2D[] = [];
  /** Where small letters are drawn large. */
  private fine: CanvasRenderingContext2D | undefined;
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
      context.globalCompositeOperation = 'source-over';
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
    this.drawItems(frame.items, toPixels, context);
  }

  /** Forgets the last frame, so that the next begins on its background whatever its carry. */
  reset(): void {
    this.empty = true;
  }

  private drawItems(items: readonly Item[], toPixels: Matrix, onto: CanvasRenderingContext2D): void {
    const targets = [onto];
    walk(items, {
      enter: () => void targets.push(this.layer()),
      leave: (group) => {
        const layer = targets.pop()!;
        if (group.clip !== undefined) {
          const mask = this.layer();
          this.drawItems(group.clip, toPixels, mask);
          lay(mask, layer, 1, 'destination-in');
          this.spare.push(mask);
        }
        lay(layer, targets[targets.length - 1], group.opacity, blendOperation(group.blend));
        this.spare.push(layer);
      },
      item: (item) => this.drawItem(item, multiply(toPixels, item.transform), targets[targets.length - 1]),
    });
  }

  private drawItem(item: Item, matrix: Matrix, target: CanvasRenderingContext2D): void {
    // As SVG has it, what a transform squashes flat is not drawn, its stroke neither.
    if (item.opacity === 0 || inverse(matrix) === undefined) return;
    if (drawnApart(item)) {
      const layer = this.layer();
      this.paintItem(layer, item, matrix);
      lay(layer, target, item.opacity, blendOperation(item.blend));
      this.spare.push(layer);
      return;
    }
    target.globalAlpha = item.opacity;
    target.globalCompositeOperation = blendOperation(item.blend);
    this.paintItem(target, item, matrix);
  }

  private paintItem(context: CanvasRenderingContext2D, item: Item, matrix: Matrix): void {
    let { fill } = item;
    const { stroke } = item;
    context.setTransform(...matrix);
    if (typeof fill === 'object' && fill.type === 'image' && fill.smooth) {
      drawImage(context, fill, matrix);
      fill = undefined;
    }
    context.beginPath();
    if (typeof fill === 'number' && item.text !== undefined && this.fillFinely(context, item, fill, matrix))
      fill = undefined;
    tracePath(context, item.path);
    if (fill !== undefined) {
      // The outline is traced already: from here on the transform is that of the paint.
      const units = unitsOf(fill, item.path);
      if (units !== undefined) context.setTransform(...multiply(matrix, units));
      context.fillStyle = styleOf(context, fill, units === undefined ? matrix : multiply(matrix, units));
      context.fill(item.fillRule);
    }
    if (stroke !== undefined && stroke.width > 0) this.strokeItem(context, item, stroke, matrix);
  }

  /**
   * Fills small letters at four times the size and lays them down made smaller: browsers smooth the edges of outlines
   * to a quarter of a pixel only, which in letters can be seen. Says whether it did, as large ones are fine as they are.
   */
  private fillFinely(context: CanvasRenderingContext2D, item: Item, fill: number, matrix: Matrix): boolean {
    const box = pathBox(item.path, matrix);
    const [left, top] = [Math.floor(box.left) - 1, Math.floor(box.top) - 1];
    const [width, height] = [Math.ceil(box.right) + 1 - left, Math.ceil(box.bottom) + 1 - top];
    if (!(width * height <= mostFinePixels)) return false;
    const fine = (this.fine ??= contextOf(this.element.ownerDocument.createElement('canvas')));
    fine.canvas.width = width * fineness;
    fine.canvas.height = height * fineness;
    fine.setTransform(...multiply(multiply(scaling(fineness, fineness), translation(-left, -top)), matrix));
    fine.beginPath();
    tracePath(fine, item.path);
    fine.fillStyle = styleOf(fine, fill, matrix);
    fine.fill(item.fillRule);
    context.setTransform(1, 0, 0, 1, 0, 0);
    context.imageSmoothingEnabled = true;
    context.imageSmoothingQuality = 'high';
    context.drawImage(fine.canvas, left, top, width, height);
    context.setTransform(...matrix);
    return true;
  }

  private strokeItem(context: CanvasRenderingContext2D, item: Item, stroke: StrokePaint, matrix: Matrix): void {
    const units = unitsOf(stroke.paint, item.path);
    if (units === undefined) {
      context.setTransform(...matrix);
      setPen(context, stroke);
      context.strokeStyle = styleOf(context, stroke.paint, matrix);
      return context.stroke();
    }
    // The pen has the item's transform, its paint another: the paint is laid into the drawn line.
    const layer = this.layer();
    layer.setTransform(...matrix);
    layer.beginPath();
    tracePath(layer, item.path);
    setPen(layer, stroke);
    layer.strokeStyle = '#000';
    layer.stroke();
    layer.globalCompositeOperation = 'source-in';
    layer.setTransform(1, 0, 0, 1, 0, 0);
    layer.beginPath();
    layer.rect(0, 0, layer.canvas.width, layer.canvas.height);
    layer.setTransform(...multiply(matrix, units));
    layer.fillStyle = styleOf(layer, stroke.paint, multiply(matrix, units));
    layer.fill();
    lay(layer, context, context.globalAlpha, context.globalCompositeOperation);
    this.spare.push(layer);
  }

  /** A transparent canvas of the picture's size. */
  private layer(): CanvasRenderingContext2D {
    const { width, height, ownerDocument } = this.element;
    const layer = this.spare.pop() ?? contextOf(ownerDocument.createElement('canvas'));
    // A new size, be it the old one, clears a canvas and sets its context back.
    layer.canvas.width = width;
    layer.canvas.height = height;
    return layer;
  }
}

function blendOperation(blend: BlendMode): GlobalCompositeOperation {
  return blend === 'normal' ? 'source-over' : blend;
}

/** Lays one canvas over another of the same size. */
function lay(
  from: CanvasRenderingContext2D,
  onto: CanvasRenderingContext2D,
  opacity: number,
  operation: GlobalCompositeOperation,
): void {
  onto.setTransform(1, 0, 0, 1, 0, 0);
  onto.globalAlpha = opacity;
  onto.globalCompositeOperation = operation;
  onto.drawImage(from.canvas, 0, 0);
}

/** The units of a gradient in fractions of the box of what it paints. */
function unitsOf(paint: Fill, path: Path): Matrix | undefined {
  return typeof paint === 'object' && 'units' in paint && paint.units === 'box' ? boxUnits(pathBox(path)) : undefined;
}

function setPen(context: CanvasRenderingContext2D, stroke: StrokePaint): void {
  context.lineWidth = stroke.width;
  context.lineCap = stroke.cap;
  context.lineJoin = stroke.join;
  context.miterLimit = stroke.miterLimit;
  context.setLineDash(stroke.dash as number[]);
  context.lineDashOffset = stroke.dashOffset;
}

const toRadians = Math.PI / 180;

function tracePath(context: CanvasRenderingContext2D, path: Path): void {
  let open = false;
  for (let i = 0; i < path.length; i += commandLength[path[i]]) {
    const command = path[i];
    switch (command) {
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
        const [, x, y, rx, ry, turned, start, sweep] = path.slice(i, i + 8);
        // Behind a close the standard goes on from the subpath's start; an arc of ours begins anew.
        if (!open) context.moveTo(...ellipsePoint(x, y, rx, ry, turned, start));
        const from = start * toRadians;
        const to = (start + sweep) * toRadians;
        context.ellipse(x, y, rx, ry, turned * toRadians, from, to, sweep < 0);
        break;
      }
      default:
        context.closePath();
    }
    open = command !== close;
  }
}
