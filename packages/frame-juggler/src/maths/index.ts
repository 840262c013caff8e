/*
 * Functions of `Math` with the same bits in every engine. The language leaves open how exact those of `Math` are, so
 * that they differ in the last digits from Node to a page and from one version to the next; a picture that grows from
 * frame to frame shows it. What `Math` has beside these (`abs`, `floor`, `round`, `sqrt`, `min`, `max` and so on) is exact
 * in every engine.
 */
export { acos, asin, atan, atan2 } from './arc.ts';
export { exp, log } from './exponent.ts';
export { cbrt, hypot, log10, log2, pow } from './power.ts';
export { cos, sin, tan } from './sine.ts';
