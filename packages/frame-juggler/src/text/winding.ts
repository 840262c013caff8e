import type { Box } from '../geometry/box.ts';
import { close, commandLength, cubic, line, move, type Path } from '../geometry/path.ts';

/*
 * Whether letters overlap. Where none do, a surface that adds up areas need not check for it in every row of every frame.
 * Each glyph is examined once, and pairs of letters in a line only if their boxes meet.
 */

/** The direction in which an outline winds exactly once about its whole inside, 1 for clockwise as y grows downwards; 0 where it does not, or where that is unknown. */
export type Winding = 1 | -1 | 0;

/** A glyph's outline as chords. */
export interface GlyphShape {
  /** Undefined where it has no outline. */
  readonly box: Box | undefined;
  readonly winding: Winding;
  readonly chords: readonly Chord[];
}

/** A straight piece of an outline, and the number of its subpath. */
interface Chord {
  readonly x0: number;
  readonly y0: number;
  readonly x1: number;
  readonly y1: number;
  readonly subpath: number;
}

/** The number of chords that approximate a curve. */
const perCurve = 8;

/** Examines a glyph's outline. */
export function glyphShape(path: Path): GlyphShape {
  const chords = chordsOf(path);
  if (chords.length === 0) return { box: undefined, winding: 0, chords };
  const box = { left: Infinity, top: Infinity, right: -Infinity, bottom: -Infinity };
  for (const { x0, y0 } of chords) {
    box.left = Math.min(box.left, x0);
    box.right = Math.max(box.right, x0);
    box.top = Math.min(box.top, y0);
    box.bottom = Math.max(box.bottom, y0);
  }
  return { box, winding: crossThemselves(chords) ? 0 : windingOf(chords), chords };
}

/** A glyph and its position in its line. */
export interface PlacedGlyph {
  readonly shape: GlyphShape;
  readonly x: number;
  readonly y: number;
}

/** The winding direction of a line of glyphs. */
export function lineWinding(glyphs: readonly PlacedGlyph[]): Winding {
  const drawn = glyphs.filter(({ shape }) => shape.box !== undefined);
  const winding = drawn.length === 0 ? 1 : drawn[0].shape.winding;
  if (winding === 0 || drawn.some(({ shape }) => shape.winding !== winding)) return 0;
  for (const [index, glyph] of drawn.entries())
    for (let other = 0; other < index; other++) if (lieOver(glyph, drawn[other])) return 0;
  return winding;
}

function chordsOf(path: Path): Chord[] {
  const chords: Chord[] = [];
  let [x, y, startX, startY, subpath] = [0, 0, 0, 0, 0];
  const to = (x1: number, y1: number): void => {
    if (x1 !== x || y1 !== y) chords.push({ x0: x, y0: y, x1, y1, subpath });
    [x, y] = [x1, y1];
  };
  for (let i = 0; i < path.length; i += commandLength[path[i]]) {
    const command = path[i];
    if (command === move || command === close) to(startX, startY);
    if (command === close) continue;
    if (command === move) {
      [startX, startY] = [x, y] = [path[i + 1], path[i + 2]];
      subpath++;
    } else if (command === line) to(path[i + 1], path[i + 2]);
    else {
      const [fromX, fromY] = [x, y];
      const end = i + commandLength[command] - 2;
      for (let step = 1; step < perCurve; step++) {
        const t = step / perCurve;
        const along = (from: number, axis: number): number =>
          command === cubic
            ? cubicAt(from, path[i + 1 + axis], path[i + 3 + axis], path[end + axis], t)
            : quadAt(from, path[i + 1 + axis], path[end + axis], t);
        to(along(fromX, 0), along(fromY, 1));
      }
      to(path[end], path[end + 1]);
    }
  }
  to(startX, startY);
  return chords;
}

function quadAt(a: number, b: number, c: number, t: number): number {
  const s = 1 - t;
  return s * s * a + 2 * s * t * b + t * t * c;
}

function cubicAt(a: number, b: number, c: number, d: number, t: number): number {
  const s = 1 - t;
  return s * s * s * a + 3 * s * s * t * b + 3 * s * t * t * c + t * t * t * d;
}

/** Whether any two chords meet that are not neighbors. */
function crossThemselves(chords: readonly Chord[]): boolean {
  const fromTop = chords.map((chord) => ({ chord, top: Math.min(chord.y0, chord.y1) })).sort((a, b) => a.top - b.top);
  for (const [i, { chord }] of fromTop.entries()) {
    const bottom = Math.max(chord.y0, chord.y1);
    for (let j = i + 1; j < fromTop.length && fromTop[j].top <= bottom; j++) {
      const other = fromTop[j].chord;
      if (chord.subpath === other.subpath && (follows(chord, other) || follows(other, chord))) continue;
      if (meet(chord, other, 0, 0)) return true;
    }
  }
  return false;
}

function follows(one: Chord, other: Chord): boolean {
  return one.x1 === other.x0 && one.y1 === other.y0;
}

/** Whether two chords cross or touch, the second moved by (dx, dy). */
function meet(a: Chord, b: Chord, dx: number, dy: number): boolean {
  const [x0, y0, x1, y1] = [b.x0 + dx, b.y0 + dy, b.x1 + dx, b.y1 + dy];
  if (Math.max(a.x0, a.x1) < Math.min(x0, x1) || Math.max(x0, x1) < Math.min(a.x0, a.x1)) return false;
  if (Math.max(a.y0, a.y1) < Math.min(y0, y1) || Math.max(y0, y1) < Math.min(a.y0, a.y1)) return false;
  const side = (px: number, py: number): number => (a.x1 - a.x0) * (py - a.y0) - (a.y1 - a.y0) * (px - a.x0);
  const otherSide = (px: number, py: number): number => (x1 - x0) * (py - y0) - (y1 - y0) * (px - x0);
  return side(x0, y0) * side(x1, y1) <= 0 && otherSide(a.x0, a.y0) * otherSide(a.x1, a.y1) <= 0;
}

/** The winding direction, from the winding numbers on both sides of each subpath; without crossings these are constant along it. */
function windingOf(chords: readonly Chord[]): Winding {
  let [least, most] = [0, 0];
  let looked = 0;
  for (const chord of chords) {
    if (chord.subpath === looked || chord.y0 === chord.y1) continue;
    looked = chord.subpath;
    const left = windingAt(chords, (chord.x0 + chord.x1) / 2, (chord.y0 + chord.y1) / 2, chord);
    const right = left + (chord.y1 < chord.y0 ? 1 : -1);
    least = Math.min(least, left, right);
    most = Math.max(most, left, right);
  }
  return least === 0 && most === 1 ? 1 : least === -1 && most === 0 ? -1 : 0;
}

/** The winding number of a point, counted from the chords that cross the horizontal ray to its left, except one chord. */
function windingAt(chords: readonly Chord[], x: number, y: number, but?: Chord): number {
  let winding = 0;
  for (const chord of chords) {
    const { x0, y0, x1, y1 } = chord;
    if (chord === but || y0 > y === y1 > y) continue;
    if (x0 + ((y - y0) / (y1 - y0)) * (x1 - x0) < x) winding += y1 < y0 ? 1 : -1;
  }
  return winding;
}

/** Whether two glyphs overlap, or are too close to tell. */
function lieOver(a: PlacedGlyph, b: PlacedGlyph): boolean {
  const [dx, dy] = [b.x - a.x, b.y - a.y];
  const [one, other] = [a.shape.box!, b.shape.box!];
  if (one.left > other.right + dx || other.left + dx > one.right) return false;
  if (one.top > other.bottom + dy || other.top + dy > one.bottom) return false;
  const [ofA, ofB] = [a.shape.chords, b.shape.chords];
  if (ofA.some((chord) => ofB.some((its) => meet(chord, its, dx, dy)))) return true;
  // One may be entirely inside the other.
  return ofB.some(({ x0, y0 }) => windingAt(ofA, x0 + dx, y0 + dy) !== 0) || ofA.some(({ x0, y0 }) => windingAt(ofB, x0 - dx, y0 - dy) !== 0); // prettier-ignore
}
