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
