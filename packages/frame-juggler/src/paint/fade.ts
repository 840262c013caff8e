import { fraction, kindOf } from '../schema/kind.ts';
import { alphaOf, blueOf, greenOf, redOf } from './color.ts';

/**
 * Leads every pixel towards a background, so that a part `carry` of what it differs by is left. What is left is
 * rounded towards the background: a trail fades by a step a frame at least, and so really reaches it. The bytes are
 * unpremultiplied, as a page's canvas gives them; they fade premultiplied, so that a trail on nothing keeps its color.
 */
export function fade(bytes: Uint8ClampedArray, background: number, carry: number): void {
  const ground = alphaOf(background);
  const channels = [redOf(background), greenOf(background), blueOf(background)].map((value) => times(value, ground));
  // One table a channel, by the byte there was.
  const [red, green, blue, alpha] = [...channels, ground].map((to) =>
    Uint8Array.from({ length: 256 }, (_, value) => to + Math.trunc((value - to) * carry)),
  );
  for (let at = 0; at < bytes.length; at += 4) {
    const before = bytes[at + 3];
    const after = alpha[before];
    if (before === 255 && after === 255) {
      bytes[at] = red[bytes[at]];
      bytes[at + 1] = green[bytes[at + 1]];
      bytes[at + 2] = blue[bytes[at + 2]];
    } else {
      // Of a pixel that is gone, these are no numbers, which an array of bytes takes as 0.
      bytes[at] = (red[times(bytes[at], before)] / after) * 255;
      bytes[at + 1] = (green[times(bytes[at + 1], before)] / after) * 255;
      bytes[at + 2] = (blue[times(bytes[at + 2], before)] / after) * 255;
      bytes[at + 3] = after;
    }
  }
}

/** A channel's byte times an alpha. */
const times = (value: number, alpha: number): number => Math.round((value * alpha) / 255);

const precision = /* @__PURE__ */ kindOf<8 | 16>('8 or 16', (bits) => bits === 8 || bits === 16, 'is not a precision');

/** After how many frames nothing is left of a picture under a carry; Infinity if it never fades. */
export function framesLeftBy(carry: number, bits: 8 | 16 = 8): number {
  fraction.read('framesLeftBy', 'carry', carry);
  const isFine = precision.read('framesLeftBy', 'bits', bits) === 16;
  if (carry === 1) return Infinity;
  let frames = 0;
  // As the two forms of the engine let a trail fade: by whole bytes, or until there is too little of it to count.
  if (isFine) for (let left = 1; left > 1 / 524280; left *= carry) frames++;
  else for (let left = 255; left > 0; left = Math.trunc(left * carry)) frames++;
  return frames;
}
