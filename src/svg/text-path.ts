import { checkKeys, OptionNames } from '../options.ts';
import { textKeys, textOutline, type TextOptions } from '../text/layout.ts';
import { initialTextStyle, restyleText } from '../text/style.ts';
import { pathData } from './outline.ts';

const known = new OptionNames(textKeys);

/**
 * The outline of a text as SVG path data, set just as `canvas.text` sets it: for `canvas.path({ data })`, to cut it,
 * dash it or lead it elsewhere. Inside a sketch the font is there; elsewhere `await loadFonts()` first.
 * @throws SketchError where an option is misspelt or cannot be meant
 */
export function textPath(string: string | number, options: TextOptions): string {
  const call = 'textPath';
  checkKeys(call, options, known);
  const style = restyleText(call, initialTextStyle, options);
  return pathData(textOutline(string, options, style, { width: 0, height: 0, up: false }).path);
}
