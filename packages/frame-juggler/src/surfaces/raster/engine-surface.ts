import { SketchError } from '../../error.ts';
import type { Frame } from '../../frame/frame.ts';
import type { Group, Item, ItemPaint, ItemStroke } from '../../frame/reader.ts';
import { identity, type Matrix } from '../../geometry/matrix.ts';
import { pathBox } from '../../geometry/path.ts';
import { alphaOf } from '../../paint/color.ts';
import { Picture } from '../../paint/picture.ts';
import { givenBy } from '../../schema/given.ts';
import { Compositor, type Backend, type Mixing, type Stage } from '../compositor.ts';
import { bytesPerPixel, Engine, type Bits, type EngineForm } from './engine.ts';
import { blendNumber, Paints } from './paints.ts';

/** How far, in pixels, a drawn curve may be from the true one. */
const tolerance = 0.02;

/** Pixels as drawn: four bytes each, not premultiplied. */
export interface Rendering {
  /** Pixels in a row. */
  readonly width: number;
  /** Rows of pixels. */
  readonly height: number;
  /** Red, green, blue and alpha of each pixel, 0 to 255, row by row; not premultiplied. */
  readonly data: Uint8Array;
  /** Whether every pixel is opaque. */
  readonly opaque: boolean;
}

/** A picture in rows as PNG packs them, each behind the number of its filter. */
export interface PackedRows extends Omit<Rendering, 'data'> {
  readonly bits: Bits;
  /** The bytes of some rows, then of the next, each time in the same place. */
  readonly rows: Iterable<Uint8Array>;
}

/** So many bytes of rows are written at once, that they are still at hand for whoever packs them. */
const bandBytes = 1 << 16;

/** Some rows of a picture: the first, and the one after the last. */
export type Rows = readonly [first: number, end: number];

/** What a raster surface has drawn, as it keeps it: premultiplied, and no more than the rows that it drew. */
export interface KeptPixels {
  readonly width: number;
  readonly height: number;
  readonly rows: Rows;
  /** Four bytes a pixel, or four floats where the picture has sixteen bits a channel. */
  readonly pixels: Uint8Array;
  readonly bits: Bits;
  readonly opaque: boolean;
}

const givenPixels = /* @__PURE__ */ givenBy<KeptPixels>('kept pixels', 'surface.copy()', 'rows', 'pixels');

/** What {@link RasterSurface} is, drawn by whatever form of the engine it is handed: nothing here loads one. */
export class EngineSurface {
  private readonly backend: RasterBackend;
  private readonly compositor: Compositor<number>;

  constructor(form: EngineForm) {
    this.backend = new RasterBackend(form);
    this.compositor = new Compositor(this.backend);
  }

  /**
   * Draws a frame.
   * @param rows draws no others, and keeps no others: all by default
   */
  draw(frame: Frame, rows?: Rows): void {
    this.backend.onlyRows = rows;
    this.compositor.draw(frame);
  }

  /** Forgets the last frame, so that the next begins on its background whatever its carry. */
  reset(): void {
    this.compositor.reset();
  }

  /** What has been drawn, to be put back later. */
  copy(): KeptPixels {
    const { width, height, rows, bits, opaque, premultiplied } = this.backend;
    return { width, height, rows, bits, opaque, pixels: premultiplied.slice() };
  }

  /** Goes back to what {@link copy} gave: the carry of the next frame stands on it. */
  put(kept: KeptPixels): void {
    givenPixels.read('surface.put', 'kept', kept);
    this.backend.put(kept);
    this.compositor.resume();
  }

  /** What has been drawn. */
  picture(): Picture {
    const { width, height, data } = this.drawn;
    return new Picture(width, height, data.slice());
  }

  /** What has been drawn as it is kept, for whoever only wants to know of its alphas: colors are multiplied by those. */
  get premultiplied(): Uint8Array {
    return this.backend.premultiplied;
  }

  /** The size of what has been drawn, in pixels. */
  get size(): { readonly width: number; readonly height: number } {
    const { width, height } = this.backend;
    return { width, height };
  }

  /** What has been drawn, for whoever is done with it before the next frame is: nothing is copied. */
  get drawn(): Rendering {
    const { width, height, opaque } = this.backend;
    return { width, height, data: this.backend.straight(), opaque };
  }

  /** What has been drawn as PNG packs it: its rows, without alpha where every pixel is opaque. @internal */
  get packed(): PackedRows {
    const { width, height, bits, opaque } = this.backend;
    return { width, height, bits, opaque, rows: this.backend.packedRows() };
  }

  /**
   * What has been drawn as three planes of video: brightness, blue and red by BT.709, in the range of television. What is
   * transparent is laid on white.
   * @param wide the width and height of the planes: the picture's own, or one more, for its last column or row once more
   * @param halved whether color is kept for squares of two by two pixels
   */
  videoPlanes(wide: number, high: number, halved: boolean): Uint8Array {
    return this.backend.videoPlanes(wide, high, halved);
  }
}

/** Draws through the engine. A layer is a number of the engine's; the first is what the frame is drawn on. */
class RasterBackend implements Backend<number> {
  readonly fadesAsOne = false;
  readonly wantsGroups = false;
  width = 0;
  height = 0;
  opaque = false;
  /** The rows that are drawn. */
  rows: Rows = [0, 0];
  /** Those that the next frame is to have, where it is not to have all. */
  onlyRows: Rows | undefined;
  private readonly engine: Engine;
  private readonly paints: Paints;
  /** Where pixels are written in another form, and how much room there is. */
  private roomAt = 0;
  private roomBytes = 0;

  constructor(form: EngineForm) {
    this.engine = new Engine(form);
    this.paints = new Paints(this.engine);
  }

  get bits(): Bits {
    return this.engine.bits;
  }

  begin({ width, height, background, carry, toPixels, frame }: Stage): { layer: number; base: Matrix } {
    const { calls } = this.engine;
    const left = this.resize(width, height, this.onlyRows ?? [0, height]) ? 0 : carry;
    if (left === 0) calls.clear(background);
    else if (left < 1) calls.fade(background, left);
    // Nothing that is put over an opaque picture, in whatever blend mode, lets anything through.
    this.opaque = alphaOf(background) === 255 && (left === 0 || this.opaque);
    this.paints.begin();
    this.engine.takePath(frame.path);
    calls.lookAtCanvas();
    return { layer: 0, base: toPixels };
  }

  /** Sets the size of the canvas and the rows of it; whether those are new, with nothing on them. */
  private resize(width: number, height: number, rows: Rows): boolean {
    const [first, end] = rows;
    if (width === this.width && height === this.height && first === this.rows[0] && end === this.rows[1]) return false;
    this.leaveRoom();
    try {
      this.engine.calls.resize(width, height, first, end);
    } catch (cause) {
      const problem = `a picture of ${width} × ${height} pixels does not fit into memory`;
      throw new SketchError({ problem, expected: 'expected a smaller one, or a lower density', cause });
    }
    [this.width, this.height, this.rows] = [width, height, rows];
    return true;
  }

  put({ width, height, rows, opaque, pixels }: KeptPixels): void {
    this.resize(width, height, rows);
    this.opaque = opaque;
    this.engine.bytes(this.engine.calls.pixelsToWrite(), pixels.length).set(pixels);
  }

  end(): void {
    this.engine.calls.paintList();
  }

  open(): number {
    return this.engine.calls.openLayer();
  }

  draw(layer: number, item: Item, matrix: Matrix, mixing: Mixing): void {
    const strength = Math.round(mixing.opacity * 255);
    if (strength === 0) return;
    this.engine.chooseOutline(item.start, item.end, matrix);
    const blend = blendNumber(mixing.blend);
    if (item.fill !== undefined && this.take(layer, item.fill, item, matrix, strength, blend))
      this.engine.calls.fill(item.fillRule === 'evenodd', item.text !== undefined, item.simple, tolerance);
    const { stroke } = item;
    if (hasInk(stroke) && this.take(layer, stroke.paint, item, matrix, strength, blend))
      this.engine.stroke(stroke, tolerance);
  }

  composite(
    layer: number,
    onto: number,
    { opacity, blend }: Mixing,
    mask: number | undefined,
    _: Group | undefined,
  ): void {
    const { calls } = this.engine;
    if (mask !== undefined) {
      calls.maskLayer(layer, mask);
      calls.releaseLayer(mask);
    }
    calls.compositeLayer(layer, onto, Math.round(opacity * 255), blendNumber(blend));
    calls.releaseLayer(layer);
  }

  /** The pixels as they are kept. They are there until the next frame is begun. */
  get premultiplied(): Uint8Array {
    return this.engine.bytes(this.engine.calls.pixelsOf(0), this.count * bytesPerPixel(this.bits));
  }

  private get count(): number {
    return this.width * (this.rows[1] - this.rows[0]);
  }

  /** The pixels as four bytes each, with color no longer multiplied by alpha. */
  straight(): Uint8Array {
    if (this.opaque && this.bits === 8) return this.premultiplied;
    const at = this.room(this.count * 4);
    this.engine.calls.straighten(at);
    return this.engine.bytes(at, this.count * 4);
  }

  *packedRows(): Generator<Uint8Array, undefined> {
    const { calls } = this.engine;
    const length = 1 + (this.width * (this.opaque ? 3 : 4) * this.bits) / 8;
    const count = this.rows[1] - this.rows[0];
    const atOnce = Math.ceil(bandBytes / length);
    for (let from = 0; from < count; from += atOnce) {
      const to = Math.min(count, from + atOnce);
      const at = calls.packRows(this.room((atOnce + 1) * length), !this.opaque, from, to);
      yield this.engine.bytes(at, (to - from) * length);
    }
    return undefined;
  }

  videoPlanes(wide: number, high: number, halved: boolean): Uint8Array {
    const size = halved ? 2 : 1;
    const length = wide * high + 2 * Math.ceil(wide / size) * Math.ceil(high / size);
    const at = this.room(length);
    this.engine.calls.packVideo(at, wide, high, halved);
    return this.engine.bytes(at, length);
  }

  /** The address of so much room for pixels in another form; some bytes more may be written. */
  private room(bytes: number): number {
    if (bytes > this.roomBytes) {
      this.leaveRoom();
      this.roomAt = this.engine.reserve(bytes + 16);
      this.roomBytes = bytes;
    }
    return this.roomAt;
  }

  private leaveRoom(): void {
    if (this.roomBytes > 0) this.engine.calls.release(this.roomAt);
    this.roomBytes = 0;
  }

  /** Takes up what is painted with; false where it paints nothing. */
  private take(layer: number, paint: ItemPaint, item: Item, matrix: Matrix, strength: number, blend: number): boolean {
    const { calls } = this.engine;
    if (typeof paint === 'number') {
      calls.takeColor(layer, paint, strength, blend);
      return true;
    }
    const record = this.paints.recordOf(paint, matrix, () => pathBox(item.outlines, identity, item.start, item.end));
    if (record === undefined) return false;
    calls.takePaint(layer, record, strength, blend);
    return true;
  }
}

function hasInk(stroke: ItemStroke | undefined): stroke is ItemStroke {
  return stroke !== undefined && stroke.width > 0;
}
