import { allocate, free, grow } from './memory.ts';
import { blend } from './blend.ts';
import { alphasOf, beyond, factor, fillPixels, loadOne, over, Pixel, pixelBytes, pixelShift, scale, storeOne } from './pixels.ts';

/** The canvas in pixels, and the rows of it that layers hold. */
export let width: i32 = 1;
export let height: i32 = 1;
export let firstRow: i32 = 0;
export let endRow: i32 = 1;

/** A picture of the canvas's size, transparent at first, that items are drawn on. */
@unmanaged
export class Layer {
  pixels: usize = 0;
  /** The box of all that was drawn since the last `clear`, the last two sides not included. */
  left: i32 = 0;
  top: i32 = 0;
  right: i32 = 0;
  bottom: i32 = 0;

  /** The address of a pixel. */
  @inline
  at(x: i32, y: i32): usize {
    return this.pixels + (((y - firstRow) * width + x) << pixelShift);
  }

  /** Makes pixels of a row transparent. */
  @inline
  erase(y: i32, from: i32, to: i32): void {
    if (to > from) memory.fill(this.at(from, y), 0, (to - from) << pixelShift);
  }

  /** Makes every pixel transparent again. */
  clear(): void {
    for (let y = this.top; y < this.bottom; y++) this.erase(y, this.left, this.right);
    this.left = width;
    this.top = height;
    this.right = 0;
    this.bottom = 0;
  }
}

/** All layers; the first is what the frame is drawn on. */
let layers: usize = 0;
let count: i32 = 0;
let room: i32 = 0;
/** Layers that are not in use, by their numbers. */
let spare: usize = 0;
let spares: i32 = 0;

export function layerOf(number: i32): Layer {
  return load<Layer>(layers + number * sizeof<usize>());
}

/* Where the first layer differs from a color that it was filled with: in these boxes, as long as they are few. */
const maxBoxes: i32 = 1024;
const boxes = memory.data(1024 * 16);
/** -1: anywhere. */
let boxCount: i32 = -1;

/** Notes that the first layer is of one color all over, or that it may have changed anywhere. */
export function noteEven(isEven: bool): void {
  boxCount = isEven ? 0 : -1;
}

/** Notes that a box of a layer's pixels was drawn on. */
export function touch(number: i32, left: i32, top: i32, right: i32, bottom: i32): void {
  const layer = layerOf(number);
  layer.left = min(layer.left, left);
  layer.top = min(layer.top, top);
  layer.right = max(layer.right, right);
  layer.bottom = max(layer.bottom, bottom);
  if (number !== 0 || boxCount < 0) return;
  if (boxCount < maxBoxes) v128.store(boxes + (boxCount++ << 4), i32x4(left, top, right, bottom));
  else boxCount = -1;
}

/**
 * Fills the first layer with a color where it differs from it, if that is in a small part of it.
 * @param color the one that it was filled with
 * @returns whether it is of that color now
 */
export function evenOut(color: Pixel): bool {
  if (boxCount < 0) return false;
  const end = boxes + (boxCount << 4);
  // Of pixels that may be filled: boxes that lie over one another count as often as they would be.
  let budget = (width * (endRow - firstRow)) >> 2;
  for (let box = boxes; box < end; box += 16) {
    budget -= widthOf(box) * (load<i32>(box, 12) - load<i32>(box, 4));
    if (budget < 0) return false;
  }
  for (let box = boxes; box < end; box += 16)
    for (let y = load<i32>(box, 4); y < load<i32>(box, 12); y++)
      fillPixels(layerOf(0).at(load<i32>(box), y), widthOf(box), color);
  return true;
}

@inline
function widthOf(box: usize): i32 {
  return load<i32>(box, 8) - load<i32>(box);
}

/** Sets the size of the canvas and the rows of it that are drawn; all layers are as new. */
export function resize(newWidth: i32, newHeight: i32, top: i32, bottom: i32): void {
  for (let i = 0; i < count; i++) {
    free(layerOf(i).pixels);
    heap.free(changetype<usize>(layerOf(i)));
  }
  count = 0;
  spares = 0;
  width = newWidth;
  height = newHeight;
  firstRow = top;
  endRow = bottom;
  noteEven(false);
  openLayer();
}

/** A transparent layer, by its number. */
export function openLayer(): i32 {
  if (spares > 0) {
    const number = load<i32>(spare + (--spares << 2));
    layerOf(number).clear();
    return number;
  }
  if (count === room) {
    room = max(16, room * 2);
    layers = grow(layers, room * sizeof<usize>());
    spare = grow(spare, room << 2);
  }
  const layer = new Layer();
  const bytes: usize = ((<usize>width * (endRow - firstRow)) << pixelShift) + beyond;
  layer.pixels = allocate(bytes);
  memory.fill(layer.pixels, 0, bytes);
  layer.left = width;
  layer.top = height;
  layer.right = 0;
  layer.bottom = 0;
  store<Layer>(layers + count * sizeof<usize>(), layer);
  return count++;
}

/** Gives a layer back. */
export function releaseLayer(number: i32): void {
  store<i32>(spare + (spares++ << 2), number);
}

/** Keeps of each pixel of a layer as much as the alpha of another says. */
export function keepMasked(number: i32, mask: i32): void {
  const layer = layerOf(number);
  const by = layerOf(mask);
  const left = max(layer.left, by.left);
  const right = max(left, min(layer.right, by.right));
  const top = max(layer.top, by.top);
  const bottom = max(top, min(layer.bottom, by.bottom));
  for (let y = layer.top; y < layer.bottom; y++) {
    if (y < top || y >= bottom) {
      layer.erase(y, layer.left, layer.right);
      continue;
    }
    layer.erase(y, layer.left, left);
    layer.erase(y, right, layer.right);
    const end = layer.at(right, y);
    let other = by.at(left, y);
    let at = layer.at(left, y);
    for (; at + 16 <= end; at += 16, other += 16)
      v128.store(at, scale(v128.load(at), alphasOf(v128.load(other))));
    for (; at < end; at += pixelBytes, other += pixelBytes)
      storeOne(at, scale(loadOne(at), alphasOf(loadOne(other))));
  }
  layer.left = left;
  layer.right = right;
  layer.top = top;
  layer.bottom = bottom;
}

/** Puts a layer over another, faded to `opacity` (0 to 255), in a blend mode. */
export function composite(number: i32, onto: i32, opacity: i32, mode: i32): void {
  const layer = layerOf(number);
  const under = layerOf(onto);
  const across = layer.right - layer.left;
  for (let y = layer.top; y < layer.bottom; y++)
    compose(layer.at(layer.left, y), under.at(layer.left, y), across, opacity, mode);
  if (across > 0) touch(onto, layer.left, layer.top, layer.right, layer.bottom);
}

/** Puts a row of pixels over others, each faded to `strength` (0 to 255). */
export function compose(from: usize, onto: usize, pixels: i32, strength: u32, mode: i32): void {
  const end = onto + (pixels << pixelShift);
  const isFaded = strength !== 255;
  const factors = factor(strength);
  for (; onto + 16 <= end; onto += 16, from += 16) {
    let source = v128.load(from);
    if (!v128.any_true(source)) continue;
    if (isFaded) source = scale(source, factors);
    v128.store(onto, mix(source, v128.load(onto), mode));
  }
  for (; onto < end; onto += pixelBytes, from += pixelBytes)
    storeOne(onto, mix(scale(loadOne(from), factors), loadOne(onto), mode));
}

/** Pixels put over others, in a blend mode. */
@inline
export function mix(source: v128, below: v128, mode: i32): v128 {
  return mode === 0 ? over(source, below) : blend(source, below, mode);
}
