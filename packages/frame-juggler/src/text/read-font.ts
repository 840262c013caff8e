import type * as fontkit from 'fontkit';
import { fail, show } from '../error.ts';
import { close, cubic, isFinitePath, line, move, putPlaced, quad, type Path } from '../geometry/path.ts';
import { unitedPath } from '../geometry/united.ts';
import { drawsNothing, withoutUndrawn } from './characters.ts';
import { Font, type SetLine } from './font.ts';
import { glyphShape, lineWinding, type GlyphShape, type PlacedGlyph } from './winding.ts';

/** The part of the font package that is used. */
export type OpenFont = typeof fontkit.create;

/** Reads a font file: TTF, OTF, WOFF or WOFF2. Throws an Error that says what is wrong with it. */
export function readFont(name: string, bytes: Uint8Array, openFont: OpenFont): Font {
  const opened = open(bytes, openFont);
  const { font, capHeight } = opened;
  return new Font(name, {
    capHeight,
    has: (character) => {
      const code = character.codePointAt(0)!;
      // Color glyph formats newer than the package are drawn by their plain outlines, if they have any.
      return font.hasGlyphForCodePoint(code) && (opened.layers === undefined || hasOutline(font.glyphForCodePoint(code), opened)); // prettier-ignore
    },
    set(text, rightToLeft, letterSpacing) {
      try {
        return setLine(opened, composed(font, withoutUndrawn(text)), rightToLeft, letterSpacing);
      } catch (cause) {
        return fail({ call: 'text', problem: `the font ${name} is damaged: it cannot set ${show(text)}`, cause });
      }
    },
  });
}

/** Thrown for fonts whose glyphs are pictures only, such as those of color emoji. */
class PicturesOnly extends Error {
  override message = 'its glyphs are pictures, which text is not drawn with: expected a font of outlines';
}

/** A font as the package reads it, and what is known of its glyphs, by their numbers. */
interface OpenedFont {
  readonly font: fontkit.Font;
  readonly em: number;
  /** The height of capitals, in ems. */
  readonly capHeight: number;
  /** The glyphs that a glyph of several colors is made of; undefined where the font has none such. */
  readonly layers: ReadonlyMap<number, readonly number[]> | undefined;
  readonly shapes: Map<number, GlyphShape>;
  /** Outlines without the lines at which their parts overlap, by glyph. */
  readonly united: Map<number, Path>;
}

/** What the package's types leave out: the font's directory, and its table of colored glyphs. */
interface Tables {
  readonly directory: { readonly tables: Record<string, unknown> };
  readonly COLR: {
    readonly baseGlyphRecord: readonly { gid: number; firstLayerIndex: number; numLayers: number }[] | null;
    readonly layerRecords: readonly { gid: number }[] | null;
  };
}

function open(bytes: Uint8Array, openFont: OpenFont): OpenedFont {
  try {
    const opened = openFont(bytes as Buffer);
    const font = 'fonts' in opened ? opened.fonts[0] : opened;
    const { tables } = (font as unknown as Tables).directory;
    if (!['glyf', 'CFF ', 'CFF2'].some((outlines) => outlines in tables)) throw new PicturesOnly();
    const layers = takeLayers(font as unknown as Tables);
    const em = font.unitsPerEm;
    // Measured, as what files say of it is often a little off.
    const { maxY } = font.layout('H').bbox;
    // A part of a font may be without that letter.
    const capHeight = (Number.isFinite(maxY) && maxY > 0 ? maxY : font.capHeight) / em;
    if (!(em > 0) || !Number.isFinite(capHeight)) throw new Error('its measures are no numbers');
    return { font, em, capHeight, layers, shapes: new Map(), united: new Map() };
  } catch (cause) {
    if (cause instanceof PicturesOnly) throw cause;
    throw new Error('it is not a font that can be read: expected TTF, OTF, WOFF or WOFF2', { cause });
  }
}

/** The layers of a font's colored glyphs. The package is kept from them: it takes every glyph of such a font for one. */
function takeLayers(font: Tables): OpenedFont['layers'] {
  if (!('COLR' in font.directory.tables)) return undefined;
  const { baseGlyphRecord, layerRecords } = font.COLR;
  delete font.directory.tables.COLR;
  const layers = (layerRecords ?? []).map(({ gid }) => gid);
  return new Map(
    (baseGlyphRecord ?? []).map((base) => [
      base.gid,
      layers.slice(base.firstLayerIndex, base.firstLayerIndex + base.numLayers),
    ]),
  );
}

/** Letters with their marks as one character, where the font has it. */
function composed(font: fontkit.Font, text: string): string {
  if (!/\p{M}/u.test(text)) return text;
  const whole = text.normalize('NFC');
  return [...whole].every((character) => drawsNothing(character) || font.hasGlyphForCodePoint(character.codePointAt(0)!)) ? whole : text; // prettier-ignore
}

/** Letters that are spaced apart are not drawn as one (CSS Text 3, section 8.2). */
const withoutLigatures = { liga: false, clig: false };

function setLine(
  opened: OpenedFont,
  text: string,
  rightToLeft: boolean,
  letterSpacing: number,
): Omit<SetLine, 'lacking'> {
  const { font, em } = opened;
  const features = letterSpacing === 0 ? undefined : withoutLigatures;
  const { glyphs, positions } = font.layout(text, features, undefined, undefined, rightToLeft ? 'rtl' : 'ltr');
  const path: number[] = [];
  const placed: PlacedGlyph[] = [];
  let united: Path | undefined;
  let [pen, top, bottom] = [0, 0, 0];
  for (const [index, glyph] of glyphs.entries()) {
    const { xAdvance, xOffset, yOffset } = positions[index];
    // A mark, which has no width, stays with its letter: the glyph before it, or after it in text from right to left.
    const spacing = xAdvance > 0 ? letterSpacing * em : 0;
    if (!rightToLeft && index > 0) pen += spacing;
    const [x, y] = [(pen + xOffset) / em, -yOffset / em];
    addGlyph(path, glyph, opened, x, y);
    const shape = shapeOf(glyph, opened);
    placed.push({ shape, x, y });
    top = Math.min(top, y + (shape.box?.top ?? 0));
    bottom = Math.max(bottom, y + (shape.box?.bottom ?? 0));
    pen += xAdvance;
    if (rightToLeft && index < glyphs.length - 1) pen += spacing;
  }
  if (!Number.isFinite(pen) || !isFinitePath(path)) throw new Error('a glyph has coordinates that are not finite');
  return {
    advance: pen / em,
    path,
    united: () => (united ??= placed.flatMap(({ x, y }, i) => unitedGlyph(glyphs[i], opened, x, y))),
    winding: lineWinding(placed),
    top,
    bottom,
  };
}

function shapeOf(glyph: fontkit.Glyph, opened: OpenedFont): GlyphShape {
  let shape = opened.shapes.get(glyph.id);
  if (shape === undefined) {
    const path: number[] = [];
    addGlyph(path, glyph, opened, 0, 0);
    opened.shapes.set(glyph.id, (shape = glyphShape(path)));
  }
  return shape;
}

/** A glyph's outline at a place, the glyph's parts made one. */
function unitedGlyph(glyph: fontkit.Glyph, opened: OpenedFont, x: number, y: number): number[] {
  let united = opened.united.get(glyph.id);
  if (united === undefined) {
    const own: number[] = [];
    addGlyph(own, glyph, opened, 0, 0);
    united = shapeOf(glyph, opened).winding === 0 ? unitedPath(own) : own;
    opened.united.set(glyph.id, united);
  }
  const path: number[] = [];
  putPlaced(path, path.length, united, x, y, 1, 1);
  return path;
}

const hasOutline = (glyph: fontkit.Glyph, opened: OpenedFont): boolean => shapeOf(glyph, opened).box !== undefined;

const commands = { moveTo: move, lineTo: line, quadraticCurveTo: quad, bezierCurveTo: cubic, closePath: close };

/** Adds a glyph's outline, in ems; one of several colors is drawn in one, the text's: the outlines of all its layers. */
function addGlyph(path: number[], glyph: fontkit.Glyph, { font, em, layers }: OpenedFont, x: number, y: number): void {
  const scale = 1 / em;
  for (const layer of layers?.get(glyph.id)?.map((id) => font.getGlyph(id)) ?? [glyph])
    for (const { command, args } of layer.path.commands) {
      path.push(commands[command]);
      for (let i = 0; i < args.length; i += 2) path.push(x + args[i] * scale, y - args[i + 1] * scale);
    }
}

/** Bytes that were deflated and written as base64. */
export async function unpack(packed: string): Promise<Uint8Array> {
  const bytes = Uint8Array.from(atob(packed), (character) => character.charCodeAt(0));
  const stream = new Blob([bytes]).stream().pipeThrough(new DecompressionStream('deflate-raw'));
  return new Uint8Array(await new Response(stream).arrayBuffer());
}
