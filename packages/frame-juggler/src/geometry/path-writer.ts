import { xOf, yOf, type Point } from '../schema/point.ts';
import { arc, close, commandLength, cubic, line, move, type Path } from './path.ts';

/** Outlines on their way into one list of numbers, one after the other. Nothing is checked here. */
export class PathWriter {
  /** The list; what lies behind `length` is not in use. */
  numbers: Float64Array<ArrayBuffer>;
  length = 0;

  /** @param expected how many numbers there will be, about */
  constructor(expected = 64) {
    this.numbers = new Float64Array(expected);
  }

  move(x: number, y: number): void {
    this.point(move, x, y);
  }

  line(x: number, y: number): void {
    this.point(line, x, y);
  }

  cubic(x1: number, y1: number, x2: number, y2: number, x: number, y: number): void {
    const at = this.room(7);
    const { numbers } = this;
    numbers[at] = cubic;
    numbers[at + 1] = x1;
    numbers[at + 2] = y1;
    numbers[at + 3] = x2;
    numbers[at + 4] = y2;
    numbers[at + 5] = x;
    numbers[at + 6] = y;
  }

  /** A part of an ellipse; its angles are in degrees. */
  arc(x: number, y: number, rx: number, ry: number, start: number, sweep: number): void {
    const at = this.room(8);
    const { numbers } = this;
    numbers[at] = arc;
    numbers[at + 1] = x;
    numbers[at + 2] = y;
    numbers[at + 3] = rx;
    numbers[at + 4] = ry;
    numbers[at + 5] = 0;
    numbers[at + 6] = start;
    numbers[at + 7] = sweep;
  }

  close(): void {
    const at = this.room(1);
    this.numbers[at] = close;
  }

  /** A whole ellipse. */
  ellipse(x: number, y: number, rx: number, ry: number): void {
    this.arc(x, y, rx, ry, 0, 360);
    this.close();
  }

  /** An upright rectangle, clockwise from its top left. */
  rect(x: number, y: number, width: number, height: number): void {
    const [right, bottom] = [x + width, y + height];
    this.move(x, y);
    this.line(right, y);
    this.line(right, bottom);
    this.line(x, bottom);
    this.close();
  }

  /** Straight lines through all points; nothing of less than two. */
  polyline(points: readonly Point[], closed: boolean): void {
    if (points.length < 2) return;
    for (let i = 0; i < points.length; i++) this.point(i === 0 ? move : line, xOf(points[i]), yOf(points[i]));
    if (closed) this.close();
  }

  /** Another outline, moved. */
  path(path: Path, dx = 0, dy = 0): void {
    let to = this.room(path.length);
    const { numbers } = this;
    for (let i = 0; i < path.length;) {
      const next = i + commandLength[path[i]];
      // The center of an arc is its one point; all that other commands hold are points.
      const pointsEnd = path[i] === arc ? i + 3 : next;
      numbers[to++] = path[i++];
      for (; i < pointsEnd; i += 2) {
        numbers[to++] = path[i] + dx;
        numbers[to++] = path[i + 1] + dy;
      }
      while (i < next) numbers[to++] = path[i++];
    }
  }

  private point(command: number, x: number, y: number): void {
    const at = this.room(3);
    this.numbers[at] = command;
    this.numbers[at + 1] = x;
    this.numbers[at + 2] = y;
  }

  /** Makes room for so many numbers more, and gives the place of the first. */
  private room(count: number): number {
    const at = this.length;
    this.length = at + count;
    if (this.length > this.numbers.length) {
      const grown = new Float64Array(Math.max(this.length, this.numbers.length * 2));
      grown.set(this.numbers);
      this.numbers = grown;
    }
    return at;
  }
}
