/* The package that tells directions, loaded where a text runs from right to left; the build packs it into this file. */
export { default as bidiFactory } from 'bidi-js';
