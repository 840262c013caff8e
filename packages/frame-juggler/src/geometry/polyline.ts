/**
 * Flattened outlines, kept in growing typed arrays that are used again from shape to shape: the rasterizer's inner
 * loops allocate nothing.
 */
export class Polylines {
  /** x, y of every point of every subpath, one after the other. */
  points = new Float64Array(1024);
  /** The number of points in all. */
  count = 0;
  /** For each subpath the index of its first point. */
  starts = new Int32Array(64);
  /** For each subpath 1 where it is closed. */
  closed = new Uint8Array(64);
  subpaths = 0;

  clear(): void {
    this.count = 0;
    this.subpaths = 0;
  }

  /** Begins a subpath at a point. */
  begin(x: number, y: number): void {
    if (this.subpaths === this.starts.length) {
      this.starts = grown(this.starts, new Int32Array(this.subpaths * 2));
      this.closed = grown(this.closed, new Uint8Array(this.subpaths * 2));
    }
    this.starts[this.subpaths] = this.count;
    this.closed[this.subpaths++] = 0;
    this.add(x, y);
  }

  /** Continues the subpath with a straight line. */
  add(x: number, y: number): void {
    if (this.count * 2 === this.points.length) this.points = grown(this.points, new Float64Array(this.count * 4));
    this.points[this.count * 2] = x;
    this.points[this.count * 2 + 1] = y;
    this.count++;
  }

  /** Closes the subpath with a straight line to its start. */
  close(): void {
    if (this.subpaths > 0) this.closed[this.subpaths - 1] = 1;
  }

  /** The index behind the last point of a subpath. */
  end(subpath: number): number {
    return subpath + 1 < this.subpaths ? this.starts[subpath + 1] : this.count;
  }
}

function grown<T extends Int32Array | Uint8Array | Float64Array>(from: T, to: T): T {
  to.set(from);
  return to;
}
