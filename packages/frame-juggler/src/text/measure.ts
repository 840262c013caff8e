import { boundsIn, type Bounds } from '../geometry/box.ts';
import { pathBox } from '../geometry/path.ts';
import { pathData } from '../geometry/write-path-data.ts';
import { pairOf, type Point } from '../schema/point.ts';
import type { TextBlock } from './layout.ts';
import { lettering, wantFontsAtStart } from './lettering.ts';
import { needsOf } from './needs.ts';
import { measureOptions, readString, textOptions, type MeasureOptions, type TextOptions } from './options.ts';
import { initialTextStyle, restyleText } from './style.ts';

// Whoever asks how large a text is wants to know at once: a sketch that imports this starts with the fonts loaded.
wantFontsAtStart();

/** The size of a text, relative to its anchor point; see `measureText`. */
export interface TextMeasure {
  /** The widest line, by advance. */
  readonly width: number;
  /** From the cap height of the first line to the baseline of the last. */
  readonly height: number;
  /** What is inked, from the pin. */
  readonly ink: Bounds;
  /** The lines, as they were broken. */
  readonly lines: readonly string[];
}

/**
 * The size of a text as it would be drawn. The box runs from the cap height of the first line to the baseline of the
 * last, so that capitals and digits look centered in it; `ink` is the tight box around what is drawn, relative to `at`, with y downwards. Inside a sketch the font is loaded; elsewhere `await loadFonts()` first.
 * @throws SketchError where an option is unknown or not valid
 */
export function measureText(string: string | number, options: MeasureOptions = {}): TextMeasure {
  const call = 'measureText';
  const written = readString(call, string);
  measureOptions.check(call, options);
  const { width, height, path, lines } = set(written, [0, 0], options, false);
  return { width, height, ink: boundsIn(pathBox(path)), lines };
}

/**
 * The outline of a text as SVG path data, set just as `canvas.text` sets it: for `canvas.path({ data })`, to clip with it, dash it or take it elsewhere. Its y runs downwards, as in SVG: where the canvas's runs upwards, draw it in a group with `scale: [1, -1]`. Inside a sketch the font is loaded; elsewhere `await loadFonts()` first.
 * @throws SketchError where an option is unknown or not valid
 */
export function textOutline(string: string | number, options: TextOptions): string {
  const call = 'textOutline';
  const written = readString(call, string);
  textOptions.check(call, options);
  return pathData(set(written, options.at, options, true).path);
}

function set(string: string, at: Point, options: MeasureOptions, united: boolean): TextBlock {
  const style = restyleText(initialTextStyle, options);
  const { anchor, maxWidth } = options;
  const { layOut, means } = lettering(needsOf(string, style, maxWidth));
  return layOut({ string, pin: pairOf(at), style, anchor, maxWidth, up: false, united }, means);
}
