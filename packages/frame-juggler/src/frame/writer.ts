import { fail } from '../error.ts';
import type { SourceLine } from '../source-line.ts';
import type { Matrix } from '../geometry/matrix.ts';
import { PathWriter } from '../geometry/path-writer.ts';
import type { Fill } from '../paint/paint.ts';
import type { PictureData } from '../paint/picture.ts';
import {
  colorPaint,
  emptyColumns,
  noPaint,
  tablePaint,
  type Columns,
  type Frame,
  type PenStyle,
  type TableGroup,
  type TablePaint,
} from './frame.ts';
import { sortLayers } from './painter-order.ts';

/** A table of a frame: each value once, by its place, counted from 1. */
class Interned<Key, Value = Key> {
  readonly list: Value[] = [];
  private readonly places = new Map<Key, number>();
  private lastKey: Key | undefined;
  private lastPlace = 0;

  constructor(private readonly convert: (key: Key) => Value) {}

  /** From now on the key stands for another value. */
  forget(key: Key): void {
    this.places.delete(key);
    this.lastKey = undefined;
  }

  placeOf(key: Key): number {
    // Runs of items share what they have: the last one is the most likely.
    if (key === this.lastKey) return this.lastPlace;
    let place = this.places.get(key);
    if (place === undefined) {
      place = this.list.push(this.convert(key));
      this.places.set(key, place);
    }
    this.lastKey = key;
    this.lastPlace = place;
    return place;
  }
}

const columnNames = Object.keys(emptyColumns()) as (keyof Columns)[];

/** How many items the last frame had, and numbers in their outlines: the next has likely about as many. */
const expected = { items: 64, numbers: 512 };

/** More items are taken for a loop that never ends, before they fill the memory or a page hangs for long: it is over 1 GB. */
const maxItems = 8_000_000;

/** Records items into the columns of a frame. */
export class FrameWriter {
  /** Where outlines are written before their items are added. */
  readonly path = new PathWriter(expected.numbers);
  private readonly columns = emptyColumns();
  private capacity = expected.items;
  private count = 0;
  private readonly matrices: number[] = [];
  private lastMatrix: Matrix | undefined;
  private readonly names = new Interned<string>((name) => name);
  private readonly pens = new Interned<PenStyle>((pen) => pen);
  private readonly pictures = new Interned<PictureData>((picture) => picture);
  private readonly paints = new Interned<Exclude<Fill, number>, TablePaint>((paint) =>
    'picture' in paint ? { ...paint, picture: this.pictures.placeOf(paint.picture.snapshot()) - 1 } : paint,
  );
  /** At which version of its picture each pattern was last used. */
  private readonly versions = new Map<Fill, number>();
  private readonly groups: TableGroup[] = [];
  private readonly sources: SourceLine[] = [];
  private layered = false;

  constructor() {
    for (const name of alwaysKept) this.columns[name] = resized(this.columns[name], this.capacity) as never;
  }

  /** How many items there are. */
  get size(): number {
    return this.count;
  }

  /** Adds an item with the outline that was written since `pathStart`. Returns its place. @throws SketchError for too many */
  add(shape: string, pathStart: number, transform: Matrix): number {
    if (this.count === this.capacity) this.grow(shape);
    const item = this.count++;
    const { columns } = this;
    if (transform !== this.lastMatrix) {
      this.lastMatrix = transform;
      this.matrices.push(...transform);
    }
    columns.shape[item] = this.names.placeOf(shape);
    columns.pathStart[item] = pathStart;
    columns.pathEnd[item] = this.path.length;
    columns.transform[item] = this.matrices.length / 6 - 1;
    return item;
  }

  /** Gives an item a fill, and how opaque fill and stroke together are. */
  setFill(item: number, fill: Fill | undefined, opacity: number): void {
    const { columns } = this;
    columns.fillKind[item] = kindOf(fill);
    columns.fill[item] = this.paintNumber(fill);
    columns.opacity[item] = opacity;
  }

  /** Gives an item a stroke. */
  setStroke(item: number, paint: Fill, width: number, pen: PenStyle): void {
    this.set('strokeKind', item, kindOf(paint));
    this.set('stroke', item, this.paintNumber(paint));
    this.set('strokeWidth', item, width);
    this.set('pen', item, this.pens.placeOf(pen));
  }
  setLayer(item: number, layer: number): void {
    this.set('layer', item, layer);
    this.layered = true;
  }
  /** Gives an item a text in a column of names. */
  setName(column: keyof Columns, item: number, text: string): void {
    this.set(column, item, this.names.placeOf(text));
  }
  setSource(item: number, source: SourceLine | undefined): void {
    if (source !== undefined) this.set('source', item, this.sources.push(source));
  }
  /** Gives an item what few have: a column is only kept once there is something in it. */
  set(name: keyof Columns, item: number, value: number): void {
    if (this.columns[name].length === 0) this.columns[name] = resized(this.columns[name], this.capacity) as never;
    this.columns[name][item] = value;
  }
  /** Gives an item another outline: the one written since `pathStart`. */
  setOutline(item: number, pathStart: number): void {
    this.columns.pathStart[item] = pathStart;
    this.columns.pathEnd[item] = this.path.length;
  }

  /** Adds a group. Returns its place, counted from 1. */
  addGroup(group: Omit<TableGroup, 'clip'> & { readonly clip: readonly number[] | undefined }): number {
    if (group.layer !== 0) this.layered = true;
    return this.groups.push({ ...group, clip: group.clip && this.painterOrder(group.clip) });
  }

  /** The frame of the items in `order`, as they were painted. */
  finish(
    head: Pick<Frame, 'width' | 'height' | 'density' | 'view' | 'background' | 'carry' | 'openSaves' | 'lacking'>,
    order: readonly number[],
  ): Frame {
    expected.items = Math.max(64, this.count);
    expected.numbers = Math.max(512, this.path.length);
    const columns = emptyColumns();
    for (const name of columnNames) columns[name] = upTo(this.count, this.columns[name]) as never;
    return {
      ...head,
      order: this.painterOrder(order),
      columns,
      path: upTo(this.path.length, this.path.numbers),
      matrices: new Float64Array(this.matrices),
      names: this.names.list,
      paints: this.paints.list,
      pens: this.pens.list,
      groups: this.groups,
      pictures: this.pictures.list,
      sources: this.sources,
    };
  }

  private painterOrder(order: readonly number[]): Uint32Array {
    return this.layered ? sortLayers(order, this.columns, this.groups) : new Uint32Array(order);
  }

  private paintNumber(paint: Fill | undefined): number {
    if (paint === undefined || typeof paint === 'number') return paint ?? 0;
    if ('picture' in paint && this.versions.get(paint) !== paint.picture.version) {
      // Its picture was drawn on since it was last used.
      this.paints.forget(paint);
      this.versions.set(paint, paint.picture.version);
    }
    return this.paints.placeOf(paint);
  }

  private grow(call: string): void {
    if (this.capacity >= maxItems)
      fail({
        call,
        problem: `this frame has ${maxItems / 1e6} million items already`,
        expected: 'look for a loop that never ends',
      });
    this.capacity = Math.min(this.capacity * 2, maxItems);
    for (const name of columnNames)
      if (this.columns[name].length > 0) this.columns[name] = resized(this.columns[name], this.capacity) as never;
  }
}

function kindOf(paint: Fill | undefined): number {
  return paint === undefined ? noPaint : typeof paint === 'number' ? colorPaint : tablePaint;
}

/** The columns in which every item has something. */
const alwaysKept = ['shape', 'pathStart', 'pathEnd', 'transform', 'fillKind', 'fill', 'opacity'] as const;

type Column = Columns[keyof Columns];

/** A column's numbers in more memory. */
function resized(column: Column, length: number): Column {
  const { constructor } = column as unknown as { constructor: new (length: number) => Column };
  const grown = new constructor(length);
  grown.set(column as never);
  return grown;
}

/** The first numbers of a column; the column itself where that is all of it. */
function upTo<C extends Column>(count: number, column: C): C {
  return column.length <= count ? column : (column.slice(0, count) as C);
}
