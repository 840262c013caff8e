/** A box of whole pixels. */
export interface PixelRect {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** The smallest box that holds every pixel in which two pictures of `width` differ; undefined where none does. */
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
    // Only what would widen the box is looked at.
    for (let x = 0; x < left; x++) if (before[row + x] !== after[row + x]) left = x;
    for (let x = width - 1; x > right; x--) if (before[row + x] !== after[row + x]) right = x;
  }
  return { x: left, y: top, width: right - left + 1, height: bottom - top + 1 };
}

/** Four bytes a pixel as one word a pixel, over the same memory where its place allows. */
export function wordsOf(bytes: Uint8Array): Uint32Array {
  const aligned = bytes.byteOffset % 4 === 0 ? bytes : bytes.slice();
  return new Uint32Array(aligned.buffer, aligned.byteOffset, aligned.length >> 2);
}
