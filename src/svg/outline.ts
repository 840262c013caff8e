import { identity, type Matrix } from '../geometry/matrix.ts';
import { arc, close, commandLength, cubic, ellipsePoint, line, move, quad, type Path } from '../geometry/path.ts';
import { short, type Attributes } from './xml.ts';

/** A path as the plainest element that draws it: `circle`, `rect`, `line`, `polygon`, or `path`. */
export function outlineElement(path: Path): { readonly name: string; readonly attributes: Attributes } {
  if (path.length === 9 && path[0] === arc && path[5] === 0 && path[6] === 0 && path[7] === 360 && path[8] === close) {
    const [, cx, cy, rx, ry] = path;
    return rx === ry ? { name: 'circle', attributes: { cx, cy, r: rx } } : { name: 'ellipse', attributes: { cx, cy, rx, ry } }; // prettier-ignore
  }
  const straight = straightPoints(path);
  if (straight === undefined) return { name: 'path', attributes: { d: pathData(path) } };
  const { points, closed } = straight;
  const [[x, y], [x1, y1], [x2, y2], [x3, y3]] = [...points, [], [], []] as [number, number][];
  if (points.length === 4 && closed && x === x3 && y === y1 && x1 === x2 && y2 === y3 && x1 >= x && y2 >= y)
    return { name: 'rect', attributes: { x, y, width: x1 - x, height: y2 - y } };
  if (points.length === 2 && !closed) return { name: 'line', attributes: { x1: x, y1: y, x2: x1, y2: y1 } };
  const list = points.map(([px, py]) => `${short(px)},${short(py)}`).join(' ');
  return { name: closed ? 'polygon' : 'polyline', attributes: { points: list } };
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

/** A path as SVG path data. */
export function pathData(path: Path): string {
  let data = '';
  let open = false;
  const at = (i: number): string => `${short(path[i])} ${short(path[i + 1])}`;
  for (let i = 0; i < path.length; i += commandLength[path[i]]) {
    switch (path[i]) {
      case move:
        data += `M${at(i + 1)}`;
        break;
      case line:
        data += `L${at(i + 1)}`;
        break;
      case quad:
        data += `Q${at(i + 1)} ${at(i + 3)}`;
        break;
      case cubic:
        data += `C${at(i + 1)} ${at(i + 3)} ${at(i + 5)}`;
        break;
      case arc:
        data += arcData(path.slice(i, i + 8), open);
        break;
      default:
        data += 'Z';
    }
    open = path[i] !== close;
  }
  return data;
}

/** An arc in pieces of less than half a turn: SVG draws none that ends where it begins. */
function arcData([, cx, cy, rx, ry, turned, start, sweep]: readonly number[], open: boolean): string {
  const point = (degrees: number): string => ellipsePoint(cx, cy, rx, ry, turned, degrees).map(short).join(' ');
  let data = `${open ? 'L' : 'M'}${point(start)}`;
  const pieces = Math.max(1, Math.ceil(Math.abs(sweep) / 120));
  const radii = `${short(Math.abs(rx))} ${short(Math.abs(ry))} ${short(turned)}`;
  // A mirrored ellipse runs the other way round.
  const way = sweep > 0 === rx * ry >= 0 ? 1 : 0;
  for (let piece = 1; piece <= pieces; piece++) data += `A${radii} 0 ${way} ${point(start + (sweep * piece) / pieces)}`;
  return data;
}

/** A transform as SVG writes it; undefined where it changes nothing. */
export function transformText(matrix: Matrix): string | undefined {
  const [a, b, c, d, e, f] = matrix;
  if (matrix.every((value, index) => value === identity[index])) return undefined;
  if (a === 1 && b === 0 && c === 0 && d === 1) return `translate(${short(e)} ${short(f)})`;
  return `matrix(${[a, b, c, d, e, f].map(short).join(' ')})`;
}
