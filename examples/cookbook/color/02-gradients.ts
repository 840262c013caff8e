/*
 * A glass float at dusk: gradients
 *
 * A gradient works wherever a color does. `focus` moves its brightest point away from the middle.
 */
import { defineSketch, linearGradient, radialGradient } from 'frame-juggler';

const sky = linearGradient({ from: [0, 0], to: [0, 200], stops: ['#4d4672', '#d5603f', '#f1b64e'] });
const glass = radialGradient({
  at: [160, 100],
  radius: 70,
  focus: [135, 70],
  stops: ['#e4efe8', '#3a8391', '#24506a'],
});

export default defineSketch({
  canvas: { width: 320, height: 200 },
  paint(canvas) {
    canvas.rect({ from: [0, 0], to: [320, 200], fill: sky });
    canvas.circle({ at: [160, 100], radius: 70, fill: glass });
  },
});
