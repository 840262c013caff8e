import type { Frame, Group, Item, StrokePaint } from '../canvas/frame.ts';
import type { Fill } from '../paint/paint.ts';
import { Picture } from '../paint/picture.ts';

/*
 * Frames on their way to a worker. What is many, numbers, goes as one block of memory; what items share (styles,
 * groups) goes once; pictures go by a number and memory that both sides share, so that each is copied once and not with
 * every frame.
 */

/** A frame that can be sent. */
export interface WireFrame extends Omit<Frame, 'items'> {
  readonly items: WireItems;
}

/** Items in columns. */
interface WireItems {
  /** For each item its transform, opacity, layer and the length of its path, then the path. */
  readonly numbers: Float64Array;
  /** For each item its place in each of the lists below. */
  readonly places: Uint32Array;
  readonly fills: readonly (Fill | undefined)[];
  readonly strokes: readonly (StrokePaint | undefined)[];
  readonly groups: readonly (WireGroup | undefined)[];
  /** Shape, fill rule, blend, label and text. */
  readonly words: readonly Words[];
}

type WireGroup = Omit<Group, 'parent' | 'clip'> & {
  /** The place of the group about it in the list of groups. */
  readonly parent: number;
  readonly clip: WireItems | undefined;
};
type Words = Pick<Item, 'shape' | 'fillRule' | 'blend'> & { label: string | undefined; text: string | undefined };

const placesPerItem = 4;
const numbersPerItem = 9;

interface SentPicture {
  readonly sent: number;
  readonly version: number;
  readonly width: number;
  readonly height: number;
  readonly memory: SharedArrayBuffer;
}

/** Gives each different value of a list a place in it. */
class Places<Key, Value = Key> {
  readonly list: Value[] = [];
  private readonly places = new Map<unknown, number>();

  constructor(private readonly make: (key: Key) => Value) {}

  of(key: Key, sign: unknown = key): number {
    let place = this.places.get(sign);
    if (place === undefined) {
      const made = this.make(key);
      place = this.list.length;
      this.places.set(sign, place);
      this.list.push(made);
    }
    return place;
  }
}

export function toWire(frame: Frame): WireFrame {
  return { ...frame, items: packItems(frame.items) };
}

function packItems(items: readonly Item[]): WireItems {
  const fills = new Places<Fill | undefined>((fill) =>
    isPictured(fill) ? { ...fill, picture: send(fill.picture) } : fill,
  );
  const strokes = new Places<StrokePaint | undefined>((stroke) =>
    stroke !== undefined && isPictured(stroke.paint)
      ? { ...stroke, paint: { ...stroke.paint, picture: send(stroke.paint.picture) } }
      : stroke,
  );
  const groups: Places<Group | undefined, WireGroup | undefined> = new Places((group) => {
    if (group === undefined) return undefined;
    const { parent, clip, ...rest } = group;
    // The groups about it come first.
    return { ...rest, parent: groups.of(parent), clip: clip && packItems(clip) };
  });
  const words = new Places<Words>((same) => same);
  const numbers = new Float64Array(items.reduce((sum, { path }) => sum + numbersPerItem + path.length, 0));
  const places = new Uint32Array(items.length * placesPerItem);
  let at = 0;
  items.forEach(
    ({ path, transform, fill, stroke, group, shape, fillRule, blend, label, text, opacity, layer }, index) => {
      numbers.set(transform, at);
      numbers[at + 6] = opacity;
      numbers[at + 7] = layer ?? 0;
      numbers[at + 8] = path.length;
      numbers.set(path, at + numbersPerItem);
      at += numbersPerItem + path.length;
      const sign = `${shape}/${fillRule}/${blend}/${label ?? ''}/${text ?? ''}`;
      const place = index * placesPerItem;
      places[place] = fills.of(fill);
      places[place + 1] = strokes.of(stroke);
      places[place + 2] = groups.of(group);
      places[place + 3] = words.of({ shape, fillRule, blend, label, text }, sign);
    },
  );
  return { numbers, places, fills: fills.list, strokes: strokes.list, groups: groups.list, words: words.list };
}

/** A frame that was sent, with its pictures: the same ones as before where they are the same. */
export function fromWire(frame: WireFrame): Frame {
  return { ...frame, items: unpackItems(frame.items) };
}

function unpackItems({ numbers, places, ...lists }: WireItems): Item[] {
  const fills = lists.fills.map((fill) => (isPictured(fill) ? { ...fill, picture: receive(fill.picture) } : fill));
  const strokes = lists.strokes.map((stroke) =>
    stroke !== undefined && isPictured(stroke.paint)
      ? { ...stroke, paint: { ...stroke.paint, picture: receive(stroke.paint.picture) } }
      : stroke,
  );
  const groups: (Group | undefined)[] = [];
  for (const group of lists.groups)
    groups.push(group && { ...group, parent: groups[group.parent], clip: group.clip && unpackItems(group.clip) });
  const items: Item[] = [];
  for (let at = 0, place = 0; place < places.length; place += placesPerItem) {
    const [a, b, c, d, e, f, opacity, layer, length] = numbers.subarray(at, at + numbersPerItem);
    const path = Array.from(numbers.subarray(at + numbersPerItem, at + numbersPerItem + length));
    at += numbersPerItem + length;
    const { shape, fillRule, blend, label, text } = lists.words[places[place + 3]];
    const group = groups[places[place + 2]];
    items.push({
      shape,
      path,
      transform: [a, b, c, d, e, f],
      fill: fills[places[place]],
      fillRule,
      stroke: strokes[places[place + 1]],
      opacity,
      blend,
      ...(layer === 0 ? {} : { layer }),
      ...(group === undefined ? {} : { group }),
      ...(label === undefined ? {} : { label }),
      ...(text === undefined ? {} : { text }),
    });
  }
  return items;
}

type Pictured = Extract<Fill, { picture: Picture }>;

function isPictured(fill: Fill | undefined): fill is Pictured {
  return typeof fill === 'object' && 'picture' in fill;
}

const sentPictures = new WeakMap<Picture, SentPicture>();
let numbers = 0;

function send(picture: Picture): Picture {
  let sent = sentPictures.get(picture);
  if (sent?.version !== picture.version) {
    const { data, width, height, version } = picture;
    const memory = new SharedArrayBuffer(data.length);
    new Uint8Array(memory).set(data);
    sentPictures.set(picture, (sent = { sent: sent?.sent ?? ++numbers, version, width, height, memory }));
  }
  return sent as unknown as Picture;
}

const received = new Map<number, { version: number; picture: Picture }>();

function receive(given: Picture): Picture {
  const { sent, version, width, height, memory } = given as unknown as SentPicture;
  let kept = received.get(sent);
  if (kept?.version !== version) {
    kept = { version, picture: new Picture(width, height, new Uint8Array(memory)) };
    received.set(sent, kept);
  }
  return kept.picture;
}
