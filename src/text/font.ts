import type { Path } from '../geometry/path.ts';
import { PartNeeded } from '../needed.ts';

/** A line of text set in a font, in ems from the start of its baseline; y grows downwards. */
export interface SetLine {
  readonly advance: number;
  readonly path: Path;
}

/** What is asked of a font's file, once it has been read. */
export interface Typesetter {
  /** The height of capitals over the baseline, in ems. */
  readonly capHeight: number;
  /** Sets one line, with its kerning and its ligatures. */
  set(text: string): SetLine;
}

const mostLines = 2000;

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
      if (this.lines.size === mostLines) this.lines.clear();
      this.lines.set(text, (line = this.typesetter.set(text)));
    }
    return line;
  }
}

const loaded = new Map<'regular' | 'bold', Font>();
let letters: typeof import('./lettering.ts') | undefined;

/** The library's own font. @throws PartNeeded where it is not loaded yet */
export function defaultFont(weight: 'regular' | 'bold'): Font {
  return loaded.get(weight) ?? needFonts([weight]);
}

/** What sets text. @throws PartNeeded where it is not loaded yet */
export function lettering(): typeof import('./lettering.ts') {
  return letters ?? needFonts([]);
}

function needFonts(weights: readonly ('regular' | 'bold')[]): never {
  const load = (): Promise<void> => loadFonts(weights);
  throw new PartNeeded('text was set before its font was loaded', 'await loadFonts() before', load);
}

/**
 * Loads the library's own font, once. A sketch's run does this by itself; it is only needed to measure text outside a
 * sketch.
 */
export async function loadFonts(weights: readonly ('regular' | 'bold')[] = ['regular', 'bold']): Promise<void> {
  letters ??= await import('./lettering.ts');
  await Promise.all(
    weights.map(async (weight) => {
      if (loaded.has(weight)) return;
      const [{ readFont, unpack }, { packed }] = await Promise.all([
        import('./read-font.ts'),
        weight === 'bold' ? import('./generated/bold.ts') : import('./generated/regular.ts'),
      ]);
      const font = readFont(`Source Sans 3 ${weight}`, await unpack(packed));
      if (!loaded.has(weight)) loaded.set(weight, font);
    }),
  );
}
