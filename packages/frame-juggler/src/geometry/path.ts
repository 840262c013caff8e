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
  const across = new Extent(matrix[0], matrix[2], matrix[4]);
  const down = new Extent(matrix[1], matrix[3], matrix[5]);
  for (let i = from; i < to; i += commandLength[path[i]]) {
    switch (path[i]) {
      case move:
        across.moveTo(path[i + 1], path[i + 2]);
        down.moveTo(path[i + 1], path[i + 2]);
        break;
      case line:
        across.lineTo(path[i + 1], path[i + 2]);
        down.lineTo(path[i + 1], path[i + 2]);
        break;
      case quad:
        across.quadTo(path, i);
        down.quadTo(path, i);
        break;
      case cubic:
        across.cubicTo(path, i);
        down.cubicTo(path, i);
        break;
      case arc: {
        // The end of a whole ellipse matters only to what follows it, which is more than to close it.
        const next = i + commandLength[arc];
        const ends = Math.abs(path[i + 7]) < 360 || next + commandLength[close] < to ? arcEnds(path, i) : undefined;
        const axes = sinCos(path[i + 5]);
        across.arc(path, i, axes, ends);
        down.arc(path, i, axes, ends);
        break;
      }
      default:
        across.close();
        down.close();
    }
  }
  return { left: across.least, top: down.least, right: across.most, bottom: down.most };
}

/** The first and the last point of the arc command at `i`. */
function arcEnds(path: Path, i: number): [first: [number, number], last: [number, number]] {
  return [arcPoint(path, i, path[i + 6]), arcPoint(path, i, path[i + 6] + path[i + 7])];
}

/**
 * How far a path reaches along one axis, on which a point lies at u·x + v·y + w: each axis has its own extremes,
 * whatever happens along the other.
 */
class Extent {
  least = Infinity;
  most = -Infinity;
  /** Where the current point and the subpath's first lie. */
  private now = 0;
  private first = 0;

  constructor(
    private readonly u: number,
    private readonly v: number,
    private readonly w: number,
  ) {}

  moveTo(x: number, y: number): void {
    this.lineTo(x, y);
    this.first = this.now;
  }

  lineTo(x: number, y: number): void {
    this.now = this.at(x, y);
    this.add(this.now);
  }

  /** The inside of a quadratic curve has its extreme where its derivative is zero. */
  quadTo(path: Path, i: number): void {
    const p0 = this.now;
    const p1 = this.at(path[i + 1], path[i + 2]);
    this.lineTo(path[i + 3], path[i + 4]);
    if (this.holds(p1)) return;
    const t = (p0 - p1) / (p0 - 2 * p1 + this.now);
    const u = 1 - t;
    if (t > 0 && t < 1) this.add(u * u * p0 + 2 * t * u * p1 + t * t * this.now);
  }

  /** The inside of a cubic curve has its extremes where its derivative 3·(A·t² + B·t + C) is zero. */
  cubicTo(path: Path, i: number): void {
    const p0 = this.now;
    const p1 = this.at(path[i + 1], path[i + 2]);
    const p2 = this.at(path[i + 3], path[i + 4]);
    this.lineTo(path[i + 5], path[i + 6]);
    const p3 = this.now;
    if (this.holds(p1) && this.holds(p2)) return;
    for (const t of roots(p3 - 3 * p2 + 3 * p1 - p0, 2 * (p2 - 2 * p1 + p0), p1 - p0)) {
      const u = 1 - t;
      if (t > 0 && t < 1) this.add(u * u * u * p0 + 3 * u * u * t * p1 + 3 * u * t * t * p2 + t * t * t * p3);
    }
  }

  /**
   * An arc of the ellipse whose points lie at middle + x·cos θ + y·sin θ: they are furthest, by √(x² + y²), at
   * θ = atan2(y, x) and opposite.
   * @param axes of the angle by which the ellipse is turned
   * @param ends its first and its last point, where they count
   */
  arc(path: Path, i: number, { sin, cos }: { sin: number; cos: number }, ends?: ReturnType<typeof arcEnds>): void {
    const middle = this.at(path[i + 1], path[i + 2]);
    const x = (this.u * cos + this.v * sin) * path[i + 3];
    const y = (this.v * cos - this.u * sin) * path[i + 4];
    const [start, sweep] = [path[i + 6], path[i + 7]];
    const reach = Math.sqrt(x * x + y * y);
    const whole = Math.abs(sweep) >= 360;
    const furthest = whole ? 0 : (atan2(y, x) * 180) / Math.PI;
    if (whole || isAlong(furthest, start, sweep)) this.add(middle + reach);
    if (whole || isAlong(furthest + 180, start, sweep)) this.add(middle - reach);
    if (ends === undefined) return;
    if (!whole) this.lineTo(...ends[0]);
    this.lineTo(...ends[1]);
  }

  close(): void {
    this.now = this.first;
  }

  private at(x: number, y: number): number {
    return this.u * x + this.v * y + this.w;
  }

  private add(value: number): void {
    if (value < this.least) this.least = value;
    if (value > this.most) this.most = value;
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
export function roots(a: number, b: number, c: number): number[] {
  if (Math.abs(a) < 1e-12 * (Math.abs(b) + Math.abs(c))) return b === 0 ? [] : [-c / b];
  const inside = b * b - 4 * a * c;
  if (!(inside >= 0)) return [];
  const root = Math.sqrt(inside);
  return [(-b + root) / (2 * a), (-b - root) / (2 * a)];
}

/** Writes a path into another one from a place on, scaled about its origin, which comes to (x, y). It has no arcs. */
export function putPlaced(
  into: number[] | Float64Array,
  at: number,
  added: Path,
  x: number,
  y: number,
  scaleX: number,
  scaleY: number,
): void {
  for (let i = 0; i < added.length;) {
    const end = i + commandLength[added[i]];
    into[at++] = added[i++];
    for (; i < end; i += 2) {
      into[at++] = x + added[i] * scaleX;
      into[at++] = y + added[i + 1] * scaleY;
    }
  }
}
