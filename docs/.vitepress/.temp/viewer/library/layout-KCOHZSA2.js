import {
  anchorFraction,
  breakAtSpaces,
  breaksElsewhere,
  fontsOf
} from "./chunk-RHCINV5B.js";
import "./chunk-XNENNZIQ.js";
import {
  clustersOf,
  drawsNothing,
  isLatin,
  scriptOf
} from "./chunk-BF3HK4P4.js";
import {
  addPlaced
} from "./chunk-64DTOP6Y.js";
import "./chunk-BTP6WEQV.js";
import "./chunk-IWQLMP55.js";
import "./chunk-MLKGABMK.js";

// packages/frame-juggler/dist/text/set-line.js
function setRuns(runs, fonts) {
  const parts = runs.flatMap(({ text, rightToLeft }) => {
    const ofOneFont = partsOf(text, fonts).map((part) => part.font.set(part.text, rightToLeft));
    return rightToLeft ? ofOneFont.reverse() : ofOneFont;
  });
  if (parts.length === 1)
    return parts[0];
  const path = [];
  let advance = 0;
  for (const part of parts) {
    addPlaced(path, part.path, advance, 0, 1, 1);
    advance += part.advance;
  }
  return {
    advance,
    path,
    // Parts may reach into one another.
    winding: 0,
    top: Math.min(0, ...parts.map(({ top }) => top)),
    bottom: Math.max(0, ...parts.map(({ bottom }) => bottom)),
    lacking: [...new Set(parts.flatMap(({ lacking }) => lacking))]
  };
}
function partsOf(text, fonts) {
  const [first] = fonts;
  if (isLatin(text) && (fonts.length === 1 || first.draws(text)))
    return [{ text, font: first, script: void 0 }];
  const parts = [];
  for (const cluster of clustersOf(text)) {
    const before = parts.at(-1);
    const script = scriptOf(cluster);
    const stays = before !== void 0 && [...cluster].every(drawsNothing);
    const font = stays ? before.font : fonts.find((each) => each.draws(cluster)) ?? first;
    const sameScript = script === void 0 || before?.script === void 0 || script === before.script;
    if (before?.font === font && sameScript)
      parts[parts.length - 1] = { text: before.text + cluster, font, script: before.script ?? script };
    else
      parts.push({ text: cluster, font, script });
  }
  return parts;
}

// packages/frame-juggler/dist/text/layout.js
function layOut(setting, means) {
  const { pin, style, anchor, up } = setting;
  const { size } = style;
  const lines = linesOf(setting, means);
  const widths = lines.map(({ set: set2 }) => set2.advance * size);
  const width = widths.reduce((widest, each) => Math.max(widest, each), 0);
  const leading = style.lineHeight * size;
  const capHeight = fontsOf(style, means.fonts)[0].capHeight * size;
  const height = capHeight + (lines.length - 1) * leading;
  const [ax, ay] = textAnchor(anchor, capHeight / (height || 1));
  const align = style.align === "auto" ? ax : { left: 0, center: 0.5, right: 1 }[style.align];
  const path = [];
  lines.forEach(({ set: set2 }, index) => {
    const x = pin[0] - ax * width + align * (width - widths[index]);
    const below = capHeight + index * leading - ay * height;
    addPlaced(path, set2.path, x, pin[1] + (up ? -below : below), size, up ? -size : size);
  });
  const set = lines.map((line) => line.set);
  return {
    path,
    width,
    height,
    lines: lines.map(({ text }) => text),
    simple: areApart(set, style.lineHeight),
    lacking: [...new Set(set.flatMap((line) => line.lacking))]
  };
}
function areApart(lines, lineHeight) {
  const [{ winding }] = lines;
  if (winding === 0)
    return false;
  return lines.every((line, i) => line.winding === winding && (i === 0 || lines[i - 1].bottom - line.top < lineHeight));
}
var baselineAnchors = { "baseline-left": 0, baseline: 0.5, "baseline-right": 1 };
function textAnchor(anchor, firstBaseline) {
  if (typeof anchor === "string" && anchor in baselineAnchors)
    return [baselineAnchors[anchor], firstBaseline];
  return anchorFraction(anchor, { up: false });
}
var lineEnd = /\r\n|[\n\v\f\r\u0085\u2028\u2029]/;
function linesOf({ string, style, maxWidth = Infinity }, means) {
  const fonts = fontsOf(style, means.fonts);
  const max = style.size > 0 ? maxWidth / style.size : Infinity;
  const breaks = breaksElsewhere(string) ? means.breaks : void 0;
  return string.split(lineEnd).flatMap((paragraph) => {
    const runs = means.directions?.(paragraph) ?? straightOn(paragraph);
    const whole = { text: paragraph, set: setRuns(runs(0, paragraph.length), fonts) };
    if (whole.set.advance <= max)
      return [whole];
    const set = (start, end) => pieceOf(paragraph, start, end, runs, fonts);
    return breakParagraph(paragraph, (breaks ?? breakAtSpaces)(paragraph), max, set);
  });
}
function straightOn(paragraph) {
  return (start, end) => [{ text: paragraph.slice(start, end), rightToLeft: false }];
}
var softHyphen = "\xAD";
var spacesAtEnd = /[ \t\u1680\u2000-\u2006\u2008-\u200a\u205f\u3000]+$/;
function pieceOf(paragraph, start, end, runs, fonts) {
  const text = paragraph.slice(start, end).replace(spacesAtEnd, "");
  const directed = runs(start, start + text.length);
  if (!text.endsWith(softHyphen))
    return { text, set: setRuns(directed, fonts) };
  const hyphen = fonts.some((font) => font.draws("\u2010")) ? "\u2010" : "-";
  const seen = directed.map((run) => run.text.endsWith(softHyphen) ? { ...run, text: run.text.slice(0, -1) + hyphen } : run);
  return { text: text.slice(0, -1) + hyphen, set: setRuns(seen, fonts) };
}
function breakParagraph(paragraph, places, max, set) {
  const lines = [];
  let start = 0;
  let fitting;
  let end = 0;
  const finish = () => {
    if (fitting !== void 0)
      lines.push(fitting);
    fitting = void 0;
    start = end;
  };
  const tryTo = (place) => {
    const line = set(start, place);
    if (line.set.advance > max)
      return false;
    fitting = line;
    end = place;
    return true;
  };
  for (const place of places) {
    if (tryTo(place))
      continue;
    finish();
    if (tryTo(place))
      continue;
    let within = start;
    for (const cluster of clustersOf(paragraph.slice(start, place))) {
      within += cluster.length;
      if (tryTo(within))
        continue;
      finish();
      if (!tryTo(within))
        [fitting, end] = [set(start, within), within];
    }
  }
  finish();
  return lines;
}
export {
  layOut
};
