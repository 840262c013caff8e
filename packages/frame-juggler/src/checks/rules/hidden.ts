import type { Box } from '../../geometry/box.ts';
import type { Hidden } from '../../review/describe.ts';
import { fileName } from '../../review/explain.ts';
import { isSameFrame } from '../../review/same-frame.ts';
import {
  called,
  covers,
  framesOf,
  isSameBox,
  isTurnedAside,
  ringAboutCorner,
  itemsByLine,
  linesThat,
  middle,
  placeOf,
  stillKeys,
  verb,
  waitsForInput,
  type Detail,
  type Evidence,
  type LineItems,
  type SeenItem,
  type Sighting,
} from '../evidence.ts';
import type { Rule } from '../rule.ts';

/* Items of which nothing can be seen. */

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
    const inRings = new Set(itemsByLine(evidence.details).flatMap((entry) => (ringAboutCorner(entry) ? entry.all.map(({ seen }) => seen) : []))); // prettier-ignore
    const isLost = (seen: SeenItem): boolean => {
      const { hidden, box } = seen.description;
      if (hidden !== 'off the canvas' || !still.has(seen.key)) return false;
      return !(isLed && isAtRest(box, canvas)) && !isTurnedAside(seen) && !inRings.has(seen);
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
  return `${side}, at ${middle(box).map(Math.round).join(', ')}`;
}

const covered: Rule = {
  name: 'covered',
  title: 'Hidden behind what is drawn later',
  why: 'Later shapes cover earlier ones, and nothing of it is visible.',
  cure: 'Draw it after whatever hides it, the large before the small, or raise it with layer: 1.',
  find(evidence) {
    const still = stillKeys(evidence);
    return [
      ...linesThat(
        evidence,
        // A moving item may become visible again, but not from behind something that fills the canvas.
        (seen, detail) => seen.description.hidden === 'covered' && (still.has(seen.key) || isUnderAll(seen, detail)),
        (items, { all: [{ detail }] }) =>
          `${called(items)} ${verb(items, 'is', 'are')} entirely covered by ${whatCovers(items, detail)}`,
      ),
      ...itemsByLine(evidence.details).flatMap(coveredByTheirOwn),
    ];
  },
};

/** A line most of whose items are covered by later ones of its own, as where a loop draws the largest last. */
function coveredByTheirOwn(entry: LineItems): Sighting[] {
  const frames = framesOf(entry).map(({ detail, items }) => {
    const numbers = new Set(items.map(({ place }) => place + 1));
    return { detail, items, covered: items.filter(({ description: { coveredBy } }) => coveredBy !== undefined && numbers.has(coveredBy)) }; // prettier-ignore
  });
  if (!frames.every(({ items, covered }) => covered.length > 2 && covered.length * 2 > items.length)) return [];
  const [{ detail, items, covered }] = frames;
  // Many that are alike, in one place, are another finding.
  if (covered.every(({ description: { box } }) => isSameBox(box, items[0].description.box))) return [];
  const text = `${covered.length} of ${items.length} ${items[0].item.shape} items are entirely covered by later ones of this line`;
  return [{ line: entry.line, frame: detail.at, text, items: covered.map(({ place }) => place + 1) }];
}

/** What covers items, where one line draws all that does: "the circle of line 10". */
function whatCovers(covered: readonly SeenItem[], { items }: Detail): string {
  const numbers = new Set(covered.map(({ description }) => description.coveredBy));
  const above = items.filter(({ place }) => numbers.has(place + 1));
  const { source } = above[0]?.description ?? {};
  const isOneLine = above.every(({ description }) => placeOf(description.source) === placeOf(source));
  if (numbers.has(undefined) || source === undefined || !isOneLine) return 'what is drawn later';
  const isHere = source.file === covered[0].description.source?.file;
  return `${called(above)} of ${isHere ? `line ${source.line}` : `${fileName(source.file)}:${source.line}`}`;
}

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
      (items) => {
        const [{ item, description }] = items;
        const has = `${called(items)} ${verb(items, 'has', 'have')}`;
        if (description.hidden === 'opacity 0') return `${has} an opacity of 0`;
        return item.shape === 'picture' ? `${has} nothing in it` : `${has} neither fill nor stroke`;
      },
    );
  },
};

/** Whether a sketch shows one picture all through. */
function isStill({ sketch, course, noted }: Evidence): boolean {
  if (sketch.frames === 1) return true;
  const isLed = waitsForInput(noted) || noted.asked.has('dials');
  return !isLed && !sketch.hasStep && course.every((frame) => isSameFrame(frame, { ...course[0], carry: frame.carry }));
}

export const hiddenRules: readonly Rule[] = [offCanvas, covered, clipped, noSize, noPaint];
