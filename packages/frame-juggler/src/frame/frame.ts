import type { SourceLine } from '../source-line.ts';
import type { Matrix } from '../geometry/matrix.ts';
import type { Cap, Join } from '../geometry/pen.ts';
import type { BlendMode } from '../paint/blend.ts';
import type { PackedColor } from '../paint/color.ts';
import type { Gradient } from '../paint/gradient.ts';
import type { Pattern } from '../paint/pattern.ts';
import type { PictureFill } from '../paint/paint.ts';
import type { PictureData } from '../paint/picture.ts';
import { givenBy } from '../schema/given.ts';

/*
 * A frame is plain data in columns, so that it costs little to record, goes to another thread as it stands, and can be
 * kept, compared and drawn anywhere. `FrameWriter` fills the columns, `FrameReader` walks them; nothing else knows them.
 */

/**
 * One number for each item, by its name: a column is as long as there are items, or empty where all of them have 0
 * there. A place in a table is 0 for none, or counts from 1.
 */
export function emptyColumns() {
  return {
    /** The place in `names` of the call that drew it. */
    shape: new Uint32Array(0),
    /** The place in `names` of its label. */
    label: new Uint32Array(0),
    /** The place in `names` of what a text says. */
    text: new Uint32Array(0),
    /** Where its outline begins in `path`. */
    pathStart: new Uint32Array(0),
    /** Where its outline ends in `path`: the place behind its last number. */
    pathEnd: new Uint32Array(0),
    /** The place in `matrices` of its transform, counted from 0. */
    transform: new Uint32Array(0),
    /** What `fill` is: 0 for nothing, 1 for a packed color, 2 for a place in `paints`. */
    fillKind: new Uint8Array(0),
    /** What its inside is painted with. */
    fill: new Int32Array(0),
    /** What `stroke` is, as for the fill. */
    strokeKind: new Uint8Array(0),
    /** What its outline is drawn in. */
    stroke: new Int32Array(0),
    /** In the item's own units. */
    strokeWidth: new Float64Array(0),
    /** The place in `pens` of its pen. */
    pen: new Uint32Array(0),
    /** 1 where it is filled by the even-odd rule. */
    evenOdd: new Uint8Array(0),
    /** 1 where its outline is known to wind, one way, once about all that it covers. */
    simple: new Uint8Array(0),
    /** From 0 to 1, for fill and stroke together as one picture. */
    opacity: new Float64Array(0),
    /** The place in `blendModes`, counted from 0. */
    blend: new Uint8Array(0),
    /** The place in `groups` of the group it is in. */
    group: new Uint32Array(0),
    /** Its layer: a higher one is painted later. */
    layer: new Float64Array(0),
    /** The place in `sources` of the sketch's line that drew it, where the frame was painted with tracing on. */
    source: new Uint32Array(0),
  };
}

/** The columns of a frame. */
export type Columns = Readonly<ReturnType<typeof emptyColumns>>;

/** What the number beside a paint's kind is: nothing, a packed color, or a place in `paints`. */
export const noPaint = 0;
export const colorPaint = 1;
export const tablePaint = 2;

/** How a line is drawn out into an area, beside its width. Lengths are in the item's own units. */
export interface PenStyle {
  /** How open lines end. */
  readonly cap: Cap;
  /** How corners look. */
  readonly join: Join;
  /** Miters longer than this many widths become bevels. */
  readonly miterLimit: number;
  /** Lengths of dashes and gaps in turn; empty for a solid line. */
  readonly dash: readonly number[];
  /** How far into the dashes a line begins. */
  readonly dashOffset: number;
}

type WithPictureIndex<P> = Omit<P, 'picture'> & {
  /** The place in `pictures` of its picture. */
  readonly picture: number;
};
/** A paint as a frame holds it: its picture is a place in `pictures`. */
export type TablePaint = Gradient | WithPictureIndex<Pattern> | WithPictureIndex<PictureFill>;

/** A group as a frame holds it. */
export interface TableGroup {
  /** What the sketch calls it. */
  readonly label: string | undefined;
  /** The place in `groups` of the group about it; 0 for none. */
  readonly parent: number;
  /** Whether its items are drawn as one picture first, and that picture with the opacity, blend and clip below. */
  readonly isolated: boolean;
  /** From 0 to 1, for all of it as one picture. */
  readonly opacity: number;
  /** How that picture's colors mix with what is below them. */
  readonly blend: BlendMode;
  /** The items that draw the region to keep, in painter's order: their alpha is the mask. */
  readonly clip: Uint32Array | undefined;
  /** Its place among its neighbors, where it is isolated. */
  readonly layer: number;
}

/** What a sketch painted. */
export interface Frame {
  /** The canvas's width, in pixels of density 1. */
  readonly width: number;
  /** The canvas's height, in pixels of density 1. */
  readonly height: number;
  /** Pixels of the rendering to one pixel of the canvas. */
  readonly density: number;
  /** From the sketch's units to pixels of density 1. */
  readonly view: Matrix;
  /** What lies under everything. */
  readonly background: PackedColor;
  /** How much of the last picture stays under this one, 0 to 1. */
  readonly carry: number;
  /** How many saves were never restored. */
  readonly openSaves: number;
  /** Characters that its texts' fonts had no glyphs for. */
  readonly lacking: readonly string[];
  /** The items in painter's order, by their places in the columns. Those of clips stand in their groups. */
  readonly order: Uint32Array;
  /** What is known of each item, a column for each property. */
  readonly columns: Columns;
  /** All outlines, one after the other. */
  readonly path: Float64Array;
  /** All transforms, from items' own units to the sketch's: six numbers each. */
  readonly matrices: Float64Array;
  /** Strings that items and groups refer to: labels and texts. */
  readonly names: readonly string[];
  /** The paints that items refer to. */
  readonly paints: readonly TablePaint[];
  /** How outlines are drawn, for items to refer to. */
  readonly pens: readonly PenStyle[];
  /** The groups that items stand in. */
  readonly groups: readonly TableGroup[];
  /** The pictures that items and paints refer to. */
  readonly pictures: readonly PictureData[];
  /** The lines of the sketch that drew items, where they are noted. */
  readonly sources: readonly SourceLine[];
}

type Sized = Pick<Frame, 'width' | 'height' | 'density'>;
const sized = /* @__PURE__ */ givenBy<Sized>('a frame', 'await run.paint()', 'width', 'height', 'density');

/** The pixel size of the rendering that a frame makes. */
export function pictureSize(frame: Sized): { width: number; height: number } {
  const { width, height, density } = sized.read('pictureSize', 'frame', frame);
  return { width: Math.max(1, Math.round(width * density)), height: Math.max(1, Math.round(height * density)) };
}
