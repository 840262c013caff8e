import { fail } from '../error.ts';
import { multiply, scaling, translation } from '../geometry/matrix.ts';
import type { PathWriter } from '../geometry/path-writer.ts';
import type { PictureFill } from '../paint/paint.ts';
import type { Picture } from '../paint/picture.ts';
import { convertedLater, toggle } from '../schema/kind.ts';
import { point, xOf, yOf } from '../schema/point.ts';
import { type Form, optional, type Options, schemaOf } from '../schema/schema.ts';
import type { Outline, Surroundings } from './kind.ts';
import { anchorTable, type AnchorOptions, boxRemark, boxTable, placeBox } from './place.ts';

const cropTable = {
  /** One corner of the part, in the picture's pixels. */
  from: point,
  /** The corner opposite to `from`. */
  to: point,
};
const cropOptions = schemaOf(cropTable, '{ from: [0, 0], to: [32, 32] }');
type Crop = Options<typeof cropTable>;

const table = {
  /** The part of the picture to show, in its whole pixels. */
  crop: optional(convertedLater<Crop>('{ from, to } in pixels')),
  /** Whether it is scaled smoothly (true) or in crisp pixels. */
  smooth: optional(toggle, true),
};
type BoxTable = typeof boxTable;
/** A picture: placed by a point, at its own size or another; or between two opposite corners. */
export type PictureOptions = (
  | (Form<Omit<BoxTable, 'size'>, 'at'> & {
      /** Its width and height, in units, or one number for both; by default its size in pixels. */
      size?: Form<BoxTable, 'size'>['size'];
    })
  | Form<BoxTable, 'from' | 'to'>
) &
  Options<typeof table> &
  AnchorOptions;

export const pictureOptions = schemaOf(
  { ...boxTable, ...table, ...anchorTable },
  '{ at: [100, 80] } behind the picture',
  [
    ['at', 'size?'],
    ['from', 'to'],
  ],
  boxRemark,
);
const call = 'picture';

/** Writes the box of a picture, and gives the fill that lays the picture into it. */
export function addPicture(
  picture: Picture,
  options: PictureOptions,
  path: PathWriter,
  surroundings: Surroundings,
): { outline: Outline; fill: PictureFill } {
  const crop =
    options.crop === undefined
      ? { x: 0, y: 0, width: picture.width, height: picture.height }
      : readCrop(picture, options.crop);
  const { x, y, width, height, pin } = placeBox(options, surroundings, [crop.width, crop.height]);
  const left = x - width / 2;
  const top = y - height / 2;
  path.rect(left, top, width, height);
  // Where y grows upwards pictures still stand upright.
  const scale = scaling(width / crop.width, (surroundings.up ? -height : height) / crop.height);
  const transform = multiply(translation(left, surroundings.up ? top + height : top), scale);
  return {
    outline: { inside: true, pin },
    fill: { type: 'picture', picture, crop, transform, smooth: options.smooth ?? true },
  };
}

function readCrop(picture: Picture, crop: Crop): PictureFill['crop'] {
  cropOptions.check(`${call} crop`, crop);
  const [x0, y0, x1, y1] = [xOf(crop.from), yOf(crop.from), xOf(crop.to), yOf(crop.to)];
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
