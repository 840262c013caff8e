/*
 * Sine and cosine within an eighth of a turn, by the polynomials of fdlibm (FDLIBM-LICENSE.txt; k_sin.c, k_cos.c): right
 * to less than one unit in the last place. The raster engine is compiled from this file too.
 */

/** The sine of `x` + `tail`, radians within ±π/4; the tail holds what is too small to show in `x`. */
export function sineWithin(x: number, tail: number): number {
  const square = x * x;
  const cube = square * x;
  const rest =
    8.33333333332248946124e-3 +
    square *
      (-1.98412698298579493134e-4 +
        square *
          (2.75573137070700676789e-6 + square * (-2.50507602534068634195e-8 + square * 1.58969099521155010221e-10)));
  return x - (square * (0.5 * tail - cube * rest) - tail - cube * -1.66666666666666324348e-1);
}

/** The cosine of `x` + `tail`, radians within ±π/4. */
export function cosineWithin(x: number, tail: number): number {
  const square = x * x;
  const fourth = square * square;
  const rest =
    square * (4.16666666666666019037e-2 + square * (-1.38888888888741095749e-3 + square * 2.48015872894767294178e-5)) +
    fourth *
      fourth *
      (-2.75573143513906633035e-7 + square * (2.0875723212981748279e-9 + square * -1.13596475577881948265e-11));
  const half = 0.5 * square;
  const near = 1 - half;
  return near + (1 - near - half + (square * rest - x * tail));
}
