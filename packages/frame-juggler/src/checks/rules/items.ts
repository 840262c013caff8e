import type { Group } from '../../frame/reader.ts';
import type { Box } from '../../geometry/box.ts';
import { determinant, largestScale, multiply } from '../../geometry/matrix.ts';
import { hypot } from '../../maths/power.ts';
import type { PictureFill } from '../../paint/paint.ts';
import { isSameFrame } from '../../review/same-frame.ts';
import {
  called,
  covers,
  isTurnedAside,
  itemsByLine,
  linesThat,
  stillKeys,
  verb,
  waitsForInput,
  type Detail,
  type Evidence,
  type SeenItem,
  type Sighting,
} from '../evidence.ts';
import { alphaOf } from '../../paint/color.ts';
import type { Hidden } from '../../review/describe.ts';
import type { Rule } from '../rule.ts';
import { optionsOf } from '../watch.ts';

/* Items that cannot be seen, or not as they were meant. */

const offCanvas: Rule = {
  name: 'off-canvas',
  title: 'Drawn off the canvas',
  why: 'It is never visible: it is beyond the edge in every frame that was checked.',
  cure: 'x runs from 0 on the left to width, y from 0 at the top to height: canvas.circle({ at: [width / 2, height / 2], radius: 40 }) is in the middle.',
  find(evidence) {
    const still = stillKeys(evidence);
    const [{ canvas }] = evidence.details;
    const isLed = evidence.noted.asked.has('pointer');
    // A moving item may enter the canvas later.
    const isLost = (seen: SeenItem): boolean => {
      const { hidden, box } = seen.description;
      if (hidden !== 'off the canvas' || !still.has(seen.key)) return false;
      return !(isLed && isAtRest(box, canvas)) && !isTurnedAside(seen);
    };
    return [
      ...linesThat(evidence, isLost, (items) => `${called(items)} ${verb(items, 'is', 'are')} entirely off the canvas, ${whereOff(items[0], evidence)}`), // prettier-ignore
      ...mostlyOff(evidence, isLost),
    ];
  },
};

/** Lines that draw a still pattern, most of it off the canvas: a loop that runs too far, or in steps that are too wide. */
function mostlyOff({ details }: Evidence, isOff: (seen: SeenItem) => boolean): Sighting[] {
  return itemsByLine(details).flatMap(({ line, all }): Sighting[] => {
    const { detail } = all[0];
    const items = all.filter((one) => one.detail === detail).map(({ seen }) => seen);
    const off = items.filter(isOff);
    if (off.length < 3 || off.length === items.length || off.length * 2 <= items.length) return [];
    // One that reaches over opposite edges is large so that it fills the canvas, turned or not.
    const isOver = (side: (box: Box) => boolean): boolean => off.some(({ description: { box } }) => side(box));
    const { canvas } = detail;
    if (isOver(({ right }) => right <= canvas.left) && isOver(({ left }) => left >= canvas.right)) return [];
    if (isOver(({ bottom }) => bottom <= canvas.top) && isOver(({ top }) => top >= canvas.bottom)) return [];
    const text = `${off.length} of ${items.length} ${items[0].item.shape} items are entirely off the canvas`;
    return [{ line, frame: detail.at, text, items: off.map(({ place }) => place + 1) }];
  });
}

/** Whether something lies about where the pointer rests while it is not over the canvas: it follows that. */
function isAtRest({ left, top, right, bottom }: Box, canvas: Box): boolean {
  const [wide, high] = [canvas.right - canvas.left, canvas.bottom - canvas.top];
  const [x, y] = [(left + right) / 2 - (canvas.left - wide), (top + bottom) / 2 - (canvas.top - high)];
  return Math.abs(x) < wide / 2 && Math.abs(y) < high / 2;
}

function whereOff({ description: { box } }: SeenItem, { details }: Evidence): string {
  const [{ canvas }] = details;
  const side =
    box.right <= canvas.left
      ? 'to the left of it'
      : box.left >= canvas.right
        ? 'to the right of it'
        : box.bottom <= canvas.top
          ? 'above it'
          : 'below it';
  return `${side}, at ${Math.round((box.left + box.right) / 2)}, ${Math.round((box.top + box.bottom) / 2)}`;
}

const covered: Rule = {
  name: 'covered',
  title: 'Hidden behind what is drawn later',
  why: 'Later shapes cover earlier ones, and nothing of it is visible.',
  cure: 'Draw it after whatever hides it, or raise it with layer: 1.',
  find(evidence) {
    const still = stillKeys(evidence);
    return linesThat(
      evidence,
      // A moving item may become visible again, but not from behind something that fills the canvas.
      (seen, detail) => seen.description.hidden === 'covered' && (still.has(seen.key) || isUnderAll(seen, detail)),
      (items) => `${called(items)} ${verb(items, 'is', 'are')} entirely covered by what is drawn later`,
    );
  },
};

const clipped: Rule = {
  name: 'clipped',
  title: 'Cut away by the clip of its group',
  why: 'The clip keeps only what lies inside of it, and nothing of this does.',
  cure: 'A clip is drawn in the units of its group: after translate: [160, 90] the place [0, 0] is what was [160, 90].',
  find(evidence) {
    const still = stillKeys(evidence);
    return linesThat(
      evidence,
      ({ description: { hidden }, key }) => hidden === 'clipped away' && still.has(key),
      (items) => `${called(items)} ${verb(items, 'lies', 'lie')} outside of the clip`,
    );
  },
};

/** Whether something that is drawn later fills the whole canvas. */
function isUnderAll(seen: SeenItem, { items, canvas }: Detail): boolean {
  return items.slice(items.indexOf(seen) + 1).some((one) => covers(one, canvas));
}

const sizeless = {
  'squashed flat': (items) => `${verb(items, 'is', 'are')} squashed flat by a scale of 0`,
  'no size': (items) => `${verb(items, 'has', 'have')} no size`,
  'too small': (items) => `${verb(items, 'is', 'are')} too small to be seen`,
} satisfies Partial<Record<Hidden, (items: readonly SeenItem[]) => string>>;

const noSize: Rule = {
  name: 'no-size',
  title: 'Without a size',
  why: 'A length or a scale of 0 leaves nothing to paint.',
  cure: 'Give it a size above 0, or two points or more; a scale of 1 leaves it unchanged.',
  find(evidence) {
    // A line may be drawn by hand yet.
    const isLed = waitsForInput(evidence.noted);
    return linesThat(
      evidence,
      ({ item: { start, end }, description: { hidden } }) =>
        hidden !== undefined && hidden in sizeless && !(isLed && start === end),
      (items) => `${called(items)} ${sizeless[items[0].description.hidden as keyof typeof sizeless](items)}`,
    );
  },
};

const noPaint: Rule = {
  name: 'no-paint',
  title: 'Painted with nothing',
  why: 'It has neither a visible fill nor a visible stroke.',
  cure: "Give it one: fill: 'teal', or stroke: { color: 'teal', width: 2 }.",
  find(evidence) {
    // An item may be about to fade in, but not where nothing ever changes.
    const isForever = isStill(evidence);
    return linesThat(
      evidence,
      ({ description: { hidden } }) => hidden === 'no paint' || (hidden === 'opacity 0' && isForever),
      (items) =>
        items[0].description.hidden === 'opacity 0'
          ? `${called(items)} ${verb(items, 'has', 'have')} an opacity of 0`
          : `${called(items)} ${verb(items, 'has', 'have')} neither fill nor stroke`,
    );
  },
};

/** Whether a sketch shows one picture all through. */
function isStill({ sketch, course, noted }: Evidence): boolean {
  if (sketch.frames === 1) return true;
  const isLed = waitsForInput(noted) || noted.asked.has('dials');
  return !isLed && !sketch.hasStep && course.every((frame) => isSameFrame(frame, { ...course[0], carry: frame.carry }));
}

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

const samePlace: Rule = {
  name: 'same-place',
  title: 'Everything a line draws lies in one place',
  why: 'They cover one another exactly, and look like one.',
  cure: 'Move each by the counter of the loop, at: [60 + i * 50, 90]; ask for random numbers in the loop, but make what gives them before it.',
  find: ({ details }) =>
    itemsByLine(details).flatMap(({ line, all }) => {
      const frames = [...new Set(all.map(({ detail }) => detail))].map((detail) => ({
        at: detail.at,
        items: all.filter((one) => one.detail === detail).map(({ seen }) => seen),
      }));
      // What only begins in one place moves apart in later frames.
      if (!frames.every(({ items }) => items.length > 1 && items.every((one) => isSolid(one) && isLike(one, items[0]))))
        return [];
      const [{ at, items }] = frames;
      const text = `${called(items)} lie in exactly the same place`;
      return [{ line, frame: at, text, items: items.map(({ place }) => place + 1) }];
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
      // Under a carry it may cover what earlier frames have left.
      ({ changes, description: { hidden } }) => !changes && hidden === undefined && evidence.sketch.carry === 0,
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
  offCanvas,
  covered,
  clipped,
  noSize,
  noPaint,
  corner,
  samePlace,
  sameColor,
  cutStroke,
  strokeScaled,
  pictureEnlarged,
  pictureSqueezed,
];
