import { pictureSize, type Frame } from '../frame/frame.ts';
import { givenFrame } from '../frame/given-frame.ts';
import { FrameReader, type Group, type Item } from '../frame/reader.ts';
import { identity, inverse, multiply, scaling, type Matrix } from '../geometry/matrix.ts';
import type { BlendMode } from '../paint/blend.ts';
import { alphaOf, type PackedColor } from '../paint/color.ts';

/*
 * What every surface has to do with a frame is worked out here, once: its size and view, what its carry leaves of the
 * last one, which groups are pictures of their own, what they are clipped by, which items fade as one, and what is not
 * drawn at all. A surface is a small backend that fills, strokes and puts layers together.
 */

/** What a frame is drawn on. */
export interface Stage {
  /** Pixels. */
  readonly width: number;
  readonly height: number;
  readonly background: PackedColor;
  /** How much of the picture before stays; 0 for none. */
  readonly carry: number;
  /** From the sketch's units to pixels. */
  readonly toPixels: Matrix;
  /** The frame as it was recorded. */
  readonly frame: Frame;
}

/** How an item, or a layer, is put onto what lies under it. */
export interface Mixing {
  /** From 0 to 1. */
  readonly opacity: number;
  readonly blend: BlendMode;
}

/** A way to draw. `Layer` is what items are drawn on: a picture of its own, transparent at first. */
export interface Backend<Layer> {
  /**
   * Whether an item's fill and stroke fade and blend as one by themselves. Where they do not, an item that has both is
   * drawn on a layer of its own first.
   */
  readonly fadesAsOne: boolean;
  /** Whether it wants to know of all groups, and not only of those that are pictures of their own. */
  readonly wantsGroups: boolean;
  /** Begins a frame: what it is drawn on, and the transform that leads from the sketch's units there. */
  begin(stage: Stage): { readonly layer: Layer; readonly base: Matrix };
  /** The frame is drawn. */
  end(layer: Layer, stage: Stage): void;
  /** A new layer: for a group, or for an item that is drawn by itself. */
  open(group: Group | undefined): Layer;
  /** Draws an item. @param matrix from the item's own units to where `base` leads */
  draw(layer: Layer, item: Item, matrix: Matrix, mixing: Mixing): void;
  /**
   * Keeps what is drawn on a layer from now on, until `unclip`, to the inside of an item. A way to draw that has no such
   * thing draws each clipped group as a picture of its own.
   */
  clip?(layer: Layer, region: Item, matrix: Matrix): void;
  unclip?(layer: Layer): void;
  /** Puts a layer onto another, as far as the alpha of a mask says where there is one. Both are then no longer used. */
  composite(layer: Layer, onto: Layer, mixing: Mixing, mask: Layer | undefined, group: Group | undefined): void;
}

const plain: Mixing = { opacity: 1, blend: 'normal' };

/** Draws frames through a backend, each over what its carry leaves of the one before. */
export class Compositor<Layer> {
  private empty = true;

  constructor(private readonly backend: Backend<Layer>) {}

  /** Forgets the last frame, so that the next begins on its background whatever its carry. */
  reset(): void {
    this.empty = true;
  }

  /** Takes what the surface shows as the last frame, whatever has drawn it. */
  resume(): void {
    this.empty = false;
  }

  draw(frame: Frame): void {
    givenFrame.read('surface.draw', 'frame', frame);
    const { backend } = this;
    const { width, height } = pictureSize(frame);
    const stage: Stage = {
      width,
      height,
      background: frame.background,
      carry: this.empty ? 0 : frame.carry,
      toPixels: multiply(scaling(width / frame.width, height / frame.height), frame.view),
      frame,
    };
    this.empty = false;
    const { layer, base } = backend.begin(stage);
    this.drawItems(new FrameReader(frame), frame.order, base, layer);
    backend.end(layer, stage);
  }

  private drawItems(reader: FrameReader, order: Uint32Array, base: Matrix, onto: Layer): void {
    const { backend } = this;
    const layers = [onto];
    const clipped: Group[] = [];
    // Items that follow one another often share a transform, as the same array.
    let transform: Matrix | undefined;
    let matrix = base;
    let isFlat = false;
    const visitor = {
      enter: (group: Group) => {
        const region = backend.clip === undefined ? undefined : plainRegion(reader, group);
        if (region === undefined) return void layers.push(backend.open(group));
        const layer = layers[layers.length - 1];
        backend.clip!(layer, region, multiply(base, region.transform));
        clipped.push(group);
        layers.push(layer);
      },
      leave: (group: Group) => {
        const layer = layers.pop()!;
        if (clipped[clipped.length - 1] === group) {
          clipped.pop();
          return backend.unclip!(layer);
        }
        let mask: Layer | undefined;
        if (group.clip !== undefined) {
          mask = backend.open(undefined);
          this.drawItems(reader, group.clip, base, mask);
        }
        backend.composite(layer, layers[layers.length - 1], group, mask, group);
      },
      item: (item: Item) => {
        if (item.transform !== transform) {
          ({ transform } = item);
          matrix = base === identity ? transform : multiply(base, transform);
          isFlat = inverse(matrix) === undefined;
        }
        // As SVG has it, what a transform squashes flat is not drawn, its stroke neither.
        if (item.opacity > 0 && !isFlat) this.drawItem(item, matrix, layers[layers.length - 1]);
      },
    };
    reader.walk(order, visitor, backend.wantsGroups ? () => true : undefined);
  }

  private drawItem(item: Item, matrix: Matrix, layer: Layer): void {
    const { backend } = this;
    if (!needsLayer(item) || backend.fadesAsOne) return backend.draw(layer, item, matrix, item);
    const own = backend.open(undefined);
    backend.draw(own, item, matrix, plain);
    backend.composite(own, layer, item, undefined, undefined);
  }
}

/**
 * The one solid shape that a group is clipped by, where that is all that makes it a picture of its own: what is in it
 * may as well be put straight onto what lies under the group, unless it blends.
 */
function plainRegion(reader: FrameReader, group: Group): Item | undefined {
  const { opacity, blend, clip } = group;
  if (opacity < 1 || blend !== 'normal' || clip?.length !== 1 || reader.mixesWithin(group)) return undefined;
  const [item] = reader.items(clip);
  const isSolid = typeof item.fill === 'number' && alphaOf(item.fill) === 255;
  return isSolid && item.stroke === undefined && item.opacity === 1 && item.group === undefined ? item : undefined;
}

/** Whether an item must be drawn by itself before it is put down: more than one part of it fades or blends as one. */
function needsLayer({ fill, stroke, opacity, blend }: Item): boolean {
  return fill !== undefined && stroke !== undefined && (opacity < 1 || blend !== 'normal');
}
