import { blendModes, type BlendMode } from '../../paint/blend.ts';
import type { Box } from '../../geometry/box.ts';
import { identity, inverse, multiply, type Matrix } from '../../geometry/matrix.ts';
import type { ItemPaint } from '../../frame/reader.ts';
import { alphaOf } from '../../paint/color.ts';
import { boxUnits, type ConicGradient, type Gradient, type LinearGradient, type RadialGradient, type Spread } from '../../paint/gradient.ts'; // prettier-ignore
import type { PictureData } from '../../paint/picture.ts';
import { reduce, type PixelBox } from '../../paint/reduce.ts';
import type { Engine } from './engine.ts';

/*
 * Gradients and pictures as the engine takes them: a record of numbers, whose places are told in engine/shade.ts, and
 * their colors or pixels in its memory, which are kept as long as frames use them.
 */

type TablePaint = Exclude<ItemPaint, number>;
type PaintOf<Type> = Extract<TablePaint, { type: Type }>;

/** What the engine calls kinds of paint, and how a gradient goes on beyond its ends. */
const kinds = { linear: 0, around: 1, radial: 2, conic: 3, picture: 4 };
const spreads: Record<Spread, number> = { pad: 0, repeat: 1, reflect: 2 };

const recordLength = 15;
/** A gradient's colors are a table of this many entries and one, or its stops if two are closer than the table can show. */
const tableSize = 1024;

/** The place of a blend mode among all. */
export function blendNumber(mode: BlendMode): number {
  return mode === 'normal' ? 0 : blendModes.indexOf(mode);
}

/** Colors or pixels in the engine's memory. */
interface Kept {
  readonly at: number;
  readonly opaque: boolean;
  /** The frame that used them last. */
  used: number;
}

/** The paints of one engine. */
export class Paints {
  private readonly record: number;
  private readonly kept = new Map<object, Kept>();
  private frame = 0;

  constructor(private readonly engine: Engine) {
    this.record = engine.reserve(recordLength * 8);
  }

  /** Begins a frame: what the last one did not use is forgotten. */
  begin(): void {
    for (const [key, { at, used }] of this.kept)
      if (used < this.frame) {
        this.engine.calls.release(at);
        this.kept.delete(key);
      }
    this.frame++;
  }

  /**
   * Writes a paint's record; its address, or undefined where it paints nothing.
   * @param toPixels from the item's units to pixels
   * @param box the box of the item's outline in its own units, for gradients in fractions of it
   */
  recordOf(paint: TablePaint, toPixels: Matrix, box: () => Box): number | undefined {
    const write = writers[paint.type] as Writer<TablePaint>;
    const record = write(this, paint, toPixels, box);
    if (record === undefined) return undefined;
    this.engine.numbers(this.record, recordLength).set(record);
    return this.record;
  }

  /** A gradient's colors: a table of them, or its stops; and how many of those. */
  colorsOf(gradient: Gradient): { at: number; stops: number; opaque: boolean } {
    const { stops } = gradient;
    // A table has too few colors for sixteen bits.
    const isFine =
      this.engine.bits > 8 || stops.some((stop, i) => i > 0 && stop.offset - stops[i - 1].offset < 4 / tableSize);
    const { at, opaque } = this.keep(stops, () => {
      const { calls } = this.engine;
      const listed = this.engine.reserve(stops.length * 16);
      this.engine.numbers(listed, stops.length * 2).set(stops.flatMap(({ offset, color }) => [offset, color >>> 0]));
      const isOpaque = stops.every(({ color }) => alphaOf(color) === 255);
      if (isFine) return { at: listed, opaque: isOpaque };
      const table = this.engine.reserve((tableSize + 1) * 4);
      calls.fillTable(listed, stops.length, table);
      calls.release(listed);
      return { at: table, opaque: isOpaque };
    });
    return { at, opaque, stops: isFine ? stops.length : 0 };
  }

  /** A picture's pixels, premultiplied. */
  pixelsOf(picture: PictureData): { at: number; opaque: boolean } {
    return this.keep(picture, () => {
      const { calls } = this.engine;
      const at = this.engine.reserve(picture.data.length);
      this.engine.bytes(at, picture.data.length).set(picture.data);
      return { at, opaque: calls.premultiplyAll(at, picture.width * picture.height) !== 0 };
    });
  }

  private keep(key: object, make: () => { at: number; opaque: boolean }): Kept {
    let kept = this.kept.get(key);
    if (kept === undefined) this.kept.set(key, (kept = { ...make(), used: this.frame }));
    kept.used = this.frame;
    return kept;
  }
}

type Writer<Paint> = (paints: Paints, paint: Paint, toPixels: Matrix, box: () => Box) => readonly number[] | undefined;

const writers: { [Type in TablePaint['type']]: Writer<PaintOf<Type>> } = {
  linear: gradientWriter(linearRecord),
  radial: gradientWriter(radialRecord),
  conic: gradientWriter(conicRecord),
  pattern: (paints, { picture, transform, smooth }, toPixels) => {
    const { width, height } = picture;
    return pictureRecord(paints, picture, { x: 0, y: 0, width, height }, multiply(toPixels, transform), smooth, true);
  },
  picture: (paints, { picture, crop, transform, smooth }, toPixels) =>
    pictureRecord(paints, picture, crop, multiply(toPixels, transform), smooth, false),
};

/** A gradient's kind and its geometry, by the transform that leads from pixels to where it is told. */
type Geometry<G> = (gradient: G, back: Matrix) => { kind: number; geometry: readonly number[] } | undefined;

function gradientWriter<G extends Gradient>(geometryOf: Geometry<G>): Writer<G> {
  return (paints, gradient, toPixels, box) => {
    const back = inverse(gradient.units === 'box' ? multiply(toPixels, boxUnits(box())) : toPixels);
    const found = back && geometryOf(gradient, back);
    if (found === undefined) return undefined;
    const { at, opaque, stops } = paints.colorsOf(gradient);
    return [found.kind, Number(opaque), spreads[gradient.spread], at, stops, 0, ...found.geometry];
  };
}

function linearRecord({ from, to }: LinearGradient, [a, b, c, d, e, f]: Matrix): ReturnType<Geometry<LinearGradient>> {
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
  const square = dx * dx + dy * dy;
  if (square === 0) return undefined;
  const perPixel = (a * dx + b * dy) / square;
  const perRow = (c * dx + d * dy) / square;
  return { kind: kinds.linear, geometry: [((e - from[0]) * dx + (f - from[1]) * dy) / square, perPixel, perRow] };
}

function radialRecord(
  { at, radius, focus }: RadialGradient,
  [a, b, c, d, e, f]: Matrix,
): ReturnType<Geometry<RadialGradient>> {
  if (radius === 0) return undefined;
  const [cx, cy] = [at[0] - focus[0], at[1] - focus[1]];
  // Without a focus of its own, a gradient runs by the distance from its center.
  if (cx === 0 && cy === 0) {
    const geometry = [a, c, e - at[0], b, d, f - at[1]].map((part) => part / radius);
    return { kind: kinds.around, geometry };
  }
  const square = radius * radius - cx * cx - cy * cy;
  return { kind: kinds.radial, geometry: [a, b, c, d, e - focus[0], f - focus[1], cx, cy, square] };
}

function conicRecord({ at, start }: ConicGradient, [a, b, c, d, e, f]: Matrix): ReturnType<Geometry<ConicGradient>> {
  return { kind: kinds.conic, geometry: [a, b, c, d, e - at[0], f - at[1], start / 360] };
}

/** @param fromPicture from the picture's pixels to the screen's */
function pictureRecord(
  paints: Paints,
  whole: PictureData,
  part: PixelBox,
  fromPicture: Matrix,
  smooth: boolean,
  tiled: boolean,
): readonly number[] | undefined {
  // Crisp pixels are taken as they are, and so is a part that is the whole.
  const { picture, perPixelX, perPixelY } = reduce(whole, part, smooth ? fromPicture : identity);
  const back = inverse(fromPicture);
  if (back === undefined) return undefined;
  const { at, opaque } = paints.pixelsOf(picture);
  const [a, b, c, d, e, f] = back;
  return [
    kinds.picture,
    Number(opaque),
    Number(tiled),
    at,
    picture.width,
    picture.height,
    a / perPixelX,
    b / perPixelY,
    c / perPixelX,
    d / perPixelY,
    e / perPixelX,
    f / perPixelY,
    Number(smooth),
  ];
}
