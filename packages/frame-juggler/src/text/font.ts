import type { Path } from '../geometry/path.ts';
import type { Winding } from './winding.ts';

/** The weights of the library's own font. */
export type OwnWeight = 'regular' | 'bold';

/** A line of text set in a font, in ems from the start of its baseline; y grows downwards. */
export interface SetLine {
  readonly advance: number;
  readonly path: Path;
  /** How its letters wind; 0 where they may lie over one another. */
  readonly winding: Winding;
  /** How far it reaches up and down. */
  readonly top: number;
  readonly bottom: number;
  /** The characters that the font has no glyphs for, each once. */
  readonly lacking: readonly string[];
}

/** What is asked of a font's file, once it has been read. */
export interface Typesetter {
  /** The height of capitals over the baseline, in ems. */
  readonly capHeight: number;
  /** Whether it has a glyph for a character. */
  has(character: string): boolean;
  /** Sets one line, with its kerning and its ligatures. */
  set(text: string): Omit<SetLine, 'lacking'>;
}

const maxLines = 2000;

/** A font that text can be drawn in. Lines once set are kept, as sketches draw the same ones every frame. */
export class Font {
  private readonly lines = new Map<string, SetLine>();

  constructor(
    readonly name: string,
    private readonly typesetter: Typesetter,
  ) {}

  get capHeight(): number {
    return this.typesetter.capHeight;
  }

  set(text: string): SetLine {
    let line = this.lines.get(text);
    if (line === undefined) {
      if (this.lines.size === maxLines) this.lines.clear();
      this.lines.set(text, (line = { ...this.typesetter.set(text), lacking: this.lacking(text) }));
    }
    return line;
  }

  private lacking(text: string): string[] {
    return [...new Set(text)].filter((character) => !/[\s\p{Cf}]/u.test(character) && !this.typesetter.has(character));
  }
}
