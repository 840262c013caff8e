import type { SourceLine } from '../error.ts';
import type { FillRule } from '../geometry/fill-rule.ts';
import type { Matrix } from '../geometry/matrix.ts';
import type { Path } from '../geometry/path.ts';
import type { Pen } from '../geometry/stroke.ts';
import type { PackedColor } from '../paint/color.ts';
import type { BlendMode } from '../paint/blend.ts';
import type { Fill, Paint } from '../paint/paint.ts';

/** A stroke, resolved: its paint, its pen and its dashes. Lengths are in the item's own units. */
export interface StrokePaint extends Pen {
  readonly paint: Paint;
  /** Lengths of dashes and gaps in turn; empty for a solid line. */
  readonly dash: readonly number[];
  readonly dashOffset: number;
}

/** A group that items belong to. Groups know their parents; items know their group. */
export interface Group {
  readonly label: string | undefined;
  readonly parent: Group | undefined;
  /** Whether its items are drawn as one picture first, and that picture with the opacity, blend and clip below. */
  readonly isolated: boolean;
  readonly opacity: number;
  readonly blend: BlendMode;
  /** What draws the region to keep: its alpha is the mask. */
  readonly clip: readonly Item[] | undefined;
  /** Its place among its neighbours, where it is isolated. */
  readonly layer: number;
}

/** One thing that was painted: its geometry, its resolved transform, its resolved paint and its label. */
export interface Item {
  /** The call that drew it: `circle`, `rect`, the name of a shape of the sketch's own. */
  readonly shape: string;
  /** The outline in the item's own units. */
  readonly path: Path;
  /** From the item's own units to the sketch's. */
  readonly transform: Matrix;
  readonly fill: Fill | undefined;
  readonly fillRule: FillRule;
  readonly stroke: StrokePaint | undefined;
  /** From 0 to 1, for fill and stroke together as one picture. */
  readonly opacity: number;
  readonly blend: BlendMode;
  // What few items have is left out of the others: frames of very many shapes stay small.
  /** Painter's order among its neighbours: a higher layer is painted later; 0 where it is left out. */
  layer?: number;
  group?: Group;
  label?: string;
  /** What a text says, where the item is one. */
  text?: string;
  /** The sketch's line that drew it, where the frame was painted with tracing on. */
  source?: SourceLine | undefined;
}

/**
 * What a sketch painted, as plain data: it can be kept, compared, sent to a worker and drawn on any surface.
 * Items stand in painter's order, first painted first.
 */
export interface Frame {
  /** The size of the canvas in pixels of density 1. */
  readonly width: number;
  readonly height: number;
  /** Pixels of the picture to one pixel of the canvas. */
  readonly density: number;
  /** From the sketch's units to pixels of density 1. */
  readonly view: Matrix;
  readonly background: PackedColor;
  /** How much of the last picture stays under this one, 0 to 1. */
  readonly carry: number;
  readonly items: readonly Item[];
  /** How many saves were never restored. */
  readonly openSaves: number;
}

/** The pixel size of the picture that a frame makes. */
export function pictureSize(frame: Pick<Frame, 'width' | 'height' | 'density'>): { width: number; height: number } {
  return {
    width: Math.max(1, Math.round(frame.width * frame.density)),
    height: Math.max(1, Math.round(frame.height * frame.density)),
  };
}
