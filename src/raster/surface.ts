import { pictureSize, type Frame, type Item, type StrokePaint } from '../canvas/frame.ts';
import { drawnApart, walk } from '../canvas/painter-order.ts';
import { padBox, type Box } from '../geometry/box.ts';
import { dash } from '../geometry/dash.ts';
import type { FillRule } from '../geometry/fill-rule.ts';
import { flatten } from '../geometry/flatten.ts';
import { apply, identity, inverse, largestScale, multiply, scaling, type Matrix } from '../geometry/matrix.ts';
import { pathBox, type Path } from '../geometry/path.ts';
import { Polylines } from '../geometry/polyline.ts';
import { strokeOutline } from '../geometry/stroke.ts';
import type { BlendMode } from '../paint/blend.ts';
import { alphaOf } from '../paint/color.ts';
import type { Fill } from '../paint/paint.ts';
import { Picture } from '../paint/picture.ts';
import { Coverage, Runs } from './coverage.ts';
import { composite, fade, maskBy, paintRuns, Pixels, premultiply, straight } from './pixels.ts';
import { shaderOf } from './shader.ts';

/** How far, in pixels, a drawn curve may be from the true one. */
const tolerance = 0.02;

/**
 * Draws frames into memory, by exact area coverage. It keeps its pixels from frame to frame, so that a frame with a
 * carry stands over what is left of the last one. The same frames give the same bytes everywhere.
 */
export class RasterSurface {
  private pixels = new Pixels(1, 1);
  private coverage = new Coverage(1, 1);
  /** Buffers for what is drawn apart, to be used again. */
  private spare: Pixels[] = [];
  private empty = true;
  private opaque = false;
  private readonly lines = new Polylines();
  private readonly dashes = new Polylines();
  private readonly outline = new Polylines();
  private readonly runs = new Runs();

  /** Draws a frame. */
  draw(frame: Frame): void {
    const { width, height } = pictureSize(frame);
    if (width !== this.pixels.width || height !== this.pixels.height) {
      this.pixels = new Pixels(width, height);
      this.coverage = new Coverage(width, height);
      this.spare = [];
      this.empty = true;
    }
    if (frame.carry === 0 || this.empty) this.pixels.fill(frame.background);
    else if (frame.carry < 1) fade(this.pixels.bytes, premultiply(frame.background, 255), frame.carry);
    // Nothing that is laid over an opaque picture, in whatever blend mode, lets anything through.
    this.opaque = alphaOf(frame.background) === 255 && (frame.carry === 0 || this.empty || this.opaque);
    this.empty = false;
    const toPixels = multiply(scaling(width / frame.width, height / frame.height), frame.view);
    this.drawItems(frame.items, toPixels, this.pixels);
  }

  /** What has been drawn. */
  picture(): Picture {
    return new Picture(
      this.pixels.width,
      this.pixels.height,
      this.opaque ? this.pixels.bytes.slice() : straight(this.pixels),
    );
  }

  /** What has been drawn, for whoever is done with it before the next frame is: where it is opaque, nothing is copied. */
  get drawn(): Pick<Picture, 'width' | 'height' | 'data'> & { readonly opaque: boolean } {
    const { pixels, opaque } = this;
    return { width: pixels.width, height: pixels.height, data: opaque ? pixels.bytes : straight(pixels), opaque };
  }

  /** Forgets the last frame, so that the next begins on its background whatever its carry. */
  reset(): void {
    this.empty = true;
  }

  private drawItems(items: readonly Item[], toPixels: Matrix, onto: Pixels): void {
    const targets = [onto];
    walk(items, {
      enter: () => void targets.push(this.buffer()),
      leave: (group) => {
        const layer = targets.pop() as Pixels;
        if (group.clip !== undefined) {
          const mask = this.buffer();
          this.drawItems(group.clip, toPixels, mask);
          maskBy(layer, mask);
          this.spare.push(mask);
        }
        composite(layer, targets[targets.length - 1], Math.round(group.opacity * 255), group.blend);
        this.spare.push(layer);
      },
      item: (item) => this.drawItem(item, toPixels, targets[targets.length - 1]),
    });
  }

  /** A transparent buffer of the picture's size. */
  private buffer(): Pixels {
    const buffer = this.spare.pop() ?? new Pixels(this.pixels.width, this.pixels.height);
    buffer.clear();
    return buffer;
  }

  private drawItem(item: Item, toPixels: Matrix, target: Pixels): void {
    const opacity = Math.round(item.opacity * 255);
    const matrix = multiply(toPixels, item.transform);
    const back = inverse(matrix);
    // What a transform squashes flat is not drawn.
    if (opacity === 0 || back === undefined) return;
    if (drawnApart(item)) {
      const layer = this.buffer();
      this.fillItem(layer, item, matrix, 255, 'normal');
      this.strokeItem(layer, item, matrix, back, 255, 'normal');
      composite(layer, target, opacity, item.blend);
      this.spare.push(layer);
      return;
    }
    this.fillItem(target, item, matrix, opacity, item.blend);
    this.strokeItem(target, item, matrix, back, opacity, item.blend);
  }

  private fillItem(target: Pixels, item: Item, matrix: Matrix, opacity: number, blend: BlendMode): void {
    if (item.fill === undefined) return;
    this.lines.clear();
    flatten(item.path, matrix, tolerance, this.visible(), this.lines);
    this.paint(target, this.lines, item.fillRule, item.fill, item.path, matrix, opacity, blend);
  }

  /** The pen's outline is made in the item's own units and then transformed, as SVG draws strokes. */
  private strokeItem(
    target: Pixels,
    item: Item,
    matrix: Matrix,
    back: Matrix,
    opacity: number,
    blend: BlendMode,
  ): void {
    const { stroke } = item;
    if (stroke === undefined || stroke.width === 0) return;
    const own = tolerance / largestScale(matrix);
    this.lines.clear();
    flatten(item.path, identity, own, padBox(boxUnder(back, this.visible()), stroke.width), this.lines);
    this.outline.clear();
    strokeOutline(this.dashed(stroke), stroke, own, this.outline);
    transformPoints(this.outline, matrix);
    this.paint(target, this.outline, 'nonzero', stroke.paint, item.path, matrix, opacity, blend);
  }

  /** The lines at hand, cut into dashes where the stroke has any. */
  private dashed(stroke: StrokePaint): Polylines {
    if (stroke.dash.length === 0) return this.lines;
    this.dashes.clear();
    dash(this.lines, stroke.dash, stroke.dashOffset, this.dashes);
    return this.dashes;
  }

  private paint(
    target: Pixels,
    lines: Polylines,
    rule: FillRule,
    fill: Fill,
    path: Path,
    matrix: Matrix,
    opacity: number,
    blend: BlendMode,
  ): void {
    this.runs.clear();
    if (!this.coverage.rectangle(lines, this.runs)) {
      this.coverage.addPolylines(lines);
      this.coverage.sweep(rule, this.runs);
    }
    const source = typeof fill === 'number' ? fill : shaderOf(fill, matrix, () => pathBox(path));
    if (source !== undefined) paintRuns(target, this.runs, source, opacity, blend);
  }

  private visible(): Box {
    return { left: 0, top: 0, right: this.pixels.width, bottom: this.pixels.height };
  }
}

/** The upright box about a transformed box. */
function boxUnder(m: Matrix, box: Box): Box {
  const corners = [
    apply(m, box.left, box.top),
    apply(m, box.right, box.top),
    apply(m, box.right, box.bottom),
    apply(m, box.left, box.bottom),
  ];
  const xs = corners.map(([x]) => x);
  const ys = corners.map(([, y]) => y);
  return { left: Math.min(...xs), top: Math.min(...ys), right: Math.max(...xs), bottom: Math.max(...ys) };
}

function transformPoints(lines: Polylines, [a, b, c, d, e, f]: Matrix): void {
  const { points, count } = lines;
  for (let i = 0; i < count * 2; i += 2) {
    const x = points[i];
    const y = points[i + 1];
    points[i] = a * x + c * y + e;
    points[i + 1] = b * x + d * y + f;
  }
}

/** Draws one frame by itself. */
export function rasterize(frame: Frame): Picture {
  const surface = new RasterSurface();
  surface.draw(frame);
  return surface.picture();
}
