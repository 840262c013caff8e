import { atan2 } from '../maths/arc.ts';
import type { Box } from './box.ts';
import { close, commandLength, line, move, pathBox, roots, type Path } from './path.ts';

/*
 * The outline of all that a path covers. Letters are often drawn as parts that lie over each other, a bar over two legs:
 * filled by the nonzero rule they are one, while a pen would follow every part through the inside of the others. What is
 * kept is what has the inside on one of its sides alone: all curves are cut where they meet, the winding number is taken on
 * both sides of each piece, and what is left is joined up again. The curves stay curves.
 */

type Dot = readonly [x: number, y: number];
/** A Bézier curve of one, two or three degrees, by its control points. */
type Curve = readonly Dot[];

/** A curve between two places where curves meet or end. It grows or falls in x, and in y, all along. */
interface Piece {
  readonly curve: Curve;
  readonly from: number;
  readonly to: number;
}

/** What no eye tells from nothing, in parts of the path's size: nearer points are one, and flatter curves are straight. */
const near = 1e-5;
const flat = 1e-6;

/** So many steps a curve look for the places where they meet: more are needed only where some run along each other. */
const maxSteps = 100;

/** What curves lead to that run along each other, so that they meet everywhere. */
class Tangled extends Error {}

/**
 * A path of lines and Bézier curves that covers what another does by the nonzero rule, and none of whose lines has the
 * inside on both sides.
 * @returns the path itself where its parts lie upon each other in a way that cannot be told apart
 */
export function unitedPath(path: Path): Path {
  const { left, top, right, bottom } = pathBox(path);
  const size = Math.max(right - left, bottom - top);
  try {
    const loops = loopsOf(outerPieces(cut(curvesOf(path), size), near * size));
    return loops === undefined ? path : loops.flatMap(written);
  } catch (error) {
    if (error instanceof Tangled) return path;
    throw error;
  }
}

/** The curves of a path, each subpath closed, cut where x or y turns back. */
function curvesOf(path: Path): Curve[] {
  const curves: Curve[] = [];
  let [now, first]: Dot[] = [
    [0, 0],
    [0, 0],
  ];
  const to = (...dots: Dot[]): void => {
    const curve = [now, ...dots];
    now = dots.at(-1)!;
    if (curve.some(([x, y]) => x !== now[0] || y !== now[1])) curves.push(...cutAt(curve, turnsOf(curve)));
  };
  for (let i = 0; i < path.length; i += commandLength[path[i]]) {
    const command = path[i];
    if (command === move || command === close) to(first);
    const dots: Dot[] = [];
    for (let at = i + 1; at < i + commandLength[command]; at += 2) dots.push([path[at], path[at + 1]]);
    if (command === move) [now, first] = [dots[0], dots[0]];
    else if (command !== close) to(...dots);
  }
  to(first);
  return curves;
}

/** Where a curve turns back in x or in y: where its derivative is zero. */
function turnsOf(curve: Curve): number[] {
  return [0, 1].flatMap((axis) => {
    const [a, b, c, d] = curve.map((dot) => dot[axis]);
    if (curve.length === 2) return [];
    return curve.length === 3
      ? roots(0, a - 2 * b + c, b - a)
      : roots(d - 3 * c + 3 * b - a, 2 * (c - 2 * b + a), b - a);
  });
}

const towards = ([ax, ay]: Dot, [bx, by]: Dot, t: number): Dot => [ax + (bx - ax) * t, ay + (by - ay) * t];

/** A curve in two, by de Casteljau. */
function halves(curve: Curve, t = 0.5): [Curve, Curve] {
  const dots = [...curve];
  const [before, after]: Dot[][] = [[], [...curve]];
  for (let last = dots.length - 1; last >= 0; last--) {
    before.push(dots[0]);
    after[last] = dots[last];
    for (let i = 0; i < last; i++) dots[i] = towards(dots[i], dots[i + 1], t);
  }
  return [before, after];
}

/** A curve in parts. */
function cutAt(curve: Curve, places: readonly number[]): Curve[] {
  const parts: Curve[] = [];
  let [rest, from] = [curve, 0];
  for (const t of places.filter((t) => t > 0 && t < 1).sort((a, b) => a - b)) {
    if (t === from) continue;
    const [before, after] = halves(rest, (t - from) / (1 - from));
    parts.push(before);
    [rest, from] = [after, t];
  }
  return [...parts, rest];
}

const distance = ([ax, ay]: Dot, [bx, by]: Dot): number => Math.sqrt((ax - bx) * (ax - bx) + (ay - by) * (ay - by));

/** All curves cut where they meet. Points that lie together become one. */
function cut(curves: readonly Curve[], size: number): Piece[] {
  const slack = near * size;
  const places: number[][] = curves.map(() => []);
  let steps = 0;
  const meet = (i: number, a: Span, j: number, b: Span): void => {
    if (areApart(a.box, b.box, slack) || joinOnly(a, b, slack)) return;
    if (steps++ > maxSteps * curves.length) throw new Tangled();
    const [bendOfA, bendOfB] = [bendOf(a.curve), bendOf(b.curve)];
    if (isBeside(b.curve, a.curve, bendOfA + slack) || isBeside(a.curve, b.curve, bendOfB + slack)) return;
    if (Math.max(bendOfA, bendOfB) <= flat * size)
      for (const [t, u] of meetings(a.curve, b.curve, slack)) {
        places[i].push(a.from + t * (a.to - a.from));
        places[j].push(b.from + u * (b.to - b.from));
      }
    else if (bendOfA > bendOfB) for (const half of halfSpans(a)) meet(i, half, j, b);
    else for (const half of halfSpans(b)) meet(i, a, j, half);
  };
  const spans = curves.map((curve) => spanOf(curve, 0, 1));
  for (const [i, one] of spans.entries()) for (let j = 0; j < i; j++) meet(i, one, j, spans[j]);
  const dots: Dot[] = [];
  const numberOf = (dot: Dot): number => {
    const known = dots.findIndex((other) => distance(dot, other) < slack);
    return known === -1 ? dots.push(dot) - 1 : known;
  };
  return curves.flatMap((curve, i) =>
    cutAt(curve, places[i])
      .map((part) => {
        const [from, to] = [numberOf(part[0]), numberOf(part.at(-1)!)];
        return { curve: [dots[from], ...part.slice(1, -1), dots[to]], from, to };
      })
      .filter(({ from, to }) => from !== to),
  );
}

/** A part of a curve, and where on it that part begins and ends. */
interface Span {
  readonly curve: Curve;
  readonly box: Box;
  readonly from: number;
  readonly to: number;
}

function spanOf(curve: Curve, from: number, to: number): Span {
  // It turns nowhere, so that its ends are its box.
  const [[ax, ay], [bx, by]] = [curve[0], curve.at(-1)!];
  const box = { left: Math.min(ax, bx), top: Math.min(ay, by), right: Math.max(ax, bx), bottom: Math.max(ay, by) };
  return { curve, box, from, to };
}

function halfSpans({ curve, from, to }: Span): Span[] {
  const middle = (from + to) / 2;
  const [before, after] = halves(curve);
  return [spanOf(before, from, middle), spanOf(after, middle, to)];
}

const areApart = (a: Box, b: Box, slack: number): boolean =>
  a.left > b.right + slack || b.left > a.right + slack || a.top > b.bottom + slack || b.top > a.bottom + slack;

/** Whether a curve lies on one side of another, further than that is from the straight line between its ends. */
function isBeside(curve: Curve, [start, ...rest]: Curve, far: number): boolean {
  const end = rest.at(-1)!;
  const way: Dot = [end[0] - start[0], end[1] - start[1]];
  const reach = far * distance(start, end);
  let [least, most] = [Infinity, -Infinity];
  for (const [x, y] of curve) {
    const side = cross(way, [x - start[0], y - start[1]]);
    least = Math.min(least, side);
    most = Math.max(most, side);
  }
  return least > reach || most < -reach;
}

/** Whether two curves meet at an end of both and cannot elsewhere, as those do that follow each other. */
function joinOnly({ curve: a, box: one }: Span, { curve: b, box: other }: Span, slack: number): boolean {
  const [right, left] = [Math.min(one.right, other.right), Math.max(one.left, other.left)];
  const [bottom, top] = [Math.min(one.bottom, other.bottom), Math.max(one.top, other.top)];
  if (right - left > slack || bottom - top > slack) return false;
  const [start, end] = [b[0], b.at(-1)!];
  return [a[0], a.at(-1)!].some(([x, y]) => (x === start[0] && y === start[1]) || (x === end[0] && y === end[1]));
}

/** How far a curve is from a straight line, at most: it is no further than its control points' second differences. */
function bendOf(curve: Curve): number {
  let bend = 0;
  for (let i = 2; i < curve.length; i++)
    for (const axis of [0, 1])
      bend = Math.max(bend, Math.abs(curve[i - 2][axis] - 2 * curve[i - 1][axis] + curve[i][axis]));
  return bend;
}

/** Where two straight lines meet, as parts of either; at the ends of one in the other if they lie along each other. */
function meetings(one: Curve, other: Curve, slack: number): [number, number][] {
  const [a, b] = [one[0], other[0]];
  const [r, s] = [one, other].map((curve): Dot => [curve.at(-1)![0] - curve[0][0], curve.at(-1)![1] - curve[0][1]]);
  const between: Dot = [b[0] - a[0], b[1] - a[1]];
  const [ofOne, ofOther] = [distance(r, [0, 0]), distance(s, [0, 0])];
  const across = cross(r, s);
  const isWithin = (t: number, length: number): boolean => t * length >= -slack && (t - 1) * length <= slack;
  if (Math.abs(across) > 1e-9 * ofOne * ofOther) {
    const [t, u] = [cross(between, s) / across, cross(between, r) / across];
    return isWithin(t, ofOne) && isWithin(u, ofOther) ? [[t, u]] : [];
  }
  if (Math.abs(cross(between, r)) > slack * ofOne) return [];
  const partOf = (dot: Dot, start: Dot, way: Dot, length: number): number =>
    ((dot[0] - start[0]) * way[0] + (dot[1] - start[1]) * way[1]) / length / length;
  const found: [number, number][] = [
    [0, partOf(a, b, s, ofOther)],
    [1, partOf(one.at(-1)!, b, s, ofOther)],
    [partOf(b, a, r, ofOne), 0],
    [partOf(other.at(-1)!, a, r, ofOne), 1],
  ];
  return found.filter(([t, u]) => isWithin(t, ofOne) && isWithin(u, ofOther));
}

const cross = ([ax, ay]: Dot, [bx, by]: Dot): number => ax * by - ay * bx;

/** The pieces that have the inside on one side alone, all on the same one. */
function outerPieces(pieces: readonly Piece[], slack: number): Piece[] {
  const outer: Piece[] = [];
  let wanted: boolean | undefined;
  for (const alike of alikeOf(pieces, slack)) {
    const [piece] = alike;
    const middle = pointAt(piece.curve, 0.5);
    const [start, end] = [piece.curve[0], piece.curve.at(-1)!];
    // Counted along a ray that the piece crosses rather than follows: axis 0 is a ray along x.
    const axis = Math.abs(end[1] - start[1]) >= Math.abs(end[0] - start[0]) ? 0 : 1;
    const before = pieces.reduce(
      (sum, other) => (alike.includes(other) ? sum : sum + crossing(other, middle, axis)),
      0,
    );
    const behind = before + alike.reduce((sum, { curve }) => sum + signOf(curve, axis), 0);
    if ((before === 0) === (behind === 0)) continue;
    const isRight = (signOf(piece.curve, axis) > 0 === (behind !== 0)) === (axis === 1);
    wanted ??= isRight;
    outer.push(isRight === wanted ? piece : { curve: [...piece.curve].reverse(), from: piece.to, to: piece.from });
  }
  return outer;
}

/** Pieces that lie upon each other, together. */
function alikeOf(pieces: readonly Piece[], slack: number): Piece[][] {
  const groups: Piece[][] = [];
  for (const piece of pieces) {
    const [from, to] = [Math.min(piece.from, piece.to), Math.max(piece.from, piece.to)];
    const known = groups.find(
      ([other]) =>
        Math.min(other.from, other.to) === from &&
        Math.max(other.from, other.to) === to &&
        distance(pointAt(other.curve, 0.5), pointAt(piece.curve, 0.5)) < 4 * slack,
    );
    if (known === undefined) groups.push([piece]);
    else known.push(piece);
  }
  return groups;
}

const pointAt = (curve: Curve, t: number): Dot => [along(curve, 0, t), along(curve, 1, t)];

/** A coordinate of a curve's point. */
function along(curve: Curve, axis: number, t: number): number {
  const u = 1 - t;
  const [a, b] = [curve[0][axis], curve[1][axis]];
  if (curve.length === 2) return u * a + t * b;
  const c = curve[2][axis];
  if (curve.length === 3) return u * u * a + 2 * u * t * b + t * t * c;
  return u * u * u * a + 3 * u * u * t * b + 3 * u * t * t * c + t * t * t * curve[3][axis];
}

/** Which way a piece crosses a ray along an axis. */
const signOf = (curve: Curve, axis: number): number => (curve.at(-1)![1 - axis] > curve[0][1 - axis] ? 1 : -1);

/** What a piece adds to the winding number of a point, by the ray along an axis that ends there. */
function crossing({ curve }: Piece, point: Dot, axis: number): number {
  const [start, end] = [curve[0], curve.at(-1)!];
  const across = 1 - axis;
  if (start[across] > point[across] === end[across] > point[across]) return 0;
  if (Math.min(start[axis], end[axis]) >= point[axis]) return 0;
  let place = -Infinity;
  if (Math.max(start[axis], end[axis]) >= point[axis]) {
    // Where it crosses the ray, closer with each step; it does so once.
    let [low, high] = [0, 1];
    for (let step = 0; step < 40; step++) {
      const t = (low + high) / 2;
      if (along(curve, across, t) > point[across] === start[across] > point[across]) low = t;
      else high = t;
    }
    place = along(curve, axis, low);
  }
  return place < point[axis] ? signOf(curve, axis) : 0;
}

/** Pieces joined to loops; undefined where they do not close. */
function loopsOf(pieces: readonly Piece[]): Piece[][] | undefined {
  const rest = new Map<number, Piece[]>();
  for (const piece of pieces) rest.set(piece.from, [...(rest.get(piece.from) ?? []), piece]);
  const take = (piece: Piece): Piece => {
    rest.set(piece.from, rest.get(piece.from)!.filter((other) => other !== piece)); // prettier-ignore
    return piece;
  };
  const loops: Piece[][] = [];
  for (const first of pieces) {
    if (!rest.get(first.from)!.includes(first)) continue;
    const loop = [take(first)];
    for (let last = first; last.to !== first.from; loop.push(last)) {
      const next = sharpest(last, rest.get(last.to) ?? []);
      if (next === undefined) return undefined;
      last = take(next);
    }
    loops.push(loop);
  }
  return loops;
}

/** The piece that turns off most to the right, where several begin: loops then touch there and do not cross. */
function sharpest({ curve }: Piece, nexts: readonly Piece[]): Piece | undefined {
  if (nexts.length < 2) return nexts[0];
  const way = (from: Dot, to: Dot): Dot => [to[0] - from[0], to[1] - from[1]];
  const here = way(curve.at(-2)!, curve.at(-1)!);
  const turn = ({ curve: next }: Piece): number => {
    const there = way(next[0], next[1]);
    return atan2(cross(here, there), here[0] * there[0] + here[1] * there[1]);
  };
  return nexts.reduce((best, next) => (turn(next) > turn(best) ? next : best));
}

function written(loop: readonly Piece[]): number[] {
  const path: number[] = [move, ...loop[0].curve[0]];
  // A curve's command stands for its degree.
  for (const { curve } of loop) path.push(line + curve.length - 2, ...curve.slice(1).flat());
  return [...path, close];
}
