/*
 * Functions of `Math` with the same bits in every engine. The language does not say how exact those of `Math` are, so they differ in the last digits between Node and browsers, and between versions; pictures that build up from frame to frame show it. What `Math` has beside these (`abs`, `floor`, `round`, `sqrt`, `min`, `max` and so on) is exact
 * in every engine.
 */
export { acos, asin, atan, atan2, cos, sin, tan } from './angles.ts';
export { exp, log } from './exponent.ts';
export { cbrt, hypot, log10, log2, pow } from './power.ts';
