import { encode } from 'fast-png';
import type { PictureData } from '../../paint/picture.ts';
import type { PixelBox } from '../../paint/reduce.ts';

/** A part of a picture as a PNG file. The build packs this file with what it takes of the package. */
export function pictureData(picture: PictureData, { x, y, width, height }: PixelBox): Uint8Array {
  const data = new Uint8Array(width * height * 4);
  for (let row = 0; row < height; row++) {
    const from = ((y + row) * picture.width + x) * 4;
    data.set(picture.data.subarray(from, from + width * 4), row * width * 4);
  }
  return encode({ width, height, data, channels: 4, depth: 8 });
}
