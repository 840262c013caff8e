import type { Kin } from '../suggest.ts';

/*
 * What a sketch can ask for by name, for messages about a name that is not imported or misspelt. To ask the library
 * itself would have every page load all of it; a test holds the lists to it.
 */

const words = (list: string): readonly string[] => list.trim().split(/\s+/);

/** All that the library exports. */
export const libraryNames = words(`
  Canvas Color Font FrameReader LiveClock PathBuilder Picture RasterSurface Run SketchError addHostCode
  asLoadError asSketchError asset boundsOf checkSketch checkupLines clamp colorInWords colorMix compareFrames
  conicGradient cssColor cycle defineShape defineSketch describeFrame dial dialText easing explainFrame explanationLines
  fitDials frameAtRest frameBytes frameDifferenceLines frameInWords framesLeftBy fromRadians fromTurns gray
  heading hsl isSameFrame isSketch itemsAt itemsOf keyframes linearGradient loadFonts makeTrack maths measureText
  mix notesOnFrame oklch parseDial pattern picture pictureSize playTrack polar radialGradient ramp rasterize
  readColor readTrack remap renderPicture required rgb rules scenes seededNoise seededRandom sketchLine smoothstep
  spring swing textOutline titledAfter transformInWords wrap writeSvg writeTrack zigzag
`);

/** What exports and parts of a moment are called elsewhere, in words of the trade; behind each what to write. */
export const exportKin: Kin = {
  random: { 'random.int': 'randomInt randInt', 'random.between': 'rand randomFloat' },
  noise: { noise: 'perlin simplex' },
  defineSketch: { defineSketch: 'sketch newSketch makeSketch' },
  mix: { mix: 'lerp interpolate blend' },
  remap: { remap: 'map mapRange rescale' },
  clamp: { clamp: 'limit confine' },
  wrap: { wrap: 'mod modulo' },
  colorMix: { 'rgb, hsl, oklch or colorMix': 'color', colorMix: 'mixColor mixColors blendColors' },
  ramp: { ramp: 'palette gradient colorScale' },
  hsl: { hsl: 'hsla' },
  rgb: { rgb: 'rgba' },
  gray: { gray: 'grayscale' },
  swing: { swing: 'oscillate wave' },
  zigzag: { zigzag: 'triangleWave' },
  easing: { easing: 'ease easings easeIn easeOut easeInOut' },
  keyframes: { keyframes: 'tween timeline animate animation' },
  polar: { polar: 'fromAngle fromPolar polarToCartesian' },
  heading: {
    'Math.hypot(x2 - x1, y2 - y1)': 'distance',
    heading: 'direction bearing angleTo angleBetween',
  },
  fromRadians: {
    'degrees * Math.PI / 180, or polar({ angle, distance })': 'toRadians radians degToRad degreesToRadians',
    fromRadians: 'toDegrees degrees radToDeg radiansToDegrees',
  },
  asset: {
    'asset.picture': 'loadPicture image',
    'asset.font': 'loadFont font',
    'asset.json': 'json',
    'asset.table': 'table csv',
  },
};

/** What a moment holds. */
export const momentNames = words(`
  frame seconds delta progress width height random noise pointer keys dials assets
`);

/** What a canvas has. */
export const canvasNames = words(`
  dot line polyline polygon triangle star rect circle ellipse arc spline path width height shape text picture grid clear
  style translate rotate scale skew tilt transform resetTransform matrix toCanvas toLocal save restore group
`);
