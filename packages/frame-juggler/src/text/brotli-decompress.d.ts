declare module 'brotli/decompress.js' {
  /** @param size how many bytes come out */
  export default function decompress(bytes: Uint8Array, size: number): Uint8Array;
}
