import { apply, inverse, type Matrix } from '../geometry/matrix.ts';
import type { PictureData } from './picture.ts';
import { hypot, log2 } from '../maths/power.ts';

/** Part of a picture's pixels, in whole ones. */
export interface PixelBox {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** A picture cut to a part and made smaller, and how many of the picture's pixels each of its own stands for. */
export interface Reduced {
  readonly picture: PictureData;
  readonly perPixelX: number;
  readonly perPixelY: number;
}

const reducedByPicture = new WeakMap<PictureData, Map<string, Reduced>>();

/**
 * A part of a picture, averaged down until a pixel of the screen takes in at most two of it: then mixing neighbors is
 * enough to draw it without sparkle. Every surface draws from these, so that they agree.
 * @param toPixels from the picture's pixels to the screen's
 */
export function reduce(picture: PictureData, part: PixelBox, toPixels: Matrix): Reduced {
  const back = inverse(toPixels);
  const [ox, oy] = back === undefined ? [0, 0] : apply(back, 0, 0);
  const steps = back === undefined ? [] : [apply(back, 1, 0), apply(back, 0, 1)];
  // How far along each of the picture's axes one step on the screen leads.
  const spanX = hypot(...steps.map(([x]) => x - ox));
  const spanY = hypot(...steps.map(([, y]) => y - oy));
  const halvings = (span: number, size: number): number =>
    Math.max(0, Math.min(Math.floor(log2(Math.max(span, 1))), Math.floor(log2(size))));
  const perPixelX = 1 << halvings(spanX, part.width);
  const perPixelY = 1 << halvings(spanY, part.height);

  let parts = reducedByPicture.get(picture);
  if (parts === undefined) reducedByPicture.set(picture, (parts = new Map()));
  const key = [part.x, part.y, part.width, part.height, perPixelX, perPixelY].join();
  let reduced = parts.get(key);
  if (reduced === undefined) {
    reduced = { picture: average(picture, part, perPixelX, perPixelY), perPixelX, perPixelY };
    parts.set(key, reduced);
  }
  return reduced;
}

/** Each block of pixels as one: the mean of their colors, weighted by alpha. */
function average(picture: PictureData, part: PixelBox, perPixelX: number, perPixelY: number): PictureData {
  const width = Math.ceil(part.width / perPixelX);
  const height = Math.ceil(part.height / perPixelY);
  if (perPixelX * perPixelY === 1 && width === picture.width && height === picture.height) return picture;
  const data = new Uint8Array(width * height * 4);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      let [red, green, blue, alpha, count] = [0, 0, 0, 0, 0];
      const bottom = Math.min(part.height, (y + 1) * perPixelY);
      const right = Math.min(part.width, (x + 1) * perPixelX);
      for (let py = y * perPixelY; py < bottom; py++)
        for (let px = x * perPixelX; px < right; px++) {
          const at = ((part.y + py) * picture.width + part.x + px) * 4;
          const weight = picture.data[at + 3];
          red += picture.data[at] * weight;
          green += picture.data[at + 1] * weight;
          blue += picture.data[at + 2] * weight;
          alpha += weight;
          count++;
        }
      const to = (y * width + x) * 4;
      if (alpha === 0) continue;
      data[to] = Math.round(red / alpha);
      data[to + 1] = Math.round(green / alpha);
      data[to + 2] = Math.round(blue / alpha);
      data[to + 3] = Math.round(alpha / count);
    }
  return { id: picture.id, version: picture.version, width, height, data };
}
