import { determinant, largestScale, multiply } from '../../geometry/matrix.ts';
import { hypot } from '../../maths/power.ts';
import type { PictureFill } from '../../paint/paint.ts';
import { called, isAt, isVeil, linesThat, verb, type SeenItem } from '../evidence.ts';
import type { Rule } from '../rule.ts';
import { optionsOf } from '../watch.ts';

/* Items that are seen, but not as they were meant. */

const unfilled: Rule = {
  name: 'unfilled',
  title: 'A fill where there is no inside',
  why: 'An open arc, spline, path, polyline or outline of a shape of your own is a line: its fill colors that line, and nothing is filled.',
  cure: "Close it: close: 'sector' or 'chord' of an arc, closed: true of a spline, Z at the end of a path's data, closePath() at the end of an outline, polygon in place of polyline. A line's own color is its stroke.",
  find: (evidence) =>
    linesThat(
      evidence,
      ({ item: { shape, fill, stroke }, place }, { log }) => {
        const call = log.callOf(place);
        if (call === undefined || !(mayBeClosed.has(shape) || call.name === 'shape') || fill !== undefined)
          return false;
        const { fill: wanted = 'none', points } = optionsOf(call);
        // One that is wider than by default is meant to be a line.
        return wanted !== 'none' && stroke?.width === 1 && !(Array.isArray(points) && points.length < 3);
      },
      (items) => `${called(items)} ${verb(items, 'has', 'have')} a fill, and no inside that it could fill`,
    ),
};

const mayBeClosed = new Set(['arc', 'spline', 'path', 'polyline']);

const sameColor: Rule = {
  name: 'same-color',
  title: 'The same color as what is behind it',
  why: 'It is painted but changes no pixel.',
  cure: 'Give it a different color from what is behind it, or leave it out.',
  find: (evidence) =>
    linesThat(
      evidence,
      // Under a carry it may cover what earlier frames have left; a veil over the whole canvas is meant for that.
      (seen, { canvas }) =>
        !seen.changes &&
        seen.description.hidden === undefined &&
        evidence.sketch.carry === 0 &&
        !(evidence.course.length > 1 && isVeil(seen, canvas)),
      (items) => {
        const [{ item }] = items;
        const behind = `what is behind ${verb(items, 'it', 'them')}`;
        return item.blend === 'normal'
          ? `${called(items)} ${verb(items, 'has', 'have')} exactly the color of ${behind}`
          : `${called(items)} ${verb(items, 'leaves', 'leave')} ${behind} as it is, by the blend mode ${item.blend}`;
      },
    ),
};

const cutStroke: Rule = {
  name: 'cut-stroke',
  title: 'Half of its stroke is beyond the edge of the canvas',
  why: 'Half of a stroke is on either side of its outline, so along the edge of the canvas only the inner half is visible.',
  cure: 'Move the outline in by half the width: canvas.rect({ from: [w, w], to: [width - w, height - w], … }) with w = stroke width / 2.',
  find: (evidence) =>
    linesThat(
      evidence,
      ({ item, description: { box }, ...seen }, { canvas }) => {
        if (item.stroke === undefined || item.stroke.width < 1 || !seen.changes) return false;
        if (item.shape === 'rect') {
          const sides = [
            isAt(box.left, canvas.left),
            isAt(box.top, canvas.top),
            isAt(box.right, canvas.right),
            isAt(box.bottom, canvas.bottom),
          ];
          return sides.every(Boolean);
        }
        if (item.shape !== 'line') return false;
        const flat = isAt(box.top, box.bottom) && (isAt(box.top, canvas.top) || isAt(box.top, canvas.bottom));
        return flat || (isAt(box.left, box.right) && (isAt(box.left, canvas.left) || isAt(box.left, canvas.right)));
      },
      (items) => `half of the stroke of ${called(items)} is beyond the edge of the canvas`,
    ),
};

const strokeScaled: Rule = {
  name: 'stroke-scaled',
  title: 'A scale makes a stroke too thin or too thick',
  why: 'A scale enlarges strokes as well as shapes: a stroke 1 wide becomes as wide as the scale.',
  cure: 'Divide the width by the scale: stroke: { width: 2 / scale }.',
  find(evidence) {
    const widthOf = ({ item }: SeenItem): { scale: number; width: number } => {
      const [{ frame }] = evidence.details;
      const scale = largestScale(multiply(frame.view, item.transform));
      return { scale, width: (item.stroke?.width ?? 0) * scale };
    };
    const isThin = (seen: SeenItem): boolean => {
      const { scale, width } = widthOf(seen);
      return scale < 0.5 && width > 0 && width < 0.2;
    };
    const isThick = (seen: SeenItem): boolean => {
      const { scale, width } = widthOf(seen);
      const { left, right, top, bottom } = seen.description.box;
      return scale >= 4 && width > 4 && width >= Math.max(right - left, bottom - top) * 0.5;
    };
    const say = (items: readonly SeenItem[]): string => {
      const { scale, width } = widthOf(items[0]);
      const short = (value: number): string => String(Number(value.toPrecision(2)));
      return `with a scale of ${short(scale)} the stroke of ${called(items)} is ${short(width)} pixels wide`;
    };
    const isVisible = ({ description, changes }: SeenItem): boolean => description.hidden === undefined && changes;
    return [
      ...linesThat(evidence, (seen) => isVisible(seen) && isThin(seen) && seen.item.fill === undefined, say),
      ...linesThat(evidence, (seen) => isVisible(seen) && isThick(seen), say),
    ];
  },
};

const pictureEnlarged: Rule = {
  name: 'picture-enlarged',
  title: 'A picture drawn far above its own resolution',
  why: 'Each of its pixels covers several pixels of the canvas, so it looks blurred.',
  cure: 'Use a larger picture, draw it smaller, or show its pixels with smooth: false.',
  find: (evidence) =>
    linesThat(
      evidence,
      ({ item }) => pixelScale(item.fill, item.transform) > 2.5,
      (items) =>
        `${called(items)} is drawn ${pixelScale(items[0].item.fill, items[0].item.transform).toFixed(1)} times as large as it is`,
    ),
};

function pixelScale(fill: SeenItem['item']['fill'], transform: SeenItem['item']['transform']): number {
  if (typeof fill !== 'object' || fill.type !== 'picture' || !fill.smooth) return 0;
  return Math.sqrt(Math.abs(determinant(multiply(transform, fill.transform))));
}

const pictureSqueezed: Rule = {
  name: 'picture-squeezed',
  title: 'A picture squeezed into a square',
  why: 'A size of one number is that of a square, whatever the proportions of the picture.',
  cure: "Give both sides: size: [120, (120 * picture.height) / picture.width] keeps the picture's proportions.",
  find: (evidence) =>
    linesThat(
      evidence,
      ({ item }) => isSqueezed(item.fill),
      (items) => {
        const { width, height } = (items[0].item.fill as PictureFill).crop;
        return `${called(items)} is ${width > height ? 'wider than high' : 'higher than wide'}, ${width} × ${height} pixels, and squeezed into a square`;
      },
    ),
};

/** Whether of a picture, or of the part of one that is drawn, a square is made that it is far from being. */
function isSqueezed(fill: SeenItem['item']['fill']): boolean {
  if (typeof fill !== 'object' || fill.type !== 'picture') return false;
  const { crop, transform } = fill;
  // A row of colors has no proportions to keep.
  if (Math.min(crop.width, crop.height) <= 1) return false;
  const across = hypot(transform[0], transform[1]) * crop.width;
  const down = hypot(transform[2], transform[3]) * crop.height;
  return Math.abs(across / down - 1) < 0.005 && Math.abs(crop.width / crop.height - 1) > 0.05;
}

export const itemRules: readonly Rule[] = [
  unfilled,
  sameColor,
  cutStroke,
  strokeScaled,
  pictureEnlarged,
  pictureSqueezed,
];
