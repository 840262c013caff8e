export { defineSketch, frameAtRest, isSketch, titledAfter } from './sketch/sketch.ts';
export type { CanvasOptions, Moment, Sketch, SketchDefinition } from './sketch/sketch.ts';
export { asset } from './sketch/assets.ts';
export type { Asset, AssetHost, AssetMap, AssetValues, LoadListener } from './sketch/assets.ts';
export { dial, dialText, fitDials, parseDial } from './sketch/dials.ts';
export type {
  Dial,
  DialControl,
  DialMap,
  DialOptions,
  DialSetting,
  DialSettings,
  DialValues,
  Misfit,
  NumberDialOptions,
} from './sketch/dials.ts';
export type { InputEvent, InputSource, Keys, NotedEvent, Pointer } from './sketch/input.ts';
export { makeTrack, playTrack, readTrack, writeTrack } from './sketch/input-track.ts';
export type { InputTrack, TrackEvent } from './sketch/input-track.ts';
export { scenes } from './sketch/scenes.ts';
export type { Scene, SceneMoment, Scenes } from './sketch/scenes.ts';
export type { TableRow } from './sketch/table.ts';
export { picture } from './sketch/picture.ts';
export { renderPicture } from './sketch/render-picture.ts';
export { Run } from './sketch/run.ts';
export type { RunCall, RunOptions } from './sketch/run.ts';
export { Canvas } from './canvas/canvas.ts';
export type { AboutOptions, CanvasSetup, CanvasStyleOptions, GroupOptions } from './canvas/canvas.ts';
export type { ShapeOptions } from './canvas/shape-options.ts';
export type { StrokeOptions, StyleOptions } from './canvas/style.ts';
export type { View, ViewBox, ViewOptions, YAxis } from './canvas/view.ts';
export { boundsOf } from './canvas/bounds.ts';
export { pictureSize } from './frame/frame.ts';
export { frameBytes } from './frame/frame-bytes.ts';
export type { Columns, Frame, PenStyle, TableGroup, TablePaint } from './frame/frame.ts';
export { FrameReader } from './frame/reader.ts';
export { itemsOf } from './frame/items.ts';
export type { Group, Item, ItemPaint, ItemStroke, Visitor } from './frame/reader.ts';
export type {
  ArcOptions,
  CircleOptions,
  DotOptions,
  EllipseOptions,
  LineOptions,
  PathOptions,
  PolygonOptions,
  PolylineOptions,
  RectOptions,
  SplineOptions,
  StarOptions,
  TriangleOptions,
} from './shapes/index.ts';
export type { GridOptions } from './shapes/grid.ts';
export type { PictureOptions } from './shapes/picture.ts';
export type { Anchor, BoxOptions, PinOptions } from './shapes/place.ts';
export { defineShape, required } from './shapes/own.ts';
export type { OwnShape, ShapeDefinition } from './shapes/own.ts';
export { Color, cssColor, gray, hsl, oklch, readColor, rgb } from './paint/color.ts';
export type { ColorLike, PackedColor, Stop } from './paint/color.ts';
export { colorMix, ramp } from './paint/mix.ts';
export type { MixSpace } from './paint/mix.ts';
export { conicGradient, linearGradient, radialGradient } from './paint/gradient.ts';
export type {
  ConicGradient,
  ConicGradientOptions,
  Gradient,
  GradientUnits,
  LinearGradient,
  LinearGradientOptions,
  RadialGradient,
  RadialGradientOptions,
  Spread,
} from './paint/gradient.ts';
export type { Fill, Paint, PaintLike, PictureFill } from './paint/paint.ts';
export { pattern } from './paint/pattern.ts';
export type { Pattern, PatternOptions } from './paint/pattern.ts';
export { Picture } from './paint/picture.ts';
export type { PictureData } from './paint/picture.ts';
export { framesLeftBy } from './paint/fade.ts';
export type { BlendMode } from './paint/blend.ts';
export { seededNoise } from './chance/noise.ts';
export type { Noise } from './chance/noise.ts';
export { seededRandom } from './chance/random.ts';
export type { Random, RandomArea, RandomColorOptions, Range } from './chance/random.ts';
export * as maths from './maths/index.ts';
export { clamp, cycle, mix, remap, smoothstep, swing, wrap, zigzag } from './motion/cycle.ts';
export { LiveClock } from './motion/clock.ts';
export { easing } from './motion/easing.ts';
export type { Easing } from './motion/easing.ts';
export { keyframes } from './motion/keyframes.ts';
export type { Keyframe, KeyframeParts, KeyframeTiming, KeyframeValue } from './motion/keyframes.ts';
export { spring } from './motion/spring.ts';
export type { SpringOptions } from './motion/spring.ts';
export { fromRadians, fromTurns, heading, polar } from './geometry/angle.ts';
export type { PolarOptions } from './geometry/angle.ts';
export type { Bounds, Box } from './geometry/box.ts';
export type { FillRule } from './geometry/fill-rule.ts';
export type { Matrix } from './geometry/matrix.ts';
export type { Path } from './geometry/path.ts';
export { PathBuilder } from './geometry/path-builder.ts';
export type { Cap, Join } from './geometry/pen.ts';
export { RasterSurface } from './surfaces/raster/surface.ts';
export type { Rendering } from './surfaces/raster/engine-surface.ts';
export { rasterize } from './surfaces/raster/rasterize.ts';
export { writeSvg } from './surfaces/svg/svg.ts';
export { measureText, textOutline } from './text/measure.ts';
export type { TextMeasure } from './text/measure.ts';
export { Font } from './text/font.ts';
export { loadFonts } from './text/lettering.ts';
export type { MeasureOptions, TextAnchor, TextOptions } from './text/options.ts';
export type { Align, TextStyleOptions, Weight } from './text/style.ts';
export { describeFrame, transformInWords } from './review/describe.ts';
export type { FrameDescription, GroupDescription, Hidden, ItemDescription } from './review/describe.ts';
export { checkSketch, checkupLines, rules } from './checks/check.ts';
export type { Checkup, Finding } from './checks/check.ts';
export type { GatherSetting } from './checks/gather.ts';
export { explainFrame, explanationLines } from './review/explain.ts';
export type { ExplainedItem, ExplainHead, ExplainWish, Explanation } from './review/explain.ts';
export { compareFrames, frameDifferenceLines } from './review/compare-frames.ts';
export type { FrameDifference, ItemChange } from './review/compare-frames.ts';
export { notesOnFrame } from './review/notes.ts';
export type { FrameNote } from './review/notes.ts';
export { colorInWords, frameInWords } from './review/words.ts';
export { itemsAt } from './review/items-at.ts';
export { isSameFrame } from './review/same-frame.ts';
export { asSketchError, SketchError } from './error.ts';
export { addHostCode, sketchLine } from './source-line.ts';
export type { SourceLine } from './source-line.ts';
export { asLoadError } from './sketch/load-error.ts';
export type { OneOrTwo, Pair, Place, Point } from './schema/point.ts';
