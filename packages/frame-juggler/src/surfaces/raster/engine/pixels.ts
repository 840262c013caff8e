/*
 * Pixels are kept as browsers keep them: eight bits a channel, sRGB, color premultiplied by alpha, one 32-bit word a
 * pixel (red in the lowest byte). Compositing is source over destination (W3C Compositing and Blending 1):
 * result = source + destination · (1 - source alpha). Four pixels are worked on at a time.
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

/** Eight sums of products of bytes, each in 16 bits, over 255, rounded. */
@inline
export function over255(sums: v128): v128 {
  const sum = i16x8.add(sums, i16x8.splat(128));
  return i16x8.shr_u(i16x8.add(sum, i16x8.shr_u(sum, 8)), 8);
}

@inline
function times255x8(a: v128, b: v128): v128 {
  return over255(i16x8.mul(a, b));
}

/** Four pixels with each channel multiplied by the byte of `factors` that stands in its place, over 255. */
@inline
export function scale4(pixels: v128, factors: v128): v128 {
  return i8x16.narrow_i16x8_u(
    times255x8(i16x8.extend_low_i8x16_u(pixels), i16x8.extend_low_i8x16_u(factors)),
    times255x8(i16x8.extend_high_i8x16_u(pixels), i16x8.extend_high_i8x16_u(factors)),
  );
}

/** The four bytes of a word, each four times: a factor for each channel of four pixels. */
@inline
export function spread4(bytes: u32): v128 {
  const all = i32x4.splat(bytes);
  return v128.shuffle<i8>(all, all, 0, 0, 0, 0, 1, 1, 1, 1, 2, 2, 2, 2, 3, 3, 3, 3);
}

/** The alphas of four pixels, each in all channels of its own. */
@inline
export function alphas4(pixels: v128): v128 {
  return v128.shuffle<i8>(pixels, pixels, 3, 3, 3, 3, 7, 7, 7, 7, 11, 11, 11, 11, 15, 15, 15, 15);
}

/** Four pixels of one color, all opaque, over four others, as far as the byte of `covered` in each place says. */
@inline
export function cover4(color: v128, below: v128, covered: v128): v128 {
  const open = v128.not(covered);
  return i8x16.narrow_i16x8_u(
    sum255x8(
      i16x8.mul(i16x8.extend_low_i8x16_u(color), i16x8.extend_low_i8x16_u(covered)),
      i16x8.mul(i16x8.extend_low_i8x16_u(below), i16x8.extend_low_i8x16_u(open)),
    ),
    sum255x8(
      i16x8.mul(i16x8.extend_high_i8x16_u(color), i16x8.extend_high_i8x16_u(covered)),
      i16x8.mul(i16x8.extend_high_i8x16_u(below), i16x8.extend_high_i8x16_u(open)),
    ),
  );
}

@inline
function sum255x8(a: v128, b: v128): v128 {
  return over255(i16x8.add(a, b));
}

/** Four pixels over four others. */
@inline
export function over4(source: v128, below: v128): v128 {
  return i8x16.add(source, scale4(below, v128.not(alphas4(source))));
}

/** Fills words with one value. */
export function fillWords(at: usize, count: i32, word: u32): void {
  const end = at + (count << 2);
  const four = i32x4.splat(word);
  for (; at + 16 <= end; at += 16) v128.store(at, four);
  for (; at < end; at += 4) store<u32>(at, word);
}

/**
 * Leads every byte towards those of a background, so that a part `carry` of what it differs by is left; what is left is
 * rounded towards the background, so that a trail really reaches it.
 */
export function fadeTo(at: usize, count: i32, background: u32, carry: f64): void {
  for (let channel = 0; channel < 4; channel++) {
    const to = <i32>((background >> (8 * channel)) & 255);
    for (let value = 0; value < 256; value++)
      store<u8>(fadeTables + (channel << 8) + value, <u8>(to + <i32>(<f64>(value - to) * carry)));
  }
  const end = at + (count << 2);
  for (; at < end; at += 4) {
    store<u8>(at, load<u8>(fadeTables + load<u8>(at)));
    store<u8>(at, load<u8>(fadeTables + load<u8>(at, 1), 256), 1);
    store<u8>(at, load<u8>(fadeTables + load<u8>(at, 2), 512), 2);
    store<u8>(at, load<u8>(fadeTables + load<u8>(at, 3), 768), 3);
  }
}

/** One table a channel, by the byte there was. */
const fadeTables = memory.data(1024);

/** Writes so many pixels with color no longer multiplied by alpha, as files and pages want them. */
export function unpremultiply(at: usize, count: i32, out: usize): void {
  for (let i = 0; i < count; i++) {
    const word = load<u32>(at + (i << 2));
    const alpha = word >> 24;
    store<u32>(out + (i << 2), alpha === 255 || alpha === 0 ? word : straight(word, alpha));
  }
}

function straight(word: u32, alpha: u32): u32 {
  const back: f64 = 255.0 / alpha;
  return channel(word & 255, back) | (channel((word >> 8) & 255, back) << 8) | (channel((word >> 16) & 255, back) << 16) | (alpha << 24);
}

@inline
function channel(value: u32, back: f64): u32 {
  return min(255, <u32>(<f64>value * back + 0.5));
}

/** Writes so many pixels without their alpha, three bytes each; one byte more may be written than that is. */
export function dropAlpha(at: usize, count: i32, out: usize): void {
  const end = at + (count << 2);
  // Four at a time, while the byte written past their end is overwritten later.
  for (; at + 20 <= end; at += 16, out += 12) {
    const four = v128.load(at);
    v128.store(out, v128.shuffle<i8>(four, four, 0, 1, 2, 4, 5, 6, 8, 9, 10, 12, 13, 14, 0, 0, 0, 0));
  }
  for (; at < end; at += 4, out += 3) store<u32>(out, load<u32>(at));
}
