/* Brotli's decoder, loaded once a font needs it; the build packs it into this file. */
export { default as decompress } from 'brotli/decompress.js';
