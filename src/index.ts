export { defineSketch, isSketch } from './sketch/sketch.ts';
export type { ViewBox, YAxis } from './canvas/view.ts';
export type { CanvasOptions, Moment, Sketch, SketchDefinition } from './sketch/sketch.ts';
export { asset } from './sketch/assets.ts';
export type { Asset, AssetHost, AssetMap, AssetValues } from './sketch/assets.ts';
export type { TableRow } from './sketch/table.ts';
export { picture } from './sketch/picture.ts';
export { Run } from './sketch/run.ts';
export type { RunOptions } from './sketch/run.ts';
export { Canvas } from './canvas/canvas.ts';
export type { AboutOptions, CanvasSetup, GroupOptions, ShapeOptions } from './canvas/canvas.ts';
export type { StrokeOptions, StyleOptions } from './canvas/style.ts';
export { pictureSize } from './canvas/frame.ts';
export type { Frame, Group, Item, StrokePaint } from './canvas/frame.ts';
export type { CircleOptions } from './shapes/circle.ts';
export type { EllipseOptions } from './shapes/ellipse.ts';
export type { LineOptions } from './shapes/line.ts';
export type { ArcOptions } from './shapes/arc.ts';
export type { CurveOptions } from './shapes/curve.ts';
export type { GridOptions } from './shapes/grid.ts';
export type { ImageOptions } from './shapes/image.ts';
export type { PathOptions } from './shapes/path.ts';
export type { PointOptions } from './shapes/point.ts';
export type { StarOptions } from './shapes/star.ts';
export type { TriangleOptions } from './shapes/triangle.ts';
export type { PolygonOptions } from './shapes/polygon.ts';
export type { PolylineOptions } from './shapes/polyline.ts';
export type { RectOptions } from './shapes/rect.ts';
export type { Anchor, BoxOptions, PinOptions } from './shapes/place.ts';
export { Color, colorMix, grey, hsl, oklch, ramp, rgb } from './paint/color.ts';
export type { ColorLike, MixSpace, PackedColor, Stop } from './paint/color.ts';
export type { Fill, ImageFill, Paint, PaintLike } from './paint/paint.ts';
export { createRandom } from './chance/random.ts';
export type { Random, RandomBox, RandomColorOptions, Range } from './chance/random.ts';
export { clamp, cycle, mix, remap, smoothstep, swing, wrap, zigzag } from './motion/cycle.ts';
export { radians, turns } from './geometry/angle.ts';
export type { Matrix } from './geometry/matrix.ts';
export type { Path } from './geometry/path.ts';
export type { Cap, Join, Pen } from './geometry/stroke.ts';
export { RasterSurface, rasterize } from './raster/surface.ts';
export { pattern, Picture } from './paint/picture.ts';
export type { Pattern, PatternOptions } from './paint/picture.ts';
export { conicGradient, linearGradient, radialGradient } from './paint/gradient.ts';
export type {
  ConicGradient,
  Gradient,
  GradientUnits,
  LinearGradient,
  RadialGradient,
  Spread,
} from './paint/gradient.ts';
export type { BlendMode } from './paint/blend.ts';
export { boundsOf } from './canvas/bounds.ts';
export { defineShape } from './shapes/own.ts';
export type { OwnShape, ShapeDefinition } from './shapes/own.ts';
export { measureText } from './text/layout.ts';
export type { TextAnchor, TextMeasure, TextOptions } from './text/layout.ts';
export { Font, loadFonts } from './text/font.ts';
export type { Align, TextStyleOptions, Weight } from './text/style.ts';
export type { Box } from './geometry/box.ts';
export type { FillRule } from './geometry/fill-rule.ts';
export { PathBuilder } from './geometry/path-builder.ts';
export { SketchError } from './error.ts';
export type { SourceLine } from './error.ts';
export type { Pair, Point } from './options.ts';
export { easing } from './motion/easing.ts';
export type { Easing } from './motion/easing.ts';
export { keyframes } from './motion/keyframes.ts';
export type { Keyframe, KeyframeTiming, KeyframeValue } from './motion/keyframes.ts';
export { spring } from './motion/spring.ts';
export type { SpringOptions } from './motion/spring.ts';
