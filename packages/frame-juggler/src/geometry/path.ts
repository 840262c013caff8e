import { apply, identity, rotation as rotationMatrix, type Matrix } from './matrix.ts';
import { sinCos } from '../maths/degrees.ts';
import type { Box } from './box.ts';
import { atan2 } from '../maths/arc.ts';

/**
 * An outline as a flat list of numbers: a command, then its arguments, and so on. Plain, compact, and the one form of
 * geometry that every surface reads. Many outlines may stand in one list: what reads them takes where one begins and
 * where it ends.
 *
 * | command | arguments |
 * |---|---|
 * | `move`, `line` | x, y |
 * | `quad` | control x, y, end x, y |
 * | `cubic` | two controls, end |
 * | `arc` | center x, y, radii x, y, rotation of the ellipse, start, sweep (degrees) |
 * | `close` | none |
 *
 * As in the canvas standard, an arc is joined to an open subpath by a line, and begins one where none is open.
 */
export type Path = ArrayLike<number>;

export const move = 0;
export const line = 1;
export const quad = 2;
export const cubic = 3;
export const arc = 4;
export const close = 5;

/** How many numbers each command takes, itself included. */
export const commandLength = [3, 3, 5, 7, 8, 1] as const;

/** Whether a path has a subpath that closes, by command or by ending where it began: an area rather than a line. */
export function isClosedPath(path: Path): boolean {
  let start: [number, number] | undefined;
  let end: [number, number] | undefined;
  const ends = (): boolean => start !== undefined && end !== undefined && start[0] === end[0] && start[1] === end[1];
  for (let i = 0; i < path.length; i += commandLength[path[i]]) {
    const command = path[i];
    if (command === close || (command === arc && Math.abs(path[i + 7]) >= 360)) return true;
    if (command === move) {
      if (ends()) return true;
      start = [path[i + 1], path[i + 2]];
      end = undefined;
    } else if (command === arc) {
      start ??= arcPoint(path, i, path[i + 6]);
      end = arcPoint(path, i, path[i + 6] + path[i + 7]);
    } else end = [path[i + commandLength[command] - 2], path[i + commandLength[command] - 1]];
  }
  return ends();
}

/** The point at an angle (degrees) of the ellipse of the arc command at `i`. */
export function arcPoint(path: Path, i: number, degrees: number): [number, number] {
  return ellipsePoint(path[i + 1], path[i + 2], path[i + 3], path[i + 4], path[i + 5], degrees);
}

/** A point of an arc may lie further out than its numbers: up to here it is a number too. */
const farthest = Number.MAX_VALUE / 4;

/** Whether an outline holds nothing but finite numbers. */
export function isFinitePath(path: Path): boolean {
  for (let i = 0; i < path.length; i++) if (!(Math.abs(path[i]) <= farthest)) return false;
  return true;
}

/** The point at an angle of an ellipse that is turned by `rotation`, both in degrees. */
export function ellipsePoint(
  cx: number,
  cy: number,
  rx: number,
  ry: number,
  rotation: number,
  degrees: number,
): [number, number] {
  const { sin, cos } = sinCos(degrees);
  const x = rx * cos;
  const y = ry * sin;
  if (rotation === 0) return [cx + x, cy + y];
  const [dx, dy] = apply(rotationMatrix(rotation), x, y);
  return [cx + dx, cy + dy];
}

/**
 * The tight box of a path under a transform: curves by their extremes, not by their control points.
 * An empty path gives an empty box.
 */
export function pathBox(path: Path, matrix: Matrix = identity, from = 0, to = path.length): Box {
  const [a, b, c, d, e, f] = matrix;
  let [left, top, right, bottom] = [Infinity, Infinity, -Infinity, -Infinity];
  let x = 0;
  let y = 0;
  let startX = 0;
  let startY = 0;
  const add = (px: number, py: number): void => {
    const toX = a * px + c * py + e;
    const toY = b * px + d * py + f;
    left = Math.min(left, toX);
    top = Math.min(top, toY);
    right = Math.max(right, toX);
    bottom = Math.max(bottom, toY);
  };
  for (let i = from; i < to; i += commandLength[path[i]]) {
    switch (path[i]) {
      case move:
      case line:
        [x, y] = [path[i + 1], path[i + 2]];
        add(x, y);
        if (path[i] === move) [startX, startY] = [x, y];
        break;
      case quad: {
        const [cx, cy, ex, ey] = [path[i + 1], path[i + 2], path[i + 3], path[i + 4]];
        const at = (t: number): void =>
          add(
            (1 - t) * (1 - t) * x + 2 * t * (1 - t) * cx + t * t * ex,
            (1 - t) * (1 - t) * y + 2 * t * (1 - t) * cy + t * t * ey,
          );
        for (const row of [0, 1]) {
          const [p0, p1, p2] = [
            [x, y],
            [cx, cy],
            [ex, ey],
          ].map(([px, py]) => matrix[row] * px + matrix[row + 2] * py);
          const t = (p0 - p1) / (p0 - 2 * p1 + p2);
          if (t > 0 && t < 1) at(t);
        }
        [x, y] = [ex, ey];
        add(x, y);
        break;
      }
      case cubic: {
        const [ax, ay, bx, by] = [path[i + 1], path[i + 2], path[i + 3], path[i + 4]];
        const [ex, ey] = [path[i + 5], path[i + 6]];
        const at = (t: number): void => {
          const u = 1 - t;
          const [w0, w1, w2, w3] = [u * u * u, 3 * u * u * t, 3 * u * t * t, t * t * t];
          add(w0 * x + w1 * ax + w2 * bx + w3 * ex, w0 * y + w1 * ay + w2 * by + w3 * ey);
        };
        for (const row of [0, 1]) {
          const [p0, p1, p2, p3] = [
            [x, y],
            [ax, ay],
            [bx, by],
            [ex, ey],
          ].map(([px, py]) => matrix[row] * px + matrix[row + 2] * py);
          // Where the derivative 3·(A·t² + B·t + C) is zero.
          for (const t of roots(p3 - 3 * p2 + 3 * p1 - p0, 2 * (p2 - 2 * p1 + p0), p1 - p0)) if (t > 0 && t < 1) at(t);
        }
        [x, y] = [ex, ey];
        add(x, y);
        break;
      }
      case arc: {
        const [rx, ry, start, sweep] = [path[i + 3], path[i + 4], path[i + 6], path[i + 7]];
        const at = (degrees: number): void => {
          [x, y] = arcPoint(path, i, degrees);
          add(x, y);
        };
        const { sin, cos } = sinCos(path[i + 5]);
        const whole = Math.abs(sweep) >= 360;
        if (!whole) at(start);
        for (let row = 0; row < 2; row++) {
          // The ellipse's row coordinate is u·cos θ + v·sin θ: extreme at atan2(v, u) and opposite.
          const u = (matrix[row] * cos + matrix[row + 2] * sin) * rx;
          const v = (-matrix[row] * sin + matrix[row + 2] * cos) * ry;
          if (whole) {
            // Reached, wherever it begins: √(u² + v²) from the middle, to both sides.
            const middle = matrix[row] * path[i + 1] + matrix[row + 2] * path[i + 2] + matrix[row + 4];
            const reach = Math.sqrt(u * u + v * v);
            if (row === 0) [left, right] = [Math.min(left, middle - reach), Math.max(right, middle + reach)];
            else [top, bottom] = [Math.min(top, middle - reach), Math.max(bottom, middle + reach)];
            continue;
          }
          const extreme = (atan2(v, u) * 180) / Math.PI;
          for (const candidate of [extreme, extreme + 180]) {
            const along = ((((candidate - start) * Math.sign(sweep || 1)) % 360) + 360) % 360;
            if (along < Math.abs(sweep)) at(candidate);
          }
        }
        // Only what follows asks where a whole one ends.
        if (!whole || i + commandLength[arc] < to) at(start + sweep);
        break;
      }
      default:
        [x, y] = [startX, startY];
    }
  }
  return { left, top, right, bottom };
}

/** The real roots of a·t² + b·t + c. */
function roots(a: number, b: number, c: number): number[] {
  if (Math.abs(a) < 1e-12 * (Math.abs(b) + Math.abs(c))) return b === 0 ? [] : [-c / b];
  const inside = b * b - 4 * a * c;
  if (!(inside >= 0)) return [];
  const root = Math.sqrt(inside);
  return [(-b + root) / (2 * a), (-b - root) / (2 * a)];
}

/** Adds a path to another one, scaled about its origin, which comes to (x, y). */
export function addPlaced(path: number[], added: Path, x: number, y: number, scaleX: number, scaleY: number): void {
  for (let i = 0; i < added.length;) {
    const end = i + commandLength[added[i]];
    path.push(added[i++]);
    for (; i < end; i += 2) path.push(x + added[i] * scaleX, y + added[i + 1] * scaleY);
  }
}
