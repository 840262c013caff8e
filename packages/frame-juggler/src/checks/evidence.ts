import type { SourceLine } from '../error.ts';
import type { Frame } from '../frame/frame.ts';
import { FrameReader, type Item } from '../frame/reader.ts';
import { intersectBoxes, type Box } from '../geometry/box.ts';
import { pathBox } from '../geometry/path.ts';
import type { ItemInWords } from '../review/describe.ts';
import type { Noted, PaintLog } from './watch.ts';

/*
 * What is known of a sketch once it was watched: what the rules judge by. Every frame of a stretch is looked at for what
 * it draws and where; a few of them in full, with lines and calls.
 */

/** An item of a frame that was looked at in full. */
export interface SeenItem {
  readonly item: Item;
  readonly description: ItemInWords;
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
    readonly carry: number;
    readonly hasStep: boolean;
    readonly background: number;
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
}

/** The things that the frames of a course drew, by their names and their order among those of a name. */
export function tracksOf(course: readonly Frame[]): Track[] {
  const tracks = new Map<string, Track & { boxes: (Box | undefined)[] }>();
  course.forEach((frame, at) => {
    const counts = new Map<string, number>();
    for (const item of new FrameReader(frame).items()) {
      const name = nameOf(item);
      const nth = counts.get(name) ?? 0;
      counts.set(name, nth + 1);
      const key = `${name}\n${nth}`;
      let track = tracks.get(key);
      if (track === undefined)
        tracks.set(
          key,
          (track = { name, shape: item.shape, boxes: new Array<Box | undefined>(course.length).fill(undefined) }),
        );
      track.boxes[at] = pathBox(item.path, item.transform);
    }
  });
  return [...tracks.values()];
}

/** Identifies an item from frame to frame. */
export function nameOf({ shape, label, group }: Item): string {
  const labels = [];
  for (let at = group; at !== undefined; at = at.parent) if (at.label !== undefined) labels.unshift(at.label);
  return [...labels, shape, label ?? ''].join('/');
}

/** The names of things that stand still all through the course: what moves may come, go and hide for a while. */
export function stillNames({ tracks }: Pick<Evidence, 'tracks'>): Set<string> {
  const names = new Set(tracks.map(({ name }) => name));
  for (const { name, boxes } of tracks) {
    const [first, ...rest] = boxes.filter((box) => box !== undefined);
    if (rest.some((box) => !isSameBox(first, box))) names.delete(name);
  }
  return names;
}

function isSameBox(one: Box, other: Box): boolean {
  const sides = ['left', 'top', 'right', 'bottom'] as const;
  return sides.every((side) => one[side] === other[side] || Math.abs(one[side] - other[side]) < 1e-6);
}

/** Whether any of a box lies on the canvas. */
export function isOn(box: Box, canvas: Box): boolean {
  const { left, top, right, bottom } = intersectBoxes(box, canvas);
  // What only touches the edge is not, unless it is a line along it.
  const across = box.right > box.left ? right > left : right === left;
  return across && (box.bottom > box.top ? bottom > top : bottom === top);
}

/** The findings at one place. */
export interface Sighting {
  readonly line: SourceLine | undefined;
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

/** All items of the frames that were looked at in full, by the line that drew them. */
export function itemsByLine(details: readonly Detail[]): LineItems[] {
  const lines = new Map<string, { line: SourceLine; all: { detail: Detail; seen: SeenItem }[] }>();
  for (const detail of details)
    for (const seen of detail.items) {
      const { source } = seen.description;
      if (source === undefined) continue;
      const key = `${source.file}:${source.line}:${source.column}`;
      let entry = lines.get(key);
      if (entry === undefined) lines.set(key, (entry = { line: source, all: [] }));
      entry.all.push({ detail, seen });
    }
  return [...lines.values()];
}

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
