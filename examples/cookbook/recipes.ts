/*
 * What practitioners ask for most, each in a few lines. docs/cookbook.md is made of this file: `npm run cookbook`.
 */
import { defineShape, linearGradient, picture, radialGradient, required, type Canvas } from 'frame-juggler';
import { palette } from '../palette.ts';

const { ink, deep, sea, shoal, foam, sail, sand, rope, timber, lamp, buoy, brick, kelp, slate, dusk } = palette;

/** Each draws on a canvas of 320 × 200. */
export const recipes: Readonly<Record<string, (canvas: Canvas) => void>> = {
  'Find the middle, and put text exactly there'(canvas) {
    const middle = [canvas.width / 2, canvas.height / 2] as const;
    canvas.circle({ at: middle, radius: 74, fill: deep, stroke: { color: lamp, width: 6 } });
    canvas.text('12', { at: middle, size: 64, weight: 'bold', fill: sail });
  },

  'A box by its middle, by a corner, by two corners'(canvas) {
    canvas.rect({ at: [60, 100], size: [80, 60], fill: sea });
    canvas.rect({ at: [120, 70], anchor: 'top-left', size: [80, 60], fill: lamp });
    canvas.rect({ from: [300, 130], to: [220, 70], fill: buoy });
  },

  'A half-round window by two angles'(canvas) {
    canvas.rect({ from: [0, 0], to: [320, 200], fill: brick });
    canvas.arc({ at: [160, 140], radius: 84, start: 180, end: 360, close: 'chord', fill: lamp });
    canvas.style({ stroke: { color: sail, width: 5, join: 'round' } });
    for (const end of [225, 270, 315])
      canvas.arc({ at: [160, 140], radius: 84, start: end - 45, end, close: 'sector', fill: 'none' });
    canvas.arc({ at: [160, 140], radius: 84, start: 180, end: 360, close: 'chord', fill: 'none' });
  },

  'Ripples: nested rings by a loop'(canvas) {
    canvas.rect({ from: [0, 0], to: [320, 200], fill: sea });
    for (let radius = 90; radius > 0; radius -= 15)
      canvas.circle({ at: [160, 100], radius, fill: radius % 30 === 0 ? shoal : sea });
  },

  'Order decides what hides what; a layer lifts without moving code'(canvas) {
    canvas.rect({ at: [110, 100], size: 100, fill: deep, layer: 1 });
    canvas.rect({ at: [150, 80], size: 100, fill: lamp });
    canvas.rect({ at: [190, 110], size: 100, fill: shoal });
  },

  'A radius for each corner'(canvas) {
    canvas.rect({ at: [80, 100], size: [120, 84], corners: 24, fill: kelp });
    canvas.rect({ at: [235, 100], size: [130, 84], corners: [4, 4, 70, 24], fill: buoy });
  },

  'A ship’s wheel: turn inside the loop, from the same middle each time'(canvas) {
    for (let i = 0; i < 8; i++)
      canvas.group({ translate: [160, 100], rotate: i * 45 }, () => {
        canvas.rect({ from: [0, -4], to: [88, 4], corners: 4, fill: timber });
      });
    canvas.circle({ at: [160, 100], radius: 56, fill: 'none', stroke: { color: rope, width: 12 } });
    canvas.circle({ at: [160, 100], radius: 16, fill: timber });
  },

  'A coil of rope: each turn adds to the one before'(canvas) {
    canvas.translate([160, 100]);
    for (let i = 0; i < 40; i++) {
      canvas.rotate(21);
      canvas.scale(0.96);
      canvas.rect({ at: [84, 0], size: [20, 29], corners: 8, fill: i % 2 === 0 ? rope : sand });
    }
  },

  'A jib that rises: turn about a chosen point'(canvas) {
    const hinge = [70, 150] as const;
    for (const degrees of [0, -20, -40, -60])
      canvas.group({ rotate: degrees, about: hinge }, () => {
        canvas.rect({ from: hinge, to: [240, 160], fill: lamp, stroke: timber });
      });
    canvas.dot({ at: hinge, size: 16, fill: ink });
  },

  'Isolate: nothing of a group reaches what follows'(canvas) {
    canvas.style({ fill: sea });
    canvas.rect({ at: [60, 100], size: 70 });
    canvas.group({ translate: [160, 100], rotate: 30, fill: buoy, stroke: { color: ink, width: 5 } }, () => {
      canvas.rect({ at: [0, 0], size: 70 });
    });
    canvas.rect({ at: [260, 100], size: 70 });
  },

  'See where the coordinates have gone: a grid in the moved system'(canvas) {
    canvas.group({ translate: [90, 60], rotate: 15, scale: 1.5 }, () => {
      canvas.grid({ from: [-20, -20], to: [120, 70], spacing: 20 });
      canvas.rect({ from: [20, 20], to: [80, 40], fill: buoy, opacity: 0.8 });
    });
  },

  'Signal flags: cut pieces out of a sheet of pictures'(canvas) {
    const sheet = picture(32, 16, (flags) => {
      flags.rect({ from: [0, 0], to: [16, 16], fill: deep });
      flags.rect({ from: [4, 4], to: [12, 12], fill: sail });
      flags.rect({ from: [16, 0], to: [32, 16], fill: lamp });
      flags.circle({ at: [24, 8], radius: 5, fill: ink });
    });
    for (let i = 0; i < 5; i++) {
      const left = (i % 2) * 16;
      canvas.picture(sheet, {
        at: [40 + i * 60, 100],
        size: 56,
        crop: { from: [left, 0], to: [left + 16, 16] },
        smooth: false,
      });
    }
  },

  'A shape of your own, with an option that must be given'(canvas) {
    const boat = defineShape({
      name: 'boat',
      options: { length: required },
      outline({ length }, path) {
        const w = length / 2;
        path
          .moveTo(-w, 0)
          .lineTo(w, 0)
          .lineTo(w * 0.6, w * 0.5)
          .lineTo(-w * 0.6, w * 0.5)
          .closePath();
        path
          .moveTo(0, -w * 0.2)
          .lineTo(0, -w * 1.6)
          .lineTo(w * 0.8, -w * 0.2)
          .closePath();
      },
    });
    canvas.shape(boat, { at: [105, 130], length: 120, fill: deep });
    canvas.shape(boat, { at: [240, 122], length: 66, fill: buoy, rotate: -8 });
  },

  'A porthole: keep only what lies in a shape'(canvas) {
    canvas.group({ clip: (region) => region.circle({ at: [160, 100], radius: 80 }) }, () => {
      canvas.rect({ from: [0, 0], to: [320, 120], fill: foam });
      canvas.circle({ at: [190, 92], radius: 26, fill: lamp });
      for (let y = 100; y < 200; y += 16) canvas.rect({ from: [0, y], to: [320, y + 8], fill: sea });
    });
    canvas.circle({ at: [160, 100], radius: 84, fill: 'none', stroke: { color: slate, width: 12 } });
  },

  'A glass float at dusk: gradients'(canvas) {
    const sky = linearGradient({ from: [0, 0], to: [0, 200], stops: [dusk, buoy, lamp] });
    canvas.rect({ from: [0, 0], to: [320, 200], fill: sky });
    const glass = radialGradient({ at: [160, 100], radius: 70, focus: [135, 70], stops: [foam, sea, deep] });
    canvas.circle({ at: [160, 100], radius: 70, fill: glass });
  },

  'Fade several shapes as one picture'(canvas) {
    canvas.text('harbor', { at: [160, 100], size: 60, weight: 'bold', fill: ink });
    canvas.group({ opacity: 0.75 }, () => {
      canvas.circle({ at: [120, 100], radius: 60, fill: shoal });
      canvas.circle({ at: [200, 100], radius: 60, fill: lamp });
    });
  },
};
