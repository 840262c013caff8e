import { fail } from '../error.ts';
import { onlyKnown } from '../known-names.ts';
import { finite, length } from '../schema/kind.ts';
import { point, xOf, yOf, type Point } from '../schema/point.ts';
import { arc, close, cubic, line, move, quad, type Path } from './path.ts';

/**
 * Builds an outline call by call, with the names of the canvas standard. Where a call takes x and y, it takes a point
 * as well. Angles are degrees. As in the standard, the first drawing call starts the outline, and an arc is joined to
 * what came before by a line.
 */
export class PathBuilder {
  private readonly numbers: number[] = [];

  /** What has been built. */
  get path(): Path {
    return this.numbers;
  }

  /** Begins a new subpath. */
  moveTo(x: number, y: number): this;
  moveTo(point: Point): this;
  moveTo(...to: readonly unknown[]): this {
    add(this.numbers, move, read('moveTo', end, to));
    return this;
  }

  /** A straight line. */
  lineTo(x: number, y: number): this;
  lineTo(point: Point): this;
  lineTo(...to: readonly unknown[]): this {
    add(this.numbers, this.numbers.length === 0 ? move : line, read('lineTo', end, to));
    return this;
  }

  /** A curve with one control point. */
  quadraticCurveTo(controlX: number, controlY: number, x: number, y: number): this;
  quadraticCurveTo(control: Point, point: Point): this;
  quadraticCurveTo(...points: readonly unknown[]): this {
    addCurve(this.numbers, quad, read('quadraticCurveTo', ['controlX', 'controlY', ...end], points));
    return this;
  }

  /** A curve with two control points. */
  bezierCurveTo(x1: number, y1: number, x2: number, y2: number, x: number, y: number): this;
  bezierCurveTo(control1: Point, control2: Point, point: Point): this;
  bezierCurveTo(...points: readonly unknown[]): this {
    addCurve(this.numbers, cubic, read('bezierCurveTo', ['x1', 'y1', 'x2', 'y2', ...end], points));
    return this;
  }

  /** Part of a circle, from one angle to another, in degrees. */
  arc(x: number, y: number, radius: number, start: number, end: number): this;
  arc(center: Point, radius: number, start: number, end: number): this;
  arc(...circle: readonly unknown[]): this {
    const [x, y, radius, start, stop] = read('arc', [...end, 'radius', 'start', 'end'], circle);
    length.read('path.arc', 'radius', radius);
    addArc(this.numbers, [x, y, radius, radius, 0], start, stop);
    return this;
  }

  /**
   * Part of an ellipse that is turned by `rotation`, from one angle to another, in degrees; all of it where angles are
   * left out.
   */
  ellipse(
    x: number,
    y: number,
    radiusX: number,
    radiusY: number,
    rotation?: number,
    start?: number,
    end?: number,
  ): this;
  ellipse(center: Point, radiusX: number, radiusY: number, rotation?: number, start?: number, end?: number): this;
  ellipse(...ellipse: readonly unknown[]): this {
    const names = [...end, 'radiusX', 'radiusY', 'rotation', 'start', 'end'];
    const [x, y, radiusX, radiusY, rotation, start, stop] = read('ellipse', names, ellipse, [0, 0, 360]);
    length.read('path.ellipse', 'radiusX', radiusX);
    length.read('path.ellipse', 'radiusY', radiusY);
    addArc(this.numbers, [x, y, radiusX, radiusY, rotation], start, stop);
    return this;
  }

  /** A closed rectangle. */
  rect(x: number, y: number, width: number, height: number): this;
  rect(point: Point, width: number, height: number): this;
  rect(...rect: readonly unknown[]): this {
    const [x, y, width, height] = read('rect', [...end, 'width', 'height'], rect);
    this.moveTo(x, y).lineTo(x + width, y);
    this.lineTo(x + width, y + height).lineTo(x, y + height);
    return this.closePath();
  }

  /** Closes the subpath with a straight line to its start. */
  closePath(): this {
    if (this.numbers.length === 0) fail({ call: 'path.closePath', problem: 'there is nothing to close' });
    this.numbers.push(close);
    return this;
  }
}

const { path: _path, constructor: _class, ...calls } = Object.getOwnPropertyDescriptors(PathBuilder.prototype);
onlyKnown('path', () => Object.keys(calls))(PathBuilder.prototype);

function add(path: number[], command: number, values: readonly number[]): void {
  path.push(command, ...values);
}

function addCurve(path: number[], command: number, points: readonly number[]): void {
  if (path.length === 0) add(path, move, points.slice(0, 2));
  add(path, command, points);
}

function addArc(path: number[], ellipse: readonly number[], start: number, stop: number): void {
  add(path, arc, [...ellipse, start, Math.max(-360, Math.min(360, stop - start))]);
}

/** Where a line or a curve ends; and what else is given by an x and a y. */
const end = ['x', 'y'];

/**
 * The numbers that a call was given, checked; a point may stand for its two.
 *
 * @param names of all that it takes
 * @param defaults of the last of them
 */
function read(
  call: string,
  names: readonly string[],
  given: readonly unknown[],
  defaults: readonly number[] = [],
): readonly number[] {
  // As nearly all calls are; outlines may have very many.
  if (given.length === names.length && given.every(Number.isFinite)) return given as readonly number[];
  const numbers: number[] = [];
  for (const value of given) {
    const name = names[numbers.length];
    if (name === undefined)
      fail({ call: `path.${call}`, value, problem: 'is one too many', expected: `expected ${names.join(', ')}` });
    if (typeof value === 'object' && value !== null && isFirstOfPoint.test(name)) {
      const at = point.read(`path.${call}`, 'point', value);
      numbers.push(xOf(at), yOf(at));
    } else numbers.push(finite.read(`path.${call}`, name, value));
  }
  for (let i = numbers.length; i < names.length; i++)
    numbers.push(finite.read(`path.${call}`, names[i], defaults[i - names.length + defaults.length]));
  return numbers;
}

/** The names of an x that a y follows. */
const isFirstOfPoint = /^(control)?x/i;
