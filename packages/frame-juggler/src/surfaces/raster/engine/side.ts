import { addArea, left, one } from './cells.ts';
import { bytesOf, coverages, paintCoverages } from './row.ts';
import { paintBand, paintEight, paintEven } from './spans.ts';

/*
 * What one side of an outline has in a row of pixels: pieces of edges, one below the other. Where it is steep, so that it
 * stays within a few pixels, how much of a pixel lies right of it is the difference of an integral at the pixel's borders:
 * found for four pixels at a time, and without a branch that the processor could only guess.
 */

/** A side with more pieces than this goes to the cells. */
const maxPieces: i32 = 16;
/** Steep sides stay within this many pixels. */
const few: f64 = 4;

/** A part of an edge, from left to right. Columns are counted from the shape's first. */
@unmanaged
class Piece {
  from: f64 = 0;
  to: f64 = 0;
  /** Its height as an area of cells, and as a part of the row. */
  area: i32 = 0;
  height: f32 = 0;
  wide: f32 = 0;
  /** One half over its width; 0 if it is upright. */
  half: f32 = 0;
}

/** An area of cells as a part of a row's height. */
const perCell: f32 = <f32>(1.0 / <f64>one);
const pieceBytes: i32 = 40;

@unmanaged
export class Side {
  /** How its edges wind, 1 or -1. */
  sign: i32 = 0;
  count: i32 = 0;
  /** How far left and right it reaches. */
  least: f64 = 0;
  most: f64 = 0;
  /** Its height in the row, as an area of cells. */
  area: i32 = 0;
  pieces: usize = 0;
  /** The cells that take what it has no room for, and whether that has been the case in this row. */
  cells: usize = 0;
  isInCells: bool = false;

  /** Begins with a row. */
  @inline
  clear(): void {
    this.count = 0;
    this.area = 0;
    this.least = Infinity;
    this.most = -Infinity;
    this.isInCells = false;
  }

  @inline
  private pieceAt(i: i32): Piece {
    return changetype<Piece>(this.pieces + i * pieceBytes);
  }

  /** Adds a part of an edge. */
  @inline
  add(x0: f64, x1: f64, area: i32): void {
    if (this.count === maxPieces) this.moveToCells();
    const piece = this.pieceAt(this.count++);
    const from = x0 < x1 ? x0 : x1;
    const to = x0 < x1 ? x1 : x0;
    const wide = <f32>(to - from);
    piece.from = from;
    piece.to = to;
    piece.area = area;
    piece.height = <f32>area * perCell;
    piece.wide = wide;
    piece.half = wide > 0 ? <f32>0.5 / wide : 0;
    this.area += area;
    this.least = from < this.least ? from : this.least;
    this.most = to > this.most ? to : this.most;
  }

  /** Moves its pieces to the row's cells. */
  moveToCells(): void {
    for (let i = 0; i < this.count; i++) {
      const piece = this.pieceAt(i);
      const area = piece.area * this.sign;
      addArea(this.cells, piece.from, piece.to, area, <f64>area / (piece.to - piece.from));
    }
    this.count = 0;
    this.isInCells = true;
  }

  /** How much of all between a column on its left and each of four places, counted from there, lies right of it. */
  @inline
  upTo(column: f64, places: v128): v128 {
    const none = i64x2.splat(0);
    let sum = none;
    let at = this.pieces;
    for (const end = at + this.count * pieceBytes; at < end; at += pieceBytes) {
      const piece = changetype<Piece>(at);
      const wide = f32x4.splat(piece.wide);
      const past = f32x4.sub(places, f32x4.splat(<f32>(piece.from - column)));
      const over = f32x4.pmax(none, f32x4.pmin(wide, past));
      const whole = f32x4.pmax(none, f32x4.sub(past, wide));
      const part = f32x4.add(f32x4.mul(f32x4.mul(over, over), f32x4.splat(piece.half)), whole);
      sum = f32x4.add(sum, f32x4.mul(part, f32x4.splat(piece.height)));
    }
    return sum;
  }
}

const sides = memory.data(4 * 64);
const pieces = memory.data(4 * 17 * 40);

/** One of at most four sides. */
@inline
export function sideAt(i: i32): Side {
  return changetype<Side>(sides + (i << 6));
}

/** Takes up a side that winds a way; what it has no room for goes to cells. */
export function useSide(i: i32, sign: i32, cells: usize): void {
  const side = sideAt(i);
  side.sign = sign;
  side.pieces = pieces + i * ((maxPieces + 1) * pieceBytes);
  side.cells = cells;
}

/** Paints what lies between two sides in a row; false, and nothing painted, where they are not steep. */
export function paintBetweenSides(first: Side, other: Side, y: i32): bool {
  const begin = Math.floor(first.least);
  const otherBegin = Math.floor(other.least);
  if (first.most > begin + few || other.most > otherBegin + few || first.isInCells || other.isInCells) return false;
  const near = f32x4(1, 2, 3, 4);
  const far = f32x4(5, 6, 7, 8);
  const x = left + <i32>begin;
  const none = i64x2.splat(0);
  const inside = first.upTo(begin, near);
  if (otherBegin - begin < few) {
    const low = f32x4.sub(inside, other.upTo(begin, near));
    // Which of the two is on the left their places do not tell if they reach equally far.
    const start = bytesOf(f32x4.abs(f32x4.sub(low, v128.shuffle<f32>(none, low, 0, 4, 5, 6))));
    let end: u32 = 0;
    // What a thin pen covers often lies within the first four pixels.
    if (max(first.most, other.most) > begin + few) {
      const high = f32x4.sub(first.upTo(begin, far), other.upTo(begin, far));
      end = bytesOf(f32x4.abs(f32x4.sub(high, v128.shuffle<f32>(low, high, 3, 4, 5, 6))));
    }
    if (paintEight(x, y, start, end)) return true;
    store<u32>(coverages, start);
    store<u32>(coverages, end, 4);
    paintCoverages(x, y, x + 8);
    return true;
  }
  const between = (<i32>(otherBegin - begin) - <i32>few) & ~3;
  const column = begin + few + <f64>between;
  const low = other.upTo(column, near);
  const high = other.upTo(column, far);
  const whole = f32x4.splat(<f32>first.area * perCell);
  const start = bytesOf(f32x4.sub(inside, v128.shuffle<f32>(none, inside, 0, 4, 5, 6)));
  const end = bytesOf(f32x4.sub(whole, f32x4.sub(low, v128.shuffle<f32>(none, low, 0, 4, 5, 6))));
  const end2 = bytesOf(f32x4.sub(whole, f32x4.sub(high, v128.shuffle<f32>(low, high, 3, 4, 5, 6))));
  if (first.area === one && paintBand(x, y, start, between, end, end2)) return true;
  store<u32>(coverages, start);
  paintCoverages(x, y, x + 4);
  if (between > 0) paintEven(x + 4, y, between, bytesOf(whole) & 255);
  store<u32>(coverages, end);
  store<u32>(coverages, end2, 4);
  paintCoverages(x + 4 + between, y, x + between + 12);
  return true;
}
