import type { Frame } from '../canvas/frame.ts';
import { packGifIndices } from '../encode/gif.ts';
import { y4mFrame, type Chroma } from '../encode/y4m.ts';
import type { Picture } from '../paint/picture.ts';
import { RasterSurface } from '../raster/surface.ts';
import { writeSvg } from '../svg/svg.ts';
import { encodePng } from './png.ts';
import type { Provenance } from './provenance.ts';

/** What is made of a frame. */
export type Product =
  | { readonly type: 'png' | 'svg'; readonly texts: Provenance }
  | { readonly type: 'pixels' }
  | { readonly type: 'y4m'; readonly chroma: Chroma };

/** A picture as it is sent to a worker. */
export type DrawnPicture = Pick<Picture, 'width' | 'height' | 'data'> & { readonly opaque?: boolean };

/** What is to be drawn: frames, each over what is left of the one before, or a picture that is drawn already. */
export type DrawTask = { readonly product: Product } & (
  { readonly frames: readonly Frame[] } | { readonly picture: DrawnPicture }
);

/** What is only to be packed: the indices of a GIF's frame. */
export interface PackTask {
  readonly indices: Uint8Array;
}

const surface = new RasterSurface();

/** Draws, or packs, and makes the bytes that were asked for. The same task gives the same bytes in whichever thread. */
export function draw(task: DrawTask | PackTask): Uint8Array {
  if ('indices' in task) return packGifIndices(task.indices);
  const { product } = task;
  if ('picture' in task) return encode(task.picture, product);
  if (product.type === 'svg') return Buffer.from(writeSvg(task.frames, product.texts));
  surface.reset();
  for (const frame of task.frames) surface.draw(frame);
  return encode(surface.drawn, product);
}

function encode(picture: DrawnPicture, product: Product): Uint8Array {
  switch (product.type) {
    case 'png':
      return encodePng(picture, product.texts);
    case 'y4m':
      return y4mFrame(picture.data, picture.width, picture.height, product.chroma);
    case 'pixels':
      // The surface draws on in the same memory.
      return picture.data.slice();
    case 'svg':
      throw new Error('SVG is written from frames, not from pictures');
  }
}
