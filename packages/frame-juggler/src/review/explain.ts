import type { SourceLine } from '../source-line.ts';
import type { Frame } from '../frame/frame.ts';
import type { Box } from '../geometry/box.ts';
import { short } from '../geometry/write-path-data.ts';
import { cssColor } from '../paint/color.ts';
import { itemsInWords, type Hidden, type ItemInWords } from './describe.ts';
import { itemsAt } from './items-at.ts';
import type { SeenShare } from './seen.ts';
import { tableLines, wrapLines, type TableRow } from './table.ts';
import { givenFrame } from '../frame/given-frame.ts';
import { givenBy } from '../schema/given.ts';
import { kindOf, text, whole } from '../schema/kind.ts';
import { optional, schemaOf, type Options } from '../schema/schema.ts';

export const wishTable = {
  /** A pixel of the canvas at density 1, from its top left: what is there, from top to bottom. */
  pixel: optional(
    kindOf<readonly [x: number, y: number]>(
      '[x, y], whole numbers from the top left',
      (value) =>
        Array.isArray(value) && value.length === 2 && value.every((part) => Number.isInteger(part) && part >= 0),
      'is not a pixel',
    ),
  ),
  /** One item, by its number. */
  item: optional(whole(1)),
  /** Everything that line of the sketch drew. */
  line: optional(whole(1)),
};
const wishOptions = schemaOf(wishTable, '{ item: 12 }');
/** What is asked of a frame; without any of these, all that it drew. */
export interface ExplainWish extends Options<typeof wishTable> {}

/** An item as it is explained; see {@link ItemInWords}. */
export interface ExplainedItem {
  /** Its place in the order of the calls, from 1. */
  readonly number: number;
  /** The call that drew it. */
  readonly shape: string;
  /** What the sketch calls it. */
  readonly label?: string;
  /** What a text says. */
  readonly text?: string;
  /** The labels of the groups about it, outermost first. */
  readonly groups: readonly string[];
  /** The line of the sketch that drew it. */
  readonly line?: SourceLine;
  /** In the sketch's units. */
  readonly box: Box;
  /** What its inside is painted with, in words. */
  readonly fill?: string;
  /** What its outline is drawn in, in words. */
  readonly stroke?: string;
  /** Where it is not 1. */
  readonly opacity?: number;
  /** How else it is painted, in words; empty where there is nothing to say. */
  readonly style: string;
  /** `[a, b, c, d, e, f]`, from its own units to the sketch's. */
  readonly transform: readonly number[];
  /** Its transform in words; empty where it changes nothing. */
  readonly placed: string;
  /** What share of what it paints on the canvas can be seen, 0 to 1. */
  readonly seen?: number;
  /** Why nothing of it can be seen. */
  readonly hidden?: Hidden;
  /** The number of the item that covers all of it, where one does. */
  readonly coveredBy?: number;
}

/** What a frame drew, as plain data. Its form is documented in docs/review.md; it only ever grows while `version` stays. */
export interface Explanation {
  /** What kind of data it is. */
  readonly format: 'frame-juggler/explanation';
  /** Increases where older readers could not read it. */
  readonly version: 1;
  /** The sketch's title. */
  readonly title: string;
  /** The number of the frame, from 0. */
  readonly frame: number;
  /** The seed of the run. */
  readonly seed: number;
  /** The canvas's width and height, in pixels of density 1. */
  readonly size: readonly [width: number, height: number];
  /** The color under everything, as CSS. */
  readonly background: string;
  /** How many items the frame has in all. */
  readonly total: number;
  /** Those that were asked for: in painter's order, or of a pixel from top to bottom. */
  readonly items: readonly ExplainedItem[];
  /** The pixel that was asked for, with the color that came out of it. */
  readonly pixel?: { readonly at: readonly [x: number, y: number]; readonly color: string };
}

const headTable = {
  /** The sketch's title. */
  title: text,
  /** The number of the frame, from 0. */
  frame: whole(0),
  /** The seed of the run. */
  seed: whole(0),
};
const headOptions = schemaOf(headTable, "{ title: 'Harbor', frame: 12, seed: 1 }");
/** What of the run a frame belongs to. */
export interface ExplainHead extends Options<typeof headTable> {}

/** What is known of a frame already. */
export interface ExplainHelp {
  /** The color of a pixel of the finished picture, as CSS writes it; needed for a pixel. */
  readonly colorAt?: (x: number, y: number) => string;
  /** What can be seen of each item. */
  readonly shares?: SeenShare[] | undefined;
}

/** What a frame drew: all of it, or what a wish picks. */
export function explainFrame(
  frame: Frame,
  head: ExplainHead,
  wish: ExplainWish = {},
  { colorAt, shares }: ExplainHelp = {},
): Explanation {
  givenFrame.read('explainFrame', 'frame', frame);
  headOptions.check('explainFrame', head);
  wishOptions.check('explainFrame', wish);
  const items = itemsInWords(frame, shares);
  const explained = (item: ItemInWords): ExplainedItem =>
    plain(
      item,
      item.groups.map((place) => frame.groups[place].label ?? ''),
    );
  const { pixel } = wish;
  const chosen = pixel === undefined ? items.filter((item) => isWanted(item, wish)) : atPixel(frame, items, pixel);
  return {
    format: 'frame-juggler/explanation',
    version: 1,
    ...head,
    size: [frame.width, frame.height],
    background: cssColor(frame.background),
    total: items.length,
    items: chosen.map(explained),
    ...(pixel !== undefined && { pixel: { at: pixel, color: colorAt?.(...pixel) ?? '' } }),
  };
}

function isWanted({ number, source }: ItemInWords, { item, line }: ExplainWish): boolean {
  return (item === undefined || item === number) && (line === undefined || line === source?.line);
}

/** The items at the middle of a pixel, topmost first. */
function atPixel(frame: Frame, items: readonly ItemInWords[], [x, y]: readonly [number, number]): ItemInWords[] {
  const byNumber = new Map(items.map((item) => [item.number, item]));
  return itemsAt(frame, ...unitsAt(frame, x + 0.5, y + 0.5)).map((place) => byNumber.get(place + 1)!);
}

/** A point of the canvas, in pixels of density 1, in the sketch's units. */
export function unitsAt({ view: [a, b, c, d, e, f] }: Frame, x: number, y: number): [number, number] {
  const det = a * d - b * c;
  return [(d * (x - e) - c * (y - f)) / det, (a * (y - f) - b * (x - e)) / det];
}

function plain(item: ItemInWords, groups: readonly string[]): ExplainedItem {
  const { number, shape, label, text, source, box, fill, stroke, style, transform, placed, seen, hidden, coveredBy } =
    item;
  // Set one after the other, as it may be done for ten thousand items; what is not there has no name in a file.
  const told: { -readonly [Key in keyof ExplainedItem]?: ExplainedItem[Key] } = { number, shape };
  if (label !== undefined) told.label = label;
  if (text !== undefined) told.text = text;
  told.groups = groups;
  if (source !== undefined) told.line = source;
  told.box = box;
  if (fill !== undefined) told.fill = fill;
  if (stroke !== undefined) told.stroke = stroke;
  Object.assign(told, { style, transform, placed });
  if (seen !== undefined) told.seen = Math.round(seen * 1000) / 1000;
  if (hidden !== undefined) told.hidden = hidden;
  if (coveredBy !== undefined) told.coveredBy = coveredBy;
  return told as ExplainedItem;
}

/** Tables of so few items are shown whole; in longer ones so many of a loop's items before the rest of them. */
const fewItems = 40;
const shownOfRun = 2;

/** The last of the items from a place on that one line drew in one go, in one kind and paint. */
function lastOfRun(items: readonly ExplainedItem[], from: number): number {
  let to = from;
  while (to < items.length - 1 && isAlike(items[from], items[to + 1])) to++;
  return to;
}

function isAlike(one: ExplainedItem, other: ExplainedItem): boolean {
  return (
    one.shape === other.shape &&
    one.line?.file === other.line?.file &&
    one.line?.line === other.line?.line &&
    one.fill === other.fill &&
    one.stroke === other.stroke &&
    one.hidden === other.hidden &&
    one.label === other.label
  );
}

const given = /* @__PURE__ */ givenBy<Explanation>('an explanation', 'explainFrame', 'items', 'total');

/**
 * An explanation as lines of text.
 * @param width of the terminal, in letters
 * @param whole whether each of many like items has a row of its own
 */
export function explanationLines(explanation: Explanation, width = 100, whole = false): string[] {
  const { title, frame, seed, total, items, pixel } = given.read('explanationLines', 'explanation', explanation);
  const things = items.length === total ? count(total, 'item') : `${items.length} of ${count(total, 'item')}`;
  const head = `${title}, frame ${frame}, seed ${seed}: ${things}`;
  const at = pixel === undefined ? [] : [`Pixel ${pixel.at.join(', ')} is ${pixel.color}. There, from top to bottom:`];
  if (items.length === 0) return [head, ...at, pixel === undefined ? 'Nothing.' : 'Nothing but the background.'];
  if (items.length === 1 && total > 1 && pixel === undefined) return [head, '', ...itemLines(items[0], width)];
  const columns = [
    { title: '#', right: true },
    { title: 'what', cut: true },
    { title: 'where' },
    { title: 'fill', cut: true },
    { title: 'stroke', cut: true },
    { title: 'seen', right: true },
    { title: 'line', right: true, cut: true },
  ];
  const rows: TableRow[] = [];
  let [about, placed] = ['', ''];
  const main = mainFile(items);
  const addRow = (item: ExplainedItem): void => {
    const groups = item.groups.filter((label) => label !== '').join(' › ');
    if (groups !== about && pixel === undefined) rows.push(groups === '' ? '     (in no group)' : `     in ${groups}`);
    about = groups;
    const { number, fill = '', stroke = '', line } = item;
    const pen = roughly(stroke.replace(' wide', ''));
    rows.push([String(number), whatOf(item), whereOf(item.box), fill, pen, seenOf(item), lineOf(line, main)]);
    if (item.placed !== placed && item.placed !== '') rows.push(`     ${roughly(item.placed)}`);
    ({ placed } = item);
  };
  let next = 0;
  while (next < items.length) {
    const from = next;
    const to = whole || items.length < fewItems ? from : lastOfRun(items, from);
    next = to + 1;
    const leftOut = to - from - shownOfRun;
    items.slice(from, leftOut > 0 ? from + shownOfRun : to).forEach(addRow);
    if (leftOut > 0) rows.push(`     … ${leftOut} more like these from line ${items[from].line?.line ?? '?'}`);
    addRow(items[to]);
  }
  return [head, ...at, '', ...tableLines(columns, rows, width)];
}

/** One item in full. */
function itemLines(item: ExplainedItem, width: number): string[] {
  const { number, groups, line, box, style, placed, transform } = item;
  const rows: [string, string][] = [
    ['Item', `${number}, ${whatOf(item)}`],
    ...(groups.some(Boolean) ? [['In', groups.filter(Boolean).join(' › ')] as [string, string]] : []),
    ['Line', line === undefined ? 'not known' : `${fileName(line.file)}:${line.line}:${line.column}`],
    [
      'Where',
      `${whereOf(box)}: ${short(box.right - box.left)} × ${short(box.bottom - box.top)}, its middle at ${middleOf(box)}`,
    ],
    ['Painted', style],
    ['Placed', placed === '' ? 'as it is written, in the units of the sketch' : placed],
    ['Matrix', transform.map((part) => short(part)).join(', ')],
    ['Seen', seenInWords(item)],
  ];
  return rows.flatMap(([name, text]) => {
    const [first, ...more] = wrapLines(text, width, ' '.repeat(9));
    return [name.padEnd(9) + first.trimStart(), ...more];
  });
}

function seenInWords({ seen, hidden, coveredBy }: ExplainedItem): string {
  if (hidden !== undefined) return `nothing of it: ${hiddenInWords(hidden, coveredBy)}`;
  return seen === undefined
    ? 'not worked out'
    : seen > 0.9995
      ? 'all of it'
      : `${(seen * 100).toFixed(1)} % of what it paints`;
}

/** Why an item cannot be seen, and by which one: "covered by 7". */
const hiddenInWords = (hidden: Hidden, coveredBy: number | undefined): string =>
  coveredBy === undefined ? hidden : `${hidden} by ${coveredBy}`;

const maxText = 24;

function whatOf({ shape, label, text }: ExplainedItem): string {
  const said = text === undefined ? '' : ` “${text.length > maxText ? `${text.slice(0, maxText - 1)}…` : text}”`;
  return `${shape}${said}${label === undefined ? '' : ` ${label}`}`.replaceAll('\n', ' ');
}

/** Words with their numbers to a hundredth. */
const roughly = (words: string): string =>
  words.replace(/-?\d+\.\d{3,}/g, (number) => short(Math.round(Number(number) * 100) / 100));

/** A tenth of a unit is as fine as one looks at a table. */
const tenth = (value: number): string => short(Math.round(value * 10) / 10);

function whereOf({ left, top, right, bottom }: Box): string {
  return left > right ? 'nowhere' : `${tenth(left)}, ${tenth(top)} to ${tenth(right)}, ${tenth(bottom)}`;
}

function middleOf({ left, top, right, bottom }: Box): string {
  return `${tenth((left + right) / 2)}, ${tenth((top + bottom) / 2)}`;
}

function seenOf({ seen, hidden, coveredBy }: ExplainedItem): string {
  if (hidden !== undefined) return hiddenInWords(hidden, coveredBy);
  return seen === undefined ? '' : seen < 0.01 ? '<1 %' : `${Math.round(seen * 100)} %`;
}

/** The file that most lines are of: it is not named again in each row. */
function mainFile(items: readonly ExplainedItem[]): string | undefined {
  const counts = new Map<string, number>();
  for (const { line } of items) if (line !== undefined) counts.set(line.file, (counts.get(line.file) ?? 0) + 1);
  return [...counts].sort(([, one], [, other]) => other - one)[0]?.[0];
}

function lineOf(line: SourceLine | undefined, main: string | undefined): string {
  if (line === undefined) return '';
  return line.file === main ? String(line.line) : `${fileName(line.file)}:${line.line}`;
}

export function fileName(file: string): string {
  return file.slice(Math.max(file.lastIndexOf('/'), file.lastIndexOf('\\')) + 1);
}

/** "1 item", "3 items" */
export function count(number: number, noun: string): string {
  return `${number} ${noun}${number === 1 ? '' : 's'}`;
}
