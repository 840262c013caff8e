import type { Frame } from '../frame/frame.ts';
import { FrameReader, type Item } from '../frame/reader.ts';
import { intersectBoxes, type Box } from '../geometry/box.ts';
import { atan2 } from '../maths/arc.ts';
import { alphaOf, blueOf, greenOf, packedColor, redOf, type PackedColor } from '../paint/color.ts';
import { pathBox } from '../geometry/path.ts';
import { canvasBox } from './reviewed.ts';
import type { SeenShare } from './seen.ts';
import { givenFrame } from '../frame/given-frame.ts';

/** So many things are named; the rest is counted. */
const maxNamed = 6;

/** Something to be seen: what has one name, all of it together. */
interface Thing {
  readonly name: string;
  /** What it is made of: groups that bear the name, and items by themselves. */
  readonly wholes: Set<unknown>;
  box: Box;
  /** What can be seen of it, as a part of the canvas. */
  weight: number;
  /** Where it first comes in painter's order. */
  readonly at: number;
}

/**
 * What is to be seen in a frame, in a sentence for who cannot see it: the labeled things and the largest of the others,
 * with where they are, and how many there are in all. "A crane on the left, a lighthouse on the right; 43 things".
 * @param shares what can be seen of each item; without it, all that lies on the canvas counts as seen
 */
export function frameInWords(frame: Frame, shares?: readonly SeenShare[]): string {
  givenFrame.read('frameInWords', 'frame', frame);
  const total = frame.order.length;
  if (total === 0) return `Nothing is drawn; the background is ${colorInWords(frame.background)}`;
  const canvas = canvasBox(frame);
  const isLabeled = labelsOf(frame);
  const things = thingsOf(frame, canvas, shares, isLabeled);
  // A sequence has such a sentence for every frame, and most items bear no label: they are looked at where there is room.
  if (things.length < maxNamed)
    things.push(...thingsOf(frame, canvas, shares, (place) => !isLabeled(place)).slice(0, maxNamed - things.length));
  if (things.length === 0) return `Nothing can be seen; ${total === 1 ? '1 thing is' : `${total} things are`} drawn`;
  const named = things.slice(0, maxNamed).sort((one, other) => one.at - other.at);
  const text = named.map((thing) => `${withCount(thing)} ${placeInWords(thing.box, canvas)}`).join(', ');
  return `${text[0].toUpperCase()}${text.slice(1)}; ${total === 1 ? '1 thing' : `${total} things`}`;
}

/** Tells of an item whether it or a group about it has a label. */
function labelsOf({ columns, groups }: Frame): (place: number) => boolean {
  const labeled: boolean[] = [];
  // A group comes after those about it.
  for (const { label, parent } of groups) labeled.push(label !== undefined || (parent > 0 && labeled[parent - 1]));
  return (place) => columns.label[place] > 0 || (columns.group[place] > 0 && labeled[columns.group[place] - 1]);
}

/** What is to be seen of some of the items, the largest first. */
function thingsOf(
  frame: Frame,
  canvas: Box,
  shares: readonly SeenShare[] | undefined,
  counts: (place: number) => boolean,
): Thing[] {
  const area = (canvas.right - canvas.left) * (canvas.bottom - canvas.top);
  const things = new Map<string, Thing>();
  const add = (item: Item, at: number): void => {
    const seen = shares?.[at].seen ?? Number(item.opacity > 0);
    if (seen === 0) return;
    const box = intersectBoxes(pathBox(item.outlines, item.transform, item.start, item.end), canvas);
    if (!(box.right >= box.left && box.bottom >= box.top)) return;
    const weight = (((box.right - box.left) * (box.bottom - box.top)) / area) * seen;
    const { label, whole } = labelOf(item);
    const name = label ?? ownName(item);
    const known = things.get(name);
    if (known === undefined) {
      things.set(name, { name, wholes: new Set([whole ?? at]), box, weight, at });
      return;
    }
    known.box = unite(known.box, box);
    known.weight += weight;
    known.wholes.add(whole ?? at);
  };
  const ats: number[] = [];
  frame.order.forEach((place, at) => counts(place) && ats.push(at));
  const order = ats.map((at) => frame.order[at]);
  let next = 0;
  const visitor = { enter: () => undefined, leave: () => undefined, item: (item: Item) => add(item, ats[next++]) };
  new FrameReader(frame).walk(order, visitor, () => false);
  return [...things.values()].sort((one, other) => other.weight - one.weight);
}

/** What an item without a label is called. */
function ownName(item: Item): string {
  return item.text === undefined ? `${paintWord(item)}${item.shape}` : `“${item.text.replaceAll('\n', ' ')}”`;
}

/** The outermost label about an item, and the group that bears it. */
function labelOf(item: Item): { label: string | undefined; whole: unknown } {
  let found: { label: string | undefined; whole: unknown } = { label: item.label, whole: undefined };
  for (let { group } = item; group !== undefined; group = group.parent)
    if (group.label !== undefined) found = { label: group.label, whole: group };
  return found;
}

function unite(one: Box, other: Box): Box {
  return {
    left: Math.min(one.left, other.left),
    top: Math.min(one.top, other.top),
    right: Math.max(one.right, other.right),
    bottom: Math.max(one.bottom, other.bottom),
  };
}

/** "a crane", "12 gulls", "“Tide 14:20”" */
function withCount({ name, wholes }: Thing): string {
  const count = wholes.size;
  if (name.startsWith('“')) return count === 1 ? name : `${name} ${count} times`;
  // A label can be anything: plurals and uncountable nouns get no article.
  if (count === 1) return uncounted.test(name) ? name : `${/^[aeiou]/i.test(name) ? 'an' : 'a'} ${name}`;
  return `${count} ${/(?:s|x|ch|sh)$/.test(name) ? `${name}${name.endsWith('s') ? '' : 'es'}` : `${name}s`}`;
}

const uncounted =
  /(?:[^s]s|\b(?:sea|water|sky|land|ground|grass|sand|snow|rain|fog|smoke|light|wind|text|shade|foam|now))$/i;

function placeInWords(box: Box, canvas: Box): string {
  const [width, height] = [canvas.right - canvas.left, canvas.bottom - canvas.top];
  const across = (box.right - box.left) / width;
  const down = (box.bottom - box.top) / height;
  const x = ((box.left + box.right) / 2 - canvas.left) / width;
  const y = ((box.top + box.bottom) / 2 - canvas.top) / height;
  const column = x < 0.36 ? 'left' : x > 0.64 ? 'right' : '';
  const row = y < 0.36 ? 'top' : y > 0.64 ? 'bottom' : '';
  if (across > 0.7 && down > 0.7) return 'all over';
  if (across > 0.7) return row === '' ? 'across the middle' : row === 'top' ? 'across the top' : 'below';
  if (down > 0.7) return column === '' ? 'from top to bottom' : `on the ${column}`;
  if (row === '') return column === '' ? 'in the middle' : `on the ${column}`;
  return column === '' ? `at the ${row}` : `at the ${row} ${column}`;
}

function paintWord({ fill, stroke }: Item): string {
  const paint = fill ?? stroke?.paint;
  if (typeof paint === 'number') return `${colorInWords(paint)} `;
  return paint !== undefined && 'stops' in paint ? 'shaded ' : '';
}

/** Hues in degrees of the color circle, each the word for what lies up to it. */
const hues: readonly (readonly [to: number, word: string])[] = [
  [14, 'red'],
  [42, 'orange'],
  [68, 'yellow'],
  [162, 'green'],
  [198, 'teal'],
  [256, 'blue'],
  [292, 'purple'],
  [344, 'pink'],
  [360, 'red'],
];

/** A color in plain words: "dark blue", "pale green", "gray". */
export function colorInWords(color: PackedColor): string {
  if (alphaOf(packedColor.read('colorInWords', 'color', color)) === 0) return 'transparent';
  const [r, g, b] = [redOf(color) / 255, greenOf(color) / 255, blueOf(color) / 255];
  const [least, most] = [Math.min(r, g, b), Math.max(r, g, b)];
  const light = (least + most) / 2;
  const chroma = most - least;
  if (chroma < 0.09)
    return light < 0.12
      ? 'black'
      : light > 0.93
        ? 'white'
        : light < 0.36
          ? 'dark gray'
          : light > 0.72
            ? 'pale gray'
            : 'gray';
  // The angle of red, green and blue at a third of a turn from one another.
  const hue = ((atan2(Math.sqrt(3) * (g - b), 2 * r - g - b) * 180) / Math.PI + 360) % 360;
  const word = hues.find(([to]) => hue <= to)![1];
  if ((word === 'orange' || word === 'red') && light < 0.42 && chroma < 0.5)
    return light < 0.2 ? 'dark brown' : 'brown';
  return light < 0.28 ? `dark ${word}` : light > 0.78 ? `pale ${word}` : word;
}
