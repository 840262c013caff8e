import { padBox } from '../geometry/box.ts';
import { dash } from '../geometry/dash.ts';
import { flatten } from '../geometry/flatten.ts';
import { isInside } from '../geometry/hit.ts';
import { apply, identity, inverse, largestScale } from '../geometry/matrix.ts';
import { pathBox } from '../geometry/path.ts';
import { Polylines } from '../geometry/polyline.ts';
import { strokeOutline } from '../geometry/stroke.ts';
import type { Frame, Group, Item } from './frame.ts';

/** How far, in the sketch's units, the outline that is tested may be from the true one. */
const tolerance = 0.05;

/** Whether a point (in the sketch's units) lies on what an item paints: in its filled inside, or on its stroke. */
export function hitsItem(item: Item, x: number, y: number): boolean {
  const back = inverse(item.transform);
  if (back === undefined || item.opacity === 0 || !insideClips(item.group, x, y)) return false;
  const [px, py] = apply(back, x, y);
  const own = tolerance / largestScale(item.transform);
  const reach = item.stroke === undefined ? 0 : item.stroke.width * Math.max(item.stroke.miterLimit, 1.5);
  const box = padBox(pathBox(item.path), reach);
  if (!(px >= box.left && px <= box.right && py >= box.top && py <= box.bottom)) return false;
  const lines = new Polylines();
  flatten(item.path, identity, own, box, lines);
  if (item.fill !== undefined && isInside(lines, item.fillRule, px, py)) return true;
  if (item.stroke === undefined || item.stroke.width === 0) return false;
  const dashes = new Polylines();
  if (item.stroke.dash.length > 0) dash(lines, item.stroke.dash, item.stroke.dashOffset, dashes);
  const outline = new Polylines();
  strokeOutline(item.stroke.dash.length > 0 ? dashes : lines, item.stroke, own, outline);
  return isInside(outline, 'nonzero', px, py);
}

/** Whether a point lies on something of a label, or on anything in a group of it, covered or not. */
export function hitsLabel(frame: Frame, label: string, x: number, y: number): boolean {
  return frame.items.some((item) => isLabelled(item, label) && hitsItem(item, x, y));
}

function isLabelled(item: Item, label: string): boolean {
  if (item.label === label) return true;
  for (let { group } = item; group !== undefined; group = group.parent) if (group.label === label) return true;
  return false;
}

function insideClips(group: Group | undefined, x: number, y: number): boolean {
  for (let at = group; at !== undefined; at = at.parent)
    if (at.opacity === 0 || (at.clip !== undefined && !at.clip.some((item) => hitsItem(item, x, y)))) return false;
  return true;
}
