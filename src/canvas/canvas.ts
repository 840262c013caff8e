import { fail, sketchLine } from '../error.ts';
import {
  aboutPoint,
  apply,
  identity,
  inverse,
  largestScale,
  multiply,
  rotation,
  scaling,
  skewing,
  tilting,
  translation,
  type Matrix,
} from '../geometry/matrix.ts';
import { pathBox } from '../geometry/path.ts';
import {
  callable,
  checkKeys,
  finite,
  missing,
  oneOf,
  OptionNames,
  optionsObject,
  pair,
  point,
  within,
  type Pair,
  type Point,
} from '../options.ts';
import { blendModes } from '../paint/blend.ts';
import { pack, readColor, type ColorLike, type PackedColor } from '../paint/color.ts';
import { readPaint, type ImageFill, type Paint } from '../paint/paint.ts';
import type { Picture } from '../paint/picture.ts';
import type { ArcOptions } from '../shapes/arc.ts';
import type { CircleOptions } from '../shapes/circle.ts';
import type { CurveOptions } from '../shapes/curve.ts';
import type { EllipseOptions } from '../shapes/ellipse.ts';
import type { GridOptions } from '../shapes/grid.ts';
import { imageKeys, imageOutline, type ImageOptions } from '../shapes/image.ts';
import { shapes } from '../shapes/index.ts';
import type { Outline, ShapeKind, Surroundings } from '../shapes/kind.ts';
import type { LineOptions } from '../shapes/line.ts';
import { isOwnShape, type OwnShape } from '../shapes/own.ts';
import type { PathOptions } from '../shapes/path.ts';
import { readAnchor, type Anchor, type PinOptions } from '../shapes/place.ts';
import type { PointOptions } from '../shapes/point.ts';
import type { PolygonOptions } from '../shapes/polygon.ts';
import type { PolylineOptions } from '../shapes/polyline.ts';
import type { RectOptions } from '../shapes/rect.ts';
import type { StarOptions } from '../shapes/star.ts';
import type { TriangleOptions } from '../shapes/triangle.ts';
import { lettering } from '../text/font.ts';
import type { TextAnchor, TextOptions } from '../text/layout.ts';
import { initialTextStyle, restyleText, textStyleKeys, type TextStyle, type TextStyleOptions } from '../text/style.ts';
import type { Frame, Group, Item, StrokePaint } from './frame.ts';
import { sortLayers } from './painter-order.ts';
import { initialStyle, restyle, styleKeys, type Style, type StyleOptions } from './style.ts';
import type { View } from './view.ts';

/** What every shape takes beside its own options. */
export interface ShapeOptions extends StyleOptions {
  /** A turn about the pin, in degrees, clockwise. */
  rotate?: number;
  /** A growth about the pin: a factor, or one for each axis. */
  scale?: number | Pair;
  /** A name, for `explain`, for hits and for people. */
  label?: string;
  /** Lifts (or sinks, below 0) the shape over what is painted later. */
  layer?: number;
  /** Which point of the shape's box is its pin, where `at` does not say. */
  anchor?: Anchor;
}

/** The point that a turn, growth or skew leaves in place; the origin where it is left out. */
export interface AboutOptions {
  about?: Point;
}

/** A group's transforms apply in the order translate, rotate, tilt, skew, scale, however they are written. */
export interface GroupOptions extends StyleOptions, TextStyleOptions, AboutOptions {
  translate?: Point;
  rotate?: number;
  /** Leans the plane out of the screen about its x and its y axis, in degrees. */
  tilt?: Pair;
  skew?: Pair;
  scale?: number | Pair;
  /** Draws the region to keep: what lies outside it is cut away. */
  clip?: (region: Canvas) => void;
  label?: string;
  layer?: number;
}

const shapeKeys = [...styleKeys, 'rotate', 'scale', 'label', 'layer'] as const;
const setOf = (...keys: string[]): OptionNames => new OptionNames(keys);
const styleSet = setOf(...styleKeys, ...textStyleKeys);
const aboutSet = setOf('about');
const imageSet = setOf(...imageKeys, ...shapeKeys);
const groupSet = setOf(
  ...styleKeys, ...textStyleKeys, 'translate', 'rotate', 'tilt', 'skew', 'scale', 'about', 'clip', 'label', 'layer',
); // prettier-ignore

/** The option names of what is loaded only where letters are drawn, by what knows them. */
const setsOfLettered = new Map<readonly string[], OptionNames>();
function lettered(keys: readonly string[]): OptionNames {
  let known = setsOfLettered.get(keys);
  if (known === undefined) setsOfLettered.set(keys, (known = setOf(...keys, ...shapeKeys)));
  return known;
}

/** The option names that a kind of shape knows, made once a kind; undefined where any may be right. */
const knownByKind = new Map<object, OptionNames | undefined>();
export function knownOptions(kind: Pick<ShapeKind<never>, 'keys'>): OptionNames | undefined {
  let known = knownByKind.get(kind);
  if (known === undefined && kind.keys !== undefined)
    knownByKind.set(kind, (known = setOf(...kind.keys, ...shapeKeys)));
  return known;
}

/** What a grid is ruled in, unless it is told: it shows on light and on dark. */
const gridColors = { lines: pack(128, 128, 128, 110), axes: pack(128, 128, 128, 230) };

/** The canvas that a frame is recorded on. */
export interface CanvasSetup {
  /** The size in pixels of density 1. */
  readonly width: number;
  readonly height: number;
  readonly density: number;
  /** How the sketch's units lie on the canvas; pixels where it is left out. */
  readonly view?: View;
  readonly background: PackedColor;
  readonly carry: number;
  /** Whether each item notes the sketch's line that drew it, which costs a stack trace a shape. */
  readonly trace?: boolean;
}

interface SavedState {
  readonly matrix: Matrix;
  readonly style: Style;
  readonly text: TextStyle;
  readonly group: Group | undefined;
  readonly layer: number;
}

/**
 * What a sketch paints on. Nothing reaches a screen from here: each call adds an item to the frame, with the transform
 * and the style in force. Every frame begins with a canvas of its own, so nothing of one reaches the next.
 */
export class Canvas {
  private transformInForce: Matrix = identity;
  private styleInForce: Style = initialStyle;
  private textInForce: TextStyle = initialTextStyle;
  private group_: Group | undefined;
  private layer = 0;
  private stack: SavedState[] = [];
  /** How much of the stack the group at hand may restore. */
  private floor = 0;
  private items: Item[] = [];
  private background: PackedColor;
  private carry: number;
  private layered = false;
  private readonly around: Surroundings;

  constructor(private readonly setup: CanvasSetup) {
    const { view } = setup;
    this.around = { width: view?.width ?? setup.width, height: view?.height ?? setup.height, up: view?.up ?? false };
    this.background = setup.background;
    this.carry = setup.carry;
  }

  /** The canvas's width, in the sketch's units. */
  get width(): number {
    return this.around.width;
  }

  /** The canvas's height, in the sketch's units. */
  get height(): number {
    return this.around.height;
  }

  // Shapes

  /** Draws a rectangle: `at` and `size`, or the corners `from` and `to`. */
  rect(options: RectOptions & ShapeOptions): void {
    this.draw(shapes.rect, options);
  }

  /** Draws a circle: `at`, and `radius` or `diameter`. */
  circle(options: CircleOptions & ShapeOptions): void {
    this.draw(shapes.circle, options);
  }

  /** Draws an ellipse: `at` and `size` or `radii`, or the corners `from` and `to`. */
  ellipse(options: EllipseOptions & ShapeOptions): void {
    this.draw(shapes.ellipse, options);
  }

  /** Draws a straight line. */
  line(options: LineOptions & ShapeOptions): void {
    this.draw(shapes.line, options);
  }

  /** Draws an area between `points`, or a regular polygon of so many `sides` in a `radius` about `at`. */
  polygon(options: PolygonOptions & ShapeOptions): void {
    this.draw(shapes.polygon, options);
  }

  /** Draws straight lines through `points`; `closed` leads back to the first. */
  polyline(options: PolylineOptions & ShapeOptions): void {
    this.draw(shapes.polyline, options);
  }

  /** Draws a round mark, 4 units wide unless told otherwise. */
  point(options: PointOptions & ShapeOptions): void {
    this.draw(shapes.point, options);
  }

  /** Draws the area between exactly three `points`. */
  triangle(options: TriangleOptions & ShapeOptions): void {
    this.draw(shapes.triangle, options);
  }

  /** Draws a star: `at`, `radius`, and as wanted `innerRadius` and `tips`. */
  star(options: StarOptions & ShapeOptions): void {
    this.draw(shapes.star, options);
  }

  /** Draws part of an ellipse's edge, from the angle `start` to `end`; `close` makes it an area. */
  arc(options: ArcOptions & ShapeOptions): void {
    this.draw(shapes.arc, options);
  }

  /** Draws a smooth curve through `points`; `closed` leads back to the first. */
  curve(options: CurveOptions & ShapeOptions): void {
    this.draw(shapes.curve, options);
  }

  /** Draws any outline: SVG path `data`, or what `build` draws. */
  path(options: PathOptions & ShapeOptions): void {
    this.draw(shapes.path, options);
  }

  /** Draws a shape of the sketch's own, made with `defineShape`. */
  shape<Options extends object>(kind: OwnShape<Options>, options: Partial<Options> & PinOptions & ShapeOptions): void {
    if (!isOwnShape(kind))
      fail({
        call: 'shape',
        option: 'kind',
        value: kind,
        problem: 'is not a kind of shape',
        expected: 'expected what defineShape gives',
      });
    this.draw(kind, options);
  }

  /** Draws text, its middle on `at` unless an anchor says otherwise. */
  text(string: string | number, options: TextOptions & Omit<ShapeOptions, 'anchor'>): void {
    const call = 'text';
    if (options === undefined && typeof string === 'object')
      missing(call, 'string', 'the text first, then its options');
    optionsObject(call, options, '{ at: [100, 80], size: 20 } behind the text');
    const { textKeys, textOutline } = lettering();
    checkKeys(call, options, lettered(textKeys));
    const outline = textOutline(string, options, restyleText(call, this.textInForce, options), this.around);
    this.put(call, outline, options as ShapeOptions, undefined, String(string));
  }

  /** Draws a picture, its middle on `at` unless an anchor says otherwise. */
  image(picture: Picture, options: ImageOptions & ShapeOptions): void {
    const call = 'image';
    optionsObject(call, options, '{ at: [100, 80] } behind the picture');
    checkKeys(call, options, imageSet);
    const { outline, fill } = imageOutline(picture, options, this.around);
    this.put(call, outline, options, fill);
  }

  /**
   * Rules a grid with numbered axes in the transform in force, to see where that has gone. Its lines and numbers keep
   * their size whatever the scale.
   */
  grid(options: GridOptions & ShapeOptions = {}): void {
    const call = 'grid';
    optionsObject(call, options, '{ spacing: 50 }');
    const { gridKeys, layOutGrid, textOutline } = lettering();
    checkKeys(call, options, lettered(gridKeys));
    const { lines, axes, numbers } = layOutGrid(options, this.around.width, this.around.height);
    const unit =
      1 / (largestScale(this.transformInForce) * (largestScale(this.setup.view?.matrix ?? identity) || 1) || 1);
    const { from: _from, to: _to, spacing: _spacing, labels: _labels, ...given } = options;
    const styleBefore = this.styleInForce;
    const ruled = (paint: PackedColor): void => {
      const stroke = { ...initialStyle.stroke, paint, width: unit };
      this.styleInForce = { ...initialStyle, fill: paint, stroke, strokeFrom: 'paint' };
    };
    try {
      ruled(gridColors.lines);
      if (lines.length > 0) this.put(call, { path: lines, inside: false }, given);
      ruled(gridColors.axes);
      if (axes.length > 0) this.put(call, { path: axes, inside: false }, given);
      this.styleInForce = { ...this.styleInForce, strokeFrom: 'none' };
      for (const { at, axis, text } of numbers) {
        const [dx, dy] = axis === 'x' ? [3, this.around.up ? -3 : 3] : [4, 0];
        const anchor: TextAnchor = axis === 'x' ? 'top-left' : 'left';
        const place = { at: [at[0] + dx * unit, at[1] + dy * unit] as const, anchor };
        const outline = textOutline(text, place, { ...initialTextStyle, size: 11 * unit }, this.around);
        this.put(call, outline, { ...given, stroke: 'none' }, undefined, text);
      }
    } finally {
      this.styleInForce = styleBefore;
    }
  }

  /**
   * Wipes the whole canvas to a colour, whatever the transform: all that the frame held before is gone, and so are the
   * trails of earlier frames.
   */
  clear(color: ColorLike): void {
    this.background = readColor('clear', 'color', color).packed;
    this.carry = 0;
    this.items = [];
  }

  // Style

  /** Sets fill, stroke, opacity, blend and the way text is set for all that follows, until the frame or the group ends. */
  style(options: StyleOptions & TextStyleOptions): void {
    optionsObject('style', options, "{ fill: 'teal', stroke: { color: 'white', width: 2 } }");
    checkKeys('style', options, styleSet);
    this.styleInForce = restyle('style', this.styleInForce, options);
    this.textInForce = restyleText('style', this.textInForce, options);
  }

  // Transform

  /** Moves the origin. */
  translate(by: Point): void {
    this.add(translation(...point('translate', 'by', by)));
  }

  /** Turns by degrees, clockwise, about the origin or the point `about`. */
  rotate(degrees: number, options?: AboutOptions): void {
    this.add(about('rotate', rotation(finite('rotate', 'degrees', degrees)), options));
  }

  /** Grows by a factor, or one for each axis, about the origin or the point `about`. */
  scale(factor: number | Pair, options?: AboutOptions): void {
    this.add(about('scale', scaling(...pair('scale', 'factor', factor)), options));
  }

  /** Leans the x axis and the y axis by angles in degrees, as CSS `skew()`, about the origin or the point `about`. */
  skew(angles: Pair, options?: AboutOptions): void {
    this.add(about('skew', skewing(...pair('skew', 'angles', angles)), options));
  }

  /** Leans the plane out of the screen about its x and its y axis, in degrees, seen straight on. */
  tilt(angles: Pair, options?: AboutOptions): void {
    this.add(about('tilt', tilting(...pair('tilt', 'angles', angles)), options));
  }

  /** Adds any affine transform, `[a, b, c, d, e, f]` in the order of SVG's `matrix()`. */
  transform(matrix: Matrix): void {
    if (!Array.isArray(matrix) || matrix.length !== 6)
      fail({
        call: 'transform',
        option: 'matrix',
        value: matrix,
        problem: 'is not right',
        expected: 'expected [a, b, c, d, e, f]',
      });
    matrix.forEach((value, index) => finite('transform', `matrix[${index}]`, value));
    this.add(matrix);
  }

  /** Takes back every transform, so that units are the sketch's own again. */
  resetTransform(): void {
    this.transformInForce = identity;
  }

  /** The transform in force, from the units in force to the sketch's. */
  get matrix(): Matrix {
    return this.transformInForce;
  }

  /** Where a point of the units in force lies on the canvas. */
  toCanvas(at: Point): [number, number] {
    return apply(this.transformInForce, ...point('toCanvas', 'at', at));
  }

  /** Where a point of the canvas lies in the units in force; NaN where a transform has squashed the plane flat. */
  toLocal(at: Point): [number, number] {
    const back = inverse(this.transformInForce);
    const [x, y] = point('toLocal', 'at', at);
    return back === undefined ? [NaN, NaN] : apply(back, x, y);
  }

  // State

  /** Keeps the transform and the style, until `restore`. */
  save(): void {
    this.stack.push(this.state());
  }

  /** Brings back what the last `save` kept. One too many is an error. */
  restore(): void {
    if (this.stack.length <= this.floor)
      fail({
        call: 'restore',
        problem: this.floor === 0 ? 'there is no save left to restore' : 'there is no save left in this group',
        expected: 'each restore needs a save before it',
      });
    this.setState(this.stack.pop() as SavedState);
  }

  /**
   * Paints `body` with transforms and a style of its own; both are as before afterwards, whatever `body` does or
   * throws. A label names the group. Its opacity, blend and clip work on all of it as one picture.
   */
  group(options: GroupOptions, body: () => void): void {
    optionsObject('group', options, '{ translate: [100, 80], rotate: 30 } and a function');
    checkKeys('group', options, groupSet);
    callable('group', 'body', body);
    const before = this.state();
    const floorBefore = this.floor;
    this.floor = this.stack.length;
    try {
      this.enter(options);
      body();
    } finally {
      this.stack.length = Math.min(this.stack.length, this.floor);
      this.floor = floorBefore;
      this.setState(before);
    }
  }

  /** The frame as painted so far. @internal */
  finish(): Frame {
    const { width, height, density, view } = this.setup;
    return {
      width,
      height,
      density,
      view: view?.matrix ?? identity,
      background: this.background,
      carry: this.carry,
      items: this.layered ? sortLayers(this.items) : this.items,
      openSaves: this.stack.length,
    };
  }

  private enter(options: GroupOptions): void {
    const call = 'group';
    const parts: Matrix[] = [];
    if (options.rotate !== undefined) parts.push(rotation(finite(call, 'rotate', options.rotate)));
    if (options.tilt !== undefined) parts.push(tilting(...pair(call, 'tilt', options.tilt)));
    if (options.skew !== undefined) parts.push(skewing(...pair(call, 'skew', options.skew)));
    if (options.scale !== undefined) parts.push(scaling(...pair(call, 'scale', options.scale)));
    if (options.translate !== undefined) this.add(translation(...point(call, 'translate', options.translate)));
    if (parts.length > 0) {
      const own = parts.reduce(multiply);
      this.add(options.about === undefined ? own : aboutPoint(own, ...point(call, 'about', options.about)));
    }
    const layer = options.layer === undefined ? this.layer : this.readLayer(call, options.layer);
    const opacity = options.opacity === undefined ? 1 : within(call, 'opacity', options.opacity, 0, 1);
    const blend = options.blend === undefined ? 'normal' : oneOf(call, 'blend', options.blend, blendModes);
    const clip = options.clip === undefined ? undefined : this.region(callable(call, 'clip', options.clip));
    const isolated = opacity < 1 || blend !== 'normal' || clip !== undefined;
    if (isolated || options.label !== undefined) {
      const label = options.label === undefined ? undefined : readLabel(call, options.label);
      this.group_ = { label, parent: this.group_, isolated, opacity, blend, clip, layer };
    }
    // Within an isolated group layers begin anew; the group's own places the whole of it.
    this.layer = isolated ? 0 : layer;
    const { opacity: _opacity, blend: _blend, ...style } = options;
    this.styleInForce = restyle(call, this.styleInForce, style);
    this.textInForce = restyleText(call, this.textInForce, options);
  }

  /** What a clip function draws: with the transform in force, and a style as at the beginning of a frame. */
  private region(clip: (region: Canvas) => void): readonly Item[] {
    const region = new Canvas(this.setup);
    region.transformInForce = this.transformInForce;
    clip(region);
    return region.finish().items;
  }

  private add(matrix: Matrix): void {
    this.transformInForce = multiply(this.transformInForce, matrix);
  }

  private state(): SavedState {
    return {
      matrix: this.transformInForce,
      style: this.styleInForce,
      text: this.textInForce,
      group: this.group_,
      layer: this.layer,
    };
  }

  private setState(state: SavedState): void {
    this.transformInForce = state.matrix;
    this.styleInForce = state.style;
    this.textInForce = state.text;
    this.group_ = state.group;
    this.layer = state.layer;
  }

  private draw<Options>(kind: ShapeKind<Options>, options: Options & ShapeOptions): void {
    const call = kind.name;
    optionsObject(call, options, kind.example);
    checkKeys(call, options, knownOptions(kind));
    this.put(call, kind.outline(options, call, this.around), options);
  }

  /** Adds an item: an outline with the transform and the style in force and the shape's own. */
  private put(call: string, outline: Outline, options: ShapeOptions, image?: ImageFill, text?: string): void {
    // A fill alone is by far the most common style of a shape's own: no new style is made for it.
    const { fill, label, layer } = options;
    const filled = options.stroke === undefined && options.opacity === undefined && options.blend === undefined;
    const style = filled ? this.styleInForce : restyle(call, this.styleInForce, options);
    const paint = filled && fill !== undefined ? readPaint(call, 'fill', fill) : style.fill;
    const own = ownTransform(call, options, outline, this.around);
    const item: Item = {
      shape: call,
      path: outline.path,
      transform: own === undefined ? this.transformInForce : multiply(this.transformInForce, own),
      fill: image ?? (outline.inside ? paint : undefined),
      fillRule: outline.fillRule ?? 'nonzero',
      stroke: itemStroke(style, paint, outline.inside),
      opacity: style.opacity,
      blend: style.blend,
    };
    if (layer !== undefined || this.layer !== 0)
      item.layer = layer === undefined ? this.layer : this.readLayer(call, layer);
    if (this.group_ !== undefined) item.group = this.group_;
    if (label !== undefined) item.label = readLabel(call, label);
    if (text !== undefined) item.text = text;
    if (this.setup.trace === true) item.source = sketchLine(new Error().stack);
    this.items.push(item);
  }

  private readLayer(call: string, layer: unknown): number {
    const value = finite(call, 'layer', layer);
    if (value !== 0) this.layered = true;
    return value;
  }
}

const members = Object.getOwnPropertyNames(Canvas.prototype);
const isCall = (name: string): boolean =>
  typeof Object.getOwnPropertyDescriptor(Canvas.prototype, name)?.value === 'function';
/** What a sketch can call of a canvas: all that stands between the constructor and `finish`. */
export const canvasCalls: readonly string[] = members.slice(1, members.indexOf('finish')).filter(isCall);

function about(call: string, matrix: Matrix, options: AboutOptions | undefined): Matrix {
  if (options === undefined) return matrix;
  optionsObject(call, options, '{ about: [x, y] }');
  checkKeys(call, options, aboutSet);
  return aboutPoint(matrix, ...point(call, 'about', options.about));
}

/** A shape's own rotate and scale, about its pin; undefined where it has neither. */
export function ownTransform(
  call: string,
  options: ShapeOptions,
  outline: Outline,
  around: Surroundings,
): Matrix | undefined {
  const { rotate, scale } = options;
  if (rotate === undefined && scale === undefined) return undefined;
  let own = rotate === undefined ? identity : rotation(finite(call, 'rotate', rotate));
  if (scale !== undefined) own = multiply(own, scaling(...pair(call, 'scale', scale)));
  return aboutPoint(own, ...(outline.pin ?? boxPin(call, options.anchor, outline, around)));
}

/** The pin of an outline that has none of its own: its anchor's point of its box. */
function boxPin(call: string, anchor: Anchor | undefined, outline: Outline, around: Surroundings): Pair {
  const { left, top, right, bottom } = pathBox(outline.path);
  const [ax, ay] = readAnchor(call, anchor, around);
  return [left + ax * (right - left), top + ay * (bottom - top)];
}

function itemStroke(style: Style, fill: Paint | undefined, inside: boolean): StrokePaint | undefined {
  if (style.strokeFrom === 'paint') return style.stroke;
  if (style.strokeFrom === 'none' || inside || fill === undefined) return undefined;
  return { ...style.stroke, paint: fill };
}

function readLabel(call: string, label: unknown): string {
  if (typeof label === 'string' && label !== '') return label;
  return fail({ call, option: 'label', value: label, problem: 'is not right', expected: 'expected some text' });
}
