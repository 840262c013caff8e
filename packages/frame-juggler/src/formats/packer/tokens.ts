import { countRepeat, symbols } from './alphabets.ts';

/* What the bytes of a block become: bytes that stand for themselves, and repeats of bytes before. */

/** A block has so many at most; then the next begins, with codes that suit it. */
const most: usize = 1 << 15;
export const tokens = heap.alloc(4 * most);
export let tokensEnd: usize = tokens;

/** Marks a repeat; its length lies in the bits from 16 on, how far back it is less one below them. */
const repeatMark: u32 = 0x80000000;

export function forgetTokens(): void {
  tokensEnd = tokens;
}

@inline
export function areFull(): bool {
  return tokensEnd === tokens + 4 * most;
}

@inline
export function addByte(byte: u32): void {
  store<u32>(tokensEnd, byte);
  tokensEnd += 4;
  symbols.count(byte);
}

/** Adds a repeat of so many bytes, so far back. */
@inline
export function addRepeat(length: i32, back: u32): void {
  store<u32>(tokensEnd, repeatMark | (<u32>length << 16) | (back - 1));
  tokensEnd += 4;
  countRepeat(length, back - 1);
}

@inline
export function isRepeat(token: u32): bool {
  return token >= repeatMark;
}

@inline
export function lengthOf(token: u32): i32 {
  return (token >> 16) & 0x7fff;
}

@inline
export function distanceOf(token: u32): u32 {
  return token & 0xffff;
}
