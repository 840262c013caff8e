/*
 * Pixels as plain video: brightness and two differences of color by ITU-R BT.709, in the narrow range of television, 16
 * to 235. Method: in ten-thousandths brightness is a whole number, 2126 r + 7152 g + 722 b. It and the differences of
 * blue and red to it, also those of four pixels in all, are below 2²⁴ and so exact in 32-bit floating point, in which one
 * multiplication leads to the range. Four pixels are worked on at a time. What is transparent is laid on white.
 */

const redPart = 2126;
const greenPart = 7152;
const bluePart = 722;
const whole = 10000;
const brightScale: f32 = <f32>(219.0 / 255.0 / 10000.0);
/** A difference of color is brought to -112 to 112. */
const blueScale: f32 = <f32>(224.0 / 255.0 / 1.8556 / 10000.0);
const redScale: f32 = <f32>(224.0 / 255.0 / 1.5748 / 10000.0);
/** Where the ranges begin, and a half to round by. */
const black: f32 = 16.5;
const gray: f32 = 128.5;

/**
 * Writes a picture as three planes: brightness, blue, red.
 * @param wide the width and height that are written: as large as the picture, or one more, which is its last column or
 *   row once more
 * @param halved whether color is kept for squares of two by two pixels
 */
export function writeVideo(pixels: usize, width: i32, height: i32, out: usize, wide: i32, high: i32, halved: bool): void {
  const size = halved ? 2 : 1;
  const across = (wide + size - 1) / size;
  const blueAt = out + wide * high;
  const redAt = blueAt + across * ((high + size - 1) / size);
  let to = 0;
  for (let y = 0; y < high; y += size) {
    const above = pixels + ((min(y, height - 1) * width) << 2);
    const below = pixels + ((min(y + size - 1, height - 1) * width) << 2);
    const bright = out + y * wide;
    // The second row of a pair that has none is written over the first: they are the same.
    const brightBelow = y + size - 1 < high ? out + (y + size - 1) * wide : bright;
    let x = 0;
    if (halved) for (; x + 8 <= width; x += 8, to += 4) eightPairs(above, below, x, bright, brightBelow, blueAt + to, redAt + to);
    else for (; x + 4 <= width; x += 4, to += 4) fourPixels(above, x, bright, blueAt + to, redAt + to);
    for (; x < wide; x += size, to++) square(above, below, x, width, wide, size, bright, brightBelow, blueAt + to, redAt + to);
  }
}

/** Four pixels of a row, each with its color. */
@inline
function fourPixels(row: usize, x: i32, bright: usize, blueAt: usize, redAt: usize): void {
  const four = v128.load(row + (x << 2));
  const white = whiteUnder(four);
  const red = redOf(four, white);
  const blue = blueOf(four, white);
  const light = lightOf(red, greenOf(four, white), blue);
  store<u32>(bright + x, scaled(light, brightScale, black));
  store<u32>(blueAt, scaled(differenceOf(blue, light), blueScale, gray));
  store<u32>(redAt, scaled(differenceOf(red, light), redScale, gray));
}

/** Eight pixels of each of two rows, with the color of four squares. */
@inline
function eightPairs(above: usize, below: usize, x: i32, bright: usize, brightBelow: usize, blueAt: usize, redAt: usize): void {
  let reds = i32x4.splat(0);
  let blues = i32x4.splat(0);
  let lights = i32x4.splat(0);
  for (let half = 0; half < 2; half++) {
    const at = x + (half << 2);
    const one = v128.load(above + (at << 2));
    const other = v128.load(below + (at << 2));
    const whiteOne = whiteUnder(one);
    const whiteOther = whiteUnder(other);
    const redOne = redOf(one, whiteOne);
    const redOther = redOf(other, whiteOther);
    const blueOne = blueOf(one, whiteOne);
    const blueOther = blueOf(other, whiteOther);
    const lightOne = lightOf(redOne, greenOf(one, whiteOne), blueOne);
    const lightOther = lightOf(redOther, greenOf(other, whiteOther), blueOther);
    store<u32>(brightBelow + at, scaled(lightOther, brightScale, black));
    store<u32>(bright + at, scaled(lightOne, brightScale, black));
    const red = i32x4.add(redOne, redOther);
    const blue = i32x4.add(blueOne, blueOther);
    const light = i32x4.add(lightOne, lightOther);
    if (half === 0) {
      reds = red;
      blues = blue;
      lights = light;
    } else {
      reds = sumOfPairs(reds, red);
      blues = sumOfPairs(blues, blue);
      lights = sumOfPairs(lights, light);
    }
  }
  store<u32>(blueAt, scaled(differenceOf(blues, lights), blueScale / 4, gray));
  store<u32>(redAt, scaled(differenceOf(reds, lights), redScale / 4, gray));
}

/** A square at the right edge, or a pixel, by itself. */
function square(above: usize, below: usize, x: i32, width: i32, wide: i32, size: i32, bright: usize, brightBelow: usize, blueAt: usize, redAt: usize): void {
  let reds = 0;
  let blues = 0;
  let lights = 0;
  for (let down = 0; down < size; down++) {
    const row = down === 0 ? above : below;
    const line = down === 0 ? bright : brightBelow;
    for (let right = 0; right < size; right++) {
      const word = load<u32>(row + (min(x + right, width - 1) << 2));
      const white = <i32>(255 - (word >> 24));
      const red = <i32>(word & 255) + white;
      const blue = <i32>((word >> 16) & 255) + white;
      const light = redPart * red + greenPart * (<i32>((word >> 8) & 255) + white) + bluePart * blue;
      if (x + right < wide) store<u8>(line + x + right, <u8><i32>(<f32>light * brightScale + black));
      reds += red;
      blues += blue;
      lights += light;
    }
  }
  const count = <f32>(size * size);
  store<u8>(blueAt, <u8><i32>(<f32>(blues * whole - lights) * (blueScale / count) + gray));
  store<u8>(redAt, <u8><i32>(<f32>(reds * whole - lights) * (redScale / count) + gray));
}

@inline
function whiteUnder(four: v128): v128 {
  return i32x4.sub(i32x4.splat(255), i32x4.shr_u(four, 24));
}

@inline
function redOf(four: v128, white: v128): v128 {
  return i32x4.add(v128.and(four, i32x4.splat(255)), white);
}

@inline
function greenOf(four: v128, white: v128): v128 {
  return i32x4.add(v128.and(i32x4.shr_u(four, 8), i32x4.splat(255)), white);
}

@inline
function blueOf(four: v128, white: v128): v128 {
  return i32x4.add(v128.and(i32x4.shr_u(four, 16), i32x4.splat(255)), white);
}

@inline
function lightOf(red: v128, green: v128, blue: v128): v128 {
  const both = i32x4.add(i32x4.mul(red, i32x4.splat(redPart)), i32x4.mul(green, i32x4.splat(greenPart)));
  return i32x4.add(both, i32x4.mul(blue, i32x4.splat(bluePart)));
}

@inline
function differenceOf(color: v128, light: v128): v128 {
  return i32x4.sub(i32x4.mul(color, i32x4.splat(whole)), light);
}

/** Neighbors of two vectors added up: of the first in the first half, of the second in the second. */
@inline
function sumOfPairs(one: v128, other: v128): v128 {
  return i32x4.add(v128.shuffle<i32>(one, other, 0, 2, 4, 6), v128.shuffle<i32>(one, other, 1, 3, 5, 7));
}

/** Four numbers as four bytes. */
@inline
function scaled(numbers: v128, scale: f32, from: f32): u32 {
  const values = f32x4.add(f32x4.mul(f32x4.convert_i32x4_s(numbers), f32x4.splat(scale)), f32x4.splat(from));
  const words = i32x4.trunc_sat_f32x4_s(values);
  const halves = i16x8.narrow_i32x4_s(words, words);
  return i32x4.extract_lane(i8x16.narrow_i16x8_u(halves, halves), 0);
}
