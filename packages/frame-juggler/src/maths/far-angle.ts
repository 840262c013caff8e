import { splitNumber } from './bits.ts';

/** An angle as quarter turns, of which the last two bits count, and what is left over: `rest` + `tail` radians. */
export interface Reduced {
  readonly quarters: number;
  readonly rest: number;
  readonly tail: number;
}

/** So many bits behind the point: as many as the greatest number has before it, and 216 more for what is left. */
const bits = 1240n;
let halfPi: bigint | undefined;

/**
 * What is left of an angle in radians, however far, once its quarter turns are taken away: in whole numbers, as far
 * from 0 neighboring numbers lie further apart than a turn is long.
 */
export function remainderOfFar(x: number): Reduced {
  if (!Number.isFinite(x)) return { quarters: 0, rest: NaN, tail: 0 };
  // π/2 = 8 · arctan(1/5) − 2 · arctan(1/239), after Machin.
  halfPi ??= 8n * arcTangentOfPart(5n) - 2n * arcTangentOfPart(239n);
  const { mantissa, exponent } = splitNumber(Math.abs(x));
  const angle = BigInt(mantissa * 2 ** 52) << (bits + BigInt(exponent - 52));
  const quarters = (2n * angle + halfPi) / (2n * halfPi);
  // 100 bits of the rest: a number, and what that leaves.
  const rest = (angle - quarters * halfPi) >> (bits - 100n);
  const head = Number(rest);
  const tail = Number(rest - BigInt(head));
  const sign = Math.sign(x);
  const unit = sign / 2 ** 100;
  return { quarters: sign * Number(quarters & 3n), rest: head * unit, tail: tail * unit };
}

/** arctan(1/n) by its series. */
function arcTangentOfPart(n: bigint): bigint {
  let power = (1n << bits) / n;
  let sum = power;
  for (let odd = 3n; power !== 0n; odd += 2n) {
    power /= -n * n;
    sum += power / odd;
  }
  return sum;
}
