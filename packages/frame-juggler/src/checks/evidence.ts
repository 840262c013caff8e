import type { SourceLine } from '../source-line.ts';
import type { Frame } from '../frame/frame.ts';
import { FrameReader, type Item } from '../frame/reader.ts';
import type { Box } from '../geometry/box.ts';
import { polar, type PolarOptions } from '../geometry/angle.ts';
import { identity } from '../geometry/matrix.ts';
import { pathBox } from '../geometry/path.ts';
import { alphaOf } from '../paint/color.ts';
import type { ItemInWords } from '../review/describe.ts';
import { isPoint, xOf, yOf, type Point } from '../schema/point.ts';
import { optionsOf, type Noted, type NotedCall, type PaintLog } from './watch.ts';

/*
 * What is known of a sketch once it was watched: what the rules judge by. Every frame of a stretch is looked at for what
 * it draws and where; a few of them in full, with lines and calls.
 */

/** An item of a frame that was looked at in full. */
export interface SeenItem {
  readonly item: Item;
  readonly description: ItemInWords;
  /** Identifies it from frame to frame: the key of its track. */
  readonly key: string;
  /** Its place in the frame's columns. */
  readonly place: number;
  /** The pixels under it before it was drawn: whether it changes any, and the mean of those that it covers. */
  readonly changes: boolean;
  readonly under: readonly [red: number, green: number, blue: number] | undefined;
}

/** A frame that was looked at in full. */
export interface Detail {
  readonly at: number;
  readonly frame: Frame;
  readonly items: readonly SeenItem[];
  readonly log: PaintLog;
  /** Whether it was the same when it was painted again. */
  readonly repeats: boolean;
  readonly canvas: Box;
}

/** A thing on its way from frame to frame: the nth of its name. */
export interface Track {
  readonly key: string;
  readonly name: string;
  readonly shape: string;
  /** Its box in each frame of the course, in the sketch's units; undefined where it was not drawn. */
  readonly boxes: (Box | undefined)[];
}

export interface Evidence {
  readonly sketch: {
    readonly width: number;
    readonly height: number;
    readonly frameRate: number;
    readonly frames: number;
    readonly repeats: boolean;
    readonly carry: number;
    readonly hasStep: boolean;
    readonly background: number;
    /** What it declares beside its code: its dials and its files, by name. */
    readonly declared: readonly { readonly part: 'dials' | 'assets'; readonly name: string }[];
    /** Its functions as they are written. */
    readonly code: string;
  };
  readonly noted: Noted;
  /** Every frame of the stretch, from its first on. */
  readonly course: readonly Frame[];
  readonly first: number;
  readonly tracks: readonly Track[];
  readonly details: readonly Detail[];
  /** The first frame of the details that another run of the same seed drew otherwise; undefined where none. */
  readonly differs: number | undefined;
  /** Tracks of a run at twice the frame rate, at the same moments as the course; undefined where it was not tried. */
  readonly faster: readonly Track[] | undefined;
  /** Milliseconds that a frame took: its step and paint. */
  readonly cost: readonly number[];
  /** Relative luminances of a coarse grid over each frame's picture. */
  readonly luminances: readonly Float32Array[];
  /** The line at which the sketch has a piece of code; undefined where that is not known. */
  readonly lineOf: (written: string) => SourceLine | undefined;
}

/** The things that the frames of a course drew, by their names and their order among those of a name. */
export function tracksOf(course: readonly Frame[]): Track[] {
  const tracks = new Map<string, Track & { boxes: (Box | undefined)[] }>();
  course.forEach((frame, at) => {
    const items = new FrameReader(frame).items();
    keysOf(items).forEach((key, i) => {
      const item = items[i];
      let track = tracks.get(key);
      if (track === undefined) {
        const boxes = new Array<Box | undefined>(course.length).fill(undefined);
        tracks.set(key, (track = { key, name: nameOf(item), shape: item.shape, boxes }));
      }
      track.boxes[at] = pathBox(item.path, item.transform);
    });
  });
  return [...tracks.values()];
}

/** Identifies the items of a frame from frame to frame: by name, and place among those of that name. */
export function keysOf(items: readonly Item[]): string[] {
  const counts = new Map<string, number>();
  return items.map((item) => {
    const name = nameOf(item);
    const nth = counts.get(name) ?? 0;
    counts.set(name, nth + 1);
    return `${name}\n${nth}`;
  });
}

/** What an item is called, together with the groups that it is in. */
export function nameOf({ shape, label, group }: Item): string {
  const labels = [];
  for (let at = group; at !== undefined; at = at.parent) if (at.label !== undefined) labels.unshift(at.label);
  return [...labels, shape, label ?? ''].join('/');
}

/** The keys of things that stand still all through the course: what moves may come, go and hide for a while. */
export function stillKeys({ tracks }: Pick<Evidence, 'tracks'>): Set<string> {
  const still = tracks.filter(({ boxes }) => {
    const [first, ...rest] = boxes.filter((box) => box !== undefined);
    return rest.every((box) => isSameBox(first, box));
  });
  return new Set(still.map(({ key }) => key));
}

export function isSameBox(one: Box, other: Box): boolean {
  const sides = ['left', 'top', 'right', 'bottom'] as const;
  return sides.every((side) => one[side] === other[side] || Math.abs(one[side] - other[side]) < 1e-6);
}

/** Whether something is drawn in a frame, at a place that is a number. */
export const isFiniteBox = (box: Box | undefined): box is Box =>
  box !== undefined && Number.isFinite(box.left) && Number.isFinite(box.top);

/** Whether a side of a box and one of the canvas are the same, to a hundredth of a unit. */
export const isAt = (one: number, other: number): boolean => Math.abs(one - other) < 0.01;

/** The middle of a box. */
export const middle = ({ left, right, top, bottom }: Box): [number, number] => [(left + right) / 2, (top + bottom) / 2];

/** Whether nothing of a box lies on the canvas. */
export const isOff = (box: Box, canvas: Box): boolean =>
  box.right <= canvas.left || box.left >= canvas.right || box.bottom <= canvas.top || box.top >= canvas.bottom;

/** Whether an item is turned about the origin of the sketch's units while it lies beside that. */
export function isTurnedAside({ item: { outlines, start, end, transform } }: SeenItem): boolean {
  const [a, b, c, d, e, f] = transform;
  const { left, top, right, bottom } = pathBox(outlines, identity, start, end);
  const isAside = left > 0 || top > 0 || right < 0 || bottom < 0;
  const isTurn = Math.abs(b + c) < 1e-6 && (Math.abs(b) > 1e-6 || (a < 0 && d < 0));
  return isAside && isTurn && Math.abs(e) + Math.abs(f) < 1e-6;
}

/** What is worked out once of the frames that were looked at in full, however many rules ask for it. */
function onceOf<Seen extends object, Result>(work: (seen: Seen) => Result): (seen: Seen) => Result {
  const results = new WeakMap<Seen, Result>();
  return (seen) => {
    const known = results.get(seen) ?? work(seen);
    results.set(seen, known);
    return known;
  };
}

/** A point as it is known again, whatever its last digits. */
const pointKey = (x: number, y: number): string => `${Math.round(x * 1e6)} ${Math.round(y * 1e6)}`;

/** The points of a frame that `polar` gave without one to see them from. */
const polarPoints = onceOf((detail: Detail): ReadonlySet<string> => {
  const points = detail.log.calls.flatMap((call) => {
    const options = optionsOf(call);
    if (call.name !== 'polar' || options.from !== undefined) return [];
    const { x, y } = polar(options as unknown as PolarOptions);
    return [pointKey(x, y)];
  });
  return new Set(points);
});

/**
 * The points that an item was given as `polar` gave them, about the corner of a canvas whose units begin there; none
 * where its group has been moved to another place.
 */
function pointsAboutCorner({ item: { transform }, place }: SeenItem, detail: Detail): [number, number][] {
  const known = polarPoints(detail);
  const call = known.size === 0 ? undefined : detail.log.callOf(place);
  if (call === undefined || transform[4] !== 0 || transform[5] !== 0 || detail.canvas.left !== 0 || detail.canvas.top !== 0) return []; // prettier-ignore
  const { at, from, to, points } = optionsOf(call);
  return [at, from, to, ...(Array.isArray(points) ? (points as unknown[]) : [])].flatMap(
    (point): [number, number][] => {
      if (!isPoint(point)) return [];
      const [x, y] = [xOf(point as Point), yOf(point as Point)];
      return known.has(pointKey(x, y)) ? [[x, y]] : [];
    },
  );
}

/** Whether an item covers all of an area, by its box, with a color that nothing shows through. */
export function covers({ item: { fill, opacity, blend }, description: { box } }: SeenItem, area: Box): boolean {
  const isSolid = typeof fill === 'number' && alphaOf(fill) === 255 && opacity === 1 && blend === 'normal';
  return isSolid && isAround(box, area);
}

/** Whether an item is a rectangle over all of the canvas that lets through what is below it. */
export function isThin({ item, description: { box } }: SeenItem, canvas: Box): boolean {
  const { shape, group, fill, opacity, blend } = item;
  const isOverAll = shape === 'rect' && group === undefined && isAround(box, canvas);
  return isOverAll && typeof fill === 'number' && alphaOf(fill) * opacity < 255 && blend === 'normal';
}

/** Whether an item is such a rectangle, and has the color of what is below it. */
export const isVeil = (seen: SeenItem, canvas: Box): boolean =>
  isThin(seen, canvas) && !seen.changes && seen.description.hidden === undefined;

/** Whether a box has all of an area in it. */
const isAround = (box: Box, area: Box): boolean =>
  box.left <= area.left && box.top <= area.top && box.right >= area.right && box.bottom >= area.bottom;

/** The findings at one place. */
export interface Sighting {
  readonly line: SourceLine | undefined;
  /** How the code is written there, where the line is not known by a call. */
  readonly written?: string;
  /** The frame in which it was seen; undefined where it is of no one frame. */
  readonly frame: number | undefined;
  readonly text: string;
  /** The numbers of its items in that frame. */
  readonly items?: readonly number[];
}

/** What one line drew, over all frames that were looked at in full. */
export interface LineItems {
  readonly line: SourceLine;
  readonly all: readonly { readonly detail: Detail; readonly seen: SeenItem }[];
}

/** A line as a key. */
export const placeOf = (line: SourceLine | undefined): string =>
  line === undefined ? '' : `${line.file}:${line.line}:${line.column}`;

/** Things by the line that they come from, in the order of the lines' first ones. */
export function byLine<Thing>(things: readonly Thing[], lineOf: (thing: Thing) => SourceLine | undefined): Thing[][] {
  const lists = new Map<string, Thing[]>();
  // A line is mostly one object however many things come from it, and then its key need not be written again.
  const known = new Map<SourceLine | undefined, Thing[]>();
  for (const thing of things) {
    const line = lineOf(thing);
    let list = known.get(line);
    if (list === undefined) {
      const key = placeOf(line);
      list = lists.get(key) ?? [];
      lists.set(key, list);
      known.set(line, list);
    }
    list.push(thing);
  }
  return [...lists.values()];
}

/** All items of the frames that were looked at in full, by the line that drew them. */
export const itemsByLine = onceOf((details: readonly Detail[]): readonly LineItems[] => {
  const all = details.flatMap((detail) => detail.items.map((seen) => ({ detail, seen })));
  return byLine(all, ({ seen }) => seen.description.source).flatMap((list): LineItems[] => {
    const line = list[0].seen.description.source;
    return line === undefined ? [] : [{ line, all: list }];
  });
});

/**
 * The points that all items of a line were given by `polar` about the corner of the canvas, and those of them that are
 * beyond its edges; undefined where that is no ring about the corner.
 */
export function ringAboutCorner({ all }: LineItems): { all: number; beyond: number } | undefined {
  const lists = all.map(({ seen, detail }) => pointsAboutCorner(seen, detail));
  if (!lists.every((points) => points.length > 0)) return undefined;
  const points = [...new Map(lists.flat().map((one) => [one.join(' '), one])).values()];
  const beyond = points.filter(([x, y]) => x < -0.5 || y < -0.5).length;
  return points.length < 3 || beyond * 4 < points.length ? undefined : { all: points.length, beyond };
}

/** What a line drew, frame by frame. */
export function framesOf({ all }: LineItems): { detail: Detail; items: readonly SeenItem[] }[] {
  return [...new Set(all.map(({ detail }) => detail))].map((detail) => ({
    detail,
    items: all.filter((one) => one.detail === detail).map(({ seen }) => seen),
  }));
}

/** All calls of the frames that were looked at in full, by their line. */
export const callsByLine = onceOf(
  (details: readonly Detail[]): readonly (readonly { readonly at: number; readonly call: NotedCall }[])[] =>
    byLine(
      details.flatMap(({ at, log }) => log.calls.map((call) => ({ at, call }))),
      ({ call }) => call.line,
    ),
);

/** The numbers of the items that calls drew. */
export const numbersOf = (calls: readonly NotedCall[]): number[] =>
  calls.flatMap(({ first, end }) => Array.from({ length: end - first }, (_, i) => first + i + 1));

/** Whether a sketch looks at what a person does: nobody does it while a sketch is checked, so that it may draw more yet. */
export const waitsForInput = ({ asked }: Noted): boolean => asked.has('pointer') || asked.has('keys');

/**
 * The lines of which every item, in every frame that was looked at in full, passes a test: what comes and goes is no
 * mistake.
 */
export function linesThat(
  { details }: Evidence,
  test: (seen: SeenItem, detail: Detail) => boolean,
  say: (items: readonly SeenItem[], all: LineItems) => string,
): Sighting[] {
  return itemsByLine(details).flatMap((entry): Sighting[] => {
    if (!entry.all.every(({ seen, detail }) => test(seen, detail))) return [];
    const { detail } = entry.all[0];
    const items = entry.all.filter((one) => one.detail === detail).map(({ seen }) => seen);
    return [
      { line: entry.line, frame: detail.at, text: say(items, entry), items: items.map(({ place }) => place + 1) },
    ];
  });
}

/** "the circle lamp", "3 circles" */
export function called(items: readonly SeenItem[]): string {
  const [{ item }] = items;
  const labels = new Set(items.map(({ item: { label } }) => label));
  const label = labels.size === 1 && item.label !== undefined ? ` “${item.label}”` : '';
  if (items.length > 1) return `${items.length} ${item.shape} items${label}`;
  const text = item.text?.replace(/\s+/g, ' ');
  const said = text === undefined ? '' : ` “${text.length > 30 ? `${text.slice(0, 29)}…` : text}”`;
  return `the ${item.shape}${said}${label}`;
}

export function verb(items: readonly unknown[], one: string, many: string): string {
  return items.length === 1 ? one : many;
}

/** The line that draws a thing of a track, where one of the frames looked at in full has it. */
export function lineOfTrack({ details }: Evidence, track: Track): SourceLine | undefined {
  for (const { items } of details)
    for (const { item, description } of items) if (nameOf(item) === track.name) return description.source;
  return undefined;
}
