import { putPlaced, type Path } from '../geometry/path.ts';
import { clustersOf, drawsNothing, hasJoinedLetters, isLatin, scriptOf } from './characters.ts';
import type { DirectedRun } from './directions.ts';
import type { Font, SetLine } from './font.ts';

/** What a line is set with. */
export interface LineSetting {
  /** Characters that the first font lacks are taken from the next ones. */
  readonly fonts: readonly Font[];
  /** Added between letters, in ems. */
  readonly letterSpacing: number;
}

/** Lays out a line by its `runs`. */
export function setRuns(runs: readonly DirectedRun[], { fonts, letterSpacing }: LineSetting): SetLine {
  // Most lines are of one run, one font and one script.
  if (runs.length === 1 && isPlain(runs[0].text, fonts))
    return fonts[0].set(runs[0].text, runs[0].rightToLeft, letterSpacing);
  const parts = runs.flatMap(({ text, rightToLeft }) => {
    const ofOneFont = partsOf(text, fonts).map((part) =>
      part.font.set(part.text, rightToLeft, hasJoinedLetters(part.text) ? 0 : letterSpacing),
    );
    return rightToLeft ? ofOneFont.reverse() : ofOneFont;
  });
  if (parts.length === 1) return parts[0];
  const joined = (pathOf: (part: SetLine) => Path): Path => {
    const path: number[] = [];
    let start = 0;
    for (const part of parts) {
      putPlaced(path, path.length, pathOf(part), start, 0, 1, 1);
      start += part.advance + letterSpacing;
    }
    return path;
  };
  return {
    advance: parts.reduce((sum, part) => sum + part.advance, letterSpacing * Math.max(0, parts.length - 1)),
    path: joined((part) => part.path),
    united: () => joined((part) => part.united()),
    // Parts may overlap.
    winding: 0,
    top: Math.min(0, ...parts.map(({ top }) => top)),
    bottom: Math.max(0, ...parts.map(({ bottom }) => bottom)),
    lacking: [...new Set(parts.flatMap(({ lacking }) => lacking))],
  };
}

interface Part {
  text: string;
  readonly font: Font;
  readonly script: number | undefined;
}

/** Whether a text is of one script, and the first font has all of it. */
function isPlain(text: string, fonts: readonly Font[]): boolean {
  return isLatin(text) && (fonts.length === 1 || fonts[0].draws(text));
}

/** Splits a text into parts of one font and one script each. */
function partsOf(text: string, fonts: readonly Font[]): Part[] {
  const [first] = fonts;
  if (isPlain(text, fonts)) return [{ text, font: first, script: undefined }];
  const parts: Part[] = [];
  for (const cluster of clustersOf(text)) {
    const before = parts.at(-1);
    const script = scriptOf(cluster);
    // Invisible characters stay where they are: they may affect their neighbors.
    const stays = before !== undefined && [...cluster].every(drawsNothing);
    const font = stays ? before.font : (fonts.find((each) => each.draws(cluster)) ?? first);
    const sameScript = script === undefined || before?.script === undefined || script === before.script;
    if (before?.font === font && sameScript)
      parts[parts.length - 1] = { text: before.text + cluster, font, script: before.script ?? script };
    else parts.push({ text: cluster, font, script });
  }
  return parts;
}
