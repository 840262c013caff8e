import {
  boxUnder,
  intersectBoxes
} from "./chunk-JEROG5JX.js";
import {
  alphaOf,
  blueOf,
  greenOf,
  redOf
} from "./chunk-LDXCYOWX.js";
import {
  FrameReader
} from "./chunk-NE2UDUYN.js";
import {
  inverse,
  pathBox
} from "./chunk-64DTOP6Y.js";
import {
  atan2
} from "./chunk-IWQLMP55.js";

// packages/frame-juggler/dist/review/boxes.js
function canvasBox({ width, height, view }) {
  const back = inverse(view);
  if (back === void 0)
    return { left: -Infinity, top: -Infinity, right: Infinity, bottom: Infinity };
  return boxUnder({ left: 0, top: 0, right: width, bottom: height }, back);
}
var known = /* @__PURE__ */ new WeakMap();
function itemBoxes(frame) {
  let boxes = known.get(frame);
  if (boxes === void 0) {
    const found = [];
    const none = () => void 0;
    const item = ({ outlines, transform, start, end }) => void found.push(pathBox(outlines, transform, start, end));
    new FrameReader(frame).walk(frame.order, { enter: none, leave: none, item });
    known.set(frame, boxes = found);
  }
  return boxes;
}

// packages/frame-juggler/dist/review/words.js
var maxNamed = 6;
function frameInWords(frame, shares) {
  const items = new FrameReader(frame).items();
  const total = items.length;
  if (total === 0)
    return `Nothing is drawn; the background is ${colorInWords(frame.background)}`;
  const things = thingsOf(frame, items, shares);
  if (things.length === 0)
    return `Nothing can be seen; ${total === 1 ? "1 thing is" : `${total} things are`} drawn`;
  const canvas = canvasBox(frame);
  const named = [...things].sort((one, other) => Number(other.labeled) - Number(one.labeled) || other.weight - one.weight).slice(0, maxNamed).sort((one, other) => one.at - other.at);
  const text = named.map((thing) => `${withCount(thing)} ${placeInWords(thing.box, canvas)}`).join(", ");
  return `${text[0].toUpperCase()}${text.slice(1)}; ${total === 1 ? "1 thing" : `${total} things`}`;
}
function thingsOf(frame, items, shares) {
  const canvas = canvasBox(frame);
  const area = (canvas.right - canvas.left) * (canvas.bottom - canvas.top);
  const boxes = itemBoxes(frame);
  const things = /* @__PURE__ */ new Map();
  const groups = /* @__PURE__ */ new Map();
  items.forEach((item, at) => {
    const seen = shares?.[at].seen ?? Number(item.opacity > 0);
    if (seen === 0)
      return;
    const { label, whole } = labelOf(item);
    const name = label ?? (item.text === void 0 ? `${paintWord(item)}${item.shape}` : `\u201C${item.text.replaceAll("\n", " ")}\u201D`);
    const box = intersectBoxes(boxes[at], canvas);
    if (!(box.right >= box.left && box.bottom >= box.top))
      return;
    const weight = (box.right - box.left) * (box.bottom - box.top) / area * seen;
    const known2 = things.get(name);
    if (known2 === void 0)
      things.set(name, { name, labeled: label !== void 0, count: 0, box, weight, at });
    else {
      known2.box = unite(known2.box, box);
      known2.weight += weight;
    }
    const parts = groups.get(name) ?? groups.set(name, /* @__PURE__ */ new Set()).get(name);
    parts.add(whole ?? at);
    things.get(name).count = parts.size;
  });
  return [...things.values()];
}
function labelOf(item) {
  let found = { label: item.label, whole: void 0 };
  for (let { group } = item; group !== void 0; group = group.parent)
    if (group.label !== void 0)
      found = { label: group.label, whole: group };
  return found;
}
function unite(one, other) {
  return {
    left: Math.min(one.left, other.left),
    top: Math.min(one.top, other.top),
    right: Math.max(one.right, other.right),
    bottom: Math.max(one.bottom, other.bottom)
  };
}
function withCount({ name, count }) {
  if (name.startsWith("\u201C"))
    return count === 1 ? name : `${name} ${count} times`;
  if (count === 1)
    return uncounted.test(name) ? name : `${/^[aeiou]/i.test(name) ? "an" : "a"} ${name}`;
  return `${count} ${/(?:s|x|ch|sh)$/.test(name) ? `${name}${name.endsWith("s") ? "" : "es"}` : `${name}s`}`;
}
var uncounted = /(?:[^s]s|\b(?:sea|water|sky|land|ground|grass|sand|snow|rain|fog|smoke|light|wind|text|shade|foam|now))$/i;
function placeInWords(box, canvas) {
  const [width, height] = [canvas.right - canvas.left, canvas.bottom - canvas.top];
  const across = (box.right - box.left) / width;
  const down = (box.bottom - box.top) / height;
  const x = ((box.left + box.right) / 2 - canvas.left) / width;
  const y = ((box.top + box.bottom) / 2 - canvas.top) / height;
  const column = x < 0.36 ? "left" : x > 0.64 ? "right" : "";
  const row = y < 0.36 ? "top" : y > 0.64 ? "bottom" : "";
  if (across > 0.7 && down > 0.7)
    return "all over";
  if (across > 0.7)
    return row === "" ? "across the middle" : row === "top" ? "across the top" : "below";
  if (down > 0.7)
    return column === "" ? "from top to bottom" : `on the ${column}`;
  if (row === "")
    return column === "" ? "in the middle" : `on the ${column}`;
  return column === "" ? `at the ${row}` : `at the ${row} ${column}`;
}
function paintWord({ fill, stroke }) {
  const paint = fill ?? stroke?.paint;
  if (typeof paint === "number")
    return `${colorInWords(paint)} `;
  return paint !== void 0 && "stops" in paint ? "shaded " : "";
}
var hues = [
  [14, "red"],
  [42, "orange"],
  [68, "yellow"],
  [162, "green"],
  [198, "teal"],
  [256, "blue"],
  [292, "purple"],
  [344, "pink"],
  [360, "red"]
];
function colorInWords(color) {
  if (alphaOf(color) === 0)
    return "transparent";
  const [r, g, b] = [redOf(color) / 255, greenOf(color) / 255, blueOf(color) / 255];
  const [least, most] = [Math.min(r, g, b), Math.max(r, g, b)];
  const light = (least + most) / 2;
  const chroma = most - least;
  if (chroma < 0.09)
    return light < 0.12 ? "black" : light > 0.93 ? "white" : light < 0.36 ? "dark gray" : light > 0.72 ? "pale gray" : "gray";
  const hue = (atan2(Math.sqrt(3) * (g - b), 2 * r - g - b) * 180 / Math.PI + 360) % 360;
  const word = hues.find(([to]) => hue <= to)[1];
  if ((word === "orange" || word === "red") && light < 0.42 && chroma < 0.5)
    return light < 0.2 ? "dark brown" : "brown";
  return light < 0.28 ? `dark ${word}` : light > 0.78 ? `pale ${word}` : word;
}

export {
  canvasBox,
  itemBoxes,
  frameInWords,
  colorInWords
};
