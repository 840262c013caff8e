const view = new DataView(new ArrayBuffer(8));

/** 2 to a whole power from −1022 to 1023, exactly. */
function powerOfTwo(power: number): number {
  view.setInt32(0, (power + 1023) << 20);
  view.setInt32(4, 0);
  return view.getFloat64(0);
}

/** A number times 2 to a whole power, in two steps where one factor would overflow. */
export function scaleByTwo(value: number, power: number): number {
  if (power > -1022 && power < 1023) return value * powerOfTwo(power);
  const half = power >> 1;
  return value * powerOfTwo(half) * powerOfTwo(power - half);
}

/** A positive number as `mantissa` · 2 ^ `exponent`, with a mantissa from 1 up to, but not with, 2. */
export function splitNumber(value: number): { mantissa: number; exponent: number } {
  // Numbers below 2 ^ −1022 have no leading bit of their own.
  const lift = value < 2.2250738585072014e-308 ? 54 : 0;
  view.setFloat64(0, lift === 0 ? value : value * 18014398509481984);
  const high = view.getInt32(0);
  view.setInt32(0, (high & 0xfffff) | 0x3ff00000);
  return { mantissa: view.getFloat64(0), exponent: (high >> 20) - 1023 - lift };
}
