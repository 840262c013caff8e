import { oneOf, type ValueOf } from '../schema/kind.ts';

/** The blend modes of W3C Compositing and Blending 2, by their CSS names. Frames hold their places in this list. */
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
  'plus-lighter',
] as const;

/** How colors mix with what lies under them. */
export const blendMode = oneOf(...blendModes);
/** How colors mix with what is below them: the modes of W3C Compositing and Blending. */
export type BlendMode = ValueOf<typeof blendMode>;
