import { kindOf } from '../schema/kind.ts';
import type { PictureData } from './picture.ts';

type Pixels = Pick<PictureData, 'width' | 'height' | 'data'>;

const isWhole = (side: unknown): boolean => Number.isInteger(side) && (side as number) > 0;

function hasPixels(value: unknown): value is Pixels {
  if (typeof value !== 'object' || value === null) return false;
  const { data, width, height } = value as Partial<Pixels>;
  return isWhole(width) && isWhole(height) && data?.length === width! * height! * 4;
}

/** A picture that is handed in: four bytes for each pixel. */
export const givenPicture = /* @__PURE__ */ kindOf<Pixels>(
  'a picture: { width, height, data }, four bytes a pixel',
  hasPixels,
  (value) => (value instanceof Promise ? 'is a promise, which is not awaited' : 'is not a picture'),
);
