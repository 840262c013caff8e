/*
 * What a word that is not known was most likely meant to be: another word for the same thing, or one that is spelt nearly
 * like it.
 */

/** What words are called elsewhere, by what to write for them: lists of those, parted by spaces. */
export type Kin = Readonly<Record<string, Readonly<Record<string, string>>>>;

/** What our words are called elsewhere: in SVG, in CSS, on the HTML canvas, in plain English. Behind each what to write. */
const kin: Kin = {
  // Before a width: the canvas has one, and lineWidth does not mean it.
  style: {
    'style({ fill })': 'fill fillStyle color',
    'style({ stroke })': 'stroke strokeStyle lineWidth lineCap lineJoin lineDash',
    'style({ opacity })': 'opacity alpha globalAlpha',
    'style({ blend })': 'blend blendMode globalCompositeOperation',
  },
  at: { 'at: [x, y]': 'x y cx cy center position pos' },
  // Before a size: a radius of these is no size.
  radii: { 'radii: [rx, ry]': 'rx ry radiusX radiusY', radii: 'radius' },
  corners: { corners: 'radius rx cornerRadius borderRadius round' },
  size: {
    'size: [width, height]': 'width height w h',
    size: 'fontSize diameter',
    'size, twice the radius': 'radius r',
  },
  diameter: { diameter: 'size d width' },
  innerRadius: { innerRadius: 'inner' },
  radius: { radius: 'r outerRadius outer', 'radius, half of it': 'size diameter d width' },
  sides: { sides: 'n corners vertices' },
  tips: { tips: 'points n corners spikes' },
  points: {
    points: 'x1 y1 vertices coordinates',
    'points, moved by group({ translate }, …), or polygon({ at, radius, sides })': 'at radius',
  },
  from: {
    'from: [x, y]': 'x1 y1 start begin x y',
    'from: [left, top], to: [right, bottom]': 'left top right bottom',
  },
  to: {
    'to: [x, y]': 'x2 y2 end stop',
    to: 'output out file',
    'polyline({ points }) or polygon({ points })': 'points',
  },
  spacing: { spacing: 'size step cell gap every columns rows' },
  stops: { stops: 'colors colorStops' },
  offset: { 'offset, 0 to 1': 'at time t position pos percent' },
  start: { start: 'startAngle from begin setup init' },
  end: { end: 'endAngle to stop' },
  data: { data: 'd', 'group({ translate: [x, y] }, …)': 'at x y position' },
  bezierCurveTo: { bezierCurveTo: 'curveTo curve cubic' },
  quadraticCurveTo: { quadraticCurveTo: 'quadratic' },
  closePath: { closePath: 'close end' },
  // Before a fill: a text's style is its font's.
  font: { font: 'fontFamily family typeface', 'font, of an italic loaded by asset.font': 'italic fontStyle style' },
  fill: {
    'fill, stroke and others, without style: { … }': 'style',
    'fill, or stroke: { color }': 'color',
    'fill: linearGradient({ from, to, stops })': 'gradient',
    fill: 'fillColor fillStyle background',
  },
  stroke: {
    'stroke: { width }': 'strokeWidth lineWidth thickness weight width',
    'stroke: { dash }': 'dash dashArray strokeDasharray lineDash',
    'stroke: { cap }': 'cap lineCap strokeLinecap',
    'stroke: { join }': 'join lineJoin strokeLinejoin',
    stroke: 'strokeColor strokeStyle lineColor border outline',
  },
  width: { width: 'weight thickness size strokeWidth lineWidth' },
  viewBox: {
    'viewBox: [-320, -180, 640, 360]': 'center origin',
    // These are the sketch's own.
    '{ canvas: { … }, carry: 0.9 }': 'carry',
    '{ canvas: { … }, duration: 6 }': 'duration',
    '{ canvas: { … }, frameRate: 30 }': 'frameRate fps',
  },
  color: { color: 'fill stroke paint', 'color: rgb(red, green, blue, alpha)': 'opacity alpha' },
  spread: { 'from: [x, y], to: [x, y]': 'angle direction' },
  opacity: { opacity: 'alpha transparency globalAlpha', 'opacity: 0, or no call at all': 'visible hidden' },
  blend: { blend: 'blendMode mixBlendMode composite' },
  rotate: { rotate: 'angle rotation turn' },
  translate: { translate: 'at position move x y offset' },
  // Behind a place to move to: a group has both.
  about: { about: 'around origin center pivot at transformOrigin' },
  layer: { layer: 'z zIndex depth' },
  label: { label: 'name id', 'label, and pointer.over(label)': 'onClick click hover' },
  'plus-lighter': { 'plus-lighter': 'add additive lighter plus glow linear-dodge' },
  clip: { clip: 'mask' },
  weight: { weight: 'fontWeight bold' },
  align: { align: 'textAlign' },
  center: { center: 'middle' },
  left: { left: 'start center-left middle-left' },
  right: { right: 'end center-right middle-right' },
  top: { top: 'top-center center-top' },
  bottom: { bottom: 'bottom-center center-bottom' },
  easing: { easing: 'ease timing timingFunction' },
  iterations: { 'iterations: Infinity': 'loop repeat' },
  alternate: { alternate: 'pingpong ping-pong' },
  // Of a shape; a group has them of its own.
  anchor: {
    'anchor, or group({ rotate, about: [x, y] }, …)': 'about around pivot origin center transformOrigin',
    'group({ translate, skew }, …)': 'translate skew tilt transform',
    "anchor: 'top-left', beside at": 'topLeft corner',
    anchor: 'align baseline',
  },
  maxWidth: { maxWidth: 'width' },
  letterSpacing: { letterSpacing: 'tracking charSpacing spacing' },
  lineHeight: { lineHeight: 'leading lineSpacing', 'fill, beside text: { … }': 'color fill' },
  text: { 'text: { size }': 'fontSize size', 'text: { font }': 'font fontFamily', text: 'print write' },
  frameRate: { frameRate: 'fps rate' },
  paint: { paint: 'draw render frame' },
  duration: { 'duration, in seconds': 'frames frameCount length' },
  repeat: { repeat: 'loop' },
  step: { step: 'update tick' },
  canvas: { 'canvas: { width, height }': 'width height size', 'canvas: { background }': 'background' },
  // Calls of the canvas.
  toCanvas: { '[canvas.width / 2, canvas.height / 2]': 'center middle' },
  clear: { clear: 'background wipe clearRect' },
  dot: { dot: 'point pixel' },
  circle: { "circle({ fill: 'none' })": 'ring', 'circle, or another of its own calls': 'getContext context ctx' },
  group: { 'group({ clip })': 'clip mask' },
  rect: { 'rect({ corners })': 'roundRect', rect: 'square rectangle box fillRect strokeRect' },
  ellipse: { ellipse: 'oval' },
  polygon: { polygon: 'hexagon pentagon octagon' },
  arc: { "arc({ close: 'sector' })": 'sector wedge pie slice' },
  spline: { spline: 'curve' },
  path: { 'path({ build })': 'beginPath moveTo lineTo bezierCurveTo quadraticCurveTo closePath bezier' },
  picture: { picture: 'image img drawImage' },
  shape: { shape: 'custom' },
  save: { save: 'push' },
  restore: { restore: 'pop', 'group, or save and restore': 'reset' },
  // By a call that nothing but the canvas has: what is no call of it.
  toLocal: {
    "import { linearGradient } from 'frame-juggler'": 'gradient linearGradient createLinearGradient',
    "import { radialGradient } from 'frame-juggler'": 'radialGradient createRadialGradient',
    "import { measureText } from 'frame-juggler'": 'measureText textWidth',
    'paint(canvas, { pointer })': 'mouse cursor',
  },
  // What a moment holds.
  frame: { frame: 'index count', 'paint(canvas, moment, state)': 'state', '[width / 2, height / 2]': 'center middle' },
  seconds: { seconds: 'time t elapsed now' },
  delta: { delta: 'dt' },
  pointer: { pointer: 'mouse cursor touch input' },
  keys: { keys: 'keyboard key' },
  // Of pointer, keys and chance.
  down: { 'down, or justPressed': 'pressed isPressed', down: 'held isDown' },
  justPressed: { justPressed: 'click clicked' },
  justReleased: { justReleased: 'released up' },
  typed: { typed: 'text char letter key' },
  between: { between: 'range float real number uniform random' },
  int: { int: 'integer whole' },
  pick: { pick: 'choice choose sample element' },
  likely: { likely: 'chance bool boolean coin' },
  normal: { normal: 'gaussian' },
  // Dials and assets.
  number: { number: 'slider range float int' },
  toggle: { toggle: 'boolean bool checkbox switch' },
  choice: { choice: 'select option options list' },
  table: { table: 'csv' },
  json: { json: 'text data' },
  // Keys.
  ' ': { ' ': 'space spacebar' },
  ArrowLeft: { ArrowLeft: 'left' },
  ArrowRight: { ArrowRight: 'right' },
  ArrowUp: { ArrowUp: 'up' },
  ArrowDown: { ArrowDown: 'down' },
  Enter: { Enter: 'return' },
  Escape: { Escape: 'esc' },
  Control: { Control: 'ctrl' },
  Delete: { Delete: 'del' },
  Meta: { Meta: 'meta cmd command win windows' },
  Alt: { Alt: 'alt option' },
  Tab: { Tab: 'tab' },
  Home: { Home: 'home' },
  End: { End: 'end' },
};

/** Another word for one of `choices`, as it is written there. */
export function kinOf(word: string, choices: readonly string[], table = kin): string | undefined {
  const sought = word.toLowerCase();
  for (const [choice, known] of Object.entries(table))
    if (choices.includes(choice))
      for (const [written, words] of Object.entries(known))
        if (words.toLowerCase().split(' ').includes(sought)) return written;
  return undefined;
}

/**
 * The member of `choices` that `word` was most likely meant to be, or undefined where none is near: by default a third
 * of the letters may differ, or two, or one of three (edit distance of Levenshtein).
 * @param slips how many letters may differ
 */
export function nearest(
  word: string,
  choices: Iterable<string>,
  slips = word.length <= 3 ? 1 : Math.max(2, Math.floor(word.length / 3)),
): string | undefined {
  let best: string | undefined;
  let bestDistance = slips + 1;
  for (const choice of choices) {
    // So many letters at least must come or go; a long word is then not worth comparing.
    if (Math.abs(word.length - choice.length) >= bestDistance) continue;
    const distance = editDistance(word.toLowerCase(), choice.toLowerCase());
    if (distance < bestDistance) {
      best = choice;
      bestDistance = distance;
    }
  }
  return best;
}

/**
 * How many letters must be inserted, deleted, replaced or swapped with their neighbor to make one word of another
 * (optimal string alignment, row by row).
 */
function editDistance(from: string, to: string): number {
  let before: number[] = [];
  let row = Array.from({ length: to.length + 1 }, (_, i) => i);
  for (let i = 0; i < from.length; i++) {
    const next = [i + 1];
    for (let j = 0; j < to.length; j++) {
      next.push(Math.min(row[j + 1] + 1, next[j] + 1, row[j] + (from[i] === to[j] ? 0 : 1)));
      if (i > 0 && j > 0 && from[i] === to[j - 1] && from[i - 1] === to[j])
        next[j + 1] = Math.min(next[j + 1], before[j - 1] + 1);
    }
    before = row;
    row = next;
  }
  return row[to.length];
}

/** The member of `choices` with the same letters: ease-in-out of easeInOut. */
function alikeOf(word: string, choices: readonly string[]): string | undefined {
  const letters = (text: string): string => text.toLowerCase().replace(/[^a-z0-9]/g, '');
  const sought = letters(word);
  return sought === '' ? undefined : choices.find((choice) => letters(choice) === sought);
}

/** The member of `choices` that a longer word begins with, or that begins with the word: stroke of strokeTint. */
function stemOf(word: string, choices: readonly string[]): string | undefined {
  const begins = (whole: string, part: string): boolean => part.length >= 4 && whole.startsWith(part);
  return choices.find((choice) => begins(word, choice)) ?? choices.find((choice) => begins(choice, word));
}

/** A word by itself that stands behind what is done with it: Circle of drawCircle. */
const nounOf = (word: string): string => word.replace(/^(?:draw|fill|stroke|make|create|add|get|set)(?=[A-Z])/, '');

/** "did you mean x?", or the whole list where nothing is near. */
export function suggest(word: unknown, choices: Iterable<string>): string {
  const list = [...choices];
  if (list.length === 0) return 'there are none at all';
  if (typeof word !== 'string') return `expected one of ${list.join(', ')}`;
  const near =
    kinOf(word, list) ??
    alikeOf(word, list) ??
    nearest(word, list) ??
    stemOf(word, list) ??
    kinOf(nounOf(word), list) ??
    nearest(nounOf(word), list);
  return near === undefined ? `expected one of ${list.join(', ')}` : `did you mean ${JSON.stringify(near)}?`;
}
