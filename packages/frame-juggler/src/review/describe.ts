import { givenMatrix } from '../geometry/given-matrix.ts';
import type { SourceLine } from '../source-line.ts';
import type { Frame } from '../frame/frame.ts';
import type { Group, Item, ItemPaint } from '../frame/reader.ts';
import type { Box } from '../geometry/box.ts';
import { determinant, inverse, type Matrix } from '../geometry/matrix.ts';
import { pathData, short } from '../geometry/write-path-data.ts';
import { atan2 } from '../maths/arc.ts';
import { hypot } from '../maths/power.ts';
import { alphaOf, cssColor } from '../paint/color.ts';
import { canvasBox, reviewed } from './reviewed.ts';
import { seenShares, type SeenShare } from './seen.ts';
import { givenFrame } from '../frame/given-frame.ts';

/*
 * What a frame drew, item by item, in words and numbers for a person. Nothing here is drawn; whoever shows it decides
 * how.
 */

/** Why nothing of an item can be seen. */
export type Hidden =
  'no paint' | 'opacity 0' | 'squashed flat' | 'no size' | 'too small' | 'off the canvas' | 'clipped away' | 'covered';

/** One item of a frame. */
export interface ItemDescription {
  /** Its place in the order of the calls, from 1. The list stands in painter's order, which layers may change. */
  readonly number: number;
  /** The call that drew it. */
  readonly shape: string;
  /** What the sketch calls it. */
  readonly label: string | undefined;
  /** What a text says. */
  readonly text: string | undefined;
  /** The places in the frame's list of groups of those about it, outermost first: labeled ones and pictures of their own. */
  readonly groups: readonly number[];
  /** The line of the sketch, where the frame was painted with tracing on. */
  readonly source: SourceLine | undefined;
  /** The box of its outline, in the sketch's units. */
  readonly box: Box;
  /** Its outline as path data, in its own units. */
  readonly outline: string;
  /** From its own units to the sketch's. */
  readonly transform: Matrix;
  /** The transform in words: "moved to 480, 200, turned by 30°". Empty where it changes nothing. */
  readonly placed: string;
  /** What its inside is painted with, in words; undefined where it has none. */
  readonly fill: string | undefined;
  /** What its outline is drawn in, in words; undefined where it has none. */
  readonly stroke: string | undefined;
  /** How it is painted, in words. */
  readonly style: string;
  /** What part of what it would paint on the canvas can be seen, 0 to 1; undefined where the frame has too many items. */
  readonly seen: number | undefined;
  /** Why nothing of it can be seen; undefined where something can. */
  readonly hidden: Hidden | undefined;
  /** The number of the item that covers all of it; undefined where it is not covered, or by several together. */
  readonly coveredBy: number | undefined;
}

/** A group of a frame. */
export interface GroupDescription {
  /** What the sketch calls it. */
  readonly label: string | undefined;
  /** What makes it a picture of its own, in words; empty where it only has a label. */
  readonly style: string;
}

/** What a frame drew, in words and numbers. */
export interface FrameDescription {
  /** Labeled ones and pictures of their own, for items to refer to. */
  readonly groups: readonly GroupDescription[];
  /** In painter's order: later ones cover earlier ones. */
  readonly items: readonly ItemDescription[];
}

/** Above so many items it is not worked out what can be seen of each: every one is drawn by itself for that. */
const maxForSeen = 20_000;

/** What can be seen of each item; undefined where there are too many to work it out. */
export function sharesOf(frame: Frame): SeenShare[] | undefined {
  return frame.order.length <= maxForSeen ? seenShares(frame) : undefined;
}

/** An item without its outline, which is long to write out and only needed for drawing and comparing. */
export type ItemInWords = Omit<ItemDescription, 'outline'>;

/** What a frame drew, in painter's order, with its outlines and its groups. */
export function describeFrame(frame: Frame): FrameDescription {
  givenFrame.read('describeFrame', 'frame', frame);
  const { items } = reviewed(frame);
  return {
    groups: frame.groups.map((group) => ({ label: group.label, style: groupInWords(group) })),
    items: itemsInWords(frame).map((item, i) => ({ ...item, outline: pathData(items[i].path) })),
  };
}

/**
 * The items of a frame, in painter's order.
 * @param shares what can be seen of each, where that is known already
 */
export function itemsInWords(frame: Frame, shares = sharesOf(frame)): ItemInWords[] {
  const canvas = canvasBox(frame);
  const { items, boxes } = reviewed(frame);
  const places = new Map<number, number[]>();
  // Many items share a transform or a color.
  const placed = onceEach(transformInWords);
  const painted = onceEach(paintInWords);
  return items.map((item, i) => {
    const place = frame.order[i];
    const box = boxes[i];
    const share = shares?.[i];
    return {
      number: place + 1,
      shape: item.shape,
      label: item.label,
      text: item.text,
      groups: groupsAbout(frame, frame.columns.group[place] ?? 0, places),
      source: item.source,
      box,
      transform: item.transform,
      placed: placed(item.transform),
      fill: item.fill === undefined ? undefined : painted(item.fill),
      stroke: strokeInWords(item, painted),
      style: styleInWords(item, painted),
      seen: share?.seen,
      hidden: whyHidden(item, box, canvas, share),
      coveredBy: share?.coveredBy === undefined ? undefined : frame.order[share.coveredBy] + 1,
    };
  });
}

/** A function that works out once what it is asked again. */
function onceEach<Key, Value>(work: (key: Key) => Value): (key: Key) => Value {
  const known = new Map<Key, Value>();
  return (key) => {
    let value = known.get(key);
    if (value === undefined) known.set(key, (value = work(key)));
    return value;
  };
}

function groupsAbout(frame: Frame, place: number, known: Map<number, number[]>): number[] {
  if (place === 0) return [];
  let about = known.get(place);
  if (about === undefined) {
    about = [...groupsAbout(frame, frame.groups[place - 1].parent, known), place - 1];
    known.set(place, about);
  }
  return about;
}

function whyHidden(item: Item, box: Box, canvas: Box, share: SeenShare | undefined): Hidden | undefined {
  const { fill, stroke, opacity, transform } = item;
  const reach = stroke === undefined ? 0 : stroke.width * Math.sqrt(Math.abs(determinant(transform)));
  if (inverse(transform) === undefined) return 'squashed flat';
  if (fill === undefined && (stroke === undefined || stroke.width === 0)) return 'no paint';
  if (opacity === 0 || fadedAway(item.group)) return 'opacity 0';
  if (isWithoutSize(item, box, share)) return 'no size';
  if (box.right + reach <= canvas.left || box.left - reach >= canvas.right) return 'off the canvas';
  if (box.bottom + reach <= canvas.top || box.top - reach >= canvas.bottom) return 'off the canvas';
  if (share === undefined) return undefined;
  if (share.painted) return share.seen === 0 ? 'covered' : undefined;
  const paints = [fill, stroke?.paint].filter((paint) => paint !== undefined);
  if (paints.every((paint) => typeof paint === 'number' && alphaOf(paint) === 0)) return 'no paint';
  if (isClipped(item.group)) return 'clipped away';
  // What is in a gradient or a picture nobody looked at: most likely there is nothing to be seen in it.
  return paints.some((paint) => typeof paint === 'number') ? 'too small' : 'no paint';
}

/** Whether an outline holds nothing: a stroke makes something of a line without an area, and round ends of a point. */
function isWithoutSize({ stroke }: Item, box: Box, share: SeenShare | undefined): boolean {
  const [width, height] = [box.right - box.left, box.bottom - box.top];
  if (!(width > 0 || height > 0)) return share?.painted !== true && (stroke === undefined || share !== undefined);
  return stroke === undefined && (width === 0 || height === 0);
}

function isClipped(group: Group | undefined): boolean {
  for (let at = group; at !== undefined; at = at.parent) if (at.clip !== undefined) return true;
  return false;
}

function fadedAway(group: Group | undefined): boolean {
  for (let at = group; at !== undefined; at = at.parent) if (at.opacity === 0) return true;
  return false;
}

/** A transform as a person would build it: moved, turned, leaned, scaled. Angles are degrees, clockwise. */
export function transformInWords(matrix: Matrix): string {
  const [a, b, c, d, e, f] = givenMatrix.read('transformInWords', 'matrix', matrix);
  const words: string[] = [];
  if (e !== 0 || f !== 0) words.push(`moved to ${short(e)}, ${short(f)}`);
  // a, b, c, d = turn · lean · scale, read from its first column (QR by Gram and Schmidt).
  const across = hypot(a, b);
  const det = a * d - b * c;
  if (across === 0 || det === 0) return [...words, 'squashed flat'].join(', ');
  const turn = (atan2(b, a) * 180) / Math.PI;
  const down = det / across;
  const lean = (a * c + b * d) / det;
  if (Math.abs(turn) > 1e-9) words.push(`turned by ${short(round(turn))}°`);
  if (Math.abs(lean) > 1e-9) words.push(`leaned by ${short(round((atan2(lean, 1) * 180) / Math.PI))}°`);
  const [x, y] = [round(across), round(down)];
  if (x === y && x !== 1) words.push(`scaled by ${short(x)}`);
  else if (x !== y) words.push(`scaled by ${short(x)}, ${short(y)}`);
  return words.join(', ');
}

function round(value: number): number {
  return Number(value.toPrecision(9));
}

type PaintWords = (paint: ItemPaint) => string;

function strokeInWords({ stroke }: Item, painted: PaintWords): string | undefined {
  if (stroke === undefined) return undefined;
  const dashed = stroke.dash.length > 0 ? `, dash ${stroke.dash.map(short).join(' ')}` : '';
  return `${painted(stroke.paint)}, ${short(stroke.width)} wide${dashed}`;
}

function styleInWords(item: Item, painted: PaintWords): string {
  const { fill, opacity, blend, layer } = item;
  const words: string[] = [];
  if (fill !== undefined) words.push(`fill ${painted(fill)}`);
  const stroke = strokeInWords(item, painted);
  if (stroke !== undefined) words.push(`stroke ${stroke}`);
  if (words.length === 0) words.push('neither fill nor stroke');
  if (opacity < 1) words.push(`opacity ${short(opacity)}`);
  if (blend !== 'normal') words.push(`blend ${blend}`);
  if (layer !== 0) words.push(`layer ${short(layer)}`);
  return words.join('; ');
}

function groupInWords({
  opacity,
  blend,
  clip,
  isolated,
}: Pick<Group, 'opacity' | 'blend' | 'clip' | 'isolated'>): string {
  if (!isolated) return '';
  const words: string[] = [];
  if (opacity < 1) words.push(`opacity ${short(opacity)}`);
  if (blend !== 'normal') words.push(`blend ${blend}`);
  if (clip !== undefined) words.push('clipped');
  return words.join('; ');
}

const paintNames = {
  linear: 'linear gradient',
  radial: 'radial gradient',
  conic: 'conic gradient',
  pattern: 'pattern',
  picture: 'picture',
} satisfies Record<Exclude<ItemPaint, number>['type'], string>;

function paintInWords(paint: ItemPaint): string {
  return typeof paint === 'number' ? cssColor(paint) : paintNames[paint.type];
}
