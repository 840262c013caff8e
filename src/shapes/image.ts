import { rectPath } from '../geometry/path.ts';
import { multiply, scaling, translation } from '../geometry/matrix.ts';
import { fail } from '../error.ts';
import { checkKeys, flag, OptionNames, optionsObject, point, type Point } from '../options.ts';
import type { ImageFill } from '../paint/paint.ts';
import { readPicture, type Picture } from '../paint/picture.ts';
import { boxKeys, placeBox, readSize, type BoxOptions } from './place.ts';
import type { Outline, Surroundings } from './kind.ts';

/** A picture: pinned, at its own size in pixels or another; or between two opposite corners. */
export interface ImageOptions extends BoxOptions {
  /** The part of the picture to show, in its pixels. */
  crop?: { from: Point; to: Point };
  /** Whether it is scaled smoothly (true) or in crisp pixels. */
  smooth?: boolean;
}

export const imageKeys = [...boxKeys, 'crop', 'smooth'] as const;
const cropKeys = new OptionNames(['from', 'to']);
const call = 'image';

/** The box of an image, and the picture that fills it. */
export function imageOutline(
  picture: Picture,
  options: ImageOptions,
  around: Surroundings,
): { outline: Outline; fill: ImageFill } {
  readPicture(call, picture);
  const crop =
    options.crop === undefined
      ? { x: 0, y: 0, width: picture.width, height: picture.height }
      : readCrop(picture, options.crop);
  const size = options.size === undefined ? ([crop.width, crop.height] as const) : readSize(call, options.size);
  const { x, y, width, height, pin } = placeBox(call, options, size, around);
  const left = x - width / 2;
  const top = y - height / 2;
  // Where y grows upwards pictures still stand upright.
  const scale = scaling(width / crop.width, (around.up ? -height : height) / crop.height);
  return {
    outline: { path: rectPath(left, top, width, height), inside: true, pin },
    fill: {
      type: 'image',
      picture,
      crop,
      transform: multiply(translation(left, around.up ? top + height : top), scale),
      smooth: options.smooth === undefined || flag(call, 'smooth', options.smooth),
    },
  };
}

function readCrop(picture: Picture, crop: NonNullable<ImageOptions['crop']>): ImageFill['crop'] {
  checkKeys(`${call} crop`, optionsObject(`${call} crop`, crop, '{ from: [0, 0], to: [32, 32] }'), cropKeys);
  const [x0, y0] = point(call, 'crop from', crop.from);
  const [x1, y1] = point(call, 'crop to', crop.to);
  const box = { x: Math.min(x0, x1), y: Math.min(y0, y1), width: Math.abs(x1 - x0), height: Math.abs(y1 - y0) };
  const { width, height } = picture;
  const whole = Object.values(box).every(Number.isInteger) && box.width > 0 && box.height > 0;
  if (!whole || box.x < 0 || box.y < 0 || box.x + box.width > width || box.y + box.height > height)
    fail({
      call,
      option: 'crop',
      value: crop,
      problem: 'is not a part of the picture',
      expected: `expected two opposite corners, in whole pixels, within ${width} × ${height}`,
    });
  return box;
}
