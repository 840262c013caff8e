import type { Matrix } from 'frame-juggler';

/*
 * From the sketch's units to pixels of the page, within the picture.
 */

export function toPage({ matrix }: { readonly matrix: Matrix }, scale: number): Matrix {
  return matrix.map((part) => part * scale) as unknown as Matrix;
}

/** Where a transform takes a point. */
export function through([a, b, c, d, e, f]: Matrix, x: number, y: number): [number, number] {
  return [a * x + c * y + e, b * x + d * y + f];
}

/** A transform as SVG writes it. */
export function svgMatrix(matrix: Matrix): string {
  return `matrix(${matrix.join(' ')})`;
}
