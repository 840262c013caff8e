/*
 * What each option does that changes a picture: by the call or the type that has it. The reference shows the lines beside
 * what they give: drawn on a canvas of 160 × 90 over a grid of 20 units, in a sea green; a gradient or a pattern as it
 * fills a rectangle; a function of time as its curve; and a sketch at half a second.
 */
import {
  boundsOf,
  conicGradient,
  defineShape,
  defineSketch,
  keyframes,
  linearGradient,
  measureText,
  pattern,
  polar,
  picture,
  radialGradient,
  required,
  spring,
  type Canvas,
  type Moment,
  type Paint,
  type Sketch,
} from 'frame-juggler';

type Curve = (seconds: number) => number | undefined;
type OptionExample = (canvas: Canvas, moment: Moment) => void | Paint | Curve | Sketch;

const flag = picture(24, 16, (own) => {
  own.rect({ from: [0, 0], to: [24, 16], fill: '#f6efdf' });
  own.rect({ from: [0, 0], to: [12, 16], fill: '#a8433a' });
  own.circle({ at: [18, 8], radius: 4, fill: '#24506a' });
});
const tile = picture(16, 16, (own) => own.circle({ at: [8, 8], radius: 5, fill: '#d5603f' }));
const bollard = defineShape({
  name: 'bollard',
  options: { height: required, width: 24 },
  outline: ({ height, width }, path) => void path.rect(-width / 2, -height, width, height),
});

export const optionExamples: Readonly<Record<string, Readonly<Record<string, OptionExample>>>> = {
  'canvas.circle': {
    at: (canvas) => canvas.circle({ at: [60, 40], radius: 30 }),
    anchor: (canvas) => canvas.circle({ at: [80, 40], radius: 30, anchor: 'left' }),
    radius: (canvas) => canvas.circle({ at: [80, 40], radius: 20 }),
    diameter: (canvas) => canvas.circle({ at: [80, 40], diameter: 60 }),
  },
  'canvas.rect': {
    at: (canvas) => canvas.rect({ at: [60, 40], size: [80, 40] }),
    size: (canvas) => canvas.rect({ at: [80, 40], size: 60 }),
    anchor: (canvas) => canvas.rect({ at: [40, 20], size: [80, 40], anchor: 'top-left' }),
    corners: (canvas) => canvas.rect({ at: [80, 40], size: [100, 60], corners: [30, 0, 30, 0] }),
    from: (canvas) => canvas.rect({ from: [20, 20], to: [100, 60] }),
    to: (canvas) => canvas.rect({ from: [20, 20], to: [140, 80] }),
  },
  'canvas.ellipse': {
    at: (canvas) => canvas.ellipse({ at: [60, 40], size: [80, 40] }),
    size: (canvas) => canvas.ellipse({ at: [80, 40], size: [120, 60] }),
    anchor: (canvas) => canvas.ellipse({ at: [20, 40], size: [80, 40], anchor: 'left' }),
    radii: (canvas) => canvas.ellipse({ at: [80, 40], radii: [60, 20] }),
    from: (canvas) => canvas.ellipse({ from: [20, 20], to: [100, 60] }),
    to: (canvas) => canvas.ellipse({ from: [20, 20], to: [140, 80] }),
  },
  'canvas.line': {
    from: (canvas) => canvas.line({ from: [20, 20], to: [100, 60] }),
    to: (canvas) => canvas.line({ from: [20, 20], to: [140, 80] }),
    anchor: (canvas) => canvas.line({ from: [40, 40], to: [120, 40], anchor: 'left', rotate: 20 }),
  },
  'canvas.triangle': {
    points: (canvas) =>
      canvas.triangle({
        points: [
          [40, 80],
          [80, 20],
          [120, 80],
        ],
      }),
    anchor: (canvas) =>
      canvas.triangle({
        points: [
          [40, 60],
          [80, 20],
          [120, 60],
        ],
        anchor: 'bottom',
        rotate: 15,
      }),
  },
  'canvas.polygon': {
    points: (canvas) =>
      canvas.polygon({
        points: [
          [20, 80],
          [40, 20],
          [120, 20],
          [140, 80],
        ],
      }),
    anchor: (canvas) => canvas.polygon({ at: [80, 20], radius: 30, sides: 5, anchor: 'top' }),
    at: (canvas) => canvas.polygon({ at: [60, 40], radius: 30, sides: 6 }),
    radius: (canvas) => canvas.polygon({ at: [80, 40], radius: 20, sides: 6 }),
    sides: (canvas) => canvas.polygon({ at: [80, 40], radius: 30, sides: 3 }),
  },
  'canvas.polyline': {
    points: (canvas) =>
      canvas.polyline({
        points: [
          [20, 60],
          [60, 20],
          [100, 60],
          [140, 20],
        ],
      }),
    anchor: (canvas) =>
      canvas.polyline({
        points: [
          [40, 60],
          [80, 20],
          [120, 60],
        ],
        anchor: 'left',
        scale: 0.5,
      }),
    closed: (canvas) =>
      canvas.polyline({
        points: [
          [20, 60],
          [60, 20],
          [140, 60],
        ],
        closed: true,
      }),
  },
  'canvas.star': {
    at: (canvas) => canvas.star({ at: [60, 40], radius: 30 }),
    anchor: (canvas) => canvas.star({ at: [80, 20], radius: 30, anchor: 'top' }),
    radius: (canvas) => canvas.star({ at: [80, 40], radius: 20 }),
    innerRadius: (canvas) => canvas.star({ at: [80, 40], radius: 40, innerRadius: 10 }),
    tips: (canvas) => canvas.star({ at: [80, 40], radius: 40, tips: 8 }),
  },
  'canvas.arc': {
    at: (canvas) => canvas.arc({ at: [60, 40], radius: 30, start: 0, end: 90, close: 'sector' }),
    anchor: (canvas) => canvas.arc({ at: [80, 40], radius: 30, start: 0, end: 90, close: 'sector', anchor: 'bottom' }),
    start: (canvas) => canvas.arc({ at: [80, 40], radius: 30, start: 45, end: 180, close: 'sector' }),
    end: (canvas) => canvas.arc({ at: [80, 40], radius: 30, start: 0, end: 270, close: 'sector' }),
    close: (canvas) => canvas.arc({ at: [80, 40], radius: 30, start: 0, end: 135, close: 'chord' }),
    radius: (canvas) => canvas.arc({ at: [80, 40], radius: 20, start: 0, end: 135, close: 'sector' }),
    radii: (canvas) => canvas.arc({ at: [80, 40], radii: [60, 30], start: 0, end: 135, close: 'sector' }),
  },
  'canvas.spline': {
    points: (canvas) =>
      canvas.spline({
        points: [
          [20, 60],
          [60, 20],
          [100, 60],
          [140, 20],
        ],
      }),
    anchor: (canvas) =>
      canvas.spline({
        points: [
          [40, 60],
          [80, 20],
          [120, 60],
        ],
        anchor: 'left',
        scale: 0.5,
      }),
    closed: (canvas) =>
      canvas.spline({
        points: [
          [20, 60],
          [60, 20],
          [140, 60],
        ],
        closed: true,
      }),
    tension: (canvas) =>
      canvas.spline({
        points: [
          [20, 60],
          [60, 20],
          [100, 60],
          [140, 20],
        ],
        tension: 0.5,
      }),
  },
  'canvas.dot': {
    at: (canvas) => canvas.dot({ at: [60, 40], size: 8 }),
    anchor: (canvas) => canvas.dot({ at: [60, 40], size: 20, anchor: 'left' }),
    size: (canvas) => canvas.dot({ at: [60, 40], size: 20 }),
  },
  'canvas.path': {
    data: (canvas) => canvas.path({ data: 'M20 60 Q80 0 140 60 Z' }),
    anchor: (canvas) => canvas.path({ data: 'M20 60 Q80 0 140 60 Z', anchor: 'left', rotate: -10 }),
    fillRule: (canvas) => canvas.path({ data: 'M20 20 h120 v60 h-120 z M60 40 h40 v20 h-40 z', fillRule: 'evenodd' }),
    build: (canvas) => canvas.path({ build: (path) => path.moveTo(20, 60).lineTo(80, 20).lineTo(140, 60) }),
  },
  'canvas.shape': {
    at: (canvas) => canvas.shape(bollard, { at: [60, 80], height: 60 }),
    anchor: (canvas) => canvas.shape(bollard, { at: [60, 40], height: 60, anchor: 'center' }),
  },
  'canvas.text': {
    at: (canvas) => canvas.text('quay', { at: [60, 40], size: 32 }),
    anchor: (canvas) => canvas.text('quay', { at: [20, 40], size: 32, anchor: 'baseline-left' }),
    size: (canvas) => canvas.text('quay', { at: [80, 40], size: 56 }),
    maxWidth: (canvas) => canvas.text('high water at noon', { at: [80, 40], size: 20, maxWidth: 100 }),
    font: (canvas) => canvas.text('quay', { at: [80, 40], size: 32, font: 'default' }),
    weight: (canvas) => canvas.text('quay', { at: [80, 40], size: 32, weight: 'bold' }),
    align: (canvas) => canvas.text('high\nwater', { at: [80, 40], size: 24, align: 'right' }),
    lineHeight: (canvas) => canvas.text('high\nwater', { at: [80, 40], size: 24, lineHeight: 0.8 }),
    letterSpacing: (canvas) => canvas.text('QUAY', { at: [80, 40], size: 24, letterSpacing: 0.5 }),
  },
  'canvas.picture': {
    from: (canvas) => canvas.picture(flag, { from: [20, 20], to: [80, 60] }),
    to: (canvas) => canvas.picture(flag, { from: [20, 20], to: [140, 80] }),
    anchor: (canvas) => canvas.picture(flag, { at: [20, 20], size: [60, 40], anchor: 'top-left' }),
    crop: (canvas) => canvas.picture(flag, { at: [80, 40], size: [60, 60], crop: { from: [8, 0], to: [24, 16] } }),
    smooth: (canvas) => canvas.picture(flag, { at: [80, 40], size: [120, 80], smooth: false }),
    at: (canvas) => canvas.picture(flag, { at: [60, 40] }),
    size: (canvas) => canvas.picture(flag, { at: [60, 40], size: [60, 40] }),
  },
  'canvas.grid': {
    from: (canvas) => canvas.grid({ from: [40, 20], spacing: 20 }),
    to: (canvas) => canvas.grid({ to: [100, 60], spacing: 20 }),
    spacing: (canvas) => canvas.grid({ spacing: [40, 10] }),
    numbers: (canvas) => canvas.grid({ spacing: 20, numbers: false }),
  },
  'canvas.style': {
    fill(canvas) {
      canvas.style({ fill: '#f1b64e' });
      canvas.circle({ at: [40, 40], radius: 20 });
      canvas.rect({ at: [120, 40], size: 40 });
    },
    stroke(canvas) {
      canvas.style({ stroke: { color: '#24506a', width: 6 } });
      canvas.circle({ at: [40, 40], radius: 20 });
      canvas.rect({ at: [120, 40], size: 40 });
    },
    opacity(canvas) {
      canvas.style({ opacity: 0.5 });
      canvas.circle({ at: [60, 40], radius: 30 });
      canvas.circle({ at: [100, 40], radius: 30 });
    },
    blend(canvas) {
      canvas.style({ blend: 'multiply' });
      canvas.circle({ at: [60, 40], radius: 30 });
      canvas.circle({ at: [100, 40], radius: 30, fill: '#f1b64e' });
    },
    text(canvas) {
      canvas.style({ text: { size: 28, weight: 'bold' } });
      canvas.text('quay', { at: [80, 20] });
      canvas.text('mole', { at: [80, 60] });
    },
  },
  'canvas.group': {
    fill: (canvas) => canvas.group({ fill: '#d5603f' }, () => canvas.circle({ at: [80, 40], radius: 30 })),
    stroke: (canvas) => canvas.group({ stroke: '#24506a' }, () => canvas.circle({ at: [80, 40], radius: 30 })),
    opacity: (canvas) =>
      canvas.group({ opacity: 0.5 }, () => {
        canvas.circle({ at: [60, 40], radius: 30 });
        canvas.circle({ at: [100, 40], radius: 30 });
      }),
    blend: (canvas) =>
      canvas.group({ blend: 'multiply' }, () => {
        canvas.circle({ at: [60, 40], radius: 30, fill: '#f1b64e' });
        canvas.circle({ at: [100, 40], radius: 30 });
      }),
    text: (canvas) => canvas.group({ text: { size: 32 } }, () => canvas.text('quay', { at: [80, 40] })),
    about: (canvas) =>
      canvas.group({ rotate: 15, about: [40, 40] }, () => canvas.rect({ at: [80, 40], size: [80, 20] })),
    label: (canvas) => canvas.group({ label: 'lamp' }, () => canvas.circle({ at: [80, 40], radius: 20 })),
    rotate: (canvas) => canvas.group({ rotate: 15 }, () => canvas.rect({ at: [80, 20], size: [80, 20] })),
    scale: (canvas) => canvas.group({ scale: [1, 0.5] }, () => canvas.circle({ at: [80, 80], radius: 40 })),
    layer: (canvas) => {
      canvas.group({ layer: 1 }, () => canvas.circle({ at: [60, 40], radius: 30, fill: '#f1b64e' }));
      canvas.circle({ at: [100, 40], radius: 30 });
    },
    translate: (canvas) => canvas.group({ translate: [80, 40] }, () => canvas.circle({ at: [0, 0], radius: 30 })),
    tilt: (canvas) =>
      canvas.group({ tilt: [0, 60], about: [80, 40] }, () => canvas.rect({ at: [80, 40], size: [120, 60] })),
    skew: (canvas) =>
      canvas.group({ skew: [-20, 0], about: [80, 40] }, () => canvas.rect({ at: [80, 40], size: [80, 60] })),
    clip: (canvas) =>
      canvas.group({ clip: (region) => region.circle({ at: [80, 40], radius: 30 }) }, () =>
        canvas.rect({ from: [60, 0], to: [160, 60] }),
      ),
  },
  AboutOptions: {
    about(canvas) {
      canvas.rotate(15, { about: [40, 40] });
      canvas.rect({ at: [80, 40], size: [80, 20] });
    },
  },
  ShapeOptions: {
    fill: (canvas) => canvas.circle({ at: [80, 40], radius: 30, fill: '#d5603f' }),
    stroke: (canvas) => canvas.circle({ at: [80, 40], radius: 30, stroke: { color: '#24506a', width: 6 } }),
    opacity: (canvas) => canvas.circle({ at: [80, 40], radius: 30, opacity: 0.4 }),
    blend(canvas) {
      canvas.circle({ at: [60, 40], radius: 30, fill: '#f1b64e' });
      canvas.circle({ at: [100, 40], radius: 30, blend: 'multiply' });
    },
    label: (canvas) => canvas.circle({ at: [80, 40], radius: 30, label: 'moon' }),
    rotate: (canvas) => canvas.rect({ at: [80, 40], size: [100, 30], rotate: 15 }),
    scale: (canvas) => canvas.circle({ at: [80, 40], radius: 30, scale: [2, 1] }),
    layer(canvas) {
      canvas.circle({ at: [60, 40], radius: 30, fill: '#f1b64e', layer: 1 });
      canvas.circle({ at: [100, 40], radius: 30 });
    },
  },
  StrokeOptions: {
    width: (canvas) => canvas.line({ from: [20, 60], to: [140, 20], stroke: { width: 12 } }),
    color: (canvas) => canvas.line({ from: [20, 60], to: [140, 20], stroke: { color: '#d5603f', width: 6 } }),
    cap: (canvas) => canvas.line({ from: [20, 40], to: [140, 40], stroke: { width: 20, cap: 'round' } }),
    join: (canvas) => canvas.rect({ at: [80, 40], size: [80, 40], stroke: { width: 20, join: 'bevel' } }),
    miterLimit: (canvas) =>
      canvas.polyline({
        points: [
          [20, 30],
          [140, 40],
          [20, 50],
        ],
        stroke: { width: 6, miterLimit: 20 },
      }),
    dash: (canvas) => canvas.line({ from: [20, 40], to: [140, 40], stroke: { width: 6, dash: [20, 10] } }),
    dashOffset: (canvas) =>
      canvas.line({ from: [20, 40], to: [140, 40], stroke: { width: 6, dash: [20, 10], dashOffset: 10 } }),
  },
  boundsOf: {
    anchor(canvas) {
      const { left, top, right, bottom } = boundsOf('star', { at: [80, 20], radius: 30, anchor: 'top' });
      canvas.rect({ from: [left, top], to: [right, bottom] });
    },
  },
  ShapeDefinition: {
    name(canvas) {
      const mast = defineShape({ name: 'mast', outline: (_, path) => void path.rect(-4, -60, 8, 60) });
      canvas.shape(mast, { at: [80, 80] });
    },
    options(canvas) {
      const mast = defineShape({
        name: 'mast',
        options: { height: 40 },
        outline: ({ height }, path) => void path.rect(-4, -height, 8, height),
      });
      canvas.shape(mast, { at: [80, 80], height: 60 });
    },
    outline(canvas) {
      const bow = defineShape({
        name: 'bow',
        outline: (_, path) => void path.moveTo(-60, 0).quadraticCurveTo(0, 80, 60, 0),
      });
      canvas.shape(bow, { at: [80, 20] });
    },
    anchor(canvas) {
      const mast = defineShape({ name: 'mast', anchor: 'bottom', outline: (_, path) => void path.rect(0, 0, 8, 60) });
      canvas.shape(mast, { at: [80, 80] });
    },
  },

  CanvasOptions: {
    width: () => defineSketch({ canvas: { width: 240, height: 90 }, paint: (canvas) => canvas.grid() }),
    height: () => defineSketch({ canvas: { width: 160, height: 120 }, paint: (canvas) => canvas.grid() }),
    density: () =>
      defineSketch({ canvas: { width: 160, height: 90, density: 0.25 }, paint: (canvas) => canvas.grid() }),
    background: () =>
      defineSketch({
        canvas: { width: 160, height: 90, background: '#24506a' },
        paint: (canvas) => canvas.circle({ at: [80, 45], radius: 30, fill: '#f1b64e' }),
      }),
    viewBox: () =>
      defineSketch({ canvas: { width: 160, height: 90, viewBox: [0, 0, 16, 9] }, paint: (canvas) => canvas.grid() }),
    preserveAspectRatio: () =>
      defineSketch({
        canvas: { width: 160, height: 90, viewBox: [0, 0, 10, 10], preserveAspectRatio: 'xMinYMid meet' },
        paint: (canvas) => canvas.rect({ from: [0, 0], to: [10, 10], fill: '#3a8391' }),
      }),
    yAxis: () =>
      defineSketch({
        canvas: { width: 160, height: 90, viewBox: [-8, -4.5, 16, 9], yAxis: 'up' },
        paint: (canvas) => canvas.grid(),
      }),
  },
  SketchDefinition: {
    carry: () =>
      defineSketch({
        canvas: { width: 160, height: 90 },
        carry: 0.9,
        paint: (canvas, { frame }) => canvas.circle({ at: [20 + frame * 4, 45], radius: 12, fill: '#d5603f' }),
      }),
  },

  RandomColorOptions: {
    hue(canvas, { random }) {
      for (let x = 0; x < 160; x += 20)
        canvas.rect({ at: [x + 10, 45], size: 18, fill: random.color({ hue: [180, 220] }) });
    },
    saturation(canvas, { random }) {
      for (let x = 0; x < 160; x += 20)
        canvas.rect({ at: [x + 10, 45], size: 18, fill: random.color({ saturation: [10, 30] }) });
    },
    lightness(canvas, { random }) {
      for (let x = 0; x < 160; x += 20)
        canvas.rect({ at: [x + 10, 45], size: 18, fill: random.color({ lightness: [80, 95] }) });
    },
    alpha(canvas, { random }) {
      for (let x = 0; x < 160; x += 20)
        canvas.rect({ at: [x + 10, 45], size: 18, fill: random.color({ alpha: [0.2, 1] }) });
    },
  },

  linearGradient: {
    from: () => linearGradient({ from: [20, 0], to: [160, 0], stops: ['#f1b64e', '#24506a'] }),
    to: () => linearGradient({ from: [0, 0], to: [160, 90], stops: ['#f1b64e', '#24506a'] }),
    stops: () => linearGradient({ from: [0, 0], to: [160, 0], stops: [[0, '#f1b64e'], [0.2, '#d5603f'], [1, '#24506a']] }), // prettier-ignore
    units: () => linearGradient({ from: [0, 0], to: [1, 1], units: 'box', stops: ['#f1b64e', '#24506a'] }),
    spread: () => linearGradient({ from: [0, 0], to: [40, 0], spread: 'reflect', stops: ['#f1b64e', '#24506a'] }),
  },
  radialGradient: {
    at: () => radialGradient({ at: [60, 40], radius: 60, stops: ['#f1b64e', '#24506a'] }),
    radius: () => radialGradient({ at: [80, 40], radius: 30, stops: ['#f1b64e', '#24506a'] }),
    stops: () => radialGradient({ at: [80, 40], radius: 60, stops: ['#f6efdf', '#f1b64e', '#d5603f', '#24506a'] }),
    focus: () => radialGradient({ at: [80, 40], radius: 60, focus: [50, 30], stops: ['#f1b64e', '#24506a'] }),
    units: () => radialGradient({ at: [0.5, 0.5], radius: 0.5, units: 'box', stops: ['#f1b64e', '#24506a'] }),
    spread: () => radialGradient({ at: [80, 40], radius: 20, spread: 'repeat', stops: ['#f1b64e', '#24506a'] }),
  },
  conicGradient: {
    at: () => conicGradient({ at: [60, 40], stops: ['#f1b64e', '#24506a', '#f1b64e'] }),
    stops: () => conicGradient({ at: [80, 45], stops: ['#f6efdf', '#d5603f', '#24506a', '#f6efdf'] }),
    start: () => conicGradient({ at: [80, 45], start: 90, stops: ['#f1b64e', '#24506a', '#f1b64e'] }),
    units: () => conicGradient({ at: [0.5, 0.5], units: 'box', stops: ['#f1b64e', '#24506a', '#f1b64e'] }),
  },
  pattern: {
    at: () => pattern(tile, { at: [8, 8] }),
    size: () => pattern(tile, { size: [32, 16] }),
    rotate: () => pattern(tile, { rotate: 30 }),
    smooth: () => pattern(tile, { size: 48, smooth: false }),
  },

  measureText: {
    anchor(canvas) {
      const { left, top, right, bottom } = measureText('quay', { size: 32, anchor: 'top-left' }).ink;
      canvas.rect({ from: [20 + left, 20 + top], to: [20 + right, 20 + bottom] });
      canvas.text('quay', { at: [20, 20], size: 32, anchor: 'top-left', fill: 'white' });
    },
    size(canvas) {
      const { width, height } = measureText('quay', { size: 48 });
      canvas.rect({ at: [80, 40], size: [width, height] });
      canvas.text('quay', { at: [80, 40], size: 48, fill: 'white' });
    },
    maxWidth(canvas) {
      const { lines } = measureText('high water at noon', { size: 20, maxWidth: 100 });
      canvas.text(`${lines.length} lines`, { at: [80, 40], size: 24 });
    },
    font(canvas) {
      const { width, height } = measureText('quay', { size: 32, font: 'default' });
      canvas.rect({ at: [80, 40], size: [width, height] });
      canvas.text('quay', { at: [80, 40], size: 32, font: 'default', fill: 'white' });
    },
    weight(canvas) {
      const { width, height } = measureText('quay', { size: 32, weight: 'bold' });
      canvas.rect({ at: [80, 40], size: [width, height] });
      canvas.text('quay', { at: [80, 40], size: 32, weight: 'bold', fill: 'white' });
    },
    align(canvas) {
      const { left, top, right, bottom } = measureText('high\nwater', { size: 24, align: 'right' }).ink;
      canvas.rect({ from: [80 + left, 40 + top], to: [80 + right, 40 + bottom] });
      canvas.text('high\nwater', { at: [80, 40], size: 24, align: 'right', fill: 'white' });
    },
    lineHeight(canvas) {
      const { width, height } = measureText('high\nwater', { size: 24, lineHeight: 1.6 });
      canvas.rect({ at: [80, 40], size: [width, height] });
      canvas.text('high\nwater', { at: [80, 40], size: 24, lineHeight: 1.6, fill: 'white' });
    },
    letterSpacing(canvas) {
      const { width, height } = measureText('QUAY', { size: 24, letterSpacing: 0.5 });
      canvas.rect({ at: [80, 40], size: [width, height] });
      canvas.text('QUAY', { at: [80, 40], size: 24, letterSpacing: 0.5, fill: 'white' });
    },
  },

  spring: {
    from: () => spring({ from: 0.6 }),
    to: () => spring({ to: 0.6 }),
    stiffness: () => spring({ stiffness: 30 }),
    damping: () => spring({ damping: 3 }),
    mass: () => spring({ mass: 4 }),
    velocity: () => spring({ velocity: 20 }),
  },
  polar: {
    angle(canvas) {
      for (const angle of [0, 30, 90]) canvas.dot({ at: polar({ angle, distance: 60 }), size: 8 });
    },
    distance(canvas) {
      for (const distance of [40, 80, 120]) canvas.dot({ at: polar({ angle: 30, distance }), size: 8 });
    },
    from(canvas) {
      canvas.line({ from: [80, 60], to: polar({ angle: -30, distance: 60, from: [80, 60] }) });
    },
  },
  KeyframeTiming: {
    duration: () => keyframes([0, 1], { duration: 2 }),
    fill: () => keyframes([0, 1], { duration: 2, delay: 1, fill: 'none' }),
    easing: () => keyframes([0, 1], { duration: 2, easing: 'ease-in-out' }),
    delay: () => keyframes([0, 1], { duration: 2, delay: 1 }),
    iterations: () => keyframes([0, 1], { duration: 1, iterations: 2.5 }),
    direction: () => keyframes([0, 1], { duration: 1, iterations: 4, direction: 'alternate' }),
    angles(canvas) {
      const turn = keyframes([350, 20], { duration: 4, angles: true });
      for (let s = 0; s <= 4; s++) canvas.line({ from: [20, 40], to: [140, 40], anchor: 'left', rotate: turn(s) });
    },
  },
};
