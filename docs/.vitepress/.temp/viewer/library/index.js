import {
  itemsAt
} from "./chunk-7FC3K3WH.js";
import {
  canvasBox,
  colorInWords,
  frameInWords,
  itemBoxes
} from "./chunk-CZVM3HYK.js";
import {
  boxUnder,
  intersectBoxes,
  padBox
} from "./chunk-JEROG5JX.js";
import {
  Canvas,
  LiveClock,
  PathBuilder,
  PathWriter,
  Recorder,
  Run,
  asset,
  checkSize,
  defineShape,
  defineSketch,
  dial,
  fitDials,
  frameAtRest,
  isOwnShape,
  isSketch,
  lettering,
  loadFonts,
  measureOptions,
  needsOf,
  ownTransform,
  parseDial,
  pattern,
  readString,
  required,
  seededNoise,
  seededRandom,
  shapes,
  textOptions,
  wantFontsAtStart,
  withParts,
  withShapeOptions
} from "./chunk-NKP6LA2V.js";
import {
  Compositor,
  RasterSurface,
  boxUnits,
  conicGradient,
  linearGradient,
  radialGradient
} from "./chunk-3A6COZNW.js";
import "./chunk-VK7SHGMN.js";
import {
  Picture
} from "./chunk-MECBHCPL.js";
import "./chunk-FYXFEF5H.js";
import {
  Color,
  alphaOf,
  blueOf,
  cbrt,
  colorFunctions,
  cssColor,
  exp,
  fromUnits,
  gray,
  greenOf,
  hsl,
  hypot,
  interpolate,
  log,
  log10,
  log2,
  oklch,
  pack,
  pow,
  readColor,
  readStops,
  redOf,
  rgb,
  splitNumber
} from "./chunk-LDXCYOWX.js";
import {
  FrameReader,
  frameBytes,
  itemsOf,
  pictureSize,
  tablePaint
} from "./chunk-NE2UDUYN.js";
import {
  initialTextStyle,
  restyleText
} from "./chunk-RHCINV5B.js";
import {
  isPoint,
  optional,
  pair,
  pairOf,
  schemaOf,
  xOf,
  yOf
} from "./chunk-XNENNZIQ.js";
import {
  Font
} from "./chunk-BF3HK4P4.js";
import {
  apply,
  arc,
  arcPoint,
  close,
  commandLength,
  cubic,
  determinant,
  identity,
  inverse,
  isFinitePath,
  largestScale,
  line,
  move,
  multiply,
  pathBox,
  quad,
  scaling,
  translation
} from "./chunk-64DTOP6Y.js";
import {
  callable,
  convertedLater,
  finite,
  fraction,
  kindOf,
  length,
  listOf,
  name,
  oneOf,
  positive,
  text,
  toggle,
  whole
} from "./chunk-BTP6WEQV.js";
import {
  SketchError,
  acos,
  addHostCode,
  asSketchError,
  asin,
  atan,
  atan2,
  cosineWithin,
  fail,
  sinCos,
  sineWithin,
  sketchLine,
  suggest
} from "./chunk-IWQLMP55.js";
import {
  __export
} from "./chunk-MLKGABMK.js";

// packages/frame-juggler/dist/sketch/input-track.js
var trackFormat = "frame-juggler-input";
var trackVersion = 1;
var eventHead = { frame: whole(0) };
var eventSchemas = {
  move: schemaOf({ ...eventHead, type: oneOf("move"), at: pair }, "{ frame, type, at }"),
  leave: schemaOf({ ...eventHead, type: oneOf("leave") }, "{ frame, type }"),
  press: schemaOf({ ...eventHead, type: oneOf("press") }, "{ frame, type }"),
  release: schemaOf({ ...eventHead, type: oneOf("release") }, "{ frame, type }"),
  keydown: schemaOf({ ...eventHead, type: oneOf("keydown"), key: name }, "{ frame, type, key }"),
  keyup: schemaOf({ ...eventHead, type: oneOf("keyup"), key: name }, "{ frame, type, key }")
};
var eventType = oneOf(...Object.keys(eventSchemas));
var trackTable = {
  format: oneOf(trackFormat),
  version: kindOf(`${trackVersion}`, (value) => value === trackVersion, "is not known"),
  /** The title of the sketch it was recorded with. */
  title: text,
  /** The size of the canvas, in pixels of density 1. */
  width: whole(1),
  height: whole(1),
  /** Frames a second. */
  frameRate: positive,
  seed: whole(0),
  /** In the order of their frames. */
  events: listOf(kindOf("an event", (value) => typeof value === "object" && value !== null, "is not an event"), "events")
};
var trackSchema = schemaOf(trackTable, "{ format, version, title, width, height, frameRate, seed, events }");
var maxTogether = 1e4;
function makeTrack({ title: title2, width, height, frameRate, seed }, noted) {
  const events = noted.map(({ frame, event }) => ({ frame, ...event }));
  return { format: trackFormat, version: trackVersion, title: title2, width, height, frameRate, seed, events };
}
function writeTrack({ events, ...head }) {
  const lines = Object.entries(head).map(([key, value]) => `  ${JSON.stringify(key)}: ${JSON.stringify(value)},
`);
  const listed = events.map((one) => `
    ${JSON.stringify(one)}`).join(",");
  return `{
${lines.join("")}  "events": [${listed}${events.length === 0 ? "" : "\n  "}]
}
`;
}
function readTrack(file, content) {
  const fault = (problem, expected) => {
    throw new SketchError({ call: "input track", problem: `${file} ${problem}`, expected });
  };
  let parsed;
  try {
    parsed = JSON.parse(content);
  } catch (error) {
    return fault(`is not JSON: ${error.message}`);
  }
  if (typeof parsed !== "object" || parsed === null || !("format" in parsed) || parsed.format !== trackFormat)
    return fault("is not an input track", `expected "format": "${trackFormat}"`);
  const track = trackSchema.read(`input track ${file}`, parsed);
  let last = 0;
  let together = 0;
  track.events.forEach((event, index) => {
    const call3 = `input track ${file} events[${index}]`;
    eventSchemas[eventType.read(call3, "type", event.type)].check(call3, event);
    if (finite.read(call3, "frame", event.frame) < last)
      fault(`cannot be read at events[${index}].frame: ${event.frame} comes behind ${last}`);
    together = event.frame === last ? together + 1 : 1;
    if (together > maxTogether)
      fault(`has more than ${maxTogether} events in frame ${event.frame}`);
    last = event.frame;
  });
  return track;
}
function playTrack({ events }) {
  const byFrame = /* @__PURE__ */ new Map();
  for (const { frame, ...what } of events) {
    let together = byFrame.get(frame);
    if (together === void 0)
      byFrame.set(frame, together = []);
    together.push(what);
  }
  return { take: (frame) => byFrame.get(frame) ?? [] };
}

// packages/frame-juggler/dist/sketch/scenes.js
var sceneTable = {
  /** How long it lasts, in seconds, its fade included. */
  duration: positive,
  /** How long it fades in over the end of the scene before, in seconds; 0 is a cut. */
  fade: optional(length, 0),
  /** Draws it: `paint(canvas, { seconds, progress, presence })`. */
  paint: callable("a function that draws: paint(canvas) { \u2026 }")
};
var sceneOptions = schemaOf(sceneTable, "{ duration: 2, paint(canvas) { \u2026 } }");
var call = "scenes";
var sceneList = listOf(convertedLater("a scene"), "scenes", 1);
function scenes(list) {
  sceneList.read(call, "list", list);
  let end = 0;
  const placed2 = list.map((given, index) => {
    const { duration, fade: fade2, paint } = sceneOptions.read(`${call} [${index}]`, given);
    const room = Math.min(duration, list[index - 1]?.duration ?? 0);
    if (fade2 > room)
      fail({
        call: `${call} [${index}]`,
        option: "fade",
        value: fade2,
        problem: "is too long",
        expected: `expected at most ${room}: it overlaps the scene before`
      });
    const start = end - fade2;
    end = start + duration;
    return { start, duration, fade: fade2, paint };
  });
  return {
    duration: end,
    paint(canvas, seconds) {
      const at = finite.read(`${call}.paint`, "seconds", seconds);
      const now = at + 1e-9;
      const last = placed2.length - 1;
      placed2.forEach(({ start, duration, fade: fade2, paint }, index) => {
        if (now < start && index > 0)
          return;
        if (now >= start + duration && index < last)
          return;
        const own = Math.min(duration, Math.max(0, at - start));
        const presence = own >= fade2 ? 1 : own / fade2;
        const moment = { seconds: own, progress: own / duration, presence };
        canvas.group(presence < 1 ? { opacity: presence } : {}, () => paint(canvas, moment));
      });
    }
  };
}

// packages/frame-juggler/dist/surfaces/raster/rasterize.js
var surface = new RasterSurface();
function rasterize(frame) {
  surface.reset();
  surface.draw(frame);
  return surface.picture();
}

// packages/frame-juggler/dist/sketch/picture.js
wantFontsAtStart();
var paintKind = callable("a function that draws: (canvas) => { \u2026 }");
function picture(width, height, paint) {
  checkSize("picture", width, height, 1);
  const canvas = new Canvas({ width, height, density: 1, background: 0, carry: 0 });
  paintKind.read("picture", "paint", paint)(canvas);
  return rasterize(canvas.finish());
}

// packages/frame-juggler/dist/sketch/render-picture.js
async function renderPicture(run, frame) {
  const surface2 = new RasterSurface();
  await run.drawTo(frame, -1, (painted) => surface2.draw(painted));
  return surface2.picture();
}

// packages/frame-juggler/dist/canvas/bounds.js
var surroundings = { width: 0, height: 0, up: false };
function boundsOf(kind, options) {
  const found2 = readKind(kind);
  const call3 = `boundsOf ${found2.name}`;
  withShapeOptions(found2.options).check(call3, options);
  const path = new PathWriter();
  const outline = found2.outline(options, path, call3, surroundings);
  const own = ownTransform(options, outline, path, 0, surroundings);
  return pathBox(path.numbers, own, 0, path.length);
}
function readKind(kind) {
  if (typeof kind === "string" && Object.hasOwn(shapes, kind))
    return shapes[kind];
  if (isOwnShape(kind))
    return kind;
  return fail({
    call: "boundsOf",
    option: "kind",
    value: kind,
    problem: "is not a shape",
    expected: suggest(kind, Object.keys(shapes))
  });
}

// packages/frame-juggler/dist/paint/mix.js
var mixSpace = oneOf("oklab", "oklch", "rgb", "hsl", "lab", "lch");
function colorMix(a, b, t, space = "oklab") {
  fraction.read("colorMix", "t", t);
  const pair2 = `${space}/${keyOf(a)}/${keyOf(b)}`;
  let mixed2 = pairs.get(pair2);
  if (mixed2 === void 0) {
    mixed2 = rampFor("colorMix", [a, b], space);
    if (pairs.size === maxPairs)
      pairs.clear();
    pairs.set(pair2, mixed2);
  }
  return mixed2(t);
}
var pairs = /* @__PURE__ */ new Map();
var maxPairs = 4096;
function keyOf(color) {
  return typeof color === "string" ? color : `${color.red} ${color.green} ${color.blue} ${color.alpha}`;
}
function ramp(stops, space = "oklab") {
  return rampFor("ramp", stops, space);
}
function rampFor(call3, stops, space) {
  const row = colorFunctions[mixSpace.read(call3, "space", space)];
  const read = readStops(call3, stops);
  const list = read.map(({ color: { red, green, blue, alpha } }) => ({
    channels: row.fromRgb([red / 255, green / 255, blue / 255]),
    alpha
  }));
  const last = read.length - 1;
  return (t) => {
    const where = finite.read(call3, "t", t);
    if (where <= read[0].offset)
      return read[0].color;
    if (where >= read[last].offset)
      return read[last].color;
    const next = read.findIndex(({ offset }) => offset >= where);
    const [from, to] = [read[next - 1].offset, read[next].offset];
    const { channels, alpha } = interpolate(row, list[next - 1], list[next], (where - from) / (to - from), "shorter");
    return fromUnits(row.toRgb(channels), alpha);
  };
}

// packages/frame-juggler/dist/maths/index.js
var maths_exports = {};
__export(maths_exports, {
  acos: () => acos,
  asin: () => asin,
  atan: () => atan,
  atan2: () => atan2,
  cbrt: () => cbrt,
  cos: () => cos,
  exp: () => exp,
  hypot: () => hypot,
  log: () => log,
  log10: () => log10,
  log2: () => log2,
  pow: () => pow,
  sin: () => sin,
  tan: () => tan
});

// packages/frame-juggler/dist/maths/far-angle.js
var bits = 1240n;
var halfPi;
function remainderOfFar(x2) {
  if (!Number.isFinite(x2))
    return { quarters: 0, rest: NaN, tail: 0 };
  halfPi ??= 8n * arcTangentOfPart(5n) - 2n * arcTangentOfPart(239n);
  const { mantissa, exponent } = splitNumber(Math.abs(x2));
  const angle = BigInt(mantissa * 2 ** 52) << bits + BigInt(exponent - 52);
  const quarters = (2n * angle + halfPi) / (2n * halfPi);
  const rest = angle - quarters * halfPi >> bits - 100n;
  const head = Number(rest);
  const tail = Number(rest - BigInt(head));
  const sign = Math.sign(x2);
  const unit2 = sign / 2 ** 100;
  return { quarters: sign * Number(quarters & 3n), rest: head * unit2, tail: tail * unit2 };
}
function arcTangentOfPart(n) {
  let power = (1n << bits) / n;
  let sum = power;
  for (let odd = 3n; power !== 0n; odd += 2n) {
    power /= -n * n;
    sum += power / odd;
  }
  return sum;
}

// packages/frame-juggler/dist/maths/sine.js
var half1 = 1.5707963267341256;
var half2 = 6077100506303966e-26;
var half3 = 20222662487111665e-37;
var half3Tail = 84784276603689e-45;
function reduce(x2) {
  const quarters = Math.round(x2 / (Math.PI / 2));
  if (quarters === 0)
    return { quarters, rest: x2, tail: 0 };
  if (Math.abs(quarters) >= 1 << 20)
    return remainderOfFar(x2);
  const first = x2 - quarters * half1;
  const second = first - quarters * half2;
  const lost2 = first - second - quarters * half2;
  const third = second - quarters * half3;
  const lost3 = second - third - quarters * half3;
  const small = lost2 + lost3 - quarters * half3Tail;
  const rest = third + small;
  return { quarters, rest, tail: third - rest + small };
}
function sin(x2) {
  return sineOf(reduce(x2), 0);
}
function cos(x2) {
  return sineOf(reduce(x2), 1);
}
function tan(x2) {
  const reduced = reduce(x2);
  return sineOf(reduced, 0) / sineOf(reduced, 1);
}
function sineOf({ quarters, rest, tail }, further) {
  const quarter2 = quarters + further & 3;
  const value = quarter2 & 1 ? cosineWithin(rest, tail) : sineWithin(rest, tail);
  return quarter2 & 2 ? -value : value;
}

// packages/frame-juggler/dist/motion/cycle.js
function cycle(seconds, period) {
  return wrap(finite.read("cycle", "seconds", seconds) / positive.read("cycle", "period", period), 0, 1);
}
function swing(seconds, period, lo, hi) {
  const turn = cycle(seconds, positive.read("swing", "period", period));
  return lo + (hi - lo) * (0.5 + 0.5 * sinCos(turn * 360).sin);
}
function zigzag(seconds, period, lo, hi) {
  const turn = cycle(seconds, positive.read("zigzag", "period", period));
  return lo + (hi - lo) * (1 - Math.abs(1 - 2 * turn));
}
function wrap(value, lo, hi) {
  const length2 = finite.read("wrap", "hi", hi) - finite.read("wrap", "lo", lo);
  if (length2 <= 0)
    fail({ call: "wrap", option: "hi", value: hi, problem: "is not above lo" });
  const rest = (finite.read("wrap", "value", value) - lo) % length2;
  return lo + (rest < 0 ? (rest + length2) % length2 : rest);
}
function clamp(value, lo, hi) {
  return Math.min(finite.read("clamp", "hi", hi), Math.max(finite.read("clamp", "lo", lo), finite.read("clamp", "value", value)));
}
function mix(a, b, t) {
  return finite.read("mix", "a", a) * (1 - finite.read("mix", "t", t)) + finite.read("mix", "b", b) * t;
}
var range = kindOf("two different numbers, [from, to]", (value) => pair.allows(value) && value[0] !== value[1], (value) => pair.allows(value) ? "has no length" : "is not a range");
function remap(value, from, to) {
  const [a, b] = range.read("remap", "from", from);
  const [c, d] = pair.read("remap", "to", to);
  return mix(c, d, (finite.read("remap", "value", value) - a) / (b - a));
}
function smoothstep(lo, hi, value) {
  const t = clamp(remap(value, [lo, hi], [0, 1]), 0, 1);
  return t * t * (3 - 2 * t);
}

// packages/frame-juggler/dist/motion/cubic-bezier.js
function cubicBezier(x1, y1, x2, y2) {
  const along = polynomial(x1, x2);
  const above = polynomial(y1, y2);
  return (progress) => {
    if (progress <= 0)
      return progress === 0 ? 0 : progress * slopeAtEnd(x1, y1, x2, y2);
    if (progress >= 1)
      return progress === 1 ? 1 : 1 + (progress - 1) * slopeAtEnd(1 - x2, 1 - y2, 1 - x1, 1 - y1);
    let [low, high, t] = [0, 1, progress];
    for (let step = 0; step < 60; step++) {
      const error = along.at(t) - progress;
      if (Math.abs(error) < 1e-14)
        break;
      if (error > 0)
        high = t;
      else
        low = t;
      const next = t - error / along.slope(t);
      t = next > low && next < high ? next : (low + high) / 2;
    }
    return above.at(t);
  };
}
function slopeAtEnd(x1, y1, x2, y2) {
  if (x1 > 0)
    return y1 / x1;
  if (y1 === 0 && x2 > 0)
    return y2 / x2;
  return y1 === 0 && y2 === 0 ? 1 : 0;
}
function polynomial(p1, p2) {
  const c = 3 * p1;
  const b = 3 * (p2 - p1) - c;
  const a = 1 - c - b;
  return { at: (t) => ((a * t + b) * t + c) * t, slope: (t) => (3 * a * t + 2 * b) * t + c };
}

// packages/frame-juggler/dist/motion/easing-families.js
var fade = (t) => (exp(-10 * Math.LN2 * t) - 1 / 1024) / (1 - 1 / 1024);
var overshoot = 1.70158;
var bounces = [
  [1 / 2.75, 0, 0],
  [2 / 2.75, 1.5 / 2.75, 0.75],
  [2.5 / 2.75, 2.25 / 2.75, 0.9375],
  [Infinity, 2.625 / 2.75, 0.984375]
];
function bounceOut(t) {
  const [, middle2, height] = bounces.find(([end]) => t < end) ?? bounces[3];
  return 7.5625 * (t - middle2) * (t - middle2) + height;
}
var ways = {
  sine: (t) => 1 - sinCos(90 * t).cos,
  quad: (t) => t * t,
  cubic: (t) => t * t * t,
  quart: (t) => t * t * t * t,
  quint: (t) => t * t * t * t * t,
  expo: (t) => fade(1 - t),
  circ: (t) => 1 - Math.sqrt(Math.max(0, 1 - t * t)),
  back: (t) => t * t * (t + overshoot * (t - 1)),
  // A period of 0.3, so that it ends on a crest.
  elastic: (t) => fade(1 - t) * sinCos((1.075 - t) * 1200).sin,
  bounce: (t) => 1 - bounceOut(1 - t)
};
var easingFamilies = Object.fromEntries(Object.entries(ways).flatMap(([name2, wayIn]) => [
  [`${name2}-in`, wayIn],
  [`${name2}-out`, (t) => 1 - wayIn(1 - t)],
  [`${name2}-in-out`, (t) => t < 0.5 ? wayIn(2 * t) / 2 : 1 - wayIn(2 - 2 * t) / 2]
]));

// packages/frame-juggler/dist/motion/easing.js
var named = {
  linear: (t) => t,
  ease: cubicBezier(0.25, 0.1, 0.25, 1),
  "ease-in": cubicBezier(0.42, 0, 1, 1),
  "ease-out": cubicBezier(0, 0, 0.58, 1),
  "ease-in-out": cubicBezier(0.42, 0, 0.58, 1),
  "step-start": steps(1, "jump-start"),
  "step-end": steps(1, "jump-end"),
  ...easingFamilies
};
function easing(syntax) {
  const curve = readEasing(syntax);
  return (progress) => curve(finite.read("easing", "progress", progress));
}
function readEasing(syntax) {
  if (typeof syntax !== "string")
    return unreadable(syntax, "expected text: 'ease-in-out'");
  const text2 = syntax.trim().toLowerCase();
  if (Object.hasOwn(named, text2))
    return named[text2];
  const [, name2, inside] = /^([a-z-]+)\((.*)\)$/.exec(text2) ?? [];
  const parts2 = inside?.split(",").map((part) => part.trim()) ?? [];
  if (name2 === "cubic-bezier")
    return readCubicBezier(syntax, parts2);
  if (name2 === "steps")
    return readSteps(syntax, parts2);
  if (name2 === "linear")
    return piecewise(syntax, parts2);
  return unreadable(syntax, suggest(text2, [...Object.keys(named), "cubic-bezier()", "steps()", "linear()"]));
}
function unreadable(syntax, expected) {
  return fail({ call: "easing", value: syntax, problem: "is not an easing", expected });
}
function readCubicBezier(syntax, parts2) {
  const numbers = parts2.map(Number);
  const [x1, y1, x2, y2] = numbers;
  if (numbers.length !== 4 || parts2.includes("") || !numbers.every(Number.isFinite) || x1 < 0 || x1 > 1 || x2 < 0 || x2 > 1)
    return unreadable(syntax, "expected cubic-bezier(x1, y1, x2, y2) with x1 and x2 from 0 to 1");
  return cubicBezier(x1, y1, x2, y2);
}
var jumps = {
  start: "jump-start",
  end: "jump-end",
  "jump-start": "jump-start",
  "jump-end": "jump-end",
  "jump-none": "jump-none",
  "jump-both": "jump-both"
};
function readSteps(syntax, [count2 = "", position = "end", ...rest]) {
  const jump = jumps[position];
  const least2 = jump === "jump-none" ? 2 : 1;
  if (!/^\d+$/.test(count2) || Number(count2) < least2 || jump === void 0 || rest.length > 0)
    return unreadable(syntax, "expected steps(count, jump-start | jump-end | jump-none | jump-both)");
  return steps(Number(count2), jump);
}
function steps(count2, jump) {
  const first = jump === "jump-start" || jump === "jump-both" ? 1 : 0;
  const heights = count2 + (jump === "jump-both" ? 1 : jump === "jump-none" ? -1 : 0);
  return (t, before) => {
    const whole2 = Math.floor(t * count2);
    const step = whole2 + first - (before === true && whole2 === t * count2 ? 1 : 0);
    if (t >= 0 && step < 0)
      return 0;
    return t <= 1 && step > heights ? 1 : step / heights;
  };
}
function piecewise(syntax, parts2) {
  const expected = "expected linear(output input%, \u2026) with two outputs or more";
  const points = [];
  for (const part of parts2) {
    const words = part.split(/\s+/);
    const outputs = words.filter((word) => !word.endsWith("%"));
    const inputs2 = words.filter((word) => word.endsWith("%")).map((word) => Number(word.slice(0, -1)) / 100);
    const output = Number(outputs[0]);
    if (outputs.length !== 1 || outputs[0] === "" || inputs2.length > 2 || ![output, ...inputs2].every(Number.isFinite))
      return unreadable(syntax, expected);
    for (const input of inputs2.length === 0 ? [void 0] : inputs2)
      points.push({ output, input });
  }
  if (points.length < 2)
    return unreadable(syntax, expected);
  const inputs = fillOffsets(points.map(({ input }) => input));
  return (t) => {
    let next = 1;
    while (next < points.length - 1 && inputs[next] <= t)
      next++;
    const [from, to] = [inputs[next - 1], inputs[next]];
    const [low, high] = [points[next - 1].output, points[next].output];
    return from === to ? high : low + (high - low) * (t - from) / (to - from);
  };
}
function fillOffsets(given) {
  const offsets = [...given];
  offsets[0] ??= 0;
  offsets[offsets.length - 1] ??= 1;
  let least2 = -Infinity;
  for (let i2 = 0; i2 < offsets.length; i2++) {
    const offset = offsets[i2];
    if (offset !== void 0)
      offsets[i2] = least2 = Math.max(least2, offset);
  }
  let known = 0;
  for (let next = 1; next < offsets.length; next++) {
    if (offsets[next] === void 0)
      continue;
    const [from, to] = [offsets[known], offsets[next]];
    for (let i2 = known + 1; i2 < next; i2++)
      offsets[i2] = from + (to - from) * (i2 - known) / (next - known);
    known = next;
  }
  return offsets;
}

// packages/frame-juggler/dist/motion/keyframes.js
var isValue = (value) => Number.isFinite(value) || typeof value === "string" || value instanceof Color || isPoint(value);
var keyframeValue = kindOf("a number, a point or a color", isValue, "is not a value");
var keyframeTable = {
  /** From 0 to 1; spread evenly where it is left out. */
  offset: optional(fraction),
  /** From this keyframe to the next, in CSS's syntax. */
  easing: optional(text, "linear")
};
var keyframeOptions = schemaOf({ value: keyframeValue, ...keyframeTable }, "{ value: 20, offset: 0.5 }");
var timingTable = {
  /** Of one iteration, in seconds. */
  duration: length,
  /** Before it begins, in seconds. */
  delay: optional(finite, 0),
  /** How often it runs, in whole or in part. */
  iterations: optional(kindOf("a number, 0 or more", (value) => typeof value === "number" && value >= 0, "is not a number, 0 or more"), 1),
  /** Which way its iterations run. */
  direction: optional(oneOf("normal", "reverse", "alternate", "alternate-reverse"), "normal"),
  /** Whether the first and the last value hold before and after. Else it is undefined there. */
  fill: optional(oneOf("none", "forwards", "backwards", "both"), "both"),
  /** Of each iteration as a whole, in CSS's syntax. */
  easing: optional(text, "linear"),
  /** Numbers are angles in degrees, and go the shorter way round. */
  angles: optional(toggle, false)
};
var timingOptions = schemaOf(timingTable, "{ duration: 2 } behind the keyframes");
var call2 = "keyframes";
var frameList = listOf(convertedLater("a value"), "values, or { value, offset, easing }", 1);
function keyframes(list, timing) {
  const { angles, ...read } = timingOptions.read(call2, timing);
  const at = timed(read, readFrames(list, angles));
  return (seconds) => at(finite.read(call2, "seconds", seconds));
}
function timed(timing, valueAt) {
  const { duration, delay, iterations, direction, fill } = timing;
  const ease = readEasing(timing.easing);
  const active = duration === 0 || iterations === 0 ? 0 : duration * iterations;
  return (seconds) => {
    const before = seconds < Math.max(0, delay);
    const after = !before && seconds >= Math.max(0, delay + active);
    if (before && fill !== "backwards" && fill !== "both")
      return void 0;
    if (after && fill !== "forwards" && fill !== "both")
      return void 0;
    const gone2 = Math.max(0, seconds - delay);
    const overall = before ? duration === 0 ? 0 : gone2 / duration : gone2 >= active ? iterations : Math.min(iterations, gone2 / duration);
    const atEnd = !before && overall === iterations && iterations !== 0;
    let progress = overall === Infinity ? 0 : overall % 1;
    if (progress === 0 && atEnd)
      progress = 1;
    const iteration = progress === 1 ? Math.floor(overall) - 1 : Math.floor(overall);
    const backwards = direction === "reverse" || direction !== "normal" && (iteration + (direction === "alternate" ? 0 : 1)) % 2 === 1;
    const isBefore = backwards ? after : before;
    return valueAt(ease(backwards ? 1 - progress : progress, isBefore), isBefore);
  };
}
function readFrames(list, angles) {
  frameList.read(call2, "list", list);
  const frames = list.map(readFrame);
  const offsets = frames.length === 1 ? [0] : fillOffsets(frames.map(({ offset }) => offset));
  const eases = frames.map((frame) => readEasing(frame.easing));
  const mixers = frames.slice(1).map((frame, i2) => mixer(frames[i2].value, frame.value, angles));
  if (mixers.length === 0)
    mixers.push(mixer(frames[0].value, frames[0].value, angles));
  return (progress, before) => {
    let segment = 0;
    while (segment < mixers.length - 1 && progress >= offsets[segment + 1])
      segment++;
    const length2 = (offsets[segment + 1] ?? 1) - offsets[segment];
    const local = length2 === 0 ? progress < offsets[segment] ? 0 : 1 : (progress - offsets[segment]) / length2;
    const held = offsets[0] > 0 && local < 0 ? 0 : offsets.at(-1) < 1 && local > 1 ? 1 : local;
    return mixers[segment](eases[segment](held, before));
  };
}
function readFrame(entry, index) {
  if (isValue(entry))
    return { value: entry, offset: void 0, easing: "linear" };
  return keyframeOptions.read(`${call2} list[${index}]`, entry);
}
var isColor = (value) => typeof value === "string" || value instanceof Color;
function mixer(from, to, angles) {
  if (typeof from === "number" && typeof to === "number") {
    const way = to - from;
    const shorter = angles ? ((way + 180) % 360 + 360) % 360 - 180 : way;
    return (t) => from + shorter * t;
  }
  if (isColor(from) && isColor(to))
    return ramp([from, to]);
  if (isPoint(from) && isPoint(to)) {
    const [x0, y0, x1, y1] = [xOf(from), yOf(from), xOf(to), yOf(to)];
    return (t) => ({ x: x0 + (x1 - x0) * t, y: y0 + (y1 - y0) * t });
  }
  return fail({
    call: call2,
    option: "value",
    value: to,
    problem: "is of another kind than the one before",
    expected: "expected all numbers, all points or all colors"
  });
}

// packages/frame-juggler/dist/motion/spring.js
var springTable = {
  /** Where it is at 0 s. */
  from: optional(finite, 0),
  /** Where it comes to rest. */
  to: optional(finite, 1),
  /** The force that draws it back, for each unit of distance. */
  stiffness: optional(positive, 120),
  /** The force that brakes it, for each unit of speed. */
  damping: optional(length, 12),
  /** How heavy it is. */
  mass: optional(positive, 1),
  /** Its speed at 0 s, in units a second. */
  velocity: optional(finite, 0)
};
var springOptions = schemaOf(springTable, "{ from: 0, to: 100 }");
function spring(options = {}) {
  const { from, to, stiffness, damping, mass, velocity } = springOptions.read("spring", options);
  const offset = from - to;
  const rate = Math.sqrt(stiffness / mass);
  const ratio = damping / (2 * Math.sqrt(stiffness * mass));
  const decay = rate * ratio;
  const distance2 = (t) => {
    if (ratio < 1) {
      const swing2 = rate * Math.sqrt(1 - ratio * ratio);
      return exp(-decay * t) * (offset * cos(swing2 * t) + (velocity + decay * offset) / swing2 * sin(swing2 * t));
    }
    if (ratio === 1)
      return exp(-rate * t) * (offset + (velocity + rate * offset) * t);
    const root = rate * Math.sqrt(ratio * ratio - 1);
    const [slow, fast] = [root - decay, -root - decay];
    const share = (velocity - fast * offset) / (slow - fast);
    return share * exp(slow * t) + (offset - share) * exp(fast * t);
  };
  return (seconds) => to + distance2(Math.max(0, finite.read("spring", "seconds", seconds)));
}

// packages/frame-juggler/dist/geometry/angle.js
function fromRadians(radians2) {
  return finite.read("fromRadians", "radians", radians2) * 180 / Math.PI;
}
function fromTurns(turns) {
  return finite.read("fromTurns", "turns", turns) * 360;
}

// packages/frame-juggler/dist/frame/near-zero.js
function countedFrom(frame, [x2, y]) {
  const count2 = frame.columns.pathStart.length;
  const shifts = [];
  const shiftOf = (transform) => shifts[transform] ??= shiftAt(frame.matrices, transform * 6, x2, y);
  const path = new Float64Array(frame.path.length);
  const paints = [...frame.paints];
  const moved = /* @__PURE__ */ new Map();
  const paintAt = (place, shift, transform) => {
    const key = `${place} ${transform}`;
    if (!moved.has(key))
      moved.set(key, paints.push(movePaint(frame.paints[place - 1], shift)));
    return moved.get(key);
  };
  const { columns } = frame;
  const [fill, stroke] = [columns.fill.slice(), columns.stroke.slice()];
  for (let item = 0; item < count2; item++) {
    const transform = columns.transform[item];
    const shift = shiftOf(transform);
    movePath(frame.path, columns.pathStart[item], columns.pathEnd[item], shift, path);
    if (columns.fillKind[item] === tablePaint)
      fill[item] = paintAt(fill[item], shift, transform);
    if (columns.strokeKind[item] === tablePaint)
      stroke[item] = paintAt(stroke[item], shift, transform);
  }
  const matrices = frame.matrices.slice();
  shifts.forEach(({ isMoved }, transform) => {
    if (isMoved)
      matrices.fill(0, transform * 6 + 4, transform * 6 + 6);
  });
  const view = multiply(frame.view, translation(x2, y));
  return { ...frame, view, path, paints, matrices, columns: { ...columns, fill, stroke } };
}
function shiftAt(matrices, at, x2, y) {
  const back = inverse(Array.from(matrices.subarray(at, at + 6)));
  if (back === void 0)
    return { dx: 0, dy: 0, isMoved: false };
  const [px, py] = apply(back, x2, y);
  return { dx: -px, dy: -py, isMoved: true };
}
function movePath(from, start, end, { dx, dy }, into) {
  for (let i2 = start; i2 < end; ) {
    const length2 = commandLength[from[i2]];
    into.set(from.subarray(i2, i2 + length2), i2);
    for (let j = i2 + 1; j < (from[i2] === arc ? i2 + 3 : i2 + length2); j += 2) {
      into[j] += dx;
      into[j + 1] += dy;
    }
    i2 += length2;
  }
}
var placed = (paint, dx, dy) => ({
  ...paint,
  transform: multiply(translation(dx, dy), paint.transform)
});
var movers = {
  linear: (paint, dx, dy) => ({
    ...paint,
    from: [paint.from[0] + dx, paint.from[1] + dy],
    to: [paint.to[0] + dx, paint.to[1] + dy]
  }),
  radial: (paint, dx, dy) => ({
    ...paint,
    at: [paint.at[0] + dx, paint.at[1] + dy],
    focus: [paint.focus[0] + dx, paint.focus[1] + dy]
  }),
  conic: (paint, dx, dy) => ({ ...paint, at: [paint.at[0] + dx, paint.at[1] + dy] }),
  pattern: placed,
  picture: placed
};
function movePaint(paint, { dx, dy }) {
  if ("units" in paint && paint.units === "box")
    return paint;
  return movers[paint.type](paint, dx, dy);
}

// packages/frame-juggler/dist/geometry/write-path-data.js
var wholeBy = [1e7, 1e6, 1e5, 1e4, 1e3];
function short(value) {
  const size = Math.abs(value);
  if (size < 1e4 && size >= 0.1) {
    const factor = wholeBy[size < 1 ? 0 : size < 10 ? 1 : size < 100 ? 2 : size < 1e3 ? 3 : 4];
    const digits = size * factor;
    const whole2 = Math.round(digits);
    if (Math.abs(Math.abs(digits - whole2) - 0.5) > 1e-6)
      return (value < 0 ? "-" : "") + decimal(whole2, factor);
  }
  return String(Number(value.toPrecision(7)));
}
function inDigits(digits) {
  return digits === 7 ? short : (value) => String(Number(value.toPrecision(digits)));
}
function decimal(whole2, factor) {
  const units = Math.floor(whole2 / factor);
  let digits = whole2 - units * factor + factor;
  while (digits > 1 && digits % 10 === 0)
    digits /= 10;
  return digits === 1 ? String(units) : `${units}.${String(digits).slice(1)}`;
}
function pathData(path, write = short) {
  let data = "";
  let open = false;
  const at = (i2) => `${write(path[i2])} ${write(path[i2 + 1])}`;
  for (let i2 = 0; i2 < path.length; i2 += commandLength[path[i2]]) {
    switch (path[i2]) {
      case move:
        data += `M${at(i2 + 1)}`;
        break;
      case line:
        data += `L${at(i2 + 1)}`;
        break;
      case quad:
        data += `Q${at(i2 + 1)} ${at(i2 + 3)}`;
        break;
      case cubic:
        data += `C${at(i2 + 1)} ${at(i2 + 3)} ${at(i2 + 5)}`;
        break;
      case arc:
        data += arcData(path, i2, open, write);
        break;
      default:
        data += "Z";
    }
    open = path[i2] !== close;
  }
  return data;
}
function arcData(path, i2, open, write) {
  const [rx, ry, rotation, start, sweep] = [path[i2 + 3], path[i2 + 4], path[i2 + 5], path[i2 + 6], path[i2 + 7]];
  const point = (degrees) => arcPoint(path, i2, degrees).map(write).join(" ");
  let data = `${open ? "L" : "M"}${point(start)}`;
  const pieces = Math.max(1, Math.ceil(Math.abs(sweep) / 120));
  const radii = `${write(Math.abs(rx))} ${write(Math.abs(ry))} ${write(rotation)}`;
  const way = sweep > 0 === rx * ry >= 0 ? 1 : 0;
  for (let piece = 1; piece <= pieces; piece++)
    data += `A${radii} 0 ${way} ${point(start + sweep * piece / pieces)}`;
  return data;
}

// packages/frame-juggler/dist/surfaces/svg/xml.js
function element(name2, attributes, children = []) {
  if (children.length === 0)
    return emptyElement(name2, attributes);
  return [...elementParts(name2, attributes, children)].join("\n");
}
function emptyElement(name2, ...attributes) {
  let head = `<${name2}`;
  for (const set2 of attributes)
    head += attributeText(set2);
  return `${head}/>`;
}
function* elementParts(name2, attributes, children) {
  yield `<${name2}${attributeText(attributes)}>`;
  for (const child of children)
    yield indent(child);
  yield `</${name2}>`;
}
function textElement(name2, text2, attributes = {}) {
  return `<${name2}${attributeText(attributes)}>${escapeXml(text2)}</${name2}>`;
}
function attributeText(attributes) {
  let text2 = "";
  for (const name2 in attributes) {
    const value = attributes[name2];
    if (value !== void 0)
      text2 += ` ${name2}="${typeof value === "number" ? short(value) : escapeXml(value)}"`;
  }
  return text2;
}
function indent(lines) {
  return lines.replace(/^(?=\s*<)/gm, "  ");
}
function escapeXml(text2) {
  if (!/[^ !#-%'-;=?-~]/.test(text2))
    return text2;
  return text2.replace(/[^\t\n\r\x20-\ud7ff\ue000-\ufffd\u{10000}-\u{10ffff}]/gu, "\uFFFD").replaceAll("&", "&amp;").replaceAll("<", "&lt;").replaceAll(">", "&gt;").replaceAll('"', "&quot;");
}

// packages/frame-juggler/dist/surfaces/svg/defs.js
var Definitions = class {
  byContent = /* @__PURE__ */ new Map();
  written = [];
  counts = /* @__PURE__ */ new Map();
  ids;
  /** How places and lengths are written. */
  write = short;
  /** @param ids makes a name that the document has not yet */
  constructor(ids) {
    this.ids = ids;
  }
  /** The name of an element: a new one, or that of one just like it. */
  add(name2, attributes, children) {
    const content = element(name2, attributes, children);
    let id = this.byContent.get(content);
    if (id === void 0) {
      const count2 = (this.counts.get(name2) ?? 0) + 1;
      this.counts.set(name2, count2);
      id = this.ids(`${name2}-${short(count2)}`);
      this.byContent.set(content, id);
      this.written.push(element(name2, { id, ...attributes }, children));
    }
    return id;
  }
  /** All of it, as one element; none where there is nothing. */
  get elements() {
    return this.written.length === 0 ? [] : [element("defs", {}, this.written)];
  }
};

// packages/frame-juggler/dist/surfaces/svg/outline.js
function outlineElement(path, write) {
  if (path.length === 9 && path[0] === arc && path[5] === 0 && path[6] === 0 && path[7] === 360 && path[8] === close) {
    const [cx, cy, rx, ry] = [path[1], path[2], path[3], path[4]];
    if (rx === ry)
      return { name: "circle", attributes: written({ cx, cy, r: rx }, write) };
    return { name: "ellipse", attributes: written({ cx, cy, rx, ry }, write) };
  }
  const straight = straightPoints(path);
  if (straight === void 0)
    return { name: "path", attributes: { d: pathData(path, write) } };
  const { points, closed } = straight;
  const [[x2, y], [x1, y1], [x22, y2], [x3, y3]] = [...points, [], [], []];
  if (points.length === 4 && closed && x2 === x3 && y === y1 && x1 === x22 && y2 === y3 && x1 >= x2 && y2 >= y)
    return { name: "rect", attributes: written({ x: x2, y, width: x1 - x2, height: y2 - y }, write) };
  if (points.length === 2 && !closed)
    return { name: "line", attributes: written({ x1: x2, y1: y, x2: x1, y2: y1 }, write) };
  const list = points.map(([px, py]) => `${write(px)},${write(py)}`).join(" ");
  return { name: closed ? "polygon" : "polyline", attributes: { points: list } };
}
function written(numbers, write) {
  const texts = {};
  for (const [name2, value] of Object.entries(numbers))
    if (value !== void 0)
      texts[name2] = write(value);
  return texts;
}
function straightPoints(path) {
  const points = [];
  for (let i2 = 0; i2 < path.length; i2 += commandLength[path[i2]]) {
    if (path[i2] === close && i2 === path.length - 1)
      return points.length > 1 ? { points, closed: true } : void 0;
    if (path[i2] !== (i2 === 0 ? move : line))
      return void 0;
    points.push([path[i2 + 1], path[i2 + 2]]);
  }
  return points.length > 1 ? { points, closed: false } : void 0;
}
function transformText(matrix, write) {
  const [a, b, c, d, e, f] = matrix;
  if (matrix.every((value, index) => value === identity[index]))
    return void 0;
  if (a === 1 && b === 0 && c === 0 && d === 1)
    return `translate(${write(e)} ${write(f)})`;
  return `matrix(${[a, b, c, d, e, f].map(write).join(" ")})`;
}

// packages/frame-juggler/dist/surfaces/svg/picture-data.js
var u8 = Uint8Array;
var u16 = Uint16Array;
var i32 = Int32Array;
var fleb = new u8([
  0,
  0,
  0,
  0,
  0,
  0,
  0,
  0,
  1,
  1,
  1,
  1,
  2,
  2,
  2,
  2,
  3,
  3,
  3,
  3,
  4,
  4,
  4,
  4,
  5,
  5,
  5,
  5,
  0,
  /* unused */
  0,
  0,
  /* impossible */
  0
]);
var fdeb = new u8([
  0,
  0,
  0,
  0,
  1,
  1,
  2,
  2,
  3,
  3,
  4,
  4,
  5,
  5,
  6,
  6,
  7,
  7,
  8,
  8,
  9,
  9,
  10,
  10,
  11,
  11,
  12,
  12,
  13,
  13,
  /* unused */
  0,
  0
]);
var clim = new u8([16, 17, 18, 0, 8, 7, 9, 6, 10, 5, 11, 4, 12, 3, 13, 2, 14, 1, 15]);
var freb = function(eb, start) {
  var b = new u16(31);
  for (var i2 = 0; i2 < 31; ++i2) {
    b[i2] = start += 1 << eb[i2 - 1];
  }
  var r = new i32(b[30]);
  for (var i2 = 1; i2 < 30; ++i2) {
    for (var j = b[i2]; j < b[i2 + 1]; ++j) {
      r[j] = j - b[i2] << 5 | i2;
    }
  }
  return { b, r };
};
var _a = freb(fleb, 2);
var fl = _a.b;
var revfl = _a.r;
fl[28] = 258, revfl[258] = 28;
var _b = freb(fdeb, 0);
var fd = _b.b;
var revfd = _b.r;
var rev = new u16(32768);
for (i = 0; i < 32768; ++i) {
  x = (i & 43690) >> 1 | (i & 21845) << 1;
  x = (x & 52428) >> 2 | (x & 13107) << 2;
  x = (x & 61680) >> 4 | (x & 3855) << 4;
  rev[i] = ((x & 65280) >> 8 | (x & 255) << 8) >> 1;
}
var x;
var i;
var hMap = (function(cd, mb, r) {
  var s = cd.length;
  var i2 = 0;
  var l = new u16(mb);
  for (; i2 < s; ++i2) {
    if (cd[i2])
      ++l[cd[i2] - 1];
  }
  var le = new u16(mb);
  for (i2 = 1; i2 < mb; ++i2) {
    le[i2] = le[i2 - 1] + l[i2 - 1] << 1;
  }
  var co;
  if (r) {
    co = new u16(1 << mb);
    var rvb = 15 - mb;
    for (i2 = 0; i2 < s; ++i2) {
      if (cd[i2]) {
        var sv = i2 << 4 | cd[i2];
        var r_1 = mb - cd[i2];
        var v = le[cd[i2] - 1]++ << r_1;
        for (var m = v | (1 << r_1) - 1; v <= m; ++v) {
          co[rev[v] >> rvb] = sv;
        }
      }
    }
  } else {
    co = new u16(s);
    for (i2 = 0; i2 < s; ++i2) {
      if (cd[i2]) {
        co[i2] = rev[le[cd[i2] - 1]++] >> 15 - cd[i2];
      }
    }
  }
  return co;
});
var flt = new u8(288);
for (i = 0; i < 144; ++i)
  flt[i] = 8;
var i;
for (i = 144; i < 256; ++i)
  flt[i] = 9;
var i;
for (i = 256; i < 280; ++i)
  flt[i] = 7;
var i;
for (i = 280; i < 288; ++i)
  flt[i] = 8;
var i;
var fdt = new u8(32);
for (i = 0; i < 32; ++i)
  fdt[i] = 5;
var i;
var flm = /* @__PURE__ */ hMap(flt, 9, 0);
var fdm = /* @__PURE__ */ hMap(fdt, 5, 0);
var shft = function(p) {
  return (p + 7) / 8 | 0;
};
var slc = function(v, s, e) {
  if (s == null || s < 0)
    s = 0;
  if (e == null || e > v.length)
    e = v.length;
  return new u8(v.subarray(s, e));
};
var wbits = function(d, p, v) {
  v <<= p & 7;
  var o = p / 8 | 0;
  d[o] |= v;
  d[o + 1] |= v >> 8;
};
var wbits16 = function(d, p, v) {
  v <<= p & 7;
  var o = p / 8 | 0;
  d[o] |= v;
  d[o + 1] |= v >> 8;
  d[o + 2] |= v >> 16;
};
var hTree = function(d, mb) {
  var t = [];
  for (var i2 = 0; i2 < d.length; ++i2) {
    if (d[i2])
      t.push({ s: i2, f: d[i2] });
  }
  var s = t.length;
  var t2 = t.slice();
  if (!s)
    return { t: et, l: 0 };
  if (s == 1) {
    var v = new u8(t[0].s + 1);
    v[t[0].s] = 1;
    return { t: v, l: 1 };
  }
  t.sort(function(a, b) {
    return a.f - b.f;
  });
  t.push({ s: -1, f: 25001 });
  var l = t[0], r = t[1], i0 = 0, i1 = 1, i22 = 2;
  t[0] = { s: -1, f: l.f + r.f, l, r };
  while (i1 != s - 1) {
    l = t[t[i0].f < t[i22].f ? i0++ : i22++];
    r = t[i0 != i1 && t[i0].f < t[i22].f ? i0++ : i22++];
    t[i1++] = { s: -1, f: l.f + r.f, l, r };
  }
  var maxSym = t2[0].s;
  for (var i2 = 1; i2 < s; ++i2) {
    if (t2[i2].s > maxSym)
      maxSym = t2[i2].s;
  }
  var tr = new u16(maxSym + 1);
  var mbt = ln(t[i1 - 1], tr, 0);
  if (mbt > mb) {
    var i2 = 0, dt = 0;
    var lft = mbt - mb, cst = 1 << lft;
    t2.sort(function(a, b) {
      return tr[b.s] - tr[a.s] || a.f - b.f;
    });
    for (; i2 < s; ++i2) {
      var i2_1 = t2[i2].s;
      if (tr[i2_1] > mb) {
        dt += cst - (1 << mbt - tr[i2_1]);
        tr[i2_1] = mb;
      } else
        break;
    }
    dt >>= lft;
    while (dt > 0) {
      var i2_2 = t2[i2].s;
      if (tr[i2_2] < mb)
        dt -= 1 << mb - tr[i2_2]++ - 1;
      else
        ++i2;
    }
    for (; i2 >= 0 && dt; --i2) {
      var i2_3 = t2[i2].s;
      if (tr[i2_3] == mb) {
        --tr[i2_3];
        ++dt;
      }
    }
    mbt = mb;
  }
  return { t: new u8(tr), l: mbt };
};
var ln = function(n, l, d) {
  return n.s == -1 ? Math.max(ln(n.l, l, d + 1), ln(n.r, l, d + 1)) : l[n.s] = d;
};
var lc = function(c) {
  var s = c.length;
  while (s && !c[--s])
    ;
  var cl = new u16(++s);
  var cli = 0, cln = c[0], cls = 1;
  var w = function(v) {
    cl[cli++] = v;
  };
  for (var i2 = 1; i2 <= s; ++i2) {
    if (c[i2] == cln && i2 != s)
      ++cls;
    else {
      if (!cln && cls > 2) {
        for (; cls > 138; cls -= 138)
          w(32754);
        if (cls > 2) {
          w(cls > 10 ? cls - 11 << 5 | 28690 : cls - 3 << 5 | 12305);
          cls = 0;
        }
      } else if (cls > 3) {
        w(cln), --cls;
        for (; cls > 6; cls -= 6)
          w(8304);
        if (cls > 2)
          w(cls - 3 << 5 | 8208), cls = 0;
      }
      while (cls--)
        w(cln);
      cls = 1;
      cln = c[i2];
    }
  }
  return { c: cl.subarray(0, cli), n: s };
};
var clen = function(cf, cl) {
  var l = 0;
  for (var i2 = 0; i2 < cl.length; ++i2)
    l += cf[i2] * cl[i2];
  return l;
};
var wfblk = function(out, pos, dat) {
  var s = dat.length;
  var o = shft(pos + 2);
  out[o] = s & 255;
  out[o + 1] = s >> 8;
  out[o + 2] = out[o] ^ 255;
  out[o + 3] = out[o + 1] ^ 255;
  for (var i2 = 0; i2 < s; ++i2)
    out[o + i2 + 4] = dat[i2];
  return (o + 4 + s) * 8;
};
var wblk = function(dat, out, final, syms, lf, df, eb, li, bs, bl, p) {
  wbits(out, p++, final);
  ++lf[256];
  var _a2 = hTree(lf, 15), dlt = _a2.t, mlb = _a2.l;
  var _b2 = hTree(df, 15), ddt = _b2.t, mdb = _b2.l;
  var _c = lc(dlt), lclt = _c.c, nlc = _c.n;
  var _d = lc(ddt), lcdt = _d.c, ndc = _d.n;
  var lcfreq = new u16(19);
  for (var i2 = 0; i2 < lclt.length; ++i2)
    ++lcfreq[lclt[i2] & 31];
  for (var i2 = 0; i2 < lcdt.length; ++i2)
    ++lcfreq[lcdt[i2] & 31];
  var _e = hTree(lcfreq, 7), lct = _e.t, mlcb = _e.l;
  var nlcc = 19;
  for (; nlcc > 4 && !lct[clim[nlcc - 1]]; --nlcc)
    ;
  var flen = bl + 5 << 3;
  var ftlen = clen(lf, flt) + clen(df, fdt) + eb;
  var dtlen = clen(lf, dlt) + clen(df, ddt) + eb + 14 + 3 * nlcc + clen(lcfreq, lct) + 2 * lcfreq[16] + 3 * lcfreq[17] + 7 * lcfreq[18];
  if (bs >= 0 && flen <= ftlen && flen <= dtlen)
    return wfblk(out, p, dat.subarray(bs, bs + bl));
  var lm, ll, dm, dl;
  wbits(out, p, 1 + (dtlen < ftlen)), p += 2;
  if (dtlen < ftlen) {
    lm = hMap(dlt, mlb, 0), ll = dlt, dm = hMap(ddt, mdb, 0), dl = ddt;
    var llm = hMap(lct, mlcb, 0);
    wbits(out, p, nlc - 257);
    wbits(out, p + 5, ndc - 1);
    wbits(out, p + 10, nlcc - 4);
    p += 14;
    for (var i2 = 0; i2 < nlcc; ++i2)
      wbits(out, p + 3 * i2, lct[clim[i2]]);
    p += 3 * nlcc;
    var lcts = [lclt, lcdt];
    for (var it = 0; it < 2; ++it) {
      var clct = lcts[it];
      for (var i2 = 0; i2 < clct.length; ++i2) {
        var len = clct[i2] & 31;
        wbits(out, p, llm[len]), p += lct[len];
        if (len > 15)
          wbits(out, p, clct[i2] >> 5 & 127), p += clct[i2] >> 12;
      }
    }
  } else {
    lm = flm, ll = flt, dm = fdm, dl = fdt;
  }
  for (var i2 = 0; i2 < li; ++i2) {
    var sym = syms[i2];
    if (sym > 255) {
      var len = sym >> 18 & 31;
      wbits16(out, p, lm[len + 257]), p += ll[len + 257];
      if (len > 7)
        wbits(out, p, sym >> 23 & 31), p += fleb[len];
      var dst = sym & 31;
      wbits16(out, p, dm[dst]), p += dl[dst];
      if (dst > 3)
        wbits16(out, p, sym >> 5 & 8191), p += fdeb[dst];
    } else {
      wbits16(out, p, lm[sym]), p += ll[sym];
    }
  }
  wbits16(out, p, lm[256]);
  return p + ll[256];
};
var deo = /* @__PURE__ */ new i32([65540, 131080, 131088, 131104, 262176, 1048704, 1048832, 2114560, 2117632]);
var et = /* @__PURE__ */ new u8(0);
var dflt = function(dat, lvl, plvl, pre, post, st) {
  var s = st.z || dat.length;
  var o = new u8(pre + s + 5 * (1 + Math.ceil(s / 7e3)) + post);
  var w = o.subarray(pre, o.length - post);
  var lst = st.l;
  var pos = (st.r || 0) & 7;
  if (lvl) {
    if (pos)
      w[0] = st.r >> 3;
    var opt = deo[lvl - 1];
    var n = opt >> 13, c = opt & 8191;
    var msk_1 = (1 << plvl) - 1;
    var prev = st.p || new u16(32768), head = st.h || new u16(msk_1 + 1);
    var bs1_1 = Math.ceil(plvl / 3), bs2_1 = 2 * bs1_1;
    var hsh = function(i3) {
      return (dat[i3] ^ dat[i3 + 1] << bs1_1 ^ dat[i3 + 2] << bs2_1) & msk_1;
    };
    var syms = new i32(25e3);
    var lf = new u16(288), df = new u16(32);
    var lc_1 = 0, eb = 0, i2 = st.i || 0, li = 0, wi = st.w || 0, bs = 0;
    for (; i2 + 2 < s; ++i2) {
      var hv = hsh(i2);
      var imod = i2 & 32767, pimod = head[hv];
      prev[imod] = pimod;
      head[hv] = imod;
      if (wi <= i2) {
        var rem = s - i2;
        if ((lc_1 > 7e3 || li > 24576) && (rem > 423 || !lst)) {
          pos = wblk(dat, w, 0, syms, lf, df, eb, li, bs, i2 - bs, pos);
          li = lc_1 = eb = 0, bs = i2;
          for (var j = 0; j < 286; ++j)
            lf[j] = 0;
          for (var j = 0; j < 30; ++j)
            df[j] = 0;
        }
        var l = 2, d = 0, ch_1 = c, dif = imod - pimod & 32767;
        if (rem > 2 && hv == hsh(i2 - dif)) {
          var maxn = Math.min(n, rem) - 1;
          var maxd = Math.min(32767, i2);
          var ml = Math.min(258, rem);
          while (dif <= maxd && --ch_1 && imod != pimod) {
            if (dat[i2 + l] == dat[i2 + l - dif]) {
              var nl = 0;
              for (; nl < ml && dat[i2 + nl] == dat[i2 + nl - dif]; ++nl)
                ;
              if (nl > l) {
                l = nl, d = dif;
                if (nl > maxn)
                  break;
                var mmd = Math.min(dif, nl - 2);
                var md = 0;
                for (var j = 0; j < mmd; ++j) {
                  var ti = i2 - dif + j & 32767;
                  var pti = prev[ti];
                  var cd = ti - pti & 32767;
                  if (cd > md)
                    md = cd, pimod = ti;
                }
              }
            }
            imod = pimod, pimod = prev[imod];
            dif += imod - pimod & 32767;
          }
        }
        if (d) {
          syms[li++] = 268435456 | revfl[l] << 18 | revfd[d];
          var lin = revfl[l] & 31, din = revfd[d] & 31;
          eb += fleb[lin] + fdeb[din];
          ++lf[257 + lin];
          ++df[din];
          wi = i2 + l;
          ++lc_1;
        } else {
          syms[li++] = dat[i2];
          ++lf[dat[i2]];
        }
      }
    }
    for (i2 = Math.max(i2, wi); i2 < s; ++i2) {
      syms[li++] = dat[i2];
      ++lf[dat[i2]];
    }
    pos = wblk(dat, w, lst, syms, lf, df, eb, li, bs, i2 - bs, pos);
    if (!lst) {
      st.r = pos & 7 | w[pos / 8 | 0] << 3;
      pos -= 7;
      st.h = head, st.p = prev, st.i = i2, st.w = wi;
    }
  } else {
    for (var i2 = st.w || 0; i2 < s + lst; i2 += 65535) {
      var e = i2 + 65535;
      if (e >= s) {
        w[pos / 8 | 0] = lst;
        e = s;
      }
      pos = wfblk(w, pos + 1, dat.subarray(i2, e));
    }
    st.i = s;
  }
  return slc(o, 0, pre + shft(pos) + post);
};
var adler = function() {
  var a = 1, b = 0;
  return {
    p: function(d) {
      var n = a, m = b;
      var l = d.length | 0;
      for (var i2 = 0; i2 != l; ) {
        var e = Math.min(i2 + 2655, l);
        for (; i2 < e; ++i2)
          m += n += d[i2];
        n = (n & 65535) + 15 * (n >> 16), m = (m & 65535) + 15 * (m >> 16);
      }
      a = n, b = m;
    },
    d: function() {
      a %= 65521, b %= 65521;
      return (a & 255) << 24 | (a & 65280) << 8 | (b & 255) << 8 | b >> 8;
    }
  };
};
var dopt = function(dat, opt, pre, post, st) {
  if (!st) {
    st = { l: 1 };
    if (opt.dictionary) {
      var dict = opt.dictionary.subarray(-32768);
      var newDat = new u8(dict.length + dat.length);
      newDat.set(dict);
      newDat.set(dat, dict.length);
      dat = newDat;
      st.w = dict.length;
    }
  }
  return dflt(dat, opt.level == null ? 6 : opt.level, opt.mem == null ? st.l ? Math.ceil(Math.max(8, Math.min(13, Math.log(dat.length))) * 1.5) : 20 : 12 + opt.mem, pre, post, st);
};
var wbytes = function(d, b, v) {
  for (; v; ++b)
    d[b] = v, v >>>= 8;
};
var zlh = function(c, o) {
  var lv = o.level, fl2 = lv == 0 ? 0 : lv < 6 ? 1 : lv == 9 ? 3 : 2;
  c[0] = 120, c[1] = fl2 << 6 | (o.dictionary && 32);
  c[1] |= 31 - (c[0] << 8 | c[1]) % 31;
  if (o.dictionary) {
    var h = adler();
    h.p(o.dictionary);
    wbytes(c, 2, h.d());
  }
};
function zlibSync(data, opts) {
  if (!opts)
    opts = {};
  var a = adler();
  a.p(data);
  var d = dopt(data, opts, opts.dictionary ? 6 : 2, 4);
  return zlh(d, opts), wbytes(d, d.length - 4, a.d()), d;
}
var td = typeof TextDecoder != "undefined" && /* @__PURE__ */ new TextDecoder();
var tds = 0;
try {
  td.decode(et, { stream: true });
  tds = 1;
} catch (e) {
}
function decode(bytes, encoding = "utf8") {
  const decoder = new TextDecoder(encoding);
  return decoder.decode(bytes);
}
var encoder = new TextEncoder();
function encode(str) {
  return encoder.encode(str);
}
var defaultByteLength = 1024 * 8;
var hostBigEndian = (() => {
  const array = new Uint8Array(4);
  const view = new Uint32Array(array.buffer);
  return !((view[0] = 1) & array[0]);
})();
var typedArrays = {
  int8: globalThis.Int8Array,
  uint8: globalThis.Uint8Array,
  int16: globalThis.Int16Array,
  uint16: globalThis.Uint16Array,
  int32: globalThis.Int32Array,
  uint32: globalThis.Uint32Array,
  uint64: globalThis.BigUint64Array,
  int64: globalThis.BigInt64Array,
  float32: globalThis.Float32Array,
  float64: globalThis.Float64Array
};
var IOBuffer = class _IOBuffer {
  /**
   * Reference to the internal ArrayBuffer object.
   */
  buffer;
  /**
   * Byte length of the internal ArrayBuffer.
   */
  byteLength;
  /**
   * Byte offset of the internal ArrayBuffer.
   */
  byteOffset;
  /**
   * Byte length of the internal ArrayBuffer.
   */
  length;
  /**
   * The current offset of the buffer's pointer.
   */
  offset;
  lastWrittenByte;
  littleEndian;
  _data;
  _mark;
  _marks;
  /**
   * Create a new IOBuffer.
   * @param data - The data to construct the IOBuffer with.
   * If data is a number, it will be the new buffer's length<br>
   * If data is `undefined`, the buffer will be initialized with a default length of 8Kb<br>
   * If data is an ArrayBuffer, SharedArrayBuffer, an ArrayBufferView (Typed Array), an IOBuffer instance,
   * or a Node.js Buffer, a view will be created over the underlying ArrayBuffer.
   * @param options - An object for the options.
   * @returns A new IOBuffer instance.
   */
  constructor(data = defaultByteLength, options = {}) {
    let dataIsGiven = false;
    if (typeof data === "number") {
      data = new ArrayBuffer(data);
    } else {
      dataIsGiven = true;
      this.lastWrittenByte = data.byteLength;
    }
    const offset = options.offset ? options.offset >>> 0 : 0;
    const byteLength = data.byteLength - offset;
    let dvOffset = offset;
    if (ArrayBuffer.isView(data) || data instanceof _IOBuffer) {
      if (data.byteLength !== data.buffer.byteLength) {
        dvOffset = data.byteOffset + offset;
      }
      data = data.buffer;
    }
    if (dataIsGiven) {
      this.lastWrittenByte = byteLength;
    } else {
      this.lastWrittenByte = 0;
    }
    this.buffer = data;
    this.length = byteLength;
    this.byteLength = byteLength;
    this.byteOffset = dvOffset;
    this.offset = 0;
    this.littleEndian = true;
    this._data = new DataView(this.buffer, dvOffset, byteLength);
    this._mark = 0;
    this._marks = [];
  }
  /**
   * Checks if the memory allocated to the buffer is sufficient to store more
   * bytes after the offset.
   * @param byteLength - The needed memory in bytes.
   * @returns `true` if there is sufficient space and `false` otherwise.
   */
  available(byteLength = 1) {
    return this.offset + byteLength <= this.length;
  }
  /**
   * Check if little-endian mode is used for reading and writing multi-byte
   * values.
   * @returns `true` if little-endian mode is used, `false` otherwise.
   */
  isLittleEndian() {
    return this.littleEndian;
  }
  /**
   * Set little-endian mode for reading and writing multi-byte values.
   * @returns This.
   */
  setLittleEndian() {
    this.littleEndian = true;
    return this;
  }
  /**
   * Check if big-endian mode is used for reading and writing multi-byte values.
   * @returns `true` if big-endian mode is used, `false` otherwise.
   */
  isBigEndian() {
    return !this.littleEndian;
  }
  /**
   * Switches to big-endian mode for reading and writing multi-byte values.
   * @returns This.
   */
  setBigEndian() {
    this.littleEndian = false;
    return this;
  }
  /**
   * Move the pointer n bytes forward.
   * @param n - Number of bytes to skip.
   * @returns This.
   */
  skip(n = 1) {
    this.offset += n;
    return this;
  }
  /**
   * Move the pointer n bytes backward.
   * @param n - Number of bytes to move back.
   * @returns This.
   */
  back(n = 1) {
    this.offset -= n;
    return this;
  }
  /**
   * Move the pointer to the given offset.
   * @param offset - The offset to move to.
   * @returns This.
   */
  seek(offset) {
    this.offset = offset;
    return this;
  }
  /**
   * Store the current pointer offset.
   * @see {@link IOBuffer#reset}
   * @returns This.
   */
  mark() {
    this._mark = this.offset;
    return this;
  }
  /**
   * Move the pointer back to the last pointer offset set by mark.
   * @see {@link IOBuffer#mark}
   * @returns This.
   */
  reset() {
    this.offset = this._mark;
    return this;
  }
  /**
   * Push the current pointer offset to the mark stack.
   * @see {@link IOBuffer#popMark}
   * @returns This.
   */
  pushMark() {
    this._marks.push(this.offset);
    return this;
  }
  /**
   * Pop the last pointer offset from the mark stack, and set the current
   * pointer offset to the popped value.
   * @see {@link IOBuffer#pushMark}
   * @returns This.
   */
  popMark() {
    const offset = this._marks.pop();
    if (offset === void 0) {
      throw new Error("Mark stack empty");
    }
    this.seek(offset);
    return this;
  }
  /**
   * Move the pointer offset back to 0.
   * @returns This.
   */
  rewind() {
    this.offset = 0;
    return this;
  }
  /**
   * Make sure the buffer has sufficient memory to write a given byteLength at
   * the current pointer offset.
   * If the buffer's memory is insufficient, this method will create a new
   * buffer (a copy) with a length that is twice (byteLength + current offset).
   * @param byteLength - The needed memory in bytes.
   * @returns This.
   */
  ensureAvailable(byteLength = 1) {
    if (!this.available(byteLength)) {
      const lengthNeeded = this.offset + byteLength;
      const newLength = lengthNeeded * 2;
      const newArray = new Uint8Array(newLength);
      newArray.set(new Uint8Array(this.buffer));
      this.buffer = newArray.buffer;
      this.length = newLength;
      this.byteLength = newLength;
      this._data = new DataView(this.buffer);
    }
    return this;
  }
  /**
   * Read a byte and return false if the byte's value is 0, or true otherwise.
   * Moves pointer forward by one byte.
   * @returns The read boolean.
   */
  readBoolean() {
    return this.readUint8() !== 0;
  }
  /**
   * Read a signed 8-bit integer and move pointer forward by 1 byte.
   * @returns The read byte.
   */
  readInt8() {
    return this._data.getInt8(this.offset++);
  }
  /**
   * Read an unsigned 8-bit integer and move pointer forward by 1 byte.
   * @returns The read byte.
   */
  readUint8() {
    return this._data.getUint8(this.offset++);
  }
  /**
   * Alias for {@link IOBuffer#readUint8}.
   * @returns The read byte.
   */
  readByte() {
    return this.readUint8();
  }
  /**
   * Read `n` bytes and move pointer forward by `n` bytes.
   * @param n - Number of bytes to read.
   * @returns The read bytes.
   */
  readBytes(n = 1) {
    return this.readArray(n, "uint8");
  }
  /**
   * Creates an array of corresponding to the type `type` and size `size`.
   * For example, type `uint8` will create a `Uint8Array`.
   * @param size - size of the resulting array
   * @param type - number type of elements to read
   * @returns The read array.
   */
  readArray(size, type) {
    const bytes = typedArrays[type].BYTES_PER_ELEMENT * size;
    const offset = this.byteOffset + this.offset;
    const slice = this.buffer.slice(offset, offset + bytes);
    if (this.littleEndian === hostBigEndian && type !== "uint8" && type !== "int8") {
      const slice2 = new Uint8Array(this.buffer.slice(offset, offset + bytes));
      slice2.reverse();
      const returnArray2 = new typedArrays[type](slice2.buffer);
      this.offset += bytes;
      returnArray2.reverse();
      return returnArray2;
    }
    const returnArray = new typedArrays[type](slice);
    this.offset += bytes;
    return returnArray;
  }
  /**
   * Read a 16-bit signed integer and move pointer forward by 2 bytes.
   * @returns The read value.
   */
  readInt16() {
    const value = this._data.getInt16(this.offset, this.littleEndian);
    this.offset += 2;
    return value;
  }
  /**
   * Read a 16-bit unsigned integer and move pointer forward by 2 bytes.
   * @returns The read value.
   */
  readUint16() {
    const value = this._data.getUint16(this.offset, this.littleEndian);
    this.offset += 2;
    return value;
  }
  /**
   * Read a 32-bit signed integer and move pointer forward by 4 bytes.
   * @returns The read value.
   */
  readInt32() {
    const value = this._data.getInt32(this.offset, this.littleEndian);
    this.offset += 4;
    return value;
  }
  /**
   * Read a 32-bit unsigned integer and move pointer forward by 4 bytes.
   * @returns The read value.
   */
  readUint32() {
    const value = this._data.getUint32(this.offset, this.littleEndian);
    this.offset += 4;
    return value;
  }
  /**
   * Read a 32-bit floating number and move pointer forward by 4 bytes.
   * @returns The read value.
   */
  readFloat32() {
    const value = this._data.getFloat32(this.offset, this.littleEndian);
    this.offset += 4;
    return value;
  }
  /**
   * Read a 64-bit floating number and move pointer forward by 8 bytes.
   * @returns The read value.
   */
  readFloat64() {
    const value = this._data.getFloat64(this.offset, this.littleEndian);
    this.offset += 8;
    return value;
  }
  /**
   * Read a 64-bit signed integer number and move pointer forward by 8 bytes.
   * @returns The read value.
   */
  readBigInt64() {
    const value = this._data.getBigInt64(this.offset, this.littleEndian);
    this.offset += 8;
    return value;
  }
  /**
   * Read a 64-bit unsigned integer number and move pointer forward by 8 bytes.
   * @returns The read value.
   */
  readBigUint64() {
    const value = this._data.getBigUint64(this.offset, this.littleEndian);
    this.offset += 8;
    return value;
  }
  /**
   * Read a 1-byte ASCII character and move pointer forward by 1 byte.
   * @returns The read character.
   */
  readChar() {
    return String.fromCharCode(this.readInt8());
  }
  /**
   * Read `n` 1-byte ASCII characters and move pointer forward by `n` bytes.
   * @param n - Number of characters to read.
   * @returns The read characters.
   */
  readChars(n = 1) {
    let result = "";
    for (let i2 = 0; i2 < n; i2++) {
      result += this.readChar();
    }
    return result;
  }
  /**
   * Read the next `n` bytes, return a UTF-8 decoded string and move pointer
   * forward by `n` bytes.
   * @param n - Number of bytes to read.
   * @returns The decoded string.
   */
  readUtf8(n = 1) {
    return decode(this.readBytes(n));
  }
  /**
   * Read the next `n` bytes, return a string decoded with `encoding` and move pointer
   * forward by `n` bytes.
   * If no encoding is passed, the function is equivalent to @see {@link IOBuffer#readUtf8}
   * @param n - Number of bytes to read.
   * @param encoding - The encoding to use. Default is 'utf8'.
   * @returns The decoded string.
   */
  decodeText(n = 1, encoding = "utf8") {
    return decode(this.readBytes(n), encoding);
  }
  /**
   * Write 0xff if the passed value is truthy, 0x00 otherwise and move pointer
   * forward by 1 byte.
   * @param value - The value to write.
   * @returns This.
   */
  writeBoolean(value) {
    this.writeUint8(value ? 255 : 0);
    return this;
  }
  /**
   * Write `value` as an 8-bit signed integer and move pointer forward by 1 byte.
   * @param value - The value to write.
   * @returns This.
   */
  writeInt8(value) {
    this.ensureAvailable(1);
    this._data.setInt8(this.offset++, value);
    this._updateLastWrittenByte();
    return this;
  }
  /**
   * Write `value` as an 8-bit unsigned integer and move pointer forward by 1
   * byte.
   * @param value - The value to write.
   * @returns This.
   */
  writeUint8(value) {
    this.ensureAvailable(1);
    this._data.setUint8(this.offset++, value);
    this._updateLastWrittenByte();
    return this;
  }
  /**
   * An alias for {@link IOBuffer#writeUint8}.
   * @param value - The value to write.
   * @returns This.
   */
  writeByte(value) {
    return this.writeUint8(value);
  }
  /**
   * Write all elements of `bytes` as uint8 values and move pointer forward by
   * `bytes.length` bytes.
   * @param bytes - The array of bytes to write.
   * @returns This.
   */
  writeBytes(bytes) {
    this.ensureAvailable(bytes.length);
    for (let i2 = 0; i2 < bytes.length; i2++) {
      this._data.setUint8(this.offset++, bytes[i2]);
    }
    this._updateLastWrittenByte();
    return this;
  }
  /**
   * Write `value` as a 16-bit signed integer and move pointer forward by 2
   * bytes.
   * @param value - The value to write.
   * @returns This.
   */
  writeInt16(value) {
    this.ensureAvailable(2);
    this._data.setInt16(this.offset, value, this.littleEndian);
    this.offset += 2;
    this._updateLastWrittenByte();
    return this;
  }
  /**
   * Write `value` as a 16-bit unsigned integer and move pointer forward by 2
   * bytes.
   * @param value - The value to write.
   * @returns This.
   */
  writeUint16(value) {
    this.ensureAvailable(2);
    this._data.setUint16(this.offset, value, this.littleEndian);
    this.offset += 2;
    this._updateLastWrittenByte();
    return this;
  }
  /**
   * Write `value` as a 32-bit signed integer and move pointer forward by 4
   * bytes.
   * @param value - The value to write.
   * @returns This.
   */
  writeInt32(value) {
    this.ensureAvailable(4);
    this._data.setInt32(this.offset, value, this.littleEndian);
    this.offset += 4;
    this._updateLastWrittenByte();
    return this;
  }
  /**
   * Write `value` as a 32-bit unsigned integer and move pointer forward by 4
   * bytes.
   * @param value - The value to write.
   * @returns This.
   */
  writeUint32(value) {
    this.ensureAvailable(4);
    this._data.setUint32(this.offset, value, this.littleEndian);
    this.offset += 4;
    this._updateLastWrittenByte();
    return this;
  }
  /**
   * Write `value` as a 32-bit floating number and move pointer forward by 4
   * bytes.
   * @param value - The value to write.
   * @returns This.
   */
  writeFloat32(value) {
    this.ensureAvailable(4);
    this._data.setFloat32(this.offset, value, this.littleEndian);
    this.offset += 4;
    this._updateLastWrittenByte();
    return this;
  }
  /**
   * Write `value` as a 64-bit floating number and move pointer forward by 8
   * bytes.
   * @param value - The value to write.
   * @returns This.
   */
  writeFloat64(value) {
    this.ensureAvailable(8);
    this._data.setFloat64(this.offset, value, this.littleEndian);
    this.offset += 8;
    this._updateLastWrittenByte();
    return this;
  }
  /**
   * Write `value` as a 64-bit signed bigint and move pointer forward by 8
   * bytes.
   * @param value - The value to write.
   * @returns This.
   */
  writeBigInt64(value) {
    this.ensureAvailable(8);
    this._data.setBigInt64(this.offset, value, this.littleEndian);
    this.offset += 8;
    this._updateLastWrittenByte();
    return this;
  }
  /**
   * Write `value` as a 64-bit unsigned bigint and move pointer forward by 8
   * bytes.
   * @param value - The value to write.
   * @returns This.
   */
  writeBigUint64(value) {
    this.ensureAvailable(8);
    this._data.setBigUint64(this.offset, value, this.littleEndian);
    this.offset += 8;
    this._updateLastWrittenByte();
    return this;
  }
  /**
   * Write the charCode of `str`'s first character as an 8-bit unsigned integer
   * and move pointer forward by 1 byte.
   * @param str - The character to write.
   * @returns This.
   */
  writeChar(str) {
    return this.writeUint8(str.charCodeAt(0));
  }
  /**
   * Write the charCodes of all `str`'s characters as 8-bit unsigned integers
   * and move pointer forward by `str.length` bytes.
   * @param str - The characters to write.
   * @returns This.
   */
  writeChars(str) {
    for (let i2 = 0; i2 < str.length; i2++) {
      this.writeUint8(str.charCodeAt(i2));
    }
    return this;
  }
  /**
   * UTF-8 encode and write `str` to the current pointer offset and move pointer
   * forward according to the encoded length.
   * @param str - The string to write.
   * @returns This.
   */
  writeUtf8(str) {
    return this.writeBytes(encode(str));
  }
  /**
   * Export a Uint8Array view of the internal buffer.
   * The view starts at the byte offset and its length
   * is calculated to stop at the last written byte or the original length.
   * @returns A new Uint8Array view.
   */
  toArray() {
    return new Uint8Array(this.buffer, this.byteOffset, this.lastWrittenByte);
  }
  /**
   *  Get the total number of bytes written so far, regardless of the current offset.
   * @returns - Total number of bytes.
   */
  getWrittenByteLength() {
    return this.lastWrittenByte - this.byteOffset;
  }
  /**
   * Update the last written byte offset
   * @private
   */
  _updateLastWrittenByte() {
    if (this.offset > this.lastWrittenByte) {
      this.lastWrittenByte = this.offset;
    }
  }
};
var crcTable = [];
for (let n = 0; n < 256; n++) {
  let c = n;
  for (let k = 0; k < 8; k++) {
    if (c & 1) {
      c = 3988292384 ^ c >>> 1;
    } else {
      c = c >>> 1;
    }
  }
  crcTable[n] = c;
}
var initialCrc = 4294967295;
function updateCrc(currentCrc, data, length2) {
  let c = currentCrc;
  for (let n = 0; n < length2; n++) {
    c = crcTable[(c ^ data[n]) & 255] ^ c >>> 8;
  }
  return c;
}
function crc(data, length2) {
  return (updateCrc(initialCrc, data, length2) ^ initialCrc) >>> 0;
}
function writeCrc(buffer, length2) {
  buffer.writeUint32(crc(new Uint8Array(buffer.buffer, buffer.byteOffset + buffer.offset - length2, length2), length2));
}
var uint16 = new Uint16Array([255]);
var uint8 = new Uint8Array(uint16.buffer);
var osIsLittleEndian = uint8[0] === 255;
var uint162 = new Uint16Array([255]);
var uint82 = new Uint8Array(uint162.buffer);
var osIsLittleEndian2 = uint82[0] === 255;
var empty = new Uint8Array(0);
var pngSignature = Uint8Array.of(137, 80, 78, 71, 13, 10, 26, 10);
function writeSignature(buffer) {
  buffer.writeBytes(pngSignature);
}
var textChunkName = "tEXt";
var NULL = 0;
var latin1Decoder = new TextDecoder("latin1");
function validateKeyword(keyword) {
  validateLatin1(keyword);
  if (keyword.length === 0 || keyword.length > 79) {
    throw new Error("keyword length must be between 1 and 79");
  }
}
var latin1Regex = /^[\u0000-\u00FF]*$/;
function validateLatin1(text2) {
  if (!latin1Regex.test(text2)) {
    throw new Error("invalid latin1 text");
  }
}
function encodetEXt(buffer, keyword, text2) {
  validateKeyword(keyword);
  validateLatin1(text2);
  const length2 = keyword.length + 1 + text2.length;
  buffer.writeUint32(length2);
  buffer.writeChars(textChunkName);
  buffer.writeChars(keyword);
  buffer.writeByte(NULL);
  buffer.writeChars(text2);
  writeCrc(buffer, length2 + 4);
}
var ColorType = {
  UNKNOWN: -1,
  GREYSCALE: 0,
  TRUECOLOUR: 2,
  INDEXED_COLOUR: 3,
  GREYSCALE_ALPHA: 4,
  TRUECOLOUR_ALPHA: 6
};
var CompressionMethod = {
  UNKNOWN: -1,
  DEFLATE: 0
};
var FilterMethod = {
  UNKNOWN: -1,
  ADAPTIVE: 0
};
var InterlaceMethod = {
  UNKNOWN: -1,
  NO_INTERLACE: 0,
  ADAM7: 1
};
var defaultZlibOptions = {
  level: 3
};
var PngEncoder = class extends IOBuffer {
  _png;
  _zlibOptions;
  _colorType;
  _interlaceMethod;
  constructor(data, options = {}) {
    super();
    this._colorType = ColorType.UNKNOWN;
    this._zlibOptions = { ...defaultZlibOptions, ...options.zlib };
    this._png = this._checkData(data);
    this._interlaceMethod = (options.interlace === "Adam7" ? InterlaceMethod.ADAM7 : InterlaceMethod.NO_INTERLACE) ?? InterlaceMethod.NO_INTERLACE;
    this.setBigEndian();
  }
  encode() {
    writeSignature(this);
    this.encodeIHDR();
    if (this._png.palette) {
      this.encodePLTE();
      if (this._png.palette[0].length === 4) {
        this.encodeTRNS();
      }
    }
    this.encodeData();
    if (this._png.text) {
      for (const [keyword, text2] of Object.entries(this._png.text)) {
        encodetEXt(this, keyword, text2);
      }
    }
    this.encodeIEND();
    return this.toArray();
  }
  // https://www.w3.org/TR/PNG/#11IHDR
  encodeIHDR() {
    this.writeUint32(13);
    this.writeChars("IHDR");
    this.writeUint32(this._png.width);
    this.writeUint32(this._png.height);
    this.writeByte(this._png.depth);
    this.writeByte(this._colorType);
    this.writeByte(CompressionMethod.DEFLATE);
    this.writeByte(FilterMethod.ADAPTIVE);
    this.writeByte(this._interlaceMethod);
    writeCrc(this, 17);
  }
  // https://www.w3.org/TR/PNG/#11IEND
  encodeIEND() {
    this.writeUint32(0);
    this.writeChars("IEND");
    writeCrc(this, 4);
  }
  encodePLTE() {
    const paletteLength = this._png.palette?.length * 3;
    this.writeUint32(paletteLength);
    this.writeChars("PLTE");
    for (const color of this._png.palette) {
      this.writeByte(color[0]);
      this.writeByte(color[1]);
      this.writeByte(color[2]);
    }
    writeCrc(this, 4 + paletteLength);
  }
  encodeTRNS() {
    const alpha = this._png.palette.filter((color) => {
      return color.at(-1) !== 255;
    });
    this.writeUint32(alpha.length);
    this.writeChars("tRNS");
    for (const el of alpha) {
      this.writeByte(el.at(-1));
    }
    writeCrc(this, 4 + alpha.length);
  }
  // https://www.w3.org/TR/PNG/#11IDAT
  encodeIDAT(data) {
    this.writeUint32(data.length);
    this.writeChars("IDAT");
    this.writeBytes(data);
    writeCrc(this, data.length + 4);
  }
  encodeData() {
    const { width, height, channels, depth, data } = this._png;
    const slotsPerLine = depth <= 8 ? Math.ceil(width * depth / 8) * channels : Math.ceil(width * depth / 8 * channels / 2);
    const newData = new IOBuffer().setBigEndian();
    let offset = 0;
    if (this._interlaceMethod === InterlaceMethod.NO_INTERLACE) {
      for (let i2 = 0; i2 < height; i2++) {
        newData.writeByte(0);
        if (depth === 16) {
          offset = writeDataUint16(data, newData, slotsPerLine, offset);
        } else {
          offset = writeDataBytes(data, newData, slotsPerLine, offset);
        }
      }
    } else if (this._interlaceMethod === InterlaceMethod.ADAM7) {
      offset = writeDataInterlaced(this._png, data, newData, offset);
    }
    const buffer = newData.toArray();
    const compressed = zlibSync(buffer, this._zlibOptions);
    this.encodeIDAT(compressed);
  }
  _checkData(data) {
    const { colorType, channels, depth } = getColorType(data, data.palette);
    const png = {
      width: checkInteger(data.width, "width"),
      height: checkInteger(data.height, "height"),
      channels,
      data: data.data,
      depth,
      text: data.text,
      palette: data.palette
    };
    this._colorType = colorType;
    const expectedSize = depth < 8 ? Math.ceil(png.width * depth / 8) * png.height * channels : png.width * png.height * channels;
    if (png.data.length !== expectedSize) {
      throw new RangeError(`wrong data size. Found ${png.data.length}, expected ${expectedSize}`);
    }
    return png;
  }
};
function checkInteger(value, name2) {
  if (Number.isInteger(value) && value > 0) {
    return value;
  }
  throw new TypeError(`${name2} must be a positive integer`);
}
function getColorType(data, palette) {
  const { channels = 4, depth = 8 } = data;
  if (channels !== 4 && channels !== 3 && channels !== 2 && channels !== 1) {
    throw new RangeError(`unsupported number of channels: ${channels}`);
  }
  const returnValue = {
    channels,
    depth,
    colorType: ColorType.UNKNOWN
  };
  switch (channels) {
    case 4:
      returnValue.colorType = ColorType.TRUECOLOUR_ALPHA;
      break;
    case 3:
      returnValue.colorType = ColorType.TRUECOLOUR;
      break;
    case 1:
      if (palette) {
        returnValue.colorType = ColorType.INDEXED_COLOUR;
      } else {
        returnValue.colorType = ColorType.GREYSCALE;
      }
      break;
    case 2:
      returnValue.colorType = ColorType.GREYSCALE_ALPHA;
      break;
    default:
      throw new Error("unsupported number of channels");
  }
  return returnValue;
}
function writeDataBytes(data, newData, slotsPerLine, offset) {
  for (let j = 0; j < slotsPerLine; j++) {
    newData.writeByte(data[offset++]);
  }
  return offset;
}
function writeDataInterlaced(imageData, data, newData, offset) {
  const passes = [
    { x: 0, y: 0, xStep: 8, yStep: 8 },
    { x: 4, y: 0, xStep: 8, yStep: 8 },
    { x: 0, y: 4, xStep: 4, yStep: 8 },
    { x: 2, y: 0, xStep: 4, yStep: 4 },
    { x: 0, y: 2, xStep: 2, yStep: 4 },
    { x: 1, y: 0, xStep: 2, yStep: 2 },
    { x: 0, y: 1, xStep: 1, yStep: 2 }
  ];
  const { width, height, channels, depth } = imageData;
  let pixelSize2;
  if (depth === 16) {
    pixelSize2 = channels * depth / 8 / 2;
  } else {
    pixelSize2 = channels * depth / 8;
  }
  for (let passIndex = 0; passIndex < 7; passIndex++) {
    const pass = passes[passIndex];
    const passWidth = Math.floor((width - pass.x + pass.xStep - 1) / pass.xStep);
    const passHeight = Math.floor((height - pass.y + pass.yStep - 1) / pass.yStep);
    if (passWidth <= 0 || passHeight <= 0)
      continue;
    const passLineBytes = passWidth * pixelSize2;
    for (let y = 0; y < passHeight; y++) {
      const imageY = pass.y + y * pass.yStep;
      const rawScanline = depth <= 8 ? new Uint8Array(passLineBytes) : new Uint16Array(passLineBytes);
      let rawOffset = 0;
      for (let x2 = 0; x2 < passWidth; x2++) {
        const imageX = pass.x + x2 * pass.xStep;
        if (imageX < width && imageY < height) {
          const srcPos = (imageY * width + imageX) * pixelSize2;
          for (let i2 = 0; i2 < pixelSize2; i2++) {
            rawScanline[rawOffset++] = data[srcPos + i2];
          }
        }
      }
      newData.writeByte(0);
      if (depth === 8) {
        newData.writeBytes(rawScanline);
      } else if (depth === 16) {
        for (const value of rawScanline) {
          newData.writeByte(value >> 8 & 255);
          newData.writeByte(value & 255);
        }
      }
    }
  }
  return offset;
}
function writeDataUint16(data, newData, slotsPerLine, offset) {
  for (let j = 0; j < slotsPerLine; j++) {
    newData.writeUint16(data[offset++]);
  }
  return offset;
}
function encodePng(png, options) {
  const encoder2 = new PngEncoder(png, options);
  return encoder2.encode();
}
function pictureData(picture2, { x: x2, y, width, height }) {
  const data = new Uint8Array(width * height * 4);
  for (let row = 0; row < height; row++) {
    const from = ((y + row) * picture2.width + x2) * 4;
    data.set(picture2.data.subarray(from, from + width * 4), row * width * 4);
  }
  return encodePng({ width, height, data, channels: 4, depth: 8 });
}

// packages/frame-juggler/dist/surfaces/svg/paint.js
function paintAttributes(name2, paint, box, beyond, defs) {
  if (typeof paint !== "number")
    return { [name2]: `url(#${serverOf(paint, box, beyond, defs)})` };
  const opaque = alphaOf(paint) === 255;
  return { [name2]: opaqueColor(paint), [`${name2}-opacity`]: opaque ? void 0 : unit(alphaOf(paint)) };
}
var opaqueColor = (color) => cssColor(color | 255 << 24);
var unit = (byte) => short(Number((byte / 255).toFixed(4)));
function serverOf(paint, box, beyond, defs) {
  return servers[paint.type](paint, box, beyond, defs);
}
var servers = {
  linear(gradient, box, _, defs) {
    const [[x1, y1], [x2, y2]] = [gradient.from, gradient.to];
    if (!isFiniteBox(box()) || x1 === x2 && y1 === y2)
      return nothing(defs);
    return defs.add("linearGradient", { ...commonOf(gradient, box, defs), ...written({ x1, y1, x2, y2 }, defs.write) }, stopsOf(gradient));
  },
  radial(gradient, box, _, defs) {
    const { at, focus, radius } = gradient;
    if (!isFiniteBox(box()))
      return nothing(defs);
    const [fx, fy] = focus[0] !== at[0] || focus[1] !== at[1] ? focus : [void 0, void 0];
    const place = { cx: at[0], cy: at[1], r: radius, fx, fy };
    return defs.add("radialGradient", { ...commonOf(gradient, box, defs), ...written(place, defs.write) }, stopsOf(gradient));
  },
  conic(gradient, box, beyond, defs) {
    if (!isFiniteBox(box()))
      return nothing(defs);
    return conicOf(gradient, unitsOf(gradient, box), padBox(box(), beyond), defs);
  },
  pattern({ picture: picture2, transform, smooth }, _box, _beyond, defs) {
    const { width, height } = picture2;
    const content = pictureElement(picture2, { x: 0, y: 0, width, height }, smooth, {});
    const place = {
      width,
      height,
      patternUnits: "userSpaceOnUse",
      patternTransform: transformText(transform, defs.write)
    };
    return defs.add("pattern", place, [content]);
  },
  picture() {
    throw new Error("a picture is an element of its own");
  }
};
function nothing(defs) {
  return defs.add("pattern", { width: 0, height: 0 }, []);
}
function isFiniteBox({ left, top, right, bottom }) {
  return Number.isFinite(right - left + bottom - top);
}
function unitsOf(gradient, box) {
  return gradient.units === "box" ? boxUnits(box()) : identity;
}
function commonOf(gradient, box, { write }) {
  return {
    gradientUnits: "userSpaceOnUse",
    gradientTransform: transformText(unitsOf(gradient, box), write),
    spreadMethod: gradient.spread === "pad" ? void 0 : gradient.spread
  };
}
function stopsOf({ stops }) {
  return stops.map(({ offset, color }) => element("stop", {
    offset,
    "stop-color": opaqueColor(color),
    "stop-opacity": alphaOf(color) === 255 ? void 0 : unit(alphaOf(color))
  }));
}
var maxWedges = 720;
function conicOf(gradient, units, box, defs) {
  const { write } = defs;
  const { at, start, stops } = gradient;
  const wedges = [];
  const [a, , , d, e, f] = units;
  const [cx, cy] = [a * at[0] + e, d * at[1] + f];
  const reach = 2 * hypot(Math.max(Math.abs(box.left - cx), Math.abs(box.right - cx)) / a, Math.max(Math.abs(box.top - cy), Math.abs(box.bottom - cy)) / d);
  if (!Number.isFinite(hypot(at[0], at[1], reach)))
    return nothing(defs);
  const rim = (turn) => {
    const { sin: sin2, cos: cos2 } = sinCos(start + turn * 360);
    return `${write(at[0] + reach * cos2)},${write(at[1] + reach * sin2)}`;
  };
  const wedge = (from, to, color) => {
    const points = `${write(at[0])},${write(at[1])} ${rim(from)} ${rim(to)}`;
    const alpha = alphaOf(color) === 255 ? void 0 : unit(alphaOf(color));
    wedges.push(element("polygon", { points, fill: opaqueColor(color), "fill-opacity": alpha }));
  };
  const spans = [{ offset: 0, color: stops[0].color }, ...stops, { offset: 1, color: stops[stops.length - 1].color }];
  for (let i2 = 1; i2 < spans.length; i2++) {
    const [from, to] = [spans[i2 - 1], spans[i2]];
    const span2 = to.offset - from.offset;
    if (span2 <= 0)
      continue;
    const count2 = Math.max(Math.ceil(span2 * 24), Math.min(Math.ceil(span2 * maxWedges), difference(from.color, to.color)));
    for (let step = 0; step < count2; step++) {
      const at0 = from.offset + span2 * step / count2;
      const at1 = from.offset + span2 * (step + 1) / count2;
      wedge(at0, at1, mixed(from.color, to.color, (step + 0.5) / count2));
    }
  }
  const { left, top, right, bottom } = box;
  const [dx, dy] = [(right - left) * 0.1 + 1, (bottom - top) * 0.1 + 1];
  const corner = translation(left - dx, top - dy);
  const place = {
    ...written({ width: right - left + 2 * dx, height: bottom - top + 2 * dy }, write),
    patternTransform: transformText(corner, write)
  };
  const transform = transformText(multiply(translation(dx - left, dy - top), units), write);
  const drawn = element("g", { transform, "shape-rendering": "crispEdges" }, wedges);
  return defs.add("pattern", { patternUnits: "userSpaceOnUse", ...place }, [drawn]);
}
function difference(a, b) {
  return Math.max(...[redOf, greenOf, blueOf, alphaOf].map((channel) => Math.abs(channel(a) - channel(b))), 1);
}
function mixed(a, b, t) {
  const mix2 = (channel) => channel(a) * (1 - t) + channel(b) * t;
  return pack(mix2(redOf), mix2(greenOf), mix2(blueOf), mix2(alphaOf));
}
function placedPicture({ picture: picture2, crop, smooth, ...fill }, transform, rest, write) {
  return pictureElement(picture2, crop, smooth, {
    transform: transformText(multiply(transform, fill.transform), write),
    ...rest
  });
}
var kept = /* @__PURE__ */ new WeakMap();
function pictureElement(picture2, part, smooth, attributes) {
  const { width, height } = part;
  return element("image", {
    width,
    height,
    ...attributes,
    style: smooth ? void 0 : "image-rendering:pixelated",
    href: dataUrl(picture2, part)
  });
}
function dataUrl(picture2, part) {
  let known = kept.get(picture2);
  if (known?.version !== picture2.version)
    kept.set(picture2, known = { version: picture2.version, byPart: /* @__PURE__ */ new Map() });
  const key = `${part.x} ${part.y} ${part.width} ${part.height}`;
  let url = known.byPart.get(key);
  if (url === void 0)
    known.byPart.set(key, url = `data:image/png;base64,${base64(pictureData(picture2, part))}`);
  return url;
}
function base64(bytes) {
  let text2 = "";
  for (let at = 0; at < bytes.length; at += 32768)
    text2 += String.fromCharCode(...bytes.subarray(at, at + 32768));
  return btoa(text2);
}

// packages/frame-juggler/dist/surfaces/svg/svg.js
function writeSvg(frames, texts = {}) {
  return `${[...svgParts(frames, texts)].join("\n")}
`;
}
function svgParts(frames, texts = {}) {
  const list = (Array.isArray(frames) ? frames : [frames]).map(broughtNear);
  const backend = new SvgBackend(list.length);
  const compositor = new Compositor(backend);
  for (const frame of list)
    compositor.draw(frame);
  return backend.document(list[list.length - 1], texts);
}
var farOff = 1e3;
function broughtNear(frame) {
  const { x: x2, y, width, height } = canvasIn(frame);
  const isFar = Math.max(Math.abs(x2), Math.abs(y)) > farOff * Math.max(width, height);
  return isFar ? countedFrom(frame, [x2, y]) : frame;
}
function canvasIn({ width, height, view }) {
  const back = inverse(view) ?? view;
  const corners = [apply(back, 0, 0), apply(back, width, height)];
  const [x2, y] = [Math.min(corners[0][0], corners[1][0]), Math.min(corners[0][1], corners[1][1])];
  return { x: x2, y, width: Math.abs(corners[1][0] - corners[0][0]), height: Math.abs(corners[1][1] - corners[0][1]) };
}
var chunkSize = 512;
var SvgLayer = class {
  names;
  chunks = [];
  recent = [];
  /** Each of them as it stands in a clip path; undefined where that is not wanted, or one is no plain filled outline. */
  outlines;
  constructor(names, isMask) {
    this.names = names;
    this.outlines = isMask ? [] : void 0;
  }
  add(drawn) {
    if (this.recent.push(drawn) === chunkSize) {
      this.chunks.push(this.recent.join("\n"));
      this.recent = [];
    }
  }
  /** All of them, some put together. */
  get elements() {
    return [...this.chunks, ...this.recent];
  }
};
var SvgBackend = class {
  toCome;
  fadesAsOne = true;
  wantsGroups = true;
  takenIds = /* @__PURE__ */ new Set();
  idCounts = /* @__PURE__ */ new Map();
  defs = new Definitions((wanted) => this.id(wanted));
  /** What lies under all frames. */
  ground = [];
  /** The frames so far. */
  content = [];
  /** Whether anything of them mixes with what it lies on, which no group may be put around. */
  mixes = false;
  background;
  stage;
  /** @param toCome of how many frames the document is */
  constructor(toCome) {
    this.toCome = toCome;
  }
  begin(stage) {
    this.stage = stage;
    this.toCome--;
    this.defs.write = inDigits(digitsFor(canvasIn(stage.frame)));
    return { layer: new SvgLayer({}, false), base: identity };
  }
  /** Puts a frame's elements over what is left of the frames before it. */
  end({ elements }, { background, carry, frame }) {
    const view = transformText(frame.view, this.defs.write);
    const drawn = view === void 0 || elements.length === 0 ? elements : [element("g", { transform: view }, elements)];
    const whole2 = { width: frame.width, height: frame.height, fill: cssColor(background | 255 << 24) };
    const veil = (opacity) => opacity === 0 ? [] : [element("rect", { ...whole2, "fill-opacity": faded(opacity) })];
    const alpha = alphaOf(background);
    if (carry === 0)
      [this.ground, this.content] = [veil(alpha / 255), []];
    else if ((this.mixes || background !== this.background) && alpha === 255) {
      this.content = [...this.ground, ...this.content, ...veil(1 - carry)];
      [this.ground, this.mixes] = [[], true];
    } else {
      const [now, before] = [leftAfter(this.toCome + 1, carry), leftAfter(this.toCome, carry)];
      if (now === 0)
        this.content = [];
      else if (now < before)
        this.content = [`<g opacity="${faded(now / before)}">`, ...this.content, "</g>"];
    }
    this.background = background;
    this.content.push(...drawn);
  }
  /** Of frames gone by, only what can be seen is told. */
  get isPast() {
    return this.toCome > 0;
  }
  document(last, texts) {
    const { width, height } = last;
    const { Description, ...facts } = texts;
    const lines = Object.entries(facts).map(([keyword, text2]) => `${keyword}: ${text2.replace(/\s+/g, " ")}`);
    const viewBox = `0 0 ${short(width)} ${short(height)}`;
    const attributes = { xmlns: "http://www.w3.org/2000/svg", ...pictureSize(last), viewBox };
    const children = [
      ...texts.Title === void 0 ? [] : [textElement("title", texts.Title)],
      ...Description === void 0 ? [] : [textElement("desc", Description)],
      ...lines.length === 0 ? [] : [textElement("metadata", `
${lines.join("\n")}
`)],
      ...this.defs.elements,
      ...this.ground,
      ...this.content
    ];
    return { [Symbol.iterator]: () => elementParts("svg", attributes, children) };
  }
  /** Names are given as things begin, so that of two with one label the outer or the earlier one has it plain. */
  open(group) {
    return new SvgLayer(this.name(this.labelOf(group)), group === void 0);
  }
  composite(layer, onto, mixing, mask, group) {
    const attributes = group?.isolated === false ? {} : { ...mixingOf(mixing), ...this.maskOf(mask) };
    if (mixing.blend !== "normal")
      this.mixes = true;
    onto.add(element("g", { ...layer.names, ...attributes }, [...title(this.labelOf(group)), ...layer.elements]));
    onto.outlines = void 0;
  }
  draw(layer, item, matrix, mixing) {
    const { path, fill, stroke, fillRule } = item;
    if (!isFinitePath(path) || fill === void 0 && stroke === void 0)
      return;
    if (mixing.blend !== "normal")
      this.mixes = true;
    const common = mixingOf(mixing);
    const label = this.labelOf(item);
    const text2 = this.isPast ? void 0 : item.text;
    const names = this.name(label);
    if (typeof fill === "object" && fill.type === "picture") {
      const drawn = stroke === void 0 ? [] : [this.outlined(item, matrix, { fill: "none" }, stroke)];
      const picture2 = placedPicture(fill, matrix, drawn.length === 0 ? { ...names, ...common } : {}, this.defs.write);
      layer.outlines = void 0;
      if (drawn.length === 0)
        return layer.add(withTitle(label, picture2));
      return layer.add(element("g", { ...names, ...common }, [...title(label), picture2, ...drawn]));
    }
    const box = () => pathBox(path);
    const painted = fill === void 0 ? { fill: "none" } : paintAttributes("fill", fill, box, 0, this.defs);
    const filled = fillRule === "evenodd" ? { ...painted, "fill-rule": fillRule } : painted;
    this.noteOutline(layer, item, matrix);
    if (text2 === void 0) {
      const drawn = this.outlined(item, matrix, filled, stroke, names, common);
      return layer.add(withTitle(label, drawn));
    }
    const { left, top, right, bottom } = box();
    const place = {
      ...written({ x: left, y: bottom, "font-size": bottom - top, textLength: right - left }, this.defs.write),
      lengthAdjust: "spacingAndGlyphs",
      fill: "none",
      transform: transformText(matrix, this.defs.write)
    };
    layer.add(element("g", { ...names, ...common }, [
      ...title(label),
      this.outlined(item, matrix, filled, stroke, none, { "aria-hidden": "true" }),
      ...right > left ? [textElement("text", text2.replace(/\s+/g, " "), place)] : []
    ]));
  }
  /** An item's outline as an element. */
  outlined(item, matrix, filled, stroke, before = none, after = none) {
    const { name: name2, attributes } = outlineElement(item.path, this.defs.write);
    const drawn = stroke === void 0 || stroke.width === 0 ? none : this.strokeAttributes(item, stroke);
    return emptyElement(name2, before, attributes, { transform: transformText(matrix, this.defs.write) }, filled, drawn, after);
  }
  strokeAttributes({ path }, stroke) {
    const reach = stroke.width / 2 * Math.max(stroke.miterLimit, 1.5);
    return {
      ...paintAttributes("stroke", stroke.paint, () => pathBox(path), reach, this.defs),
      "stroke-width": stroke.width === 1 ? void 0 : this.defs.write(stroke.width),
      "stroke-linecap": stroke.cap === "butt" ? void 0 : stroke.cap,
      "stroke-linejoin": stroke.join === "miter" ? void 0 : stroke.join,
      "stroke-miterlimit": stroke.miterLimit === 4 ? void 0 : stroke.miterLimit,
      "stroke-dasharray": stroke.dash.length === 0 ? void 0 : stroke.dash.map(this.defs.write).join(" "),
      "stroke-dashoffset": stroke.dashOffset === 0 || stroke.dash.length === 0 ? void 0 : stroke.dashOffset
    };
  }
  /** Notes an item as it stands in a clip path, as long as all of its layer can. */
  noteOutline(layer, { path, fill, stroke, opacity, fillRule }, matrix) {
    const solid = typeof fill === "number" && alphaOf(fill) === 255 && stroke === void 0 && opacity === 1;
    if (!solid)
      layer.outlines = void 0;
    if (layer.outlines === void 0)
      return;
    const { name: name2, attributes } = outlineElement(path, this.defs.write);
    const rest = {
      transform: transformText(matrix, this.defs.write),
      "clip-rule": fillRule === "evenodd" ? fillRule : void 0
    };
    layer.outlines.push(element(name2, { ...attributes, ...rest }));
  }
  /** What keeps a group within a region: an outline, or the alpha of what is drawn where that is not all or nothing. */
  maskOf(mask) {
    if (mask === void 0)
      return {};
    if (mask.outlines !== void 0)
      return { "clip-path": `url(#${this.defs.add("clipPath", {}, mask.outlines)})` };
    const region = {
      maskUnits: "userSpaceOnUse",
      ...written({ ...canvasIn(this.stage.frame) }, this.defs.write)
    };
    const white = this.defs.add("filter", { "color-interpolation-filters": "sRGB" }, [whiten]);
    const content = element("g", { filter: `url(#${white})` }, mask.elements);
    return { mask: `url(#${this.defs.add("mask", region, [content])})` };
  }
  labelOf(named3) {
    return this.isPast ? void 0 : named3?.label;
  }
  name(label) {
    return label === void 0 ? none : { id: this.id(label) };
  }
  /** A name that the document has not yet: the label, as far as names may be like that. */
  id(label) {
    const base = label.replace(/[^\p{L}\p{N}_.-]+/gu, "-").replace(/^(?=[^\p{L}_])/u, "_");
    let count2 = this.idCounts.get(base) ?? 1;
    let id = count2 === 1 ? base : `${base}-${count2}`;
    while (this.takenIds.has(id))
      id = `${base}-${++count2}`;
    this.idCounts.set(base, count2);
    this.takenIds.add(id);
    return id;
  }
};
var none = {};
var whiten = element("feColorMatrix", { values: "0 0 0 0 1  0 0 0 0 1  0 0 0 0 1  0 0 0 1 0" });
function mixingOf({ opacity, blend }) {
  if (opacity === 1 && blend === "normal")
    return none;
  return { opacity: faded(opacity), style: blend === "normal" ? void 0 : `mix-blend-mode:${blend}` };
}
function leftAfter(frames, carry) {
  let left = 128;
  for (let frame = 0; frame < frames && left > 0; frame++)
    left = Math.trunc(left * carry);
  return left;
}
function withTitle(label, drawn) {
  if (label === void 0)
    return drawn;
  const name2 = /^<(\w+)/.exec(drawn)[1];
  return `${drawn.slice(0, -2)}>${title(label).join("")}</${name2}>`;
}
function title(label) {
  return label === void 0 ? [] : [textElement("title", label)];
}
function digitsFor({ x: x2, y, width, height }) {
  const far = Math.max(Math.abs(x2), Math.abs(y), Math.abs(x2 + width), Math.abs(y + height));
  let digits = 7;
  for (let size = Math.max(width, height); size < far && digits < 15; size *= 10)
    digits++;
  return digits;
}
function faded(opacity) {
  return opacity === 1 ? void 0 : short(Number(opacity.toFixed(5)));
}

// packages/frame-juggler/dist/text/measure.js
wantFontsAtStart();
function measureText(string, options = {}) {
  const call3 = "measureText";
  const written2 = readString(call3, string);
  measureOptions.check(call3, options);
  const { width, height, path, lines } = set(written2, [0, 0], options);
  return { width, height, ink: pathBox(path), lines };
}
function textOutline(string, options) {
  const call3 = "textOutline";
  const written2 = readString(call3, string);
  textOptions.check(call3, options);
  return pathData(set(written2, options.at, options).path);
}
function set(string, at, options) {
  const style = restyleText(initialTextStyle, options);
  const { anchor, maxWidth } = options;
  const { layOut, means } = lettering(needsOf(string, style, maxWidth));
  return layOut({ string, pin: pairOf(at), style, anchor, maxWidth, up: false }, means);
}

// packages/frame-juggler/dist/review/seen.js
var lookedAt = 480;
var maxDensity = 4;
var maxPixels = 6e7;
function seenShares(frame) {
  const { order } = frame;
  const items = new FrameReader(frame).items();
  const shares = Array.from(order, () => ({ seen: 0, painted: false }));
  const { density, width, height, boxes } = placesOf(frame, items);
  const through = new Float32Array(width * height).fill(1);
  const view = multiply(scaling(density, density), frame.view);
  const surfaces = new Surfaces();
  const alone = { ...frame, density: 1, background: 0, carry: 0 };
  for (let i2 = order.length - 1; i2 >= 0; i2--) {
    const box = boxes[i2];
    if (box === void 0)
      continue;
    const [across, down] = [box.right - box.left, box.bottom - box.top];
    const { surface: surface2, ...size } = surfaces.ofAtLeast(across, down);
    alone.width = size.width;
    alone.height = size.height;
    alone.view = multiply(translation(-box.left, -box.top), view);
    alone.order = order.subarray(i2, i2 + 1);
    surface2.draw(alone);
    const data = surface2.premultiplied;
    let all = 0;
    let seen = 0;
    for (let y = 0; y < down; y++) {
      let at = y * size.width * 4 + 3;
      let pixel = (box.top + y) * width + box.left;
      for (let x2 = 0; x2 < across; x2++, at += 4, pixel++) {
        const alpha = data[at];
        if (alpha === 0)
          continue;
        all += alpha;
        seen += alpha * through[pixel];
        through[pixel] *= 1 - alpha / 255;
      }
    }
    const share = all === 0 ? 0 : seen / all;
    shares[i2] = { seen: share < 2e-3 ? 0 : Math.min(1, share), painted: all > 0 };
  }
  return shares;
}
var Surfaces = class {
  bySize = /* @__PURE__ */ new Map();
  /** One that has so many pixels at least. */
  ofAtLeast(across, down) {
    const [width, height] = [powerOfTwo(across), powerOfTwo(down)];
    const size = width * 2 ** 16 + height;
    let surface2 = this.bySize.get(size);
    if (surface2 === void 0)
      this.bySize.set(size, surface2 = new RasterSurface());
    return { surface: surface2, width, height };
  }
};
function powerOfTwo(atLeast) {
  let power = 16;
  while (power < atLeast)
    power *= 2;
  return power;
}
function placesOf(frame, items) {
  const outlines = itemBoxes(frame);
  let density = Math.min(maxDensity, lookedAt / Math.max(frame.width, frame.height));
  for (; ; ) {
    const [width, height] = [frame.width, frame.height].map((side) => Math.max(1, Math.round(side * density)));
    const view = multiply(scaling(density, density), frame.view);
    const boxes = items.map((item, i2) => pixelBox(item, outlines[i2], view, width, height));
    const pixels = boxes.reduce((sum, box) => sum + (box === void 0 ? 0 : (box.right - box.left) * (box.bottom - box.top)), 0);
    if (pixels <= maxPixels || density < 0.02)
      return { density, width, height, boxes };
    density *= Math.min(0.7, Math.sqrt(maxPixels / pixels));
  }
}
function pixelBox({ transform, stroke }, outline, view, width, height) {
  const reach = stroke === void 0 ? 0 : stroke.width * Math.max(stroke.miterLimit, 1.5) * largestScale(multiply(view, transform)) / 2;
  const { left, top, right, bottom } = intersectBoxes(padBox(boxUnder(outline, view), reach + 1), {
    left: 0,
    top: 0,
    right: width,
    bottom: height
  });
  const box = { left: Math.floor(left), top: Math.floor(top), right: Math.ceil(right), bottom: Math.ceil(bottom) };
  return box.right > box.left && box.bottom > box.top ? box : void 0;
}

// packages/frame-juggler/dist/review/describe.js
var maxForSeen = 2e4;
function sharesOf(frame) {
  return frame.order.length <= maxForSeen ? seenShares(frame) : void 0;
}
function describeFrame(frame) {
  const items = new FrameReader(frame).items();
  return {
    groups: frame.groups.map((group) => ({ label: group.label, style: groupInWords(group) })),
    items: itemsInWords(frame).map((item, i2) => ({ ...item, outline: pathData(items[i2].path) }))
  };
}
function itemsInWords(frame, shares = sharesOf(frame)) {
  const canvas = canvasBox(frame);
  const boxes = itemBoxes(frame);
  const places = /* @__PURE__ */ new Map();
  return new FrameReader(frame).items().map((item, i2) => {
    const place = frame.order[i2];
    const box = boxes[i2];
    const share = shares?.[i2];
    return {
      number: place + 1,
      shape: item.shape,
      label: item.label,
      text: item.text,
      groups: groupsAbout(frame, frame.columns.group[place] ?? 0, places),
      source: item.source,
      box,
      transform: item.transform,
      placed: transformInWords(item.transform),
      fill: item.fill === void 0 ? void 0 : paintInWords(item.fill),
      stroke: strokeInWords(item),
      style: styleInWords(item),
      seen: share?.seen,
      hidden: whyHidden(item, box, canvas, share)
    };
  });
}
function groupsAbout(frame, place, known) {
  if (place === 0)
    return [];
  let about = known.get(place);
  if (about === void 0) {
    about = [...groupsAbout(frame, frame.groups[place - 1].parent, known), place - 1];
    known.set(place, about);
  }
  return about;
}
function whyHidden(item, box, canvas, share) {
  const { fill, stroke, opacity, transform } = item;
  const reach = stroke === void 0 ? 0 : stroke.width * Math.sqrt(Math.abs(determinant(transform)));
  if (inverse(transform) === void 0)
    return "squashed flat";
  if (fill === void 0 && (stroke === void 0 || stroke.width === 0))
    return "no paint";
  if (opacity === 0 || fadedAway(item.group))
    return "opacity 0";
  if (box.right + reach < canvas.left || box.left - reach > canvas.right)
    return "off the canvas";
  if (box.bottom + reach < canvas.top || box.top - reach > canvas.bottom)
    return "off the canvas";
  if (share === void 0)
    return void 0;
  if (!share.painted)
    return item.group === void 0 ? "no paint" : "clipped away";
  return share.seen === 0 ? "covered" : void 0;
}
function fadedAway(group) {
  for (let at = group; at !== void 0; at = at.parent)
    if (at.opacity === 0)
      return true;
  return false;
}
function transformInWords([a, b, c, d, e, f]) {
  const words = [];
  if (e !== 0 || f !== 0)
    words.push(`moved to ${short(e)}, ${short(f)}`);
  const across = hypot(a, b);
  const det = a * d - b * c;
  if (across === 0 || det === 0)
    return [...words, "squashed flat"].join(", ");
  const turn = atan2(b, a) * 180 / Math.PI;
  const down = det / across;
  const lean = (a * c + b * d) / det;
  if (Math.abs(turn) > 1e-9)
    words.push(`turned by ${short(round(turn))}\xB0`);
  if (Math.abs(lean) > 1e-9)
    words.push(`leaned by ${short(round(atan2(lean, 1) * 180 / Math.PI))}\xB0`);
  const [x2, y] = [round(across), round(down)];
  if (x2 === y && x2 !== 1)
    words.push(`scaled by ${short(x2)}`);
  else if (x2 !== y)
    words.push(`scaled by ${short(x2)}, ${short(y)}`);
  return words.join(", ");
}
function round(value) {
  return Number(value.toPrecision(9));
}
function strokeInWords({ stroke }) {
  if (stroke === void 0)
    return void 0;
  const dashed = stroke.dash.length > 0 ? `, dash ${stroke.dash.map(short).join(" ")}` : "";
  return `${paintInWords(stroke.paint)}, ${short(stroke.width)} wide${dashed}`;
}
function styleInWords(item) {
  const { fill, opacity, blend, layer } = item;
  const words = [];
  if (fill !== void 0)
    words.push(`fill ${paintInWords(fill)}`);
  const stroke = strokeInWords(item);
  if (stroke !== void 0)
    words.push(`stroke ${stroke}`);
  if (words.length === 0)
    words.push("neither fill nor stroke");
  if (opacity < 1)
    words.push(`opacity ${short(opacity)}`);
  if (blend !== "normal")
    words.push(`blend ${blend}`);
  if (layer !== 0)
    words.push(`layer ${short(layer)}`);
  return words.join("; ");
}
function groupInWords({ opacity, blend, clip: clip2, isolated }) {
  if (!isolated)
    return "";
  const words = [];
  if (opacity < 1)
    words.push(`opacity ${short(opacity)}`);
  if (blend !== "normal")
    words.push(`blend ${blend}`);
  if (clip2 !== void 0)
    words.push("clipped");
  return words.join("; ");
}
var paintNames = {
  linear: "linear gradient",
  radial: "radial gradient",
  conic: "conic gradient",
  pattern: "pattern",
  picture: "picture"
};
function paintInWords(paint) {
  return typeof paint === "number" ? cssColor(paint) : paintNames[paint.type];
}

// packages/frame-juggler/dist/review/table.js
var gap = "  ";
var least = 8;
function tableLines(columns, rows, width) {
  const cells2 = rows.filter((row) => typeof row !== "string");
  const widths2 = columns.map(({ title: title2 }, i2) => cells2.reduce((most2, row) => Math.max(most2, row[i2].length), title2.length));
  let over = widths2.reduce((sum, one) => sum + one, gap.length * (columns.length - 1)) - width;
  for (let i2 = columns.length - 1; i2 >= 0 && over > 0; i2--) {
    if (columns[i2].cut !== true)
      continue;
    const cut = Math.min(over, Math.max(0, widths2[i2] - least));
    widths2[i2] -= cut;
    over -= cut;
  }
  const line2 = (row) => row.map((cell, i2) => {
    const text2 = clip(cell, widths2[i2]);
    return columns[i2].right === true ? text2.padStart(widths2[i2]) : text2.padEnd(widths2[i2]);
  }).join(gap).trimEnd();
  return [
    line2(columns.map(({ title: title2 }) => title2)),
    ...rows.map((row) => typeof row === "string" ? clip(row, width) : line2(row))
  ];
}
function clip(text2, length2) {
  return text2.length <= length2 ? text2 : `${text2.slice(0, Math.max(0, length2 - 1))}\u2026`;
}
function wrapLines(text2, width, indent2 = "") {
  const lines = [];
  let line2 = indent2;
  for (const word of text2.split(" ")) {
    if (line2.length > indent2.length && line2.length + 1 + word.length > width) {
      lines.push(line2);
      line2 = indent2;
    }
    line2 += (line2.length > indent2.length ? " " : "") + word;
  }
  return [...lines, line2];
}

// packages/frame-juggler/dist/review/explain.js
function explainFrame(frame, head, wish = {}, { colorAt, shares } = {}) {
  const items = itemsInWords(frame, shares);
  const explained = (item) => plain(item, item.groups.map((place) => frame.groups[place].label ?? ""));
  const { pixel } = wish;
  const chosen = pixel === void 0 ? items.filter((item) => isWanted(item, wish)) : atPixel(frame, items, pixel);
  return {
    format: "frame-juggler/explanation",
    version: 1,
    ...head,
    size: [frame.width, frame.height],
    background: cssColor(frame.background),
    total: items.length,
    items: chosen.map(explained),
    ...pixel !== void 0 && { pixel: { at: pixel, color: colorAt?.(...pixel) ?? "" } }
  };
}
function isWanted({ number, source }, { item, line: line2 }) {
  return (item === void 0 || item === number) && (line2 === void 0 || line2 === source?.line);
}
function atPixel(frame, items, [x2, y]) {
  const byNumber = new Map(items.map((item) => [item.number, item]));
  return itemsAt(frame, ...unitsAt(frame, x2 + 0.5, y + 0.5)).map((place) => byNumber.get(place + 1));
}
function unitsAt({ view: [a, b, c, d, e, f] }, x2, y) {
  const det = a * d - b * c;
  return [(d * (x2 - e) - c * (y - f)) / det, (a * (y - f) - b * (x2 - e)) / det];
}
function plain(item, groups) {
  const { number, shape, label, text: text2, source, box, fill, stroke, style, transform, placed: placed2, seen, hidden } = item;
  return {
    number,
    shape,
    ...label !== void 0 && { label },
    ...text2 !== void 0 && { text: text2 },
    groups,
    ...source !== void 0 && { line: source },
    box,
    ...fill !== void 0 && { fill },
    ...stroke !== void 0 && { stroke },
    style,
    transform,
    placed: placed2,
    ...seen !== void 0 && { seen: Math.round(seen * 1e3) / 1e3 },
    ...hidden !== void 0 && { hidden }
  };
}
var fewItems = 40;
var shownOfRun = 2;
function lastOfRun(items, from) {
  let to = from;
  while (to < items.length - 1 && isAlike(items[from], items[to + 1]))
    to++;
  return to;
}
function isAlike(one, other) {
  return one.shape === other.shape && one.line?.file === other.line?.file && one.line?.line === other.line?.line && one.fill === other.fill && one.stroke === other.stroke && one.hidden === other.hidden && one.label === other.label;
}
function explanationLines(explanation, width = 100, whole2 = false) {
  const { title: title2, frame, seed, total, items, pixel } = explanation;
  const things = items.length === total ? count(total, "item") : `${items.length} of ${count(total, "item")}`;
  const head = `${title2}, frame ${frame}, seed ${seed}: ${things}`;
  const at = pixel === void 0 ? [] : [`Pixel ${pixel.at.join(", ")} is ${pixel.color}. There, from top to bottom:`];
  if (items.length === 0)
    return [head, ...at, pixel === void 0 ? "Nothing." : "Nothing but the background."];
  if (items.length === 1 && total > 1 && pixel === void 0)
    return [head, "", ...itemLines(items[0], width)];
  const columns = [
    { title: "#", right: true },
    { title: "what", cut: true },
    { title: "where" },
    { title: "fill", cut: true },
    { title: "stroke", cut: true },
    { title: "seen", right: true },
    { title: "line", right: true, cut: true }
  ];
  const rows = [];
  let [about, placed2] = ["", ""];
  const main = mainFile(items);
  const addRow = (item) => {
    const groups = item.groups.filter((label) => label !== "").join(" \u203A ");
    if (groups !== about && pixel === void 0)
      rows.push(groups === "" ? "     (in no group)" : `     in ${groups}`);
    about = groups;
    const { number, fill = "", stroke = "", line: line2 } = item;
    const pen = roughly(stroke.replace(" wide", ""));
    rows.push([String(number), whatOf(item), whereOf(item.box), fill, pen, seenOf(item), lineOf(line2, main)]);
    if (item.placed !== placed2 && item.placed !== "")
      rows.push(`     ${roughly(item.placed)}`);
    ({ placed: placed2 } = item);
  };
  let next = 0;
  while (next < items.length) {
    const from = next;
    const to = whole2 || items.length < fewItems ? from : lastOfRun(items, from);
    next = to + 1;
    const leftOut = to - from - shownOfRun;
    items.slice(from, leftOut > 0 ? from + shownOfRun : to).forEach(addRow);
    if (leftOut > 0)
      rows.push(`     \u2026 ${leftOut} more like these from line ${items[from].line?.line ?? "?"}`);
    addRow(items[to]);
  }
  return [head, ...at, "", ...tableLines(columns, rows, width)];
}
function itemLines(item, width) {
  const { number, groups, line: line2, box, style, placed: placed2, transform } = item;
  const rows = [
    ["Item", `${number}, ${whatOf(item)}`],
    ...groups.some(Boolean) ? [["In", groups.filter(Boolean).join(" \u203A ")]] : [],
    ["Line", line2 === void 0 ? "not known" : `${fileName(line2.file)}:${line2.line}:${line2.column}`],
    [
      "Where",
      `${whereOf(box)}: ${short(box.right - box.left)} \xD7 ${short(box.bottom - box.top)}, its middle at ${middleOf(box)}`
    ],
    ["Painted", style],
    ["Placed", placed2 === "" ? "as it is written, in the units of the sketch" : placed2],
    ["Matrix", transform.map((part) => short(part)).join(", ")],
    ["Seen", seenInWords(item)]
  ];
  return rows.flatMap(([name2, text2]) => {
    const [first, ...more] = wrapLines(text2, width, " ".repeat(9));
    return [name2.padEnd(9) + first.trimStart(), ...more];
  });
}
function seenInWords({ seen, hidden }) {
  if (hidden !== void 0)
    return `nothing of it: ${hidden}`;
  return seen === void 0 ? "not worked out" : seen > 0.9995 ? "all of it" : `${(seen * 100).toFixed(1)} % of what it paints`;
}
var maxText = 24;
function whatOf({ shape, label, text: text2 }) {
  const said = text2 === void 0 ? "" : ` \u201C${text2.length > maxText ? `${text2.slice(0, maxText - 1)}\u2026` : text2}\u201D`;
  return `${shape}${said}${label === void 0 ? "" : ` ${label}`}`.replaceAll("\n", " ");
}
var roughly = (words) => words.replace(/-?\d+\.\d{3,}/g, (number) => short(Math.round(Number(number) * 100) / 100));
var tenth = (value) => short(Math.round(value * 10) / 10);
function whereOf({ left, top, right, bottom }) {
  return left > right ? "nowhere" : `${tenth(left)}, ${tenth(top)} to ${tenth(right)}, ${tenth(bottom)}`;
}
function middleOf({ left, top, right, bottom }) {
  return `${tenth((left + right) / 2)}, ${tenth((top + bottom) / 2)}`;
}
function seenOf({ seen, hidden }) {
  if (hidden !== void 0)
    return hidden;
  return seen === void 0 ? "" : seen < 0.01 ? "<1 %" : `${Math.round(seen * 100)} %`;
}
function mainFile(items) {
  const counts = /* @__PURE__ */ new Map();
  for (const { line: line2 } of items)
    if (line2 !== void 0)
      counts.set(line2.file, (counts.get(line2.file) ?? 0) + 1);
  return [...counts].sort(([, one], [, other]) => other - one)[0]?.[0];
}
function lineOf(line2, main) {
  if (line2 === void 0)
    return "";
  return line2.file === main ? String(line2.line) : `${fileName(line2.file)}:${line2.line}`;
}
function fileName(file) {
  return file.slice(Math.max(file.lastIndexOf("/"), file.lastIndexOf("\\")) + 1);
}
function count(number, noun) {
  return `${number} ${noun}${number === 1 ? "" : "s"}`;
}

// packages/frame-juggler/dist/review/same-frame.js
function parts({ columns, path, matrices, order, sources: _, ...rest }) {
  const { source: _source, ...others } = columns;
  const { pictures, ...plain2 } = rest;
  return [
    [plain2, pictures.map(({ width, height, version }) => [width, height, version])],
    [path, matrices, order, ...Object.values(others)]
  ];
}
function isSameFrame(one, other) {
  const [plain2, lists] = parts(one);
  const [otherPlain, otherLists] = parts(other);
  return lists.every((list, i2) => isSameList(list, otherLists[i2])) && JSON.stringify(plain2) === JSON.stringify(otherPlain);
}
function isSameList(one, other) {
  if (one.length !== other.length)
    return false;
  for (let i2 = 0; i2 < one.length; i2++)
    if (!Object.is(one[i2], other[i2]))
      return false;
  return true;
}

// packages/frame-juggler/dist/checks/luminance.js
function relativeLuminance(red, green, blue) {
  return 0.2126 * linear(red) + 0.7152 * linear(green) + 0.0722 * linear(blue);
}
var linears = Float32Array.from({ length: 256 }, (_, value) => {
  const part = value / 255;
  return part <= 0.04045 ? part / 12.92 : pow((part + 0.055) / 1.055, 2.4);
});
var linear = (value) => linears[Math.round(value)];
function contrast(one, other) {
  return (Math.max(one, other) + 0.05) / (Math.min(one, other) + 0.05);
}

// packages/frame-juggler/dist/checks/evidence.js
function tracksOf(course) {
  const tracks = /* @__PURE__ */ new Map();
  course.forEach((frame, at) => {
    const counts = /* @__PURE__ */ new Map();
    for (const item of new FrameReader(frame).items()) {
      const name2 = nameOf(item);
      const nth = counts.get(name2) ?? 0;
      counts.set(name2, nth + 1);
      const key = `${name2}
${nth}`;
      let track = tracks.get(key);
      if (track === void 0)
        tracks.set(key, track = { name: name2, shape: item.shape, boxes: new Array(course.length).fill(void 0) });
      track.boxes[at] = pathBox(item.path, item.transform);
    }
  });
  return [...tracks.values()];
}
function nameOf({ shape, label, group }) {
  const labels = [];
  for (let at = group; at !== void 0; at = at.parent)
    if (at.label !== void 0)
      labels.unshift(at.label);
  return [...labels, shape, label ?? ""].join("/");
}
function stillNames({ tracks }) {
  const names = new Set(tracks.map(({ name: name2 }) => name2));
  for (const { name: name2, boxes } of tracks) {
    const [first, ...rest] = boxes.filter((box) => box !== void 0);
    if (rest.some((box) => !isSameBox(first, box)))
      names.delete(name2);
  }
  return names;
}
function isSameBox(one, other) {
  const sides = ["left", "top", "right", "bottom"];
  return sides.every((side) => one[side] === other[side] || Math.abs(one[side] - other[side]) < 1e-6);
}
function isOn(box, canvas, slack = 0) {
  const { left, top, right, bottom } = intersectBoxes(box, canvas);
  return right + slack >= left && bottom + slack >= top;
}
function itemsByLine(details) {
  const lines = /* @__PURE__ */ new Map();
  for (const detail of details)
    for (const seen of detail.items) {
      const { source } = seen.description;
      if (source === void 0)
        continue;
      const key = `${source.file}:${source.line}:${source.column}`;
      let entry = lines.get(key);
      if (entry === void 0)
        lines.set(key, entry = { line: source, all: [] });
      entry.all.push({ detail, seen });
    }
  return [...lines.values()];
}
function linesThat({ details }, test, say) {
  return itemsByLine(details).flatMap((entry) => {
    if (!entry.all.every(({ seen, detail: detail2 }) => test(seen, detail2)))
      return [];
    const { detail } = entry.all[0];
    const items = entry.all.filter((one) => one.detail === detail).map(({ seen }) => seen);
    return [
      { line: entry.line, frame: detail.at, text: say(items, entry), items: items.map(({ place }) => place + 1) }
    ];
  });
}
function called(items) {
  const [{ item }] = items;
  const labels = new Set(items.map(({ item: { label: label2 } }) => label2));
  const label = labels.size === 1 && item.label !== void 0 ? ` \u201C${item.label}\u201D` : "";
  if (items.length > 1)
    return `${items.length} ${item.shape} items${label}`;
  const text2 = item.text?.replace(/\s+/g, " ");
  const said = text2 === void 0 ? "" : ` \u201C${text2.length > 30 ? `${text2.slice(0, 29)}\u2026` : text2}\u201D`;
  return `the ${item.shape}${said}${label}`;
}
function verb(items, one, many) {
  return items.length === 1 ? one : many;
}
function lineOfTrack({ details }, track) {
  for (const { items } of details)
    for (const { item, description } of items)
      if (nameOf(item) === track.name)
        return description.source;
  return void 0;
}

// packages/frame-juggler/dist/checks/watch.js
var PaintLog = class {
  events = [];
  depth = 0;
  /** Lines of saves that have not been restored. */
  saves = [];
  get calls() {
    return this.events.flatMap((event) => event.type === "call" ? [event.call] : []);
  }
};
var Noted = class {
  /** What of the moment the sketch has asked for. */
  asked = /* @__PURE__ */ new Set();
  /** Lines that used a canvas whose frame was over. */
  late = [];
  /** Streams of chance that were begun more than once within one call of the sketch, with their lines. */
  streams = [];
  /** What the engine was asked instead of the moment: chance and clocks. */
  engine = [];
  /** The log of the paint that is to be noted in full; undefined where none is. */
  log;
};
function watched(sketch, noted) {
  const { start, step } = sketch;
  return withParts(sketch, {
    start: (moment) => throughEngine(noted, () => start(watchedMoment(moment, noted))),
    step: step && ((state, moment) => throughEngine(noted, () => step(state, watchedMoment(moment, noted)))),
    paint(canvas, moment, state) {
      const stage = { over: false };
      try {
        throughEngine(noted, () => sketch.paint(watchedCanvas(canvas, noted, stage), watchedMoment(moment, noted), state));
      } finally {
        stage.over = true;
      }
    }
  });
}
function watchedMoment(moment, noted) {
  const streams = /* @__PURE__ */ new Set();
  const random = new Proxy(moment.random, {
    get(target, name2) {
      const value = Reflect.get(target, name2);
      if (typeof value !== "function")
        return value;
      return (...given) => {
        if (name2 === "stream") {
          const key = String(given[0]);
          if (streams.has(key))
            noted.streams.push({ key, line: sketchLine() });
          streams.add(key);
        }
        return Reflect.apply(value, target, given);
      };
    }
  });
  return new Proxy(moment, {
    get(target, name2) {
      noted.asked.add(String(name2));
      return name2 === "random" ? random : Reflect.get(target, name2);
    }
  });
}
function watchedCanvas(canvas, noted, stage) {
  const { log: log3 } = noted;
  if (log3 === void 0)
    return new Proxy(canvas, {
      get(target, name2) {
        const value = Reflect.get(target, name2, target);
        if (typeof value !== "function")
          return value;
        if (stage.over)
          noted.late.push(sketchLine());
        return value.bind(target);
      }
    });
  return new Proxy(canvas, {
    get(target, name2) {
      const value = Reflect.get(target, name2, target);
      if (typeof value !== "function")
        return value;
      if (stage.over)
        noted.late.push(sketchLine());
      return (...given) => {
        const line2 = sketchLine();
        const first = target.recorded;
        const { depth } = log3;
        const call3 = {
          name: String(name2),
          given,
          line: line2,
          first,
          end: first,
          depth,
          ...textFacts(target, name2, given)
        };
        log3.events.push({ type: "call", call: call3 });
        if (name2 === "save") {
          log3.saves.push(line2);
          enter(log3);
        } else if (name2 === "restore" && log3.saves.length > 0) {
          log3.saves.pop();
          leave(log3);
        }
        const result = name2 === "group" && typeof given[1] === "function" ? target.group(given[0], () => within(log3, given[1])) : Reflect.apply(value, target, given);
        call3.end = target.recorded;
        return result;
      };
    }
  });
}
function within(log3, body) {
  enter(log3);
  const saves = log3.saves.length;
  try {
    body();
  } finally {
    while (log3.saves.length > saves) {
      log3.saves.pop();
      leave(log3);
    }
    leave(log3);
  }
}
function enter(log3) {
  log3.depth++;
  log3.events.push({ type: "enter" });
}
function leave(log3) {
  log3.depth--;
  log3.events.push({ type: "leave" });
}
function textFacts(canvas, name2, given) {
  return name2 === "text" ? { textStyle: restyleText(canvas.textStyle, given[1] ?? {}) } : {};
}
function noteLacking(log3) {
  for (const call3 of log3.calls) {
    if (call3.textStyle === void 0)
      continue;
    const [string, style] = [String(call3.given[0]), call3.textStyle];
    const { layOut, means } = lettering(needsOf(string, style, void 0));
    call3.lacking = layOut({ string, pin: [0, 0], style, anchor: void 0, maxWidth: void 0, up: false }, means).lacking;
  }
}
var chancy = [
  [Math, "random", "Math.random()"],
  [Date, "now", "Date.now()"],
  [performance, "now", "performance.now()"]
];
function throughEngine(noted, call3) {
  const before = chancy.map(([holder, name2]) => holder[name2]);
  const engineDate = globalThis.Date;
  chancy.forEach(([holder, name2, words], i2) => {
    holder[name2] = (...given) => {
      const line2 = sketchLine();
      if (line2 !== void 0)
        noted.engine.push({ call: words, line: line2 });
      return Reflect.apply(before[i2], holder, given);
    };
  });
  globalThis.Date = new Proxy(engineDate, {
    construct(target, given) {
      const line2 = given.length === 0 ? sketchLine() : void 0;
      if (line2 !== void 0)
        noted.engine.push({ call: "new Date()", line: line2 });
      return Reflect.construct(target, given);
    }
  });
  try {
    return call3();
  } finally {
    globalThis.Date = engineDate;
    chancy.forEach(([holder, name2], i2) => holder[name2] = before[i2]);
  }
}

// packages/frame-juggler/dist/checks/gather.js
var detailed = 3;
var widths = { under: 320, flashes: 64 };
var maxUnder = 4e3;
var comparedSeconds = 1;
async function gather(sketch, { frames, open, now, onProgress }) {
  const [first, last] = frames;
  const count2 = last - first + 1;
  const noted = new Noted();
  const run = open(watched(sketch, noted));
  const inFull = new Set(Array.from({ length: Math.min(detailed, count2) }, (_, i2) => first + Math.round(i2 * (count2 - 1) / Math.max(1, Math.min(detailed, count2) - 1))));
  const course = [];
  const details = [];
  const cost = [];
  const luminances = [];
  const surface2 = new RasterSurface();
  const total = count2 * 2;
  for (let at = first; at <= last; at++) {
    const begun = now();
    await run.goTo(at);
    const frame = await run.paint();
    if (at > first)
      cost.push(now() - begun);
    course.push(frame);
    if (count2 > 1) {
      surface2.draw({ ...frame, density: widths.flashes / frame.width });
      luminances.push(luminancesOf(surface2.drawn));
    }
    if (inFull.has(at))
      details.push(await detailOf(run, noted, at, frame));
    onProgress(course.length, total);
  }
  const { differs, faster } = await runAgain(sketch, open, frames, details, (done) => onProgress(count2 + done, total));
  return {
    sketch: {
      width: run.width,
      height: run.height,
      frameRate: sketch.frameRate,
      frames: sketch.frames,
      carry: sketch.carry,
      hasStep: sketch.step !== void 0,
      background: sketch.canvas.background
    },
    noted,
    course,
    first,
    tracks: tracksOf(course),
    details,
    differs,
    faster,
    cost,
    luminances
  };
}
async function detailOf(run, noted, at, painted) {
  const log3 = new PaintLog();
  noted.log = log3;
  const frame = await run.paint(true);
  noted.log = void 0;
  noteLacking(log3);
  const items = itemsInWords(frame);
  const under = underItems(frame);
  const reader = new FrameReader(frame);
  const seen = reader.items().map((item, i2) => ({
    item,
    description: items[i2],
    place: frame.order[i2],
    changes: under[i2]?.changes ?? true,
    under: under[i2]?.color
  }));
  return { at, frame, items: seen, log: log3, repeats: isSameFrame(painted, frame), canvas: canvasBox(frame) };
}
function underItems(frame) {
  const { order } = frame;
  if (order.length > maxUnder)
    return [];
  const density = Math.min(1, widths.under / frame.width);
  const [whole2, alone] = [new RasterSurface(), new RasterSurface()];
  const blank = { ...frame, density, order: order.subarray(0, 0), carry: 0 };
  whole2.draw(blank);
  const { width, height } = whole2.drawn;
  const toPixels = multiply(scaling(width / frame.width, height / frame.height), frame.view);
  let before = whole2.drawn.data.slice();
  return new FrameReader(frame).items().map((item, i2) => {
    const one = order.subarray(i2, i2 + 1);
    whole2.draw({ ...frame, density, order: one, carry: 1 });
    const after = whole2.drawn.data;
    const reach = item.stroke === void 0 ? 1 : 1 + item.stroke.width * 4;
    const box = intersectBoxes(padBox(pathBox(item.path, multiply(toPixels, item.transform)), reach), {
      left: 0,
      top: 0,
      right: width,
      bottom: height
    });
    const [left, top] = [Math.floor(box.left), Math.floor(box.top)];
    const [right, bottom] = [Math.ceil(box.right), Math.ceil(box.bottom)];
    if (!(right > left && bottom > top))
      return { changes: true, color: void 0 };
    alone.draw({ ...frame, density, order: one, carry: 0, background: 0 });
    const { data } = alone.drawn;
    let [changes, weight, red, green, blue] = [false, 0, 0, 0, 0];
    for (let y = top; y < bottom; y++)
      for (let at = (y * width + left) * 4, end = (y * width + right) * 4; at < end; at += 4) {
        const alpha = data[at + 3];
        if (alpha === 0)
          continue;
        changes ||= before[at] !== after[at] || before[at + 1] !== after[at + 1] || before[at + 2] !== after[at + 2] || before[at + 3] !== after[at + 3];
        weight += alpha;
        red += alpha * before[at];
        green += alpha * before[at + 1];
        blue += alpha * before[at + 2];
      }
    before = after.slice();
    return {
      changes: changes || weight === 0,
      color: weight === 0 ? void 0 : [red / weight, green / weight, blue / weight]
    };
  });
}
async function runAgain(sketch, open, [first, last], details, onProgress) {
  const again = open(sketch);
  let differs;
  for (const { at, frame } of details) {
    await again.goTo(at);
    if (differs === void 0 && !isSameFrame(frame, await again.paint()))
      differs = at;
    onProgress(at - first);
  }
  if (sketch.frames === 1 || last === first || differs !== void 0 || details.some(({ repeats }) => !repeats))
    return { differs, faster: void 0 };
  const quick = withParts(sketch, { frameRate: sketch.frameRate * 2, frames: sketch.frames * 2 });
  const run = open(quick);
  const course = [];
  const end = Math.min(last, first + Math.round(comparedSeconds * sketch.frameRate));
  for (let at = first; at <= end; at++) {
    await run.goTo(at * 2);
    course.push(await run.paint());
  }
  return { differs, faster: tracksOf(course) };
}
var cells = { across: 16, down: 9 };
function luminancesOf({ width, height, data }) {
  const sums = new Float32Array(cells.across * cells.down);
  const counts = new Float32Array(cells.across * cells.down);
  for (let y = 0; y < height; y++)
    for (let x2 = 0; x2 < width; x2++) {
      const cell = Math.floor(y * cells.down / height) * cells.across + Math.floor(x2 * cells.across / width);
      const at = (y * width + x2) * 4;
      sums[cell] += relativeLuminance(data[at], data[at + 1], data[at + 2]);
      counts[cell]++;
    }
  return sums.map((sum, i2) => sum / Math.max(1, counts[i2]));
}

// packages/frame-juggler/dist/checks/rules/chance.js
var unseeded = {
  name: "unseeded",
  title: "The engine's own chance",
  why: "Math.random() is different each time: a picture that one likes never comes back.",
  cure: "Take random from the moment: paint(canvas, { random }) { random.between(0, 100) }.",
  find: (evidence) => askedOf(evidence, (call3) => call3 === "Math.random()", "is asked for chance that no seed brings back")
};
var clock = {
  name: "clock",
  title: "The clock on the wall",
  why: "The time of day is another in each run: frames rendered to files move at the speed of the machine.",
  cure: "Take seconds from the moment: it is the same in every run.",
  find: (evidence) => askedOf(evidence, (call3) => call3 !== "Math.random()", "is asked for the time of day")
};
function askedOf({ noted }, isOne, text2) {
  return noted.engine.filter(({ call: call3 }) => isOne(call3)).map(({ call: call3, line: line2 }) => ({ line: line2, frame: void 0, text: `${call3} ${text2}` }));
}
var paintChanges = {
  name: "paint-changes",
  title: "A paint that changes something",
  why: "Painted twice, the frame comes out otherwise: alone it differs from the same frame in a run.",
  cure: "Move what changes into step(state): paint only draws it.",
  find: (evidence) => (
    // What chance or a clock brings in is told as that.
    evidence.noted.engine.length > 0 ? [] : evidence.details.filter(({ repeats }) => !repeats).slice(0, 1).map(({ at, items }) => ({
      line: items[0]?.description.source,
      frame: at,
      text: `frame ${at} is another when it is painted a second time`
    }))
  )
};
var runsDiffer = {
  name: "runs-differ",
  title: "A variable of the file that goes on from run to run",
  why: "A second run of the same seed draws other frames: what the first one left behind is still there.",
  cure: "Make it in start, and return it: start: () => ({ x: 0 }).",
  find: ({ differs, noted, details }) => differs === void 0 || noted.engine.length > 0 || details.some(({ repeats }) => !repeats) ? [] : [
    {
      line: details[0].items[0]?.description.source,
      frame: differs,
      text: `frame ${differs} is another in a second run of the same seed`
    }
  ]
};
var sameChance = {
  name: "same-chance",
  title: "The same chance twice",
  why: "A stream of one name begins anew each time it is asked for: what is drawn from it is the same again.",
  cure: "Ask for it once, before the loop; or give each its own: random.stream(`gull ${i}`).",
  find: ({ noted }) => [...new Map(noted.streams.map((one) => [one.key, one])).values()].map(({ key, line: line2 }) => ({
    line: line2,
    frame: void 0,
    text: `the stream \u201C${key}\u201D is begun more than once: it gives the same numbers each time`
  }))
};
var chanceRules = [unseeded, clock, paintChanges, runsDiffer, sameChance];

// packages/frame-juggler/dist/checks/rules/items.js
function everOn({ tracks, details }) {
  const [{ canvas }] = details;
  return new Set(tracks.filter(({ boxes }) => boxes.some((box) => box !== void 0 && isOn(box, canvas, 1))).map(({ name: name2 }) => name2));
}
var offCanvas = {
  name: "off-canvas",
  title: "Drawn off the canvas",
  why: "Nothing of it can be seen: every frame that was looked at has it beyond the edge.",
  cure: "x runs from 0 on the left to width, y from 0 at the top to height: canvas.circle({ at: [width / 2, height / 2], radius: 40 }) stands in the middle.",
  find(evidence) {
    const [on, still] = [everOn(evidence), stillNames(evidence)];
    return linesThat(
      evidence,
      // What moves may come in later.
      ({ description, item }) => description.hidden === "off the canvas" && !on.has(nameOf(item)) && still.has(nameOf(item)),
      (items) => `${called(items)} ${verb(items, "lies", "lie")} wholly off the canvas, ${whereOff(items[0], evidence)}`
    );
  }
};
function whereOff({ description: { box } }, { details }) {
  const [{ canvas }] = details;
  const side = box.right < canvas.left ? "to the left of it" : box.left > canvas.right ? "to the right of it" : box.bottom < canvas.top ? "above it" : "below it";
  return `${side}, at ${Math.round((box.left + box.right) / 2)}, ${Math.round((box.top + box.bottom) / 2)}`;
}
var covered = {
  name: "covered",
  title: "Hidden behind what is drawn later",
  why: "What is drawn later covers what was drawn before: none of it can be seen.",
  cure: "Draw it after what hides it, or lift it with layer: 1.",
  find(evidence) {
    const still = stillNames(evidence);
    return linesThat(
      evidence,
      // What moves may come out again, but not from behind what fills the canvas.
      (seen, detail) => seen.description.hidden === "covered" && (still.has(nameOf(seen.item)) || isUnderAll(seen, detail)),
      (items) => `${called(items)} ${verb(items, "is", "are")} wholly covered by what is drawn later`
    );
  }
};
function isUnderAll(seen, { items, canvas }) {
  return items.slice(items.indexOf(seen) + 1).some(({ item: { fill, opacity }, description: { box } }) => {
    if (typeof fill !== "number" || alphaOf(fill) < 255 || opacity < 1)
      return false;
    return box.left <= canvas.left && box.top <= canvas.top && box.right >= canvas.right && box.bottom >= canvas.bottom;
  });
}
var noSize = {
  name: "no-size",
  title: "Of no size",
  why: "A length or a scale of 0 leaves nothing to be painted.",
  cure: "Give it a size above 0; a scale of 1 leaves it as it is.",
  find: (evidence) => linesThat(evidence, ({ description: { box, hidden }, item }) => item.text === void 0 && (hidden === "squashed flat" || box.right - box.left === 0 && box.bottom - box.top === 0 || item.stroke === void 0 && (box.right === box.left || box.bottom === box.top)), (items) => items[0].description.hidden === "squashed flat" ? `${called(items)} ${verb(items, "is", "are")} squashed flat by a scale of 0` : `${called(items)} ${verb(items, "has", "have")} no size`)
};
var noPaint = {
  name: "no-paint",
  title: "Painted with nothing",
  why: "It has neither a fill nor a stroke that can be seen.",
  cure: "Give it one: fill: 'teal', or stroke: { color: 'teal', width: 2 }.",
  find: (evidence) => linesThat(evidence, ({ description: { hidden, box } }) => (
    // What fades in is not there yet; a still picture has no later.
    (hidden === "no paint" || hidden === "opacity 0" && evidence.sketch.frames === 1) && box.right > box.left && box.bottom > box.top
  ), (items) => items[0].description.hidden === "opacity 0" ? `${called(items)} ${verb(items, "has", "have")} an opacity of 0` : `${called(items)} ${verb(items, "has", "have")} neither fill nor stroke`)
};
var sameColor = {
  name: "same-color",
  title: "The same color as what lies under it",
  why: "It is painted, and changes no pixel.",
  cure: "Give it a color that differs from what it lies on, or leave it out.",
  find: (evidence) => linesThat(evidence, ({ changes, description: { hidden }, item }) => !changes && hidden === void 0 && item.blend === "normal", (items) => `${called(items)} ${verb(items, "has", "have")} just the color of what ${verb(items, "it lies", "they lie")} on`)
};
var isAt = (one, other) => Math.abs(one - other) < 0.01;
var cutStroke = {
  name: "cut-stroke",
  title: "Half of its stroke lies beyond the canvas's edge",
  why: "A stroke lies half on either side of its outline: along the edge of the canvas only its inner half can be seen.",
  cure: "Move the outline in by half the width: canvas.rect({ from: [w, w], to: [width - w, height - w], \u2026 }) with w = stroke width / 2.",
  find: (evidence) => linesThat(evidence, ({ item, description: { box }, ...seen }, { canvas }) => {
    if (item.stroke === void 0 || item.stroke.width < 1 || !seen.changes)
      return false;
    if (item.shape === "rect") {
      const sides = [
        isAt(box.left, canvas.left),
        isAt(box.top, canvas.top),
        isAt(box.right, canvas.right),
        isAt(box.bottom, canvas.bottom)
      ];
      return sides.every(Boolean);
    }
    if (item.shape !== "line")
      return false;
    const flat = isAt(box.top, box.bottom) && (isAt(box.top, canvas.top) || isAt(box.top, canvas.bottom));
    return flat || isAt(box.left, box.right) && (isAt(box.left, canvas.left) || isAt(box.left, canvas.right));
  }, (items) => `half of the stroke of ${called(items)} lies beyond the canvas's edge`)
};
var quarter = Math.PI / 4;
function looksLikeRadians(angle) {
  if (typeof angle !== "number" || angle === 0 || Number.isInteger(angle) || Math.abs(angle) > 13)
    return false;
  const parts2 = angle / quarter;
  return Math.abs(parts2 - Math.round(parts2)) < 2e-3;
}
var radians = {
  name: "radians",
  title: "An angle in radians",
  why: "Angles are degrees: one in radians is hardly a turn at all.",
  cure: "Write 90 for a quarter, or fromRadians(Math.PI / 2) where radians come from elsewhere.",
  find({ details }) {
    const lines = /* @__PURE__ */ new Map();
    for (const { at, log: log3 } of details)
      for (const call3 of log3.calls) {
        const { line: line2 } = call3;
        const key = line2 === void 0 ? "" : `${line2.file}:${line2.line}:${line2.column}`;
        const list = lines.get(key);
        if (list === void 0)
          lines.set(key, [{ at, call: call3 }]);
        else
          list.push({ at, call: call3 });
      }
    return [...lines.values()].flatMap((calls) => {
      const angles = calls.flatMap(({ call: call3 }) => anglesOf(call3.name, call3.given).filter((angle2) => angle2 !== void 0 && angle2 !== 0));
      if (angles.length === 0 || !angles.some(looksLikeRadians))
        return [];
      if (!calls.every(({ call: call3 }) => anglesOf(call3.name, call3.given).some(looksLikeRadians)))
        return [];
      const [{ at, call: { name: name2, given, line: line2, first, end } }] = calls;
      const angle = anglesOf(name2, given).find(looksLikeRadians);
      const items = Array.from({ length: end - first }, (_, i2) => first + i2 + 1);
      const text2 = `${name2} is given ${Number(angle.toFixed(4))}\xB0, which looks like ${Math.round(angle / quarter) * 45}\xB0 in radians`;
      return [{ line: line2, frame: at, items, text: text2 }];
    });
  }
};
function anglesOf(name2, given) {
  if (name2 === "rotate")
    return [given[0]];
  const options = given.find((one) => typeof one === "object" && one !== null);
  if (options === void 0)
    return [];
  return name2 === "arc" ? [options.rotate, options.start, options.end] : [options.rotate];
}
var strokeScaled = {
  name: "stroke-scaled",
  title: "A scale makes a stroke too thin or too thick",
  why: "A scale grows strokes as well as shapes: what was 1 wide is as wide as the scale.",
  cure: "Divide the width by the scale: stroke: { width: 2 / scale }.",
  find(evidence) {
    const widthOf = ({ item }) => {
      const [{ frame }] = evidence.details;
      const scale = largestScale(multiply(frame.view, item.transform));
      return { scale, width: (item.stroke?.width ?? 0) * scale };
    };
    const isThin = (seen) => {
      const { scale, width } = widthOf(seen);
      return scale < 0.5 && width > 0 && width < 0.2;
    };
    const isThick = (seen) => {
      const { scale, width } = widthOf(seen);
      const { left, right, top, bottom } = seen.description.box;
      return scale >= 4 && width > 4 && width >= Math.max(right - left, bottom - top) * 0.5;
    };
    const say = (items) => {
      const { scale, width } = widthOf(items[0]);
      const short2 = (value) => String(Number(value.toPrecision(2)));
      return `under a scale of ${short2(scale)} the stroke of ${called(items)} is ${short2(width)} pixels wide`;
    };
    const isVisible = ({ description, changes }) => description.hidden === void 0 && changes;
    return [
      ...linesThat(evidence, (seen) => isVisible(seen) && isThin(seen) && seen.item.fill === void 0, say),
      ...linesThat(evidence, (seen) => isVisible(seen) && isThick(seen), say)
    ];
  }
};
var pictureEnlarged = {
  name: "picture-enlarged",
  title: "A picture drawn far above its own resolution",
  why: "Each of its pixels covers several of the canvas: it looks soft.",
  cure: "Use a larger picture, draw it smaller, or let its pixels be seen with smooth: false.",
  find: (evidence) => linesThat(evidence, ({ item }) => pixelScale(item.fill, item.transform) > 2.5, (items) => `${called(items)} is drawn ${pixelScale(items[0].item.fill, items[0].item.transform).toFixed(1)} times as large as it is`)
};
function pixelScale(fill, transform) {
  if (typeof fill !== "object" || fill.type !== "picture" || !fill.smooth)
    return 0;
  return Math.sqrt(Math.abs(determinant(multiply(transform, fill.transform))));
}
function callOf(calls, place) {
  return calls.find(({ first, end, name: name2 }) => name2 !== "group" && place >= first && place < end);
}
var itemRules = [
  offCanvas,
  covered,
  noSize,
  noPaint,
  sameColor,
  cutStroke,
  radians,
  strokeScaled,
  pictureEnlarged
];

// packages/frame-juggler/dist/checks/rules/state.js
var placeOf = (line2) => line2 === void 0 ? "" : `${line2.file}:${line2.line}:${line2.column}`;
var transforms = /* @__PURE__ */ new Set(["translate", "rotate", "scale", "skew", "tilt", "transform"]);
var notDrawing = /* @__PURE__ */ new Set([
  ...transforms,
  "style",
  "save",
  "restore",
  "group",
  "resetTransform",
  "clear",
  "toCanvas",
  "toLocal"
]);
var isDrawing = ({ name: name2, first, end }) => !notDrawing.has(name2) && end > first;
function styleCalls({ log: log3 }) {
  const all = [];
  let inForce = /* @__PURE__ */ new Map();
  const stack = [];
  for (const event of log3.events) {
    if (event.type === "enter")
      stack.push(new Map(inForce));
    else if (event.type === "leave")
      inForce = stack.pop() ?? inForce;
    else {
      const { call: call3 } = event;
      const options = call3.given.find((one) => typeof one === "object" && one !== null) ?? {};
      if (call3.name === "style") {
        const style = { call: call3, keys: new Set(Object.keys(options)), used: /* @__PURE__ */ new Set() };
        all.push(style);
        for (const key of style.keys)
          inForce.set(key, style);
      } else if (isDrawing(call3))
        for (const [key, style] of inForce) {
          const own = options[key];
          const isOwn = own !== void 0 && !(key === "stroke" && typeof own === "object");
          if (!isOwn && (key !== "text" || call3.name === "text"))
            style.used.add(key);
        }
      else if (call3.name === "group")
        continue;
    }
  }
  return all;
}
var unusedStyle = {
  name: "unused-style",
  title: "A style that nothing is drawn with",
  why: "It is set after what it was meant for, replaced before anything is drawn, or every shape has its own.",
  cure: "Set it before the shapes that it is for: canvas.style({ fill: \u2026 }) first, then canvas.rect(\u2026).",
  find({ details }) {
    const byLine = /* @__PURE__ */ new Map();
    for (const detail of details)
      for (const { call: call3, keys, used } of styleCalls(detail)) {
        const unused = [...keys].filter((key) => !used.has(key));
        const known = byLine.get(placeOf(call3.line));
        if (known === void 0)
          byLine.set(placeOf(call3.line), { line: call3.line, frame: detail.at, unused: new Set(unused), count: 1 });
        else
          known.unused = new Set(unused.filter((key) => known.unused.has(key)));
      }
    return [...byLine.values()].flatMap(({ line: line2, frame, unused }) => unused.size === 0 ? [] : [{ line: line2, frame, text: `nothing is drawn with the ${[...unused].join(" and ")} that style sets here` }]);
  }
};
var leak = {
  name: "leak",
  title: "A transform or a style that reaches what comes later",
  why: "Set without a group, it holds for everything that follows in the frame.",
  cure: "Put it into a group, with what it is for: canvas.group({ translate: [x, y], rotate: 30 }, () => { \u2026 }).",
  find: ({ details }) => details.slice(0, 1).flatMap(leaksOf)
};
var stickyKeys = ["opacity", "blend"];
function leaksOf({ at, log: log3 }) {
  const { calls } = log3;
  const found2 = [];
  const lines = /* @__PURE__ */ new Map();
  for (const { line: line2 } of calls)
    lines.set(placeOf(line2), (lines.get(placeOf(line2)) ?? 0) + 1);
  calls.forEach((call3, i2) => {
    const [options] = call3.given;
    const isSticky = call3.name === "style" && stickyKeys.some((key) => options?.[key] !== void 0 && options[key] !== 1 && options[key] !== "normal");
    if (call3.depth > 0 || !transforms.has(call3.name) && !isSticky)
      return;
    if (lines.get(placeOf(call3.line)) > 1)
      return;
    const before = calls.slice(0, i2).some((one) => one.depth === 0 && isDrawing(one));
    const rest = calls.slice(i2 + 1);
    const undone = rest.findIndex((one) => one.depth === 0 && undoes(call3, one));
    const after = rest.slice(0, undone < 0 ? void 0 : undone).filter((one) => one.depth === 0 && (isDrawing(one) || one.name === "group"));
    const reached = new Set(after.map(({ line: line2 }) => placeOf(line2)));
    if (!before || reached.size < 2 || undone >= 0)
      return;
    found2.push({
      line: call3.line,
      frame: at,
      text: `this ${call3.name} reaches all that is drawn after it, ${reached.size} lines of calls, to the end of the frame`,
      items: after.flatMap(({ first, end }) => Array.from({ length: end - first }, (_, n) => first + n + 1))
    });
  });
  return found2;
}
function undoes(call3, later) {
  if (later.name === "resetTransform")
    return transforms.has(call3.name);
  if (call3.name === "style")
    return later.name === "style" && stickyKeys.some((key) => key in (later.given[0] ?? {}));
  if (later.name !== call3.name)
    return false;
  const numbers = ({ given: [value] }) => typeof value === "number" ? [value] : Array.isArray(value) ? value : value !== null && typeof value === "object" ? Object.values(value) : [];
  const [one, other] = [numbers(call3), numbers(later)];
  return one.length === other.length && one.every((amount, i2) => call3.name === "scale" ? Math.abs(amount * other[i2] - 1) < 1e-6 : Math.abs(amount + other[i2]) < 1e-6);
}
var openSave = {
  name: "open-save",
  title: "A save that is never restored",
  why: "What was saved is not brought back: transform and style hold to the end of the frame.",
  cure: "End it with canvas.restore(), or use canvas.group({ \u2026 }, () => { \u2026 }), which ends by itself.",
  find: ({ details }) => details.flatMap(({ at, frame, log: log3 }) => frame.openSaves === 0 ? [] : [
    {
      line: log3.saves.at(-1),
      frame: at,
      text: `${frame.openSaves === 1 ? "this save is" : `${frame.openSaves} saves are`} never restored`
    }
  ])
};
var keptCanvas = {
  name: "kept-canvas",
  title: "A canvas that is used after its frame",
  why: "Each frame has a canvas of its own: what is drawn on an old one is never seen.",
  cure: "Draw within paint, on the canvas that it is given; hand it to functions as an argument.",
  find: ({ noted }) => noted.late.slice(0, 1).map((line2) => ({ line: line2, frame: void 0, text: "a canvas is drawn on whose frame is over" }))
};
var stateRules = [unusedStyle, leak, openSave, keptCanvas];

// packages/frame-juggler/dist/checks/rules/text.js
function pixelSize({ place, item }, { frame, log: log3 }) {
  const call3 = callOf(log3.calls, place);
  if (call3?.name !== "text" || call3.textStyle === void 0)
    return void 0;
  return call3.textStyle.size * largestScale(multiply(frame.view, item.transform));
}
var leastSize = 9;
var smallText = {
  name: "small-text",
  title: "Text that is too small",
  why: `Letters below ${leastSize} pixels run together.`,
  cure: "Give it a size of 12 or more, counting the scale in force.",
  find: (evidence) => linesThat(evidence, (seen, detail) => (pixelSize(seen, detail) ?? Infinity) < leastSize && seen.description.hidden === void 0, (items) => `${called(items)} ${verb(items, "is", "are")} set in ${Number(pixelSize(items[0], evidence.details.find(({ items: all }) => all.includes(items[0]))).toFixed(1))} pixels`)
};
var cutText = {
  name: "cut-text",
  title: "Text that runs out of the canvas",
  why: "What lies beyond the edge cannot be read.",
  cure: "Move it in, make it smaller, or break it with maxWidth; anchor says which point of it is at `at`.",
  find(evidence) {
    const still = stillNames(evidence);
    return linesThat(evidence, (seen, { canvas, ...detail }) => {
      const { box, hidden } = seen.description;
      if (pixelSize(seen, { canvas, ...detail }) === void 0 || hidden !== void 0)
        return false;
      const out = [
        canvas.left - box.left,
        box.right - canvas.right,
        canvas.top - box.top,
        box.bottom - canvas.bottom
      ];
      return Math.max(...out) > 1 && still.has(nameOf(seen.item));
    }, (items) => `${called(items)} ${verb(items, "runs", "run")} out of the canvas`);
  }
};
var missingCharacters = {
  name: "missing-characters",
  title: "Characters that the font lacks",
  why: "An empty box is drawn in their place.",
  cure: "Load a font that has them, asset.font(new URL(\u2026)), and give it as font.",
  find: ({ details }) => details.flatMap(({ at, log: log3 }) => log3.calls.flatMap(({ line: line2, lacking = [], given, first }) => lacking.length === 0 ? [] : [
    {
      line: line2,
      frame: at,
      items: [first + 1],
      text: `the font has no ${lacking.map((one) => `\u201C${one}\u201D`).join(", ")} for \u201C${String(given[0]).slice(0, 30)}\u201D`
    }
  ]))
};
var lowContrast = {
  name: "low-contrast",
  title: "Text that hardly stands out",
  why: "Against what lies under it, its contrast is below WCAG 2.2\u2019s 4.5 to 1 (3 to 1 for large letters).",
  cure: "Make it darker or lighter than what lies under it, or put a plate behind it.",
  find: (evidence) => linesThat(evidence, (seen, detail) => {
    const size = pixelSize(seen, detail);
    const found2 = contrastOf(seen);
    return size !== void 0 && found2 !== void 0 && found2 < needed(size) - 0.05;
  }, (items) => `${called(items)} ${verb(items, "has", "have")} a contrast of ${contrastOf(items[0]).toFixed(1)} to 1 to what lies under ${verb(items, "it", "them")}`)
};
var needed = (size) => size >= 24 ? 3 : 4.5;
function contrastOf({ item: { fill, opacity, group }, description, under }) {
  if (typeof fill !== "number" || alphaOf(fill) < 255 || opacity < 1 || under === void 0 || description.hidden !== void 0)
    return void 0;
  for (let at = group; at !== void 0; at = at.parent)
    if (at.opacity < 1)
      return void 0;
  return contrast(relativeLuminance(redOf(fill), greenOf(fill), blueOf(fill)), relativeLuminance(...under));
}
var textRules = [smallText, cutText, missingCharacters, lowContrast];

// packages/frame-juggler/dist/checks/rules/time.js
var middle = ({ left, right, top, bottom }) => [(left + right) / 2, (top + bottom) / 2];
var isFinite = (box) => box !== void 0 && Number.isFinite(box.left) && Number.isFinite(box.top);
var span = ({ left, right, top, bottom }) => Math.max(right - left, bottom - top);
function ofTracks(evidence, tracks, say) {
  const byName = /* @__PURE__ */ new Map();
  for (const track of tracks) {
    const list = byName.get(track.name);
    if (list === void 0)
      byName.set(track.name, [track]);
    else
      list.push(track);
  }
  return [...byName.values()].map((list) => ({
    line: lineOfTrack(evidence, list[0]),
    frame: void 0,
    text: say(list)
  }));
}
var thing = (tracks) => {
  const name2 = tracks[0].name.split("/").filter(Boolean).at(-1);
  const label = name2 === tracks[0].shape ? "" : ` \u201C${name2}\u201D`;
  return tracks.length > 1 ? `${tracks.length} ${tracks[0].shape} items${label}` : `the ${tracks[0].shape}${label}`;
};
var growing = {
  name: "growing",
  title: "A size that grows without end",
  why: "Each frame makes it larger than the one before: it ends by filling everything, or beyond all numbers.",
  cure: "Work the size out from the time (swing(seconds, 2, 1, 1.5)), or keep it in bounds with clamp or wrap.",
  find(evidence) {
    const { tracks, course, sketch } = evidence;
    if (course.length < 8 || sketch.frames !== Infinity)
      return [];
    const grown = tracks.filter(({ boxes }) => {
      if (!boxes.every(isFinite))
        return false;
      const sizes = boxes.map(span);
      const rises = sizes.every((size, i2) => i2 === 0 || size > sizes[i2 - 1]);
      return rises && sizes[0] > 0 && sizes.at(-1) > 3 * sizes[0];
    });
    return ofTracks(evidence, grown, (list) => `${thing(list)} ${list.length > 1 ? "grow" : "grows"} in every frame, to ${(span(list[0].boxes.at(-1)) / span(list[0].boxes[0])).toFixed(1)} times the size within ${course.length} frames`);
  }
};
var vanishes = {
  name: "vanishes",
  title: "A picture that is gone after its first frames",
  why: "Each frame begins fresh: what is only drawn in the first one is gone in the next.",
  cure: "Draw it in every frame; with carry: 1 what was drawn stays.",
  find({ course, first, details, sketch }) {
    if (course.length < 3 || sketch.carry === 1 || course[0].order.length === 0)
      return [];
    const from = course.findIndex(({ order }) => order.length === 0);
    if (from < 1 || from > course.length / 2 || course.slice(from).some(({ order }) => order.length > 0))
      return [];
    return [
      {
        line: details[0].items[0]?.description.source,
        frame: first + from,
        text: `frame ${first} draws ${course[0].order.length} items, and from frame ${first + from} on nothing is drawn`
      }
    ];
  }
};
var timeWords = ["seconds", "frame", "progress", "delta"];
var nothingMoves = {
  name: "nothing-moves",
  title: "Nothing moves",
  why: "The sketch steps or asks for the time, and every frame is the same.",
  cure: "Let paint use what changes: the state that step moves on, or seconds. For one picture only, still: true.",
  find({ course, noted, sketch, details }) {
    const asks = timeWords.filter((word) => noted.asked.has(word));
    if (course.length < 3 || noted.asked.has("pointer") || noted.asked.has("keys"))
      return [];
    if (!sketch.hasStep && asks.length === 0)
      return [];
    if (course.some((frame) => !isSameFrame(frame, { ...course[0], carry: frame.carry })))
      return [];
    const what = sketch.hasStep ? "step runs" : `paint asks for ${asks.join(" and ")}`;
    return [
      {
        line: details[0].items[0]?.description.source,
        frame: void 0,
        text: `${what}, and all ${course.length} frames are the same`
      }
    ];
  }
};
var paintsOver = {
  name: "paints-over",
  title: "Trails that are painted over and over",
  why: "With a carry the last picture stays: what is drawn again in its place only covers itself.",
  cure: "Draw just what is new in each frame, or leave carry out.",
  find({ tracks, course, sketch, details }) {
    if (sketch.carry < 0.99 || course.length < 6 || course.every(({ order }) => order.length < 2))
      return [];
    let [still, all] = [0, 0];
    for (const { boxes } of tracks)
      for (let at = 1; at < boxes.length; at++) {
        const [one, other] = [boxes[at - 1], boxes[at]];
        if (!isFinite(one) || !isFinite(other))
          continue;
        all++;
        if (hypot(one.left - other.left, one.top - other.top, one.right - other.right, one.bottom - other.bottom) < 0.01)
          still++;
      }
    if (all === 0 || still / all < 0.9)
      return [];
    return [
      {
        line: details[0].items[0]?.description.source,
        frame: void 0,
        text: `under a carry of ${sketch.carry}, ${Math.round(still / all * 100)} % of what each frame draws stands where the one before has drawn it`
      }
    ];
  }
};
var gone = {
  name: "gone",
  title: "A thing that leaves the canvas and never comes back",
  why: "It moves on and on: it is never seen again, and still takes its time.",
  cure: "Let it come in again on the other side: state.x = wrap(state.x, 0, width); or take it out of the state.",
  find(evidence) {
    const { tracks, course, sketch, details, noted } = evidence;
    if (course.length < 8 || sketch.frames !== Infinity || noted.asked.has("pointer"))
      return [];
    const [{ canvas }] = details;
    const left = tracks.filter(({ boxes }) => {
      if (!boxes.every(isFinite))
        return false;
      const all = boxes;
      const from = all.findIndex((box) => !isOn(box, canvas));
      if (from < 1 || from > all.length * 0.8)
        return false;
      const away = all.slice(from).map((box) => distance(box, canvas));
      return away.every((far, i2) => far > 0 && (i2 === 0 || far > away[i2 - 1]));
    });
    return ofTracks(evidence, left, (list) => `${thing(list)} ${list.length > 1 ? "leave" : "leaves"} the canvas and ${list.length > 1 ? "move" : "moves"} on and on`);
  }
};
function distance(box, canvas) {
  const across = Math.max(canvas.left - box.right, box.left - canvas.right, 0);
  const down = Math.max(canvas.top - box.bottom, box.top - canvas.bottom, 0);
  return hypot(across, down);
}
var frameBound = {
  name: "frame-bound",
  title: "A speed that hangs on the frame rate",
  why: "What is added once a frame moves twice as fast at twice the frame rate.",
  cure: "Multiply by delta, and think in units a second: state.x += 40 * delta; or work it out from seconds.",
  find(evidence) {
    const { tracks, faster, course } = evidence;
    if (faster === void 0 || course.length < 4)
      return [];
    const others = new Map(keysOf(faster).map((key, i2) => [key, faster[i2]]));
    const keys = keysOf(tracks);
    const bound = tracks.filter((track, i2) => {
      const other = others.get(keys[i2]);
      if (other === void 0)
        return false;
      const steps2 = Math.min(track.boxes.length, other.boxes.length) - 1;
      for (const at of [2, 3, 5, Math.floor(steps2 / 2)]) {
        if (at < 1 || at > steps2)
          continue;
        const [a, b, c, d] = [track.boxes[0], track.boxes[at], other.boxes[0], other.boxes[at]];
        if (!isFinite(a) || !isFinite(b) || !isFinite(c) || !isFinite(d))
          return false;
        const [one, two] = [move2(a, b), move2(c, d)];
        const way = hypot(...one);
        if (way < 0.5 || hypot(middle(a)[0] - middle(c)[0], middle(a)[1] - middle(c)[1]) > 1e-6)
          return false;
        if (hypot(two[0] - 2 * one[0], two[1] - 2 * one[1]) > 0.06 * way)
          return false;
      }
      return steps2 >= 2;
    });
    return ofTracks(evidence, bound, (list) => `${thing(list)} ${list.length > 1 ? "move" : "moves"} twice as far in the same time at twice the frame rate`);
  }
};
function move2(from, to) {
  const [x2, y] = middle(from);
  const [toX, toY] = middle(to);
  return [toX - x2, toY - y];
}
function keysOf(tracks) {
  const counts = /* @__PURE__ */ new Map();
  return tracks.map(({ name: name2 }) => {
    const nth = counts.get(name2) ?? 0;
    counts.set(name2, nth + 1);
    return `${name2}
${nth}`;
  });
}
var tooSlow = {
  name: "too-slow",
  title: "Frames that take too long",
  why: "A frame is to be done before the next one is due: else it stutters, or slips behind.",
  cure: "Draw less, keep in start what does not change, or lower the frameRate.",
  find({ cost, sketch }) {
    if (cost.length < 3)
      return [];
    const sorted = [...cost].sort((a, b) => a - b);
    const usual = sorted[Math.floor(sorted.length / 2)];
    const due = 1e3 / sketch.frameRate;
    if (usual <= due)
      return [];
    return [
      {
        line: void 0,
        frame: void 0,
        text: `a frame takes ${usual.toFixed(0)} ms to step and paint on this machine; at ${sketch.frameRate} a second there are ${due.toFixed(0)} ms`
      }
    ];
  }
};
var flashing = {
  name: "flashing",
  title: "Flashes more than three times a second",
  why: "Large flashes of more than three a second can bring on seizures (WCAG 2.2, 2.3.1).",
  cure: "Slow it down to under three a second, or keep it small or faint.",
  find({ luminances, sketch, first }) {
    if (luminances.length < 4)
      return [];
    const window = Math.max(2, Math.round(sketch.frameRate));
    const cellCount = luminances[0].length;
    for (let from = 0; from === 0 || from + window <= luminances.length; from++) {
      const part = luminances.slice(from, from + window);
      let flashy = 0;
      for (let cell = 0; cell < cellCount; cell++)
        if (flashesOf(part.map((grid) => grid[cell])) > 3)
          flashy++;
      if (flashy >= cellCount / 4)
        return [
          {
            line: void 0,
            frame: first + from,
            text: `from frame ${first + from} on more than a quarter of the picture flashes more than three times within a second`
          }
        ];
    }
    return [];
  }
};
function flashesOf(row) {
  let changes = 0;
  let [low, high, direction] = [row[0], row[0], 0];
  for (const value of row) {
    low = Math.min(low, value);
    high = Math.max(high, value);
    if (direction >= 0 && high - value >= 0.1 && value < 0.8) {
      if (direction !== 0 || high !== row[0])
        changes++;
      direction = -1;
      [low, high] = [value, value];
    } else if (direction <= 0 && value - low >= 0.1 && low < 0.8) {
      changes++;
      direction = 1;
      [low, high] = [value, value];
    }
  }
  return changes / 2;
}
var timeRules = [
  growing,
  vanishes,
  nothingMoves,
  paintsOver,
  gone,
  frameBound,
  tooSlow,
  flashing
];

// packages/frame-juggler/dist/checks/check.js
var rules = [...itemRules, ...stateRules, ...timeRules, ...chanceRules, ...textRules];
var maxPlaces = 5;
async function checkSketch(sketch, setting) {
  const names = rules.map(({ name: name2 }) => name2);
  for (const name2 of Object.keys(sketch.accept))
    if (!names.includes(name2))
      fail({
        call: "defineSketch",
        option: `accept ${name2}`,
        problem: "is the name of no finding",
        expected: suggest(name2, names)
      });
  const evidence = await gather(sketch, setting);
  const findings = rules.flatMap((rule) => found(rule, rule.find(evidence), sketch.accept));
  return {
    format: "frame-juggler/checkup",
    version: 1,
    title: sketch.title,
    seed: setting.open(sketch).seed,
    frames: setting.frames,
    findings
  };
}
function found({ name: name2, why, cure }, sightings, accept) {
  const places = /* @__PURE__ */ new Map();
  for (const sighting of sightings) {
    const { line: line2 } = sighting;
    const key = line2 === void 0 ? "" : `${line2.file}:${line2.line}`;
    if (!places.has(key))
      places.set(key, sighting);
  }
  const listed = [...places.values()].slice(0, maxPlaces);
  const more = places.size - listed.length;
  return listed.map(({ line: line2, frame, items, text: text2 }, i2) => ({
    name: name2,
    seen: text2,
    why,
    cure,
    ...line2 !== void 0 && { line: line2 },
    ...frame !== void 0 && { frame },
    ...items !== void 0 && { items },
    more: i2 === listed.length - 1 ? more : 0,
    ...accept[name2] !== void 0 && { accepted: accept[name2] }
  }));
}
function checkupLines({ title: title2, frames: [first, last], findings }, width = 100) {
  const open = findings.filter(({ accepted }) => accepted === void 0);
  const meant = findings.filter(({ accepted }) => accepted !== void 0);
  const looked = first === last ? `frame ${first}` : `frames ${first} to ${last}`;
  const result = open.length === 0 ? "nothing found" : count(open.length, "finding");
  const lines = [`${title2}, ${looked}: ${result}${meant.length > 0 ? `, ${meant.length} accepted` : ""}`];
  for (const { name: name2, seen, why, cure, line: line2, frame, more } of open) {
    const place = line2 === void 0 ? "" : `${fileName(line2.file)}:${line2.line}  `;
    const when = frame === void 0 || first === last ? "" : ` (frame ${frame})`;
    lines.push("", `${place}${name2}`, ...wrapLines(`${seen}${when}.`, width, "  "));
    lines.push(...wrapLines(why, width, "  "), ...wrapLines(`Way out: ${cure}`, width, "  "));
    if (more > 0)
      lines.push(`  The same at ${more} more ${more === 1 ? "line" : "lines"}.`);
  }
  for (const { name: name2, line: line2, accepted = "" } of meant)
    lines.push("", clip(`accepted: ${name2}${line2 === void 0 ? "" : `, ${fileName(line2.file)}:${line2.line}`}: ${accepted}`, width));
  return lines;
}

// packages/frame-juggler/dist/review/compare-frames.js
var nearby = 1e-6;
function compareFrames(before, after) {
  const [one, other] = [describeFrame(before).items, describeFrame(after).items];
  const pairs2 = pairItems(one, other);
  const partners = new Set(pairs2.map(([, place]) => place));
  const inOrder = longestRise(pairs2.map(([, place]) => place));
  const changed = [];
  let same = 0;
  pairs2.forEach(([from, to], i2) => {
    const change = changeOf(one[from], other[to], !inOrder.has(i2));
    if (change === void 0)
      same++;
    else
      changed.push(change);
  });
  const paired = new Set(pairs2.map(([place]) => place));
  return {
    added: other.filter((_, place) => !partners.has(place)),
    gone: one.filter((_, place) => !paired.has(place)),
    changed,
    same
  };
}
function pairItems(one, other) {
  const pairs2 = [];
  const free = { one: new Set(one.keys()), other: new Set(other.keys()) };
  const keys = [
    (item) => [item.shape, item.label, item.text, item.outline, item.transform, item.style].join("\n"),
    (item) => [item.shape, item.label, item.text, item.style].join("\n"),
    (item) => [item.shape, item.label, item.text].join("\n"),
    (item) => [item.shape, item.label].join("\n")
  ];
  for (const keyOf2 of keys) {
    const waiting = /* @__PURE__ */ new Map();
    for (const place of free.other) {
      const key = keyOf2(other[place]);
      const list = waiting.get(key);
      if (list === void 0)
        waiting.set(key, [place]);
      else
        list.push(place);
    }
    for (const list of waiting.values())
      list.reverse();
    for (const place of [...free.one]) {
      const found2 = waiting.get(keyOf2(one[place]))?.pop();
      if (found2 === void 0)
        continue;
      pairs2.push([place, found2]);
      free.one.delete(place);
      free.other.delete(found2);
    }
  }
  return pairs2.sort(([a], [b]) => a - b);
}
function changeOf(before, after, reordered) {
  const [a, b] = [before.box, after.box];
  const moved = [
    (b.left + b.right - a.left - a.right) / 2,
    (b.top + b.bottom - a.top - a.bottom) / 2
  ];
  const isMoved = hypot(...moved) > nearby;
  const isReshaped = before.outline !== after.outline ? Math.abs(a.right - a.left - b.right + b.left) > nearby || Math.abs(a.bottom - a.top - b.bottom + b.top) > nearby || !isMoved : before.transform.some((part, i2) => i2 < 4 && Math.abs(part - after.transform[i2]) > 1e-9);
  const isRepainted = before.style !== after.style;
  if (!isMoved && !isReshaped && !isRepainted && !reordered)
    return void 0;
  return {
    before,
    after,
    ...isMoved && { moved },
    ...isReshaped && { reshaped: true },
    ...isRepainted && { repainted: true },
    ...reordered && { reordered: true }
  };
}
function longestRise(list) {
  const ends = [];
  const before = [];
  list.forEach((value, i2) => {
    let [low, high] = [0, ends.length];
    while (low < high) {
      const middle2 = low + high >> 1;
      if (list[ends[middle2]] < value)
        low = middle2 + 1;
      else
        high = middle2;
    }
    before[i2] = low > 0 ? ends[low - 1] : -1;
    ends[low] = i2;
  });
  const places = /* @__PURE__ */ new Set();
  for (let at = ends.at(-1) ?? -1; at >= 0; at = before[at])
    places.add(at);
  return places;
}
var most = 12;
function frameDifferenceLines({ added, gone: gone2, changed, same }, width = 100) {
  if (added.length + gone2.length + changed.length === 0)
    return [`The same ${count(same, "item")}.`];
  const lines = [];
  const list = (title2, texts) => {
    if (texts.length === 0)
      return;
    lines.push(`${title2}:`, ...texts.slice(0, most).map((text2) => clip(`  ${text2}`, width)));
    if (texts.length > most)
      lines.push(`  and ${texts.length - most} more`);
  };
  list(count(gone2.length, "item").concat(" gone"), gone2.map(named2));
  list(count(added.length, "item").concat(" added"), added.map(named2));
  list(count(changed.length, "item").concat(" changed"), changed.map((change) => `${named2(change.after)}: ${changeInWords(change)}`));
  return [...lines, `${count(same, "item")} the same.`];
}
function named2({ number, shape, label, text: text2, source }) {
  const said = text2 === void 0 ? "" : ` \u201C${text2}\u201D`;
  const line2 = source === void 0 ? "" : `, line ${source.line}`;
  return `${number} ${shape}${said}${label === void 0 ? "" : ` ${label}`}${line2}`;
}
function changeInWords({ before, after, moved, reshaped, repainted, reordered }) {
  const tenth2 = (value) => short(Math.round(value * 10) / 10);
  return [
    moved && `moved by ${tenth2(moved[0])}, ${tenth2(moved[1])}`,
    reshaped && "reshaped",
    repainted && `${before.style} \u2192 ${after.style}`,
    reordered && "drawn in another order"
  ].filter((part) => part !== void 0).join("; ");
}

// packages/frame-juggler/dist/review/notes.js
var maxItems = 400;
function notesOnFrame(painted, again, at) {
  const notes = [];
  const note = (text2, source) => void notes.push({ text: text2, source });
  if (painted !== void 0 && !isSameFrame(painted, again))
    note(`paint draws frame ${at} otherwise when it is called again; what changes belongs into step, or comes from random`);
  if (again.lacking.length > 0)
    note(`the font has no ${again.lacking.map((one) => `\u201C${one}\u201D`).join(", ")}`);
  if (again.order.length === 0)
    note(`nothing was drawn in frame ${at}`);
  else if (again.order.length <= maxItems) {
    const items = itemsInWords(again);
    if (items.every(({ hidden }) => hidden !== void 0))
      note(`nothing that frame ${at} drew can be seen: ${reasons(items)}`, items[0].source);
  }
  return notes;
}
function reasons(items) {
  const counts = /* @__PURE__ */ new Map();
  for (const { hidden } of items)
    if (hidden !== void 0)
      counts.set(hidden, (counts.get(hidden) ?? 0) + 1);
  return [...counts].map(([hidden, count2]) => `${count2} ${hidden}`).join(", ");
}
export {
  Canvas,
  Color,
  Font,
  FrameReader,
  LiveClock,
  PathBuilder,
  Picture,
  RasterSurface,
  Recorder,
  Run,
  SketchError,
  addHostCode,
  asSketchError,
  asset,
  boundsOf,
  checkSketch,
  checkupLines,
  clamp,
  colorInWords,
  colorMix,
  compareFrames,
  conicGradient,
  cssColor,
  cycle,
  defineShape,
  defineSketch,
  describeFrame,
  dial,
  easing,
  explainFrame,
  explanationLines,
  fitDials,
  frameAtRest,
  frameBytes,
  frameDifferenceLines,
  frameInWords,
  fromRadians,
  fromTurns,
  gray,
  hsl,
  isSameFrame,
  isSketch,
  itemsAt,
  itemsOf,
  keyframes,
  linearGradient,
  loadFonts,
  makeTrack,
  maths_exports as maths,
  measureText,
  mix,
  notesOnFrame,
  oklch,
  parseDial,
  pattern,
  picture,
  pictureSize,
  playTrack,
  radialGradient,
  ramp,
  rasterize,
  readColor,
  readTrack,
  remap,
  renderPicture,
  required,
  rgb,
  rules,
  scenes,
  seededNoise,
  seededRandom,
  sketchLine,
  smoothstep,
  spring,
  swing,
  textOutline,
  transformInWords,
  wrap,
  writeSvg,
  writeTrack,
  zigzag
};
