import { whereOutputLies } from './room.ts';

/* Bits one after the other, the lowest first (RFC 1951, 3.1.1). What fills no byte yet waits for more. */

let bits: u64 = 0;
let count: i32 = 0;
let to: usize = whereOutputLies;

export function beginBits(): void {
  bits = 0;
  count = 0;
  to = whereOutputLies;
}

/** Adds bits. What is added without a call of `settle` between takes 57 bits at most. */
@inline
export function putBits(value: u32, howMany: i32): void {
  bits |= (<u64>value) << count;
  count += howMany;
}

/** Writes the bytes that are full. Whether there are any is not asked first: a processor could not guess it. */
@inline
export function settle(): void {
  store<u64>(to, bits);
  to += count >> 3;
  bits >>= count & ~7;
  count &= 7;
}

/** Ends the last byte. */
export function endBits(): void {
  count = (count + 7) & ~7;
  settle();
}

/** How many bytes have been written since this was last asked; the next ones are written over them. */
export function written(): i32 {
  const bytes = <i32>(to - whereOutputLies);
  to = whereOutputLies;
  return bytes;
}
