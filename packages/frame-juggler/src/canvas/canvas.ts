import { fail, type Fault } from '../error.ts';
import { sketchLine, type SourceLine } from '../source-line.ts';
import type { Frame } from '../frame/frame.ts';
import { FrameWriter } from '../frame/writer.ts';
import { onlyKnown } from '../known-names.ts';
import { givenMatrix } from '../geometry/given-matrix.ts';
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
  translation,
  type Matrix,
} from '../geometry/matrix.ts';
import { tiltPlane, transformPlane, type Plane } from '../geometry/space.ts';
import { pack, readColor, type ColorLike, type PackedColor } from '../paint/color.ts';
import type { PictureFill } from '../paint/paint.ts';
import { readPicture, type Picture } from '../paint/picture.ts';
import { callable, convertedLater, degrees, finite, name, refusePromise } from '../schema/kind.ts';
import {
  bothOf,
  factors,
  pair,
  point,
  xOf,
  yOf,
  type OneOrTwo,
  type Pair,
  type Place,
  type Point,
} from '../schema/point.ts';
import { optional, type Options, schemaOf } from '../schema/schema.ts';
import {
  addGridLines,
  gridNumbers,
  gridOptions,
  layOutGrid,
  type GridNumber,
  type GridOptions,
} from '../shapes/grid.ts';
import { shapes } from '../shapes/index.ts';
import type { Outline, ShapeKind, Surroundings } from '../shapes/kind.ts';
import { isOwnShape, type OwnShape } from '../shapes/own.ts';
import { addPicture, pictureOptions, type PictureOptions } from '../shapes/picture.ts';
import type { Anchor } from '../shapes/place.ts';
import type { TextSetting } from '../text/layout.ts';
import { lettering, loadLettering } from '../text/lettering.ts';
import { needsOf, type TextNeed } from '../text/needs.ts';
import { readString, textOptions, type TextOptions } from '../text/options.ts';
import {
  initialTextStyle,
  restyleText,
  textStyleOptions,
  type TextStyle,
  type TextStyleOptions,
} from '../text/style.ts';
import { ownTransform, readOwnShape, withShapeOptions, type ShapeOptions } from './shape-options.ts';
import {
  initialStyle,
  plainStyle,
  restyle,
  restyleGroup,
  styleTable,
  isStroked,
  writeLook,
  type Style,
  type StyleOptions,
} from './style.ts';
import type { View } from './view.ts';

const aboutTable = {
  /** The point that rotate, scale, skew and tilt leave in place; by default the origin. */
  about: optional(point),
};
/** Where a transform has its middle. */
export interface AboutOptions extends Options<typeof aboutTable> {}
const aboutOptions = schemaOf(aboutTable, '{ about: [x, y] }');

const textKeyTable = {
  /** How text is set: size, font, weight, align, lineHeight, letterSpacing. */
  text: optional(convertedLater<TextStyleOptions>('{ size, font, weight, align, lineHeight, letterSpacing }')),
};
/** What `style` takes; a key you leave out keeps its value. */
export interface CanvasStyleOptions extends StyleOptions, Options<typeof textKeyTable> {}
const canvasStyleOptions = schemaOf(
  { ...styleTable, ...textKeyTable },
  "{ fill: 'teal', stroke: { color: 'white', width: 2 } }",
);

const groupTable = {
  /** Moves the origin, in units. */
  translate: optional(point),
  /** Turns, in degrees, clockwise. */
  rotate: optional(degrees),
  /** Tilts the plane out of the screen about its x and its y axis, in degrees. */
  tilt: optional(pair),
  /** Skews along the x axis and the y axis, in degrees. */
  skew: optional(pair),
  /** Scales by one factor, or one for each axis. */
  scale: optional(factors),
  /** Draws the region to keep; everything outside it is cut away. */
  clip: optional(
    callable<(region: Canvas) => void>('a function that draws the region: (region) => region.circle({ … })'),
  ),
  /** A name, for `explain`, for `pointer.over` and for people. */
  label: optional(name),
  /** Raises all of it above what is painted later; a negative layer lowers it. */
  layer: optional(finite),
};
/** A group's transforms apply in the order translate, rotate, tilt, skew, scale, however they are written. */
export interface GroupOptions extends CanvasStyleOptions, AboutOptions, Options<typeof groupTable> {}
const groupOptions = schemaOf(
  { ...styleTable, ...textKeyTable, ...aboutTable, ...groupTable },
  '{ translate: [100, 80], rotate: 30 } and a function',
);

const body = callable<(canvas: Canvas) => void>('a function: () => { … }');

/** The color of a grid by default: it shows on light and on dark. */
const gridColors = { lines: pack(128, 128, 128, 110), axes: pack(128, 128, 128, 230) };
/** How far from its axis a number of a grid stands, by its anchor, in pixels. */
const gridGaps = {
  left: [4, 0],
  right: [-4, 0],
  'top-left': [4, 3],
  'top-right': [-4, 3],
  'bottom-left': [4, -3],
  'bottom-right': [-4, -3],
} as const satisfies Record<GridNumber['anchor'], Pair>;

/** The canvas on which a frame is recorded. */
export interface CanvasSetup {
  /** The canvas's width, in pixels of density 1. */
  readonly width: number;
  /** The canvas's height, in pixels of density 1. */
  readonly height: number;
  /** Pixels of the rendering to one pixel of the canvas. */
  readonly density: number;
  /** How the sketch's units lie on the canvas; pixels where it is left out. */
  readonly view?: View;
  /** What lies under everything. */
  readonly background: PackedColor;
  /** How much of the last picture stays under this one, 0 to 1. */
  readonly carry: number;
  /** Whether each item notes the sketch's line that drew it, which costs a stack trace a shape. */
  readonly trace?: boolean;
}

interface SavedState {
  readonly plane: Plane;
  readonly style: Style;
  readonly text: TextStyle;
  readonly group: number;
  readonly layer: number;
}

const afterPaint = {
  problem: 'comes too late: its frame is painted',
  expected: 'draw while paint is running, on the canvas that it is given',
};
const withinClip = {
  problem: 'is drawn on the canvas while a clip is',
  expected: 'draw on the region that the clip is given: (region) => region.circle({ … })',
};

/** What one frame's canvas and the regions of its clips have in common. */
interface Recording {
  readonly writer: FrameWriter;
  /** Texts to be set once their fonts are there, and the items that they are to be the outlines of. */
  readonly texts: { readonly item: number; readonly setting: TextSetting }[];
  readonly needs: Set<TextNeed>;
}

type GivenTo<Kind> = Kind extends ShapeKind<infer Given> ? Given : never;
/** A call for each shape of the library. */
type ShapeCalls = {
  readonly [Name in keyof typeof shapes]: (options: GivenTo<(typeof shapes)[Name]> & ShapeOptions) => void;
};

export interface Canvas extends ShapeCalls {}

/**
 * What a sketch paints on. Nothing appears on a screen from here: each call adds an item to the frame, with the current transform and style. Every frame has its own canvas, so nothing carries over to the next.
 */
export class Canvas {
  private plane: Plane = { matrix: identity, lean: undefined };
  private styleInForce: Style = initialStyle;
  private textInForce: TextStyle = initialTextStyle;
  /** The place of the current group in the frame; 0 for none. */
  private groupInForce = 0;
  private layerInForce = 0;
  private stack: SavedState[] = [];
  /** How many states were saved before the current group began; the group may not restore those. */
  private savedBefore = 0;
  /** The items painted here, in turn. */
  private order: number[] = [];
  private backdrop: PackedColor;
  private carry: number;
  /** Why nothing may be drawn now, as it would be lost, or not where it is meant; undefined where it may. */
  private closed: Pick<Fault, 'problem' | 'expected'> | undefined;
  private readonly surroundings: Surroundings;
  /** Finds the sketch's line; whoever has found it already says so, as a stack trace takes long. @internal */
  lineOf: (call: string) => SourceLine | undefined = (call) =>
    sketchLine(call in this ? this[call as keyof this] : undefined);

  constructor(
    private readonly setup: CanvasSetup,
    private readonly recording: Recording = { writer: new FrameWriter(), texts: [], needs: new Set() },
  ) {
    const { view, width, height } = setup;
    this.surroundings = view ?? { left: 0, top: 0, width, height, up: false };
    this.backdrop = setup.background;
    this.carry = setup.carry;
  }

  /** The canvas's width, in the sketch's units. */
  get width(): number {
    return this.surroundings.width;
  }

  /** The canvas's height, in the sketch's units. */
  get height(): number {
    return this.surroundings.height;
  }

  // Shapes: those of the library stand in shapes/index.ts

  /** Draws a shape of the sketch's own, made with `defineShape`. */
  shape<Values extends object>(kind: OwnShape<Values>, options: GivenTo<OwnShape<Values>> & ShapeOptions): void {
    this.draw(readOwnShape(kind, isOwnShape) as ShapeKind<object>, options);
  }

  /** Draws text with its middle at `at`, unless `anchor` says otherwise. */
  text(string: string | number, options: TextOptions & ShapeOptions): void {
    const call = 'text';
    const written = readString(call, string);
    withShapeOptions(textOptions).check(call, options);
    this.putText(call, written, options, restyleText(this.textInForce, options));
  }

  /** Draws a picture with its middle at `at`, unless `anchor` says otherwise. */
  picture(picture: Picture, options: PictureOptions & ShapeOptions): void {
    const call = 'picture';
    readPicture(call, picture);
    withShapeOptions(pictureOptions).check(call, options);
    const look = this.lookOf(call, options);
    const { path } = this.recording.writer;
    const start = path.length;
    const { outline, fill } = addPicture(picture, options, path, this.surroundings);
    this.put(call, outline, start, options, look, fill);
  }

  /**
   * Draws a grid with numbered axes in the current transform, to see where that has gone. Its lines and numbers keep their size whatever the scale.
   */
  grid(options?: GridOptions & ShapeOptions): void {
    const call = 'grid';
    if (options !== undefined) withShapeOptions(gridOptions).check(call, options);
    const layout = layOutGrid(options ?? {}, this.surroundings);
    const unit = 1 / (largestScale(this.plane.matrix) * (largestScale(this.setup.view?.matrix ?? identity) || 1) || 1);
    const { from: _from, to: _to, spacing: _spacing, numbers, ...given } = options ?? {};
    const styleBefore = this.styleInForce;
    const { path } = this.recording.writer;
    try {
      for (const axes of [false, true]) {
        this.styleInForce = plainStyle(axes ? gridColors.axes : gridColors.lines, unit);
        const start = path.length;
        addGridLines(layout, axes, path);
        if (path.length > start) this.put(call, { inside: false }, start, given, this.lookOf(call, given));
      }
      if (numbers === false) return;
      this.styleInForce = plainStyle(gridColors.axes, undefined);
      const { up } = this.surroundings;
      for (const { at, anchor, text } of gridNumbers(layout, up, unit)) {
        const [dx, dy] = gridGaps[anchor];
        this.putText(
          call,
          text,
          {
            ...given,
            stroke: 'none',
            at: [at[0] + dx * unit, at[1] + (up ? -dy : dy) * unit],
            anchor,
          },
          { ...initialTextStyle, size: 11 * unit },
        );
      }
    } finally {
      this.styleInForce = styleBefore;
    }
  }

  /**
   * Wipes the whole canvas to a color, whatever the transform: all that the frame held before is gone, and so are the
   * trails of earlier frames.
   */
  clear(color: ColorLike): void {
    this.backdrop = readColor('clear', 'color', color).packed;
    this.carry = 0;
    this.order = [];
  }

  // Style

  /** Sets fill, stroke, opacity, blend and how text is set, for everything that follows until the frame or the group ends. */
  style(options: CanvasStyleOptions): void {
    canvasStyleOptions.check('style', options);
    this.styleInForce = restyle('style', this.styleInForce, options);
    this.restyleText('style', options.text);
  }

  // Transform

  /** Moves the origin. */
  translate(by: Point): void {
    point.read('translate', 'by', by);
    this.add(translation(xOf(by), yOf(by)));
  }

  /** Turns by degrees, clockwise, about the origin or the point `about`. */
  rotate(angle: number, options?: AboutOptions): void {
    this.addAbout('rotate', rotation(degrees.read('rotate', 'angle', angle)), options);
  }

  /** Scales by one factor, or one for each axis, about the origin or the point `about`. */
  scale(factor: OneOrTwo, options?: AboutOptions): void {
    if (typeof options === 'number')
      fail({ call: 'scale', value: options, problem: 'is a second factor', expected: `expected both as one: scale([${factor}, ${options}])` }); // prettier-ignore
    this.addAbout('scale', scaling(...bothOf(factors.read('scale', 'factor', factor))), options);
  }

  /** Skews along the x axis and the y axis by angles in degrees, as CSS `skew()`, about the origin or the point `about`. */
  skew(angles: Pair, options?: AboutOptions): void {
    this.addAbout('skew', skewing(...pair.read('skew', 'angles', angles)), options);
  }

  /**
   * Tilts the plane out of the screen about its x and its y axis, in degrees, without perspective. Tilts and turns add up in space: two tilts of 60° make one of 120°.
   */
  tilt(angles: Pair, options?: AboutOptions): void {
    pair.read('tilt', 'angles', angles);
    const about = readAbout('tilt', options);
    if (about !== undefined) this.add(translation(xOf(about), yOf(about)));
    this.plane = tiltPlane(this.plane, ...angles);
    if (about !== undefined) this.add(translation(-xOf(about), -yOf(about)));
  }

  /** Adds any affine transform, `[a, b, c, d, e, f]` in the order of SVG's `matrix()`. */
  transform(matrix: Matrix): void {
    this.add(givenMatrix.read('transform', 'matrix', matrix));
  }

  /** Undoes every transform, so that the units are the sketch's own again. */
  resetTransform(): void {
    this.plane = { matrix: identity, lean: undefined };
  }

  /** The transform in force, from the units in force to the sketch's. */
  get matrix(): Matrix {
    return this.plane.matrix;
  }

  /** Where a point of the units in force lies on the canvas. */
  toCanvas(at: Point): Place {
    point.read('toCanvas', 'at', at);
    const [x, y] = apply(this.plane.matrix, xOf(at), yOf(at));
    return { x, y };
  }

  /** Where a point of the canvas lies in the units in force; NaN where a transform has squashed the plane flat. */
  toLocal(at: Point): Place {
    point.read('toLocal', 'at', at);
    const back = inverse(this.plane.matrix);
    const [x, y] = back === undefined ? [NaN, NaN] : apply(back, xOf(at), yOf(at));
    return { x, y };
  }

  // State

  /** Stores the transform and the style until `restore`. */
  save(): void {
    this.stack.push(this.state());
  }

  /** Restores what the last `save` stored. One `restore` too many is an error. */
  restore(): void {
    if (this.stack.length <= this.savedBefore)
      fail({
        call: 'restore',
        problem: this.savedBefore === 0 ? 'there is no save left to restore' : 'there is no save left in this group',
        expected: 'each restore needs a save before it',
      });
    this.setState(this.stack.pop()!);
  }

  /**
   * Paints with transforms and style of its own; afterwards both are as before, whatever `paint` does or throws. `paint` is handed the canvas once more; it may not be async. A label names the group. Its opacity, blend and clip treat all of it as one picture.
   */
  group(options: GroupOptions, paint: (canvas: Canvas) => void): void {
    groupOptions.check('group', options);
    body.read('group', 'body', paint);
    const before = this.state();
    const { savedBefore } = this;
    this.savedBefore = this.stack.length;
    try {
      this.enter(options);
      refusePromise(paint(this), 'group', 'group', 'body');
    } finally {
      this.stack.length = Math.min(this.stack.length, this.savedBefore);
      this.savedBefore = savedBefore;
      this.setState(before);
    }
  }

  /** Loads the fonts of texts that are to be set, where they are not there yet. @internal */
  async ready(): Promise<void> {
    if (this.recording.texts.length > 0) await loadLettering(this.recording.needs);
  }

  /** How many items have been recorded, those of clips among them. @internal */
  get recorded(): number {
    return this.recording.writer.size;
  }

  /** How text would be set that is drawn now. @internal */
  get textStyle(): TextStyle {
    return this.textInForce;
  }

  /** The frame as painted so far. @throws SketchError where a text's font is not loaded; see {@link ready} @internal */
  finish(): Frame {
    const lacking = this.setTexts();
    const { width, height, density, view } = this.setup;
    const { backdrop: background, carry } = this;
    const openSaves = this.stack.length;
    const head = { width, height, density, view: view?.matrix ?? identity, background, carry, openSaves, lacking };
    this.closed = afterPaint;
    return this.recording.writer.finish(head, this.order);
  }

  /** Sets the texts; gives the characters that their fonts lack. */
  private setTexts(): string[] {
    const { writer, texts, needs } = this.recording;
    if (texts.length === 0) return [];
    const { layOut, means } = lettering(needs);
    const lacking = new Set<string>();
    for (const { item, setting } of texts) {
      const start = writer.path.length;
      const block = layOut(setting, means);
      writer.path.path(block.path);
      writer.setOutline(item, start);
      if (block.simple) writer.set('simple', item, 1);
      for (const character of block.lacking) lacking.add(character);
    }
    texts.length = 0;
    return [...lacking];
  }

  private enter(options: GroupOptions): void {
    const call = 'group';
    const { translate, rotate, tilt, skew, scale, about, clip, label, opacity = 1, blend = 'normal' } = options;
    if (translate !== undefined) this.add(translation(xOf(translate), yOf(translate)));
    if (tilt !== undefined && about !== undefined) this.add(translation(xOf(about), yOf(about)));
    if (tilt !== undefined) {
      if (rotate !== undefined) this.add(rotation(rotate));
      this.plane = tiltPlane(this.plane, ...tilt);
    }
    const within: Matrix[] = [];
    if (rotate !== undefined && tilt === undefined) within.push(rotation(rotate));
    if (skew !== undefined) within.push(skewing(...skew));
    if (scale !== undefined) within.push(scaling(...bothOf(scale)));
    if (within.length > 0) {
      const own = within.reduce(multiply);
      this.add(about === undefined || tilt !== undefined ? own : aboutPoint(own, xOf(about), yOf(about)));
    }
    if (tilt !== undefined && about !== undefined) this.add(translation(-xOf(about), -yOf(about)));
    const layer = options.layer ?? this.layerInForce;
    const isolated = opacity < 1 || blend !== 'normal' || clip !== undefined;
    if (isolated || label !== undefined) {
      const group = { label, parent: this.groupInForce, isolated, opacity, blend, layer };
      this.groupInForce = this.recording.writer.addGroup({ ...group, clip: clip && this.region(clip) });
    }
    // Inside an isolated group, layers count from 0 again; the group's own layer places it as a whole.
    this.layerInForce = isolated ? 0 : layer;
    this.styleInForce = restyleGroup(call, this.styleInForce, options);
    this.restyleText(call, options.text);
  }

  private restyleText(call: string, text: TextStyleOptions | undefined): void {
    if (text === undefined) return;
    textStyleOptions.check(`${call} text`, text);
    this.textInForce = restyleText(this.textInForce, text);
  }

  /** What a clip function draws: with the transform in force, and a style as at the beginning of a frame. */
  private region(clip: (region: Canvas) => void): readonly number[] {
    const region = new Canvas(this.setup, this.recording);
    region.plane = this.plane;
    const { closed } = this;
    this.closed = withinClip;
    try {
      refusePromise(clip(region), 'group', 'group', 'clip');
    } finally {
      this.closed = closed;
    }
    return region.order;
  }

  private add(matrix: Matrix): void {
    this.plane = transformPlane(this.plane, matrix);
  }

  private addAbout(call: string, matrix: Matrix, options: AboutOptions | undefined): void {
    const about = readAbout(call, options);
    this.add(about === undefined ? matrix : aboutPoint(matrix, xOf(about), yOf(about)));
  }

  private state(): SavedState {
    return {
      plane: this.plane,
      style: this.styleInForce,
      text: this.textInForce,
      group: this.groupInForce,
      layer: this.layerInForce,
    };
  }

  private setState(state: SavedState): void {
    this.plane = state.plane;
    this.styleInForce = state.style;
    this.textInForce = state.text;
    this.groupInForce = state.group;
    this.layerInForce = state.layer;
  }

  private draw<Given extends object>(kind: ShapeKind<Given>, options: Given & ShapeOptions): void {
    const { name: call } = kind;
    withShapeOptions(kind.options).check(call, options);
    const look = this.lookOf(call, options);
    const { path } = this.recording.writer;
    const start = path.length;
    this.put(call, kind.outline(options, path, call, this.surroundings), start, options, look);
  }

  /** Adds a text item; its outline is filled in once its font is loaded. */
  private putText(call: string, string: string, options: TextOptions & ShapeOptions, style: TextStyle): void {
    const { writer, texts, needs } = this.recording;
    const { at, anchor, maxWidth } = options;
    const pin: Pair = [xOf(at), yOf(at)];
    const look = this.lookOf(call, options);
    // Its anchor, which may be a baseline, is not asked for where there is a pin.
    const item = this.put(call, { inside: true, pin }, writer.path.length, options as ShapeOptions, look);
    writer.setName('text', item, string);
    const { up } = this.surroundings;
    texts.push({ item, setting: { string, pin, style, anchor, maxWidth, up, united: isStroked(look) } });
    for (const need of needsOf(string, style, maxWidth)) needs.add(need);
  }

  /** The style in force with a shape's own. @throws SketchError where nothing may be drawn now */
  private lookOf(call: string, options: ShapeOptions): Style {
    if (this.closed !== undefined) fail({ call, ...this.closed });
    return restyle(call, this.styleInForce, options);
  }

  /** Adds an item: an outline with the transform in force, the shape's own, and its look. Returns its place. */
  private put(
    call: string,
    outline: Outline,
    start: number,
    options: ShapeOptions & { anchor?: Anchor },
    look: Style,
    picture?: PictureFill,
  ): number {
    const { writer } = this.recording;
    const { label, layer = this.layerInForce } = options;
    const own = ownTransform(options, outline, writer.path, start, this.surroundings);
    const { matrix } = this.plane;
    const transform = own === undefined ? matrix : multiply(matrix, own);
    const item = writer.add(call, start, transform);
    writeLook(writer, item, look, outline.inside, picture);
    if (outline.fillRule === 'evenodd') writer.set('evenOdd', item, 1);
    if (this.groupInForce !== 0) writer.set('group', item, this.groupInForce);
    if (layer !== 0) writer.setLayer(item, layer);
    if (label !== undefined) writer.setName('label', item, label);
    if (this.setup.trace === true) writer.setSource(item, this.lineOf(call));
    this.order.push(item);
    return item;
  }
}

function readAbout(call: string, options: AboutOptions | undefined): Point | undefined {
  if (options !== undefined) aboutOptions.check(call, options);
  return options?.about;
}

type Call = (this: Canvas, ...given: unknown[]) => unknown;

const members = Object.getOwnPropertyDescriptors(Canvas.prototype);
const memberNames = Object.keys(members);
/** What a sketch can ask of a canvas: the shapes, and all that stands between the constructor and `ready`. */
export const canvasNames: readonly string[] = [
  ...Object.keys(shapes),
  ...memberNames.slice(1, memberNames.indexOf('ready')),
];

for (const name of canvasNames) {
  const kind = shapes[name as keyof ShapeCalls] as ShapeKind<object> | undefined;
  const call: Call | undefined = kind
    ? function (options) {
        this['draw'](kind, options as ShapeOptions);
      }
    : (members[name].value as Call | undefined);
  if (call === undefined) continue;
  const takes = call.length;
  const value: Call = function (...given) {
    const result = call.apply(this, given);
    // Only now, as the call itself says more of what is wrong with the rest.
    if (given.length > takes) tooMany(name, given[takes]);
    return result;
  };
  // A property of a call, as in canvas.style.fill = 'red', would change nothing: the engine says so.
  Object.freeze(value);
  Object.defineProperty(Canvas.prototype, name, { value, writable: true, configurable: true });
}
/** What the moment has beside the canvas; a test holds it to that. */
const ofMoment = /^(?:frame|seconds|delta|progress|random|noise|pointer|keys|dials|assets)$/;

onlyKnown(
  'canvas',
  () => canvasNames,
  (name, near) => (ofMoment.test(name) ? `take it from the moment: paint(canvas, { ${name} })` : near),
)(Canvas.prototype);

function tooMany(call: string, value: unknown): never {
  const expected = typeof value === 'object' ? 'put all into its one options object' : 'leave it out';
  return fail({ call, value, problem: 'is more than it takes', expected });
}
