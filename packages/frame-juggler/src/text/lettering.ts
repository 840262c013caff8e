import { SketchError } from '../error.ts';
import { useBrotli } from './brotli.ts';
import { directionsBy, type BidiFactory } from './directions.ts';
import type { Font, OwnWeight } from './font.ts';
import type { layOut, Means } from './layout.ts';
import { lineBreaksBy } from './line-breaks.ts';
import { allNeeds, weightOf, type OwnFont, type TextNeed } from './needs.ts';
import type { OpenFont } from './read-font.ts';
import { listOf, oneOf } from '../schema/kind.ts';

/*
 * The library's own fonts, and the code that lays out text, are large, so a page loads them only if text is drawn. A
 * canvas records texts and lays them out after `paint`, when the fonts have been loaded. `measureText` and its kin need
 * them at once: a sketch that imports one of these loads the fonts before it starts. A host that can read files
 * synchronously, as Node can, reads them when they are first needed.
 */

const ownWeights = /* @__PURE__ */ listOf(oneOf('regular', 'bold'), 'weights');

/** Layout and fonts of a host that reads files synchronously. */
export interface LetteringHost {
  readonly layOut: typeof layOut;
  readonly readFont: (name: string, bytes: Uint8Array) => Font;
  readonly ownFont: (weight: OwnWeight) => Uint8Array;
  readonly breaks: () => NonNullable<Means['breaks']>;
  readonly directions: () => NonNullable<Means['directions']>;
}

interface Loaded {
  /** The fonts loaded so far: one with Latin letters only is replaced by the whole one when that is needed. */
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

/** Lets a host read fonts synchronously, when they are first needed. */
export function readFontsAtOnce(given: LetteringHost): void {
  host = given;
  setter = given.layOut;
}

/** Says that text may be measured during `paint`, so that a run loads all fonts before it starts. */
export function wantFontsAtStart(): void {
  atStart = true;
}

/** Loads the fonts that a run needs before it starts. */
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

/** Keeps a font for texts, unless the whole one is there already. */
function put(need: OwnFont, font: Font): void {
  const weight = weightOf(need);
  if (loaded.whole.has(weight)) return;
  if (need === weight) loaded.whole.add(weight);
  loaded.fonts.set(weight, font);
}

/** The layout function and what it needs. @throws SketchError where that is not loaded */
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
export async function loadFonts(weights: readonly OwnWeight[] = ['regular', 'bold']): Promise<void> {
  await loadLettering([...ownWeights.read('loadFonts', 'weights', weights), 'breaks', 'directions']);
}

/** Loads what texts need, unless it is loaded already. */
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

/** The first bytes of a WOFF2 file. */
const woff2 = [...'wOF2'].map((letter) => letter.charCodeAt(0));

/** The function that reads font files; loads it first where needed, with Brotli's decoder for a WOFF2 file. */
export async function fontReader(bytes?: Uint8Array): Promise<LetteringHost['readFont']> {
  if (host !== undefined) return host.readFont;
  if (bytes !== undefined && woff2.every((code, i) => bytes[i] === code))
    useBrotli((await import('./brotli-package.ts')).decompress);
  const [{ readFont }, { openFont }] = await Promise.all([import('./read-font.ts'), import('./font-package.ts')]);
  return (name, bytes) => readFont(name, bytes, openFont as OpenFont);
}
