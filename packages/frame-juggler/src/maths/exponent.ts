/*
 * The exponential and the logarithm by the methods of fdlibm (FDLIBM-LICENSE.txt; e_exp.c, e_log.c): right to less than
 * one unit in the last place.
 */
import { scaleByTwo, splitNumber } from './bits.ts';

/** The logarithm of 2 in two parts: the first has so few bits that its product with an exponent is exact. */
const ln2 = 6.9314718036912381649e-1;
const ln2Tail = 1.90821492927058770002e-10;

/** What exponentials of `r`, near 0, are made of: r − r² · (1/6 − …). */
export function reducedSeries(r: number): number {
  const t = r * r;
  return (
    r -
    t *
      (1.66666666666666019037e-1 +
        t *
          (-2.77777777770155933842e-3 +
            t * (6.61375632143793436117e-5 + t * (-1.6533902205465251539e-6 + t * 4.13813679705723846039e-8))))
  );
}

/** e to the power of `x`. */
export function exp(x: number): number {
  // Beyond these bounds the result overflows or underflows. NaN stays what it is.
  if (x > 709.8) return Infinity;
  if (x < -745.2) return 0;
  if (Number.isNaN(x)) return x;
  const power = Math.round(x * 1.442695040888963387);
  const high = x - power * ln2;
  const low = power * ln2Tail;
  const r = high - low;
  const c = reducedSeries(r);
  return scaleByTwo(1 - (low - (r * c) / (2 - c) - high), power);
}

/** The natural logarithm of `x`. */
export function log(x: number): number {
  if (!(x > 0 && x < Infinity)) return x === 0 ? -Infinity : x > 0 ? x : NaN;
  let { mantissa, exponent } = splitNumber(x);
  if (mantissa > Math.SQRT2) {
    mantissa /= 2;
    exponent++;
  }
  const f = mantissa - 1;
  const s = f / (2 + f);
  const z = s * s;
  const w = z * z;
  const series =
    w * (3.999999999940941908e-1 + w * (2.222219843214978396e-1 + w * 1.531383769920937332e-1)) +
    z *
      (6.66666666666673513e-1 +
        w * (2.857142874366239149e-1 + w * (1.818357216161805012e-1 + w * 1.479819860511658591e-1)));
  const half = 0.5 * f * f;
  return exponent * ln2 - (half - (s * (half + series) + exponent * ln2Tail) - f);
}
