import { kindOf, length, oneOf, range, type ValueOf } from '../schema/kind.ts';
import { type Complete, optional, type Options, schemaOf } from '../schema/schema.ts';
import { Font, type OwnWeight } from './font.ts';

const align = oneOf('left', 'center', 'right', 'auto');
/** How lines are aligned; `auto` follows the anchor. */
export type Align = ValueOf<typeof align>;
/** The weights of the library's own font, by name or by CSS's numbers. */
export type Weight = 'regular' | 'bold' | 400 | 700;

type OneFont = Font | 'default';
const isFont = (value: unknown): value is OneFont => value === 'default' || value instanceof Font;
const fontChoice = kindOf<OneFont | readonly OneFont[]>(
  "one of assets (asset.font), 'default', or a list of these",
  (value) => isFont(value) || (Array.isArray(value) && value.length > 0 && value.every(isFont)),
  'is not a font',
);

export const textStyleTable = {
  /** The size of the em, in units: a little more than the height of the letters. */
  size: optional(length, 16),
  /**
   * A font of the sketch's own (`asset.font`), or `default` for the one that comes with the library; or a list of them, each for the characters that those before it lack.
   */
  font: optional(fontChoice, 'default'),
  /** The weight of the library's own font: regular or bold, 400 or 700. */
  weight: optional(
    kindOf<Weight>(
      'one of regular, bold, 400, 700',
      (value) => value === 'regular' || value === 'bold' || value === 400 || value === 700,
      'is not known',
    ),
    'regular',
  ),
  /** How lines are aligned; `auto` follows the anchor. */
  align: optional(align, 'auto'),
  /** From one baseline to the next, in ems. */
  lineHeight: optional(range('a number from 0 to 10, times the size', 0, 10), 1.25),
  /** The room added between letters, in ems; less than 0 draws them closer. The letters of scripts in which they join, such as Arabic, are left as they are. */
  letterSpacing: optional(range('a number from -1 to 10, times the size', -1, 10), 0),
};

/** How text is set. A key you leave out keeps its value. */
export interface TextStyleOptions extends Options<typeof textStyleTable> {}
/** Text style, with a value for every key. */
export type TextStyle = Complete<typeof textStyleTable>;

export const textStyleOptions = schemaOf(textStyleTable, "{ size: 20, weight: 'bold' }");
export const initialTextStyle: TextStyle = textStyleOptions.read('text', {});

/** `style` with the text keys of `options`, which were checked; itself where there are none. */
export function restyleText(style: TextStyle, options: TextStyleOptions): TextStyle {
  const { size, font, weight, align: lines, lineHeight, letterSpacing } = options;
  const kept = size === undefined && font === undefined && weight === undefined;
  if (kept && lines === undefined && lineHeight === undefined && letterSpacing === undefined) return style;
  return {
    size: size ?? style.size,
    font: font ?? style.font,
    weight: weight ?? style.weight,
    align: lines ?? style.align,
    lineHeight: lineHeight ?? style.lineHeight,
    letterSpacing: letterSpacing ?? style.letterSpacing,
  };
}

const isList = (font: TextStyle['font']): font is readonly OneFont[] => Array.isArray(font);
const listOf = ({ font }: TextStyle): readonly OneFont[] => (isList(font) ? font : [font]);

/** Which of the library's own fonts a style asks for; undefined where it has only others. */
export function ownWeight(style: TextStyle): OwnWeight | undefined {
  if (!listOf(style).includes('default')) return undefined;
  return style.weight === 'bold' || style.weight === 700 ? 'bold' : 'regular';
}

/** The fonts of a style, the preferred one first. */
export function fontsOf(style: TextStyle, own: ReadonlyMap<OwnWeight, Font>): readonly Font[] {
  return listOf(style).map((font) => (font === 'default' ? own.get(ownWeight(style)!)! : font));
}
