import { apply, inverse, multiply, translation, type Matrix } from '../geometry/matrix.ts';
import { arc, commandLength } from '../geometry/path.ts';
import { tablePaint, type Frame, type TablePaint } from './frame.ts';

/*
 * A frame whose view is far from (0, 0), such as a map, rewritten in coordinates relative to a point of the view. Surfaces
 * with single precision can then tell its points apart.
 */

/** The same picture with its coordinates counted from a point of its view. */
export function countedFrom(frame: Frame, [x, y]: readonly [number, number]): Frame {
  const count = frame.columns.pathStart.length;
  const shifts: Shift[] = [];
  const shiftOf = (transform: number): Shift => (shifts[transform] ??= shiftAt(frame.matrices, transform * 6, x, y));
  const path = new Float64Array(frame.path.length);
  const paints = [...frame.paints];
  const moved = new Map<string, number>();
  const paintAt = (place: number, shift: Shift, transform: number): number => {
    const key = `${place} ${transform}`;
    if (!moved.has(key)) moved.set(key, paints.push(movePaint(frame.paints[place - 1], shift)));
    return moved.get(key)!;
  };
  const { columns } = frame;
  const [fill, stroke] = [columns.fill.slice(), columns.stroke.slice()];
  for (let item = 0; item < count; item++) {
    const transform = columns.transform[item];
    const shift = shiftOf(transform);
    movePath(frame.path, columns.pathStart[item], columns.pathEnd[item], shift, path);
    if (columns.fillKind[item] === tablePaint) fill[item] = paintAt(fill[item], shift, transform);
    if (columns.strokeKind[item] === tablePaint) stroke[item] = paintAt(stroke[item], shift, transform);
  }
  const matrices = frame.matrices.slice();
  shifts.forEach(({ isMoved }, transform) => {
    // The translation is in the coordinates now; turn, scale and skew are left.
    if (isMoved) matrices.fill(0, transform * 6 + 4, transform * 6 + 6);
  });
  const view = multiply(frame.view, translation(x, y));
  return { ...frame, view, path, paints, matrices, columns: { ...columns, fill, stroke } };
}

/** How far an item's own coordinates move. */
interface Shift {
  readonly dx: number;
  readonly dy: number;
  /** False where its transform has no way back: then nothing of it is drawn. */
  readonly isMoved: boolean;
}

function shiftAt(matrices: Float64Array, at: number, x: number, y: number): Shift {
  const back = inverse(Array.from(matrices.subarray(at, at + 6)) as unknown as Matrix);
  if (back === undefined) return { dx: 0, dy: 0, isMoved: false };
  const [px, py] = apply(back, x, y);
  return { dx: -px, dy: -py, isMoved: true };
}

function movePath(from: Float64Array, start: number, end: number, { dx, dy }: Shift, into: Float64Array): void {
  for (let i = start; i < end;) {
    const length = commandLength[from[i]];
    into.set(from.subarray(i, i + length), i);
    // Of an arc only its center is a place.
    for (let j = i + 1; j < (from[i] === arc ? i + 3 : i + length); j += 2) {
      into[j] += dx;
      into[j + 1] += dy;
    }
    i += length;
  }
}

type Mover<Paint> = (paint: Paint, dx: number, dy: number) => Paint;
type PaintOf<Type> = Extract<TablePaint, { type: Type }>;

const placed = <Paint extends { readonly transform: Matrix }>(paint: Paint, dx: number, dy: number): Paint => ({
  ...paint,
  transform: multiply(translation(dx, dy), paint.transform),
});

const movers: { [Type in TablePaint['type']]: Mover<PaintOf<Type>> } = {
  linear: (paint, dx, dy) => ({
    ...paint,
    from: [paint.from[0] + dx, paint.from[1] + dy],
    to: [paint.to[0] + dx, paint.to[1] + dy],
  }),
  radial: (paint, dx, dy) => ({
    ...paint,
    at: [paint.at[0] + dx, paint.at[1] + dy],
    focus: [paint.focus[0] + dx, paint.focus[1] + dy],
  }),
  conic: (paint, dx, dy) => ({ ...paint, at: [paint.at[0] + dx, paint.at[1] + dy] }),
  pattern: placed,
  picture: placed,
};

function movePaint(paint: TablePaint, { dx, dy }: Shift): TablePaint {
  // A gradient in fractions of a box goes where the box goes.
  if ('units' in paint && paint.units === 'box') return paint;
  return (movers[paint.type] as Mover<TablePaint>)(paint, dx, dy);
}
