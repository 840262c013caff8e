export { loadSketch } from './load-sketch.ts';
export { readAssetFile, writeWhole } from './files.ts';
export { pictureOf } from '../sketch/picture.ts';
export { encodePng } from './png.ts';
export type { Provenance } from './png.ts';
