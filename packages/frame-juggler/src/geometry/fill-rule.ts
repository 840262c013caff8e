/** Which parts of an outline that winds more than once are inside, in SVG's words. */
export type FillRule = 'nonzero' | 'evenodd';
