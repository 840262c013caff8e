import { grow } from './memory.ts';

/** Numbers to a point, and bytes to it. */
const pointBytes: i32 = 16;
const subpathBytes: i32 = 8;
const directionBytes: i32 = 32;
const curveBytes: i32 = 8;

/**
 * Flattened outlines, in memory that grows and is used again from shape to shape: x and y of every point of every
 * subpath, one after the other.
 */
@unmanaged
export class Lines {
  points: usize = 0;
  /** The number of points in all. */
  count: i32 = 0;
  subpaths: i32 = 0;
  private room: i32 = 0;
  /** For each subpath the number of its first point, and 1 where it is closed. */
  private table: usize = 0;
  private tableRoom: i32 = 0;
  /** Whether it is kept how curves run, for a pen that is led along them: chords run a little otherwise. */
  keepsCurves: bool = false;
  /** Where curves are kept: for each subpath the directions of its start and of its end, unit vectors or 0, 0 for its segment's. */
  private directions: usize = 0;
  /** For each curve the numbers of its first and its last point. */
  private curveTable: usize = 0;
  private curveRoom: i32 = 0;
  /** The number of curves. */
  curves: i32 = 0;

  clear(): void {
    this.count = 0;
    this.subpaths = 0;
    this.curves = 0;
  }

  /** Begins a subpath at a point. */
  begin(x: f64, y: f64): void {
    if (this.subpaths === this.tableRoom) {
      this.tableRoom = max(64, this.tableRoom * 2);
      this.table = grow(this.table, this.tableRoom * subpathBytes);
      if (this.keepsCurves) this.directions = grow(this.directions, this.tableRoom * directionBytes);
    }
    if (this.keepsCurves) memory.fill(this.directions + this.subpaths * directionBytes, 0, directionBytes);
    const at = this.table + this.subpaths++ * subpathBytes;
    store<i32>(at, this.count);
    store<i32>(at, 0, 4);
    this.add(x, y);
  }

  /** Continues the subpath with a straight line. */
  @inline
  add(x: f64, y: f64): void {
    if (this.count === this.room) this.reserve(1);
    const at = this.points + this.count++ * pointBytes;
    store<f64>(at, x);
    store<f64>(at, y, 8);
  }

  /** Makes room for so many points more. */
  reserve(more: i32): void {
    if (this.count + more <= this.room) return;
    this.room = max(max(1024, this.room * 2), this.count + more);
    this.points = grow(this.points, this.room * pointBytes);
  }

  /** Closes the subpath with a straight line to its start. */
  close(): void {
    if (this.subpaths > 0) store<i32>(this.table + (this.subpaths - 1) * subpathBytes, 1, 4);
  }

  @inline
  x(point: i32): f64 {
    return load<f64>(this.points + point * pointBytes);
  }

  @inline
  y(point: i32): f64 {
    return load<f64>(this.points + point * pointBytes, 8);
  }

  @inline
  setPoint(point: i32, x: f64, y: f64): void {
    const at = this.points + point * pointBytes;
    store<f64>(at, x);
    store<f64>(at, y, 8);
  }

  /** The number of a subpath's first point. */
  @inline
  start(subpath: i32): i32 {
    return load<i32>(this.table + subpath * subpathBytes);
  }

  /** The number behind a subpath's last point. */
  @inline
  end(subpath: i32): i32 {
    return subpath + 1 < this.subpaths ? this.start(subpath + 1) : this.count;
  }

  isClosed(subpath: i32): bool {
    return load<i32>(this.table + subpath * subpathBytes, 4) === 1;
  }

  /** Tells the direction in which the last subpath sets out. */
  setOut(dx: f64, dy: f64): void {
    this.setDirection(this.directions + (this.subpaths - 1) * directionBytes, dx, dy);
  }

  /** Tells the direction in which the last subpath arrives at its end. */
  arrive(dx: f64, dy: f64): void {
    this.setDirection(this.directions + (this.subpaths - 1) * directionBytes + 16, dx, dy);
  }

  private setDirection(at: usize, dx: f64, dy: f64): void {
    const length = Math.sqrt(dx * dx + dy * dy);
    const isKnown = length > 0 && isFinite(length);
    store<f64>(at, isKnown ? dx / length : 0);
    store<f64>(at, isKnown ? dy / length : 0, 8);
  }

  /** The address of the direction in which a subpath sets out, or, 16 bytes on, arrives. */
  @inline
  directionsOf(subpath: i32): usize {
    return this.directions + subpath * directionBytes;
  }

  /** Tells that the points from one on up to the last are of a curve. */
  addCurve(first: i32): void {
    if (this.curves === this.curveRoom) {
      this.curveRoom = max(64, this.curveRoom * 2);
      this.curveTable = grow(this.curveTable, this.curveRoom * curveBytes);
    }
    const at = this.curveTable + this.curves++ * curveBytes;
    store<i32>(at, first);
    store<i32>(at, this.count - 1, 4);
  }

  @inline
  curveStart(curve: i32): i32 {
    return load<i32>(this.curveTable + curve * curveBytes);
  }

  @inline
  curveEnd(curve: i32): i32 {
    return load<i32>(this.curveTable + curve * curveBytes, 4);
  }

  /** Forgets the subpaths from one on. */
  cut(subpath: i32): void {
    if (subpath >= this.subpaths) return;
    this.count = this.start(subpath);
    this.subpaths = subpath;
  }

  /** Forgets all points of a subpath. */
  drop(subpath: i32): void {
    for (let i = this.start(subpath); i < this.end(subpath); i++) this.setPoint(i, 0, 0);
  }

  /** Leads the points from one on through a transform. */
  transform(first: i32, a: f64, b: f64, c: f64, d: f64, e: f64, f: f64): void {
    for (let i = first; i < this.count; i++) {
      const x = this.x(i);
      const y = this.y(i);
      this.setPoint(i, a * x + c * y + e, b * x + d * y + f);
    }
  }
}
