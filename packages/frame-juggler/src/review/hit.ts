import type { Frame } from '../frame/frame.ts';
import { FrameReader, type Group, type Item } from '../frame/reader.ts';
import { padBox } from '../geometry/box.ts';
import { apply, inverse, largestScale } from '../geometry/matrix.ts';
import { pathBox } from '../geometry/path.ts';
import { Engine, type EngineForm } from '../surfaces/raster/engine.ts';
import { loadByteForm } from '../surfaces/raster/forms.ts';

/** How far, in the sketch's units, the outline that is tested may be from the true one. */
const tolerance = 0.05;

/** Tests what lies at a point, in the sketch's units, by an engine that knows how outlines are drawn. */
export class HitTester {
  private readonly engine: Engine;

  constructor(form: EngineForm) {
    this.engine = new Engine(form);
  }

  /**
   * Whether a point lies on something of a label, or on anything in a group of it: in its filled inside or on its stroke,
   * covered or not, within the clips about it.
   */
  hitsLabel(frame: Frame, label: string, x: number, y: number): boolean {
    const reader = new FrameReader(frame);
    return reader.items().some((item) => isLabeled(item, label) && this.hitsItem(reader, item, x, y));
  }

  /** The items that lie at a point, topmost first, by their places in the frame's columns; hidden ones too. */
  itemsAt(frame: Frame, x: number, y: number): number[] {
    const reader = new FrameReader(frame);
    const places = reader.items().flatMap((item, i) => (this.hitsItem(reader, item, x, y) ? [frame.order[i]] : []));
    return places.reverse();
  }

  private hitsItem(reader: FrameReader, item: Item, x: number, y: number): boolean {
    const back = inverse(item.transform);
    if (back === undefined || item.opacity === 0 || !this.isInsideClips(reader, item.group, x, y)) return false;
    const [px, py] = apply(back, x, y);
    const ownTolerance = tolerance / largestScale(item.transform);
    const { path, stroke, fillRule } = item;
    const reach = stroke === undefined ? 0 : stroke.width * Math.max(stroke.miterLimit, 1.5);
    const box = padBox(pathBox(path), reach);
    if (!(px >= box.left && px <= box.right && py >= box.top && py <= box.bottom)) return false;
    const { engine } = this;
    if (item.fill !== undefined && engine.fillHits(path, fillRule, ownTolerance, box, px, py)) return true;
    return stroke !== undefined && stroke.width > 0 && engine.strokeHits(path, stroke, ownTolerance, box, px, py);
  }

  private isInsideClips(reader: FrameReader, group: Group | undefined, x: number, y: number): boolean {
    for (let at = group; at !== undefined; at = at.parent) {
      if (at.opacity === 0) return false;
      if (at.clip !== undefined && !reader.items(at.clip).some((item) => this.hitsItem(reader, item, x, y)))
        return false;
    }
    return true;
  }
}

function isLabeled(item: Item, label: string): boolean {
  if (item.label === label) return true;
  for (let { group } = item; group !== undefined; group = group.parent) if (group.label === label) return true;
  return false;
}

let tester: Promise<HitTester> | undefined;

/** One tester for all who can wait for its engine. */
export function loadHitTester(): Promise<HitTester> {
  return (tester ??= loadByteForm().then((form) => new HitTester(form)));
}
