import { arc, arcPoint, close, commandLength, cubic, line, move, quad, type Path } from './path.ts';

/** Powers of ten that make seven digits of a number whole, by how many stand before its point. */
const wholeBy = [1e7, 1e6, 1e5, 1e4, 1e3];

/** A number in seven digits, as many as anyone can see. */
export function short(value: number): string {
  const size = Math.abs(value);
  if (size < 1e4 && size >= 0.1) {
    // Most numbers: the same as below, several times as fast, by whole numbers only.
    const factor = wholeBy[size < 1 ? 0 : size < 10 ? 1 : size < 100 ? 2 : size < 1000 ? 3 : 4];
    const digits = size * factor;
    const whole = Math.round(digits);
    // Close to a half, which way to round depends on all digits.
    if (Math.abs(Math.abs(digits - whole) - 0.5) > 1e-6) return (value < 0 ? '-' : '') + decimal(whole, factor);
  }
  return String(Number(value.toPrecision(7)));
}

/** How numbers are written. */
export type NumberWriter = (value: number) => string;

/** Writes numbers in so many digits. */
export function inDigits(digits: number): NumberWriter {
  return digits === 7 ? short : (value) => String(Number(value.toPrecision(digits)));
}

/** A whole number divided by a power of ten. */
function decimal(whole: number, factor: number): string {
  const units = Math.floor(whole / factor);
  // A leading 1 keeps the zeros behind the point.
  let digits = whole - units * factor + factor;
  while (digits > 1 && digits % 10 === 0) digits /= 10;
  return digits === 1 ? String(units) : `${units}.${String(digits).slice(1)}`;
}

/** A path as SVG path data. */
export function pathData(path: Path, write: NumberWriter = short): string {
  let data = '';
  let open = false;
  const at = (i: number): string => `${write(path[i])} ${write(path[i + 1])}`;
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
        data += arcData(path, i, open, write);
        break;
      default:
        data += 'Z';
    }
    open = path[i] !== close;
  }
  return data;
}

/** An arc in pieces of less than half a turn: SVG draws none that ends where it begins. */
function arcData(path: Path, i: number, open: boolean, write: NumberWriter): string {
  const [rx, ry, rotation, start, sweep] = [path[i + 3], path[i + 4], path[i + 5], path[i + 6], path[i + 7]];
  const point = (degrees: number): string => arcPoint(path, i, degrees).map(write).join(' ');
  let data = `${open ? 'L' : 'M'}${point(start)}`;
  if (rx === 0 || ry === 0) {
    // A flat one goes to and fro along a line, and turns where a round one would be furthest out: once about is all.
    const [way, end] = [Math.sign(sweep), start + sweep];
    const first = way * (Math.floor((way * start) / 90) + 1);
    for (let quarter = 0; quarter < 4; quarter++) {
      const turn = (first + way * quarter) * 90;
      if (way * turn < way * end) data += `L${point(turn)}`;
    }
    return `${data}L${point(end)}`;
  }
  const pieces = Math.max(1, Math.ceil(Math.abs(sweep) / 120));
  const radii = `${write(Math.abs(rx))} ${write(Math.abs(ry))} ${write(rotation)}`;
  // A mirrored ellipse runs the other way round.
  const way = sweep > 0 === rx * ry >= 0 ? 1 : 0;
  for (let piece = 1; piece <= pieces; piece++) data += `A${radii} 0 ${way} ${point(start + (sweep * piece) / pieces)}`;
  return data;
}
