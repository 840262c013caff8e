import { grow } from './memory.ts';

/** Numbers to a point, and bytes to it. */
const pointBytes: i32 = 16;
const subpathBytes: i32 = 8;

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

  clear(): void {
    this.count = 0;
    this.subpaths = 0;
  }

  /** Begins a subpath at a point. */
  begin(x: f64, y: f64): void {
    if (this.subpaths === this.tableRoom) {
      this.tableRoom = max(64, this.tableRoom * 2);
      this.table = grow(this.table, this.tableRoom * subpathBytes);
    }
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
