import { putPlaced, type Path } from '../geometry/path.ts';
import type { Pair } from '../schema/point.ts';
import { anchorFraction } from '../shapes/place.ts';
import { clustersOf } from './characters.ts';
import { runsRightToLeft, type Directions, type DirectedRuns } from './directions.ts';
import type { Font, OwnWeight, SetLine } from './font.ts';
import { breakAtSpaces, breaksElsewhere, type LineBreaks } from './line-breaks.ts';
import type { TextAnchor } from './options.ts';
import { setRuns, type LineSetting } from './set-line.ts';
import { fontsOf, type TextStyle } from './style.ts';

/** What text layout needs: the library's own fonts, and rules that few texts need. */
export interface Means {
  readonly fonts: ReadonlyMap<OwnWeight, Font>;
  readonly breaks?: LineBreaks;
  readonly directions?: Directions;
}

/** A text before layout. */
export interface TextSetting {
  readonly string: string;
  readonly pin: Pair;
  readonly style: TextStyle;
  readonly anchor: TextAnchor | undefined;
  readonly maxWidth: number | undefined;
  /** Whether y grows upwards. Text stands upright either way. */
  readonly up: boolean;
  /** Whether the parts of its letters are made one where they overlap: a pen would show where they do. */
  readonly united: boolean;
}

/** A text after layout. */
export interface TextBlock {
  readonly path: Path;
  /** The widest line, by advance. */
  readonly width: number;
  /** From the cap height of the first line to the baseline of the last. */
  readonly height: number;
  readonly lines: readonly string[];
  /** Whether its letters are known not to overlap. */
  readonly simple: boolean;
  /** The characters for which its fonts have no glyph. */
  readonly lacking: readonly string[];
}

const none: readonly string[] = [];

/** Lays out a text: breaks it into lines, and makes its outline. */
export function layOut(setting: TextSetting, means: Means): TextBlock {
  const { pin, style, anchor, up, united } = setting;
  const { size } = style;
  const lines = linesOf(setting, means);
  const widths = lines.map(({ set }) => set.advance * size);
  const width = widths.reduce((widest, each) => Math.max(widest, each), 0);
  const leading = style.lineHeight * size;
  const capHeight = fontsOf(style, means.fonts)[0].capHeight * size;
  const height = capHeight + (lines.length - 1) * leading;
  // The box's fractions, from the left and from the top.
  const [ax, ay] = textAnchor(anchor, capHeight / (height || 1));
  const align = style.align === 'auto' ? ax : { left: 0, center: 0.5, right: 1 }[style.align];
  const outlines = lines.map(({ set }) => (united ? set.united() : set.path));
  const path = new Float64Array(outlines.reduce((sum, { length }) => sum + length, 0));
  let at = 0;
  outlines.forEach((outline, index) => {
    const x = pin[0] - ax * width + align * (width - widths[index]);
    const below = capHeight + index * leading - ay * height;
    putPlaced(path, at, outline, x, pin[1] + (up ? -below : below), size, up ? -size : size);
    at += outline.length;
  });
  const set = lines.map((line) => line.set);
  return {
    path,
    width,
    height,
    lines: lines.map(({ text }) => text),
    simple: areApart(set, style.lineHeight),
    lacking: set.every((line) => line.lacking.length === 0) ? none : [...new Set(set.flatMap((line) => line.lacking))],
  };
}

/** Whether no letters overlap, within a line or between lines. */
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

/** A line of a text: its characters, and its layout. */
interface Line {
  readonly text: string;
  readonly set: SetLine;
}

/** Characters that always end a line (UAX 14, rules 4 and 5). */
const lineEnd = /\r\n|[\n\v\f\r\u0085\u2028\u2029]/;

function linesOf({ string, style, maxWidth = Infinity }: TextSetting, means: Means): Line[] {
  const setting: LineSetting = { fonts: fontsOf(style, means.fonts), letterSpacing: style.letterSpacing };
  const max = style.size > 0 ? maxWidth / style.size : Infinity;
  const breaks = breaksElsewhere(string) ? means.breaks : undefined;
  const lines: Line[] = [];
  for (const paragraph of string.split(lineEnd)) {
    const directions = runsRightToLeft(paragraph) ? means.directions : undefined;
    const runs = directions?.(paragraph) ?? straightOn(paragraph);
    const whole = setRuns(runs(0, paragraph.length), setting);
    if (whole.advance <= max) lines.push({ text: paragraph, set: whole });
    else {
      const set = (start: number, end: number): Line => pieceOf(paragraph, start, end, runs, setting);
      lines.push(...breakParagraph(paragraph, (breaks ?? breakAtSpaces)(paragraph), max, set));
    }
  }
  return lines;
}

/** The runs of a paragraph without right-to-left text. */
function straightOn(paragraph: string): DirectedRuns {
  return (start, end) => [{ text: paragraph.slice(start, end), rightToLeft: false }];
}

const softHyphen = '\u00ad';
/** The spaces at which a line may be broken. */
const spacesAtEnd = /[ \t\u1680\u2000-\u2006\u2008-\u200a\u205f\u3000]+$/;

/** A line of a paragraph between two places, without the spaces at its end; a soft hyphen there becomes visible. */
function pieceOf(paragraph: string, start: number, end: number, runs: DirectedRuns, setting: LineSetting): Line {
  const text = paragraph.slice(start, end).replace(spacesAtEnd, '');
  const directed = runs(start, start + text.length);
  if (!text.endsWith(softHyphen)) return { text, set: setRuns(directed, setting) };
  const hyphen = setting.fonts.some((font) => font.draws('\u2010')) ? '\u2010' : '-';
  // Only the soft hyphen at the very end of the line becomes visible.
  const seen = directed.map((run) => (run.text.endsWith(softHyphen) ? { ...run, text: run.text.slice(0, -1) + hyphen } : run)); // prettier-ignore
  return { text: text.slice(0, -1) + hyphen, set: setRuns(seen, setting) };
}

/** Breaks a paragraph into lines no wider than `max` ems: where the rules allow it, and inside words that are too wide. */
function breakParagraph(
  paragraph: string,
  places: readonly number[],
  max: number,
  set: (start: number, end: number) => Line,
): Line[] {
  const lines: Line[] = [];
  let start = 0;
  let fitting: Line | undefined;
  let end = 0;
  const finish = (): void => {
    if (fitting !== undefined) lines.push(fitting);
    fitting = undefined;
    start = end;
  };
  const tryTo = (place: number): boolean => {
    const line = set(start, place);
    if (line.set.advance > max) return false;
    fitting = line;
    end = place;
    return true;
  };
  for (const place of places) {
    if (tryTo(place)) continue;
    finish();
    if (tryTo(place)) continue;
    let within = start;
    for (const cluster of clustersOf(paragraph.slice(start, place))) {
      within += cluster.length;
      if (tryTo(within)) continue;
      finish();
      // A single cluster that is too wide gets a line of its own.
      if (!tryTo(within)) [fitting, end] = [set(start, within), within];
    }
  }
  finish();
  return lines;
}
