import { identity, type Matrix } from '../../geometry/matrix.ts';
import { arc, close, commandLength, line, move, type Path } from '../../geometry/path.ts';
import { pathData, type NumberWriter } from '../../geometry/write-path-data.ts';
import type { Attributes } from './xml.ts';

/** A path as the plainest element that draws it: `circle`, `rect`, `line`, `polygon`, or `path`. */
export function outlineElement(
  path: Path,
  write: NumberWriter,
): { readonly name: string; readonly attributes: Attributes } {
  // What has no width or no height is a line to draw along, and as one of SVG's own shapes would not be drawn.
  if (path.length === 9 && path[0] === arc && path[5] === 0 && path[6] === 0 && path[7] === 360 && path[8] === close) {
    const [cx, cy, rx, ry] = [path[1], path[2], path[3], path[4]];
    if (rx === ry && rx > 0) return { name: 'circle', attributes: written({ cx, cy, r: rx }, write) };
    if (rx > 0 && ry > 0) return { name: 'ellipse', attributes: written({ cx, cy, rx, ry }, write) };
  }
  const straight = straightPoints(path);
  if (straight === undefined) return { name: 'path', attributes: { d: pathData(path, write) } };
  const { points, closed } = straight;
  const [[x, y], [x1, y1], [x2, y2], [x3, y3]] = [...points, [], [], []] as [number, number][];
  if (points.length === 4 && closed && x === x3 && y === y1 && x1 === x2 && y2 === y3 && x1 > x && y2 > y)
    return { name: 'rect', attributes: written({ x, y, width: x1 - x, height: y2 - y }, write) };
  if (points.length === 2 && !closed)
    return { name: 'line', attributes: written({ x1: x, y1: y, x2: x1, y2: y1 }, write) };
  const list = points.map(([px, py]) => `${write(px)},${write(py)}`).join(' ');
  return { name: closed ? 'polygon' : 'polyline', attributes: { points: list } };
}

/** Numbers as attributes. */
export function written(numbers: Readonly<Record<string, number | undefined>>, write: NumberWriter): Attributes {
  const texts: Record<string, string> = {};
  for (const [name, value] of Object.entries(numbers)) if (value !== undefined) texts[name] = write(value);
  return texts;
}

/** The corners of a path of one subpath and straight lines only. */
function straightPoints(path: Path): { points: [number, number][]; closed: boolean } | undefined {
  const points: [number, number][] = [];
  for (let i = 0; i < path.length; i += commandLength[path[i]]) {
    if (path[i] === close && i === path.length - 1) return points.length > 1 ? { points, closed: true } : undefined;
    if (path[i] !== (i === 0 ? move : line)) return undefined;
    points.push([path[i + 1], path[i + 2]]);
  }
  return points.length > 1 ? { points, closed: false } : undefined;
}

/** A transform as SVG writes it; undefined where it changes nothing. */
export function transformText(matrix: Matrix, write: NumberWriter): string | undefined {
  const [a, b, c, d, e, f] = matrix;
  if (matrix.every((value, index) => value === identity[index])) return undefined;
  if (a === 1 && b === 0 && c === 0 && d === 1) return `translate(${write(e)} ${write(f)})`;
  return `matrix(${[a, b, c, d, e, f].map(write).join(' ')})`;
}
