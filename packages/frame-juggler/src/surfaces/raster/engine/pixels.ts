/*
 * How pixels are kept, and what is done with them. There are two forms of the engine, one for each: of the same sources,
 * but for the name below, in whose place scripts/wasm.mjs puts `./floats` for pictures of sixteen bits a channel.
 *
 * A vector of 16 bytes holds as many pixels as fit; the other files work on vectors, and know nothing of what is in them.
 * Compositing is source over destination (W3C Compositing and Blending 1).
 */
export * from './bytes';
