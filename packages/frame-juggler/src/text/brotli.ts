/*
 * Replaces Brotli's decoder within the packed font package. The decoder has a large dictionary, and only WOFF2 files need
 * it: a page that reads one sets the decoder first.
 */

type Decompress = (bytes: Uint8Array, size: number) => Uint8Array;

let decoder: Decompress | undefined;

/** Sets the decoder. To be called before a font that needs it is read. */
export function useBrotli(decompress: Decompress): void {
  decoder = decompress;
}

/** The function that the font package calls. */
export default function decompress(bytes: Uint8Array, size: number): Uint8Array {
  return decoder!(bytes, size);
}
