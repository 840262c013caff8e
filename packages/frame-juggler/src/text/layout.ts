import { commandLength, type Path } from '../geometry/path.ts';
import type { Pair } from '../schema/point.ts';
import { anchorFraction } from '../shapes/place.ts';
import type { Font, OwnWeight, SetLine } from './font.ts';
import type { TextAnchor } from './options.ts';
import { ownWeight, type TextStyle } from './style.ts';

/** A text as it is to be set. */
export interface TextSetting {
  readonly string: string;
  readonly pin: Pair;
  readonly style: TextStyle;
  readonly anchor: TextAnchor | undefined;
  readonly maxWidth: number | undefined;
  /** Whether y grows upwards: text still stands upright. */
  readonly up: boolean;
}

/** A text as it was set. */
export interface TextBlock {
  readonly path: Path;
  /** The widest line, by advance. */
  readonly width: number;
  /** From the cap height of the first line to the baseline of the last. */
  readonly height: number;
  readonly lines: readonly string[];
  /** Whether its letters are known to lie nowhere over one another. */
  readonly simple: boolean;
  /** The characters that its font has no glyphs for. */
  readonly lacking: readonly string[];
}

/** Sets a text: breaks its lines, and gives its outline. */
export function layOut(setting: TextSetting, fonts: ReadonlyMap<OwnWeight, Font>): TextBlock {
  const { string, pin, style, anchor, maxWidth = Infinity, up } = setting;
  const weight = ownWeight(style);
  const font = weight === undefined ? (style.font as Font) : fonts.get(weight)!;
  const { size } = style;
  const lines = string.split(/\r?\n/).flatMap((line) => breakLine(line, font, size > 0 ? maxWidth / size : Infinity));
  const widths = lines.map((line) => font.set(line).advance * size);
  const width = widths.reduce((widest, each) => Math.max(widest, each), 0);
  const leading = style.lineHeight * size;
  const capHeight = font.capHeight * size;
  const height = capHeight + (lines.length - 1) * leading;
  // The box's fractions, from the left and from the top.
  const [ax, ay] = textAnchor(anchor, capHeight / (height || 1));
  const align = style.align === 'auto' ? ax : { left: 0, center: 0.5, right: 1 }[style.align];
  const path: number[] = [];
  lines.forEach((line, index) => {
    const x = pin[0] - ax * width + align * (width - widths[index]);
    const below = capHeight + index * leading - ay * height;
    addScaled(path, font.set(line).path, size, x, pin[1] + (up ? -below : below), up ? -size : size);
  });
  const set = lines.map((line) => font.set(line));
  const lacking = set.flatMap((line) => line.lacking);
  return { path, width, height, lines, simple: areApart(set, style.lineHeight), lacking };
}

/** Whether no letters lie over others, in a line or from one to the next. */
function areApart(lines: readonly SetLine[], lineHeight: number): boolean {
  const [{ winding }] = lines;
  if (winding === 0) return false;
  return lines.every((line, i) => line.winding === winding && (i === 0 || lines[i - 1].bottom - line.top < lineHeight));
}

const baselineAnchors = { 'baseline-left': 0, baseline: 0.5, 'baseline-right': 1 } as const;

function textAnchor(anchor: TextAnchor | undefined, firstBaseline: number): Pair {
  if (typeof anchor === 'string' && anchor in baselineAnchors)
    return [baselineAnchors[anchor as keyof typeof baselineAnchors], firstBaseline];
  return anchorFraction(anchor as Exclude<TextAnchor, keyof typeof baselineAnchors> | undefined, { up: false });
}

function addScaled(path: number[], glyphs: Path, scaleX: number, x: number, y: number, scaleY: number): void {
  for (let i = 0; i < glyphs.length;) {
    const length = commandLength[glyphs[i]];
    path.push(glyphs[i]);
    for (let j = i + 1; j < i + length; j += 2) path.push(x + glyphs[j] * scaleX, y + glyphs[j + 1] * scaleY);
    i += length;
  }
}

/** A line in pieces no wider than `max` ems: broken at spaces, and inside words that are wider by themselves. */
function breakLine(line: string, font: Font, max: number): string[] {
  if (max === Infinity || font.set(line).advance <= max) return [line];
  const result: string[] = [];
  let current = '';
  for (const word of line.split(/(?<=\s)(?=\S)/)) {
    if (font.set((current + word).trimEnd()).advance <= max) {
      current += word;
      continue;
    }
    if (current !== '') result.push(current.trimEnd());
    current = '';
    for (const letter of word) {
      if (current !== '' && font.set((current + letter).trimEnd()).advance > max) {
        result.push(current);
        current = '';
      }
      current += letter;
    }
  }
  if (current !== '') result.push(current.trimEnd());
  return result;
}
