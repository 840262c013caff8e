import {
  defineSketch,
  dial,
  hsl,
  linearGradient,
  picture,
  polar,
  ramp,
  rgb,
  swing,
  wrap,
  type Sketch,
} from 'frame-juggler';
import { palette } from '../palette.ts';

/*
 * The mistakes that `juggle check` finds, each as small as it can be, and the same sketch without it. docs/mistakes.md is
 * made of them, and the tests run them: where the mistake is told to be, stands a mark.
 */

const { deep, foam, ink, lamp, buoy, sail } = palette;
const canvas = { width: 320, height: 180, background: foam };

interface Pair {
  readonly mistake: Sketch;
  readonly cured: Sketch;
}

/** From the left of the canvas to its right. */
const along = Array.from({ length: 81 }, (_, i) => i * 4);

/** A variable that outlives its run: what a file's own variables do. */
const places = { painted: 0, stepped: 0 };
const stamp = picture(8, 8, (c) => c.circle({ at: [4, 4], radius: 3, fill: buoy }));
const poster = picture(160, 160, (c) => c.circle({ at: [80, 80], radius: 60, fill: buoy }));
const banner = picture(160, 90, (c) => c.circle({ at: [80, 45], radius: 30, fill: buoy }));

export const mistakes: Readonly<Record<string, Pair>> = {
  'off-canvas': {
    mistake: defineSketch({
      canvas,
      paint(canvas) {
        canvas.circle({ at: [480, 90], radius: 40, fill: buoy }); // ←
      },
    }),
    cured: defineSketch({
      canvas,
      paint(canvas) {
        canvas.circle({ at: [canvas.width / 2, 90], radius: 40, fill: buoy });
      },
    }),
  },
  covered: {
    mistake: defineSketch({
      canvas,
      paint(canvas) {
        canvas.circle({ at: [160, 120], radius: 30, fill: lamp }); // ←
        canvas.rect({ from: [40, 80], to: [280, 160], fill: deep });
      },
    }),
    cured: defineSketch({
      canvas,
      paint(canvas) {
        canvas.rect({ from: [40, 80], to: [280, 160], fill: deep });
        canvas.circle({ at: [160, 120], radius: 30, fill: lamp });
      },
    }),
  },
  clipped: {
    mistake: defineSketch({
      canvas,
      paint(canvas) {
        canvas.group({ translate: [160, 90], clip: (region) => region.circle({ at: [160, 90], radius: 50 }) }, () => {
          canvas.rect({ at: [0, 0], size: 80, fill: buoy }); // ←
        });
      },
    }),
    cured: defineSketch({
      canvas,
      paint(canvas) {
        canvas.group({ translate: [160, 90], clip: (region) => region.circle({ at: [0, 0], radius: 50 }) }, () => {
          canvas.rect({ at: [0, 0], size: 80, fill: buoy });
        });
      },
    }),
  },
  'no-size': {
    mistake: defineSketch({
      canvas,
      paint(canvas) {
        canvas.rect({ at: [160, 90], size: [120, 0], fill: buoy }); // ←
      },
    }),
    cured: defineSketch({
      canvas,
      paint(canvas) {
        canvas.rect({ at: [160, 90], size: [120, 40], fill: buoy });
      },
    }),
  },
  'no-paint': {
    mistake: defineSketch({
      canvas,
      paint(canvas) {
        canvas.circle({ at: [160, 90], radius: 50, fill: 'none', stroke: 'none' }); // ←
      },
    }),
    cured: defineSketch({
      canvas,
      paint(canvas) {
        canvas.circle({ at: [160, 90], radius: 50, fill: 'none', stroke: deep });
      },
    }),
  },
  corner: {
    mistake: defineSketch({
      canvas,
      paint(canvas) {
        canvas.rect({ at: [0, 0], size: [320, 120], fill: deep }); // ←
      },
    }),
    cured: defineSketch({
      canvas,
      paint(canvas) {
        canvas.rect({ from: [0, 0], to: [320, 120], fill: deep });
      },
    }),
  },
  bars: {
    mistake: defineSketch({
      canvas,
      paint(canvas) {
        [60, 110, 35, 90].forEach((level, i) => {
          canvas.rect({ at: [60 + i * 66, 180 - level], size: [30, level], fill: deep }); // ←
        });
      },
    }),
    cured: defineSketch({
      canvas,
      paint(canvas) {
        [60, 110, 35, 90].forEach((level, i) => {
          canvas.rect({ at: [60 + i * 66, 180], anchor: 'bottom', size: [30, level], fill: deep });
        });
      },
    }),
  },
  unscaled: {
    mistake: defineSketch({
      canvas,
      paint(canvas, { random }) {
        for (let i = 0; i < 30; i++) {
          canvas.circle({ at: [random.between(0, 1), random.between(0, 1)], radius: 4, fill: buoy }); // ←
        }
      },
    }),
    cured: defineSketch({
      canvas,
      paint(canvas, { width, height, random }) {
        for (let i = 0; i < 30; i++) {
          canvas.circle({ at: [random.between(0, width), random.between(0, height)], radius: 4, fill: buoy });
        }
      },
    }),
  },
  'flat-wave': {
    mistake: defineSketch({
      canvas,
      paint(canvas) {
        canvas.polyline({ points: along.map((x) => [x, 90 + Math.sin(x / 20)]), stroke: { color: deep, width: 3 } }); // ←
      },
    }),
    cured: defineSketch({
      canvas,
      paint(canvas) {
        canvas.polyline({
          points: along.map((x) => [x, 90 + 40 * Math.sin(x / 20)]),
          stroke: { color: deep, width: 3 },
        });
      },
    }),
  },
  'about-edge': {
    mistake: defineSketch({
      canvas,
      paint(canvas) {
        canvas.polyline({ points: along.map((x) => [x, 40 * Math.sin(x / 20)]), stroke: { color: deep, width: 3 } }); // ←
      },
    }),
    cured: defineSketch({
      canvas,
      paint(canvas) {
        canvas.polyline({
          points: along.map((x) => [x, 90 + 40 * Math.sin(x / 20)]),
          stroke: { color: deep, width: 3 },
        });
      },
    }),
  },
  'noise-range': {
    mistake: defineSketch({
      canvas,
      duration: 4,
      paint(canvas, { noise, seconds, width }) {
        for (let y = 5; y < 180; y += 10)
          canvas.circle({ at: [noise(y / 40, seconds) * width, y], radius: 4, fill: lamp }); // ←
      },
    }),
    cured: defineSketch({
      canvas,
      duration: 4,
      paint(canvas, { noise, seconds, width }) {
        for (let y = 5; y < 180; y += 10)
          canvas.circle({ at: [width / 2 + noise(y / 40, seconds) * 140, y], radius: 4, fill: lamp });
      },
    }),
  },
  'noise-steps': {
    mistake: defineSketch({
      canvas,
      still: true,
      paint(canvas, { noise }) {
        const points: [number, number][] = [];
        for (let x = 0; x <= 320; x += 5) points.push([x, 90 + noise(x) * 60]); // ←
        canvas.polyline({ points, stroke: { color: deep, width: 3 } });
      },
    }),
    cured: defineSketch({
      canvas,
      still: true,
      paint(canvas, { noise }) {
        const points: [number, number][] = [];
        for (let x = 0; x <= 320; x += 5) points.push([x, 90 + noise(x / 80) * 60]);
        canvas.polyline({ points, stroke: { color: deep, width: 3 } });
      },
    }),
  },
  'about-corner': {
    mistake: defineSketch({
      canvas,
      paint(canvas) {
        for (let angle = 0; angle < 360; angle += 30)
          canvas.line({ from: [160, 90], to: polar({ angle, distance: 60 }), stroke: ink }); // ←
      },
    }),
    cured: defineSketch({
      canvas,
      paint(canvas) {
        for (let angle = 0; angle < 360; angle += 30)
          canvas.line({ from: [160, 90], to: polar({ angle, distance: 60, from: [160, 90] }), stroke: ink });
      },
    }),
  },
  'placed-twice': {
    mistake: defineSketch({
      canvas,
      duration: 4,
      paint(canvas, { seconds }) {
        canvas.group({ translate: [160, 90], rotate: seconds * 90 }, () => {
          canvas.rect({ at: [160, 90], size: [80, 30], fill: buoy }); // ←
        });
      },
    }),
    cured: defineSketch({
      canvas,
      duration: 4,
      paint(canvas, { seconds }) {
        canvas.group({ translate: [160, 90], rotate: seconds * 90 }, () => {
          canvas.rect({ at: [0, 0], size: [80, 30], fill: buoy });
        });
      },
    }),
  },
  'same-place': {
    mistake: defineSketch({
      canvas,
      paint(canvas) {
        for (let i = 0; i < 5; i++) {
          canvas.circle({ at: [60, 90], radius: 24, fill: buoy }); // ←
        }
      },
    }),
    cured: defineSketch({
      canvas,
      paint(canvas) {
        for (let i = 0; i < 5; i++) {
          canvas.circle({ at: [60 + i * 50, 90], radius: 24, fill: buoy });
        }
      },
    }),
  },
  unfilled: {
    mistake: defineSketch({
      canvas,
      paint(canvas) {
        canvas.arc({ at: [160, 90], radius: 60, start: 200, end: 340, fill: buoy }); // ←
      },
    }),
    cured: defineSketch({
      canvas,
      paint(canvas) {
        canvas.arc({ at: [160, 90], radius: 60, start: 200, end: 340, close: 'sector', fill: buoy });
      },
    }),
  },
  'same-color': {
    mistake: defineSketch({
      canvas,
      paint(canvas) {
        canvas.rect({ from: [0, 100], to: [320, 180], fill: deep });
        canvas.circle({ at: [160, 140], radius: 20, fill: deep }); // ←
      },
    }),
    cured: defineSketch({
      canvas,
      paint(canvas) {
        canvas.rect({ from: [0, 100], to: [320, 180], fill: deep });
        canvas.circle({ at: [160, 140], radius: 20, fill: sail });
      },
    }),
  },
  'cut-stroke': {
    mistake: defineSketch({
      canvas,
      paint(canvas) {
        canvas.rect({ from: [0, 0], to: [320, 180], fill: 'none', stroke: { color: buoy, width: 12 } }); // ←
      },
    }),
    cured: defineSketch({
      canvas,
      paint(canvas) {
        canvas.rect({ from: [6, 6], to: [314, 174], fill: 'none', stroke: { color: buoy, width: 12 } });
      },
    }),
  },
  'stroke-scaled': {
    mistake: defineSketch({
      canvas,
      paint(canvas) {
        canvas.group({ translate: [160, 90], scale: 40 }, () => {
          canvas.circle({ at: [0, 0], radius: 1, fill: 'none', stroke: { color: deep, width: 2 } }); // ←
        });
      },
    }),
    cured: defineSketch({
      canvas,
      paint(canvas) {
        canvas.group({ translate: [160, 90], scale: 40 }, () => {
          canvas.circle({ at: [0, 0], radius: 1, fill: 'none', stroke: { color: deep, width: 2 / 40 } });
        });
      },
    }),
  },
  'picture-enlarged': {
    mistake: defineSketch({
      canvas,
      paint(canvas) {
        canvas.picture(stamp, { at: [160, 90], size: 160 }); // ←
      },
    }),
    cured: defineSketch({
      canvas,
      paint(canvas) {
        canvas.picture(poster, { at: [160, 90], size: 160 });
      },
    }),
  },
  'picture-squeezed': {
    mistake: defineSketch({
      canvas,
      paint(canvas) {
        canvas.picture(banner, { at: [160, 90], size: 120 }); // ←
      },
    }),
    cured: defineSketch({
      canvas,
      paint(canvas) {
        canvas.picture(banner, { at: [160, 90], size: [120, (120 * banner.height) / banner.width] });
      },
    }),
  },
  radians: {
    mistake: defineSketch({
      canvas,
      paint(canvas) {
        for (let i = 0; i < 3; i++) {
          canvas.rect({ at: [60 + i * 100, 90], size: [80, 20], rotate: (i * Math.PI) / 4, fill: buoy }); // ←
        }
      },
    }),
    cured: defineSketch({
      canvas,
      paint(canvas) {
        for (let i = 0; i < 3; i++) {
          canvas.rect({ at: [60 + i * 100, 90], size: [80, 20], rotate: i * 45, fill: buoy });
        }
      },
    }),
  },
  degrees: {
    mistake: defineSketch({
      canvas,
      paint(canvas) {
        const around = (angle: number) => [160 + 60 * Math.cos(angle), 90 + 60 * Math.sin(angle)] as const; // ←
        canvas.polygon({ points: [0, 60, 120, 180, 240, 300].map(around), fill: buoy });
      },
    }),
    cured: defineSketch({
      canvas,
      paint(canvas) {
        const around = (angle: number) => polar({ angle, distance: 60, from: [160, 90] });
        canvas.polygon({ points: [0, 60, 120, 180, 240, 300].map(around), fill: buoy });
      },
    }),
  },
  pivot: {
    mistake: defineSketch({
      canvas,
      paint(canvas) {
        canvas.rotate(90);
        canvas.rect({ at: [160, 90], size: [90, 30], fill: buoy }); // ←
      },
    }),
    cured: defineSketch({
      canvas,
      paint(canvas) {
        canvas.rotate(90, { about: [160, 90] });
        canvas.rect({ at: [160, 90], size: [90, 30], fill: buoy });
      },
    }),
  },
  'scaled-aside': {
    mistake: defineSketch({
      canvas,
      paint(canvas, { seconds }) {
        canvas.scale(swing(seconds, 2, 0.8, 1.2));
        canvas.circle({ at: [160, 90], radius: 40, fill: buoy }); // ←
      },
    }),
    cured: defineSketch({
      canvas,
      paint(canvas, { seconds }) {
        canvas.scale(swing(seconds, 2, 0.8, 1.2), { about: [160, 90] });
        canvas.circle({ at: [160, 90], radius: 40, fill: buoy });
      },
    }),
  },
  'round-turn': {
    mistake: defineSketch({
      canvas,
      paint(canvas, { seconds }) {
        canvas.circle({ at: [160, 90], radius: 30, rotate: 90 * seconds, fill: buoy }); // ←
      },
    }),
    cured: defineSketch({
      canvas,
      paint(canvas, { seconds }) {
        const stroke = { color: lamp, width: 6, dash: [12, 12] };
        canvas.circle({ at: [160, 90], radius: 30, rotate: 90 * seconds, fill: buoy, stroke });
      },
    }),
  },
  fractions: {
    mistake: defineSketch({
      canvas,
      paint(canvas) {
        const dusk = linearGradient({ from: [0, 0], to: [0, 1], stops: [lamp, deep] });
        canvas.rect({ from: [40, 20], to: [280, 160], fill: dusk }); // ←
      },
    }),
    cured: defineSketch({
      canvas,
      paint(canvas) {
        const dusk = linearGradient({ from: [0, 0], to: [0, 1], units: 'box', stops: [lamp, deep] });
        canvas.rect({ from: [40, 20], to: [280, 160], fill: dusk });
      },
    }),
  },
  'beyond-ramp': {
    mistake: defineSketch({
      canvas,
      paint(canvas) {
        const shades = ramp([deep, lamp]);
        for (let i = 0; i < 6; i++) canvas.circle({ at: [35 + i * 50, 90], radius: 20, fill: shades(i) }); // ←
      },
    }),
    cured: defineSketch({
      canvas,
      paint(canvas) {
        const shades = ramp([deep, lamp]);
        for (let i = 0; i < 6; i++) canvas.circle({ at: [35 + i * 50, 90], radius: 20, fill: shades(i / 5) });
      },
    }),
  },
  'flat-gradient': {
    mistake: defineSketch({
      canvas,
      paint(canvas) {
        const fill = linearGradient({ from: [0, 0], to: [80, 0], stops: [lamp, buoy] });
        canvas.rect({ at: [220, 90], size: 80, fill }); // ←
      },
    }),
    cured: defineSketch({
      canvas,
      paint(canvas) {
        const fill = linearGradient({ from: [180, 0], to: [260, 0], stops: [lamp, buoy] });
        canvas.rect({ at: [220, 90], size: 80, fill });
      },
    }),
  },
  channels: {
    mistake: defineSketch({
      canvas,
      paint(canvas) {
        canvas.circle({ at: [160, 90], radius: 50, fill: rgb(0.1, 0.45, 0.6) }); // ←
      },
    }),
    cured: defineSketch({
      canvas,
      paint(canvas) {
        canvas.circle({ at: [160, 90], radius: 50, fill: rgb(26, 115, 153) });
      },
    }),
  },
  hues: {
    mistake: defineSketch({
      canvas,
      paint(canvas) {
        for (let i = 0; i < 6; i++) canvas.circle({ at: [45 + i * 46, 90], radius: 20, fill: hsl(i / 6, 55, 45) }); // ←
      },
    }),
    cured: defineSketch({
      canvas,
      paint(canvas) {
        for (let i = 0; i < 6; i++)
          canvas.circle({ at: [45 + i * 46, 90], radius: 20, fill: hsl((i / 6) * 360, 55, 45) });
      },
    }),
  },
  'unused-style': {
    mistake: defineSketch({
      canvas,
      paint(canvas) {
        canvas.circle({ at: [160, 90], radius: 50 });
        canvas.style({ fill: lamp }); // ←
      },
    }),
    cured: defineSketch({
      canvas,
      paint(canvas) {
        canvas.style({ fill: lamp });
        canvas.circle({ at: [160, 90], radius: 50 });
      },
    }),
  },
  'unused-transform': {
    mistake: defineSketch({
      canvas,
      paint(canvas) {
        canvas.rect({ from: [0, 120], to: [320, 180], fill: deep });
        canvas.circle({ at: [0, 0], radius: 50, fill: lamp });
        canvas.translate([160, 90]); // ←
      },
    }),
    cured: defineSketch({
      canvas,
      paint(canvas) {
        canvas.rect({ from: [0, 120], to: [320, 180], fill: deep });
        canvas.translate([160, 90]);
        canvas.circle({ at: [0, 0], radius: 50, fill: lamp });
      },
    }),
  },
  leak: {
    mistake: defineSketch({
      canvas,
      paint(canvas) {
        canvas.rect({ from: [0, 120], to: [320, 180], fill: deep });
        canvas.rotate(20, { about: [160, 90] }); // ←
        canvas.polygon({ at: [160, 90], radius: 30, sides: 3, fill: buoy });
        canvas.circle({ at: [260, 40], radius: 16, fill: lamp });
      },
    }),
    cured: defineSketch({
      canvas,
      paint(canvas) {
        canvas.rect({ from: [0, 120], to: [320, 180], fill: deep });
        canvas.group({ rotate: 20, about: [160, 90] }, () => {
          canvas.polygon({ at: [160, 90], radius: 30, sides: 3, fill: buoy });
        });
        canvas.circle({ at: [260, 40], radius: 16, fill: lamp });
      },
    }),
  },
  'adds-up': {
    mistake: defineSketch({
      canvas,
      paint(canvas) {
        canvas.translate([160, 90]);
        for (let i = 0; i < 12; i++) {
          canvas.rotate(i * 30); // ←
          canvas.rect({ at: [50, 0], size: [40, 8], fill: buoy });
        }
      },
    }),
    cured: defineSketch({
      canvas,
      paint(canvas) {
        canvas.translate([160, 90]);
        for (let i = 0; i < 12; i++)
          canvas.group({ rotate: i * 30 }, () => canvas.rect({ at: [50, 0], size: [40, 8], fill: buoy }));
      },
    }),
  },
  'open-save': {
    mistake: defineSketch({
      canvas,
      paint(canvas) {
        canvas.save(); // ←
        canvas.translate([160, 90]);
        canvas.circle({ at: [0, 0], radius: 40, fill: buoy });
      },
    }),
    cured: defineSketch({
      canvas,
      paint(canvas) {
        canvas.save();
        canvas.translate([160, 90]);
        canvas.circle({ at: [0, 0], radius: 40, fill: buoy });
        canvas.restore();
      },
    }),
  },
  uncalled: {
    mistake: defineSketch({
      canvas,
      paint(canvas) {
        canvas.group({ translate: [160, 90] }, () => {
          canvas.rotate(30);
          canvas.rect({ at: [0, 0], size: [90, 40], fill: buoy });
          canvas.resetTransform; // ←
          canvas.circle({ at: [40, 40], radius: 20, fill: lamp });
        });
      },
    }),
    cured: defineSketch({
      canvas,
      paint(canvas) {
        canvas.group({ translate: [160, 90] }, () => {
          canvas.rotate(30);
          canvas.rect({ at: [0, 0], size: [90, 40], fill: buoy });
          canvas.resetTransform();
          canvas.circle({ at: [40, 40], radius: 20, fill: lamp });
        });
      },
    }),
  },
  growing: {
    mistake: defineSketch({
      canvas,
      start: () => ({ size: 10 }),
      step(state, { delta }) {
        state.size *= 1 + 3 * delta;
      },
      paint(canvas, _, { size }) {
        canvas.rect({ at: [160, 90], size, fill: buoy }); // ←
      },
    }),
    cured: defineSketch({
      canvas,
      start: () => ({ size: 10 }),
      step(state, { delta }) {
        state.size = wrap(state.size * (1 + 3 * delta), 10, 60);
      },
      paint(canvas, _, { size }) {
        canvas.rect({ at: [160, 90], size, fill: buoy });
      },
    }),
  },
  'nothing-moves': {
    mistake: defineSketch({
      canvas,
      start: () => ({ x: 60 }),
      step(state, { delta }) {
        state.x = wrap(state.x + 60 * delta, 0, 320);
      },
      paint(canvas) {
        canvas.circle({ at: [60, 90], radius: 20, fill: buoy }); // ←
      },
    }),
    cured: defineSketch({
      canvas,
      start: () => ({ x: 60 }),
      step(state, { delta }) {
        state.x = wrap(state.x + 60 * delta, 0, 320);
      },
      paint(canvas, _, { x }) {
        canvas.circle({ at: [x, 90], radius: 20, fill: buoy });
      },
    }),
  },
  'barely-moves': {
    mistake: defineSketch({
      canvas,
      duration: 1,
      frameRate: 30,
      paint(canvas, { progress }) {
        canvas.circle({ at: [160 + Math.sin(progress * 2 * Math.PI), 90], radius: 20, fill: buoy }); // ←
      },
    }),
    cured: defineSketch({
      canvas,
      duration: 1,
      frameRate: 30,
      paint(canvas, { progress }) {
        canvas.circle({ at: [160 + 80 * Math.sin(progress * 2 * Math.PI), 90], radius: 20, fill: buoy });
      },
    }),
  },
  'too-fast': {
    mistake: defineSketch({
      canvas,
      paint(canvas, { frame }) {
        canvas.circle({ at: [160 + 100 * Math.sin(frame), 90], radius: 20, fill: buoy }); // ←
      },
    }),
    cured: defineSketch({
      canvas,
      paint(canvas, { seconds }) {
        canvas.circle({ at: [160 + 100 * Math.sin(2 * seconds), 90], radius: 20, fill: buoy });
      },
    }),
  },
  gone: {
    mistake: defineSketch({
      canvas,
      paint(canvas, { seconds }) {
        canvas.circle({ at: [260 + 300 * seconds, 90], radius: 20, fill: buoy }); // ←
      },
    }),
    cured: defineSketch({
      canvas,
      paint(canvas, { seconds }) {
        canvas.circle({ at: [wrap(260 + 300 * seconds, -20, 340), 90], radius: 20, fill: buoy });
      },
    }),
  },
  'frame-bound': {
    mistake: defineSketch({
      canvas,
      start: () => ({ x: 40 }),
      step(state) {
        state.x += 2;
      },
      paint(canvas, _, { x }) {
        canvas.circle({ at: [x, 90], radius: 20, fill: buoy }); // ←
      },
    }),
    cured: defineSketch({
      canvas,
      start: () => ({ x: 40 }),
      step(state, { delta }) {
        state.x += 120 * delta;
      },
      paint(canvas, _, { x }) {
        canvas.circle({ at: [x, 90], radius: 20, fill: buoy });
      },
    }),
  },
  'nothing-drawn': {
    mistake: defineSketch({
      canvas,
      paint(canvas) {
        for (let x = 340; x < 320; x += 40) canvas.circle({ at: [x, 90], radius: 15, fill: buoy });
      },
    }),
    cured: defineSketch({
      canvas,
      paint(canvas) {
        for (let x = 20; x < 320; x += 40) canvas.circle({ at: [x, 90], radius: 15, fill: buoy });
      },
    }),
  },
  vanishes: {
    mistake: defineSketch({
      canvas,
      paint(canvas, { frame }) {
        if (frame === 0) canvas.circle({ at: [160, 90], radius: 40, fill: buoy }); // ←
      },
    }),
    cured: defineSketch({
      canvas: { ...canvas },
      carry: 1,
      paint(canvas, { frame }) {
        if (frame === 0) canvas.circle({ at: [160, 90], radius: 40, fill: buoy });
      },
    }),
  },
  'one-frame': {
    mistake: defineSketch({
      canvas,
      duration: 2,
      paint(canvas, { frame, seconds }) {
        canvas.circle({ at: [swing(seconds, 2, 40, 280), 120], radius: 20, fill: buoy });
        if (frame === 30) canvas.circle({ at: [160, 50], radius: 30, fill: lamp });
      },
    }),
    cured: defineSketch({
      canvas,
      duration: 2,
      paint(canvas, { frame, seconds }) {
        canvas.circle({ at: [swing(seconds, 2, 40, 280), 120], radius: 20, fill: buoy });
        if (frame >= 30 && frame < 60) canvas.circle({ at: [160, 50], radius: 30, fill: lamp });
      },
    }),
  },
  'paints-over': {
    mistake: defineSketch({
      canvas,
      carry: 1,
      paint(canvas, { seconds }) {
        for (let x = 20; x < 320; x += 20) canvas.circle({ at: [x, 90], radius: 8, fill: deep }); // ←
        canvas.dot({ at: [20 + 60 * seconds, 150], size: 6, fill: buoy });
      },
    }),
    cured: defineSketch({
      canvas,
      carry: 1,
      paint(canvas, { frame, seconds }) {
        if (frame === 0) for (let x = 20; x < 320; x += 20) canvas.circle({ at: [x, 90], radius: 8, fill: deep });
        canvas.dot({ at: [20 + 60 * seconds, 150], size: 6, fill: buoy });
      },
    }),
  },
  wiped: {
    mistake: defineSketch({
      canvas,
      carry: 0.9,
      paint(canvas, { seconds }) {
        canvas.clear(foam); // ←
        canvas.circle({ at: [60 + 120 * seconds, 90], radius: 20, fill: buoy });
      },
    }),
    cured: defineSketch({
      canvas,
      carry: 0.9,
      paint(canvas, { seconds }) {
        canvas.circle({ at: [60 + 120 * seconds, 90], radius: 20, fill: buoy });
      },
    }),
  },
  'piles-up': {
    mistake: defineSketch({
      canvas,
      start: (): { puffs: { x: number; y: number }[] } => ({ puffs: [] }),
      step({ puffs }, { random, delta }) {
        for (const puff of puffs) puff.y -= 30 * delta;
        puffs.push({ x: random.between(20, 300), y: 170 });
      },
      paint(canvas, _, { puffs }) {
        for (const puff of puffs) canvas.circle({ at: puff, radius: 6, fill: deep }); // ←
      },
    }),
    cured: defineSketch({
      canvas,
      start: (): { puffs: { x: number; y: number }[] } => ({ puffs: [] }),
      step({ puffs }, { random, delta }) {
        for (const puff of puffs) puff.y -= 30 * delta;
        puffs.push({ x: random.between(20, 300), y: 170 });
        if (puffs.length > 300) puffs.shift();
      },
      paint(canvas, _, { puffs }) {
        for (const puff of puffs) canvas.circle({ at: puff, radius: 6, fill: deep });
      },
    }),
  },
  'too-slow': {
    mistake: defineSketch({
      canvas,
      duration: 0.1,
      paint(canvas, { seconds }) {
        let x = seconds;
        for (let i = 0; i < 4e6; i++) x = (x * 1.5 + i) % 1000;
        canvas.circle({ at: [100 + 200 * seconds, 90], radius: 20 + x / 1e3, fill: buoy });
      },
    }),
    cured: defineSketch({
      canvas,
      duration: 0.1,
      start() {
        let x = 0;
        for (let i = 0; i < 4e6; i++) x = (x * 1.5 + i) % 1000;
        return { x };
      },
      paint(canvas, { seconds }, { x }) {
        canvas.circle({ at: [100 + 200 * seconds, 90], radius: 20 + x / 1e3, fill: buoy });
      },
    }),
  },
  flashing: {
    mistake: defineSketch({
      canvas,
      paint(canvas, { frame }) {
        canvas.rect({ from: [0, 0], to: [320, 180], fill: frame % 6 < 3 ? ink : foam });
        canvas.circle({ at: [160, 90], radius: 20, fill: buoy });
      },
    }),
    cured: defineSketch({
      canvas,
      paint(canvas, { seconds }) {
        canvas.rect({ from: [0, 0], to: [320, 180], fill: seconds % 1 < 0.5 ? ink : sail });
        canvas.circle({ at: [160, 90], radius: 20, fill: buoy });
      },
    }),
  },
  'no-duration': {
    mistake: defineSketch({
      canvas,
      paint(canvas, { progress }) {
        canvas.circle({ at: polar({ angle: progress * 360, distance: 60, from: [160, 90] }), radius: 20, fill: buoy });
      },
    }),
    cured: defineSketch({
      canvas,
      duration: 4,
      paint(canvas, { progress }) {
        canvas.circle({ at: polar({ angle: progress * 360, distance: 60, from: [160, 90] }), radius: 20, fill: buoy });
      },
    }),
  },
  milliseconds: {
    mistake: defineSketch({
      canvas,
      duration: 4000,
      paint(canvas, { seconds }) {
        canvas.circle({ at: [160 + 100 * Math.sin(seconds), 90], radius: 20, fill: buoy });
      },
    }),
    cured: defineSketch({
      canvas,
      duration: 4,
      paint(canvas, { progress }) {
        canvas.circle({ at: polar({ angle: progress * 360, distance: 60, from: [160, 90] }), radius: 20, fill: buoy });
      },
    }),
  },
  'begins-anew': {
    mistake: defineSketch({
      canvas,
      paint(canvas) {
        let angle = 0;
        angle += 2; // ←
        canvas.rect({ at: [160, 90], size: 80, rotate: angle, fill: buoy });
      },
    }),
    cured: defineSketch({
      canvas,
      start: () => ({ angle: 0 }),
      step: (state, { delta }) => void (state.angle += 60 * delta),
      paint(canvas, _, { angle }) {
        canvas.rect({ at: [160, 90], size: 80, rotate: angle, fill: buoy });
      },
    }),
  },
  'exact-moment': {
    mistake: defineSketch({
      canvas,
      duration: 4,
      paint(canvas, { seconds }) {
        canvas.circle({ at: [80 + 40 * seconds, 90], radius: 20, fill: buoy });
        if (seconds === 2) canvas.text('Noon', { at: [160, 150], size: 24, fill: ink }); // ←
      },
    }),
    cured: defineSketch({
      canvas,
      duration: 4,
      paint(canvas, { seconds }) {
        canvas.circle({ at: [80 + 40 * seconds, 90], radius: 20, fill: buoy });
        if (seconds >= 2 && seconds < 3) canvas.text('Noon', { at: [160, 150], size: 24, fill: ink });
      },
    }),
  },
  seam: {
    mistake: defineSketch({
      canvas,
      duration: 4,
      paint(canvas, { seconds }) {
        canvas.circle({ at: [swing(seconds, 3, 40, 280), 90], radius: 20, fill: buoy }); // ←
      },
    }),
    cured: defineSketch({
      canvas,
      duration: 4,
      paint(canvas, { seconds }) {
        canvas.circle({ at: [swing(seconds, 2, 40, 280), 90], radius: 20, fill: buoy });
      },
    }),
  },
  'progress-for-seconds': {
    mistake: defineSketch({
      canvas,
      duration: 4,
      paint(canvas, { progress }) {
        canvas.circle({ at: [swing(progress, 4, 40, 280), 90], radius: 20, fill: buoy }); // ←
      },
    }),
    cured: defineSketch({
      canvas,
      duration: 4,
      paint(canvas, { seconds }) {
        canvas.circle({ at: [swing(seconds, 4, 40, 280), 90], radius: 20, fill: buoy });
      },
    }),
  },
  'flips-while-held': {
    mistake: defineSketch({
      canvas,
      start: () => ({ isLit: true }),
      step(state, { pointer }) {
        if (pointer.down) state.isLit = !state.isLit; // ←
      },
      paint(canvas, _, { isLit }) {
        canvas.circle({ at: [160, 90], radius: 40, fill: isLit ? lamp : deep });
      },
    }),
    cured: defineSketch({
      canvas,
      start: () => ({ isLit: true }),
      step(state, { pointer }) {
        if (pointer.justPressed) state.isLit = !state.isLit;
      },
      paint(canvas, _, { isLit }) {
        canvas.circle({ at: [160, 90], radius: 40, fill: isLit ? lamp : deep });
      },
    }),
  },
  unseeded: {
    mistake: defineSketch({
      canvas,
      start: () => ({ gulls: Array.from({ length: 20 }, () => [Math.random() * 320, Math.random() * 180] as const) }), // ←
      paint(canvas, _, { gulls }) {
        for (const at of gulls) canvas.dot({ at, size: 6, fill: ink });
      },
    }),
    cured: defineSketch({
      canvas,
      still: true,
      start: ({ random }) => ({ gulls: random.times(20, () => random.point([320, 180])) }),
      paint(canvas, _, { gulls }) {
        for (const at of gulls) canvas.dot({ at, size: 6, fill: ink });
      },
    }),
  },
  clock: {
    mistake: defineSketch({
      canvas,
      paint(canvas) {
        const seconds = Date.now() / 1000; // ←
        canvas.rect({ at: [160, 90], size: [100, 20], rotate: (seconds % 60) * 6, fill: buoy });
      },
    }),
    cured: defineSketch({
      canvas,
      paint(canvas, { seconds }) {
        canvas.rect({ at: [160, 90], size: [100, 20], rotate: seconds * 6, fill: buoy });
      },
    }),
  },
  timer: {
    mistake: defineSketch({
      canvas,
      start: () => ({ isLit: false }),
      step(state, { frame }) {
        if (frame === 1) setTimeout(() => (state.isLit = true), 500); // ←
      },
      paint(canvas, { seconds }, { isLit }) {
        canvas.circle({ at: [160, swing(seconds, 2, 60, 120)], radius: 40, fill: isLit ? lamp : deep });
      },
    }),
    cured: defineSketch({
      canvas,
      paint(canvas, { seconds }) {
        canvas.circle({ at: [160, swing(seconds, 2, 60, 120)], radius: 40, fill: seconds >= 0.5 ? lamp : deep });
      },
    }),
  },
  'paint-changes': {
    mistake: defineSketch({
      canvas,
      paint(canvas) {
        places.painted = wrap(places.painted + 3, 0, 320);
        canvas.circle({ at: [places.painted, 90], radius: 20, fill: buoy }); // ←
      },
    }),
    cured: defineSketch({
      canvas,
      start: () => ({ x: 0 }),
      step(state, { delta }) {
        state.x = wrap(state.x + 180 * delta, 0, 320);
      },
      paint(canvas, _, { x }) {
        canvas.circle({ at: [x, 90], radius: 20, fill: buoy });
      },
    }),
  },
  'runs-differ': {
    mistake: defineSketch({
      canvas,
      step(_, { delta }) {
        places.stepped = wrap(places.stepped + 180 * delta, 0, 320);
      },
      paint(canvas) {
        canvas.circle({ at: [places.stepped, 90], radius: 20, fill: buoy }); // ←
      },
    }),
    cured: defineSketch({
      canvas,
      start: () => ({ x: 0 }),
      step(state, { delta }) {
        state.x = wrap(state.x + 180 * delta, 0, 320);
      },
      paint(canvas, _, { x }) {
        canvas.circle({ at: [x, 90], radius: 20, fill: buoy });
      },
    }),
  },
  'same-chance': {
    mistake: defineSketch({
      canvas,
      still: true,
      paint(canvas, { random }) {
        for (let x = 20; x < 320; x += 30) {
          const height = random.stream('masts').between(20, 140); // ←
          canvas.rect({ from: [x, 180 - height], to: [x + 6, 180], fill: ink });
        }
      },
    }),
    cured: defineSketch({
      canvas,
      still: true,
      paint(canvas, { random }) {
        const masts = random.stream('masts');
        for (let x = 20; x < 320; x += 30) {
          const height = masts.between(20, 140);
          canvas.rect({ from: [x, 180 - height], to: [x + 6, 180], fill: ink });
        }
      },
    }),
  },
  'small-text': {
    mistake: defineSketch({
      canvas,
      paint(canvas) {
        canvas.text('High water 14:20', { at: [160, 90], size: 6, fill: ink }); // ←
      },
    }),
    cured: defineSketch({
      canvas,
      paint(canvas) {
        canvas.text('High water 14:20', { at: [160, 90], size: 24, fill: ink });
      },
    }),
  },
  'cut-text': {
    mistake: defineSketch({
      canvas,
      paint(canvas) {
        canvas.text('Ferry to the East Mole', { at: [20, 90], size: 32, fill: ink }); // ←
      },
    }),
    cured: defineSketch({
      canvas,
      paint(canvas) {
        canvas.text('Ferry to the East Mole', { at: [20, 90], anchor: 'left', size: 26, fill: ink });
      },
    }),
  },
  'missing-characters': {
    mistake: defineSketch({
      canvas,
      paint(canvas) {
        canvas.text('港 Pellan Quay', { at: [160, 90], size: 24, fill: ink }); // ←
      },
    }),
    cured: defineSketch({
      canvas,
      paint(canvas) {
        canvas.text('Port of Pellan Quay', { at: [160, 90], size: 24, fill: ink });
      },
    }),
  },
  'missing-value': {
    mistake: defineSketch({
      canvas,
      paint(canvas) {
        const tide: Record<string, number> = { height: 3.1 };
        canvas.text(`Tide ${tide.hight} m`, { at: [160, 90], size: 28, fill: ink }); // ←
      },
    }),
    cured: defineSketch({
      canvas,
      paint(canvas) {
        const tide: Record<string, number> = { height: 3.1 };
        canvas.text(`Tide ${tide.height} m`, { at: [160, 90], size: 28, fill: ink });
      },
    }),
  },
  'long-number': {
    mistake: defineSketch({
      canvas,
      paint(canvas) {
        canvas.text(`Tide ${12.4 / 3} m`, { at: [160, 90], size: 28, fill: ink }); // ←
      },
    }),
    cured: defineSketch({
      canvas,
      paint(canvas) {
        canvas.text(`Tide ${(12.4 / 3).toFixed(1)} m`, { at: [160, 90], size: 28, fill: ink });
      },
    }),
  },
  'low-contrast': {
    mistake: defineSketch({
      canvas,
      paint(canvas) {
        canvas.text('Mind the swell', { at: [160, 90], size: 20, fill: lamp }); // ←
      },
    }),
    cured: defineSketch({
      canvas,
      paint(canvas) {
        canvas.rect({ at: [160, 90], size: [180, 50], corners: 6, fill: deep });
        canvas.text('Mind the swell', { at: [160, 90], size: 20, fill: lamp });
      },
    }),
  },
  'text-over-text': {
    mistake: defineSketch({
      canvas,
      paint(canvas) {
        ['East Mole', 'Fish Quay', 'Old Crane'].forEach(
          (name, i) => canvas.text(name, { at: [160, 60 + i * 12], size: 24, fill: ink }), // ←
        );
      },
    }),
    cured: defineSketch({
      canvas,
      paint(canvas) {
        ['East Mole', 'Fish Quay', 'Old Crane'].forEach((name, i) =>
          canvas.text(name, { at: [160, 60 + i * 32], size: 24, fill: ink }),
        );
      },
    }),
  },
  'smeared-text': {
    mistake: defineSketch({
      canvas,
      carry: 0.9,
      paint(canvas, { frame, seconds }) {
        canvas.circle({ at: [40 + 60 * seconds, 60], radius: 12, fill: buoy });
        canvas.text(`${frame} waves`, { at: [160, 140], size: 24, fill: deep }); // ←
      },
    }),
    cured: defineSketch({
      canvas,
      carry: 0.9,
      paint(canvas, { frame, seconds }) {
        canvas.circle({ at: [40 + 60 * seconds, 60], radius: 12, fill: buoy });
        canvas.rect({ at: [160, 140], size: [150, 36], fill: foam });
        canvas.text(`${frame} waves`, { at: [160, 140], size: 24, fill: deep });
      },
    }),
  },
  unused: {
    mistake: defineSketch({
      canvas,
      dials: { size: dial.number(50, { min: 10, max: 80 }) },
      paint(canvas) {
        canvas.circle({ at: [160, 90], radius: 50, fill: buoy });
      },
    }),
    cured: defineSketch({
      canvas,
      dials: { size: dial.number(50, { min: 10, max: 80 }) },
      paint(canvas, { dials }) {
        canvas.circle({ at: [160, 90], radius: dials.size, fill: buoy });
      },
    }),
  },
  'unknown-label': {
    mistake: defineSketch({
      canvas,
      paint(canvas, { pointer }) {
        const fill = pointer.over('boy') ? lamp : buoy; // ←
        canvas.circle({ at: [160, 90], radius: 50, fill, label: 'buoy' });
      },
    }),
    cured: defineSketch({
      canvas,
      paint(canvas, { pointer }) {
        const fill = pointer.over('buoy') ? lamp : buoy;
        canvas.circle({ at: [160, 90], radius: 50, fill, label: 'buoy' });
      },
    }),
  },
};
