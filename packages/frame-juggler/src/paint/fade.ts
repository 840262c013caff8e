import { alphaOf, blueOf, greenOf, redOf } from './color.ts';

/**
 * Leads every pixel towards a background, so that a part `carry` of what it differs by is left. What is left is
 * rounded towards the background: a trail fades by a step a frame at least, and so really reaches it. The pixels and
 * the background are either both premultiplied or both not.
 */
export function fade(bytes: Uint8Array | Uint8ClampedArray, background: number, carry: number): void {
  const channels = [redOf(background), greenOf(background), blueOf(background), alphaOf(background)];
  // One table a channel, by the byte there was.
  const tables = channels.map((to) =>
    Uint8Array.from({ length: 256 }, (_, value) => to + Math.trunc((value - to) * carry)),
  );
  const [red, green, blue, alpha] = tables;
  for (let at = 0; at < bytes.length; at += 4) {
    bytes[at] = red[bytes[at]];
    bytes[at + 1] = green[bytes[at + 1]];
    bytes[at + 2] = blue[bytes[at + 2]];
    bytes[at + 3] = alpha[bytes[at + 3]];
  }
}

/** After how many frames nothing is left of a picture under a carry; Infinity if it never fades. */
export function framesLeftBy(carry: number, bits: 8 | 16 = 8): number {
  if (carry >= 1) return Infinity;
  let frames = 0;
  // As the two forms of the engine let a trail fade: by whole bytes, or until there is too little of it to count.
  if (bits === 8) for (let left = 255; left > 0; left = Math.trunc(left * carry)) frames++;
  else for (let left = 1; left > 1 / 524280; left *= carry) frames++;
  return frames;
}
