import {
  bothOf,
  lengths,
  optional,
  pairOf,
  point,
  schemaOf,
  xOf,
  yOf
} from "./chunk-XNENNZIQ.js";
import {
  Font
} from "./chunk-BF3HK4P4.js";
import {
  Kind,
  kindOf,
  length,
  oneOf
} from "./chunk-BTP6WEQV.js";
import {
  suggest
} from "./chunk-IWQLMP55.js";

// packages/frame-juggler/dist/text/line-breaks.js
function lineBreaksBy(Rules) {
  return (line) => {
    const breaker = new Rules(line);
    const places = [];
    for (let next = breaker.nextBreak(); next !== null; next = breaker.nextBreak())
      places.push(next.position);
    return places;
  };
}
var breakAtSpaces = (line) => [
  ...[...line.matchAll(/ +(?=[^ ])/g)].map((spaces) => spaces.index + spaces[0].length),
  ...line === "" ? [] : [line.length]
];
function breaksElsewhere(text) {
  return /[^a-z\d .,:;'\r\n]|(?:^|[ \r\n])[.,:;']/i.test(text);
}

// packages/frame-juggler/dist/text/style.js
var align = oneOf("left", "center", "right", "auto");
var isFont = (value) => value === "default" || value instanceof Font;
var fontChoice = kindOf("one of assets (asset.font), 'default', or a list of these", (value) => isFont(value) || Array.isArray(value) && value.length > 0 && value.every(isFont), "is not a font");
var textStyleTable = {
  /** The em, in units: somewhat more than the height of a line's letters. */
  size: optional(length, 16),
  /**
   * A font of the sketch's own (`asset.font`), or `default` for the one that comes with the library; or a list of them,
   * of which each sets what those before have no glyphs for.
   */
  font: optional(fontChoice, "default"),
  /** Of the library's own font: regular or bold, 400 or 700. */
  weight: optional(kindOf("one of regular, bold, 400, 700", (value) => value === "regular" || value === "bold" || value === 400 || value === 700, "is not known"), "regular"),
  /** How lines lie under each other; `auto` follows the anchor. */
  align: optional(align, "auto"),
  /** From one baseline to the next, in ems. */
  lineHeight: optional(length, 1.25)
};
var textStyleOptions = schemaOf(textStyleTable, "{ size: 20, weight: 'bold' }");
var initialTextStyle = textStyleOptions.read("text", {});
function restyleText(style, options) {
  const { size, font, weight, align: lines, lineHeight } = options;
  const kept = size === void 0 && font === void 0 && weight === void 0;
  if (kept && lines === void 0 && lineHeight === void 0)
    return style;
  return {
    size: size ?? style.size,
    font: font ?? style.font,
    weight: weight ?? style.weight,
    align: lines ?? style.align,
    lineHeight: lineHeight ?? style.lineHeight
  };
}
var isList = (font) => Array.isArray(font);
var listOf = ({ font }) => isList(font) ? font : [font];
function ownWeight(style) {
  if (!listOf(style).includes("default"))
    return void 0;
  return style.weight === "bold" || style.weight === 700 ? "bold" : "regular";
}
function fontsOf(style, own) {
  return listOf(style).map((font) => font === "default" ? own.get(ownWeight(style)) : font);
}

// packages/frame-juggler/dist/shapes/place.js
var anchorFractions = {
  center: [0.5, 0.5],
  top: [0.5, 0],
  bottom: [0.5, 1],
  left: [0, 0.5],
  right: [1, 0.5],
  "top-left": [0, 0],
  "top-right": [1, 0],
  "bottom-left": [0, 1],
  "bottom-right": [1, 1]
};
var isFraction = (value) => typeof value === "number" && value >= 0 && value <= 1;
// @__NO_SIDE_EFFECTS__
function anchorKind(...more) {
  const names = [...Object.keys(anchorFractions), ...more];
  const known = new Set(names);
  const isPair = (value) => Array.isArray(value) && value.length === 2 && isFraction(value[0]) && isFraction(value[1]);
  return new Kind(`an anchor: ${names.join(", ")}, or [x, y] from 0 to 1`, (value) => known.has(value) || isPair(value), (value) => typeof value === "string" ? { problem: "is not known", expected: suggest(value, names) } : { problem: "is not an anchor", expected: "expected a name, or [x, y] from 0 to 1" });
}
var anchor = /* @__PURE__ */ anchorKind();
var anchorTable = {
  /** Which point of its box is its pin: a name, or fractions of its width and height. */
  anchor: optional(anchor, "center")
};
function anchorFraction(given, { up }) {
  const [x, y] = given === void 0 ? anchorFractions.center : typeof given === "string" ? anchorFractions[given] : given;
  return up ? [x, 1 - y] : [x, y];
}
var pinTable = {
  /** The pin: the point where the anchor's point of its box goes. */
  at: point
};
var boxTable = {
  ...pinTable,
  /** Its width and height, in units; one number for a square. */
  size: lengths,
  /** One corner of its box, with `to` the opposite one. */
  from: point,
  /** The corner of its box opposite to `from`. */
  to: point
};
var boxForms = [
  ["at", "size"],
  ["from", "to"]
];
function placeSized(options, width, height, surroundings) {
  const pin = pairOf(options.at);
  if (options.anchor === void 0)
    return { x: pin[0], y: pin[1], width, height, pin };
  const [ax, ay] = anchorFraction(options.anchor, surroundings);
  return { x: pin[0] + (0.5 - ax) * width, y: pin[1] + (0.5 - ay) * height, width, height, pin };
}
function placeBox({ at, anchor: anchor2, size, from, to }, surroundings, otherwise) {
  if (from === void 0 || to === void 0) {
    const [width2, height2] = size === void 0 ? otherwise : bothOf(size);
    return placeSized(anchor2 === void 0 ? { at } : { at, anchor: anchor2 }, width2, height2, surroundings);
  }
  const [x0, y0, x1, y1] = [xOf(from), yOf(from), xOf(to), yOf(to)];
  const width = Math.abs(x1 - x0);
  const height = Math.abs(y1 - y0);
  const [ax, ay] = anchorFraction(anchor2, surroundings);
  return {
    x: (x0 + x1) / 2,
    y: (y0 + y1) / 2,
    width,
    height,
    pin: [Math.min(x0, x1) + ax * width, Math.min(y0, y1) + ay * height]
  };
}

export {
  lineBreaksBy,
  breakAtSpaces,
  breaksElsewhere,
  textStyleTable,
  textStyleOptions,
  initialTextStyle,
  restyleText,
  ownWeight,
  fontsOf,
  anchorKind,
  anchorTable,
  anchorFraction,
  pinTable,
  boxTable,
  boxForms,
  placeSized,
  placeBox
};
