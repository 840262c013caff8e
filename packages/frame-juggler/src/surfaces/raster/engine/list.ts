import { paintInside } from './coverage.ts';
import { endRow, evenOut, firstRow, layerOf, noteEven, touch, width } from './layer.ts';
import { Lines } from './lines.ts';
import { grow } from './memory.ts';
import { fillPixels, pixelOf, Pixel } from './pixels.ts';
import { Shape } from './shape.ts';
import { Brush, useBrush } from './spans.ts';

/*
 * What is to be painted on a layer is listed first, and painted in bands of rows: what of the layer a band holds stays
 * in the processor's cache while all that touches it is painted, in the order of the list. What lies below something that
 * hides all of a band is left out of it.
 */

/** The outlines of all that is listed. */
export const outlines = new Lines();

/* The list: shapes, and what each is painted with. */
const shapeBytes: i32 = <i32>offsetof<Shape>();
const brushBytes: i32 = <i32>offsetof<Brush>();
let shapes: usize = 0;
let brushes: usize = 0;
let count: i32 = 0;
let room: i32 = 0;
/** The last of the list that hides all below it in whole rows; -1 for none. */
let hider: i32 = -1;
/** The layer that all of the list is painted on, and the rows that it reaches. */
let target: i32 = 0;
let top: i32 = 0;
let bottom: i32 = 0;

/** A list is painted once it holds this many points or shapes. */
const maxPoints: i32 = 200_000;
const maxShapes: i32 = 20_000;
/** Pixels per band. */
const bandPixels: i32 = 65536;

/* A color that the first layer is to be filled with before anything is painted, and whether it still is to be. */
let backgroundColor: u32 = 0;
let background: Pixel = pixelOf(0, 0);
let isUnfilled: bool = false;

/**
 * Makes the first layer even: where it was drawn on, if it had that color before; else each band of it just before it is
 * painted on, while it is in the cache.
 */
export function clear(color: u32): void {
  forget();
  const isFilled = color === backgroundColor && !isUnfilled && evenOut(background);
  backgroundColor = color;
  background = pixelOf(color, 255);
  isUnfilled = !isFilled;
  noteEven(true);
}

/** Fills rows of the first layer with the background. */
function fillRows(from: i32, to: i32): void {
  fillPixels(layerOf(0).at(0, from), width * (to - from), background);
}

/** Chooses the layer for the shapes listed from now on. */
export function aim(layer: i32): void {
  if (layer !== target) paintList();
  target = layer;
}

/** Lists what the outlines from a subpath on cover. */
export function list(firstSubpath: i32, evenOdd: bool, isPlain: bool, isRing: bool, origin: i32, brush: Brush): void {
  if (count === room) {
    room = max(1024, room * 2);
    shapes = grow(shapes, room * shapeBytes);
    brushes = grow(brushes, room * brushBytes);
  }
  const shape = shapeAt(count);
  if (!shape.take(outlines, firstSubpath, evenOdd, isPlain, isRing, origin)) return outlines.cut(firstSubpath);
  memory.copy(brushes + count * brushBytes, changetype<usize>(brush), brushBytes);
  top = count === 0 ? shape.top : min(top, shape.top);
  bottom = count === 0 ? shape.bottom : max(bottom, shape.bottom);
  touch(target, shape.left, shape.top, shape.right, shape.bottom);
  if (shape.wholeTo > shape.wholeFrom && brush.hides) {
    shape.hiderBefore = hider;
    hider = count;
  }
  count++;
  if (count === maxShapes || outlines.count > maxPoints) paintList();
}

/** Paints all that is listed. */
export function paintList(): void {
  const fillsBands = isUnfilled && target === 0 && count > 0;
  if (isUnfilled && !fillsBands) fillRows(firstRow, endRow);
  isUnfilled = false;
  if (count === 0) return;
  if (fillsBands) {
    top = firstRow;
    bottom = endRow;
  }
  const rows = max(16, bandPixels / width);
  for (let y = top; y < bottom; y += rows) {
    const end = min(bottom, y + rows);
    const first = hiderOf(y, end);
    if (fillsBands && first < 0) fillRows(y, end);
    for (let i = max(first, 0); i < count; i++) {
      const shape = shapeAt(i);
      if (shape.top >= end || shape.bottom <= y) continue;
      useBrush(layerOf(target), changetype<Brush>(brushes + i * brushBytes));
      paintInside(shape, outlines, y, end);
    }
  }
  forget();
}

function forget(): void {
  count = 0;
  hider = -1;
  outlines.clear();
}

@inline
function shapeAt(place: i32): Shape {
  return changetype<Shape>(shapes + place * shapeBytes);
}

/** The last of the list that hides all of some rows below it; -1 for none. */
function hiderOf(from: i32, end: i32): i32 {
  let place = hider;
  while (place >= 0 && (shapeAt(place).wholeFrom > from || shapeAt(place).wholeTo < end)) place = shapeAt(place).hiderBefore;
  return place;
}
