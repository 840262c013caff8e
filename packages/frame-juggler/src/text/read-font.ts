import type * as fontkit from 'fontkit';
import { fail, show } from '../error.ts';
import { close, cubic, isFinitePath, line, move, quad } from '../geometry/path.ts';
import { Font, type SetLine } from './font.ts';
import { glyphShape, lineWinding, type GlyphShape, type PlacedGlyph } from './winding.ts';

/** What is asked of the font package. */
export type OpenFont = typeof fontkit.create;

/** Reads a font file: TTF, OTF, WOFF or WOFF2. Throws an Error that says what is wrong with it. */
export function readFont(name: string, bytes: Uint8Array, openFont: OpenFont): Font {
  const { font, em, capHeight } = open(bytes, openFont);
  const shapes: Shapes = new Map();
  return new Font(name, {
    capHeight,
    has: (character) => font.hasGlyphForCodePoint(character.codePointAt(0)!),
    set(text) {
      try {
        return setLine(font, em, shapes, text);
      } catch (cause) {
        return fail({ call: 'text', problem: `the font ${name} is damaged: it cannot set ${show(text)}`, cause });
      }
    },
  });
}

function open(bytes: Uint8Array, openFont: OpenFont): { font: fontkit.Font; em: number; capHeight: number } {
  try {
    const opened = openFont(bytes as Buffer);
    const font = 'fonts' in opened ? opened.fonts[0] : opened;
    const em = font.unitsPerEm;
    // Measured, as what files say of it is often a little off.
    const capHeight = (font.layout('H').bbox.maxY || font.capHeight) / em;
    if (!(em > 0) || !Number.isFinite(capHeight)) throw new Error('its measures are no numbers');
    return { font, em, capHeight };
  } catch (cause) {
    throw new Error('it is not a font that can be read: expected TTF, OTF, WOFF or WOFF2', { cause });
  }
}

/** What is known of a font's glyphs, by their numbers. */
type Shapes = Map<number, GlyphShape>;

function setLine(font: fontkit.Font, em: number, shapes: Shapes, text: string): Omit<SetLine, 'lacking'> {
  const { glyphs, positions } = font.layout(text);
  const path: number[] = [];
  const placed: PlacedGlyph[] = [];
  let [pen, top, bottom] = [0, 0, 0];
  for (const [index, glyph] of glyphs.entries()) {
    const { xAdvance, xOffset, yOffset } = positions[index];
    const [x, y] = [(pen + xOffset) / em, -yOffset / em];
    addGlyph(path, glyph, x, y, 1 / em);
    const shape = shapeOf(glyph, em, shapes);
    placed.push({ shape, x, y });
    top = Math.min(top, y + (shape.box?.top ?? 0));
    bottom = Math.max(bottom, y + (shape.box?.bottom ?? 0));
    pen += xAdvance;
  }
  if (!Number.isFinite(pen) || !isFinitePath(path)) throw new Error('a glyph is beyond all numbers');
  return { advance: pen / em, path, winding: lineWinding(placed), top, bottom };
}

function shapeOf(glyph: fontkit.Glyph, em: number, shapes: Shapes): GlyphShape {
  let shape = shapes.get(glyph.id);
  if (shape === undefined) {
    const path: number[] = [];
    addGlyph(path, glyph, 0, 0, 1 / em);
    shapes.set(glyph.id, (shape = glyphShape(path)));
  }
  return shape;
}

const commands = { moveTo: move, lineTo: line, quadraticCurveTo: quad, bezierCurveTo: cubic, closePath: close };

function addGlyph(path: number[], glyph: fontkit.Glyph, x: number, y: number, scale: number): void {
  for (const { command, args } of glyph.path.commands) {
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
