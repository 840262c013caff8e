import type { PenStyle } from '../frame/frame.ts';
import type { FrameWriter } from '../frame/writer.ts';
import { blendMode, blendModes, type BlendMode } from '../paint/blend.ts';
import { pack } from '../paint/color.ts';
import { readPaint, type Fill, type Paint, type PaintLike, type PictureFill } from '../paint/paint.ts';
import { convertedLater, finite, fraction, kindOf, length, listOf, oneOf } from '../schema/kind.ts';
import { optional, type Options, schemaOf } from '../schema/schema.ts';

const strokeTable = {
  /** Its color, gradient or pattern; `'none'`, or `'auto'`. */
  color: optional(convertedLater<PaintLike | 'auto'>('a color')),
  /** How wide it is, in units. */
  width: optional(length),
  /** How open lines end. */
  cap: optional(oneOf('butt', 'round', 'square')),
  /** How corners look. */
  join: optional(oneOf('miter', 'round', 'bevel')),
  /** Miters longer than this many widths become bevels; 1 or more. */
  miterLimit: optional(
    kindOf<number>(
      'a number, 1 or more',
      (value) => typeof value === 'number' && value >= 1 && value < Infinity,
      (value) => (typeof value === 'number' ? 'is too small' : 'is not a number'),
    ),
  ),
  /** Lengths of dashes and gaps in turn, in units; an empty list is a solid line. */
  dash: optional(listOf(length, 'lengths, [dash, gap, …]')),
  /** How far into the dash pattern a line begins, in units. */
  dashOffset: optional(finite),
};
/** A stroke in parts; a part you leave out keeps its value. */
export interface StrokeOptions extends Options<typeof strokeTable> {}
const strokeOptions = schemaOf(strokeTable, "{ color: 'white', width: 2 }");

export const styleTable = {
  /** What its inside is painted with: a color, a gradient, a pattern or `'none'`. */
  fill: optional(convertedLater<PaintLike>('a color')),
  /** What its outline is drawn in: a color, `'none'`, `'auto'`, or `{ color, width, cap, join, dash, … }`. */
  stroke: optional(convertedLater<PaintLike | 'auto' | StrokeOptions>('a color')),
  /** From 0 (not there) to 1, for fill and stroke together as one picture. */
  opacity: optional(fraction),
  /** How its colors mix with what is below them, by the W3C's names. */
  blend: optional(blendMode),
};
/** How things look; a key you leave out keeps its value. */
export interface StyleOptions extends Options<typeof styleTable> {}

/** The style in force: a value that is never changed, only exchanged. */
export interface Style {
  readonly fill: Paint | undefined;
  readonly stroke: StrokeStyle;
  readonly opacity: number;
  readonly blend: BlendMode;
}

/** How outlines are drawn. */
interface StrokeStyle {
  /** What they are painted with: chosen, nothing, or what `auto` gives each shape. */
  readonly from: 'auto' | 'none' | 'paint';
  readonly paint: Paint;
  readonly width: number;
  readonly pen: PenStyle;
  /** Whether a width or dashes were given: then `auto` outlines shapes with an inside too. */
  readonly wanted: boolean;
}

const black = pack(0, 0, 0, 255);

/** SVG's initial values, with stroke `auto`: what every frame begins with. */
export const initialStyle: Style = {
  fill: black,
  stroke: {
    from: 'auto',
    paint: black,
    width: 1,
    pen: { cap: 'butt', join: 'miter', miterLimit: 4, dash: [], dashOffset: 0 },
    wanted: false,
  },
  opacity: 1,
  blend: 'normal',
};

/** A style that fills, or rules thin lines, in one color, whatever is in force. */
export function plainStyle(color: Paint, width: number | undefined): Style {
  const stroke: StrokeStyle =
    width === undefined
      ? { ...initialStyle.stroke, from: 'none' }
      : { ...initialStyle.stroke, from: 'paint', paint: color, width };
  return { ...initialStyle, fill: color, stroke };
}

/** `style` with the keys of `options` that are style; itself where there are none. */
export function restyle(call: string, style: Style, options: StyleOptions): Style {
  const { fill, stroke, opacity, blend } = options;
  if (fill === undefined && stroke === undefined && opacity === undefined && blend === undefined) return style;
  return {
    fill: fill === undefined ? style.fill : readPaint(call, 'fill', fill),
    stroke: stroke === undefined ? style.stroke : restroke(call, style.stroke, stroke),
    opacity: opacity ?? style.opacity,
    blend: blend ?? style.blend,
  };
}

/** `style` for what is in a group: its opacity and blend are those of the group as one picture, not of each item. */
export function restyleGroup(call: string, style: Style, { opacity: _, blend: __, ...options }: StyleOptions): Style {
  return restyle(call, style, options);
}

function restroke(call: string, style: StrokeStyle, given: NonNullable<StyleOptions['stroke']>): StrokeStyle {
  if (!isStrokeOptions(given)) return withStrokeColor(call, 'stroke', style, given);
  strokeOptions.check(`${call} stroke`, given);
  const colored = given.color === undefined ? style : withStrokeColor(call, 'stroke color', style, given.color);
  const { width, cap, join, miterLimit, dash, dashOffset } = given;
  const { pen } = style;
  const samePen =
    cap === undefined &&
    join === undefined &&
    miterLimit === undefined &&
    dash === undefined &&
    dashOffset === undefined;
  return {
    from: colored.from,
    paint: colored.paint,
    width: width ?? style.width,
    pen: samePen
      ? pen
      : {
          cap: cap ?? pen.cap,
          join: join ?? pen.join,
          miterLimit: miterLimit ?? pen.miterLimit,
          dash: dash === undefined ? pen.dash : dash.some((part) => part > 0) ? [...dash] : [],
          dashOffset: dashOffset ?? pen.dashOffset,
        },
    // Caps and joins only say how lines look; a width or dashes mean that one is wanted.
    wanted: style.wanted || width !== undefined || dash !== undefined,
  };
}

function isStrokeOptions(given: NonNullable<StyleOptions['stroke']>): given is StrokeOptions {
  if (typeof given !== 'object' || given === null) return false;
  const prototype: unknown = Object.getPrototypeOf(given);
  // Gradients and patterns are plain data as well, but tell their type.
  return (prototype === Object.prototype || prototype === null) && !('type' in given);
}

function withStrokeColor(call: string, option: string, style: StrokeStyle, given: PaintLike | 'auto'): StrokeStyle {
  if (given === 'auto') return { ...style, from: 'auto', wanted: false };
  const paint = readPaint(call, option, given);
  return paint === undefined ? { ...style, from: 'none' } : { ...style, from: 'paint', paint };
}

/**
 * What a shape's outline is painted with. Under `auto` nothing is invisible by accident: a shape without an inside is
 * drawn in its fill; one with an inside is outlined where it has no fill, or where a width or dashes were given; and what
 * has no color by that is black.
 */
function strokePaint(stroke: StrokeStyle, fill: Fill | undefined, inside: boolean): Fill | undefined {
  if (stroke.from === 'paint') return stroke.paint;
  if (stroke.from === 'none') return undefined;
  if (!inside) return fill ?? black;
  return fill === undefined || stroke.wanted ? black : undefined;
}

/** Whether a shape with an inside has an outline drawn around it. */
export function isStroked({ stroke, fill }: Style): boolean {
  return strokePaint(stroke, fill, true) !== undefined;
}

/**
 * Writes how an item looks.
 * @param picture what fills it in place of its look's own fill
 */
export function writeLook(
  writer: FrameWriter,
  item: number,
  look: Style,
  inside: boolean,
  picture: PictureFill | undefined,
): void {
  const fill = picture ?? look.fill;
  writer.setFill(item, inside ? fill : undefined, look.opacity);
  const stroke = strokePaint(look.stroke, fill, inside);
  if (stroke !== undefined) writer.setStroke(item, stroke, look.stroke.width, look.stroke.pen);
  if (look.blend !== 'normal') writer.set('blend', item, blendModes.indexOf(look.blend));
}
