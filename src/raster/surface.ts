import { pictureSize, type Frame, type Item, type StrokePaint } from '../canvas/frame.ts';
import { padBox, type Box } from '../geometry/box.ts';
import { dash } from '../geometry/dash.ts';
import { flatten } from '../geometry/flatten.ts';
import { apply, identity, inverse, largestScale, multiply, scaling, type Matrix } from '../geometry/matrix.ts';
import type { Path } from '../geometry/path.ts';
import { Polylines } from '../geometry/polyline.ts';
import { strokeOutline } from '../geometry/stroke.ts';
import { alphaOf, pack, redOf, greenOf, blueOf, type PackedColor } from '../paint/color.ts';
import { Coverage, Runs } from './coverage.ts';
import { composite, fade, fillRuns, Pixels, premultiply, straight } from './pixels.ts';

/** How far, in pixels, a drawn curve may be from the true one. */
const tolerance = 0.02;

/** A picture: four bytes a pixel, red, green, blue, alpha, not premultiplied, row by row from the top. */
export interface Picture {
  readonly width: number;
  readonly height: number;
  readonly data: Uint8Array;
}

/**
 * Draws frames into memory, by exact area coverage. It keeps its pixels from frame to frame, so that a frame with a
 * carry stands over what is left of the last one. The same frames give the same bytes everywhere.
 */
export class RasterSurface {
  private pixels = new Pixels(1, 1);
  private coverage = new Coverage(1, 1);
  private spare: Pixels | undefined;
  private empty = true;
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
      this.spare = undefined;
      this.empty = true;
    }
    if (frame.carry === 0 || this.empty) this.pixels.fill(frame.background);
    else if (frame.carry < 1) fade(this.pixels.bytes, premultiply(frame.background, 255), frame.carry);
    this.empty = false;
    const toPixels = multiply(scaling(width / frame.width, height / frame.height), frame.view);
    for (const item of frame.items) this.drawItem(item, toPixels);
  }

  /** What has been drawn. */
  picture(): Picture {
    return { width: this.pixels.width, height: this.pixels.height, data: straight(this.pixels) };
  }

  /** Forgets the last frame, so that the next begins on its background whatever its carry. */
  reset(): void {
    this.empty = true;
  }

  private drawItem(item: Item, toPixels: Matrix): void {
    const { fill, stroke, opacity } = item;
    if (opacity === 0) return;
    const matrix = multiply(toPixels, item.transform);
    const back = inverse(matrix);
    if (back === undefined) return;
    if (opacity < 1 && fill !== undefined && stroke !== undefined) {
      // Fill and stroke fade together, as one picture.
      const layer = (this.spare ??= new Pixels(this.pixels.width, this.pixels.height));
      layer.fill(0);
      this.fillPath(layer, item.path, matrix, fill);
      this.strokePath(layer, item.path, matrix, back, stroke, stroke.paint);
      composite(layer, this.pixels, Math.round(opacity * 255));
      return;
    }
    if (fill !== undefined) this.fillPath(this.pixels, item.path, matrix, faded(fill, opacity));
    if (stroke !== undefined)
      this.strokePath(this.pixels, item.path, matrix, back, stroke, faded(stroke.paint, opacity));
  }

  private fillPath(target: Pixels, path: Path, matrix: Matrix, color: PackedColor): void {
    this.lines.clear();
    flatten(path, matrix, tolerance, this.visible(), this.lines);
    this.paint(target, this.lines, color);
  }

  /** The pen's outline is made in the item's own units and then transformed, as SVG draws strokes. */
  private strokePath(
    target: Pixels,
    path: Path,
    matrix: Matrix,
    back: Matrix,
    stroke: StrokePaint,
    color: PackedColor,
  ): void {
    if (stroke.width === 0) return;
    const own = tolerance / largestScale(matrix);
    this.lines.clear();
    flatten(path, identity, own, padBox(boxUnder(back, this.visible()), stroke.width), this.lines);
    let spine = this.lines;
    if (stroke.dash.length > 0) {
      this.dashes.clear();
      dash(this.lines, stroke.dash, stroke.dashOffset, this.dashes);
      spine = this.dashes;
    }
    this.outline.clear();
    strokeOutline(spine, stroke, own, this.outline);
    transformPoints(this.outline, matrix);
    this.paint(target, this.outline, color);
  }

  private paint(target: Pixels, lines: Polylines, color: PackedColor): void {
    this.coverage.addPolylines(lines);
    this.runs.clear();
    this.coverage.sweep('nonzero', this.runs);
    fillRuns(target, this.runs, color);
  }

  private visible(): Box {
    return { left: 0, top: 0, right: this.pixels.width, bottom: this.pixels.height };
  }
}

function faded(color: PackedColor, opacity: number): PackedColor {
  if (opacity === 1) return color;
  return pack(redOf(color), greenOf(color), blueOf(color), alphaOf(color) * opacity);
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
