import type { Item } from '../frame/reader.ts';
import type { Frame } from '../frame/frame.ts';
import { boxUnder, intersectBoxes, padBox, type Box } from '../geometry/box.ts';
import { largestScale, multiply, scaling, translation, type Matrix } from '../geometry/matrix.ts';
import { RasterSurface } from '../surfaces/raster/surface.ts';
import { reviewed } from './reviewed.ts';

/** How wide and high, in pixels, frames are looked at for this: enough to tell a hundredth of most shapes. */
const lookedAt = 480;
const maxDensity = 4;
/** So many pixels are looked at in all, so that ten thousand large items take no longer than a second or so. */
const maxPixels = 60e6;

/** Of each alpha, the part of what lies below that it lets through. */
const passing = Float64Array.from({ length: 256 }, (_, alpha) => 1 - alpha / 255);

/** What can be seen of an item. */
export interface SeenShare {
  /** Of what it paints on the canvas, the part that later items leave to be seen, 0 to 1. */
  readonly seen: number;
  /** Whether it paints anything on the canvas at all. */
  readonly painted: boolean;
  /** The place, in painter's order, of the one item that hides all of it; undefined where it can be seen, or several do. */
  readonly coveredBy?: number | undefined;
}

/**
 * What can be seen of each item, in painter's order. Each is drawn by itself, with its groups and their clips, and its
 * alpha counted as far as the alphas of those above it let it through, from the topmost down: the weights of
 * source-over compositing. Blend modes are counted as plain ones. Items that share no pixel are drawn in one go.
 */
export function seenShares(frame: Frame): SeenShare[] {
  const { order } = frame;
  const { items } = reviewed(frame);
  const shares: SeenShare[] = Array.from(order, () => ({ seen: 0, painted: false }));
  const { density, width, height, boxes } = placesOf(frame);
  const through = new Float32Array(width * height).fill(1);
  // Of each pixel through which nothing is seen any more, the item that hides what is below.
  const hiders = new Int32Array(width * height).fill(-1);
  const view = multiply(scaling(density, density), frame.view);
  const surfaces = new Surfaces();
  // One frame object is reused for every drawing, because copying a frame would take longer than drawing a small one.
  const part: { -readonly [Key in keyof Frame]: Frame[Key] } = { ...frame, density: 1, background: 0, carry: 0 };

  /** Counts an item's alpha in what was drawn, in which the canvas's pixel (left, top) is the first. */
  const count = (i: number, data: Uint8Array, rowLength: number, left: number, top: number): void => {
    const box = boxes[i]!;
    let all = 0;
    let seen = 0;
    for (let y = box.top; y < box.bottom; y++) {
      let at = ((y - top) * rowLength + box.left - left) * 4 + 3;
      let pixel = y * width + box.left;
      for (const end = y * width + box.right; pixel < end; at += 4, pixel++) {
        const alpha = data[at];
        if (alpha === 0) continue;
        all += alpha;
        const clear = through[pixel];
        if (clear === 0) continue;
        seen += alpha * clear;
        through[pixel] = clear * passing[alpha];
        if (alpha === 255) hiders[pixel] = i;
      }
    }
    // Antialiased edges of an item that lies exactly above leave a little of each pixel that they cut.
    const share = all === 0 ? 0 : seen / all;
    if (all > 0 && share < 0.002)
      shares[i] = { seen: 0, painted: true, coveredBy: hiderOf(box, data, rowLength, left, top) };
    else shares[i] = { seen: Math.min(1, share), painted: all > 0 };
  };

  /** The item that hides what was drawn, by the majority vote of Boyer and Moore among its pixels. */
  const hiderOf = (box: Box, data: Uint8Array, rowLength: number, left: number, top: number): number | undefined => {
    let hider = -1;
    let lead = 0;
    let votes = 0;
    let all = 0;
    for (let y = box.top; y < box.bottom; y++) {
      let at = ((y - top) * rowLength + box.left - left) * 4 + 3;
      let pixel = y * width + box.left;
      for (const end = y * width + box.right; pixel < end; at += 4, pixel++) {
        if (data[at] === 0) continue;
        all++;
        // At its edges what lies exactly above hides no pixel wholly.
        if (hiders[pixel] < 0) continue;
        votes++;
        if (hiders[pixel] === hider) lead++;
        else if (lead === 0) [hider, lead] = [hiders[pixel], 1];
        else lead--;
      }
    }
    return votes * 2 >= all && lead >= 0.9 * votes ? hider : undefined;
  };

  /** Draws an item alone: only the pixels that it can reach. */
  const drawAlone = (i: number): void => {
    const { left, top, right, bottom } = boxes[i]!;
    const { surface, ...size } = surfaces.ofAtLeast(right - left, bottom - top);
    Object.assign(part, size);
    part.view = multiply(translation(-left, -top), view);
    part.order = order.subarray(i, i + 1);
    surface.draw(part);
    count(i, surface.premultiplied, size.width, left, top);
  };

  // Made when needed, because it has an engine of its own and most frames do without it.
  let whole: RasterSurface | undefined;
  const drawTogether = (together: readonly number[]): void => {
    Object.assign(part, { width, height, view });
    part.order = Uint32Array.from(together, (i) => order[i]).reverse();
    whole ??= new RasterSurface();
    whole.draw(part);
    const { premultiplied } = whole;
    for (const i of together) count(i, premultiplied, width, 0, 0);
  };

  for (const apart of apartFromEachOther(boxes, width, height)) {
    const together = apart.filter((i) => isOneStep(items[i]));
    const many = together.length >= fewest;
    for (const i of apart) if (!many || !isOneStep(items[i])) drawAlone(i);
    if (many) drawTogether(together);
  }
  return shares;
}

/** For fewer items it is not worth to draw the whole canvas. */
const fewest = 4;

/** Whether an item is put straight onto the canvas: no layer of the canvas's size is needed for it. */
function isOneStep({ fill, stroke, opacity, blend, group }: Item): boolean {
  for (let at = group; at !== undefined; at = at.parent) if (at.isolated) return false;
  return fill === undefined || stroke === undefined || (opacity === 1 && blend === 'normal');
}

/** The side, in pixels, of the grid squares by which overlaps are found. */
const square = 16;

/**
 * The items, from the topmost down, in lists of which none has two that share a pixel; whatever lies above an item and
 * shares one with it is in an earlier list.
 */
function apartFromEachOther(boxes: readonly (Box | undefined)[], width: number, height: number): number[][] {
  const across = Math.ceil(width / square);
  /** In each square, how many lists have something there. */
  const taken = new Uint32Array(across * Math.ceil(height / square));
  const lists: number[][] = [];
  for (let i = boxes.length - 1; i >= 0; i--) {
    const box = boxes[i];
    if (box === undefined) continue;
    const [left, right] = [Math.floor(box.left / square), Math.ceil(box.right / square)];
    const [top, bottom] = [Math.floor(box.top / square), Math.ceil(box.bottom / square)];
    let list = 0;
    for (let y = top; y < bottom; y++) for (let x = left; x < right; x++) list = Math.max(list, taken[y * across + x]);
    for (let y = top; y < bottom; y++) taken.fill(list + 1, y * across + left, y * across + right);
    (lists[list] ??= []).push(i);
  }
  return lists;
}

/** Surfaces of a few sizes: to make one anew for each item would take longer than to draw it. */
class Surfaces {
  private readonly bySize = new Map<number, RasterSurface>();

  /** A surface of at least this size. */
  ofAtLeast(across: number, down: number): { surface: RasterSurface; width: number; height: number } {
    const [width, height] = [powerOfTwo(across), powerOfTwo(down)];
    const size = width * 2 ** 16 + height;
    let surface = this.bySize.get(size);
    if (surface === undefined) this.bySize.set(size, (surface = new RasterSurface()));
    return { surface, width, height };
  }
}

function powerOfTwo(atLeast: number): number {
  let power = 16;
  while (power < atLeast) power *= 2;
  return power;
}

/** The pixels that each item can reach, at a density at which they are not too many; none for what is off the canvas. */
function placesOf(frame: Frame): { density: number; width: number; height: number; boxes: (Box | undefined)[] } {
  const { items, boxes: outlines } = reviewed(frame);
  let density = Math.min(maxDensity, lookedAt / Math.max(frame.width, frame.height));
  for (;;) {
    const [width, height] = [frame.width, frame.height].map((side) => Math.max(1, Math.round(side * density)));
    const view = multiply(scaling(density, density), frame.view);
    const boxes = items.map((item, i) => pixelBox(item, outlines[i], view, width, height));
    const pixels = boxes.reduce(
      (sum, box) => sum + (box === undefined ? 0 : (box.right - box.left) * (box.bottom - box.top)),
      0,
    );
    if (pixels <= maxPixels || density < 0.02) return { density, width, height, boxes };
    density *= Math.min(0.7, Math.sqrt(maxPixels / pixels));
  }
}

/** @param outline the box of its outline, in the sketch's units */
function pixelBox(
  { transform, stroke }: Item,
  outline: Box,
  view: Matrix,
  width: number,
  height: number,
): Box | undefined {
  const reach =
    stroke === undefined
      ? 0
      : (stroke.width * Math.max(stroke.miterLimit, 1.5) * largestScale(multiply(view, transform))) / 2;
  const { left, top, right, bottom } = intersectBoxes(padBox(boxUnder(outline, view), reach + 1), {
    left: 0,
    top: 0,
    right: width,
    bottom: height,
  });
  const box = { left: Math.floor(left), top: Math.floor(top), right: Math.ceil(right), bottom: Math.ceil(bottom) };
  return box.right > box.left && box.bottom > box.top ? box : undefined;
}
