import type { Group } from '../../frame/reader.ts';
import { determinant, largestScale, multiply } from '../../geometry/matrix.ts';
import { hypot } from '../../maths/power.ts';
import { alphaOf } from '../../paint/color.ts';
import type { PictureFill } from '../../paint/paint.ts';
import { isPoint, xOf, yOf, type Point } from '../../schema/point.ts';
import { called, framesOf, isVeil, itemsByLine, linesThat, verb, type Detail, type SeenItem } from '../evidence.ts';
import type { Rule } from '../rule.ts';
import { optionsOf } from '../watch.ts';

/* Items that are seen, but not as they were meant. */

const unfilled: Rule = {
  name: 'unfilled',
  title: 'A fill where there is no inside',
  why: 'An open arc, spline, path or polyline is a line: its fill colors that line, and nothing is filled.',
  cure: "Close it: close: 'sector' or 'chord' of an arc, closed: true of a spline, Z at the end of a path's data, polygon in place of polyline. A line's own color is its stroke.",
  find: (evidence) =>
    linesThat(
      evidence,
      ({ item: { shape, fill, stroke }, place }, { log }) => {
        const call = log.callOf(place);
        if (call === undefined || !mayBeClosed.has(shape) || fill !== undefined) return false;
        const { fill: wanted = 'none', points } = optionsOf(call);
        // One that is wider than by default is meant to be a line.
        return wanted !== 'none' && stroke?.width === 1 && !(Array.isArray(points) && points.length < 3);
      },
      (items) => `${called(items)} ${verb(items, 'has', 'have')} a fill, and no inside that it could fill`,
    ),
};

const mayBeClosed = new Set(['arc', 'spline', 'path', 'polyline']);

const corner: Rule = {
  name: 'corner',
  title: 'Centered on the corner of the canvas',
  why: '`at` is the middle of a shape, so that one at [0, 0] has three of its quarters beyond the edge.',
  cure: "Give two corners, from: [0, 0], to: [width, height]; or let another point go to `at`: anchor: 'top-left'.",
  find: ({ details }) =>
    itemsByLine(details).flatMap(({ line, all }) => {
      const { detail } = all[0];
      const { canvas } = detail;
      const boxes = all.map(({ seen }) => seen.description.box);
      const isMeant = all.some(({ seen: { item, place }, detail: { log: own } }) => {
        if (item.shape !== 'rect' && item.shape !== 'picture') return true;
        const call = own.callOf(place);
        const options = call === undefined ? {} : optionsOf(call);
        return !('at' in options) || 'anchor' in options;
      });
      if (isMeant) return [];
      const [first] = boxes;
      const [wide, high] = [(first.right - first.left) / 2, (first.bottom - first.top) / 2];
      const isFirst = isAt((first.left + first.right) / 2, canvas.left) && isAt((first.top + first.bottom) / 2, canvas.top); // prettier-ignore
      // All of it would be on the canvas, were their corners where their middles are.
      const isShifted = boxes.every(({ left, top, right, bottom }) => left > canvas.left - wide - 0.01 && top > canvas.top - high - 0.01 && right < canvas.right - wide + 0.01 && bottom < canvas.bottom - high + 0.01); // prettier-ignore
      if (!isFirst || !isShifted) return [];
      const items = all.filter((one) => one.detail === detail).map(({ seen }) => seen);
      const text = items.length === 1 ? `${called(items)} has its middle on the corner of the canvas` : `the first ${items[0].item.shape} of ${items.length} has its middle on the corner of the canvas`; // prettier-ignore
      return [{ line, frame: detail.at, text, items: items.map(({ place }) => place + 1) }];
    }),
};

/** Fewer items than this may lie in one place by chance. */
const many = 5;

const unscaled: Rule = {
  name: 'unscaled',
  title: 'Places from 0 to 1',
  why: 'A place is in units; random.between(0, 1), progress and the like give parts of a whole: all of it comes to lie in one corner.',
  cure: 'Multiply by the size, or ask for more: at: [random.between(0, width), random.between(0, height)].',
  find: ({ details }) =>
    itemsByLine(details).flatMap((entry) => {
      const frames = framesOf(entry);
      // What only begins there moves apart in later frames.
      if (!frames.every(({ detail, items }) => areFractions(items, detail))) return [];
      const [{ detail, items }] = frames;
      const text = `all ${items.length} places that ${items[0].item.shape} is given here lie between 0 and 1`;
      return [{ line: entry.line, frame: detail.at, items: items.map(({ place }) => place + 1), text }];
    }),
};

/** Whether items are many, and all of their places lie between 0 and 1, on a canvas that is larger than that. */
function areFractions(items: readonly SeenItem[], { canvas, log }: Detail): boolean {
  const places = items.map(({ place }) => {
    const call = log.callOf(place);
    return call && optionsOf(call).at;
  });
  const isSmall = Math.min(canvas.right - canvas.left, canvas.bottom - canvas.top) < 10;
  if (isSmall || items.length < many || !places.every(isFraction)) return false;
  // Several times in one place is another mistake, or none.
  if (new Set(places.map((place) => `${xOf(place)},${yOf(place)}`)).size < places.length / 2) return false;
  // Under a scale they may lie where they are meant to.
  const across = items.map(({ description: { box } }) => (box.left + box.right) / 2);
  const down = items.map(({ description: { box } }) => (box.top + box.bottom) / 2);
  return [across, down].every((middles) => Math.max(...middles) - Math.min(...middles) <= 2);
}

/** Whether a place has both coordinates between 0 and 1. */
const isFraction = (place: unknown): place is Point =>
  isPoint(place) && [xOf(place as Point), yOf(place as Point)].every((one) => one >= 0 && one <= 1);

const samePlace: Rule = {
  name: 'same-place',
  title: 'Everything a line draws lies in one place',
  why: 'They cover one another exactly, and look like one.',
  cure: 'Move each by the counter of the loop, at: [60 + i * 50, 90]; ask for random numbers in the loop, but make what gives them before it.',
  find: ({ details }) =>
    itemsByLine(details).flatMap((entry) => {
      const frames = framesOf(entry);
      // What only begins in one place moves apart in later frames.
      if (!frames.every(({ items }) => items.length > 1 && items.every((one) => isSolid(one) && isLike(one, items[0]))))
        return [];
      const [{ detail, items }] = frames;
      const text = `${called(items)} lie in exactly the same place`;
      return [{ line: entry.line, frame: detail.at, text, items: items.map(({ place }) => place + 1) }];
    }),
};

/** Whether an item hides what is below it: things that let it through are laid over each other on purpose. */
function isSolid({ item: { fill, stroke, opacity, blend }, description: { hidden } }: SeenItem): boolean {
  const isOpaque = [fill, stroke?.paint].every((paint) => paint === undefined || (typeof paint === 'number' && alphaOf(paint) === 255)); // prettier-ignore
  return isOpaque && opacity === 1 && blend === 'normal' && (hidden === undefined || hidden === 'covered');
}

/** Whether two items look alike and lie in the same place, in one group as far as that clips or fades them. */
function isLike({ item, description: one }: SeenItem, { item: otherItem, description: other }: SeenItem): boolean {
  if (item.text !== otherItem.text || one.style !== other.style) return false;
  const isTogether = isolatedGroup(item.group) === isolatedGroup(otherItem.group);
  return isTogether && (['left', 'top', 'right', 'bottom'] as const).every((side) => one.box[side] === other.box[side]);
}

function isolatedGroup(group: Group | undefined): Group | undefined {
  let at = group;
  while (at?.isolated === false) at = at.parent;
  return at;
}

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

/** Whether a box's side and the canvas's are the same, to a hundredth of a unit. */
const isAt = (one: number, other: number): boolean => Math.abs(one - other) < 0.01;

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
  corner,
  unscaled,
  samePlace,
  sameColor,
  cutStroke,
  strokeScaled,
  pictureEnlarged,
  pictureSqueezed,
];
