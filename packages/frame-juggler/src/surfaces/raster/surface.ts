import type { Frame } from '../../frame/frame.ts';
import type { Group, Item, ItemPaint, ItemStroke } from '../../frame/reader.ts';
import { padBox, type Box } from '../../geometry/box.ts';
import { dash } from '../../geometry/dash.ts';
import type { FillRule } from '../../geometry/fill-rule.ts';
import { flatten } from '../../geometry/flatten.ts';
import { apply, identity, inverse, largestScale, type Matrix } from '../../geometry/matrix.ts';
import { pathBox } from '../../geometry/path.ts';
import { Polylines } from '../../geometry/polyline.ts';
import { strokeOutline } from '../../geometry/stroke.ts';
import { alphaOf } from '../../paint/color.ts';
import { fade } from '../../paint/fade.ts';
import { Picture } from '../../paint/picture.ts';
import { Compositor, type Backend, type Mixing, type Stage } from '../compositor.ts';
import { composite, maskBy, paintRuns } from './composite.ts';
import { Coverage, Runs } from './coverage.ts';
import { Pixels, premultiply, unpremultiply } from './pixels.ts';
import { shaderOf } from './shader.ts';

/** How far, in pixels, a drawn curve may be from the true one. */
const tolerance = 0.02;

/** Pixels as they were drawn: four bytes each, not premultiplied. */
export interface Rendering {
  readonly width: number;
  readonly height: number;
  readonly data: Uint8Array;
  /** Whether every pixel is opaque. */
  readonly opaque: boolean;
}

/**
 * Draws frames into memory, by exact area coverage. It keeps its pixels from frame to frame, so that a frame with a
 * carry stands over what is left of the last one. The same frames give the same bytes everywhere.
 */
export class RasterSurface {
  private readonly backend = new RasterBackend();
  private readonly compositor = new Compositor(this.backend);

  /** Draws a frame. */
  draw(frame: Frame): void {
    this.compositor.draw(frame);
  }

  /** Forgets the last frame, so that the next begins on its background whatever its carry. */
  reset(): void {
    this.compositor.reset();
  }

  /** What has been drawn. */
  picture(): Picture {
    const { pixels, opaque } = this.backend;
    return new Picture(pixels.width, pixels.height, opaque ? pixels.bytes.slice() : unpremultiply(pixels));
  }

  /** What has been drawn as it is kept, for whoever only wants to know of its alphas: colors are multiplied by those. */
  get premultiplied(): Uint8Array {
    return this.backend.pixels.bytes;
  }

  /** What has been drawn, for whoever is done with it before the next frame is: where it is opaque, nothing is copied. */
  get drawn(): Rendering {
    const { pixels, opaque } = this.backend;
    const { width, height } = pixels;
    return { width, height, data: opaque ? pixels.bytes : unpremultiply(pixels), opaque };
  }
}

class RasterBackend implements Backend<Pixels> {
  readonly fadesAsOne = false;
  readonly wantsGroups = false;
  pixels = new Pixels(1, 1);
  opaque = false;
  private coverage = new Coverage(1, 1);
  /** Buffers of layers, to be used again. */
  private spare: Pixels[] = [];
  private readonly lines = new Polylines();
  private readonly dashes = new Polylines();
  private readonly outline = new Polylines();
  private readonly runs = new Runs();

  begin({ width, height, background, carry, toPixels }: Stage): { layer: Pixels; base: Matrix } {
    let left = carry;
    if (width !== this.pixels.width || height !== this.pixels.height) {
      this.pixels = new Pixels(width, height);
      this.coverage = new Coverage(width, height);
      this.spare = [];
      left = 0;
    }
    if (left === 0) this.pixels.fill(background);
    else if (left < 1) fade(this.pixels.bytes, premultiply(background, 255), left);
    // Nothing that is put over an opaque picture, in whatever blend mode, lets anything through.
    this.opaque = alphaOf(background) === 255 && (left === 0 || this.opaque);
    return { layer: this.pixels, base: toPixels };
  }

  end(): void {
    // All that is drawn is in the pixels.
  }

  open(): Pixels {
    const layer = this.spare.pop() ?? new Pixels(this.pixels.width, this.pixels.height);
    layer.clear();
    return layer;
  }

  draw(layer: Pixels, item: Item, matrix: Matrix, mixing: Mixing): void {
    this.fillItem(layer, item, matrix, mixing);
    if (item.stroke !== undefined && item.stroke.width > 0) this.strokeItem(layer, item, item.stroke, matrix, mixing);
  }

  composite(
    layer: Pixels,
    onto: Pixels,
    { opacity, blend }: Mixing,
    mask: Pixels | undefined,
    _: Group | undefined,
  ): void {
    if (mask !== undefined) {
      maskBy(layer, mask);
      this.spare.push(mask);
    }
    composite(layer, onto, Math.round(opacity * 255), blend);
    this.spare.push(layer);
  }

  private fillItem(layer: Pixels, item: Item, matrix: Matrix, mixing: Mixing): void {
    if (item.fill === undefined) return;
    this.lines.clear();
    flatten(item.outlines, matrix, tolerance, this.visible(), this.lines, item.start, item.end);
    this.paint(layer, this.lines, item.fillRule, item.fill, item, matrix, mixing);
  }

  /** The pen's outline is made in the item's own units and then transformed, as SVG draws strokes. */
  private strokeItem(layer: Pixels, item: Item, stroke: ItemStroke, matrix: Matrix, mixing: Mixing): void {
    const ownTolerance = tolerance / largestScale(matrix);
    const seen = padBox(boxUnder(inverse(matrix)!, this.visible()), stroke.width);
    this.lines.clear();
    flatten(item.outlines, identity, ownTolerance, seen, this.lines, item.start, item.end);
    this.outline.clear();
    strokeOutline(this.dashed(stroke), stroke, ownTolerance, this.outline);
    transformPoints(this.outline, matrix);
    this.paint(layer, this.outline, 'nonzero', stroke.paint, item, matrix, mixing);
  }

  /** The lines at hand, cut into dashes where the stroke has any. */
  private dashed(stroke: ItemStroke): Polylines {
    if (stroke.dash.length === 0) return this.lines;
    this.dashes.clear();
    dash(this.lines, stroke.dash, stroke.dashOffset, this.dashes);
    return this.dashes;
  }

  private paint(
    layer: Pixels,
    lines: Polylines,
    rule: FillRule,
    paint: ItemPaint,
    item: Item,
    matrix: Matrix,
    { opacity, blend }: Mixing,
  ): void {
    const strength = Math.round(opacity * 255);
    if (strength === 0) return;
    this.runs.clear();
    if (!this.coverage.rectangle(lines, this.runs)) {
      this.coverage.addPolylines(lines);
      this.coverage.takeRuns(rule, this.runs);
    }
    const box = (): Box => pathBox(item.outlines, identity, item.start, item.end);
    const source = typeof paint === 'number' ? paint : shaderOf(paint, matrix, box);
    if (source !== undefined) paintRuns(layer, this.runs, source, strength, blend);
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
