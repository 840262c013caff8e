import type { Group, ItemPaint } from '../../frame/reader.ts';
import { determinant, identity, largestScale, multiply } from '../../geometry/matrix.ts';
import { pathBox } from '../../geometry/path.ts';
import {
  called,
  isOn,
  itemsByLine,
  linesThat,
  nameOf,
  stillNames,
  verb,
  type Detail,
  type Evidence,
  type SeenItem,
} from '../evidence.ts';
import { alphaOf } from '../../paint/color.ts';
import type { Hidden } from '../../review/describe.ts';
import type { Rule } from '../rule.ts';
import type { NotedCall } from '../watch.ts';

/* Items that cannot be seen, or not as they were meant. */

/** The names of things that are on the canvas in any frame of the course. */
function everOn({ tracks, details }: Evidence): Set<string> {
  const [{ canvas }] = details;
  return new Set(
    tracks.filter(({ boxes }) => boxes.some((box) => box !== undefined && isOn(box, canvas))).map(({ name }) => name),
  );
}

const offCanvas: Rule = {
  name: 'off-canvas',
  title: 'Drawn off the canvas',
  why: 'It is never visible: it is beyond the edge in every frame that was checked.',
  cure: 'x runs from 0 on the left to width, y from 0 at the top to height: canvas.circle({ at: [width / 2, height / 2], radius: 40 }) is in the middle.',
  find(evidence) {
    const [on, still] = [everOn(evidence), stillNames(evidence)];
    return linesThat(
      evidence,
      // A moving item may enter the canvas later.
      ({ description, item }) =>
        description.hidden === 'off the canvas' && !on.has(nameOf(item)) && still.has(nameOf(item)),
      (items) =>
        `${called(items)} ${verb(items, 'is', 'are')} entirely off the canvas, ${whereOff(items[0], evidence)}`,
    );
  },
};

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
    const still = stillNames(evidence);
    return linesThat(
      evidence,
      // A moving item may become visible again, but not from behind something that fills the canvas.
      (seen, detail) =>
        seen.description.hidden === 'covered' && (still.has(nameOf(seen.item)) || isUnderAll(seen, detail)),
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
    const still = stillNames(evidence);
    return linesThat(
      evidence,
      ({ description: { hidden }, item }) => hidden === 'clipped away' && still.has(nameOf(item)),
      (items) => `${called(items)} ${verb(items, 'lies', 'lie')} outside of the clip`,
    );
  },
};

/** Whether something that is drawn later fills the whole canvas. */
function isUnderAll(seen: SeenItem, { items, canvas }: Detail): boolean {
  return items.slice(items.indexOf(seen) + 1).some(({ item: { fill, opacity }, description: { box } }) => {
    if (typeof fill !== 'number' || alphaOf(fill) < 255 || opacity < 1) return false;
    return box.left <= canvas.left && box.top <= canvas.top && box.right >= canvas.right && box.bottom >= canvas.bottom;
  });
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
  cure: 'Give it a size above 0; a scale of 1 leaves it unchanged.',
  find: (evidence) =>
    linesThat(
      evidence,
      ({ description: { hidden } }) => hidden !== undefined && hidden in sizeless,
      (items) => `${called(items)} ${sizeless[items[0].description.hidden as keyof typeof sizeless](items)}`,
    ),
};

const noPaint: Rule = {
  name: 'no-paint',
  title: 'Painted with nothing',
  why: 'It has neither a visible fill nor a visible stroke.',
  cure: "Give it one: fill: 'teal', or stroke: { color: 'teal', width: 2 }.",
  find: (evidence) =>
    linesThat(
      evidence,
      ({ description: { hidden } }) =>
        // An item may be about to fade in, but not in a still picture.
        hidden === 'no paint' || (hidden === 'opacity 0' && evidence.sketch.frames === 1),
      (items) =>
        items[0].description.hidden === 'opacity 0'
          ? `${called(items)} ${verb(items, 'has', 'have')} an opacity of 0`
          : `${called(items)} ${verb(items, 'has', 'have')} neither fill nor stroke`,
    ),
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
      ({ changes, description: { hidden }, item }) => !changes && hidden === undefined && item.blend === 'normal',
      (items) =>
        `${called(items)} ${verb(items, 'has', 'have')} exactly the color of what is behind ${verb(items, 'it', 'them')}`,
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

const quarter = Math.PI / 4;

/** Whether an angle is a multiple of an eighth of a turn in radians, as one writes it: 1.5708, 3.1416. */
function looksLikeRadians(angle: unknown): boolean {
  if (typeof angle !== 'number' || angle === 0 || Number.isInteger(angle) || Math.abs(angle) > 13) return false;
  const parts = angle / quarter;
  return Math.abs(parts - Math.round(parts)) < 2e-3;
}

const radians: Rule = {
  name: 'radians',
  title: 'An angle in radians',
  why: 'Angles are in degrees; an angle meant in radians hardly turns anything.',
  cure: 'Write 90 for a quarter turn, or fromRadians(Math.PI / 2) if your angles come in radians.',
  find({ details }) {
    /** Every call of a line, with the frame: an angle that changes comes by such a value now and then. */
    const lines = new Map<string, { readonly at: number; readonly call: NotedCall }[]>();
    for (const { at, log } of details)
      for (const call of log.calls) {
        const { line } = call;
        const key = line === undefined ? '' : `${line.file}:${line.line}:${line.column}`;
        const list = lines.get(key);
        if (list === undefined) lines.set(key, [{ at, call }]);
        else list.push({ at, call });
      }
    return [...lines.values()].flatMap((calls) => {
      // No turn at all is the same in radians: a loop begins with it.
      const turning = calls.filter(({ call }) => anglesOf(call.name, call.given).some((angle) => angle !== undefined && angle !== 0)); // prettier-ignore
      // Next to an angle in radians, the other one may be a whole number: from 0 to Math.PI.
      if (turning.length === 0 || !turning.every(({ call }) => anglesOf(call.name, call.given).some(looksLikeRadians))) return []; // prettier-ignore
      const [
        {
          at,
          call: { name, given, line, first, end },
        },
      ] = turning;
      const angle = anglesOf(name, given).find(looksLikeRadians) as number;
      const items = Array.from({ length: end - first }, (_, i) => first + i + 1);
      const text = `${name} is given ${Number(angle.toFixed(4))}°, which looks like ${Math.round(angle / quarter) * 45}° in radians`;
      return [{ line, frame: at, items, text }];
    });
  },
};

/** The angles that a call is given. */
function anglesOf(name: string, given: readonly unknown[]): unknown[] {
  if (name === 'rotate') return [given[0]];
  const options = given.find((one) => typeof one === 'object' && one !== null) as Record<string, unknown> | undefined;
  if (options === undefined) return [];
  return name === 'arc' ? [options.rotate, options.start, options.end] : [options.rotate];
}

const fractions: Rule = {
  name: 'fractions',
  title: 'A gradient in fractions of the shape, taken as units',
  why: 'Its points are in the units of the sketch, so all of it happens within one unit, and the rest is a single color.',
  cure: "Add units: 'box' to it, or give its points in units: from: [0, 0], to: [0, 360].",
  find: (evidence) =>
    linesThat(
      evidence,
      ({ item }) => {
        const { left, top, right, bottom } = pathBox(item.outlines, identity, item.start, item.end);
        return isFractional(item.fill) && Math.max(right - left, bottom - top) > 8;
      },
      (items) => `${called(items)} ${verb(items, 'has', 'have')} a gradient no longer than one unit`,
    ),
};

/** Whether all the numbers of a gradient in units could be fractions of a box. */
function isFractional(paint: ItemPaint | undefined): boolean {
  if (typeof paint !== 'object' || (paint.type !== 'linear' && paint.type !== 'radial') || paint.units === 'box')
    return false;
  const numbers = paint.type === 'linear' ? [...paint.from, ...paint.to] : [...paint.at, paint.radius, ...paint.focus];
  return numbers.every((number) => number >= 0 && number <= 1);
}

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

/** The call that drew an item. */
export function callOf(calls: readonly NotedCall[], place: number): NotedCall | undefined {
  return calls.find(({ first, end, name }) => name !== 'group' && place >= first && place < end);
}

export const itemRules: readonly Rule[] = [
  offCanvas,
  covered,
  clipped,
  noSize,
  noPaint,
  samePlace,
  sameColor,
  cutStroke,
  radians,
  fractions,
  strokeScaled,
  pictureEnlarged,
];
