import { intersectBoxes, type Box } from '../../geometry/box.ts';
import { largestScale, multiply } from '../../geometry/matrix.ts';
import { alphaOf, blueOf, greenOf, redOf } from '../../paint/color.ts';
import {
  byLine,
  called,
  callsByLine,
  covers,
  itemsByLine,
  linesThat,
  stillKeys,
  verb,
  type Detail,
  type Evidence,
  type SeenItem,
  type Sighting,
} from '../evidence.ts';
import { contrast, relativeLuminance } from '../luminance.ts';
import type { Rule } from '../rule.ts';
import { optionsOf } from '../watch.ts';

/* Text that cannot be read. */

/** How large a text is, in pixels of density 1; undefined for what is no text of the sketch's own. */
function pixelSize({ place, item }: SeenItem, { frame, log }: Detail): number | undefined {
  const call = log.callOf(place);
  if (call?.name !== 'text' || call.textStyle === undefined) return undefined;
  return call.textStyle.size * largestScale(multiply(frame.view, item.transform));
}

const leastSize = 9;

const smallText: Rule = {
  name: 'small-text',
  title: 'Text that is too small',
  why: `Letters below ${leastSize} pixels run together.`,
  cure: 'Give it a size of 12 or more, taking the current scale into account.',
  find: (evidence) =>
    linesThat(
      evidence,
      (seen, detail) => (pixelSize(seen, detail) ?? Infinity) < leastSize && seen.description.hidden === undefined,
      (items) =>
        `${called(items)} ${verb(items, 'is', 'are')} set in ${Number(
          pixelSize(
            items[0],
            evidence.details.find(({ items: all }) => all.includes(items[0]))!,
          )!.toFixed(1),
        )} pixels`,
    ),
};

const cutText: Rule = {
  name: 'cut-text',
  title: 'Text that runs off the canvas',
  why: 'What is beyond the edge cannot be read.',
  cure: 'Move it in, make it smaller, or break it with maxWidth; anchor says which of its points goes to `at`.',
  find(evidence) {
    // What moves may be on its way in or out.
    const still = stillKeys(evidence);
    const isText = (seen: SeenItem, detail: Detail): boolean =>
      pixelSize(seen, detail) !== undefined && still.has(seen.key);
    const isCut = (seen: SeenItem, detail: Detail): boolean =>
      seen.description.hidden === undefined && isText(seen, detail) && sidesOver(seen, detail).length > 0;
    const isOut = (seen: SeenItem, detail: Detail): boolean =>
      isCut(seen, detail) || (seen.description.hidden === 'off the canvas' && isText(seen, detail));
    return [
      ...linesThat(evidence, isCut, (items) => `${called(items)} ${verb(items, 'runs', 'run')} off the canvas`),
      ...(evidence.noted.asked.has('pointer')
        ? []
        : someOf(evidence, isOut, ({ some, detail, words }) => {
            // Over opposite edges it fills the canvas, and more.
            const sides = new Set(some.flatMap((seen) => sidesOver(seen, detail)));
            const isOver = (sides.has('left') && sides.has('right')) || (sides.has('top') && sides.has('bottom'));
            return isOver ? undefined : `${words} ${verb(some, 'runs', 'run')} off the canvas`;
          })),
    ];
  },
};

/** The edges of the canvas that an item reaches over. */
function sidesOver({ description: { box } }: SeenItem, { canvas }: Detail): string[] {
  const over = {
    left: canvas.left - box.left,
    right: box.right - canvas.right,
    top: canvas.top - box.top,
    bottom: box.bottom - canvas.bottom,
  };
  return Object.entries(over).flatMap(([side, by]) => (by > 1 ? [side] : []));
}

/** Some of the texts that a line draws. */
interface SomeTexts {
  readonly some: readonly SeenItem[];
  readonly detail: Detail;
  /** "2 of 12 texts (“11”, “12”)" */
  readonly words: string;
}

/**
 * Lines that draw many texts, each another one, of which some pass a test in every frame: each is there to be read. One
 * that is repeated is a pattern, and may be cut.
 */
function someOf(
  { details }: Evidence,
  test: (seen: SeenItem, detail: Detail) => boolean,
  say: (found: SomeTexts) => string | undefined,
): Sighting[] {
  return itemsByLine(details).flatMap(({ line, all }): Sighting[] => {
    const { detail } = all[0];
    const items = all.flatMap((one) => (one.detail === detail ? [one.seen] : []));
    // What is fine in another frame only changes, as what fades in does.
    const fine = new Set(all.flatMap((one) => (test(one.seen, one.detail) ? [] : [one.seen.key])));
    const some = items.filter(({ key }) => !fine.has(key));
    if (some.length === 0 || some.length === items.length) return [];
    if (new Set(items.map(({ item }) => item.text)).size < items.length) return [];
    const names = some.slice(0, 3).map(({ item }) => `“${item.text?.slice(0, 20)}”`);
    const words = `${some.length} of ${items.length} texts (${names.join(', ')}${some.length > 3 ? ', …' : ''})`;
    const text = say({ some, detail, words });
    return text === undefined ? [] : [{ line, frame: detail.at, text, items: some.map(({ place }) => place + 1) }];
  });
}

const missingCharacters: Rule = {
  name: 'missing-characters',
  title: 'Characters missing from the font',
  why: 'An empty box is drawn instead.',
  cure: 'Load a font that has them with asset.font(new URL(…)), and pass it as font.',
  find: ({ details }) =>
    details.flatMap(({ at, log }) =>
      log.calls.flatMap(({ line, lacking = [], given, first }) =>
        lacking.length === 0
          ? []
          : [
              {
                line,
                frame: at,
                items: [first + 1],
                text: `the font has no ${lacking.map((one) => `“${one}”`).join(', ')} for “${String(given[0]).slice(0, 30)}”`,
              },
            ],
      ),
    ),
};

/** What JavaScript writes for a value that is not there. */
const absent = /(?<![\w’'])(undefined|NaN|null)(?![\w’'])|\[object \w+\]/;

const missingValue: Rule = {
  name: 'missing-value',
  title: 'A text that says undefined or NaN',
  why: 'What was put into it is not there: a misspelt property, an asset without that column, a number divided by 0.',
  cure: 'Print the value where it comes from; row.level ?? 0 gives another one in its place.',
  find: ({ details }) => textsThatSay(details, absent),
};

/** A number as arithmetic leaves it. */
const allDigits = /(?<![\d.])\d+\.\d{8,}/;

const longNumber: Rule = {
  name: 'long-number',
  title: 'A number with all its digits',
  why: 'Nobody reads that many; where it changes, so does its length, and the text jumps to and fro.',
  cure: 'Round it for the eye: seconds.toFixed(1), or Math.round(depth).',
  find: ({ details }) => textsThatSay(details, allDigits),
};

/** The lines whose texts have something in them. */
function textsThatSay(details: readonly Detail[], pattern: RegExp): Sighting[] {
  return callsByLine(details).flatMap((calls) => {
    const wrong = calls.find(({ call }) => call.name === 'text' && pattern.test(String(call.given[0])));
    if (wrong === undefined) return [];
    const { at, call } = wrong;
    const text = `a text says “${String(call.given[0]).slice(0, 40)}”`;
    return [{ line: call.line, frame: at, text, items: [call.first + 1] }];
  });
}

const lowContrast: Rule = {
  name: 'low-contrast',
  title: 'Text with too little contrast',
  why: 'Its contrast with what is behind it is below WCAG 2.2’s 4.5 to 1 (3 to 1 for large letters).',
  cure: 'Make it darker or lighter than what is behind it, or put a plain box behind it.',
  find(evidence) {
    const still = stillKeys(evidence);
    const isBelow = (seen: SeenItem, detail: Detail, limit: (size: number) => number): boolean => {
      const size = pixelSize(seen, detail);
      const found = contrastOf(seen);
      return size !== undefined && found !== undefined && found < limit(size) - 0.05;
    };
    const has = (items: readonly SeenItem[]): string =>
      `${verb(items, 'has', 'have')} a contrast of ${contrastOf(items[0])!.toFixed(1)} to 1 with what is behind ${verb(items, 'it', 'them')}`;
    return [
      ...linesThat(
        evidence,
        (seen, detail) => isBelow(seen, detail, needed),
        (items) => `${called(items)} ${has(items)}`,
      ),
      ...someOf(
        evidence,
        (seen, detail) => still.has(seen.key) && isBelow(seen, detail, () => unreadable),
        ({ some, words }) => `${words} ${has(some)}`,
      ),
    ];
  },
};

/** Below such a contrast nobody reads a text; above it, one of many may be told from the rest by being faint. */
const unreadable = 1.6;

/** WCAG counts 18 pt, 24 pixels, as large. */
const needed = (size: number): number => (size >= 24 ? 3 : 4.5);

function contrastOf({ item: { fill, opacity, group }, description, under }: SeenItem): number | undefined {
  if (
    typeof fill !== 'number' ||
    alphaOf(fill) < 255 ||
    opacity < 1 ||
    under === undefined ||
    description.hidden !== undefined
  )
    return undefined;
  // What fades in or out is not to be read then.
  for (let at = group; at !== undefined; at = at.parent) if (at.opacity < 1) return undefined;
  return contrast(relativeLuminance(redOf(fill), greenOf(fill), blueOf(fill)), relativeLuminance(...under));
}

/** So much of a text's box may lie over another's: letters that are placed one by one come so close. */
const maxOverlap = 0.25;
/** With more texts than this, they are a texture. */
const maxTexts = 300;

const textOverText: Rule = {
  name: 'text-over-text',
  title: 'Text over other text',
  why: 'Where letters stand on letters, neither can be read.',
  cure: 'Set them apart by more than their size: at: [60, 40 + i * 26] for a size of 20; or break one text into lines, with maxWidth or \\n.',
  find(evidence) {
    // What lies by chance is scattered.
    if (evidence.noted.asked.has('random')) return [];
    const still = stillKeys(evidence);
    const [detail] = evidence.details;
    const texts = detail.items.filter((seen) => still.has(seen.key) && isPlainText(seen));
    if (texts.length > maxTexts) return [];
    const over = texts.flatMap((seen, i) => {
      const under = texts.slice(0, i).find((other) => isOver(seen, other, detail));
      return under === undefined ? [] : [{ seen, under }];
    });
    return byLine(over, ({ seen }) => seen.description.source).map((list) => {
      const [{ seen, under }] = list;
      const more = list.length > 1 ? `, and ${list.length - 1} more like it` : '';
      const items = list.map((one) => one.seen.place + 1);
      return { line: seen.description.source, frame: detail.at, text: `${called([seen])} lies over ${called([under])}${more}`, items }; // prettier-ignore
    });
  },
};

/** Whether an item is a text that is upright, opaque and to be seen. */
function isPlainText({ item: { text, fill, opacity, group, transform }, description: { hidden } }: SeenItem): boolean {
  if (text === undefined || text.trim() === '' || hidden !== undefined || opacity < 1) return false;
  for (let at = group; at !== undefined; at = at.parent) if (at.opacity < 1) return false;
  return typeof fill === 'number' && alphaOf(fill) === 255 && transform[1] === 0 && transform[2] === 0;
}

/** Whether a text lies over another that says something else in letters of about the same size, and nothing is between them. */
function isOver(seen: SeenItem, other: SeenItem, detail: Detail): boolean {
  if (seen.item.text === other.item.text) return false;
  const sizes = [seen, other].map((one) => pixelSize(one, detail) ?? 0);
  if (Math.max(...sizes) > 1.5 * Math.min(...sizes)) return false;
  const [one, two] = [seen.description.box, other.description.box];
  const area = ({ left, top, right, bottom }: Box): number => Math.max(0, right - left) * Math.max(0, bottom - top);
  const shared = intersectBoxes(one, two);
  if (area(shared) <= maxOverlap * Math.min(area(one), area(two))) return false;
  const [from, to] = [detail.items.indexOf(other), detail.items.indexOf(seen)];
  return !detail.items.slice(from + 1, to).some((between) => covers(between, shared));
}

/** From so much of the last picture on, what a text said before can still be seen. */
const seenCarry = 0.5;

const smearedText: Rule = {
  name: 'smeared-text',
  title: 'Text over what it said before',
  why: 'With a carry the last picture stays, and the text of the frames before with it.',
  cure: 'Put a plain rect behind it that covers what it said before, or leave carry out and keep in the state what leaves the trail.',
  find: ({ details }) =>
    itemsByLine(details).flatMap(({ line, all }) => {
      const said = new Map<string, Set<string | undefined>>();
      const bare = all.flatMap(({ seen, detail }) => {
        const call = detail.log.callOf(seen.place);
        if (call?.name !== 'text' || detail.frame.carry < seenCarry || !isBare(seen, detail)) return [];
        const where = JSON.stringify([optionsOf(call).at, [...seen.item.transform]]);
        said.set(where, (said.get(where) ?? new Set()).add(seen.item.text));
        return [{ seen, detail, where }];
      });
      const smeared = bare.filter(({ where }) => said.get(where)!.size > 1);
      if (smeared.length === 0) return [];
      const [{ detail: first }] = smeared;
      const items = smeared.filter(({ detail }) => detail === first).map(({ seen }) => seen);
      const text = `with a carry of ${first.frame.carry}, ${called(items)} ${verb(items, 'stands', 'stand')} over what ${verb(items, 'it', 'they')} said before`;
      return [{ line, frame: first.at, text, items: items.map(({ place }) => place + 1) }];
    }),
};

/** Whether a text can be seen, and nothing of its own frame lies behind all of it and covers the frames before. */
function isBare(text: SeenItem, { items }: Detail): boolean {
  const { box, hidden } = text.description;
  return hidden === undefined && !items.slice(0, items.indexOf(text)).some((one) => covers(one, box));
}

export const textRules: readonly Rule[] = [
  smallText,
  cutText,
  missingCharacters,
  missingValue,
  longNumber,
  lowContrast,
  textOverText,
  smearedText,
];
