/*
 * What the canvas needs for text and for numbered grids. It is loaded with the fonts, so that a sketch without
 * letters does not pay for it in a page.
 */
export { textKeys, textOutline } from './layout.ts';
export { gridKeys, layOutGrid } from '../shapes/grid.ts';
