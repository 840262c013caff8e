import gifenc from 'gifenc';

/**
 * Few colors that stand for many, as `[red, green, blue]` (pairwise nearest neighbor clustering). The build packs
 * this file with what it takes of the package.
 * @param rgba pixels, four bytes each
 * @param most how many colors there may be
 */
export function fewColors(rgba: Uint8Array, most: number): number[][] {
  return gifenc.quantize(rgba, most);
}
