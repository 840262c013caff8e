import type { Cap, Join } from '../geometry/stroke.ts';
import { fail } from '../error.ts';
import { checkKeys, finite, notNegative, oneOf, OptionNames, within } from '../options.ts';
import { pack } from '../paint/color.ts';
import { blendModes, type BlendMode } from '../paint/blend.ts';
import { readPaint, type Paint, type PaintLike } from '../paint/paint.ts';
import type { StrokePaint } from './frame.ts';

/** A stroke in parts: a part left out keeps its value. Lengths are in the units in force. */
export interface StrokeOptions {
  color?: PaintLike | 'auto';
  width?: number;
  cap?: Cap;
  join?: Join;
  /** Miters longer than this many widths become bevels. */
  miterLimit?: number;
  /** Lengths of dashes and gaps in turn; an empty list is a solid line. */
  dash?: readonly number[];
  /** How far into the dash pattern a line begins. */
  dashOffset?: number;
}

/** How things look; a key left out keeps its value. */
export interface StyleOptions {
  fill?: PaintLike;
  stroke?: PaintLike | 'auto' | StrokeOptions;
  /** From 0 (not there) to 1. */
  opacity?: number;
  /** How colours mix with what lies under them. */
  blend?: BlendMode;
}

/** The style in force: a value that is never changed, only exchanged. */
export interface Style {
  readonly fill: Paint | undefined;
  /** The stroke's pen and paint; the paint stands for nothing while `strokeFrom` is not `paint`. */
  readonly stroke: StrokePaint;
  /** `auto`: shapes without an inside are stroked in the fill colour, others not at all. */
  readonly strokeFrom: 'auto' | 'none' | 'paint';
  readonly opacity: number;
  readonly blend: BlendMode;
}

/** SVG's initial values, with stroke `auto`: what every frame begins with. */
export const initialStyle: Style = {
  fill: pack(0, 0, 0, 255),
  stroke: { paint: pack(0, 0, 0, 255), width: 1, cap: 'butt', join: 'miter', miterLimit: 4, dash: [], dashOffset: 0 },
  strokeFrom: 'auto',
  opacity: 1,
  blend: 'normal',
};

export const styleKeys = ['fill', 'stroke', 'opacity', 'blend'] as const;
const strokeKeys = new OptionNames(['color', 'width', 'cap', 'join', 'miterLimit', 'dash', 'dashOffset']);
const caps = ['butt', 'round', 'square'] as const;
const joins = ['miter', 'round', 'bevel'] as const;

/** `style` with the keys of `options` that are style; itself where there are none. */
export function restyle(call: string, style: Style, options: StyleOptions): Style {
  const { fill, stroke, opacity, blend } = options;
  if (fill === undefined && stroke === undefined && opacity === undefined && blend === undefined) return style;
  const stroked = stroke === undefined ? style : restroke(call, style, stroke);
  return {
    fill: fill === undefined ? style.fill : readPaint(call, 'fill', fill),
    stroke: stroked.stroke,
    strokeFrom: stroked.strokeFrom,
    opacity: opacity === undefined ? style.opacity : within(call, 'opacity', opacity, 0, 1),
    blend: blend === undefined ? style.blend : oneOf(call, 'blend', blend, blendModes),
  };
}

function restroke(
  call: string,
  style: Style,
  given: NonNullable<StyleOptions['stroke']>,
): Pick<Style, 'stroke' | 'strokeFrom'> {
  if (!isStrokeOptions(given)) return withStrokeColor(call, 'stroke', style, given);
  checkKeys(`${call} stroke`, given, strokeKeys);
  const colored = given.color === undefined ? style : withStrokeColor(call, 'stroke color', style, given.color);
  const old = colored.stroke;
  const { width, cap, join, miterLimit, dash, dashOffset } = given;
  return {
    strokeFrom: colored.strokeFrom,
    stroke: {
      paint: old.paint,
      width: width === undefined ? old.width : notNegative(call, 'stroke width', width),
      cap: cap === undefined ? old.cap : oneOf(call, 'stroke cap', cap, caps),
      join: join === undefined ? old.join : oneOf(call, 'stroke join', join, joins),
      miterLimit: miterLimit === undefined ? old.miterLimit : readMiterLimit(call, miterLimit),
      dash: dash === undefined ? old.dash : readDash(call, dash),
      dashOffset: dashOffset === undefined ? old.dashOffset : finite(call, 'stroke dashOffset', dashOffset),
    },
  };
}

function isStrokeOptions(given: NonNullable<StyleOptions['stroke']>): given is StrokeOptions {
  return typeof given === 'object' && Object.getPrototypeOf(given) === Object.prototype;
}

function withStrokeColor(
  call: string,
  option: string,
  style: Pick<Style, 'stroke' | 'strokeFrom'>,
  given: PaintLike | 'auto',
): Pick<Style, 'stroke' | 'strokeFrom'> {
  if (given === 'auto') return { stroke: style.stroke, strokeFrom: 'auto' };
  const paint = readPaint(call, option, given);
  if (paint === undefined) return { stroke: style.stroke, strokeFrom: 'none' };
  return { stroke: { ...style.stroke, paint }, strokeFrom: 'paint' };
}

function readMiterLimit(call: string, value: unknown): number {
  const limit = notNegative(call, 'stroke miterLimit', value);
  if (limit < 1)
    fail({ call, option: 'stroke miterLimit', value, problem: 'is too small', expected: 'expected 1 or more' });
  return limit;
}

function readDash(call: string, value: unknown): readonly number[] {
  if (!Array.isArray(value))
    return fail({
      call,
      option: 'stroke dash',
      value,
      problem: 'is not a list',
      expected: 'expected lengths, [dash, gap, …]',
    });
  const lengths = value.map((length, index) => notNegative(call, `stroke dash[${index}]`, length));
  return lengths.some((length) => length > 0) ? lengths : [];
}
