/* The font package, loaded once text is drawn; the build packs it into this file. */
export { create as openFont } from 'fontkit';
