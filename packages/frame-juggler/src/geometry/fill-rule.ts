/** How the inside of an outline that winds more than once is told, in SVG's words. */
export type FillRule = 'nonzero' | 'evenodd';
