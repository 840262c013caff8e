import gifenc from 'gifenc';

/**
 * Reduces many colors to few, as `[red, green, blue]` (pairwise nearest neighbor clustering). The build bundles this file
 * with the part of the package that it uses.
 * @param rgba pixels, four bytes each
 * @param most the maximum number of colors
 */
export function fewColors(rgba: Uint8Array, most: number): number[][] {
  return gifenc.quantize(rgba, most);
}
