/* The package that tells where lines break, loaded where a text asks for it; the build packs it into this file. */
export { default as LineBreaker } from 'linebreak';
