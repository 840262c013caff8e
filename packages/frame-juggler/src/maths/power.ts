import { scaleByTwo, splitNumber } from './bits.ts';
import { exp, log, reducedSeries } from './exponent.ts';

/**
 * `x` to the power of `y`, by the method of fdlibm (FDLIBM-LICENSE.txt; e_pow.c): the logarithm to the base 2 in two
 * numbers, times `y`, and 2 to the power of that. Right to less than one unit in the last place, and exact where whole
 * numbers are.
 */
export function pow(x: number, y: number): number {
  // Here the language leaves nothing open.
  // eslint-disable-next-line no-restricted-syntax
  if (!Number.isFinite(x) || !Number.isFinite(y) || x === 0 || y === 0 || y === 1) return x ** y;
  if (y === 2) return x * x;
  if (y === 0.5) return Math.sqrt(x);
  if (x < 0 && !Number.isInteger(y)) return NaN;
  const size = powerOf(Math.abs(x), y);
  return x < 0 && y % 2 !== 0 ? -size : size;
}

function powerOf(x: number, y: number): number {
  // To so high a power everything but 1 overflows or underflows.
  if (Math.abs(y) > 18446744073709551616) return x === 1 ? 1 : x > 1 === y > 0 ? Infinity : 0;
  const high = logOfTwo(x);
  const low = logTail;
  // Products of numbers of 24 bits are exact.
  const head = Math.fround(y);
  const tail = (y - head) * high + y * low;
  const product = head * high;
  const whole = Math.round(product + tail);
  if (whole > 1024) return Infinity;
  if (whole < -1080) return 0;
  const rest = product - whole;
  const near = Math.fround(rest + tail);
  const u = near * 6.93147182464599609375e-1;
  const v = (tail - (near - rest)) * 6.93147180559945286227e-1 + near * -1.90465429995776804525e-9;
  const z = u + v;
  const lost = v - (z - u);
  const t = reducedSeries(z);
  return scaleByTwo(1 - ((z * t) / (t - 2) - (lost + z * lost) - z), whole);
}

/** What the last logarithm lacks; beside it and not in an object with it, which takes half as long again. */
let logTail = 0;

/** The logarithm to the base 2 of a positive number: a number of 24 bits, and `logTail`. */
function logOfTwo(x: number): number {
  let { mantissa, exponent } = splitNumber(x);
  // Led back to a number near 1, or near 1.5, whose logarithm is known in two parts.
  const isMiddle = mantissa > 1.224744871391589 && mantissa < 1.7320508075688772;
  if (mantissa >= 1.7320508075688772) {
    mantissa /= 2;
    exponent++;
  }
  const base = isMiddle ? 1.5 : 1;
  const known = isMiddle ? 5.84962487220764160156e-1 : 0;
  const knownTail = isMiddle ? 1.35003920212974897128e-8 : 0;
  const difference = mantissa - base;
  const part = 1 / (mantissa + base);
  const s = difference * part;
  const sHigh = Math.fround(s);
  const sum = Math.fround(mantissa + base);
  const sLow = part * (difference - sHigh * sum - sHigh * (mantissa - (sum - base)));
  const square = s * s;
  const rest =
    square *
      square *
      (5.99999999999994648725e-1 +
        square *
          (4.28571428578550184252e-1 +
            square *
              (3.33333329818377432918e-1 +
                square *
                  (2.72728123808534006489e-1 +
                    square * (2.30660745775561754067e-1 + square * 2.06975017800338417784e-1))))) +
    sLow * (sHigh + s);
  const squareHigh = sHigh * sHigh;
  const three = Math.fround(3 + squareHigh + rest);
  const threeTail = rest - (three - 3 - squareHigh);
  const u = sHigh * three;
  const v = sLow * three + threeTail * s;
  const cubic = Math.fround(u + v);
  const scaled = 9.61796700954437255859e-1 * cubic;
  const scaledTail = -7.02846165095275826516e-9 * cubic + (v - (cubic - u)) * 9.61796693925975554329e-1 + knownTail;
  const high = Math.fround(scaled + scaledTail + known + exponent);
  logTail = scaledTail - (high - exponent - known - scaled);
  return high;
}

/** The number whose third power is `x`. */
export function cbrt(x: number): number {
  if (!Number.isFinite(x) || x === 0) return x;
  const size = Math.abs(x);
  const near = exp(log(size) / 3);
  // A step of Newton's makes the last digits right.
  const root = near - (near - size / (near * near)) / 3;
  return x < 0 ? -root : root;
}

/** The logarithm to the base 2; exact where the power is whole. */
export function log2(x: number): number {
  return nearPower(2, x, log(x) * 1.442695040888963387);
}

/** The logarithm to the base 10; exact where the power is whole. */
export function log10(x: number): number {
  return nearPower(10, x, log(x) * 4.3429448190325181667e-1);
}

function nearPower(base: number, x: number, power: number): number {
  const whole = Math.round(power);
  return Math.abs(power - whole) < 1e-12 && pow(base, whole) === x ? whole : power;
}

/** The square root of the sum of squares: how far a point is from the origin. */
export function hypot(...values: readonly number[]): number {
  let sum = 0;
  for (const value of values) sum += value * value;
  if (sum > 1e-280 && sum < 1e300) return Math.sqrt(sum);
  // Squares of very small and very large numbers underflow or overflow.
  let max = 0;
  for (const value of values) max = Math.abs(value) > max ? Math.abs(value) : max;
  if (max === 0 || max === Infinity) return values.some(Number.isNaN) && max === 0 ? NaN : max;
  sum = 0;
  for (const value of values) sum += (value / max) * (value / max);
  return max * Math.sqrt(sum);
}
