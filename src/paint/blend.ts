/** The blend modes of W3C Compositing and Blending 1, by their CSS names. */
export const blendModes = [
  'normal',
  'multiply',
  'screen',
  'overlay',
  'darken',
  'lighten',
  'color-dodge',
  'color-burn',
  'hard-light',
  'soft-light',
  'difference',
  'exclusion',
  'hue',
  'saturation',
  'color',
  'luminosity',
] as const;

/** How colours mix with what lies under them. */
export type BlendMode = (typeof blendModes)[number];
