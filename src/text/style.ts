import { fail } from '../error.ts';
import { notNegative, oneOf } from '../options.ts';
import { Font } from './font.ts';

/** How lines lie under each other; `auto` follows the anchor. */
export type Align = 'left' | 'center' | 'right' | 'auto';
/** The weights of the library's own font, by name or by CSS's numbers. */
export type Weight = 'regular' | 'bold' | 400 | 700;

/** How text is set. A key left out keeps its value. */
export interface TextStyleOptions {
  /** The em, in the units in force: somewhat more than the height of a line's letters. */
  size?: number;
  /** A font of the sketch's own (`asset.font`), or `default` for the one that comes with the library. */
  font?: Font | 'default';
  /** Of the library's own font; a font of the sketch's own has the weight of its file. */
  weight?: Weight;
  align?: Align;
  /** From one baseline to the next, in ems. */
  lineHeight?: number;
}

/** Text style, resolved. */
export interface TextStyle {
  readonly size: number;
  readonly font: Font | 'default';
  readonly weight: 'regular' | 'bold';
  readonly align: Align;
  readonly lineHeight: number;
}

export const initialTextStyle: TextStyle = {
  size: 16,
  font: 'default',
  weight: 'regular',
  align: 'auto',
  lineHeight: 1.25,
};
export const textStyleKeys = ['size', 'font', 'weight', 'align', 'lineHeight'] as const;

/** `style` with the text keys of `options`; itself where there are none. */
export function restyleText(call: string, style: TextStyle, options: TextStyleOptions): TextStyle {
  const { size, font, weight, align, lineHeight } = options;
  if (
    size === undefined &&
    font === undefined &&
    weight === undefined &&
    align === undefined &&
    lineHeight === undefined
  )
    return style;
  return {
    size: size === undefined ? style.size : notNegative(call, 'size', size),
    font: font === undefined ? style.font : readFont(call, font),
    weight: weight === undefined ? style.weight : readWeight(call, weight),
    align: align === undefined ? style.align : oneOf(call, 'align', align, ['left', 'center', 'right', 'auto']),
    lineHeight: lineHeight === undefined ? style.lineHeight : notNegative(call, 'lineHeight', lineHeight),
  };
}

function readFont(call: string, font: unknown): Font | 'default' {
  if (font === 'default' || font instanceof Font) return font;
  return fail({
    call,
    option: 'font',
    value: typeof font === 'object' ? 'object' : font,
    problem: 'is not a font',
    expected: "expected one of assets (asset.font), or 'default'",
  });
}

function readWeight(call: string, weight: unknown): 'regular' | 'bold' {
  if (weight === 400 || weight === 700) return weight === 700 ? 'bold' : 'regular';
  return oneOf(call, 'weight', weight, ['regular', 'bold']);
}
