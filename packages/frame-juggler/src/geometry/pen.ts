export const caps = ['butt', 'round', 'square'] as const;
export const joins = ['miter', 'round', 'bevel'] as const;

/** How a line ends. */
export type Cap = (typeof caps)[number];
/** How a line turns a corner. */
export type Join = (typeof joins)[number];
