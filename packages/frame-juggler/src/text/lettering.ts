import { SketchError } from '../error.ts';
import { useBrotli } from './brotli.ts';
import { directionsBy, type BidiFactory } from './directions.ts';
import type { Font, OwnWeight } from './font.ts';
import type { layOut, Means } from './layout.ts';
import { lineBreaksBy } from './line-breaks.ts';
import { allNeeds, weightOf, type OwnFont, type TextNeed } from './needs.ts';
import type { OpenFont } from './read-font.ts';

/*
 * The library's own fonts and what sets text in them are large, so a page loads them only where letters are drawn. What
 * a canvas is asked to write is noted, and set after `paint`, by when they are there. Whoever wants to know at once how
 * large a text is must have them before: a sketch that imports `measureText` or its kin starts with them. A host that
 * can read files at once, as Node can, reads them when they are first asked for instead.
 */

/** What sets text and reads fonts, of a host that has them at once. */
export interface LetteringHost {
  readonly layOut: typeof layOut;
  readonly readFont: (name: string, bytes: Uint8Array) => Font;
  readonly ownFont: (weight: OwnWeight) => Uint8Array;
  readonly breaks: () => NonNullable<Means['breaks']>;
  readonly directions: () => NonNullable<Means['directions']>;
}

interface Loaded {
  /** The fonts as far as they are there: those with Latin letters only are exchanged for whole ones. */
  readonly fonts: Map<OwnWeight, Font>;
  readonly whole: Set<OwnWeight>;
  breaks?: Means['breaks'];
  directions?: Means['directions'];
}

const loaded: Loaded = { fonts: new Map(), whole: new Set() };
let setter: typeof layOut | undefined;
let host: LetteringHost | undefined;
let atStart = false;

const nameOf = (weight: OwnWeight): string => `Source Sans 3 ${weight}`;

/** Has the fonts read at the moment they are asked for. */
export function readFontsAtOnce(given: LetteringHost): void {
  host = given;
  setter = given.layOut;
}

/** Tells that text may be set before a paint is over, so that a run begins by loading all that sets it. */
export function wantFontsAtStart(): void {
  atStart = true;
}

/** Loads what a run is to have before it starts. */
export async function loadLetteringAtStart(): Promise<void> {
  if (atStart && host === undefined) await loadLettering(allNeeds);
}

/** What the package of each of the library's own fonts is. */
const ownFonts: { readonly [Name in OwnFont]: () => Promise<{ readonly packed: string }> } = {
  regular: () => import('./generated/regular.ts'),
  bold: () => import('./generated/bold.ts'),
  'regular-latin': () => import('./generated/regular-latin.ts'),
  'bold-latin': () => import('./generated/bold-latin.ts'),
};

function isThere(need: TextNeed): boolean {
  if (need === 'breaks' || need === 'directions') return loaded[need] !== undefined;
  return (need.endsWith('-latin') ? loaded.fonts : loaded.whole).has(weightOf(need));
}

/** Puts a font where texts find it, unless the whole one is there. */
function put(need: OwnFont, font: Font): void {
  const weight = weightOf(need);
  if (loaded.whole.has(weight)) return;
  if (need === weight) loaded.whole.add(weight);
  loaded.fonts.set(weight, font);
}

/** What sets text, and what it sets it with. @throws SketchError where that is not loaded */
export function lettering(needs: Iterable<TextNeed>): { layOut: typeof layOut; means: Means } {
  const lacking = [...needs].filter((need) => !isThere(need));
  if (host !== undefined)
    for (const need of lacking)
      if (need === 'breaks') loaded.breaks = host.breaks();
      else if (need === 'directions') loaded.directions = host.directions();
      else put(weightOf(need), host.readFont(nameOf(weightOf(need)), host.ownFont(weightOf(need))));
  else if (setter === undefined || lacking.length > 0)
    throw new SketchError({ problem: 'text was set before its font was loaded', expected: 'await loadFonts() before' });
  return { layOut: setter!, means: loaded };
}

/**
 * Loads the library's own fonts, once, and what it takes to set text of any script. A sketch's run does this by itself; you only need it to measure text outside a sketch.
 */
export async function loadFonts(weights: Iterable<OwnWeight> = ['regular', 'bold']): Promise<void> {
  await loadLettering([...weights, 'breaks', 'directions']);
}

/** Loads what texts need, where it is not there yet. */
export async function loadLettering(needs: Iterable<TextNeed>): Promise<void> {
  if (host !== undefined) return void lettering(needs);
  setter ??= (await import('./layout.ts')).layOut;
  await Promise.all([...needs].filter((need) => !isThere(need)).map(load));
}

async function load(need: TextNeed): Promise<void> {
  if (need === 'breaks') {
    const { LineBreaker } = await import('./line-break-package.ts');
    loaded.breaks ??= lineBreaksBy(LineBreaker);
  } else if (need === 'directions') {
    const { bidiFactory } = await import('./bidi-package.ts');
    loaded.directions ??= directionsBy(bidiFactory as unknown as BidiFactory);
  } else {
    const [{ unpack }, readFont, { packed }] = await Promise.all([
      import('./read-font.ts'),
      fontReader(),
      ownFonts[need](),
    ]);
    put(need, readFont(nameOf(weightOf(need)), await unpack(packed)));
  }
}

/** How a file in WOFF2 begins. */
const woff2 = [...'wOF2'].map((letter) => letter.charCodeAt(0));

/** What reads a font's file; it is loaded where it is not there, and so is what a file in WOFF2 needs. */
export async function fontReader(bytes?: Uint8Array): Promise<LetteringHost['readFont']> {
  if (host !== undefined) return host.readFont;
  if (bytes !== undefined && woff2.every((code, i) => bytes[i] === code))
    useBrotli((await import('./brotli-package.ts')).decompress);
  const [{ readFont }, { openFont }] = await Promise.all([import('./read-font.ts'), import('./font-package.ts')]);
  return (name, bytes) => readFont(name, bytes, openFont as OpenFont);
}
