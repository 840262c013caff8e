import {
  Picture
} from "./chunk-MECBHCPL.js";
import {
  Engine
} from "./chunk-FYXFEF5H.js";
import {
  alphaOf,
  hypot,
  log2,
  readStops,
  stops
} from "./chunk-LDXCYOWX.js";
import {
  FrameReader,
  blendModes,
  pictureSize
} from "./chunk-NE2UDUYN.js";
import {
  optional,
  pairOf,
  point,
  schemaOf
} from "./chunk-XNENNZIQ.js";
import {
  apply,
  identity,
  inverse,
  multiply,
  pathBox,
  scaling
} from "./chunk-64DTOP6Y.js";
import {
  degrees,
  length,
  oneOf
} from "./chunk-BTP6WEQV.js";
import {
  SketchError
} from "./chunk-IWQLMP55.js";

// packages/frame-juggler/dist/paint/gradient.js
var gradientTable = {
  /** Colors spread evenly, or `[offset, color]` pairs with offsets from 0 to 1, rising. */
  stops,
  /** Where its points are: `user` units, those in force where the shape is drawn, or fractions of the shape's `box`. */
  units: optional(oneOf("user", "box"), "user")
};
var spreadTable = {
  /** What lies beyond its ends: their colors (`pad`), or it again, the same way or to and fro. */
  spread: optional(oneOf("pad", "repeat", "reflect"), "pad")
};
var linearTable = {
  /** Where the first color is. */
  from: point,
  /** Where the last color is. */
  to: point
};
var radialTable = {
  /** The middle of the circle. */
  at: point,
  /** From the middle to the last color, in units. */
  radius: length,
  /** Where the first color is, inside the circle; its middle if left out. */
  focus: optional(point)
};
var conicTable = {
  /** The point that the colors go round. */
  at: point,
  /** Where they begin and end, in degrees, 0 along +x. */
  start: optional(degrees, 0)
};
var linearOptions = schemaOf({ ...linearTable, ...gradientTable, ...spreadTable }, "{ from: [0, 0], to: [100, 0], stops: ['navy', 'white'] }");
var radialOptions = schemaOf({ ...radialTable, ...gradientTable, ...spreadTable }, "{ at: [50, 50], radius: 40, stops: ['white', 'navy'] }");
var conicOptions = schemaOf({ ...conicTable, ...gradientTable }, "{ at: [50, 50], stops: ['navy', 'white', 'navy'] }");
function linearGradient(options) {
  const call = "linearGradient";
  const { from, to, ...rest } = linearOptions.read(call, options);
  return register({ type: "linear", from: pairOf(from), to: pairOf(to), ...rest, stops: packStops(call, rest.stops) });
}
function radialGradient(options) {
  const call = "radialGradient";
  const { at: middle, focus: given, ...rest } = radialOptions.read(call, options);
  const at = pairOf(middle);
  const focus = given === void 0 ? at : insideCircle(pairOf(given), at, rest.radius);
  return register({ type: "radial", at, focus, ...rest, stops: packStops(call, rest.stops) });
}
function conicGradient(options) {
  const call = "conicGradient";
  const { at, ...rest } = conicOptions.read(call, options);
  return register({ type: "conic", at: pairOf(at), ...rest, spread: "pad", stops: packStops(call, rest.stops) });
}
var gradients = /* @__PURE__ */ new WeakSet();
function register(gradient) {
  gradients.add(gradient);
  return gradient;
}
function isGradient(value) {
  return typeof value === "object" && value !== null && gradients.has(value);
}
function packStops(call, given) {
  return readStops(call, given).map(({ offset, color }) => ({ offset, color: color.packed }));
}
function insideCircle(focus, at, radius) {
  const [dx, dy] = [focus[0] - at[0], focus[1] - at[1]];
  const distance = hypot(dx, dy);
  const max = radius * 0.999;
  if (distance <= max)
    return focus;
  const edge = [at[0] + dx / distance * max, at[1] + dy / distance * max];
  return edge.every(Number.isFinite) ? edge : at;
}
function boxUnits({ left, top, right, bottom }) {
  return [right - left || 1, 0, 0, bottom - top || 1, left, top];
}

// packages/frame-juggler/dist/surfaces/compositor.js
var plain = { opacity: 1, blend: "normal" };
var Compositor = class {
  backend;
  empty = true;
  constructor(backend) {
    this.backend = backend;
  }
  /** Forgets the last frame, so that the next begins on its background whatever its carry. */
  reset() {
    this.empty = true;
  }
  /** Takes what the surface shows as the last frame, whatever has drawn it. */
  resume() {
    this.empty = false;
  }
  draw(frame) {
    const { backend } = this;
    const { width, height } = pictureSize(frame);
    const stage = {
      width,
      height,
      background: frame.background,
      carry: this.empty ? 0 : frame.carry,
      toPixels: multiply(scaling(width / frame.width, height / frame.height), frame.view),
      frame
    };
    this.empty = false;
    const { layer, base } = backend.begin(stage);
    this.drawItems(new FrameReader(frame), frame.order, base, layer);
    backend.end(layer, stage);
  }
  drawItems(reader, order, base, onto) {
    const { backend } = this;
    const layers = [onto];
    const clipped = [];
    let transform;
    let matrix = base;
    let isFlat = false;
    const visitor = {
      enter: (group) => {
        const region = backend.clip === void 0 ? void 0 : plainRegion(reader, group);
        if (region === void 0)
          return void layers.push(backend.open(group));
        const layer = layers[layers.length - 1];
        backend.clip(layer, region, multiply(base, region.transform));
        clipped.push(group);
        layers.push(layer);
      },
      leave: (group) => {
        const layer = layers.pop();
        if (clipped[clipped.length - 1] === group) {
          clipped.pop();
          return backend.unclip(layer);
        }
        let mask;
        if (group.clip !== void 0) {
          mask = backend.open(void 0);
          this.drawItems(reader, group.clip, base, mask);
        }
        backend.composite(layer, layers[layers.length - 1], group, mask, group);
      },
      item: (item) => {
        if (item.transform !== transform) {
          ({ transform } = item);
          matrix = base === identity ? transform : multiply(base, transform);
          isFlat = inverse(matrix) === void 0;
        }
        if (item.opacity > 0 && !isFlat)
          this.drawItem(item, matrix, layers[layers.length - 1]);
      }
    };
    reader.walk(order, visitor, backend.wantsGroups ? () => true : void 0);
  }
  drawItem(item, matrix, layer) {
    const { backend } = this;
    if (!needsLayer(item) || backend.fadesAsOne)
      return backend.draw(layer, item, matrix, item);
    const own = backend.open(void 0);
    backend.draw(own, item, matrix, plain);
    backend.composite(own, layer, item, void 0, void 0);
  }
};
function plainRegion(reader, { opacity, blend, clip }) {
  if (opacity < 1 || blend !== "normal" || clip?.length !== 1)
    return void 0;
  const [item] = reader.items(clip);
  const isSolid = typeof item.fill === "number" && alphaOf(item.fill) === 255;
  return isSolid && item.stroke === void 0 && item.opacity === 1 && item.group === void 0 ? item : void 0;
}
function needsLayer({ fill, stroke, opacity, blend }) {
  return fill !== void 0 && stroke !== void 0 && (opacity < 1 || blend !== "normal");
}

// packages/frame-juggler/dist/paint/reduce.js
var reducedByPicture = /* @__PURE__ */ new WeakMap();
function reduce(picture, part, toPixels) {
  const back = inverse(toPixels);
  const [ox, oy] = back === void 0 ? [0, 0] : apply(back, 0, 0);
  const steps = back === void 0 ? [] : [apply(back, 1, 0), apply(back, 0, 1)];
  const spanX = hypot(...steps.map(([x]) => x - ox));
  const spanY = hypot(...steps.map(([, y]) => y - oy));
  const halvings = (span, size) => Math.max(0, Math.min(Math.floor(log2(Math.max(span, 1))), Math.floor(log2(size))));
  const perPixelX = 1 << halvings(spanX, part.width);
  const perPixelY = 1 << halvings(spanY, part.height);
  let kept = reducedByPicture.get(picture);
  if (kept?.version !== picture.version) {
    kept = { version: picture.version, parts: /* @__PURE__ */ new Map() };
    reducedByPicture.set(picture, kept);
  }
  const key = [part.x, part.y, part.width, part.height, perPixelX, perPixelY].join();
  let reduced = kept.parts.get(key);
  if (reduced === void 0) {
    reduced = { picture: average(picture, part, perPixelX, perPixelY), perPixelX, perPixelY };
    kept.parts.set(key, reduced);
  }
  return reduced;
}
function average(picture, part, perPixelX, perPixelY) {
  const width = Math.ceil(part.width / perPixelX);
  const height = Math.ceil(part.height / perPixelY);
  if (perPixelX * perPixelY === 1 && width === picture.width && height === picture.height)
    return picture;
  const data = new Uint8Array(width * height * 4);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      let [red, green, blue, alpha, count] = [0, 0, 0, 0, 0];
      const bottom = Math.min(part.height, (y + 1) * perPixelY);
      const right = Math.min(part.width, (x + 1) * perPixelX);
      for (let py = y * perPixelY; py < bottom; py++)
        for (let px = x * perPixelX; px < right; px++) {
          const at = ((part.y + py) * picture.width + part.x + px) * 4;
          const weight = picture.data[at + 3];
          red += picture.data[at] * weight;
          green += picture.data[at + 1] * weight;
          blue += picture.data[at + 2] * weight;
          alpha += weight;
          count++;
        }
      const to = (y * width + x) * 4;
      if (alpha === 0)
        continue;
      data[to] = Math.round(red / alpha);
      data[to + 1] = Math.round(green / alpha);
      data[to + 2] = Math.round(blue / alpha);
      data[to + 3] = Math.round(alpha / count);
    }
  return { id: picture.id, version: picture.version, width, height, data };
}

// packages/frame-juggler/dist/surfaces/raster/paints.js
var kinds = { linear: 0, around: 1, radial: 2, conic: 3, picture: 4 };
var spreads = { pad: 0, repeat: 1, reflect: 2 };
var recordLength = 15;
var tableSize = 1024;
function blendNumber(mode) {
  return mode === "normal" ? 0 : blendModes.indexOf(mode);
}
var Paints = class {
  engine;
  record;
  kept = /* @__PURE__ */ new Map();
  frame = 0;
  constructor(engine) {
    this.engine = engine;
    this.record = engine.reserve(recordLength * 8);
  }
  /** Begins a frame: what the last one did not use is forgotten. */
  begin() {
    for (const [key, { at, used }] of this.kept)
      if (used < this.frame) {
        this.engine.calls.release(at);
        this.kept.delete(key);
      }
    this.frame++;
  }
  /**
   * Writes a paint's record; its address, or undefined where it paints nothing.
   * @param toPixels from the item's units to pixels
   * @param box the box of the item's outline in its own units, for gradients in fractions of it
   */
  recordOf(paint, toPixels, box) {
    const write = writers[paint.type];
    const record = write(this, paint, toPixels, box);
    if (record === void 0)
      return void 0;
    this.engine.numbers(this.record, recordLength).set(record);
    return this.record;
  }
  /** A gradient's colors: a table of them, or its stops; and how many of those. */
  colorsOf(gradient) {
    const { stops: stops2 } = gradient;
    const isFine = stops2.some((stop, i) => i > 0 && stop.offset - stops2[i - 1].offset < 4 / tableSize);
    const { at, opaque } = this.keep(stops2, 0, () => {
      const { calls } = this.engine;
      const listed = this.engine.reserve(stops2.length * 16);
      this.engine.numbers(listed, stops2.length * 2).set(stops2.flatMap(({ offset, color }) => [offset, color >>> 0]));
      const isOpaque = stops2.every(({ color }) => alphaOf(color) === 255);
      if (isFine)
        return { at: listed, opaque: isOpaque };
      const table = this.engine.reserve((tableSize + 1) * 4);
      calls.fillTable(listed, stops2.length, table);
      calls.release(listed);
      return { at: table, opaque: isOpaque };
    });
    return { at, opaque, stops: isFine ? stops2.length : 0 };
  }
  /** A picture's pixels, premultiplied. */
  pixelsOf(picture) {
    return this.keep(picture, picture.version, () => {
      const { calls } = this.engine;
      const at = this.engine.reserve(picture.data.length);
      this.engine.bytes(at, picture.data.length).set(picture.data);
      return { at, opaque: calls.premultiplyAll(at, picture.width * picture.height) !== 0 };
    });
  }
  keep(key, version, make) {
    let kept = this.kept.get(key);
    if (kept?.version !== version) {
      if (kept !== void 0)
        this.engine.calls.release(kept.at);
      kept = { ...make(), version, used: this.frame };
      this.kept.set(key, kept);
    }
    kept.used = this.frame;
    return kept;
  }
};
var writers = {
  linear: gradientWriter(linearRecord),
  radial: gradientWriter(radialRecord),
  conic: gradientWriter(conicRecord),
  pattern: (paints, { picture, transform, smooth }, toPixels) => {
    const { width, height } = picture;
    return pictureRecord(paints, picture, { x: 0, y: 0, width, height }, multiply(toPixels, transform), smooth, true);
  },
  picture: (paints, { picture, crop, transform, smooth }, toPixels) => pictureRecord(paints, picture, crop, multiply(toPixels, transform), smooth, false)
};
function gradientWriter(geometryOf) {
  return (paints, gradient, toPixels, box) => {
    const back = inverse(gradient.units === "box" ? multiply(toPixels, boxUnits(box())) : toPixels);
    const found = back && geometryOf(gradient, back);
    if (found === void 0)
      return void 0;
    const { at, opaque, stops: stops2 } = paints.colorsOf(gradient);
    return [found.kind, Number(opaque), spreads[gradient.spread], at, stops2, 0, ...found.geometry];
  };
}
function linearRecord({ from, to }, [a, b, c, d, e, f]) {
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
  const square = dx * dx + dy * dy;
  if (square === 0)
    return void 0;
  const perPixel = (a * dx + b * dy) / square;
  const perRow = (c * dx + d * dy) / square;
  return { kind: kinds.linear, geometry: [((e - from[0]) * dx + (f - from[1]) * dy) / square, perPixel, perRow] };
}
function radialRecord({ at, radius, focus }, [a, b, c, d, e, f]) {
  if (radius === 0)
    return void 0;
  const [cx, cy] = [at[0] - focus[0], at[1] - focus[1]];
  if (cx === 0 && cy === 0) {
    const geometry = [a, c, e - at[0], b, d, f - at[1]].map((part) => part / radius);
    return { kind: kinds.around, geometry };
  }
  const square = radius * radius - cx * cx - cy * cy;
  return { kind: kinds.radial, geometry: [a, b, c, d, e - focus[0], f - focus[1], cx, cy, square] };
}
function conicRecord({ at, start }, [a, b, c, d, e, f]) {
  return { kind: kinds.conic, geometry: [a, b, c, d, e - at[0], f - at[1], start / 360] };
}
function pictureRecord(paints, whole, part, fromPicture, smooth, tiled) {
  const { picture, perPixelX, perPixelY } = reduce(whole, part, smooth ? fromPicture : identity);
  const back = inverse(fromPicture);
  if (back === void 0)
    return void 0;
  const { at, opaque } = paints.pixelsOf(picture);
  const [a, b, c, d, e, f] = back;
  return [
    kinds.picture,
    Number(opaque),
    Number(tiled),
    at,
    picture.width,
    picture.height,
    a / perPixelX,
    b / perPixelY,
    c / perPixelX,
    d / perPixelY,
    e / perPixelX,
    f / perPixelY,
    Number(smooth)
  ];
}

// packages/frame-juggler/dist/surfaces/raster/surface.js
var tolerance = 0.02;
var RasterSurface = class {
  backend = new RasterBackend();
  compositor = new Compositor(this.backend);
  /**
   * Draws a frame.
   * @param rows draws no others, and keeps no others: all by default
   */
  draw(frame, rows) {
    this.backend.onlyRows = rows;
    this.compositor.draw(frame);
  }
  /** Forgets the last frame, so that the next begins on its background whatever its carry. */
  reset() {
    this.compositor.reset();
  }
  /** What has been drawn, to be put back later. */
  copy() {
    const { width, height, rows, opaque, premultiplied } = this.backend;
    return { width, height, rows, opaque, pixels: premultiplied.slice() };
  }
  /** Goes back to what {@link copy} gave: the carry of the next frame stands on it. */
  put(kept) {
    this.backend.put(kept);
    this.compositor.resume();
  }
  /** What has been drawn. */
  picture() {
    const { width, height, data } = this.drawn;
    return new Picture(width, height, data.slice());
  }
  /** What has been drawn as it is kept, for whoever only wants to know of its alphas: colors are multiplied by those. */
  get premultiplied() {
    return this.backend.premultiplied;
  }
  /** What has been drawn, for whoever is done with it before the next frame is: nothing is copied. */
  get drawn() {
    const { width, height, opaque } = this.backend;
    return { width, height, data: opaque ? this.backend.premultiplied : this.backend.straight(), opaque };
  }
  /** The rows of what has been drawn without alpha, three bytes a pixel, each row behind a byte of 0. */
  get rowsWithoutAlpha() {
    return this.backend.rowsWithoutAlpha();
  }
};
var RasterBackend = class {
  fadesAsOne = false;
  wantsGroups = false;
  width = 0;
  height = 0;
  opaque = false;
  /** The rows that are drawn. */
  rows = [0, 0];
  /** Those that the next frame is to have, where it is not to have all. */
  onlyRows;
  engine = new Engine();
  paints = new Paints(this.engine);
  /** Where pixels are written in another form; 0 where none were. */
  outAt = 0;
  begin({ width, height, background, carry, toPixels, frame }) {
    const { calls } = this.engine;
    const left = this.resize(width, height, this.onlyRows ?? [0, height]) ? 0 : carry;
    if (left === 0)
      calls.clear(background);
    else if (left < 1)
      calls.fade(background, left);
    this.opaque = alphaOf(background) === 255 && (left === 0 || this.opaque);
    this.paints.begin();
    this.engine.takePath(frame.path);
    calls.lookAtCanvas();
    return { layer: 0, base: toPixels };
  }
  /** Sets the size of the canvas and the rows of it; whether those are new, with nothing on them. */
  resize(width, height, rows) {
    const [first, end] = rows;
    if (width === this.width && height === this.height && first === this.rows[0] && end === this.rows[1])
      return false;
    if (this.outAt !== 0)
      this.engine.calls.release(this.outAt);
    this.outAt = 0;
    try {
      this.engine.calls.resize(width, height, first, end);
    } catch (cause) {
      const problem = `a picture of ${width} \xD7 ${height} pixels does not fit into memory`;
      throw new SketchError({ problem, expected: "expected a smaller one, or a lower density", cause });
    }
    [this.width, this.height, this.rows] = [width, height, rows];
    return true;
  }
  put({ width, height, rows, opaque, pixels }) {
    this.resize(width, height, rows);
    this.opaque = opaque;
    this.premultiplied.set(pixels);
  }
  end() {
    this.engine.calls.paintList();
  }
  open() {
    return this.engine.calls.openLayer();
  }
  draw(layer, item, matrix, mixing) {
    const strength = Math.round(mixing.opacity * 255);
    if (strength === 0)
      return;
    this.engine.chooseOutline(item.start, item.end, matrix);
    const blend = blendNumber(mixing.blend);
    if (item.fill !== void 0 && this.take(layer, item.fill, item, matrix, strength, blend))
      this.engine.calls.fill(item.fillRule === "evenodd", item.text !== void 0, item.simple, tolerance);
    const { stroke } = item;
    if (hasInk(stroke) && this.take(layer, stroke.paint, item, matrix, strength, blend))
      this.engine.stroke(stroke, tolerance);
  }
  composite(layer, onto, { opacity, blend }, mask, _) {
    const { calls } = this.engine;
    if (mask !== void 0) {
      calls.maskLayer(layer, mask);
      calls.releaseLayer(mask);
    }
    calls.compositeLayer(layer, onto, Math.round(opacity * 255), blendNumber(blend));
    calls.releaseLayer(layer);
  }
  /** The pixels as they are kept. They are there until the next frame is begun. */
  get premultiplied() {
    return this.engine.bytes(this.engine.calls.pixelsOf(0), this.length);
  }
  get length() {
    return this.width * (this.rows[1] - this.rows[0]) * 4;
  }
  /** The pixels with color no longer multiplied by alpha. */
  straight() {
    this.engine.calls.straighten(this.outAddress);
    return this.engine.bytes(this.outAt, this.length);
  }
  rowsWithoutAlpha() {
    this.engine.calls.packRows(this.outAddress);
    return this.engine.bytes(this.outAt, (this.width * 3 + 1) * (this.rows[1] - this.rows[0]));
  }
  /** Room for the pixels in whatever form is asked for. */
  get outAddress() {
    if (this.outAt === 0)
      this.outAt = this.engine.calls.reserve(this.length + 16);
    return this.outAt;
  }
  /** Takes up what is painted with; false where it paints nothing. */
  take(layer, paint, item, matrix, strength, blend) {
    const { calls } = this.engine;
    if (typeof paint === "number") {
      calls.takeColor(layer, paint, strength, blend);
      return true;
    }
    const record = this.paints.recordOf(paint, matrix, () => pathBox(item.outlines, identity, item.start, item.end));
    if (record === void 0)
      return false;
    calls.takePaint(layer, record, strength, blend);
    return true;
  }
};
function hasInk(stroke) {
  return stroke !== void 0 && stroke.width > 0;
}

export {
  linearGradient,
  radialGradient,
  conicGradient,
  isGradient,
  boxUnits,
  Compositor,
  reduce,
  RasterSurface
};
