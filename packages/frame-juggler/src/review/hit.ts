import type { Frame } from '../frame/frame.ts';
import { FrameReader, type Group, type Item } from '../frame/reader.ts';
import { padBox } from '../geometry/box.ts';
import { apply, inverse, largestScale } from '../geometry/matrix.ts';
import { pathBox } from '../geometry/path.ts';
import { Engine } from '../surfaces/raster/engine.ts';
import { givenFrame } from '../frame/given-frame.ts';
import { finite } from '../schema/kind.ts';

/** How far, in the sketch's units, the outline that is tested may be from the true one. */
const tolerance = 0.05;

/**
 * Whether a point (in the sketch's units) lies on something of a label, or on anything in a group of it: in its filled
 * inside or on its stroke, covered or not, within the clips about it.
 */
export function hitsLabel(frame: Frame, label: string, x: number, y: number): boolean {
  const reader = new FrameReader(frame);
  return reader.items().some((item) => isLabeled(item, label) && hitsItem(reader, item, x, y));
}

/**
 * The items that lie at a point (in the sketch's units), topmost first, by their places in the frame's columns; hidden
 * ones too.
 */
export function itemsAt(frame: Frame, x: number, y: number): number[] {
  const reader = new FrameReader(givenFrame.read('itemsAt', 'frame', frame));
  const [px, py] = [finite.read('itemsAt', 'x', x), finite.read('itemsAt', 'y', y)];
  const places = reader.items().flatMap((item, i) => (hitsItem(reader, item, px, py) ? [frame.order[i]] : []));
  return places.reverse();
}

function hitsItem(reader: FrameReader, item: Item, x: number, y: number): boolean {
  const back = inverse(item.transform);
  if (back === undefined || item.opacity === 0 || !insideClips(reader, item.group, x, y)) return false;
  const [px, py] = apply(back, x, y);
  const ownTolerance = tolerance / largestScale(item.transform);
  const { path, stroke } = item;
  const reach = stroke === undefined ? 0 : stroke.width * Math.max(stroke.miterLimit, 1.5);
  const box = padBox(pathBox(path), reach);
  if (!(px >= box.left && px <= box.right && py >= box.top && py <= box.bottom)) return false;
  engine ??= new Engine();
  if (item.fill !== undefined && engine.fillHits(path, item.fillRule, ownTolerance, box, px, py)) return true;
  return stroke !== undefined && stroke.width > 0 && engine.strokeHits(path, stroke, ownTolerance, box, px, py);
}

/** What knows how outlines are drawn; it is there once something is first tested. */
let engine: Engine | undefined;

function isLabeled(item: Item, label: string): boolean {
  if (item.label === label) return true;
  for (let { group } = item; group !== undefined; group = group.parent) if (group.label === label) return true;
  return false;
}

function insideClips(reader: FrameReader, group: Group | undefined, x: number, y: number): boolean {
  for (let at = group; at !== undefined; at = at.parent) {
    if (at.opacity === 0) return false;
    if (at.clip !== undefined && !reader.items(at.clip).some((item) => hitsItem(reader, item, x, y))) return false;
  }
  return true;
}
