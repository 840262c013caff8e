import type { SourceLine } from '../source-line.ts';
import type { FillRule } from '../geometry/fill-rule.ts';
import type { Matrix } from '../geometry/matrix.ts';
import type { Path } from '../geometry/path.ts';
import { blendModes, type BlendMode } from '../paint/blend.ts';
import type { Gradient } from '../paint/gradient.ts';
import type { Pattern } from '../paint/pattern.ts';
import type { PictureFill } from '../paint/paint.ts';
import type { PictureData } from '../paint/picture.ts';
import { givenBy } from '../schema/given.ts';
import { kindOf } from '../schema/kind.ts';
import { givenFrame } from './given-frame.ts';
import { colorPaint, noPaint, type Frame, type PenStyle, type TableGroup, type TablePaint } from './frame.ts';

type WithData<P> = Omit<P, 'picture'> & { readonly picture: PictureData };
/** What an outline is filled with or a line is drawn in. A number is a packed color. */
export type ItemPaint = number | Gradient | WithData<Pattern> | WithData<PictureFill>;

/** A stroke: its paint, its pen and its width in the item's own units. */
export interface ItemStroke extends PenStyle {
  /** What it is drawn in. */
  readonly paint: ItemPaint;
  /** How wide it is, in the item's own units. */
  readonly width: number;
}

/** A group that items belong to. */
export interface Group extends Omit<TableGroup, 'parent'> {
  /** The group about it; undefined for none. */
  readonly parent: Group | undefined;
}

/** One thing that was painted. */
export interface Item {
  /** The call that drew it: `circle`, `rect`, the name of a shape of the sketch's own. */
  readonly shape: string;
  /** What the sketch calls it. */
  readonly label: string | undefined;
  /** What a text says, where the item is one. */
  readonly text: string | undefined;
  /** The list in which its outline stands, in the item's own units. */
  readonly outlines: Path;
  /** The first number of its outline in that list. */
  readonly start: number;
  /** The number behind the last. */
  readonly end: number;
  /** Its outline by itself. */
  readonly path: Path;
  /** From the item's own units to the sketch's. */
  readonly transform: Matrix;
  /** What its inside is painted with; undefined for nothing. */
  readonly fill: ItemPaint | undefined;
  /** Which parts of an outline that crosses itself are inside. */
  readonly fillRule: FillRule;
  /** Whether its outline is known to wind, one way, once about all that it covers. */
  readonly simple: boolean;
  /** How its outline is drawn; undefined for not at all. */
  readonly stroke: ItemStroke | undefined;
  /** From 0 to 1, for fill and stroke together as one picture. */
  readonly opacity: number;
  /** How its colors mix with what is below them. */
  readonly blend: BlendMode;
  /** The innermost group that it is in; undefined for none. */
  readonly group: Group | undefined;
  /** Painter's order among its neighbors: a higher layer is painted later. */
  readonly layer: number;
  /** The line of the sketch that drew it, where the frame was painted with tracing on. */
  readonly source: SourceLine | undefined;
}

/** Called on the way through a frame's items. */
export interface Visitor {
  /** A group begins: what follows is in it, until it ends. */
  enter(group: Group): void;
  /** A group ends that was entered. */
  leave(group: Group): void;
  /** The item is the same object each time; copy what you want to keep. */
  item(item: Item): void;
}

const givenOrder = /* @__PURE__ */ givenBy<ArrayLike<number>>('a list of items', 'frame.order', 'length');
const givenVisitor = /* @__PURE__ */ kindOf<Visitor>(
  'a visitor: { enter(group), leave(group), item(item) }',
  (value) =>
    (['enter', 'leave', 'item'] as const).every((name) => typeof (value as Visitor | null)?.[name] === 'function'),
  'is not a visitor',
);

const isIsolated = (group: Group): boolean => group.isolated;

/** Walks the columns of a frame. What items share is read once it is met, so that a few items of many cost little. */
export class FrameReader {
  private readonly matrices: Matrix[] = [];
  private readonly paints: Exclude<ItemPaint, number>[] = [];
  private readonly groups: Group[] = [];
  private mixing: Set<Group> | undefined;

  constructor(
    /** What is read. */
    readonly frame: Frame,
  ) {
    givenFrame.read('FrameReader', 'frame', frame);
  }

  /**
   * Goes through items in painter's order, with the beginnings and ends of the groups about them.
   * @param order the frame's items, or those of a group's clip
   * @param counts which groups are visited; by default the isolated ones, which are drawn as pictures of their own
   */
  walk(order: ArrayLike<number>, visitor: Visitor, counts = isIsolated): void {
    givenOrder.read('reader.walk', 'order', order);
    givenVisitor.read('reader.walk', 'visitor', visitor);
    const item = new ItemView(this.frame);
    let open: Group[] = [];
    let last: Group | undefined;
    for (let i = 0; i < order.length; i++) {
      this.load(order[i], item);
      if (item.group !== last) {
        last = item.group;
        const chain = chainOf(counts, last);
        let shared = 0;
        while (shared < chain.length && chain[shared] === open[shared]) shared++;
        for (let depth = open.length - 1; depth >= shared; depth--) visitor.leave(open[depth]);
        for (let depth = shared; depth < chain.length; depth++) visitor.enter(chain[depth]);
        open = chain;
      }
      visitor.item(item);
    }
    for (let depth = open.length - 1; depth >= 0; depth--) visitor.leave(open[depth]);
  }

  /** Items as objects of their own, in painter's order. */
  items(order: ArrayLike<number> = this.frame.order): Item[] {
    return Array.from(order, (place) => {
      const item = new ItemView(this.frame);
      this.load(place, item);
      return item;
    });
  }

  private load(place: number, item: ItemView): void {
    const { columns, names, pens } = this.frame;
    item.shape = names[columns.shape[place] - 1];
    item.label = entry(names, columns.label[place]);
    item.text = entry(names, columns.text[place]);
    item.start = columns.pathStart[place];
    item.end = columns.pathEnd[place];
    const at = columns.transform[place];
    item.transform = this.matrices[at] ?? this.readMatrix(at);
    item.fill = this.paintOf(columns.fillKind[place], columns.fill[place]);
    item.fillRule = columns.evenOdd[place] === 1 ? 'evenodd' : 'nonzero';
    item.simple = columns.simple[place] === 1;
    item.opacity = columns.opacity[place];
    item.blend = blendModes[columns.blend[place] ?? 0];
    item.group = this.groupAt(columns.group[place]);
    item.layer = columns.layer[place] ?? 0;
    item.source = entry(this.frame.sources, columns.source[place]);
    const strokePaint = this.paintOf(columns.strokeKind[place] ?? noPaint, columns.stroke[place]);
    if (strokePaint === undefined) item.stroke = undefined;
    else item.setStroke(strokePaint, columns.strokeWidth[place], pens[columns.pen[place] - 1]);
  }

  private paintOf(kind: number, paint: number): ItemPaint | undefined {
    if (kind === noPaint) return undefined;
    if (kind === colorPaint) return paint;
    const { paints, pictures } = this.frame;
    return (this.paints[paint] ??= withPicture(paints[paint - 1], pictures));
  }

  private readMatrix(at: number): Matrix {
    const { matrices } = this.frame;
    const i = at * 6;
    const matrix: Matrix = [
      matrices[i],
      matrices[i + 1],
      matrices[i + 2],
      matrices[i + 3],
      matrices[i + 4],
      matrices[i + 5],
    ];
    this.matrices[at] = matrix;
    return matrix;
  }

  /** Whether anything within a group is put there by another blend mode than `normal`. */
  mixesWithin(group: Group): boolean {
    this.mixing ??= this.groupsThatMix();
    return this.mixing.has(group);
  }

  private groupsThatMix(): Set<Group> {
    const found = new Set<Group>();
    const addAbout = (innermost: Group | undefined): void => {
      for (let at = innermost; at !== undefined && !found.has(at); at = at.parent) found.add(at);
    };
    const { columns, groups } = this.frame;
    columns.blend.forEach((blend, place) => blend !== 0 && addAbout(this.groupAt(columns.group[place])));
    groups.forEach(({ blend, parent }) => blend !== 'normal' && addAbout(this.groupAt(parent)));
    return found;
  }

  /** A group by its place, counted from 1; undefined for none. */
  private groupAt(place: number): Group | undefined {
    if (!(place > 0)) return undefined;
    const known = this.groups[place];
    if (known !== undefined) return known;
    const { parent, ...group } = this.frame.groups[place - 1];
    return (this.groups[place] = { ...group, parent: this.groupAt(parent) });
  }
}

/** An entry of a table by its number from 1. Reading an array at -1 for none would take much longer. */
function entry<T>(table: readonly T[], number: number): T | undefined {
  return number > 0 ? table[number - 1] : undefined;
}

class ItemView implements Item {
  shape = '';
  label: string | undefined = undefined;
  text: string | undefined = undefined;
  readonly outlines: Float64Array;
  start = 0;
  end = 0;
  transform: Matrix = [1, 0, 0, 1, 0, 0];
  fill: ItemPaint | undefined = undefined;
  fillRule: FillRule = 'nonzero';
  simple = false;
  stroke: ItemStroke | undefined = undefined;
  opacity = 1;
  blend: BlendMode = 'normal';
  group: Group | undefined = undefined;
  layer = 0;
  source: SourceLine | undefined = undefined;
  /** Used again from item to item. */
  private ownStroke: StrokeView | undefined = undefined;

  constructor(frame: Frame) {
    this.outlines = frame.path;
  }

  get path(): Path {
    return this.outlines.subarray(this.start, this.end);
  }

  setStroke(paint: ItemPaint, width: number, pen: PenStyle): void {
    const stroke = (this.ownStroke ??= new StrokeView());
    stroke.paint = paint;
    stroke.width = width;
    stroke.cap = pen.cap;
    stroke.join = pen.join;
    stroke.miterLimit = pen.miterLimit;
    stroke.dash = pen.dash;
    stroke.dashOffset = pen.dashOffset;
    this.stroke = stroke;
  }
}

class StrokeView implements ItemStroke {
  paint: ItemPaint = 0;
  width = 0;
  cap: PenStyle['cap'] = 'butt';
  join: PenStyle['join'] = 'miter';
  miterLimit = 4;
  dash: readonly number[] = [];
  dashOffset = 0;
}

function withPicture(paint: TablePaint, pictures: readonly PictureData[]): Exclude<ItemPaint, number> {
  return 'picture' in paint ? { ...paint, picture: pictures[paint.picture] } : paint;
}

/** The groups that count about an item, outermost first. */
function chainOf(counts: (group: Group) => boolean, group: Group | undefined): Group[] {
  const chain: Group[] = [];
  for (let at = group; at !== undefined; at = at.parent) if (counts(at)) chain.unshift(at);
  return chain;
}
