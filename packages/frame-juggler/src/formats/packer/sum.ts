/*
 * Adler-32 (RFC 1950, 8.2): the sum of all bytes, and the sum of all those sums, each modulo 65521. Sixteen bytes are
 * taken at a time: the second sum grows by sixteen times the first, and by each byte as often as it is still to come,
 * 16 times to once. Of two neighbors the first comes once more than the second: their sum is taken as often as the
 * second comes, and the first once.
 */

const modulus: u32 = 65521;
/** After so many bytes the sums still fit: those of every other byte into 16 bits, all else into 32. */
const mostUnreduced: usize = 4096;

let first: u32 = 1;
let second: u32 = 0;

export function beginSum(): void {
  first = 1;
  second = 0;
}

export function sum(): u32 {
  return (second << 16) | first;
}

export function addToSum(from: usize, count: i32): void {
  const end = from + count;
  let at = from;
  while (at + 16 <= end) {
    const start = at;
    const stop = min(end - 15, at + mostUnreduced);
    let firsts = i32x4.splat(0);
    let before = i32x4.splat(0);
    let seconds = i32x4.splat(0);
    let evens = i16x8.splat(0);
    for (; at < stop; at += 16) {
      const bytes = v128.load(at);
      const pairs = i16x8.extadd_pairwise_i8x16_u(bytes);
      before = i32x4.add(before, firsts);
      firsts = i32x4.add(firsts, i32x4.dot_i16x8_s(pairs, i16x8.splat(1)));
      seconds = i32x4.add(seconds, i32x4.dot_i16x8_s(pairs, i16x8(15, 13, 11, 9, 7, 5, 3, 1)));
      evens = i16x8.add(evens, v128.and(bytes, i16x8.splat(255)));
    }
    seconds = i32x4.add(seconds, i32x4.extadd_pairwise_i16x8_u(evens));
    second = (second + first * <u32>(at - start) + 16 * across(before) + across(seconds)) % modulus;
    first = (first + across(firsts)) % modulus;
  }
  for (; at < end; at++) {
    first += load<u8>(at);
    second += first;
  }
  first %= modulus;
  second %= modulus;
}

@inline
function across(four: v128): u32 {
  return i32x4.extract_lane(four, 0) + i32x4.extract_lane(four, 1) + i32x4.extract_lane(four, 2) + i32x4.extract_lane(four, 3);
}
