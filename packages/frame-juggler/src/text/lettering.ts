import { SketchError } from '../error.ts';
import type { Font, OwnWeight } from './font.ts';
import type { layOut } from './layout.ts';
import type { OpenFont } from './read-font.ts';

/*
 * The library's own fonts and what sets text in them are large, so a page loads them only where letters are drawn. What
 * a canvas is asked to write is noted, and set after `paint`, by when they are there. Whoever wants to know at once how
 * large a text is must have them before: a sketch that imports `measureText` or its kin starts with them. A host that
 * can read files at once, as Node can, reads them when they are first asked for instead.
 */

export const allWeights: readonly OwnWeight[] = ['regular', 'bold'];

/** What sets text and reads fonts, of a host that has them at once. */
export interface LetteringHost {
  readonly layOut: typeof layOut;
  readonly readFont: (name: string, bytes: Uint8Array) => Font;
  readonly ownFont: (weight: OwnWeight) => Uint8Array;
}

const fonts = new Map<OwnWeight, Font>();
let setter: typeof layOut | undefined;
let host: LetteringHost | undefined;
let atStart = false;

const nameOf = (weight: OwnWeight): string => `Source Sans 3 ${weight}`;

/** Has the fonts read at the moment they are asked for. */
export function readFontsAtOnce(given: LetteringHost): void {
  host = given;
  setter = given.layOut;
}

/** Tells that text may be set before a paint is over, so that a run begins by loading the fonts. */
export function wantFontsAtStart(): void {
  atStart = true;
}

/** The fonts that a run is to load before it starts. */
export function fontsWantedAtStart(): readonly OwnWeight[] {
  return atStart && host === undefined ? allWeights : [];
}

/** What sets text, and the library's own fonts. @throws SketchError where they are not loaded */
export function lettering(weights: Iterable<OwnWeight>): {
  layOut: typeof layOut;
  fonts: ReadonlyMap<OwnWeight, Font>;
} {
  const lacking = [...weights].filter((weight) => !fonts.has(weight));
  if (host !== undefined)
    for (const weight of lacking) fonts.set(weight, host.readFont(nameOf(weight), host.ownFont(weight)));
  else if (setter === undefined || lacking.length > 0)
    throw new SketchError({ problem: 'text was set before its font was loaded', expected: 'await loadFonts() before' });
  return { layOut: setter!, fonts };
}

/**
 * Loads the library's own fonts, once. A sketch's run does this by itself; it is only needed to measure text outside a
 * sketch.
 */
export async function loadFonts(weights: Iterable<OwnWeight> = allWeights): Promise<void> {
  if (host !== undefined) return void lettering(weights);
  setter ??= (await import('./layout.ts')).layOut;
  await Promise.all(
    [...weights].map(async (weight) => {
      if (fonts.has(weight)) return;
      const [{ unpack }, readFont, { packed }] = await Promise.all([
        import('./read-font.ts'),
        fontReader(),
        weight === 'bold' ? import('./generated/bold.ts') : import('./generated/regular.ts'),
      ]);
      const font = readFont(nameOf(weight), await unpack(packed));
      if (!fonts.has(weight)) fonts.set(weight, font);
    }),
  );
}

/** What reads a font's file; it is loaded where it is not there. */
export async function fontReader(): Promise<LetteringHost['readFont']> {
  if (host !== undefined) return host.readFont;
  const [{ readFont }, { openFont }] = await Promise.all([import('./read-font.ts'), import('./font-package.ts')]);
  return (name, bytes) => readFont(name, bytes, openFont as OpenFont);
}
