import {
  isGradient
} from "./chunk-3A6COZNW.js";
import {
  useBrotli
} from "./chunk-VK7SHGMN.js";
import {
  readPicture
} from "./chunk-MECBHCPL.js";
import {
  Color,
  hsl,
  log,
  pack,
  readColor,
  readPacked
} from "./chunk-LDXCYOWX.js";
import {
  blendMode,
  blendModes,
  colorPaint,
  emptyColumns,
  noPaint,
  tablePaint
} from "./chunk-NE2UDUYN.js";
import {
  anchorFraction,
  anchorKind,
  anchorTable,
  boxForms,
  boxTable,
  breaksElsewhere,
  initialTextStyle,
  lineBreaksBy,
  ownWeight,
  pinTable,
  placeBox,
  placeSized,
  restyleText,
  textStyleOptions,
  textStyleTable
} from "./chunk-RHCINV5B.js";
import {
  bothOf,
  factors,
  isPoint,
  lengths,
  optional,
  pair,
  pairOf,
  point,
  points,
  schemaOf,
  withoutUndefined,
  xOf,
  yOf
} from "./chunk-XNENNZIQ.js";
import {
  aboutPoint,
  apply,
  arc,
  close,
  commandLength,
  cubic,
  determinant,
  identity,
  inverse,
  isClosedPath,
  isFinitePath,
  largestScale,
  line,
  move,
  multiply,
  pathBox,
  quad,
  rotation,
  scaling,
  skewing,
  translation
} from "./chunk-64DTOP6Y.js";
import {
  anything,
  callable,
  convertedLater,
  degrees,
  finite,
  fraction,
  kindOf,
  length,
  listOf,
  mapOf,
  name,
  oneOf,
  positive,
  text,
  toggle,
  whole
} from "./chunk-BTP6WEQV.js";
import {
  SketchError,
  asSketchError,
  atan2,
  fail,
  nearest,
  show,
  sinCos,
  sketchLine,
  suggest
} from "./chunk-IWQLMP55.js";

// packages/frame-juggler/dist/text/directions.js
function directionsBy(factory) {
  const bidi = factory();
  return (paragraph) => {
    const embedding = bidi.getEmbeddingLevels(paragraph);
    const { levels } = embedding;
    return (start, end) => {
      if (start === end)
        return [];
      const mirrored = bidi.getMirroredCharactersMap(paragraph, levels, start, end - 1);
      const seen = bidi.getReorderedIndices(paragraph, embedding, start, end - 1).slice(start, end);
      const runs = [];
      for (let i = 0; i < seen.length; ) {
        const level = levels[seen[i]];
        const step = level % 2 === 0 ? 1 : -1;
        let next = i + 1;
        while (next < seen.length && seen[next] === seen[next - 1] + step && levels[seen[next]] === level)
          next++;
        const [from, to] = step === 1 ? [seen[i], seen[next - 1]] : [seen[next - 1], seen[i]];
        let text3 = "";
        for (let at = from; at <= to; at++)
          text3 += mirrored.get(at) ?? paragraph[at];
        runs.push({ text: text3, rightToLeft: step === -1 });
        i = next;
      }
      return runs;
    };
  };
}
function runsRightToLeft(text3) {
  return /[\u0590-\u08ff\u200f\u202a-\u202e\u2066-\u2069\ufb1d-\ufdff\ufe70-\ufefc\u{10800}-\u{10fff}\u{1e800}-\u{1efff}]/u.test(text3);
}

// packages/frame-juggler/dist/text/generated/latin.js
var latin = /^[\t\n\r\u0020-\u007e\u00a0-\u017f\u2010-\u201e\u2020-\u2023\u2026\u2030-\u2033\u2035\u2039-\u203a\u20a1\u20a3-\u20a4\u20a6-\u20a7\u20a9\u20ab-\u20ac\u20ae\u20b1-\u20b2\u20b4-\u20b5\u20b8-\u20ba\u20bd\u2122\u2190-\u2193\u2200\u2202-\u2203\u2206\u220f\u2211-\u2212\u2215\u2219-\u221a\u221e-\u221f\u2229\u222b\u2236-\u2237\u2248\u2260-\u2261\u2264-\u2265]*$/;

// packages/frame-juggler/dist/text/needs.js
function weightOf(font) {
  return font.split("-")[0];
}
var allNeeds = ["regular", "bold", "breaks", "directions"];
function needsOf(string, style, maxWidth) {
  const needs = [];
  const weight = ownWeight(style);
  if (weight !== void 0)
    needs.push(latin.test(string) ? `${weight}-latin` : weight);
  if (maxWidth !== void 0 && breaksElsewhere(string))
    needs.push("breaks");
  if (runsRightToLeft(string))
    needs.push("directions");
  return needs;
}

// packages/frame-juggler/dist/text/lettering.js
var loaded = { fonts: /* @__PURE__ */ new Map(), whole: /* @__PURE__ */ new Set() };
var setter;
var host;
var atStart = false;
var nameOf = (weight) => `Source Sans 3 ${weight}`;
function wantFontsAtStart() {
  atStart = true;
}
async function loadLetteringAtStart() {
  if (atStart && host === void 0)
    await loadLettering(allNeeds);
}
var ownFonts = {
  regular: () => import("./regular-JZ3BLXYN.js"),
  bold: () => import("./bold-TFIRKBJ4.js"),
  "regular-latin": () => import("./regular-latin-PW2F37UV.js"),
  "bold-latin": () => import("./bold-latin-VUYSEXNC.js")
};
function isThere(need) {
  if (need === "breaks" || need === "directions")
    return loaded[need] !== void 0;
  return (need.endsWith("-latin") ? loaded.fonts : loaded.whole).has(weightOf(need));
}
function put(need, font) {
  const weight = weightOf(need);
  if (loaded.whole.has(weight))
    return;
  if (need === weight)
    loaded.whole.add(weight);
  loaded.fonts.set(weight, font);
}
function lettering(needs) {
  const lacking = [...needs].filter((need) => !isThere(need));
  if (host !== void 0)
    for (const need of lacking)
      if (need === "breaks")
        loaded.breaks = host.breaks();
      else if (need === "directions")
        loaded.directions = host.directions();
      else
        put(weightOf(need), host.readFont(nameOf(weightOf(need)), host.ownFont(weightOf(need))));
  else if (setter === void 0 || lacking.length > 0)
    throw new SketchError({ problem: "text was set before its font was loaded", expected: "await loadFonts() before" });
  return { layOut: setter, means: loaded };
}
async function loadFonts(weights = ["regular", "bold"]) {
  await loadLettering([...weights, "breaks", "directions"]);
}
async function loadLettering(needs) {
  if (host !== void 0)
    return void lettering(needs);
  setter ??= (await import("./layout-KCOHZSA2.js")).layOut;
  await Promise.all([...needs].filter((need) => !isThere(need)).map(load));
}
async function load(need) {
  if (need === "breaks") {
    const { LineBreaker } = await import("./line-break-package-WH6A7R2S.js");
    loaded.breaks ??= lineBreaksBy(LineBreaker);
  } else if (need === "directions") {
    const { bidiFactory } = await import("./bidi-package-A27SXHDW.js");
    loaded.directions ??= directionsBy(bidiFactory);
  } else {
    const [{ unpack }, readFont, { packed }] = await Promise.all([
      import("./read-font-RQ2YHB42.js"),
      fontReader(),
      ownFonts[need]()
    ]);
    put(need, readFont(nameOf(weightOf(need)), await unpack(packed)));
  }
}
var woff2 = [..."wOF2"].map((letter) => letter.charCodeAt(0));
async function fontReader(bytes) {
  if (host !== void 0)
    return host.readFont;
  if (bytes !== void 0 && woff2.every((code, i) => bytes[i] === code))
    useBrotli((await import("./brotli-package-EDRGKR2L.js")).decompress);
  const [{ readFont }, { openFont }] = await Promise.all([import("./read-font-RQ2YHB42.js"), import("./font-package-TTOSCZYT.js")]);
  return (name2, bytes2) => readFont(name2, bytes2, openFont);
}

// packages/frame-juggler/dist/sketch/assets.js
var maxBytes = { json: 128e6, picture: 512e6, font: 64e6, table: 128e6 };
function checkFileSize(bytes, max) {
  if (bytes > max)
    throw new Error(`it is ${Math.ceil(bytes / 1e6)} MB: expected at most ${max / 1e6} MB`);
}
var same = (value) => value;
var asset = {
  /** A JSON file: whatever it holds. */
  json(url) {
    fileUrl.read("asset.json", "url", url);
    return {
      url,
      maxBytes: maxBytes.json,
      decode: (bytes) => JSON.parse(text2(bytes)),
      copy: (value) => structuredClone(value)
    };
  },
  /** A picture: PNG or JPEG, and in a page whatever the browser decodes. */
  picture(url) {
    fileUrl.read("asset.picture", "url", url);
    return {
      url,
      maxBytes: maxBytes.picture,
      decode: async (bytes, host2) => {
        const { decodePicture } = await import("./decode-picture-KF6ECI74.js");
        const picture = await decodePicture(bytes) ?? await host2.decodePicture?.(bytes);
        if (picture === void 0)
          throw new Error("it is not a picture that can be read: expected PNG or JPEG");
        return picture;
      },
      copy: (picture) => picture.copy()
    };
  },
  /** A font: TTF, OTF, WOFF or WOFF2. */
  font(url) {
    const name2 = fileOf(fileUrl.read("asset.font", "url", url));
    return {
      url,
      maxBytes: maxBytes.font,
      decode: async (bytes) => (await fontReader(bytes))(name2, bytes),
      copy: same
    };
  },
  /** A CSV file with a line of column names: a list of rows, `{ column: value }`. */
  table(url) {
    fileUrl.read("asset.table", "url", url);
    return {
      url,
      maxBytes: maxBytes.table,
      decode: async (bytes) => (await import("./table-4MUSMYVD.js")).parseTable(text2(bytes)),
      copy: (rows) => structuredClone(rows)
    };
  }
};
var isAsset = (value) => typeof value?.decode === "function";
var assetMap = mapOf(kindOf("asset.picture(new URL('./file', import.meta.url)), or another asset", isAsset, "is not an asset"), "assets by name: { boat: asset.picture(new URL('./boat.png', import.meta.url)) }");
var loaded2 = /* @__PURE__ */ new WeakMap();
async function loadAssets(assets, host2, onLoad) {
  let byHost = loaded2.get(assets);
  if (byHost === void 0)
    loaded2.set(assets, byHost = /* @__PURE__ */ new WeakMap());
  let loading = byHost.get(host2);
  if (loading === void 0) {
    byHost.set(host2, loading = readAssets(assets, host2, onLoad));
    loading.catch(() => byHost.delete(host2));
  }
  const values = await loading;
  return Object.fromEntries(Object.entries(assets).map(([name2, { copy }]) => [name2, copy(values[name2])]));
}
async function readAssets(assets, host2, onLoad) {
  let done = 0;
  const entries = Object.entries(assets).map(async ([name2, { url, maxBytes: maxBytes2, decode }], _, { length: length2 }) => {
    try {
      const bytes = await host2.read(url, maxBytes2);
      checkFileSize(bytes.length, maxBytes2);
      const value = await decode(bytes, host2);
      onLoad?.(++done, length2, name2);
      return [name2, value];
    } catch (cause) {
      const why = cause instanceof Error ? cause.message : show(cause);
      throw new SketchError({
        call: "assets",
        option: name2,
        problem: `(${fileOf(url)}) could not be loaded`,
        expected: why
      });
    }
  });
  return Object.fromEntries(await Promise.all(entries));
}
var fileUrl = kindOf("new URL('./file', import.meta.url)", (value) => typeof value === "object" && value !== null && "href" in value, "is not a URL");
function fileOf(url) {
  return decodeURIComponent(url.pathname.slice(url.pathname.lastIndexOf("/") + 1));
}
function text2(bytes) {
  return new TextDecoder("utf-8", { fatal: true }).decode(bytes);
}

// packages/frame-juggler/dist/sketch/dials.js
var dialTable = {
  /** What a person reads beside it; its name if left out. */
  label: optional(name)
};
var dialOptions = schemaOf(dialTable, "{ label: 'Swell' } behind the value");
var numberTable = {
  /** The least it can be. */
  min: optional(finite),
  /** The most it can be. */
  max: optional(finite),
  /** How far apart two settings are. */
  step: optional(positive)
};
var numberOptions = schemaOf({ ...dialTable, ...numberTable }, "{ min: 0, max: 60 } behind the value");
var dials = /* @__PURE__ */ new WeakSet();
function makeDial(initial, { label }, control, read) {
  const result = { initial: read(`dial.${control.type}`, "value", initial), label, control, read };
  dials.add(result);
  return result;
}
var words = listOf(text, "words, ['calm', 'rough']", 1);
var dial = {
  /** A number, within `min` and `max` where they are given. */
  number(initial, options3 = {}) {
    const call4 = "dial.number";
    const { label: _label, ...limits } = numberOptions.read(call4, options3);
    const { min = -Infinity, max = Infinity } = limits;
    if (!(min < max))
      fail({ call: call4, option: "max", value: max, problem: `is not above min, ${min}` });
    const bounds = [min > -Infinity && `${min} or more`, max < Infinity && `${max} or less`].filter(Boolean);
    return makeDial(initial, options3, { type: "number", ...withoutUndefined(limits) }, (caller, name2, value) => {
      const number = finite.read(caller, name2, value);
      if (number >= min && number <= max)
        return number;
      return fail({
        call: caller,
        option: name2,
        value,
        problem: "is out of range",
        expected: `expected ${bounds.join(", ")}`
      });
    });
  },
  /** A color: whatever a fill takes as one. */
  color(initial, options3 = {}) {
    dialOptions.check("dial.color", options3);
    return makeDial(initial, options3, { type: "color" }, (caller, name2, value) => {
      readColor(caller, name2, value);
      return value;
    });
  },
  /** Something that is on (true) or off (false). */
  toggle(initial, options3 = {}) {
    dialOptions.check("dial.toggle", options3);
    return makeDial(initial, options3, { type: "toggle" }, (...asked) => toggle.read(...asked));
  },
  /** One of a few words, the first unless `initial` tells another. */
  choice(choices, initial = choices[0], options3 = {}) {
    words.read("dial.choice", "choices", choices);
    dialOptions.check("dial.choice", options3);
    const choice = oneOf(...choices);
    return makeDial(initial, options3, { type: "choice", choices }, (...asked) => choice.read(...asked));
  },
  /** Any text. */
  text(initial, options3 = {}) {
    dialOptions.check("dial.text", options3);
    return makeDial(initial, options3, { type: "text" }, (...asked) => text.read(...asked));
  },
  /** A point of the canvas. */
  point(initial, options3 = {}) {
    dialOptions.check("dial.point", options3);
    return makeDial(initial, options3, { type: "point" }, (...asked) => {
      const at = point.read(...asked);
      return { x: xOf(at), y: yOf(at) };
    });
  }
};
var isDial = (value) => typeof value === "object" && value !== null && dials.has(value);
var dialMap = mapOf(kindOf("dial.number(\u2026) or another dial", isDial, "is not a dial"), "dials by name: { swell: dial.number(14) }");
function dialValues(map, values = {}) {
  for (const name2 of Object.keys(values))
    dialNamed(map, name2);
  return Object.fromEntries(Object.entries(map).map(([name2, { initial, read }]) => [
    name2,
    Object.hasOwn(values, name2) ? read("dials", name2, values[name2]) : initial
  ]));
}
function fitDials(map, kept) {
  const values = {};
  const misfits = [];
  for (const [name2, value] of Object.entries(kept)) {
    try {
      values[name2] = dialNamed(map, name2).read("dials", name2, value);
    } catch (error) {
      misfits.push({ name: name2, reason: asSketchError(error).reason });
    }
  }
  return { values, misfits };
}
function dialNamed(map, name2) {
  const found = Object.hasOwn(map, name2) ? map[name2] : void 0;
  if (found !== void 0)
    return found;
  const names = Object.keys(map);
  return fail({
    call: "dials",
    problem: `there is no dial ${show(name2)}`,
    expected: names.length === 0 ? "the sketch has none" : suggest(name2, names)
  });
}
var numberFrom = (part) => part.trim() === "" ? NaN : Number(part);
var fromText = {
  number: {
    words: "a number",
    read: (text3) => Number.isNaN(numberFrom(text3)) ? void 0 : numberFrom(text3)
  },
  toggle: {
    words: "on or off",
    read: (text3) => /^(true|on|yes|false|off|no)$/i.test(text3) ? /^(true|on|yes)$/i.test(text3) : void 0
  },
  point: { words: "x,y", read: (text3) => text3.split(",").map(numberFrom) },
  color: { words: "a color", read: (text3) => text3 },
  choice: { words: "a word", read: (text3) => text3 },
  text: { words: "text", read: (text3) => text3 }
};
function parseDial(map, name2, content) {
  const found = dialNamed(map, name2);
  const { words: expected2, read } = fromText[found.control.type];
  const value = read(content);
  if (value === void 0)
    fail({
      call: "dials",
      option: name2,
      value: content,
      problem: `is not ${expected2}`,
      expected: `expected ${expected2}`
    });
  return found.read("dials", name2, value);
}

// packages/frame-juggler/dist/canvas/view.js
var yAxis = oneOf("down", "up");
var alignments = { Min: 0, Mid: 0.5, Max: 1 };
var ratioPattern = /^(?:none|x(Min|Mid|Max)Y(Min|Mid|Max)(?:\s+(meet|slice))?)$/;
var isViewBox = (value) => Array.isArray(value) && value.length === 4 && value.every(Number.isFinite);
var viewTable = {
  /** Units of the sketch's own: the box of them that the canvas shows, `[x, y, width, height]`. */
  viewBox: optional(kindOf("[x, y, width, height], its width and height above 0", (value) => isViewBox(value) && value[2] > 0 && value[3] > 0, (value) => isViewBox(value) ? "has no area" : "is not a box of four finite numbers")),
  /** SVG's rule for a view box of another shape than the canvas. */
  preserveAspectRatio: optional(kindOf("none, or like xMidYMid meet", (value) => typeof value === "string" && ratioPattern.test(value), "is not known"), "xMidYMid meet"),
  /** Which way y grows. Upwards, angles turn from +x towards +y as well: anticlockwise. */
  yAxis: optional(yAxis, "down")
};
function makeView(width, height, options3) {
  const { viewBox, preserveAspectRatio = "xMidYMid meet", yAxis: axis } = options3;
  const up = axis === "up";
  const [x, y, w, h] = viewBox ?? [0, 0, width, height];
  let matrix = viewBox === void 0 ? identity : fit([x, y, w, h], width, height, preserveAspectRatio);
  if (up)
    matrix = multiply(matrix, [1, 0, 0, -1, 0, 2 * y + h]);
  return { matrix, left: x, top: y, width: w, height: h, up };
}
function fit([x, y, w, h], width, height, ratio) {
  let [sx, sy] = [width / w, height / h];
  if (ratio === "none")
    return multiply(scaling(sx, sy), translation(-x, -y));
  const found = ratioPattern.exec(ratio);
  sx = sy = found[3] === "slice" ? Math.max(sx, sy) : Math.min(sx, sy);
  const alignX = alignments[found[1]];
  const alignY = alignments[found[2]];
  return multiply(translation((width - w * sx) * alignX, (height - h * sy) * alignY), multiply(scaling(sx, sy), translation(-x, -y)));
}

// packages/frame-juggler/dist/sketch/sketch.js
var canvasTable = {
  /** Its width, in pixels of density 1. */
  width: optional(whole(1), 640),
  /** Its height, in pixels of density 1. */
  height: optional(whole(1), 360),
  /** What each fresh frame begins on: a color, or `'none'` for nothing. */
  background: optional(convertedLater("a color"), "white"),
  ...viewTable,
  /** Pixels of a rendering to one unit; in a page the screen's own. */
  density: optional(positive, 1)
};
var canvasOptions = schemaOf(canvasTable, "{ width: 640, height: 360 }");
var sketchTable = {
  /** What it is called, for people. */
  title: optional(text, "Untitled sketch"),
  /** The canvas: its size, its background, its units. */
  canvas: optional(convertedLater("{ width, height, background, \u2026 }")),
  /** Frames a second. */
  frameRate: optional(positive, 60),
  /** Seconds until it repeats; without one it goes on for ever. */
  duration: optional(finite),
  /** Whether it begins again after its duration, or stops on the last frame. */
  repeat: optional(toggle, true),
  /** Paints one frame only. */
  still: optional(toggle, false),
  /** How much of the last picture stays under the next, from 0 (none) to 1 (all of it). */
  carry: optional(fraction, 0),
  /** The seed of `random` and `noise` where the run gives no other. */
  seed: optional(whole(0), 1),
  /** Findings of `juggle check` that are meant, by name, each with the reason. */
  accept: optional(mapOf(name, "reasons by the name of a finding: { covered: 'the moon sets' }"), {})
};
var partsTable = {
  assets: optional(assetMap),
  dials: optional(dialMap),
  start: optional(callable()),
  step: optional(callable()),
  paint: callable("a function that draws: paint(canvas) { \u2026 }")
};
var sketchOptions = schemaOf({ ...sketchTable, ...partsTable }, "{ paint(canvas) { \u2026 } }");
var call = "defineSketch";
var maxSide = 16384;
var mark = /* @__PURE__ */ Symbol("sketch");
function isSketch(value) {
  return typeof value === "object" && value !== null && Reflect.get(value, mark) === true;
}
function defineSketch(definition) {
  const { canvas, duration, still, repeat, ...given } = sketchOptions.read(call, definition);
  const sketch = {
    ...given,
    canvas: readCanvas(canvas ?? {}),
    frames: still ? 1 : countFrames(duration, given.frameRate),
    repeat: repeat && !still,
    assets: given.assets ?? {},
    dials: given.dials ?? {},
    start: given.start ?? (() => void 0),
    step: given.step
  };
  return marked(sketch);
}
function withParts(sketch, parts) {
  return marked({ ...sketch, ...parts });
}
function marked(sketch) {
  return Object.defineProperty(sketch, mark, { value: true });
}
function frameAtRest({ frames, frameRate }) {
  return frames === Infinity ? Math.round(2 * frameRate) : Math.floor(frames / 2);
}
function countFrames(duration, frameRate) {
  if (duration === void 0)
    return Infinity;
  const frames = Math.round(duration * frameRate);
  if (frames < 1)
    fail({
      call,
      option: "duration",
      value: duration,
      problem: "is shorter than one frame",
      expected: "expected seconds"
    });
  return frames;
}
function readCanvas(options3) {
  const { width, height, background, density, viewBox, ...view } = canvasOptions.read(`${call} canvas`, options3);
  checkSize(`${call} canvas`, width, height, density);
  return {
    width,
    height,
    background: background === "none" ? 0 : readColor(call, "canvas background", background).packed,
    density,
    view: viewBox === void 0 ? view : { viewBox, ...view }
  };
}
function checkSize(caller, width, height, density) {
  const side = whole(1);
  positive.read(caller, "density", density);
  for (const [option, value] of Object.entries({ width, height }))
    if (side.read(caller, option, value) * density > maxSide)
      fail({
        call: caller,
        option,
        value,
        problem: `makes a picture of ${Math.round(value * density)} pixels`,
        expected: `expected at most ${maxSide} a side`
      });
}

// packages/frame-juggler/dist/sketch/input.js
var Input = class {
  live;
  keysDown = /* @__PURE__ */ new Set();
  keysPressed = /* @__PURE__ */ new Set();
  keysReleased = /* @__PURE__ */ new Set();
  outside;
  keys = {
    down: (key) => this.keysDown.has(readKey("keys.down", key)),
    justPressed: (key) => this.keysPressed.has(readKey("keys.justPressed", key)),
    justReleased: (key) => this.keysReleased.has(readKey("keys.justReleased", key))
  };
  /**
   * @param view where the canvas lies, so that a pointer that is not there rests outside it
   * @param over whether something of a label lies at a point of the last frame
   */
  constructor(view, over) {
    this.outside = { x: view.left - view.width, y: view.top - view.height };
    this.live = {
      ...this.outside,
      inside: false,
      down: false,
      justPressed: false,
      justReleased: false,
      over: (label) => {
        name.read("pointer.over", "label", label);
        return this.live.inside && over(label, this.live.x, this.live.y);
      }
    };
  }
  get pointer() {
    return this.live;
  }
  /** Goes on to a frame. Nothing has only just been pressed in frame 0: there was no frame before it. */
  begin(frame, events) {
    if (frame === 0) {
      Object.assign(this.live, this.outside, { inside: false, down: false });
      this.keysDown.clear();
    }
    this.forgetJust();
    for (const event of events)
      this.apply(event);
    if (frame === 0)
      this.forgetJust();
  }
  apply(event) {
    const { live } = this;
    switch (event.type) {
      case "move":
        [live.x, live.y] = pair.read("input", "at", event.at);
        live.inside = true;
        break;
      case "leave":
        live.inside = false;
        break;
      case "press":
        live.down = live.justPressed = true;
        break;
      case "release":
        live.down = false;
        live.justReleased = true;
        break;
      case "keydown": {
        const key = keyName(event.key);
        if (!this.keysDown.has(key))
          this.keysPressed.add(key);
        this.keysDown.add(key);
        break;
      }
      case "keyup": {
        const key = keyName(event.key);
        if (this.keysDown.delete(key))
          this.keysReleased.add(key);
      }
    }
  }
  forgetJust() {
    this.live.justPressed = this.live.justReleased = false;
    this.keysPressed.clear();
    this.keysReleased.clear();
  }
};
function readKey(call4, key) {
  return keyName(name.read(call4, "key", key));
}
function keyName(key) {
  return key.length === 1 ? key.toLowerCase() : key;
}
var Recorder = class {
  source;
  noted = [];
  constructor(source) {
    this.source = source;
  }
  get events() {
    return this.noted;
  }
  take(frame) {
    if (frame === 0)
      this.noted = [];
    const events = this.source.take(frame);
    for (const event of events)
      this.noted.push({ frame, event });
    return events;
  }
  onPointer() {
    this.source.onPointer?.();
  }
  onKeys() {
    this.source.onKeys?.();
  }
};

// packages/frame-juggler/dist/geometry/path-builder.js
var PathBuilder = class {
  numbers = [];
  /** What has been built. */
  get path() {
    return this.numbers;
  }
  /** Begins a new subpath. */
  moveTo(x, y) {
    return this.add("moveTo", move, x, y);
  }
  /** A straight line. */
  lineTo(x, y) {
    return this.add("lineTo", this.numbers.length === 0 ? move : line, x, y);
  }
  /** A curve with one control point. */
  quadraticCurveTo(controlX, controlY, x, y) {
    this.begin(controlX, controlY);
    return this.add("quadraticCurveTo", quad, controlX, controlY, x, y);
  }
  /** A curve with two control points. */
  bezierCurveTo(x1, y1, x2, y2, x, y) {
    this.begin(x1, y1);
    return this.add("bezierCurveTo", cubic, x1, y1, x2, y2, x, y);
  }
  /** Part of a circle, from one angle to another, in degrees. */
  arc(x, y, radius, start, end) {
    length.read("path.arc", "radius", radius);
    return this.addArc("arc", [x, y, radius, radius, 0, start, end]);
  }
  /**
   * Part of an ellipse that is turned by `rotation`, from one angle to another, in degrees; all of it where angles are
   * left out.
   */
  ellipse(x, y, radiusX, radiusY, rotation2 = 0, start = 0, end = 360) {
    length.read("path.ellipse", "radiusX", radiusX);
    length.read("path.ellipse", "radiusY", radiusY);
    return this.addArc("ellipse", [x, y, radiusX, radiusY, rotation2, start, end]);
  }
  /** A closed rectangle. */
  rect(x, y, width, height) {
    this.moveTo(x, y).lineTo(x + width, y);
    this.lineTo(x + width, y + height).lineTo(x, y + height);
    return this.closePath();
  }
  /** Closes the subpath with a straight line to its start. */
  closePath() {
    if (this.numbers.length === 0)
      fail({ call: "path.closePath", problem: "there is nothing to close" });
    this.numbers.push(close);
    return this;
  }
  begin(x, y) {
    if (this.numbers.length === 0)
      this.moveTo(x, y);
  }
  addArc(call4, [x, y, rx, ry, rotation2, start, end]) {
    const sweep = Math.max(-360, Math.min(360, end - start));
    return this.add(call4, arc, x, y, rx, ry, rotation2, start, sweep);
  }
  add(call4, command, ...values) {
    for (const [index, value] of values.entries())
      finite.read(`path.${call4}`, `argument ${index + 1}`, value);
    this.numbers.push(command, ...values);
    return this;
  }
};

// packages/frame-juggler/dist/shapes/own.js
var requiredMark = /* @__PURE__ */ Symbol("required");
var required = requiredMark;
var definitionOptions = schemaOf({
  name,
  options: optional(kindOf("an object: { width: 60, height: required }", (value) => typeof value === "object" && value !== null && !Array.isArray(value), "is not an object")),
  outline: callable("a function: outline(options, path) { \u2026 }"),
  anchor: optional(anchorKind())
}, "{ name: 'bollard', outline(options, path) { \u2026 } }");
var ownKinds = /* @__PURE__ */ new WeakSet();
function defineShape(definition) {
  definitionOptions.check("defineShape", definition);
  const { name: name2, outline } = definition;
  const values = definition.options ?? {};
  const defaults = Object.fromEntries(Object.entries(values).filter(([, value]) => value !== requiredMark));
  const kind = {
    name: name2,
    options: schemaOf({ ...pinTable, ...anchorTable, ...tableOf(values) }, "{ at: [100, 80] }"),
    outline(options3, path2, _call, surroundings) {
      const builder = new PathBuilder();
      outline({ ...defaults, ...options3 }, builder, {
        width: surroundings.width,
        height: surroundings.height
      });
      const anchor2 = options3.anchor ?? definition.anchor;
      const pin = pairOf(options3.at);
      let [x, y] = pin;
      if (anchor2 !== void 0) {
        const { left, top, right, bottom } = pathBox(builder.path);
        const [ax, ay] = anchorFraction(anchor2, surroundings);
        x -= left + ax * (right - left);
        y -= top + ay * (bottom - top);
      }
      path2.path(builder.path, x, y);
      return { inside: isClosedPath(builder.path), pin };
    }
  };
  ownKinds.add(kind);
  return kind;
}
function isOwnShape(value) {
  return typeof value === "object" && value !== null && ownKinds.has(value);
}
function tableOf(values) {
  return Object.fromEntries(Object.entries(values).map(([option, value]) => [
    option,
    value === requiredMark ? finiteOrOther : optional(kindLike(value))
  ]));
}
var finiteOrOther = kindOf("a value, numbers finite", (value) => typeof value !== "number" || Number.isFinite(value), "is not finite");
function kindLike(value) {
  switch (typeof value) {
    case "number":
      return finite;
    case "boolean":
      return toggle;
    case "string":
      return text;
    default:
      if (isPoint(value))
        return kindOf("two finite numbers, as a point", isPoint, "is not a point");
      return Array.isArray(value) ? kindOf("a list", Array.isArray, "is not a list") : anything;
  }
}

// packages/frame-juggler/dist/paint/pattern.js
var patternTable = {
  /** The size of one tile, in units; that of the picture if left out. */
  size: optional(lengths),
  /** A turn of the whole pattern, in degrees, clockwise. */
  rotate: optional(degrees, 0),
  /** Where a tile has its corner. */
  at: optional(point, [0, 0]),
  /** Whether it is scaled smoothly (true) or in crisp pixels. */
  smooth: optional(toggle, true)
};
var patternOptions = schemaOf(patternTable, "{ size: 20 }");
var patterns = /* @__PURE__ */ new WeakSet();
function pattern(picture, options3 = {}) {
  const call4 = "pattern";
  const { width, height } = readPicture(call4, picture);
  const { size, rotate, at, smooth } = patternOptions.read(call4, options3);
  const [tileWidth, tileHeight] = size === void 0 ? [width, height] : bothOf(size);
  let transform = scaling(tileWidth / width, tileHeight / height);
  if (rotate !== 0)
    transform = multiply(rotation(rotate), transform);
  transform = multiply(translation(xOf(at), yOf(at)), transform);
  if (inverse(transform) === void 0)
    fail({
      call: call4,
      option: "size",
      value: size,
      problem: "leaves nothing of a tile",
      expected: "expected more than 0"
    });
  const result = { type: "pattern", picture, transform, smooth };
  patterns.add(result);
  return result;
}
function isPattern(value) {
  return typeof value === "object" && value !== null && patterns.has(value);
}

// packages/frame-juggler/dist/geometry/path-writer.js
var PathWriter = class {
  /** The list; what lies behind `length` is of no account. */
  numbers;
  length = 0;
  /** @param expected how many numbers there will be, about */
  constructor(expected2 = 64) {
    this.numbers = new Float64Array(expected2);
  }
  move(x, y) {
    this.point(move, x, y);
  }
  line(x, y) {
    this.point(line, x, y);
  }
  cubic(x1, y1, x2, y2, x, y) {
    const at = this.room(7);
    const { numbers } = this;
    numbers[at] = cubic;
    numbers[at + 1] = x1;
    numbers[at + 2] = y1;
    numbers[at + 3] = x2;
    numbers[at + 4] = y2;
    numbers[at + 5] = x;
    numbers[at + 6] = y;
  }
  /** A part of an ellipse; its angles are in degrees. */
  arc(x, y, rx, ry, start, sweep) {
    const at = this.room(8);
    const { numbers } = this;
    numbers[at] = arc;
    numbers[at + 1] = x;
    numbers[at + 2] = y;
    numbers[at + 3] = rx;
    numbers[at + 4] = ry;
    numbers[at + 5] = 0;
    numbers[at + 6] = start;
    numbers[at + 7] = sweep;
  }
  close() {
    const at = this.room(1);
    this.numbers[at] = close;
  }
  /** A whole ellipse. */
  ellipse(x, y, rx, ry) {
    this.arc(x, y, rx, ry, 0, 360);
    this.close();
  }
  /** An upright rectangle, clockwise from its top left. */
  rect(x, y, width, height) {
    const [right, bottom] = [x + width, y + height];
    this.move(x, y);
    this.line(right, y);
    this.line(right, bottom);
    this.line(x, bottom);
    this.close();
  }
  /** Straight lines through all points. */
  polyline(points2, closed) {
    for (let i = 0; i < points2.length; i++)
      this.point(i === 0 ? move : line, xOf(points2[i]), yOf(points2[i]));
    if (closed)
      this.close();
  }
  /** Another outline, moved. */
  path(path2, dx = 0, dy = 0) {
    let to = this.room(path2.length);
    const { numbers } = this;
    for (let i = 0; i < path2.length; ) {
      const next = i + commandLength[path2[i]];
      const pointsEnd = path2[i] === arc ? i + 3 : next;
      numbers[to++] = path2[i++];
      for (; i < pointsEnd; i += 2) {
        numbers[to++] = path2[i] + dx;
        numbers[to++] = path2[i + 1] + dy;
      }
      while (i < next)
        numbers[to++] = path2[i++];
    }
  }
  point(command, x, y) {
    const at = this.room(3);
    this.numbers[at] = command;
    this.numbers[at + 1] = x;
    this.numbers[at + 2] = y;
  }
  /** Makes room for so many numbers more, and gives the place of the first. */
  room(count2) {
    const at = this.length;
    this.length = at + count2;
    if (this.length > this.numbers.length) {
      const grown = new Float64Array(Math.max(this.length, this.numbers.length * 2));
      grown.set(this.numbers);
      this.numbers = grown;
    }
    return at;
  }
};

// packages/frame-juggler/dist/frame/painter-order.js
function sortLayers(items, { group: groupOf, layer: layerOf }, groups) {
  const root = [];
  const contents = /* @__PURE__ */ new Map();
  const entriesOf = (place) => {
    while (place !== 0 && !groups[place - 1].isolated)
      place = groups[place - 1].parent;
    if (place === 0)
      return root;
    let entries = contents.get(place);
    if (entries === void 0) {
      contents.set(place, entries = []);
      entriesOf(groups[place - 1].parent).push({ layer: groups[place - 1].layer, group: place });
    }
    return entries;
  };
  for (const item of items)
    entriesOf(groupOf[item] ?? 0).push({ layer: layerOf[item] ?? 0, item });
  const result = [];
  const emit = (entries) => {
    for (const { item, group } of entries.sort((a, b) => a.layer - b.layer)) {
      if (item !== void 0)
        result.push(item);
      else
        emit(contents.get(group));
    }
  };
  emit(root);
  return new Uint32Array(result);
}

// packages/frame-juggler/dist/frame/writer.js
var Interned = class {
  convert;
  list = [];
  places = /* @__PURE__ */ new Map();
  lastKey;
  lastPlace = 0;
  constructor(convert) {
    this.convert = convert;
  }
  placeOf(key) {
    if (key === this.lastKey)
      return this.lastPlace;
    let place = this.places.get(key);
    if (place === void 0) {
      place = this.list.push(this.convert(key));
      this.places.set(key, place);
    }
    this.lastKey = key;
    this.lastPlace = place;
    return place;
  }
};
var columnNames = Object.keys(emptyColumns());
var expected = { items: 64, numbers: 512 };
var FrameWriter = class {
  /** Where outlines are written before their items are added. */
  path = new PathWriter(expected.numbers);
  columns = emptyColumns();
  capacity = expected.items;
  count = 0;
  matrices = [];
  lastMatrix;
  names = new Interned((name2) => name2);
  pens = new Interned((pen) => pen);
  pictures = new Interned((picture) => picture);
  paints = new Interned((paint) => "picture" in paint ? { ...paint, picture: this.pictures.placeOf(paint.picture) - 1 } : paint);
  groups = [];
  sources = [];
  layered = false;
  constructor() {
    for (const name2 of alwaysKept)
      this.columns[name2] = resized(this.columns[name2], this.capacity);
  }
  /** How many items there are. */
  get size() {
    return this.count;
  }
  /** Adds an item with the outline that was written since `pathStart`. Returns its place. */
  add(shape, pathStart, transform) {
    const item = this.count++;
    if (item === this.capacity)
      this.grow();
    const { columns } = this;
    if (transform !== this.lastMatrix) {
      this.lastMatrix = transform;
      this.matrices.push(...transform);
    }
    columns.shape[item] = this.names.placeOf(shape);
    columns.pathStart[item] = pathStart;
    columns.pathEnd[item] = this.path.length;
    columns.transform[item] = this.matrices.length / 6 - 1;
    return item;
  }
  /** Gives an item a fill, and how opaque fill and stroke together are. */
  setFill(item, fill, opacity) {
    const { columns } = this;
    columns.fillKind[item] = kindOf2(fill);
    columns.fill[item] = this.paintNumber(fill);
    columns.opacity[item] = opacity;
  }
  /** Gives an item a stroke. */
  setStroke(item, paint, width, pen) {
    this.set("strokeKind", item, kindOf2(paint));
    this.set("stroke", item, this.paintNumber(paint));
    this.set("strokeWidth", item, width);
    this.set("pen", item, this.pens.placeOf(pen));
  }
  setLayer(item, layer) {
    this.set("layer", item, layer);
    this.layered = true;
  }
  /** Gives an item a text in a column of names. */
  setName(column, item, text3) {
    this.set(column, item, this.names.placeOf(text3));
  }
  setSource(item, source) {
    if (source !== void 0)
      this.set("source", item, this.sources.push(source));
  }
  /** Gives an item what few have: a column is only kept once there is something in it. */
  set(name2, item, value) {
    if (this.columns[name2].length === 0)
      this.columns[name2] = resized(this.columns[name2], this.capacity);
    this.columns[name2][item] = value;
  }
  /** Gives an item another outline: the one written since `pathStart`. */
  setOutline(item, pathStart) {
    this.columns.pathStart[item] = pathStart;
    this.columns.pathEnd[item] = this.path.length;
  }
  /** Adds a group. Returns its place, counted from 1. */
  addGroup(group) {
    if (group.layer !== 0)
      this.layered = true;
    return this.groups.push({ ...group, clip: group.clip && this.painterOrder(group.clip) });
  }
  /** The frame of the items in `order`, as they were painted. */
  finish(head, order) {
    expected.items = Math.max(64, this.count);
    expected.numbers = Math.max(512, this.path.length);
    const columns = emptyColumns();
    for (const name2 of columnNames)
      columns[name2] = upTo(this.count, this.columns[name2]);
    return {
      ...head,
      order: this.painterOrder(order),
      columns,
      path: upTo(this.path.length, this.path.numbers),
      matrices: new Float64Array(this.matrices),
      names: this.names.list,
      paints: this.paints.list,
      pens: this.pens.list,
      groups: this.groups,
      pictures: this.pictures.list,
      sources: this.sources
    };
  }
  painterOrder(order) {
    return this.layered ? sortLayers(order, this.columns, this.groups) : new Uint32Array(order);
  }
  paintNumber(paint) {
    return paint === void 0 ? 0 : typeof paint === "number" ? paint : this.paints.placeOf(paint);
  }
  grow() {
    this.capacity *= 2;
    for (const name2 of columnNames)
      if (this.columns[name2].length > 0)
        this.columns[name2] = resized(this.columns[name2], this.capacity);
  }
};
function kindOf2(paint) {
  return paint === void 0 ? noPaint : typeof paint === "number" ? colorPaint : tablePaint;
}
var alwaysKept = ["shape", "pathStart", "pathEnd", "transform", "fillKind", "fill", "opacity"];
function resized(column, length2) {
  const { constructor } = column;
  const grown = new constructor(length2);
  grown.set(column);
  return grown;
}
function upTo(count2, column) {
  return column.length <= count2 ? column : column.slice(0, count2);
}

// packages/frame-juggler/dist/geometry/space.js
function transformPlane({ matrix, lean }, by) {
  if (lean === void 0)
    return { matrix: multiply(matrix, by), lean };
  const factor = thickness(by);
  return { matrix: multiply(matrix, by), lean: [lean[0] * factor, lean[1] * factor] };
}
function tiltPlane({ matrix, lean }, aboutX, aboutY) {
  const [a, b, c, d, e, f] = matrix;
  const [nx, ny] = lean ?? [0, 0];
  const { sin: sx, cos: cx } = sinCos(aboutX);
  const { sin: sy, cos: cy } = sinCos(aboutY);
  const along = (u, v, w) => [a * u + c * v + nx * w, b * u + d * v + ny * w];
  return {
    matrix: [...along(cy, sx * sy, -cx * sy), ...along(0, cx, sx), e, f],
    lean: along(sy, -sx * cy, cx * cy)
  };
}
function thickness(matrix) {
  return Math.sqrt(Math.abs(determinant(matrix)));
}

// packages/frame-juggler/dist/shapes/grid.js
var table = {
  /** One corner of it; the canvas's first if left out. */
  from: optional(point),
  /** The corner opposite to `from`; the canvas's last if left out. */
  to: optional(point),
  /** From one line to the next, in units; a round number that suits if left out. */
  spacing: optional(lengths),
  /** Whether its axes are numbered. */
  numbers: optional(toggle, true)
};
var gridOptions = schemaOf(table, "{ spacing: 50 }");
var call2 = "grid";
var maxLines = 1e3;
function layOutGrid(options3, width, height) {
  const [x0, y0] = options3.from === void 0 ? [0, 0] : [xOf(options3.from), yOf(options3.from)];
  const [x1, y1] = options3.to === void 0 ? [width, height] : [xOf(options3.to), yOf(options3.to)];
  const [left, top, right, bottom] = [Math.min(x0, x1), Math.min(y0, y1), Math.max(x0, x1), Math.max(y0, y1)];
  const suiting = roundStep(Math.max(right - left, bottom - top) / 12);
  const [stepX, stepY] = bothOf(options3.spacing ?? suiting);
  return { columns: multiples(left, right, stepX), rows: multiples(top, bottom, stepY), left, top, right, bottom };
}
function addGridLines({ columns, rows, left, top, right, bottom }, axes, path2) {
  const ruled = (x0, y0, x1, y1) => {
    path2.move(x0, y0);
    path2.line(x1, y1);
  };
  for (const x of columns)
    if (x === 0 === axes)
      ruled(x, top, x, bottom);
  for (const y of rows)
    if (y === 0 === axes)
      ruled(left, y, right, y);
}
function gridNumbers({ columns, rows, left, top, right, bottom }) {
  const axisY = Math.min(bottom, Math.max(top, 0));
  const axisX = Math.min(right, Math.max(left, 0));
  return [
    ...columns.map((x) => ({ at: [x, axisY], axis: "x", text: shortNumber(x) })),
    ...rows.filter((y) => y !== 0).map((y) => ({ at: [axisX, y], axis: "y", text: shortNumber(y) }))
  ];
}
function roundStep(length2) {
  const [, exponent] = (length2 || 1).toExponential().split("e");
  const power = Number(`1e${exponent}`);
  return power * ([1, 2, 5, 10].find((factor) => factor * power >= length2) ?? 10);
}
function multiples(from, to, step) {
  if (!((to - from) / step <= maxLines))
    fail({
      call: call2,
      option: "spacing",
      value: step,
      problem: `gives more than ${maxLines} lines`,
      expected: "expected a wider one"
    });
  const first = Math.ceil(from / step);
  const count2 = Math.floor(to / step) - first + 1;
  return Array.from({ length: Math.max(0, count2) }, (_, i) => (first + i) * step);
}
function shortNumber(value) {
  return String(Number(value.toPrecision(6)));
}

// packages/frame-juggler/dist/shapes/arc.js
var table2 = {
  /** Where it begins, in degrees: 0 along +x, clockwise. */
  start: degrees,
  /** Where it ends, in degrees; below `start` it runs the other way. */
  end: degrees,
  /** Joins its ends: straight (`chord`), or through the middle (`sector`); open if left out. */
  close: optional(oneOf("chord", "sector"))
};
var sizeTable = {
  /** From its middle to its edge, in units. */
  radius: length,
  /** Half the width and half the height of its ellipse, in units. */
  radii: lengths
};
var arc2 = {
  name: "arc",
  options: schemaOf({ ...pinTable, ...anchorTable, ...sizeTable, ...table2 }, "{ at: [100, 80], radius: 40, start: 0, end: 180 }", [["radius"], ["radii"]]),
  outline(given, path2, _call, surroundings) {
    const [rx, ry] = bothOf(given.radius ?? given.radii);
    const sweep = Math.max(-360, Math.min(360, given.end - given.start));
    const { x, y, pin } = placeSized(given, 2 * rx, 2 * ry, surroundings);
    const sector = given.close === "sector" && Math.abs(sweep) < 360;
    if (sector)
      path2.move(x, y);
    path2.arc(x, y, rx, ry, given.start, sweep);
    if (given.close === void 0)
      return { inside: false, pin };
    if (sector)
      path2.line(x, y);
    path2.close();
    return { inside: true, pin };
  }
};

// packages/frame-juggler/dist/shapes/circle.js
var table3 = {
  /** From its middle to its edge, in units. */
  radius: length,
  /** From edge to edge, in units. */
  diameter: length
};
var circle = {
  name: "circle",
  options: schemaOf({ ...pinTable, ...anchorTable, ...table3 }, "{ at: [100, 80], radius: 40 }", [
    ["radius"],
    ["diameter"]
  ]),
  outline(given, path2, _call, surroundings) {
    const radius = given.radius ?? given.diameter / 2;
    const { x, y, pin } = placeSized(given, 2 * radius, 2 * radius, surroundings);
    path2.ellipse(x, y, radius, radius);
    return { inside: true, pin };
  }
};

// packages/frame-juggler/dist/shapes/dot.js
var table4 = {
  /** Its diameter, in units. */
  size: optional(length, 4)
};
var options = schemaOf({ ...pinTable, ...anchorTable, ...table4 }, "{ at: [100, 80] }");
var dot = {
  name: "dot",
  options,
  outline(given, path2, _call, surroundings) {
    const size = given.size ?? options.initialOf("size");
    const { x, y, pin } = placeSized(given, size, size, surroundings);
    path2.ellipse(x, y, size / 2, size / 2);
    return { inside: true, pin };
  }
};

// packages/frame-juggler/dist/shapes/ellipse.js
var table5 = {
  ...boxTable,
  /** Half its width and half its height, in units; one number for a circle. */
  radii: lengths
};
var ellipse = {
  name: "ellipse",
  options: schemaOf({ ...table5, ...anchorTable }, "{ at: [100, 80], size: [60, 40] }", [...boxForms, ["at", "radii"]]),
  outline(given, path2, _call, surroundings) {
    const radii = given.radii === void 0 ? void 0 : bothOf(given.radii);
    const size = radii && [2 * radii[0], 2 * radii[1]];
    const { x, y, width, height, pin } = placeBox(given, surroundings, size);
    path2.ellipse(x, y, width / 2, height / 2);
    return { inside: true, pin };
  }
};

// packages/frame-juggler/dist/shapes/line.js
var table6 = {
  /** Where it begins. */
  from: point,
  /** Where it ends. */
  to: point
};
var line2 = {
  name: "line",
  options: schemaOf({ ...table6, ...anchorTable }, "{ from: [20, 20], to: [100, 80] }"),
  outline({ from, to }, path2) {
    path2.move(xOf(from), yOf(from));
    path2.line(xOf(to), yOf(to));
    return { inside: false };
  }
};

// packages/frame-juggler/dist/geometry/path-data.js
var argumentCounts = { M: 2, L: 2, H: 1, V: 1, C: 6, S: 4, Q: 4, T: 2, A: 7, Z: 0 };
var numberPattern = /[\s,]*([+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?)/iy;
var flagPattern = /[\s,]*([01])/y;
var commandPattern = /[\s,]*([a-z])/iy;
function parsePathData(call4, data) {
  const path2 = [];
  let at = 0;
  let [x, y, startX, startY] = [0, 0, 0, 0];
  let [controlX, controlY] = [0, 0];
  let previous = "";
  const bad = (expected2) => fail({
    call: call4,
    option: "data",
    value: data.slice(Math.max(0, at - 12), at + 12),
    problem: `cannot be read at character ${at + 1}`,
    expected: `expected ${expected2}`
  });
  const take = (pattern2) => {
    pattern2.lastIndex = at;
    const found = pattern2.exec(data);
    if (found)
      at = pattern2.lastIndex;
    return found?.[1];
  };
  const number = (pattern2) => {
    const value = Number(take(pattern2) ?? bad(pattern2 === flagPattern ? "0 or 1" : "a number"));
    return Number.isFinite(value) ? value : bad("a smaller number");
  };
  for (; ; ) {
    const letter = take(commandPattern);
    if (letter === void 0) {
      if (data.slice(at).trim() !== "")
        bad("a command");
      return isFinitePath(path2) ? path2 : bad("smaller numbers");
    }
    let command = letter.toUpperCase();
    const count2 = argumentCounts[command] ?? bad("a command: M L H V C S Q T A Z");
    if (path2.length === 0 && command !== "M")
      bad("M, where the outline begins");
    const relative = letter !== command;
    do {
      const values = Array.from({ length: count2 }, (_, i) => number(command === "A" && (i === 3 || i === 4) ? flagPattern : numberPattern));
      const [baseX, baseY] = relative ? [x, y] : [0, 0];
      const px = (i) => baseX + values[i];
      const py = (i) => baseY + values[i];
      const [mirrorX, mirrorY] = [2 * x - controlX, 2 * y - controlY];
      switch (command) {
        case "M":
          [x, y] = [px(0), py(1)];
          [startX, startY] = [x, y];
          path2.push(move, x, y);
          break;
        case "L":
        case "H":
        case "V":
          [x, y] = [command === "V" ? x : px(0), command === "H" ? y : py(command === "V" ? 0 : 1)];
          path2.push(line, x, y);
          break;
        case "C":
        case "S": {
          const smooth = command === "S";
          const mirrors = smooth && /[CS]/.test(previous);
          const first = smooth ? mirrors ? [mirrorX, mirrorY] : [x, y] : [px(0), py(1)];
          const shift = smooth ? 0 : 2;
          [controlX, controlY] = [px(shift), py(shift + 1)];
          [x, y] = [px(shift + 2), py(shift + 3)];
          path2.push(cubic, ...first, controlX, controlY, x, y);
          break;
        }
        case "Q":
        case "T": {
          const smooth = command === "T";
          if (!smooth)
            [controlX, controlY] = [px(0), py(1)];
          else
            [controlX, controlY] = /[QT]/.test(previous) ? [mirrorX, mirrorY] : [x, y];
          const shift = smooth ? 0 : 2;
          [x, y] = [px(shift), py(shift + 1)];
          path2.push(quad, controlX, controlY, x, y);
          break;
        }
        case "A": {
          const end = [px(5), py(6)];
          path2.push(...arcBetween(x, y, values, ...end));
          [x, y] = end;
          break;
        }
        default:
          [x, y] = [startX, startY];
          path2.push(close);
      }
      previous = command;
      if (command === "M")
        command = "L";
    } while (count2 > 0 && /^[\s,]*[+\-.\d]/.test(data.slice(at, at + 64)));
  }
}
function arcBetween(x0, y0, values, x1, y1) {
  const [radiusX, radiusY, rotation2, large, sweeps] = values;
  if (x0 === x1 && y0 === y1)
    return [];
  if (radiusX === 0 || radiusY === 0)
    return [line, x1, y1];
  const { sin, cos } = sinCos(rotation2);
  const [dx, dy] = [(x0 - x1) / 2, (y0 - y1) / 2];
  const [px, py] = [cos * dx + sin * dy, cos * dy - sin * dx];
  const reach = square(px / radiusX) + square(py / radiusY);
  const grow = Math.sqrt(Math.max(1, reach));
  const [rx, ry] = [Math.abs(radiusX) * grow, Math.abs(radiusY) * grow];
  const sign = large === sweeps ? -1 : 1;
  const over = square(rx * py) + square(ry * px);
  const factor = sign * Math.sqrt(Math.max(0, (square(rx * ry) - over) / over));
  const [ux, uy] = [factor * rx * py / ry, -factor * ry * px / rx];
  const start = atan2((py - uy) / ry, (px - ux) / rx) * 180 / Math.PI;
  const end = atan2((-py - uy) / ry, (-px - ux) / rx) * 180 / Math.PI;
  let sweep = ((end - start) % 360 + 360) % 360;
  if (sweeps === 0 && sweep > 0)
    sweep -= 360;
  return [
    arc,
    cos * ux - sin * uy + (x0 + x1) / 2,
    sin * ux + cos * uy + (y0 + y1) / 2,
    rx,
    ry,
    rotation2,
    start,
    sweep
  ];
}
var square = (x) => x * x;

// packages/frame-juggler/dist/shapes/path.js
var table7 = {
  /** Which parts of an outline that crosses itself are inside, by SVG's rules. */
  fillRule: optional(oneOf("nonzero", "evenodd"), "nonzero")
};
var sourceTable = {
  /** SVG path data: `M 10 10 h 80 v 80 z`. */
  data: kindOf("SVG path data, 'M 10 10 h 80'", (value) => typeof value === "string", "is not text"),
  /** Draws the outline with moveTo, lineTo, quadraticCurveTo, bezierCurveTo, arc, ellipse, rect, closePath. */
  build: callable("a function of a path")
};
var path = {
  name: "path",
  options: schemaOf({ ...sourceTable, ...table7, ...anchorTable }, "{ data: 'M 10 10 h 80 v 80 z' }", [
    ["data"],
    ["build"]
  ]),
  outline({ data, build, fillRule = "nonzero" }, writer, call4) {
    const outline = data === void 0 ? built(build) : parsePathData(call4, data);
    writer.path(outline);
    return { inside: isClosedPath(outline), fillRule };
  }
};
function built(build) {
  const builder = new PathBuilder();
  build(builder);
  return builder.path;
}

// packages/frame-juggler/dist/shapes/polygon.js
var table8 = {
  /** Its corners, in turn; at least three. */
  points: points(3),
  ...pinTable,
  /** From its middle to its corners, in units, where it is regular. */
  radius: length,
  /** How many sides it has, where it is regular; one corner points straight up. */
  sides: whole(3)
};
var polygon = {
  name: "polygon",
  options: schemaOf({ ...table8, ...anchorTable }, "{ points: [[20, 80], [60, 20], [100, 80]] }", [
    ["points"],
    ["at", "radius", "sides"]
  ]),
  outline(given, path2, _call, surroundings) {
    if (given.points !== void 0) {
      path2.polyline(given.points, true);
      return { inside: true };
    }
    const { x, y, pin } = placeSized(given, 2 * given.radius, 2 * given.radius, surroundings);
    path2.polyline(ringPoints(x, y, [given.radius], given.sides, surroundings), true);
    return { inside: true, pin };
  }
};
function ringPoints(x, y, radii, count2, surroundings) {
  const top = surroundings.up ? 90 : -90;
  return Array.from({ length: count2 }, (_, index) => {
    const { sin, cos } = sinCos(360 * index / count2 + top);
    const radius = radii[index % radii.length];
    return [x + radius * cos, y + radius * sin];
  });
}

// packages/frame-juggler/dist/shapes/polyline.js
var table9 = {
  /** The points it leads through, in turn; at least two. */
  points: points(2),
  /** Leads back to the first point. */
  closed: optional(toggle, false)
};
var polyline = {
  name: "polyline",
  options: schemaOf({ ...table9, ...anchorTable }, "{ points: [[20, 20], [60, 70], [100, 20]] }"),
  outline(given, path2) {
    path2.polyline(given.points, given.closed === true);
    return { inside: false };
  }
};

// packages/frame-juggler/dist/shapes/rect.js
var table10 = {
  /** The radius of its corners, in units; or four of them, from the top left, clockwise. */
  corners: optional(kindOf("a radius, or four from the top left, clockwise, 0 or more", (value) => length.allows(value) || Array.isArray(value) && value.length === 4 && value.every(length.allows), (value) => Array.isArray(value) ? "is not a list of four radii" : "is not a radius"))
};
var rect = {
  name: "rect",
  options: schemaOf({ ...boxTable, ...anchorTable, ...table10 }, "{ at: [100, 80], size: [60, 40] }", boxForms),
  outline(given, path2, _call, surroundings) {
    const placed = placeBox(given, surroundings);
    const { x, y, width, height, pin } = placed;
    if (given.corners === void 0)
      path2.rect(x - width / 2, y - height / 2, width, height);
    else
      addRounded(path2, placed, cornersFrom(given.corners, surroundings.up));
    return { inside: true, pin };
  }
};
function cornersFrom(given, up) {
  const [a, b, c, d] = typeof given === "number" ? [given, given, given, given] : given;
  return up ? [d, c, b, a] : [a, b, c, d];
}
function addRounded(path2, { x, y, width, height }, corners) {
  const [a, b, c, d] = corners;
  const sides = [
    [width, a + b],
    [height, b + c],
    [width, c + d],
    [height, d + a]
  ];
  const fit2 = Math.min(1, ...sides.map(([side, sum]) => sum > side ? side / sum : 1));
  const left = x - width / 2;
  const top = y - height / 2;
  const right = x + width / 2;
  const bottom = y + height / 2;
  const begin = path2.length;
  const corner = (cornerX, cornerY, full, inwardX, inwardY, start) => {
    const radius = full * fit2;
    if (radius > 0)
      path2.arc(cornerX + inwardX * radius, cornerY + inwardY * radius, radius, radius, start, 90);
    else if (path2.length === begin)
      path2.move(cornerX, cornerY);
    else
      path2.line(cornerX, cornerY);
  };
  corner(left, top, a, 1, 1, 180);
  corner(right, top, b, -1, 1, 270);
  corner(right, bottom, c, -1, -1, 0);
  corner(left, bottom, d, 1, -1, 90);
  path2.close();
}

// packages/frame-juggler/dist/shapes/spline.js
var table11 = {
  /** The points it leads through, in turn; at least two, or three where it is closed. */
  points: points(2),
  /** Leads back to the first point, smoothly too, and can be filled. */
  closed: optional(toggle, false),
  /** From 0 (round) to 1 (straight lines). */
  tension: optional(fraction, 0)
};
var spline = {
  name: "spline",
  options: schemaOf({ ...table11, ...anchorTable }, "{ points: [[20, 20], [60, 70], [100, 20]] }"),
  outline({ points: through, closed = false, tension = 0 }, path2, call4) {
    if (closed && through.length < 3)
      fail({
        call: call4,
        option: "points",
        value: through,
        problem: "has 2 points",
        expected: "expected at least 3 for a closed one"
      });
    addSpline(path2, through, closed, tension);
    return { inside: closed };
  }
};
function addSpline(path2, points2, closed, tension) {
  const count2 = points2.length;
  const at = (index) => pairOf(points2[closed ? (index + count2) % count2 : Math.max(0, Math.min(count2 - 1, index))]);
  const reach = (1 - tension) / 6;
  path2.move(...at(0));
  for (let i = 0; i < (closed ? count2 : count2 - 1); i++) {
    const [before, from, to, after] = [at(i - 1), at(i), at(i + 1), at(i + 2)];
    path2.cubic(from[0] + (to[0] - before[0]) * reach, from[1] + (to[1] - before[1]) * reach, to[0] - (after[0] - from[0]) * reach, to[1] - (after[1] - from[1]) * reach, ...to);
  }
  if (closed)
    path2.close();
}

// packages/frame-juggler/dist/shapes/star.js
var table12 = {
  /** From its middle to its tips, in units. */
  radius: length,
  /** From its middle to the notches between its tips, in units; half the radius if left out. */
  innerRadius: optional(length),
  /** How many tips it has; one points straight up. */
  tips: optional(whole(2), 5)
};
var options2 = schemaOf({ ...pinTable, ...anchorTable, ...table12 }, "{ at: [100, 80], radius: 40, tips: 5 }");
var star = {
  name: "star",
  options: options2,
  outline(given, path2, _call, surroundings) {
    const { radius, innerRadius = radius / 2, tips = options2.initialOf("tips") } = given;
    const { x, y, pin } = placeSized(given, 2 * radius, 2 * radius, surroundings);
    path2.polyline(ringPoints(x, y, [radius, innerRadius], tips * 2, surroundings), true);
    return { inside: true, pin };
  }
};

// packages/frame-juggler/dist/shapes/triangle.js
var table13 = {
  /** Its corners: exactly three. */
  points: points(3, 3)
};
var triangle = {
  name: "triangle",
  options: schemaOf({ ...table13, ...anchorTable }, "{ points: [[20, 80], [60, 20], [100, 80]] }"),
  outline(given, path2) {
    path2.polyline(given.points, true);
    return { inside: true };
  }
};

// packages/frame-juggler/dist/shapes/index.js
var shapes = {
  /** Draws a round mark, 4 units wide by default. */
  dot,
  /** Draws a straight line. */
  line: line2,
  /** Draws straight lines through `points`; `closed` leads back to the first. */
  polyline,
  /** Draws an area between `points`, or a regular polygon of so many `sides` in a `radius` about `at`. */
  polygon,
  /** Draws the area between exactly three `points`. */
  triangle,
  /** Draws a star: `at`, `radius`, and as wanted `innerRadius` and `tips`. */
  star,
  /** Draws a rectangle: `at` and `size`, or the corners `from` and `to`. */
  rect,
  /** Draws a circle: `at`, and `radius` or `diameter`. */
  circle,
  /** Draws an ellipse: `at` and `size` or `radii`, or the corners `from` and `to`. */
  ellipse,
  /** Draws part of an ellipse's edge, from the angle `start` to `end`; `close` makes it an area. */
  arc: arc2,
  /** Draws a smooth line through `points`; `closed` leads back to the first. */
  spline,
  /** Draws any outline: SVG path `data`, or what `build` draws. */
  path
};

// packages/frame-juggler/dist/shapes/picture.js
var cropTable = {
  /** One corner of the part, in the picture's pixels. */
  from: point,
  /** The corner opposite to `from`. */
  to: point
};
var cropOptions = schemaOf(cropTable, "{ from: [0, 0], to: [32, 32] }");
var table14 = {
  /** The part of the picture to show, in its whole pixels. */
  crop: optional(convertedLater("{ from, to } in pixels")),
  /** Whether it is scaled smoothly (true) or in crisp pixels. */
  smooth: optional(toggle, true)
};
var pictureOptions = schemaOf({ ...boxTable, ...table14, ...anchorTable }, "{ at: [100, 80] } behind the picture", [
  ["at", "size?"],
  ["from", "to"]
]);
var call3 = "picture";
function addPicture(picture, options3, path2, surroundings) {
  const crop = options3.crop === void 0 ? { x: 0, y: 0, width: picture.width, height: picture.height } : readCrop(picture, options3.crop);
  const { x, y, width, height, pin } = placeBox(options3, surroundings, [crop.width, crop.height]);
  const left = x - width / 2;
  const top = y - height / 2;
  path2.rect(left, top, width, height);
  const scale = scaling(width / crop.width, (surroundings.up ? -height : height) / crop.height);
  const transform = multiply(translation(left, surroundings.up ? top + height : top), scale);
  return {
    outline: { inside: true, pin },
    fill: { type: "picture", picture, crop, transform, smooth: options3.smooth ?? true }
  };
}
function readCrop(picture, crop) {
  cropOptions.check(`${call3} crop`, crop);
  const [x0, y0, x1, y1] = [xOf(crop.from), yOf(crop.from), xOf(crop.to), yOf(crop.to)];
  const box = { x: Math.min(x0, x1), y: Math.min(y0, y1), width: Math.abs(x1 - x0), height: Math.abs(y1 - y0) };
  const { width, height } = picture;
  const whole2 = Object.values(box).every(Number.isInteger) && box.width > 0 && box.height > 0;
  if (!whole2 || box.x < 0 || box.y < 0 || box.x + box.width > width || box.y + box.height > height)
    fail({
      call: call3,
      option: "crop",
      value: crop,
      problem: "is not a part of the picture",
      expected: `expected two opposite corners, in whole pixels, within ${width} \xD7 ${height}`
    });
  return box;
}

// packages/frame-juggler/dist/text/options.js
var anchor = anchorKind("baseline-left", "baseline", "baseline-right");
var table15 = {
  /** Which point of its box is its pin: a name, also on the first baseline, or fractions of its width and height. */
  anchor: optional(anchor, "center"),
  /** Lines longer than this, in units, are broken: between words where they can be. */
  maxWidth: optional(length)
};
var textTable = { ...pinTable, ...table15, ...textStyleTable };
var textOptions = schemaOf(textTable, "{ at: [100, 80], size: 20 } behind the text");
var measureOptions = schemaOf({ ...table15, ...textStyleTable }, "{ size: 20 } behind the text");
function readString(call4, string) {
  if (typeof string === "string" || typeof string === "number")
    return String(string);
  return fail({
    call: call4,
    option: "string",
    value: string,
    problem: "is not text",
    expected: "expected text or a number first, then options"
  });
}

// packages/frame-juggler/dist/paint/paint.js
function readPaint(call4, option, value) {
  if (value === "none")
    return void 0;
  if (typeof value === "string" || value instanceof Color)
    return readPacked(call4, option, value);
  if (isGradient(value) || isPattern(value))
    return value;
  if (typeof value === "object" && value !== null && "stops" in value)
    unmade(call4, option, value);
  return readPacked(call4, option, value);
}
function unmade(call4, option, value) {
  const makers = ["linearGradient", "radialGradient", "conicGradient"];
  const type = "type" in value ? String(value.type) : "";
  return fail({
    call: call4,
    option,
    problem: "is a plain object",
    expected: `make gradients with ${nearest(`${type}Gradient`, makers) ?? makers.join(", ")}({ \u2026 })`
  });
}

// packages/frame-juggler/dist/canvas/style.js
var strokeTable = {
  /** Its color, gradient or pattern; `'none'`, or `'auto'`. */
  color: optional(convertedLater("a color")),
  /** How wide it is, in units. */
  width: optional(length),
  /** How open lines end. */
  cap: optional(oneOf("butt", "round", "square")),
  /** How corners look. */
  join: optional(oneOf("miter", "round", "bevel")),
  /** Miters longer than this many widths become bevels; 1 or more. */
  miterLimit: optional(kindOf("a number, 1 or more", (value) => typeof value === "number" && value >= 1 && value < Infinity, (value) => typeof value === "number" ? "is too small" : "is not a number")),
  /** Lengths of dashes and gaps in turn, in units; an empty list is a solid line. */
  dash: optional(listOf(length, "lengths, [dash, gap, \u2026]")),
  /** How far into the dash pattern a line begins, in units. */
  dashOffset: optional(finite)
};
var strokeOptions = schemaOf(strokeTable, "{ color: 'white', width: 2 }");
var styleTable = {
  /** What its inside is painted with: a color, a gradient, a pattern or `'none'`. */
  fill: optional(convertedLater("a color")),
  /** What its outline is drawn in: a color, `'none'`, `'auto'`, or `{ color, width, cap, join, dash, … }`. */
  stroke: optional(convertedLater("a color")),
  /** From 0 (not there) to 1, for fill and stroke together as one picture. */
  opacity: optional(fraction),
  /** How its colors mix with what lies under them, by the W3C's names. */
  blend: optional(blendMode)
};
var black = pack(0, 0, 0, 255);
var initialStyle = {
  fill: black,
  stroke: {
    from: "auto",
    paint: black,
    width: 1,
    pen: { cap: "butt", join: "miter", miterLimit: 4, dash: [], dashOffset: 0 },
    wanted: false
  },
  opacity: 1,
  blend: "normal"
};
function plainStyle(color, width) {
  const stroke = width === void 0 ? { ...initialStyle.stroke, from: "none" } : { ...initialStyle.stroke, from: "paint", paint: color, width };
  return { ...initialStyle, fill: color, stroke };
}
function restyle(call4, style, options3) {
  const { fill, stroke, opacity, blend } = options3;
  if (fill === void 0 && stroke === void 0 && opacity === void 0 && blend === void 0)
    return style;
  return {
    fill: fill === void 0 ? style.fill : readPaint(call4, "fill", fill),
    stroke: stroke === void 0 ? style.stroke : restroke(call4, style.stroke, stroke),
    opacity: opacity ?? style.opacity,
    blend: blend ?? style.blend
  };
}
function restyleGroup(call4, style, { opacity: _, blend: __, ...options3 }) {
  return restyle(call4, style, options3);
}
function restroke(call4, style, given) {
  if (!isStrokeOptions(given))
    return withStrokeColor(call4, "stroke", style, given);
  strokeOptions.check(`${call4} stroke`, given);
  const colored = given.color === void 0 ? style : withStrokeColor(call4, "stroke color", style, given.color);
  const { width, cap, join, miterLimit, dash, dashOffset } = given;
  const { pen } = style;
  const samePen = cap === void 0 && join === void 0 && miterLimit === void 0 && dash === void 0 && dashOffset === void 0;
  return {
    from: colored.from,
    paint: colored.paint,
    width: width ?? style.width,
    pen: samePen ? pen : {
      cap: cap ?? pen.cap,
      join: join ?? pen.join,
      miterLimit: miterLimit ?? pen.miterLimit,
      dash: dash === void 0 ? pen.dash : dash.some((part) => part > 0) ? [...dash] : [],
      dashOffset: dashOffset ?? pen.dashOffset
    },
    // Caps and joins only say how lines look; a width or dashes mean that one is wanted.
    wanted: style.wanted || width !== void 0 || dash !== void 0
  };
}
function isStrokeOptions(given) {
  if (typeof given !== "object" || given === null)
    return false;
  const prototype = Object.getPrototypeOf(given);
  return (prototype === Object.prototype || prototype === null) && !("type" in given);
}
function withStrokeColor(call4, option, style, given) {
  if (given === "auto")
    return { ...style, from: "auto", wanted: false };
  const paint = readPaint(call4, option, given);
  return paint === void 0 ? { ...style, from: "none" } : { ...style, from: "paint", paint };
}
function strokePaint(stroke, fill, inside) {
  if (stroke.from === "paint")
    return stroke.paint;
  if (stroke.from === "none")
    return void 0;
  if (!inside)
    return fill ?? black;
  return fill === void 0 || stroke.wanted ? black : void 0;
}
function writeLook(writer, item, look, inside, picture) {
  const fill = picture ?? look.fill;
  writer.setFill(item, inside ? fill : void 0, look.opacity);
  const stroke = strokePaint(look.stroke, fill, inside);
  if (stroke !== void 0)
    writer.setStroke(item, stroke, look.stroke.width, look.stroke.pen);
  if (look.blend !== "normal")
    writer.set("blend", item, blendModes.indexOf(look.blend));
}

// packages/frame-juggler/dist/canvas/shape-options.js
var ownTable = {
  /** A turn about its pin, in degrees, clockwise. */
  rotate: optional(degrees),
  /** A growth about its pin: a factor, or one for each axis. */
  scale: optional(factors),
  /** A name, for `explain`, for hits and for people. */
  label: optional(name),
  /** Lifts it over what is painted later; below 0 it sinks. */
  layer: optional(finite)
};
var shapeTable = { ...styleTable, ...ownTable };
var schemas = /* @__PURE__ */ new WeakMap();
function withShapeOptions(own) {
  let schema = schemas.get(own);
  if (schema === void 0)
    schemas.set(own, schema = own.with(shapeTable));
  return schema;
}
function ownTransform({ rotate, scale, anchor: anchor2 }, { pin }, path2, start, surroundings) {
  if (rotate === void 0 && scale === void 0)
    return void 0;
  let own = rotate === void 0 ? identity : rotation(rotate);
  if (scale !== void 0)
    own = multiply(own, scaling(...bothOf(scale)));
  return aboutPoint(own, ...pin ?? boxPin(anchor2, path2, start, surroundings));
}
function boxPin(anchor2, path2, start, surroundings) {
  const { left, top, right, bottom } = pathBox(path2.numbers, identity, start, path2.length);
  const [ax, ay] = anchorFraction(anchor2, surroundings);
  return [left + ax * (right - left), top + ay * (bottom - top)];
}
function readOwnShape(value, isOwn) {
  if (isOwn(value))
    return value;
  return fail({
    call: "shape",
    option: "kind",
    value,
    problem: "is not a kind of shape",
    expected: "expected what defineShape gives"
  });
}

// packages/frame-juggler/dist/canvas/canvas.js
var aboutTable = {
  /** The point that a turn, growth, skew or lean leaves in place; the origin if left out. */
  about: optional(point)
};
var aboutOptions = schemaOf(aboutTable, "{ about: [x, y] }");
var textKeyTable = {
  /** How text is set: size, font, weight, align, lineHeight. */
  text: optional(convertedLater("{ size, font, weight, align, lineHeight }"))
};
var canvasStyleOptions = schemaOf({ ...styleTable, ...textKeyTable }, "{ fill: 'teal', stroke: { color: 'white', width: 2 } }");
var groupTable = {
  /** Moves the origin, in units. */
  translate: optional(point),
  /** Turns, in degrees, clockwise. */
  rotate: optional(degrees),
  /** Leans the plane out of the screen about its x and its y axis, in degrees. */
  tilt: optional(pair),
  /** Leans the x axis and the y axis, in degrees. */
  skew: optional(pair),
  /** Grows by a factor, or one for each axis. */
  scale: optional(factors),
  /** Draws the region to keep: what lies outside it is cut away. */
  clip: optional(callable("a function of the region")),
  /** A name, for `explain`, for hits and for people. */
  label: optional(name),
  /** Lifts all of it over what is painted later; below 0 it sinks. */
  layer: optional(finite)
};
var groupOptions = schemaOf({ ...styleTable, ...textKeyTable, ...aboutTable, ...groupTable }, "{ translate: [100, 80], rotate: 30 } and a function");
var body = callable("a function: () => { \u2026 }");
var matrixKind = kindOf("[a, b, c, d, e, f] with finite numbers", (value) => Array.isArray(value) && value.length === 6 && value.every(Number.isFinite), (value) => Array.isArray(value) && value.length === 6 ? "holds what is not a finite number" : "is not a list of six");
var gridColors = { lines: pack(128, 128, 128, 110), axes: pack(128, 128, 128, 230) };
var Canvas = class _Canvas {
  setup;
  recording;
  plane = { matrix: identity, lean: void 0 };
  styleInForce = initialStyle;
  textInForce = initialTextStyle;
  /** The place of the group at hand in the frame; 0 for none. */
  groupInForce = 0;
  layerInForce = 0;
  stack = [];
  /** How many of the saved states were there before the group at hand: it may not restore those. */
  savedBefore = 0;
  /** The items painted here, in turn. */
  order = [];
  background;
  carry;
  surroundings;
  constructor(setup, recording = { writer: new FrameWriter(), texts: [], needs: /* @__PURE__ */ new Set() }) {
    this.setup = setup;
    this.recording = recording;
    const { view } = setup;
    this.surroundings = {
      width: view?.width ?? setup.width,
      height: view?.height ?? setup.height,
      up: view?.up ?? false
    };
    this.background = setup.background;
    this.carry = setup.carry;
  }
  /** The canvas's width, in the sketch's units. */
  get width() {
    return this.surroundings.width;
  }
  /** The canvas's height, in the sketch's units. */
  get height() {
    return this.surroundings.height;
  }
  // Shapes: those of the library stand in shapes/index.ts
  /** Draws a shape of the sketch's own, made with `defineShape`. */
  shape(kind, options3) {
    this.draw(readOwnShape(kind, isOwnShape), options3);
  }
  /** Draws text, its middle on `at` unless an anchor says otherwise. */
  text(string, options3) {
    const call4 = "text";
    const written = readString(call4, string);
    withShapeOptions(textOptions).check(call4, options3);
    this.putText(call4, written, options3, restyleText(this.textInForce, options3));
  }
  /** Draws a picture, its middle on `at` unless an anchor says otherwise. */
  picture(picture, options3) {
    const call4 = "picture";
    readPicture(call4, picture);
    withShapeOptions(pictureOptions).check(call4, options3);
    const look = this.lookOf(call4, options3);
    const { path: path2 } = this.recording.writer;
    const start = path2.length;
    const { outline, fill } = addPicture(picture, options3, path2, this.surroundings);
    this.put(call4, outline, start, options3, look, fill);
  }
  /**
   * Rules a grid with numbered axes in the transform in force, to see where that has gone. Its lines and numbers keep
   * their size whatever the scale.
   */
  grid(options3 = {}) {
    const call4 = "grid";
    withShapeOptions(gridOptions).check(call4, options3);
    const layout = layOutGrid(options3, this.surroundings.width, this.surroundings.height);
    const unit = 1 / (largestScale(this.plane.matrix) * (largestScale(this.setup.view?.matrix ?? identity) || 1) || 1);
    const { from: _from, to: _to, spacing: _spacing, numbers, ...given } = options3;
    const styleBefore = this.styleInForce;
    const { path: path2 } = this.recording.writer;
    try {
      for (const axes of [false, true]) {
        this.styleInForce = plainStyle(axes ? gridColors.axes : gridColors.lines, unit);
        const start = path2.length;
        addGridLines(layout, axes, path2);
        if (path2.length > start)
          this.put(call4, { inside: false }, start, given, this.lookOf(call4, given));
      }
      if (numbers === false)
        return;
      this.styleInForce = plainStyle(gridColors.axes, void 0);
      for (const { at, axis, text: text3 } of gridNumbers(layout)) {
        const [dx, dy] = axis === "x" ? [3, this.surroundings.up ? -3 : 3] : [4, 0];
        this.putText(call4, text3, {
          ...given,
          stroke: "none",
          at: [at[0] + dx * unit, at[1] + dy * unit],
          anchor: axis === "x" ? "top-left" : "left"
        }, { ...initialTextStyle, size: 11 * unit });
      }
    } finally {
      this.styleInForce = styleBefore;
    }
  }
  /**
   * Wipes the whole canvas to a color, whatever the transform: all that the frame held before is gone, and so are the
   * trails of earlier frames.
   */
  clear(color) {
    this.background = readColor("clear", "color", color).packed;
    this.carry = 0;
    this.order = [];
  }
  // Style
  /** Sets fill, stroke, opacity, blend and the way text is set for all that follows, until the frame or the group ends. */
  style(options3) {
    canvasStyleOptions.check("style", options3);
    this.styleInForce = restyle("style", this.styleInForce, options3);
    this.restyleText("style", options3.text);
  }
  // Transform
  /** Moves the origin. */
  translate(by) {
    point.read("translate", "by", by);
    this.add(translation(xOf(by), yOf(by)));
  }
  /** Turns by degrees, clockwise, about the origin or the point `about`. */
  rotate(angle, options3) {
    this.addAbout("rotate", rotation(degrees.read("rotate", "angle", angle)), options3);
  }
  /** Grows by a factor, or one for each axis, about the origin or the point `about`. */
  scale(factor, options3) {
    this.addAbout("scale", scaling(...bothOf(factors.read("scale", "factor", factor))), options3);
  }
  /** Leans the x axis and the y axis by angles in degrees, as CSS `skew()`, about the origin or the point `about`. */
  skew(angles, options3) {
    this.addAbout("skew", skewing(...pair.read("skew", "angles", angles)), options3);
  }
  /**
   * Leans the plane out of the screen about its x and its y axis, in degrees, seen straight on. Leans and turns add up
   * in space: two leans of 60° are one of 120°.
   */
  tilt(angles, options3) {
    pair.read("tilt", "angles", angles);
    const about = readAbout("tilt", options3);
    if (about !== void 0)
      this.add(translation(xOf(about), yOf(about)));
    this.plane = tiltPlane(this.plane, ...angles);
    if (about !== void 0)
      this.add(translation(-xOf(about), -yOf(about)));
  }
  /** Adds any affine transform, `[a, b, c, d, e, f]` in the order of SVG's `matrix()`. */
  transform(matrix) {
    this.add(matrixKind.read("transform", "matrix", matrix));
  }
  /** Takes back every transform, so that units are the sketch's own again. */
  resetTransform() {
    this.plane = { matrix: identity, lean: void 0 };
  }
  /** The transform in force, from the units in force to the sketch's. */
  get matrix() {
    return this.plane.matrix;
  }
  /** Where a point of the units in force lies on the canvas. */
  toCanvas(at) {
    point.read("toCanvas", "at", at);
    const [x, y] = apply(this.plane.matrix, xOf(at), yOf(at));
    return { x, y };
  }
  /** Where a point of the canvas lies in the units in force; NaN where a transform has squashed the plane flat. */
  toLocal(at) {
    point.read("toLocal", "at", at);
    const back = inverse(this.plane.matrix);
    const [x, y] = back === void 0 ? [NaN, NaN] : apply(back, xOf(at), yOf(at));
    return { x, y };
  }
  // State
  /** Keeps the transform and the style, until `restore`. */
  save() {
    this.stack.push(this.state());
  }
  /** Brings back what the last `save` kept. One too many is an error. */
  restore() {
    if (this.stack.length <= this.savedBefore)
      fail({
        call: "restore",
        problem: this.savedBefore === 0 ? "there is no save left to restore" : "there is no save left in this group",
        expected: "each restore needs a save before it"
      });
    this.setState(this.stack.pop());
  }
  /**
   * Paints `body` with transforms and a style of its own; both are as before afterwards, whatever `body` does or
   * throws. A label names the group. Its opacity, blend and clip work on all of it as one picture.
   */
  group(options3, paint) {
    groupOptions.check("group", options3);
    body.read("group", "body", paint);
    const before = this.state();
    const { savedBefore } = this;
    this.savedBefore = this.stack.length;
    try {
      this.enter(options3);
      paint();
    } finally {
      this.stack.length = Math.min(this.stack.length, this.savedBefore);
      this.savedBefore = savedBefore;
      this.setState(before);
    }
  }
  /** Loads the fonts of texts that are to be set, where they are not there yet. @internal */
  async ready() {
    if (this.recording.texts.length > 0)
      await loadLettering(this.recording.needs);
  }
  /** How many items have been recorded, those of clips among them. @internal */
  get recorded() {
    return this.recording.writer.size;
  }
  /** How text would be set that is drawn now. @internal */
  get textStyle() {
    return this.textInForce;
  }
  /** The frame as painted so far. @throws SketchError where a text's font is not loaded; see {@link ready} @internal */
  finish() {
    const lacking = this.setTexts();
    const { width, height, density, view } = this.setup;
    const { background, carry } = this;
    const openSaves = this.stack.length;
    const head = { width, height, density, view: view?.matrix ?? identity, background, carry, openSaves, lacking };
    return this.recording.writer.finish(head, this.order);
  }
  /** Sets the texts; gives the characters that their fonts lack. */
  setTexts() {
    const { writer, texts, needs } = this.recording;
    if (texts.length === 0)
      return [];
    const { layOut, means } = lettering(needs);
    const lacking = /* @__PURE__ */ new Set();
    for (const { item, setting } of texts) {
      const start = writer.path.length;
      const block = layOut(setting, means);
      writer.path.path(block.path);
      writer.setOutline(item, start);
      if (block.simple)
        writer.set("simple", item, 1);
      for (const character of block.lacking)
        lacking.add(character);
    }
    texts.length = 0;
    return [...lacking];
  }
  enter(options3) {
    const call4 = "group";
    const { translate, rotate, tilt, skew, scale, about, clip, label, opacity = 1, blend = "normal" } = options3;
    if (translate !== void 0)
      this.add(translation(xOf(translate), yOf(translate)));
    if (tilt !== void 0 && about !== void 0)
      this.add(translation(xOf(about), yOf(about)));
    if (tilt !== void 0) {
      if (rotate !== void 0)
        this.add(rotation(rotate));
      this.plane = tiltPlane(this.plane, ...tilt);
    }
    const within = [];
    if (rotate !== void 0 && tilt === void 0)
      within.push(rotation(rotate));
    if (skew !== void 0)
      within.push(skewing(...skew));
    if (scale !== void 0)
      within.push(scaling(...bothOf(scale)));
    if (within.length > 0) {
      const own = within.reduce(multiply);
      this.add(about === void 0 || tilt !== void 0 ? own : aboutPoint(own, xOf(about), yOf(about)));
    }
    if (tilt !== void 0 && about !== void 0)
      this.add(translation(-xOf(about), -yOf(about)));
    const layer = options3.layer ?? this.layerInForce;
    const isolated = opacity < 1 || blend !== "normal" || clip !== void 0;
    if (isolated || label !== void 0) {
      const group = { label, parent: this.groupInForce, isolated, opacity, blend, layer };
      this.groupInForce = this.recording.writer.addGroup({ ...group, clip: clip && this.region(clip) });
    }
    this.layerInForce = isolated ? 0 : layer;
    this.styleInForce = restyleGroup(call4, this.styleInForce, options3);
    this.restyleText(call4, options3.text);
  }
  restyleText(call4, text3) {
    if (text3 === void 0)
      return;
    textStyleOptions.check(`${call4} text`, text3);
    this.textInForce = restyleText(this.textInForce, text3);
  }
  /** What a clip function draws: with the transform in force, and a style as at the beginning of a frame. */
  region(clip) {
    const region = new _Canvas(this.setup, this.recording);
    region.plane = this.plane;
    clip(region);
    return region.order;
  }
  add(matrix) {
    this.plane = transformPlane(this.plane, matrix);
  }
  addAbout(call4, matrix, options3) {
    const about = readAbout(call4, options3);
    this.add(about === void 0 ? matrix : aboutPoint(matrix, xOf(about), yOf(about)));
  }
  state() {
    return {
      plane: this.plane,
      style: this.styleInForce,
      text: this.textInForce,
      group: this.groupInForce,
      layer: this.layerInForce
    };
  }
  setState(state) {
    this.plane = state.plane;
    this.styleInForce = state.style;
    this.textInForce = state.text;
    this.groupInForce = state.group;
    this.layerInForce = state.layer;
  }
  draw(kind, options3) {
    const { name: call4 } = kind;
    withShapeOptions(kind.options).check(call4, options3);
    const look = this.lookOf(call4, options3);
    const { path: path2 } = this.recording.writer;
    const start = path2.length;
    this.put(call4, kind.outline(options3, path2, call4, this.surroundings), start, options3, look);
  }
  /** Notes a text: its outline comes once its font is there. */
  putText(call4, string, options3, style) {
    const { writer, texts, needs } = this.recording;
    const { at, anchor: anchor2, maxWidth } = options3;
    const pin = [xOf(at), yOf(at)];
    const { anchor: _anchor, ...given } = options3;
    const item = this.put(call4, { inside: true, pin }, writer.path.length, given, this.lookOf(call4, options3));
    writer.setName("text", item, string);
    texts.push({ item, setting: { string, pin, style, anchor: anchor2, maxWidth, up: this.surroundings.up } });
    for (const need of needsOf(string, style, maxWidth))
      needs.add(need);
  }
  /** The style in force with a shape's own. */
  lookOf(call4, options3) {
    return restyle(call4, this.styleInForce, options3);
  }
  /** Adds an item: an outline with the transform in force, the shape's own, and its look. Returns its place. */
  put(call4, outline, start, options3, look, picture) {
    const { writer } = this.recording;
    const { label, layer = this.layerInForce } = options3;
    const own = ownTransform(options3, outline, writer.path, start, this.surroundings);
    const { matrix } = this.plane;
    const transform = own === void 0 ? matrix : multiply(matrix, own);
    const item = writer.add(call4, start, transform);
    writeLook(writer, item, look, outline.inside, picture);
    if (outline.fillRule === "evenodd")
      writer.set("evenOdd", item, 1);
    if (this.groupInForce !== 0)
      writer.set("group", item, this.groupInForce);
    if (layer !== 0)
      writer.setLayer(item, layer);
    if (label !== void 0)
      writer.setName("label", item, label);
    if (this.setup.trace === true)
      writer.setSource(item, sketchLine());
    this.order.push(item);
    return item;
  }
};
function readAbout(call4, options3) {
  if (options3 !== void 0)
    aboutOptions.check(call4, options3);
  return options3?.about;
}
for (const [name2, kind] of Object.entries(shapes))
  Object.defineProperty(Canvas.prototype, name2, {
    value(options3) {
      this["draw"](kind, options3);
    },
    writable: true,
    configurable: true
  });
var members = Object.getOwnPropertyNames(Canvas.prototype);
var isCall = (member) => typeof Object.getOwnPropertyDescriptor(Canvas.prototype, member)?.value === "function";
var canvasCalls = [
  ...Object.keys(shapes),
  ...members.slice(1, members.indexOf("ready")).filter(isCall)
];

// node_modules/pure-rand/lib/esm/distribution/uniformFloat64.js
var scale26 = 14901161193847656e-24;
var scale53 = 11102230246251565e-32;
var mask1 = 67108863;
var mask2 = 134217727;
function uniformFloat64(rng) {
  const value1 = rng.next() & mask1;
  const value2 = rng.next() & mask2;
  return value1 * scale26 + value2 * scale53;
}

// node_modules/pure-rand/lib/esm/generator/xoroshiro128plus.js
var jumps = [
  3639956645,
  3750757012,
  1261568508,
  386426335
];
var XoroShiro128Plus = class XoroShiro128Plus2 {
  constructor(s01, s00, s11, s10) {
    this.s01 = s01;
    this.s00 = s00;
    this.s11 = s11;
    this.s10 = s10;
  }
  clone() {
    return new XoroShiro128Plus2(this.s01, this.s00, this.s11, this.s10);
  }
  next() {
    const out = this.s00 + this.s10 | 0;
    const a0 = this.s10 ^ this.s00;
    const a1 = this.s11 ^ this.s01;
    const s00 = this.s00;
    const s01 = this.s01;
    this.s00 = s00 << 24 ^ s01 >>> 8 ^ a0 ^ a0 << 16;
    this.s01 = s01 << 24 ^ s00 >>> 8 ^ a1 ^ (a1 << 16 | a0 >>> 16);
    this.s10 = a1 << 5 ^ a0 >>> 27;
    this.s11 = a0 << 5 ^ a1 >>> 27;
    return out;
  }
  jump() {
    let ns01 = 0;
    let ns00 = 0;
    let ns11 = 0;
    let ns10 = 0;
    let s01 = this.s01;
    let s00 = this.s00;
    let s11 = this.s11;
    let s10 = this.s10;
    for (let i = 0; i !== 4; ++i) {
      const ji = jumps[i];
      for (let mask = 1; mask; mask <<= 1) {
        if (ji & mask) {
          ns01 ^= s01;
          ns00 ^= s00;
          ns11 ^= s11;
          ns10 ^= s10;
        }
        const a0 = s10 ^ s00;
        const a1 = s11 ^ s01;
        const s00_ = s00;
        const s01_ = s01;
        s00 = s00_ << 24 ^ s01_ >>> 8 ^ a0 ^ a0 << 16;
        s01 = s01_ << 24 ^ s00_ >>> 8 ^ a1 ^ (a1 << 16 | a0 >>> 16);
        s10 = a1 << 5 ^ a0 >>> 27;
        s11 = a0 << 5 ^ a1 >>> 27;
      }
    }
    this.s01 = ns01;
    this.s00 = ns00;
    this.s11 = ns11;
    this.s10 = ns10;
  }
  getState() {
    return [
      this.s01,
      this.s00,
      this.s11,
      this.s10
    ];
  }
};
function xoroshiro128plus(seed) {
  return new XoroShiro128Plus(-1, ~seed, seed | 0, 0);
}

// packages/frame-juggler/dist/chance/random.js
var boxTable2 = { from: point, to: point };
var boxOptions = schemaOf(boxTable2, "[width, height], { from, to } or { at, radius }");
var circleTable = { at: point, radius: length };
var circleOptions = schemaOf(circleTable, "{ at: [100, 80], radius: 40 }");
var colorTable = {
  /** In degrees. */
  hue: optional(factors, [0, 360]),
  /** From 0 to 100. */
  saturation: optional(factors, [55, 90]),
  /** From 0 to 100. */
  lightness: optional(factors, [40, 70]),
  /** From 0 to 1. */
  alpha: optional(factors, 1)
};
var colorOptions = schemaOf(colorTable, "{ hue: [180, 220] }");
var seedKind = kindOf("a finite number or text", (value) => typeof value === "string" || Number.isFinite(value), (value) => typeof value === "number" ? "is not finite" : "is not a seed");
function readSeed(call4, seed) {
  return seedKind.read(call4, "seed", seed);
}
var anyWhole = whole(-Number.MAX_SAFE_INTEGER);
var count = whole(0);
var filledList = listOf(anything, "things to pick from", 1);
var list = listOf(anything, "things");
function seededRandom(seed) {
  const generator = xoroshiro128plus(hash(String(readSeed("seededRandom", seed))));
  for (let i = 0; i < 8; i++)
    generator.next();
  const unit = () => uniformFloat64(generator);
  const within = (range) => {
    const [lo, hi] = bothOf(range);
    return lo + (hi - lo) * unit();
  };
  return {
    between(lo, hi) {
      const from = finite.read("random.between", "lo", lo);
      return from + (finite.read("random.between", "hi", hi) - from) * unit();
    },
    int(lo, hi) {
      const from = anyWhole.read("random.int", "lo", lo);
      if (anyWhole.read("random.int", "hi", hi) < from)
        fail({
          call: "random.int",
          option: "hi",
          value: hi,
          problem: "is below lo",
          expected: `expected ${lo} or more`
        });
      return from + Math.floor(unit() * (hi - from + 1));
    },
    pick(things) {
      filledList.read("random.pick", "list", things);
      return things[Math.floor(unit() * things.length)];
    },
    likely(p) {
      return unit() < fraction.read("random.likely", "p", p);
    },
    shuffle(things) {
      list.read("random.shuffle", "list", things);
      const result = [...things];
      for (let i = result.length - 1; i > 0; i--) {
        const j = Math.floor(unit() * (i + 1));
        [result[i], result[j]] = [result[j], result[i]];
      }
      return result;
    },
    normal(mean, deviation) {
      finite.read("random.normal", "mean", mean);
      length.read("random.normal", "deviation", deviation);
      const radius = Math.sqrt(-2 * log(1 - unit()));
      return mean + deviation * (radius * sinCos(360 * unit()).cos);
    },
    point(area) {
      const call4 = "random.point";
      if (Array.isArray(area)) {
        const [width, height] = pair.read(call4, "area", area);
        return { x: width * unit(), y: height * unit() };
      }
      if (isCircle(area)) {
        circleOptions.check(call4, area);
        const reach = area.radius * Math.sqrt(unit());
        const { sin, cos } = sinCos(360 * unit());
        return { x: xOf(area.at) + reach * cos, y: yOf(area.at) + reach * sin };
      }
      boxOptions.check(call4, area);
      const { from, to } = area;
      return { x: xOf(from) + (xOf(to) - xOf(from)) * unit(), y: yOf(from) + (yOf(to) - yOf(from)) * unit() };
    },
    color(options3 = {}) {
      const { hue, saturation, lightness, alpha } = colorOptions.read("random.color", options3);
      return hsl(within(hue), within(saturation), within(lightness), within(alpha));
    },
    times(n, make) {
      return Array.from({ length: count.read("random.times", "n", n) }, (_, index) => make(index));
    },
    stream(key) {
      return seededRandom(`${seed}/${readSeed("random.stream", key)}`);
    }
  };
}
function isCircle(area) {
  return typeof area === "object" && area !== null && ("radius" in area || "at" in area);
}
function hash(text3) {
  let bits = 2166136261;
  for (let i = 0; i < text3.length; i++)
    bits = Math.imul(bits ^ text3.charCodeAt(i), 16777619);
  bits = Math.imul(bits ^ bits >>> 16, 2246822507);
  bits = Math.imul(bits ^ bits >>> 13, 3266489909);
  return bits ^ bits >>> 16 | 0;
}

// node_modules/simplex-noise/dist/esm/simplex-noise.js
var SQRT3 = /* @__PURE__ */ Math.sqrt(3);
var SQRT5 = /* @__PURE__ */ Math.sqrt(5);
var F2 = 0.5 * (SQRT3 - 1);
var G2 = (3 - SQRT3) / 6;
var F3 = 1 / 3;
var G3 = 1 / 6;
var F4 = (SQRT5 - 1) / 4;
var G4 = (5 - SQRT5) / 20;
var fastFloor = (x) => Math.floor(x) | 0;
var grad2 = /* @__PURE__ */ new Float64Array([
  1,
  1,
  -1,
  1,
  1,
  -1,
  -1,
  -1,
  1,
  0,
  -1,
  0,
  1,
  0,
  -1,
  0,
  0,
  1,
  0,
  -1,
  0,
  1,
  0,
  -1
]);
var grad3 = /* @__PURE__ */ new Float64Array([
  1,
  1,
  0,
  -1,
  1,
  0,
  1,
  -1,
  0,
  -1,
  -1,
  0,
  1,
  0,
  1,
  -1,
  0,
  1,
  1,
  0,
  -1,
  -1,
  0,
  -1,
  0,
  1,
  1,
  0,
  -1,
  1,
  0,
  1,
  -1,
  0,
  -1,
  -1
]);
var grad4 = /* @__PURE__ */ new Float64Array([
  0,
  1,
  1,
  1,
  0,
  1,
  1,
  -1,
  0,
  1,
  -1,
  1,
  0,
  1,
  -1,
  -1,
  0,
  -1,
  1,
  1,
  0,
  -1,
  1,
  -1,
  0,
  -1,
  -1,
  1,
  0,
  -1,
  -1,
  -1,
  1,
  0,
  1,
  1,
  1,
  0,
  1,
  -1,
  1,
  0,
  -1,
  1,
  1,
  0,
  -1,
  -1,
  -1,
  0,
  1,
  1,
  -1,
  0,
  1,
  -1,
  -1,
  0,
  -1,
  1,
  -1,
  0,
  -1,
  -1,
  1,
  1,
  0,
  1,
  1,
  1,
  0,
  -1,
  1,
  -1,
  0,
  1,
  1,
  -1,
  0,
  -1,
  -1,
  1,
  0,
  1,
  -1,
  1,
  0,
  -1,
  -1,
  -1,
  0,
  1,
  -1,
  -1,
  0,
  -1,
  1,
  1,
  1,
  0,
  1,
  1,
  -1,
  0,
  1,
  -1,
  1,
  0,
  1,
  -1,
  -1,
  0,
  -1,
  1,
  1,
  0,
  -1,
  1,
  -1,
  0,
  -1,
  -1,
  1,
  0,
  -1,
  -1,
  -1,
  0
]);
function createNoise2D(random = Math.random) {
  const perm = buildPermutationTable(random);
  const permGrad2x = new Float64Array(perm).map((v) => grad2[v % 12 * 2]);
  const permGrad2y = new Float64Array(perm).map((v) => grad2[v % 12 * 2 + 1]);
  return function noise2D(x, y) {
    let n0 = 0;
    let n1 = 0;
    let n2 = 0;
    const s = (x + y) * F2;
    const i = fastFloor(x + s);
    const j = fastFloor(y + s);
    const t = (i + j) * G2;
    const X0 = i - t;
    const Y0 = j - t;
    const x0 = x - X0;
    const y0 = y - Y0;
    let i1, j1;
    if (x0 > y0) {
      i1 = 1;
      j1 = 0;
    } else {
      i1 = 0;
      j1 = 1;
    }
    const x1 = x0 - i1 + G2;
    const y1 = y0 - j1 + G2;
    const x2 = x0 - 1 + 2 * G2;
    const y2 = y0 - 1 + 2 * G2;
    const ii = i & 255;
    const jj = j & 255;
    let t0 = 0.5 - x0 * x0 - y0 * y0;
    if (t0 >= 0) {
      const gi0 = ii + perm[jj];
      const g0x = permGrad2x[gi0];
      const g0y = permGrad2y[gi0];
      t0 *= t0;
      n0 = t0 * t0 * (g0x * x0 + g0y * y0);
    }
    let t1 = 0.5 - x1 * x1 - y1 * y1;
    if (t1 >= 0) {
      const gi1 = ii + i1 + perm[jj + j1];
      const g1x = permGrad2x[gi1];
      const g1y = permGrad2y[gi1];
      t1 *= t1;
      n1 = t1 * t1 * (g1x * x1 + g1y * y1);
    }
    let t2 = 0.5 - x2 * x2 - y2 * y2;
    if (t2 >= 0) {
      const gi2 = ii + 1 + perm[jj + 1];
      const g2x = permGrad2x[gi2];
      const g2y = permGrad2y[gi2];
      t2 *= t2;
      n2 = t2 * t2 * (g2x * x2 + g2y * y2);
    }
    return 70 * (n0 + n1 + n2);
  };
}
function createNoise3D(random = Math.random) {
  const perm = buildPermutationTable(random);
  const permGrad3x = new Float64Array(perm).map((v) => grad3[v % 12 * 3]);
  const permGrad3y = new Float64Array(perm).map((v) => grad3[v % 12 * 3 + 1]);
  const permGrad3z = new Float64Array(perm).map((v) => grad3[v % 12 * 3 + 2]);
  return function noise3D(x, y, z) {
    let n0, n1, n2, n3;
    const s = (x + y + z) * F3;
    const i = fastFloor(x + s);
    const j = fastFloor(y + s);
    const k = fastFloor(z + s);
    const t = (i + j + k) * G3;
    const X0 = i - t;
    const Y0 = j - t;
    const Z0 = k - t;
    const x0 = x - X0;
    const y0 = y - Y0;
    const z0 = z - Z0;
    let i1, j1, k1;
    let i2, j2, k2;
    if (x0 >= y0) {
      if (y0 >= z0) {
        i1 = 1;
        j1 = 0;
        k1 = 0;
        i2 = 1;
        j2 = 1;
        k2 = 0;
      } else if (x0 >= z0) {
        i1 = 1;
        j1 = 0;
        k1 = 0;
        i2 = 1;
        j2 = 0;
        k2 = 1;
      } else {
        i1 = 0;
        j1 = 0;
        k1 = 1;
        i2 = 1;
        j2 = 0;
        k2 = 1;
      }
    } else {
      if (y0 < z0) {
        i1 = 0;
        j1 = 0;
        k1 = 1;
        i2 = 0;
        j2 = 1;
        k2 = 1;
      } else if (x0 < z0) {
        i1 = 0;
        j1 = 1;
        k1 = 0;
        i2 = 0;
        j2 = 1;
        k2 = 1;
      } else {
        i1 = 0;
        j1 = 1;
        k1 = 0;
        i2 = 1;
        j2 = 1;
        k2 = 0;
      }
    }
    const x1 = x0 - i1 + G3;
    const y1 = y0 - j1 + G3;
    const z1 = z0 - k1 + G3;
    const x2 = x0 - i2 + 2 * G3;
    const y2 = y0 - j2 + 2 * G3;
    const z2 = z0 - k2 + 2 * G3;
    const x3 = x0 - 1 + 3 * G3;
    const y3 = y0 - 1 + 3 * G3;
    const z3 = z0 - 1 + 3 * G3;
    const ii = i & 255;
    const jj = j & 255;
    const kk = k & 255;
    let t0 = 0.6 - x0 * x0 - y0 * y0 - z0 * z0;
    if (t0 < 0)
      n0 = 0;
    else {
      const gi0 = ii + perm[jj + perm[kk]];
      t0 *= t0;
      n0 = t0 * t0 * (permGrad3x[gi0] * x0 + permGrad3y[gi0] * y0 + permGrad3z[gi0] * z0);
    }
    let t1 = 0.6 - x1 * x1 - y1 * y1 - z1 * z1;
    if (t1 < 0)
      n1 = 0;
    else {
      const gi1 = ii + i1 + perm[jj + j1 + perm[kk + k1]];
      t1 *= t1;
      n1 = t1 * t1 * (permGrad3x[gi1] * x1 + permGrad3y[gi1] * y1 + permGrad3z[gi1] * z1);
    }
    let t2 = 0.6 - x2 * x2 - y2 * y2 - z2 * z2;
    if (t2 < 0)
      n2 = 0;
    else {
      const gi2 = ii + i2 + perm[jj + j2 + perm[kk + k2]];
      t2 *= t2;
      n2 = t2 * t2 * (permGrad3x[gi2] * x2 + permGrad3y[gi2] * y2 + permGrad3z[gi2] * z2);
    }
    let t3 = 0.6 - x3 * x3 - y3 * y3 - z3 * z3;
    if (t3 < 0)
      n3 = 0;
    else {
      const gi3 = ii + 1 + perm[jj + 1 + perm[kk + 1]];
      t3 *= t3;
      n3 = t3 * t3 * (permGrad3x[gi3] * x3 + permGrad3y[gi3] * y3 + permGrad3z[gi3] * z3);
    }
    return 32 * (n0 + n1 + n2 + n3);
  };
}
function createNoise4D(random = Math.random) {
  const perm = buildPermutationTable(random);
  const permGrad4x = new Float64Array(perm).map((v) => grad4[v % 32 * 4]);
  const permGrad4y = new Float64Array(perm).map((v) => grad4[v % 32 * 4 + 1]);
  const permGrad4z = new Float64Array(perm).map((v) => grad4[v % 32 * 4 + 2]);
  const permGrad4w = new Float64Array(perm).map((v) => grad4[v % 32 * 4 + 3]);
  return function noise4D(x, y, z, w) {
    let n0, n1, n2, n3, n4;
    const s = (x + y + z + w) * F4;
    const i = fastFloor(x + s);
    const j = fastFloor(y + s);
    const k = fastFloor(z + s);
    const l = fastFloor(w + s);
    const t = (i + j + k + l) * G4;
    const X0 = i - t;
    const Y0 = j - t;
    const Z0 = k - t;
    const W0 = l - t;
    const x0 = x - X0;
    const y0 = y - Y0;
    const z0 = z - Z0;
    const w0 = w - W0;
    let rankx = 0;
    let ranky = 0;
    let rankz = 0;
    let rankw = 0;
    if (x0 > y0)
      rankx++;
    else
      ranky++;
    if (x0 > z0)
      rankx++;
    else
      rankz++;
    if (x0 > w0)
      rankx++;
    else
      rankw++;
    if (y0 > z0)
      ranky++;
    else
      rankz++;
    if (y0 > w0)
      ranky++;
    else
      rankw++;
    if (z0 > w0)
      rankz++;
    else
      rankw++;
    const i1 = rankx >= 3 ? 1 : 0;
    const j1 = ranky >= 3 ? 1 : 0;
    const k1 = rankz >= 3 ? 1 : 0;
    const l1 = rankw >= 3 ? 1 : 0;
    const i2 = rankx >= 2 ? 1 : 0;
    const j2 = ranky >= 2 ? 1 : 0;
    const k2 = rankz >= 2 ? 1 : 0;
    const l2 = rankw >= 2 ? 1 : 0;
    const i3 = rankx >= 1 ? 1 : 0;
    const j3 = ranky >= 1 ? 1 : 0;
    const k3 = rankz >= 1 ? 1 : 0;
    const l3 = rankw >= 1 ? 1 : 0;
    const x1 = x0 - i1 + G4;
    const y1 = y0 - j1 + G4;
    const z1 = z0 - k1 + G4;
    const w1 = w0 - l1 + G4;
    const x2 = x0 - i2 + 2 * G4;
    const y2 = y0 - j2 + 2 * G4;
    const z2 = z0 - k2 + 2 * G4;
    const w2 = w0 - l2 + 2 * G4;
    const x3 = x0 - i3 + 3 * G4;
    const y3 = y0 - j3 + 3 * G4;
    const z3 = z0 - k3 + 3 * G4;
    const w3 = w0 - l3 + 3 * G4;
    const x4 = x0 - 1 + 4 * G4;
    const y4 = y0 - 1 + 4 * G4;
    const z4 = z0 - 1 + 4 * G4;
    const w4 = w0 - 1 + 4 * G4;
    const ii = i & 255;
    const jj = j & 255;
    const kk = k & 255;
    const ll = l & 255;
    let t0 = 0.6 - x0 * x0 - y0 * y0 - z0 * z0 - w0 * w0;
    if (t0 < 0)
      n0 = 0;
    else {
      const gi0 = ii + perm[jj + perm[kk + perm[ll]]];
      t0 *= t0;
      n0 = t0 * t0 * (permGrad4x[gi0] * x0 + permGrad4y[gi0] * y0 + permGrad4z[gi0] * z0 + permGrad4w[gi0] * w0);
    }
    let t1 = 0.6 - x1 * x1 - y1 * y1 - z1 * z1 - w1 * w1;
    if (t1 < 0)
      n1 = 0;
    else {
      const gi1 = ii + i1 + perm[jj + j1 + perm[kk + k1 + perm[ll + l1]]];
      t1 *= t1;
      n1 = t1 * t1 * (permGrad4x[gi1] * x1 + permGrad4y[gi1] * y1 + permGrad4z[gi1] * z1 + permGrad4w[gi1] * w1);
    }
    let t2 = 0.6 - x2 * x2 - y2 * y2 - z2 * z2 - w2 * w2;
    if (t2 < 0)
      n2 = 0;
    else {
      const gi2 = ii + i2 + perm[jj + j2 + perm[kk + k2 + perm[ll + l2]]];
      t2 *= t2;
      n2 = t2 * t2 * (permGrad4x[gi2] * x2 + permGrad4y[gi2] * y2 + permGrad4z[gi2] * z2 + permGrad4w[gi2] * w2);
    }
    let t3 = 0.6 - x3 * x3 - y3 * y3 - z3 * z3 - w3 * w3;
    if (t3 < 0)
      n3 = 0;
    else {
      const gi3 = ii + i3 + perm[jj + j3 + perm[kk + k3 + perm[ll + l3]]];
      t3 *= t3;
      n3 = t3 * t3 * (permGrad4x[gi3] * x3 + permGrad4y[gi3] * y3 + permGrad4z[gi3] * z3 + permGrad4w[gi3] * w3);
    }
    let t4 = 0.6 - x4 * x4 - y4 * y4 - z4 * z4 - w4 * w4;
    if (t4 < 0)
      n4 = 0;
    else {
      const gi4 = ii + 1 + perm[jj + 1 + perm[kk + 1 + perm[ll + 1]]];
      t4 *= t4;
      n4 = t4 * t4 * (permGrad4x[gi4] * x4 + permGrad4y[gi4] * y4 + permGrad4z[gi4] * z4 + permGrad4w[gi4] * w4);
    }
    return 27 * (n0 + n1 + n2 + n3 + n4);
  };
}
function buildPermutationTable(random) {
  const tableSize = 512;
  const p = new Uint8Array(tableSize);
  for (let i = 0; i < tableSize / 2; i++) {
    p[i] = i;
  }
  for (let i = 0; i < tableSize / 2 - 1; i++) {
    const r = i + ~~(random() * (256 - i));
    const aux = p[i];
    p[i] = p[r];
    p[r] = aux;
  }
  for (let i = 256; i < tableSize; i++) {
    p[i] = p[i - 256];
  }
  return p;
}

// packages/frame-juggler/dist/chance/noise.js
function seededNoise(seed) {
  readSeed("seededNoise", seed);
  const lazily = (make) => {
    let noise2;
    return () => {
      const random = seededRandom(`${seed}/noise`);
      return noise2 ??= make(() => random.between(0, 1));
    };
  };
  const plane = lazily(createNoise2D);
  const space = lazily(createNoise3D);
  const beyond = lazily(createNoise4D);
  const noise = (x, y = 0, z) => {
    finite.read("noise", "x", x);
    finite.read("noise", "y", y);
    return z === void 0 ? plane()(x, y) : space()(x, y, finite.read("noise", "z", z));
  };
  noise.loop = (turn, x = 0, y = 0, reach = 1) => {
    const { sin, cos } = sinCos(finite.read("noise.loop", "turn", turn) * 360);
    const radius = finite.read("noise.loop", "reach", reach) / 2;
    const place = [finite.read("noise.loop", "x", x), finite.read("noise.loop", "y", y)];
    return beyond()(...place, radius * cos, radius * sin);
  };
  noise.stream = (key) => seededNoise(`${seed}/${key}`);
  return noise;
}

// packages/frame-juggler/dist/sketch/run.js
var runTable = {
  /** The seed of `random` and `noise`; the sketch's own if left out. */
  seed: optional(whole(0)),
  /** The canvas's width, in pixels of density 1; the sketch's own if left out. */
  width: optional(whole(1)),
  /** The canvas's height, in pixels of density 1; the sketch's own if left out. */
  height: optional(whole(1)),
  /** Pixels of the rendering to one unit; the sketch's own if left out. */
  density: optional(positive),
  /** How files are read; only needed where a sketch has assets. */
  host: optional(kindOf("a host: { read(url) { \u2026 } }", isHost, "is not a host")),
  /** Called as assets are loaded. */
  onLoad: optional(callable()),
  /** Values of dials by name, in place of their first ones. */
  dials: optional(kindOf("values by name: { swell: 20 }", (value) => typeof value === "object" && value !== null, "is not an object")),
  /** Where pointer and keys come from. */
  input: optional(callable()),
  /** Calls the sketch's functions, for a host that limits how long one may take. */
  limit: optional(callable()),
  /** Called between the frames of a long way; the run waits for it, and ends with what it throws. */
  between: optional(callable())
};
var runOptions = schemaOf(runTable, "{ seed: 7 }");
function isHost(value) {
  return typeof value?.read === "function";
}
var noHost = { read: () => Promise.reject(new Error("this host reads no files")) };
var sketchKind = kindOf("what defineSketch gives", isSketch, "is not a sketch");
var frameNumber = whole(0);
var Run = class {
  sketch;
  seed;
  width;
  height;
  /** Pixels of the rendering to one unit; may be changed between frames. */
  density;
  /** How the sketch's units lie on the canvas. */
  view;
  options;
  state;
  at = -1;
  /** What `start` and `step` draw from: it runs on from frame to frame. */
  stepRandom;
  noise;
  assets = {};
  dialValues;
  input;
  inputSource;
  inputUsed = false;
  /** The frame last painted, and the one before the frame at hand, for `pointer.over`. */
  painted;
  before;
  /** What tests hits, loaded once a pointer is over the canvas: a page without one does without it. */
  hits;
  /** What is under way: the next call waits for it. */
  work = Promise.resolve();
  /** @throws SketchError where it is no sketch, or an option is unknown or not valid */
  constructor(sketch, options3 = {}) {
    this.sketch = sketch;
    const call4 = "Run";
    sketchKind.read(call4, "sketch", sketch);
    runOptions.check(call4, options3);
    this.options = options3;
    this.seed = options3.seed ?? sketch.seed;
    this.width = options3.width ?? sketch.canvas.width;
    this.height = options3.height ?? sketch.canvas.height;
    this.density = options3.density ?? sketch.canvas.density;
    checkSize(call4, this.width, this.height, this.density);
    this.stepRandom = seededRandom(this.seed);
    this.noise = seededNoise(this.seed);
    this.view = makeView(this.width, this.height, sketch.canvas.view);
    this.dialValues = dialValues(sketch.dials, options3.dials);
  }
  /** The value of every dial. */
  get dials() {
    return this.dialValues;
  }
  /** Turns a dial: from the next call on the sketch finds the new value. */
  setDial(name2, value) {
    this.dialValues[name2] = dialNamed(this.sketch.dials, name2).read("dials", name2, value);
  }
  /** The number of the frame at hand; -1 before the start. */
  get frame() {
    return this.at;
  }
  /** Whether the sketch has looked at the pointer or at keys. */
  get usesInput() {
    return this.inputUsed;
  }
  /** Whether the frame at hand is the last before it begins again. */
  get atEnd() {
    return this.at >= this.sketch.frames - 1;
  }
  /** Loads what the sketch needs, once, and makes the state of frame 0. */
  restart() {
    return this.inTurn(() => this.begin());
  }
  /** Moves on by one frame; on the last one it begins again, or stays where the sketch does not repeat. */
  advance() {
    return this.inTurn(() => this.moveOn());
  }
  /** Goes to a frame: by steps where it lies ahead, from the start where it lies behind. Beyond the end it repeats. */
  goTo(frame) {
    return this.inTurn(() => this.move(this.frameAfterRounds(frame)));
  }
  /**
   * Paints the frame at hand; `trace` notes the sketch's line with every item.
   * @throws SketchError with the frame where the sketch is wrong, or where the run has not started
   */
  paint(trace = false) {
    return this.inTurn(() => this.paintHere(trace));
  }
  /**
   * Goes to a frame and gives what must be drawn for its picture, in order: that frame, or under a carry each one on
   * the way, as every picture stands on the one before.
   * @param shown the frame that is drawn already; -1 for none
   * @param draw called with each frame
   * @param early where none is drawn: how many frames before it to begin with, if not with all
   */
  drawTo(frame, shown, draw, early2 = Infinity) {
    return this.inTurn(async () => {
      const target = this.frameAfterRounds(frame);
      if (this.sketch.carry === 0) {
        await this.move(target);
        return draw(await this.paintHere(false));
      }
      if (shown < 0 || shown !== this.at || shown > target) {
        if (early2 === Infinity)
          await this.begin();
        else
          await this.move(Math.max(0, target - early2));
        await draw(await this.paintHere(false));
      }
      while (this.at < target) {
        await this.options.between?.();
        await this.moveOn();
        await draw(await this.paintHere(false));
      }
    });
  }
  /** The frame of a round that stands for any frame number: rounds repeat, or the last one stays. */
  frameAfterRounds(frame) {
    const { frames, repeat } = this.sketch;
    frameNumber.read("run", "frame", frame);
    return repeat ? frame % frames : Math.min(frame, frames - 1);
  }
  /** The number of the frame that is shown at a moment in seconds. */
  frameAtSeconds(seconds) {
    return Math.floor(length.read("run", "seconds", seconds) * this.sketch.frameRate + 1e-6);
  }
  inTurn(job) {
    const result = this.work.then(job);
    this.work = result.catch(() => void 0);
    return result;
  }
  async begin() {
    const { host: host2 = noHost, onLoad, input } = this.options;
    const [assets] = await this.call("load", () => Promise.all([loadAssets(this.sketch.assets, host2, onLoad), loadLetteringAtStart()]));
    this.assets = assets;
    this.at = 0;
    this.before = void 0;
    this.painted = void 0;
    this.inputSource ??= input?.(this);
    this.input ??= new Input(this.view, (label, x, y) => this.isOver(label, x, y));
    const events = this.inputSource?.take(0) ?? [];
    if (events.some(isMove))
      await this.loadHits();
    this.input.begin(0, events);
    this.stepRandom = seededRandom(this.seed);
    this.state = await this.inFrame(() => this.call("start", () => this.sketch.start(this.moment(this.stepRandom))));
  }
  async moveOn() {
    if (this.at < 0 || this.atEnd && this.sketch.repeat)
      return this.begin();
    if (this.atEnd)
      return;
    const events = this.inputSource?.take(this.at + 1) ?? [];
    if (this.input?.pointer.inside === true || events.some(isMove)) {
      await this.loadHits();
      if (this.painted?.at !== this.at)
        await this.paintHere(false);
    }
    this.before = this.painted?.at === this.at ? this.painted.frame : void 0;
    this.at++;
    this.input?.begin(this.at, events);
    const { step } = this.sketch;
    if (step === void 0)
      return;
    const next = await this.inFrame(() => this.call("step", () => step(this.state, this.moment(this.stepRandom))));
    if (next !== void 0)
      this.state = next;
  }
  async loadHits() {
    this.hits ??= (await import("./hit-LS7LXERZ.js")).hitsLabel;
  }
  isOver(label, x, y) {
    return this.before !== void 0 && this.hits !== void 0 && this.hits(this.before, label, x, y);
  }
  async move(target) {
    if (this.at < 0 || this.at > target)
      await this.begin();
    while (this.at < target) {
      await this.options.between?.();
      await this.moveOn();
    }
  }
  async paintHere(trace) {
    if (this.at < 0)
      fail({ call: "run.paint", problem: "the run has not started", expected: "await run.goTo(0) before" });
    const { sketch, width, height, density, view } = this;
    const { background } = sketch.canvas;
    const carry = this.at === 0 ? 0 : sketch.carry;
    const canvas = new Canvas({ width, height, density, view, background, carry, trace });
    const moment = this.moment(seededRandom(`${this.seed}/paint`));
    await this.inFrame(() => this.call("paint", () => sketch.paint(canvas, moment, this.state)));
    await canvas.ready();
    const frame = await this.inFrame(() => this.call("paint", () => canvas.finish()));
    if (this.inputSource !== void 0)
      this.painted = { at: this.at, frame };
    return frame;
  }
  moment(random) {
    const { frameRate, frames } = this.sketch;
    const input = () => {
      this.inputUsed = true;
      return this.input;
    };
    const pointer = () => {
      const found = input().pointer;
      this.inputSource?.onPointer?.();
      return found;
    };
    const keys = () => {
      const found = input().keys;
      this.inputSource?.onKeys?.();
      return found;
    };
    return {
      frame: this.at,
      seconds: this.at / frameRate,
      delta: 1 / frameRate,
      progress: frames === Infinity ? 0 : this.at / frames,
      width: this.view.width,
      height: this.view.height,
      random,
      noise: this.noise,
      // Whoever asks is noted: a page then leaves keys and fingers to the sketch.
      get pointer() {
        return pointer();
      },
      get keys() {
        return keys();
      },
      dials: this.dialValues,
      assets: this.assets
    };
  }
  /** Calls a function of the sketch's, within the host's limit. */
  call(name2, call4) {
    const { limit } = this.options;
    const frame = Math.max(0, this.at);
    const result = limit === void 0 ? call4() : limit(call4, { sketch: this.sketch, frame, name: name2 });
    if ((name2 === "step" || name2 === "paint") && result instanceof Promise) {
      result.catch(() => void 0);
      fail({
        call: name2,
        problem: "is async, so its frame would be over before it is",
        expected: "do what takes its time in start, or load files as assets"
      });
    }
    return result;
  }
  /** Calls the sketch's own code; an error in it gets the frame's number. */
  async inFrame(call4) {
    try {
      return await call4();
    } catch (thrown) {
      throw asSketchError(thrown, canvasCalls).inFrame(this.at);
    }
  }
};
var isMove = ({ type }) => type === "move";

// packages/frame-juggler/dist/motion/clock.js
var longestStall = 0.25;
var early = 0.1;
var LiveClock = class {
  frameRate;
  last;
  owed = 0;
  /** @param frameRate frames a second */
  constructor(frameRate) {
    this.frameRate = frameRate;
  }
  /** Stops counting until the next reading: what passes in between is not owed. */
  pause() {
    this.last = void 0;
    this.owed = 0;
  }
  /** How many frames have come due since the last reading. @param now milliseconds of a clock that only goes forward */
  due(now) {
    const passed = this.last === void 0 ? 0 : Math.min(longestStall, Math.max(0, (now - this.last) / 1e3));
    this.last = now;
    this.owed += passed * this.frameRate;
    const frames = Math.max(0, Math.floor(this.owed + early));
    this.owed -= frames;
    return frames;
  }
};

export {
  needsOf,
  wantFontsAtStart,
  lettering,
  loadFonts,
  checkFileSize,
  asset,
  dial,
  fitDials,
  parseDial,
  maxSide,
  isSketch,
  defineSketch,
  withParts,
  frameAtRest,
  checkSize,
  Recorder,
  PathWriter,
  PathBuilder,
  shapes,
  required,
  defineShape,
  isOwnShape,
  textOptions,
  measureOptions,
  readString,
  pattern,
  withShapeOptions,
  ownTransform,
  Canvas,
  seededRandom,
  seededNoise,
  Run,
  LiveClock
};
