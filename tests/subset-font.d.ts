declare module 'subset-font' {
  /** A font with the characters of a text alone. */
  export default function subsetFont(font: Uint8Array, text: string, options?: { targetFormat?: 'truetype' | 'woff' | 'woff2' }): Promise<Uint8Array>; // prettier-ignore
}
