/*
 * Stands in the packed font package for Brotli's decoder, which has a large dictionary and which WOFF2 files alone need:
 * a page that reads one gives the decoder before.
 */

type Decompress = (bytes: Uint8Array, size: number) => Uint8Array;

let decoder: Decompress | undefined;

/** Gives the decoder, before a font that needs it is read. */
export function useBrotli(decompress: Decompress): void {
  decoder = decompress;
}

/** What the font package calls. */
export default function decompress(bytes: Uint8Array, size: number): Uint8Array {
  return decoder!(bytes, size);
}
