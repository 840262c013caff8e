/** How a picture lies in a box that has not its proportions: the words of CSS. */
export type Fit = 'fill' | 'contain' | 'cover' | 'none' | 'scale-down';

/** How much wider and higher a picture is drawn, from how much it would have to be to fill the box. */
const factors: Record<Fit, (x: number, y: number) => readonly [number, number]> = {
  fill: (x, y) => [x, y],
  contain: (x, y) => both(Math.min(x, y)),
  cover: (x, y) => both(Math.max(x, y)),
  none: () => [1, 1],
  'scale-down': (x, y) => both(Math.min(x, y, 1)),
};
const both = (factor: number): readonly [number, number] => [factor, factor];

/** A box on an element, in pixels of the page, from its padding's edge and before any transform. */
export interface PictureBox {
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
}

/** An element's box inside its padding; without a size where it is not shown. */
export function contentBox(element: HTMLElement): PictureBox {
  const style = getComputedStyle(element);
  const sum = (names: readonly string[]): number =>
    names.reduce((all, name) => all + parseFloat(style.getPropertyValue(name)), 0);
  const isWhole = style.boxSizing === 'border-box';
  const inside = (side: string, ends: readonly [string, string]): number => {
    const around = ends.flatMap((end) => [`padding-${end}`, `border-${end}-width`]);
    return Math.max(0, parseFloat(side) - (isWhole ? sum(around) : 0)) || 0;
  };
  return {
    left: sum(['padding-left']),
    top: sum(['padding-top']),
    width: inside(style.width, ['left', 'right']),
    height: inside(style.height, ['top', 'bottom']),
  };
}

/** Where on a canvas element its picture lies: within its padding, and as `object-fit` and `object-position` have it. */
export function pictureBox(element: HTMLCanvasElement): PictureBox {
  const style = getComputedStyle(element);
  const box = contentBox(element);
  const [x, y] = factors[style.objectFit as Fit](box.width / element.width, box.height / element.height);
  const [width, height] = [x * element.width, y * element.height];
  const [along, down] = style.objectPosition.split(' ');
  const left = box.left + offset(along, box.width - width);
  return { left, top: box.top + offset(down, box.height - height), width, height };
}

/** A part of `object-position`: a share of the room that is left, or a length. */
function offset(position: string, room: number): number {
  const value = parseFloat(position);
  return position.endsWith('%') ? (room * value) / 100 : value;
}

/**
 * The density at which the pixels of a rendering are those of the screen.
 * @param box the element's own pixels on the screen
 * @param size the sketch's canvas, in pixels of density 1
 */
export function sharpDensity(
  fit: Fit,
  box: readonly [width: number, height: number],
  size: readonly [width: number, height: number],
): number {
  return factors[fit](box[0] / size[0], box[1] / size[1])[0];
}
