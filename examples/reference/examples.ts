/*
 * What the reference shows of each call: a few lines, drawn on a canvas of 320 × 120. `npm run reference` makes the
 * pages and pictures of it; a test fails where a call that draws, paints or moves has no example.
 */
import {
  boundsOf,
  clamp,
  Color,
  colorMix,
  conicGradient,
  cssColor,
  cycle,
  defineShape,
  easing,
  fromRadians,
  heading,
  polar,
  fromTurns,
  gray,
  hsl,
  keyframes,
  linearGradient,
  maths,
  measureText,
  mix,
  oklch,
  pattern,
  picture,
  radialGradient,
  ramp,
  readColor,
  remap,
  required,
  rgb,
  scenes,
  seededNoise,
  seededRandom,
  smoothstep,
  spring,
  swing,
  textOutline,
  wrap,
  zigzag,
  type Canvas,
  type Moment,
} from 'frame-juggler';

export const examples: Readonly<Record<string, (canvas: Canvas, moment: Moment) => void>> = {
  'canvas.dot'(canvas) {
    for (let i = 1; i <= 8; i++) canvas.dot({ at: [i * 35, 60], size: i * 4, fill: '#24506a' });
  },
  'canvas.line'(canvas) {
    canvas.line({ from: [30, 90], to: [290, 30], stroke: { color: '#24506a', width: 8, cap: 'round' } });
  },
  'canvas.polyline'(canvas) {
    const points = [
      [30, 90],
      [90, 30],
      [150, 90],
      [210, 30],
      [290, 90],
    ] as const;
    canvas.polyline({ points, stroke: { color: '#24506a', width: 6, join: 'round' } });
  },
  'canvas.polygon'(canvas) {
    canvas.polygon({ at: [90, 60], radius: 48, sides: 6, fill: '#3a8391' });
    canvas.polygon({
      points: [
        [180, 100],
        [230, 20],
        [290, 50],
        [270, 100],
      ],
      fill: '#d5603f',
    });
  },
  'canvas.triangle'(canvas) {
    canvas.triangle({
      points: [
        [90, 100],
        [160, 20],
        [230, 100],
      ],
      fill: '#f1b64e',
    });
  },
  'canvas.star'(canvas) {
    canvas.star({ at: [90, 60], radius: 50, fill: '#d5603f' });
    canvas.star({ at: [230, 60], radius: 50, innerRadius: 40, tips: 12, fill: '#8a5f83' });
  },
  'canvas.rect'(canvas) {
    canvas.rect({ at: [80, 60], size: [100, 70], fill: '#3a8391' });
    canvas.rect({ from: [170, 25], to: [290, 95], corners: 20, fill: '#d5603f' });
  },
  'canvas.circle'(canvas) {
    canvas.circle({ at: [90, 60], radius: 48, fill: '#f1b64e' });
    canvas.circle({ at: [230, 60], diameter: 80, fill: 'none', stroke: { color: '#24506a', width: 10 } });
  },
  'canvas.ellipse'(canvas) {
    canvas.ellipse({ at: [90, 60], size: [120, 70], fill: '#647f52' });
    canvas.ellipse({ at: [230, 60], radii: [60, 24], rotate: -20, fill: '#24506a' });
  },
  'canvas.arc'(canvas) {
    canvas.style({ fill: '#f1b64e', stroke: { color: '#1b2f3a', width: 4 } });
    canvas.arc({ at: [60, 60], radius: 44, start: 30, end: 300, fill: 'none' });
    canvas.arc({ at: [160, 60], radius: 44, start: 30, end: 300, close: 'chord' });
    canvas.arc({ at: [260, 60], radius: 44, start: 30, end: 300, close: 'sector' });
  },
  'canvas.spline'(canvas) {
    const points = [
      [30, 90],
      [90, 30],
      [150, 90],
      [210, 30],
      [290, 90],
    ] as const;
    canvas.spline({ points, stroke: { color: '#24506a', width: 6, cap: 'round' } });
    for (const at of points) canvas.dot({ at, size: 10, fill: '#d5603f' });
  },
  'canvas.path'(canvas) {
    canvas.path({ data: 'M40 60 q40 -90 80 0 t80 0 t80 0', fill: 'none', stroke: { color: '#24506a', width: 6 } });
    const build = (path: { rect(...box: [number, number, number, number]): unknown }): unknown =>
      path.rect(140, 76, 40, 30);
    canvas.path({ build, fill: '#d5603f' });
  },
  'canvas.shape'(canvas) {
    const bollard = defineShape({
      name: 'bollard',
      options: { height: required, width: 24 },
      outline({ height, width }, path) {
        path.rect(-width / 2, -height, width, height);
      },
    });
    canvas.shape(bollard, { at: [100, 100], height: 60, fill: '#64737a' });
    canvas.shape(bollard, { at: [220, 100], height: 80, width: 50, fill: '#1b2f3a' });
  },
  'canvas.text'(canvas) {
    canvas.text('High water', { at: [160, 45], size: 36, weight: 'bold', fill: '#24506a' });
    canvas.text('04:12 and 16:40', { at: [160, 86], size: 20, fill: '#1b2f3a' });
  },
  'canvas.picture'(canvas) {
    const flag = picture(24, 16, (own) => {
      own.rect({ from: [0, 0], to: [24, 16], fill: '#f6efdf' });
      own.rect({ from: [0, 0], to: [12, 16], fill: '#a8433a' });
    });
    canvas.picture(flag, { at: [90, 60], size: [120, 80] });
    canvas.picture(flag, { at: [230, 60], size: [60, 80], crop: { from: [6, 0], to: [18, 16] } });
  },
  'canvas.grid'(canvas) {
    canvas.grid({ spacing: 20 });
  },
  'canvas.clear'(canvas) {
    canvas.circle({ at: [160, 60], radius: 50 });
    canvas.clear('#24506a'); // the circle is gone
    canvas.text('cleared', { at: [160, 60], size: 32, fill: '#f6efdf' });
  },
  'canvas.style'(canvas) {
    canvas.style({ fill: '#86bdb6', stroke: { color: '#24506a', width: 6 } });
    for (let x = 60; x < 320; x += 100) canvas.circle({ at: [x, 60], radius: 36 });
  },
  'canvas.translate'(canvas) {
    canvas.translate([160, 60]);
    canvas.circle({ at: [0, 0], radius: 40, fill: '#3a8391' });
  },
  'canvas.rotate'(canvas) {
    for (let i = 0; i < 6; i++) {
      canvas.rotate(15, { about: [160, 100] });
      canvas.rect({ at: [80, 100], size: [60, 14], corners: 7, fill: '#d5603f' });
    }
  },
  'canvas.scale'(canvas) {
    for (let i = 0; i < 4; i++) {
      canvas.circle({ at: [90, 60], radius: 50, fill: 'none', stroke: { color: '#24506a', width: 4 } });
      canvas.scale(0.8, { about: [200, 60] });
    }
  },
  'canvas.skew'(canvas) {
    canvas.skew([-20, 0], { about: [160, 60] });
    canvas.rect({ at: [160, 60], size: [160, 70], fill: '#f1b64e' });
    canvas.text('skewed', { at: [160, 60], size: 32, fill: '#1b2f3a' });
  },
  'canvas.tilt'(canvas) {
    canvas.tilt([0, 60], { about: [160, 60] });
    canvas.rect({ at: [160, 60], size: [200, 90], corners: 10, fill: '#3a8391' });
    canvas.text('ajar', { at: [160, 60], size: 60, fill: '#f6efdf' });
  },
  'canvas.transform'(canvas) {
    canvas.transform([1, 0.3, 0, 1, 60, 0]);
    canvas.rect({ from: [0, 10], to: [200, 60], fill: '#647f52' });
  },
  'canvas.resetTransform'(canvas) {
    canvas.rotate(20);
    canvas.rect({ at: [140, 0], size: [120, 30], fill: '#d5603f' });
    canvas.resetTransform();
    canvas.rect({ at: [160, 100], size: [280, 12], fill: '#24506a' });
  },
  'canvas.toCanvas'(canvas) {
    canvas.group({ translate: [80, 90], rotate: -30 }, () => {
      canvas.line({ from: [0, 0], to: [140, 0], stroke: { color: '#6f4c38', width: 8 } });
      const tip = canvas.toCanvas([140, 0]);
      canvas.resetTransform();
      canvas.text('tip', { at: [tip.x + 12, tip.y], anchor: 'left', size: 20, fill: '#1b2f3a' });
    });
  },
  'canvas.toLocal'(canvas) {
    canvas.translate([160, 60]);
    canvas.rotate(30);
    const corner = canvas.toLocal([20, 20]);
    canvas.line({ from: [0, 0], to: corner, stroke: { color: '#24506a', width: 4 } });
    canvas.rect({ at: [0, 0], size: 60, fill: '#f1b64e' });
  },
  'canvas.save'(canvas) {
    canvas.save();
    canvas.style({ fill: '#d5603f' });
    canvas.rotate(-10, { about: [90, 60] });
    canvas.rect({ at: [90, 60], size: 70 });
    canvas.restore();
    canvas.rect({ at: [230, 60], size: 70 }); // black and straight again
  },
  'canvas.restore'(canvas) {
    for (const x of [60, 160, 260]) {
      canvas.save();
      canvas.translate([x, 60]);
      canvas.rotate(x / 4);
      canvas.rect({ at: [0, 0], size: 50, fill: '#8a5f83' });
      canvas.restore();
    }
  },
  'canvas.group'(canvas) {
    canvas.group({ translate: [90, 60], rotate: 20, fill: '#3a8391', opacity: 0.7, label: 'crates' }, () => {
      canvas.rect({ at: [-15, 0], size: 60 });
      canvas.rect({ at: [15, 10], size: 60 });
    });
    canvas.circle({ at: [230, 60], radius: 40 });
  },

  boundsOf(canvas) {
    const star = { at: [160, 60], radius: 50, rotate: 20 } as const;
    const { left, top, right, bottom } = boundsOf('star', star);
    canvas.star({ ...star, fill: '#f1b64e' });
    canvas.rect({ from: [left, top], to: [right, bottom], fill: 'none' });
  },
  defineShape(canvas) {
    const roof = defineShape({
      name: 'roof',
      options: { width: required },
      outline: ({ width }, path) =>
        void path
          .moveTo(-width / 2, 0)
          .lineTo(0, -width / 2)
          .lineTo(width / 2, 0)
          .closePath(),
    });
    for (const x of [70, 160, 250]) canvas.shape(roof, { at: [x, 90], width: 80, fill: '#a8433a' });
  },
  required(canvas) {
    const wave = defineShape({
      name: 'wave',
      options: { height: required, width: 60 }, // `height` must be given, `width` may be
      outline: ({ height, width }, path) => void path.moveTo(0, 0).quadraticCurveTo(width / 2, -height, width, 0),
    });
    for (let i = 0; i < 4; i++) canvas.shape(wave, { at: [60 + i * 66, 80], height: 30 + i * 30, stroke: '#24506a' });
  },

  rgb(canvas) {
    canvas.rect({ from: [0, 0], to: [160, 120], fill: rgb(213, 96, 63) });
    canvas.rect({ from: [160, 0], to: [320, 120], fill: rgb(36, 80, 106, 0.5) });
  },
  gray(canvas) {
    for (let i = 0; i < 8; i++) canvas.rect({ from: [i * 40, 0], to: [i * 40 + 40, 120], fill: gray(i * 36) });
  },
  hsl(canvas) {
    for (let i = 0; i < 16; i++)
      canvas.rect({ from: [i * 20, 0], to: [i * 20 + 20, 120], fill: hsl(i * 22.5, 45, 55) });
  },
  oklch(canvas) {
    for (let i = 0; i < 16; i++)
      canvas.rect({ from: [i * 20, 0], to: [i * 20 + 20, 120], fill: oklch(0.7, 0.1, i * 22.5) });
  },
  readColor(canvas) {
    const sea: Color = readColor('sketch', 'sea', 'steelblue');
    canvas.rect({ from: [0, 0], to: [320, 120], fill: sea });
  },
  cssColor(canvas) {
    canvas.text(cssColor(readColor('sketch', 'sea', 'teal').packed), { at: [160, 60], size: 32 });
  },
  colorMix(canvas) {
    for (let i = 0; i < 9; i++) {
      const fill = colorMix('#f1b64e', '#24506a', i / 8);
      canvas.rect({ from: [i * 36, 0], to: [i * 36 + 36, 120], fill });
    }
  },
  ramp(canvas) {
    const color = ramp(['#f6efdf', '#f1b64e', '#d5603f', '#4d4672']);
    for (let x = 0; x < 320; x += 8) canvas.rect({ from: [x, 0], to: [x + 8, 120], fill: color(x / 320) });
  },
  linearGradient(canvas) {
    const fill = linearGradient({ from: [40, 0], to: [280, 0], stops: ['#f1b64e', '#d5603f', '#4d4672'] });
    canvas.rect({ at: [160, 60], size: [240, 80], corners: 40, fill });
  },
  radialGradient(canvas) {
    const fill = radialGradient({ at: [160, 60], radius: 52, focus: [142, 40], stops: ['#f6efdf', '#d5603f'] });
    canvas.circle({ at: [160, 60], radius: 52, fill });
  },
  conicGradient(canvas) {
    const fill = conicGradient({ at: [160, 60], stops: ['#24506a', '#86bdb6', '#f6efdf', '#24506a'] });
    canvas.circle({ at: [160, 60], radius: 52, fill });
  },
  pattern(canvas) {
    const tile = picture(16, 16, (own) => own.circle({ at: [8, 8], radius: 5, fill: '#d5603f' }));
    canvas.rect({ from: [0, 0], to: [320, 120], fill: pattern(tile, { size: 24, rotate: 30 }) });
  },
  picture(canvas) {
    const crate = picture(40, 40, (own) => {
      own.rect({ at: [20, 20], size: 36, fill: '#ad8a57', stroke: { color: '#6f4c38', width: 4 } });
    });
    for (const x of [70, 160, 250]) canvas.picture(crate, { at: [x, 60] });
  },

  measureText(canvas) {
    const { width, height } = measureText('breakwater', { size: 40 });
    canvas.rect({ at: [160, 60], size: [width, height], fill: '#f1b64e' });
    canvas.text('breakwater', { at: [160, 60], size: 40 });
  },
  textOutline(canvas) {
    const data = textOutline('mole', { at: [160, 60], size: 90, weight: 'bold' });
    canvas.path({ data, fill: 'none', stroke: { color: '#24506a', width: 3 } });
  },

  swing(canvas) {
    const x = swing(0.4, 4, 40, 280); // at 0.4 s, once in 4 s, between 40 and 280
    canvas.circle({ at: [x, 60], radius: 20, fill: '#d5603f' });
    for (let s = 0; s < 4; s += 0.02) canvas.dot({ at: [s * 80, swing(s, 4, 20, 100)], size: 3, fill: '#24506a' });
  },
  zigzag(canvas) {
    for (let s = 0; s < 4; s += 0.02) canvas.dot({ at: [s * 80, zigzag(s, 2, 20, 100)], size: 3, fill: '#24506a' });
  },
  cycle(canvas) {
    for (let s = 0; s < 4; s += 0.02) canvas.dot({ at: [s * 80, 100 - 80 * cycle(s, 2)], size: 3, fill: '#24506a' });
  },
  wrap(canvas) {
    for (let i = 0; i < 8; i++) canvas.text(wrap(i, 0, 3), { at: [30 + i * 37, 60], size: 28, fill: '#24506a' });
  },
  clamp(canvas) {
    for (let x = 0; x < 320; x += 4) canvas.dot({ at: [x, clamp(x / 2, 30, 90)], size: 4, fill: '#24506a' });
  },
  mix(canvas) {
    for (const t of [0, 0.25, 0.5, 0.75, 1]) canvas.circle({ at: [mix(40, 280, t), 60], radius: 18, fill: '#3a8391' });
  },
  remap(canvas) {
    for (const meters of [0, 2, 3, 7, 10]) {
      const x = remap(meters, [0, 10], [30, 290]);
      canvas.dot({ at: [x, 50], size: 12, fill: '#d5603f' });
      canvas.text(`${meters} m`, { at: [x, 80], size: 14 });
    }
  },
  smoothstep(canvas) {
    for (let x = 0; x < 320; x += 4)
      canvas.dot({ at: [x, 100 - 80 * smoothstep(60, 260, x)], size: 4, fill: '#24506a' });
  },
  easing(canvas) {
    const ease = easing('bounce-out');
    for (let t = 0; t <= 1; t += 0.005)
      canvas.dot({ at: [20 + 280 * t, 105 - 90 * ease(t)], size: 3, fill: '#24506a' });
  },
  keyframes(canvas) {
    const x = keyframes([40, { value: 280, easing: 'ease-in-out' }, 160], { duration: 4 });
    for (let s = 0; s <= 4; s += 0.25) canvas.circle({ at: [x(s), 20 + s * 20], radius: 6, fill: '#d5603f' });
    // Values that move together have names.
    const boat = keyframes(
      [
        { at: [40, 100], turn: 0 },
        { at: [280, 20], turn: 90 },
      ],
      { duration: 4 },
    );
    for (let s = 0; s <= 4; s++) canvas.rect({ at: boat(s).at, size: [16, 6], rotate: boat(s).turn, fill: '#24506a' });
  },
  spring(canvas) {
    const y = spring({ from: 20, to: 60, stiffness: 90, damping: 4 });
    for (let s = 0; s < 3.2; s += 0.01) canvas.dot({ at: [s * 100, y(s)], size: 3, fill: '#24506a' });
  },
  fromRadians(canvas) {
    canvas.rect({ at: [160, 60], size: [200, 20], rotate: fromRadians(Math.PI / 8), fill: '#647f52' });
  },
  polar(canvas) {
    for (let i = 0; i < 12; i++)
      canvas.circle({ at: polar({ angle: i * 30, distance: 45, from: [160, 60] }), radius: 4 + i, fill: '#24506a' });
  },
  heading(canvas) {
    const boat = { x: 90, y: 80 };
    const buoy = { x: 240, y: 30 };
    canvas.line({ from: boat, to: buoy, stroke: { color: '#647f52', dash: [4, 4] } });
    canvas.circle({ at: buoy, radius: 8, fill: '#d5603f' });
    canvas.group({ translate: boat, rotate: heading(boat, buoy) }, () => {
      canvas.path({ data: 'M 25 0 L -15 -10 L -15 10 Z', fill: '#24506a' });
    });
  },
  fromTurns(canvas) {
    canvas.rect({ at: [160, 60], size: [100, 20], rotate: fromTurns(1 / 8), fill: '#647f52' });
  },
  maths(canvas) {
    for (let x = 0; x < 320; x += 2) canvas.dot({ at: [x, 60 + 40 * maths.sin(x / 30)], size: 3, fill: '#24506a' });
  },
  scenes(canvas, moment) {
    const show = scenes([
      { duration: 2, paint: (own) => own.rect({ from: [0, 0], to: [320, 120], fill: '#24506a' }) },
      { duration: 2, fade: 1, paint: (own) => own.rect({ from: [0, 0], to: [320, 120], fill: '#f1b64e' }) },
    ]);
    show.paint(canvas, { ...moment, seconds: 1.5 }); // half way in the fade
  },
  seededRandom(canvas) {
    const random = seededRandom('gulls');
    for (let i = 0; i < 40; i++) canvas.dot({ at: random.point([320, 120]), size: random.between(4, 14) });
  },
  seededNoise(canvas) {
    const noise = seededNoise(7);
    for (let x = 0; x < 320; x += 2) canvas.dot({ at: [x, 60 + 50 * noise(x / 60)], size: 4, fill: '#24506a' });
  },
};
