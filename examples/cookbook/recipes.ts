/*
 * What practitioners ask for most, each in a few lines. docs/cookbook.md is made of this file: `npm run cookbook`.
 */
import { defineShape, linearGradient, picture, radialGradient, type Canvas } from 'frame-juggler';

/** Each draws on a canvas of 320 × 200. */
export const recipes: Readonly<Record<string, (canvas: Canvas) => void>> = {
  'Find the middle, and put text exactly there'(canvas) {
    const middle = [canvas.width / 2, canvas.height / 2] as const;
    canvas.circle({ at: middle, radius: 70, fill: 'teal' });
    canvas.text('12', { at: middle, size: 64, weight: 'bold', fill: 'white' });
  },

  'A box by its middle, by a corner, by two corners'(canvas) {
    canvas.rect({ at: [60, 100], size: [80, 60], fill: 'teal' });
    canvas.rect({ at: [120, 70], anchor: 'top-left', size: [80, 60], fill: 'orange' });
    canvas.rect({ from: [300, 130], to: [220, 70], fill: 'crimson' });
  },

  'A half-round mouth by two angles'(canvas) {
    canvas.circle({ at: [160, 100], radius: 80, fill: 'gold' });
    for (const x of [130, 190]) canvas.circle({ at: [x, 75], radius: 9 });
    canvas.arc({ at: [160, 105], radius: 48, start: 0, end: 180, close: 'chord', fill: 'maroon' });
  },

  'Nested rings by a loop'(canvas) {
    for (let radius = 90; radius > 0; radius -= 15)
      canvas.circle({ at: [160, 100], radius, fill: radius % 30 === 0 ? 'crimson' : 'white' });
  },

  'Order decides what hides what; a layer lifts without moving code'(canvas) {
    canvas.rect({ at: [110, 100], size: 100, fill: 'navy', layer: 1 });
    canvas.rect({ at: [150, 80], size: 100, fill: 'orange' });
    canvas.rect({ at: [190, 110], size: 100, fill: 'teal' });
  },

  'A radius for each corner'(canvas) {
    canvas.rect({ at: [80, 100], size: [120, 100], corners: 24, fill: 'teal' });
    canvas.rect({ at: [230, 100], size: [120, 100], corners: [60, 0, 60, 0], fill: 'crimson' });
  },

  'A ring of shapes: turn inside the loop, from the same middle each time'(canvas) {
    for (let i = 0; i < 12; i++)
      canvas.group({ translate: [160, 100], rotate: i * 30 }, () => {
        canvas.ellipse({ at: [60, 0], size: [46, 16], fill: 'purple', opacity: 0.7 });
      });
  },

  'A spiral: each turn adds to the one before'(canvas) {
    canvas.translate([160, 100]);
    for (let i = 0; i < 28; i++) {
      canvas.rotate(25);
      canvas.scale(0.94);
      canvas.rect({ at: [84, 0], size: [34, 22], corners: 5, fill: 'teal' });
    }
  },

  'Turn about a chosen point'(canvas) {
    const hinge = [70, 150] as const;
    for (const degrees of [0, -20, -40, -60])
      canvas.group({ rotate: degrees, about: hinge }, () => {
        canvas.rect({ from: hinge, to: [240, 160], fill: 'orange', stroke: 'saddlebrown' });
      });
    canvas.dot({ at: hinge, size: 12 });
  },

  'Isolate: nothing of a group reaches what follows'(canvas) {
    canvas.style({ fill: 'teal' });
    canvas.rect({ at: [60, 100], size: 70 });
    canvas.group({ translate: [160, 100], rotate: 30, fill: 'crimson', stroke: { color: 'black', width: 5 } }, () => {
      canvas.rect({ at: [0, 0], size: 70 });
    });
    canvas.rect({ at: [260, 100], size: 70 });
  },

  'See where the coordinates have gone: a grid in the moved system'(canvas) {
    canvas.group({ translate: [90, 60], rotate: 15, scale: 1.5 }, () => {
      canvas.grid({ from: [-20, -20], to: [120, 70], spacing: 20 });
      canvas.rect({ from: [20, 20], to: [80, 40], fill: 'crimson', opacity: 0.8 });
    });
  },

  'Cut pieces out of a sheet of pictures'(canvas) {
    const sheet = picture(32, 16, (tiles) => {
      tiles.rect({ from: [0, 0], to: [16, 16], fill: 'navy' });
      tiles.circle({ at: [24, 8], radius: 7, fill: 'tomato' });
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

  'A shape of your own, sized by the canvas'(canvas) {
    const boat = defineShape({
      name: 'boat',
      outline(_, path, { width }) {
        const w = width / 6;
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
    canvas.shape(boat, { at: [100, 130], fill: 'teal' });
    canvas.shape(boat, { at: [235, 120], fill: 'crimson', scale: 0.6, rotate: -8 });
  },

  'Keep only what lies in a shape'(canvas) {
    canvas.group({ clip: (region) => region.star({ at: [160, 104], radius: 96 }) }, () => {
      for (let x = 60; x < 260; x += 16) canvas.rect({ from: [x, 0], to: [x + 8, 200], fill: 'teal' });
      canvas.circle({ at: [160, 104], radius: 34, fill: 'gold' });
    });
  },

  'Light and shade: gradients'(canvas) {
    const sky = linearGradient({ from: [0, 0], to: [0, 200], stops: ['midnightblue', 'coral', 'gold'] });
    canvas.rect({ from: [0, 0], to: [320, 200], fill: sky });
    const ball = radialGradient({ at: [160, 100], radius: 70, focus: [135, 70], stops: ['white', 'tomato', 'maroon'] });
    canvas.circle({ at: [160, 100], radius: 70, fill: ball });
  },

  'Fade several shapes as one picture'(canvas) {
    canvas.text('harbour', { at: [160, 100], size: 60, weight: 'bold' });
    canvas.group({ opacity: 0.75 }, () => {
      canvas.circle({ at: [120, 100], radius: 60, fill: 'teal' });
      canvas.circle({ at: [200, 100], radius: 60, fill: 'orange' });
    });
  },
};
