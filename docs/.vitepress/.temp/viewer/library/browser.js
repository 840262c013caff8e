import {
  ExactSurface,
  contextOf,
  drawPicture,
  hiddenContext,
  styleOf
} from "./chunk-PFVTOA5Z.js";
import {
  LiveClock,
  Run,
  checkFileSize,
  frameAtRest,
  maxSide
} from "./chunk-NKP6LA2V.js";
import {
  Compositor,
  boxUnits
} from "./chunk-3A6COZNW.js";
import "./chunk-VK7SHGMN.js";
import {
  Picture
} from "./chunk-MECBHCPL.js";
import "./chunk-FYXFEF5H.js";
import {
  alphaOf,
  blueOf,
  cssColor,
  greenOf,
  redOf
} from "./chunk-LDXCYOWX.js";
import "./chunk-NE2UDUYN.js";
import "./chunk-RHCINV5B.js";
import {
  optional,
  schemaOf,
  withoutUndefined
} from "./chunk-XNENNZIQ.js";
import "./chunk-BF3HK4P4.js";
import {
  apply,
  arc,
  arcPoint,
  close,
  commandLength,
  cubic,
  inverse,
  line,
  move,
  multiply,
  pathBox,
  quad
} from "./chunk-64DTOP6Y.js";
import {
  callable,
  kindOf,
  oneOf,
  positive,
  toggle,
  whole
} from "./chunk-BTP6WEQV.js";
import {
  SketchError,
  asSketchError
} from "./chunk-IWQLMP55.js";
import "./chunk-MLKGABMK.js";

// packages/frame-juggler/dist/browser/manners.js
var marks = ["role", "aria-label", "aria-description", "style", "tabindex", "width", "height"];
function dress(element, title, { width, height }, fit) {
  const before = marks.map((name) => [name, element.getAttribute(name)]);
  const { cssText } = element.style;
  if (!element.hasAttribute("role"))
    element.setAttribute("role", "img");
  if (!element.hasAttribute("aria-label") && !element.hasAttribute("aria-labelledby"))
    element.setAttribute("aria-label", title);
  if (fit !== "none")
    Object.assign(element.style, { display: "block", width: "100%", height: "100%", objectFit: fit });
  else if (!hasOwnSize(element))
    element.style.width = `${width}px`;
  if (!/^\d/.test(getComputedStyle(element).aspectRatio))
    element.style.aspectRatio = `${width} / ${height}`;
  return () => {
    element.style.cssText = cssText;
    for (const [name, value] of before)
      if (value === null)
        element.removeAttribute(name);
      else if (element.getAttribute(name) !== value)
        element.setAttribute(name, value);
  };
}
function hasOwnSize(element) {
  if (element.style.width !== "" || element.clientWidth === 0)
    return element.style.width !== "";
  const { clientWidth } = element;
  element.width += 8;
  return element.clientWidth === clientWidth;
}
function whenSeen(element, told) {
  const observer = new IntersectionObserver((entries) => told(entries.at(-1).isIntersecting));
  observer.observe(element);
  return () => observer.disconnect();
}
function whenSized(element, told) {
  const view = element.ownerDocument.defaultView;
  const observer = new ResizeObserver((entries) => {
    const { devicePixelContentBoxSize, contentRect } = entries.at(-1);
    const density = view.devicePixelRatio;
    const [exact] = devicePixelContentBoxSize ?? [];
    const pixels = (told2, length) => told2 !== void 0 && Math.abs(told2 - length * density) <= 1 ? told2 : length * density;
    const width = pixels(exact?.inlineSize, contentRect.width);
    const height = pixels(exact?.blockSize, contentRect.height);
    if (width > 0 && height > 0)
      told([width / density, height / density]);
  });
  try {
    observer.observe(element, { box: "device-pixel-content-box" });
  } catch {
    observer.observe(element);
  }
  return () => observer.disconnect();
}
function whenDensityChanges(view, told) {
  let query;
  const listen = () => {
    query = view.matchMedia(`(resolution: ${view.devicePixelRatio}dppx)`);
    query.addEventListener("change", changed, { once: true });
  };
  const changed = () => {
    listen();
    told();
  };
  listen();
  return () => query.removeEventListener("change", changed);
}
function prefersRest(view) {
  return view.matchMedia("(prefers-reduced-motion: reduce)").matches;
}

// packages/frame-juggler/dist/browser/picture-box.js
var factors = {
  fill: (x, y) => [x, y],
  contain: (x, y) => both(Math.min(x, y)),
  cover: (x, y) => both(Math.max(x, y)),
  none: () => [1, 1],
  "scale-down": (x, y) => both(Math.min(x, y, 1))
};
var both = (factor) => [factor, factor];
function contentBox(element) {
  const style = getComputedStyle(element);
  const sum = (names) => names.reduce((all, name) => all + parseFloat(style.getPropertyValue(name)), 0);
  const isWhole = style.boxSizing === "border-box";
  const inside = (side, ends) => {
    const around = ends.flatMap((end) => [`padding-${end}`, `border-${end}-width`]);
    return Math.max(0, parseFloat(side) - (isWhole ? sum(around) : 0)) || 0;
  };
  return {
    left: sum(["padding-left"]),
    top: sum(["padding-top"]),
    width: inside(style.width, ["left", "right"]),
    height: inside(style.height, ["top", "bottom"])
  };
}
function pictureBox(element) {
  const style = getComputedStyle(element);
  const box = contentBox(element);
  const [x, y] = factors[style.objectFit](box.width / element.width, box.height / element.height);
  const [width, height] = [x * element.width, y * element.height];
  const [along, down] = style.objectPosition.split(" ");
  const left = box.left + offset(along, box.width - width);
  return { left, top: box.top + offset(down, box.height - height), width, height };
}
function offset(position, room) {
  const value = parseFloat(position);
  return position.endsWith("%") ? room * value / 100 : value;
}
function sharpDensity(fit, box, size) {
  return factors[fit](box[0] / size[0], box[1] / size[1])[0];
}

// packages/frame-juggler/dist/browser/page-input.js
var PageInput = class {
  element;
  area;
  events = [];
  at;
  down = false;
  keysDown = /* @__PURE__ */ new Set();
  wantsKeys = false;
  stop = new AbortController();
  touchAction;
  constructor(element, area) {
    this.element = element;
    this.area = area;
    const { signal } = this.stop;
    const document2 = element.ownerDocument;
    this.touchAction = element.style.touchAction;
    element.addEventListener("pointerdown", this.onDown, { signal });
    element.addEventListener("pointermove", (event) => event.isPrimary && this.move(event), { signal });
    element.addEventListener("pointerup", this.onUp, { signal });
    element.addEventListener("pointercancel", this.onUp, { signal });
    element.addEventListener("pointerleave", (event) => event.isPrimary && this.leave(), { signal });
    document2.addEventListener("keydown", this.onKeyDown, { signal });
    document2.addEventListener("keyup", (event) => this.keyUp(event.key), { signal });
    document2.defaultView?.addEventListener("blur", () => this.letGo(), { signal });
  }
  onPointer() {
    this.element.style.touchAction = "none";
  }
  /** The canvas can have the keyboard, and keys that scroll are the sketch's. */
  onKeys() {
    this.wantsKeys = true;
    if (!this.element.hasAttribute("tabindex"))
      this.element.tabIndex = 0;
  }
  take(frame) {
    const { events } = this;
    this.events = [];
    if (frame > 0)
      return events;
    const { at, down } = this;
    return [
      ...at === void 0 ? [] : [{ type: "move", at }],
      ...down ? [{ type: "press" }] : [],
      ...[...this.keysDown].map((key) => ({ type: "keydown", key }))
    ];
  }
  /** Stops listening. */
  end() {
    this.stop.abort();
    this.element.style.touchAction = this.touchAction;
  }
  onDown = (event) => {
    if (!event.isPrimary || event.button !== 0)
      return;
    this.element.setPointerCapture(event.pointerId);
    this.move(event);
    this.down = true;
    this.events.push({ type: "press" });
  };
  onUp = (event) => {
    if (!event.isPrimary || !this.down)
      return;
    if (event.type === "pointerup")
      this.move(event);
    this.down = false;
    this.events.push({ type: "release" });
    if (event.pointerType === "touch")
      this.leave();
  };
  move(event) {
    const { x, y, within } = this.locate(event);
    if (!within && !this.down)
      return this.leave();
    this.at = [x, y];
    const last = this.events.at(-1);
    if (last?.type === "move")
      this.events.pop();
    this.events.push({ type: "move", at: this.at });
  }
  leave() {
    if (this.at === void 0 || this.down)
      return;
    this.at = void 0;
    this.events.push({ type: "leave" });
  }
  onKeyDown = (event) => {
    if (takesText(event.target))
      return;
    const isOurs = event.target === this.element || event.target === this.element.ownerDocument.body;
    if (this.wantsKeys && isOurs && scrolling.has(event.key))
      event.preventDefault();
    if (event.repeat)
      return;
    this.keysDown.add(event.key);
    this.events.push({ type: "keydown", key: event.key });
  };
  keyUp(key) {
    if (this.keysDown.delete(key) || key.length === 1)
      this.events.push({ type: "keyup", key });
  }
  letGo() {
    for (const key of this.keysDown)
      this.keyUp(key);
    if (this.down)
      this.events.push({ type: "release" });
    this.down = false;
  }
  /** A point of the page in the sketch's units, whatever size, padding, fit and transform the element has by CSS. */
  locate(event) {
    const { element, area } = this;
    const box = pictureBox(element);
    const px = (event.offsetX - box.left) / box.width;
    const py = (event.offsetY - box.top) / box.height;
    const back = inverse(area.view.matrix);
    const [x, y] = back === void 0 ? [NaN, NaN] : apply(back, px * area.width, py * area.height);
    return { x: round(x), y: round(y), within: px >= 0 && px <= 1 && py >= 0 && py <= 1 };
  }
};
var scrolling = /* @__PURE__ */ new Set([
  "ArrowUp",
  "ArrowDown",
  "ArrowLeft",
  "ArrowRight",
  " ",
  "PageUp",
  "PageDown",
  "Home",
  "End"
]);
function round(value) {
  return Math.round(value * 1e3) / 1e3;
}
function takesText(target) {
  return target instanceof HTMLElement && (target.isContentEditable || /^(?:input|textarea|select)$/i.test(target.tagName));
}

// packages/frame-juggler/dist/paint/fade.js
function fade(bytes, background, carry) {
  const channels = [redOf(background), greenOf(background), blueOf(background), alphaOf(background)];
  const tables = channels.map((to) => Uint8Array.from({ length: 256 }, (_, value) => to + Math.trunc((value - to) * carry)));
  const [red, green, blue, alpha] = tables;
  for (let at = 0; at < bytes.length; at += 4) {
    bytes[at] = red[bytes[at]];
    bytes[at + 1] = green[bytes[at + 1]];
    bytes[at + 2] = blue[bytes[at + 2]];
    bytes[at + 3] = alpha[bytes[at + 3]];
  }
}

// packages/frame-juggler/dist/surfaces/canvas2d/surface.js
var Canvas2dSurface = class {
  element;
  compositor;
  context;
  constructor(element) {
    this.element = element;
    this.context = contextOf(element);
    this.compositor = new Compositor(new Canvas2dBackend(this.context));
  }
  /** Draws a frame. */
  draw(frame) {
    this.compositor.draw(frame);
  }
  /** Forgets the last frame, so that the next begins on its background whatever its carry. */
  reset() {
    this.compositor.reset();
  }
  /** What is shown now, to be put back later. */
  copy() {
    const { width, height } = this.element;
    const copy = new OffscreenCanvas(width, height);
    copyPixels(this.context, contextOf(copy));
    return copy;
  }
  /** Shows what {@link copy} gave once more: the carry of the next frame stands on it. */
  put(picture) {
    const { element } = this;
    if (element.width !== picture.width)
      element.width = picture.width;
    if (element.height !== picture.height)
      element.height = picture.height;
    copyPixels(contextOf(picture), this.context);
    this.compositor.resume();
  }
};
function copyPixels(from, onto) {
  drawOver(from, onto, 1, "copy");
}
var Canvas2dBackend = class {
  context;
  fadesAsOne = false;
  wantsGroups = false;
  /** Canvases of layers, to be used again. */
  spare = [];
  /** What is set already, for the items that are only filled with a color: setting it again takes as long as drawing. */
  set;
  constructor(context) {
    this.context = context;
  }
  begin({ width, height, background, carry, toPixels }) {
    const { context } = this;
    this.set = void 0;
    const element = context.canvas;
    let left = carry;
    if (element.width !== width || element.height !== height) {
      element.width = width;
      element.height = height;
      left = 0;
    }
    context.setTransform(1, 0, 0, 1, 0, 0);
    if (left === 0) {
      context.globalAlpha = 1;
      context.globalCompositeOperation = "source-over";
      context.clearRect(0, 0, width, height);
      context.fillStyle = cssColor(background);
      context.fillRect(0, 0, width, height);
    } else if (left < 1) {
      const pixels = context.getImageData(0, 0, width, height);
      fade(pixels.data, background, left);
      context.putImageData(pixels, 0, 0);
    }
    return { layer: context, base: toPixels };
  }
  end() {
  }
  open() {
    this.set = void 0;
    const { width, height } = this.context.canvas;
    const layer = this.spare.pop() ?? hiddenContext(width, height);
    layer.canvas.width = width;
    layer.canvas.height = height;
    return layer;
  }
  composite(layer, onto, { opacity, blend }, mask, _) {
    this.set = void 0;
    if (mask !== void 0) {
      drawOver(mask, layer, 1, "destination-in");
      this.spare.push(mask);
    }
    drawOver(layer, onto, opacity, blendOperation(blend));
    this.spare.push(layer);
  }
  clip(context, region, matrix) {
    this.set = void 0;
    context.save();
    context.setTransform(...matrix);
    context.beginPath();
    tracePath(context, region.outlines, region.start, region.end);
    context.clip(region.fillRule);
  }
  unclip(context) {
    this.set = void 0;
    context.restore();
  }
  draw(context, item, matrix, mixing) {
    const { fill, stroke } = item;
    if (typeof fill === "number" && stroke === void 0)
      return this.fillItem(context, item, fill, matrix, mixing);
    this.set = void 0;
    this.drawAny(context, item, matrix, mixing);
  }
  /** An item that is only filled with a color, as most items of a sketch that draws many. */
  fillItem(context, item, fill, matrix, { opacity, blend }) {
    let { set } = this;
    if (set?.context !== context || set.opacity !== opacity || set.blend !== blend) {
      context.globalAlpha = opacity;
      context.globalCompositeOperation = blendOperation(blend);
      set = this.set = { context, opacity, blend, matrix: void 0, fill: void 0 };
    }
    if (set.matrix !== matrix) {
      context.setTransform(matrix[0], matrix[1], matrix[2], matrix[3], matrix[4], matrix[5]);
      set.matrix = matrix;
    }
    if (set.fill !== fill) {
      context.fillStyle = styleOf(context, fill, matrix);
      set.fill = fill;
    }
    context.beginPath();
    if (isEllipse(item))
      traceEllipse(context, item.outlines, item.start);
    else
      tracePath(context, item.outlines, item.start, item.end);
    context.fill(item.fillRule);
  }
  drawAny(context, item, matrix, { opacity, blend }) {
    context.globalAlpha = opacity;
    context.globalCompositeOperation = blendOperation(blend);
    let { fill } = item;
    const { stroke } = item;
    context.setTransform(...matrix);
    if (typeof fill === "object" && fill.type === "picture" && fill.smooth) {
      drawPicture(context, fill, matrix);
      fill = void 0;
    }
    context.beginPath();
    if (stroke === void 0 && isEllipse(item))
      traceEllipse(context, item.outlines, item.start);
    else
      tracePath(context, item.outlines, item.start, item.end);
    if (fill !== void 0) {
      const units = unitsOf(fill, item);
      if (units !== void 0)
        context.setTransform(...multiply(matrix, units));
      context.fillStyle = styleOf(context, fill, units === void 0 ? matrix : multiply(matrix, units));
      context.fill(item.fillRule);
    }
    if (stroke !== void 0 && stroke.width > 0)
      this.strokeItem(context, item, stroke, matrix);
  }
  strokeItem(context, item, stroke, matrix) {
    const units = unitsOf(stroke.paint, item);
    if (units === void 0) {
      context.setTransform(...matrix);
      setPen(context, stroke);
      context.strokeStyle = styleOf(context, stroke.paint, matrix);
      return context.stroke();
    }
    const layer = this.open();
    layer.setTransform(...matrix);
    layer.beginPath();
    tracePath(layer, item.outlines, item.start, item.end);
    setPen(layer, stroke);
    layer.strokeStyle = "#000";
    layer.stroke();
    layer.globalCompositeOperation = "source-in";
    layer.setTransform(1, 0, 0, 1, 0, 0);
    layer.beginPath();
    layer.rect(0, 0, layer.canvas.width, layer.canvas.height);
    layer.setTransform(...multiply(matrix, units));
    layer.fillStyle = styleOf(layer, stroke.paint, multiply(matrix, units));
    layer.fill();
    drawOver(layer, context, context.globalAlpha, context.globalCompositeOperation);
    this.spare.push(layer);
  }
};
function blendOperation(blend) {
  return blend === "normal" ? "source-over" : blend;
}
function drawOver(from, onto, opacity, operation) {
  onto.setTransform(1, 0, 0, 1, 0, 0);
  onto.globalAlpha = opacity;
  onto.globalCompositeOperation = operation;
  onto.drawImage(from.canvas, 0, 0);
}
function unitsOf(paint, item) {
  const inBox = typeof paint === "object" && "units" in paint && paint.units === "box";
  return inBox ? boxUnits(pathBox(item.path)) : void 0;
}
function setPen(context, stroke) {
  context.lineWidth = stroke.width;
  context.lineCap = stroke.cap;
  context.lineJoin = stroke.join;
  context.miterLimit = stroke.miterLimit;
  context.setLineDash(stroke.dash);
  context.lineDashOffset = stroke.dashOffset;
}
var toRadians = Math.PI / 180;
function isEllipse({ outlines, start, end }) {
  const length = commandLength[arc];
  return end - start === length + 1 && outlines[start] === arc && Math.abs(outlines[start + 7]) === 360;
}
function traceEllipse(context, path, i) {
  const [x, y, rx, ry] = [path[i + 1], path[i + 2], path[i + 3], path[i + 4]];
  if (rx === ry)
    context.arc(x, y, rx, 0, 2 * Math.PI);
  else
    context.ellipse(x, y, rx, ry, path[i + 5] * toRadians, 0, 2 * Math.PI);
}
function tracePath(context, path, start, end) {
  let open = false;
  for (let i = start; i < end; i += commandLength[path[i]]) {
    const command = path[i];
    switch (command) {
      case move:
        context.moveTo(path[i + 1], path[i + 2]);
        break;
      case line:
        context.lineTo(path[i + 1], path[i + 2]);
        break;
      case quad:
        context.quadraticCurveTo(path[i + 1], path[i + 2], path[i + 3], path[i + 4]);
        break;
      case cubic:
        context.bezierCurveTo(path[i + 1], path[i + 2], path[i + 3], path[i + 4], path[i + 5], path[i + 6]);
        break;
      case arc: {
        const [begins, sweep] = [path[i + 6], path[i + 7]];
        if (!open)
          context.moveTo(...arcPoint(path, i, begins));
        const from = begins * toRadians;
        const to = (begins + sweep) * toRadians;
        const turn = path[i + 5] * toRadians;
        context.ellipse(path[i + 1], path[i + 2], path[i + 3], path[i + 4], turn, from, to, sweep < 0);
        break;
      }
      default:
        context.closePath();
    }
    open = command !== close;
  }
}

// packages/frame-juggler/dist/browser/page-host.js
var pageHost = {
  async read(url, maxBytes) {
    const response = await fetch(url.href);
    if (response.status === 404)
      throw new Error("there is no such file");
    if (!response.ok)
      throw new Error(`the server answered ${response.status}`);
    checkFileSize(Number(response.headers.get("Content-Length")), maxBytes);
    return new Uint8Array(await response.arrayBuffer());
  },
  async decodePicture(bytes) {
    const bitmap = await createImageBitmap(new Blob([bytes.slice()]), { premultiplyAlpha: "none" });
    const { width, height } = bitmap;
    const context = hiddenContext(width, height);
    context.drawImage(bitmap, 0, 0);
    return new Picture(width, height, new Uint8Array(context.getImageData(0, 0, width, height).data));
  }
};

// packages/frame-juggler/dist/browser/performer.js
var PagePerformer = class {
  run;
  surface;
  element;
  /** The frame that was drawn last, for who wants to know what is in it. */
  painted;
  /** @throws SketchError where it is no sketch, or a value of the run is not valid */
  constructor(sketch, { element, surface, run, input, onLoad, between }) {
    this.element = element;
    this.run = new Run(sketch, { ...run, input, onLoad, between, host: pageHost });
    if (surface === "canvas2d")
      this.surface = new Canvas2dSurface(element);
  }
  get frame() {
    return this.run.frame;
  }
  get seed() {
    return this.run.seed;
  }
  get atEnd() {
    return this.run.atEnd;
  }
  get width() {
    return this.run.width;
  }
  get height() {
    return this.run.height;
  }
  get view() {
    return this.run.view;
  }
  get dials() {
    return this.run.dials;
  }
  get usesInput() {
    return this.run.usesInput;
  }
  get density() {
    return this.run.density;
  }
  set density(density) {
    this.run.density = density;
  }
  restart() {
    return this.run.restart();
  }
  goTo(frame) {
    return this.run.goTo(frame);
  }
  async show(frame, shown) {
    const surface = this.surface ??= new (await import("./exact-surface-UFU45UEB.js")).ExactSurface(this.element);
    await this.run.drawTo(frame, shown, (painted) => surface.draw(this.painted = painted));
  }
  setDial(name, value) {
    this.run.setDial(name, value);
  }
  words() {
    const { painted } = this;
    return painted && import("./words-QMXRXGLQ.js").then(({ frameInWords }) => frameInWords(painted));
  }
  end() {
  }
};

// packages/frame-juggler/dist/browser/screen-density.js
var ScreenDensity = class {
  element;
  size;
  told;
  /** The element's size inside its padding, in pixels of the page. */
  box;
  /** The screen's pixels to one of the page, when they were last looked at. */
  ratio = 0;
  sides = [0, 0];
  undo;
  /**
   * @param size the sketch's canvas, in pixels of density 1
   * @param told hears of the density, where it makes a picture of other sides than the last; at once, where it is known
   */
  constructor(element, size, told) {
    this.element = element;
    this.size = size;
    this.told = told;
    const box = contentBox(element);
    if (box.width > 0)
      this.follow([box.width, box.height]);
    const view = element.ownerDocument.defaultView;
    this.undo = [whenSized(element, (now) => this.follow(now)), whenDensityChanges(view, () => this.look())];
  }
  /** Looks whether the screen has other pixels by now: not every browser tells of every change. */
  look() {
    const { devicePixelRatio: devicePixelRatio2 } = this.element.ownerDocument.defaultView;
    if (devicePixelRatio2 === this.ratio || this.box === void 0)
      return;
    this.follow(this.box);
  }
  end() {
    for (const undo of this.undo)
      undo();
  }
  follow(box) {
    const { element, size } = this;
    const { devicePixelRatio: devicePixelRatio2 } = element.ownerDocument.defaultView;
    this.box = box;
    this.ratio = devicePixelRatio2;
    const screen = [Math.round(box[0] * devicePixelRatio2), Math.round(box[1] * devicePixelRatio2)];
    const fit = getComputedStyle(element).objectFit;
    const { width, height } = size;
    const density = Math.min(sharpDensity(fit, screen, [width, height]), maxSide / Math.max(width, height));
    const sides = [Math.round(width * density), Math.round(height * density)];
    if (fit === "contain" || fit === "cover") {
      const start = sides.map((side, i) => Math.trunc((screen[i] - side) / 2) / devicePixelRatio2);
      element.style.objectPosition = start.map((pixels) => `${pixels}px`).join(" ");
    }
    if (sides[0] === this.sides[0] && sides[1] === this.sides[1])
      return;
    this.sides = sides;
    this.told(density);
  }
};

// packages/frame-juggler/dist/browser/ticks.js
var Ticks = class {
  view;
  listeners = /* @__PURE__ */ new Set();
  waiting = false;
  constructor(view) {
    this.view = view;
  }
  add(tick) {
    this.listeners.add(tick);
    this.request();
    return () => this.listeners.delete(tick);
  }
  request() {
    if (this.waiting || this.listeners.size === 0)
      return;
    this.waiting = true;
    this.view.requestAnimationFrame((now) => {
      this.waiting = false;
      for (const tick of [...this.listeners])
        tick(now);
      this.request();
    });
  }
};
var ofWindow = /* @__PURE__ */ new WeakMap();
function onTick(view, tick) {
  let ticks = ofWindow.get(view);
  if (ticks === void 0)
    ofWindow.set(view, ticks = new Ticks(view));
  return ticks.add(tick);
}

// packages/frame-juggler/dist/browser/player.js
var mountTable = {
  /**
   * Whether it plays at once. Where the person has asked for little motion, it rests on a frame from its middle instead,
   * until `play` is called.
   */
  autoplay: optional(toggle, true),
  /** Whether there are controls below it: play and pause, the time, full screen, and its dials. */
  controls: optional(toggle, false),
  /** The seed of its chance; the sketch's own if left out. */
  seed: optional(whole(0)),
  /** The canvas's width, in pixels of density 1; the sketch's own if left out. */
  width: optional(whole(1)),
  /** The canvas's height, in pixels of density 1; the sketch's own if left out. */
  height: optional(whole(1)),
  /** Pixels of the rendering to one unit; if left out, as many as the screen has there, whatever becomes of its size. */
  density: optional(positive),
  /**
   * How it lies in the element around it: `contain`, as large as it fits; `cover`, so that it fills it, with two sides cut
   * off; or `none`, at its own size.
   */
  fit: optional(oneOf("contain", "cover", "none"), "none"),
  /**
   * What draws: `canvas2d`, the browser's own context, for speed; or `raster`, pixel for pixel as `juggle render` draws,
   * loaded once it is asked for.
   */
  surface: optional(oneOf("canvas2d", "raster"), "canvas2d"),
  /** Values of dials by name, in place of their first ones. */
  dials: optional(kindOf("values by name: { swell: 20 }", (value) => typeof value === "object" && value !== null, "is not an object")),
  /** Stands in for the page's pointer and keys: a recorded track, or something that listens in. */
  input: optional(callable()),
  /** Called as each of the sketch's files has been loaded. */
  onLoad: optional(callable()),
  /** Called after every frame that was shown, and whenever it starts or stops playing. */
  onFrame: optional(callable()),
  /** Called with the name and the value of a dial that was turned. */
  onDial: optional(callable()),
  /** Called with what went wrong; the last good picture stays. Without it, errors go to the console. */
  onError: optional(callable())
};
var mountOptions = schemaOf(mountTable, "{ autoplay: false }");
var readOptions = (options) => mountOptions.read("mount", options);
function openingOf(options) {
  const { surface, seed, width, height, dials, density = devicePixelRatio } = readOptions(options);
  return { surface, run: { ...withoutUndefined({ seed, width, height, dials }), density } };
}
var longestHold = 12;
var players = /* @__PURE__ */ new WeakMap();
var describeEvery = 15e3;
var settleTime = 200;
var PlayerTarget = EventTarget;
var Player = class extends PlayerTarget {
  sketch;
  element;
  options;
  /** Comes once there is a picture: true; or once it has failed to be made: false. */
  ready;
  clock;
  run;
  page;
  isPlaying = false;
  /** Whether any of it is on the screen: what is not rests. */
  seen = true;
  undo = [];
  endTicks = () => void 0;
  /** The density that was asked for last. */
  asked;
  /** What keeps its pixels the screen's, where no density was asked for. */
  screen;
  settling;
  hidePlayButton;
  /** Since when the page has been kept from all else. */
  heldSince = 0;
  describing = false;
  describedAt = -Infinity;
  stopped = false;
  /** The frame that the element shows; -1 for none, or for one that is out of date. */
  shown = -1;
  /** What is under way; the next thing waits for it, so that an async start is never overtaken. */
  work = Promise.resolve();
  waiting = 0;
  /**
   * @param perform what runs and draws it, where that is not to be the page
   * @throws SketchError where it is no sketch, or an option is unknown or not valid
   */
  constructor(sketch, element, options = {}, perform = (setting) => new PagePerformer(sketch, setting)) {
    super();
    this.sketch = sketch;
    this.element = element;
    this.options = options;
    const { autoplay, controls, density, fit, input } = readOptions(options);
    const { view } = this;
    const opening = openingOf(options);
    this.asked = opening.run.density;
    this.run = perform({
      ...opening,
      element,
      input: () => input?.(this.page) ?? this.page,
      onLoad: this.onLoad,
      between: this.breathe
    });
    players.get(element)?.stop();
    players.set(element, this);
    this.undo.push(dress(element, sketch.title, this.run, fit));
    this.clock = new LiveClock(sketch.frameRate);
    this.page = new PageInput(element, this.run);
    element.ownerDocument.addEventListener("visibilitychange", this.onVisibility);
    this.undo.push(whenSeen(element, this.onSeen));
    if (density === void 0)
      this.screen = new ScreenDensity(element, this.run, this.onDensity);
    this.ready = this.restart().then(() => this.shown >= 0);
    if (controls)
      this.control();
    if (!autoplay)
      return;
    if (sketch.frames > 1 && prefersRest(view))
      this.rest(!controls);
    else
      this.play();
  }
  get view() {
    return this.element.ownerDocument.defaultView;
  }
  /** The number of the frame that is shown, from 0. */
  get frame() {
    return Math.max(0, this.run.frame);
  }
  /** The moment of the frame that is shown, in seconds. */
  get seconds() {
    return this.frame / this.sketch.frameRate;
  }
  get seed() {
    return this.run.seed;
  }
  get playing() {
    return this.isPlaying;
  }
  /** Goes on from the frame at hand; a sketch that does not repeat and has ended begins again. */
  play() {
    this.hidePlayButton?.();
    if (this.isPlaying || this.stopped)
      return;
    if (this.run.atEnd && !this.sketch.repeat && this.sketch.frames > 1)
      void this.restart();
    this.isPlaying = true;
    this.goOn();
    this.changed();
  }
  /** Holds the frame at hand. */
  pause() {
    if (!this.isPlaying)
      return;
    this.isPlaying = false;
    this.endTicks();
    this.changed();
  }
  /** Pauses, and goes one frame on. */
  advance() {
    this.pause();
    return this.enqueue(() => this.move(1));
  }
  /** Pauses, and goes one frame back. */
  back() {
    this.pause();
    return this.enqueue(() => this.show(Math.max(0, this.run.frame - 1)));
  }
  /** Goes back to frame 0. */
  restart() {
    return this.enqueue(async () => {
      await this.run.restart();
      this.shown = -1;
      await this.show(0);
    });
  }
  /** Shows a frame by its number. Under a carry it is painted from the start, so that its trails are right. */
  goTo(frame) {
    return this.enqueue(() => this.show(frame));
  }
  /** Shows the same frame at another density. */
  setDensity(density) {
    this.asked = density;
    return this.enqueue(async () => {
      if (this.run.density === this.asked)
        return;
      this.run.density = this.asked;
      if (this.run.frame >= 0)
        await this.refresh();
    });
  }
  /** Fills the screen with the picture, or ends that. A browser allows it after a click or a key only. */
  async fullScreen(on = this.element.ownerDocument.fullscreenElement !== this.element) {
    const { element } = this;
    const { fullscreenElement } = element.ownerDocument;
    if (on)
      await element.requestFullscreen();
    else if (fullscreenElement === element)
      await element.ownerDocument.exitFullscreen();
  }
  /** The value of every dial. */
  get dials() {
    return this.run.dials;
  }
  /** Turns a dial; a sketch that is not playing is shown again with it. */
  setDial(name, value) {
    return this.enqueue(async () => {
      await this.run.setDial(name, value);
      this.options.onDial?.(name, this.dials[name]);
      this.tell("dial", { name, value: this.dials[name] });
      if (this.run.frame < 0)
        return;
      if (this.sketch.frames === 1)
        await this.run.restart();
      else if (this.isPlaying)
        return;
      await this.refresh();
    });
  }
  /** Whether the sketch has asked for pointer or keys. */
  get listening() {
    return this.run.usesInput;
  }
  /** Stops for good and lets go of the page: its canvas is as it was before, but for the picture. */
  stop() {
    this.pause();
    this.stopped = true;
    clearTimeout(this.settling);
    this.screen?.end();
    this.hidePlayButton?.();
    this.page.end();
    this.run.end();
    this.element.ownerDocument.removeEventListener("visibilitychange", this.onVisibility);
    for (const undo of this.undo.splice(0).reverse())
      undo();
    if (players.get(this.element) === this)
      players.delete(this.element);
  }
  control() {
    void import("./controls-PZTT3MT6.js").then(({ showControls }) => {
      if (!this.stopped)
        this.undo.push(showControls(this));
    });
  }
  /** Shows a frame at rest, where there are no controls with a button over it that plays. */
  rest(withButton) {
    void this.goTo(frameAtRest(this.sketch));
    if (!withButton)
      return;
    void import("./play-button-ZPRAYTO2.js").then(({ playButton }) => {
      if (this.isPlaying || this.stopped)
        return;
      const hide = playButton(this.element, this.sketch.title, () => this.play());
      this.hidePlayButton = () => {
        this.hidePlayButton = void 0;
        hide();
      };
    });
  }
  onDensity = (density) => {
    clearTimeout(this.settling);
    if (this.sketch.carry === 0 || this.run.frame < 1)
      void this.setDensity(density);
    else
      this.settling = setTimeout(() => void this.setDensity(density), settleTime);
  };
  onSeen = (seen) => {
    this.seen = seen;
    this.endTicks();
    this.goOn();
  };
  /** Has the next frame shown when it is due; time that has gone by meanwhile does not count. */
  goOn() {
    if (!this.isPlaying || !this.seen)
      return;
    this.clock.pause();
    this.endTicks = onTick(this.view, this.tick);
  }
  onVisibility = () => {
    this.clock.pause();
  };
  tick = (now) => {
    if (!this.isPlaying || !this.seen)
      return;
    this.screen?.look();
    const due = this.clock.due(now);
    if (due > 0 && this.waiting === 0)
      void this.enqueue(() => this.move(due));
  };
  /** Goes on by so many frames, round after round, and shows the last of them. */
  async move(count) {
    const { frames, repeat } = this.sketch;
    let left = count;
    while (left > 0) {
      const { frame } = this.run;
      if (frame >= frames - 1) {
        if (!repeat)
          return this.pause();
        await this.run.restart();
        this.shown = -1;
        left--;
        if (left > 0 && this.sketch.carry === 0 && frames > 1)
          continue;
        await this.show(0);
        continue;
      }
      const target = Math.min(frame + left, frames - 1);
      left -= target - frame;
      if (left === 0 || this.sketch.carry > 0)
        await this.show(target);
      else
        await this.run.goTo(target);
    }
  }
  /** Shows the frame at hand once more, as something else about it has changed. */
  refresh() {
    this.shown = -1;
    return this.show(this.frame);
  }
  async show(frame) {
    await this.run.show(frame, this.shown);
    this.shown = this.run.frame;
    this.changed();
  }
  changed() {
    this.describe();
    this.options.onFrame?.(this);
    this.dispatchEvent(new Event("frame"));
  }
  /** Lets the page answer, where a long way has kept it from that. Whoever stops, stops on the way too. */
  breathe = () => {
    if (this.stopped)
      throw new SketchError({ problem: "the player was stopped" });
    if (performance.now() - this.heldSince < longestHold)
      return void 0;
    return new Promise((resolve) => setTimeout(() => {
      this.heldSince = performance.now();
      resolve();
    }));
  };
  onLoad = (done, total, name) => {
    this.options.onLoad?.(done, total, name);
    this.tell("load", { done, total, name });
  };
  /** @returns whether somebody has dealt with it */
  tell(event, detail) {
    return !this.dispatchEvent(new CustomEvent(event, { detail, cancelable: true }));
  }
  /** Says in words what is to be seen, for who cannot see it: at first, at rest, and now and then as it plays. */
  describe() {
    const now = performance.now();
    if (this.describing || this.stopped || this.isPlaying && now - this.describedAt < describeEvery)
      return;
    const words = this.run.words();
    if (words === void 0)
      return;
    this.describing = true;
    this.describedAt = now;
    words.then(
      (text) => this.element.setAttribute("aria-description", text),
      // A page that cannot load what says it does without.
      () => void 0
    ).finally(() => this.describing = false);
  }
  enqueue(job) {
    this.waiting++;
    this.work = this.work.then(async () => {
      try {
        this.heldSince = performance.now();
        if (!this.stopped)
          await job();
      } catch (thrown) {
        if (!this.stopped)
          this.failed(asSketchError(thrown));
      } finally {
        this.waiting--;
      }
    });
    return this.work;
  }
  failed(error) {
    this.pause();
    this.changed();
    const dealtWith = this.tell("error", error);
    if (this.options.onError)
      this.options.onError(error);
    else if (!dealtWith)
      console.error(error);
  }
};

// packages/frame-juggler/dist/browser/mount.js
function mount(sketch, target, options = {}) {
  return mountWith(sketch, target, options);
}
function mountWith(sketch, target, options, perform) {
  const found = typeof target === "string" ? document.querySelector(target) : target;
  if (!(found instanceof Element))
    throw new SketchError({
      call: "mount",
      option: "target",
      value: target,
      problem: "is not an element of this page",
      expected: "expected an element, or a selector of one"
    });
  if (found instanceof HTMLCanvasElement)
    return new Player(sketch, found, options, perform);
  const element = found.ownerDocument.createElement("canvas");
  element.style.height = "auto";
  element.style.maxWidth = "100%";
  found.append(element);
  try {
    return new MountedPlayer(sketch, element, options, perform);
  } catch (error) {
    element.remove();
    throw error;
  }
}
var MountedPlayer = class extends Player {
  stop() {
    super.stop();
    this.element.remove();
  }
};

// packages/frame-juggler/dist/browser/worker-performer.js
var SketchWorker = class {
  worker;
  onLoad = () => void 0;
  onWants = () => void 0;
  /** How things stood when it told last. */
  standing = { frame: -1, usesInput: false, dials: {} };
  /** Comes with what there is to know of the sketch. */
  facts;
  waiting = /* @__PURE__ */ new Map();
  // prettier-ignore
  asked = 0;
  constructor(worker) {
    this.worker = worker;
    this.facts = new Promise((resolve, reject) => {
      worker.onmessage = ({ data }) => {
        if (data.type === "sketch")
          resolve(data.facts);
        else if (data.type === "load")
          this.onLoad(data.done, data.total, data.name);
        else if (data.type === "wants")
          this.onWants(data.what);
        else
          this.answered(data);
      };
      worker.onerror = (event) => {
        event.preventDefault();
        const why = new SketchError({
          call: "mountWorker",
          problem: event.message || "the worker could not be started"
        });
        reject(why);
        this.fail(why);
      };
    });
  }
  /** @throws SketchError what the sketch threw, with its own lines */
  ask(name, given, events = []) {
    const id = ++this.asked;
    this.worker.postMessage({ id, name, given, events });
    return new Promise((resolve, reject) => this.waiting.set(id, { resolve: ({ answer }) => resolve(answer), reject }));
  }
  end() {
    this.worker.terminate();
    this.fail(new SketchError({ problem: "the player was stopped" }));
  }
  answered(data) {
    this.standing = data.standing ?? this.standing;
    const waiting = this.waiting.get(data.id);
    this.waiting.delete(data.id);
    if (data.type === "answer")
      return waiting?.resolve(data);
    const { reason, source, caller, frame } = data.fault;
    const error = new SketchError({ problem: reason }).at(source, caller);
    if (frame !== void 0)
      error.inFrame(frame);
    waiting?.reject(error);
  }
  fail(why) {
    for (const { reject } of this.waiting.values())
      reject(why);
    this.waiting.clear();
  }
};
function standIn({ width, height, dials, ...facts }) {
  const elsewhere = () => {
    throw new SketchError({ problem: "the sketch runs in a worker" });
  };
  return {
    ...facts,
    canvas: { width, height, background: 0, density: 1, view: {} },
    accept: {},
    assets: {},
    dials: Object.fromEntries(Object.entries(dials).map(([name, dial]) => [name, { ...dial, read: elsewhere }])),
    start: elsewhere,
    step: void 0,
    paint: elsewhere
  };
}
var WorkerPerformer = class {
  worker;
  frames;
  opened;
  density;
  input;
  element;
  constructor(worker, frames, opened, { element, run, input, onLoad }) {
    this.worker = worker;
    this.frames = frames;
    this.opened = opened;
    this.element = element;
    this.input = input;
    this.density = run.density;
    worker.onLoad = onLoad;
    worker.onWants = (what) => what === "pointer" ? input().onPointer?.() : input().onKeys?.();
  }
  get frame() {
    return this.worker.standing.frame;
  }
  get seed() {
    return this.opened.seed;
  }
  get atEnd() {
    return this.frame >= this.frames - 1;
  }
  get width() {
    return this.opened.width;
  }
  get height() {
    return this.opened.height;
  }
  get view() {
    return this.opened.view;
  }
  get dials() {
    return this.worker.standing.dials;
  }
  get usesInput() {
    return this.worker.standing.usesInput;
  }
  async restart() {
    await this.ask("restart", {}, 0);
  }
  async goTo(frame) {
    await this.ask("goTo", { frame });
  }
  async show(frame, shown) {
    const { element, density } = this;
    const picture = await this.ask("show", { frame, shown, density });
    const { width, height } = picture;
    if (element.width !== width)
      element.width = width;
    if (element.height !== height)
      element.height = height;
    const context = element.getContext("2d");
    context.globalCompositeOperation = "copy";
    context.drawImage(picture, 0, 0);
    picture.close();
  }
  async setDial(name, value) {
    await this.ask("setDial", { name, value });
  }
  words() {
    return this.frame < 0 ? void 0 : this.ask("words", {});
  }
  end() {
    this.worker.end();
  }
  /** @param since the frame from which what pointer and keys did counts; for frame 0, how things stand */
  ask(name, given, since = 1) {
    return this.worker.ask(name, given, this.input().take(since));
  }
};

// packages/frame-juggler/dist/browser/mount-worker.js
async function mountWorker(worker, target, options = {}) {
  const asked = new SketchWorker(worker);
  try {
    const facts = await asked.facts;
    const sketch = standIn(facts);
    const opened = await asked.ask("open", openingOf(options));
    return mountWith(sketch, target, options, (setting) => new WorkerPerformer(asked, facts.frames, opened, setting));
  } catch (error) {
    asked.end();
    throw error;
  }
}
export {
  Canvas2dSurface,
  ExactSurface,
  PageInput,
  Player,
  mount,
  mountWorker,
  pageHost
};
