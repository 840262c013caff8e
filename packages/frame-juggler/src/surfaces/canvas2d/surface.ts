import type { Frame } from '../../frame/frame.ts';
import type { Group, Item, ItemPaint, ItemStroke } from '../../frame/reader.ts';
import { multiply, type Matrix } from '../../geometry/matrix.ts';
import {
  arc,
  arcPoint,
  close,
  commandLength,
  cubic,
  line,
  move,
  pathBox,
  quad,
  type Path,
} from '../../geometry/path.ts';
import type { BlendMode } from '../../paint/blend.ts';
import { cssColor } from '../../paint/color.ts';
import { fade } from '../../paint/fade.ts';
import { boxUnits } from '../../paint/gradient.ts';
import { Compositor, type Backend, type Mixing, type Stage } from '../compositor.ts';
import { contextOf, drawPicture, hiddenContext, styleOf, type CanvasElement, type Context } from './paint.ts';

/**
 * Draws frames on a canvas of a page or of a worker, which takes the frame's pixel size; under a carry, what it shows is
 * scaled to that. Each item comes with its own resolved transform and paint; the context's own state stack is not used.
 */
export class Canvas2dSurface {
  private readonly compositor: Compositor<Context>;
  private readonly context: Context;

  constructor(
    /** Where it draws. */
    readonly element: CanvasElement,
  ) {
    this.context = contextOf(element);
    this.compositor = new Compositor(new Canvas2dBackend(this.context));
  }

  /** Draws a frame. */
  draw(frame: Frame): void {
    this.compositor.draw(frame);
  }

  /** Forgets the last frame, so that the next begins on its background whatever its carry. */
  reset(): void {
    this.compositor.reset();
  }

  /** What is shown now, to be put back later. */
  copy(): OffscreenCanvas {
    const { width, height } = this.element;
    const copy = new OffscreenCanvas(width, height);
    copyPixels(this.context, contextOf(copy));
    return copy;
  }

  /** Shows again what {@link copy} returned; the next frame's carry continues from it. */
  put(picture: OffscreenCanvas): void {
    const { element } = this;
    if (element.width !== picture.width) element.width = picture.width;
    if (element.height !== picture.height) element.height = picture.height;
    copyPixels(contextOf(picture), this.context);
    this.compositor.resume();
  }
}

function copyPixels(from: Context, onto: Context): void {
  drawOver(from, onto, 1, 'copy');
}

/** How a context is set. */
interface Settings {
  readonly context: Context;
  readonly opacity: number;
  readonly blend: BlendMode;
  matrix: Matrix | undefined;
  fill: ItemPaint | undefined;
  readonly stroke: { -readonly [Key in keyof ItemStroke]?: ItemStroke[Key] };
}

class Canvas2dBackend implements Backend<Context> {
  readonly fadesAsOne = false;
  readonly wantsGroups = false;
  /** Canvases of layers, to be used again. */
  private spare: Context[] = [];
  /** What is set already: setting it again takes as long as drawing. */
  private set: Settings | undefined;

  constructor(private readonly context: Context) {}

  begin({ width, height, background, carry, toPixels }: Stage): { layer: Context; base: Matrix } {
    const { context } = this;
    this.set = undefined;
    const element = context.canvas;
    if (element.width !== width || element.height !== height) {
      const before = carry > 0 ? hiddenContext(element.width, element.height) : undefined;
      if (before !== undefined) copyPixels(context, before);
      element.width = width;
      element.height = height;
      // What is carried over becomes a little softer; to draw all of it again, every frame would have to be run again.
      if (before !== undefined) context.drawImage(before.canvas, 0, 0, width, height);
    }
    context.setTransform(1, 0, 0, 1, 0, 0);
    if (carry === 0) {
      context.globalAlpha = 1;
      context.globalCompositeOperation = 'source-over';
      context.clearRect(0, 0, width, height);
      context.fillStyle = cssColor(background);
      context.fillRect(0, 0, width, height);
    } else if (carry < 1) {
      const pixels = context.getImageData(0, 0, width, height);
      fade(pixels.data, background, carry);
      context.putImageData(pixels, 0, 0);
    }
    return { layer: context, base: toPixels };
  }

  end(): void {
    // All that is drawn is on the canvas.
  }

  open(): Context {
    this.set = undefined;
    const { width, height } = this.context.canvas;
    const layer = this.spare.pop() ?? hiddenContext(width, height);
    // A new size, be it the old one, clears a canvas and sets its context back.
    layer.canvas.width = width;
    layer.canvas.height = height;
    return layer;
  }

  composite(
    layer: Context,
    onto: Context,
    { opacity, blend }: Mixing,
    mask: Context | undefined,
    _: Group | undefined,
  ): void {
    this.set = undefined;
    if (mask !== undefined) {
      drawOver(mask, layer, 1, 'destination-in');
      this.spare.push(mask);
    }
    drawOver(layer, onto, opacity, blendOperation(blend));
    this.spare.push(layer);
  }

  clip(context: Context, region: Item, matrix: Matrix): void {
    this.set = undefined;
    context.save();
    context.setTransform(...matrix);
    context.beginPath();
    tracePath(context, region.outlines, region.start, region.end);
    context.clip(region.fillRule);
  }

  unclip(context: Context): void {
    this.set = undefined;
    context.restore();
  }

  draw(context: Context, item: Item, matrix: Matrix, { opacity, blend }: Mixing): void {
    const { stroke } = item;
    let { fill } = item;
    let { set } = this;
    if (set?.context !== context || set.opacity !== opacity || set.blend !== blend) {
      context.globalAlpha = opacity;
      context.globalCompositeOperation = blendOperation(blend);
      set = this.set = { context, opacity, blend, matrix: undefined, fill: undefined, stroke: {} };
    }
    setTransform(set, matrix);
    if (typeof fill === 'object' && fill.type === 'picture' && fill.smooth) {
      drawPicture(context, fill, matrix);
      fill = undefined;
    }
    if (typeof fill === 'number' && stroke === undefined && isUprightRect(item)) {
      setFill(set, fill, matrix);
      return fillRect(context, item.outlines, item.start);
    }
    context.beginPath();
    if (stroke === undefined && isEllipse(item)) traceEllipse(context, item.outlines, item.start);
    else tracePath(context, item.outlines, item.start, item.end, stroke && stroke.width / 2);
    if (fill !== undefined) {
      // The outline is traced already: from here on the transform is that of the paint.
      const units = unitsOf(fill, item);
      const toPixels = units === undefined ? matrix : multiply(matrix, units);
      setTransform(set, toPixels);
      setFill(set, fill, toPixels);
      context.fill(item.fillRule);
    }
    if (stroke !== undefined && stroke.width > 0) this.strokeItem(set, item, stroke, matrix);
  }

  private strokeItem(set: Settings, item: Item, stroke: ItemStroke, matrix: Matrix): void {
    const { context } = set;
    const units = unitsOf(stroke.paint, item);
    if (units === undefined) {
      setTransform(set, matrix);
      setPen(context, stroke, set.stroke);
      tracePoints(context, item, stroke);
      if (set.stroke.paint !== stroke.paint || typeof stroke.paint !== 'number')
        context.strokeStyle = styleOf(context, (set.stroke.paint = stroke.paint), matrix);
      return context.stroke();
    }
    // The pen has the item's transform, its paint another: the paint is put into the drawn line.
    const layer = this.open();
    layer.setTransform(...matrix);
    layer.beginPath();
    tracePath(layer, item.outlines, item.start, item.end, stroke.width / 2);
    setPen(layer, stroke, {});
    tracePoints(layer, item, stroke);
    layer.strokeStyle = '#000';
    layer.stroke();
    layer.globalCompositeOperation = 'source-in';
    layer.setTransform(1, 0, 0, 1, 0, 0);
    layer.beginPath();
    layer.rect(0, 0, layer.canvas.width, layer.canvas.height);
    layer.setTransform(...multiply(matrix, units));
    layer.fillStyle = styleOf(layer, stroke.paint, multiply(matrix, units));
    layer.fill();
    drawOver(layer, context, set.opacity, context.globalCompositeOperation);
    this.spare.push(layer);
  }
}

function setTransform(set: Settings, matrix: Matrix): void {
  if (set.matrix === matrix) return;
  set.context.setTransform(matrix[0], matrix[1], matrix[2], matrix[3], matrix[4], matrix[5]);
  set.matrix = matrix;
}

/** Gradients and pictures depend on the transform too. */
function setFill(set: Settings, fill: ItemPaint, matrix: Matrix): void {
  if (set.fill === fill && typeof fill === 'number') return;
  set.context.fillStyle = styleOf(set.context, fill, matrix);
  set.fill = fill;
}

function blendOperation(blend: BlendMode): GlobalCompositeOperation {
  return blend === 'normal' ? 'source-over' : blend === 'plus-lighter' ? 'lighter' : blend;
}

/** Draws one canvas over another of the same size. */
function drawOver(from: Context, onto: Context, opacity: number, operation: GlobalCompositeOperation): void {
  onto.setTransform(1, 0, 0, 1, 0, 0);
  onto.globalAlpha = opacity;
  onto.globalCompositeOperation = operation;
  onto.drawImage(from.canvas, 0, 0);
}

/** The units of a gradient in fractions of the box of what it paints. */
function unitsOf(paint: ItemPaint, item: Item): Matrix | undefined {
  const inBox = typeof paint === 'object' && 'units' in paint && paint.units === 'box';
  return inBox ? boxUnits(pathBox(item.path)) : undefined;
}

/** @param set what of a pen is set already */
function setPen(context: Context, stroke: ItemStroke, set: Settings['stroke']): void {
  const { width, cap, join, miterLimit, dash, dashOffset } = stroke;
  if (set.width !== width) context.lineWidth = set.width = width;
  if (set.cap !== cap) context.lineCap = set.cap = cap;
  if (set.join !== join) context.lineJoin = set.join = join;
  if (set.miterLimit !== miterLimit) context.miterLimit = set.miterLimit = miterLimit;
  if (set.dash !== dash) context.setLineDash((set.dash = dash) as number[]);
  if (set.dashOffset !== dashOffset) context.lineDashOffset = set.dashOffset = dashOffset;
}

const toRadians = Math.PI / 180;

/** Whether an outline is one rectangle with sides along both axes, and nothing else. */
function isUprightRect({ outlines: path, start: i, end }: Item): boolean {
  return (
    end - i === 4 * commandLength[line] + 1 &&
    path[i] === move &&
    path[i + 3] === line &&
    path[i + 6] === line &&
    path[i + 9] === line &&
    path[i + 12] === close &&
    path[i + 2] === path[i + 5] &&
    path[i + 4] === path[i + 7] &&
    path[i + 8] === path[i + 11] &&
    path[i + 10] === path[i + 1]
  );
}

/** Such a rectangle, filled: browsers draw one that is told as what it is in two thirds of the time. */
function fillRect(context: Context, path: Path, i: number): void {
  context.fillRect(path[i + 1], path[i + 2], path[i + 4] - path[i + 1], path[i + 8] - path[i + 2]);
}

/** Whether an outline is one whole ellipse and nothing else. */
function isEllipse({ outlines, start, end }: Item): boolean {
  const length = commandLength[arc];
  return end - start === length + 1 && outlines[start] === arc && Math.abs(outlines[start + 7]) === 360;
}

/**
 * An ellipse that is filled only. Browsers draw one that neither begins with a point nor is closed by a line twice as
 * fast, as they know it for what it is; a circle that is told as one is a fifth faster again.
 */
function traceEllipse(context: Context, path: Path, i: number): void {
  const [x, y, rx, ry] = [path[i + 1], path[i + 2], path[i + 3], path[i + 4]];
  if (rx === ry) context.arc(x, y, rx, 0, 2 * Math.PI);
  else context.ellipse(x, y, rx, ry, path[i + 5] * toRadians, 0, 2 * Math.PI);
}

/** Subpaths of no length: under round and square caps they are a dot, which browsers leave out. */
function tracePoints(context: Context, { outlines: path, start, end }: Item, { cap, width }: ItemStroke): void {
  if (cap === 'butt') return;
  let [x, y] = [0, 0];
  let open = false;
  let isFresh = false;
  let isPoint = false;
  const finish = (): void => {
    if (isPoint) context.moveTo(x, y);
    if (isPoint) context.lineTo(x + width / 1000, y);
    isPoint = false;
  };
  for (let i = start; i < end; i += commandLength[path[i]]) {
    const command = path[i];
    if (command === close) {
      isPoint ||= isFresh;
      finish();
    } else if (command === move) {
      finish();
      [x, y] = [path[i + 1], path[i + 2]];
      isFresh = true;
    } else {
      if (!open && command === arc) [x, y] = arcPoint(path, i, path[i + 6]);
      isPoint = (isFresh || isPoint || !open) && staysAt(path, i, x, y);
      isFresh = false;
    }
    open = command !== close;
  }
  finish();
}

/** Whether a command of a path leads nowhere else than where it begins. */
function staysAt(path: Path, i: number, x: number, y: number): boolean {
  if (path[i] === arc) return path[i + 7] === 0 || (path[i + 3] === 0 && path[i + 4] === 0);
  for (let at = i + 1; at < i + commandLength[path[i]]; at += 2) if (path[at] !== x || path[at + 1] !== y) return false;
  return true;
}

/** Chords of this many degrees stand for an arc of less radius than the pen along it has: of it, browsers leave the middle out. */
const chord = 3;

/** The radius of an ellipse where it bends most. */
function leastRadius(rx: number, ry: number): number {
  return rx < ry ? (rx * rx) / ry : (ry * ry) / (rx || 1);
}

/** @param half half the width of the pen that is led along it */
function tracePath(context: Context, path: Path, start: number, end: number, half = 0): void {
  let open = false;
  for (let i = start; i < end; i += commandLength[path[i]]) {
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
        const [begins, sweep] = [path[i + 6], path[i + 7]];
        // After a close, the standard continues from the subpath's start, but our arcs begin a new subpath.
        if (!open) context.moveTo(...arcPoint(path, i, begins));
        if (half > leastRadius(path[i + 3], path[i + 4])) {
          const chords = Math.ceil(Math.abs(sweep) / chord) || 1;
          for (let n = 0; n <= chords; n++) context.lineTo(...arcPoint(path, i, begins + (sweep * n) / chords));
          break;
        }
        const from = begins * toRadians;
        const to = (begins + sweep) * toRadians;
        const turn = path[i + 5] * toRadians;
        context.ellipse(path[i + 1], path[i + 2], path[i + 3], path[i + 4], turn, from, to, sweep < 0);
        break;
      }
      default:
        context.closePath();
    }
    open = command !== close;
  }
}
