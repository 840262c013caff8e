import {
  padBox
} from "./chunk-JEROG5JX.js";
import {
  Engine
} from "./chunk-FYXFEF5H.js";
import {
  FrameReader
} from "./chunk-NE2UDUYN.js";
import {
  apply,
  inverse,
  largestScale,
  pathBox
} from "./chunk-64DTOP6Y.js";

// packages/frame-juggler/dist/review/hit.js
var tolerance = 0.05;
function hitsLabel(frame, label, x, y) {
  const reader = new FrameReader(frame);
  return reader.items().some((item) => isLabeled(item, label) && hitsItem(reader, item, x, y));
}
function itemsAt(frame, x, y) {
  const reader = new FrameReader(frame);
  const places = reader.items().flatMap((item, i) => hitsItem(reader, item, x, y) ? [frame.order[i]] : []);
  return places.reverse();
}
function hitsItem(reader, item, x, y) {
  const back = inverse(item.transform);
  if (back === void 0 || item.opacity === 0 || !insideClips(reader, item.group, x, y))
    return false;
  const [px, py] = apply(back, x, y);
  const ownTolerance = tolerance / largestScale(item.transform);
  const { path, stroke } = item;
  const reach = stroke === void 0 ? 0 : stroke.width * Math.max(stroke.miterLimit, 1.5);
  const box = padBox(pathBox(path), reach);
  if (!(px >= box.left && px <= box.right && py >= box.top && py <= box.bottom))
    return false;
  engine ??= new Engine();
  if (item.fill !== void 0 && engine.fillHits(path, item.fillRule, ownTolerance, box, px, py))
    return true;
  return stroke !== void 0 && stroke.width > 0 && engine.strokeHits(path, stroke, ownTolerance, box, px, py);
}
var engine;
function isLabeled(item, label) {
  if (item.label === label)
    return true;
  for (let { group } = item; group !== void 0; group = group.parent)
    if (group.label === label)
      return true;
  return false;
}
function insideClips(reader, group, x, y) {
  for (let at = group; at !== void 0; at = at.parent) {
    if (at.opacity === 0)
      return false;
    if (at.clip !== void 0 && !reader.items(at.clip).some((item) => hitsItem(reader, item, x, y)))
      return false;
  }
  return true;
}

export {
  hitsLabel,
  itemsAt
};
