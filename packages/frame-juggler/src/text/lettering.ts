import { SketchError } from '../error.ts';
import type { Font, OwnWeight } from './font.ts';
import type { layOut } from './layout.ts';

/*
 * The library's own fonts and what sets text in them are large, so a page loads them only where letters are drawn. What
 * a canvas is asked to write is noted, and set after `paint`, by when they are there. Whoever wants to know at once how
 * large a text is must have them before: a sketch that imports `measureText` or its kin starts with them.
 */

export const allWeights: readonly OwnWeight[] = ['regular', 'bold'];

const fonts = new Map<OwnWeight, Font>();
let setter: typeof layOut | undefined;
let atStart = false;

/** Tells that text may be set before a paint is over, so that a run begins by loading the fonts. */
export function wantFontsAtStart(): void {
  atStart = true;
}

/** The fonts that a run is to load before it starts. */
export function fontsWantedAtStart(): readonly OwnWeight[] {
  return atStart ? allWeights : [];
}

/** What sets text, and the library's own fonts. @throws SketchError where they are not loaded */
export function lettering(weights: Iterable<OwnWeight>): {
  layOut: typeof layOut;
  fonts: ReadonlyMap<OwnWeight, Font>;
} {
  if (setter === undefined || ![...weights].every((weight) => fonts.has(weight)))
    throw new SketchError({ problem: 'text was set before its font was loaded', expected: 'await loadFonts() before' });
  return { layOut: setter, fonts };
}

/**
 * Loads the library's own fonts, once. A sketch's run does this by itself; it is only needed to measure text outside a
 * sketch.
 */
export async function loadFonts(weights: Iterable<OwnWeight> = allWeights): Promise<void> {
  setter ??= (await import('./layout.ts')).layOut;
  await Promise.all(
    [...weights].map(async (weight) => {
      if (fonts.has(weight)) return;
      const [{ readFont, unpack }, { packed }] = await Promise.all([
        import('./read-font.ts'),
        weight === 'bold' ? import('./generated/bold.ts') : import('./generated/regular.ts'),
      ]);
      const font = readFont(`Source Sans 3 ${weight}`, await unpack(packed));
      if (!fonts.has(weight)) fonts.set(weight, font);
    }),
  );
}
