/**
 * All that the library exports, for messages about a name that is not imported or misspelt. To ask the library itself
 * would have every page load all of it; a test holds the list to it.
 */
export const libraryNames = `
  Canvas Color Font FrameReader LiveClock PathBuilder Picture RasterSurface Run SketchError addHostCode
  asLoadError asSketchError asset boundsOf checkSketch checkupLines clamp colorInWords colorMix compareFrames
  conicGradient cssColor cycle defineShape defineSketch describeFrame dial dialText easing explainFrame explanationLines
  fitDials frameAtRest frameBytes frameDifferenceLines frameInWords framesLeftBy fromRadians fromTurns gray
  heading hsl isSameFrame isSketch itemsAt itemsOf keyframes linearGradient loadFonts makeTrack maths measureText
  mix notesOnFrame oklch parseDial pattern picture pictureSize playTrack polar radialGradient ramp rasterize
  readColor readTrack remap renderPicture required rgb rules scenes seededNoise seededRandom sketchLine smoothstep
  spring swing textOutline titledAfter transformInWords wrap writeSvg writeTrack zigzag
`
  .trim()
  .split(/\s+/);
