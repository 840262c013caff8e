/*
 * Colors as the engine is given them: eight bits a channel, sRGB, one 32-bit word a color, red in the lowest byte.
 */

/** a · b / 255, rounded, for bytes. */
@inline
export function times255(a: u32, b: u32): u32 {
  const product = a * b + 128;
  return (product + (product >> 8)) >> 8;
}

/** A color under a coverage from 0 to 255, premultiplied. */
export function premultiply(color: u32, coverage: u32): u32 {
  const alpha = times255(color >> 24, coverage);
  return (
    times255(color & 255, alpha) |
    (times255((color >> 8) & 255, alpha) << 8) |
    (times255((color >> 16) & 255, alpha) << 16) |
    (alpha << 24)
  );
}

/** Multiplies the channels of so many colors by their alpha; whether all of them are opaque. */
export function premultiplyAll(at: usize, count: i32): bool {
  const end = at + (count << 2);
  let areOpaque = true;
  for (; at + 16 <= end; at += 16) {
    const four = v128.load(at);
    if (i32x4.all_true(i32x4.eq(i32x4.shr_u(four, 24), i32x4.splat(255)))) continue;
    areOpaque = false;
    const low = premultiply2(i16x8.extend_low_i8x16_u(four));
    const high = premultiply2(i16x8.extend_high_i8x16_u(four));
    v128.store(at, i8x16.narrow_i16x8_u(low, high));
  }
  for (; at < end; at += 4) {
    const color = load<u32>(at);
    if (color >> 24 === 255) continue;
    areOpaque = false;
    store<u32>(at, premultiply(color, 255));
  }
  return areOpaque;
}

/** Two colors: `times255` of each channel and the alpha beside it, and of the alpha and 255. */
@inline
function premultiply2(channels: v128): v128 {
  const alphas = v128.shuffle<i16>(channels, i16x8.splat(255), 3, 3, 3, 8, 7, 7, 7, 8);
  const products = i16x8.add(i16x8.mul(channels, alphas), i16x8.splat(128));
  return i16x8.shr_u(i16x8.add(products, i16x8.shr_u(products, 8)), 8);
}
