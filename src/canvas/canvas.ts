import { fail, sketchLine } from '../error.ts';
import {
  aboutPoint,
  apply,
  identity,
  inverse,
  multiply,
  rotation,
  scaling,
  skewing,
  translation,
  type Matrix,
} from '../geometry/matrix.ts';
import { pathBox } from '../geometry/path.ts';
import { callable, checkKeys, finite, optionsObject, pair, point, type Pair, type Point } from '../options.ts';
import { readColor, type ColorLike, type PackedColor } from '../paint/color.ts';
import { circle, type CircleOptions } from '../shapes/circle.ts';
import { ellipse, type EllipseOptions } from '../shapes/ellipse.ts';
import type { Outline, ShapeKind } from '../shapes/kind.ts';
import { line, type LineOptions } from '../shapes/line.ts';
import { readAnchor, type Anchor } from '../shapes/place.ts';
import { polygon, type PolygonOptions } from '../shapes/polygon.ts';
import { polyline, type PolylineOptions } from '../shapes/polyline.ts';
import { rect, type RectOptions } from '../shapes/rect.ts';
import type { Frame, Group, Item, StrokePaint } from './frame.ts';
import { initialStyle, restyle, styleKeys, type Style, type StyleOptions } from './style.ts';

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

/** A group's transforms apply in the order translate, rotate, skew, scale, however they are written. */
export interface GroupOptions extends Omit<StyleOptions, 'opacity'>, AboutOptions {
  translate?: Point;
  rotate?: number;
  skew?: Pair;
  scale?: number | Pair;
  label?: string;
  layer?: number;
}

const shapeKeys = [...styleKeys, 'rotate', 'scale', 'label', 'layer'] as const;
const styleSet: ReadonlySet<string> = new Set(styleKeys);
const aboutSet: ReadonlySet<string> = new Set(['about']);
const groupSet: ReadonlySet<string> = new Set([
  'fill', 'stroke', 'translate', 'rotate', 'skew', 'scale', 'about', 'label', 'layer',
]); // prettier-ignore

/** The option names that a kind of shape knows, made once a kind. */
const knownByKind = new WeakMap<object, ReadonlySet<string>>();
function knownOptions(kind: Pick<ShapeKind<never>, 'keys'>): ReadonlySet<string> {
  let known = knownByKind.get(kind);
  if (known === undefined) knownByKind.set(kind, (known = new Set([...kind.keys, ...shapeKeys])));
  return known;
}

/** The canvas that a frame is recorded on. */
export interface CanvasSetup {
  readonly width: number;
  readonly height: number;
  readonly density: number;
  readonly background: PackedColor;
  readonly carry: number;
  /** Whether each item notes the sketch's line that drew it, which costs a stack trace a shape. */
  readonly trace?: boolean;
}

interface SavedState {
  readonly matrix: Matrix;
  readonly style: Style;
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
  private group_: Group | undefined;
  private layer = 0;
  private stack: SavedState[] = [];
  /** How much of the stack the group at hand may restore. */
  private floor = 0;
  private items: Item[] = [];
  private background: PackedColor;
  private carry: number;
  private layered = false;

  constructor(private readonly setup: CanvasSetup) {
    this.background = setup.background;
    this.carry = setup.carry;
  }

  /** The canvas's width, in the sketch's units. */
  get width(): number {
    return this.setup.width;
  }

  /** The canvas's height, in the sketch's units. */
  get height(): number {
    return this.setup.height;
  }

  // Shapes

  /** Draws a rectangle: `at` and `size`, or the corners `from` and `to`. */
  rect(options: RectOptions & ShapeOptions): void {
    this.draw(rect, options);
  }

  /** Draws a circle: `at`, and `radius` or `diameter`. */
  circle(options: CircleOptions & ShapeOptions): void {
    this.draw(circle, options);
  }

  /** Draws an ellipse: `at` and `size` or `radii`, or the corners `from` and `to`. */
  ellipse(options: EllipseOptions & ShapeOptions): void {
    this.draw(ellipse, options);
  }

  /** Draws a straight line. */
  line(options: LineOptions & ShapeOptions): void {
    this.draw(line, options);
  }

  /** Draws an area between `points`, or a regular polygon of so many `sides` in a `radius` about `at`. */
  polygon(options: PolygonOptions & ShapeOptions): void {
    this.draw(polygon, options);
  }

  /** Draws straight lines through `points`; `closed` leads back to the first. */
  polyline(options: PolylineOptions & ShapeOptions): void {
    this.draw(polyline, options);
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

  /** Sets fill, stroke and opacity for all that follows, until the frame or the group ends. */
  style(options: StyleOptions): void {
    optionsObject('style', options, "{ fill: 'teal', stroke: { color: 'white', width: 2 } }");
    checkKeys('style', options, styleSet);
    this.styleInForce = restyle('style', this.styleInForce, options);
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
   * throws. A label names the group.
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
    const { width, height, density } = this.setup;
    const items = this.layered ? [...this.items].sort((a, b) => a.layer - b.layer) : this.items;
    return {
      width,
      height,
      density,
      view: identity,
      background: this.background,
      carry: this.carry,
      items,
      openSaves: this.stack.length,
    };
  }

  private enter(options: GroupOptions): void {
    const call = 'group';
    const parts: Matrix[] = [];
    if (options.rotate !== undefined) parts.push(rotation(finite(call, 'rotate', options.rotate)));
    if (options.skew !== undefined) parts.push(skewing(...pair(call, 'skew', options.skew)));
    if (options.scale !== undefined) parts.push(scaling(...pair(call, 'scale', options.scale)));
    if (options.translate !== undefined) this.add(translation(...point(call, 'translate', options.translate)));
    if (parts.length > 0) {
      const own = parts.reduce(multiply);
      this.add(options.about === undefined ? own : aboutPoint(own, ...point(call, 'about', options.about)));
    }
    this.styleInForce = restyle(call, this.styleInForce, options);
    if (options.layer !== undefined) this.layer = this.readLayer(call, options.layer);
    if (options.label !== undefined) this.group_ = { label: readLabel(call, options.label), parent: this.group_ };
  }

  private add(matrix: Matrix): void {
    this.transformInForce = multiply(this.transformInForce, matrix);
  }

  private state(): SavedState {
    return { matrix: this.transformInForce, style: this.styleInForce, group: this.group_, layer: this.layer };
  }

  private setState(state: SavedState): void {
    this.transformInForce = state.matrix;
    this.styleInForce = state.style;
    this.group_ = state.group;
    this.layer = state.layer;
  }

  private draw<Options>(kind: ShapeKind<Options>, options: Options & ShapeOptions): void {
    const call = kind.name;
    optionsObject(call, options, kind.example);
    checkKeys(call, options, knownOptions(kind));
    const outline = kind.outline(options, call);
    const style = restyle(call, this.styleInForce, options);
    this.items.push({
      shape: call,
      path: outline.path,
      transform: this.shapeTransform(call, options, outline),
      fill: outline.inside ? style.fill : undefined,
      stroke: itemStroke(style, outline.inside),
      opacity: style.opacity,
      label: options.label === undefined ? undefined : readLabel(call, options.label),
      layer: options.layer === undefined ? this.layer : this.readLayer(call, options.layer),
      group: this.group_,
      source: this.setup.trace === true ? sketchLine(new Error().stack) : undefined,
    });
  }

  /** The transform in force with the shape's own rotate and scale about its pin. */
  private shapeTransform(call: string, options: ShapeOptions, outline: Outline): Matrix {
    const { rotate, scale } = options;
    if (rotate === undefined && scale === undefined) return this.transformInForce;
    let own = identity;
    if (rotate !== undefined) own = rotation(finite(call, 'rotate', rotate));
    if (scale !== undefined) own = multiply(own, scaling(...pair(call, 'scale', scale)));
    const [x, y] = outline.pin ?? boxPin(call, options.anchor, outline);
    return multiply(this.transformInForce, aboutPoint(own, x, y));
  }

  private readLayer(call: string, layer: unknown): number {
    const value = finite(call, 'layer', layer);
    if (value !== 0) this.layered = true;
    return value;
  }
}

function about(call: string, matrix: Matrix, options: AboutOptions | undefined): Matrix {
  if (options === undefined) return matrix;
  optionsObject(call, options, '{ about: [x, y] }');
  checkKeys(call, options, aboutSet);
  return aboutPoint(matrix, ...point(call, 'about', options.about));
}

function boxPin(call: string, anchor: Anchor | undefined, outline: Outline): Pair {
  const { left, top, right, bottom } = pathBox(outline.path);
  const [ax, ay] = readAnchor(call, anchor);
  return [left + ax * (right - left), top + ay * (bottom - top)];
}

function itemStroke(style: Style, inside: boolean): StrokePaint | undefined {
  if (style.strokeFrom === 'paint') return style.stroke;
  if (style.strokeFrom === 'none' || inside || style.fill === undefined) return undefined;
  const { width, cap, join, miterLimit, dash, dashOffset } = style.stroke;
  return { paint: style.fill, width, cap, join, miterLimit, dash, dashOffset };
}

function readLabel(call: string, label: unknown): string {
  if (typeof label === 'string' && label !== '') return label;
  return fail({ call, option: 'label', value: label, problem: 'is not right', expected: 'expected some text' });
}
