import { fail } from '../error.ts';
import { sinCos } from '../maths/degrees.ts';
import { arc, close, cubic, isFinitePath, line, move, quad, type Path } from './path.ts';
import { atan2 } from '../maths/arc.ts';

/** How many numbers each command of SVG path data takes. */
const argumentCounts: Readonly<Record<string, number>> = { M: 2, L: 2, H: 1, V: 1, C: 6, S: 4, Q: 4, T: 2, A: 7, Z: 0 };
const numberPattern = /[\s,]*([+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?)/iy;
const flagPattern = /[\s,]*([01])/y;
const commandPattern = /[\s,]*([a-z])/iy;

/** What was read before, as sketches draw the same data in every frame; and how long all of that is. */
const known = new Map<string, Path>();
let knownLength = 0;
const maxLength = 1e6;

/**
 * Reads SVG path data (SVG 2, 9.3) into a path: all commands, absolute and relative.
 * @throws SketchError that says where it cannot be read.
 */
export function parsePathData(call: string, data: string): Path {
  let path = known.get(data);
  if (path !== undefined) return path;
  path = parse(call, data);
  knownLength += data.length;
  if (knownLength > maxLength) {
    known.clear();
    knownLength = data.length;
  }
  known.set(data, path);
  return path;
}

function parse(call: string, data: string): Path {
  const path: number[] = [];
  let at = 0;
  let [x, y, startX, startY] = [0, 0, 0, 0];
  // The last control point, which smooth curves mirror.
  let [controlX, controlY] = [0, 0];
  let previous = '';

  const bad = (expected: string, place = at): never => {
    const [from, to] = [Math.max(0, place - 12), place + 12];
    return fail({
      call,
      option: 'data',
      value: (from > 0 ? '…' : '') + data.slice(from, to) + (to < data.length ? '…' : ''),
      problem: `cannot be read at character ${place + 1}`,
      expected: `expected ${expected}`,
    });
  };
  const take = (pattern: RegExp): string | undefined => {
    pattern.lastIndex = at;
    const found = pattern.exec(data);
    if (found) at = pattern.lastIndex;
    return found?.[1];
  };
  const number = (pattern: RegExp): number => {
    const value = Number(take(pattern) ?? bad(pattern === flagPattern ? '0 or 1' : 'a number'));
    return Number.isFinite(value) ? value : bad('a smaller number');
  };

  for (;;) {
    const letter = take(commandPattern);
    if (letter === undefined) {
      if (data.slice(at).trim() !== '') bad('a command');
      // Relative coordinates may add up to infinity.
      return isFinitePath(path) ? path : bad('smaller numbers');
    }
    let command = letter.toUpperCase();
    const count = argumentCounts[command] ?? bad('a command: M L H V C S Q T A Z', at - 1);
    if (path.length === 0 && command !== 'M') bad('M, where the outline begins', at - 1);
    const relative = letter !== command;
    do {
      const values = Array.from({ length: count }, (_, i) =>
        number(command === 'A' && (i === 3 || i === 4) ? flagPattern : numberPattern),
      );
      const [baseX, baseY] = relative ? [x, y] : [0, 0];
      const px = (i: number): number => baseX + values[i];
      const py = (i: number): number => baseY + values[i];
      // A smooth curve mirrors the control point of a curve of its own kind before it.
      const [mirrorX, mirrorY] = [2 * x - controlX, 2 * y - controlY];
      switch (command) {
        case 'M':
          [x, y] = [px(0), py(1)];
          [startX, startY] = [x, y];
          path.push(move, x, y);
          break;
        case 'L':
        case 'H':
        case 'V':
          [x, y] = [command === 'V' ? x : px(0), command === 'H' ? y : py(command === 'V' ? 0 : 1)];
          path.push(line, x, y);
          break;
        case 'C':
        case 'S': {
          const smooth = command === 'S';
          const mirrors = smooth && /[CS]/.test(previous);
          const first = smooth ? (mirrors ? [mirrorX, mirrorY] : [x, y]) : [px(0), py(1)];
          const shift = smooth ? 0 : 2;
          [controlX, controlY] = [px(shift), py(shift + 1)];
          [x, y] = [px(shift + 2), py(shift + 3)];
          path.push(cubic, ...first, controlX, controlY, x, y);
          break;
        }
        case 'Q':
        case 'T': {
          const smooth = command === 'T';
          if (!smooth) [controlX, controlY] = [px(0), py(1)];
          else [controlX, controlY] = /[QT]/.test(previous) ? [mirrorX, mirrorY] : [x, y];
          const shift = smooth ? 0 : 2;
          [x, y] = [px(shift), py(shift + 1)];
          path.push(quad, controlX, controlY, x, y);
          break;
        }
        case 'A': {
          const end = [px(5), py(6)] as const;
          path.push(...arcBetween(x, y, values, ...end));
          [x, y] = end;
          break;
        }
        default:
          [x, y] = [startX, startY];
          path.push(close);
      }
      previous = command;
      // More pairs behind a move are lines.
      if (command === 'M') command = 'L';
    } while (count > 0 && /^[\s,]*[+\-.\d]/.test(data.slice(at, at + 64)));
  }
}

/** An elliptical arc by its end points, as one by its center: SVG 2, appendix B.2.4. */
function arcBetween(x0: number, y0: number, values: readonly number[], x1: number, y1: number): number[] {
  const [radiusX, radiusY, rotation, large, sweeps] = values;
  if (x0 === x1 && y0 === y1) return [];
  if (radiusX === 0 || radiusY === 0) return [line, x1, y1];
  const { sin, cos } = sinCos(rotation);
  const [dx, dy] = [(x0 - x1) / 2, (y0 - y1) / 2];
  const [px, py] = [cos * dx + sin * dy, cos * dy - sin * dx];
  // Radii too short to reach grow until they do.
  const reach = square(px / radiusX) + square(py / radiusY);
  const grow = Math.sqrt(Math.max(1, reach));
  const [rx, ry] = [Math.abs(radiusX) * grow, Math.abs(radiusY) * grow];
  const sign = large === sweeps ? -1 : 1;
  const over = square(rx * py) + square(ry * px);
  const factor = sign * Math.sqrt(Math.max(0, (square(rx * ry) - over) / over));
  const [ux, uy] = [(factor * rx * py) / ry, (-factor * ry * px) / rx];
  const start = (atan2((py - uy) / ry, (px - ux) / rx) * 180) / Math.PI;
  const end = (atan2((-py - uy) / ry, (-px - ux) / rx) * 180) / Math.PI;
  let sweep = (((end - start) % 360) + 360) % 360;
  if (sweeps === 0 && sweep > 0) sweep -= 360;
  return [
    arc,
    cos * ux - sin * uy + (x0 + x1) / 2,
    sin * ux + cos * uy + (y0 + y1) / 2,
    rx,
    ry,
    rotation,
    start,
    sweep,
  ];
}

const square = (x: number): number => x * x;
