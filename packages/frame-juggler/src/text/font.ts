import type { Path } from '../geometry/path.ts';
import { drawsNothing } from './characters.ts';
import type { Winding } from './winding.ts';

/** The weights of the library's own font. */
export type OwnWeight = 'regular' | 'bold';

/** A line of text as it is set, in ems from the start of its baseline; y grows downwards. */
export interface SetLine {
  readonly advance: number;
  readonly path: Path;
  /** How its letters wind; 0 where they may lie over one another. */
  readonly winding: Winding;
  /** How far it reaches up and down. */
  readonly top: number;
  readonly bottom: number;
  /** The characters that no font of it has glyphs for, each once. */
  readonly lacking: readonly string[];
}

/** What is asked of a font's file, once it has been read. */
export interface Typesetter {
  /** The height of capitals over the baseline, in ems. */
  readonly capHeight: number;
  /** Whether it has a glyph for a character. */
  has(character: string): boolean;
  /** Sets one line, or a part of one that runs one way, with its kerning and its ligatures. */
  set(text: string, rightToLeft: boolean): Omit<SetLine, 'lacking'>;
}

const maxLines = 2000;

/** A font to draw text in. Lines that have been set are cached, because sketches draw the same ones in every frame. */
export class Font {
  private readonly lines = new Map<string, SetLine>();

  constructor(
    readonly name: string,
    private readonly typesetter: Typesetter,
  ) {}

  get capHeight(): number {
    return this.typesetter.capHeight;
  }

  /** Whether it has glyphs for all that a text draws. */
  draws(text: string): boolean {
    return this.lacking(text).length === 0;
  }

  set(text: string, rightToLeft = false): SetLine {
    const key = rightToLeft ? `\u202e${text}` : text;
    let line = this.lines.get(key);
    if (line === undefined) {
      if (this.lines.size === maxLines) this.lines.clear();
      line = { ...this.typesetter.set(text, rightToLeft), lacking: this.lacking(text) };
      this.lines.set(key, line);
    }
    return line;
  }

  private lacking(text: string): string[] {
    return [...new Set(text)].filter((character) => !drawsNothing(character) && !this.typesetter.has(character));
  }
}
