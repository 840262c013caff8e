import type { Box } from '../geometry/box.ts';
import { commandLength, pathBox, type Path } from '../geometry/path.ts';
import { fail } from '../error.ts';
import { checkKeys, notNegative, oneOf, OptionNames, point, type Pair, type Point } from '../options.ts';
import type { Outline, Surroundings } from '../shapes/kind.ts';
import { readAnchor, type Anchor } from '../shapes/place.ts';
import { defaultFont, type Font } from './font.ts';
import { initialTextStyle, restyleText, textStyleKeys, type TextStyle, type TextStyleOptions } from './style.ts';

const baselineAnchors = ['baseline-left', 'baseline', 'baseline-right'] as const;

/** The anchors of boxes, and three on the baseline of the first line. */
export type TextAnchor = Anchor | (typeof baselineAnchors)[number];

export interface TextOptions extends TextStyleOptions {
  at: Point;
  anchor?: TextAnchor;
  /** Lines longer than this are broken, between words where they can be. */
  maxWidth?: number;
}

/** The size of a text, from its own anchor point; see `measureText`. */
export interface TextMeasure {
  /** The widest line, by advance. */
  readonly width: number;
  /** From the cap height of the first line to the baseline of the last. */
  readonly height: number;
  /** What is inked, from the pin. */
  readonly ink: Box;
  /** The lines, as they were broken. */
  readonly lines: readonly string[];
}

export const textKeys = ['at', 'anchor', 'maxWidth', ...textStyleKeys] as const;
const measureKeys = new OptionNames(textKeys);

/**
 * The size of a text as it would be drawn. The box runs from the cap height of the first line to the baseline of the
 * last, so that capitals and digits look centred in it; `ink` is the tight box about what is drawn, from the pin.
 * Inside a sketch the font is there; elsewhere `await loadFonts()` first.
 */
export function measureText(string: string, options: Omit<TextOptions, 'at'> & { at?: Point } = {}): TextMeasure {
  const call = 'measureText';
  checkKeys(call, options, measureKeys);
  const style = restyleText(call, initialTextStyle, options);
  const around = { width: 0, height: 0, up: false };
  const block = layOut(call, string, { at: [0, 0], ...options }, style, around);
  return { width: block.width, height: block.height, ink: pathBox(block.path), lines: block.lines };
}

/** A text's outline, for the canvas. */
export function textOutline(string: unknown, options: TextOptions, style: TextStyle, around: Surroundings): Outline {
  const { path, pin } = layOut('text', string, options, style, around);
  return { path, pin, inside: true };
}

interface Block {
  readonly path: Path;
  readonly pin: Pair;
  readonly width: number;
  readonly height: number;
  readonly lines: readonly string[];
}

function layOut(call: string, string: unknown, options: TextOptions, style: TextStyle, around: Surroundings): Block {
  if (typeof string !== 'string' && typeof string !== 'number')
    return fail({
      call,
      option: 'string',
      value: string,
      problem: 'is not text',
      expected: 'expected text or a number first, then options',
    });
  const pin = point(call, 'at', options.at);
  const font = style.font === 'default' ? defaultFont(style.weight) : style.font;
  const maxWidth = options.maxWidth === undefined ? Infinity : notNegative(call, 'maxWidth', options.maxWidth);
  const { size } = style;
  const lines = String(string)
    .split(/\r?\n/)
    .flatMap((line) => breakLine(line, font, size > 0 ? maxWidth / size : Infinity));
  const widths = lines.map((line) => font.set(line).advance * size);
  const width = Math.max(...widths);
  const leading = style.lineHeight * size;
  const capHeight = font.capHeight * size;
  const height = capHeight + (lines.length - 1) * leading;
  // The box's fractions, from the left and from the top.
  const [ax, ay] = readTextAnchor(call, options.anchor, capHeight / (height || 1));
  const align = style.align === 'auto' ? ax : { left: 0, center: 0.5, right: 1 }[style.align];
  const path: number[] = [];
  lines.forEach((line, index) => {
    const x = pin[0] - ax * width + align * (width - widths[index]);
    const below = capHeight + index * leading - ay * height;
    // Where y grows upwards text still stands upright.
    addScaled(path, font.set(line).path, size, x, pin[1] + (around.up ? -below : below), around.up ? -size : size);
  });
  return { path, pin, width, height, lines };
}

function readTextAnchor(call: string, anchor: unknown, firstBaseline: number): Pair {
  if (typeof anchor === 'string' && anchor.startsWith('baseline'))
    return [
      { 'baseline-left': 0, baseline: 0.5, 'baseline-right': 1 }[oneOf(call, 'anchor', anchor, baselineAnchors)],
      firstBaseline,
    ];
  return readAnchor(call, anchor, { up: false });
}

function addScaled(path: number[], glyphs: Path, scaleX: number, x: number, y: number, scaleY: number): void {
  for (let i = 0; i < glyphs.length;) {
    const length = commandLength[glyphs[i]];
    path.push(glyphs[i]);
    for (let j = i + 1; j < i + length; j += 2) path.push(x + glyphs[j] * scaleX, y + glyphs[j + 1] * scaleY);
    i += length;
  }
}

/** A line in pieces no wider than `most` ems: broken at spaces, and inside words that are wider by themselves. */
function breakLine(line: string, font: Font, most: number): string[] {
  if (most === Infinity || font.set(line).advance <= most) return [line];
  const result: string[] = [];
  let current = '';
  for (const word of line.split(/(?<=\s)(?=\S)/)) {
    if (font.set((current + word).trimEnd()).advance <= most) {
      current += word;
      continue;
    }
    if (current !== '') result.push(current.trimEnd());
    current = '';
    for (const letter of word) {
      if (current !== '' && font.set((current + letter).trimEnd()).advance > most) {
        result.push(current);
        current = '';
      }
      current += letter;
    }
  }
  if (current !== '') result.push(current.trimEnd());
  return result;
}
