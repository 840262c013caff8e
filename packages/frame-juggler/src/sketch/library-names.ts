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

/** What a moment holds. */
export const momentNames = words(`
  frame seconds delta progress width height random noise pointer keys dials assets
`);

/** What a canvas has. */
export const canvasNames = words(`
  dot line polyline polygon triangle star rect circle ellipse arc spline path width height shape text picture grid clear
  style translate rotate scale skew tilt transform resetTransform matrix toCanvas toLocal save restore group
`);
