import type { Path } from '../geometry/path.ts';
import { drawsNothing } from './characters.ts';
import type { Winding } from './winding.ts';

/** The weights of the library's own font. */
export type OwnWeight = 'regular' | 'bold';

/** A line of text after layout, in ems from the start of its baseline; y grows downwards. */
export interface SetLine {
  readonly advance: number;
  readonly path: Path;
  /** The same with the parts of each letter made one, where they overlap; made when it is first asked for. */
  united(): Path;
  /** The winding direction of its letters; 0 where they may overlap. */
  readonly winding: Winding;
  /** How far its outlines extend above and below the baseline. */
  readonly top: number;
  readonly bottom: number;
  /** The characters for which none of its fonts has a glyph, each once. */
  readonly lacking: readonly string[];
}

/** What a font provides once its file has been read. */
export interface Typesetter {
  /** The height of capitals above the baseline, in ems. */
  readonly capHeight: number;
  /** Whether it has a glyph for a character. */
  has(character: string): boolean;
  /** Lays out one line, or one run of it, with kerning and, without a letter spacing, ligatures. */
  set(text: string, rightToLeft: boolean, letterSpacing: number): Omit<SetLine, 'lacking'>;
}

const maxLines = 2000;

/** A font to draw text in. Lines that have been set are cached, because sketches draw the same ones in every frame. */
export class Font {
  private readonly lines = new Map<string, SetLine>();

  constructor(
    /** What it is called in messages. */
    readonly name: string,
    private readonly typesetter: Typesetter,
  ) {}

  /** How high capitals are, in ems. */
  get capHeight(): number {
    return this.typesetter.capHeight;
  }

  /** Whether it has a glyph for every visible character of a text. */
  draws(text: string): boolean {
    return this.lacking(text).length === 0;
  }

  /** Sets a line of one direction: its glyphs' outlines and how far they reach, in ems. */
  set(text: string, rightToLeft = false, letterSpacing = 0): SetLine {
    const directed = rightToLeft ? `\u202e${text}` : text;
    const key = letterSpacing === 0 ? directed : `${letterSpacing}\n${directed}`;
    let line = this.lines.get(key);
    if (line === undefined) {
      if (this.lines.size === maxLines) this.lines.clear();
      line = { ...this.typesetter.set(text, rightToLeft, letterSpacing), lacking: this.lacking(text) };
      this.lines.set(key, line);
    }
    return line;
  }

  private lacking(text: string): string[] {
    return [...new Set(text)].filter((character) => !drawsNothing(character) && !this.typesetter.has(character));
  }
}
