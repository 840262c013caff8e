/** A box of whole pixels. */
export interface PixelRect {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** The smallest box of all pixels in which two pictures of this width differ; undefined if none do. */
export function changedRect(before: Uint32Array, after: Uint32Array, width: number): PixelRect | undefined {
  let first = 0;
  while (first < after.length && before[first] === after[first]) first++;
  if (first === after.length) return undefined;
  let last = after.length - 1;
  while (before[last] === after[last]) last--;
  const top = Math.floor(first / width);
  const bottom = Math.floor(last / width);
  let left = width;
  let right = -1;
  for (let y = top; y <= bottom; y++) {
    const row = y * width;
    // Only pixels outside the box so far need to be compared.
    for (let x = 0; x < left; x++) if (before[row + x] !== after[row + x]) left = x;
    for (let x = width - 1; x > right; x--) if (before[row + x] !== after[row + x]) right = x;
  }
  return { x: left, y: top, width: right - left + 1, height: bottom - top + 1 };
}

/** Pixels of four bytes as words of 32 bits: a view of the same memory where it is aligned, otherwise a copy. */
export function wordsOf(bytes: Uint8Array): Uint32Array {
  const aligned = bytes.byteOffset % 4 === 0 ? bytes : bytes.slice();
  return new Uint32Array(aligned.buffer, aligned.byteOffset, aligned.length >> 2);
}
