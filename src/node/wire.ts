import type { Frame, Group, Item } from '../canvas/frame.ts';
import type { Fill } from '../paint/paint.ts';
import { Picture } from '../paint/picture.ts';

/*
 * Frames on their way to a worker. A frame is plain data but for its pictures: those go by a number and memory that
 * both sides share, so that each is copied once and not with every frame.
 */

interface SentPicture {
  readonly sent: number;
  readonly version: number;
  readonly width: number;
  readonly height: number;
  readonly memory: SharedArrayBuffer;
}

const sentPictures = new WeakMap<Picture, SentPicture>();
let numbers = 0;

/** A frame that can be sent; itself where it has no pictures. */
export function toWire(frame: Frame): Frame {
  return withPictures(frame, (picture) => {
    let sent = sentPictures.get(picture as Picture);
    if (sent?.version !== picture.version) {
      const { data, width, height, version } = picture;
      const memory = new SharedArrayBuffer(data.length);
      new Uint8Array(memory).set(data);
      sentPictures.set(picture as Picture, (sent = { sent: sent?.sent ?? ++numbers, version, width, height, memory }));
    }
    return sent as unknown as Picture;
  });
}

const received = new Map<number, { version: number; picture: Picture }>();

/** A frame that was sent, with its pictures: the same ones as before where they are the same. */
export function fromWire(frame: Frame): Frame {
  return withPictures(frame, (given) => {
    const { sent, version, width, height, memory } = given as unknown as SentPicture;
    let kept = received.get(sent);
    if (kept?.version !== version) {
      kept = { version, picture: new Picture(width, height, new Uint8Array(memory)) };
      received.set(sent, kept);
    }
    return kept.picture;
  });
}

function withPictures(frame: Frame, exchange: (picture: Picture) => Picture): Frame {
  const groups = new Map<Group, Group>();
  const inFill = <T extends Fill | undefined>(fill: T): T =>
    typeof fill === 'object' && 'picture' in fill ? { ...fill, picture: exchange(fill.picture) } : fill;
  const inGroup = (group: Group): Group => {
    let result = groups.get(group);
    if (result === undefined) {
      const parent = group.parent && inGroup(group.parent);
      const clip = group.clip && inItems(group.clip);
      result = parent === group.parent && clip === group.clip ? group : { ...group, parent, clip };
      groups.set(group, result);
    }
    return result;
  };
  const inItem = (item: Item): Item => {
    const fill = inFill(item.fill);
    const paint = inFill(item.stroke?.paint);
    const group = item.group && inGroup(item.group);
    if (fill === item.fill && paint === item.stroke?.paint && group === item.group) return item;
    const stroke = item.stroke && paint !== undefined ? { ...item.stroke, paint } : undefined;
    return { ...item, fill, stroke, ...(group === undefined ? {} : { group }) };
  };
  const inItems = (items: readonly Item[]): readonly Item[] => {
    const changed = items.map(inItem);
    return changed.some((item, index) => item !== items[index]) ? changed : items;
  };
  const items = inItems(frame.items);
  return items === frame.items ? frame : { ...frame, items };
}
