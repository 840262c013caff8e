import { fail } from '../error.ts';
import { finite, length } from '../schema/kind.ts';
import { isPoint } from '../schema/point.ts';
import { arc, close, cubic, line, move, quad, type Path } from './path.ts';

/**
 * Builds an outline call by call, with the names of the canvas standard. Angles are degrees. As in the standard, the first drawing call starts the outline, and an arc is joined to what came before by a line.
 */
export class PathBuilder {
  private readonly numbers: number[] = [];

  /** What has been built. */
  get path(): Path {
    return this.numbers;
  }

  /** Begins a new subpath. */
  moveTo(x: number, y: number): this {
    return this.add('moveTo', move, x, y);
  }

  /** A straight line. */
  lineTo(x: number, y: number): this {
    return this.add('lineTo', this.numbers.length === 0 ? move : line, x, y);
  }

  /** A curve with one control point. */
  quadraticCurveTo(controlX: number, controlY: number, x: number, y: number): this {
    this.begin('quadraticCurveTo', controlX, controlY);
    return this.add('quadraticCurveTo', quad, controlX, controlY, x, y);
  }

  /** A curve with two control points. */
  bezierCurveTo(x1: number, y1: number, x2: number, y2: number, x: number, y: number): this {
    this.begin('bezierCurveTo', x1, y1);
    return this.add('bezierCurveTo', cubic, x1, y1, x2, y2, x, y);
  }

  /** Part of a circle, from one angle to another, in degrees. */
  arc(x: number, y: number, radius: number, start: number, end: number): this {
    length.read('path.arc', 'radius', radius);
    return this.addArc('arc', [x, y, radius, radius, 0, start, end]);
  }

  /**
   * Part of an ellipse that is turned by `rotation`, from one angle to another, in degrees; all of it where angles are
   * left out.
   */
  ellipse(x: number, y: number, radiusX: number, radiusY: number, rotation = 0, start = 0, end = 360): this {
    length.read('path.ellipse', 'radiusX', radiusX);
    length.read('path.ellipse', 'radiusY', radiusY);
    return this.addArc('ellipse', [x, y, radiusX, radiusY, rotation, start, end]);
  }

  /** A closed rectangle. */
  rect(x: number, y: number, width: number, height: number): this {
    finite.read('path.rect', 'width', width);
    finite.read('path.rect', 'height', height);
    this.add('rect', move, x, y).lineTo(x + width, y);
    this.lineTo(x + width, y + height).lineTo(x, y + height);
    return this.closePath();
  }

  /** Closes the subpath with a straight line to its start. */
  closePath(): this {
    if (this.numbers.length === 0) fail({ call: 'path.closePath', problem: 'there is nothing to close' });
    this.numbers.push(close);
    return this;
  }

  private begin(call: string, x: number, y: number): void {
    if (this.numbers.length === 0) this.add(call, move, x, y);
  }

  private addArc(call: string, [x, y, rx, ry, rotation, start, end]: readonly number[]): this {
    const sweep = Math.max(-360, Math.min(360, end - start));
    return this.add(call, arc, x, y, rx, ry, rotation, start, sweep);
  }

  private add(call: string, command: number, ...values: number[]): this {
    for (let i = 0; i < values.length; i++)
      if (!Number.isFinite(values[i])) refuse(`path.${call}`, `argument ${i + 1}`, values[i]);
    this.numbers.push(command, ...values);
    return this;
  }
}

function refuse(call: string, option: string, value: unknown): never {
  if (isPoint(value)) fail({ call, option, value, problem: 'is a point', expected: 'expected x and y as two numbers' });
  return finite.refuse(call, option, value);
}
