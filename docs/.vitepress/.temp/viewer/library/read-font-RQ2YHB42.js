import {
  Font,
  drawsNothing,
  withoutUndrawn
} from "./chunk-BF3HK4P4.js";
import {
  close,
  commandLength,
  cubic,
  isFinitePath,
  line,
  move,
  quad
} from "./chunk-64DTOP6Y.js";
import {
  fail,
  show
} from "./chunk-IWQLMP55.js";
import "./chunk-MLKGABMK.js";

// packages/frame-juggler/dist/text/winding.js
var perCurve = 8;
function glyphShape(path) {
  const chords = chordsOf(path);
  if (chords.length === 0)
    return { box: void 0, winding: 0, chords };
  const box = { left: Infinity, top: Infinity, right: -Infinity, bottom: -Infinity };
  for (const { x0, y0 } of chords) {
    box.left = Math.min(box.left, x0);
    box.right = Math.max(box.right, x0);
    box.top = Math.min(box.top, y0);
    box.bottom = Math.max(box.bottom, y0);
  }
  return { box, winding: crossThemselves(chords) ? 0 : windingOf(chords), chords };
}
function lineWinding(glyphs) {
  const drawn = glyphs.filter(({ shape }) => shape.box !== void 0);
  const winding = drawn.length === 0 ? 1 : drawn[0].shape.winding;
  if (winding === 0 || drawn.some(({ shape }) => shape.winding !== winding))
    return 0;
  for (const [index, glyph] of drawn.entries())
    for (let other = 0; other < index; other++)
      if (lieOver(glyph, drawn[other]))
        return 0;
  return winding;
}
function chordsOf(path) {
  const chords = [];
  let [x, y, startX, startY, subpath] = [0, 0, 0, 0, 0];
  const to = (x1, y1) => {
    if (x1 !== x || y1 !== y)
      chords.push({ x0: x, y0: y, x1, y1, subpath });
    [x, y] = [x1, y1];
  };
  for (let i = 0; i < path.length; i += commandLength[path[i]]) {
    const command = path[i];
    if (command === move || command === close)
      to(startX, startY);
    if (command === close)
      continue;
    if (command === move) {
      [startX, startY] = [x, y] = [path[i + 1], path[i + 2]];
      subpath++;
    } else if (command === line)
      to(path[i + 1], path[i + 2]);
    else {
      const [fromX, fromY] = [x, y];
      const end = i + commandLength[command] - 2;
      for (let step = 1; step < perCurve; step++) {
        const t = step / perCurve;
        const along = (from, axis) => command === cubic ? cubicAt(from, path[i + 1 + axis], path[i + 3 + axis], path[end + axis], t) : quadAt(from, path[i + 1 + axis], path[end + axis], t);
        to(along(fromX, 0), along(fromY, 1));
      }
      to(path[end], path[end + 1]);
    }
  }
  to(startX, startY);
  return chords;
}
function quadAt(a, b, c, t) {
  const s = 1 - t;
  return s * s * a + 2 * s * t * b + t * t * c;
}
function cubicAt(a, b, c, d, t) {
  const s = 1 - t;
  return s * s * s * a + 3 * s * s * t * b + 3 * s * t * t * c + t * t * t * d;
}
function crossThemselves(chords) {
  const fromTop = chords.map((chord) => ({ chord, top: Math.min(chord.y0, chord.y1) })).sort((a, b) => a.top - b.top);
  for (const [i, { chord }] of fromTop.entries()) {
    const bottom = Math.max(chord.y0, chord.y1);
    for (let j = i + 1; j < fromTop.length && fromTop[j].top <= bottom; j++) {
      const other = fromTop[j].chord;
      if (chord.subpath === other.subpath && (follows(chord, other) || follows(other, chord)))
        continue;
      if (meet(chord, other, 0, 0))
        return true;
    }
  }
  return false;
}
function follows(one, other) {
  return one.x1 === other.x0 && one.y1 === other.y0;
}
function meet(a, b, dx, dy) {
  const [x0, y0, x1, y1] = [b.x0 + dx, b.y0 + dy, b.x1 + dx, b.y1 + dy];
  if (Math.max(a.x0, a.x1) < Math.min(x0, x1) || Math.max(x0, x1) < Math.min(a.x0, a.x1))
    return false;
  if (Math.max(a.y0, a.y1) < Math.min(y0, y1) || Math.max(y0, y1) < Math.min(a.y0, a.y1))
    return false;
  const side = (px, py) => (a.x1 - a.x0) * (py - a.y0) - (a.y1 - a.y0) * (px - a.x0);
  const otherSide = (px, py) => (x1 - x0) * (py - y0) - (y1 - y0) * (px - x0);
  return side(x0, y0) * side(x1, y1) <= 0 && otherSide(a.x0, a.y0) * otherSide(a.x1, a.y1) <= 0;
}
function windingOf(chords) {
  let [least, most] = [0, 0];
  let looked = 0;
  for (const chord of chords) {
    if (chord.subpath === looked || chord.y0 === chord.y1)
      continue;
    looked = chord.subpath;
    const left = windingAt(chords, (chord.x0 + chord.x1) / 2, (chord.y0 + chord.y1) / 2, chord);
    const right = left + (chord.y1 < chord.y0 ? 1 : -1);
    least = Math.min(least, left, right);
    most = Math.max(most, left, right);
  }
  return least === 0 && most === 1 ? 1 : least === -1 && most === 0 ? -1 : 0;
}
function windingAt(chords, x, y, but) {
  let winding = 0;
  for (const chord of chords) {
    const { x0, y0, x1, y1 } = chord;
    if (chord === but || y0 > y === y1 > y)
      continue;
    if (x0 + (y - y0) / (y1 - y0) * (x1 - x0) < x)
      winding += y1 < y0 ? 1 : -1;
  }
  return winding;
}
function lieOver(a, b) {
  const [dx, dy] = [b.x - a.x, b.y - a.y];
  const [one, other] = [a.shape.box, b.shape.box];
  if (one.left > other.right + dx || other.left + dx > one.right)
    return false;
  if (one.top > other.bottom + dy || other.top + dy > one.bottom)
    return false;
  const [ofA, ofB] = [a.shape.chords, b.shape.chords];
  if (ofA.some((chord) => ofB.some((its) => meet(chord, its, dx, dy))))
    return true;
  return ofB.some(({ x0, y0 }) => windingAt(ofA, x0 + dx, y0 + dy) !== 0) || ofA.some(({ x0, y0 }) => windingAt(ofB, x0 - dx, y0 - dy) !== 0);
}

// packages/frame-juggler/dist/text/read-font.js
function readFont(name, bytes, openFont) {
  const opened = open(bytes, openFont);
  const { font, capHeight } = opened;
  return new Font(name, {
    capHeight,
    has: (character) => {
      const code = character.codePointAt(0);
      return font.hasGlyphForCodePoint(code) && (opened.layers === void 0 || hasOutline(font.glyphForCodePoint(code), opened));
    },
    set(text, rightToLeft) {
      try {
        return setLine(opened, composed(font, withoutUndrawn(text)), rightToLeft);
      } catch (cause) {
        return fail({ call: "text", problem: `the font ${name} is damaged: it cannot set ${show(text)}`, cause });
      }
    }
  });
}
var PicturesOnly = class extends Error {
  message = "its glyphs are pictures, which text is not drawn with: expected a font of outlines";
};
function open(bytes, openFont) {
  try {
    const opened = openFont(bytes);
    const font = "fonts" in opened ? opened.fonts[0] : opened;
    const { tables } = font.directory;
    if (!["glyf", "CFF ", "CFF2"].some((outlines) => outlines in tables))
      throw new PicturesOnly();
    const layers = takeLayers(font);
    const em = font.unitsPerEm;
    const { maxY } = font.layout("H").bbox;
    const capHeight = (Number.isFinite(maxY) && maxY > 0 ? maxY : font.capHeight) / em;
    if (!(em > 0) || !Number.isFinite(capHeight))
      throw new Error("its measures are no numbers");
    return { font, em, capHeight, layers, shapes: /* @__PURE__ */ new Map() };
  } catch (cause) {
    if (cause instanceof PicturesOnly)
      throw cause;
    throw new Error("it is not a font that can be read: expected TTF, OTF, WOFF or WOFF2", { cause });
  }
}
function takeLayers(font) {
  if (!("COLR" in font.directory.tables))
    return void 0;
  const { baseGlyphRecord, layerRecords } = font.COLR;
  delete font.directory.tables.COLR;
  const layers = (layerRecords ?? []).map(({ gid }) => gid);
  return new Map((baseGlyphRecord ?? []).map((base) => [
    base.gid,
    layers.slice(base.firstLayerIndex, base.firstLayerIndex + base.numLayers)
  ]));
}
function composed(font, text) {
  if (!/\p{M}/u.test(text))
    return text;
  const whole = text.normalize("NFC");
  return [...whole].every((character) => drawsNothing(character) || font.hasGlyphForCodePoint(character.codePointAt(0))) ? whole : text;
}
function setLine(opened, text, rightToLeft) {
  const { font, em } = opened;
  const { glyphs, positions } = font.layout(text, void 0, void 0, void 0, rightToLeft ? "rtl" : "ltr");
  const path = [];
  const placed = [];
  let [pen, top, bottom] = [0, 0, 0];
  for (const [index, glyph] of glyphs.entries()) {
    const { xAdvance, xOffset, yOffset } = positions[index];
    const [x, y] = [(pen + xOffset) / em, -yOffset / em];
    addGlyph(path, glyph, opened, x, y);
    const shape = shapeOf(glyph, opened);
    placed.push({ shape, x, y });
    top = Math.min(top, y + (shape.box?.top ?? 0));
    bottom = Math.max(bottom, y + (shape.box?.bottom ?? 0));
    pen += xAdvance;
  }
  if (!Number.isFinite(pen) || !isFinitePath(path))
    throw new Error("a glyph is beyond all numbers");
  return { advance: pen / em, path, winding: lineWinding(placed), top, bottom };
}
function shapeOf(glyph, opened) {
  let shape = opened.shapes.get(glyph.id);
  if (shape === void 0) {
    const path = [];
    addGlyph(path, glyph, opened, 0, 0);
    opened.shapes.set(glyph.id, shape = glyphShape(path));
  }
  return shape;
}
var hasOutline = (glyph, opened) => shapeOf(glyph, opened).box !== void 0;
var commands = { moveTo: move, lineTo: line, quadraticCurveTo: quad, bezierCurveTo: cubic, closePath: close };
function addGlyph(path, glyph, { font, em, layers }, x, y) {
  const scale = 1 / em;
  for (const layer of layers?.get(glyph.id)?.map((id) => font.getGlyph(id)) ?? [glyph])
    for (const { command, args } of layer.path.commands) {
      path.push(commands[command]);
      for (let i = 0; i < args.length; i += 2)
        path.push(x + args[i] * scale, y - args[i + 1] * scale);
    }
}
async function unpack(packed) {
  const bytes = Uint8Array.from(atob(packed), (character) => character.charCodeAt(0));
  const stream = new Blob([bytes]).stream().pipeThrough(new DecompressionStream("deflate-raw"));
  return new Uint8Array(await new Response(stream).arrayBuffer());
}
export {
  readFont,
  unpack
};
