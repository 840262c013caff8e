export { loadSketch } from './load-sketch.ts';
export { fileHost, writeWhole } from './files.ts';
export { pictureOf } from '../sketch/picture-of.ts';
export { encodePng } from './png.ts';
export { provenance, readProvenance } from './provenance.ts';
export type { Origin, Provenance } from './provenance.ts';
