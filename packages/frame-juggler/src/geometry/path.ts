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

/** Points of an arc lie beyond its center and radii. As long as those are smaller than this, the points are finite. */
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
  const across = new Extent();
  const down = new Extent();
  // The current point and the subpath's first, both transformed, like all coordinates below.
  let [x, y, startX, startY] = [0, 0, 0, 0];
  const lineTo = (px: number, py: number): void => {
    x = a * px + c * py + e;
    y = b * px + d * py + f;
    across.add(x);
    down.add(y);
  };
  for (let i = from; i < to; i += commandLength[path[i]]) {
    switch (path[i]) {
      case move:
        lineTo(path[i + 1], path[i + 2]);
        [startX, startY] = [x, y];
        break;
      case line:
        lineTo(path[i + 1], path[i + 2]);
        break;
      case quad: {
        const [px, py, cx, cy] = [x, y, path[i + 1], path[i + 2]];
        lineTo(path[i + 3], path[i + 4]);
        across.quad(px, a * cx + c * cy + e, x);
        down.quad(py, b * cx + d * cy + f, y);
        break;
      }
      case cubic: {
        const [px, py, cx, cy, dx, dy] = [x, y, path[i + 1], path[i + 2], path[i + 3], path[i + 4]];
        lineTo(path[i + 5], path[i + 6]);
        across.cubic(px, a * cx + c * cy + e, a * dx + c * dy + e, x);
        down.cubic(py, b * cx + d * cy + f, b * dx + d * dy + f, y);
        break;
      }
      case arc: {
        const [cx, cy, rx, ry, start, sweep] = [path[i + 1], path[i + 2], path[i + 3], path[i + 4], path[i + 6], path[i + 7]]; // prettier-ignore
        const { sin, cos } = sinCos(path[i + 5]);
        across.ellipse(a * cx + c * cy + e, (a * cos + c * sin) * rx, (c * cos - a * sin) * ry, start, sweep);
        down.ellipse(b * cx + d * cy + f, (b * cos + d * sin) * rx, (d * cos - b * sin) * ry, start, sweep);
        const whole = Math.abs(sweep) >= 360;
        if (!whole) lineTo(...arcPoint(path, i, start));
        // The end of a whole ellipse matters only to what follows it.
        if (!whole || i + commandLength[arc] < to) lineTo(...arcPoint(path, i, start + sweep));
        break;
      }
      default:
        [x, y] = [startX, startY];
    }
  }
  return { left: across.least, top: down.least, right: across.most, bottom: down.most };
}

/** How far a path reaches along one axis: each axis has its own extremes, whatever happens along the other. */
class Extent {
  least = Infinity;
  most = -Infinity;

  add(value: number): void {
    if (value < this.least) this.least = value;
    if (value > this.most) this.most = value;
  }

  /** The inside of a quadratic curve whose ends are added: where its derivative is zero. */
  quad(p0: number, p1: number, p2: number): void {
    if (this.holds(p1)) return;
    const t = (p0 - p1) / (p0 - 2 * p1 + p2);
    const u = 1 - t;
    if (t > 0 && t < 1) this.add(u * u * p0 + 2 * t * u * p1 + t * t * p2);
  }

  /** The inside of a cubic curve whose ends are added: where its derivative 3·(A·t² + B·t + C) is zero. */
  cubic(p0: number, p1: number, p2: number, p3: number): void {
    if (this.holds(p1) && this.holds(p2)) return;
    for (const t of roots(p3 - 3 * p2 + 3 * p1 - p0, 2 * (p2 - 2 * p1 + p0), p1 - p0)) {
      const u = 1 - t;
      if (t > 0 && t < 1) this.add(u * u * u * p0 + 3 * u * u * t * p1 + 3 * u * t * t * p2 + t * t * t * p3);
    }
  }

  /**
   * The inside of an arc (angles in degrees) of an ellipse whose coordinate is middle + u·cos θ + v·sin θ: it is
   * furthest, by √(u² + v²), at θ = atan2(v, u) and opposite.
   */
  ellipse(middle: number, u: number, v: number, start: number, sweep: number): void {
    const reach = Math.sqrt(u * u + v * v);
    const whole = Math.abs(sweep) >= 360;
    const furthest = whole ? 0 : (atan2(v, u) * 180) / Math.PI;
    if (whole || isAlong(furthest, start, sweep)) this.add(middle + reach);
    if (whole || isAlong(furthest + 180, start, sweep)) this.add(middle - reach);
  }

  /** A curve never leaves the span of its control points. */
  private holds(value: number): boolean {
    return value >= this.least && value <= this.most;
  }
}

/** Whether an arc passes an angle; all in degrees. */
function isAlong(angle: number, start: number, sweep: number): boolean {
  return ((((angle - start) * Math.sign(sweep || 1)) % 360) + 360) % 360 < Math.abs(sweep);
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
