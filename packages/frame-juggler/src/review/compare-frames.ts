import type { Frame } from '../frame/frame.ts';
import { describeFrame, type ItemDescription } from './describe.ts';
import { count } from './explain.ts';
import { clip } from './table.ts';
import { short } from '../geometry/write-path-data.ts';
import { hypot } from '../maths/power.ts';
import { givenFrame } from '../frame/given-frame.ts';
import { givenBy } from '../schema/given.ts';

/** How an item of one frame differs from the item of the other that it answers to. */
export interface ItemChange {
  /** In the first frame. */
  readonly before: ItemDescription;
  /** In the second frame. */
  readonly after: ItemDescription;
  /** In its middle, in the sketch's units. */
  readonly moved?: readonly [x: number, y: number];
  /** Turned, grown, or of another outline. */
  readonly reshaped?: true;
  /** Painted otherwise: fill, stroke, opacity, blend. */
  readonly repainted?: true;
  /** Drawn earlier or later among the others. */
  readonly reordered?: true;
}

/** What one frame has that another has not. */
export interface FrameDifference {
  /** Items of the second frame alone. */
  readonly added: readonly ItemDescription[];
  /** Items of the first frame alone. */
  readonly gone: readonly ItemDescription[];
  /** Items of both that differ. */
  readonly changed: readonly ItemChange[];
  /** How many items are the same in both. */
  readonly same: number;
}

/** Lengths closer than this, in the sketch's units, are the same. */
const nearby = 1e-6;

/**
 * Which items of two frames differ. Items are matched by kind, label and text: first with an item that is equal in every
 * respect, then in order with the next one left, and finally the rest by kind alone.
 */
export function compareFrames(before: Frame, after: Frame): FrameDifference {
  givenFrame.read('compareFrames', 'before', before);
  givenFrame.read('compareFrames', 'after', after);
  const [one, other] = [describeFrame(before).items, describeFrame(after).items];
  const pairs = pairItems(one, other);
  const partners = new Set(pairs.map(([, place]) => place));
  const inOrder = longestRise(pairs.map(([, place]) => place));
  const changed: ItemChange[] = [];
  let same = 0;
  pairs.forEach(([from, to], i) => {
    const change = changeOf(one[from], other[to], !inOrder.has(i));
    if (change === undefined) same++;
    else changed.push(change);
  });
  const paired = new Set(pairs.map(([place]) => place));
  return {
    added: other.filter((_, place) => !partners.has(place)),
    gone: one.filter((_, place) => !paired.has(place)),
    changed,
    same,
  };
}

/** Which item answers to which: places in both lists, by the first. */
function pairItems(one: readonly ItemDescription[], other: readonly ItemDescription[]): [number, number][] {
  const pairs: [number, number][] = [];
  const free = { one: new Set(one.keys()), other: new Set(other.keys()) };
  const keys: ((item: ItemDescription) => string)[] = [
    (item) => [item.shape, item.label, item.text, item.outline, item.transform, item.style].join('\n'),
    (item) => [item.shape, item.label, item.text, item.style].join('\n'),
    (item) => [item.shape, item.label, item.text].join('\n'),
    (item) => [item.shape, item.label].join('\n'),
  ];
  for (const keyOf of keys) {
    const waiting = new Map<string, number[]>();
    for (const place of free.other) {
      const key = keyOf(other[place]);
      const list = waiting.get(key);
      if (list === undefined) waiting.set(key, [place]);
      else list.push(place);
    }
    for (const list of waiting.values()) list.reverse();
    for (const place of [...free.one]) {
      const found = waiting.get(keyOf(one[place]))?.pop();
      if (found === undefined) continue;
      pairs.push([place, found]);
      free.one.delete(place);
      free.other.delete(found);
    }
  }
  return pairs.sort(([a], [b]) => a - b);
}

function changeOf(before: ItemDescription, after: ItemDescription, reordered: boolean): ItemChange | undefined {
  const [a, b] = [before.box, after.box];
  const moved: [number, number] = [
    (b.left + b.right - a.left - a.right) / 2,
    (b.top + b.bottom - a.top - a.bottom) / 2,
  ];
  const isMoved = hypot(...moved) > nearby;
  const isReshaped =
    before.outline !== after.outline
      ? Math.abs(a.right - a.left - b.right + b.left) > nearby ||
        Math.abs(a.bottom - a.top - b.bottom + b.top) > nearby ||
        !isMoved
      : before.transform.some((part, i) => i < 4 && Math.abs(part - after.transform[i]) > 1e-9);
  const isRepainted = before.style !== after.style;
  if (!isMoved && !isReshaped && !isRepainted && !reordered) return undefined;
  return {
    before,
    after,
    ...(isMoved && { moved }),
    ...(isReshaped && { reshaped: true }),
    ...(isRepainted && { repainted: true }),
    ...(reordered && { reordered: true }),
  };
}

/** The places of a longest increasing subsequence; items that are not in it have changed their order. */
function longestRise(list: readonly number[]): Set<number> {
  /** The place of the least end of a run of each length, and the place before each. */
  const ends: number[] = [];
  const before: number[] = [];
  list.forEach((value, i) => {
    let [low, high] = [0, ends.length];
    while (low < high) {
      const middle = (low + high) >> 1;
      if (list[ends[middle]] < value) low = middle + 1;
      else high = middle;
    }
    before[i] = low > 0 ? ends[low - 1] : -1;
    ends[low] = i;
  });
  const places = new Set<number>();
  for (let at = ends.at(-1) ?? -1; at >= 0; at = before[at]) places.add(at);
  return places;
}

/** So many items that are added, gone or changed are named. */
const most = 12;

const given = /* @__PURE__ */ givenBy<FrameDifference>('a difference', 'compareFrames', 'added', 'gone');

/** A difference of frames as lines of text. @param width of the terminal, in letters */
export function frameDifferenceLines(difference: FrameDifference, width = 100): string[] {
  const { added, gone, changed, same } = given.read('frameDifferenceLines', 'difference', difference);
  if (added.length + gone.length + changed.length === 0) return [`The same ${count(same, 'item')}.`];
  const lines: string[] = [];
  const list = (title: string, texts: readonly string[]): void => {
    if (texts.length === 0) return;
    lines.push(`${title}:`, ...texts.slice(0, most).map((text) => clip(`  ${text}`, width)));
    if (texts.length > most) lines.push(`  and ${texts.length - most} more`);
  };
  list(count(gone.length, 'item').concat(' gone'), gone.map(named));
  list(count(added.length, 'item').concat(' added'), added.map(named));
  list(
    count(changed.length, 'item').concat(' changed'),
    changed.map((change) => `${named(change.after)}: ${changeInWords(change)}`),
  );
  return [...lines, `${count(same, 'item')} the same.`];
}

function named({ number, shape, label, text, source }: ItemDescription): string {
  const said = text === undefined ? '' : ` “${text}”`;
  const line = source === undefined ? '' : `, line ${source.line}`;
  return `${number} ${shape}${said}${label === undefined ? '' : ` ${label}`}${line}`;
}

function changeInWords({ before, after, moved, reshaped, repainted, reordered }: ItemChange): string {
  const tenth = (value: number): string => short(Math.round(value * 10) / 10);
  return [
    moved && `moved by ${tenth(moved[0])}, ${tenth(moved[1])}`,
    reshaped && 'reshaped',
    repainted && `${before.style} → ${after.style}`,
    reordered && 'drawn in another order',
  ]
    .filter((part) => part !== undefined)
    .join('; ');
}
