import * as fontkit from 'fontkit';
import { close, cubic, line, move, quad } from '../geometry/path.ts';
import { Font, type SetLine } from './font.ts';

/*
 * The font package, and all that is asked of it. This file is only loaded once text is drawn; the build packs it
 * together with the package.
 */

/** Reads a font file: TTF, OTF, WOFF or WOFF2. Throws an Error that says what is wrong with it. */
export function readFont(name: string, bytes: Uint8Array): Font {
  const font = open(bytes);
  const em = font.unitsPerEm;
  return new Font(name, {
    // Measured, as what files say of it is often a little off.
    capHeight: (font.layout('H').bbox.maxY || font.capHeight) / em,
    set(text): SetLine {
      const { glyphs, positions } = font.layout(text);
      const path: number[] = [];
      let pen = 0;
      for (const [index, glyph] of glyphs.entries()) {
        const { xAdvance, xOffset, yOffset } = positions[index];
        addGlyph(path, glyph, (pen + xOffset) / em, -yOffset / em, 1 / em);
        pen += xAdvance;
      }
      return { advance: pen / em, path };
    },
  });
}

function open(bytes: Uint8Array): fontkit.Font {
  let font: fontkit.Font | fontkit.FontCollection;
  try {
    font = fontkit.create(bytes as Buffer);
  } catch (cause) {
    throw new Error('it is not a font that can be read: expected TTF, OTF, WOFF or WOFF2', { cause });
  }
  return 'fonts' in font ? font.fonts[0] : font;
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
