import type { Polylines } from './polyline.ts';
import { acos, atan2 } from '../maths/arc.ts';
import { hypot } from '../maths/power.ts';
import { cos, sin } from '../maths/sine.ts';

export type Cap = 'butt' | 'round' | 'square';
export type Join = 'miter' | 'round' | 'bevel';

/** How a line is drawn out into an area. Lengths are in the units of the line. */
export interface Pen {
  readonly width: number;
  readonly cap: Cap;
  readonly join: Join;
  /** Miters longer than this many widths become bevels. */
  readonly miterLimit: number;
}

/**
 * The outline of a pen drawn along flattened lines, to be filled by the nonzero rule: an open subpath gives one
 * closed outline, a closed subpath an outer and an inner one. `tolerance` is how far round joins and caps may be
 * from true arcs.
 *
 * Every corner, inner side included, is led so that the outline is the union of one rectangle a segment and one
 * wedge a join, all wound the same way: nothing is cut out by a pen wider than what it draws.
 */
export function strokeOutline(lines: Polylines, pen: Pen, tolerance: number, out: Polylines): void {
  const stroker = new Stroker(pen, tolerance, out);
  for (let subpath = 0; subpath < lines.subpaths; subpath++) stroker.subpath(lines, subpath);
}

/** No round join or cap is cut finer than this, in radians, nor at all once an outline has so many points. */
const finestStep = 1e-3;
const maxPoints = 1_000_000;

class Stroker {
  private readonly half: number;
  private readonly arcStep: number;
  // The subpath at hand without repeated points, and for each segment its direction and length.
  private xs: number[] = [];
  private ys: number[] = [];
  private dx: number[] = [];
  private dy: number[] = [];
  private lengths: number[] = [];
  private begun = false;

  constructor(
    private readonly pen: Pen,
    tolerance: number,
    private readonly out: Polylines,
  ) {
    this.half = pen.width / 2;
    this.arcStep = this.half > tolerance ? Math.max(finestStep, 2 * acos(1 - tolerance / this.half)) : Math.PI / 2;
  }

  subpath(lines: Polylines, subpath: number): void {
    const closed = this.load(lines, subpath);
    const count = this.xs.length;
    if (count === 0) return;
    if (count === 1) return this.dot(this.xs[0], this.ys[0]);
    this.begun = false;
    if (closed && count > 2) {
      for (let i = 0; i < count; i++) this.corner(i, (i + count - 1) % count, i, 1);
      this.finish();
      for (let i = count - 1; i >= 0; i--) this.corner(i, i, (i + count - 1) % count, -1);
      this.finish();
      return;
    }
    if (closed) {
      // There and back along one segment: the join at either end is a full turn.
      this.corner(0, 1, 0, 1);
      this.corner(1, 0, 1, 1);
      return this.finish();
    }
    const last = count - 1;
    this.cap(0, 0, 1);
    for (let i = 1; i < last; i++) this.corner(i, i - 1, i, 1);
    this.cap(last, last - 1, -1);
    for (let i = last - 1; i > 0; i--) this.corner(i, i, i - 1, -1);
    this.finish();
  }

  /** Takes in a subpath, drops points that repeat, and says whether it is closed. */
  private load(lines: Polylines, subpath: number): boolean {
    const first = lines.starts[subpath];
    const end = lines.end(subpath);
    const closed = lines.closed[subpath] === 1;
    const { xs, ys, dx, dy, lengths } = this;
    xs.length = ys.length = dx.length = dy.length = lengths.length = 0;
    for (let i = first; i < end; i++) {
      const x = lines.points[i * 2];
      const y = lines.points[i * 2 + 1];
      const n = xs.length;
      if (n > 0 && x === xs[n - 1] && y === ys[n - 1]) continue;
      xs.push(x);
      ys.push(y);
    }
    while (closed && xs.length > 1 && xs[0] === xs[xs.length - 1] && ys[0] === ys[ys.length - 1]) {
      xs.pop();
      ys.pop();
    }
    const segments = xs.length - (closed && xs.length > 1 ? 0 : 1);
    for (let i = 0; i < segments; i++) {
      const next = (i + 1) % xs.length;
      const vx = xs[next] - xs[i];
      const vy = ys[next] - ys[i];
      const length = hypot(vx, vy);
      dx.push(vx / length);
      dy.push(vy / length);
      lengths.push(length);
    }
    return closed;
  }

  /**
   * One side of a corner: point `i`, where segment `before` ends and segment `after` begins. Side 1 runs with the
   * segments on their left hand (y down), side -1 back on the other; `before` and `after` are in running order.
   */
  private corner(i: number, before: number, after: number, side: 1 | -1): void {
    const { half, pen } = this;
    const x = this.xs[i];
    const y = this.ys[i];
    // Directions in which the outline runs, and from them the offsets to this side.
    const ux = this.dx[before] * side;
    const uy = this.dy[before] * side;
    const vx = this.dx[after] * side;
    const vy = this.dy[after] * side;
    const ax = uy * half;
    const ay = -ux * half;
    const bx = vy * half;
    const by = -vx * half;
    const cross = ux * vy - uy * vx;
    const dot = ux * vx + uy * vy;

    if (cross < 0) {
      // The inner side of the bend.
      const inset = half * tanHalf(cross, dot);
      if (inset <= this.lengths[before] / 2 && inset <= this.lengths[after] / 2) {
        const k = 1 / (1 + dot);
        this.add(x + (ax + bx) * k, y + (ay + by) * k);
      } else {
        // Too short for the offsets to meet: through the corner itself, so that both rectangles stay whole.
        this.add(x + ax, y + ay);
        this.add(x, y);
        this.add(x + bx, y + by);
      }
      return;
    }
    this.add(x + ax, y + ay);
    if (pen.join === 'round') this.arc(x, y, ax, ay, atan2(cross, dot), true);
    // The miter's length over the width is 1 / sin(θ/2), with θ the angle between the segments: 2 / (1 + dot) squared.
    else if (pen.join === 'miter' && cross > 0 && 2 <= pen.miterLimit * pen.miterLimit * (1 + dot)) {
      const k = 1 / (1 + dot);
      this.add(x + (ax + bx) * k, y + (ay + by) * k);
    }
    this.add(x + bx, y + by);
  }

  /** The end of an open line at point `i`; `outward` is 1 at the first point, where the outline turns back. */
  private cap(i: number, segment: number, direction: 1 | -1): void {
    const { half } = this;
    const x = this.xs[i];
    const y = this.ys[i];
    // The way along which the outline leaves this end again.
    const vx = this.dx[segment] * direction;
    const vy = this.dy[segment] * direction;
    const ax = -vy * half;
    const ay = vx * half;
    const extend = this.pen.cap === 'square' ? half : 0;
    this.add(x + ax - vx * extend, y + ay - vy * extend);
    if (this.pen.cap === 'round') this.arc(x, y, ax, ay, Math.PI, false);
    this.add(x - ax - vx * extend, y - ay - vy * extend);
  }

  /** A subpath of a single point: nothing under butt caps, else the cap's own shape. */
  private dot(x: number, y: number): void {
    const { half } = this;
    if (this.pen.cap === 'butt') return;
    this.begun = false;
    if (this.pen.cap === 'square')
      for (const [sx, sy] of [[-1, -1], [1, -1], [1, 1], [-1, 1]]) this.add(x + sx * half, y + sy * half); // prettier-ignore
    else {
      this.add(x + half, y);
      this.arc(x, y, half, 0, 2 * Math.PI, false);
    }
    this.finish();
  }

  /** Points between an offset `(ax, ay)` and the same turned by `angle` radians, both ends left out. */
  private arc(x: number, y: number, ax: number, ay: number, angle: number, signed: boolean): void {
    const sweep = signed && angle < 0 ? angle + 2 * Math.PI : angle;
    const steps = this.out.count > maxPoints ? 1 : Math.ceil(sweep / this.arcStep);
    for (let step = 1; step < steps; step++) {
      const turn = (sweep * step) / steps;
      const [s, c] = [sin(turn), cos(turn)];
      this.add(x + ax * c - ay * s, y + ax * s + ay * c);
    }
  }

  private add(x: number, y: number): void {
    if (this.begun) this.out.add(x, y);
    else this.out.begin(x, y);
    this.begun = true;
  }

  private finish(): void {
    this.out.close();
    this.begun = false;
  }
}

/** The tangent of half the angle between two directions, from the sine and cosine of the whole. */
function tanHalf(cross: number, dot: number): number {
  return dot <= -1 ? Infinity : Math.abs(cross) / (1 + dot);
}
